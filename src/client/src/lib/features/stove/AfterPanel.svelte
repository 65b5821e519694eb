<script lang="ts">
  import FigureField from '../../ui/FigureField.svelte';
  import type { StoveAfter, StoveState } from '../../api/client';
  import { degrees, grams, millilitres } from '../../format/amounts';
  import { countdown } from '../../format/stove';
  import { clock, dayName, dayOf } from '../../format/time';
  import type { Stove } from '../../state/stove/stove.svelte';

  type Props = { stove: Stove; evening: StoveState; after: StoveAfter; onfinish: () => void };
  let { stove, evening, after, onfinish }: Props = $props();

  let portions = $state(2);
  const left = $derived(Date.parse(after.chillBy) - stove.clock.now);
  const late = $derived(after.tooLate || (!after.putAwayAt && left < 0));
  const today = $derived(dayOf(evening.now, evening.zone));
  const rules: Record<string, string> = {
    cautious: 'the strictest of several countries’ rules',
    uk: 'advice of the kind given in the United Kingdom',
    us: 'advice of the kind given in the United States',
    au_nz: 'advice of the kind given in Australia and New Zealand',
    ca: 'advice of the kind given in Canada',
  };
  const put = (what: string) =>
    stove.tell({ kind: 'put_away', what, count: what === 'gone' ? null : portions });
</script>

<section class="dish p-5 sm:p-7" class:no-print={!!after.putAwayAt} aria-labelledby="now">
  {#if after.putAwayAt}
    <h1 id="now" class="now">
      {after.putAwayAs === 'freezer'
        ? 'Frozen'
        : after.putAwayAs === 'fridge'
          ? 'Chilled'
          : after.putAwayAs === 'warm'
            ? 'Kept warm'
            : 'All eaten'}
    </h1>
    <p class="mt-2 text-2xl">
      {#if after.putAwayAs === 'fridge'}
        {after.portions} portions, eat by
        <strong>{clock(after.eatBy, evening.zone)} {dayName(dayOf(after.eatBy, evening.zone), today)}</strong
        >.
      {:else if after.putAwayAs === 'freezer'}
        {after.portions} portions. Safe while frozen; best within two months.
      {:else if after.putAwayAs === 'warm'}
        At {degrees(after.hotCelsius)} or more, by a probe each hour; rice dries, beans go on softening.
      {/if}
    </p>
  {:else}
    <h1 id="now" class="now">On the table</h1>
    <p class="mt-2 text-2xl">About {grams(after.cookedGrams)}: {grams(after.plates)} a plate.</p>
    {#if !late}
      <p class="mt-3 text-xl">Into the fridge by <strong>{clock(after.chillBy, evening.zone)}</strong></p>
      <p class="display text-5xl tabular-nums" role="timer">{countdown(left)}</p>
    {/if}
  {/if}
  {#if late}
    <p class="bg-error text-error-content mt-3 rounded-xl p-4 text-xl" role="alert">
      It has stood too long. Unless a probe found it at {degrees(after.hotCelsius)} or more within the time, throw
      it away: heating it again does not make it safe.
    </p>
  {/if}
  {#if !after.putAwayAt}
    <p class="mt-3 text-lg">Spread flat, not over 5 cm deep, lid ajar until it is in.</p>
    <label class="mt-3 flex items-center gap-3 text-xl">
      Portions left
      <FigureField width="w-24" min="1" max="50" bind:value={portions} />
    </label>
    <div class="mt-4 flex flex-wrap gap-3">
      <button class="btn btn-primary stove-btn grow" onclick={() => put('fridge')}>In the fridge</button>
      <button class="btn stove-btn grow" onclick={() => put('freezer')}>In the freezer</button>
      <button class="btn stove-btn" onclick={() => put('warm')}>Kept warm</button>
      <button class="btn stove-btn" onclick={() => put('gone')}>Nothing left</button>
    </div>
  {:else}
    <div class="no-print mt-4 flex flex-wrap gap-3">
      {#if after.putAwayAs === 'fridge' || after.putAwayAs === 'freezer'}
        <button class="btn btn-primary stove-btn" onclick={() => print()}>Print labels</button>
      {/if}
      <button class="btn stove-btn" onclick={onfinish}>Close the evening</button>
    </div>
  {/if}
  <p class="mt-4 text-base">
    Next day stir in about {millilitres(after.nextDayWaterMillilitres)} of water and heat it to {degrees(
      after.reheatCelsius,
    )} all through, once. By {rules[after.rule] ?? 'your rule'}; local guidance comes first.
  </p>
</section>

<!-- Labels for the boxes. -->
{#if after.putAwayAt && after.portions}
  <div class="labels hidden print:grid">
    {#each Array.from({ length: after.portions }, (_, n) => n) as i (i)}
      <div class="label">
        <strong>{evening.title}</strong>
        <span>cooked {dayOf(after.servedAt, evening.zone)} {clock(after.servedAt, evening.zone)}</span>
        {#if after.putAwayAs === 'fridge'}
          <span>eat by {dayOf(after.eatBy, evening.zone)} {clock(after.eatBy, evening.zone)}</span>
        {:else}
          <span>frozen</span>
        {/if}
        <span>{i + 1} of {after.portions} · heat to {degrees(after.reheatCelsius)}</span>
      </div>
    {/each}
  </div>
{/if}
