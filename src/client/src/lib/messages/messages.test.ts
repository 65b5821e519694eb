import { describe, expect, it } from 'vitest';
import { samples } from './samples.g';
import { say } from './say';
import { messages as known } from './tongue';
import { units } from './units.svelte';

// All parts, whoever says them.
import.meta.glob('./parts/*.g.ts', { eager: true });
const messages = known as unknown as Record<string, Said>;

type Said = (facts: unknown) => string;
const rowsOf = (only: (key: string, facts: unknown) => boolean) =>
  Object.entries(samples).flatMap(([key, facts]) =>
    facts.filter((f) => only(key, f)).map((f) => JSON.stringify([key, f, messages[key]!(f)])),
  );

describe('messages', () => {
  // The server's test reads the same file: both sides say the same. After a change: npx vitest -u src/lib/messages
  it('are said as they were', async () => {
    const rows = rowsOf(() => true);
    await expect(`${rows.join('\n')}\n`).toMatchFileSnapshot('../../../../messages/said.jsonl');
  });

  it('are said alike in cups and ounces', async () => {
    const metric = new Map(
      Object.entries(samples).flatMap(([key, all]) => all.map((f) => [f as unknown, messages[key]!(f)])),
    );
    units.us = true;
    const rows = rowsOf((key, f) => messages[key]!(f) !== metric.get(f));
    units.us = false;
    expect(rows.length).toBeGreaterThan(100);
    await expect(`${rows.join('\n')}\n`).toMatchFileSnapshot('../../../../messages/said-us.jsonl');
  });

  it('choose by count, by word and by what is missing', () => {
    expect(say('step.hold_over.title', { count: 1, minutes: null })).toBe('First whistle: heat off');
    expect(say('step.hold_over.title', { count: 0, minutes: 12 })).toBe('Held 12 min: heat off');
    expect(say('step.soak.detail', { millilitres: 1140, name: null, place: 'fridge' })).toBe(
      'in 1.14 L of water, in the fridge from the start',
    );
  });

  it('begin with a capital where they begin with a name', () => {
    expect(
      say('step.join.title', { ingredient: 'pulse', pulse: 'green lentils', grams: 180, rinse: null }),
    ).toBe('Green lentils in: 180 g');
  });
});
