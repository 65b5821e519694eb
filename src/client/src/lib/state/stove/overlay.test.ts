import { describe, expect, it } from 'vitest';
import type { StoveEntry, StoveMoment, StoveState } from '../../api/client';
import { noWaits } from '../../testing/moments';
import { overlay } from './overlay';

const at = (minute: number) => `2026-11-25T18:${String(minute).padStart(2, '0')}:00.000Z`;
const moment = (id: string, minute: number, more: Partial<StoveMoment> = {}): StoveMoment => ({
  id,
  lane: 'pot',
  vesselName: 'Pot',
  colour: 0,
  state: 'waiting',
  step: null,
  beside: [],
  deeds: [],
  waits: noWaits,
  due: { early: at(minute), at: at(minute), late: at(minute) },
  doneAt: null,
  doneBy: null,
  join: null,
  blocked: null,
  putOff: null,
  ...more,
});
const waits = (more: Partial<StoveMoment['waits']>) => ({ ...noWaits, ...more });
const evening = (moments: StoveMoment[], more: Partial<StoveState> = {}) =>
  ({ moments, nowId: moments[0]?.id ?? null, inside: [], told: [], ...more }) as unknown as StoveState;
const entry = (kind: StoveEntry['kind'], minute: number, more: Partial<StoveEntry> = {}): StoveEntry => ({
  eventId: `${kind}${minute}`,
  occurredAt: at(minute),
  basedOn: 1,
  kind,
  ...more,
});

