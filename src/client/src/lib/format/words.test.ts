import { describe, expect, it } from 'vitest';
import type { Join, MeasureOut, Plan, Step } from '../api/client';
import { core, feltWord, joinSentence, measureLines, soaks, stepLine, wayName } from './words';

const facts = {
  grams: null,
  millilitres: null,
  minutes: null,
  hours: null,
  everyMinutes: null,
  overBedCentimetres: null,
  addMillilitres: null,
  felt: null,
  ingredient: null,
  place: null,
  drained: null,
};
const at = '2026-11-25T18:00:00Z';
const step = (kind: Step['kind'], more: Partial<Step['facts']>): Step => ({
  kind,
  at,
  early: at,
  late: at,
  facts: { ...facts, ...more },
});
const measureOut: MeasureOut = {
  pulseGrams: 300,
  pulseCups: 1.5,
  drainedGrams: null,
  riceGrams: 280,
  riceCups: 1.5,
  riceRinse: 'yes',
  soakMillilitres: 900,
  firstWaterMillilitres: 1140,
  boilingMillilitres: null,
  others: [],
  extras: [
    {
      extraId: 'leaf',
      name: 'Leaf or sprig',
      grams: 1,
      time: 'start',
      pieces: 2,
      blanched: false,
      frozen: null,
      note: '',
      keptHalf: false,
    },
  ],
  salt: { percent: 0.9, targetPercent: 0.9, addGrams: 12, teaspoons: 2, finding: null, sources: [] },
  riceVesselName: null,
  riceWaterMillilitres: null,
  littleOnes: 0,
  littleGramsEach: 120,
  littleSalty: null,
  cookedGrams: 1600,
  cookedGramsEach: 400,
  pulseState: 'dry',
  riceState: 'dry',
};
const plan = { pulseName: 'Pinto beans', riceName: 'white rice', order: 'pulse_first', measureOut } as Plan;

describe('steps as they are said', () => {
  it('names amount and place of the soak', () =>
    expect(stepLine(step('soak', { grams: 300, millilitres: 900, place: 'fridge' }), plan)).toEqual({
      title: 'Soak 300 g pinto beans',
      detail: 'in 900 mL of water, in the fridge from the start',
    }));
  it('counts a hard boil from when it is seen', () => {
    const line = stepLine(step('boil', { minutes: 10 }), plan);
    expect(line.title).toBe('A full boil: keep it rolling 10 min');
    expect(line.detail).toContain('counted from when you see it');
  });
  it('names the pressure and the end of a hard boil at the stove', () => {
    const up = stepLine(step('pressure_up', { minutes: 5 }), plan);
    expect(up.title).toBe('Pressure is up: turn down');
    expect(up.detail).toContain('5 min from now');
    expect(stepLine(step('hard_over', {}), plan).title).toContain('Hard boil over');
  });
  it('asks for no hard boil where none is needed', () =>
    expect(stepLine(step('boil', {}), plan).title).toBe('It boils: down to a lively simmer'));
  it('says how many chalky ones mean not yet', () =>
    expect(stepLine(step('look', { everyMinutes: 10, felt: 'nearly_a_speck' }), plan).detail).toContain(
      'two still chalky means not yet',
    ));
  it.each([
    [250, 'about 250 mL boiling to add'],
    [-120, 'about 120 mL too much: boil it down first, lid off'],
    [5, 'top up with boiling water, or boil it down to that, lid off'],
  ])('tells %d mL at the join as an act', (addMillilitres, words) => {
    const line = stepLine(
      step('join', {
        grams: 280,
        millilitres: 700,
        overBedCentimetres: 0.9,
        addMillilitres,
        ingredient: 'rice',
      }),
      plan,
    );
    expect(line.title).toBe('Rice in: 280 g, rinsed');
    expect(line.detail).toContain(words);
    expect(line.detail).toContain('700 mL of liquid in the pot, 0.9 cm over');
  });
  it('lets the pulses join where the rice started', () =>
    expect(stepLine(step('join', { grams: 150, ingredient: 'pulse' }), plan).title).toBe(
      'Pinto beans in: 150 g',
    ));
  it('drains a dry dish and sets the liquid of a wet one', () => {
    expect(stepLine(step('finish', { drained: true }), plan).title).toBe('Drain');
    expect(stepLine(step('finish', { millilitres: 320, drained: false }), plan).title).toBe(
      'Set the liquid to 320 mL',
    );
  });
});

