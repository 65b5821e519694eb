import * as figures from './figures';
import { language } from './language';
import { others } from './languages/others.g';
import { messages as english, type Messages } from './messages.g';

const other = language in others ? others[language as keyof typeof others] : null;

/** The sentences of the page's language; English is there at once, another is fetched before anything is said. */
export const messages: Messages = other ? (await other()).messages(figures) : english;
