<script lang="ts">
  type Props = {
    /** A sentence in which *what matters* stands between stars. */
    text: string;
    /** Of what stands between the stars. */
    class?: string;
  };
  let { text, class: style }: Props = $props();
  const parts = $derived(text.split('*'));
</script>

<!-- prettier-ignore -->
{#each parts as part, i (i)}{#if i % 2}<strong class={style}>{part}</strong>{:else}{part}{/if}{/each}
