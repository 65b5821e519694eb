import type { StoveAnswer } from '../../api/client';
import type { Problem } from '../../api/problem';

type Answered = { ok: true; value: StoveAnswer[] } | { ok: false; problem: Problem };

/** What the kettle offers when it is asked what can be done. An offer holds for the state that it was made for. */
export class Offers {
  #offered = $state.raw<{ version: number; answers: StoveAnswer[] } | null>(null);
  asking = $state(false);
  /** Why it could not be asked. */
  said = $state('');

  of(version: number): StoveAnswer[] | null {
    return this.#offered?.version === version ? this.#offered.answers : null;
  }

  async ask(version: number, question: Promise<Answered>) {
    this.asking = true;
    const answer = await question;
    this.asking = false;
    this.said = answer.ok ? '' : answer.problem.detail;
    this.#offered = answer.ok ? { version, answers: answer.value } : null;
  }

  drop() {
    this.#offered = null;
  }
}
