import { describe, expect, it } from 'vitest';
import type { DinnerLog } from '../api/client';
import { lateness, span } from './log';

const log = (wantedAt: string, servedAt: string | null) => ({ wantedAt, servedAt }) as DinnerLog;

describe('how a dinner went', () => {
  it('is on the hour within two minutes of it', () => {
    expect(lateness(log('2026-11-24T19:00:00Z', '2026-11-24T19:02:10Z'))).toEqual({
      late: 'same',
      minutes: 2,
    });
    expect(lateness(log('2026-11-24T19:00:00Z', '2026-11-24T19:14:00Z'))).toEqual({
      late: 'late',
      minutes: 14,
    });
    expect(lateness(log('2026-11-24T19:00:00Z', '2026-11-24T18:51:00Z'))).toEqual({
      late: 'early',
      minutes: 9,
    });
    expect(lateness(log('2026-11-24T19:00:00Z', null))).toEqual({ late: 'same', minutes: 0 });
  });

  it('is drawn from the first flame, not from the soak of the evening before', () => {
    const row = (at: string) => ({ what: '', planned: at, early: at, late: at, done: at, looks: false });
    const view = span([
      row('2026-11-23T21:30:00Z'),
      row('2026-11-24T16:00:00Z'),
      row('2026-11-24T19:00:00Z'),
    ]);
    expect(new Date(view.from).toISOString()).toBe('2026-11-24T16:00:00.000Z');
    expect(new Date(view.to).toISOString()).toBe('2026-11-24T19:00:00.000Z');
  });
});
