import { acceptableFont } from '#src/core/containers/acceptable.js';
import { openFont, writeFont, type FontFormat } from '#src/core/containers/index.js';
import type { Outline } from '#src/core/outlines/index.js';
import { outlinesOf, segment, coordinatesOf } from '#src/core/outlines/index.js';
import type { Font } from '#src/core/sfnt/font.js';
import { writeSfnt } from '#src/core/sfnt/write.js';
import { glyf, head, hmtx } from '#src/core/tables/index.js';

/** What became of one font in all formats: problems in words, and the files that were made. */
export interface Conversions {
  problems: string[];
  made: Map<FontFormat, Uint8Array>;
  /** glyf came back byte for byte. */
  glyfAsItWas: boolean;
}

/** Tables that WOFF2 may pack anew, mark or drop. */
const changing = new Set(['glyf', 'loca', 'head', 'DSIG']);

/** Takes a font to every format that it can have and back, and compares what comes back. */
export async function convertEverywhere(source: Font): Promise<Conversions> {
  // What browsers refuse without need is mended on the way; that is no difference.
  const { font } = acceptableFont(source, 'woff2');
  const problems: string[] = [];
  const made = new Map<FontFormat, Uint8Array>();
  const attempt = async (format: FontFormat, check: (bytes: Uint8Array) => void | Promise<void>) => {
    try {
      const { bytes } = await writeFont(font, format);
      made.set(format, bytes);
      await check(bytes);
    } catch (cause) {
      problems.push(`${format}: ${cause instanceof Error ? cause.message : String(cause)}`);
    }
  };
  let glyfAsItWas = true;
  await attempt('woff2', async (bytes) => {
    const again = openFont(bytes).font;
    const different = differing(font, again);
    glyfAsItWas = !different.includes('glyf');
    problems.push(...different.filter((tag) => !changing.has(tag)).map((tag) => `woff2: ${tag} differs`));
    if (font.has('glyf')) problems.push(...comparedGlyphs(font, again));
    const flags = font.table(head).flags | head.losslessTransformFlag;
    if (again.table(head).flags !== flags) problems.push('woff2: head.flags differ');
    const back = openFont(writeSfnt(again)).font;
    if (Buffer.compare((await writeFont(back, 'woff2')).bytes, bytes) !== 0)
      problems.push('woff2: not stable');
  });
  await attempt('woff', (bytes) => {
    problems.push(...differing(font, openFont(bytes).font).map((tag) => `woff: ${tag} differs`));
  });
  if (font.flavour === 'truetype') {
    await attempt('eot', (bytes) => {
      problems.push(...differing(font, openFont(bytes).font).map((tag) => `eot: ${tag} differs`));
    });
  } else if (!font.has('fvar')) {
    for (const format of ['ttf', 'eot'] as const) {
      await attempt(format, (bytes) => {
        problems.push(...comparedOutlines(font, openFont(bytes).font));
      });
    }
  }
  if (font.has('glyf') || font.has('CFF ') || font.has('CFF2')) await attempt('svg', () => undefined);
  return { problems, made, glyfAsItWas };
}

/** Tables that two fonts don't share byte by byte; checksums in head are computed anew in every file. */
function differing(a: Font, b: Font): string[] {
  const bytesOf = (font: Font, tag: string) => {
    const bytes = new Uint8Array(font.bytesOf(tag));
    if (tag === 'head') bytes.fill(0, 8, 12);
    return bytes;
  };
  return [...new Set([...a.tags, ...b.tags])].filter(
    (tag) => !a.has(tag) || !b.has(tag) || Buffer.compare(bytesOf(a, tag), bytesOf(b, tag)) !== 0,
  );
}

function comparedGlyphs(a: Font, b: Font): string[] {
  const [before, after] = [a.table(glyf), b.table(glyf)];
  for (let glyphId = 0; glyphId < before.offsets.length - 1; glyphId++) {
    const [one, other] = [glyf.glyphOf(before, glyphId), glyf.glyphOf(after, glyphId)];
    if (JSON.stringify(one, plain) !== JSON.stringify(other, plain))
      return [`woff2: glyph ${glyphId} differs`];
  }
  return [];
}

const plain = (_: string, value: unknown) =>
  ArrayBuffer.isView(value) ? Array.from(value as Uint8Array) : value;

/** Points on the curve have to stay on it, rounded to whole units, and advances have to stay what they are. */
function comparedOutlines(a: Font, b: Font): string[] {
  const [before, after] = [outlinesOf(a), outlinesOf(b)];
  const problems: string[] = [];
  for (let glyphId = 0; glyphId < before.glyphCount && problems.length < 5; glyphId++) {
    const kept = new Set(pointsOn(after.outlineOf(glyphId)));
    const lost = pointsOn(before.outlineOf(glyphId)).filter((point) => !kept.has(point));
    if (lost.length > 0)
      problems.push(`ttf: glyph ${glyphId} lost the points ${lost.slice(0, 3).join(', ')}`);
    if (hmtx.advanceOf(a.table(hmtx), glyphId) !== hmtx.advanceOf(b.table(hmtx), glyphId)) {
      problems.push(`ttf: the advance of glyph ${glyphId} differs`);
    }
  }
  return problems;
}

/** Points on the curve of contours that have an area. */
function pointsOn({ segments, coordinates }: Outline): string[] {
  const points: string[] = [];
  let contour: string[] = [];
  let at = 0;
  for (const kind of segments) {
    at += coordinatesOf[kind];
    if (kind === segment.close) {
      if (new Set(contour).size > 2) points.push(...contour);
      contour = [];
    } else contour.push(`${Math.round(coordinates[at - 2])} ${Math.round(coordinates[at - 1])}`);
  }
  return points;
}
