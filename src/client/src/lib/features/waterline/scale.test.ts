import { describe, expect, it } from 'vitest';
import type { Series } from '../../api/client';
import { rows } from './flags';
import { bedTop, feltSpans, nearest, picture } from './scale';

const band = (mid: number) => ({ low: mid * 0.9, mid, high: mid * 1.1 });
const series: Series = {
  at: ['2026-11-25T18:00:00Z', '2026-11-25T18:30:00Z', '2026-11-25T19:00:00Z'],
  celsius: [20, 99, 90],
  liquorMillilitres: [band(900), band(700), band(40)],
  levelCentimetres: [band(4), band(3), band(0.5)],
  overBedCentimetres: [2, 1, -4],
  vesselHeightCentimetres: 12,
  layers: [
    {
      id: 'pulse',
      kind: 'pulse',
      seed: 'chickpea',
      name: 'Beans',
      bedCentimetres: [2, 2, 2.5],
      doneness: [band(0), band(80), band(110)],
      felt: ['hard', 'hard', 'soft'],
    },
    {
      id: 'rice',
      kind: 'rice',
      seed: 'jasmine',
      name: 'rice',
      bedCentimetres: [0, 0, 2],
      doneness: [band(0), band(0), band(100)],
      felt: ['hard', 'hard', 'soft'],
    },
  ],
};

describe('the picture', () => {
  const pic = picture(series, 800, 340);
  it('puts time left to right and height upwards', () => {
    expect(pic.at(0)).toBeLessThan(pic.at(2));
    expect(pic.y(0)).toBeGreaterThan(pic.y(3));
  });
  it('stays inside the frame however high the range goes', () => {
    expect(pic.y(4.4)).toBeGreaterThanOrEqual(40);
  });
  it('gives flags the room they ask for', () =>
    expect(picture(series, 800, 340, undefined, 96).y(4.4)).toBeGreaterThanOrEqual(96));
  it('stacks the layers', () => expect(bedTop(series, 2)).toBe(4.5));
  it('finds the nearest minute', () => expect(nearest(series, '2026-11-25T18:40:00Z')).toBe(1));
  it('marks a felt state once for its whole span, and only while the seed is in the pot', () => {
    expect(feltSpans(series, 0)).toEqual([
      { from: 0, to: 1, state: 'hard' },
      { from: 2, to: 2, state: 'soft' },
    ]);
    expect(feltSpans(series, 1)).toEqual([{ from: 2, to: 2, state: 'soft' }]);
  });
});

it('gives flags that would overlap rows of their own', () =>
  expect(
    rows([
      { x: 50, width: 90 },
      { x: 100, width: 90 },
      { x: 200, width: 90 },
    ]),
  ).toEqual([0, 1, 0]));
