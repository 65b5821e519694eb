import { locale } from '../messages/language';
import { say } from '../messages/say';
import { units } from '../messages/units.svelte';

/** `18:07`, the kitchen's own, as it is stored and sent. */
const hourOf = (iso: string, zone: string): string =>
  new Intl.DateTimeFormat('en-GB', {
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
    timeZone: zone,
  }).format(new Date(iso));

/** `18:07` as it is said here: `18:07` or `6:07 pm`. */
export function hourSaid(hour: string): string {
  if (!units.amPm || !hour) return hour;
  const [h = 0, m = 0] = hour.split(':').map(Number);
  return `${((h + 11) % 12) + 1}:${String(m).padStart(2, '0')} ${h < 12 ? 'am' : 'pm'}`;
}

/** The hour of an instant on the kitchen's clock: `18:07` or `6:07 pm`. */
export const clock = (iso: string, zone: string): string => hourSaid(hourOf(iso, zone));

/** For an axis, where there is little room: `18:00` or `6 pm`. */
export const tickHour = (at: Date, zone: string): string =>
  clock(at.toISOString(), zone).replace(/:00(?= [ap]m)/, '');

/** `2026-11-25` on the kitchen's clock. */
export const dayOf = (iso: string, zone: string): string =>
  new Intl.DateTimeFormat('en-CA', {
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    timeZone: zone,
  }).format(new Date(iso));

/** Days from one calendar day to another: `daysBetween('2026-11-24', '2026-11-25')` → `1`. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(`${to}T00:00Z`) - Date.parse(`${from}T00:00Z`)) / 86_400_000);

/** A calendar day some days on: `addDays('2026-11-30', 1)` → `'2026-12-01'`. */
export const addDays = (day: string, count: number): string =>
  new Date(Date.parse(`${day}T00:00Z`) + count * 86_400_000).toISOString().slice(0, 10);

/** `today`, `tomorrow`, `Friday`, or `12 December` from a week on. */
export function dayName(day: string, today: string): string {
  const days = daysBetween(today, day);
  if (Math.abs(days) <= 1) return say(days === 0 ? 'day.today' : days > 0 ? 'day.tomorrow' : 'day.yesterday');
  const date = new Date(`${day}T12:00Z`);
  return days > 1 && days < 7
    ? new Intl.DateTimeFormat(locale, { weekday: 'long', timeZone: 'UTC' }).format(date)
    : new Intl.DateTimeFormat(locale, { day: 'numeric', month: 'long', timeZone: 'UTC' }).format(date);
}

/** Minutes from one instant to another, rounded. */
export const minutesBetween = (from: string, to: string): number =>
  Math.round((Date.parse(to) - Date.parse(from)) / 60_000);

/** `18:07`, or `17:12 to 18:07` when early and late are over a minute apart. */
export function range(early: string, late: string, zone: string): string {
  const [a, b] = [clock(early, zone), clock(late, zone)];
  return a === b || minutesBetween(early, late) <= 1 ? b : say('time.range', { from: a, to: b });
}

/**
 * A time as people type it: `19:00`, `1900`, `19h`, `7 p.m.`, `7.30pm`, `noon` → `19:00`, …; null when it is none. Where the clock is one of
 * twelve hours, `7:30` alone is in the same half of the day as what stood there.
 */
export function parseTime(text: string, before = ''): string | null {
  const plain = text
    .toLowerCase()
    .replace(/(\d+\s*)?(noon|midday)/, '12 pm')
    .replace(/(\d+\s*)?midnight/, '12 am')
    .replace(/o['’]clock/, '')
    .replace(/([ap])\.\s*m\.?/, '$1m');
  const match = /^\s*(\d{1,2})(?:[:.h ]?(\d{2})|h)?\s*(am|pm)?\s*$/.exec(plain);
  if (!match) return null;
  const said = Number(match[1]);
  const same = units.amPm && before && said >= 1 && said <= 12 && !/^\s*0/.test(plain);
  const half = match[3] ?? (same ? (before < '12' ? 'am' : 'pm') : undefined);
  if (half && (said < 1 || said > 12)) return null;
  const hour = half ? (said % 12) + (half === 'pm' ? 12 : 0) : said;
  const minute = Number(match[2] ?? 0);
  return hour < 24 && minute < 60
    ? `${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}`
    : null;
}

/** `2026-11-25T19:00` on the kitchen's clock. */
export const localOf = (iso: string, zone: string): string => `${dayOf(iso, zone)}T${hourOf(iso, zone)}`;

/** An instant as it is sent. */
export const isoOf = (milliseconds: number): string => new Date(milliseconds).toISOString();
