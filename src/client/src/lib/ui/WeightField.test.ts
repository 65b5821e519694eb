import { fireEvent, render, screen } from '@testing-library/svelte';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { units } from '../messages/units.svelte';
import WeightField from './WeightField.svelte';

describe('a weight', () => {
  afterEach(() => void (units.us = false));
  const typed = async (text: string) => {
    const onchange = vi.fn();
    render(WeightField, { name: 'Tomato', grams: 200, onchange });
    const input = screen.getByRole('textbox') as HTMLInputElement;
    const shown = [input.getAttribute('aria-label'), input.value];
    await fireEvent.change(input, { target: { value: text } });
    return { onchange, shown };
  };

  it.each([
    [false, 'Tomato, g', '200', '250', 250],
    [false, 'Tomato, g', '200', '1 lb', 454],
    [true, 'Tomato, oz', '7.1', '8', 227],
    [true, 'Tomato, oz', '7.1', '250 g', 250],
  ])('is shown and read in the household’s unit (us: %s)', async (us, label, value, text, grams) => {
    units.us = us;
    const { onchange, shown } = await typed(text);
    expect(shown).toEqual([label, value]);
    expect(Math.round(onchange.mock.calls[0]![0])).toBe(grams);
  });

  it('that cannot be read changes nothing and says so', async () => {
    const { onchange } = await typed('some');
    expect(onchange).not.toHaveBeenCalled();
    expect(screen.getByRole('alert').textContent).toContain('2.5 g');
  });
});
