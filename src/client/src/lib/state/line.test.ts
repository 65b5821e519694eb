import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Dish, LineAnswer } from '../api/client';
import type { Tonight } from './tonight.svelte';

const ask = vi.hoisted(() => vi.fn());
vi.mock('../api/client', () => ({ api: { line: ask } }));

const { SaidLine, without } = await import('./line.svelte');

const read = (dish: Partial<Dish>, unread: string[] = []) => ({
  ok: true,
  value: { dish, understood: [], notUnderstood: unread, choices: [], parts: [] } as unknown as LineAnswer,
});
/** A dish that is only what was last asked for. */
const tonight = (dish: Partial<Dish>) => {
  const told = {
    dish,
    change: (change: Partial<Dish>) => {
      told.dish = { ...change };
      return Promise.resolve();
    },
  };
  return told as unknown as Tonight;
};

beforeEach(() => {
  ask.mockReset();
  vi.useFakeTimers();
});

describe('a dinner said in one line', () => {
  it('is read when the hand rests, once, and plans nothing by it', async () => {
    ask.mockResolvedValue(read({ people: 6 }));
    const evening = tonight({ people: 4 });
    const line = new SaidLine(evening);
    line.type('for');
    line.type('for 6');
    await vi.runAllTimersAsync();
    expect(ask.mock.calls.map((c) => c[0])).toEqual(['for 6']);
    expect(line.said).toBe('for 6');
    expect(evening.dish.people).toBe(4);
  });

  it('never shows what older letters meant', async () => {
    let late: (answer: unknown) => void = () => {};
    ask.mockReturnValueOnce(new Promise((done) => (late = done))).mockResolvedValue(read({ people: 60 }));
    const line = new SaidLine(tonight({}));
    line.type('for 6');
    await vi.runAllTimersAsync();
    line.type('for 60');
    await vi.runAllTimersAsync();
    late(read({ people: 6 }));
    await vi.runAllTimersAsync();
    expect(line.said).toBe('for 60');
    expect(line.answer?.dish.people).toBe(60);
  });

  it('makes room once it is planned, and stays to be mended where a word is not understood', async () => {
    ask.mockResolvedValueOnce(read({ people: 6 })).mockResolvedValue(read({ people: 6 }, ['gravel']));
    const line = new SaidLine(tonight({ people: 4 }));
    line.type('for 6');
    await line.plan();
    expect([line.text, line.tonight.dish.people]).toEqual(['', 6]);
    line.type('for 6, gravel');
    await line.plan();
    expect(line.text).toBe('for 6, gravel');
  });

  it('plans the dish of before without what was taken away, as long as nothing else has changed it', async () => {
    ask.mockImplementation((text: string, dish: Dish) =>
      Promise.resolve(read({ ...dish, ...(text.includes('6') ? { people: 6 } : {}), style: 'soup' })),
    );
    const line = new SaidLine(tonight({ people: 4 }));
    await line.plan('for 6, soup');
    await line.remove(0, 5);
    expect(ask.mock.calls.at(-1)).toEqual(['soup', { people: 4 }]);
    expect(line.tonight.dish.people).toBe(4);
    await line.tonight.change({ people: 8 });
    await line.plan('soup');
    expect(line.tonight.dish.people).toBe(8);
  });

  it('adds a new line to the dish, and changes the last one from the dish before it', async () => {
    ask.mockImplementation((text: string, dish: Dish) =>
      Promise.resolve(
        read({ ...dish, notes: `${(dish as { notes?: string }).notes ?? ''}${text};` } as never),
      ),
    );
    const line = new SaidLine(tonight({}));
    const notes = () => (line.tonight.dish as { notes?: string }).notes;
    await line.plan('one');
    await line.plan('two');
    expect(notes()).toBe('one;two;');
    line.edit();
    expect(line.text).toBe('two');
    await line.plan('three');
    expect(notes()).toBe('one;three;');
  });

  it('takes back all of it with its last piece', async () => {
    ask.mockResolvedValue(read({ people: 6 }));
    const line = new SaidLine(tonight({ people: 4 }));
    await line.plan('for 6');
    await line.remove(0, 5);
    expect(line.tonight.dish.people).toBe(4);
    expect(line.answer).toBeNull();
  });

  it('loses a piece with what held it in', () => {
    expect(without('for 4, rice, saucy', 7, 4)).toBe('for 4, saucy');
    expect(without('for 4: chickpeas', 0, 5)).toBe('chickpeas');
    expect(without('chickpeas with gravel', 15, 6)).toBe('chickpeas with');
    expect(without('soup', 0, 4)).toBe('');
  });
});
