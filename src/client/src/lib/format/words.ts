import type { Join, MeasureOut, Plan, SaltSchool, Soak, Step, Style } from '../api/client';
import { grams, millilitres, overBed } from './amounts';

/** What a hand feels, in the cook's words. */
export const felt: Record<string, string> = {
  hard: 'hard',
  chalky_middle: 'chalky in the middle',
  nearly_a_speck: 'nearly: a speck',
  bite_no_chalk: 'a bite, no chalk',
  soft: 'soft',
  falling_apart: 'falling apart',
};

/** How large the pale core is drawn, 0 to 1, for each felt state. */
export const core: Record<string, number> = {
  hard: 0.92,
  chalky_middle: 0.6,
  nearly_a_speck: 0.24,
  bite_no_chalk: 0.08,
  soft: 0,
  falling_apart: 0,
};

export const styles: { id: Style; name: string; hint: string }[] = [
  { id: 'dry', name: 'Dry', hint: 'fluffy; pulses alone are drained' },
  { id: 'moist', name: 'Moist', hint: 'clings together' },
  { id: 'saucy', name: 'Saucy', hint: 'liquid to spoon' },
  { id: 'soup', name: 'Soup', hint: 'a ladle of it' },
];

export const soaks: { id: Soak; name: string; hint: string }[] = [
  { id: 'overnight', name: 'Overnight', hint: 'in a bowl, drained before it is too long' },
  { id: 'quick', name: 'Quick', hint: 'boiled up, an hour off the heat, drained' },
  { id: 'none', name: 'None', hint: 'from dry' },
];

/** Where the household salts. */
export const salts: Record<SaltSchool, string> = {
  in_the_soak: 'in the soak',
  at_the_start: 'at the start',
  with_the_rice: 'when they are soft',
  at_the_table: 'at the very end',
};

/** Why a school does so, with how sure that is. */
export const saltReason: Record<string, string> = {
  in_the_soak: 'skins soften sooner and the seasoning goes deep (well shown)',
  at_the_start: 'seasoned through; slower by a few percent (small trials)',
  with_the_rice: 'the amount is known by then (house habit)',
  at_the_table: 'the little ones get theirs first',
};

/** A way in a few words: how, and from what. */
export function wayName(
  method: string,
  soak: string,
  cooker: string | null,
  rice: string | null = null,
  cookedFrom = 'tin',
): string {
  if (method === 'cooked')
    return (
      { fridge: 'Cooked, from the fridge', freezer: 'Cooked, from the freezer' }[cookedFrom] ?? 'From a tin'
    );
  const soaked = { overnight: 'soaked overnight', quick: 'quick-soaked' }[soak] ?? 'not soaked';
  const how = { pressure: 'pressure', slow_cooker: 'slow' }[method];
  const above = rice === 'bowl_above' ? ', rice in its bowl above' : '';
  return `${how ? `${cooker ?? ''}, ${how}` : 'Open pot'}, ${soaked}${above}`;
}

export type Line = { title: string; detail: string };

/** What the words of a step need to know of its dinner. */
export type DinnerWords = Pick<Plan, 'pulseName' | 'order'> & {
  measureOut: Pick<Plan['measureOut'], 'riceRinse'>;
};

const lower = (name: string) => name.charAt(0).toLowerCase() + name.slice(1);

/** The looks that a state asks for, counted on five. */
const ofFive: Record<string, string> = {
  chalky_middle: 'halve five: a pale middle, no hard core',
  nearly_a_speck: 'of five, two still chalky means not yet',
  bite_no_chalk: 'of five, none chalky',
  soft: 'squeeze five: none firm',
};

function joinLine(step: Step, plan: DinnerWords): Line {
  const f = step.facts;
  const rice = f.ingredient === 'rice';
  const name = rice ? 'Rice' : plan.pulseName;
  const add = f.addMillilitres ?? 0;
  const set =
    Math.abs(add) < 20
      ? 'top up with boiling water or pour off to that'
      : add > 0
        ? `about ${millilitres(add)} boiling to add`
        : `about ${millilitres(-add)} to pour off`;
  return {
    title: `${name} in: ${grams(f.grams ?? 0)}${rice && plan.measureOut.riceRinse !== 'no' ? ', rinsed' : ''}`,
    detail: `with ${millilitres(f.millilitres ?? 0)} of liquid in the pot, ${overBed(f.overBedCentimetres ?? 0)} what is in; ${set}. Full flame, lid on`,
  };
}

