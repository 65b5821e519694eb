import type { WayLine } from '../api/client';
import type { Alternative } from '../api/problem';
import { dayName } from './time';

/** The one reason that speaks for a way. */
export const whys: Record<string, string> = {
  ready_at_once: 'only warmed through',
  alone_for_hours: 'nobody needs to stand by',
  fastest_from_dry: 'the quickest from a dry bag',
  fast_and_even: 'quick, and even through and through',
  even_and_short: 'even seeds, a short fire',
  soaked_in_an_hour: 'the soak in an hour',
  needs_no_soak: 'these need no soak',
  nothing_ahead: 'nothing to think of ahead',
};

/** What it does to the pulses. */
export const textures: Record<string, string> = {
  whole: 'whole seeds',
  tender: 'tender, mostly whole',
  soft_edges: 'soft, some breaking',
  melting: 'melting',
};

/** One change that would make a refused dish possible, as it stands on a button. */
export function offerWords(offer: Alternative, today: string): string {
  const at = offer.serveAtLocal;
  const when = at ? `${dayName(at.slice(0, 10), today)} at ${at.slice(11)}` : '';
  if (offer.kind === 'vessel') return `Take the ${offer.vesselName}`;
  if (offer.kind === 'amount') return `Cook ${Math.round((offer.scale ?? 1) * 100)} % of it`;
  if (offer.kind === 'unsoaked') return 'Not soaked, same hour';
  return `${offer.soak === 'none' ? 'Not soaked, on' : 'On'} the table ${when}`;
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
