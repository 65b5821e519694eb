<script lang="ts">
  import type { Kitchen } from '../../api/client';
  import type { Alternative, Problem } from '../../api/problem';
  import { dayName } from '../../format/time';
  import Notice from '../../ui/Notice.svelte';

  type Props = { problem: Problem; kitchen: Kitchen; ontake: (offer: Alternative) => void };
  let { problem, kitchen, ontake }: Props = $props();

  function words(offer: Alternative): string {
    const at = offer.serveAtLocal;
    const when = at ? `${dayName(at.slice(0, 10), kitchen.nowLocal.slice(0, 10))} at ${at.slice(11)}` : '';
    if (offer.kind === 'vessel') return `Take the ${offer.vesselName}`;
    if (offer.kind === 'amount') return `Cook ${Math.round((offer.scale ?? 1) * 100)} % of it`;
    if (offer.kind === 'unsoaked') return 'Not soaked, same hour';
    return `${offer.soak === 'none' ? 'Not soaked, on' : 'On'} the table ${when}`;
  }
</script>

<Notice title={problem.title} text={problem.detail}>
  {#if problem.alternatives?.length}
    <p class="mt-4 font-semibold">What works:</p>
    <div class="mt-2 flex flex-wrap gap-3">
      {#each problem.alternatives as offer, i (i)}
        <button
          class="btn {i === 0 ? 'btn-primary' : 'btn-outline btn-primary'}"
          onclick={() => ontake(offer)}>{words(offer)}</button
        >
      {/each}
    </div>
  {/if}
</Notice>
