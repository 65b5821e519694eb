import type { StoveDeed, StoveMoment, StoveState, Trouble } from '../api/client';
import { capital, within } from '../messages/figures';
import { knows, say, type MessageKey } from '../messages/say';
import { centimetres, degrees, grams, millilitres } from './amounts';
import { feltWord, stepLine, type Line } from './words';

/** A sentence of a family by a word that the server sent, or nothing for one that is not known here. */
const of = (key: string): string => (knows(key) ? (say as (key: MessageKey) => string)(key) : '');

/** What starts the next clock, as it is tapped. */
export const happened = (event: string | null | undefined): string => of(`event.${event ?? ''}.seen`);

/** What to look for when it comes. */
export const sign = (event: string): string => of(`event.${event}.sign`);

/** Whether it has come, as it is asked. */
export const asked = (event: string): string => of(`event.${event}.asked`);

function deed(d: StoveDeed): string | null {
  const facts = {
    ...d,
    name: d.name ? within(d.name) : null,
    heat: (d.celsius ?? 0) >= 90 ? 'boiling' : 'cold',
  };
  if (d.do === 'flame') return of(`flame.${d.flame ?? ''}`) || null;
  if (d.do === 'lid') return of(`lid.${d.lid ?? ''}`) || null;
  const key = `deed.${d.do}`;
  return knows(key) ? (say as (key: MessageKey, facts: unknown) => string)(key, facts) : null;
}

/** What the deeds of a moment come to. */
export function deedsLine(moment: StoveMoment): Line {
  const words = moment.deeds.map(deed).filter((w): w is string => w !== null);
  const said = [...new Set(words)];
  return { title: capital(said[0] ?? say('deed.none')), detail: said.slice(1).join(', ') };
}

/** A moment as the plan words it, or as its deeds do. */
/** What the sentences of a dinner need to know of it. */
type Words = Pick<StoveState, 'pulseName' | 'order' | 'riceRinse'>;

/** What the list of what was told needs to know besides. */
export type ToldNames = Words &
  Pick<StoveState, 'moments'> & {
    seeds: { id: string; kind: string; name: string }[];
    inside: { ingredient: string; name: string }[];
  };

export function momentLine(moment: StoveMoment, state: Words): Line {
  return moment.step ? stepLine(moment.step, dinner(state)) : deedsLine(moment);
}

/** What is to be done now that a look has found it: nothing is tasted or looked for any more. */
export const foundLine = (moment: StoveMoment, state: Words): Line =>
  moment.step && !looksOnly.includes(moment.step.kind)
    ? stepLine({ ...moment.step, facts: { ...moment.step.facts, everyMinutes: null } }, dinner(state))
    : deedsLine(moment);

/** Steps whose words are about the looking. */
const looksOnly = ['look', 'other_soft'];

/** Whether it is the first thing that is waited for in its vessel. */
export const leads = (moment: StoveMoment, { moments }: Pick<StoveState, 'moments'>): boolean =>
  moments.find((m) => m.state === 'waiting' && m.lane === moment.lane) === moment;

/** Further things in the same go. */
export const besideLines = (moment: StoveMoment, state: StoveState): string[] =>
  moment.beside.map((step) => stepLine(step, dinner(state)).title);

export const dinner = (state: Words) => ({
  pulseName: state.pulseName,
  order: state.order,
  measureOut: { riceRinse: state.riceRinse ?? null },
});

/** The one big sentence. */
export function nowSentence(moment: StoveMoment, state: StoveState, dueNow: boolean): string {
  const { event, look, asks, count, seen } = moment.waits;
  if (event === 'whistle')
    return count === 1 ? say('whistles.first') : say('whistles.count', { seen, count });
  if (event) return of(`event.${event}.wait`);
  if (look?.found) return say('look.found', { kind: asks.length > 1 ? 'both' : look.kind });
  if (look && dueNow)
    return look.enoughChalky !== null && look.enoughChalky !== undefined && look.kind === 'pulse'
      ? say('look.chalky')
      : say('look.taste', { kind: look.kind });
  if (look) return say('look.later', { lid: sealed(moment) ? 'shut' : 'other' });
  return momentLine(moment, state).title;
}

/** Rice steams under a lid that is shut tight: what is not there yet waits on the lowest flame. */
export const sealed = ({ step }: StoveMoment): boolean => step?.kind === 'heat_off';

/** The state that is waited for, with how to tell. */
export const lookFor = ({ state, kind }: { state: string; kind: string }): string =>
  state === 'hard' ? say('look.any') : say('look.wanted', { felt: feltWord(kind, state) });

/** What putting a moment off costs, as it stands on the button. */
export const putOffLine = (off: NonNullable<StoveMoment['putOff']>): string =>
  say('put_off.line', {
    minutes: off.minutes,
    table: Math.max(0, off.tableMinutes),
    pulses: off.pulseState ? feltWord('pulse', off.pulseState) : null,
    rice: off.riceState ? feltWord('rice', off.riceState) : null,
  });

/** Answers of a hand, from hard to falling apart. */
export const handStates = [
  'hard',
  'chalky_middle',
  'nearly_a_speck',
  'bite_no_chalk',
  'soft',
  'falling_apart',
] as const;

