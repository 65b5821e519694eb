import { describe, expect, it } from 'vitest';
import { onNewest } from './newest';

describe('an answer that was overtaken', () => {
  it('is asked for anew about what stands there by then', async () => {
    let dish = { grams: 100 };
    const asked: number[] = [];
    const answer = await onNewest(
      () => dish,
      async (about) => {
        asked.push(about.grams);
        if (about.grams < 300) dish = { grams: about.grams + 100 };
        return about.grams;
      },
    );
    expect(asked).toEqual([100, 200, 300]);
    expect(answer).toBe(300);
  });
});
