import { figures, grams, millilitres } from '../messages/figures';
import { units } from '../messages/units.svelte';
import { usCentimetres } from '../messages/usFigures';

export { grams, millilitres };

const quarters = ['', '¼', '½', '¾'];

/** Cups to the nearest quarter: `1½ cups`; `under ¼ cup` when there is less. */
export function cups(value: number): string {
  const whole = Math.round(value * 4);
  if (whole === 0) return 'under ¼ cup';
  const text = `${Math.floor(whole / 4) || ''}${quarters[whole % 4]}`;
  return `${text} ${whole > 4 ? 'cups' : 'cup'}`;
}

/** `0.9 cm over` or `1.2 cm under`: liquid against the top of the bed. */
export function overBed(cm: number): string {
  const far = units.us ? usCentimetres(Math.abs(cm)) : `${Math.abs(cm).toFixed(1)} cm`;
  return `${far} ${cm >= 0 ? 'over' : 'under'}`;
}

/** `98 °C`, or `208 °F`. */
export const degrees = (celsius: number): string => figures.celsius(celsius);

/** `24 cm`, or `9½ in`. */
export const centimetres = (cm: number): string => figures.centimetres(cm, 0, 1);

/** `340 to 480 mL`, or `1½ cups to 2 cups`. */
export const millilitresBetween = (low: number, high: number): string =>
  `${units.us || high >= 1000 ? millilitres(low) : Math.round(low)} to ${millilitres(high)}`;
