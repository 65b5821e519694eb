import { api, type StoveEntry, type StoveReceipt } from '../../api/client';
import type { Problem } from '../../api/problem';

const key = (cook: string) => `bright-kettle.queue.${cook}`;
const sentKey = (cook: string) => `bright-kettle.sent.${cook}`;

type Sent = { entry: StoveEntry; version: number };

function read<T>(from: string): T[] {
  try {
    return JSON.parse(localStorage.getItem(from) ?? '[]') as T[];
  } catch {
    return [];
  }
}

function write(to: string, list: unknown[]) {
  if (list.length === 0) localStorage.removeItem(to);
  else localStorage.setItem(to, JSON.stringify(list));
}

/** An entry that the kettle did not take, with its reason. */
export type Refused = { entry: StoveEntry; text: string };

/**
 * What was told here and is not confirmed yet, in its order. It outlives the page: written down before anything is
 * sent, taken off only when the kettle has said that it is stored.
 */
export class EntryQueue {
  #sending: Promise<Problem | null> | null = null;

  constructor(readonly cook: string) {}

  get waiting(): StoveEntry[] {
    return read<StoveEntry>(key(this.cook));
  }

  /** What a page lays over the last state it heard: stored by the kettle but not in that state yet, then what waits. */
  get shown(): StoveEntry[] {
    return [...read<Sent>(sentKey(this.cook)).map((s) => s.entry), ...this.waiting];
  }

  /** A state of this version holds what was stored up to it. */
  heard(version: number) {
    write(
      sentKey(this.cook),
      read<Sent>(sentKey(this.cook)).filter((s) => s.version > version),
    );
  }

  add(...entries: StoveEntry[]) {
    write(key(this.cook), [...this.waiting, ...entries]);
  }

  /** Sends all that waits. Answers with what the kettle said; null where nothing waited. */
  async send(refused: (what: Refused) => void): Promise<Problem | null> {
    // One sender at a time, so that the order holds.
    this.#sending ??= this.#drain(refused).finally(() => (this.#sending = null));
    return this.#sending;
  }

  async #drain(refused: (what: Refused) => void): Promise<Problem | null> {
    for (;;) {
      const batch = this.waiting.slice(0, 100);
      if (batch.length === 0) return null;
      const answer = await api.tell(this.cook, batch);
      if (!answer.ok) {
        // Without an answer, or while the kettle starts, it all waits; what it says is wrong as a whole never gets better.
        if (answer.problem.status === 0 || answer.problem.status >= 500) return answer.problem;
        this.#taken(batch.map((e) => e.eventId));
        for (const entry of batch) refused({ entry, text: answer.problem.detail });
        return answer.problem;
      }
      const { version, entries } = answer.value;
      const stored = batch.filter((e) => entries.some((r) => r.eventId === e.eventId && !r.code));
      write(sentKey(this.cook), [
        ...read<Sent>(sentKey(this.cook)),
        ...stored.map((entry) => ({ entry, version })),
      ]);
      this.#taken(batch.map((e) => e.eventId));
      this.#sort(batch, answer.value, refused);
    }
  }

  #sort(batch: StoveEntry[], receipt: StoveReceipt, refused: (what: Refused) => void) {
    for (const { eventId, text } of receipt.entries) {
      const entry = batch.find((e) => e.eventId === eventId);
      if (text && entry) refused({ entry, text });
    }
  }

  #taken(ids: string[]) {
    write(
      key(this.cook),
      this.waiting.filter((e) => !ids.includes(e.eventId)),
    );
  }
}
