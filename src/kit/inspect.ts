import { basename, relative } from 'node:path';
import { openFonts, writeFont, type OpenedFont } from '../core/containers/index.js';
import { inFile } from '../core/errors.js';
import { inspectFont, type CoverageCache, type Inspection } from '../core/inspection/index.js';
import { sfntSize } from '../core/sfnt/write.js';
import type { NamedFile } from './named-file.js';

/** A font with where it was found. */
export interface InspectedFont extends Inspection {
  /** As the user would write it; faces of a collection have their number behind it. */
  path: string;
  /** Paths of the licence texts found beside it. */
  licenceTexts: string[];
  /** What the config says of the right to use it. */
  rights?: string;
  /** Bytes as WOFF2, where it was measured. */
  woff2Bytes?: number;
}

/** What was found out about a font, together with the font itself. */
export interface InspectedSource {
  inspected: InspectedFont;
  opened: OpenedFont;
}

export interface FileInspectionOptions {
  /** Texts beside the file, relative to `base` or absolute. */
  licenceTexts: readonly NamedFile[];
  rights?: string | undefined;
  /** The folder that shown paths start from. */
  base: string;
}

/**
 * Looks inside a font file: one font, or each face of a collection.
 *
 * @throws DenseGlyphError with the file named
 */
export function inspectFile({ path, bytes }: NamedFile, options: FileInspectionOptions): InspectedSource[] {
  const { licenceTexts, rights, base } = options;
  const decoder = new TextDecoder();
  const readable = licenceTexts.filter((text) => !/\.pdf$/i.test(text.path));
  const texts = readable.map((text) => decoder.decode(text.bytes));
  const coverage: CoverageCache = new Map();
  return inFile(path, () => {
    const fonts = openFonts(bytes);
    const alone = fonts.length === 1;
    return fonts.map((opened, i): InspectedSource => {
      const size = alone ? bytes.length : sfntSize(opened.font.tables());
      const about = { licenceTexts: texts, coverage, ...(alone ? { fileName: basename(path) } : {}) };
      const inspected: InspectedFont = {
        path: alone ? path : `${path}#${i + 1}`,
        ...inspectFont(opened.font, opened.format, size, about),
        licenceTexts: licenceTexts.map((text) => relative(base, text.path) || text.path),
        ...(rights !== undefined ? { rights } : {}),
      };
      return { inspected, opened };
    });
  });
}

/** The font as WOFF2; its size is noted in what was found out about it. */
export function weighed({ inspected, opened }: InspectedSource): Promise<Uint8Array> {
  return inFile(inspected.path, async () => {
    const { bytes } = await writeFont(opened.font, 'woff2');
    inspected.woff2Bytes = bytes.length;
    return bytes;
  });
}
