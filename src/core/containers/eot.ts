// Embedded OpenType (EOT) File Format, W3C submission of 5 March 2008, section 4.1

import { Reader } from '../bytes/reader.js';
import { DenseGlyphError } from '../../errors.js';
import type { Font } from '../sfnt/font.js';
import { readSfnt } from '../sfnt/read.js';
import { writeSfnt } from '../sfnt/write.js';
import * as head from '../tables/head.js';
import * as name from '../tables/name.js';
import * as os2 from '../tables/os2.js';
import type { OpenedFont, WrittenFont } from './formats.js';

const magicNumber = 0x504c;
const magicOffset = 34;
const versions = { first: 0x00010000, withRootString: 0x00020001, withSignature: 0x00020002 } as const;
/** Processing flags, section 4.2. */
const flag = { compressed: 0x4, xorEncrypted: 0x10000000 } as const;
const xorKey = 0x50;
const defaultCharset = 1;

/** Whether a file is an EOT: it starts with its own length, and a magic number follows further on. */
export function isEot(bytes: Uint8Array): boolean {
  if (bytes.length < magicOffset + 2) return false;
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const version = view.getUint32(8, true);
  return (
    view.getUint16(magicOffset, true) === magicNumber && Object.values<number>(versions).includes(version)
  );
}

/** Reads the little-endian values of an EOT header. */
class LittleEndianReader extends Reader {
  override uint16(): number {
    const value = super.uint16();
    return ((value & 0xff) << 8) | (value >>> 8);
  }

  override uint32(): number {
    return this.uint16() + this.uint16() * 0x10000;
  }
}

/**
 * Opens an EOT file: the font data in it, plain or XORed.
 *
 * @throws DenseGlyphError `format-unsupported` for compressed font data, `file-cut`, and what the sfnt reader throws
 */
export function readEot(bytes: Uint8Array): OpenedFont {
  const reader = new LittleEndianReader(bytes, 'EOT header');
  const eotSize = reader.uint32();
  if (eotSize > bytes.length) {
    const reason = `the header says ${eotSize} bytes, but the file has ${bytes.length}`;
    throw new DenseGlyphError('file-cut', reason);
  }
  const fontDataSize = reader.uint32();
  const version = reader.uint32();
  const flags = reader.uint32();
  if (flags & flag.compressed) {
    const reason = 'its font data is compressed with MicroType Express, which is not read';
    throw new DenseGlyphError('format-unsupported', reason, {}, 'use the TTF, OTF or WOFF beside it');
  }
  reader.seek(magicOffset + 2).skip(44); // ranges, checksum, reserved
  const skipString = () => reader.skip(2).skip(reader.uint16());
  for (let i = 0; i < 4; i++) skipString(); // family, style, version and full name
  if (version !== versions.first) skipString(); // root string
  if (version === versions.withSignature) {
    reader.skip(8); // root string checksum and EUDC code page
    skipString(); // signature
    reader.skip(4).skip(reader.uint32()); // EUDC flags and font
  }
  if (fontDataSize > reader.remaining) {
    const reason = `the header says ${fontDataSize} bytes of font data, but ${reader.remaining} follow`;
    throw new DenseGlyphError('file-cut', reason);
  }
  const stored = reader.take(fontDataSize);
  const font = readSfnt(flags & flag.xorEncrypted ? stored.map((byte) => byte ^ xorKey) : stored);
  return { font, format: 'eot', dropped: [] };
}

/**
 * Writes a font as EOT, neither compressed nor XORed, without a root string: it may be used on any site.
 *
 * @param font with TrueType outlines, as no client of EOT draws others
 */
export function writeEot(font: Font): WrittenFont {
  const data = writeSfnt(font);
  const metrics = font.optional(os2);
  const names = font.optional(name);
  const writer = new LittleEndianBytes();
  writer.uint32(0).uint32(data.length).uint32(versions.withRootString).uint32(0);
  writer.bytes(metrics?.panose ?? new Uint8Array(10)).uint8(defaultCharset);
  const italic = metrics && metrics.fsSelection & os2.fsSelection.italic ? 1 : 0;
  writer.uint8(italic).uint32(metrics?.usWeightClass ?? 400);
  writer.uint16(metrics?.fsType ?? 0).uint16(magicNumber);
  for (let i = 1 as 1 | 2 | 3 | 4; i <= 4; i++) writer.uint32(metrics?.[`ulUnicodeRange${i}`] ?? 0);
  writer.uint32(metrics?.ulCodePageRange1 ?? 0).uint32(metrics?.ulCodePageRange2 ?? 0);
  // Of the font data as it stands here, whose checksum was computed anew.
  writer.uint32(readSfnt(data).table(head).checkSumAdjustment);
  writer.bytes(new Uint8Array(16)).uint16(0);
  const { nameID } = name;
  for (const id of [nameID.family, nameID.subfamily, nameID.version, nameID.fullName]) {
    writer.string((names && name.nameOf(names, id)) ?? '').uint16(0);
  }
  writer.string('').bytes(data); // root string
  return { bytes: writer.finished(), dropped: [] };
}

/** Gathers little-endian values; the first four bytes become the length of the whole. */
class LittleEndianBytes {
  private readonly pieces: Uint8Array[] = [];

  bytes(values: Uint8Array): this {
    this.pieces.push(values);
    return this;
  }

  uint8(value: number): this {
    return this.bytes(Uint8Array.of(value));
  }

  uint16(value: number): this {
    return this.bytes(Uint8Array.of(value & 0xff, value >>> 8));
  }

  uint32(value: number): this {
    return this.uint16(value & 0xffff).uint16(value >>> 16);
  }

  /** UTF-16LE with its length in bytes before it. */
  string(text: string): this {
    this.uint16(text.length * 2);
    for (let i = 0; i < text.length; i++) this.uint16(text.charCodeAt(i));
    return this;
  }

  finished(): Uint8Array {
    const size = this.pieces.reduce((sum, { length }) => sum + length, 0);
    const whole = new Uint8Array(size);
    let at = 0;
    for (const piece of this.pieces) {
      whole.set(piece, at);
      at += piece.length;
    }
    new DataView(whole.buffer).setUint32(0, size, true);
    return whole;
  }
}
