export { grams, millilitres } from '../messages/figures';

const quarters = ['', '¼', '½', '¾'];

/** Cups to the nearest quarter: `1½ cups`; `under ¼ cup` when there is less. */
export function cups(value: number): string {
  const whole = Math.round(value * 4);
  if (whole === 0) return 'under ¼ cup';
  const text = `${Math.floor(whole / 4) || ''}${quarters[whole % 4]}`;
  return `${text} ${whole > 4 ? 'cups' : 'cup'}`;
}

/** `0.9 cm over` or `1.2 cm under`: liquid against the top of the bed. */
export const overBed = (cm: number): string =>
  cm >= 0 ? `${cm.toFixed(1)} cm over` : `${Math.abs(cm).toFixed(1)} cm under`;
