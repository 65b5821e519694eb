import type { Join, MeasureOut, Plan, SaltSchool, Soak, Step, Style } from '../api/client';
import { within } from '../messages/figures';
import { knows, say } from '../messages/say';
import { grams, millilitres } from './amounts';

/** What a hand feels, or a tongue: `feltWord('rice', 'chalky_middle')` → `"hard in the middle"`; nothing for no state. */
export function feltWord(kind: string, state: string | null | undefined): string {
  const key = `felt.${kind === 'rice' ? 'rice' : 'pulse'}.${state ?? ''}`;
  return knows(key) ? say(key as 'felt.pulse.hard') : '';
}

/** How large the pale core is drawn, 0 to 1, for each felt state. */
export const core: Record<string, number> = {
  hard: 0.92,
  chalky_middle: 0.6,
  nearly_a_speck: 0.24,
  bite_no_chalk: 0.08,
  soft: 0,
  falling_apart: 0,
};

const styleIds: Style[] = ['dry', 'moist', 'saucy', 'soup'];
export const styles = styleIds.map((id) => ({
  id,
  name: say(`style.${id}.name`),
  hint: say(`style.${id}.hint`),
}));

/** What the pulses, or the rice, shall be like; the first leaves it to what is usual. */
export const pulseTargets = (['usual', 'firm', 'whole', 'creamy', 'melted'] as const).map((id) => ({
  id,
  name: say(`target.pulse.${id}`),
}));
export const riceTargets = (['usual', 'fluffy', 'soft', 'porridge'] as const).map((id) => ({
  id,
  name: say(`target.rice.${id}`),
}));

const soakIds: Soak[] = ['overnight', 'quick', 'none', 'hours', 'already'];
export const soaks = soakIds.map((id) => ({
  id,
  name: say(`soak.${id}.name`),
  hint: say(`soak.${id}.hint`),
}));

export const saltIds: SaltSchool[] = ['in_the_soak', 'at_the_start', 'with_the_rice', 'at_the_table'];

/** Where the household salts. */
export const saltName = (school: SaltSchool): string => say(`salt.${school}.name`);

/** Why a school does so, with how sure that is. */
export const saltReason = (school: SaltSchool): string => say(`salt.${school}.why`);

/** A way in a few words: how, and from what. */
export const wayName = (
  method: string,
  soak: string,
  cooker: string | null,
  rice: string | null = null,
  from = 'tin',
  join = 'in_the_pot',
): string => say('way.name', { method, soak, cooker, rice, from, join });

export type Line = { title: string; detail: string };

/** What the words of a step need to know of its dinner. */
export type DinnerWords = Pick<Plan, 'pulseName' | 'order'> & {
  measureOut: Pick<Plan['measureOut'], 'riceRinse'>;
};

/** Less is not worth adding or boiling down, mL. */
const enoughMillilitres = 20;

/** Several things in one sentence. */
export const listed = (names: readonly string[]): string | null =>
  names.length < 2
    ? (names[0] ?? null)
    : within(say('list.and', { first: names.slice(0, -1).join(', '), last: names.at(-1) ?? '' }));

/** What a step names: further pulses with their weights, or one thing. */
function namedIn(step: Step): string | null {
  const { others, name, blanched } = step.facts;
  if (others?.length) return listed(others.map((o) => say('step.part', { grams: o.grams, name: o.name })));
  if (!name) return null;
  const what = blanched ? say('measure.extra.what', { name, blanched: 'yes' }) : name;
  return step.kind === 'take_out' ? within(what) : what;
}

/** The facts that sentences of steps are made of. */
function factsOf(step: Step, plan: DinnerWords) {
  const f = step.facts;
  const [over, add] = [f.overBedCentimetres ?? 0, f.addMillilitres ?? 0];
  return {
    grams: f.grams,
    millilitres: f.millilitres,
    minutes: f.minutes,
    hours: f.hours,
    ingredient: f.ingredient,
    place: f.place,
    pieces: f.pieces,
    salty: listed(f.salty ?? []),
    count: f.count,
    pulse: within(plan.pulseName),
    order: plan.order,
    rinse: plan.measureOut.riceRinse,
    every: f.everyMinutes,
    state: f.felt,
    felt: feltWord('pulse', f.felt),
    over: Math.abs(over),
    side: over < 0 ? 'under' : 'over',
    drained: f.drained ? 'yes' : 'no',
    change: Math.abs(add) < enoughMillilitres ? 'none' : add > 0 ? 'add' : 'pour',
    amount: Math.abs(add),
    name: namedIn(step),
  };
}

