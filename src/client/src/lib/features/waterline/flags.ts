import type { Step } from '../../api/client';
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

const said: Record<string, { text: string; pull?: PullKind }> = {
  light: { text: 'flame', pull: 'light' },
  boil: { text: 'boils' },
  lock: { text: 'lid locked' },
  hold_over: { text: 'heat off' },
  look: { text: 'look' },
  join: { text: 'rice in', pull: 'join' },
  other_in: { text: 'quicker in' },
  rice_light: { text: 'rice on' },
  rice_bowl: { text: 'rice above' },
  seal: { text: 'turn down', pull: 'seal' },
  heat_off: { text: 'flame off', pull: 'flameOff' },
  reheat: { text: 'back on', pull: 'join' },
  table: { text: 'table', pull: 'table' },
};

/** The moments that carry a flag, in the order of the clock. */
export function flags(steps: Step[]): Flag[] {
  return steps
    .filter((s) => s.kind in said)
    .map((s) => ({
      kind: s.kind,
      text: s.kind === 'join' && s.facts.ingredient === 'pulse' ? 'pulses in' : (said[s.kind]?.text ?? ''),
      at: s.at,
      early: s.early,
      late: s.late,
      strong: s.kind === 'join' || s.kind === 'table',
      pull: said[s.kind]?.pull ?? null,
    }));
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
  minutes === 0 ? '' : `${Math.abs(minutes)} min ${minutes > 0 ? 'later' : 'earlier'}`;
