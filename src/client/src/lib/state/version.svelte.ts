import { Workbox } from 'workbox-window';

/** Whether a newer page than the one on show is there. It is taken at a press, never by itself: somebody may be in the middle of an entry. */
export class Version {
  newer = $state(false);
  #worker: Workbox | null = null;
  /** It was taken here; another window of this browser may take it too. */
  #takenHere = false;
  #takenElsewhere = false;

  begin() {
    if (!('serviceWorker' in navigator)) return;
    const worker = (this.#worker = new Workbox('/sw.js'));
    worker.addEventListener('waiting', () => (this.newer = true));
    worker.addEventListener('controlling', ({ isUpdate, isExternal }) => {
      if (this.#takenHere) location.reload();
      else if (isUpdate || isExternal) this.newer = this.#takenElsewhere = true;
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
