import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Answer, StoveEntry, StoveReceipt, StoveState } from '../../api/client';
import { Stove } from './stove.svelte';

const tell = vi.fn<(id: string, entries: StoveEntry[]) => Promise<Answer<StoveReceipt>>>();
const stove = vi.fn<(id: string) => Promise<Answer<StoveState>>>();
vi.mock('../../api/client', () => ({
  api: {
    tell: (id: string, entries: StoveEntry[]) => tell(id, entries),
    stove: (id: string) => stove(id),
  },
}));

const open: string[] = [];
class Source {
  static readonly CLOSED = 2;
  readyState = 1;
  constructor(readonly url: string) {
    open.push(url);
  }
  addEventListener() {}
  close() {
    open.splice(open.indexOf(this.url), 1);
    this.readyState = 2;
  }
}

const state = { id: 'c', version: 3, now: '2026-11-25T18:00:00Z', told: [], moments: [], inside: [] };
const here: Answer<StoveState> = { ok: true, value: state as unknown as StoveState };
const refusing = (status: number) => ({
  ok: false as const,
  problem: { status, code: 'x', title: '', detail: '' },
});
const settled = () => new Promise((done) => setTimeout(done));

describe('an evening that is followed', () => {
  beforeEach(() => {
    localStorage.clear();
    open.length = 0;
    vi.stubGlobal('EventSource', Source);
    vi.stubGlobal('matchMedia', () => ({ matches: false }));
    tell.mockReset();
    stove.mockReset();
  });

  it('opens no stream once the page was left, however late the first answer comes', async () => {
    let answer: (a: Answer<StoveState>) => void = () => {};
    stove.mockReturnValueOnce(new Promise((resolve) => (answer = resolve)));
    const evening = new Stove('c');
    const opening = evening.open();
    evening.close();
    answer(here);
    await opening;
    expect(open).toEqual([]);
  });

  it('closes its stream with the page', async () => {
    stove.mockResolvedValue(here);
    const evening = new Stove('c');
    await evening.open();
    expect(open).toHaveLength(1);
    evening.close();
    expect(open).toEqual([]);
  });

  it('asks to be paired again after 401, keeps all that was told, and sends it once it is', async () => {
    stove.mockResolvedValue(here);
    const evening = new Stove('c');
    await evening.open();
    tell.mockResolvedValue(refusing(401));
    evening.tell({ kind: 'salt', grams: 4 });
    await settled();
    expect([evening.unpaired, evening.unsent]).toEqual([true, 1]);
    tell.mockImplementation(async (_, entries) => ({
      ok: true,
      value: { version: 4, entries: entries.map((e) => ({ eventId: e.eventId, code: null, text: null })) },
    }));
    evening.pairedAnew();
    await settled();
    expect([evening.unpaired, evening.unsent]).toEqual([false, 0]);
    evening.close();
  });
});
