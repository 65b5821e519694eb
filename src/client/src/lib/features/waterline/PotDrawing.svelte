<script lang="ts">
  import type { Series } from '../../api/client';
  import { tickHour } from '../../format/time';
  import { units } from '../../messages/units.svelte';
  import { unitOf } from '../../ui/measure';
  import { colourOf, outlines, seedOf } from '../../ui/seeds';
  import { margin, type Picture } from './scale';

  type Props = {
    series: Series;
    zone: string;
    pic: Picture;
    width: number;
    height: number;
    /** Room over the pot for flags, px. */
    top: number;
    /** When looks may say go on. */
    look: { early: string; late: string } | null;
    /** Names of its own for gradients and patterns: two pictures may stand on a page. */
    id: string;
  };
  let { series, zone, pic, width, height, top, look, id }: Props = $props();

  const ground = $derived(pic.y(0));
  const right = $derived(width - margin.right);
  /** What the height is marked in, cm: the household's own unit. */
  const mark = $derived(units.us ? 2.54 : 1);
  const ticks = $derived(pic.y.ticks(5, mark));
  const times = $derived(pic.x.ticks(width > 620 ? 7 : 4));
  const seeds = $derived(series.layers.map((l) => seedOf(l.kind, l.seed)));
  /** Share of the way from raw to tender, for the depth of a colour. */
  const depth = (k: number, offset: number) => {
    const points = series.layers[k]?.doneness ?? [];
    return (points[Math.round(offset * (points.length - 1))]?.mid ?? 0) / 100;
  };
  const offsets = [0, 0.125, 0.25, 0.375, 0.5, 0.625, 0.75, 0.875, 1];
  /** Walls and rounded base; the rim's two lips belong to the wall alone. */
  const inside = $derived(
    `M${margin.left} ${top - 6}V${ground - 16}Q${margin.left} ${ground} ${margin.left + 16} ${ground}H${right - 16}Q${right} ${ground} ${right} ${ground - 16}V${top - 6}`,
  );
</script>

<defs>
  {#each seeds as seed, k (k)}
    {@const w = 24 * seed.size}
    {@const h = 17 * seed.size}
    <linearGradient id="{id}-layer-{k}" x1="0" x2="1" y1="0" y2="0">
      {#each offsets as offset (offset)}
        <stop {offset} stop-color={colourOf(seed, depth(k, offset))} />
      {/each}
    </linearGradient>
    <!-- Seeds as they lie: two in a tile, the second turned. -->
    <pattern id="{id}-seeds-{k}" width={w} height={h} patternUnits="userSpaceOnUse">
      <g fill="none" stroke="var(--seed-edge)" stroke-width={2.4 / seed.size} opacity="0.4">
        <path
          d={outlines[seed.shape]}
          transform="translate({0.04 * w} {0.06 * h}) scale({0.36 * seed.size})"
        />
        <path
          d={outlines[seed.shape]}
          transform="translate({0.54 * w} {0.52 * h}) scale({0.36 * seed.size}) rotate(14 16 12)"
        />
      </g>
    </pattern>
  {/each}
  <clipPath id="{id}-inside"><path d="{inside}Z" /></clipPath>
</defs>

<g clip-path="url(#{id}-inside)">
  <rect x={margin.left} y="0" width={right - margin.left} height={ground} fill="var(--pot-inside)" />
  <path d={pic.liquid} fill="var(--liquid)" opacity="0.62" />
  {#each pic.layers as shape, k (k)}
    <path d={shape} fill="url(#{id}-layer-{k})" />
    <path d={shape} fill="url(#{id}-seeds-{k})" />
    <path d={shape} fill="none" stroke="var(--seed-edge)" stroke-width="1.2" opacity="0.55" />
  {/each}
  <!-- Inside the bed the liquid shows as a wash between the seeds. -->
  <path d={pic.liquid} fill="var(--liquid)" opacity="0.2" />
  <!-- Where eight pots in ten have their level: a wash between two edges. -->
  <path d={pic.edge} fill="var(--liquid-line)" opacity="0.24" />
  {#each pic.edges as edge, n (n)}
    <path d={edge} fill="none" stroke="var(--liquid-line)" stroke-width="1.3" stroke-dasharray="5 3" />
  {/each}
  <path d={pic.surface} fill="none" stroke="var(--liquid-line)" stroke-width="2.5" />
  {#if look}
    {@const from = pic.x(new Date(look.early))}
    <rect
      x={from}
      y={top - 6}
      width={Math.max(2, pic.x(new Date(look.late)) - from)}
      height={ground - top}
      fill="var(--color-warning)"
      opacity="0.13"
    />
  {/if}
</g>

{#each ticks as tick (tick)}
  <text x={margin.left - 12} y={pic.y(tick) + 4} text-anchor="end" class="fill-base-content text-[12px]"
    >{Number((tick / mark).toFixed(1))}</text
  >
  <line x1={margin.left - 8} x2={margin.left} y1={pic.y(tick)} y2={pic.y(tick)} stroke="var(--pot-wall)" />
{/each}
<text x={margin.left - 12} y={top - 12} text-anchor="end" class="fill-base-content text-[12px]"
  >{unitOf('centimetres', units.us)}</text
>
{#each times as time (time.getTime())}
  <text x={pic.x(time)} y={height - 6} text-anchor="middle" class="fill-base-content text-[12.5px]">
    {tickHour(time, zone)}
  </text>
{/each}

<path
  d="M{margin.left - 9} {top - 6}H{margin.left}{inside.slice(inside.indexOf('V'))}H{right + 9}"
  fill="none"
  stroke="var(--pot-wall)"
  stroke-width="6"
  stroke-linecap="round"
  stroke-linejoin="round"
/>
