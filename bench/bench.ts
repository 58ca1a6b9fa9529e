/**
 * How fast and how lean the built program is, as ratios to bare processes of the same run. A figure past its bound
 * makes the bench fail.
 */
import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { fontOf, type Font } from '#src/core/sfnt/font.js';
import { writeSfnt } from '#src/core/sfnt/write.js';
import { openFont } from '#src/core/containers/index.js';
import { buildCollection } from '../test-support/fonts.js';
import { variableVendorFont, variableVendorItalic } from '../test-support/paths.js';
import { streamOf } from '../test-support/woff2.js';
import { largeFont } from './large-font.js';
import { largeSite } from './large-site.js';
import { compare, inTurn, median } from './processes.js';

const root = fileURLToPath(new URL('../..', import.meta.url));
const program = join(root, 'dist/bin/dense-glyph.js');
const folder = mkdtempSync(join(tmpdir(), 'dense-glyph-bench-'));
const quick = process.argv.includes('--quick');
let failed = 0;

const brotli = join(folder, 'brotli.mjs');
writeFileSync(
  brotli,
  `import { readFileSync, writeFileSync } from 'node:fs';
import { brotliCompressSync, constants } from 'node:zlib';
const [out, ...files] = process.argv.slice(2);
for (const file of files) {
  writeFileSync(out, brotliCompressSync(readFileSync(file), { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } }));
}
`,
);

function tell(name: string, value: number, bound: number, detail: string): void {
  const holds = value <= bound;
  if (!holds) failed++;
  console.log(
    `${holds ? 'holds ' : 'FAILS '} ${name.padEnd(46)} ${value.toFixed(2)}× (at most ${bound}×)  ${detail}`,
  );
}

const ms = ([ours, other]: [number, number]) => `${ours.toFixed(0)} ms against ${other.toFixed(0)} ms`;
const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(1)} MB`;

async function startUp(): Promise<void> {
  const { ratio, wall } = await compare([program, '--version'], ['-e', '0'], quick ? 5 : 21);
  tell('--version against node -e 0', ratio, 2, ms(wall));
}

/** The library: its root loads next to nothing, and core nothing but its own files. */
async function imports(): Promise<void> {
  const load = (...paths: string[]) => [
    '--input-type=module',
    '-e',
    paths.map((path) => `import ${JSON.stringify(pathToFileURL(join(root, 'dist', path)).href)};`).join(''),
  ];
  const runs = quick ? 5 : 15;
  const light = await compare(load('index.js'), ['--input-type=module', '-e', ''], runs);
  tell('import of dense-glyph against a bare module', light.ratio, 1.5, ms(light.wall));
  const own = readdirSync(join(root, 'dist/core'), { recursive: true, encoding: 'utf8' })
    .filter((path) => path.endsWith('.js') && path !== 'index.js')
    .map((path) => join('core', path));
  const core = await compare(load('core/index.js'), load(...own), runs);
  tell('import of dense-glyph/core against its own files', core.ratio, 1.5, ms(core.wall));
}

/** Three faces of 60,000 glyphs each. */
function largeCollection(): string {
  const path = join(folder, 'fonts.ttc');
  const regular = join(root, 'sample/fonts/FerrywakeSans-Regular.ttf');
  const faces = Array.from({ length: 3 }, () => openFont(largeFont(regular, 60_000)).font);
  writeFileSync(path, buildCollection(faces, { shareTables: false }));
  return path;
}

async function looks(): Promise<void> {
  const regular = join(root, 'sample/fonts/FerrywakeSans-Regular.ttf');
  const font = join(folder, 'font.ttf');
  writeFileSync(font, largeFont(regular, 2600));
  const one = await compare([program, 'inspect', font], ['-e', '0'], quick ? 5 : 15);
  const size = megabytes(statSync(font).size);
  tell(`inspect a font of ${size} against node -e 0`, one.ratio, 2, ms(one.wall));

  const collection = largeCollection();
  const bytes = statSync(collection).size;
  const many = await compare([program, 'inspect', collection], ['-e', 'setTimeout(() => {}, 50)'], 5);
  tell(`inspect a collection of ${megabytes(bytes)}, per half second`, many.wall[0] / 500, 1, ms(many.wall));
  const detail = `${megabytes(many.memory[0])} against ${megabytes(many.memory[1])}`;
  tell('its peak memory above a bare Node, per byte', (many.memory[0] - many.memory[1]) / bytes, 3, detail);
}

/** From 0.3 MB and from a large collection to 120 characters; then twelve faces at once. */
async function subsets(): Promise<void> {
  const out = ['--out', join(folder, 'out'), '--quiet'];
  const characters = ['--ranges', 'U+20-7E,U+A0-B8'];
  const still = join(folder, 'plex.ttf');
  writeFileSync(still, writeSfnt(withoutVariations(openFont(readFileSync(variableVendorFont)).font)));
  const one = await compare([program, 'subset', still, ...characters, ...out], ['-e', '0'], quick ? 5 : 15);
  const size = megabytes(statSync(still).size);
  tell(
    `subset of a font of ${size}, above node, per 150 ms`,
    (one.wall[0] - one.wall[1]) / 150,
    1,
    ms(one.wall),
  );

  const collection = process.env.DENSE_GLYPH_BENCH_COLLECTION ?? largeCollection();
  const bytes = statSync(collection).size;
  const few = Array.from('末班渡輪二十一點四十分開出', (c) => `U+${c.codePointAt(0)!.toString(16)}`);
  const wanted = ['--ranges', ['U+20-7E', ...few].join(), '--face', '1'];
  const bare = ['-e', 'setTimeout(() => {}, 50)'];
  const large = await compare([program, 'subset', collection, ...wanted, ...out], bare, 5);
  const above = (large.wall[0] - large.wall[1] + 50) / 1200;
  tell(`of a collection of ${megabytes(bytes)}, above node, per 1.2 s`, above, 1, ms(large.wall));
  const detail = `${megabytes(large.memory[0])} against ${megabytes(large.memory[1])}`;
  tell('its peak memory above a bare Node, per byte', (large.memory[0] - large.memory[1]) / bytes, 3, detail);

  await twelveFaces(readFileSync(still), join(folder, 'out'));
}

/**
 * Upright and italic with much kerning, whole Latin, Greek and Cyrillic; nothing is shared between files. Two processors
 * that share a machine, or one core, do less than twice the work of one, so two bare processes that compress the same
 * streams say in the same rounds what there is to gain.
 */
async function twelveFaces(upright: Uint8Array, out: string): Promise<void> {
  const slanted = writeSfnt(withoutVariations(openFont(readFileSync(variableVendorItalic)).font));
  const faces = Array.from({ length: 12 }, (_, i) => join(folder, `face-${i}.ttf`));
  faces.forEach((face, i) => writeFileSync(face, i % 2 === 0 ? upright : slanted));
  const all = [program, 'subset', ...faces, '--ranges', 'U+20-52F', '--out', out, '--quiet'];
  const oneByOne = join(folder, 'one-by-one.mjs');
  writeFileSync(
    oneByOne,
    `import os from 'node:os';
