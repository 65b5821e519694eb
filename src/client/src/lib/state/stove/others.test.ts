import { describe, expect, it } from 'vitest';
import type { StoveState } from '../../api/client';
import { nextOf } from './others.svelte';

const evening = (over: object): StoveState =>
  ({
    nowId: '0.1',
    moments: [
      {
        id: '0.1',
        state: 'waiting',
        deeds: [],
        step: null,
        waits: { event: null },
        due: { early: '2026-11-25T18:00:00Z', at: '2026-11-25T18:00:00Z', late: '2026-11-25T18:00:00Z' },
      },
    ],
    visits: [],
    ...over,
  }) as unknown as StoveState;

describe('what another pot wants next', () => {
  it('is its moment, or a visit that comes sooner', () => {
    expect(nextOf(evening({}))?.at).toBe('2026-11-25T18:00:00Z');
    const sooner = { code: 'foam', vesselId: 'pot', at: '2026-11-25T17:50:00Z' };
    expect(nextOf(evening({ visits: [sooner] }))?.at).toBe(sooner.at);
    const later = { ...sooner, at: '2026-11-25T18:10:00Z' };
    expect(nextOf(evening({ visits: [later] }))?.at).toBe('2026-11-25T18:00:00Z');
  });

  it('is nothing once nothing is due', () => {
    expect(nextOf(evening({ nowId: null }))).toBeNull();
  });
});
