<script lang="ts">
  import type { Kitchen, WayLine } from '../../api/client';
  import type { Alternative } from '../../api/problem';
  import { tickHour } from '../../format/time';
  import { hours } from '../../ui/axis';
  import { axisOf, textureWord, whyLine } from '../../format/ways';
  import { capital } from '../../format/words';
  import { say } from '../../messages/say';
  import type { Tonight } from '../../state/tonight.svelte';
  import { Ways, asDish, firstOf, isWayOf, keyOf } from '../../state/ways.svelte';
  import WayRefused from './WayRefused.svelte';
  import WayRow from './WayRow.svelte';

  type Props = { tonight: Tonight; kitchen: Kitchen };
  let { tonight, kitchen }: Props = $props();

  /** What stands beside the picture without scrolling. */
  const few = 5;

  const ways = new Ways();
  let all = $state(false);
  let width = $state(320);

  // After the plan: both cores are its own first.
  $effect(() => {
    const dish = tonight.asked;
    if (!tonight.asking) ways.follow(dish);
  });

  const isOpen = (way: WayLine) => isWayOf(way, tonight.dish);
  const works = $derived(ways.list.filter((w) => w.tableAt));
  const refused = $derived(ways.list.filter((w) => !w.tableAt));
  const shown = $derived(all ? works : firstOf(works, isOpen, few));
  const open = $derived(works.find(isOpen));
  /** What the press shows that is not to be seen yet. */
  const unfold = $derived.by(() => {
    const counts = { count: works.length - shown.length, refused: refused.length };
    if (all) return say('ways.fewer');
    if (!counts.count) return say('ways.only_refused', counts);
    return counts.refused ? say('ways.more_and_refused', counts) : say('ways.more', counts);
  });
  const axis = $derived(axisOf(shown));
  const edge = 8;
  const x = $derived(hours(axis, [edge, Math.max(width - edge, 2 * edge)]));
  /** Half of an hour's letters, px: none is cut off at an edge. */
  const half = 16;
  const ticks = $derived(x.ticks(width > 300 ? 6 : 4).filter((t) => x(t) >= half && x(t) <= width - half));

  function mend(way: WayLine, offer: Alternative) {
    tonight.dish = { ...tonight.dish, ...asDish(way) };
    void tonight.take(offer);
  }

  const double = () => {
    const grams = tonight.plan?.measureOut.pulseGrams ?? 0;
    void tonight.change({ pulse: { value: grams * 2, unit: 'g' } });
  };
</script>

<section class="dish ways no-print px-4 pt-2 pb-2" aria-labelledby="ways-title" data-asking={ways.asking}>
  <div class="flex min-h-8 flex-wrap items-center gap-x-4">
    <h2 id="ways-title" class="text-lg">{say('ways.title')}</h2>
    {#if ways.asking}
      <span class="flex items-center gap-2 text-sm" role="status">
        <progress class="progress progress-primary w-24" value={ways.tried} max={Math.max(ways.of, 1)}
        ></progress>
        <span class="sr-only sm:not-sr-only"
          >{ways.of ? say('ways.tried', { tried: ways.tried, all: ways.of }) : say('ways.trying')}</span
        >
        <button class="btn btn-ghost btn-xs" onclick={() => ways.stop()}>{say('ways.stop')}</button>
      </span>
    {:else if ways.stopped}
      <button class="btn btn-ghost btn-xs" onclick={() => ways.ask(tonight.asked)}>{say('ways.again')}</button
      >
    {/if}
    {#if ways.list.length}
      <button
        class="btn btn-ghost btn-sm ml-auto px-2"
        aria-expanded={all}
        onclick={() => (all = !all)}
        data-all-ways
      >
        {unfold}
      </button>
    {/if}
  </div>
  {#if ways.problem && !tonight.problem}
    <p class="text-error" role="alert">{ways.problem.detail}</p>
  {/if}
  {#if works.length}
    <div class="ways-grid" class:opacity-75={ways.asking}>
      <p class="way-head" aria-hidden="true">
        <span class="way-start">{say('ways.starts')}</span>
        <span class="way-line block min-w-0" bind:clientWidth={width}>
          <svg {width} height="18" class="block">
            {#each ticks as tick (tick.getTime())}
              <text x={x(tick)} y="13" text-anchor="middle" class="fill-base-content text-[11.5px]"
                >{tickHour(tick, kitchen.zone)}</text
              >
            {/each}
          </svg>
        </span>
        <span class="way-chance">{say('ways.right')}</span>
        <span class="way-hands">{say('ways.hands')}</span>
      </p>
      <div role="radiogroup" aria-labelledby="ways-title">
        {#each shown as way (keyOf(way))}
          <WayRow
            {way}
            {kitchen}
            {x}
            {width}
            least={edge}
            open={isOpen(way)}
            onshow={() => tonight.change(asDish(way))}
          />
        {/each}
      </div>
    </div>
    {#if open?.facts}
      <p class="border-base-300 mt-1 border-t pt-1 text-[0.95rem]">
        {capital(whyLine(open.facts.why))}; {textureWord(open.facts.texture)}; {say('ways.energy', {
          energy: open.facts.energyKilowattHours,
        })}
      </p>
    {/if}
  {:else if !ways.asking && ways.list.length}
    <p class="py-1">{say('ways.none')}</p>
  {:else if ways.asking && !ways.list.length}
    <div class="ways-wait" aria-hidden="true"></div>
  {/if}
  {#if all && ways.list.length}
    <p class="mt-1 text-sm opacity-85">{say('ways.legend')}</p>
    {#if refused.length}
      <h3 class="mt-3 text-base">{say('ways.refused')}</h3>
      <ul>
        {#each refused as way (keyOf(way))}
          <WayRefused {way} today={kitchen.nowLocal.slice(0, 10)} onmend={(offer) => mend(way, offer)} />
        {/each}
      </ul>
    {/if}
    {#if tonight.plan}
      <div class="border-base-300 mt-2 flex flex-wrap items-center gap-3 border-t pt-3 pb-1">
        <p class="min-w-0 flex-1 basis-64">
          <strong>{say('ways.double.title')}</strong>
          {ways.doubleRefused ?? say('ways.double.detail')}
        </p>
        {#if !ways.doubleRefused}
          <button class="btn btn-outline btn-primary" onclick={double}>{say('ways.double.press')}</button>
        {/if}
      </div>
    {/if}
  {/if}
</section>
