import { api, type PracticeInside, type PracticePot, type PracticeScene } from '../api/client';
import type { Load } from './load';
import { keep, kept } from './storage';

/** What can be asked of a pot before the decision. */
export type Sense = 'squeeze' | 'taste' | 'dip';

type Tries = Record<string, { pots: number; points: number } | undefined>;

const key = 'kettle.practice';

/** Which scenes were tried in this browser, with how many points. */
class PracticeTries {
  #all = $state<Tries>(kept<Tries>(key, {}));

  of(scene: string): { pots: number; average: number } | null {
    const tried = this.#all[scene];
    return tried ? { pots: tried.pots, average: Math.round(tried.points / tried.pots) } : null;
  }

  add(scene: string, points: number) {
    const tried = this.#all[scene] ?? { pots: 0, points: 0 };
    this.#all = { ...this.#all, [scene]: { pots: tried.pots + 1, points: tried.points + points } };
    keep(key, this.#all);
  }
}

export const tries = new PracticeTries();

/** One pot of one scene: what was sensed, what was decided, what was inside. */
export class PracticeTry {
  pot = $state.raw<Load<PracticePot>>({ state: 'loading' });
  sensed = $state<Sense[]>([]);
  inside = $state.raw<PracticeInside | null>(null);
  said = $state('');
  deciding = $state(false);

  constructor(
    readonly scene: PracticeScene,
    readonly number: number,
  ) {
    void api.practicePot(scene.id, number).then((answer) => {
      this.pot = answer.ok
        ? { state: 'ready', value: answer.value }
        : { state: 'failed', problem: answer.problem };
    });
  }

  sense(what: Sense) {
    if (!this.sensed.includes(what)) this.sensed = [...this.sensed, what];
  }

  async decide(choice: string) {
    if (this.deciding || this.inside) return;
    this.deciding = true;
    this.said = '';
    const answer = await api.practice(this.scene.id, this.number, choice);
    this.deciding = false;
    if (!answer.ok) {
      this.said = answer.problem.detail ?? answer.problem.title;
      return;
    }
    this.inside = answer.value;
    const mine = answer.value.endings.find((e) => e.choice === choice);
    tries.add(this.scene.id, mine?.points ?? 0);
  }
}
