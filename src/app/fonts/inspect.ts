import { basename, relative, resolve } from 'node:path';
import { writeFont, type WriteOptions } from '../../core/containers/index.js';
import { familiesOf, inspectFont, type FamilyGrid } from '../../core/inspection/index.js';
import type { CoverageCache } from '../../core/inspection/index.js';
import { chooseFaces, openFile, type NamedFile, type OpenedFace } from '../../core/source/index.js';
import { DenseGlyphError, inFile } from '../../errors.js';
import { placedIn } from '../../findings.js';
import { fontPaths, licenceTextsFor, readFontFiles } from '../../io/font-files.js';
import { sizeOfFile } from '../../io/read.js';
import { processors } from '../../io/processors.js';
import { atOnce } from '../../kit/at-once.js';
import type { InspectedFont, InspectedSource } from './inspected-font.js';
import { Refusals, type RefusedFile } from './refusals.js';
import { Steps, type OnProgress } from '../progress.js';

export interface InspectRequest {
  /** Font files, archives, folders or globs. */
  fonts: readonly string[];
  /** What paths start from, and how they are shown. */
  folder: string;
  /** A config that states who allows the use of the fonts. */
  config?: string | undefined;
  /** Whether to measure the size as WOFF2: of all fonts, where it is only one, or not. */
  weigh?: 'all' | 'single' | 'none';
  /** A specimen page to write. */
  page?: string | undefined;
  /** Of collections only this face: its number from 1, or its name. */
  face?: string | undefined;
}

export interface InspectResult {
  inspectVersion: 1;
  /** Files that could not be used; the others were. */
  refused: RefusedFile[];
  fonts: InspectedFont[];
  families: FamilyGrid[];
  /** Bytes of the specimen page. */
  pageBytes?: number;
}

/** What is told while it runs. */
export interface InspectEvents {
  progress?: OnProgress;
  /** All but the sizes as WOFF2, which take longer than the rest. */
  inspected?: (result: InspectResult) => void;
}

/**
 * Describes font files. One that can't be read is told; the others are described.
 *
 * @throws DenseGlyphError with the file named, where none is left
 * @example const { fonts } = await inspect({ fonts: ['fonts'], folder: process.cwd() });
 */
export async function inspect(request: InspectRequest, events: InspectEvents = {}): Promise<InspectResult> {
  const { folder, weigh = 'none', page } = request;
  const paths = await fontPaths(request.fonts, folder);
  const rights = request.config ? await statedRights(request.config, folder) : new Map<string, string>();
  const sources: InspectedSource[] = [];
  const steps = new Steps('looking into fonts', paths.map(sizeOfFile), events.progress);
  const refusals = new Refusals();
  for (const path of paths) {
    steps.begin(relative(folder, path) || path);
    const files = (await refusals.unless(() => readFontFiles(path, folder))) ?? [];
    for (const file of files) {
      const licenceTexts = await licenceTextsFor(file, folder);
      const found = await refusals.unless(() =>
        Promise.resolve().then(() => inspectFile(file, request.face, licenceTexts, rights.get(path))),
      );
      sources.push(...(found ?? []));
    }
    steps.end(sizeOfFile(path));
  }
  const result: InspectResult = {
    inspectVersion: 1,
    refused: refusals.told(sources.length > 0),
    fonts: sources.map(({ inspected }) => inspected),
    families: familiesOf(sources.map(({ inspected: { path, face } }) => ({ path, face }))),
  };
  events.inspected?.(result);
  const isWeighed = weigh === 'all' || (weigh === 'single' && sources.length === 1);
  const woff2 = isWeighed ? await weighed(sources, events.progress) : [];
  if (page !== undefined) {
    refuseHuge(sources);
    const { specimenPage } = await import('./specimen.js');
    const { writeWhole } = await import('../../io/write-whole.js');
    const shown = isWeighed ? woff2 : await packed(sources, events.progress);
    const html = new TextEncoder().encode(specimenPage(sources, shown, result.families));
    writeWhole(resolve(folder, page), html);
    result.pageBytes = html.length;
  }
  return result;
}

