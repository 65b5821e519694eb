import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { Reason } from '../../api/client';
import { Reasons } from './search';
import fresh from './questions-fresh.json';
import questions from './questions.json';

const rows = JSON.parse(
  // Beside the page in the same repository; the tests run in its folder.
  readFileSync('../BrightKettle.Core/Catalogue/Data/reasons.json', 'utf8'),
) as Reason[];
const reasons = new Reasons(rows.map((r) => ({ ...r, figures: [] })));
const asked = [...questions, ...fresh] as [string, string][];
const missed = (within: number) =>
  asked.flatMap(([question, id]) => {
    const first = (reasons.found(question) ?? []).slice(0, within).map((r) => r.id);
    return first.includes(id as Reason['id']) ? [] : [`${question}: ${first.join(', ')}, not ${id}`];
  });

describe('what people ask', () => {
  it('is answered first by the reason that is meant in nine of ten, and among three in nineteen of twenty', () => {
    expect(missed(1).length, missed(1).join('\n')).toBeLessThan(asked.length / 10);
    expect(missed(3).length, missed(3).join('\n')).toBeLessThan(asked.length / 20);
  });
  it('finds nothing where nothing speaks of it, and everything where nothing is asked', () => {
    expect(reasons.found('trombone')).toEqual([]);
    expect(reasons.found('   ')).toBe(null);
    expect(reasons.bySubject().flatMap((s) => s.reasons)).toHaveLength(rows.length);
  });
  it('finds each reason by its own question', () => {
    for (const r of reasons.all) expect((reasons.found(r.title) ?? [])[0]?.id).toBe(r.id);
  });
});
