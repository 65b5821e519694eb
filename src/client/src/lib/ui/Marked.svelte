<script lang="ts">
  type Props = {
    /** A sentence in which *what matters* stands between stars. */
    text: string;
  };
  let { text }: Props = $props();
  const parts = $derived(text.split('*'));
</script>

<!-- prettier-ignore -->
{#each parts as part, i (i)}{#if i % 2}<strong>{part}</strong>{:else}{part}{/if}{/each}
