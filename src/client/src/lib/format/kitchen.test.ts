import { describe, expect, it } from 'vitest';
import { burnerSize, burnerSizes } from './kitchen';

describe('a burner', () => {
  it('has the size whose watts are nearest', () => {
    expect([300, 900, 1250, 1400, 1900, 4000].map(burnerSize)).toEqual([
      'small',
      'small',
      'middle',
      'large',
      'largest',
      'largest',
    ]);
    for (const [size, watts] of Object.entries(burnerSizes)) expect(burnerSize(watts)).toBe(size);
  });
});
