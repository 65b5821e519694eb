import { say } from '../messages/say';

/** Shares as people count dinners: `dinnersOf(0.86)` → `"6 dinners in 7"`; in a column of them, `"6 in 7"`. */
export function dinnersOf(share: number, short = false): string {
  const of = (dinners: number, all: number) =>
    short ? say('chance.of.short', { dinners, all }) : say('chance.of', { dinners, all });
  if (share >= 0.985) return short ? say('chance.nearly.short') : say('chance.nearly');
  if (share <= 0.03) return short ? say('chance.hardly.short') : say('chance.hardly');
  if (share >= 0.925) return of(19, 20);
  let best = { k: 1, n: 2, miss: 1 };
  for (let n = 2; n <= 10; n++) {
    const k = Math.round(share * n);
    // A larger denominator must earn its place: 6 in 7 reads easier than 86 in 100.
    const miss = Math.abs(k / n - share) + n * 0.002;
    if (k > 0 && k < n && miss < best.miss) best = { k, n, miss };
  }
  return of(best.k, best.n);
}
