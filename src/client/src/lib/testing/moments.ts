import type { StoveMoment } from '../api/client';

/** A moment that waits for nothing but its turn; for tests. */
export const noWaits: StoveMoment['waits'] = {
  event: null,
  count: 1,
  seen: 0,
  look: null,
  asks: [],
  notBefore: null,
  priced: 0,
  delayMinutes: null,
};
