import type { DinnerLog } from '../api/client';
import { dinner } from './stove';
import { minutesBetween } from './time';
import { stepLine } from './words';

/** A row of the picture: seconds since the epoch do for places, words for the rest. */
export type LogRow = {
  what: string;
  planned: string;
  early: string;
  late: string;
  done: string | null;
  /** Looked for from then on, again and again: it has a band and no minute of its own. */
  looks: boolean;
};

/** The moments that the cook was asked for, in the order in which they were done; several in one go stand in one row. */
export function logRows(log: DinnerLog): LogRow[] {
  const words = dinner({ pulseName: log.pulseName, order: log.order, riceRinse: log.riceRinse });
  const rows = log.moments.map(({ step, doneAt }) => ({
    what: stepLine(step, words).title,
    planned: step.at,
    early: step.early,
    late: step.late,
    done: doneAt ?? null,
    looks: step.kind === 'look',
  }));
  return rows.filter((r, i) => {
    const before = rows[i - 1];
    return !before || before.planned !== r.planned || before.done !== r.done || before.what !== r.what;
  });
}

/** How far from the hour that was wanted: a minute or two is the hour. */
export function lateness(log: DinnerLog): { late: 'late' | 'early' | 'same'; minutes: number } {
  const minutes = log.servedAt ? Math.round(minutesBetween(log.wantedAt, log.servedAt)) : 0;
  return {
    late: Math.abs(minutes) <= 2 ? 'same' : minutes > 0 ? 'late' : 'early',
    minutes: Math.abs(minutes),
  };
}

/** From the first to the last of the times on show, apart from a soak of the day before: that is told, not drawn. */
export function span(rows: LogRow[]): { from: number; to: number } {
  const times = rows
    .flatMap((r) => [r.early, r.late, r.planned, r.done ?? r.planned])
    .map((t) => Date.parse(t));
  const to = Math.max(...times);
  const near = times.filter((t) => to - t < longest);
  return { from: Math.min(...near), to };
}
const longest = 7 * 3_600_000;
