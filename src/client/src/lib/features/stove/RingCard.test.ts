import { render, screen } from '@testing-library/svelte';
import { describe, expect, it } from 'vitest';
import type { StoveState } from '../../api/client';
import { Alarms } from '../../state/stove/alarms.svelte';
import type { Stove } from '../../state/stove/stove.svelte';
import RingCard from './RingCard.svelte';

const at = Date.parse('2026-11-25T18:00:00Z');

function card(now: number) {
  const alarms = new Alarms();
  alarms.ringing = [{ id: '0.1', text: 'Rice in at 18:00', at }];
  const stove = { clock: { now, read: () => now } } as unknown as Stove;
  render(RingCard, { alarms, stove, evening: { nowId: '0.1', moments: [] } as unknown as StoveState });
}

describe('what rings', () => {
  it('is called by its name while its minute is still to come', () => {
    card(at - 9 * 60_000);
    expect(screen.getByText('Rice in at 18:00')).toBeTruthy();
    expect(screen.queryByText('Now')).toBeNull();
  });

  it('says now when it is now', () => {
    card(at);
    expect(screen.getByText('Now')).toBeTruthy();
  });
});
