import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Kitchen, Notes } from '../api/client';

const notes = vi.hoisted(() => vi.fn());
vi.mock('../api/client', () => ({ api: { notes } }));

const { FromNotes, fieldOf } = await import('./notes.svelte');
const { readDraft } = await import('./draft');

const kitchen = {
  nowLocal: '2026-11-24T18:00',
  vessels: [{ id: 'small' }, { id: 'blue' }],
  burners: [{ id: 'front' }],
} as Kitchen;
const found = (more: Partial<Notes>) => ({
  ok: true,
  value: { questions: [], doubts: [], amounts: [], steps: [], ...more } as unknown as Notes,
});

beforeEach(() => {
  localStorage.clear();
  notes.mockReset();
  notes.mockResolvedValue(found({}));
});

describe('somebody’s notes', () => {
  it('are read against a pot of this kitchen, and an answer is added to those before', async () => {
    const from = new FromNotes();
    from.begin(kitchen);
    await from.read('pinto beans');
    await from.answer('lid', 'ajar');
    await from.answer('waterGrams', 1500);
    const [text, answers, dish] = notes.mock.lastCall!;
    expect(text).toBe('pinto beans');
    expect(answers).toMatchObject({ lid: 'ajar', waterGrams: 1500 });
    expect(dish).toMatchObject({ vesselId: 'blue', serveAtLocal: '2026-11-25T19:00' });
  });

  it('are read as soon as the kitchen is there, when they were asked for before', async () => {
    const from = new FromNotes();
    await from.read('pinto beans');
    expect(notes).not.toHaveBeenCalled();
    from.begin(kitchen);
    await Promise.resolve();
    expect(notes).toHaveBeenCalledTimes(1);
    from.begin(kitchen);
    expect(notes).toHaveBeenCalledTimes(1);
  });

  it('keep the answer to the newer question, whichever comes last', async () => {
    const from = new FromNotes();
    from.begin(kitchen);
    const answers: ((a: unknown) => void)[] = [];
    notes.mockImplementation(() => new Promise((resolve) => answers.push(resolve)));
    const first = from.answer('lid', 'ajar');
    const second = from.answer('lid', 'open');
    answers[1]?.(found({ title: 'newer' }));
    answers[0]?.(found({ title: 'older' }));
    await Promise.all([first, second]);
    expect(from.found?.title).toBe('newer');
  });

  it('are read when the hand rests, once, and emptied with the field', async () => {
    vi.useFakeTimers();
    const from = new FromNotes();
    from.begin(kitchen);
    from.type('pin');
    await vi.advanceTimersByTimeAsync(300);
    from.type('pinto');
    await vi.advanceTimersByTimeAsync(1000);
    expect(notes).toHaveBeenCalledTimes(1);
    expect(notes.mock.lastCall![0]).toBe('pinto');
    from.type('');
    expect(from.found).toBeNull();
    vi.useRealTimers();
  });

  it('never show an answer to what is no longer there', async () => {
    vi.useFakeTimers();
    const from = new FromNotes();
    from.begin(kitchen);
    let late: (a: unknown) => void = () => {};
    notes.mockImplementationOnce(() => new Promise((resolve) => (late = resolve)));
    from.type('pinto');
    await vi.advanceTimersByTimeAsync(1000);
    from.type('');
    late(found({ title: 'older' }));
    await vi.advanceTimersByTimeAsync(1);
    expect(from.found).toBeNull();
    vi.useRealTimers();
  });

  it('begin with no answers when they are read anew', async () => {
    const from = new FromNotes();
    from.begin(kitchen);
    await from.answer('lid', 'on');
    await from.read('pinto');
    expect(notes.mock.lastCall![1].lid).toBeNull();
  });

  it('keep what was found when the kettle does not answer', async () => {
    const from = new FromNotes();
    from.begin(kitchen);
    await from.read('pinto');
    notes.mockResolvedValueOnce({ ok: false, problem: { status: 0, code: 'x', title: '', detail: 'gone' } });
    await from.answer('lid', 'on');
    expect(from.problem?.detail).toBe('gone');
    expect(from.found).not.toBeNull();
  });

  it('hand their dish to the planning page', async () => {
    const from = new FromNotes();
    from.begin(kitchen);
    notes.mockResolvedValueOnce(
      found({ dish: { pulseId: 'pinto', serveAtLocal: '2026-11-25T19:00' } as Notes['dish'] }),
    );
    await from.read('pinto');
    from.keep();
    expect(readDraft()?.pulseId).toBe('pinto');
  });

  it('have a field for every question', () =>
    expect(Object.keys(fieldOf).sort()).toEqual([
      'clock_start',
      'lid',
      'minutes',
      'pulse',
      'pulse_grams',
      'release',
      'rice_grams',
      'salt',
      'soak',
      'water',
    ]));
});
