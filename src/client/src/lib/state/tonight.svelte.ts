import {
  api,
  type Difference,
  type Dinner,
  type Dish,
  type Kitchen,
  type Plan,
  type Slip,
} from '../api/client';
import type { Alternative, Problem } from '../api/problem';
import { addDays } from '../format/time';
import { readDraft, writeDraft } from './draft';
import { onNewest } from './newest';

/** Only the fields that a dish has today: what an older page wrote down beside them is not asked for. */
function known(draft: Dish | null, fields: string[]): Partial<Dish> | null {
  return (
    draft && (Object.fromEntries(Object.entries(draft).filter(([f]) => fields.includes(f))) as Partial<Dish>)
  );
}

/** The dish on the page and the plan that answers it. */
export class Tonight {
  dish = $state<Dish>({
    pulseId: 'chickpea',
    pulse: null,
    riceId: 'brown_basmati',
    rice: null,
    people: 4,
    soak: 'overnight',
    style: 'dry',
    vesselId: '',
    burnerId: null,
    serveAtLocal: '',
    seed: 1,
    method: 'open_pot',
    cookerId: null,
    others: [],
    extras: [],
    riceVesselId: null,
    riceJoin: 'in_the_pot',
    away: [],
    salt: null,
    keepsSoakWater: null,
    littleOnes: 0,
    pull: null,
    cookedFrom: null,
    pulseTarget: null,
    riceTarget: null,
    soakHours: null,
    soakedSinceLocal: null,
    soaksCold: null,
    stages: [],
    keptAs: null,
    pulseState: null,
    halfCookedTo: null,
    riceState: null,
    bagId: null,
    riceBagId: null,
  });
  /** As it is asked for: what is kept has to keep out of the way of the other dishes of its evening, not of itself. */
  get asked(): Dish {
    return { ...this.dish, keptAs: this.open?.id ?? null };
  }

  /** As it was at first: what a new dinner begins with. */
  readonly #first = { ...this.dish };
  /** The last plan that could be made; it stays while a new one is asked for. */
  plan = $state.raw<Plan | null>(null);
  /** Whether the dish cannot be planned; a fault of a field, or a kettle that is away, is no refusal while a plan stands. */
  get refused(): boolean {
    const { problem } = this;
    return !!problem && !(this.plan && (problem.status === 0 || problem.status === 400));
  }

  /** Why the dish as it stands has no plan. */
  problem = $state.raw<Problem | null>(null);
  asking = $state(false);
  /** The kept dinner that is open, if any. */
  open = $state.raw<Dinner | null>(null);
  /** From asking to the answer's being drawn, ms; for the performance log. */
  lastMilliseconds = $state(0);

  #abort: AbortController | null = null;

