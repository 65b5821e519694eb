import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';

/** What a layer may not import: references point one way (docs/architecture.md). */
const layer = (files, ...forbidden) => ({
  files: [files],
  rules: {
    'no-restricted-imports': ['error', { patterns: forbidden.map((name) => ({ group: [`**/${name}/**`] })) }],
  },
});

export default ts.config(
  { ignores: ['node_modules', 'src/lib/api/schema.d.ts', 'src/lib/messages/**/*.g.ts'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  prettier,
  ...svelte.configs.prettier,
  { languageOptions: { globals: { ...globals.browser, ...globals.node } } },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'] } },
  },
  layer('src/lib/messages/**', 'api', 'format', 'state', 'ui', 'features', 'routes'),
  layer('src/lib/api/**', 'format', 'state', 'ui', 'features', 'routes'),
  layer('src/lib/format/**', 'state', 'ui', 'features', 'routes'),
  layer('src/lib/state/**', 'ui', 'features', 'routes'),
  layer('src/lib/ui/**', 'api', 'state', 'features', 'routes'),
  layer('src/lib/features/**', 'routes'),
);
