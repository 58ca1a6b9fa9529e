import type { Command } from 'commander';
import colors from 'picocolors';
import { statSync } from 'node:fs';
import { basename, extname, join, relative, resolve } from 'node:path';
import {
  fontFormats as formats,
  openFonts,
  writeFont,
  type FontFormat,
  type OpenedFont,
  type WriteOptions,
} from '../core/containers/index.js';
import { DenseGlyphError, inFile } from '../core/errors.js';
import { chooseFaces } from './faces.js';
import { count, kilobytes, share, table } from './format.js';
import { readFormats, required } from './formats-option.js';
import { fontPaths, fontsIn } from './inputs.js';
import { atOnce } from '../kit/at-once.js';
import type { NamedFile } from '../kit/named-file.js';
import { Reporter, type CommonOptions, type Terminal } from './terminal.js';

interface ConvertOptions extends CommonOptions {
  to?: string;
  out?: string;
  face?: string;
  tolerance?: string;
  smallest?: boolean;
}

interface Conversion {
  input: string;
  inputFormat: FontFormat;
  inputBytes: number;
  outputs: Output[];
}

interface Output {
  path: string;
  format: FontFormat;
  bytes: Uint8Array;
  dropped: string[];
  points?: { before: number; after: number };
}

export function configure(command: Command, terminal: Terminal): void {
  command
    .argument('<fonts...>', 'font files, archives, folders or globs')
    .option('--to <formats>', `one or more of ${formats.join(', ')}, separated by commas`)
    .option('--out <dir>', 'the folder to write to')
    .option('--face <which>', 'of a collection only this face: its number from 1, or its name')
    .option('--tolerance <em>', 'how far a curve may stray where CFF outlines become TrueType', '1/2000')
    .option('--smallest', 'search for the smallest woff; takes some ten seconds a font')
    .addHelpText('after', '\nExample:\n  dense-glyph convert fonts/*.ttf --to woff2 --out site/type\n')
    .action((fonts: string[], options: ConvertOptions) => convert(fonts, options, terminal));
}

async function convert(fonts: string[], options: ConvertOptions, terminal: Terminal): Promise<void> {
  const reporter = new Reporter(terminal, options);
  const wanted = readFormats(required('convert', '--to', options.to));
  const paths = await fontPaths(fonts, terminal.folder);
  const folder = resolve(terminal.folder, required('convert', '--out', options.out));
  const order: Order = {
    wanted,
    folder,
    face: options.face,
    smallest: options.smallest === true,
    writeOptions: { tolerance: readTolerance(options.tolerance), alone: paths.length === 1 },
  };
  let started = 0;
  const converted = await atOnce(paths, sizeOfFile, async (path) => {
    const input = relative(terminal.folder, path) || path;
    reporter.progress(`${++started} of ${paths.length}: ${input}`);
    const made: Conversion[] = [];
    for (const file of await fontsIn(path, input)) made.push(...(await convertFile(file, order)));
    refuseCollision(made, new Map([[path, input]]));
    return made;
  });
  const conversions = converted.flat();
  refuseCollision(conversions, new Map());
  // Nothing is written before everything could be converted.
  const { writeWhole } = await import('../kit/write.js');
  for (const { outputs } of conversions) {
    for (const { path, bytes } of outputs) writeWhole(path, bytes);
  }
  tell(reporter, conversions, terminal.folder);
}

/** 0 for what can't be read, which is said when it is. */
const sizeOfFile = (path: string): number => statSync(path, { throwIfNoEntry: false })?.size ?? 0;

/** @param taken paths that must stay as they are, or that others write to, with who does */
function refuseCollision(conversions: readonly Conversion[], taken: Map<string, string>): void {
  for (const { input, outputs } of conversions) {
    for (const { path } of outputs) {
      const other = taken.get(path);
      if (other) {
        const reason = `${path} would be written over by ${input} and ${other}`;
        const advice = 'choose another --out, or convert them one by one';
        throw new DenseGlyphError('call-invalid', reason, {}, advice);
      }
      taken.set(path, input);
    }
  }
}

