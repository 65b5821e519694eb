import { describe, expect, it } from 'vitest';
import type { Step } from '../../api/client';
import { flags, shifted } from './flags';

const at = '2026-11-25T18:00:00Z';
const step = (kind: string, ingredient: string | null = null) =>
  ({ kind, at, early: at, late: at, facts: { ingredient } }) as Step;

describe('flags', () => {
  it('stand at the moments that matter, in their order', () =>
    expect(
      flags([step('soak'), step('light'), step('boil'), step('salt'), step('table')]).map((f) => f.text),
    ).toEqual(['flame', 'boils', 'table']));
  it('can be pulled where a cook decides, not where the pot does', () => {
    const pulls = Object.fromEntries(
      flags(['light', 'boil', 'look', 'join', 'seal', 'heat_off', 'table'].map((k) => step(k))).map((f) => [
        f.kind,
        f.pull,
      ]),
    );
    expect(pulls).toEqual({
      light: 'light',
      boil: null,
      look: null,
      join: 'join',
      seal: 'seal',
      heat_off: 'flameOff',
      table: 'table',
    });
  });
  it('say who joins', () => {
    expect(flags([step('join', 'pulse')])[0]?.text).toBe('pulses in');
    expect(flags([step('join', 'rice')])[0]?.text).toBe('rice in');
  });
  it('say how far and which way they were pulled', () => {
    expect(shifted(0)).toBe('');
    expect(shifted(5)).toBe('5 min later');
    expect(shifted(-12)).toBe('12 min earlier');
  });
});
