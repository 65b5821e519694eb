import { ticks } from 'd3-array';
import { utcTicks } from 'd3-time';

type Ends = readonly [number, number];

/** From an axis to px and back. */
function linear([a, b]: Ends, [from, to]: Ends) {
  const scale = (to - from) / (b - a || 1);
  return { place: (v: number) => from + (v - a) * scale, back: (px: number) => a + (px - from) / scale };
}

/** An axis of figures: `figures([0, 10], [0, 100])(5)` → `50`. */
export function figures(domain: Ends, range: Ends) {
  const { place } = linear(domain, range);
  /** Round figures along it; `unit` of the axis' own to one of those that are marked. */
  return Object.assign(place, {
    ticks: (count: number, unit = 1) => ticks(domain[0] / unit, domain[1] / unit, count).map((t) => t * unit),
  });
}

/** An axis of instants, ms. */
export function hours(domain: Ends, range: Ends) {
  const { place, back } = linear(domain, range);
  return Object.assign((at: Date | number) => place(Number(at)), {
    invert: (px: number) => new Date(back(px)),
    ticks: (count: number) => utcTicks(new Date(domain[0]), new Date(domain[1]), count),
  });
}

export type TimeAxis = ReturnType<typeof hours>;
