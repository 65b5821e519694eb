import {
  api,
  type Answer,
  type Catalogue,
  type Kitchen,
  type KitchenChange,
  type VesselChange,
} from '../api/client';
import type { Problem } from '../api/problem';
import type { Load } from './load';

/** The household and the catalogue: read once, changed here. */
class KitchenState {
  kitchen = $state<Load<Kitchen>>({ state: 'loading' });
  catalogue = $state<Load<Catalogue>>({ state: 'loading' });

  async load() {
    const [kitchen, catalogue] = await Promise.all([api.kitchen(), api.catalogue()]);
    this.kitchen = kitchen.ok
      ? { state: 'ready', value: kitchen.value }
      : { state: 'failed', problem: kitchen.problem };
    this.catalogue = catalogue.ok
      ? { state: 'ready', value: catalogue.value }
      : { state: 'failed', problem: catalogue.problem };
  }

  change = (change: KitchenChange) => this.#take(api.changeKitchen(change));
  addVessel = (change: VesselChange) => this.#take(api.addVessel(change));
  changeVessel = (id: string, change: VesselChange) => this.#take(api.changeVessel(id, change));
  setShelf = (id: string, grams: number) => this.#take(api.setShelf(id, grams));
  setGas = (id: string, gas: boolean) => this.#take(api.setGas(id, gas));
  removeVessel = (id: string) => this.#take(api.removeVessel(id));

  /** Takes over the answered kitchen, or hands the problem back. */
  async #take(call: Promise<Answer<Kitchen>>): Promise<Problem | null> {
    const answer = await call;
    if (!answer.ok) return answer.problem;
    this.kitchen = { state: 'ready', value: answer.value };
    return null;
  }
}

export const household = new KitchenState();
