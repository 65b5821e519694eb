import type { Block, Difference, StoveChange } from '../api/client';
import { say } from '../messages/say';
import { clock } from './time';
import { feltWord } from './words';

/** From here on a span is said in hours, min. */
const longMinutes = 100;

const span = (minutes: number): string =>
  minutes < longMinutes
    ? say('span.minutes', { minutes: Math.round(minutes) })
    : say('span.hours_minutes', { hours: Math.floor(minutes / 60), minutes: Math.round(minutes % 60) });

/** What changes from one plan to another: `Table 45 minutes later`. */
export function differenceLine(d: Difference): string {
  const amount = Math.abs(d.amount ?? 0);
  const more = (d.amount ?? 0) > 0;
  const facts = {
    amount: Math.round(amount),
    way: more ? 'more' : 'less',
    before: d.before,
    after: d.after,
  };
  switch (d.code) {
    case 'table':
    case 'begins':
    case 'flame':
    case 'join':
      return say(`difference.${d.code}`, { span: span(amount), way: more ? 'later' : 'earlier' });
    case 'chance':
      // Of ten, since most people count on their fingers.
      return say('difference.chance', { tenths: Math.max(1, Math.round(amount * 10)), way: facts.way });
    case 'pulses':
      return say('difference.pulses', {
        before: feltWord('pulse', d.before),
        after: feltWord('pulse', d.after),
      });
    case 'rice':
      return d.before === d.after
        ? say('difference.rice_same')
        : say('difference.rice', { before: feltWord('rice', d.before), after: feltWord('rice', d.after) });
    case 'stage':
      return say('difference.stage', { way: d.after ? 'more' : 'less', stage: d.after ?? d.before ?? '' });
    case 'soak_hours':
      return say('difference.soak_hours', { span: span(amount), way: facts.way });
    case 'pot':
    case 'burner':
    case 'pulse':
    case 'rice_kind':
      return say('difference.thing', facts);
    default:
      return say(`difference.${d.code}`, facts);
  }
}

/** What the last entry at the stove changed: `7 minutes more: table about 19:12`. */
export const changeLine = (c: StoveChange, zone: string): string =>
  say(`change.${c.code}`, {
    minutes: Math.abs(c.minutes ?? 0),
    at: c.at ? clock(c.at, zone) : null,
    way: c.code === 'bag' ? (c.worse ? 'slower' : 'quicker') : c.worse ? 'more' : 'less',
  });

/** Why a moment may not be done yet. */
export function blockLine(b: Block): string {
  const text = say(`caution.${b.code}.text`);
  return b.name
    ? say('block.still_in', { name: b.name, left: b.left ?? null, pieces: b.pieces ?? null, text })
    : text;
}
