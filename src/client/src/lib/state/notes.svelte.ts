import { api, type Dish, type Kitchen, type NoteAnswers, type Notes } from '../api/client';
import type { Problem } from '../api/problem';
import { addDays } from '../format/time';
import { readDraft, writeDraft } from './draft';

const unanswered: NoteAnswers = {
  pulseId: null,
  pulseGrams: null,
  riceGrams: null,
  waterGrams: null,
  minutes: null,
  soak: null,
  lid: null,
  clockStart: null,
  release: null,
  saltGrams: null,
};

/** Which answer a question wants. */
export const fieldOf: Record<string, keyof NoteAnswers> = {
  pulse: 'pulseId',
  pulse_grams: 'pulseGrams',
  rice_grams: 'riceGrams',
  water: 'waterGrams',
  minutes: 'minutes',
  soak: 'soak',
  lid: 'lid',
  clock_start: 'clockStart',
  release: 'release',
  salt: 'saltGrams',
};

/** A hand that rests so long has typed a line to its end, milliseconds. */
const rests = 400;

/** Notes that are being read: what was found, what is asked, what was answered. */
export class FromNotes {
  text = $state('');
  answers = $state<NoteAnswers>({ ...unanswered });
  found = $state.raw<Notes | null>(null);
  problem = $state.raw<Problem | null>(null);
  #dish: Dish | null = null;

  begin(kitchen: Kitchen) {
    const draft = readDraft();
    this.#dish ??= {
      pulseId: 'chickpea',
      pulse: null,
      riceId: null,
      rice: null,
      people: 4,
      soak: 'overnight',
      style: 'saucy',
      burnerId: kitchen.burners[0]?.id ?? null,
      seed: 1,
      vesselId: draft?.vesselId ?? kitchen.vessels[Math.min(1, kitchen.vessels.length - 1)]?.id ?? '',
      serveAtLocal: `${addDays(kitchen.nowLocal.slice(0, 10), 1)}T19:00`,
    } as Dish;
    if (this.#waiting) void this.#ask();
  }

  /** Asked before the kitchen was there: it is asked as soon as it is. */
  #waiting = false;

  #timer: ReturnType<typeof setTimeout> | undefined;

  /** The hand types: the notes are read when it rests, and what was answered before stays answered. */
  type(text: string) {
    this.text = text;
    clearTimeout(this.#timer);
    this.#asked++;
    if (text.trim()) this.#timer = setTimeout(() => void this.#ask(), rests);
    else this.clear();
  }

  /** Other notes: nothing of them was answered yet. */
  read(text: string) {
    clearTimeout(this.#timer);
    this.text = text;
    this.answers = { ...unanswered };
    return this.#ask();
  }

  clear() {
    this.answers = { ...unanswered };
    this.found = null;
    this.problem = null;
  }

  answer(field: keyof NoteAnswers, value: string | number | null) {
    this.answers = { ...this.answers, [field]: value };
    return this.#ask();
  }

  /** Hands the dish to the planning page. */
  keep() {
    if (this.found?.dish) writeDraft(this.found.dish);
  }

  #asked = 0;

  async #ask() {
    this.#waiting = !this.#dish;
    if (!this.#dish) return;
    const mine = ++this.#asked;
    const answer = await api.notes(this.text, { ...this.answers }, { ...this.#dish });
    // Something was answered meanwhile: the newer question's answer counts, whichever comes last.
    if (mine !== this.#asked) return;
    this.problem = answer.ok ? null : answer.problem;
    if (answer.ok) this.found = answer.value;
  }
}
