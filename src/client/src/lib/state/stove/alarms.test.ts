import { beforeEach, describe, expect, it } from 'vitest';
import type { StoveMoment, StoveState } from '../../api/client';
import { Alarms } from './alarms.svelte';

const minute = 60_000;
const t = Date.parse('2026-11-25T18:00:00Z');
const iso = (ms: number) => new Date(ms).toISOString();
const evening = (kind: string, due: number, late = due, event: string | null = null): StoveState =>
  ({
    title: 'Dinner',
    moments: [
      {
        id: '0.1',
        state: 'waiting',
        step: { kind },
        due: { early: iso(due), at: iso(due), late: iso(late) },
        waits: { event },
      } as unknown as StoveMoment,
    ],
    visits: [],
    told: [],
    now: iso(t),
  }) as unknown as StoveState;
const words = (_: StoveState, id: string) => `ring ${id}`;

describe('alarms', () => {
  beforeEach(() => localStorage.clear());

  it('ring when it is due and not before, and the title says so', () => {
    const alarms = new Alarms();
    alarms.watch(evening('seal', t), t - minute, words);
    expect(alarms.ringing).toEqual([]);
    expect(document.title).not.toContain('ring');
    alarms.watch(evening('seal', t), t, words);
    expect(alarms.ringing.map((r) => r.id)).toEqual(['0.1']);
    expect(document.title).toContain('● ring 0.1');
  });

  it('ring ten minutes before the rice, to put the kettle on', () => {
    const alarms = new Alarms();
    alarms.watch(evening('join', t), t - 11 * minute, words);
    expect(alarms.ringing).toEqual([]);
    alarms.watch(evening('join', t), t - 10 * minute, words);
    expect(alarms.ringing).toHaveLength(1);
  });

  it('ask for an event only when nearly every pot has come to it', () => {
    const alarms = new Alarms();
    const state = evening('boil', t, t + 4 * minute, 'boils');
    alarms.watch(state, t + 3 * minute, words);
    expect(alarms.ringing).toEqual([]);
    alarms.watch(state, t + 4 * minute, words);
    expect(alarms.ringing).toHaveLength(1);
  });

  it('ring for a look at its first time and not when the usual bag is there, and again after each answer', () => {
    const alarms = new Alarms();
    const look = (now: number, notBefore: number | null, answered?: number) => {
      const state = evening('heat_off', t + 12 * minute);
      const asked = { ingredient: 'rice', everyMinutes: 4 };
      state.now = iso(now);
      state.moments[0]!.waits = {
        ...state.moments[0]!.waits,
        look: asked,
        notBefore: notBefore && iso(notBefore),
      } as never;
      if (answered !== undefined)
        state.told = [
          { undone: false, entry: { kind: 'felt', ingredient: 'rice', occurredAt: iso(answered) } },
        ] as never;
      return state;
    };
    const rings = (state: StoveState, at: number) => {
      alarms.watch(state, at, words);
      return alarms.ringing.length;
    };
    expect(rings(look(t - minute, t), t - minute)).toBe(0);
    expect(rings(look(t - minute, t), t)).toBe(1);
    expect(rings(look(t + minute, null), t + minute)).toBe(1);
    alarms.hush('0.1', t + minute);
    expect(rings(look(t + 2 * minute, null), t + 2 * minute)).toBe(0);
    // Short at the second minute: again four minutes later, and once only.
    const again = (now: number) => look(now, now < t + 6 * minute ? t + 6 * minute : null, t + 2 * minute);
    expect(rings(again(t + 3 * minute), t + 3 * minute)).toBe(0);
    expect(rings(again(t + 6 * minute), t + 6 * minute)).toBe(1);
    alarms.hush('0.1', t + 6 * minute);
    expect(rings(again(t + 7 * minute), t + 7 * minute)).toBe(0);
  });

  it('ring for the first thing of a pot, and for a later one only to make ready for it', () => {
    const alarms = new Alarms();
    const state = evening('drain', t);
    const after = (id: string, kind: string, at: number) => ({ ...evening(kind, at).moments[0]!, id });
    state.moments.push(after('0.2', 'seal', t), after('0.3', 'join', t + 8 * minute));
    const rings = (at: number) => {
      alarms.watch(state, at, words);
      return alarms.ringing.map((r) => r.id);
    };
    expect(rings(t - minute)).toEqual(['0.3']);
    expect(rings(t)).toEqual(['0.1']);
    alarms.hush('0.1', t);
    expect(rings(t + minute)).toEqual(['0.3']);
  });

  it('are silent once heard, and ring again when the time was set anew', () => {
    const alarms = new Alarms();
    alarms.watch(evening('seal', t), t, words);
    alarms.hush('0.1', t);
    alarms.watch(evening('seal', t), t + minute, words);
    expect(alarms.ringing).toEqual([]);
    // "Not yet, nine minutes more" was told.
    alarms.watch(evening('seal', t + 9 * minute), t + 2 * minute, words);
    expect(alarms.ringing).toEqual([]);
    alarms.watch(evening('seal', t + 9 * minute), t + 9 * minute, words);
    expect(alarms.ringing).toHaveLength(1);
  });

  it('stay silent once heard though the forecast moves with every minute that nothing is told', () => {
    const alarms = new Alarms();
    alarms.watch(evening('boil', t, t, 'boils'), t, words);
    alarms.hush('0.1', t);
    for (let m = 1; m < 40; m++) {
      // The kettle takes it that the boil comes any minute now, or in a few.
      const at = t + (m + (m % 4)) * minute;
      alarms.watch(evening('boil', at, at, 'boils'), t + m * minute, words);
      expect(alarms.ringing).toEqual([]);
    }
  });

  it('are silent at a stove that was set aside', () => {
    const alarms = new Alarms();
    alarms.watch({ ...evening('seal', t), setAsideFrom: '2026-11-26T03:00:00Z' }, t + minute, words);
    expect(alarms.ringing).toEqual([]);
  });

  it('come back after they were put off', () => {
    const alarms = new Alarms();
    alarms.watch(evening('seal', t), t, words);
    alarms.snooze('0.1', t, 3);
    alarms.watch(evening('seal', t), t + 2 * minute, words);
    expect(alarms.ringing).toEqual([]);
    alarms.watch(evening('seal', t), t + 3 * minute, words);
    expect(alarms.ringing).toHaveLength(1);
  });

  it('remember how they should ring; speech is off until somebody wants it', () => {
    expect(new Alarms().wishes).toEqual({ sound: true, speech: false, quiet: false });
    new Alarms().set({ quiet: true });
    expect(new Alarms().wishes.quiet).toBe(true);
  });

  it('ring by its name for another dish on the stove, and are heard apart', () => {
    const alarms = new Alarms();
    const [own, other] = [evening('seal', t + minute), { ...evening('seal', t), id: 'dal', title: 'Dal' }];
    alarms.watch(own, t, words, [other]);
    expect(alarms.ringing.map((r) => r.text)).toEqual(['Dal: ring 0.1']);
    alarms.watch(own, t + minute, words, [other]);
    expect(alarms.ringing.map((r) => r.id)).toEqual(['0.1', 'dal|0.1']);
    alarms.hush('dal|0.1', t + minute);
    expect(alarms.ringing.map((r) => r.id)).toEqual(['0.1']);
    alarms.watch(own, t + minute, words, [{ ...other, setAsideFrom: iso(t) }]);
    expect(alarms.ringing.map((r) => r.id)).toEqual(['0.1']);
  });
});
