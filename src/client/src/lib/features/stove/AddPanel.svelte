<script lang="ts">
  import FigureField from '../../ui/FigureField.svelte';
  import { api, type Extra, type StoveState } from '../../api/client';
  import { say } from '../../messages/say';
  import type { Stove } from '../../state/stove/stove.svelte';

  type Props = { stove: Stove; evening: StoveState; onclose: () => void; onmove: () => void };
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
    <h2 id="add" class="text-2xl">What went in, what was seen?</h2>
    <button class="btn stove-btn btn-ghost" onclick={onclose}>Close</button>
  </div>
  <label class="mt-2 flex items-center gap-3 text-lg">
    Minutes ago
    <FigureField width="w-24" min="0" max="5000" bind:value={ago} />
  </label>

  <fieldset class="mt-4">
    <legend class="text-lg font-semibold">Boiling water, topped up</legend>
    <div class="mt-1 flex flex-wrap items-center gap-2">
      {#each [50, 100, 200, 300] as ml (ml)}
        <button class="btn stove-btn" onclick={() => top(ml)}>{ml} mL</button>
      {/each}
      <FigureField min="5" label="Water, mL" placeholder="mL" bind:value={water} />
      <button class="btn stove-btn" disabled={!water} onclick={() => water && top(water)}>Add</button>
    </div>
  </fieldset>

  <fieldset class="mt-4">
    <legend class="text-lg font-semibold">Something else went in</legend>
    <div class="mt-1 flex flex-wrap items-center gap-2">
      <select class="select h-14 w-56 text-lg" aria-label="What" bind:value={what}>
        {#each extras as extra (extra.id)}<option value={extra.id}>{extra.name}</option>{/each}
      </select>
      {#if chosen?.comesOut}
        <FigureField width="w-20" min="1" max="50" label="Pieces" bind:value={pieces} />
        <span class="text-lg">to come out again</span>
      {:else}
        <FigureField min="0" step="0.5" label="Grams" placeholder="g" bind:value={weight} />
        <span class="text-lg">g</span>
        <label class="flex items-center gap-2 text-lg">
          half now, the rest in
          <FigureField width="w-20" min="1" max="600" label="The rest after, minutes" bind:value={rest} />
          min
        </label>
      {/if}
      <button class="btn btn-primary stove-btn" onclick={into}>It is in</button>
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
        <button class="btn stove-btn" onclick={onmove}>{say('add.moved')}</button>
      </div>
    </fieldset>
  {/if}

  <fieldset class="mt-4">
    <legend class="text-lg font-semibold">Level by ruler, temperature by probe</legend>
    <div class="mt-1 flex flex-wrap items-center gap-2">
      <FigureField step="0.1" label="Liquid over the bed, cm" placeholder="cm over" bind:value={level} />
      <button
        class="btn stove-btn"
        disabled={level === null}
        onclick={() => {
          stove.tell({ kind: 'over_bed', centimetres: level, minutesAgo: ago });
          onclose();
        }}>Level</button
      >
      <FigureField step="0.5" label="Temperature, °C" placeholder="°C" bind:value={probe} />
      <button
        class="btn stove-btn"
        disabled={probe === null}
        onclick={() => {
          stove.tell({ kind: 'probed', celsius: probe, minutesAgo: ago });
          onclose();
        }}>Probe</button
      >
    </div>
  </fieldset>
  {#if evening.pot}
    <fieldset class="mt-4">
      <legend class="text-lg font-semibold">Flame and lid</legend>
      <div class="mt-1 flex flex-wrap gap-2">
        {#each [['off', 'Flame off'], ['gentle', 'Least that bubbles'], ['lively', 'Lively'], ['full', 'Full']] as const as [id, name] (id)}
          <button
            class="btn stove-btn"
            class:btn-primary={evening.pot.flame === id}
            onclick={() => stove.tell({ kind: 'flame', what: id, minutesAgo: ago })}>{name}</button
          >
        {/each}
        {#each [['open', 'Lid off'], ['ajar', 'Ajar'], ['on', 'Lid on']] as const as [id, name] (id)}
          <button
            class="btn stove-btn"
            class:btn-primary={evening.pot.lid === id}
            onclick={() => stove.tell({ kind: 'lid', what: id, minutesAgo: ago })}>{name}</button
          >
        {/each}
      </div>
    </fieldset>
  {/if}
</section>
