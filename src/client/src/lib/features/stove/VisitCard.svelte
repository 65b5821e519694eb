<script lang="ts">
  import type { StoveVisit } from '../../api/client';
  import { visits } from '../../format/stove';
  import type { Stove } from '../../state/stove/stove.svelte';

  type Props = { stove: Stove; visit: StoveVisit; ontrouble: (id: string) => void };
  let { stove, visit, ontrouble }: Props = $props();
  const words = $derived(visits[visit.code]);

  function stuck(scorched: boolean) {
    stove.tell({ kind: 'sticks', what: scorched ? 'scorched' : 'a_little', vesselId: visit.vesselId });
    ontrouble(scorched ? 'scorched' : 'sticking');
  }
</script>

{#if words}
  <section class="dish border-warning! mt-4 p-4" aria-label={words.ask}>
    <p class="text-2xl font-semibold">{visit.vesselName}: {words.ask}</p>
    <p class="text-lg">{words.hint}</p>
    <div class="mt-3 flex flex-wrap gap-3">
      <button
        class="btn btn-primary stove-btn"
        onclick={() => stove.tell({ kind: 'checked', what: visit.code, vesselId: visit.vesselId })}
        >{words.fine}</button
      >
      {#if visit.code === 'still_lit'}
        <button class="btn stove-btn" onclick={() => ontrouble('flame_out')}>It is out</button>
      {:else if visit.code === 'boil_over'}
        <button class="btn stove-btn" onclick={() => ontrouble('boiled_over')}>It boiled over</button>
      {:else}
        <button class="btn stove-btn" onclick={() => stuck(false)}>A little</button>
        <button class="btn stove-btn" onclick={() => stuck(true)}>It is scorched</button>
      {/if}
    </div>
  </section>
{/if}
