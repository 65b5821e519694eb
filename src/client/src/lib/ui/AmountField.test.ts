import { fireEvent, render, screen } from '@testing-library/svelte';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { units } from '../messages/units.svelte';
import AmountField from './AmountField.svelte';

describe('an amount', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());

  function field() {
    const onchange = vi.fn();
    render(AmountField, {
      id: 'x',
      label: 'Chickpeas',
      value: 240,
      unit: 'g',
      cupMillilitres: 240,
      onchange,
    });
    const input = screen.getByLabelText('Chickpeas') as HTMLInputElement;
    const type = (value: string) => fireEvent.input(input, { target: { value } });
    return { onchange, input, type };
  }

  it('counts once the hand rests, not mark by mark', async () => {
    const { onchange, type } = field();
    for (const text of ['2', '25', '250']) await type(text);
    expect(onchange).not.toHaveBeenCalled();
    vi.runAllTimers();
    expect(onchange.mock.calls).toEqual([[250, 'g', true]]);
  });

  it('counts at once when the field is left, and once only', async () => {
    const { onchange, input, type } = field();
    await type('90');
    await fireEvent.change(input);
    vi.runAllTimers();
    expect(onchange.mock.calls).toEqual([[90, 'g', true]]);
  });

  it('takes any weight or volume, and says so where it reads none', async () => {
    const { onchange, input, type } = field();
    for (const text of ['1 lb 4 oz', '1½ cups', '0.3 kg', '480 ml']) {
      await type(text);
      await fireEvent.change(input);
    }
    expect(onchange.mock.calls.map(([v, u]) => [Math.round(v * 100) / 100, u])).toEqual([
      [566.99, 'g'],
      [1.5, 'cup'],
      [300, 'g'],
      [2, 'cup'],
    ]);
    await type('a sack');
    await fireEvent.change(input);
    expect(onchange).toHaveBeenCalledTimes(4);
    expect(screen.getByRole('alert').textContent).toContain('That is no figure here');
  });

  it('leaves what is being typed as it is typed while the hand rests, and tells it once', async () => {
    const { onchange, input, type } = field();
    await type('1 lb');
    vi.runAllTimers();
    expect(onchange).toHaveBeenCalledTimes(1);
    expect(input.value).toBe('1 lb');
    await type('1 lb x');
    vi.runAllTimers();
    expect(screen.queryByRole('alert')).toBeNull();
    await type('1 lb 4 oz');
    vi.runAllTimers();
    await fireEvent.change(input);
    expect(onchange.mock.calls.map(([v]) => Math.round(v))).toEqual([454, 567]);
  });

  it('goes a little up and down by the arrows', async () => {
    const { onchange, input } = field();
    await fireEvent.keyDown(input, { key: 'ArrowUp' });
    await fireEvent.keyDown(input, { key: 'ArrowDown' });
    expect(onchange.mock.calls).toEqual([
      [250, 'g', true],
      [230, 'g', true],
    ]);
  });

  it('stands in ounces where the household weighs so', async () => {
    units.us = true;
    const { onchange, input, type } = field();
    expect(input.value).toBe('8.5');
    await type('12');
    await fireEvent.change(input);
    expect(onchange.mock.calls[0]![0]).toBeCloseTo(340.19, 1);
    units.us = false;
  });

  it('says nothing of an empty field', async () => {
    const { onchange, input, type } = field();
    await type('');
    await fireEvent.change(input);
    vi.runAllTimers();
    expect(onchange).not.toHaveBeenCalled();
  });
});