/** A step as it is said. */
export function stepLine(step: Step, plan: DinnerWords): Line {
  const f = step.facts;
  const pulse = lower(plan.pulseName);
  switch (step.kind) {
    case 'soak':
      return {
        title: `Soak ${grams(f.grams ?? 0)} ${pulse}`,
        detail: `in ${millilitres(f.millilitres ?? 0)} of water${f.name ? `, and ${f.name} in a bowl of its own` : ''}, ${f.place === 'fridge' ? 'in the fridge from the start' : 'on the counter'}`,
      };
    case 'drain':
      return {
        title: 'Drain and rinse',
        detail: `after ${f.hours} h; ${f.place === 'fridge' ? 'drained, into the fridge' : 'then straight into the pot'}`,
      };
    case 'quick_soak':
      return {
        title: 'Two or three minutes at the boil, then flame off',
        detail: `lid on, ${f.minutes} min: this is the soak`,
      };
    case 'quick_drain':
      return {
        title: 'Drain, rinse, fresh water',
        detail: `${millilitres(f.millilitres ?? 0)} from the kettle, full flame`,
      };
    case 'lock':
      return {
        title: 'Look through the vent, lock the lid',
        detail: `${millilitres(f.millilitres ?? 0)} of water went in; full heat until ${f.place === 'whistle' ? 'the first whistle' : 'the pressure is up'}`,
      };
    case 'pressure_up':
      return {
        title: 'Pressure is up: turn down',
        detail: `just enough to hold it${f.minutes ? `, ${f.minutes} min from now` : ''}; an electric cooker does so by itself`,
      };
    case 'first_whistle':
      return {
        title:
          f.place === 'medium' ? 'First whistle: medium flame' : 'First whistle: lowest flame that holds it',
        detail: f.count ? `heat off after ${f.count} in all` : f.minutes ? `${f.minutes} min from now` : '',
      };
    case 'hard_over':
      return { title: 'Hard boil over: down to a lively simmer', detail: 'skim, lid ajar' };
    case 'hold_over':
      return {
        title: f.count
          ? `${f.count === 1 ? 'First whistle' : `${f.count} whistles`}: heat off`
          : `Held ${f.minutes} min: heat off`,
        detail: 'leave it alone until the pin is down by itself',
      };
    case 'opened':
      return { title: 'Pin down: lid off, away from you', detail: 'a quiet simmer until the look' };
    case 'slow_starts':
      return { title: 'Into the slow cooker, on high', detail: 'with all their liquid, lid on and left on' };
    case 'chill':
      return { title: 'The bowl into the fridge', detail: 'water and all: it is kept' };
    case 'other_in':
      return {
        title: `${f.name} in: ${grams(f.grams ?? 0)}`,
        detail: f.place === 'rice' ? 'with the rice' : 'full flame until it boils, then a lively simmer',
      };
    case 'other_soft':
      return {
        title: `Look every ${f.everyMinutes} min at the quicker ones`,
        detail: `“${felt[f.felt ?? ''] ?? ''}”? Flame off, lid on`,
      };
    case 'extra_in':
      return {
        title: `${f.name} in: ${grams(f.grams ?? 0)}`,
        detail: f.pieces ? `${f.pieces} to come out again: count them` : 'stir once',
      };
    case 'take_out':
      return {
        title: `Take out: ${lower(f.name ?? '')}`,
        detail: `${f.pieces} went in, ${f.pieces} come out`,
      };
    case 'salt':
      return {
        title: `Salt${f.name ? ` into the ${f.name}` : ''}: ${grams(f.grams ?? 0)}`,
        detail: f.name
          ? 'for the rice'
          : f.pieces
            ? `first take out ${f.pieces === 1 ? 'the little one’s plate' : `${f.pieces} little plates`}, then salt`
            : 'all at once; taste at the table',
      };
    case 'rice_bowl':
      return {
        title: `Rice into its bowl: ${grams(f.grams ?? 0)}`,
        detail: `with ${millilitres(f.millilitres ?? 0)} of water, on the trivet above the pulses, steam free to pass beside it`,
      };
    case 'rice_out':
      return { title: 'Lift the rice bowl out', detail: 'mind the steam' };
    case 'rice_covered':
      return { title: 'Cover the rice', detail: 'a plate will do; it keeps while the pulses go on' };
    case 'rice_light':
      return {
        title: `Rice on, in the ${f.place}: ${grams(f.grams ?? 0)}`,
        detail: `${millilitres(f.millilitres ?? 0)} cold water, full flame, lid on`,
      };
    case 'rice_boils':
      return { title: 'The rice boils: lowest flame, lid shut', detail: `${f.minutes} min` };
    case 'rice_off':
      return { title: 'Rice: flame off, lid stays', detail: `rest ${f.minutes} min` };
    case 'rice_rested':
      return { title: 'Fluff the rice', detail: 'with a fork' };
    case 'rice_soak':
      return { title: `Rinse and soak ${grams(f.grams ?? 0)} rice`, detail: `${f.minutes} min, then drain` };
    case 'light': {
      const what =
        f.ingredient === 'rice'
          ? 'Rice'
          : f.ingredient === 'both'
            ? `${plan.pulseName} and rice`
            : plan.pulseName;
      return {
        title: `Light: ${what}${f.name ? ` with ${f.name}` : ''}, ${millilitres(f.millilitres ?? 0)} cold water`,
        detail: `stands ${overBed(f.overBedCentimetres ?? 0)}; full flame, ${f.place === 'locked' ? 'under the locked lid' : f.ingredient === 'pulse' ? 'lid ajar' : 'lid on'}`,
      };
    }
    case 'boil':
      return f.minutes
        ? {
            title: `A full boil: keep it rolling ${f.minutes} min`,
            detail: 'counted from when you see it; then down to a lively simmer',
          }
        : plan.order === 'rice_first'
          ? { title: 'It boils: lowest flame that bubbles', detail: 'lid on' }
          : { title: 'It boils: down to a lively simmer', detail: 'skim, lid ajar' };
    case 'look':
      return {
        title: `Look every ${f.everyMinutes} min, for “${felt[f.felt ?? ''] ?? ''}”`,
        detail: `${ofFive[f.felt ?? ''] ?? ''}. There? Flame off, lid on, let them wait`,
      };
    case 'join':
      return joinLine(step, plan);
    case 'seal':
      return {
        title: 'It boils again: lowest flame, lid shut tight',
        detail: `${f.minutes} min, no stirring`,
      };
    case 'heat_off':
      return { title: 'Flame off, lid stays', detail: `rest ${f.minutes} min` };
    case 'reheat':
      return { title: 'Full flame, back to the boil', detail: 'they may have waited' };
    case 'finish':
      return f.drained
        ? { title: 'Drain', detail: 'keep a cup of the liquid' }
        : {
            title: `Set the liquid to ${millilitres(f.millilitres ?? 0)}`,
            detail: 'boiling water, or pour off',
          };
    default:
      return { title: 'On the table', detail: 'taste' };
  }
}

