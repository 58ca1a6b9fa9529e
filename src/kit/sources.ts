import { readFile, stat } from 'node:fs/promises';
import { dirname, relative, resolve } from 'node:path';
import { escapePath, glob, isDynamicPattern } from 'tinyglobby';
import { openFonts, type OpenedFont } from '../core/containers/index.js';
import { faceStyleOf, type FaceStyle, type Finding } from '../core/css/index.js';
import { DenseGlyphError, inFile } from '../core/errors.js';
import { licenceOf, type StatedLicence } from '../core/sfnt/licence.js';
import { sfntSize } from '../core/sfnt/write.js';
import { isArchive, readArchive } from './archive.js';
import { licenceTextsAround, licenceTextsIn } from './licence-texts.js';
import type { NamedFile } from './named-file.js';

/** A font file that the user supplies, opened. */
export interface Source extends OpenedFont {
  /** As the user would name it, relative to the config; faces of a collection have their number behind it. */
  path: string;
  /** The whole file. */
  bytes: Uint8Array;
  /** Bytes of this font: the file, or the tables of one face of a collection. */
  size: number;
  face: FaceStyle;
  findings: Finding[];
  licence: StatedLicence;
  /** Texts that lie beside it. */
  licenceTexts: NamedFile[];
}

/** What a folder stands for: the files in it of one kind. */
export interface FileKind {
  /** Without the dot, in small letters. */
  extensions: readonly string[];
  /** As in `font file`. */
  noun: string;
}

const fontFiles: FileKind = {
  extensions: ['ttf', 'otf', 'ttc', 'otc', 'woff', 'woff2', 'eot', 'zip'],
  noun: 'font file',
};

/**
 * The paths that files, folders and globs stand for, sorted, each once.
 *
 * @param base the folder that relative paths start from
 * @param kind which files of a folder are meant
 * @throws DenseGlyphError `file-unreadable` for a path or pattern that stands for nothing
 */
export async function expandPaths(
  patterns: readonly string[],
  base: string,
  { extensions, noun }: FileKind = fontFiles,
): Promise<string[]> {
  const inFolder = `**/*.{${[...extensions, ...extensions.map((e) => e.toUpperCase())].join(',')}}`;
  const found = new Set<string>();
  for (const pattern of patterns) {
    const path = resolve(base, pattern);
    const info = await stat(path).catch(() => undefined);
    let matches: string[] = [];
    if (info?.isDirectory())
      matches = await glob(`${escapePath(pattern)}/${inFolder}`, { cwd: base, absolute: true });
    else if (info) matches = [path];
    else if (isDynamicPattern(pattern)) matches = await glob(pattern, { cwd: base, absolute: true });
    if (matches.length === 0) {
      const reason = info || isDynamicPattern(pattern) ? `matches no ${noun}` : 'there is no such file';
      throw new DenseGlyphError(
        'file-unreadable',
        reason,
        { file: pattern },
        'check the path; it starts from the folder of the config or of the call',
      );
    }
    for (const match of matches) found.add(match);
  }
  return [...found].sort();
}

/** @throws DenseGlyphError `file-unreadable` */
export async function readBytes(path: string, shown: string): Promise<Uint8Array> {
  try {
    return await readFile(path);
  } catch (cause) {
    throw new DenseGlyphError('file-unreadable', readingFailed(cause), { file: shown });
  }
}

function readingFailed(cause: unknown): string {
  const { code } = cause as NodeJS.ErrnoException;
  if (code === 'ENOENT') return 'there is no such file';
  if (code === 'EACCES' || code === 'EPERM') return 'it may not be read';
  if (code === 'EISDIR') return 'it is a folder';
  return `it cannot be read (${code ?? String(cause)})`;
}

/**
 * Opens a font file, or an archive of some, and says what CSS sees of each font. A collection gives a source for each
 * of its faces.
 *
 * @throws DenseGlyphError with the file named
 */
export async function readSources(path: string, base: string): Promise<Source[]> {
  const shown = relative(base, path).replaceAll('\\', '/') || path;
  const bytes = await readBytes(path, shown);
  if (!isArchive(bytes)) {
    return sourcesOf({ path: shown, bytes }, licenceTextsIn(dirname(shown), base));
  }
  const archive = await readArchive(bytes).catch((cause: unknown) => {
    throw cause instanceof DenseGlyphError ? cause.inFile(shown) : cause;
  });
  const within = (file: NamedFile): NamedFile => ({ ...file, path: `${shown}/${file.path}` });
  return archive.fonts.flatMap((file) => {
    const texts = licenceTextsAround(file.path, archive.licenceTexts);
    return sourcesOf(within(file), texts.map(within));
  });
}

function sourcesOf(file: NamedFile, licenceTexts: NamedFile[]): Source[] {
  const { path, bytes } = file;
  return inFile(path, () => {
    const fonts = openFonts(bytes);
    const alone = fonts.length === 1;
    return fonts.map((opened, i): Source => {
      const { face, findings } = faceStyleOf(opened.font);
      return {
        ...opened,
        path: alone ? path : `${path}#${i + 1}`,
        bytes,
        size: alone ? bytes.length : sfntSize(opened.font.tables()),
        face,
        findings,
        licence: licenceOf(opened.font),
        licenceTexts,
      };
    });
  });
}
