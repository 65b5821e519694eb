import { api, type StoveState } from '../../api/client';
import { asked, leads, momentLine, nowSentence, visitWords } from '../../format/stove';
import { say } from '../../messages/say';
import { Stove } from './stove.svelte';

const lookEvery = 60_000;

/** Followed at once: a browser keeps six lines open to one kettle, and one is the dish itself. */
const most = 3;

/** What an alarm or a list says of a moment or a visit. */
export function dueWords(evening: StoveState, id: string): string {
  if (id.startsWith('visit:')) return visitWords(id.split(':')[1] ?? '').ask || say('ring.look');
  const moment = evening.moments.find((m) => m.id === id);
  if (!moment) return say('ring.look');
  // A look is asked for, and not yet what is done when it is found.
  if (moment.waits.look && leads(moment, evening)) return nowSentence(moment, evening, true);
  return moment.waits.event ? asked(moment.waits.event) : momentLine(moment, evening).title;
}

/** What an evening wants next, and when. */
export function nextOf(evening: StoveState): { what: string; at: string } | null {
  const visit = [...evening.visits].sort((a, b) => Date.parse(a.at) - Date.parse(b.at))[0];
  const moment = evening.moments.find((m) => m.id === evening.nowId);
  const due = moment?.due?.at;
  if (visit && (!due || Date.parse(visit.at) < Date.parse(due)))
    return { what: dueWords(evening, `visit:${visit.code}:${visit.vesselId}`), at: visit.at };
  return moment && due ? { what: momentLine(moment, evening).title, at: due } : null;
}

/** The other dishes that are on the stove at the same time, each followed as it goes. */
export class OtherPots {
  pots = $state.raw<Stove[]>([]);
  #timer: ReturnType<typeof setInterval> | undefined;
  #closed = false;

  constructor(readonly besides: string) {}

  open() {
    void this.#look();
    this.#timer = setInterval(() => void this.#look(), lookEvery);
  }

  close() {
    this.#closed = true;
    clearInterval(this.#timer);
    for (const pot of this.pots) pot.close();
  }

  async #look() {
    const answer = await api.stoves();
    if (this.#closed || !answer.ok) return;
    const wanted = answer.value
      .filter((l) => l.id !== this.besides && !l.served && !l.setAside)
      .slice(0, most)
      .map((l) => l.id);
    for (const gone of this.pots.filter((p) => !wanted.includes(p.id))) gone.close();
    const stay = this.pots.filter((p) => wanted.includes(p.id));
    const come = wanted.filter((id) => !stay.some((p) => p.id === id)).map((id) => new Stove(id));
    if (come.length || stay.length !== this.pots.length) this.pots = [...stay, ...come];
    for (const pot of come) void pot.open();
  }
}
