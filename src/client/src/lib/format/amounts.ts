/** `300 g`, and `1.2 kg` from a kilogram on. */
export const grams = (value: number): string =>
  value >= 1000
    ? `${(value / 1000).toFixed(value % 1000 === 0 ? 0 : 2).replace(/0$/, '')} kg`
    : `${Math.round(value)} g`;

/** `700 mL`, and `1.14 L` from a litre on. */
export const millilitres = (value: number): string =>
  value >= 1000 ? `${(value / 1000).toFixed(2).replace(/\.?0+$/, '')} L` : `${Math.round(value)} mL`;

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
