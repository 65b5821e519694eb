import { say } from '../messages/say';

/** Shares as people count dinners: `dinnersOf(0.86)` → `"6 dinners in 7"`. */
export function dinnersOf(share: number): string {
  if (share >= 0.985) return say('chance.nearly');
  if (share <= 0.03) return say('chance.hardly');
  if (share >= 0.925) return say('chance.of', { dinners: 19, all: 20 });
  let best = { k: 1, n: 2, miss: 1 };
  for (let n = 2; n <= 10; n++) {
    const k = Math.round(share * n);
    // A larger denominator must earn its place: 6 in 7 reads easier than 86 in 100.
    const miss = Math.abs(k / n - share) + n * 0.002;
    if (k > 0 && k < n && miss < best.miss) best = { k, n, miss };
  }
  return say('chance.of', { dinners: best.k, all: best.n });
}
