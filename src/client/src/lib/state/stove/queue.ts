import { api, type StoveEntry, type StoveReceipt } from '../../api/client';
import type { Problem } from '../../api/problem';
import { keep, keepText, kept } from '../storage';

const key = (cook: string) => `bright-kettle.queue.${cook}`;
const sentKey = (cook: string) => `bright-kettle.sent.${cook}`;
const refusedKey = (cook: string) => `bright-kettle.refused.${cook}`;

type Sent = { entry: StoveEntry; version: number };

const read = <T>(from: string): T[] => kept<T[]>(from, []);

function write(to: string, list: unknown[]) {
  if (list.length === 0) keepText(to, null);
  else keep(to, list);
}

/** An entry that the kettle can never take, with its reason. */
export type Refused = { entry: StoveEntry; text: string };

/** Answers after which the same entry can still be taken: nobody there, not paired, not here yet, too busy, starting. */
const maybeLater = (status: number) =>
  status === 0 || status >= 500 || [401, 403, 404, 408, 409, 429].includes(status);

const atOnce = 100;

/**
 * What was told here and is not confirmed yet, in its order. It outlives the page: written down before anything is
 * sent, taken off only when the kettle has said that it is stored, or that it never will be; then it is kept apart,
 * with the reason, until somebody has read it.
 */
export class EntryQueue {
  #sending: Promise<Problem | null> | null = null;

  constructor(readonly cook: string) {}

  get waiting(): StoveEntry[] {
    return read<StoveEntry>(key(this.cook));
  }

  /** What was not taken and nobody has put away yet. */
  get refused(): Refused[] {
    return read<Refused>(refusedKey(this.cook));
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

  /** The reason was read. */
  forget(eventId: string) {
    write(
      refusedKey(this.cook),
      this.refused.filter((r) => r.entry.eventId !== eventId),
    );
  }

  /** Sends all that waits. Answers with what the kettle said when some of it still waits; null otherwise. */
  async send(): Promise<Problem | null> {
    // One sender at a time, so that the order holds.
    this.#sending ??= this.#drain().finally(() => (this.#sending = null));
    return this.#sending;
  }

  async #drain(): Promise<Problem | null> {
    // After an answer that condemns a whole batch each entry is asked for by itself: the others are good.
    let most = atOnce;
    for (;;) {
      const batch = this.waiting.slice(0, most);
      if (batch.length === 0) return null;
      const answer = await api.tell(this.cook, batch);
      if (!answer.ok) {
        if (maybeLater(answer.problem.status)) return answer.problem;
        if (batch.length > 1) most = 1;
        else this.#putApart(batch.map((entry) => ({ entry, text: answer.problem.detail })));
        continue;
      }
      this.#sort(batch, answer.value);
    }
  }

  #sort(batch: StoveEntry[], { version, entries }: StoveReceipt) {
    const stored = batch.filter((e) => entries.some((r) => r.eventId === e.eventId && !r.code));
    write(sentKey(this.cook), [
      ...read<Sent>(sentKey(this.cook)),
      ...stored.map((entry) => ({ entry, version })),
    ]);
    this.#taken(stored);
    this.#putApart(
      entries.flatMap(({ eventId, code, text }) => {
        const entry = code ? batch.find((e) => e.eventId === eventId) : undefined;
        return entry ? [{ entry, text: text ?? '' }] : [];
      }),
    );
  }

  /** Written down there before it is taken off here: a page that is closed in between shows it twice and loses nothing. */
  #putApart(refused: Refused[]) {
    const known = this.refused;
    write(refusedKey(this.cook), [
      ...known,
      ...refused.filter((r) => !known.some((k) => k.entry.eventId === r.entry.eventId)),
    ]);
    this.#taken(refused.map((r) => r.entry));
  }

  #taken(entries: StoveEntry[]) {
    const ids = new Set(entries.map((e) => e.eventId));
    write(
      key(this.cook),
      this.waiting.filter((e) => !ids.has(e.eventId)),
    );
  }
}
