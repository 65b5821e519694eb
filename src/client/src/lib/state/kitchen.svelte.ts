import {
  api,
  type Answer,
  type BagChange,
  type BurnerChange,
  type Catalogue,
  type FirstAnswers,
  type Kitchen,
  type KitchenChange,
  type VesselChange,
} from '../api/client';
import type { Problem } from '../api/problem';
import { units } from '../messages/units.svelte';
import type { Load } from './load';

/** The household and the catalogue: read once, changed here. */
class KitchenState {
  kitchen = $state<Load<Kitchen>>({ state: 'loading' });
  catalogue = $state<Load<Catalogue>>({ state: 'loading' });

  async load() {
    const [kitchen, catalogue] = await Promise.all([api.kitchen(), api.catalogue()]);
    if (kitchen.ok) this.#know(kitchen.value);
    else this.kitchen = { state: 'failed', problem: kitchen.problem };
    this.catalogue = catalogue.ok
      ? { state: 'ready', value: catalogue.value }
      : { state: 'failed', problem: catalogue.problem };
  }

  change = (change: KitchenChange) => this.#take(api.changeKitchen(change));
  addVessel = (change: VesselChange) => this.#take(api.addVessel(change));
  changeVessel = (id: string, change: VesselChange) => this.#take(api.changeVessel(id, change));
  addBag = (change: BagChange) => this.#take(api.addBag(change));
  changeBag = (id: string, change: BagChange) => this.#take(api.changeBag(id, change));
  removeBag = (id: string, version: number) => this.#take(api.removeBag(id, version));
  addBurner = (change: BurnerChange) => this.#take(api.addBurner(change));
  changeBurner = (id: string, change: BurnerChange) => this.#take(api.changeBurner(id, change));
  /** @param keep It may go though dinners use it. */
  removeBurner = (id: string, version: number, keep = false) =>
    this.#take(api.removeBurner(id, version, keep));
  firstRun = (answers: FirstAnswers) => this.#take(api.firstRun(answers));
  /** @param keep It may go though dinners use it. */
  removeVessel = (id: string, version: number, keep = false) =>
    this.#take(api.removeVessel(id, version, keep));

  get #known(): Kitchen | null {
    return this.kitchen.state === 'ready' ? this.kitchen.value : null;
  }

  /** A page may be open for days: reads the kettle's clock and the kitchen anew. What is being typed is nobody's but the form's. */
  async refresh() {
    if (!this.#known) return this.load();
    const answer = await api.kitchen();
    if (answer.ok) this.#know(answer.value);
  }

  /** Sentences are written in its units from here on. */
  #know(kitchen: Kitchen) {
    units.us = kitchen.units === 'us';
    units.amPm = kitchen.hours === 'am_pm';
    this.kitchen = { state: 'ready', value: kitchen };
  }

  /** Takes over the answered kitchen, or hands the problem back. */
  async #take(call: Promise<Answer<Kitchen>>): Promise<Problem | null> {
    const answer = await call;
    // Changed elsewhere: the form keeps what was typed, and knows from now on what stands there.
    if (!answer.ok && answer.problem.status === 409) await this.refresh();
    if (!answer.ok) return answer.problem;
    this.#know(answer.value);
    return null;
  }
}

export const household = new KitchenState();
