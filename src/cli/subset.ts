import type { Command } from 'commander';
import { readFileSync } from 'node:fs';
import { basename, extname, join, relative, resolve } from 'node:path';
import { fontFormats, isCollection, openFonts, type FontFormat } from '../core/containers/index.js';
import { DenseGlyphError, inFile } from '../core/errors.js';
import type { FeatureChoice } from '../core/subset/features.js';
import { parseUnicodeRanges } from '../core/subset/wanted.js';
import { CodePointSet } from '../core/text/code-point-set.js';
import { unicodeRangeText } from '../core/text/unicode-ranges.js';
import type { RequestedLanguage } from '../core/text/languages.js';
import type { SubsetFile, SubsetTask } from '../kit/subset.js';
import { atOnce } from '../kit/at-once.js';
import type { PageDemand } from '../kit/pages.js';
import { mayHaveStyles, type RequestedFeatures } from '../kit/styled-files.js';
import { chooseFaces } from './faces.js';
import { readFormats, required } from './formats-option.js';
import { fontPaths, fontsIn, type InputFont } from './inputs.js';
import type { CharacterNames, MadeSubset, Wanted } from './subset-view.js';
import { Reporter, type CommonOptions, type Terminal } from './terminal.js';

interface SubsetCommandOptions extends CommonOptions {
  out?: string;
  to: string;
  chars?: string;
  charsFrom?: string[];
  ranges?: string;
  languages?: string;
  features?: string;
  hinting: string;
  smallest?: boolean;
  face?: string;
}

export function configure(command: Command, terminal: Terminal): void {
  command
    .argument('<fonts...>', 'font files, archives, folders or globs')
    .option('--out <dir>', 'the folder to write to')
    .option('--chars <text>', 'keep the characters of this text')
    .option(
      '--chars-from <files...>',
      'keep those of text, HTML, Markdown or JSON files, or globs of them, what pages and their stylesheets draw besides, and the features that they turn on',
    )
    .option('--ranges <ranges>', 'keep these, as in U+20-7E, U+2019')
    .option('--languages <tags>', 'keep what these languages are written with, as in en,el,sr-Latn')
    .option(
      '--features <tags>',
      'besides those that browsers apply and pages turn on; -liga leaves one out, all keeps all',
    )
    .option(
      '--hinting <choice>',
      'keep or drop what fits letters to the pixel grid; without it, text on old Windows screens is less sharp',
      'drop',
    )
    .option(
      '--smallest',
      'try other orders of glyphs as well, which takes three times as long, and write outlines as short as TTF, WOFF and EOT allow',
    )
    .option('--to <formats>', `one or more of ${fontFormats.join(', ')}`, 'woff2')
    .option('--face <which>', 'of a collection only this face: its number from 1, or its name')
    .addHelpText('after', '\nExample:\n  dense-glyph subset fonts/*.ttf --languages en,el --out site/type\n')
    .action((fonts: string[], options: SubsetCommandOptions) => subset(fonts, options, terminal));
}

async function subset(fonts: string[], options: SubsetCommandOptions, terminal: Terminal): Promise<void> {
  const reporter = new Reporter(terminal, options);
  const folder = resolve(terminal.folder, required('subset', '--out', options.out));
  const formats = readFormats(options.to);
  const wanted = await wantedBy(options, terminal.folder);
  const shared = {
    formats,
    characters: wanted.characters,
    optional: wanted.besides,
    features: withRequested(readFeatures(options.features), wanted.turnedOn),
    hinting: readHinting(options.hinting),
    smallest: options.smallest === true,
  };
  const tasks: Omit<SubsetTask, 'alone'>[] = [];
  const made: Omit<MadeSubset, 'subset'>[] = [];
  for (const path of await fontPaths(fonts, terminal.folder)) {
    const shown = relative(terminal.folder, path) || path;
    for (const file of await fontsIn(path, shown)) {
      for (const { name, face, ...input } of facesIn(file, options.face)) {
        tasks.push({ path: file.path, bytes: file.bytes, face, ...shared });
        made.push({ ...input, paths: formats.map((format) => join(folder, `${name}.${format}`)) });
        refuseCollision(made, path);
      }
    }
  }
  const { makeSubset } = await import('../kit/subset.js');
  // What the report takes is loaded while the first fonts are compressed.
  const view = reporter.isHeard ? whenIdle().then(() => import('./subset-view.js')) : undefined;
  let finished = 0;
  const subsets = await atOnce(
    tasks,
    ({ bytes }) => bytes.length,
    async (task) => {
      const subset = await makeSubset({ ...task, alone: tasks.length === 1 });
      reporter.progress(`${++finished} of ${tasks.length}`);
      return subset;
    },
  );
  // Nothing is written before everything could be made.
  const { writeWhole } = await import('../kit/write.js');
  for (const [i, { outputs }] of subsets.entries()) {
    for (const [k, { bytes }] of outputs.entries()) writeWhole(made[i].paths[k], bytes);
  }
  const results = made.map((one, i): MadeSubset => ({ ...one, subset: subsets[i] }));
  reporter.result(documentOf(results, wanted, terminal.folder));
  if (view) {
    const { subsetLines } = await view;
    reporter.say(...subsetLines(results, wanted, terminal, await namesFor(subsets)));
  }
  const lacks = ({ characters }: SubsetFile) => characters.missing.some((c) => wanted.needed.has(c));
  if (subsets.some(lacks)) terminal.fallShort();
}

/** When nothing is left to do but to wait. */
const whenIdle = () => new Promise<void>((done) => setImmediate(done));

/** A face to cut down: which one of its file from 0, its name for files, and how the report calls it. */
interface FaceInput extends Pick<MadeSubset, 'input' | 'inputBytes'> {
  face: number;
  name: string;
}

