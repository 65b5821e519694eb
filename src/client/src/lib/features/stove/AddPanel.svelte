<script lang="ts">
  import FigureField from '../../ui/FigureField.svelte';
  import { api, type Extra, type StoveState } from '../../api/client';
  import { say } from '../../messages/say';
  import type { AtStove } from '../../state/stove/stove.svelte';
  import MeasureField from '../../ui/MeasureField.svelte';
  import { unitOf } from '../../ui/measure';
  import { units } from '../../messages/units.svelte';

  type Props = { stove: AtStove; evening: StoveState; onclose: () => void; onmove?: () => void };
  let { stove, evening, onclose, onmove }: Props = $props();

  let extras = $state.raw<Extra[]>([]);
  let what = $state('leaf');
  let pieces = $state(1);
  let weight = $state<number | null>(null);
  let ago = $state(0);
  /** Half of it now, the rest after so many minutes; null: all at once. */
  let rest = $state<number | null>(null);
  let water = $state<number | null>(null);
  let level = $state<number | null>(null);
  let probe = $state<number | null>(null);
  const chosen = $derived(extras.find((x) => x.id === what));
  $effect(() => void api.extras().then((answer) => answer.ok && (extras = answer.value as Extra[])));

  function top(millilitres: number) {
    stove.tell({ kind: 'water', millilitres, celsius: 100, minutesAgo: ago });
    onclose();
  }
  function out(entry: { kind: 'drain' | 'mash'; what?: string; ingredient?: string }) {
    stove.tell({ ...entry, minutesAgo: ago });
    onclose();
  }
  function into() {
    const whole = weight ?? null;
    const half = rest !== null && whole !== null ? whole / 2 : whole;
    stove.tell({
      kind: 'went_in',
      ingredient: what,
      count: chosen?.comesOut ? pieces : null,
      grams: half,
      minutesAgo: ago,
    });
    if (rest !== null && half !== null)
      stove.tell({ kind: 'later', ingredient: what, grams: half, count: rest });
    onclose();
  }
</script>

<section class="dish mt-4 p-5" aria-labelledby="add">
  <div class="flex items-center justify-between gap-3">
    <h2 id="add" class="text-2xl">{say('add.title')}</h2>
    <button class="btn stove-btn btn-ghost" onclick={onclose}>{say('panel.close')}</button>
  </div>
  <label class="mt-2 flex items-center gap-3 text-lg">
    {say('add.ago')}
    <FigureField width="w-24" min="0" max="5000" bind:value={ago} />
  </label>

  <fieldset class="mt-4">
    <legend class="text-lg font-semibold">{say('add.water')}</legend>
    <div class="mt-1 flex flex-wrap items-center gap-2">
      {#each [50, 100, 200, 300] as ml (ml)}
        <button class="btn stove-btn" onclick={() => top(ml)}
          >{say('add.water.amount', { millilitres: ml })}</button
        >
      {/each}
      <MeasureField
        of="millilitres"
        class="input h-14 w-28 text-xl"
        label={say('add.water.label', { unit: unitOf('millilitres', units.us) })}
        placeholder={unitOf('millilitres', units.us)}
        bind:value={water}
      />
      <button class="btn stove-btn" disabled={!water} onclick={() => water && top(water)}
        >{say('add.water.add')}</button
      >
    </div>
  </fieldset>

  <fieldset class="mt-4">
    <legend class="text-lg font-semibold">{say('add.extra')}</legend>
    <div class="mt-1 flex flex-wrap items-center gap-2">
      <select class="select h-14 w-56 text-lg" aria-label={say('add.extra.what')} bind:value={what}>
        {#each extras as extra (extra.id)}<option value={extra.id}>{extra.name}</option>{/each}
      </select>
      {#if chosen?.comesOut}
        <FigureField width="w-20" min="1" max="50" label={say('add.extra.pieces')} bind:value={pieces} />
        <span class="text-lg">{say('add.extra.out')}</span>
      {:else}
        <MeasureField
          of="grams"
          class="input h-14 w-28 text-xl"
          label={say('add.extra.grams', { unit: unitOf('grams', units.us) })}
          placeholder={unitOf('grams', units.us)}
          bind:value={weight}
        />
        <label class="flex items-center gap-2 text-lg">
          {say('add.extra.half')}
          <FigureField width="w-20" min="1" max="600" label={say('add.extra.rest')} bind:value={rest} />
          {say('add.extra.min')}
        </label>
      {/if}
      <button class="btn btn-primary stove-btn" onclick={into}>{say('add.extra.in')}</button>
    </div>
  </fieldset>

  {#if evening.pot}
    <fieldset class="mt-4">
      <legend class="text-lg font-semibold">{say('add.out')}</legend>
      <div class="mt-1 flex flex-wrap gap-2">
        <button class="btn stove-btn" onclick={() => out({ kind: 'drain' })}>{say('add.drained')}</button>
        <button class="btn stove-btn" onclick={() => out({ kind: 'drain', what: 'jug' })}
          >{say('add.drained_jug')}</button
        >
        <button class="btn stove-btn" onclick={() => out({ kind: 'mash', ingredient: 'pulse' })}
          >{say('add.crushed')}</button
        >
        {#if onmove}<button class="btn stove-btn" onclick={onmove}>{say('add.moved')}</button>{/if}
      </div>
    </fieldset>
  {/if}

  <fieldset class="mt-4">
    <legend class="text-lg font-semibold">{say('add.measured')}</legend>
    <div class="mt-1 flex flex-wrap items-center gap-2">
      <MeasureField
        of="centimetres"
        class="input h-14 w-28 text-xl"
        label={say('add.level.label', { unit: unitOf('centimetres', units.us) })}
        placeholder={say('add.level.hint', { unit: unitOf('centimetres', units.us) })}
        bind:value={level}
      />
      <button
        class="btn stove-btn"
        disabled={level === null}
        onclick={() => {
          stove.tell({ kind: 'over_bed', centimetres: level, minutesAgo: ago });
          onclose();
        }}>{say('add.level')}</button
      >
      <MeasureField
        of="celsius"
        class="input h-14 w-28 text-xl"
        label={say('add.probe.label', { unit: unitOf('celsius', units.us) })}
        placeholder={unitOf('celsius', units.us)}
        bind:value={probe}
      />
      <button
        class="btn stove-btn"
        disabled={probe === null}
        onclick={() => {
          stove.tell({ kind: 'probed', celsius: probe, minutesAgo: ago });
          onclose();
        }}>{say('add.probe')}</button
      >
    </div>
  </fieldset>
  {#if evening.pot}
    <fieldset class="mt-4">
      <legend class="text-lg font-semibold">{say('add.flame')}</legend>
      <div class="mt-1 flex flex-wrap gap-2">
        {#each ['off', 'gentle', 'lively', 'full'] as const as id (id)}
          <button
            class="btn stove-btn"
            class:btn-primary={evening.pot.flame === id}
            aria-pressed={evening.pot.flame === id}
            onclick={() => stove.tell({ kind: 'flame', what: id, minutesAgo: ago })}
            >{say(`add.flame.${id}`)}</button
          >
        {/each}
        {#each ['open', 'ajar', 'on'] as const as id (id)}
          <button
            class="btn stove-btn"
            class:btn-primary={evening.pot.lid === id}
            aria-pressed={evening.pot.lid === id}
            onclick={() => stove.tell({ kind: 'lid', what: id, minutesAgo: ago })}
            >{say(`add.lid.${id}`)}</button
          >
        {/each}
      </div>
    </fieldset>
  {/if}
</section>
