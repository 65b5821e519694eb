import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ServerClock } from './serverClock.svelte';

describe('the kettle’s time on this screen', () => {
  let count = 1000;
  beforeEach(() => {
    count = 1000;
    vi.spyOn(performance, 'now').mockImplementation(() => count);
  });
  afterEach(() => {
    vi.restoreAllMocks();
    vi.useRealTimers();
  });

  it('goes on from the last word by the steady count', () => {
    const clock = new ServerClock();
    expect(clock.known).toBe(false);
    clock.sync('2026-11-25T18:00:00Z');
    count += 90_000;
    expect(new Date(clock.read()).toISOString()).toBe('2026-11-25T18:01:30.000Z');
    expect(clock.silent).toBe(90_000);
  });

  it('does not care what the phone’s own clock is set to', () => {
    const clock = new ServerClock();
    clock.sync('2026-11-25T18:00:00Z');
    vi.useFakeTimers({ now: Date.parse('2031-01-01T00:00:00Z'), toFake: ['Date'] });
    count += 1000;
    expect(new Date(clock.read()).toISOString()).toBe('2026-11-25T18:00:01.000Z');
  });

  it('is set right by the next word, after a sleep in which nothing was counted', () => {
    const clock = new ServerClock();
    clock.sync('2026-11-25T18:00:00Z');
    count += 1000;
    clock.sync('2026-11-25T19:30:00Z');
    count += 500;
    expect(new Date(clock.read()).toISOString()).toBe('2026-11-25T19:30:00.500Z');
  });
});
