// Makes the page's faces of the packages' ones: the letters of western Europe, figures, fractions and arrows, in the weights that
// the page uses. What lies beyond comes from the packages' own file, when it is met (src/fonts.css).
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import subsetFont from 'subset-font';

const client = join(dirname(fileURLToPath(import.meta.url)), '..');
const made = join(client, 'src/fonts');

const from = (first, last) =>
  Array.from({ length: last - first + 1 }, (_, i) => String.fromCodePoint(first + i)).join('');
const letters = `${from(0x20, 0x7e)}${from(0xa0, 0xff)}ıŒœ–—‘’“”„…•′″€−×⁄½¼¾⅓⅔→←↑↓`;

const faces = [
  ['@fontsource/young-serif/files/young-serif-latin-400-normal.woff2', 'young-serif', {}],
  [
    '@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2',
    'atkinson',
    { wght: { min: 400, max: 700 } },
  ],
];

mkdirSync(made, { recursive: true });
for (const [file, name, variationAxes] of faces) {
  const whole = readFileSync(join(client, 'node_modules', file));
  writeFileSync(
    join(made, `${name}.woff2`),
    await subsetFont(whole, letters, { targetFormat: 'woff2', variationAxes }),
  );
}
