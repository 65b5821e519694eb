import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { cups, grams, millilitres, overBed } from './amounts';
import { dinnersOf } from './chance';
import { units } from '../messages/units.svelte';
import { addDays, clock, dayName, dayOf, hourSaid, localOf, parseTime, range, tickHour } from './time';

describe('times', () => {
  it('shows the kitchen clock, not the clock of this machine', () => {
    expect(clock('2026-11-25T18:07:00Z', 'Europe/Lisbon')).toBe('18:07');
    expect(clock('2026-07-25T18:07:00Z', 'Europe/Lisbon')).toBe('19:07');
    expect(clock('2026-11-25T23:30:00Z', 'Asia/Tokyo')).toBe('08:30');
  });
  it('knows the calendar day on the kitchen clock', () =>
    expect(dayOf('2026-11-25T23:30:00Z', 'Asia/Tokyo')).toBe('2026-11-26'));
  it('counts days over the end of a month', () => expect(addDays('2026-11-30', 1)).toBe('2026-12-01'));
  it.each([
    ['2026-11-24', 'today'],
    ['2026-11-25', 'tomorrow'],
    ['2026-11-23', 'yesterday'],
    ['2026-11-27', 'Friday'],
    ['2026-12-12', '12 December'],
  ])('calls %s %s', (day, name) => expect(dayName(day, '2026-11-24')).toBe(name));
  it('shows a range only where there is one', () => {
    expect(range('2026-11-25T18:58:40Z', '2026-11-25T19:07:05Z', 'UTC')).toBe('18:58 to 19:07');
    expect(range('2026-11-25T19:00:00Z', '2026-11-25T19:00:20Z', 'UTC')).toBe('19:00');
  });
  it.each([
    ['19:00', '19:00'],
    ['1930', '19:30'],
    ['7 pm', '19:00'],
    ['12am', '00:00'],
    ['7.45pm', '19:45'],
    ['25:00', null],
    ['13 pm', null],
    ['soon', null],
  ])('reads %s as %s', (text, time) => expect(parseTime(text)).toBe(time));
});

describe('times by am and pm', () => {
  beforeEach(() => (units.amPm = true));
  afterEach(() => (units.amPm = false));
  it.each([
    ['00:05', '12:05 am'],
    ['09:30', '9:30 am'],
    ['12:00', '12:00 pm'],
    ['18:07', '6:07 pm'],
    ['', ''],
  ])('says %s as %s', (hour, said) => expect(hourSaid(hour)).toBe(said));
  it('are written so everywhere but where they are stored', () => {
    expect(clock('2026-11-25T18:07:00Z', 'Europe/Lisbon')).toBe('6:07 pm');
    expect(range('2026-11-25T11:58:40Z', '2026-11-25T12:07:05Z', 'UTC')).toBe('11:58 am to 12:07 pm');
    expect(localOf('2026-11-25T18:07:00Z', 'Europe/Lisbon')).toBe('2026-11-25T18:07');
  });
  it('are short along an axis', () => {
    expect(tickHour(new Date('2026-11-25T18:00:00Z'), 'UTC')).toBe('6 pm');
    expect(tickHour(new Date('2026-11-25T18:30:00Z'), 'UTC')).toBe('6:30 pm');
  });
  it.each([
    ['7:30', '18:00', '19:30'],
    ['7:30', '08:00', '07:30'],
    ['7:30 am', '18:00', '07:30'],
    ['19:30', '08:00', '19:30'],
    ['12', '18:00', '12:00'],
    ['07:30', '18:00', '07:30'],
  ])('reads %s where %s stood as %s', (text, before, time) => expect(parseTime(text, before)).toBe(time));
});

describe('an hour as strangers write it', () => {
  // Twenty entries not chosen to fit: 12 were read as meant when this was counted first.
  it.each([
    ['7pm', '19:00'],
    ['7 p.m.', '19:00'],
    ['7:30 PM', '19:30'],
    ['730pm', '19:30'],
    ['7.45 am', '07:45'],
    ['19h', '19:00'],
    ['19h30', '19:30'],
    ['19.15', '19:15'],
    ['1915', '19:15'],
    ['19', '19:00'],
    ['noon', '12:00'],
    ['midnight', '00:00'],
    ['12 noon', '12:00'],
    ['8 o’clock', '08:00'],
    ["8 o'clock pm", '20:00'],
    ['6 P.M', '18:00'],
    ['24:00', null],
    ['19:60', null],
    ['7 30', '07:30'],
    ['tea time', null],
  ])('%s is %s', (text, time) => expect(parseTime(text)).toBe(time));
});

describe('amounts', () => {
  it.each([
    [300, '300 g'],
    [1000, '1 kg'],
    [1470, '1.47 kg'],
    [1500, '1.5 kg'],
  ])('writes %d g as %s', (value, text) => expect(grams(value)).toBe(text));
  it.each([
    [690, '690 mL'],
    [1100, '1.1 L'],
    [2000, '2 L'],
  ])('writes %d mL as %s', (value, text) => expect(millilitres(value)).toBe(text));
  it.each([
    [1.48, '1½ cups'],
    [1, '1 cup'],
    [0.24, '¼ cup'],
    [0.05, 'under ¼ cup'],
    [3.1, '3 cups'],
  ])('writes %d cups as %s', (value, text) => expect(cups(value)).toBe(text));
  it('says under where the bed stands dry', () => expect(overBed(-0.42)).toBe('0.4 cm under'));
});

describe('chances', () => {
  it.each([
    [0.86, '6 dinners in 7'],
    [0.5, '1 dinner in 2'],
    [0.97, '19 dinners in 20'],
    [1, 'nearly every dinner'],
    [0.01, 'hardly any dinner'],
  ])('tells %d as %s', (share, text) => expect(dinnersOf(share)).toBe(text));
  it('is short in a column of them', () =>
    expect([0.995, 0.95, 0.86, 0.02].map((share) => dinnersOf(share, true))).toEqual([
      'nearly all',
      '19 in 20',
      '6 in 7',
      'hardly any',
    ]));
  it('is never off by more than 3 in 100 between the ends', () => {
    for (let share = 0.1; share <= 0.92; share += 0.01) {
      const [, k, n] = /(\d+) dinners? in (\d+)/.exec(dinnersOf(share)) ?? [];
      expect(Math.abs(Number(k) / Number(n) - share)).toBeLessThan(0.0301);
    }
  });
});
