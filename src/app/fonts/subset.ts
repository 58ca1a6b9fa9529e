import { leftOut, type Finding } from '../../findings.js';
import { basename, extname, join, relative, resolve } from 'node:path';
import { isCollection, type FontFormat } from '../../core/containers/index.js';
import { chooseFaces, openFile, type NamedFile } from '../../core/source/index.js';
import type { FeatureChoice } from '../../core/subset/features.js';
import type { RequestedLanguage } from '../../core/text/requested-language.js';
import { inFile } from '../../errors.js';
import { fontPaths, readFontFiles } from '../../io/font-files.js';
import { processors } from '../../io/processors.js';
import { atOnce } from '../../kit/at-once.js';
import type { SubsetFile, SubsetTask } from '../../kit/subset-file.js';
import type { DrawnBesides, RequestedFeatures } from '../../site/usage/styled-files.js';
import { takePaths, type TakenPaths } from './collisions.js';
import { LicenceFiles } from './licence-files.js';
import { rangesOf, unicodeRangeText } from '../../core/text/unicode-ranges.js';
import { rulesToPaste } from './paste-rules.js';
import { Refusals, type RefusedFile } from './refusals.js';
import { Steps, type OnProgress } from '../progress.js';
import { wantedBy, type WantedText } from './wanted-text.js';

export interface SubsetRequest extends WantedText {
  /** Font files, archives, folders or globs. */
  fonts: readonly string[];
  /** What paths start from, and how they are shown. */
  folder: string;
  /** The folder to write to. */
  out: string;
  formats: readonly FontFormat[];
  /** Besides those that browsers apply and pages turn on. */
  features?: FeatureChoice | undefined;
  hinting?: 'keep' | 'drop';
  /** Whether to try other orders of glyphs as well, and to write outlines as short as the formats allow. */
  smallest?: boolean;
  /** Of a collection only this face: its number from 1, or its name. */
  face?: string | undefined;
  /** A stylesheet to write that declares them. */
  css?: string | undefined;
}

export interface SubsetResult {
  subsetVersion: 1;
  /** How many characters were asked for. */
  wanted: number;
  languages: readonly RequestedLanguage[];
  /** Features that pages turn on, with the files that do. */
  turnedOn: Record<string, readonly string[]>;
  /** What pages draw besides their text. */
  besides: readonly DrawnBesides[];
  subsets: CutFont[];
  /** Files that could not be used; the others were. */
  refused: RefusedFile[];
  /** Licence texts of archives, and long ones of fonts, that were written beside them. */
  licences: string[];
  /** `@font-face` rules, ready to paste: for a stylesheet beside the fonts, or for `css`. */
  rules: string;
  /** Whether a font lacks a character of the texts, or a letter of the languages. */
  fallsShort: boolean;
}

/** A face that was cut down. */
export interface CutFont extends Omit<SubsetFile, 'outputs' | 'licenceText' | 'dropped'> {
  /** As the user would write it. */
  input: string;
  inputBytes: number;
  /** What of it the cut does without. */
  leftOut: Finding[];
  outputs: { path: string; format: FontFormat; bytes: number; findings: Finding[] }[];
}

/**
 * Cuts fonts down to what text needs. A file that can't be read is told, and the others are cut down; nothing is written before all of
 * them are.
 *
 * @throws DenseGlyphError with the file named, where none is left
 * @example await subset({ fonts: ['fonts'], folder: process.cwd(), out: 'type', formats: ['woff2'], languages: ['en'] });
 */
