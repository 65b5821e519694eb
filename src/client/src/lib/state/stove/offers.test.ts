import { describe, expect, it } from 'vitest';
import { Offers } from './offers.svelte';

describe('Offers', () => {
  it('asks again when what was told just before was stored only after the answer was worked out', async () => {
    let known = 7;
    const made: number[] = [];
    const offers = new Offers();
    await offers.ask(
      () => known,
      () => {
        made.push(known);
        const value = { version: known, answers: [] };
        known = 8;
        return Promise.resolve({ ok: true, value });
      },
    );
    expect(made).toEqual([7, 8]);
    expect(offers.of(8)).toEqual([]);
    expect(offers.asking).toBe(false);
  });

  it('shows an offer for a newer state as soon as this screen knows that state', async () => {
    const offers = new Offers();
    await offers.ask(
      () => 7,
      () => Promise.resolve({ ok: true, value: { version: 8, answers: [] } }),
    );
    expect(offers.of(7)).toBeNull();
    expect(offers.of(8)).toEqual([]);
  });
});
