import { api, type Dish, type LineAnswer } from '../api/client';
import type { Problem } from '../api/problem';
import { onNewest } from './newest';
import type { Tonight } from './tonight.svelte';

/** A hand that rests so long has typed a word to its end, milliseconds. */
const rests = 300;

/** A dinner said in one line: read while it is typed, planned when it is sent, and changed piece by piece. */
export class SaidLine {
  text = $state('');
  /** What the last answer is about. */
  said = $state('');
  answer = $state.raw<LineAnswer | null>(null);
  problem = $state.raw<Problem | null>(null);
  /** The line was planned; it makes room for the next. */
  planned = $state(false);
  /** The dish before the line, while nothing else has changed it. */
  #base: Dish | null = null;
  #planned: Dish | null = null;
  /** The line that was planned last is being changed; else a new one adds to its dish. */
  #again = false;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #asked = 0;

  constructor(readonly tonight: Tonight) {}

  /** The hand types: what it means is read when it rests, and nothing is planned. */
  type(text: string) {
    this.text = text;
    clearTimeout(this.#timer);
    this.#asked++;
    if (text.trim()) this.#timer = setTimeout(() => void this.#read(text), rests);
    else if (!this.planned) this.answer = null;
  }

  async #read(text: string) {
    const asked = ++this.#asked;
    const told = await api.line(text, { ...this.tonight.dish });
    // Older letters never overtake newer ones.
    if (asked !== this.#asked) return;
    this.planned = false;
    this.#show(text, told);
  }

  #show(text: string, told: Awaited<ReturnType<typeof api.line>>) {
    this.problem = told.ok ? null : told.problem;
    this.answer = told.ok ? told.value : null;
    this.said = text;
  }

  /** Plans what the line says; read in whole it makes room, else it stays to be mended. */
  async plan(text = this.text) {
    if (!text.trim()) return;
    clearTimeout(this.#timer);
    const asked = ++this.#asked;
    if (!this.#again || this.tonight.dish !== this.#planned) this.#base = this.tonight.dish;
    const told = await onNewest(
      () => this.#base ?? this.tonight.dish,
      (dish) => api.line(text, { ...dish }),
    );
    if (asked !== this.#asked) return;
    this.#show(text, told);
    if (!told.ok) return;
    const done = this.tonight.change(told.value.dish);
    this.#planned = this.tonight.dish;
    this.planned = true;
    this.#again = told.value.notUnderstood.length > 0;
    this.text = this.#again ? text : '';
    await done;
  }

  /** Back under the hand, to be changed where it stands. */
  edit() {
    this.text = this.said;
    this.#again = this.planned;
  }

  /** Takes a piece away; what was planned with it is planned without. */
  async remove(start: number, length: number) {
    const text = without(this.said, start, length);
    if (this.planned) {
      this.#again = true;
      if (text) return this.plan(text);
      const base = this.#base;
      this.answer = null;
      this.said = '';
      if (base && this.tonight.dish === this.#planned) await this.tonight.change(base);
      return;
    }
    this.type(text);
  }

  /** Another pulse of the same name. */
  async mean(pulseId: string) {
    await this.tonight.change({ pulseId });
    this.answer = this.answer && { ...this.answer, choices: [] };
  }
}

/** A line without a piece, and without what held it in: `without('for 4, rice, saucy', 7, 4)` → `"for 4, saucy"`. */
export const without = (line: string, start: number, length: number): string =>
  `${line.slice(0, start)} ${line.slice(start + length)}`
    .replace(/\s+/g, ' ')
    .replace(/\s*([,;])(\s*[,;:])+/g, '$1')
    .replace(/^[\s,;:]+|[\s,;:]+$/g, '')
    .replace(/\s+([,;:])/g, '$1');
