import type { WayFacts, WayLine } from '../api/client';
import type { Alternative } from '../api/problem';
import { within } from '../messages/figures';
import { say } from '../messages/say';
import { dayName, hourSaid } from './time';
import { wayName } from './words';

/** The one reason that speaks for a way. */
export const whyLine = (why: WayFacts['why']): string => say(`way.why.${why}`);

/** What it does to the pulses. */
export const textureWord = (texture: WayFacts['texture']): string => say(`way.texture.${texture}`);

/** A way by its name, with the pulse that it takes instead. */
export const wayLabel = (way: WayLine): string => {
  const name = wayName(
    way.method,
    way.soak,
    way.cookerName ?? null,
    way.riceVesselId ?? null,
    way.cookedFrom,
    way.riceJoin,
  );
  return way.pulseName ? say('ways.instead', { pulse: way.pulseName, name }) : name;
};

/** One change that would make a refused dish possible, as it stands on a button. */
export function offerWords(offer: Alternative, today: string): string {
  const at = offer.serveAtLocal;
  return say(`offer.${offer.kind}`, {
    vessel: offer.vesselName ?? null,
    burner: offer.burnerName ? within(offer.burnerName) : null,
    scale: offer.scale ?? 1,
    // Null would be the word none.
    soak: offer.soak ?? 'as_asked',
    method: offer.method ?? 'open_pot',
    beside: offer.riceVesselId ? 'yes' : 'no',
    target: offer.pulseTarget ?? 'as_asked',
    style: offer.style ?? 'as_asked',
    day: at ? dayName(at.slice(0, 10), today) : null,
    time: at ? hourSaid(at.slice(11)) : null,
  });
}

/** From where to where the ways are drawn, ms: what is done more than ten hours before the table stands at the edge. */
export function axisOf(ways: WayLine[]): [number, number] {
  const long = 10 * 3_600_000;
  const works = ways.filter((w) => w.tableAt);
  const tables = works.map((w) => Date.parse(w.tableLate ?? w.tableAt ?? ''));
  const starts = works.flatMap((w) =>
    (w.facts?.beThere ?? [])
      .map((s) => Date.parse(s.from))
      .filter((t) => Date.parse(w.tableAt ?? '') - t < long),
  );
  const [from, to] = [Math.min(...starts), Math.max(...tables)];
  return [from - 0.02 * (to - from), to + 0.03 * (to - from)];
}
