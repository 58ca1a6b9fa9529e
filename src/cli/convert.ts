import type { Command } from 'commander';
import colors from 'picocolors';
import { readFileSync } from 'node:fs';
import { basename, extname, join, relative, resolve } from 'node:path';
import { openFonts, writeFont, type FontFormat, type OpenedFont } from '../core/containers/index.js';
import { DenseGlyphError, inFile } from '../core/errors.js';
import { chooseFaces } from './faces.js';
import { count, kilobytes, share, table } from './format.js';
import { Reporter, type CommonOptions, type Terminal } from './terminal.js';

const formats: readonly FontFormat[] = ['woff2', 'woff', 'ttf', 'otf'];

interface ConvertOptions extends CommonOptions {
  to?: string;
  out?: string;
  face?: string;
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
}

export function configure(command: Command, terminal: Terminal): void {
  command
    .argument('<fonts...>', 'font files, folders or globs')
    .option('--to <formats>', `one or more of ${formats.join(', ')}, separated by commas`)
    .option('--out <dir>', 'the folder to write to')
    .option('--face <which>', 'of a collection only this face: its number from 1, or its name')
    .addHelpText('after', '\nExample:\n  dense-glyph convert fonts/*.ttf --to woff2 --out site/type\n')
    .action((fonts: string[], options: ConvertOptions) => convert(fonts, options, terminal));
}

async function convert(fonts: string[], options: ConvertOptions, terminal: Terminal): Promise<void> {
  const reporter = new Reporter(terminal, options);
  const wanted = readFormats(required('--to', options.to));
  const paths = await fontPaths(fonts, terminal.folder);
  const folder = resolve(terminal.folder, required('--out', options.out));
  const conversions: Conversion[] = [];
  const taken = new Map<string, string>();
  for (const [i, path] of paths.entries()) {
    const input = relative(terminal.folder, path) || path;
    reporter.progress(`${i + 1} of ${paths.length}: ${input}`);
    for (const conversion of convertFile(input, read(path, input), wanted, folder, options.face)) {
      conversions.push(conversion);
      for (const output of conversion.outputs) {
        const other = output.path === path ? input : taken.get(output.path);
        if (other) {
          const reason = `${output.path} would be written over by ${conversion.input} and ${other}`;
          throw new DenseGlyphError(
            'call-invalid',
            reason,
            {},
            'choose another --out, or convert them one by one',
          );
        }
        taken.set(output.path, conversion.input);
      }
    }
  }
  // Nothing is written before everything could be converted.
  const { writeWhole } = await import('../kit/write.js');
  for (const { outputs } of conversions) {
    for (const { path, bytes } of outputs) await writeWhole(path, bytes);
  }
  tell(reporter, conversions, terminal.folder);
}

/** Checked here, after misspelt options, which are the likelier mistake. */
function required(option: string, value: string | undefined): string {
  if (value) return value;
  throw new DenseGlyphError('call-invalid', `${option} is missing`, {}, 'see dense-glyph convert --help');
}

/** Globs and folders take a library that a plain file doesn't need. */
async function fontPaths(fonts: readonly string[], folder: string): Promise<string[]> {
  if (fonts.every((font) => /^[^*?[\]{}()!]+\.(ttf|otf|ttc|otc|woff2?)$/i.test(font))) {
    return [...new Set(fonts.map((font) => resolve(folder, font)))];
  }
  const { expandPaths } = await import('../kit/sources.js');
  return expandPaths(fonts, folder);
}

/** In one read, as the asynchronous one gathers a large file in pieces and joins them. */
function read(path: string, shown: string): Uint8Array {
  try {
    return readFileSync(path);
  } catch (cause) {
    const missing = (cause as NodeJS.ErrnoException).code === 'ENOENT';
    throw new DenseGlyphError('file-unreadable', missing ? 'there is no such file' : 'it cannot be read', {
      file: shown,
    });
  }
}

function readFormats(text: string): FontFormat[] {
  const wanted = text.split(',').map((name) => name.trim().toLowerCase().replace(/^\./, ''));
  for (const name of wanted) {
    if (formats.includes(name as FontFormat)) continue;
    throw new DenseGlyphError(
      'call-invalid',
      `--to: "${name}" is not a format`,
      {},
      `choose from ${formats.join(', ')}`,
    );
  }
  return [...new Set(wanted)] as FontFormat[];
}

/** One conversion for a font, and one for each face of a collection that is asked for. */
function convertFile(
  input: string,
  bytes: Uint8Array,
  wanted: readonly FontFormat[],
  folder: string,
  face: string | undefined,
): Conversion[] {
  return inFile(input, () => {
    const fonts = openFonts(bytes);
    if (fonts.length === 1 && face === undefined) {
      const outputs = convertFont(fonts[0], basename(input, extname(input)), wanted, folder);
      return [{ input, inputFormat: fonts[0].format, inputBytes: bytes.length, outputs }];
    }
    return chooseFaces(fonts, face).map((chosen) => ({
      input: `${input}, face ${chosen.number}`,
      inputFormat: chosen.format,
      inputBytes: chosen.size,
      outputs: convertFont(chosen, chosen.fileName, wanted, folder),
    }));
  });
}

function convertFont(
  opened: OpenedFont,
  name: string,
  wanted: readonly FontFormat[],
  folder: string,
): Output[] {
  return wanted.map((to) => {
    const { bytes, dropped } = writeFont(opened.font, to);
    return {
      path: join(folder, `${name}.${to}`),
      format: to,
      bytes,
      dropped: [...opened.dropped, ...dropped],
    };
  });
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
    for (const { path, dropped } of outputs) {
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
