import { language } from './language';
import { units } from './units.svelte';
import { fahrenheit, usCentimetres, usGrams, usMillilitres } from './usFigures';

/** How facts are written in sentences; `Figures.cs` of the server writes them alike, and a test compares the two. */

/** The mark between whole and parts: `.`, or `,` where the language has that. */
const mark =
  new Intl.NumberFormat(language).formatToParts(1.5).find((p) => p.type === 'decimal')?.value ?? '.';
const marked = (figure: string): string => (mark === '.' ? figure : figure.replace('.', mark));

const shown = (value: number, least = 0, most = least): string => {
  const fixed = value.toFixed(most);
  return marked(
    most > least ? fixed.replace(new RegExp(`(\\.\\d{${least}}\\d*?)0+$`), '$1').replace(/\.$/, '') : fixed,
  );
};

/** `300 g`, and `1.2 kg` from a kilogram on. */
export const grams = (value: number): string =>
  units.us
    ? usGrams(value)
    : value >= 1000
      ? `${marked((value / 1000).toFixed(value % 1000 === 0 ? 0 : 2).replace(/0$/, ''))} kg`
      : `${Math.round(value)} g`;

/** `700 mL`, and `1.14 L` from a litre on. */
export const millilitres = (value: number): string =>
  units.us
    ? usMillilitres(value)
    : value >= 1000
      ? `${marked((value / 1000).toFixed(2).replace(/\.?0+$/, ''))} L`
      : `${Math.round(value)} mL`;

/** A figure, and the same with its unit: `figures.litres(2.46, 1, 1)` → `"2.5 L"`. */
export const figures = {
  number: shown,
  grams,
  millilitres,
  litres: (value: number, least = 0, most = 0) =>
    units.us ? usMillilitres(value * 1000) : `${shown(value, least, most)} L`,
  minutes: (value: number) => `${Math.round(value)} min`,
  hours: (value: number, least = 0, most = 0) => `${shown(value, least, most)} h`,
  celsius: (value: number, least = 0, most = 0) =>
    units.us ? `${shown(fahrenheit(value), least, most)} °F` : `${shown(value, least, most)} °C`,
  centimetres: (value: number, least = 0, most = 0) =>
    units.us ? usCentimetres(value) : `${shown(value, least, most)} cm`,
  percent: (value: number) => `${Math.round(value * 100)} %`,
};

const plurals = new Intl.PluralRules(language);

/** The case of a count: its very number, or how the language counts it (one, few, many …). */
export const count = (value: number, cases: Record<string, string>, other: string): string =>
  cases[`=${value}`] ?? cases[plurals.select(value)] ?? other;

/** A word, or nothing. */
export const text = (word: string | null | undefined): string => word ?? '';

/** The case that a word chooses; no word chooses `none`. */
export const pick = (word: string | null | undefined, cases: Record<string, string>, other: string): string =>
  cases[word ?? 'none'] ?? other;

/** A name of the catalogue within a sentence: `within('Red lentils')` → `"red lentils"`. Names that a household gives stay as they are. */
export const within = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);

export const capital = (sentence: string): string => sentence.charAt(0).toUpperCase() + sentence.slice(1);
