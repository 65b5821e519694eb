import type { Problem } from '../api/problem';

/** Loading as a union, so that nothing impossible can be drawn. */
export type Load<T> =
  { state: 'loading' } | { state: 'ready'; value: T } | { state: 'failed'; problem: Problem };
