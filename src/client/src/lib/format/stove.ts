import type { StoveDeed, StoveMoment, StoveState, Trouble } from '../api/client';
import { grams, millilitres } from './amounts';
import { felt, stepLine, type Line } from './words';

/** What starts the next clock, as it is tapped. */
export const happened: Record<string, string> = {
  boils: 'It boils',
  pressure_up: 'Pressure is up',
  whistle: 'It whistles',
  pin_down: 'The pin is down',
  surface_dry: 'The surface is dry',
};

const waitingFor: Record<string, string> = {
  boils: 'Wait for the full boil',
  pressure_up: 'Wait for the pressure',
  whistle: 'Count the whistles',
  pin_down: 'Wait until the pin is down',
  surface_dry: 'Wait until the surface is dry',
};

/** What to look for when it comes. */
export const sign: Record<string, string> = {
  boils: 'Large bubbles all over that stirring does not stop.',
  pressure_up: 'A steady hiss, the pin up.',
  whistle: 'Steam leaves in a burst: one tap for each.',
  pin_down: 'Leave the lid alone. Never force it.',
  surface_dry: 'Holes in the rice, no liquid between them.',
};

const flames: Record<string, string> = {
  off: 'flame off',
  lowest: 'the lowest flame',
  gentle: 'lowest flame that still bubbles',
  medium: 'medium flame',
  lively: 'a lively simmer',
  rolling: 'a rolling boil',
  full: 'full flame',
  warm: 'keep warm',
  low: 'low',
  high: 'high',
};

const lids: Record<string, string> = {
  open: 'lid off',
  ajar: 'lid ajar',
  on: 'lid on',
  sealed: 'lid shut tight',
  wrapped: 'wrapped up',
};

function deed(d: StoveDeed): string | null {
  const name = (d.name ?? '').toLowerCase();
  switch (d.do) {
    case 'soak':
      return `soak ${name} in ${millilitres(d.millilitres ?? 0)}`;
    case 'drain':
      return `drain the ${name}`;
    case 'drain_pot':
      return 'drain the pot';
    case 'chill':
      return `${name} into the fridge`;
    case 'rinse':
      return `rinse the ${name}`;
    case 'add':
      return `${name} in${d.pieces ? `: ${d.pieces}` : d.grams ? `: ${grams(d.grams)}` : ''}`;
    case 'take_out':
      return `take out the ${name}`;
    case 'water':
      return `${millilitres(d.millilitres ?? 0)} ${(d.celsius ?? 0) >= 90 ? 'boiling' : 'cold'} water`;
    case 'salt':
      return `salt: ${grams(d.grams ?? 0)}`;
    case 'measure':
      return `set the liquid to ${millilitres(d.millilitres ?? 0)}`;
    case 'flame':
      return flames[d.flame ?? ''] ?? null;
    case 'lid':
      return lids[d.lid ?? ''] ?? null;
    case 'lock':
      return 'look through the vent, lock the lid';
    case 'release':
      return 'let the pressure go';
    case 'leave_alone':
      return 'leave it alone until the pin is down';
    case 'move':
      return `all of it over into the ${d.to}`;
    case 'stir':
      return 'stir once';
    case 'mash':
      return `crush a ladle of the ${name}`;
    case 'serve':
      return 'on the table';
    default:
      return null;
  }
}

const sentence = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What the deeds of a moment come to. */
export function deedsLine(moment: StoveMoment): Line {
  const words = moment.deeds.map(deed).filter((w): w is string => w !== null);
  const said = [...new Set(words)];
  return { title: sentence(said[0] ?? 'Go on'), detail: said.slice(1).join(', ') };
}

/** A moment as the plan words it, or as its deeds do. */
export function momentLine(moment: StoveMoment, state: StoveState): Line {
  return moment.step ? stepLine(moment.step, dinner(state)) : deedsLine(moment);
}

/** Further things in the same go. */
export const besideLines = (moment: StoveMoment, state: StoveState): string[] =>
  moment.beside.map((step) => stepLine(step, dinner(state)).title);

const dinner = (state: StoveState) => ({
  pulseName: state.pulseName,
  order: state.order,
  measureOut: { riceRinse: state.riceRinse ?? null },
});

