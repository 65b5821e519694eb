// Makes typed message functions of the catalogues, for the page (messages.g.ts) and for the server (Messages.g.cs), so that a
// missing key or fact does not compile. Run by the builds of both; a key that nobody uses fails it.
//
//   node src/messages/generate.mjs ts  FILE     writes the page's types, and beside them the sentences by the first word of
//                                               their keys, facts to try them with, and each other language
//   node src/messages/generate.mjs cs  FILE     writes the server's class
//   node src/messages/generate.mjs use FOLDER…  fails when a key is used in none of the folders
//
// A catalogue is a folder of the language with JSON files: {"key": "ICU message"}. A fact is typed by how it is used:
// {name} text, {n, number} a figure, {n, number, ::unit/gram} grams and so on, {n, plural, …} a count, {what, select, …} a word.
// A null fact is chosen as "none" by select and is 0 as a figure.
// A figure that stands in a sentence with its unit (60 °C, 200 mL, 5 cm) is said in the household's own; each end of a range
// carries its unit. Refusals (problem.*) name the limits of fields, which have units of their own.
import { createRequire } from 'node:module';
import { mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const here = dirname(fileURLToPath(import.meta.url));
const { parse, TYPE } = createRequire(join(here, '../client/package.json'))('@formatjs/icu-messageformat-parser');
const english = 'en';
/** English lengthened and accented: what is not in it comes from no catalogue, and what is cut off would be in German too. */
const pseudo = 'xx';
const others = [
  ...readdirSync(here).filter((f) => f !== english && statSync(join(here, f)).isDirectory()),
  pseudo,
];

/** Catalogues whose sentences the server alone says. */
const serverAlone = ['problems.json', 'refusals.json', 'start.json'];

const units = {
  gram: 'grams',
  milliliter: 'millilitres',
  liter: 'litres',
  minute: 'minutes',
  hour: 'hours',
  celsius: 'celsius',
  centimeter: 'centimetres',
  percent: 'percent',
};

function fail(text) {
  console.error(`messages: ${text}`);
  process.exit(1);
}

/** Key → parsed message, in the order of the keys. */
function read(folder, without = []) {
  const all = new Map();
  for (const file of readdirSync(folder).filter((f) => f.endsWith('.json') && !without.includes(f)).sort()) {
    for (const [key, text] of Object.entries(JSON.parse(readFileSync(join(folder, file), 'utf8')))) {
      if (!/^[a-z][a-z0-9_]*(\.[a-z][a-z0-9_]*)+$/.test(key)) fail(`${file}: ${key} is no key: words with points between them`);
      if (all.has(key)) fail(`${key} stands twice`);
      try {
        all.set(key, parse(text, { shouldParseSkeletons: true, ignoreTag: true }));
      } catch (error) {
        fail(`${file}: ${key}: ${error.message}`);
      }
    }
  }
  return new Map([...all].sort(([a], [b]) => (a < b ? -1 : 1)));
}

/** Fact → kind (text, figure or word), in the order in which they come up. */
function factsOf(ast, facts = new Map()) {
  const put = (name, kind) => {
    const was = facts.get(name);
    // A word that is chosen by may stand in the sentence too, and a count may be written as a figure.
    facts.set(name, was === undefined || was === 'text' ? kind : was);
    if (was && was !== kind && was !== 'text' && kind !== 'text') fail(`the fact ${name} is both a ${was} and a ${kind}`);
  };
  for (const e of ast) {
    if (e.type === TYPE.argument) put(e.value, 'text');
    else if (e.type === TYPE.number || e.type === TYPE.plural) put(e.value, 'figure');
    else if (e.type === TYPE.select) put(e.value, 'word');
    else if (e.type !== TYPE.literal && e.type !== TYPE.pound) fail(`a message uses ${JSON.stringify(e)}, which no side can say`);
    if (e.options) for (const o of Object.values(e.options)) factsOf(o.value, facts);
  }
  return facts;
}

/** The figure's function and its decimals. */
function figure(e) {
  const o = e.style?.parsedOptions ?? {};
  const name = o.style === 'percent' ? 'percent' : o.style === 'unit' ? units[o.unit] : 'number';
  if (!name) fail(`no side can say the unit ${o.unit}`);
  return [name, o.minimumFractionDigits ?? 0, o.maximumFractionDigits ?? 0];
}

const accents = { a: 'áá', e: 'éé', i: 'í', o: 'óó', u: 'úú', y: 'ý', c: 'ç', n: 'ñ', s: 'š', t: 'ţ', l: 'ļ', r: 'ŕ', g: 'ğ', d: 'đ', h: 'ĥ', k: 'ķ', z: 'ž', w: 'ŵ', b: 'ƀ', f: 'ƒ', m: 'ɱ', p: 'þ', j: 'ĵ', v: 'ṽ', x: 'ẋ', q: 'ɋ' };
const accented = (text) =>
  text.replace(/[a-z]/gi, (c) => {
    const to = accents[c.toLowerCase()];
    return c === c.toLowerCase() ? to : to[0].toUpperCase() + to.slice(1);
  });
/** How a text of the catalogue is written: as it stands, or in the pseudo-language. */
let voice = (text) => text;

const pascal = (key) => key.split(/[._]/).map((w) => w[0].toUpperCase() + w.slice(1)).join('');

const ts = {
  text: (s) => JSON.stringify(voice(s)),
  fact: (n) => `text(f.${n})`,
  figure: (n, [name, least, most]) => `figures.${name}(f.${n} ?? 0${least || most ? `, ${least}, ${most}` : ''})`,
  written: (name, value) => `figures.${name}(${value})`,
  count: (n) => `figures.number(f.${n} ?? 0)`,
  join: (parts) => (parts.length === 0 ? '""' : parts.join(' + ')),
  select: (n, cases, other) => `pick(f.${n}, { ${cases.map(([k, v]) => `${JSON.stringify(k)}: ${v}`).join(', ')} }, ${other})`,
  plural: (n, cases, other) => `count(f.${n} ?? 0, { ${cases.map(([k, v]) => `${JSON.stringify(k)}: ${v}`).join(', ')} }, ${other})`,
  capital: (s) => `capital(${s})`,
};

const keyword = (n) => (['in', 'is', 'to', 'for', 'out', 'base'].includes(n) ? `@${n}` : n);
const cs = {
  text: (s) => JSON.stringify(voice(s)),
  fact: (n) => `(${keyword(n)} ?? string.Empty)`,
  figure: (n, [name, least, most]) => `Figures.${pascal(name)}(${keyword(n)} ?? 0${least || most ? `, ${least}, ${most}` : ''})`,
  written: (name, value) => `Figures.${pascal(name)}(${value})`,
  count: (n) => `Figures.Number(${keyword(n)} ?? 0)`,
  join: (parts) => (parts.length === 0 ? 'string.Empty' : parts.join(' + ')),
  select: (n, cases, other) => `((${keyword(n)} ?? "none") switch { ${cases.map(([k, v]) => `${JSON.stringify(k)} => ${v}, `).join('')}_ => ${other} })`,
  plural: (n, cases, other) => {
    const exact = cases.filter(([k]) => k.startsWith('=')).map(([k, v]) => `${k.slice(1)}d => ${v}, `);
    const named = cases.filter(([k]) => !k.startsWith('=')).map(([k, v]) => `${JSON.stringify(k)} => ${v}, `);
    const rest = named.length ? `Plurals.Of(${keyword(n)} ?? 0) switch { ${named.join('')}_ => ${other} }` : other;
    return `((${keyword(n)} ?? 0) switch { ${exact.join('')}_ => ${rest} })`;
  },
  capital: (s) => `Figures.Capital(${s})`,
};

const written = { '°C': 'celsius', mL: 'millilitres', cm: 'centimetres' };

/** A text whose figures with a unit are said as figures. */
function literal(value, side) {
  return side.join(
    value
      .split(/(?<![\d.])(\d+(?:\.\d+)? (?:°C|mL|cm)\b)/u)
      .filter(Boolean)
      .map((part) => {
        const [, figure, unit] = /^(\d+(?:\.\d+)?) (°C|mL|cm)$/.exec(part) ?? [];
        return figure ? side.written(written[unit], figure) : side.text(part);
      }),
  );
}

let own = false;

function say(ast, side, counted = null) {
  const parts = ast.map((e) => {
    switch (e.type) {
      case TYPE.literal:
        return own ? side.text(e.value) : literal(e.value, side);
      case TYPE.argument:
        return side.fact(e.value);
      case TYPE.number:
        return side.figure(e.value, figure(e));
      case TYPE.pound:
        return side.count(counted);
      case TYPE.select: {
        const { other, ...rest } = e.options;
        return side.select(e.value, Object.entries(rest).map(([k, o]) => [k, say(o.value, side, counted)]), say(other.value, side, counted));
      }
      case TYPE.plural: {
        const { other, ...rest } = e.options;
        return side.plural(e.value, Object.entries(rest).map(([k, o]) => [k, say(o.value, side, e.value)]), say(other.value, side, e.value));
      }
    }
  });
  return side.join(parts);
}

/** Whether a fact comes first, by itself or as one of the choices. */
const startsWithFact = (ast) => ast[0]?.type === TYPE.argument || (ast[0]?.type === TYPE.select && Object.values(ast[0].options).some((o) => startsWithFact(o.value)));

/** A sentence that begins with a name begins with a capital. */
const whole = (key, ast, side) => {
  own = key.startsWith('problem.') || key === 'notes.example';
  return startsWithFact(ast) ? side.capital(say(ast, side)) : say(ast, side);
};

/** Another language's messages: every sentence of the English ones, with the same facts. */
function translated(language, all) {
  if (language === pseudo) return all;
  const own = read(join(here, language));
  for (const key of own.keys()) if (!known.has(key)) fail(`${language} says ${key}, which English does not`);
  return new Map(
    [...all].map(([key, ast]) => {
      const said = own.get(key) ?? fail(`${language} does not say ${key}`);
      const facts = (a) => JSON.stringify([...factsOf(a)].sort());
      // A sentence may leave a fact out, but takes no other.
      for (const [name, kind] of factsOf(said)) if (factsOf(ast).get(name) !== kind) fail(`${language}: ${key} has no fact ${name} (${facts(ast)})`);
      return [key, said];
    }),
  );
}

/** Written in another language's voice. */
function inLanguage(language, write) {
  voice = language === pseudo ? accented : (text) => text;
  const written = write();
  voice = (text) => text;
  return written;
}

function functionsTs(all, facts) {
  const type = { text: 'string | null | undefined', word: 'string | null | undefined', figure: 'number | null | undefined' };
  return [...all].map(([key, ast]) => {
    const list = [...factsOf(facts.get(key))];
    const params = list.length === 0 ? '()' : `(f: { ${list.map(([n, k]) => `${n}: ${type[k]}`).join('; ')} })`;
    return `  ${JSON.stringify(key)}: ${params} => ${whole(key, ast, ts)},`;
  });
}

function writeOtherTs(language, all) {
  return [
    '// Made from src/messages by generate.mjs: change the catalogue, not this file.',
    "import type * as Figures from '../figures';",
    "import type { Messages } from '../messages.g';",
    '',
    '// How figures are written is handed in: a chunk of its own that waits for nothing of the page.',
    'export const messages = ({ capital, count, figures, pick, text }: typeof Figures): Messages => ({',
    ...inLanguage(language, () => functionsTs(translated(language, all), all)),
    '});',
    '',
  ].join('\n');
}

/** The sentences whose keys begin with one word. */
const partOf = (key) => key.split('.')[0];

function writePartTs(part) {
  return [
    '// Made from src/messages by generate.mjs: change the catalogue, not this file.',
    "import { capital, count, figures, pick, text } from '../figures';",
    "import { learn } from '../tongue';",
    '',
    'export const messages = {',
    ...functionsTs(part, part),
    '};',
    'learn(messages);',
    '',
  ].join('\n');
}

/** The types of all sentences. The sentences themselves come by parts, to the modules that say them. */
function writeTs(parts) {
  return [
    '// Made from src/messages by generate.mjs: change the catalogue, not this file.',
    ...[...parts.keys()].map((name) => `import type { messages as ${name} } from './parts/${name}.g';`),
    '',
    `export type Messages = ${[...parts.keys()].map((name) => `typeof ${name}`).join(' &\n  ')};`,
    '',
  ].join('\n');
}

function writeSamplesTs(all) {
  const samples = Object.fromEntries([...all].map(([k, ast]) => [k, samplesOf(ast)]));
  return [
    '// Made from src/messages by generate.mjs: change the catalogue, not this file.',
    '/** Facts that every message can be tried with. */',
    `export const samples: Record<string, Record<string, string | number>[]> = ${JSON.stringify(samples, null, 2)};`,
    '',
  ].join('\n');
}

function writeCs(all) {
  const spoken = new Map(others.map((l) => [l, translated(l, all)]));
  const type = { text: 'string?', word: 'string?', figure: 'double?' };
  const argument = { text: (n) => `f.Text("${n}")`, word: (n) => `f.Text("${n}")`, figure: (n) => `f.Figure("${n}")` };
  const methods = [...all].map(([key, ast]) => {
    const facts = [...factsOf(ast)];
    const body = whole(key, ast, cs);
    const rest = others.map((l) => `"${l}" => ${inLanguage(l, () => whole(key, spoken.get(l).get(key), cs))}, `).join('');
    return `    /// <summary>${key}</summary>\n    public static string ${pascal(key)}(${facts.map(([n, k]) => `${type[k]} ${keyword(n)}`).join(', ')}) => SpokenLanguage.Current switch { ${rest}_ => ${body} };\n`;
  });
  const cases = [...all].map(([key, ast]) => `        ["${key}"] = f => ${pascal(key)}(${[...factsOf(ast)].map(([n, k]) => argument[k](n)).join(', ')}),`);
  return [
    '// <auto-generated>Made from src/messages by generate.mjs: change the catalogue, not this file.</auto-generated>',
    '#nullable enable',
    'namespace BrightKettle.Server.Messages;',
    '',
    '/// <summary>Every sentence that the server says, by its key in the catalogue.</summary>',
    'public static partial class Messages',
    '{',
    methods.join('\n'),
    '    /// <summary>Languages that this server can say everything in.</summary>',
    `    public static readonly string[] Languages = [${[english, ...others].map((l) => JSON.stringify(l)).join(', ')}];`,
    '',
    '    private static readonly System.Collections.Generic.Dictionary<string, System.Func<MessageFacts, string>> ByKey = new()',
    '    {',
    ...cases,
    '    };',
    '}',
    '',
  ].join('\n');
}

/** Facts that reach every branch: each word, each count that is told apart, one and many. */
function samplesOf(ast) {
  const values = new Map([...factsOf(ast)].map(([n, k]) => [n, k === 'text' ? ['blue pot'] : k === 'figure' ? [0, 1, 37.46, 1234.5] : ['none']]));
  const walk = (list) => {
    for (const e of list) {
      if (e.type === TYPE.select) values.set(e.value, [...new Set([...values.get(e.value), ...Object.keys(e.options)])]);
      if (e.type === TYPE.plural)
        values.set(e.value, [...new Set([...values.get(e.value), ...Object.keys(e.options).filter((k) => k.startsWith('=')).map((k) => Number(k.slice(1)))])]);
      if (e.options) for (const o of Object.values(e.options)) walk(o.value);
    }
  };
  walk(ast);
  const most = Math.max(1, ...[...values.values()].map((v) => v.length));
  // Each value of each fact comes up once, beside the first of the others and beside its neighbours.
  const rows = [];
  for (let i = 0; i < most; i++) rows.push(Object.fromEntries([...values].map(([n, v]) => [n, v[i % v.length]])));
  for (const [n, v] of values) for (const x of v) rows.push({ ...rows[0], [n]: x });
  return [...new Map(rows.map((r) => [JSON.stringify(r), r])).values()];
}

/** Keys that no literal and no pattern of a literal names. */
function unused(all, folders) {
  const files = [];
  const walk = (path) => {
    if (/node_modules|\/obj\/|\.g\.|wwwroot|\/messages\/en/.test(path)) return;
    if (statSync(path).isDirectory()) readdirSync(path).forEach((f) => walk(join(path, f)));
    else if (/\.(ts|svelte|cs|mjs)$/.test(path) && !/\.test\.ts$/.test(path)) files.push(readFileSync(path, 'utf8'));
  };
  folders.forEach(walk);
  const source = files.join('\n');
  const patterns = [...source.matchAll(/[`"']([a-z][a-z0-9_.]*(?:(?:\$\{[^}`]*\}|\{[^}"]*\})[a-z0-9_.]*)+)[`"']/g)]
    .map((m) => m[1])
    .filter((p) => /^[a-z][a-z0-9_]*\./.test(p))
    .map((p) => new RegExp(`^${p.replace(/\$?\{[^}]*\}/g, '\u0000').replace(/\./g, '\\.').replace(/\u0000/g, '[a-z0-9_.]+')}$`));
  return [...all.keys()].filter(
    (key) => !source.includes(`'${key}'`) && !source.includes(`"${key}"`) && !source.includes(`Said.${pascal(key)}(`) && !source.includes(`Messages.${pascal(key)}(`) && !patterns.some((p) => p.test(key)),
  );
}

const [what, ...rest] = process.argv.slice(2);
const known = read(join(here, english));
const all = what === 'ts' ? read(join(here, english), serverAlone) : known;
if (what === 'use') {
  const idle = unused(all, rest);
  if (idle.length > 0) fail(`nobody says ${idle.join(', ')}`);
} else {
  const folder = dirname(rest[0]);
  mkdirSync(folder, { recursive: true });
  if (what === 'cs') writeFileSync(rest[0], writeCs(all));
  else writePage(rest[0], all);
}

function writePage(file, all) {
  const folder = dirname(file);
  const parts = new Map();
  for (const [key, ast] of all) parts.set(partOf(key), (parts.get(partOf(key)) ?? new Map()).set(key, ast));
  for (const made of ['parts', 'languages']) {
    rmSync(join(folder, made), { recursive: true, force: true });
    mkdirSync(join(folder, made));
  }
  writeFileSync(file, writeTs(parts));
  writeFileSync(join(folder, 'samples.g.ts'), writeSamplesTs(all));
  for (const [name, part] of parts) writeFileSync(join(folder, 'parts', `${name}.g.ts`), writePartTs(part));
  writeFileSync(
    join(folder, 'languages', 'others.g.ts'),
    [
      '// Made by src/messages/generate.mjs.',
      '/** Languages beside English; each comes when it is asked for. */',
      'export const others = {',
      ...others.map((l) => `  ${l}: () => import('./${l}.g'),`),
      '};',
      '',
    ].join('\n'),
  );
  for (const l of others) writeFileSync(join(folder, 'languages', `${l}.g.ts`), writeOtherTs(l, all));
}
