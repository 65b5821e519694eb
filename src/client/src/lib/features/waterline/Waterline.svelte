<script lang="ts">
  import type { Plan } from '../../api/client';
  import { millilitres, overBed } from '../../format/amounts';
  import { clock, range } from '../../format/time';
  import { core, felt } from '../../format/words';
  import BeanMark from '../../ui/BeanMark.svelte';
  import { flags, rows } from './flags';
  import Inside from './Inside.svelte';
  import { bedTop, below, feltSpans, margin, nearest, picture } from './scale';

  type Props = { plan: Plan; zone: string };
  let { plan, zone }: Props = $props();

  let width = $state(880);
  const height = 348;
  const series = $derived(plan.forecast.series);
  const pic = $derived(picture(series, width, height));
  const ground = $derived(pic.y(0));
  const marks = $derived(flags(plan));
  const wide = $derived(width > 620);
  const flagWidth = $derived(wide ? 96 : 74);
  const placed = $derived(
    marks.map((m) => ({
      ...m,
      x: Math.min(
        Math.max(pic.x(new Date(m.at)), margin.left + flagWidth / 2),
        width - margin.right - flagWidth / 2,
      ),
    })),
  );
  const row = $derived(rows(placed.map((m) => ({ x: m.x, width: flagWidth }))));
  const ticks = $derived(pic.y.ticks(5));
  const times = $derived(pic.x.ticks(wide ? 7 : 4));
  const join = $derived(marks.find((m) => m.kind === 'join'));
  const look = $derived(marks.find((m) => m.kind === 'look'));

  /** The minute that is looked into; the join where there is one. */
  let chosen = $state<number | null>(null);
  const here = $derived(
    Math.min(chosen ?? (join ? nearest(series, join.at) : series.at.length - 1), series.at.length - 1),
  );

  function pick(event: PointerEvent & { currentTarget: SVGSVGElement }) {
    const box = event.currentTarget.getBoundingClientRect();
    chosen = nearest(series, pic.x.invert(event.clientX - box.left).toISOString());
  }

  /** Share of the way from raw to tender, for the depth of a colour. */
  const depth = (k: number, i: number) => Math.min(1, (series.layers[k]?.doneness[i]?.mid ?? 0) / 100);
  const colour = (kind: string, share: number) =>
    `color-mix(in oklab, var(--${kind}-done) ${Math.round(share * 100)}%, var(--${kind}-raw))`;
  const stops = $derived(
    series.layers.map((layer, k) =>
      [0, 0.125, 0.25, 0.375, 0.5, 0.625, 0.75, 0.875, 1].map((offset) => ({
        offset,
        colour: colour(layer.kind, depth(k, Math.round(offset * (series.at.length - 1)))),
      })),
    ),
  );
</script>

