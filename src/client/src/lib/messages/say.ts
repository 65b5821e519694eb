import type { Messages } from './messages.g';
import { messages } from './tongue';

export type MessageKey = keyof Messages;

type Each<K extends MessageKey> = K extends unknown
  ? Parameters<Messages[K]> extends [infer F]
    ? F
    : never
  : never;
type All<U> = (U extends unknown ? (u: U) => void : never) extends (u: infer I) => void ? I : never;
/** Of one message its facts; of several, one of which will be said, those of all of them. */
type Given<K extends MessageKey> = [Each<K>] extends [never] ? [] : [facts: All<Each<K>>];

/** A sentence of the catalogue: `say('step.soak.title', { grams: 300, pulse: 'chickpeas' })` → `"Soak 300 g chickpeas"`. */
export const say = <K extends MessageKey>(key: K, ...given: Given<K>): string =>
  (messages[key] as unknown as (facts?: unknown) => string)(given[0]);

/** Whether the catalogue has a sentence of this key: for words that a newer server may send. */
export const knows = (key: string): key is MessageKey => key in messages;
