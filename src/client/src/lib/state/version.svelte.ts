import { Workbox } from 'workbox-window';
import { keepText, keptText } from './storage';

const key = 'bright-kettle.came-before';

/** Whether a newer page than the one on show is there. It is taken at a press, never by itself: somebody may be in the middle of an entry. */
export class Version {
  newer = $state(false);
  #worker: Workbox | null = null;
  readonly #cameBefore = keptText(key) !== null;
  /** It was taken here; another window of this browser may take it too. */
  #takenHere = false;
  #takenElsewhere = false;

  /**
   * Keeps the page for the time without a connection. All views have to be fetched for that: not for somebody who only looks in, but
   * for whoever comes again, or stands at the stove.
   */
  begin(atStove: boolean) {
    keepText(key, 'yes');
    if (this.#worker || !('serviceWorker' in navigator) || !(this.#cameBefore || atStove)) return;
    // The first time there is no older page: its worker came with this one, or with a window opened a moment before.
    let older = navigator.serviceWorker.controller !== null;
    const worker = (this.#worker = new Workbox('/sw.js'));
    worker.addEventListener('waiting', () => (this.newer = true));
    worker.addEventListener('controlling', ({ isUpdate, isExternal }) => {
      if (this.#takenHere) location.reload();
      else if (older && (isUpdate || isExternal)) this.newer = this.#takenElsewhere = true;
      older = true;
    });
    worker.register().catch(() => {
      // Refused where a browser keeps nothing, or by an address without a trusted certificate: the kettle serves the page each time.
      this.#worker = null;
    });
  }

  /** A page that stands open asks now and then. */
  look() {
    this.#worker?.update().catch(() => {
      // Without a connection it is asked again the next time.
    });
  }

  take() {
    if (this.#takenElsewhere) location.reload();
    this.#takenHere = true;
    this.#worker?.messageSkipWaiting();
  }
}

export const version = new Version();