/** One font, or each face of a collection. */
function inspectFile(
  file: NamedFile,
  wanted: string | undefined,
  licenceTexts: readonly NamedFile[],
  rights: string | undefined,
): InspectedSource[] {
  const decoder = new TextDecoder();
  const readable = licenceTexts.filter((text) => !/\.pdf$/i.test(text.path));
  const texts = readable.map((text) => decoder.decode(text.bytes));
  const coverage: CoverageCache = new Map();
  return inFile(file.path, () =>
    facesOf(file, wanted).map((opened): InspectedSource => {
      const { font, format, size, path, alone } = opened;
      const about = { licenceTexts: texts, coverage, ...(alone ? { fileName: basename(file.path) } : {}) };
      const { findings, ...inspection } = inspectFont(font, format, size, about);
      const inspected: InspectedFont = {
        path,
        ...inspection,
        findings: placedIn(findings, { file: path }),
        licenceTexts: licenceTexts.map((text) => text.path),
        ...(rights !== undefined ? { rights } : {}),
      };
      return { inspected, opened };
    }),
  );
}

function facesOf(file: NamedFile, wanted: string | undefined): OpenedFace[] {
  const faces = openFile(file);
  return wanted === undefined || faces[0].alone ? faces : chooseFaces(faces, wanted);
}

/** Bytes of fonts that a page may hold; browsers take long over more, and so does writing it. */
const mostPageBytes = 48e6;

/** @throws DenseGlyphError `call-invalid` */
function refuseHuge(sources: readonly InspectedSource[]): void {
  const bytes = sources.reduce((sum, { inspected }) => sum + inspected.weight.file, 0);
  if (bytes <= mostPageBytes) return;
  const reason = `--page: the page would hold ${sources.length} fonts of ${(bytes / 1e6).toFixed(0)} MB together`;
  const advice = 'name fewer fonts, or one face of a collection with --face';
  throw new DenseGlyphError('call-invalid', reason, {}, advice);
}

/** The fonts as WOFF2 for looking at, which takes a tenth of the time. */
function packed(sources: readonly InspectedSource[], progress?: OnProgress): Promise<Uint8Array[]> {
  return asWoff2('packing the page', sources, { quick: true }, progress);
}

/** The fonts as WOFF2; their sizes are noted in what was found out about them. */
async function weighed(sources: readonly InspectedSource[], progress?: OnProgress): Promise<Uint8Array[]> {
  const files = await asWoff2('measuring WOFF2', sources, {}, progress);
  for (const [i, { inspected }] of sources.entries()) inspected.woff2Bytes = files[i].length;
  return files;
}

function asWoff2(
  task: string,
  sources: readonly InspectedSource[],
  options: WriteOptions,
  progress?: OnProgress,
): Promise<Uint8Array[]> {
  const sizeOf = ({ inspected }: InspectedSource) => inspected.weight.file;
  const steps = new Steps(task, sources.map(sizeOf), progress);
  return atOnce(
    sources,
    sizeOf,
    ({ inspected, opened }) =>
      inFile(inspected.path, async () => {
        steps.begin(inspected.path);
        const { bytes } = await writeFont(opened.font, 'woff2', options);
        steps.end(inspected.weight.file);
        return bytes;
      }),
    processors(),
  );
}

/** By absolute path, who allows the use of each font that a config lists. */
async function statedRights(file: string, folder: string): Promise<Map<string, string>> {
  const { loadConfig } = await import('../../config/load.js');
  const { config, base } = await loadConfig(folder, file);
  const rights = new Map<string, string>();
  for (const family of config.families) {
    if (family.rights === undefined) continue;
    for (const path of await fontPaths(
      family.files.map((one) => (typeof one === 'string' ? one : one.file)),
      base,
    ))
      rights.set(path, family.rights);
  }
  return rights;
}
