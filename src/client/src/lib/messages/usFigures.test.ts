import { describe, expect, it } from 'vitest';
import { usCentimetres, usGrams, usMillilitres } from './usFigures';

describe('figures in cups and ounces', () => {
  it.each([
    [9, '9 g'],
    [28.4, '1 oz'],
    [150, '5.3 oz'],
    [300, '10.6 oz'],
    [449, '1 lb'],
    [454, '1 lb'],
    [500, '1 lb 2 oz'],
    [907, '2 lb'],
  ])('weigh %d g as %s', (grams, said) => expect(usGrams(grams)).toBe(said));

  it.each([
    [2.5, '½ tsp'],
    [5, '1 tsp'],
    [15, '1 tbsp'],
    [45, '3 tbsp'],
    [59, '¼ cup'],
    [75, '¼ cup + 1 tbsp'],
    [237, '1 cup'],
    [360, '1½ cups'],
    [700, '2¾ cups + 3 tbsp'],
    [2080, '8¾ cups'],
  ])('pour %d mL as %s', (millilitres, said) => expect(usMillilitres(millilitres)).toBe(said));

  it('lose at most half a spoon under six cups', () => {
    for (let ml = 60; ml < 1400; ml += 7) {
      const match = /^(\d*)([¼½¾]?) cups?(?: \+ (\d) tbsp)?$/u.exec(usMillilitres(ml));
      expect(match, `${ml}`).not.toBeNull();
      const part = { '': 0, '¼': 0.25, '½': 0.5, '¾': 0.75 }[match![2] as '¼'];
      const back = (Number(match![1]) + part) * 236.588 + Number(match![3] ?? 0) * 14.787;
      expect(Math.abs(back - ml)).toBeLessThan(7.5);
    }
  });

  it.each([
    [2.5, '1 in'],
    [0.9, '⅜ in'],
    [-1.2, '-½ in'],
    [24, '9½ in'],
  ])('measure %d cm as %s', (cm, said) => expect(usCentimetres(cm)).toBe(said));
});
