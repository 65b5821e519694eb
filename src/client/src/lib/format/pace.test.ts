import { describe, expect, it } from 'vitest';
import { bagName, factor, isToUseSoon, paceTime, type Bag, type Pace } from './pace';

const pace = (time: number): Pace => ({
  time,
  timeLow: time * 0.9,
  timeHigh: time * 1.1,
  unknownLow: 0.7,
  unknownHigh: 1.43,
  dinners: 2,
  otherBags: 0,
});

const bag = (part: Partial<Bag>): Bag => ({
  id: 'b',
  foodId: 'chickpea',
  foodName: 'Chickpeas',
  name: '',
  grams: 300,
  boughtOn: null,
  bestBefore: null,
  openedOn: null,
  storage: 'cupboard',
  first: true,
  pace: null,
  version: 1,
  ...part,
});

describe('how long a bag takes', () => {
  it('is told by the time, to five per cent', () => {
    expect(paceTime(pace(1.34))).toBe('takes 35 % longer than usual');
    expect(paceTime(pace(0.82))).toBe('takes 20 % less time than usual');
    expect(paceTime(pace(1.03))).toBe('takes as long as usual');
    expect(paceTime(pace(1.05))).toBe('takes 5 % longer than usual');
    expect(factor(1.3)).toBe('1.3 ×');
  });
});

describe('a bag', () => {
  it('goes by its own name beside its food', () => {
    expect(bagName(bag({}))).toBe('Chickpeas');
    expect(bagName(bag({ name: 'Tall jar' }))).toBe('Chickpeas, Tall jar');
  });

  it('is to be used soon before its day, or after a year', () => {
    const today = '2026-11-24';
    expect(isToUseSoon(bag({}), today)).toBe(false);
    expect(isToUseSoon(bag({ bestBefore: '2027-01-10' }), today)).toBe(true);
    expect(isToUseSoon(bag({ bestBefore: '2027-06-10' }), today)).toBe(false);
    expect(isToUseSoon(bag({ boughtOn: '2025-10-01' }), today)).toBe(true);
    expect(isToUseSoon(bag({ boughtOn: '2025-10-01', grams: 0 }), today)).toBe(false);
  });
});
