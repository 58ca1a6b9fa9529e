/**
 * Cuts a maker's complete fonts down to the ranges of the parts that the maker ships beside them, with the features of
 * those parts, and compares sizes and pixels.
 *
 *   npm run makers-cuts -- <folder with whole fonts> <folder with parts and their stylesheets> [--hinting keep] [--engine chromium]
 */
import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { basename, join } from 'node:path';
import { parseArgs } from 'node:util';
import { openFont, writeFont } from '#src/core/containers/index.js';
import { layoutListsOf } from '#src/core/layout/common/feature-list.js';
import { subsetFont } from '#src/core/subset/index.js';
import { parseUnicodeRanges } from '#src/core/text/parse-ranges.js';
import { cmap } from '#src/core/tables/index.js';
import type { CodePointSet } from '#src/core/text/code-point-set.js';
import { availableEngines } from '../../test-support/engines.js';
import { Drawings } from './drawings.js';

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    hinting: { type: 'string', default: 'drop' },
    engine: { type: 'string' },
    'no-browsers': { type: 'boolean' },
  },
});
const [wholeFolder, partFolder] = positionals;
if (!partFolder) {
  console.error('name the folder with the whole fonts and the folder with the parts');
  process.exit(2);
}
const hinting = values.hinting === 'keep' ? 'keep' : 'drop';
const drawings = new Drawings();
const totals = { ours: 0, theirs: 0, parts: 0, larger: [] as string[] };
const byPart = new Map<string, { ours: number; theirs: number }>();

for (const stylesheet of readdirSync(partFolder).filter((name) => name.endsWith('.css'))) {
  const style = basename(stylesheet, '.css');
  const wholeFile = join(wholeFolder, `${style}.woff2`);
  if (!existsSync(wholeFile)) continue;
  const source = readFileSync(wholeFile);
  const { font } = openFont(source);
  const available = new Set([...cmap.mappingsOf(font.table(cmap))].map(([codePoint]) => codePoint));
  const drawn = [];
  for (const { file, ranges } of partsIn(readFileSync(join(partFolder, stylesheet), 'utf8'))) {
    const theirs = readFileSync(join(partFolder, file));
    const part = openFont(theirs).font;
    const features = layoutListsOf(part).features.map(({ tag }) => tag);
    const leave = layoutListsOf(font)
      .features.map(({ tag }) => tag)
      .filter((tag) => !features.includes(tag));
    const characters = parseUnicodeRanges(ranges);
    const subset = subsetFont(font, { characters, hinting, features: { keep: features, leave } });
    const { bytes } = await writeFont(subset.font, 'woff2');
    const name = basename(file, '.woff2').slice(style.length + 1);
    totals.ours += bytes.length;
    totals.theirs += theirs.length;
    totals.parts++;
    if (bytes.length > theirs.length) totals.larger.push(`${file}: ${bytes.length} against ${theirs.length}`);
    const sum = byPart.get(name) ?? { ours: 0, theirs: 0 };
    byPart.set(name, { ours: sum.ours + bytes.length, theirs: sum.theirs + theirs.length });
    drawn.push({ name, bytes, hinted: bytes, texts: textsOf(characters, available), changes: [] });
  }
  if (!values['no-browsers']) drawings.add(style, source, font, new Map(), drawn);
}
for (const [name, { ours, theirs }] of byPart)
  console.log(`${name}: ${ours} against ${theirs}, ${(ours / theirs).toFixed(3)}`);
console.log(
  `${totals.parts} parts: ${totals.ours} against ${totals.theirs}, ${(totals.ours / totals.theirs).toFixed(3)}`,
);
for (const line of totals.larger) console.log(`larger: ${line}`);
let differing = 0;
if (!values['no-browsers']) {
  for (const engine of availableEngines().filter((name) => !values.engine || name === values.engine)) {
    const { same, problems } = await drawings.drawIn(engine);
    differing += problems.length;
    console.log(`${engine}: ${same} parts drawn as the whole font draws them, ${problems.length} not`);
    for (const problem of problems) console.log(problem);
  }
}
drawings.remove();
process.exit(totals.larger.length + differing === 0 ? 0 : 1);

/** The files that the rules of a stylesheet name, with their unicode-range. */
function partsIn(css: string): { file: string; ranges: string }[] {
  return [...css.matchAll(/@font-face\s*{([^}]*)}/g)].flatMap(([, rule]) => {
    const url = /url\(["']?([^"')]+\.woff2)["']?\)/.exec(rule)?.[1];
    const ranges = /unicode-range:\s*([^;}]+)/.exec(rule)?.[1];
    return url && ranges ? [{ file: basename(url), ranges }] : [];
  });
}

/** All characters of a part, in lines. */
function textsOf(characters: CodePointSet, available: ReadonlySet<number>): string[] {
  const shown: number[] = [];
  for (const [first, last] of characters.ranges()) {
    for (let c = first; c <= last; c++) if (available.has(c) && c > 0x20) shown.push(c);
  }
  const lines: string[] = [];
  for (let at = 0; at < shown.length; at += 24) lines.push(String.fromCodePoint(...shown.slice(at, at + 24)));
  return lines;
}
