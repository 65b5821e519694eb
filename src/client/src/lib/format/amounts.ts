import { figures, grams, millilitres } from '../messages/figures';
import { say } from '../messages/say';
import { units } from '../messages/units.svelte';

export { grams, millilitres };

const quarters = ['', '¼', '½', '¾'];

/** Cups to the nearest quarter: `1½ cups`; `under ¼ cup` when there is less. */
export function cups(value: number): string {
  const whole = Math.round(value * 4);
  if (whole === 0) return say('amount.under_quarter');
  const text = `${Math.floor(whole / 4) || ''}${quarters[whole % 4]}`;
  return say(whole > 4 ? 'amount.of_cups' : 'amount.of_cup', { cups: text });
}

/** `0.9 cm over` or `1.2 cm under`: liquid against the top of the bed. */
export function overBed(cm: number): string {
  return say(cm >= 0 ? 'amount.over' : 'amount.under', { far: figures.centimetres(Math.abs(cm), 1, 1) });
}

/** `98 °C`, or `208 °F`. */
export const degrees = (celsius: number): string => figures.celsius(celsius);

/** `24 cm`, or `9½ in`. */
export const centimetres = (cm: number): string => figures.centimetres(cm, 0, 1);

/** `340 to 480 mL`, or `1½ cups to 2 cups`. */
export const millilitresBetween = (low: number, high: number): string =>
  say('time.range', {
    from: units.us || high >= 1000 ? millilitres(low) : String(Math.round(low)),
    to: millilitres(high),
  });