/** Whether a hand's answer is what was waited for, or past it. */
export const isThere = (answer: string, wanted: string): boolean =>
  handStates.findIndex((s) => s === answer) >= handStates.findIndex((s) => s === wanted);

/** Whether an answer to a look is what was asked for, taken by itself. */
export const answersLook = (
  look: { ingredient: string; state: string; enoughChalky?: number | null },
  told: { kind: string; ingredient?: string | null; state?: string | null; count?: number | null },
): boolean =>
  told.ingredient === look.ingredient &&
  (told.kind === 'felt'
    ? isThere(told.state ?? '', look.state)
    : told.kind === 'chalky' && (told.count ?? 5) <= (look.enoughChalky ?? -1));

/** The last answer to what a moment looks for; undefined where there was none. */
export const lastAnswer = ({ waits }: StoveMoment, { told }: Pick<StoveState, 'told'>) =>
  told.findLast(
    (t) =>
      !t.undone &&
      (t.entry.kind === 'felt' || t.entry.kind === 'chalky') &&
      t.entry.ingredient === waits.look?.ingredient,
  )?.entry;

/** Whether the last answer to the look of a moment was what was asked for. */
export const namedAsWanted = (moment: StoveMoment, state: Pick<StoveState, 'told'>): boolean => {
  const last = lastAnswer(moment, state);
  return !!moment.waits.look && !!last && answersLook(moment.waits.look, last);
};

/** What is asked at a visit, what to look at, and the answer when all is well. */
export const visitWords = (kind: string) => ({
  ask: of(`visit.${kind}.ask`),
  hint: of(`visit.${kind}.hint`),
  fine: of(`visit.${kind}.fine`),
});

/** What is seen when something has gone wrong; with some it counts for how long. */
const troubleIds: [Trouble, minutes?: true][] = [
  ['hard_dry'],
  ['hard_wet'],
  ['soft_wet'],
  ['sticking'],
  ['scorched'],
  ['too_salty'],
  ['too_thin'],
  ['too_thick'],
  ['boiled_over'],
  ['flame_out', true],
  ['power_cut', true],
  ['lid_lifted', true],
  ['rice_too_early'],
  ['called_away', true],
  ['wrong_pot'],
  ['silent'],
];
export const troubles = troubleIds.map(([id, minutes = false]) => ({
  id,
  minutes,
  name: say(`trouble.${id}`),
}));

/** Nobody knows it finer than this share. */
const toFive = (share: number): number => Math.round(share * 20) / 20;

/** What an evening has shown of a bag, a lid or a burner, as a share of what is usual: of a bag its time, which is the less the faster it is. */
export function learnedFacts(l: StoveState['learned'][number]) {
  const bag = l.what === 'bag';
  const [middle, low, high] = bag ? [1 / l.factor, 1 / l.high, 1 / l.low] : [l.factor, l.low, l.high];
  const off = toFive(middle - 1);
  return {
    way: off === 0 ? 'same' : off > 0 ? 'longer' : 'shorter',
    share: Math.abs(off),
    low: toFive(low),
    high: toFive(high),
  };
}

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

/** Whether it is rice that is felt, or a pulse. */
const kindOf = (ingredient: string | null | undefined, state: Pick<ToldNames, 'seeds'>): string =>
  state.seeds.find((s) => s.id === ingredient)?.kind ?? 'pulse';

/** An entry as it stands in the list of what was told. */
export function toldLine(told: StoveState['told'][number], state: ToldNames): string {
  const e = told.entry;
  if (e.kind === 'did') {
    const moment = state.moments.find((m) => m.id === e.momentId);
    return moment
      ? momentLine(moment, state).title
      : told.step
        ? stepLine(told.step, dinner(state)).title
        : say('told.done');
  }
  const name =
    state.seeds.find((s) => s.id === e.ingredient)?.name ??
    state.inside.find((i) => i.ingredient === e.ingredient)?.name ??
    e.ingredient;
  const parts = [
    e.kind === 'seen' || e.kind === 'not_yet' ? happened(e.what) || e.what : null,
    e.kind === 'flame' ? of(`flame.${e.what ?? ''}`) : null,
    e.kind === 'lid' ? of(`lid.${e.what ?? ''}`) : null,
    e.kind === 'felt'
      ? say('told.named', { name: name ?? null, felt: feltWord(kindOf(e.ingredient, state), e.state) })
      : null,
    e.kind === 'chalky' ? say('told.of', { count: e.count, of: e.of }) : null,
    e.millilitres !== null && e.millilitres !== undefined ? millilitres(e.millilitres) : null,
    e.grams !== null && e.grams !== undefined ? grams(e.grams) : null,
    e.centimetres !== null && e.centimetres !== undefined ? centimetres(e.centimetres) : null,
    e.celsius !== null && e.celsius !== undefined && e.kind === 'probed' ? degrees(e.celsius) : null,
    e.kind === 'went_in' || e.kind === 'came_out' ? `${e.count ?? ''} ${name ?? ''}`.trim() : null,
    e.kind === 'checked' || e.kind === 'put_away' || e.kind === 'chose'
      ? (e.what ?? '').replaceAll('_', ' ')
      : null,
  ].filter(Boolean);
  return capital(say('told.line', { kind: say(`told.${e.kind}`), what: parts.join(', ') }));
}
