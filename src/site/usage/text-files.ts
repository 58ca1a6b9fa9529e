import { extname } from 'node:path';
import { DenseGlyphError } from '../../errors.js';
import { decodedText } from '../html/encoding.js';

/**
 * The text of a file that isn't a page: all of a text file or of Markdown, the strings of JSON.
 *
 * @param path tells the kind by its extension
 * @throws DenseGlyphError `file-unreadable` for JSON that isn't, and for files that aren't text
 */
export async function textOf(path: string, bytes: Uint8Array): Promise<string> {
  const text = decodedText(path, bytes);
  switch (extname(path).toLowerCase()) {
    case '.md':
    case '.markdown':
    case '.mdx': {
      // It may hold HTML and character references; what it writes plainly is drawn anyhow. The library for HTML takes
      // longer to load than most texts to read.
      const { textsWithin } = await import('../html/document.js');
      return [text, ...textsWithin(text)].join('\n');
    }
    case '.json':
    case '.webmanifest':
      return jsonText(path, text);
    default:
      return text;
  }
}

function jsonText(path: string, text: string): string {
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    throw new DenseGlyphError(
      'file-unreadable',
      'it is not JSON',
      { file: path },
      'correct it, or name it .txt',
    );
  }
  const pieces: string[] = [];
  const waiting = [value];
  while (waiting.length > 0) {
    const item = waiting.pop();
    if (typeof item === 'string') pieces.push(item);
    else if (typeof item === 'object' && item !== null)
      for (const part of Object.values(item)) waiting.push(part);
  }
  return pieces.join('\n');
}
