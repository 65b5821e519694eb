<script lang="ts">
  import FigureField from '../../ui/FigureField.svelte';
  import type { StoveAfter, StoveState } from '../../api/client';
  import { countdown } from '../../format/stove';
  import { clock, dayName, dayOf } from '../../format/time';
  import type { Stove } from '../../state/stove/stove.svelte';
  import { say } from '../../messages/say';
  import Marked from '../../ui/Marked.svelte';

  type Props = { stove: Stove; evening: StoveState; after: StoveAfter; onfinish: () => void };
  let { stove, evening, after, onfinish }: Props = $props();

  let portions = $state(2);
  const left = $derived(Date.parse(after.chillBy) - stove.clock.now);
  const late = $derived(after.tooLate || (!after.putAwayAt && left < 0));
  const today = $derived(dayOf(evening.now, evening.zone));
  const served = $derived({
    day: dayOf(after.servedAt, evening.zone),
    time: clock(after.servedAt, evening.zone),
  });
  const eatBy = $derived({
    day: dayName(dayOf(after.eatBy, evening.zone), today),
    time: clock(after.eatBy, evening.zone),
  });
  const put = (what: string) =>
    stove.tell({ kind: 'put_away', what, count: what === 'gone' ? null : portions });
</script>

<section class="dish p-5 sm:p-7" class:no-print={!!after.putAwayAt} aria-labelledby="now">
  {#if after.putAwayAt}
    <h1 id="now" class="now">
      {say('after.put_away', { how: after.putAwayAs })}
    </h1>
    <p class="mt-2 text-2xl">
      {#if after.putAwayAs === 'fridge'}
        <Marked text={say('after.chilled', { portions: after.portions, ...eatBy })} />
      {:else if after.putAwayAs === 'freezer'}
        {say('after.frozen', { portions: after.portions })}
      {:else if after.putAwayAs === 'warm'}
        {say('after.warm', { celsius: after.hotCelsius })}
      {/if}
    </p>
  {:else}
    <h1 id="now" class="now">{say('after.served')}</h1>
    <p class="mt-2 text-2xl">{say('after.amount', { grams: after.cookedGrams, plate: after.plates })}</p>
    {#if !late}
      <p class="mt-3 text-xl">
        <Marked text={say('after.chill_by', { time: clock(after.chillBy, evening.zone) })} />
      </p>
      <p class="display text-5xl tabular-nums" role="timer">{countdown(left)}</p>
    {/if}
  {/if}
  {#if late}
    <p class="alert alert-error mt-3 text-xl" role="alert">
      {say('after.too_late', { celsius: after.hotCelsius })}
    </p>
  {/if}
  {#if !after.putAwayAt}
    <p class="mt-3 text-lg">{say('after.spread')}</p>
    <label class="mt-3 flex items-center gap-3 text-xl">
      {say('after.portions')}
      <FigureField width="w-24" min="1" max="50" bind:value={portions} />
    </label>
    <div class="mt-4 flex flex-wrap gap-3">
      <button class="btn btn-primary stove-btn grow" onclick={() => put('fridge')}
        >{say('after.fridge')}</button
      >
      <button class="btn stove-btn grow" onclick={() => put('freezer')}>{say('after.freezer')}</button>
      <button class="btn stove-btn" onclick={() => put('warm')}>{say('after.kept_warm')}</button>
      <button class="btn stove-btn" onclick={() => put('gone')}>{say('after.nothing')}</button>
    </div>
  {:else}
    <div class="no-print mt-4 flex flex-wrap gap-3">
      {#if after.putAwayAs === 'fridge' || after.putAwayAs === 'freezer'}
        <button class="btn btn-primary stove-btn" onclick={() => print()}>{say('after.labels')}</button>
      {/if}
      <button class="btn stove-btn" onclick={onfinish}>{say('after.close')}</button>
    </div>
  {/if}
  <p class="mt-4 text-base">
    {say('after.next_day', {
      millilitres: after.nextDayWaterMillilitres,
      celsius: after.reheatCelsius,
      rule: after.rule,
    })}
  </p>
</section>

<!-- Labels for the boxes. -->
{#if after.putAwayAt && after.portions}
  <div class="labels hidden print:grid">
    {#each Array.from({ length: after.portions }, (_, n) => n) as i (i)}
      <div class="label">
        <strong>{evening.title}</strong>
        <span>{say('label.cooked', served)}</span>
        {#if after.putAwayAs === 'fridge'}
          <span>{say('label.eat_by', { ...eatBy, day: dayOf(after.eatBy, evening.zone) })}</span>
        {:else}
          <span>{say('label.frozen')}</span>
        {/if}
        <span>{say('label.reheat', { number: i + 1, of: after.portions, celsius: after.reheatCelsius })}</span
        >
      </div>
    {/each}
  </div>
{/if}
