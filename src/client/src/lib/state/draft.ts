import type { Dish } from '../api/client';
import { keep, kept } from './storage';

const key = 'bright-kettle.draft';

/** The dish that was being planned when the page was last open, or null. */
export function readDraft(): Dish | null {
  const draft = kept<Dish | null>(key, null);
  return draft && typeof draft.pulseId === 'string' && typeof draft.serveAtLocal === 'string' ? draft : null;
}

export const writeDraft = (dish: Dish): void => keep(key, dish);
