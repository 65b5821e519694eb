import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'svelte/compiler';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';

// What is said stands in the catalogues: a component or module holds none of it.

const files = (folder: string): string[] =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? files(path) : [path];
  });

const sources = files('src').filter(
  (f) => /\.(svelte|ts)$/.test(f) && !/\.test\.ts$|\.g\.ts$|\.d\.ts$/.test(f),
);

/** Attributes that are read or heard. */
const heard =
  /^(title|placeholder|alt|label|text|hint|name|aria-(label|valuetext|description|roledescription))$/;
/** Attributes of which some are for machines. */
const machines: Record<string, string[]> = {
  name: ['input', 'meta', 'Choice'],
  label: [],
};
const words = (text: string) => /\p{L}{2,}/u.test(text);
/** The product's name, and words of browsers that look like ours. */
const plain = new Set([
  'Bright Kettle',
  'Home',
  'Escape',
  'Enter',
  'Notification',
  'Problem',
  'cm',
  'fl oz',
  '(pointer: coarse)',
  '(prefers-color-scheme: dark)',
  'color-mix(in oklab,',
]);

type Found = { where: string; text: string };

type Walked = { type?: string; [key: string]: unknown };

function inMarkup(path: string): Found[] {
  const found: Found[] = [];
  const source = readFileSync(path, 'utf8');
  const root = parse(source, { modern: true });
  const put = (text: string) => {
    const said = text.replace(/\s+/g, ' ').trim();
    if (words(said) && !plain.has(said)) found.push({ where: path, text: said });
  };
  const walk = (node: unknown, element: string): void => {
    if (Array.isArray(node)) return node.forEach((n) => walk(n, element));
    if (!node || typeof node !== 'object') return;
    const n = node as Walked;
    if (n.type === 'Text') return put(String(n.data));
    if (n.type === 'Attribute') {
      const name = String(n.name);
      const value = n.value as Walked[] | Walked | true;
      if (!heard.test(name) || machines[name]?.includes(element)) {
        if (value !== true && !Array.isArray(value)) walkCode((value as Walked).expression, false);
        return;
      }
      for (const part of Array.isArray(value) ? value : value === true ? [] : [value]) {
        if (part.type === 'Text') put(String(part.data));
        else walkCode(part.expression, true);
      }
      return;
    }
    if (n.type === 'ExpressionTag') return walkCode(n.expression, true);
    const name = n.type === 'RegularElement' || n.type === 'Component' ? String(n.name) : element;
    for (const key of [
      'attributes',
      'fragment',
      'nodes',
      'consequent',
      'alternate',
      'body',
      'fallback',
      'pending',
      'then',
      'catch',
    ])
      if (n[key]) walk(n[key], name);
  };
  /** In an expression that is shown: words that stand by themselves; elsewhere whole phrases only. */
  const walkCode = (node: unknown, shown: boolean): void => {
    if (Array.isArray(node)) return node.forEach((n) => walkCode(n, shown));
    if (!node || typeof node !== 'object') return;
    const n = node as Walked;
    if (n.type === 'Literal' && typeof n.value === 'string') {
      if (shown && words(n.value)) put(n.value);
      return;
    }
    if (n.type === 'TemplateLiteral') {
      for (const q of n.quasis as { value: { cooked: string } }[]) if (shown) put(q.value.cooked);
      return walkCode(n.expressions, shown);
    }
    // What is compared with, and what is given to a function, is for the machine.
    if (n.type === 'BinaryExpression' && /^(===|!==|in)$/.test(String(n.operator))) return;
    if (n.type === 'CallExpression' || n.type === 'MemberExpression' || n.type === 'ObjectExpression') return;
    if (n.type === 'ConditionalExpression') {
      walkCode(n.consequent, shown);
      return walkCode(n.alternate, shown);
    }
    for (const [key, value] of Object.entries(n))
      if (key !== 'loc' && typeof value === 'object') walkCode(value, shown);
  };
  walk(root.fragment, '');
  const script = root.instance
    ? source.slice(root.instance.start, root.instance.end).replace(/^<script[^>]*>|<\/script>$/g, '')
    : '';
  return [...found, ...inCode(path, script)];
}

/** Phrases in code: several words, or one with a capital, that no machine would say so. */
function inCode(path: string, source: string): Found[] {
  const found: Found[] = [];
  const put = (text: string) => {
    const said = text.replace(/\s+/g, ' ').trim();
    if (phrase.test(said) && !plain.has(said)) found.push({ where: path, text: said });
  };
  const walk = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
    if (ts.isThrowStatement(node)) return;
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) put(node.text);
    if (ts.isTemplateExpression(node)) {
      put(node.head.text);
      node.templateSpans.forEach((s) => put(s.literal.text));
    }
    ts.forEachChild(node, walk);
  };
  walk(ts.createSourceFile(path, source, ts.ScriptTarget.Latest, true));
  return found;
}
const phrase = /^\p{Lu}\p{Ll}{2,}$|\p{L}{2,}[,.;:!?]?(?: \p{L}+){1,}|^(?:,? )\p{L}{2,}/u;

describe('what is said', () => {
  it('stands in the catalogues, not in components or code', () => {
    const found = sources.flatMap((f) =>
      f.endsWith('.svelte') ? inMarkup(f) : inCode(f, readFileSync(f, 'utf8')),
    );
    expect(found.map((f) => `${f.where}: ${f.text}`)).toEqual([]);
  });
});
