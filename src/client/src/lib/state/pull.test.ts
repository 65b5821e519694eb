import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Dish, Pulled } from '../api/client';

const pulled = vi.hoisted(() => vi.fn());
vi.mock('../api/client', () => ({ api: { pulled } }));

const { Pulling } = await import('./pull.svelte');

const dish = { pulseId: 'chickpea', pull: { table: 0, light: 5, join: 0, seal: 0, flameOff: 0 } } as Dish;
const answer = (withLooks: number) => ({
  ok: true,
  value: { withLooks, differences: [] } as unknown as Pulled,
});
const settled = () => new Promise((resolve) => setTimeout(resolve, 0));

beforeEach(() => {
  pulled.mockReset();
  pulled.mockResolvedValue(answer(0.9));
});

describe('a plan that is pulled', () => {
  it('asks from the best plan, whatever the dish carries', async () => {
    const pulling = new Pulling();
    pulling.set(dish, 'join', 12, true);
    await settled();
    expect(pulled).toHaveBeenCalledWith({
      dish: { ...dish, pull: null },
      pull: { table: 0, light: 0, join: 12, seal: 0, flameOff: 0 },
      quick: true,
    });
    expect(pulling.answer?.withLooks).toBe(0.9);
  });

  it('stays within its reach and on whole minutes', () => {
    const pulling = new Pulling();
    pulling.set(dish, 'seal', -9, true);
    expect(pulling.by.seal).toBe(0);
    pulling.set(dish, 'join', 999, true);
    expect(pulling.by.join).toBe(120);
    pulling.set(dish, 'light', 3.4, true);
    expect(pulling.by.light).toBe(3);
  });

  it('has one question on its way, and then only the newest', async () => {
    const pulling = new Pulling();
    let release: (value: unknown) => void = () => {};
    pulled.mockReturnValueOnce(new Promise((resolve) => (release = resolve)));
    for (let minute = 1; minute <= 9; minute++) pulling.set(dish, 'join', minute, true);
    expect(pulled).toHaveBeenCalledTimes(1);
    release(answer(0.5));
    await settled();
    await settled();
    expect(pulled).toHaveBeenCalledTimes(2);
    expect(pulled.mock.lastCall?.[0]).toMatchObject({ pull: { join: 9 } });
  });

  it('asks nothing for a minute it has', async () => {
    const pulling = new Pulling();
    pulling.set(dish, 'join', 5, true);
    pulling.set(dish, 'join', 5.2, true);
    await settled();
    expect(pulled).toHaveBeenCalledTimes(1);
  });

  it('asks once more on all pots when the finger is off', async () => {
    const pulling = new Pulling();
    pulling.settle();
    expect(pulled).not.toHaveBeenCalled();
    pulling.set(dish, 'join', 5, true);
    await settled();
    pulling.settle();
    await settled();
    expect(pulled.mock.lastCall?.[0]).toMatchObject({ quick: false, pull: { join: 5 } });
  });

  it('forgets the answer when everything is back', async () => {
    const pulling = new Pulling();
    pulling.set(dish, 'join', 5, true);
    await settled();
    pulling.set(dish, 'join', 0, false);
    await settled();
    expect(pulling.active).toBe(false);
    expect(pulling.answer).toBeNull();
  });

  it('keeps a refusal beside the picture that stands', async () => {
    const pulling = new Pulling();
    pulling.set(dish, 'join', 5, true);
    await settled();
    pulled.mockResolvedValueOnce({ ok: false, problem: { status: 0, code: 'x', title: '', detail: 'gone' } });
    pulling.set(dish, 'join', 6, true);
    await settled();
    expect(pulling.problem?.detail).toBe('gone');
    expect(pulling.answer).not.toBeNull();
  });

  it('begins with the pull that a kept dinner carries', () => {
    const pulling = new Pulling();
    pulling.begin(dish.pull);
    expect(pulling.by.light).toBe(5);
    expect(pulling.active).toBe(true);
    pulling.begin(null);
    expect(pulling.active).toBe(false);
  });
});
