<script lang="ts">
  import type { WayLine } from '../../api/client';
  import type { Alternative } from '../../api/problem';
  import { offerWords, wayLabel } from '../../format/ways';

  type Props = { way: WayLine; today: string; onmend: (offer: Alternative) => void };
  let { way, today, onmend }: Props = $props();
  const name = $derived(wayLabel(way));
</script>

<li class="border-base-300 flex flex-wrap items-center gap-x-5 gap-y-1 border-t py-2">
  <p class="min-w-0 flex-1 basis-80 text-[0.95rem]">
    <span class="font-semibold">{name}</span><br />
    {way.title}. {way.detail}
  </p>
  <span class="flex flex-wrap gap-2">
    {#each way.alternatives as offer, i (i)}
      <button class="btn btn-sm btn-outline btn-primary" onclick={() => onmend(offer as Alternative)}
        >{offerWords(offer as Alternative, today)}<span class="sr-only">: {name}</span></button
      >
    {/each}
  </span>
</li>
