<script lang="ts">
  import type { StoveMoment, StoveState } from '../../api/client';
  import { millilitres, overBed } from '../../format/amounts';
  import { besideLines } from '../../format/stove';
  import type { Line } from '../../format/words';
  import type { Stove } from '../../state/stove/stove.svelte';
  import EarlierPicker from './EarlierPicker.svelte';

  type Props = { stove: Stove; evening: StoveState; moment: StoveMoment; line: Line };
  let { stove, evening, moment, line }: Props = $props();

  const join = $derived(moment.join!);
  let by = $state<'jug' | 'ruler' | 'eye'>('jug');
  let typed = $state<number | null>(null);
  let earlier = $state(false);
  const pot = $derived(evening.vessels.find((v) => v.id === moment.lane));
  const level = $derived(by === 'ruler');
  /** A ruler tells cm over the bed: so much fills the gaps up to there, and so much stands on each cm. */
  const measured = $derived(
    typed === null
      ? null
      : level
        ? Math.max(
            0,
            Math.round((evening.pot?.bedTopMillilitres ?? 0) + typed * (pot?.millilitresPerCentimetre ?? 0)),
          )
        : typed,
  );
  /** What was measured, or what the forecast says. */
  const found = $derived(measured ?? join.foundMillilitres.mid);
  const add = $derived(Math.round((join.neededMillilitres - found) / 10) * 10);
  const rice = $derived(evening.order !== 'rice_first');
  const stirs = $derived(moment.deeds.some((d) => d.do === 'stir'));
  const rinse = $derived(rice && evening.riceRinse !== 'no');

  function done(minutesAgo = 0) {
    if (measured !== null)
      stove.tell(
        { kind: 'liquor', what: by, millilitres: measured, vesselId: moment.lane, minutesAgo, secondsAgo: 2 },
        { kind: 'did', momentId: moment.id, minutesAgo },
      );
    else stove.tell({ kind: 'did', momentId: moment.id, minutesAgo });
  }
</script>

<!-- The join: liquor measured, set, and in. -->
<ol class="mt-3 flex flex-col gap-3 text-xl">
  <li>
    <span class="font-semibold">1. How much liquid is in the pot?</span>
    <span class="block text-lg">
      Pour it into a jug, hold a ruler, or guess. Expected: {millilitres(join.foundMillilitres.low)} to
      {millilitres(join.foundMillilitres.high)}.
    </span>
    <div class="mt-2 flex flex-wrap items-center gap-2">
      <input
        class="input h-14 w-32 text-2xl"
        type="number"
        inputmode="numeric"
        min={level ? -30 : 0}
        max={level ? 40 : 20000}
        step={level ? 0.1 : 10}
        aria-label={level ? 'Liquid over what is in, cm' : 'Liquid in the pot, mL'}
        placeholder={level
          ? (evening.pot?.overBedCentimetres.toFixed(1) ?? '')
          : String(Math.round(join.foundMillilitres.mid))}
        bind:value={typed}
      />
      <span class="text-xl"
        >{level ? `cm over the bed${measured === null ? '' : `: ${millilitres(measured)}`}` : 'mL'}</span
      >
      <span class="join" role="group" aria-label="Measured by">
        {#each [['jug', 'jug'], ['ruler', 'ruler'], ['eye', 'eye']] as const as [id, name] (id)}
          <button
            class="btn stove-btn join-item"
            class:btn-primary={by === id}
            aria-pressed={by === id}
            onclick={() => ((by = id), (typed = null))}
          >
            {name}
          </button>
        {/each}
      </span>
    </div>
  </li>
  <li>
    <span class="font-semibold">
      2. {#if add > 15}Add <strong class="text-secondary text-3xl">{millilitres(add)}</strong> boiling{:else if add < -40}Boil
        down
        <strong class="text-secondary text-3xl">{millilitres(-add)}</strong> first, lid off, full flame{:else}That
        is just right{/if}
    </span>
    <span class="block text-lg">
      {rice ? 'The rice' : 'They'} will have {millilitres(join.neededMillilitres)}, {overBed(
        join.neededOverBedCentimetres,
      )} what is in{pot ? ` the ${pot.name}` : ''}. Only boiling water: cold would stall it.
    </span>
  </li>
  <li>
    <span class="font-semibold">3. {line.title}</span>
    <span class="block text-lg">
      {rinse ? 'Rinse now, let it drip. ' : ''}{besideLines(moment, evening).join('. ')}{besideLines(
        moment,
        evening,
      ).length
        ? '. '
        : ''}{stirs ? 'Stir once, then not again.' : 'Lay it on top, level, and do not stir.'} Taste the liquid:
      it should be a little too salty. Lid on, full flame.
    </span>
  </li>
</ol>
<div class="mt-5 flex flex-wrap gap-3">
  <button class="btn btn-primary stove-btn grow" onclick={() => done()}
    >{rice ? 'The rice is in' : 'They are in'}</button
  >
  <button class="btn stove-btn" onclick={() => (earlier = !earlier)}>It went in before…</button>
</div>
{#if earlier}<EarlierPicker onpick={done} />{/if}
