import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Answer, PracticeStand, StoveEntry } from '../api/client';
import { anew, begin, PracticeDinner, underWay } from './practiceDinner.svelte';

type Ask = {
  entries: StoveEntry[];
  told: StoveEntry[];
  now: string | null;
  minutes: number | null;
  next: boolean;
};
const play = vi.fn<(ask: Ask) => Promise<Answer<PracticeStand>>>();
vi.mock('../api/client', () => ({ api: { practiceDinner: (ask: Ask) => play(ask) } }));

const at = (minute: number) => `2026-11-25T18:${String(minute).padStart(2, '0')}:00.000Z`;
const stands = (now: string, entries: StoveEntry[], refused: string[] = []): Answer<PracticeStand> => ({
  ok: true,
  value: {
    stove: { now, version: entries.length },
    seen: { pots: [], hands: [], signs: [] },
    called: null,
    plannedAt: at(1),
    entries,
    refused: refused.map((eventId) => ({ eventId, code: 'x', text: 'not so' })),
    end: null,
  } as unknown as PracticeStand,
});
const settled = () => new Promise((done) => setTimeout(done));

describe('a dinner that is practised', () => {
  let dinner: PracticeDinner;
  beforeEach(async () => {
    localStorage.clear();
    play.mockReset();
    begin('Lentils', { dish: { seed: 7 } as never, plannedAt: null }, 'busy');
    play.mockResolvedValueOnce(stands(at(10), []));
    dinner = new PracticeDinner(underWay()!);
    await dinner.open();
  });

  it('stands still until time is let go on, and forgets what was felt then', async () => {
    expect(dinner.clock.now).toBe(Date.parse(at(10)));
    dinner.sense('pulse');
    dinner.sense('pulse');
    expect(dinner.sensed).toEqual(['pulse']);
    play.mockResolvedValueOnce(stands(at(15), []));
    await dinner.goOn({ minutes: 5 });
    expect(play.mock.lastCall?.[0]).toMatchObject({ minutes: 5, next: false, now: at(10), told: [] });
    expect([dinner.clock.now, dinner.sensed]).toEqual([Date.parse(at(15)), []]);
    // From the first answer on it is planned as the kettle planned it.
    expect([underWay()?.now, underWay()?.plannedAt]).toEqual([at(15), at(1)]);
  });

  it('tells one thing after the other within a minute, and asks once at a time', async () => {
    play.mockImplementation((ask) =>
      Promise.resolve(stands(ask.now ?? at(10), [...ask.entries, ...ask.told])),
    );
    dinner.tell({ kind: 'flame', what: 'full' });
    dinner.tell({ kind: 'flame', what: 'gentle' });
    await settled();
    dinner.tell({ kind: 'lid', what: 'open' });
    await settled();
    expect(underWay()?.entries.map((e) => e.what)).toEqual(['full', 'open']);
    const [first, second] = underWay()!.entries.map((e) => Date.parse(e.occurredAt));
    expect([first! > Date.parse(at(10)), second! > first!]).toEqual([true, true]);
    expect(dinner.last?.what).toBe('open');
  });

  it('keeps what was taken, and says what was not', async () => {
    play.mockImplementationOnce((ask) => Promise.resolve(stands(at(10), [], [ask.told[0]!.eventId])));
    dinner.tell({ kind: 'did', momentId: '9.9' });
    await settled();
    expect(dinner.refused.map((r) => r.text)).toEqual(['not so']);
    expect([dinner.last, underWay()?.entries]).toEqual([null, []]);
    dinner.forget(dinner.refused[0]!);
    expect(dinner.refused).toEqual([]);
  });

  it('loses nothing where the kettle does not answer', async () => {
    const problem = { status: 0, code: 'x', title: '', detail: 'away' };
    play.mockResolvedValueOnce({ ok: false, problem });
    await dinner.goOn({ next: true });
    expect([dinner.problem, dinner.clock.now, dinner.busy]).toEqual([problem, Date.parse(at(10)), false]);
    play.mockResolvedValueOnce(stands(at(12), []));
    await dinner.goOn({ next: true });
    expect([dinner.problem, dinner.clock.now]).toEqual([null, Date.parse(at(12))]);
  });

  it('begins anew in another kitchen with the same dish', () => {
    vi.spyOn(Math, 'random').mockReturnValue(0.123456);
    anew();
    expect(underWay()).toMatchObject({
      title: 'Lentils',
      level: 'busy',
      seed: 123456,
      entries: [],
      now: null,
    });
  });
});
