import type { Step } from '../../api/client';
import { say } from '../../messages/say';
import type { PullKind } from '../../state/pull.svelte';

/** A moment over the picture. */
export type Flag = {
  kind: string;
  text: string;
  at: string;
  early: string;
  late: string;
  strong: boolean;
  /** Which pull moves it; null for a moment that comes by itself. */
  pull: PullKind | null;
};

/** The moments that carry a flag, and what pulls them. */
const pulls = {
  light: 'light',
  boil: null,
  lock: null,
  hold_over: null,
  look: null,
  join: 'join',
  other_in: null,
  rice_light: null,
  rice_bowl: null,
  seal: 'seal',
  heat_off: 'flameOff',
  reheat: 'join',
  table: 'table',
} satisfies Record<string, PullKind | null>;

const carries = (kind: string): kind is keyof typeof pulls => kind in pulls;

/** The moments that carry a flag, in the order of the clock. */
export function flags(steps: Step[]): Flag[] {
  return steps.flatMap(({ kind, at, early, late, facts }) =>
    carries(kind)
      ? [
          {
            kind,
            text: say(kind === 'join' && facts.ingredient === 'pulse' ? 'flag.join_pulse' : `flag.${kind}`),
            at,
            early,
            late,
            strong: kind === 'join' || kind === 'table',
            pull: pulls[kind],
          },
        ]
      : [],
  );
}

/** Rows so that flags do not overlap: each goes into the first row with room. */
export function rows(xs: { x: number; width: number }[]): number[] {
  const ends: number[] = [];
  return xs.map(({ x, width }) => {
    let row = ends.findIndex((end) => x - width / 2 > end + 4);
    if (row < 0) row = ends.length;
    ends[row] = x + width / 2;
    return row;
  });
}

/** `12 min later`, `5 min earlier`, or nothing. */
export const shifted = (minutes: number): string =>
  minutes === 0
    ? ''
    : say(minutes > 0 ? 'waterline.later' : 'waterline.earlier', { minutes: Math.abs(minutes) });
