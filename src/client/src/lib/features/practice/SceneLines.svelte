<script lang="ts">
  import type { PracticePoint as Point } from '../../api/client';
  import { say } from '../../messages/say';

  type Props = {
    /** Of the decision, in minutes; null where there was more than one. */
    moment: number | null;
    mine: Point[];
    /** Empty where there is nothing to compare with. */
    best: Point[];
    label: string;
    /** Doneness that is right at the table; null where it cannot be too much. */
    band: readonly [number, number | null];
    /** What the other line is called. */
    other: string;
  };
  let { moment, mine, best, label, band, other }: Props = $props();
  const [w, h] = [560, 150];
  const [left, right] = [34, 8];
  const last = $derived(Math.max(...[...mine, ...best].map((p) => p.minutes), 1));
  const x = (minutes: number) => left + (minutes / last) * (w - left - right);
  const panels = $derived([
    {
      name: say('practice.level'),
      of: (p: Point) => p.levelCentimetres - p.bedCentimetres,
      band: null,
    },
    { name: say('practice.doneness'), of: (p: Point) => p.pulses, band },
  ]);
  const span = (of: (p: Point) => number) => {
    const all = [...mine, ...best].map(of);
    return { low: Math.min(0, ...all), high: Math.max(1, ...all) };
  };
  const path = (line: Point[], of: (p: Point) => number, low: number, high: number) =>
    line
      .map(
        (p, i) =>
          `${i ? 'L' : 'M'}${x(p.minutes).toFixed(1)} ${(h - 18 - ((of(p) - low) / (high - low)) * (h - 30)).toFixed(1)}`,
      )
      .join('');
</script>

<!-- Yours over the best: where they part is what the decision did. -->
<figure class="mt-4" aria-label={label}>
  {#each panels as panel (panel.name)}
    {@const { low, high } = span(panel.of)}
    {@const y = (v: number) => h - 18 - ((v - low) / (high - low)) * (h - 30)}
    <p class="mt-2 text-sm font-semibold">{panel.name}</p>
    <svg viewBox="0 0 {w} {h}" class="h-auto w-full" aria-hidden="true">
      {#if panel.band}
        <rect
          x={left}
          width={w - left - right}
          y={y(Math.min(high, panel.band[1] ?? Infinity))}
          height={Math.max(0, y(panel.band[0]) - y(Math.min(high, panel.band[1] ?? Infinity)))}
          fill="var(--liquid)"
          opacity="0.35"
        />
      {/if}
      <line x1={left} x2={w - right} y1={y(0)} y2={y(0)} stroke="var(--pot-wall)" stroke-width="1" />
      <text x={left - 4} y={y(0) + 4} text-anchor="end" font-size="12" fill="var(--color-base-content)"
        >0</text
      >
      <text x={left - 4} y="16" text-anchor="end" font-size="12" fill="var(--color-base-content)"
        >{high.toFixed(high < 20 ? 1 : 0)}</text
      >
      {#if moment !== null}
        <line
          x1={x(moment)}
          x2={x(moment)}
          y1="8"
          y2={h - 18}
          stroke="var(--color-secondary)"
          stroke-width="2"
          stroke-dasharray="4 3"
        />
        <text
          x={x(moment) > w / 2 ? x(moment) - 5 : x(moment) + 5}
          y="18"
          text-anchor={x(moment) > w / 2 ? 'end' : 'start'}
          font-size="12"
          fill="var(--color-base-content)">{say('practice.moment')}</text
        >
      {/if}
      {#if best.length > 0}
        <path
          d={path(best, panel.of, low, high)}
          fill="none"
          stroke="var(--color-primary)"
          stroke-width="2.5"
          stroke-dasharray="7 5"
        />
      {/if}
      <path
        d={path(mine, panel.of, low, high)}
        fill="none"
        stroke="var(--color-secondary)"
        stroke-width="3"
      />
      <text x={w - right} y={h - 3} text-anchor="end" font-size="12" fill="var(--color-base-content)"
        >{say('ways.minutes', { minutes: last })}</text
      >
    </svg>
  {/each}
  <figcaption class="mt-1 flex flex-wrap gap-4 text-sm">
    <span class="flex items-center gap-2"
      ><svg width="28" height="8" aria-hidden="true"
        ><line x2="28" y1="4" y2="4" stroke="var(--color-secondary)" stroke-width="3" /></svg
      >{say('practice.yours')}</span
    >
    {#if best.length > 0}<span class="flex items-center gap-2"
        ><svg width="28" height="8" aria-hidden="true"
          ><line
            x2="28"
            y1="4"
            y2="4"
            stroke="var(--color-primary)"
            stroke-width="2.5"
            stroke-dasharray="7 5"
          /></svg
        >{other}</span
      >{/if}
  </figcaption>
</figure>
