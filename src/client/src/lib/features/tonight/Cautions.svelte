<script lang="ts">
  import { TriangleAlert } from '@lucide/svelte';
  import type { Caution } from '../../api/client';

  type Props = { cautions: Caution[] };
  let { cautions }: Props = $props();
  const grave = $derived(cautions.filter((c) => /^(lectin|favism|allergy|cyanogen|bitter)/.test(c.code)));
  const usual = $derived(cautions.filter((c) => !grave.includes(c)));
</script>

<section class="dish p-4" aria-labelledby="cautions-title">
  <h2 id="cautions-title" class="flex items-center gap-2 text-xl">
    <TriangleAlert size={20} aria-hidden="true" /> Take care
  </h2>
  {#each grave as c (c.code)}
    <div class="border-secondary mt-2 border-l-4 pl-3">
      <p class="font-semibold">{c.title}</p>
      <p class="text-[0.95rem]">{c.text}</p>
      <p class="text-sm opacity-85">{c.source}</p>
    </div>
  {/each}
  <ul class="mt-2 text-[0.95rem]">
    {#each usual as c (c.code)}
      <li class="mt-1.5"><strong>{c.title}.</strong> {c.text}</li>
    {/each}
  </ul>
</section>
