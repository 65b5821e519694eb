<script lang="ts">
  import type { Kitchen, WayLine } from '../../api/client';
  import { dinnersOf } from '../../format/chance';
  import { clock, dayName, dayOf, range } from '../../format/time';
  import type { TimeAxis } from '../../ui/axis';
  import { wayLabel } from '../../format/ways';
  import { capital } from '../../format/words';
  import { say } from '../../messages/say';

  type Props = {
    way: WayLine;
    kitchen: Kitchen;
    x: TimeAxis;
    /** From where on there is something to draw, px. */
    least: number;
    width: number;
    open: boolean;
    onshow: () => void;
  };
  let { way, kitchen, x, least, width, open, onshow }: Props = $props();

  const zone = $derived(kitchen.zone);
  const today = $derived(kitchen.nowLocal.slice(0, 10));
  const name = $derived(wayLabel(way));
  const begins = $derived(way.startsAt ?? '');
  const day = $derived(dayOf(begins, zone));
  const at = (iso: string | null | undefined) => Math.max(least, x(new Date(iso ?? 0)));
  const early = $derived(x(new Date(begins)) < least);
  const spans = $derived((way.facts?.beThere ?? []).filter((s) => x(new Date(s.to)) > least));
  const table = $derived(range(way.tableEarly ?? '', way.tableLate ?? '', zone));
</script>

<label class="way" data-open={open}>
  <input
    type="radio"
    name="way"
    class="radio radio-sm radio-primary"
    checked={open}
    onchange={onshow}
    aria-label={say('ways.row', {
      name,
      day: dayName(day, today),
      time: clock(begins, zone),
      table,
      chance: dinnersOf(way.withLooks ?? 0),
      hands: way.facts?.handsOnMinutes ?? 0,
      meets: way.meets ? say('ways.meets', { with: way.meets }) : null,
    })}
  />
  <span class="way-name font-semibold" aria-hidden="true"
    >{name}{#if way.meets}<span class="text-secondary block truncate text-sm font-normal"
        >{say('ways.meets', { with: way.meets })}</span
      >{/if}</span
  >
  <span class="way-start tabular-nums" aria-hidden="true">
    {#if day !== dayOf(way.tableAt ?? '', zone)}<span class="opacity-85">{capital(dayName(day, today))}</span
      >{/if}
    {clock(begins, zone)}
  </span>
  <svg {width} height="26" class="way-line block" aria-hidden="true">
    <line
      x1={at(begins)}
      x2={at(way.tableAt)}
      y1="13"
      y2="13"
      stroke="var(--color-base-content)"
      stroke-width="1.5"
      stroke-dasharray={early ? '2 4' : 'none'}
    />
    {#each spans as s (s.from)}
      <rect
        x={at(s.from)}
        y="6"
        width={Math.max(3, at(s.to) - at(s.from))}
        height="14"
        rx="4"
        fill="var(--color-primary)"
      />
    {/each}
    <rect
      x={at(way.tableEarly)}
      y="2"
      width={Math.max(2, at(way.tableLate) - at(way.tableEarly))}
      height="22"
      rx="5"
      fill="var(--color-secondary)"
      opacity="0.4"
    />
    <circle cx={at(way.tableAt)} cy="13" r="5.5" fill="var(--color-secondary)" />
  </svg>
  <span class="way-chance" aria-hidden="true">{dinnersOf(way.withLooks ?? 0, true)}</span>
  <span class="way-hands tabular-nums" aria-hidden="true"
    >{say('ways.minutes', { minutes: way.facts?.handsOnMinutes })}</span
  >
</label>