const ofKind = (kind: string) => (kind === 'rice' ? 'rice' : 'pulses');

/** The one big sentence. */
export function nowSentence(moment: StoveMoment, state: StoveState, dueNow: boolean): string {
  const { event, look, count, seen } = moment.waits;
  if (event === 'whistle')
    return count === 1
      ? 'Wait for the first whistle'
      : `${waitingFor.whistle}: ${seen}\u00a0of\u00a0${count}`;
  if (event) return waitingFor[event] ?? 'Wait';
  if (look && dueNow)
    return look.enoughChalky !== null && look.enoughChalky !== undefined && look.kind === 'pulse'
      ? 'Of five, how many are still chalky?'
      : `Taste the ${ofKind(look.kind)}: how ${look.kind === 'rice' ? 'is it' : 'are they'}?`;
  if (look) return 'Let them simmer. Next look at';
  return momentLine(moment, state).title;
}

/** The state that is waited for, with how to tell. */
export const lookFor = ({ state, kind }: { state: string; kind: string }): string =>
  state === 'hard'
    ? 'Any answer will do: it tells how long they still need.'
    : `Wanted: “${(kind === 'rice' ? handStates.find((s) => s.id === state)?.rice : felt[state]) ?? state}”`;

/** What putting a moment off costs, as it stands on the button. */
export function putOffLine(off: NonNullable<StoveMoment['putOff']>): string {
  const table = off.tableMinutes > 0 ? `table ${off.tableMinutes} min later` : 'the table stays';
  const rice = off.riceState
    ? `, rice ${felt[off.riceState]?.replace('chalky', 'hard') ?? off.riceState}`
    : '';
  const pulses = off.pulseState ? `, pulses ${felt[off.pulseState] ?? off.pulseState}` : '';
  return `In ${off.minutes} min: ${table}${pulses}${rice}`;
}

/** Answers of a hand, in the cook's words. */
export const handStates: { id: string; pulse: string; rice: string }[] = [
  { id: 'hard', pulse: 'hard', rice: 'hard' },
  { id: 'chalky_middle', pulse: 'chalky middle', rice: 'hard in the middle' },
  { id: 'nearly_a_speck', pulse: 'nearly: a speck', rice: 'firm' },
  { id: 'bite_no_chalk', pulse: 'a bite, no chalk', rice: 'a slight bite' },
  { id: 'soft', pulse: 'soft', rice: 'right' },
  { id: 'falling_apart', pulse: 'falling apart', rice: 'too soft' },
];

/** Whether a hand's answer is what was waited for, or past it. */
export const isThere = (answer: string, wanted: string): boolean =>
  handStates.findIndex((s) => s.id === answer) >= handStates.findIndex((s) => s.id === wanted);

export const visits: Record<string, { ask: string; hint: string; fine: string }> = {
  boil_over: {
    ask: 'Stay for the first boil',
    hint: 'Foam rises fast: turn down at once, lid ajar, skim.',
    fine: 'It has settled',
  },
  still_lit: {
    ask: 'Is the low flame still lit?',
    hint: 'Look under the pot. Out? Valve off, windows open, wait, light again.',
    fine: 'It is lit',
  },
  level: {
    ask: 'Does the liquid still cover them?',
    hint: 'Compare with the pot drawn beside.',
    fine: 'Well over them',
  },
  chilli: {
    ask: 'The chilli comes out before it bursts',
    hint: 'Lift it out whole: burst, it is in everything.',
    fine: 'It is out',
  },
  silent: {
    ask: 'Nothing heard for 15 minutes?',
    hint: 'No hiss, no whistle: something is wrong with ring, vent or liquid.',
    fine: 'It hisses',
  },
  second_half: {
    ask: 'The rest goes in',
    hint: 'What was kept back for now.',
    fine: 'It is in',
  },
  sticking: {
    ask: 'Draw a spoon over the bottom',
    hint: 'It thickens now: does it stick?',
    fine: 'Nothing sticks',
  },
};

