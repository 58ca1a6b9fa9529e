// OpenType: The TrueType Instruction Set; Compact Font Format

import { drawCff, hasCff, readCff } from '../outlines/cff.js';
import { Outline } from '../outlines/outline.js';
import type { Font } from '../sfnt/font.js';
import * as glyf from '../tables/glyf.js';

export interface Hinting {
  /**
   * `none`; `smoothing`: one program for the whole font, which only sets how edges are smoothed; `automatic`: every
   * glyph runs the same few instructions; `by hand`: glyphs have instructions of their own; `stems`: CFF stem hints,
   * which don't tell who set them.
   */
  kind: 'none' | 'smoothing' | 'automatic' | 'by hand' | 'stems';
  /** Bytes of fpgm, prep and cvt; instructions of glyphs are part of glyf. */
  bytes: number;
}

/** Glyphs that are looked at, spread over the font. */
const sampleSize = 240;
/** Programs written by tools call one function with numbers; by hand or by an editor they use dozens. */
const fewInstructions = 10;

/** @throws DenseGlyphError `table-damaged` */
export function hintingOf(font: Font): Hinting {
  const bytes = ['fpgm', 'prep', 'cvt '].reduce(
    (sum, tag) => sum + (font.has(tag) ? font.bytesOf(tag).length : 0),
    0,
  );
  if (font.has(glyf.tag)) return { kind: trueTypeHinting(font), bytes };
  if (hasCff(font)) return { kind: hasStemHints(font) ? 'stems' : 'none', bytes };
  return { kind: 'none', bytes };
}

function* spread(count: number): Generator<number> {
  const step = Math.max(1, Math.floor(count / sampleSize));
  for (let glyphId = 0; glyphId < count; glyphId += step) yield glyphId;
}

function trueTypeHinting(font: Font): Hinting['kind'] {
  const table = font.table(glyf);
  const used = new Set<number>();
  let hinted = 0;
  for (const glyphId of spread(table.offsets.length - 1)) {
    const program = glyf.instructionsOf(table, glyphId);
    if (program.length === 0) continue;
    hinted++;
    for (const instruction of instructionsIn(program)) used.add(instruction);
  }
  if (hinted > 0) return used.size <= fewInstructions ? 'automatic' : 'by hand';
  return font.has('prep') ? 'smoothing' : 'none';
}

/** The instructions of a program, without those that only push numbers. */
function* instructionsIn(program: Uint8Array): Generator<number> {
  for (let at = 0; at < program.length;) {
    const code = program[at++];
    if (code === 0x40)
      at += 1 + program[at]; // NPUSHB
    else if (code === 0x41)
      at += 1 + program[at] * 2; // NPUSHW
    else if (code >= 0xb0 && code <= 0xb7)
      at += code - 0xb0 + 1; // PUSHB
    else if (code >= 0xb8 && code <= 0xbf)
      at += (code - 0xb8 + 1) * 2; // PUSHW
    else yield code;
  }
}

function hasStemHints(font: Font): boolean {
  const cff = readCff(font);
  for (const glyphId of spread(Math.min(cff.charStrings.count, 2000))) {
    if (drawCff(cff, glyphId, new Outline()).stems > 0) return true;
  }
  return false;
}
