import { describe, expect, it } from 'vitest';
import type { Series } from '../../api/client';
import { layerMarks, overlap } from './labels';
import { margin, picture } from './scale';

const band = (mid: number) => ({ low: mid * 0.9, mid, high: mid * 1.1 });
const states = ['hard', 'chalky_middle', 'nearly_a_speck', 'bite_no_chalk', 'soft'];

/** A pot by lot: up to four layers of any height, each in the pot from some minute on, softening at its own pace. */
function byLot(next: () => number): Series {
  const points = 40;
  const each = <T>(of: (i: number) => T) => Array.from({ length: points }, (_, i) => of(i));
  const layers = Array.from({ length: 1 + Math.floor(next() * 4) }, (_, k) => {
    const from = k === 0 ? 0 : Math.floor(next() * 30);
    const high = 0.1 + next() * 6;
    const pace = 3 + next() * 12;
    return {
      id: `l${k}`,
      kind: k === 3 ? 'rice' : 'pulse',
      seed: 'chickpea',
      name: ['Chickpeas', 'Black-eyed peas', 'Whole dried broad beans', 'Parboiled long-grain rice'][k]!,
      bedCentimetres: each((i) => (i < from ? 0 : high * (0.5 + i / 80))),
      doneness: each((i) => band(i * 3)),
      felt: each((i) => states[Math.min(4, Math.floor(Math.max(0, i - from) / pace))]!),
    };
  });
  return {
    at: each((i) => new Date(Date.UTC(2026, 10, 25, 18, i * 2)).toISOString()),
    celsius: each(() => 99),
    liquorMillilitres: each(() => band(900)),
    levelCentimetres: each((i) => band(6 - i / 10)),
    overBedCentimetres: each(() => 1),
    vesselHeightCentimetres: 14,
    layers,
  };
}

function random(seed: number) {
  let s = seed;
  return () => {
    s = (s * 1664525 + 1013904223) % 4294967296;
    return s / 4294967296;
  };
}

describe('the names of the layers', () => {
  it.each([880, 330])(
    'are each said once, apart from each other and inside, in 300 pots %i px wide',
    (width) => {
      const next = random(width);
      let seeds = 0;
      for (let n = 0; n < 300; n++) {
        const series = byLot(next);
        const pic = picture(series, width, 320, undefined, 90);
        const inside = { left: margin.left, right: width - margin.right };
        const marks = layerMarks(series, pic, inside, (_, state) => state.replaceAll('_', ' '));
        const names = marks.flatMap((m) => m.lines.filter((l) => l.name).map((l) => l.text.split(',')[0]));
        expect(names.sort()).toEqual(series.layers.map((l) => l.name).sort());
        for (const [i, a] of marks.entries()) {
          for (const b of marks.slice(i + 1)) expect(overlap(a, b), JSON.stringify([a, b])).toBe(false);
          expect(a.x - a.width / 2).toBeGreaterThanOrEqual(inside.left);
          expect(a.x + a.width / 2).toBeLessThanOrEqual(inside.right + 1);
          expect(a.y).toBeLessThanOrEqual(pic.y(0));
          if (a.seed) seeds++;
        }
      }
      expect(seeds).toBeGreaterThan(100);
    },
  );
});
