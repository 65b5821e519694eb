import { fireEvent, render, screen } from '@testing-library/svelte';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import AmountField from './AmountField.svelte';

describe('an amount', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());

  function field() {
    const onchange = vi.fn();
    render(AmountField, { id: 'x', label: 'Chickpeas', value: 240, unit: 'g', onchange });
    const input = screen.getByLabelText('Chickpeas') as HTMLInputElement;
    const type = (value: string) => fireEvent.input(input, { target: { value } });
    return { onchange, input, type };
  }

  it('counts once the hand rests, not mark by mark', async () => {
    const { onchange, type } = field();
    for (const text of ['2', '25', '250']) await type(text);
    expect(onchange).not.toHaveBeenCalled();
    vi.runAllTimers();
    expect(onchange.mock.calls).toEqual([[250, 'g']]);
  });

  it('counts at once when the field is left, and once only', async () => {
    const { onchange, input, type } = field();
    await type('90');
    await fireEvent.change(input);
    vi.runAllTimers();
    expect(onchange.mock.calls).toEqual([[90, 'g']]);
  });

  it('says nothing of an empty field', async () => {
    const { onchange, input, type } = field();
    await type('');
    await fireEvent.change(input);
    vi.runAllTimers();
    expect(onchange).not.toHaveBeenCalled();
  });
});
