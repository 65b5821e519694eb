<script lang="ts">
  import type { StoveMoment, StoveState } from '../../api/client';
  import { overBed } from '../../format/amounts';
  import { besideLines } from '../../format/stove';
  import type { Line } from '../../format/words';
  import type { AtStove } from '../../state/stove/stove.svelte';
  import EarlierPicker from './EarlierPicker.svelte';
  import { say } from '../../messages/say';
  import Marked from '../../ui/Marked.svelte';
  import MeasureField from '../../ui/MeasureField.svelte';
  import { shownMeasure, unitOf } from '../../ui/measure';
  import { units } from '../../messages/units.svelte';

  type Props = { stove: AtStove; evening: StoveState; moment: StoveMoment; line: Line };
  let { stove, evening, moment, line }: Props = $props();

  const join = $derived(moment.join!);
  let by = $state<'jug' | 'ruler' | 'eye'>('jug');
  let typed = $state<number | null>(null);
  let earlier = $state(false);
  const pot = $derived(evening.vessels.find((v) => v.id === moment.lane));
  const level = $derived(by === 'ruler');
  const measure = $derived(level ? 'centimetres' : 'millilitres');
  const unit = $derived(unitOf(measure, units.us));
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
    <span class="font-semibold">{say('join.how_much')}</span>
    <span class="block text-lg">
      {say('join.expected', { low: join.foundMillilitres.low, high: join.foundMillilitres.high })}
    </span>
    <div class="mt-2 flex flex-wrap items-center gap-2">
      <MeasureField
        of={measure}
        class="input h-14 w-32 text-2xl"
        label={say(level ? 'join.level_label' : 'join.liquid_label', { unit })}
        placeholder={shownMeasure(
          measure,
          level ? evening.pot?.overBedCentimetres : join.foundMillilitres.mid,
          units.us,
        )}
        bind:value={typed}
      />
      <span class="text-xl"
        >{level
          ? measured === null
            ? say('join.over_bed', { unit })
            : say('join.over_bed_is', { unit, millilitres: measured })
          : unit}</span
      >
      <span class="join" role="group" aria-label={say('join.by')}>
        {#each ['jug', 'ruler', 'eye'] as const as id (id)}
          <button
            class="btn stove-btn join-item"
            class:btn-primary={by === id}
            aria-pressed={by === id}
            onclick={() => ((by = id), (typed = null))}
          >
            {say(`join.by.${id}`)}
          </button>
        {/each}
      </span>
    </div>
  </li>
  <li>
    <span class="font-semibold">
      <Marked
        class="text-secondary text-3xl"
        text={add > 15
          ? say('join.add', { millilitres: add })
          : add < -40
            ? say('join.boil_down', { millilitres: -add })
            : say('join.right')}
      />
    </span>
    <span class="block text-lg">
      {say('join.then', {
        what: rice ? 'rice' : 'pulses',
        millilitres: join.neededMillilitres,
        level: overBed(join.neededOverBedCentimetres),
        pot: pot?.name,
      })}
    </span>
  </li>
  <li>
    <span class="font-semibold">{say('join.third', { line: line.title })}</span>
    <span class="block text-lg">
      {[
        rinse ? say('join.rinse') : '',
        ...besideLines(moment, evening).map((l) => say('join.beside', { line: l })),
        stirs ? say('join.stir') : say('join.lay'),
        say('join.taste'),
      ]
        .filter(Boolean)
        .join(' ')}
    </span>
  </li>
</ol>
<div class="mt-5 flex flex-wrap gap-3">
  <button class="btn btn-primary stove-btn grow" onclick={() => done()}
    >{rice ? say('join.rice_in') : say('join.pulses_in')}</button
  >
  <button class="btn stove-btn" onclick={() => (earlier = !earlier)}>{say('join.before')}</button>
</div>
{#if earlier}<EarlierPicker onpick={done} />{/if}
