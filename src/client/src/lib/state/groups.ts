import type { DinnerLine, Dish } from '../api/client';
import { addDays } from '../format/time';

export type Groups = { underWay: DinnerLine[]; planned: DinnerLine[]; past: DinnerLine[] };

/** Dinners as one looks for them: what is on the stove, what is to come (the next first), what is past (the latest first). */
export function grouped(lines: DinnerLine[], now: string): Groups {
  const underWay = lines.filter((d) => d.started && !d.finished);
  const rest = lines.filter((d) => !underWay.includes(d));
  const planned = rest.filter((d) => !d.finished && Date.parse(d.serveAt) >= Date.parse(now));
  const byHour = (a: DinnerLine, b: DinnerLine) => Date.parse(a.serveAt) - Date.parse(b.serveAt);
  return {
    underWay: underWay.toSorted(byHour),
    planned: planned.toSorted(byHour),
    past: rest.filter((d) => !planned.includes(d)).toSorted((a, b) => byHour(b, a)),
  };
}

/** A kept dinner as a pattern: the same dish on the next day that its hour comes. */
export function again(dish: Dish, nowLocal: string): Dish {
  const hour = dish.serveAtLocal.slice(10);
  const today = nowLocal.slice(0, 10);
  // What stood in water then does not stand there now.
  const anew: Dish =
    dish.soak === 'already' ? { ...dish, soak: 'overnight', soakedSinceLocal: null, soaksCold: null } : dish;
  const day = anew.soak === 'overnight' || today + hour <= nowLocal ? addDays(today, 1) : today;
  // From whichever bag is to be used first by then.
  return { ...anew, serveAtLocal: day + hour, pull: null, bagId: null, riceBagId: null };
}
