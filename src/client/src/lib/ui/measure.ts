/** What a field measures; its value is kept in the first of its two units. */
export type Measure = 'millilitres' | 'litres' | 'centimetres' | 'celsius' | 'metres' | 'grams';

type Unit = {
  name: string;
  /** To the metric unit: `times` it, after `from` was taken away. */
  times: number;
  from?: number;
  /** Decimals that it is shown with. */
  decimals: number;
  also: RegExp;
};

const millilitre: Unit = { name: 'mL', times: 1, decimals: 0, also: /^(ml|millilit(er|re)s?)$/ };
const litre: Unit = { name: 'L', times: 1000, decimals: 2, also: /^(l|lit(er|re)s?)$/ };
const decilitre: Unit = { name: 'dL', times: 100, decimals: 1, also: /^(dl|decilit(er|re)s?)$/ };
const cup: Unit = { name: 'cups', times: 236.588, decimals: 2, also: /^(c|cups?)$/ };
const quart: Unit = { name: 'qt', times: 946.353, decimals: 1, also: /^(qt|quarts?)$/ };
const pint: Unit = { name: 'pt', times: 473.176, decimals: 1, also: /^(pt|pints?)$/ };
const gallon: Unit = { name: 'gal', times: 3785.41, decimals: 2, also: /^(gal|gallons?)$/ };
const ounceOfFluid: Unit = { name: 'fl oz', times: 29.5735, decimals: 1, also: /^fl\.? ?oz\.?$/ };
const spoon: Unit = { name: 'tbsp', times: 14.787, decimals: 1, also: /^(tbsp|tablespoons?)$/ };
const centimetre: Unit = { name: 'cm', times: 1, decimals: 1, also: /^(cm|centimet(er|re)s?)$/ };
const millimetre: Unit = { name: 'mm', times: 0.1, decimals: 0, also: /^mm$/ };
const inch: Unit = { name: 'in', times: 2.54, decimals: 1, also: /^(in|inch|inches|")$/ };
const celsius: Unit = { name: '°C', times: 1, decimals: 1, also: /^(°|degrees?)? ?c(elsius)?$/ };
const fahrenheit: Unit = {
  name: '°F',
  times: 5 / 9,
  from: 32,
  decimals: 0,
  also: /^(°|degrees?)? ?f(ahrenheit)?$/,
};
const metre: Unit = { name: 'm', times: 1, decimals: 0, also: /^(m|met(er|re)s?)$/ };
const foot: Unit = { name: 'ft', times: 0.3048, decimals: 0, also: /^(ft|foot|feet|')$/ };
const gram: Unit = { name: 'g', times: 1, decimals: 0, also: /^(g|grams?)$/ };
const kilogram: Unit = { name: 'kg', times: 1000, decimals: 2, also: /^(kg|kilos?|kilograms?)$/ };
const ounce: Unit = { name: 'oz', times: 28.3495, decimals: 1, also: /^(oz|ounces?)$/ };
const pound: Unit = { name: 'lb', times: 453.592, decimals: 2, also: /^(lbs?|pounds?)$/ };

const volumes = [millilitre, decilitre, litre, cup, pint, quart, gallon, ounceOfFluid, spoon];
/** Metric and US unit of a household, and whatever else is understood there. */
const known: Record<Measure, { metric: Unit; us: Unit; all: Unit[]; kept: number }> = {
  millilitres: { metric: millilitre, us: cup, all: volumes, kept: 1 },
  litres: { metric: litre, us: quart, all: volumes, kept: 1000 },
  centimetres: { metric: centimetre, us: inch, all: [centimetre, millimetre, inch], kept: 1 },
  celsius: { metric: celsius, us: fahrenheit, all: [celsius, fahrenheit], kept: 1 },
  metres: { metric: metre, us: foot, all: [metre, foot], kept: 1 },
  grams: { metric: gram, us: ounce, all: [gram, kilogram, ounce, pound], kept: 1 },
};

export const unitOf = (of: Measure, us: boolean): string => known[of][us ? 'us' : 'metric'].name;

const halves: Record<string, number> = { '¼': 0.25, '½': 0.5, '¾': 0.75, '⅓': 1 / 3, '⅔': 2 / 3, '⅛': 0.125 };

/** `1.5`, `1,5`, `1 1/2`, `1½` and `½` → a figure; null for anything else. */
function figure(text: string): number | null {
  const fraction = /^(-?\d+)??\s*(?:(\d+)\/([1-9]\d*)|([¼½¾⅓⅔⅛]))$/.exec(text);
  if (fraction) {
    const [, whole = '0', over, under, sign] = fraction;
    return Number(whole) + (sign ? (halves[sign] ?? 0) : Number(over) / Number(under));
  }
  // A thousand as it is written with a comma; with a point it may be one or the other, and is asked again.
  if (/^-?[1-9]\d{0,2}(,\d{3})+$/.test(text)) return Number(text.replaceAll(',', ''));
  return /^-?\d+([.,]\d+)?$/.test(text) ? Number(text.replace(',', '.')) : null;
}

/** Without the small words: `about half a cup` → `½ cup`. */
const plainly = (text: string): string =>
  text
    .trim()
    .replace(/^(about|some|~|ca\.?)\s*/i, '')
    .replace(/^half an?\s/i, '½ ')
    .replace(/^an?\s/i, '1 ');

/** `1 lb 4 oz` → its parts; one part for all else. */
const partsOf = (text: string): string[] =>
  text.match(/[\d.,/\s¼½¾⅓⅔⅛]*\d[\d.,/\s¼½¾⅓⅔⅛]*(?:lbs?|pounds?|kg|ft|feet|qt|cups?)(?=[\s,]*\d)|.+$/gi) ?? [
    text,
  ];

/** What was typed, in the unit of the field: `readMeasure('centimetres', '2 in', false)` → `5.08`. A figure alone is in the household's
 * unit; null where it cannot be read. */
export function readMeasure(of: Measure, text: string, us: boolean): number | null {
  const parts = partsOf(text.trim());
  if (parts.length > 1 && of !== 'celsius') {
    const read = parts.map((part) => readPart(of, part, us));
    return read.reduce<number | null>((sum, r) => (sum === null || r === null ? null : sum + r), 0);
  }
  return readPart(of, text, us);
}

function readPart(of: Measure, text: string, us: boolean): number | null {
  const { metric, us: american, all, kept } = known[of];
  const [, number = '', said = ''] =
    /^\s*(-?[\d.,/\s¼½¾⅓⅔⅛]*?)\s*([^\d.,/\s¼½¾⅓⅔⅛-].*)?$/.exec(plainly(text)) ?? [];
  const value = figure(number.trim());
  // A bare ° is the household's own.
  const name = said.trim().toLowerCase().replace(/^°$/, '');
  const unit = name ? all.find((u) => u.also.test(name)) : us ? american : metric;
  if (value === null || !unit || (/\.\d{3}$/.test(number.trim()) && unit.times < 1000)) return null;
  return ((value - (unit.from ?? 0)) * unit.times) / kept;
}

/**
 * An amount of food: a weight or a volume however it is typed, or a figure in the unit that stands beside it.
 * `readAmount('250 g', 'cup', …)` → 250 g; `readAmount('1½', 'cup', …)` → 1.5 cups; null where it cannot be read.
 */
export function readAmount(
  text: string,
  unit: string,
  cupMillilitres: number,
  us: boolean,
): { value: number; unit: string } | null {
  const named = /[a-z]/i.test(plainly(text));
  const weight = unit === 'g' || named ? readMeasure('grams', text, us) : null;
  if (weight !== null) return { value: weight, unit: 'g' };
  if (!named) {
    const value = figure(plainly(text));
    return value === null ? null : { value, unit };
  }
  const cups = /^([^a-z]*)(?:c|cups?)$/i.exec(plainly(text));
  if (cups) return readAmount(cups[1]!, 'cup', cupMillilitres, us);
  const millilitres = readMeasure('millilitres', text, us);
  return millilitres === null ? null : { value: millilitres / cupMillilitres, unit: 'cup' };
}

/** As it stands in the field: `shownMeasure('celsius', 20, true)` → `"68"`. */
export function shownMeasure(of: Measure, value: number | null | undefined, us: boolean): string {
  if (value === null || value === undefined) return '';
  const { metric, us: american, kept } = known[of];
  const unit = us ? american : metric;
  return String(Number(((value * kept) / unit.times + (unit.from ?? 0)).toFixed(unit.decimals)));
}
