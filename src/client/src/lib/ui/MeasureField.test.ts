import { fireEvent, render, screen } from '@testing-library/svelte';
import { describe, expect, it } from 'vitest';
import MeasureField from './MeasureField.svelte';

describe('a field with a unit', () => {
  it('says so when it cannot be read, once the hand has left it, and keeps what was typed', async () => {
    render(MeasureField, { of: 'centimetres', value: 24, label: 'Width, cm' });
    const input = screen.getByLabelText('Width, cm') as HTMLInputElement;
    expect(input.value).toBe('24');
    await fireEvent.input(input, { target: { value: 'a finger' } });
    expect(screen.queryByRole('alert')).toBe(null);
    await fireEvent.blur(input);
    expect(screen.getByRole('alert').textContent).toContain('2.5 cm');
    expect(input.value).toBe('a finger');
    expect(input.getAttribute('aria-invalid')).toBe('true');
    await fireEvent.input(input, { target: { value: '10 in' } });
    await fireEvent.blur(input);
    expect(screen.queryByRole('alert')).toBe(null);
  });
});
