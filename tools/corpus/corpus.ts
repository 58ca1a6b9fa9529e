/**
 * Takes every font below the given folders to every format and back, cuts it down for each script that it covers,
 * compares tables, outlines and advances, and draws the results in the browsers that are here.
 *
 *   npm run corpus -- [--formats | --subsets] [--each-language] [--features] [--no-browsers] [--engine chromium] [--part 1/4] [--first-face] <folders>
 */
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { glob } from 'tinyglobby';
import { openFonts, writeFont } from '#src/core/containers/index.js';
import { inspectFont } from '#src/core/inspection/index.js';
import { availableEngines } from '../../test-support/engines.js';
import { convertEverywhere, type Conversions } from './formats.js';
import { trySubsets, type SubsetTrial } from './subsets.js';
import { Drawings } from './drawings.js';

const { values, positionals: folders } = parseArgs({
  args: process.argv.slice(2),
  allowPositionals: true,
  options: {
    formats: { type: 'boolean' },
    subsets: { type: 'boolean' },
    // A subset for each language that a font covers, not for a few of each script.
    'each-language': { type: 'boolean' },
    // One more with all features, which are turned on and off one by one, along all axes.
    features: { type: 'boolean' },
    'no-browsers': { type: 'boolean' },
    engine: { type: 'string' },
    part: { type: 'string', default: '1/1' },
    // Of each collection; its faces mostly share their outlines.
    'first-face': { type: 'boolean' },
  },
});
const draw = !values['no-browsers'];
const [part, parts] = values.part.split('/').map(Number);
if (folders.length === 0) {
  console.error('name at least one folder with fonts');
  process.exit(2);
}

const patterns = folders.map((folder) => `${folder.replace(/\/$/, '')}/**/*.{ttf,otf,ttc,otc,woff,woff2}`);
const files = (await glob(patterns, { absolute: true })).sort().filter((_, i) => i % parts === part - 1);
const drawings = new Drawings();
const problems: string[] = [];
const counts = {
  files: 0,
  fonts: 0,
  refused: 0,
  glyfAsItWas: 0,
  findings: 0,
  bytes: 0,
  woff2: 0,
  subsets: 0,
};
const noConversions: Conversions = { problems: [], made: new Map(), glyfAsItWas: false };
const noTrial: SubsetTrial = { problems: [], drawings: [], bytes: { before: 0, after: 0 } };
for (const file of files) {
  const bytes = readFileSync(file);
  counts.files++;
  let fonts;
  try {
    fonts = openFonts(bytes);
  } catch (cause) {
    counts.refused++;
    problems.push(`${file}: ${cause instanceof Error ? cause.message : String(cause)}`);
    continue;
  }
  for (const [i, { font, format }] of fonts.slice(0, values['first-face'] ? 1 : undefined).entries()) {
    const name = fonts.length > 1 ? `${file}#${i + 1}` : file;
    counts.fonts++;
    try {
      counts.findings += inspectFont(font, format, bytes.length, {}).findings.length > 0 ? 1 : 0;
      const {
        problems: found,
        made,
        glyfAsItWas,
      } = values.subsets ? noConversions : await convertEverywhere(font);
      const trial = values.formats
        ? noTrial
        : await trySubsets(font, {
            seed: counts.fonts,
            lettered: draw,
            eachLanguage: values['each-language'] ?? false,
            features: values.features ?? false,
          });
      counts.subsets += trial.drawings.length;
      problems.push(...[...found, ...trial.problems].map((problem) => `${name}: ${problem}`));
      if (glyfAsItWas) counts.glyfAsItWas++;
      // Written anew, as browsers refuse some files as they are.
      const source = format === 'ttf' || format === 'otf' ? (await writeFont(font, format)).bytes : bytes;
      counts.bytes += source.length;
      counts.woff2 += made.get('woff2')?.length ?? 0;
      if (draw) drawings.add(name, source, font, made, trial.drawings);
    } catch (cause) {
      problems.push(`${name}: ${cause instanceof Error ? cause.message : String(cause)}`);
    }
  }
  if (process.stderr.isTTY) process.stderr.write(`\r\x1b[K${counts.files} of ${files.length}: ${file}`);
}
if (process.stderr.isTTY) process.stderr.write('\r\x1b[K');
console.log(
  `${counts.fonts} fonts in ${counts.files} files (${counts.refused} refused); ${counts.bytes} bytes, ${counts.woff2} as WOFF2; ` +
    `glyf as it was in ${counts.glyfAsItWas}; findings in ${counts.findings}; ${counts.subsets} subsets`,
);
if (draw) {
  for (const engine of availableEngines().filter((name) => !values.engine || name === values.engine)) {
    const {
      same,
      hinted,
      lettered,
      told,
      alike,
      refused,
      lines,
      problems: found,
    } = await drawings.drawIn(engine);
    problems.push(...found);
    console.log(
      `${engine}: ${same} drawn the same, ${hinted} only with instructions kept, ${lettered} only with more letters, ` +
        `${told} otherwise as the subset says, ${refused} not at all, ${lines} lines as pages set them, ${alike} TrueType from CFF drawn alike, ${found.length} not`,
    );
  }
}
drawings.remove();
for (const problem of problems) console.log(`problem: ${problem}`);
console.log(`${problems.length} problems`);
process.exit(problems.length === 0 ? 0 : 1);
