import type { Kitchen } from '../api/client';
import { say } from '../messages/say';

export type Bag = Kitchen['bags'][number];
export type Pace = NonNullable<Bag['pace']>;

/** Less than this off the usual time is the usual time. */
const felt = 0.04;

/** “takes 25 % longer than usual”, to five per cent: nobody knows it finer. */
export function paceTime(pace: { time: number }): string {
  const off = pace.time - 1;
  const share = Math.max(5, Math.round(Math.abs(off) * 20) * 5) / 100;
  return say('pace.time', { way: Math.abs(off) < felt ? 'same' : off > 0 ? 'longer' : 'shorter', share });
}

/** The household's name for it, or the food's. */
export const bagName = (bag: { name: string; foodName: string }): string =>
  bag.name ? `${bag.foodName}, ${bag.name}` : bag.foodName;

/** As a factor on the usual time: `1.25 ×`. */
export const factor = (time: number): string => `${time.toFixed(2).replace(/0$/, '')} ×`;

/** Best before within two months, or bought more than a year ago. */
export function isToUseSoon(bag: Bag, today: string): boolean {
  const days = (from: string, to: string) => (Date.parse(to) - Date.parse(from)) / 86_400_000;
  return (
    bag.grams > 0 &&
    ((!!bag.bestBefore && days(today, bag.bestBefore) < 60) ||
      (!!bag.boughtOn && days(bag.boughtOn, today) > 365))
  );
}
