/**
 * The kettle's time, which is the only one that counts here: the phone's clock may be wrong, or changed under our hands.
 * Between two words from the kettle it goes on by the browser's steady count, which no change of the clock moves.
 */
export class ServerClock {
  #told = 0;
  #at = 0;
  #timer: ReturnType<typeof setInterval> | undefined;
  /** Milliseconds, moving on several times a second while it runs. */
  now = $state(0);

  /** What the kettle says it is. */
  sync(iso: string) {
    this.#told = Date.parse(iso);
    this.#at = performance.now();
    this.now = this.#told;
  }

  /** Known at all: the kettle was heard of, now or before this page was opened. */
  get known(): boolean {
    return this.#told > 0;
  }

  /** Milliseconds since the kettle was last heard. */
  get silent(): number {
    return this.#told > 0 ? performance.now() - this.#at : Infinity;
  }

  read(): number {
    return this.#told > 0 ? this.#told + performance.now() - this.#at : 0;
  }

  start() {
    clearInterval(this.#timer);
    this.#timer = setInterval(() => (this.now = this.read()), 250);
  }

  stop() {
    clearInterval(this.#timer);
  }
}