<figure bind:clientWidth={width} class="min-w-0">
  <svg
    {width}
    {height}
    class="block w-full touch-pan-y"
    role="img"
    aria-labelledby="waterline-name"
    aria-describedby="waterline-words"
    onpointermove={(e) => e.pointerType === 'mouse' && pick(e)}
    onpointerdown={pick}
  >
    <title id="waterline-name">The pot from the flame to the table</title>
    <defs>
      {#each stops as list, k (k)}
        <linearGradient id="layer-{k}" x1="0" x2="1" y1="0" y2="0">
          {#each list as stop (stop.offset)}<stop offset={stop.offset} stop-color={stop.colour} />{/each}
        </linearGradient>
      {/each}
      <pattern id="grains" width="15" height="9" patternUnits="userSpaceOnUse">
        <path
          d="M2 3l4-1M9 7l4 1M8 2l3 1"
          stroke="var(--seed-edge)"
          stroke-width="1"
          stroke-linecap="round"
          opacity="0.38"
        />
      </pattern>
      <pattern id="beans" width="26" height="17" patternUnits="userSpaceOnUse">
        <g fill="none" stroke="var(--seed-edge)" stroke-width="1" opacity="0.3">
          <ellipse cx="6" cy="5" rx="4.500" ry="3.200" /><ellipse cx="19" cy="13" rx="4.500" ry="3.200" />
        </g>
      </pattern>
      <clipPath id="inside">
        <path
          d="M{margin.left} {margin.top - 6}V{ground - 16}Q{margin.left} {ground} {margin.left +
            16} {ground}H{width - margin.right - 16}Q{width - margin.right} {ground} {width -
            margin.right} {ground - 16}V{margin.top - 6}Z"
        />
      </clipPath>
    </defs>

    <g clip-path="url(#inside)">
      <rect
        x={margin.left}
        y="0"
        width={width - margin.left - margin.right}
        height={ground}
        fill="var(--pot-inside)"
      />
      <path d={pic.liquid} fill="var(--liquid)" opacity="0.62" />
      {#each pic.layers as shape, k (k)}
        <path d={shape} fill="url(#layer-{k})" />
        <path d={shape} fill="url(#{series.layers[k]?.kind === 'rice' ? 'grains' : 'beans'})" />
        <path d={shape} fill="none" stroke="var(--seed-edge)" stroke-width="1.2" opacity="0.55" />
      {/each}
      <!-- Inside the bed the liquid shows as a wash between the seeds. -->
      <path d={pic.liquid} fill="var(--liquid)" opacity="0.2" />
      <path d={pic.edge} fill="var(--liquid-line)" opacity="0.24" />
      <path d={pic.surface} fill="none" stroke="var(--liquid-line)" stroke-width="2.5" />
      {#if look}
        {@const from = pic.x(new Date(look.early))}
        <rect
          x={from}
          y={margin.top - 6}
          width={Math.max(2, pic.x(new Date(look.late)) - from)}
          height={ground - margin.top}
          fill="var(--color-warning)"
          opacity="0.13"
        />
      {/if}
    </g>

    {#each ticks as tick (tick)}
      <text x={margin.left - 12} y={pic.y(tick) + 4} text-anchor="end" class="fill-base-content text-[12px]"
        >{tick}</text
      >
      <line
        x1={margin.left - 8}
        x2={margin.left}
        y1={pic.y(tick)}
        y2={pic.y(tick)}
        stroke="var(--pot-wall)"
      />
    {/each}
    <text x={margin.left - 12} y={margin.top - 12} text-anchor="end" class="fill-base-content text-[12px]"
      >cm</text
    >
    {#each times as time (time.getTime())}
      <text x={pic.x(time)} y={height - 6} text-anchor="middle" class="fill-base-content text-[12.5px]">
        {clock(time.toISOString(), zone)}
      </text>
    {/each}

    <!-- The pot: rim, walls, rounded base. -->
    <path
      d="M{margin.left - 9} {margin.top - 6}H{margin.left}V{ground - 16}Q{margin.left} {ground} {margin.left +
        16} {ground}H{width - margin.right - 16}Q{width - margin.right} {ground} {width -
        margin.right} {ground - 16}V{margin.top - 6}H{width - margin.right + 9}"
      fill="none"
      stroke="var(--pot-wall)"
      stroke-width="6"
      stroke-linecap="round"
      stroke-linejoin="round"
    />

    {#each placed as mark, i (mark.kind)}
      {@const top = 2 + (row[i] ?? 0) * 24}
      {@const true_x = pic.x(new Date(mark.at))}
      <line
        x1={true_x}
        x2={true_x}
        y1={top + 20}
        y2={ground - 3}
        stroke={mark.strong ? 'var(--color-secondary)' : 'var(--pot-wall)'}
        stroke-width={mark.strong ? 2 : 1.2}
        stroke-dasharray="2 4"
      />
      <rect
        x={mark.x - flagWidth / 2}
        y={top}
        width={flagWidth}
        height="21"
        rx="6"
        fill={mark.strong ? 'var(--color-secondary)' : 'var(--color-base-100)'}
        stroke={mark.strong ? 'var(--color-secondary)' : 'var(--pot-wall)'}
        stroke-width="1.2"
      />
      <text
        x={mark.x}
        y={top + 15}
        text-anchor="middle"
        class="text-[12.5px] font-semibold {mark.strong ? 'fill-secondary-content' : 'fill-base-content'}"
      >
        {mark.text}{wide || mark.text.length < 6 ? ` ${clock(mark.at, zone)}` : ''}
      </text>
    {/each}

    {#each series.layers as layer, k (layer.id)}
      {#each feltSpans(series, k) as span (span.from)}
        {@const middle = Math.round((span.from + span.to) / 2)}
        {@const room = pic.at(span.to) - pic.at(span.from)}
        {@const high = pic.y(below(series, k, middle)) - pic.y(below(series, k + 1, middle))}
        {#if room > 30 && high > 20}
          {@const foot = pic.y(below(series, k, middle)) - Math.max(3, (high - (room > 110 ? 38 : 22)) / 2)}
          {@const named = room > 110 && high > 44}
          <g transform="translate({pic.at(middle) - 14} {foot - (named ? 38 : 22)})">
            <BeanMark core={core[span.state] ?? 0} size={28} grain={layer.kind === 'rice'} />
          </g>
          {#if named}
            <text
              x={pic.at(middle)}
              y={foot - 4}
              text-anchor="middle"
              class="fill-base-content text-[12px]"
              stroke="var(--color-base-100)"
              stroke-width="3.5"
              paint-order="stroke">{felt[span.state]}</text
            >
          {/if}
        {/if}
      {/each}
    {/each}

    <line
      x1={pic.at(here)}
      x2={pic.at(here)}
      y1={margin.top}
      y2={ground}
      stroke="var(--color-base-content)"
      stroke-width="1.5"
    />
    <circle
      cx={pic.at(here)}
      cy={pic.y(series.levelCentimetres[here]?.mid ?? 0)}
      r="5"
      fill="var(--color-base-100)"
      stroke="var(--liquid-line)"
      stroke-width="2.5"
    />
  </svg>

  <Inside {series} {zone} {here} onpick={(i) => (chosen = i)} />

  <details class="mt-2">
    <summary class="cursor-pointer text-sm font-semibold">The picture in words</summary>
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div
      id="waterline-words"
      class="overflow-x-auto"
      role="region"
      aria-label="The picture in words"
      tabindex="0"
    >
      <table class="table-sm mt-1 table">
        <thead>
          <tr><th>When</th><th>What</th><th>Liquid</th><th>Over the bed</th><th>Felt</th></tr>
        </thead>
        <tbody>
          {#each marks as mark (mark.kind)}
            {@const i = nearest(series, mark.at)}
            <tr>
              <td>{range(mark.early, mark.late, zone)}</td>
              <td>{mark.text}</td>
              <td>{millilitres(series.liquorMillilitres[i]?.mid ?? 0)}</td>
              <td>{bedTop(series, i) > 0 ? overBed(series.overBedCentimetres[i] ?? 0) : 'no bed yet'}</td>
              <td>{series.layers.map((l) => `${l.name}: ${felt[l.felt[i] ?? ''] ?? ''}`).join('; ')}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  </details>
</figure>
