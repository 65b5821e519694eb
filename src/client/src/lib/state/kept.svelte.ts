import { v7 as uuid } from 'uuid';
import { api, type Dinner, type DinnerLine, type Dish } from '../api/client';
import type { Problem } from '../api/problem';
import type { Load } from './load';

const page = 50;
const most = 200;

const happened = () => ({ eventId: uuid(), occurredAt: new Date().toISOString() });

/** Dinners that are kept. Each change is one event with an id made here, so that a retry is harmless. */
class KeptDinners {
  list = $state<Load<DinnerLine[]>>({ state: 'loading' });
  /** To ask for older ones with; null when all are here. */
  next = $state<string | null>(null);
  /** The one that was just deleted, while it can be brought back. */
  deleted = $state<{ id: string; title: string; version: number } | null>(null);
  problem = $state<Problem | null>(null);

  /** Words that the list is searched for; all dinners without. */
  find = $state('');
  #asked = 0;

  /** Those that have these words; an older answer never stands over a newer one. */
  search(words: string) {
    this.find = words;
    return this.load();
  }

  /** The latest dinners, as many as were on show. */
  async load() {
    const shown = this.list.state === 'ready' ? this.list.value.length : 0;
    const asked = ++this.#asked;
    const answer = await api.dinners(null, Math.min(most, Math.max(page, shown)), this.find.trim());
    if (asked !== this.#asked) return;
    this.list = answer.ok
      ? { state: 'ready', value: answer.value.dinners }
      : { state: 'failed', problem: answer.problem };
    this.next = answer.ok ? answer.value.next : null;
  }

  /** Older ones behind those that are here. */
  async more() {
    if (!this.next || this.list.state !== 'ready') return;
    const answer = await api.dinners(this.next, page, this.find.trim());
    this.problem = answer.ok ? null : answer.problem;
    if (!answer.ok) return;
    const here = this.list.value;
    this.list = {
      state: 'ready',
      value: [...here, ...answer.value.dinners.filter((d) => !here.some((h) => h.id === d.id))],
    };
    this.next = answer.value.next;
  }

  async open(id: string): Promise<Dinner | null> {
    const answer = await api.dinner(id);
    this.problem = answer.ok ? null : answer.problem;
    return answer.ok ? answer.value : null;
  }

  /** Keeps a dish as a new dinner, or as the next state of one that is open. */
  async keep(title: string, dish: Dish, open: Dinner | null): Promise<Dinner | Problem> {
    const body = { ...happened(), title, dish, basedOn: open?.version ?? null };
    const answer = open ? await api.changeDinner(open.id, body) : await api.saveDinner(uuid(), body);
    if (!answer.ok) return answer.problem;
    await this.load();
    return answer.value;
  }

  /** Calls a dinner otherwise; answers whether it is called so now. */
  async rename(line: DinnerLine, title: string): Promise<boolean> {
    const answer = await api.renameDinner(line.id, { ...happened(), basedOn: line.version, title });
    this.problem = answer.ok ? null : answer.problem;
    await this.load();
    return answer.ok;
  }

  async remove(line: DinnerLine) {
    const answer = await api.deleteDinner(line.id, { ...happened(), basedOn: line.version });
    this.problem = answer.ok ? null : answer.problem;
    if (answer.ok) this.deleted = { id: line.id, title: line.title, version: answer.value.version };
    await this.load();
  }

  async undo() {
    if (!this.deleted) return;
    const answer = await api.restoreDinner(this.deleted.id, { ...happened(), basedOn: this.deleted.version });
    this.problem = answer.ok ? null : answer.problem;
    if (answer.ok) this.deleted = null;
    await this.load();
  }
}

export const kept = new KeptDinners();