/** A part of the em, as a number or as a fraction. */
function readTolerance(text = ''): number {
  const [, over, under = '1'] = /^([\d.]+)(?:\/([\d.]+))?$/.exec(text.trim()) ?? [];
  const tolerance = Number(over) / Number(under);
  if (tolerance > 0 && tolerance <= 0.1) return tolerance;
  const reason = `--tolerance: "${text}" is not a part of the em`;
  throw new DenseGlyphError('call-invalid', reason, {}, 'write a fraction up to 1/10, as in 1/2000');
}

/** What a call asks for. */
interface Order {
  wanted: readonly FontFormat[];
  /** The folder that is written to. */
  folder: string;
  face: string | undefined;
  smallest: boolean;
  writeOptions: WriteOptions;
}

/** One conversion for a font, and one for each face of a collection that is asked for. */
async function convertFile({ path, bytes }: NamedFile, order: Order): Promise<Conversion[]> {
  const fonts = inFile(path, () => openFonts(bytes));
  const alone = fonts.length === 1 && order.face === undefined;
  const conversions: Conversion[] = [];
  for (const face of inFile(path, () => chooseFaces(fonts, order.face))) {
    conversions.push({
      input: alone ? path : `${path}, face ${face.number}`,
      inputFormat: face.format,
      inputBytes: alone ? bytes.length : face.size,
      outputs: await convertFont(face, alone ? basename(path, extname(path)) : face.fileName, path, order),
    });
  }
  return conversions;
}

async function convertFont(opened: OpenedFont, name: string, path: string, order: Order): Promise<Output[]> {
  const outputs: Output[] = [];
  for (const format of order.wanted) {
    const { dropped, ...written } =
      format === 'woff' && order.smallest
        ? await (await import('../kit/smallest-woff.js')).smallestWoff(opened.font)
        : await inFile(path, () => writeFont(opened.font, format, order.writeOptions));
    const output = join(order.folder, `${name}.${format}`);
    outputs.push({ path: output, format, ...written, dropped: [...opened.dropped, ...dropped] });
  }
  return outputs;
}

function tell(reporter: Reporter, conversions: readonly Conversion[], folder: string): void {
  const shown = (path: string) => relative(folder, path) || path;
  reporter.result({
    conversions: conversions.map(({ outputs, ...conversion }) => ({
      ...conversion,
      outputs: outputs.map((output) => ({ ...output, path: shown(output.path), bytes: output.bytes.length })),
    })),
  });
  const rows = conversions.flatMap(({ input, inputBytes, outputs }) =>
    outputs.map(({ path, bytes }) => [
      input,
      kilobytes(inputBytes),
      shown(path),
      colors.bold(kilobytes(bytes.length)),
      share(bytes.length, inputBytes),
    ]),
  );
  reporter.say(
    ...table(
      [
        { title: 'from' },
        { title: '', align: 'right' },
        { title: 'to' },
        { title: '', align: 'right' },
        { title: '', align: 'right' },
      ],
      rows,
    ),
  );
  if (conversions.length > 1) reporter.say('', ...totals(conversions));
  for (const { input, inputFormat, outputs } of conversions) {
    const extension = extname(input).slice(1).toLowerCase();
    if (formats.includes(extension as FontFormat) && extension !== inputFormat)
      reporter.say(`${input}: its content is ${inputFormat}, whatever its name says`);
    for (const { path, dropped, points } of outputs) {
      if (points) {
        const { before, after } = points;
        reporter.say(
          `${shown(path)}: TrueType outlines with ${after} points; the CFF outlines had ${before}`,
        );
      }
      if (dropped.length > 0) reporter.say(`${shown(path)}: left out ${dropped.join(', ')}`);
    }
  }
}

/** A line for each format: what all of the fonts come to in it. */
function totals(conversions: readonly Conversion[]): string[] {
  const before = conversions.reduce((sum, { inputBytes }) => sum + inputBytes, 0);
  return conversions[0].outputs.map(({ format }, i) => {
    const after = conversions.reduce((sum, { outputs }) => sum + outputs[i].bytes.length, 0);
    const fonts = count(conversions.length, 'font');
    return `${fonts}, ${kilobytes(before)}, come to ${colors.bold(kilobytes(after))} of ${format} (${share(after, before)})`;
  });
}