describe('steps beside pulses and rice', () => {
  it('counts what must come out again, in and out', () => {
    expect(stepLine(step('extra_in', { name: 'Leaf or sprig', grams: 2, pieces: 4 }), plan).detail).toBe(
      '4 to come out again: count them',
    );
    expect(stepLine(step('take_out', { name: 'Leaf or sprig', pieces: 4 }), plan)).toEqual({
      title: 'Take out: leaf or sprig',
      detail: '4 went in, 4 come out',
    });
  });
  it('gives the little ones theirs before the salt', () => {
    expect(stepLine(step('salt', { grams: 12 }), plan).detail).toBe('all at once; taste at the table');
    expect(stepLine(step('salt', { grams: 12, pieces: 2 }), plan).detail).toContain(
      'first take out 2 little plates',
    );
    expect(stepLine(step('salt', { grams: 12, pieces: 1 }), plan).detail).toContain('the little one’s plate');
    expect(stepLine(step('salt', { grams: 2, pieces: 2, salty: ['stock cube'] }), plan).detail).toBe(
      'the little plates are not without salt: stock cube is in it',
    );
    expect(
      stepLine(step('salt', { grams: 2, pieces: 1, salty: ['ham hock', 'stock cube'] }), plan).detail,
    ).toContain('ham hock and stock cube is in it');
    const two = [
      { grams: 140, name: 'pinto beans' },
      { grams: 90, name: 'green lentils' },
    ];
    expect(stepLine(step('soak', { millilitres: 600, others: two }), plan).detail).toContain(
      'and 140 g pinto beans and 90 g green lentils in a bowl of its own',
    );
    expect(stepLine(step('take_out', { name: 'Ham hock', blanched: true }), plan).title).toBe(
      'Take out: ham hock, blanched',
    );
  });
  it('names the pot of the rice and its minutes', () => {
    expect(
      stepLine(step('rice_light', { place: 'Milk pan', grams: 300, millilitres: 580 }), plan).title,
    ).toBe('Rice on, in the Milk pan: 300 g');
    expect(stepLine(step('rice_boils', { minutes: 14 }), plan).detail).toBe('14 min');
    expect(stepLine(step('rice_off', { minutes: 10 }), plan).detail).toBe('rest 10 min');
    expect(stepLine(step('rice_rested', {}), plan).title).toBe('Fluff the rice');
    expect(stepLine(step('rice_bowl', { grams: 250, millilitres: 310 }), plan).detail).toContain(
      '310 mL of water, on the trivet',
    );
    expect(wayName('pressure', 'none', 'Hill cooker', 'bowl_above')).toBe(
      'Hill cooker, pressure, not soaked, rice in its bowl above',
    );
  });
  it('tells the salt of the rice from that of the pot, and looks through the vent before any flame', () => {
    expect(stepLine(step('salt', { grams: 7, name: 'rice bowl' }), plan)).toEqual({
      title: 'Salt into the rice bowl: 7 g',
      detail: 'for the rice',
    });
    const locked = stepLine(step('light', { ingredient: 'pulse', place: 'locked' }), plan);
    expect(locked.title).toContain('Into the cooker');
    expect(locked.detail).not.toContain('flame');
    expect(stepLine(step('lock', { place: 'pressure_up' }), plan)).toMatchObject({
      title: 'Look through the vent, lock the lid',
      detail: expect.stringContaining('then full heat') as string,
    });
    expect(stepLine(step('light', { ingredient: 'pulse', place: 'vent' }), plan).detail).toMatch(
      /^look through the vent.*full flame/,
    );
    expect(stepLine(step('light', { ingredient: 'pulse' }), plan).detail).toContain('lid ajar');
  });
  it('counts whistles where a weight is listened to', () => {
    expect(stepLine(step('first_whistle', { place: 'medium', count: 4 }), plan).title).toContain(
      'medium flame',
    );
    expect(stepLine(step('hold_over', { count: 4 }), plan).title).toBe('4 whistles: heat off');
    expect(stepLine(step('hold_over', { minutes: 12 }), plan).title).toBe('Held 12 min: heat off');
  });
  it('says with what the quicker pulses go in', () => {
    expect(
      stepLine(step('other_in', { name: 'Brown lentils', grams: 100, place: 'rice' }), plan).detail,
    ).toBe('with the rice');
    expect(
      stepLine(step('other_in', { name: 'Brown lentils', grams: 100, place: 'pot' }), plan).detail,
    ).toContain('full flame');
    expect(stepLine(step('other_soft', { everyMinutes: 4, felt: 'soft' }), plan).title).toContain(
      'every 4 min',
    );
  });
  it('names every pulse that is soaked or starts', () => {
    const name = '140 g pinto beans';
    expect(
      stepLine(step('soak', { grams: 150, millilitres: 450, place: 'counter', name }), plan).detail,
    ).toContain('and 140 g pinto beans in a bowl of its own');
    expect(stepLine(step('light', { ingredient: 'pulse', millilitres: 900, name }), plan).title).toContain(
      'with 140 g pinto beans',
    );
  });
  it('keeps the bowl’s water where the house does', () =>
    expect(stepLine(step('chill', {}), plan).detail).toBe('water and all: it is kept'));
  it('lists further pulses, and says which will have fallen apart', () => {
    const others = [{ pulseId: 'x', name: 'Red lentils', grams: 80, drainedGrams: null, collapsed: true }];
    expect(measureLines({ ...measureOut, others }, plan)[1]).toEqual({
      what: 'Red lentils',
      amount: '80 g',
      note: 'dry; they will have fallen apart',
    });
  });
});