import { syncBuiltinESMExports } from 'node:module';
os.availableParallelism = () => 1;
syncBuiltinESMExports();
process.argv.splice(1, 1);
await import(process.argv[1]);
`,
  );
  await inTurn([[all]], 1);
  const streams = faces.map((face) => {
    const made = readFileSync(join(out, basename(face).replace('.ttf', '.woff2')));
    writeFileSync(`${face}.stream`, streamOf(made).stream);
    return `${face}.stream`;
  });
  const bare = (half: string, files: readonly string[]) => [brotli, join(folder, `${half}.out`), ...files];
  const halves = [bare('first', streams.slice(0, 6)), bare('second', streams.slice(6))];
  const rounds = await inTurn([[all], [[oneByOne, ...all]], halves, [bare('all', streams)]], quick ? 1 : 9);
  const [once, one, two, alone] = [0, 1, 2, 3].map((i) => rounds.map((round) => round[i].wall));
  const gain = median(one.map((wall, i) => wall / once[i]));
  const gainOfBare = median(alone.map((wall, i) => wall / two[i]));
  tell(
    'twelve faces at once against one by one',
    1.7 / gain,
    1,
    `${ms([median(once), median(one)])}; ${gain.toFixed(2)} times as fast, at least 1.7; two bare processes ${gainOfBare.toFixed(2)}`,
  );
}

function withoutVariations(font: Font): Font {
  const tables = font.tables();
  for (const tag of ['avar', 'cvar', 'fvar', 'gvar', 'HVAR', 'MVAR', 'STAT']) tables.delete(tag);
  return fontOf(font.flavour, tables);
}

async function conversion(name: string, files: string[], runs: number): Promise<void> {
  const out = join(folder, 'out');
  const { ratio, wall } = await compare(
    [program, 'convert', ...files, '--to', 'woff2', '--out', out, '--quiet'],
    [brotli, join(folder, 'brotli.out'), ...files],
    quick ? 3 : runs,
  );
  tell(`convert ${name} against Brotli alone`, ratio, 1.25, ms(wall));
}

/**
 * Brotli at quality 11 needs 50 to 200 MB of its own for a large font, whoever calls it. What the program adds is told
 * apart by a second process that compresses the very same stream.
 */
async function memory(file: string): Promise<void> {
  const input = statSync(file).size;
  const out = join(folder, 'out');
  const convert = [program, 'convert', file, '--to', 'woff2', '--out', out, '--quiet'];
  const { ratio, wall } = await compare(convert, [brotli, join(folder, 'brotli.out'), file], 1);
  tell('convert a large font against Brotli alone', ratio, 1.25, ms(wall));

  const stream = join(folder, 'large.stream');
  writeFileSync(stream, streamOf(readFileSync(join(out, 'large.woff2'))).stream);
  const { memory: peak } = await compare(convert, [brotli, join(folder, 'brotli.out'), stream], 1);
  const { memory: bare } = await compare(['-e', 'setTimeout(() => {}, 50)'], ['-e', '0'], 3);
  const detail = `${megabytes(peak[0])} for ${megabytes(input)}; Brotli over the same stream ${megabytes(peak[1])}`;
  tell('peak memory above that of Brotli, per input byte', (peak[0] - peak[1]) / input, 4, detail);
  const own = `${megabytes(peak[0])}, of which Brotli needs ${((peak[1] - bare[0]) / input).toFixed(1)}×; Node ${megabytes(bare[0])}`;
  tell('peak memory above a bare Node, per input byte', (peak[0] - bare[0]) / input, 4, own);
}

async function conversions(): Promise<void> {
  const sample = (name: string) => join(root, 'sample/fonts', name);
  const vendor = (name: string) => join(root, 'node_modules/katex/dist/fonts', name);
  await conversion('a static TTF', [sample('FerrywakeSans-Regular.ttf')], 9);
  await conversion('a variable TTF', [sample('FerrywakeSans-Variable.ttf')], 9);
  await conversion('a CFF font', [sample('LampbuoySlab-Bold.otf')], 9);
  await conversion('a hinted TTF', [vendor('KaTeX_Main-Regular.ttf')], 9);
  const four = ['AMS-Regular', 'Main-Bold', 'Math-Italic', 'Typewriter-Regular'].map((name) =>
    vendor(`KaTeX_${name}.ttf`),
  );
  await conversion('four fonts in one call', four, 7);
  const large = join(folder, 'large.ttf');
  writeFileSync(large, largeFont(sample('FerrywakeSans-Regular.ttf'), quick ? 20_000 : 60_000));
  await memory(large);
}

/** A thousand pages of 40 kB with a stylesheet of 200 kB, against a process that reads their HTML and nothing else. */
async function scans(): Promise<void> {
  const site = join(folder, 'site');
  const pages = quick ? 200 : 1000;
  largeSite(site, pages);
  const reader = join(folder, 'read-html.mjs');
  const parser = pathToFileURL(join(root, 'node_modules/parse5/dist/index.js')).href;
  writeFileSync(
    reader,
    `import { readdirSync, readFileSync } from 'node:fs';
import { parse } from ${JSON.stringify(parser)};
const folder = process.argv[2];
for (const name of readdirSync(folder)) if (name.endsWith('.html')) parse(readFileSync(\`\${folder}/\${name}\`, 'utf8'));
`,
  );
  const { ratio, wall, memory: peak } = await compare([program, 'scan', site, '--quiet'], [reader, site], 3);
  tell(`scan of ${pages} pages against reading their HTML alone`, ratio, 5, ms(wall));
  tell('its peak memory, per 400 MB', peak[0] / 400e6, 1.2, megabytes(peak[0]));
}

/** What can be asked for by name; all of it otherwise. */
const parts = {
  start: startUp,
  import: imports,
  inspect: looks,
  subset: subsets,
  scan: scans,
  convert: conversions,
};
try {
  const asked = process.argv.slice(2).filter((arg) => arg in parts);
  for (const [name, measure] of Object.entries(parts)) {
    if (asked.length === 0 || asked.includes(name)) await measure();
  }
} finally {
  rmSync(folder, { recursive: true, force: true });
}
console.log(failed === 0 ? 'all bounds hold' : `${failed} bounds do not hold`);
process.exitCode = failed === 0 ? 0 : 1;
