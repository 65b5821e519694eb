<script lang="ts">
  import type { Plan, Series } from '../../api/client';
  import { units } from '../../messages/units.svelte';
  import { say } from '../../messages/say';
  import type { Pulling, PullKind } from '../../state/pull.svelte';
  import { Dragging } from './drag.svelte';
  import FlagMark from './FlagMark.svelte';
  import { flags, rows } from './flags';
  import Inside from './Inside.svelte';
  import LayerMarks from './LayerMarks.svelte';
  import PotDrawing from './PotDrawing.svelte';
  import { margin, nearest, picture, type Picture } from './scale';
  import WordsTable from './WordsTable.svelte';

  type Props = {
    plan: Plan;
    zone: string;
    pulling: Pulling;
    onpull: (kind: PullKind, minutes: number, quick: boolean) => void;
  };
  let { plan, zone, pulling, onpull }: Props = $props();
  const id = $props.id();

  let width = $state(880);
  const height = 320;
  const pulled = $derived(pulling.active ? pulling.answer : null);
  const series = $derived(pulled?.series ?? plan.forecast.series);
  const steps = $derived(pulled?.steps ?? plan.steps);
  const dragging: Dragging = new Dragging(
    () => pulling,
    () => onpull,
    (from, to): number => (pic.x.invert(to).getTime() - pic.x.invert(from).getTime()) / 60_000,
  );
  const ends = (of: Series): [number, number] => [Date.parse(of.at[0] ?? ''), Date.parse(of.at.at(-1) ?? '')];
  /** The axis stands still under a finger; let go, it takes in what was pulled. A little room is left to pull into. */
  const span = $derived.by<readonly [number, number]>(() => {
    const [from, to] = ends(plan.forecast.series);
    const [pulledFrom, pulledTo] = pulled && !dragging.held ? ends(pulled.series) : [from, to];
    const room = to - from;
    return [Math.min(from - 0.03 * room, pulledFrom), Math.max(to + 0.06 * room, pulledTo + 0.02 * room)];
  });
  const across = $derived(picture(series, width, height, span).x);
  const wide = $derived(width > 620);
  const marks = $derived(flags(steps).filter((m) => wide || m.pull));
  /** Times by am and pm are longer. */
  const flagWidth = $derived(wide ? (units.amPm ? 132 : 112) : 88);
  const placed = $derived(
    marks.map((flag) => ({
      flag,
      x: Math.min(
        Math.max(across(new Date(flag.at)), margin.left + flagWidth / 2),
        width - margin.right - flagWidth / 2,
      ),
    })),
  );
  const row = $derived(rows(placed.map((m) => ({ x: m.x, width: flagWidth }))));
  /** As much room over the pot as its flags take. */
  const top = $derived(Math.max(margin.top, 8 + 22 * (Math.max(0, ...row) + 1)));
  const pic: Picture = $derived(picture(series, width, height, span, top));
  const ground = $derived(pic.y(0));
  const look = $derived(marks.find((m) => m.kind === 'look') ?? null);

  /** The minute that is looked into; the join where there is one. */
  let chosen = $state<string | null>(null);
  const here = $derived(
    nearest(series, chosen ?? marks.find((m) => m.kind === 'join')?.at ?? series.at.at(-1) ?? ''),
  );

  function pick(event: PointerEvent & { currentTarget: SVGSVGElement }) {
    const box = event.currentTarget.getBoundingClientRect();
    chosen = pic.x.invert(event.clientX - box.left).toISOString();
  }
</script>

<figure bind:clientWidth={width} class="min-w-0">
  <svg
    {width}
    {height}
    class="waterline block w-full touch-pan-y"
    role="group"
    aria-labelledby="{id}-name"
    aria-describedby="{id}-words"
    onpointermove={(e) => e.pointerType === 'mouse' && !dragging.held && pick(e)}
    onpointerdown={pick}
  >
    <title id="{id}-name">{say('waterline.title')}</title>
    <PotDrawing {series} {zone} {pic} {width} {height} {top} {look} {id} />
    {#each placed as { flag, x }, i (flag.kind + i)}
      <FlagMark
        {flag}
        {zone}
        {x}
        at={pic.x(new Date(flag.at))}
        top={2 + (row[i] ?? 0) * 22}
        width={flagWidth}
        {ground}
        timed={wide || flag.kind === 'table'}
        by={flag.pull ? pulling.by[flag.pull] : 0}
        {dragging}
      />
    {/each}
    <LayerMarks {series} {pic} left={margin.left} right={width - margin.right} />
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
  <WordsTable {series} marks={dragging.held ? [] : marks} {zone} id="{id}-words" />
</figure>
