import MiniSearch from 'minisearch';
import type { Reason } from '../../api/client';
import { knows, say } from '../../messages/say';

/** A reason with its words. */
export type Told = Reason & { title: string; text: string; others: string };

const words = (id: Reason['id']) => ({
  title: say(`reason.${id}.title`),
  text: say(`why.reason.${id}.text`),
  others: knows(`why.reason.${id}.others`) ? say(`why.reason.${id}.others` as 'why.reason.lid.others') : '',
  /** What people call it who ask. */
  also: say(`why.reason.${id}.also`),
});

/** The reasons, and which of them answer what somebody types. */
export class Reasons {
  readonly all: Told[];
  readonly #search: MiniSearch;
  readonly #small = new Set(say('why.small_words').split(' '));

  constructor(reasons: Reason[]) {
    const told = reasons.map((r) => ({ ...r, ...words(r.id) }));
    this.all = told;
    this.#search = new MiniSearch({
      fields: ['title', 'also', 'text', 'others'],
      processTerm: (term) => {
        const word = term.toLowerCase().replace(/[’']s?$/, '');
        return word.length < 2 || this.#small.has(word) ? null : stem(word);
      },
      searchOptions: {
        boost: { title: 3, also: 2.5 },
        prefix: (term) => term.length > 3,
        fuzzy: (term) => (term.length > 5 ? 0.2 : false),
      },
    });
    this.#search.addAll(told);
  }

  /** By subject, in the order in which they are told. */
  readonly bySubject = (): { subject: Reason['subject']; reasons: Told[] }[] =>
    [...new Set(this.all.map((r) => r.subject))].map((subject) => ({
      subject,
      reasons: this.all.filter((r) => r.subject === subject),
    }));

  /** Best first; null where nothing was asked, empty where nothing speaks of it. */
  found(question: string): Told[] | null {
    if (!question.trim()) return null;
    return this.#search.search(question).flatMap(({ id }) => this.all.find((r) => r.id === id) ?? []);
  }
}

/** Endings that change no meaning here: `beans` and `bean`, `soaked` and `soak`, `brining` and `brine`. */
function stem(word: string): string {
  const bare = word.replace(/(ing|ed|es|s|er|e)$/, '');
  return bare.length > 2 ? bare.replace(/(.)\1$/, '$1') : word;
}
