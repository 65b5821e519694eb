<script lang="ts">
  import { scaleUtc } from 'd3-scale';
  import type { Kitchen, WayLine } from '../../api/client';
  import type { Alternative } from '../../api/problem';
  import { dinnersOf } from '../../format/chance';
  import { clock, dayName, dayOf, range } from '../../format/time';
  import { offerWords, textureWord, whyLine } from '../../format/ways';
  import { capital, wayName } from '../../format/words';

  type Props = {
    way: WayLine;
    kitchen: Kitchen;
    axis: [number, number];
    open: boolean;
    onshow: () => void;
    onmend: (offer: Alternative) => void;
  };
  let { way, kitchen, axis, open, onshow, onmend }: Props = $props();

  let width = $state(400);
  const zone = $derived(kitchen.zone);
  const today = $derived(kitchen.nowLocal.slice(0, 10));
  const name = $derived(
    `${way.pulseName ? `${way.pulseName} instead: ` : ''}${wayName(way.method, way.soak, way.cookerName ?? null, way.riceVesselId ?? null, way.cookedFrom, way.riceJoin)}`,
  );
  const x = $derived(
    scaleUtc()
      .domain(axis)
      .range([2, width - 2]),
  );
  const at = (iso: string | null | undefined) => Math.max(2, x(new Date(iso ?? 0)));
  const begins = $derived(way.startsAt ?? '');
  const early = $derived(Date.parse(begins) < axis[0]);
  const spans = $derived((way.facts?.beThere ?? []).filter((s) => Date.parse(s.to) > axis[0]));
  const ticks = $derived(x.ticks(width > 380 ? 5 : 3));
</script>

<li
  class="border-base-300 grid grid-cols-[minmax(0,1fr)] gap-x-5 gap-y-1 border-t py-3 first:border-t-0 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)]"
>
  <div>
    <p class="font-semibold">{name}</p>
    {#if way.facts && way.tableAt}
      <p class="text-[0.95rem]">
        {capital(whyLine(way.facts.why))}; {textureWord(way.facts.texture)}. On the table
        <strong>{range(way.tableEarly ?? '', way.tableLate ?? '', zone)}</strong>. {capital(
          dinnersOf(way.withLooks ?? 0),
        )} with looks, {dinnersOf(way.byClock ?? 0)} by the clock.
      </p>
      <p class="text-sm opacity-90">
        {way.facts.handsOnMinutes} min of hands · {way.facts.energyKilowattHours.toFixed(1)} kWh in the pot · begins
        {dayName(dayOf(begins, zone), today)} at {clock(begins, zone)}
      </p>
    {:else}
      <p class="text-[0.95rem]">{way.title}. {way.detail}</p>
    {/if}
  </div>
  <div class="flex items-center gap-3">
    {#if way.tableAt}
      <div class="min-w-0 flex-1" bind:clientWidth={width}>
        <svg
          {width}
          height="46"
          class="block"
          role="img"
          aria-label="{name}, drawn on the same hours as the others"
        >
          {#each ticks as tick (tick.getTime())}
            <line x1={x(tick)} x2={x(tick)} y1="0" y2="32" stroke="var(--color-base-300)" />
            <text x={x(tick)} y="45" text-anchor="middle" class="fill-base-content text-[11px]"
              >{clock(tick.toISOString(), zone)}</text
            >
          {/each}
          <line
            x1={at(begins)}
            x2={at(way.tableAt)}
            y1="17"
            y2="17"
            stroke="var(--color-base-content)"
            stroke-width="1.5"
            stroke-dasharray={early ? '2 4' : 'none'}
          />
          {#each spans as s (s.from)}
            <rect
              x={at(s.from)}
              y="8"
              width={Math.max(3, at(s.to) - at(s.from))}
              height="18"
              rx="4"
              fill="var(--color-primary)"
            />
          {/each}
          <rect
            x={at(way.tableEarly)}
            y="4"
            width={Math.max(2, at(way.tableLate) - at(way.tableEarly))}
            height="26"
            rx="6"
            fill="var(--color-secondary)"
            opacity="0.25"
          />
          <circle cx={at(way.tableAt)} cy="17" r="6" fill="var(--color-secondary)" />
        </svg>
      </div>
      {#if open}
        <p class="w-24 text-center font-semibold">shown above</p>
      {:else}
        <button class="btn btn-outline btn-primary w-24" onclick={onshow}
          >Show<span class="sr-only"> {name}</span></button
        >
      {/if}
    {:else}
      <div class="flex flex-wrap gap-2">
        {#each way.alternatives as offer, i (i)}
          <button class="btn btn-sm btn-outline btn-primary" onclick={() => onmend(offer as Alternative)}
            >{offerWords(offer as Alternative, today)}<span class="sr-only">: {name}</span></button
          >
        {/each}
      </div>
    {/if}
  </div>
</li>
