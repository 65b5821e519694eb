import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Dish, WayLine } from '../api/client';
import { api } from '../api/client';
import type { Problem } from '../api/problem';
import { Ways, asDish, firstOf, isWayOf, questionOf } from './ways.svelte';

const dish = (change: Partial<Dish> = {}) =>
  ({
    pulseId: 'pinto',
    soak: 'overnight',
    method: 'open_pot',
    cookerId: null,
    riceVesselId: null,
    riceJoin: 'in_the_pot',
    style: 'dry',
    ...change,
  }) as Dish;
const way = (change: Partial<WayLine> = {}) =>
  ({
    method: 'open_pot',
    soak: 'overnight',
    cookerId: null,
    riceVesselId: null,
    riceJoin: 'in_the_pot',
    pulseId: null,
    ...change,
  }) as WayLine;

describe('ways', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => {
    vi.useRealTimers();
    vi.restoreAllMocks();
  });

  it('asks once the hand rests, and not again for what a way fixes itself', () => {
    const ways = new Ways();
    const asked: Dish[] = [];
    const ask = (d: Dish) => void asked.push(d);
    ways.follow(dish(), ask);
    ways.follow(dish({ style: 'soup' }), ask);
    expect(ways.asking).toBe(true);
    vi.runAllTimers();
    expect(asked.map((d) => d.style)).toEqual(['soup']);
    ways.follow(dish({ style: 'soup', soak: 'none', method: 'pressure', cookerId: 'drum' }), ask);
    vi.runAllTimers();
    expect(asked).toHaveLength(1);
  });

  it('asks of what stands in water, whatever way is shown now', async () => {
    const asked = vi.spyOn(api, 'ways').mockResolvedValue({ ok: true, value: undefined } as never);
    const ways = new Ways();
    await ways.ask(dish({ soak: 'none', method: 'cooked', soakedSinceLocal: '2026-11-24T08:00' }));
    await ways.ask(dish({ soak: 'none', soakHours: 3 }));
    await ways.ask(dish({ soak: 'none' }));
    expect(asked.mock.calls.map(([d]) => d.soak)).toEqual(['already', 'hours', 'none']);
  });

  it('never shows an answer that was overtaken, and keeps the last list until the next is whole', async () => {
    const ways = new Ways();
    const tell: ((of: string) => void)[] = [];
    vi.spyOn(api, 'ways').mockImplementation((_, signal, told) => {
      tell.push((id) => told({ of: 1, way: null, all: [way({ cookerId: id })], doubleRefused: null }));
      return new Promise((_, reject) =>
        signal.addEventListener('abort', () => reject(new DOMException('', 'AbortError'))),
      );
    });
    void ways.ask(dish());
    tell[0]?.('first');
    expect(ways.list[0]?.cookerId).toBe('first');
    void ways.ask(dish({ style: 'soup' }));
    tell[0]?.('late');
    expect(ways.list[0]?.cookerId).toBe('first');
    tell[1]?.('second');
    expect(ways.list[0]?.cookerId).toBe('second');
    ways.stop();
    expect(ways.stopped).toBe(true);
    await Promise.resolve();
  });

  it('keeps what it knows while the kettle is away, and offers to ask again', async () => {
    const ways = new Ways();
    ways.list = [way()];
    const gone = { status: 0, code: 'client.unreachable', title: '', detail: '' } as Problem;
    vi.spyOn(api, 'ways').mockResolvedValueOnce({ ok: false, problem: gone });
    await ways.ask(dish());
    expect([ways.stopped, ways.asking, ways.problem, ways.list.length]).toEqual([true, false, null, 1]);
    vi.spyOn(api, 'ways').mockResolvedValueOnce({ ok: false, problem: { ...gone, status: 400 } });
    await ways.ask(dish());
    expect([ways.stopped, ways.problem?.status, ways.list.length]).toEqual([false, 400, 0]);
  });

  it('shows a few, the open one always among them', () => {
    const all = ['a', 'b', 'c', 'd'].map((id) => way({ cookerId: id }));
    expect(firstOf(all, (w) => w.cookerId === 'a', 2).map((w) => w.cookerId)).toEqual(['a', 'b']);
    expect(firstOf(all, (w) => w.cookerId === 'd', 2).map((w) => w.cookerId)).toEqual(['a', 'd']);
    expect(firstOf(all, () => false, 9)).toHaveLength(4);
  });

  it('knows the way that the dish stands for, and makes a dish of a way', () => {
    const above = way({ method: 'pressure', cookerId: 'drum', riceVesselId: 'bowl_above' });
    expect(isWayOf(above, dish())).toBe(false);
    expect(isWayOf(above, dish(asDish(above)))).toBe(true);
    expect(isWayOf(way({ pulseId: 'toor' }), dish())).toBe(false);
    expect(questionOf(dish(asDish(above)))).toBe(questionOf(dish()));
  });
});
