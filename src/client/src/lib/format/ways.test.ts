import { describe, expect, it } from 'vitest';
import type { WayLine } from '../api/client';
import type { Alternative } from '../api/problem';
import { axisOf, offerWords, textureWord, whyLine } from './ways';

const offer = (more: Partial<Alternative>): Alternative => ({
  kind: 'serve_at',
  serveAtLocal: null,
  vesselId: null,
  vesselName: null,
  scale: null,
  soak: null,
  method: null,
  riceVesselId: null,
  pulseTarget: null,
  ...more,
});

describe('offers on buttons', () => {
  it('names more liquid by what the dish is then', () => {
    expect(offerWords(offer({ kind: 'style', style: 'saucy' }), '2026-11-24')).toBe('The same, with sauce');
  });

  it('names the day and the hour', () => {
    expect(offerWords(offer({ serveAtLocal: '2026-11-25T19:20' }), '2026-11-24')).toBe(
      'On the table tomorrow at 19:20',
    );
    expect(offerWords(offer({ serveAtLocal: '2026-11-24T20:05', soak: 'none' }), '2026-11-24')).toBe(
      'Not soaked, on the table today at 20:05',
    );
  });
  it('names the pot, the share and the soak', () => {
    expect(offerWords(offer({ kind: 'vessel', vesselName: 'Wide pot' }), '2026-11-24')).toBe(
      'Take the Wide pot',
    );
    expect(offerWords(offer({ kind: 'amount', scale: 0.65 }), '2026-11-24')).toBe('Cook 65 % of it');
    expect(offerWords(offer({ kind: 'unsoaked', soak: 'none' }), '2026-11-24')).toBe('Not soaked, same hour');
  });
});

const way = (table: string, starts: string[]): WayLine =>
  ({
    tableAt: table,
    tableLate: table,
    facts: { beThere: starts.map((from) => ({ from, to: from })) },
  }) as unknown as WayLine;

describe('the axis that all ways share', () => {
  it('holds every table and every visit of the day, but not the soak of the evening before', () => {
    const ways = [
      way('2026-11-25T19:00:00Z', ['2026-11-24T21:30:00Z', '2026-11-25T16:00:00Z']),
      way('2026-11-25T20:30:00Z', ['2026-11-25T14:00:00Z']),
    ];
    const [from, to] = axisOf(ways);
    expect(from).toBeLessThan(Date.parse('2026-11-25T14:00:00Z'));
    expect(from).toBeGreaterThan(Date.parse('2026-11-25T13:00:00Z'));
    expect(to).toBeGreaterThan(Date.parse('2026-11-25T20:30:00Z'));
  });
  it('leaves refused ways out', () =>
    expect(
      axisOf([way('2026-11-25T19:00:00Z', ['2026-11-25T16:00:00Z']), { tableAt: null } as WayLine])[1],
    ).toBeLessThan(Date.parse('2026-11-25T19:30:00Z')));
});

it('has words for every reason and texture', () => {
  for (const code of [
    'ready_at_once',
    'alone_for_hours',
    'fastest_from_dry',
    'fast_and_even',
    'even_and_short',
    'soaked_in_an_hour',
    'needs_no_soak',
    'nothing_ahead',
  ] as const)
    expect(whyLine(code)).toBeTruthy();
  for (const code of ['whole', 'tender', 'soft_edges', 'melting'] as const)
    expect(textureWord(code)).toBeTruthy();
});