/** A step as it is said. */
export function stepLine(step: Step, plan: DinnerWords): Line {
  const facts = factsOf(step, plan);
  return { title: say(`step.${step.kind}.title`, facts), detail: say(`step.${step.kind}.detail`, facts) };
}

/** One sentence about the join, for the head of the plan. */
export const joinSentence = (join: Join): string =>
  say('join.when', { joiner: join.joiner, felt: join.waitFor ? feltWord('pulse', join.waitFor) : null });

/** What is put on the scale, how much, and how to take it. */
export type MeasureLine = { what: string; amount: string; note: string; cups?: number };

/** The shopping-board list. */
export function measureLines(m: MeasureOut, plan: Plan): MeasureLine[] {
  /** Dry, or what is cooked already: drained, with the dry weight behind it. */
  const scale = (dry: number, drained: number | null, collapsed = false) =>
    drained === null
      ? { amount: grams(dry), note: say(collapsed ? 'measure.collapsed_dry' : 'measure.dry') }
      : {
          amount: grams(drained),
          note: collapsed ? say('measure.collapsed_cooked') : say('measure.cooked', { grams: dry }),
        };
  const own = scale(m.pulseGrams, m.drainedGrams);
  const lines: MeasureLine[] = [
    {
      what: plan.pulseName,
      ...own,
      note: m.pulseState === 'dry' ? own.note : say(`measure.${m.pulseState}`),
      cups: m.pulseCups,
    },
    ...m.others.map((o) => ({ what: o.name, ...scale(o.grams, o.drainedGrams, o.collapsed) })),
  ];
  // Into a slow cooker it goes hot.
  const heat = plan.steps?.some((s) => s.kind === 'light' && s.facts.place?.startsWith('crock'))
    ? 'hot'
    : 'cold';
  const water = (id: 'soak' | 'water' | 'boiling', amount: number) =>
    lines.push({
      what: say(`measure.${id}.what`),
      amount: millilitres(amount),
      note: say(`measure.${id}.note`, { heat }),
    });
  if (m.soakMillilitres) water('soak', m.soakMillilitres);
  if (m.riceGrams)
    lines.push({
      what: say('measure.rice.what', { rice: plan.riceName ?? null }),
      amount: grams(m.riceGrams),
      note: say(
        m.riceState !== 'dry'
          ? 'measure.rice_cooked'
          : m.riceRinse === 'no'
            ? 'measure.not_rinsed'
            : 'measure.rinsed',
      ),
      ...(m.riceCups ? { cups: m.riceCups } : {}),
    });
  water('water', m.firstWaterMillilitres);
  if (m.boilingMillilitres) water('boiling', m.boilingMillilitres);
  if (m.riceWaterMillilitres)
    lines.push({
      what: say('measure.rice_water.what', { vessel: m.riceVesselName ?? null }),
      amount: millilitres(m.riceWaterMillilitres),
      note: say('measure.rice_water.note'),
    });
  for (const x of m.extras) {
    const when = say(`measure.extra.${x.time}`);
    const note = x.pieces
      ? say('measure.extra.pieces', { pieces: x.pieces })
      : x.keptHalf
        ? say('measure.extra.half', { when })
        : when;
    lines.push({
      what: say('measure.extra.what', { name: x.name, blanched: x.blanched ? 'yes' : 'no' }),
      amount: grams(x.grams),
      note: x.frozen ? say('measure.extra.frozen', { frozen: x.frozen, note }) : note,
    });
  }
  const bind = plan.steps?.find((s) => s.kind === 'bind');
  if (bind)
    lines.push({
      what: say('measure.bind.what'),
      amount: grams(bind.facts.grams ?? 0),
      note: say('measure.bind.note', { millilitres: bind.facts.millilitres ?? 0 }),
    });
  lines.push({
    what: say('measure.salt.what'),
    amount: grams(m.salt.addGrams),
    note: say('measure.salt.note', { teaspoons: m.salt.teaspoons, percent: m.salt.targetPercent }),
  });
  return lines;
}

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
