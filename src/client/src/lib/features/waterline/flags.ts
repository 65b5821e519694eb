import type { Plan } from '../../api/client';

/** A moment over the picture. */
export type Flag = { kind: string; text: string; at: string; early: string; late: string; strong: boolean };

const said: Record<string, string> = {
  boil: 'boils',
  lock: 'lid locked',
  hold_over: 'heat off',
  look: 'look',
  join: 'rice in',
  heat_off: 'flame off',
  table: 'table',
};

/** The moments that carry a flag, in the order of the clock. */
export function flags(plan: Plan): Flag[] {
  return plan.steps
    .filter((s) => s.kind in said)
    .map((s) => ({
      kind: s.kind,
      text: s.kind === 'join' && s.facts.ingredient === 'pulse' ? 'pulses in' : (said[s.kind] ?? ''),
      at: s.at,
      early: s.early,
      late: s.late,
      strong: s.kind === 'join' || s.kind === 'table',
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
