import { DenseGlyphError } from '../../errors.js';

/** Unicode's marks of the order of bytes, by encoding. */
const marks = { 'utf-16le': [0xff, 0xfe], 'utf-16be': [0xfe, 0xff] } as const;

/**
 * @param path as the user would name it
 * @throws DenseGlyphError `file-unreadable` for what is neither UTF-8 nor UTF-16 with its mark
 */
export function decodedText(path: string, bytes: Uint8Array): string {
  return decodedFrom(markedEncoding(bytes) ?? 'utf-8', path, bytes, 'save it as UTF-8');
}

/** Bytes that a page may name its encoding in (HTML, 13.2.3.2 Determining the character encoding). */
const namedWithin = 1024;
/** Most pages name UTF-8, or nothing, and the library takes longer to load than most pages to read. */
const namesAnother = /charset\s*=\s*["']?\s*(?!utf-?8)\w/i;

/**
 * The text of a page as browsers read it: by the encoding that its server or it names, else as UTF-8 where it is that, else as
 * windows-1252. What is not in its encoding comes out as U+FFFD.
 *
 * @param charset that the server names; it counts more than what the page says
 */
export async function decodedPage(bytes: Uint8Array, charset?: string): Promise<string> {
  return decodedBy(await pageDecoder(bytes, charset), bytes);
}

/** The encoding that browsers read a page in, as the Encoding Standard calls it. */
export async function pageEncoding(bytes: Uint8Array, charset?: string): Promise<string> {
  return (await pageDecoder(bytes, charset)).encoding;
}

async function pageDecoder(
  bytes: Uint8Array,
  charset: string | undefined,
): Promise<InstanceType<typeof TextDecoder>> {
  const stated = markedEncoding(bytes) ?? charset;
  if (stated !== undefined) return decoderFor(stated) ?? new TextDecoder('windows-1252');
  const start = Buffer.from(bytes.subarray(0, namedWithin)).toString('latin1');
  // The library doesn't know those, whose bytes read as ASCII and mean something else.
  const unusual = /<meta\b[^>]*charset\s*=\s*["']?\s*((?:cs)?iso-?2022-?[\w-]+)/i.exec(start)?.[1];
  if (unusual !== undefined) return decoderFor(unusual) ?? new TextDecoder('windows-1252');
  if (namesAnother.test(start)) {
    const { default: encodingOf } = await import('html-encoding-sniffer');
    return (
      decoderFor(encodingOf(bytes, { defaultEncoding: isUtf8(bytes) ? 'utf-8' : 'windows-1252' })) ??
      new TextDecoder('windows-1252')
    );
  }
  const isNamed = /charset\s*=\s*["']?\s*utf-?8/i.test(start);
  return isNamed || isUtf8(bytes) ? new TextDecoder() : new TextDecoder('windows-1252');
}

function isUtf8(bytes: Uint8Array): boolean {
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    return true;
  } catch {
    return false;
  }
}

/**
 * A page of which browsers don't know the encoding, as they read it then (HTML, section 13.2.3.2, step 9); undefined where it
 * is named, or makes no difference.
 */
export function asUnnamedEncoding(bytes: Uint8Array): string | undefined {
  const start = Buffer.from(bytes.subarray(0, namedWithin)).toString('latin1');
  if (markedEncoding(bytes) || /charset\s*=/i.test(start)) return undefined;
  const isPlain = bytes.every((byte) => byte < 0x80);
  return isPlain ? undefined : decodedBy(new TextDecoder('windows-1252'), bytes);
}

/**
 * The text of a stylesheet, by its `@charset` (CSS Syntax 3, section 3.2). What is not in its encoding comes out as U+FFFD,
 * as in browsers.
 */
export function decodedStylesheet(bytes: Uint8Array): string {
  const start = Buffer.from(bytes.subarray(0, namedWithin)).toString('latin1');
  // What reads as ASCII can't be UTF-16, whatever it says.
  const named = /^@charset "(?!utf-16|UTF-16)([^"]*)";/.exec(start)?.[1];
  return decodedBy(decoderFor(markedEncoding(bytes) ?? named) ?? new TextDecoder(), bytes);
}

function markedEncoding(bytes: Uint8Array): keyof typeof marks | undefined {
  const names = Object.keys(marks) as (keyof typeof marks)[];
  return names.find((name) => marks[name].every((byte, i) => bytes[i] === byte));
}

function decodedFrom(encoding: string, path: string, bytes: Uint8Array, advice: string): string {
  try {
    return decodedBy(new TextDecoder(encoding, { fatal: true }), bytes);
  } catch {
    const reason = `it is not text in ${encoding.toUpperCase()}`;
    throw new DenseGlyphError('file-unreadable', reason, { file: path }, advice);
  }
}

/** @param label as CSS and HTML name encodings (Encoding Standard, section 4.2) */
function decoderFor(label = 'utf-8') {
  try {
    return new TextDecoder(label);
  } catch {
    return undefined;
  }
}

/** What Windows put where ISO 8859-1 has controls. Node up to version 23 decodes the one as the other. */
const windowsSigns = '€\x81‚ƒ„…†‡ˆ‰Š‹Œ\x8dŽ\x8f\x90‘’“”•–—˜™š›œ\x9džŸ';

function decodedBy(decoder: InstanceType<typeof TextDecoder>, bytes: Uint8Array): string {
  const text = decoder.decode(bytes);
  if (decoder.encoding !== 'windows-1252') return text;
  return text.replace(/[\x80-\x9f]/g, (control) => windowsSigns[control.charCodeAt(0) - 0x80]);
}
