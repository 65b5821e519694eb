import type { Notes } from '../api/client';
import { say } from '../messages/say';

type Step = Notes['steps'][number];

/** A step of somebody’s notes in a word, and how long: simmer, 60 to 90 min, until soft. */
export function noteStep(step: Step): { act: string; more: string; read: boolean } {
  const read = step.act !== 'other';
  const { minutesLow: low, minutesHigh: high, whistles, until } = step;
  const more = [
    whistles ? say('note.whistles', { count: whistles }) : '',
    low === null
      ? ''
      : say('note.minutes', { low, high: high === null || high === low ? null : String(high) }),
    until ? say(`note.until.${until}`) : '',
    step.ifNeeded ? say('note.if_needed') : '',
  ].filter(Boolean);
  return {
    act: step.act === 'other' ? say('note.unread') : say(`note.act.${step.act}`),
    more: more.join(', '),
    read,
  };
}