/** What is seen when something has gone wrong. */
export const troubles: { id: Trouble; name: string; minutes?: boolean; percent?: boolean }[] = [
  { id: 'hard_dry', name: 'Hard and dry' },
  { id: 'hard_wet', name: 'Hard and wet' },
  { id: 'soft_wet', name: 'Soft and wet' },
  { id: 'sticking', name: 'It sticks' },
  { id: 'scorched', name: 'Scorched' },
  { id: 'too_salty', name: 'Too salty' },
  { id: 'too_thin', name: 'Too thin' },
  { id: 'too_thick', name: 'Too thick' },
  { id: 'boiled_over', name: 'Boiled over' },
  { id: 'flame_out', name: 'Flame out', minutes: true },
  { id: 'power_cut', name: 'Power cut', minutes: true },
  { id: 'lid_lifted', name: 'Lid was off', minutes: true },
  { id: 'rice_too_early', name: 'Rice in too early' },
  { id: 'called_away', name: 'I must go', minutes: true },
  { id: 'silent', name: 'No pressure comes' },
];

/** `in 12 min`, `now`, `4 min late`, `in 2 h 5 min`. */
export function away(milliseconds: number): string {
  const minutes = Math.round(milliseconds / 60_000);
  if (minutes === 0) return 'now';
  const span = Math.abs(minutes);
  const text = span < 100 ? `${span} min` : `${Math.floor(span / 60)} h ${span % 60} min`;
  return minutes > 0 ? `in ${text}` : `${text} late`;
}

/** `12:34` left on a clock, or `1:02:03`. */
export function countdown(milliseconds: number): string {
  const all = Math.max(0, Math.ceil(milliseconds / 1000));
  const [h, m, s] = [Math.floor(all / 3600), Math.floor((all % 3600) / 60), all % 60];
  const two = (n: number) => String(n).padStart(2, '0');
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
}

const kinds: Record<string, string> = {
  seen: 'seen',
  not_yet: 'not yet',
  felt: 'felt',
  chalky: 'chalky',
  liquor: 'measured',
  over_bed: 'level',
  water: 'topped up',
  pour_off: 'poured off to',
  flame: 'flame',
  lid: 'lid',
  salt: 'salt',
  went_in: 'went in',
  later: 'the rest later',
  came_out: 'came out',
  sticks: 'sticks',
  checked: 'looked after',
  vent_clear: 'vent clear',
  probed: 'probe',
  chose: 'chose',
  put_away: 'put away',
};

/** An entry as it stands in the list of what was told. */
export function toldLine(told: StoveState['told'][number], state: StoveState): string {
  const e = told.entry;
  if (e.kind === 'did') {
    const moment = state.moments.find((m) => m.id === e.momentId);
    return moment
      ? momentLine(moment, state).title
      : told.step
        ? stepLine(told.step, dinner(state)).title
        : 'Done';
  }
  const name =
    state.seeds.find((s) => s.id === e.ingredient)?.name ??
    state.inside.find((i) => i.ingredient === e.ingredient)?.name ??
    e.ingredient;
  const parts = [
    e.kind === 'seen' || e.kind === 'not_yet' ? (happened[e.what ?? ''] ?? e.what) : null,
    e.kind === 'flame' ? flames[e.what ?? ''] : null,
    e.kind === 'lid' ? lids[e.what ?? ''] : null,
    e.kind === 'felt' ? `${name}: ${felt[e.state ?? ''] ?? e.state}` : null,
    e.kind === 'chalky' ? `${e.count} of ${e.of}` : null,
    e.millilitres !== null && e.millilitres !== undefined ? millilitres(e.millilitres) : null,
    e.grams !== null && e.grams !== undefined ? grams(e.grams) : null,
    e.centimetres !== null && e.centimetres !== undefined ? `${e.centimetres} cm` : null,
    e.celsius !== null && e.celsius !== undefined && e.kind === 'probed' ? `${e.celsius} °C` : null,
    e.kind === 'went_in' || e.kind === 'came_out' ? `${e.count ?? ''} ${name ?? ''}`.trim() : null,
    e.kind === 'checked' || e.kind === 'put_away' || e.kind === 'chose'
      ? (e.what ?? '').replaceAll('_', ' ')
      : null,
  ].filter(Boolean);
  return sentence(`${kinds[e.kind] ?? e.kind}: ${parts.join(', ')}`);
}
