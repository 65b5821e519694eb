import { area, curveMonotoneX, line } from 'd3-shape';
import type { Band, Series } from '../../api/client';
import { figures, hours } from '../../ui/axis';

/** Room around the pot's inside, px. */
export const margin = { top: 70, right: 26, bottom: 34, left: 52 };

/** Scales and paths of the picture: time to x, centimetres over the base to y. */
export function picture(
  series: Series,
  width: number,
  height: number,
  /** From and to, ms; the series' own ends when nothing is pulled. */
  span?: readonly [number, number],
  /** Room above the pot for flags, px. */
  top: number = margin.top,
) {
  const times = series.at.map((t) => new Date(t));
  const tops = series.levelCentimetres.map((level, i) => Math.max(level.high, bedTop(series, i)));
  const most = Math.min(
    Math.max(...tops) * 1.18,
    Math.max(series.vesselHeightCentimetres, Math.max(...tops)),
  );
  const x = hours(span ?? [Number(times[0] ?? 0), Number(times[times.length - 1] ?? 1)], [
    margin.left,
    width - margin.right,
  ]);
  const y = figures([0, Math.max(1, most)], [height - margin.bottom, top]);
  const at = (i: number) => x(times[i] ?? times[0]!);
  const shape = (low: (i: number) => number, high: (i: number) => number) =>
    area<unknown>()
      .x((_, i) => at(i))
      .y0((_, i) => y(low(i)))
      .y1((_, i) => y(high(i)))(series.at) ?? '';
  const curve = (pick: (b: Band) => number) =>
    line<unknown>()
      .x((_, i) => at(i))
      .y((_, i) => y(pick(series.levelCentimetres[i]!)))
      .curve(curveMonotoneX)(series.at) ?? '';
  const level = (pick: (b: Band) => number) => (i: number) => pick(series.levelCentimetres[i]!);
  return {
    x,
    y,
    at,
    /** One closed shape per layer, from the one below it up. */
    layers: series.layers.map((_, k) =>
      shape(
        (i) => below(series, k, i),
        (i) => below(series, k + 1, i),
      ),
    ),
    /** The liquid, down to the base: it fills the gaps of the bed too. */
    liquid: shape(
      () => 0,
      level((b) => b.mid),
    ),
    /** Where eight pots in ten have their level. */
    edge: shape(
      level((b) => b.low),
      level((b) => b.high),
    ),
    /** The two ends of it. */
    edges: [curve((b) => b.low), curve((b) => b.high)],
    surface: curve((b) => b.mid),
  };
}

export type Picture = ReturnType<typeof picture>;

/** Height of all layers below the k-th, cm. */
export function below(series: Series, k: number, i: number): number {
  let sum = 0;
  for (let n = 0; n < k; n++) sum += series.layers[n]?.bedCentimetres[i] ?? 0;
  return sum;
}

export const bedTop = (series: Series, i: number): number => below(series, series.layers.length, i);

/** The point nearest to an instant. */
export function nearest(series: Series, iso: string): number {
  const t = Date.parse(iso);
  let best = 0;
  for (let i = 1; i < series.at.length; i++) {
    if (Math.abs(Date.parse(series.at[i]!) - t) < Math.abs(Date.parse(series.at[best]!) - t)) best = i;
  }
  return best;
}

/** Where a layer's felt state changes, in the middle of each span that is wide enough to mark. */
export function feltSpans(series: Series, k: number): { from: number; to: number; state: string }[] {
  const felt = series.layers[k]?.felt ?? [];
  const spans: { from: number; to: number; state: string }[] = [];
  for (let i = 0; i < felt.length; i++) {
    if ((series.layers[k]?.bedCentimetres[i] ?? 0) <= 0) continue;
    const last = spans[spans.length - 1];
    if (last && last.state === felt[i] && last.to === i - 1) last.to = i;
    else spans.push({ from: i, to: i, state: felt[i]! });
  }
  return spans;
}
