import { fireEvent, render, screen } from '@testing-library/svelte';
import { describe, expect, it, vi } from 'vitest';
import NamePicker from './NamePicker.svelte';

type Named = { id: string; name: string; matched: string | null };
type Answer = { ok: true; value: Named[] } | { ok: false; problem: { detail: string } };

/** A server that answers when it is told to. */
function slow() {
  const asked: { q: string; answer: (a: Answer) => void }[] = [];
  const find = (q: string) => new Promise<Answer>((answer) => asked.push({ q, answer }));
  const names = (...list: string[]): Answer => ({
    ok: true,
    value: list.map((name) => ({ id: name, name, matched: null })),
  });
  return { asked, find, names };
}

function picker(find: (q: string) => Promise<Answer>) {
  const onchoose = vi.fn();
  render(NamePicker, { id: 'x', label: 'Pulses', chosen: 'Chickpeas', find, onchoose });
  return { onchoose, input: screen.getByRole('combobox') as HTMLInputElement };
}

// Lines have a size, which the library asks of those that can be seen.
Object.defineProperty(HTMLElement.prototype, 'offsetHeight', { configurable: true, get: () => 20 });
Element.prototype.scrollIntoView = () => {};

const settled = () => new Promise((done) => setTimeout(done));

describe('the name picker', () => {
  it('never takes a line of older letters: Enter waits for what was typed', async () => {
    const { asked, find, names } = slow();
    const { onchoose, input } = picker(find);
    await fireEvent.input(input, { target: { value: 'green' } });
    asked[0]?.answer(names('Red kidney beans'));
    await settled();
    await fireEvent.input(input, { target: { value: 'green lent' } });
    // The old list is gone at once, so nothing of it can be taken.
    expect(screen.queryByText('Red kidney beans')).toBeNull();
    await fireEvent.keyDown(input, { key: 'Enter' });
    expect(onchoose).not.toHaveBeenCalled();
    asked[1]?.answer(names('Green lentils', 'Red kidney beans'));
    await settled();
    expect(onchoose.mock.calls).toEqual([['Green lentils']]);
  });

  it('takes nothing when nothing fits, and says so', async () => {
    const { asked, find, names } = slow();
    const { onchoose, input } = picker(find);
    await fireEvent.input(input, { target: { value: 'gravel' } });
    await fireEvent.keyDown(input, { key: 'Enter' });
    asked[0]?.answer(names());
    await settled();
    expect(onchoose).not.toHaveBeenCalled();
    expect(screen.getByText('Nothing by that name.')).toBeTruthy();
  });

  it('takes what was typed when the field is left, also when the answer comes later', async () => {
    const { asked, find, names } = slow();
    const { onchoose, input } = picker(find);
    await fireEvent.input(input, { target: { value: 'adz' } });
    await fireEvent.blur(input);
    asked[0]?.answer(names('Adzuki beans'));
    await settled();
    expect(onchoose.mock.calls).toEqual([['Adzuki beans']]);
  });

  it('says that the kettle is away instead of blaming the name', async () => {
    const { asked, find } = slow();
    const { input } = picker(find);
    await fireEvent.input(input, { target: { value: 'adz' } });
    asked[0]?.answer({ ok: false, problem: { detail: 'The program behind this page has stopped.' } });
    await settled();
    expect(screen.getByText('The program behind this page has stopped.')).toBeTruthy();
    expect(screen.queryByText('Nothing by that name.')).toBeNull();
  });

  it('goes along the lines by arrows, tells which one is meant, and takes it by Enter or a press', async () => {
    const { asked, find, names } = slow();
    const { onchoose, input } = picker(find);
    await fireEvent.input(input, { target: { value: 'len' } });
    asked[0]?.answer(names('Green lentils', 'Brown lentils', 'Red lentils'));
    await settled();
    const meant = () =>
      document.getElementById(input.getAttribute('aria-activedescendant') ?? '')?.textContent?.trim();
    expect(meant()).toBe('Green lentils');
    await fireEvent.keyDown(input, { key: 'ArrowDown' });
    expect(meant()).toBe('Brown lentils');
    expect(screen.getByRole('option', { selected: true }).textContent?.trim()).toBe('Brown lentils');
    await fireEvent.keyDown(input, { key: 'Enter' });
    expect(input.getAttribute('aria-expanded')).toBe('false');
    await fireEvent.input(input, { target: { value: 'len' } });
    asked[1]?.answer(names('Green lentils', 'Brown lentils', 'Red lentils'));
    await settled();
    await fireEvent.click(screen.getByText('Red lentils'));
    expect(onchoose.mock.calls).toEqual([['Brown lentils'], ['Red lentils']]);
  });

  it('takes no letter for a choice while a word is being composed', async () => {
    const { asked, find, names } = slow();
    const { onchoose, input } = picker(find);
    await fireEvent.input(input, { target: { value: '小' } });
    asked[0]?.answer(names('Adzuki beans'));
    await settled();
    await fireEvent.compositionStart(input);
    await fireEvent.keyDown(input, { key: 'Enter', isComposing: true });
    expect(onchoose).not.toHaveBeenCalled();
  });
});
