import { basename, relative, resolve } from 'node:path';
import { writeFont } from '../core/containers/index.js';
import { familiesOf, inspectFont, type FamilyGrid } from '../core/inspection/index.js';
import type { CoverageCache } from '../core/inspection/index.js';
import { openFile, type NamedFile } from '../core/source/index.js';
import { inFile } from '../errors.js';
import { placedIn } from '../findings.js';
import { fontPaths, licenceTextsFor, readFontFiles } from '../io/font-files.js';
import { processors } from '../io/processors.js';
import { atOnce } from '../kit/at-once.js';
import type { InspectedFont, InspectedSource } from './inspected-font.js';
import type { OnProgress } from './progress.js';

export interface InspectRequest {
  /** Font files, archives, folders or globs. */
  fonts: readonly string[];
  /** What paths start from, and how they are shown. */
  folder: string;
  /** A config that states who allows the use of the fonts. */
  config?: string | undefined;
  /** Whether to measure the size as WOFF2: of all fonts, where it is only one, or not. */
  weigh?: 'all' | 'single' | 'none';
  /** A specimen page to write, which takes the sizes too. */
  page?: string | undefined;
}

export interface InspectResult {
  inspectVersion: 1;
  fonts: InspectedFont[];
  families: FamilyGrid[];
}

/** What is told while it runs. */
export interface InspectEvents {
  progress?: OnProgress;
  /** All but the sizes as WOFF2, which take longer than the rest. */
  inspected?: (result: InspectResult) => void;
}

/**
 * Describes font files.
 *
 * @throws DenseGlyphError with the file named
 * @example const { fonts } = await inspect({ fonts: ['fonts'], folder: process.cwd() });
 */
export async function inspect(request: InspectRequest, events: InspectEvents = {}): Promise<InspectResult> {
  const { folder, weigh = 'none', page } = request;
  const paths = await fontPaths(request.fonts, folder);
  const rights = request.config ? await statedRights(request.config, folder) : new Map<string, string>();
  const sources: InspectedSource[] = [];
  for (const [i, path] of paths.entries()) {
    events.progress?.({ task: '', count: i + 1, total: paths.length, item: relative(folder, path) || path });
    for (const file of await readFontFiles(path, folder)) {
      const licenceTexts = await licenceTextsFor(file, folder);
      sources.push(...inspectFile(file, licenceTexts, rights.get(path)));
    }
  }
  const result: InspectResult = {
    inspectVersion: 1,
    fonts: sources.map(({ inspected }) => inspected),
    families: familiesOf(sources.map(({ inspected: { path, face } }) => ({ path, face }))),
  };
  events.inspected?.(result);
  const isWeighed = page !== undefined || weigh === 'all' || (weigh === 'single' && sources.length === 1);
  const woff2 = isWeighed ? await weighed(sources, events.progress) : [];
  if (page !== undefined) {
    const { specimenPage } = await import('./pages/specimen.js');
    const { writeWhole } = await import('../io/write-whole.js');
    writeWhole(resolve(folder, page), specimenPage(sources, woff2, result.families));
  }
  return result;
}

/** One font, or each face of a collection. */
function inspectFile(
  file: NamedFile,
  licenceTexts: readonly NamedFile[],
  rights: string | undefined,
): InspectedSource[] {
  const decoder = new TextDecoder();
  const readable = licenceTexts.filter((text) => !/\.pdf$/i.test(text.path));
  const texts = readable.map((text) => decoder.decode(text.bytes));
  const coverage: CoverageCache = new Map();
  return inFile(file.path, () =>
    openFile(file).map((opened): InspectedSource => {
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

/** The fonts as WOFF2; their sizes are noted in what was found out about them. */
function weighed(sources: readonly InspectedSource[], progress?: OnProgress): Promise<Uint8Array[]> {
  let started = 0;
  return atOnce(
    sources,
    ({ inspected }) => inspected.weight.file,
    ({ inspected, opened }) =>
      inFile(inspected.path, async () => {
        const task = 'measuring WOFF2';
        progress?.({ task, count: ++started, total: sources.length, item: inspected.path });
        const { bytes } = await writeFont(opened.font, 'woff2');
        inspected.woff2Bytes = bytes.length;
        return bytes;
      }),
    processors(),
  );
}

/** By absolute path, who allows the use of each font that a config lists. */
async function statedRights(file: string, folder: string): Promise<Map<string, string>> {
  const { loadConfig } = await import('../config/load.js');
  const { config, base } = await loadConfig(folder, file);
  const rights = new Map<string, string>();
  for (const family of config.families) {
    if (family.rights === undefined) continue;
    for (const path of await fontPaths(family.files, base)) rights.set(path, family.rights);
  }
  return rights;
}
