import { v7 as uuid } from 'uuid';
import { api, type Dish, type PracticeLevel, type PracticeStand, type StoveEntry } from '../api/client';
import type { Problem } from '../api/problem';
import { isoOf } from '../format/time';
import { keep, kept } from './storage';
import type { Refused } from './stove/queue';
import type { AtStove, Told } from './stove/stove.svelte';

const key = 'kettle.practice.dinner';

/** A dinner as far as it was practised on this screen: the kettle keeps nothing of it. */
export type Practised = {
  title: string;
  dish: Dish;
  /** Null before it was begun. */
  plannedAt: string | null;
  seed: number;
  level: PracticeLevel;
  entries: StoveEntry[];
  now: string | null;
};

/** What is under way on this screen; null for nothing. */
export const underWay = (): Practised | null => kept<Practised | null>(key, null);

/** Begins another dinner, in a kitchen of its own. */
export function begin(
  title: string,
  { dish, plannedAt }: { dish: Dish; plannedAt: string | null },
  level: PracticeLevel,
) {
  const seed = Math.floor(Math.random() * 1_000_000);
  keep(key, { title, dish, plannedAt, seed, level, entries: [], now: null } satisfies Practised);
}

/** The same dinner from its beginning, in another kitchen. */
export function anew() {
  const last = underWay();
  if (last) begin(last.title, last, last.level);
}

/** How time goes on: until something is due, by minutes, or not at all. */
export type GoOn = { next: true } | { minutes: number } | null;

/** A clock that goes on only when time is let go on. */
class StandingClock {
  constructor(readonly read: () => number) {}

  get now(): number {
    return this.read();
  }
}

/** A dinner in a simulated kitchen, told and followed as one at the stove is. */
export class PracticeDinner implements AtStove {
  readonly id = null;
  readonly live = true;
  #kept: Practised;
  #stand = $state.raw<PracticeStand | null>(null);
  #told = 0;
  busy = $state(false);
  problem = $state.raw<Problem | null>(null);
  refused = $state.raw<Refused[]>([]);
  last = $state.raw<StoveEntry | null>(null);
  /** What was felt, bitten or measured in this minute; time that goes on makes it stale. */
  sensed = $state<string[]>([]);

  constructor(kept: Practised) {
    this.#kept = kept;
  }

  readonly state = $derived.by(() => this.#stand?.stove ?? null);
  readonly seen = $derived.by(() => this.#stand?.seen ?? null);
  readonly called = $derived.by(() => this.#stand?.called ?? null);
  readonly end = $derived.by(() => this.#stand?.end ?? null);
  readonly #now = $derived.by(() => (this.#stand ? Date.parse(this.#stand.stove.now) : 0));
  readonly clock = new StandingClock(() => this.#now);

  get level(): PracticeLevel {
    return this.#kept.level;
  }

  open = () => this.#ask([], null);

  async goOn(how: GoOn) {
    if (this.busy || this.end) return;
    await this.#ask([], how);
  }

  tell(...told: (Told & { minutesAgo?: number; secondsAgo?: number })[]) {
    if (this.busy || !this.#stand) return;
    // Told in one minute, and yet one after the other.
    const now = (this.#told = Math.max(this.clock.now, this.#told) + 1);
    const entries = told.map(({ minutesAgo = 0, secondsAgo = 0, ...rest }) => ({
      ...rest,
      eventId: uuid(),
      occurredAt: isoOf(now - minutesAgo * 60_000 - secondsAgo * 1000),
      basedOn: this.#kept.entries.length,
    }));
    this.last = entries.at(-1) ?? null;
    void this.#ask(entries, null);
  }

  undo(eventId: string) {
    this.tell({ kind: 'undo', eventUndone: eventId });
    this.last = null;
  }

  forget(what: Refused) {
    this.refused = this.refused.filter((r) => r !== what);
  }

  sense(what: string) {
    if (!this.sensed.includes(what)) this.sensed = [...this.sensed, what];
  }

  async #ask(told: StoveEntry[], how: GoOn) {
    this.busy = true;
    const answer = await api.practiceDinner({
      title: this.#kept.title,
      dish: this.#kept.dish,
      plannedAt: this.#kept.plannedAt,
      seed: this.#kept.seed,
      level: this.#kept.level,
      entries: this.#kept.entries,
      told,
      now: told.length > 0 ? isoOf(this.#told) : this.#kept.now,
      minutes: how && 'minutes' in how ? how.minutes : null,
      next: !!how && 'next' in how,
    });
    this.busy = false;
    if (!answer.ok) {
      this.problem = answer.problem;
      return;
    }
    this.problem = null;
    const { entries, plannedAt, refused, stove } = answer.value;
    const not = refused.map((r) => r.eventId);
    this.refused = [
      ...this.refused,
      ...refused.flatMap((r) => {
        const entry = told.find((e) => e.eventId === r.eventId);
        return entry ? [{ entry, text: r.text ?? '' }] : [];
      }),
    ];
    if (this.last && not.includes(this.last.eventId)) this.last = null;
    if (how) this.sensed = [];
    this.#stand = answer.value;
    this.#kept = { ...this.#kept, entries, plannedAt, now: stove.now };
    keep(key, this.#kept);
  }
}
