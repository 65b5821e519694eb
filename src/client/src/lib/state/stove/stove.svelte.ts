import { v7 as uuid } from 'uuid';
import { api, type StoveEntry, type StoveState } from '../../api/client';
import type { Problem } from '../../api/problem';
import { isoOf } from '../../format/time';
import { overlay } from './overlay';
import { keep, kept } from '../storage';
import { EntryQueue, type Refused } from './queue';
import { steady } from './steady';
import { ServerClock } from './serverClock.svelte';

const stateKey = (id: string) => `bright-kettle.stove.${id}`;
const screen = (): string => (matchMedia('(pointer: coarse)').matches ? 'phone' : 'laptop');

/** After so long without a word the kettle is taken to be away; it speaks each minute. */
const silence = 75_000;
const retryEvery = 3_000;

/** What is told, without what every entry carries. */
export type Told = Omit<StoveEntry, 'eventId' | 'occurredAt' | 'basedOn' | 'by'>;

/** What the cards at the stove need of it: an evening that can be told things. */
export type AtStove = Pick<Stove, 'state' | 'live' | 'refused' | 'last' | 'tell' | 'undo' | 'forget'> & {
  readonly clock: { readonly now: number };
  /** Null for an evening that the kettle does not keep. */
  readonly id: string | null;
};

/** One evening at the stove: the last state that was heard, with what was told here laid over it. */
export class Stove {
  readonly clock = new ServerClock();
  readonly #queue: EntryQueue;
  /** When something was told here last. */
  #told = 0;
  #source: EventSource | null = null;
  #closed = false;
  #retry: ReturnType<typeof setInterval> | undefined;
  #heard = $state.raw<StoveState | null>(null);
  #waiting = $state.raw<StoveEntry[]>([]);
  /** How many entries the kettle has not confirmed. */
  unsent = $state(0);
  /** The stream is open. */
  live = $state(false);
  problem = $state.raw<Problem | null>(null);
  /** The kettle does not know this screen any more: what was told here waits until it is paired anew. */
  unpaired = $state(false);
  refused = $state.raw<Refused[]>([]);
  /** The last thing that was told here, while it can be taken back by one tap. */
  last = $state.raw<StoveEntry | null>(null);

  constructor(readonly id: string) {
    this.#queue = new EntryQueue(id);
  }

  readonly state = $derived.by<StoveState | null>(() =>
    this.#heard ? overlay(this.#heard, this.#waiting, !this.live) : null,
  );

  /** The kettle does not answer: what stands here is from its last word. */
  readonly away = $derived(!this.live && (this.clock.now > 0 || this.#heard !== null));

  /** Minutes since the last word. */
  readonly age = $derived.by(() => {
    void this.clock.now;
    return this.#heard ? Math.floor(Math.max(0, this.clock.now - Date.parse(this.#heard.now)) / 60_000) : 0;
  });

  async open() {
    this.#show();
    this.#remember();
    this.clock.start();
    const answer = await api.stove(this.id);
    // The page may be left before the first answer: nothing is opened behind its back.
    if (this.#closed) return;
    if (answer.ok) this.#hear(answer.value);
    else if (answer.problem.status !== 0 || !this.#heard) this.problem = answer.problem;
    this.#listen();
    this.#retry = setInterval(() => this.#look(), retryEvery);
    addEventListener('online', this.#look);
    addEventListener('offline', this.#cut);
    document.addEventListener('visibilitychange', this.#look);
  }

  close() {
    this.#closed = true;
    this.#source?.close();
    this.clock.stop();
    clearInterval(this.#retry);
    removeEventListener('online', this.#look);
    removeEventListener('offline', this.#cut);
    document.removeEventListener('visibilitychange', this.#look);
  }

  /** Says something of the evening: written down here first, shown at once, sent when the kettle answers. */
  tell(...told: (Told & { minutesAgo?: number; secondsAgo?: number })[]) {
    const now = (this.#told = steady(this.clock.read(), this.#told));
    const entries = told.map(({ minutesAgo = 0, secondsAgo = 0, ...rest }) => ({
      ...rest,
      eventId: uuid(),
      occurredAt: isoOf(now - minutesAgo * 60_000 - secondsAgo * 1000),
      basedOn: this.#heard?.version ?? 0,
      by: screen(),
    }));
    this.#queue.add(...entries);
    this.#show();
    this.last = entries.at(-1) ?? null;
    void this.#send();
  }

  undo(eventId: string) {
    this.tell({ kind: 'undo', eventUndone: eventId });
    this.last = null;
  }

  forget(what: Refused) {
    this.#queue.forget(what.entry.eventId);
    this.#show();
  }

  /** This screen was paired anew: what waits goes now. */
  pairedAnew() {
    this.unpaired = false;
    this.#listen();
    void this.#send();
  }

  async #send() {
    const problem = await this.#queue.send();
    if (problem?.status === 0) this.live = false;
    this.unpaired = problem?.status === 401;
    this.#show();
    if (this.#closed) return;
    const answer = problem ? null : await api.stove(this.id);
    if (answer?.ok) this.#hear(answer.value);
  }

  #show() {
    this.#waiting = this.#queue.shown;
    this.unsent = this.#queue.waiting.length;
    this.refused = this.#queue.refused;
  }

  #hear(state: StoveState) {
    // An older state may overtake a newer one on its way here.
    if (this.#heard && state.version < this.#heard.version) return;
    this.#queue.heard(state.version);
    this.#heard = state;
    this.#show();
    this.problem = null;
    this.clock.sync(state.now);
    keep(stateKey(this.id), { state, at: Date.now() });
  }

  /** The state that was last heard on this screen, for when the kettle is away from the start. */
  #remember() {
    const last = kept<{ state: StoveState; at: number } | null>(stateKey(this.id), null);
    if (!last?.state) return;
    this.#heard = last.state;
    this.clock.sync(isoOf(Date.parse(last.state.now) + Math.max(0, Date.now() - last.at)));
  }

  #listen() {
    if (this.#closed) return;
    this.#source?.close();
    const source = new EventSource(`/api/stove/${this.id}/stream`);
    this.#source = source;
    source.addEventListener('open', () => {
      this.live = true;
      if (this.#queue.waiting.length > 0) void this.#send();
    });
    source.addEventListener('state', (event) => {
      this.live = true;
      this.#hear(JSON.parse((event as MessageEvent<string>).data) as StoveState);
    });
    source.addEventListener('error', () => (this.live = false));
  }

  /** The network went: a stream that hangs would only pretend to be there. */
  #cut = () => {
    this.#source?.close();
    this.live = false;
  };

  /** Back from sleep, or from a dead Wi-Fi: a stream that was cut off without a word is opened anew. */
  #look = () => {
    if (!navigator.onLine) return;
    if (this.#source?.readyState === EventSource.CLOSED || (this.live && this.clock.silent > silence)) {
      this.live = false;
      this.#listen();
    }
    if (this.#queue.waiting.length > 0) void this.#send();
  };
}
