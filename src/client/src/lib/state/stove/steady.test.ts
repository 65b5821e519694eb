import { describe, expect, it } from 'vitest';
import { steady } from './steady';

describe('the order of what is told on one screen', () => {
  it.each([
    [1000, 0, 1000],
    [5000, 4000, 5000],
    [4000, 7000, 7000],
  ])('at %d after %d counts as %d', (at, last, then) => expect(steady(at, last)).toBe(then));
  it('lets a clock that was an hour ahead be set right', () => expect(steady(0, 3_600_000)).toBe(0));
});
