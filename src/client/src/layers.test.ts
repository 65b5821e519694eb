// @vitest-environment node
import { ESLint } from 'eslint';
import { expect, it } from 'vitest';

const eslint = new ESLint();
const complaints = async (file: string, imported: string) => {
  const [result] = await eslint.lintText(`import '${imported}';\n`, { filePath: file });
  return result?.messages.map((m) => m.ruleId);
};

it.each([
  ['src/lib/messages/x.ts', '../format/words'],
  ['src/lib/format/x.ts', '../state/tonight.svelte'],
  ['src/lib/api/x.ts', '../format/words'],
  ['src/lib/state/x.ts', '../features/tonight/PlanView.svelte'],
  ['src/lib/ui/x.ts', '../api/client'],
  ['src/lib/features/x.ts', '../../routes/Tonight.svelte'],
])(
  '%s may not use %s',
  async (file, imported) => {
    expect(await complaints(file, imported)).toContain('no-restricted-imports');
  },
  60_000,
);

it('lets a layer use what lies below it', async () => {
  expect(await complaints('src/lib/features/x.ts', '../format/words')).not.toContain('no-restricted-imports');
}, 60_000);