describe('what to measure out', () => {
  it('says what is cooked already as it is weighed', () =>
    expect(measureLines({ ...measureOut, drainedGrams: 720 }, plan)[0]).toEqual({
      what: 'Pinto beans',
      amount: '720 g',
      note: 'cooked and drained, from 300 g dry',
      cups: 1.5,
    }));
  it('says how things come that are not dry from the bag', () => {
    const notes = measureLines(
      {
        ...measureOut,
        pulseState: 'frozen_green',
        riceState: 'fridge',
        riceRinse: 'no',
        extras: [
          {
            extraId: 'coconut_milk',
            name: 'Coconut milk',
            grams: 400,
            time: 'join',
            pieces: 0,
            blanched: false,
            frozen: 'thawed',
            note: '',
            keptHalf: false,
          },
        ],
      },
      plan,
    ).map((l) => l.note);
    expect(notes[0]).toBe('frozen, as they are');
    expect(notes).toContain('cooked before');
    expect(notes).toContain('thawed, in when they are soft');
  });
  it('lists only what this dish needs', () => {
    expect(measureLines(measureOut, plan).map((l) => l.what)).toEqual([
      'Pinto beans',
      'Water for the bowl',
      'White rice',
      'Water for the pot',
      'Leaf or sprig',
      'Salt',
    ]);
    const alone = {
      ...measureOut,
      extras: [],
      riceGrams: null,
      soakMillilitres: null,
      boilingMillilitres: 200,
    };
    expect(measureLines(alone, plan).map((l) => l.what)).toEqual([
      'Pinto beans',
      'Water for the pot',
      'Water on the boil',
      'Salt',
    ]);
  });
});

describe('felt states', () => {
  it('has words and a core for each, the core never growing on the way', () => {
    const states = ['hard', 'chalky_middle', 'nearly_a_speck', 'bite_no_chalk', 'soft', 'falling_apart'];
    for (const s of states) expect(feltWord('pulse', s) && feltWord('rice', s)).toBeTruthy();
    expect(feltWord('rice', 'chalky_middle')).toBe('hard in the middle');
    expect(feltWord('pulse', null)).toBe('');
    const cores = states.map((s) => core[s] ?? NaN);
    expect(cores).toEqual([...cores].sort((a, b) => b - a));
  });
  it('says whether a look or the clock decides', () => {
    expect(joinSentence({ joiner: 'rice', waitFor: 'nearly_a_speck' } as Join)).toBe(
      'Rice in at “a speck of chalk left”',
    );
    expect(joinSentence({ joiner: 'pulse', waitFor: null } as Join)).toBe('Pulses in by the clock');
  });
});

describe('ways', () => {
  it('names the cooker, the method and the soak', () => {
    expect(wayName('open_pot', 'overnight', null)).toBe('Open pot, soaked overnight');
    expect(wayName('pressure', 'quick', 'Steam drum')).toBe('Steam drum, pressure, quick-soaked');
    expect(wayName('slow_cooker', 'none', 'Day crock')).toBe('Day crock, slow, not soaked');
    expect(wayName('cooked', 'none', null)).toBe('From a tin');
    expect(wayName('cooked', 'none', null, null, 'freezer')).toBe('Cooked, from the freezer');
  });

  it('offers each soak that the server knows', () => {
    expect(soaks.map((s) => s.id)).toEqual(['overnight', 'quick', 'none', 'hours', 'already']);
  });
});
