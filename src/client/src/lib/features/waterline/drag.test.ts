import { describe, expect, it } from 'vitest';
import { keyed } from './drag.svelte';

describe('a handle by keys', () => {
  it('moves by one, by five with the shift key, by ten with the page keys', () => {
    expect(keyed('ArrowRight', false, 3)).toBe(4);
    expect(keyed('ArrowLeft', true, 3)).toBe(-2);
    expect(keyed('PageUp', false, 3)).toBe(13);
  });
  it('goes back to the best, and leaves other keys alone', () => {
    expect(keyed('Home', false, 30)).toBe(0);
    expect(keyed('Escape', true, 30)).toBe(0);
    expect(keyed('Tab', false, 30)).toBe(null);
  });
});
