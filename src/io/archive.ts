// ZIP (PKWARE APPNOTE 6.3)

import { crc32 } from 'node:zlib';
import { fromBufferPromise, type Entry, type ZipFile } from 'yauzl';
import { isFontFile } from '../core/containers/index.js';
import { maximumFontSize } from '../core/containers/formats.js';
import { DenseGlyphError } from '../errors.js';
import { isLicenceText } from './licence-texts.js';
import type { NamedFile } from '../core/source/named-file.js';

/** Nothing is unpacked to disk: the paths inside only serve to name the files. */
export interface Archive {
  fonts: NamedFile[];
  licenceTexts: NamedFile[];
}

/** Download pages put some hundred files into an archive; more than this is no family of fonts. */
const maximumEntries = 20_000;
/** Bytes of everything that is unpacked from one archive: several large families. */
const maximumTotal = 512 * 1024 * 1024;
/** Bytes of a licence text; what is larger is something else. */
const maximumTextSize = 4 * 1024 * 1024;

/** Whether a file is a ZIP archive, also an empty one. */
export function isArchive(bytes: Uint8Array): boolean {
  return (
    bytes.length >= 22 &&
    bytes[0] === 0x50 &&
    bytes[1] === 0x4b &&
    ((bytes[2] === 3 && bytes[3] === 4) || (bytes[2] === 5 && bytes[3] === 6))
  );
}

/**
 * The fonts of an archive, told by their content, and the licence texts beside them.
 *
 * @throws DenseGlyphError `archive-damaged`, `archive-unsafe`, `format-unsupported` for encrypted files,
 *   `file-unreadable` where no font is in it
 */
export async function readArchive(bytes: Uint8Array): Promise<Archive> {
  const archive: Archive = { fonts: [], licenceTexts: [] };
  let total = 0;
  let nested: string | undefined;
  try {
    const zip = await fromBufferPromise(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.length), {
      strictFileNames: false,
    });
    if (zip.entryCount > maximumEntries) throw unsafe(`it lists ${zip.entryCount} files`);
    for await (const entry of zip.eachEntry()) {
      const path = entry.fileName;
      if (path.endsWith('/') || path.startsWith('__MACOSX/')) continue;
      if (entry.isEncrypted()) throw encrypted(path);
      const content = await readEntry(zip, entry);
      if (!content) continue;
      total += content.length;
      if (total > maximumTotal) throw unsafe(`its files come to over ${maximumTotal} bytes`);
      if (isLicenceText(path)) archive.licenceTexts.push({ path, bytes: content });
      else if (isArchive(content)) nested = path;
      else archive.fonts.push({ path, bytes: content });
    }
  } catch (cause) {
    throw asOurs(cause);
  }
  if (archive.fonts.length === 0) {
    const advice = nested ? `unpack ${nested}, which is an archive itself` : 'look for the fonts elsewhere';
    throw new DenseGlyphError('file-unreadable', 'there is no font in the archive', {}, advice);
  }
  const byPath = (a: NamedFile, b: NamedFile) => (a.path < b.path ? -1 : 1);
  archive.fonts.sort(byPath);
  archive.licenceTexts.sort(byPath);
  return archive;
}

/** The content of a font, licence text or inner archive; undefined for anything else, of which only the start is read. */
async function readEntry(zip: ZipFile, entry: Entry): Promise<Uint8Array | undefined> {
  const isText = isLicenceText(entry.fileName);
  if (isText && entry.uncompressedSize > maximumTextSize) return undefined;
  const stream = await zip.openReadStreamPromise(entry);
  const chunks: Buffer[] = [];
  let size = 0;
  let known = isText;
  for await (const chunk of stream as AsyncIterable<Buffer>) {
    chunks.push(chunk);
    size += chunk.length;
    if (!known && size >= 48) {
      const start = Buffer.concat(chunks);
      if (isArchive(start)) return start; // leaving the loop ends the stream
      if (!isFontFile(start)) return undefined;
      if (entry.uncompressedSize > maximumFontSize) {
        throw unsafe(`${entry.fileName} claims ${entry.uncompressedSize} bytes`);
      }
      known = true;
    }
  }
  if (!known) return undefined;
  const content = Buffer.concat(chunks);
  if (crc32(content) !== entry.crc32)
    throw new DenseGlyphError('archive-damaged', `${entry.fileName} is not what its checksum says`);
  return content;
}

function unsafe(reason: string): DenseGlyphError {
  return new DenseGlyphError('archive-unsafe', reason);
}

function encrypted(path: string): DenseGlyphError {
  const advice = 'unpack it with its password and give the folder';
  return new DenseGlyphError('format-unsupported', `${path} in the archive is encrypted`, {}, advice);
}

/** Errors of yauzl and zlib are plain ones; those about file names mean that unpacking would write elsewhere. */
function asOurs(cause: unknown): unknown {
  const { name, message } = cause as Error;
  if (cause instanceof DenseGlyphError || name !== 'Error') return cause;
  if (/relative path|absolute path|invalid characters/.test(message)) return unsafe(message);
  if (/unsupported compression method/.test(message)) {
    return new DenseGlyphError('format-unsupported', message, {}, 'unpack it and give the folder');
  }
  const reason = message.replace(/\.?$/, '');
  return new DenseGlyphError('archive-damaged', `the archive cannot be read (${reason})`);
}
