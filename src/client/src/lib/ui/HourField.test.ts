import { fireEvent, render, screen } from '@testing-library/svelte';
import { afterEach, describe, expect, it } from 'vitest';
import { units } from '../messages/units.svelte';
import HourField from './HourField.svelte';

const field = () => screen.getByRole<HTMLInputElement>('textbox');

async function type(text: string) {
  await fireEvent.change(field(), { target: { value: text } });
}

describe('an hour of the household', () => {
  afterEach(() => (units.amPm = false));

  it('is read as people type it, and says so where it cannot be, with nothing lost', async () => {
    render(HourField, { value: '07:00' });
    expect(field().value).toBe('07:00');
    await type('half late');
    expect(screen.getByRole('alert').textContent).toContain('19:00');
    expect(field().value).toBe('half late');
    expect(field().getAttribute('aria-invalid')).toBe('true');
    // A form with it is not sent.
    expect(field().validity.valid).toBe(false);
    await type('6.30');
    expect(screen.queryByRole('alert')).toBe(null);
    expect(field().validity.valid).toBe(true);
    expect(field().value).toBe('06:30');
  });

  it('is written by am and pm where the household does, and a bare hour is of the same half of the day', async () => {
    units.amPm = true;
    render(HourField, { value: '23:00' });
    expect(field().value).toBe('11:00 pm');
    await type('10:30');
    expect(field().value).toBe('10:30 pm');
    await type('1 am');
    expect(field().value).toBe('1:00 am');
  });
});
