import { describe, expect, it } from 'vitest';
import type { DinnerLine, Dish } from '../api/client';
import { again, grouped } from './groups';

const line = (id: string, serveAt: string, started = false, finished = false) =>
  ({ id, serveAt, started, finished }) as DinnerLine;

describe('grouped', () => {
  it('tells what is on the stove, to come and past, each in the order in which one looks', () => {
    const groups = grouped(
      [
        line('later', '2026-11-26T18:00:00Z'),
        line('next', '2026-11-25T18:00:00Z'),
        line('now', '2026-11-24T18:30:00Z', true),
        line('old', '2026-11-20T18:00:00Z'),
        line('older', '2026-11-19T18:00:00Z', true, true),
        line('early', '2026-11-24T19:00:00Z', true, true),
      ],
      '2026-11-24T18:00:00Z',
    );
    expect(groups.underWay.map((d) => d.id)).toEqual(['now']);
    expect(groups.planned.map((d) => d.id)).toEqual(['next', 'later']);
    expect(groups.past.map((d) => d.id)).toEqual(['early', 'old', 'older']);
  });
});

describe('again', () => {
  const dish = (soak: string) =>
    ({ soak, serveAtLocal: '2026-11-20T19:00', pull: { light: 3 } }) as unknown as Dish;
  it('is today where the hour is to come, tomorrow where it is past or a night of soaking is wanted', () => {
    expect(again(dish('none'), '2026-11-24T18:00').serveAtLocal).toBe('2026-11-24T19:00');
    expect(again(dish('none'), '2026-11-24T19:30').serveAtLocal).toBe('2026-11-25T19:00');
    expect(again(dish('overnight'), '2026-11-24T08:00').serveAtLocal).toBe('2026-11-25T19:00');
    expect(again(dish('none'), '2026-11-24T18:00').pull).toBeNull();
    // What stood in water then is soaked anew.
    const stood = { ...dish('already'), soakedSinceLocal: '2026-11-20T08:00' };
    expect(again(stood, '2026-11-24T18:00')).toMatchObject({ soak: 'overnight', soakedSinceLocal: null });
  });
});
