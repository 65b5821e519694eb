import type { StoveAnswers } from '../../api/client';
import type { Problem } from '../../api/problem';

type Answered = { ok: true; value: StoveAnswers } | { ok: false; problem: Problem };

/** What the kettle offers when it is asked what can be done. An offer holds for the state that it was made for. */
export class Offers {
  #offered = $state.raw<StoveAnswers | null>(null);
  asking = $state(false);
  /** Why it could not be asked. */
  said = $state('');

  /** @param version of the evening as this screen knows it. */
  of(version: number) {
    return this.#offered?.version === version ? this.#offered.answers : null;
  }

  /** Asks; anew when what was told just before was stored only after the answer was worked out. */
  async ask(version: () => number, question: () => Promise<Answered>) {
    this.asking = true;
    let answer: Answered;
    do answer = await question();
    while (answer.ok && version() > answer.value.version);
    this.asking = false;
    this.said = answer.ok ? '' : answer.problem.detail;
    this.#offered = answer.ok ? answer.value : null;
  }

  drop() {
    this.#offered = null;
  }
}
