import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Answer, StoveEntry, StoveReceipt } from '../../api/client';
import { EntryQueue } from './queue';

const tell = vi.fn<(id: string, entries: StoveEntry[]) => Promise<Answer<StoveReceipt>>>();
vi.mock('../../api/client', () => ({
  api: { tell: (id: string, entries: StoveEntry[]) => tell(id, entries) },
}));

const entry = (n: number): StoveEntry => ({
  eventId: `e${n}`,
  occurredAt: '2026-11-25T18:00:00.000Z',
  basedOn: 1,
  kind: 'salt',
  grams: n,
});
const away: Answer<StoveReceipt> = {
  ok: false,
  problem: { status: 0, code: 'client.unreachable', title: '', detail: '' },
};
const taken = (version: number, ...entries: StoveEntry[]): Answer<StoveReceipt> => ({
  ok: true,
  value: { version, entries: entries.map((e) => ({ eventId: e.eventId, code: null, text: null })) },
});

describe('what was told and is not confirmed yet', () => {
  beforeEach(() => {
    localStorage.clear();
    tell.mockReset();
  });

  it('waits while the kettle is away, outlives the page, and arrives once and in order', async () => {
    const queue = new EntryQueue('c');
    queue.add(entry(1));
    queue.add(entry(2), entry(3));
    tell.mockResolvedValueOnce(away);
    expect((await queue.send())?.status).toBe(0);
    const again = new EntryQueue('c');
    expect(again.waiting.map((e) => e.eventId)).toEqual(['e1', 'e2', 'e3']);
    tell.mockResolvedValueOnce(taken(9, entry(1), entry(2), entry(3)));
    expect(await again.send()).toBeNull();
    expect(tell.mock.lastCall?.[1].map((e) => e.eventId)).toEqual(['e1', 'e2', 'e3']);
    expect(again.waiting).toEqual([]);
    await again.send();
    expect(tell).toHaveBeenCalledTimes(2);
  });

  it('has one sender at a time, which takes along what is told meanwhile', async () => {
    const queue = new EntryQueue('c');
    queue.add(entry(1));
    let answer: (a: Answer<StoveReceipt>) => void = () => {};
    tell.mockReturnValueOnce(new Promise((resolve) => (answer = resolve)));
    const first = queue.send();
    queue.add(entry(2));
    const second = queue.send();
    tell.mockResolvedValueOnce(taken(3, entry(2)));
    answer(taken(2, entry(1)));
    await Promise.all([first, second]);
    expect(tell.mock.calls.map((c) => c[1].map((e) => e.eventId))).toEqual([['e1'], ['e2']]);
  });

  it('is shown until a state has come that holds it', async () => {
    const queue = new EntryQueue('c');
    queue.add(entry(1));
    tell.mockResolvedValueOnce(taken(7, entry(1)));
    await queue.send();
    expect(queue.waiting).toEqual([]);
    expect(queue.shown.map((e) => e.eventId)).toEqual(['e1']);
    queue.heard(6);
    expect(queue.shown).toHaveLength(1);
    queue.heard(7);
    expect(queue.shown).toEqual([]);
  });

  it('hands back what was refused with its reason, and goes on with the rest', async () => {
    const queue = new EntryQueue('c');
    queue.add(entry(1), entry(2));
    tell.mockResolvedValueOnce({
      ok: true,
      value: {
        version: 4,
        entries: [
          { eventId: 'e1', code: 'stove.time', text: 'Not then.' },
          { eventId: 'e2', code: null, text: null },
        ],
      },
    });
    await queue.send();
    expect(queue.refused.map((r) => [r.entry.eventId, r.text])).toEqual([['e1', 'Not then.']]);
    // It outlives the page, until somebody has read it.
    expect(new EntryQueue('c').refused).toHaveLength(1);
    queue.forget('e1');
    expect(new EntryQueue('c').refused).toEqual([]);
    expect(queue.shown.map((e) => e.eventId)).toEqual(['e2']);
  });

  const says = (status: number): Answer<StoveReceipt> => ({
    ok: false,
    problem: { status, code: 'x', title: '', detail: `said ${status}` },
  });

  it.each([0, 401, 403, 404, 408, 409, 429, 500, 503, 507])(
    'keeps everything after %i: it may be taken yet',
    async (status) => {
      const queue = new EntryQueue('c');
      queue.add(entry(1), entry(2));
      tell.mockResolvedValueOnce(says(status));
      expect((await queue.send())?.status).toBe(status);
      expect(queue.waiting).toHaveLength(2);
      expect(queue.refused).toEqual([]);
    },
  );

  it('puts apart what can never be taken, with the reason, and loses none of the others of its batch', async () => {
    const queue = new EntryQueue('c');
    queue.add(entry(1), entry(2), entry(3));
    tell.mockImplementation(async (_, entries) =>
      entries.some((e) => e.eventId === 'e2') ? says(400) : taken(5, ...entries),
    );
    expect(await queue.send()).toBeNull();
    expect(queue.waiting).toEqual([]);
    expect(queue.refused.map((r) => [r.entry.eventId, r.text])).toEqual([['e2', 'said 400']]);
    expect(queue.shown.map((e) => e.eventId)).toEqual(['e1', 'e3']);
  });

  it('works without storage as long as the page is open', async () => {
    const denied = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('denied', 'SecurityError');
    });
    const queue = new EntryQueue('d');
    queue.add(entry(1));
    tell.mockResolvedValueOnce(away);
    await queue.send();
    expect(queue.waiting).toHaveLength(1);
    tell.mockResolvedValueOnce(taken(3, entry(1)));
    await queue.send();
    expect(queue.waiting).toEqual([]);
    denied.mockRestore();
  });

  it('begins afresh where what was kept cannot be read', () => {
    localStorage.setItem('bright-kettle.queue.c', '{');
    expect(new EntryQueue('c').waiting).toEqual([]);
  });
});