describe('what was told here, laid over the last state', () => {
  const boil = moment('0.8', 20, { waits: waits({ event: 'boils' }) });
  const over = moment('0.9', 30, { waits: waits({ delayMinutes: 10 }) });
  const look = moment('0.11', 50);

  it('changes nothing when nothing waits', () => {
    const state = evening([boil, over]);
    expect(overlay(state, [])).toBe(state);
  });

  it('does the moment, goes on to the next and counts its delay from the tap', () => {
    const shown = overlay(evening([boil, over, look]), [entry('did', 26, { momentId: '0.8' })]);
    expect(shown.moments.map((m) => m.state)).toEqual(['done', 'waiting', 'waiting']);
    expect(shown.nowId).toBe('0.9');
    expect(shown.moments[1]?.due?.at).toBe(at(36));
    expect(shown.moments[2]?.due?.at).toBe(at(50));
  });

  it('counts whistles as they are tapped, each pot its own', () => {
    const whistles = moment('0.9', 30, { waits: waits({ event: 'whistle', count: 4, seen: 1 }) });
    const heard = (vesselId: string, minute: number) => entry('seen', minute, { what: 'whistle', vesselId });
    const shown = overlay(evening([whistles]), [heard('pot', 21), heard('other', 22), heard('pot', 23)]);
    expect(shown.moments[0]?.waits.seen).toBe(3);
  });

  it('goes by what a hand names only while the kettle cannot be heard, and only for the look it answered', () => {
    const asks = { ingredient: 'pulse', state: 'soft', enoughChalky: null, found: null };
    const looks = (id: string, ...more: object[]) =>
      moment(id, 30, { waits: waits({ look: asks as never, asks: [asks, ...more] as never }) });
    const felt = entry('felt', 31, { ingredient: 'pulse', state: 'soft' });
    const found = (told: StoveEntry[], alone: boolean) =>
      overlay(evening([looks('0.9'), looks('0.12')]), told, alone).moments.map((m) => m.waits.look?.found);
    expect(found([felt], false)).toEqual([null, null]);
    expect(found([felt], true)[0]).toBe(true);
    expect(found([{ ...felt, state: 'bite_no_chalk' }], true)[0]).toBe(null);
    expect(found([felt, entry('did', 32, { momentId: '0.9' })], true)[1]).toBe(null);
    // What the same look asks for besides is asked after it.
    const both = looks('0.9', { ...asks, ingredient: 'rice' });
    const after = (...told: StoveEntry[]) => overlay(evening([both]), told, true).moments[0]?.waits.look;
    expect([after(felt)?.ingredient, after(felt)?.found]).toEqual(['rice', null]);
    expect(after(felt, { ...felt, eventId: 'rice', ingredient: 'rice' })?.found).toBe(true);
  });

  it('counts the minutes that come after what was seen', () => {
    const soak = moment('0.9', 30, { waits: waits({ event: 'boils', delayMinutes: 2 }) });
    const seen = entry('seen', 20, { what: 'boils', vesselId: 'pot' });
    const [after] = overlay(evening([soak]), [seen]).moments;
    expect([after?.state, after?.waits.event, after?.waits.notBefore]).toEqual(['waiting', null, at(22)]);
    expect(overlay(evening([soak]), [{ ...seen, vesselId: 'other' }]).moments[0]?.waits.event).toBe('boils');
    // A boil by which something else was done is not this one.
    const told = [seen, entry('did', 21, { momentId: '0.8' })];
    expect(overlay(evening([boil, soak]), told).moments[1]?.waits.event).toBe('boils');
  });

  it('lays nothing over a state that holds it already, since the same entry twice stops the page', () => {
    const whistle = entry('seen', 21, { what: 'whistle', vesselId: 'pot' });
    const state = evening([moment('0.9', 30, { waits: waits({ event: 'whistle', count: 4, seen: 2 }) })], {
      told: [{ entry: whistle, recordedAt: at(21), undone: false, step: null }] as StoveState['told'],
    });
    expect(overlay(state, [whistle])).toBe(state);
    const next = overlay(state, [whistle, entry('seen', 22, { what: 'whistle', vesselId: 'pot' })]);
    expect(next.told.map((t) => t.entry.eventId)).toEqual(['seen21', 'seen22']);
    expect(next.moments[0]?.waits.seen).toBe(3);
  });

  it('passes over what lies before a moment that was done', () => {
    const shown = overlay(evening([boil, over, look]), [entry('did', 26, { momentId: '0.11' })]);
    expect(shown.moments.map((m) => m.state)).toEqual(['passed_over', 'passed_over', 'done']);
    expect(shown.nowId).toBeNull();
  });

  it('takes back what is undone, whether it was sent or not', () => {
    const done = { ...boil, state: 'done', doneAt: at(20), doneBy: 'a', due: null };
    expect(overlay(evening([done, over]), [entry('undo', 22, { eventUndone: 'a' })]).moments[0]?.state).toBe(
      'waiting',
    );
    const both = [entry('did', 21, { momentId: '0.8' }), entry('undo', 22, { eventUndone: 'did21' })];
    expect(overlay(evening([boil, over]), both).moments[0]?.state).toBe('waiting');
  });

  it('asks for the vent before a lid that was opened here is locked again, and of no other pot', () => {
    const lock = moment('0.9', 30, { deeds: [{ do: 'lock' } as StoveMoment['deeds'][number]] });
    const down = (vesselId: string) => entry('seen', 20, { what: 'pin_down', vesselId });
    const block = (...told: StoveEntry[]) => overlay(evening([lock]), told).moments[0]?.blocked?.code ?? null;
    expect(block(entry('vent_clear', 19), down(lock.lane))).toBe('cooker.vent_unchecked');
    expect(block(down(lock.lane), entry('vent_clear', 21))).toBeNull();
    expect(block(down('another'))).toBeNull();
  });

  it('counts what came out, and lets it be served when all is out', () => {
    const table = moment('0.20', 55, {
      deeds: [{ do: 'serve' } as StoveMoment['deeds'][number]],
      blocked: { code: 'comes_out.still_in', until: null },
    });
    const inside = [{ ingredient: 'leaf', name: 'Leaf', pieces: 3, out: 1 }];
    const one = overlay(evening([table], { inside }), [
      entry('came_out', 50, { ingredient: 'leaf', count: 1 }),
    ]);
    expect(one.inside[0]?.out).toBe(2);
    expect(one.moments[0]?.blocked).not.toBeNull();
    const all = overlay(evening([table], { inside }), [
      entry('came_out', 50, { ingredient: 'leaf', count: 5 }),
    ]);
    expect(all.inside[0]?.out).toBe(3);
    expect(all.moments[0]?.blocked).toBeNull();
  });

  it('lists what waits behind what is stored', () => {
    const shown = overlay(evening([boil]), [entry('water', 21, { millilitres: 100 })]);
    expect(shown.told.map((t) => t.entry.kind)).toEqual(['water']);
  });
});
