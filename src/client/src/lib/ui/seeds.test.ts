import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { knownPulses, outlines, seedOf } from './seeds';

const catalogue = (
  JSON.parse(
    // Beside the page in the same repository; the tests run in its folder.
    readFileSync('../BrightKettle.Core/Catalogue/Data/pulses.json', 'utf8'),
  ) as { id: string; kind: string }[]
).map((p) => ({ ...p, seed: seedOf('pulse', p.id) }));

describe('seeds', () => {
  it('are known for every pulse of the catalogue, and for nothing else', () =>
    expect([...knownPulses].sort()).toEqual(catalogue.map((p) => p.id).sort()));
  it('are cut in half where the pulse is split, and flat where it is a lentil', () => {
    for (const { kind, seed } of catalogue) {
      expect(seed.shape === 'half').toBe(kind === 'split');
      if (kind === 'lentil') expect(seed.shape).toBe('disc');
    }
  });
  it('have an outline, a size and two colours that differ', () => {
    for (const { seed } of catalogue) {
      expect(outlines[seed.shape]).toMatch(/^M.*z$/);
      expect(seed.size).toBeGreaterThan(0.5);
      expect(seed.raw).not.toBe(seed.done);
    }
  });
  it('of no name look like a bean, and rice like a grain', () => {
    expect(seedOf('pulse', 'no such').shape).toBe('kidney');
    expect(seedOf('rice', 'red').shape).toBe('grain');
    expect(seedOf('rice', 'red').raw).not.toBe(seedOf('rice', 'jasmine').raw);
    expect(seedOf('extra', 'leaf').shape).toBe('drop');
  });
});