  /** Starts with the draft where it still fits this kitchen and its clock, else with a sensible dinner; a new one begins anew. */
  begin(kitchen: Kitchen, anew = false) {
    this.open = null;
    const draft = anew ? null : known(readDraft(), Object.keys(this.#first));
    const usual = this.#usual(kitchen);
    this.dish = draft ? { ...usual, ...draft } : usual;
    if (!kitchen.vessels.some((v) => v.id === this.dish.vesselId)) this.dish.vesselId = usual.vesselId;
    if (!kitchen.burners.some((b) => b.id === this.dish.burnerId)) this.dish.burnerId = usual.burnerId;
    if (this.dish.cookerId && !kitchen.vessels.some((v) => v.id === this.dish.cookerId && v.cooker))
      this.dish = { ...this.dish, method: 'open_pot', cookerId: null };
    if (this.dish.serveAtLocal < kitchen.nowLocal) this.dish.serveAtLocal = usual.serveAtLocal;
    return this.ask();
  }

  #usual(kitchen: Kitchen): Dish {
    const vessel = kitchen.vessels[Math.min(1, kitchen.vessels.length - 1)];
    return {
      ...this.#first,
      vesselId: vessel?.id ?? '',
      burnerId: kitchen.burners[0]?.id ?? null,
      serveAtLocal: `${addDays(kitchen.nowLocal.slice(0, 10), 1)}T19:00`,
    };
  }

  /** What the page begins with when it is next gone to: a sensible dinner of this. */
  static draftOf(kitchen: Kitchen, wish: Partial<Dish>) {
    writeDraft({ ...new Tonight().#usual(kitchen), ...wish });
  }

  /** Another dish for the evening of the one that is open: at its hour, in another pot and on another burner. */
  beginBeside(kitchen: Kitchen) {
    const { serveAtLocal, vesselId, burnerId } = this.dish;
    const [largest] = kitchen.vessels
      .filter((v) => v.id !== vesselId && !v.cooker)
      .sort((a, b) => b.brimMillilitres - a.brimMillilitres);
    this.open = null;
    this.dish = {
      ...this.#first,
      serveAtLocal,
      vesselId: largest?.id ?? vesselId,
      burnerId: kitchen.burners.find((b) => b.id !== burnerId)?.id ?? burnerId ?? null,
    };
    return this.ask();
  }

  show(dinner: Dinner) {
    this.open = dinner;
    this.dish = { ...dinner.dish };
    return this.ask();
  }

  /** Anything changed but the pull itself makes the plan a new one: old pulls would mean nothing on it. */
  change(change: Partial<Dish>) {
    const before = this.dish.pulseId;
    const dish = { ...this.dish, pull: null, ...change };
    // Pulses leave their liquid for the rice only in an open pot, and one kind of them.
    const leaves = (dish.method ?? 'open_pot') === 'open_pot' && !dish.others?.length;
    this.dish = leaves ? dish : { ...dish, riceJoin: 'in_the_pot' };
    // A bag is of its pulse, or of its rice.
    if (change.pulseId && change.pulseId !== before && change.bagId === undefined) this.dish.bagId = null;
    if (change.riceId !== undefined && change.riceBagId === undefined) this.dish.riceBagId = null;
    // How the pulses come is said of these, by themselves.
    const others = change.pulseId && change.pulseId !== before && change.pulseState === undefined;
    if (dish.others?.length || others) this.dish.pulseState = null;
    this.mended = null;
    return this.ask();
  }

  /** What a slip changed, while it can be taken back. */
  mended = $state.raw<{ note: string; differences: Difference[]; before: Dish } | null>(null);

  /** Something went otherwise: the server changes the dish, plans it and tells the difference. */
  async slip(slip: Slip) {
    // A plan that is on its way would be of the dish as it was.
    this.#abort?.abort();
    this.asking = true;
    let before = this.dish;
    const answer = await onNewest(
      () => this.dish,
      (dish) => {
        before = dish;
        return api.slip(this.asked, slip);
      },
    );
    this.#abort?.abort();
    this.asking = false;
    if (!answer.ok) {
      this.problem = answer.problem.status === 0 ? answer.problem : this.problem;
      return answer.problem;
    }
    this.dish = { ...answer.value.dish, keptAs: null };
    this.plan = answer.value.plan;
    this.problem = null;
    this.mended = { note: answer.value.note, differences: answer.value.differences, before };
    writeDraft(this.dish);
    return null;
  }

  unslip() {
    if (!this.mended) return;
    const { before } = this.mended;
    void this.change(before);
  }

  /** Takes up an offer of the server as it was made. */
  take(offer: Alternative) {
    const { dish } = this;
    const scaled = (value: number | undefined, usual: number) =>
      ({ value: Math.round((value ?? usual) * (offer.scale ?? 1)), unit: 'g' }) as const;
    return this.change({
      serveAtLocal: offer.serveAtLocal ?? dish.serveAtLocal,
      vesselId: offer.vesselId ?? dish.vesselId,
      burnerId: offer.burnerId ?? dish.burnerId,
      soak: offer.soak ?? dish.soak,
      style: offer.style ?? dish.style,
      ...(offer.kind === 'way'
        ? {
            method: offer.method ?? dish.method,
            cookerId: null,
            riceVesselId: offer.riceVesselId ?? null,
            riceJoin: 'in_the_pot' as const,
            pulseTarget: offer.pulseTarget ?? dish.pulseTarget,
          }
        : {}),
      ...(offer.kind === 'place' ? { riceVesselId: offer.riceVesselId ?? null } : {}),
      ...(offer.scale && this.#amounts
        ? {
            pulse: scaled(this.#amounts.pulse, 0),
            rice: dish.riceId ? scaled(this.#amounts.rice, 0) : null,
          }
        : {}),
    });
  }

  /** Grams as they stand, for an offer of less; the page says them from its fields. */
  #amounts: { pulse: number; rice: number } | null = null;
  setAmounts(pulse: number, rice: number) {
    this.#amounts = { pulse, rice };
  }

  /** Asks for the plan of the dish as it stands; an older question is dropped. */
  async ask() {
    writeDraft(this.dish);
    this.#abort?.abort();
    const abort = (this.#abort = new AbortController());
    const began = performance.now();
    this.asking = true;
    try {
      const answer = await api.plan(this.asked, abort.signal);
      if (abort.signal.aborted) return;
      // What cannot be read, or not be asked, says nothing of the dish: the last plan stays beside it.
      const unasked = !answer.ok && (answer.problem.status === 0 || answer.problem.status === 400);
      this.plan = answer.ok ? answer.value : unasked ? this.plan : null;
      this.problem = answer.ok ? null : answer.problem;
      this.asking = false;
      requestAnimationFrame(() => (this.lastMilliseconds = Math.round(performance.now() - began)));
    } catch (error) {
      if (!(error instanceof DOMException && error.name === 'AbortError')) throw error;
    }
  }

  /** The sentence beside a field, if the answer had one for it. */
  fault(field: string): string | null {
    const { problem } = this;
    if (!problem) return null;
    return problem.errors?.find((e) => e.field.split('.')[0] === field)?.detail ?? null;
  }
}
