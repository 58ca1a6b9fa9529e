import type { Command } from 'commander';
import { subset, type SubsetResult } from '../../app/fonts/subset.js';
import { fontFormats } from '../../core/containers/formats.js';
import type { FeatureChoice } from '../../core/subset/features.js';
import { DenseGlyphError } from '../../errors.js';
import { ruleLines } from '../views/rules.js';
import { tellRefused } from '../refused.js';
import { Reporter } from '../reporter.js';
import type { CommonOptions, Terminal } from '../terminal.js';
import type { CharacterNames } from '../views/subset.js';
import { readFormats, required } from './options.js';

export const summary = 'cut fonts down to the characters and features that a site needs';
/** In the order of the work. */
export const order = 30;

interface SubsetOptions extends CommonOptions {
  out?: string;
  to: string;
  chars?: string;
  charsFrom?: string[];
  ranges?: string;
  languages?: string;
  letters?: string;
  features?: string;
  hinting: string;
  smallest?: boolean;
  css?: string;
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
    .option(
      '--languages <tags>',
      'keep what websites in these languages are written with, as in en,el,sr-Latn',
    )
    .option(
      '--letters <tags>',
      'keep only the letters, digits and punctuation of these languages: less, but names and loan words may lack some',
    )
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
    .option('--css <file>', 'write the @font-face rules there; without it they are printed')
    .option('--face <which>', 'of a collection only this face: its number from 1, or its name')
    .addHelpText('after', '\nExample:\n  dense-glyph subset fonts/*.ttf --languages en,el --out site/type\n')
    .action((fonts: string[], options: SubsetOptions) => run(fonts, options, terminal));
}

async function run(fonts: string[], options: SubsetOptions, terminal: Terminal): Promise<void> {
  const reporter = new Reporter(terminal, options);
  const request = {
    fonts,
    folder: terminal.folder,
    out: required('subset', '--out', options.out),
    formats: readFormats(options.to),
    chars: options.chars,
    charsFrom: options.charsFrom,
    ranges: options.ranges,
    languages: tagsIn(options.languages ?? ''),
    letters: tagsIn(options.letters ?? ''),
    features: readFeatures(options.features),
    hinting: readHinting(options.hinting),
    smallest: options.smallest === true,
    css: options.css,
    face: options.face,
  };
  // What the report takes is loaded while the first fonts are compressed.
  const view = reporter.isHeard ? whenIdle().then(() => import('../views/subset.js')) : undefined;
  const result = await subset(request, reporter.onProgress).finally(() => view);
  reporter.result(result);
  if (view) {
    const { subsetLines } = await view;
    reporter.say(...subsetLines(result, terminal, await namesFor(result)), '');
    reporter.say(...ruleLines(result.rules, options.css));
  }
  tellRefused(result.refused);
  if (result.fallsShort) terminal.fallShort();
}

/** When nothing is left to do but to wait. */
const whenIdle = () => new Promise<void>((done) => setImmediate(done));

const tagsIn = (text: string) => text.split(/[\s,]+/).filter(Boolean);

/** The names of characters take a file that is only loaded where one of them is missing. */
async function namesFor({ subsets }: SubsetResult): Promise<CharacterNames> {
  if (subsets.every(({ characters }) => characters.missing.length === 0)) return () => undefined;
  const { characterName } = await import('../../core/text/character-names.js');
  return characterName;
}

function readFeatures(text: string | undefined): FeatureChoice | undefined {
  if (text === undefined) return undefined;
  if (text.trim() === 'all') return 'all';
  const tags = tagsIn(text);
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
