<script lang="ts">
  import type { Plan, Series } from '../../api/client';
  import { millilitres, overBed } from '../../format/amounts';
  import { clock, range } from '../../format/time';
  import { core, feltWord } from '../../format/words';
  import BeanMark from '../../ui/BeanMark.svelte';
  import { reach, type Pulling, type PullKind } from '../../state/pull.svelte';
  import { flags, rows, shifted } from './flags';
  import Inside from './Inside.svelte';
  import { bedTop, below, feltSpans, margin, nearest, picture } from './scale';

  type Props = {
    plan: Plan;
    zone: string;
    pulling: Pulling;
    onpull: (kind: PullKind, minutes: number, quick: boolean) => void;
  };
  let { plan, zone, pulling, onpull }: Props = $props();

  let width = $state(880);
  const height = 320;
  const pulled = $derived(pulling.active ? pulling.answer : null);
  const series = $derived(pulled?.series ?? plan.forecast.series);
  const steps = $derived(pulled?.steps ?? plan.steps);
  /** The moment that is in the hand: which, where the finger took it, and how far it was pulled then. */
  let held = $state<{ kind: PullKind; x: number; by: number } | null>(null);
  const ends = (of: Series): [number, number] => [Date.parse(of.at[0] ?? ''), Date.parse(of.at.at(-1) ?? '')];
  /** The axis stands still under a finger; let go, it takes in what was pulled. A little room is left to pull into. */
  const span = $derived.by<readonly [number, number]>(() => {
    const [from, to] = ends(plan.forecast.series);
    const [pulledFrom, pulledTo] = pulled && !held ? ends(pulled.series) : [from, to];
    const room = to - from;
    return [Math.min(from - 0.03 * room, pulledFrom), Math.max(to + 0.06 * room, pulledTo + 0.02 * room)];
  });
  const across = $derived(picture(series, width, height, span).x);
  const wide = $derived(width > 620);
  const marks = $derived(flags(steps).filter((m) => wide || m.pull));
  const flagWidth = $derived(wide ? 112 : 88);
  const placed = $derived(
    marks.map((m) => ({
      ...m,
      x: Math.min(
        Math.max(across(new Date(m.at)), margin.left + flagWidth / 2),
        width - margin.right - flagWidth / 2,
      ),
    })),
  );
  const row = $derived(rows(placed.map((m) => ({ x: m.x, width: flagWidth }))));
  /** As much room over the pot as its flags take. */
  const top = $derived(Math.max(margin.top, 8 + 22 * (Math.max(0, ...row) + 1)));
  const pic = $derived(picture(series, width, height, span, top));
  const ground = $derived(pic.y(0));
  const pullable = (kind: PullKind | null): kind is PullKind => kind !== null;

  function take(event: PointerEvent, kind: PullKind) {
    event.stopPropagation();
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    held = { kind, x: event.clientX, by: pulling.by[kind] };
  }
  function drag(event: PointerEvent) {
    if (!held) return;
    event.stopPropagation();
    const minutes = (pic.x.invert(event.clientX).getTime() - pic.x.invert(held.x).getTime()) / 60_000;
    onpull(held.kind, held.by + minutes, true);
  }
  function drop() {
    held = null;
    pulling.settle();
  }
  function nudge(event: KeyboardEvent, kind: PullKind) {
    const step = event.shiftKey ? 5 : 1;
    const by = {
      ArrowLeft: -step,
      ArrowDown: -step,
      ArrowRight: step,
      ArrowUp: step,
      PageDown: -10,
      PageUp: 10,
    }[event.key];
    if (event.key === 'Home' || event.key === 'Escape') onpull(kind, 0, false);
    else if (by) onpull(kind, pulling.by[kind] + by, false);
    else return;
    event.preventDefault();
  }
  const ticks = $derived(pic.y.ticks(5));
  const times = $derived(pic.x.ticks(wide ? 7 : 4));
  const join = $derived(marks.find((m) => m.kind === 'join'));
  const look = $derived(marks.find((m) => m.kind === 'look'));

  let told = $state(false);
  /** The minute that is looked into; the join where there is one. */
  let chosen = $state<string | null>(null);
  const here = $derived(nearest(series, chosen ?? join?.at ?? series.at.at(-1) ?? ''));

  function pick(event: PointerEvent & { currentTarget: SVGSVGElement }) {
    const box = event.currentTarget.getBoundingClientRect();
    chosen = pic.x.invert(event.clientX - box.left).toISOString();
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
    role="group"
    aria-labelledby="waterline-name"
    aria-describedby="waterline-words"
    onpointermove={(e) => e.pointerType === 'mouse' && !held && pick(e)}
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
          d="M{margin.left} {top - 6}V{ground - 16}Q{margin.left} {ground} {margin.left +
            16} {ground}H{width - margin.right - 16}Q{width - margin.right} {ground} {width -
            margin.right} {ground - 16}V{top - 6}Z"
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
    <text x={margin.left - 12} y={top - 12} text-anchor="end" class="fill-base-content text-[12px]">cm</text>
    {#each times as time (time.getTime())}
      <text x={pic.x(time)} y={height - 6} text-anchor="middle" class="fill-base-content text-[12.5px]">
        {clock(time.toISOString(), zone)}
      </text>
    {/each}

    <!-- The pot: rim, walls, rounded base. -->
    <path
      d="M{margin.left - 9} {top - 6}H{margin.left}V{ground - 16}Q{margin.left} {ground} {margin.left +
        16} {ground}H{width - margin.right - 16}Q{width - margin.right} {ground} {width -
        margin.right} {ground - 16}V{top - 6}H{width - margin.right + 9}"
      fill="none"
      stroke="var(--pot-wall)"
      stroke-width="6"
      stroke-linecap="round"
      stroke-linejoin="round"
    />

    {#each placed as mark, i (mark.kind + i)}
      {@const flagTop = 2 + (row[i] ?? 0) * 22}
      {@const true_x = pic.x(new Date(mark.at))}
      {@const time = clock(mark.at, zone)}
      {@const by = mark.pull ? pulling.by[mark.pull] : 0}
      {#snippet flag()}
        <line
          x1={true_x}
          x2={true_x}
          y1={flagTop + 19}
          y2={ground - 3}
          stroke={mark.strong ? 'var(--color-secondary)' : 'var(--pot-wall)'}
          stroke-width={mark.strong ? 2 : 1.2}
          stroke-dasharray="2 4"
        />
        <rect
          x={mark.x - flagWidth / 2}
          y={flagTop}
          width={flagWidth}
          height="20"
          rx="6"
          class="flag"
          fill={mark.strong ? 'var(--color-secondary)' : 'var(--color-base-100)'}
          stroke={mark.strong ? 'var(--color-secondary)' : 'var(--pot-wall)'}
          stroke-width={by ? 2.4 : 1.2}
        />
        {#if mark.pull}
          <!-- Two notches: this one can be pulled. -->
          <path
            d="M{mark.x - flagWidth / 2 + 6} {flagTop + 6}v8m3 -8v8"
            stroke={mark.strong ? 'var(--color-secondary-content)' : 'var(--pot-wall)'}
            stroke-width="1.2"
          />
        {/if}
        <text
          x={mark.x + (mark.pull ? 4 : 0)}
          y={flagTop + 14.5}
          text-anchor="middle"
          class="text-[12px] font-semibold {mark.strong ? 'fill-secondary-content' : 'fill-base-content'}"
        >
          {mark.text}{wide || mark.kind === 'table' ? ` ${time}` : ''}
        </text>
      {/snippet}
      {#if pullable(mark.pull)}
        {@const kind = mark.pull}
        <g
          role="slider"
          tabindex="0"
          class="handle"
          aria-label={mark.text}
          aria-orientation="horizontal"
          aria-valuemin={reach[kind][0]}
          aria-valuemax={reach[kind][1]}
          aria-valuenow={by}
          aria-valuetext="{time}{by ? `, ${shifted(by)} than best` : ', as it is best'}"
          data-pull={kind}
          onpointerdown={(e) => take(e, kind)}
          onpointermove={drag}
          onpointerup={drop}
          onpointercancel={drop}
          onkeydown={(e) => nudge(e, kind)}
        >
          <rect
            x={mark.x - flagWidth / 2 - 3}
            y={flagTop - 3}
            width={flagWidth + 6}
            height="26"
            fill="transparent"
          />
          <rect x={true_x - 9} y={flagTop} width="18" height={ground - flagTop} fill="transparent" />
          {@render flag()}
        </g>
      {:else}
        {@render flag()}
      {/if}
    {/each}
    {#each series.layers as layer, k (layer.id)}
      {#each feltSpans(series, k) as span (span.from)}
        {@const middle = Math.round((span.from + span.to) / 2)}
        {@const room = pic.at(span.to) - pic.at(span.from)}
        {@const high = pic.y(below(series, k, middle)) - pic.y(below(series, k + 1, middle))}
        {#if room > 30 && high > 20 && layer.kind !== 'extra'}
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
              paint-order="stroke">{feltWord(layer.kind, span.state)}</text
            >
          {/if}
        {/if}
      {/each}
    {/each}

    <line
      x1={pic.at(here)}
      x2={pic.at(here)}
      y1={top}
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

  <Inside {series} {zone} {here} onpick={(i) => (chosen = series.at[i] ?? null)} />

  <details class="mt-2" bind:open={told}>
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
          {#each held ? [] : marks as mark, n (mark.kind + n)}
            {@const i = nearest(series, mark.at)}
            <tr>
              <td>{range(mark.early, mark.late, zone)}</td>
              <td>{mark.text}</td>
              <td>{millilitres(series.liquorMillilitres[i]?.mid ?? 0)}</td>
              <td>{bedTop(series, i) > 0 ? overBed(series.overBedCentimetres[i] ?? 0) : 'no bed yet'}</td>
              <td
                >{series.layers
                  .filter((l) => l.kind !== 'extra')
                  .map((l) => `${l.name}: ${feltWord(l.kind, l.felt[i])}`)
                  .join('; ')}</td
              >
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  </details>
</figure>

<style>
  .handle:focus {
    outline: none;
  }
  .handle:focus-visible .flag {
    stroke: var(--color-info);
    stroke-width: 4;
  }
  .handle {
    cursor: ew-resize;
    touch-action: none;
  }
</style>