export async function subset(request: SubsetRequest, progress?: OnProgress): Promise<SubsetResult> {
  const { folder, formats } = request;
  const out = resolve(folder, request.out);
  const wanted = await wantedBy(request, folder);
  const shared = {
    formats,
    characters: wanted.characters,
    optional: wanted.besides,
    marks: wanted.marks,
    named: request.features === 'all' ? [] : (request.features?.keep ?? []),
    features: withRequested(request.features, wanted.turnedOn),
    hinting: request.hinting ?? 'drop',
    smallest: request.smallest === true,
  };
  const licences = new LicenceFiles();
  const tasks: Omit<SubsetTask, 'alone'>[] = [];
  const made: { input: string; inputBytes: number; paths: string[] }[] = [];
  const fonts = await fontPaths(request.fonts, folder);
  const taken: TakenPaths = new Map(fonts.map((path) => [path, relative(folder, path) || path]));
  const refusals = new Refusals();
  for (const path of fonts) {
    for (const file of (await refusals.unless(() => readFontFiles(path, folder))) ?? []) {
      licences.add(file.licenceTexts ?? [], path);
      const faces = await refusals.unless(() => Promise.resolve().then(() => facesIn(file, request.face)));
      for (const { name, face, ...input } of faces ?? []) {
        tasks.push({ path: file.path, bytes: file.bytes, face, ...shared });
        const paths = formats.map((format) => join(out, `${name}.${format}`));
        takePaths(taken, input.input, paths, 'cut them down one by one');
        made.push({ ...input, paths });
      }
    }
  }
  const { makeSubset } = await import('../../kit/subset-file.js');
  const steps = new Steps(
    'cutting down',
    tasks.map(({ bytes }) => bytes.length),
    progress,
  );
  const cut = await atOnce(
    tasks,
    ({ bytes }) => bytes.length,
    async (task) => {
      steps.begin(task.path);
      const subset = await refusals.unless(() =>
        makeSubset({ ...task, alone: fonts.length === 1 && tasks.length === 1 }),
      );
      steps.end(task.bytes.length);
      return subset;
    },
    processors(),
  );
  const subsets = cut.flatMap((subset, i) => (subset ? [{ ...made[i], subset }] : []));
  const refused = refusals.told(subsets.length > 0);
  const { writeWhole } = await import('../../io/write-whole.js');
  for (const { paths, subset } of subsets) {
    for (const [k, { bytes }] of subset.outputs.entries()) writeWhole(paths[k], bytes);
    if (subset.licenceText !== undefined)
      licences.addInner(subset.licenceText, basename(paths[0], extname(paths[0])));
  }
  const texts = licences.write(out);
  const rules = rulesToPaste(
    subsets.map(({ input, paths, subset }) => ({
      input,
      face: subset.face,
      outputs: paths.map((path, k) => ({ path, format: formats[k] })),
      unicodeRange: unicodeRangeText(rangesOf(drawnBy(subset.characters))),
    })),
    folder,
    request.css ?? join(request.out, 'fonts.css'),
  );
  if (request.css !== undefined) writeWhole(resolve(folder, request.css), rules);
  return {
    subsetVersion: 1,
    rules,
    wanted: wanted.characters.size,
    languages: wanted.languages,
    turnedOn: Object.fromEntries(wanted.turnedOn),
    besides: wanted.besides,
    refused,
    subsets: subsets.map(
      ({ paths, subset: { outputs, licenceText: _, dropped, ...about }, ...input }): CutFont => {
        const place = { file: input.input };
        return {
          ...input,
          ...about,
          leftOut: leftOut(dropped, place),
          outputs: outputs.map(({ format, bytes, dropped: lost }, k) => ({
            path: relative(folder, paths[k]) || paths[k],
            format,
            bytes: bytes.length,
            findings: leftOut(lost, place),
          })),
        };
      },
    ),
    licences: texts.map((path) => relative(folder, path) || path),
    fallsShort: subsets.some(({ subset }) =>
      subset.characters.missing.some((character) => wanted.needed.has(character)),
    ),
  };
}

/** All that a font that was cut down draws. */
const drawnBy = ({ had, optional, companions }: SubsetFile['characters']): number[] =>
  [...had, ...optional, ...companions].sort((a, b) => a - b);

/** A face to cut down: which one of its file from 0, its name for files, and how the report calls it. */
interface FaceInput {
  input: string;
  inputBytes: number;
  face: number;
  name: string;
}

/** Only collections are opened for it: to open a WOFF2 takes as long as to cut it down. */
function facesIn(file: NamedFile, wanted: string | undefined): FaceInput[] {
  const { path, bytes } = file;
  const whole = { input: path, inputBytes: bytes.length, face: 0, name: basename(path, extname(path)) };
  if (wanted === undefined && !isCollection(bytes)) return [whole];
  const faces = openFile(file);
  if (wanted === undefined && faces.length === 1) return [whole];
  return inFile(path, () => chooseFaces(faces, wanted)).map(({ number, fileName, size }) => ({
    input: `${path}, face ${number}`,
    inputBytes: size,
    face: number - 1,
    name: fileName,
  }));
}

/** Pages turn features on, but the call has the last word. */
function withRequested(
  choice: FeatureChoice | undefined,
  turnedOn: RequestedFeatures,
): FeatureChoice | undefined {
  if (choice === 'all' || turnedOn.size === 0) return choice;
  return { keep: [...turnedOn.keys(), ...(choice?.keep ?? [])], leave: choice?.leave ?? [] };
}
