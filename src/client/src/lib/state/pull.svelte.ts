import { api, type Dish, type Pull, type Pulled } from '../api/client';
import type { Problem } from '../api/problem';

export type PullKind = keyof Pull;

const nothing: Pull = { table: 0, light: 0, join: 0, seal: 0, flameOff: 0 };

/** How far each moment may be pulled, minutes; the server's limits, drawn in so that a finger cannot lose it. */
export const reach: Record<PullKind, [number, number]> = {
  table: [-240, 240],
  light: [-120, 120],
  join: [-90, 120],
  seal: [0, 45],
  flameOff: [-40, 60],
};

/**
 * A plan pulled out of shape. One question is on its way at a time; while it is, only the newest pull waits,
 * so that the picture keeps up with a finger.
 */
export class Pulling {
  by = $state<Pull>({ ...nothing });
  answer = $state.raw<Pulled | null>(null);
  problem = $state.raw<Problem | null>(null);

  #asking = false;
  #next: { dish: Dish; from: number; quick: boolean } | null = null;
  #last: Dish | null = null;

  get active(): boolean {
    return Object.values(this.by).some((minutes) => minutes !== 0);
  }

  /** Starts from what the dish carries: a kept dinner may be pulled already. */
  begin(pull: Pull | null | undefined) {
    this.by = { ...nothing, ...(pull ?? {}) };
    this.answer = null;
    this.problem = null;
    this.#next = null;
  }

  /** @param from When the hand moved, on the page's own clock. */
  set(dish: Dish, kind: PullKind, minutes: number, quick: boolean, from = performance.now()) {
    const [least, most] = reach[kind];
    const within = Math.max(least, Math.min(most, Math.round(minutes)));
    if (within === this.by[kind]) return;
    this.by = { ...this.by, [kind]: within };
    this.#last = { ...dish, pull: null };
    this.#next = { dish: this.#last, from, quick };
    if (!this.#asking) void this.#ask();
  }

  /** The finger is off: asked once more on as many pots as the plan was judged on. */
  settle() {
    if (!this.#last || !this.active) return;
    this.#next = { dish: this.#last, from: performance.now(), quick: false };
    if (!this.#asking) void this.#ask();
  }

  async #ask() {
    this.#asking = true;
    while (this.#next) {
      const { dish, from, quick } = this.#next;
      this.#next = null;
      const answer = await api.pulled({ dish, pull: { ...this.by }, quick });
      if (!this.active) this.answer = null;
      else if (answer.ok) this.answer = answer.value;
      this.problem = answer.ok ? null : answer.problem;
      // Measured to the frame in which it is drawn; read by the browser tests.
      requestAnimationFrame(() =>
        performance.measure(quick ? 'kettle-pull' : 'kettle-settle', { start: from, end: performance.now() }),
      );
    }
    this.#asking = false;
  }
}
