<script lang="ts">
  import { api, type Dish, type Kitchen, type WayEvent, type WayLine } from '../../api/client';
  import type { Alternative, Problem } from '../../api/problem';
  import { axisOf } from '../../format/ways';
  import type { Tonight } from '../../state/tonight.svelte';
  import WayRow from './WayRow.svelte';

  type Props = { tonight: Tonight; kitchen: Kitchen };
  let { tonight, kitchen }: Props = $props();

  let ways = $state.raw<WayLine[]>([]);
  let tried = $state(0);
  let of = $state(0);
  let doubleRefused = $state<string | null>(null);
  let done = $state(false);
  let problem = $state<Problem | null>(null);
  let abort = $state.raw<AbortController | null>(null);
  let asked = '';
  let shown = $state(false);
  const axis = $derived(axisOf(ways));

  function told(event: WayEvent) {
    of = event.of;
    if (event.way) {
      tried += 1;
      ways = [...ways, event.way];
    } else if (event.all) {
      ways = event.all;
      doubleRefused = event.doubleRefused ?? null;
      done = true;
    }
  }

  async function ask(dish: Dish) {
    abort?.abort();
    const own = (abort = new AbortController());
    [ways, tried, done, problem] = [[], 0, false, null];
    try {
      const answer = await api.ways({ ...dish, pull: null }, own.signal, (e) => own === abort && told(e));
      if (own !== abort) return;
      problem = answer.ok ? null : answer.problem;
      abort = null;
    } catch (error) {
      if (!(error instanceof DOMException && error.name === 'AbortError')) throw error;
    }
  }

  function cancel() {
    abort?.abort();
    abort = null;
    asked = '';
  }

  // The list follows the dish while it is open; what each way fixes itself does not count as a change of dish.
  $effect(() => {
    const dish = { ...tonight.dish };
    const riceVesselId = dish.riceVesselId === 'bowl_above' ? null : dish.riceVesselId;
    const key = JSON.stringify({
      ...dish,
      riceVesselId,
      riceJoin: null,
      method: '',
      cookerId: '',
      soak: '',
      pull: null,
    });
    if (!shown || key === asked) return;
    asked = key;
    void ask(dish);
  });

  const isOpen = (way: WayLine) =>
    !way.pulseId &&
    way.method === (tonight.dish.method ?? 'open_pot') &&
    way.soak === tonight.dish.soak &&
    (way.cookerId ?? null) === (tonight.dish.cookerId ?? null) &&
    (way.riceVesselId ?? null) === (tonight.dish.riceVesselId ?? null) &&
    (!!way.riceVesselId || way.riceJoin === (tonight.dish.riceJoin ?? 'in_the_pot'));

  const asDish = (way: WayLine): Partial<Dish> => ({
    method: way.method,
    soak: way.soak,
    cookerId: way.cookerId,
    riceVesselId: way.riceVesselId,
    riceJoin: way.riceJoin,
    ...(way.pulseId ? { pulseId: way.pulseId } : {}),
  });

  function mend(way: WayLine, offer: Alternative) {
    tonight.dish = { ...tonight.dish, ...asDish(way) };
    void tonight.take(offer);
  }

  const double = () => {
    const grams = tonight.plan?.measureOut.pulseGrams ?? 0;
    void tonight.change({ pulse: { value: grams * 2, unit: 'g' } });
  };
</script>

<details class="dish no-print mt-4 p-4" bind:open={shown}>
  <summary class="display cursor-pointer text-xl">All ways in this kitchen</summary>
  {#if abort}
    <div class="mt-3 flex flex-wrap items-center gap-3" role="status">
      <progress class="progress progress-primary w-48" value={tried} max={Math.max(of, 1)}></progress>
      <span>{of ? `${tried} of ${of} tried, each on 128 pots` : 'Trying each of them on 128 pots'}</span>
      <button class="btn btn-sm btn-outline btn-primary" onclick={cancel}>Stop</button>
    </div>
  {:else if problem}
    <p class="text-error mt-3" role="alert">{problem.detail}</p>
  {:else if !done}
    <p class="mt-3">
      Stopped. <button class="btn btn-sm btn-primary" onclick={() => ask({ ...tonight.dish })}
        >Try all ways</button
      >
    </p>
  {/if}
  {#if ways.length}
    <ul class="mt-2">
      {#each ways as way (way.method + way.soak + way.cookerId + way.pulseId + way.riceVesselId + way.riceJoin)}
        <WayRow
          {way}
          {kitchen}
          {axis}
          open={isOpen(way)}
          onshow={() => tonight.change(asDish(way))}
          onmend={(offer) => mend(way, offer)}
        />
      {/each}
    </ul>
    <p class="mt-2 text-sm opacity-85">
      Blue: you are at the stove. The dot is the table, the soft bar the range of eight dinners in ten.
    </p>
    {#if done && tonight.plan}
      <div class="border-base-300 mt-3 flex flex-wrap items-center gap-3 border-t pt-3">
        <p class="min-w-0 flex-1 basis-64">
          <strong>Cook double, freeze half.</strong>
          {doubleRefused ??
            'Twice the pulses in the same pot; the second half cools flat and goes into the freezer within the hour.'}
        </p>
        {#if !doubleRefused}
          <button class="btn btn-outline btn-primary" onclick={double}>Double it</button>
        {/if}
      </div>
    {/if}
  {/if}
</details>
