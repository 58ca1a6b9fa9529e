import { leftOut, type Finding } from '../../findings.js';
import { basename, extname, join, relative, resolve } from 'node:path';
import { writeFont, type FontFormat, type WriteOptions } from '../../core/containers/index.js';
import { chooseFaces, openFile, type NamedFace, type NamedFile } from '../../core/source/index.js';
import { inFile } from '../../errors.js';
import { fontPaths, readFontFiles } from '../../io/font-files.js';
import { processors } from '../../io/processors.js';
import { sizeOfFile } from '../../io/read.js';
import { atOnce } from '../../kit/at-once.js';
import { takePaths, type TakenPaths } from './collisions.js';
import { LicenceFiles } from './licence-files.js';
import { ruleFaceOf, rulesToPaste, type RuleFace } from './paste-rules.js';
import { Refusals, type RefusedFile } from './refusals.js';
import { Steps, type OnProgress } from '../progress.js';

export interface ConvertRequest {
  /** Font files, archives, folders or globs. */
  fonts: readonly string[];
  /** What paths start from, and how they are shown. */
  folder: string;
  formats: readonly FontFormat[];
  /** The folder to write to. */
  out: string;
  /** Of a collection only this face: its number from 1, or its name. */
  face?: string | undefined;
  /** How far a curve may stray where CFF outlines become TrueType, in parts of the em. */
  tolerance?: number;
  /** Whether to search for the smallest WOFF. */
  smallest?: boolean;
  /** A stylesheet to write that declares them. */
  css?: string | undefined;
}

export interface ConvertResult {
  conversionVersion: 1;
  conversions: Conversion[];
  /** Files that could not be used; the others were. */
  refused: RefusedFile[];
  /** Licence texts of archives that were written beside the fonts. */
  licences: string[];
  /** `@font-face` rules, ready to paste: for a stylesheet beside the fonts, or for `css`. */
  rules: string;
}

export interface Conversion {
  /** As the user would write it. */
  input: string;
  inputFormat: FontFormat;
  inputBytes: number;
  /** What CSS sees of it. */
  face: RuleFace;
  outputs: ConvertedFile[];
}

export interface ConvertedFile {
  /** As the user would write it. */
  path: string;
  format: FontFormat;
  bytes: number;
  /** What of the source it doesn't carry. */
  findings: Finding[];
  /** Of outlines that were drawn anew. */
  points?: { before: number; after: number };
}

/** With the content of each output, which is written last. */
interface Made extends Omit<Conversion, 'outputs'> {
  outputs: (Omit<ConvertedFile, 'bytes'> & { bytes: Uint8Array })[];
}

/**
 * Converts fonts without loss, but for what the formats can't hold. A file that can't be read is told, and the others are converted;
 * nothing is written before all of them are.
 *
 * @throws DenseGlyphError with the file named, where none is left
 * @example await convert({ fonts: ['fonts'], folder: process.cwd(), formats: ['woff2'], out: 'type' });
 */
export async function convert(request: ConvertRequest, progress?: OnProgress): Promise<ConvertResult> {
  const { folder } = request;
  const paths = await fontPaths(request.fonts, folder);
  const order: Order = {
    ...request,
    out: resolve(folder, request.out),
    writeOptions: {
      alone: paths.length === 1,
      ...(request.tolerance === undefined ? {} : { tolerance: request.tolerance }),
    },
  };
  const taken: TakenPaths = new Map(paths.map((path) => [path, relative(folder, path) || path]));
  const licences = new LicenceFiles();
  const steps = new Steps('converting', paths.map(sizeOfFile), progress);
  const refusals = new Refusals();
  const made = await atOnce(
    paths,
    sizeOfFile,
    async (path) => {
      const item = relative(folder, path) || path;
      steps.begin(item);
      const converted: Made[] = [];
      const files = (await refusals.unless(() => readFontFiles(path, folder))) ?? [];
      for (const file of files) {
        const its = await refusals.unless(() => convertFile(file, order));
        if (its) licences.add(file.licenceTexts ?? [], path);
        converted.push(...(its ?? []));
      }
      steps.end(sizeOfFile(path));
      return converted;
    },
    processors(),
  );
  const conversions = made.flat();
  const refused = refusals.told(conversions.length > 0);
  for (const { input, outputs } of conversions) {
    takePaths(
      taken,
      input,
      outputs.map(({ path }) => path),
      'convert them one by one',
    );
  }
  const { writeWhole } = await import('../../io/write-whole.js');
  for (const { outputs } of conversions) {
    for (const { path, bytes } of outputs) writeWhole(path, bytes);
  }
  const texts = licences.write(order.out);
  const told = conversions.map(({ outputs, ...conversion }) => ({
    ...conversion,
    outputs: outputs.map((output) => ({
      ...output,
      path: relative(folder, output.path) || output.path,
      bytes: output.bytes.length,
    })),
  }));
  const rules = rulesToPaste(told, folder, request.css ?? join(request.out, 'fonts.css'));
  if (request.css !== undefined) writeWhole(resolve(folder, request.css), rules);
  return {
    conversionVersion: 1,
    conversions: told,
    refused,
    rules,
    licences: texts.map((path) => relative(folder, path) || path),
  };
}

interface Order extends ConvertRequest {
  writeOptions: WriteOptions;
}

/** One conversion for a font, and one for each face of a collection that is asked for. */
async function convertFile(file: NamedFile, order: Order): Promise<Made[]> {
  const { path, bytes } = file;
  const faces = inFile(path, () => chooseFaces(openFile(file), order.face));
  const made: Made[] = [];
  for (const face of faces) {
    const whole = face.alone && order.face === undefined;
    made.push({
      input: whole ? path : `${path}, face ${face.number}`,
      inputFormat: face.format,
      inputBytes: whole ? bytes.length : face.size,
      face: ruleFaceOf(face.font),
      outputs: await convertFace(face, whole ? basename(path, extname(path)) : face.fileName, path, order),
    });
  }
  return made;
}

async function convertFace(
  opened: NamedFace,
  name: string,
  path: string,
  order: Order,
): Promise<Made['outputs']> {
  const outputs: Made['outputs'] = [];
  for (const format of order.formats) {
    const { dropped, ...written } =
      format === 'woff' && order.smallest
        ? await (await import('../../kit/smallest-woff.js')).smallestWoff(opened.font)
        : await inFile(path, () => writeFont(opened.font, format, order.writeOptions));
    const output = join(order.out, `${name}.${format}`);
    const findings = leftOut([...opened.dropped, ...dropped], { file: path });
    outputs.push({ path: output, format, ...written, findings });
  }
  return outputs;
}
