<script lang="ts">
  import { api, type Dish, type Kitchen, type WayLine } from '../../api/client';
  import { dinnersOf } from '../../format/chance';
  import { clock, dayName, dayOf, range } from '../../format/time';
  import { capital, wayName } from '../../format/words';
  import type { Load } from '../../state/load';
  import type { Tonight } from '../../state/tonight.svelte';

  type Props = { tonight: Tonight; kitchen: Kitchen };
  let { tonight, kitchen }: Props = $props();

  let ways = $state.raw<Load<WayLine[]> | { state: 'idle' }>({ state: 'idle' });
  let asked = '';
  let abort: AbortController | null = null;
  let shown = $state(false);
  const today = $derived(kitchen.nowLocal.slice(0, 10));

  async function ask(dish: Dish) {
    abort?.abort();
    const own = (abort = new AbortController());
    ways = { state: 'loading' };
    try {
      const answer = await api.ways(dish, own.signal);
      if (own.signal.aborted) return;
      ways = answer.ok
        ? { state: 'ready', value: answer.value }
        : { state: 'failed', problem: answer.problem };
    } catch (error) {
      if (!(error instanceof DOMException && error.name === 'AbortError')) throw error;
    }
  }

  // The list follows the dish while it is open; what each way fixes itself does not count as a change of dish.
  $effect(() => {
    const dish = { ...tonight.dish };
    const key = JSON.stringify({ ...dish, method: '', cookerId: '', soak: '' });
    if (!shown || key === asked) return;
    asked = key;
    void ask(dish);
  });

  const isOpen = (way: WayLine) =>
    !way.pulseId &&
    way.method === (tonight.dish.method ?? 'open_pot') &&
    way.soak === tonight.dish.soak &&
    (way.cookerId ?? null) === (tonight.dish.cookerId ?? null);

  const take = (way: WayLine) =>
    tonight.change({
      method: way.method,
      soak: way.soak,
      cookerId: way.cookerId,
      ...(way.pulseId ? { pulseId: way.pulseId } : {}),
    });
</script>

<details class="dish no-print mt-4 p-4" bind:open={shown}>
  <summary class="display cursor-pointer text-xl">All ways in this kitchen</summary>
  {#if ways.state === 'loading'}
    <p class="mt-3" role="status">Trying each of them on 128 pots…</p>
  {:else if ways.state === 'failed'}
    <p class="text-error mt-3" role="alert">{ways.problem.detail}</p>
  {:else if ways.state === 'ready'}
    <ul class="mt-2">
      {#each ways.value as way (way.method + way.soak + way.cookerId + way.pulseId)}
        <li
          class="border-base-300 grid gap-x-4 gap-y-1 border-t py-3 first:border-t-0 sm:grid-cols-[1fr_auto]"
        >
          <div>
            <p class="font-semibold">
              {way.pulseName ? `${way.pulseName} instead: ` : ''}{wayName(
                way.method,
                way.soak,
                way.cookerName ?? null,
              )}
            </p>
            {#if way.tableAt && way.startsAt}
              <p class="text-[0.95rem]">
                Begins {dayName(dayOf(way.startsAt, kitchen.zone), today)} at {clock(
                  way.startsAt,
                  kitchen.zone,
                )}; on the table {range(way.tableEarly ?? '', way.tableLate ?? '', kitchen.zone)}. {capital(
                  dinnersOf(way.withLooks ?? 0),
                )}
                with looks, {dinnersOf(way.byClock ?? 0)} by the clock.
              </p>
            {:else}
              <p class="text-[0.95rem]">{way.title}. {way.detail}</p>
            {/if}
          </div>
          {#if isOpen(way)}
            <p class="self-center font-semibold">shown above</p>
          {:else if way.tableAt}
            <button class="btn btn-outline btn-primary self-center" onclick={() => take(way)}>
              Show this<span class="sr-only">
                way: {wayName(way.method, way.soak, way.cookerName ?? null)}</span
              >
            </button>
          {/if}
        </li>
      {/each}
    </ul>
  {/if}
</details>
