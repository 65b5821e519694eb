<script lang="ts">
  import type { Snippet } from 'svelte';
  type Props = { title: string; text: string; children?: Snippet };
  let { title, text, children }: Props = $props();
</script>

<section class="dish !border-secondary p-6" role="alert">
  <h1 class="text-secondary text-2xl">{title}</h1>
  <p class="mt-2 max-w-prose text-lg">{text}</p>
  {@render children?.()}
</section>
