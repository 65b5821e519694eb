import { describe, expect, it } from 'vitest';
import type { StoveMoment, StoveState } from '../api/client';
import {
  answersLook,
  away,
  countdown,
  deedsLine,
  isThere,
  learnedFacts,
  foundLine,
  lastAnswer,
  leads,
  lookFor,
  namedAsWanted,
  nowSentence,
  putOffLine,
  toldLine,
} from './stove';
import { say } from '../messages/say';
import { noWaits as waits } from '../testing/moments';

const moment = (more: Partial<StoveMoment>): StoveMoment =>
  ({ id: '0.1', deeds: [], beside: [], step: null, waits, ...more }) as StoveMoment;
const evening = {
  pulseName: 'Chickpeas',
  order: 'pulse_first',
  riceRinse: 'yes',
  moments: [],
  seeds: [],
  inside: [],
} as unknown as StoveState;
const look = {
  ingredient: 'pulse',
  name: 'Chickpeas',
  kind: 'pulse',
  state: 'soft',
  everyMinutes: 5,
  enoughChalky: 0,
  found: null,
};

describe('words at the stove', () => {
  it('tell a slow bag by its time and a weak burner by its heat, to five per cent', () => {
    const slow = { what: 'bag', name: 'chickpeas', factor: 0.8, low: 0.7, high: 0.9 } as const;
    expect(say('learned.bag', { name: slow.name, ...learnedFacts(slow) })).toBe(
      'These chickpeas take 25 % longer than usual: 110 % to 145 % of the usual time.',
    );
    const weak = { what: 'heat', name: 'Front', factor: 0.93, low: 0.85, high: 1 } as const;
    expect(say('learned.heat', { name: weak.name, ...learnedFacts(weak) })).toContain('5 % less heat');
    expect(learnedFacts({ ...weak, factor: 1.01 }).way).toBe('same');
  });

  it('say what putting off costs: the table, and what is felt there', () => {
    const off = { minutes: 3, tableMinutes: 0, pulseState: null, riceState: null };
    expect(putOffLine(off)).toBe('In 3 min: the table stays');
    expect(putOffLine({ ...off, tableMinutes: 4, riceState: 'falling_apart' })).toBe(
      'In 3 min: table 4 min later, rice too soft',
    );
  });

  it('ask for an event, a count or a hand', () => {
    expect(nowSentence(moment({ waits: { ...waits, event: 'boils' } }), evening, true)).toBe(
      'Wait for the full boil',
    );
    expect(
      nowSentence(moment({ waits: { ...waits, event: 'whistle', count: 4, seen: 2 } }), evening, true),
    ).toBe('Count the whistles: 2\u00a0of\u00a04');
    expect(nowSentence(moment({ waits: { ...waits, event: 'whistle' } }), evening, true)).toBe(
      'Wait for the first whistle',
    );
    expect(lookFor({ state: 'soft', kind: 'pulse' })).toBe('Wanted: “soft”');
    expect(lookFor({ state: 'nearly_a_speck', kind: 'rice' })).toBe('Wanted: “firm”');
    expect(lookFor({ state: 'hard', kind: 'pulse' })).toContain('Any answer');
    expect(nowSentence(moment({ waits: { ...waits, look } }), evening, true)).toBe(
      'Of five, how many are still chalky?',
    );
    expect(
      nowSentence(
        moment({ waits: { ...waits, look: { ...look, kind: 'rice', enoughChalky: null } } }),
        evening,
        true,
      ),
    ).toBe('Taste the rice: how is it?');
    expect(nowSentence(moment({ waits: { ...waits, look } }), evening, false)).toBe(
      'Let them simmer. Next look at',
    );
    const both = { ...waits, look: { ...look, found: true }, asks: [look, { ...look, kind: 'rice' }] };
    expect(nowSentence(moment({ waits: both }), evening, true)).toBe('Both are as they are wanted');
    expect(nowSentence(moment({ waits: { ...waits, look: { ...look, found: true } } }), evening, true)).toBe(
      'They are as they are wanted',
    );
  });

  it('know an answer that was asked for, and the last one of several', () => {
    expect(answersLook(look, { kind: 'chalky', ingredient: 'pulse', count: 0 })).toBe(true);
    expect(answersLook(look, { kind: 'chalky', ingredient: 'pulse', count: 1 })).toBe(false);
    expect(answersLook(look, { kind: 'felt', ingredient: 'pulse', state: 'soft' })).toBe(true);
    expect(answersLook(look, { kind: 'felt', ingredient: 'rice', state: 'soft' })).toBe(false);
    expect(
      answersLook({ ...look, enoughChalky: null }, { kind: 'chalky', ingredient: 'pulse', count: 0 }),
    ).toBe(false);
    const told = (...states: string[]) =>
      ({
        told: states.map((state) => ({ undone: false, entry: { kind: 'felt', ingredient: 'pulse', state } })),
      }) as unknown as StoveState;
    const asked = moment({ waits: { ...waits, look } });
    expect(namedAsWanted(asked, told('bite_no_chalk', 'soft'))).toBe(true);
    expect(namedAsWanted(asked, told('soft', 'bite_no_chalk'))).toBe(false);
    expect(namedAsWanted(asked, told())).toBe(false);
    expect(lastAnswer(asked, told('soft', 'hard'))?.state).toBe('hard');
    expect(lastAnswer(asked, told())).toBeUndefined();
  });

  it('say of what was found what is to be done, and nothing more of the looking', () => {
    const facts = { everyMinutes: 4, addMillilitres: 40, minutes: 10, place: null, count: null };
    const off = moment({ step: { kind: 'heat_off', facts } as never });
    expect(foundLine(off, evening)).toMatchObject({
      title: 'Flame off, lid stays',
      detail: 'rest 10 min',
    });
    const looks = moment({
      step: { kind: 'look', facts: { ...facts, felt: 'soft' } } as never,
      deeds: [{ do: 'flame', flame: 'off' } as never],
    });
    expect(foundLine(looks, evening).title).toBe('Flame off');
    expect(nowSentence({ ...off, waits: { ...waits, look } }, evening, false)).toBe(
      'Lid on, lowest flame. Next look at',
    );
  });

  it('know what comes first in its pot', () => {
    const [one, two, other] = ['blue', 'blue', 'red'].map((lane, i) => ({
      ...moment({}),
      id: `0.${i}`,
      lane,
      state: 'waiting',
    })) as [StoveMoment, StoveMoment, StoveMoment];
    const moments = [one, two, other];
    expect(moments.map((m) => leads(m, { moments }))).toEqual([true, false, true]);
    const after = [{ ...one, state: 'done' }, two, other];
    expect(leads(two, { moments: after })).toBe(true);
  });

  it('word what no plan has named', () => {
    const blank = {
      name: null,
      millilitres: null,
      grams: null,
      flame: null,
      lid: null,
      to: null,
      celsius: null,
      pieces: null,
    };
    const line = deedsLine(
      moment({
        deeds: [
          { ...blank, do: 'water', millilitres: 120, celsius: 100 },
          { ...blank, do: 'lid', lid: 'sealed' },
          { ...blank, do: 'flame', flame: 'gentle' },
        ],
      }),
    );
    expect(line).toEqual({
      title: '120 mL boiling water',
      detail: 'lid shut tight, lowest flame that still bubbles',
    });
  });

  it('know whether a hand has found what was wanted', () => {
    expect(isThere('nearly_a_speck', 'soft')).toBe(false);
    expect(isThere('soft', 'bite_no_chalk')).toBe(true);
    expect(isThere('soft', 'soft')).toBe(true);
  });

  it('tell how far off it is', () => {
    expect(away(0)).toBe('now');
    expect(away(12 * 60_000)).toBe('in 12 min');
    expect(away(-4 * 60_000)).toBe('4 min late');
    expect(away(125 * 60_000)).toBe('in 2 h 5 min');
  });

  it('count down to the second', () => {
    expect(countdown(59_001)).toBe('1:00');
    expect(countdown(61_000)).toBe('1:01');
    expect(countdown(3_723_000)).toBe('1:02:03');
    expect(countdown(-5)).toBe('0:00');
  });

  it('list what was told', () => {
    const told = (entry: object) =>
      toldLine(
        { entry, recordedAt: '', undone: false, step: null } as unknown as StoveState['told'][number],
        evening,
      );
    expect(told({ kind: 'water', millilitres: 200 })).toBe('Topped up: 200 mL');
    expect(told({ kind: 'chalky', count: 3, of: 5 })).toBe('Chalky: 3 of 5');
    expect(told({ kind: 'seen', what: 'boils' })).toBe('Seen: It boils');
    expect(told({ kind: 'lid', what: 'ajar' })).toBe('Lid: lid ajar');
  });
});
