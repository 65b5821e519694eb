import * as figures from './figures';
import { language } from './language';
import { others } from './languages/others.g';
import type { Messages } from './messages.g';

const other = language in others ? others[language as keyof typeof others] : null;

/**
 * The sentences of the page's language. English ones come with the modules that say them (vite/sentences.ts); another language
 * comes whole, before anything is said.
 */
export const messages: Partial<Messages> = other ? (await other()).messages(figures) : {};

/** What a part of the catalogue brings, where the page speaks English. */
export function learn(part: Partial<Messages>) {
  if (!other) Object.assign(messages, part);
}
