import { render } from '@testing-library/svelte';
import { encode } from 'uqr';
import { afterEach, describe, expect, it } from 'vitest';
import CodePicture from './CodePicture.svelte';
import PairForm from './PairForm.svelte';

afterEach(() => (location.hash = ''));

describe('the picture code', () => {
  it('draws each dark field of the code, and a quiet edge around it', () => {
    const text = 'https://192.168.1.20:5271/#code=AB12CD34';
    const { container } = render(CodePicture, { text, label: 'Picture code' });
    const { data } = encode(text, { ecc: 'M', border: 3 });
    const drawn = [
      ...(container.querySelector('path')?.getAttribute('d') ?? '').matchAll(/M(\d+) (\d+)h/g),
    ].map(([, x, y]) => `${x} ${y}`);
    const dark = data.flatMap((row, y) => row.flatMap((d, x) => (d ? [`${x} ${y}`] : [])));
    expect(dark.length).toBeGreaterThan(200);
    expect(drawn).toEqual(dark);
    expect(data.every((row) => !row[0] && !row[2])).toBe(true);
  });
  it('fills in the code at the phone, which is sent by a press alone', () => {
    location.hash = '#code=AB12CD34';
    const { getByLabelText, getByRole } = render(PairForm, { onpaired: () => {} });
    expect((getByLabelText('Code') as HTMLInputElement).value).toBe('AB12CD34');
    expect((getByRole('button', { name: 'Pair' }) as HTMLButtonElement).disabled).toBe(false);
  });
});
