import { DenseGlyphError } from '../core/errors.js';

/**
 * @param path as the user would name it
 * @throws DenseGlyphError `file-unreadable` for what is neither UTF-8 nor UTF-16 with its mark
 */
export function decodedText(path: string, bytes: Uint8Array): string {
  const encoding = bytes[0] === 0xff && bytes[1] === 0xfe ? 'utf-16le' : 'utf-8';
  try {
    return new TextDecoder(encoding, { fatal: true }).decode(bytes);
  } catch {
    throw new DenseGlyphError(
      'file-unreadable',
      'it is not text in UTF-8',
      { file: path },
      'save it as UTF-8',
    );
  }
}
