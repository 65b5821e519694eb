import { api, type Dish, type WayEvent, type WayLine } from '../api/client';
import type { Problem } from '../api/problem';

/** How long a dish must rest before its ways are asked for, ms: whoever is still choosing waits for the plan alone. */
const rest = 250;

/** What the ways of a dish depend on: what each way fixes by itself is no other question. */
export function questionOf(dish: Dish): string {
  const riceVesselId = dish.riceVesselId === 'bowl_above' ? null : dish.riceVesselId;
  return JSON.stringify({
    ...dish,
    riceVesselId,
    // The pot into which the liquid goes for the rice is asked for, like the rice's own.
    riceJoin: riceVesselId && dish.riceJoin === 'in_the_liquor' ? dish.riceJoin : null,
    method: '',
    cookerId: '',
    soak: '',
    pull: null,
  });
}

/** Pulses that stand in water, or shall for some hours, do so whatever way is shown now. */
const soakOf = (dish: Dish): Dish['soak'] =>
  dish.soakedSinceLocal ? 'already' : dish.soakHours ? 'hours' : dish.soak;

/** All ways to the dish on the page, side by side. The last list stays, dimmed, until the next is whole. */
export class Ways {
  list = $state.raw<WayLine[]>([]);
  tried = $state(0);
  of = $state(0);
  asking = $state(false);
  /** Called off by the cook. */
  stopped = $state(false);
  /** Why twice as much cannot be cooked so; null when it can. */
  doubleRefused = $state<string | null>(null);
  problem = $state.raw<Problem | null>(null);

  #asked = '';
  #abort: AbortController | null = null;
  #timer: ReturnType<typeof setTimeout> | undefined;

  /** Asks where the question is another one; an older one is dropped. */
  follow(dish: Dish, ask: (dish: Dish) => void = (d) => void this.ask(d)) {
    const question = questionOf(dish);
    if (question === this.#asked) return;
    this.#asked = question;
    this.#drop();
    this.asking = true;
    this.#timer = setTimeout(() => ask(dish), rest);
  }

  async ask(dish: Dish) {
    this.#drop();
    this.#asked = questionOf(dish);
    const own = (this.#abort = new AbortController());
    [this.tried, this.of, this.asking, this.stopped, this.problem] = [0, 0, true, false, null];
    try {
      const answer = await api.ways({ ...dish, soak: soakOf(dish), pull: null }, own.signal, (e) => {
        if (own === this.#abort) this.told(e);
      });
      if (own !== this.#abort) return;
      this.asking = false;
      if (answer.ok) return;
      // Who is not there is told by the plan, once; what was worked out stays.
      this.stopped = answer.problem.status === 0;
      if (!this.stopped) [this.list, this.problem] = [[], answer.problem];
    } catch (error) {
      if (!(error instanceof DOMException && error.name === 'AbortError')) throw error;
    }
  }

  told(event: WayEvent) {
    this.of = event.of;
    if (event.way) this.tried += 1;
    else if (event.all) [this.list, this.doubleRefused] = [event.all, event.doubleRefused ?? null];
  }

  stop() {
    this.#drop();
    [this.asking, this.stopped] = [false, true];
  }

  #drop() {
    clearTimeout(this.#timer);
    this.#abort?.abort();
    this.#abort = null;
  }
}

/** Few enough to be seen at once beside a picture; the one that is open is always among them. */
export function firstOf(works: WayLine[], isOpen: (way: WayLine) => boolean, most: number): WayLine[] {
  const first = works.slice(0, most);
  const open = works.find(isOpen);
  return open && !first.includes(open) ? [...first.slice(0, most - 1), open] : first;
}

/** Whether this way is the dish as it stands. */
export const isWayOf = (way: WayLine, dish: Dish): boolean =>
  !way.pulseId &&
  way.method === (dish.method ?? 'open_pot') &&
  way.soak === dish.soak &&
  (way.cookerId ?? null) === (dish.cookerId ?? null) &&
  (way.riceVesselId ?? null) === (dish.riceVesselId ?? null) &&
  joins(way) === joins(dish);

/** How the rice comes to the pulses: in a pot of its own it does only where their liquid goes there. */
const joins = ({ riceVesselId, riceJoin }: Pick<Dish, 'riceVesselId' | 'riceJoin'>) =>
  riceVesselId && riceJoin !== 'in_the_liquor' ? 'in_the_pot' : (riceJoin ?? 'in_the_pot');

/** What a way changes of the dish. */
export const asDish = (way: WayLine): Partial<Dish> => ({
  method: way.method,
  soak: way.soak,
  cookerId: way.cookerId,
  riceVesselId: way.riceVesselId,
  riceJoin: way.riceJoin,
  ...(way.pulseId ? { pulseId: way.pulseId } : {}),
});

/** One way from another, for a list. */
export const keyOf = (way: WayLine): string =>
  [way.method, way.soak, way.cookerId, way.pulseId, way.riceVesselId, way.riceJoin].join(' ');
