import { describe, expect, it } from 'vitest';
import { figures, hours } from './axis';

describe('an axis', () => {
  it('goes from figures to px, also upside down', () => {
    const y = figures([0, 10], [200, 0]);
    expect([y(0), y(5), y(10)]).toEqual([200, 100, 0]);
  });
  it('marks round figures, of its own unit or of another', () => {
    const y = figures([0, 12.7], [200, 0]);
    expect(y.ticks(5)).toEqual([0, 2, 4, 6, 8, 10, 12]);
    expect(y.ticks(5, 2.54).map((t) => Math.round(t / 2.54))).toEqual([0, 1, 2, 3, 4, 5]);
  });
  it('goes from instants to px and back', () => {
    const from = Date.parse('2026-11-25T17:00Z');
    const x = hours([from, from + 3_600_000], [50, 650]);
    expect(x(new Date(from + 1_800_000))).toBe(350);
    expect(x.invert(350).toISOString()).toBe('2026-11-25T17:30:00.000Z');
    expect(x.ticks(4).map((t) => t.toISOString().slice(11, 16))).toEqual([
      '17:00',
      '17:15',
      '17:30',
      '17:45',
      '18:00',
    ]);
  });
  it('of no length stands at its beginning', () => {
    const at = Date.parse('2026-11-25T17:00Z');
    expect(hours([at, at], [50, 650])(at)).toBe(50);
  });
});
