import { describe, expect, it } from 'vitest';
import { readAmount, readMeasure, shownMeasure, unitOf, type Measure } from './measure';

const all: Measure[] = ['millilitres', 'litres', 'centimetres', 'celsius', 'metres', 'grams'];

describe('what is typed into a field with a unit', () => {
  it.each([
    ['millilitres', '250', false, 250],
    ['millilitres', '1.5', true, 354.9],
    ['millilitres', '1 1/2 cups', false, 354.9],
    ['millilitres', '½ cup', true, 118.3],
    ['millilitres', '250 ml', true, 250],
    ['millilitres', '0,5 l', false, 500],
    ['litres', '5', true, 4.73],
    ['litres', '5 L', true, 5],
    ['centimetres', '2 in', false, 5.08],
    ['centimetres', '1½"', true, 3.81],
    ['centimetres', '-1.5', false, -1.5],
    ['centimetres', '15 mm', true, 1.5],
    ['celsius', '68', true, 20],
    ['celsius', '20 °C', true, 20],
    ['celsius', '212F', false, 100],
    ['metres', '5000 ft', false, 1524],
    ['grams', '1 lb', false, 453.6],
    // As strangers type, each read wrongly or not at all at first.
    ['millilitres', 'half a cup', false, 118.3],
    ['millilitres', 'a cup', true, 236.6],
    ['millilitres', '3 dl', false, 300],
    ['millilitres', 'about 400', false, 400],
    ['millilitres', '8 fl. oz.', true, 236.6],
    ['millilitres', '1 pint', true, 473.2],
    ['millilitres', '1,000 ml', false, 1000],
    ['celsius', '20°', false, 20],
    ['celsius', '20 degrees C', true, 20],
    ['metres', '1,200 ft', true, 365.8],
    ['litres', '1 gallon', true, 3.8],
    ['litres', '1.250', false, 1.25],
  ] as const)('%s: %s (us: %s) is %d', (of, text, us, value) =>
    expect(readMeasure(of, text, us)).toBeCloseTo(value, 1),
  );
  it.each(['', 'a lot', '3 parsecs', '1/0', '--2', '5 g 3', '1.000', 'a finger', 'sea level'])(
    '“%s” is none',
    (text) => expect(readMeasure('centimetres', text, false)).toBe(null),
  );
  it('stands as it was typed, whichever unit the house has', () => {
    for (const of of all)
      for (const us of [false, true])
        for (const typed of ['1', '2.5', '12', '60', '300']) {
          const shown = shownMeasure(of, readMeasure(of, typed, us), us);
          // What is shown in whole figures is.
          expect([typed, String(Math.round(Number(typed)))]).toContain(shown);
        }
    expect(shownMeasure('celsius', null, true)).toBe('');
    expect([unitOf('litres', false), unitOf('litres', true)]).toEqual(['L', 'qt']);
  });
});

describe('an amount of food', () => {
  // As people write them: twenty entries, not chosen to fit; in a kitchen of grams and one of ounces, with a figure beside grams.
  it.each([
    ['250', false, 250, 'g'],
    ['250 g', true, 250, 'g'],
    ['250g', false, 250, 'g'],
    ['0,5 kg', false, 500, 'g'],
    ['8 oz', false, 226.8, 'g'],
    ['8', true, 226.8, 'g'],
    ['1 lb', false, 453.6, 'g'],
    ['1 lb 4 oz', true, 567, 'g'],
    ['1lb 4oz', true, 567, 'g'],
    ['1 1/2 lb', true, 680.4, 'g'],
    ['half a pound', true, 226.8, 'g'],
    ['a pound', false, 453.6, 'g'],
    ['about 300 grams', false, 300, 'g'],
    ['1 cup', false, 1, 'cup'],
    ['1½ cups', true, 1.5, 'cup'],
    ['half a cup', true, 0.5, 'cup'],
    ['2c', true, 2, 'cup'],
    ['300 ml', false, 1.25, 'cup'],
    ['1,000 g', false, 1000, 'g'],
    ['½ kilo', false, 500, 'g'],
  ] as const)('%s (us: %s) is %s %s', (text, us, value, unit) => {
    const read = readAmount(text, 'g', 240, us);
    expect([Math.round(read!.value * 10) / 10, read!.unit]).toEqual([Math.round(value * 10) / 10, unit]);
  });
  it('is a figure in the unit that stands beside it', () => {
    expect(readAmount('1½', 'cup', 240, false)).toEqual({ value: 1.5, unit: 'cup' });
    expect(readAmount('2', 'packet', 240, true)).toEqual({ value: 2, unit: 'packet' });
    expect(readAmount('many', 'cup', 240, false)).toBeNull();
  });
  it('and other measures are read in two parts too', () => {
    expect(readMeasure('metres', '5000 ft', false)).toBeCloseTo(1524, 0);
    expect(readMeasure('litres', '1 qt 1 cup', true)).toBeCloseTo(1.183, 2);
    expect(readMeasure('celsius', '100 °C', false)).toBe(100);
  });
});
