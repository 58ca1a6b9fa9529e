import { extname } from 'node:path';
import { parse, type DefaultTreeAdapterTypes } from 'parse5';
import { DenseGlyphError } from '../core/errors.js';
import type { FileKind } from './sources.js';

type Node = DefaultTreeAdapterTypes.Node;

/** Files whose text `--chars-from` takes from a folder. */
export const textFiles: FileKind = {
  extensions: ['html', 'htm', 'xhtml', 'md', 'markdown', 'mdx', 'json', 'txt'],
  noun: 'text file',
};

/** Attributes whose value a browser draws. */
const drawnAttributes: ReadonlySet<string> = new Set(['alt', 'label', 'placeholder', 'title', 'value']);
const notDrawn: ReadonlySet<string> = new Set(['script', 'style', 'meta', 'link']);

/**
 * The text that a file would draw: all of a text file, what HTML and Markdown show, the strings of JSON and CSS.
 *
 * @param path tells the kind by its extension
 * @throws DenseGlyphError `file-unreadable` for JSON that isn't, and for files that aren't text
 */
export async function textOf(path: string, bytes: Uint8Array): Promise<string> {
  const text = decoded(path, bytes);
  switch (extname(path).toLowerCase()) {
    case '.html':
    case '.htm':
    case '.xhtml':
      return htmlText(text);
    case '.md':
    case '.markdown':
    case '.mdx':
      // Markdown may hold character references; what it writes plainly is drawn anyhow.
      return `${text}\n${htmlText(text)}`;
    case '.css': {
      // Its library takes longer to load than most texts to read.
      const { stringsOf } = await import('../site/css-tokens.js');
      return stringsOf(text).join('\n');
    }
    case '.json':
    case '.webmanifest':
      return jsonText(path, text);
    default:
      return text;
  }
}

function decoded(path: string, bytes: Uint8Array): string {
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

function htmlText(html: string): string {
  const pieces: string[] = [];
  const waiting: Node[] = [parse(html)];
  for (let node = waiting.pop(); node; node = waiting.pop()) {
    if ('value' in node && node.nodeName === '#text') pieces.push(node.value);
    if (!('childNodes' in node) || notDrawn.has(node.nodeName)) continue;
    if ('attrs' in node) {
      for (const { name, value } of node.attrs) if (drawnAttributes.has(name)) pieces.push(value);
    }
    waiting.push(...node.childNodes);
  }
  return pieces.join('\n');
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