/** Only collections are opened for it: to open a WOFF2 takes as long as to cut it down. */
function facesIn({ path, bytes }: InputFont, wanted: string | undefined): FaceInput[] {
  const alone = { input: path, inputBytes: bytes.length, face: 0, name: basename(path, extname(path)) };
  if (wanted === undefined && !isCollection(bytes)) return [alone];
  const opened = inFile(path, () => openFonts(bytes));
  if (wanted === undefined && opened.length === 1) return [alone];
  return inFile(path, () => chooseFaces(opened, wanted)).map(({ number, fileName, size }) => ({
    input: `${path}, face ${number}`,
    inputBytes: size,
    face: number - 1,
    name: fileName,
  }));
}

/** The names of characters take a file that is only loaded where one of them is missing. */
async function namesFor(subsets: readonly SubsetFile[]): Promise<CharacterNames> {
  if (subsets.every(({ characters }) => characters.missing.length === 0)) return () => undefined;
  const { characterName } = await import('../core/text/character-names.js');
  return characterName;
}

function refuseCollision(made: readonly Omit<MadeSubset, 'subset'>[], source: string): void {
  const { input, paths } = made[made.length - 1];
  for (const path of paths) {
    const other = made.slice(0, -1).find((one) => one.paths.includes(path));
    if (path !== source && !other) continue;
    const reason = `${path} would be written over by ${input}${other ? ` and ${other.input}` : ''}`;
    throw new DenseGlyphError(
      'call-invalid',
      reason,
      {},
      'choose another --out, or cut them down one by one',
    );
  }
}

/** What languages are written with takes a file that is only loaded where one is named. */
async function languagesBy(text: string): Promise<RequestedLanguage[]> {
  const tags = text.split(/[\s,]+/).filter(Boolean);
  if (tags.length === 0) return [];
  const { requestedLanguage } = await import('../core/text/languages.js');
  return tags.map(requestedLanguage);
}

async function wantedBy(options: SubsetCommandOptions, folder: string): Promise<Wanted> {
  const languages = await languagesBy(options.languages ?? '');
  const texts = await readTexts(options, folder);
  const needed = CodePointSet.ofText(texts.text);
  for (const { letters } of languages) needed.addAll(letters);
  const asked = parseUnicodeRanges(options.ranges ?? '');
  for (const set of [needed, ...languages.map((language) => language.characters)]) asked.addAll(set);
  if (asked.size === 0) {
    const advice = 'say what to keep with --chars, --chars-from, --ranges or --languages';
    throw new DenseGlyphError('call-invalid', 'no characters are asked for', {}, advice);
  }
  return { characters: asked, languages, needed, turnedOn: texts.features, besides: texts.besides };
}

/** The text of the call and of the files that it names, and what pages among them ask for besides. */
async function readTexts(
  { chars = '', charsFrom }: SubsetCommandOptions,
  folder: string,
): Promise<PageDemand> {
  const nothing = { text: chars, features: new Map(), besides: [] };
  if (!charsFrom) return nothing;
  const { expandPaths } = await import('../kit/sources.js');
  const { textFiles, textOf } = await import('../kit/text-files.js');
  const paths = await expandPaths(charsFrom, folder, textFiles);
  let text = chars;
  for (const path of paths.filter((one) => !mayHaveStyles(one))) {
    text += `\n${await textOf(relative(folder, path) || path, readFileSync(path))}`;
  }
  const pages = paths.filter(mayHaveStyles);
  if (pages.length === 0) return { ...nothing, text };
  const { readPages } = await import('../kit/pages.js');
  const demand = await readPages(pages, folder, text);
  return { ...demand, text: `${text}\n${demand.text}` };
}

/** Pages turn features on, but the call has the last word. */
function withRequested(
  choice: FeatureChoice | undefined,
  turnedOn: RequestedFeatures,
): FeatureChoice | undefined {
  if (choice === 'all' || turnedOn.size === 0) return choice;
  return { keep: [...turnedOn.keys(), ...(choice?.keep ?? [])], leave: choice?.leave ?? [] };
}

function readFeatures(text: string | undefined): FeatureChoice | undefined {
  if (text === undefined) return undefined;
  if (text.trim() === 'all') return 'all';
  const tags = text.split(/[\s,]+/).filter(Boolean);
  for (const tag of tags) {
    if (/^-?[\x20-\x7e]{4}$/.test(tag)) continue;
    const advice = 'write tags of four letters, as in "smcp, tnum, -liga"';
    throw new DenseGlyphError('call-invalid', `--features: "${tag}" is not a feature`, {}, advice);
  }
  const leave = tags.filter((tag) => tag.length === 5).map((tag) => tag.slice(1));
  return { keep: tags.filter((tag) => tag.length === 4), leave };
}

function readHinting(text: string): 'keep' | 'drop' {
  if (text === 'keep' || text === 'drop') return text;
  throw new DenseGlyphError('call-invalid', `--hinting: "${text}" means nothing`, {}, 'write keep or drop');
}

/** What --json gives. */
function documentOf(results: readonly MadeSubset[], wanted: Wanted, folder: string) {
  return {
    wanted: wanted.characters.size,
    turnedOn: Object.fromEntries(wanted.turnedOn),
    besides: wanted.besides.map(({ by, files, characters }) => ({
      by,
      files,
      characters: unicodeRangeText(characters.ranges()),
    })),
    subsets: results.map(({ input, inputBytes, paths, subset: { outputs, ...about } }) => ({
      input,
      inputBytes,
      ...about,
      outputs: outputs.map(({ format, bytes, dropped }, i) => ({
        path: relative(folder, paths[i]) || paths[i],
        format: format satisfies FontFormat,
        bytes: bytes.length,
        dropped,
      })),
    })),
  };
}
