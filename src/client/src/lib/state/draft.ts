import type { Dish } from '../api/client';

const key = 'bright-kettle.draft';

/** The dish that was being planned when the page was last open, or null. */
export function readDraft(): Dish | null {
  try {
    const text = localStorage.getItem(key);
    const draft = text ? (JSON.parse(text) as Dish) : null;
    return draft && typeof draft.pulseId === 'string' && typeof draft.serveAtLocal === 'string'
      ? draft
      : null;
  } catch {
    // A private window may forbid storage, and an older page may have left another shape: start afresh.
    return null;
  }
}

export function writeDraft(dish: Dish): void {
  try {
    localStorage.setItem(key, JSON.stringify(dish));
  } catch {
    // Without storage the draft lives as long as the page.
  }
}
