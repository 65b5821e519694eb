import type { StoveEntry, StoveMoment, StoveState } from '../../api/client';
import { answersLook } from '../../format/stove';

/**
 * What was told here and has not arrived yet, laid over the last state that the kettle told: so that a tap is seen at
 * once and the next thing stands there without the kettle. No forecast is made here: the times that follow are the
 * kettle's own delays, counted from the tap.
 * @param alone The kettle cannot be heard: what a hand names counts as it is named.
 */
export function overlay(state: StoveState, shown: StoveEntry[], alone = false): StoveState {
  // The kettle's state may be heard before its answer to what was sent: what it holds already is not laid over it.
  const held = new Set(state.told.map((t) => t.entry.eventId));
  const waiting = shown.filter((e) => !held.has(e.eventId));
  if (waiting.length === 0) return state;
  const undone = new Set(waiting.flatMap((e) => (e.kind === 'undo' && e.eventUndone ? [e.eventUndone] : [])));
  const told = waiting.filter((e) => e.kind !== 'undo' && !undone.has(e.eventId));
  const moments = state.moments.map((m) => {
    if (m.doneBy && undone.has(m.doneBy)) return { ...m, state: 'waiting', doneAt: null, doneBy: null };
    const entry = told.find((e) => e.kind === 'did' && e.momentId === m.id);
    return entry && m.state === 'waiting'
      ? { ...m, state: 'done', doneAt: entry.occurredAt, doneBy: entry.eventId, due: null }
      : m;
  });
  const counted = follow(passOver(moments)).map((m) => happens(whistled(looked(m, told, alone), told), told));
  const inside = state.inside.map((i) => ({
    ...i,
    out: Math.min(
      i.pieces,
      i.out +
        told
          .filter((e) => e.kind === 'came_out' && e.ingredient === i.ingredient)
          .reduce((n, e) => n + (e.count ?? 0), 0),
    ),
  }));
  /** What was told here answers what a gate asked for. */
  const lifted = (code: string) =>
    (code === 'comes_out.still_in' && inside.every((i) => i.out >= i.pieces)) ||
    (code === 'cooker.vent_unchecked' && told.some((e) => e.kind === 'vent_clear'));
  /** A lid that was opened here is locked again only after a look through its vent. */
  const opened = told.findLast(
    (e) => (e.kind === 'seen' && e.what === 'pin_down') || e.kind === 'vent_clear',
  );
  const asksVent = (m: StoveMoment) =>
    m.state === 'waiting' &&
    !m.blocked &&
    opened?.kind === 'seen' &&
    opened.vesselId === m.lane &&
    m.deeds.some((d) => d.do === 'lock');
  const gated = (m: StoveMoment): StoveMoment => {
    if (m.blocked && lifted(m.blocked.code)) return { ...m, blocked: null };
    return asksVent(m) ? { ...m, blocked: { code: 'cooker.vent_unchecked', until: null } } : m;
  };
  const served = counted.some((m) => m.state === 'done' && m.deeds.some((d) => d.do === 'serve'));
  return {
    ...state,
    moments: counted.map(gated),
    nowId: served ? null : first(counted),
    inside,
    told: [
      ...state.told.map((t) => (undone.has(t.entry.eventId) ? { ...t, undone: true } : t)),
      ...told.map((entry) => ({ entry, recordedAt: entry.occurredAt, undone: false, step: null })),
    ],
  };
}

const sinceDone = (told: StoveEntry[]) => told.slice(told.findLastIndex((e) => e.kind === 'did') + 1);

/** What was named as it is wanted, while nobody can say better: the next that the look asks for, until all of it is. */
function looked(m: StoveMoment, told: StoveEntry[], alone: boolean): StoveMoment {
  const { look, asks } = m.waits;
  const since = sinceDone(told);
  if (!alone || m.state !== 'waiting' || !look || !since.some((e) => answersLook(look, e))) return m;
  const left = asks
    .slice(asks.findIndex((a) => a.ingredient === look.ingredient))
    .find((a) => !since.some((e) => answersLook(a, e)));
  return { ...m, waits: { ...m.waits, look: left ?? { ...look, found: true } } };
}

/** What has minutes of its own after something that was seen counts them from the tap. */
function happens(m: StoveMoment, told: StoveEntry[]): StoveMoment {
  // What was done since was done by what was seen before it.
  const seen =
    m.state === 'waiting' && m.waits.delayMinutes
      ? sinceDone(told).find((e) => e.kind === 'seen' && e.what === m.waits.event && e.vesselId === m.lane)
      : undefined;
  if (!seen) return m;
  const at = new Date(Date.parse(seen.occurredAt) + (m.waits.delayMinutes ?? 0) * 60_000).toISOString();
  return { ...m, due: { early: at, at, late: at }, waits: { ...m.waits, event: null, notBefore: at } };
}

/** Whistles that were tapped here count at once. */
function whistled(m: StoveMoment, told: StoveEntry[]): StoveMoment {
  if (m.state !== 'waiting' || m.waits.event !== 'whistle') return m;
  const heard = told.filter((e) => e.kind === 'seen' && e.what === 'whistle' && e.vesselId === m.lane).length;
  return heard === 0 ? m : { ...m, waits: { ...m.waits, seen: m.waits.seen + heard } };
}

/** What lies before a moment that was done, in its lane, is not waited for any more. */
function passOver(moments: StoveMoment[]): StoveMoment[] {
  const last = new Map<string, number>();
  moments.forEach((m) => {
    if (m.state === 'done') last.set(m.lane, Math.max(last.get(m.lane) ?? -1, order(m)));
  });
  return moments.map((m) =>
    m.state === 'waiting' && order(m) < (last.get(m.lane) ?? -1) ? { ...m, state: 'passed_over' } : m,
  );
}

/** The first thing that waits in a lane for a delay is due so long after what was done before it. */
function follow(moments: StoveMoment[]): StoveMoment[] {
  const seen = new Set<string>();
  return moments.map((m) => {
    if (m.state !== 'waiting' || seen.has(m.lane)) return m;
    seen.add(m.lane);
    const before = moments.filter(
      (o) => o.lane === m.lane && o.state === 'done' && o.doneAt && order(o) < order(m),
    );
    const done = before.map((o) => Date.parse(o.doneAt ?? '')).sort((a, b) => b - a)[0];
    if (
      done === undefined ||
      m.waits.event ||
      m.waits.delayMinutes === null ||
      m.waits.delayMinutes === undefined
    )
      return m;
    const at = new Date(done + m.waits.delayMinutes * 60_000).toISOString();
    return { ...m, due: { early: at, at, late: at }, waits: { ...m.waits, notBefore: at } };
  });
}

/** The place of a moment in its plan: ids are the plan's number and the action's. */
const order = (m: StoveMoment): number => {
  const [plan, action] = m.id.split('.').map(Number);
  return (plan ?? 0) * 1000 + (action ?? 0);
};

function first(moments: StoveMoment[]): string | null {
  const waiting = moments.filter((m) => m.state === 'waiting');
  const at = (m: StoveMoment) => (m.due ? Date.parse(m.due.at) : Infinity);
  return waiting.sort((a, b) => at(a) - at(b) || order(a) - order(b))[0]?.id ?? null;
}