/** One sentence about the join, for the head of the plan. */
export function joinSentence(join: Join): string {
  const who = join.joiner === 'rice' ? 'Rice in' : 'Pulses in';
  return join.waitFor ? `${who} when they are “${felt[join.waitFor]}”` : `${who} by the clock`;
}

/** When something goes in. */
const times: Record<string, string> = {
  start: 'in at the start',
  join: 'in when they are soft',
  late: 'in at the end',
};

/** The shopping-board list: what, how much, and how to take it. */
export function measureLines(m: MeasureOut, plan: Plan): { what: string; amount: string; note: string }[] {
  /** Dry, or what is cooked already: drained, with the dry weight behind it. */
  const scale = (dry: number, drained: number | null) =>
    drained === null
      ? { amount: grams(dry), note: 'dry, picked over' }
      : { amount: grams(drained), note: `cooked and drained, from ${grams(dry)} dry` };
  const lines = [{ what: plan.pulseName, ...scale(m.pulseGrams, m.drainedGrams) }];
  for (const o of m.others) {
    const line = scale(o.grams, o.drainedGrams);
    lines.push({
      what: o.name,
      ...line,
      note: o.collapsed ? `${line.note.split(',')[0]}; they will have fallen apart` : line.note,
    });
  }
  if (m.soakMillilitres)
    lines.push({
      what: 'Water for the bowl',
      amount: millilitres(m.soakMillilitres),
      note: 'thrown away after',
    });
  if (m.riceGrams)
    lines.push({
      what: capital(plan.riceName ?? 'rice'),
      amount: grams(m.riceGrams),
      note: m.riceRinse === 'no' ? 'not rinsed' : 'rinsed',
    });
  lines.push({ what: 'Water for the pot', amount: millilitres(m.firstWaterMillilitres), note: 'cold' });
  if (m.boilingMillilitres)
    lines.push({
      what: 'Water on the boil',
      amount: millilitres(m.boilingMillilitres),
      note: 'to have ready',
    });
  if (m.riceWaterMillilitres)
    lines.push({
      what: `Water for the ${m.riceVesselName}`,
      amount: millilitres(m.riceWaterMillilitres),
      note: 'cold, for the rice',
    });
  for (const x of m.extras)
    lines.push({
      what: x.blanched ? `${x.name}, blanched` : x.name,
      amount: grams(x.grams),
      note: x.pieces ? `${x.pieces} to come out again` : (times[x.time] ?? ''),
    });
  lines.push({
    what: 'Salt',
    amount: grams(m.salt.addGrams),
    note: `${m.salt.teaspoons} level tsp of fine; ${m.salt.targetPercent} % of all that is eaten`,
  });
  return lines;
}

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
