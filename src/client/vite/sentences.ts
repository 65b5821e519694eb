import { existsSync, readdirSync } from 'node:fs';
import { resolve } from 'node:path';
import type { Plugin } from 'vite';

const parts = resolve(import.meta.dirname, '../src/lib/messages/parts');

/** The first words of keys that stand quoted in a module: 'step.soak.title', `view.${id}`. */
export function saidIn(code: string, known: ReadonlySet<string>): string[] {
  const words = [...code.matchAll(/['"`]([a-z][a-z0-9_]*)\.[a-z$]/g)].map((m) => m[1]!);
  return [...new Set(words)].filter((word) => known.has(word)).sort();
}

/**
 * Brings the sentences to the modules that say them, so that a view loads its own and no other's. What a module says is seen by the
 * keys quoted in it; one quoted for another purpose only loads too much.
 */
export function sentences(): Plugin {
  let known: ReadonlySet<string> = new Set();
  return {
    name: 'kettle-sentences',
    buildStart() {
      const files = existsSync(parts) ? readdirSync(parts) : [];
      known = new Set(files.map((f) => f.replace('.g.ts', '')));
      if (known.size === 0) this.error('the sentences are not made yet: npm run messages');
    },
    transform(code, id) {
      if (!/\/src\/.*\.(svelte|ts)$/.test(id) || id.includes('/node_modules/') || /\.g\.ts$/.test(id))
        return null;
      const imports = saidIn(code, known).map((word) => `import ${JSON.stringify(`${parts}/${word}.g.ts`)};`);
      return imports.length === 0 ? null : { code: imports.join('') + code, map: null };
    },
  };
}
