/**
 * Figures as a household with cups, ounces and inches reads them; `UsFigures.cs` of the server writes them alike.
 * Exact factors: oz 28.3495 g, cup 236.588 mL, inch 2.54 cm.
 */
const ounce = 28.3495;
const cup = 236.588;
const tablespoon = cup / 16;
const teaspoon = cup / 48;

/** Up to here scales of any kitchen show grams better than a tenth of an ounce. */
const fewGrams = 28;

/** So many cups are poured by the quarter cup, without spoons. */
const manyCups = 6;

const eighths = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];

function mixed(value: number): string {
  const whole = Math.floor(value);
  const part = Math.floor((value - whole) * 8 + 0.5);
  return part === 0 ? `${whole}` : `${whole || ''}${eighths[part]}`;
}

const tenths = (value: number): string => (Math.floor(value * 10 + 0.5) / 10).toFixed(1).replace(/\.0$/, '');

/** `12 g`, `5.3 oz`, `1 lb 2 oz`. */
export function usGrams(value: number): string {
  if (value < fewGrams) return `${Math.round(value)} g`;
  const whole = Math.floor(value / ounce + 0.5);
  if (whole < 16) return `${tenths(value / ounce)} oz`;
  return whole % 16 === 0 ? `${whole / 16} lb` : `${Math.floor(whole / 16)} lb ${whole % 16} oz`;
}

/** `½ tsp`, `2 tbsp`, `1½ cups + 1 tbsp`, `8¼ cups`. */
export function usMillilitres(value: number): string {
  if (value < 3 * teaspoon) return `${mixed(Math.floor((value / teaspoon) * 4 + 0.5) / 4)} tsp`;
  let spoons = Math.floor(value / tablespoon + 0.5);
  if (spoons < 4) return `${spoons} tbsp`;
  if (value >= manyCups * cup) spoons = Math.floor(spoons / 4 + 0.5) * 4;
  const quarters = Math.floor(spoons / 4) / 4;
  const over = spoons % 4;
  return `${mixed(quarters)} ${quarters > 1 ? 'cups' : 'cup'}${over > 0 ? ` + ${over} tbsp` : ''}`;
}

export const fahrenheit = (celsius: number): number => (celsius * 9) / 5 + 32;

/** `1¼ in`, to an eighth. */
export const usCentimetres = (value: number): string =>
  `${value < 0 ? '-' : ''}${mixed(Math.floor((Math.abs(value) / 2.54) * 8 + 0.5) / 8)} in`;
