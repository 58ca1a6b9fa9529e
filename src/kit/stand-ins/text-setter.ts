import type { Font } from '../../core/sfnt/font.js';
import { Shaper } from '../../core/shaping/index.js';
import { localFonts, measuredRanges, type LocalFontData } from '../../data/local-fonts.js';
import { scriptAdvances, unpacked, type ScriptWidths } from './script-fonts.js';

/** How a text is set that widths are measured of. */
export interface SettingStyle {
  language: string;
  features?: ReadonlyMap<string, number> | undefined;
}

/** Sets text in one font. */
export interface TextSetter {
  /**
   * How far the text before each of its UTF-16 units reaches, in em, and at the end all of it.
   *
   * @returns undefined where the font lacks a character, or its script is one whose letters are reordered
   */
  reaches(text: string, style: SettingStyle): Float64Array | undefined;
}

/**
 * @param variations user coordinates by axis tag
 * @param fixed features that are on or off whatever the style says
 */
export function setterOf(
  font: Font,
  variations: Readonly<Record<string, number>> = {},
  fixed: ReadonlyMap<string, number> = new Map(),
): TextSetter {
  const shaper = new Shaper(font, variations);
  return {
    reaches: (text, { language, features = new Map() }) => {
      for (const character of text) if (!shaper.has(character.codePointAt(0)!)) return undefined;
      const glyphs = shaper.shape(text, { language, features: new Map([...features, ...fixed]) });
      if (!glyphs) return undefined;
      const advances = new Float64Array(text.length + 1);
      for (const { at, advance } of glyphs) advances[at + 1] += advance / shaper.unitsPerEm;
      return summed(advances);
    },
  };
}

/** What browsers make of capitals where a font has no small ones (CSS Fonts 4, section 6.6). */
const smallCapital = 0.7;

type LocalFace = LocalFontData['faces'][number];

/**
 * What rules of stand-ins turn off, so that local fonts are drawn as they are measured here: by the widths of their characters alone,
 * as the kerning of most isn't known.
 */
export const offInStandIns: readonly string[] = ['kern', 'liga', 'clig', 'calt'];

/** Of joined letters and of direction, which nothing is drawn for. */
const isUnseen = (codePoint: number) => codePoint >= 0x200c && codePoint <= 0x200f;

/** Arabic, Hebrew or Thai, which most texts have nothing of. */
const hasOtherScript = /[\u0590-\u06ff\u0e00-\u0e7f]/;

/** A font of a system by its widths. @param others that draw scripts which it lacks */
export function setterOfWidths(
  known: ReadonlyMap<number, number>,
  others: readonly ScriptWidths[],
): TextSetter {
  const widthOf = (character: string, inSmallCapitals: boolean): number | undefined => {
    const capital = inSmallCapitals ? character.toUpperCase() : character;
    const isSmall = capital !== character && [...capital].length === 1;
    const width = known.get((isSmall ? capital : character).codePointAt(0)!);
    return isSmall && width !== undefined ? width * smallCapital : width;
  };
  return {
    reaches: (text, { features }) => {
      const inSmallCapitals = (features?.get('smcp') ?? 0) > 0;
      const characters = [...text];
      const codePoints = characters.map((one) => one.codePointAt(0)!);
      const ofScripts = hasOtherScript.test(text) ? scriptAdvances(codePoints, others) : [];
      const advances = new Float64Array(text.length + 1);
      let at = 0;
      for (const [i, character] of characters.entries()) {
        const width = ofScripts[i] ?? (isUnseen(codePoints[i]) ? 0 : widthOf(character, inSmallCapitals));
        if (width === undefined) return undefined;
        advances[at + 1] = width;
        at += character.length;
      }
      return summed(advances);
    },
  };
}

function widthsOf({ widths, unitsPerEm }: LocalFace): ReadonlyMap<number, number> {
  const known = new Map<number, number>();
  const all = unpacked(widths);
  let i = 0;
  for (const [first, last] of measuredRanges)
    for (let codePoint = first; codePoint <= last; codePoint++, i++) {
      const width = all[i];
      if (width !== undefined) known.set(codePoint, width / unitsPerEm);
    }
  return known;
}

function summed(advances: Float64Array): Float64Array {
  for (let i = 1; i < advances.length; i++) advances[i] += advances[i - 1];
  return advances;
}

/** Local fonts with their widths; unpacked once. */
const unpackedWidths = new Map<LocalFace, ReadonlyMap<number, number>>();

export function localSetter(face: LocalFace, others: readonly ScriptWidths[] = []): TextSetter {
  let widths = unpackedWidths.get(face);
  if (!widths) unpackedWidths.set(face, (widths = widthsOf(face)));
  return setterOfWidths(widths, others);
}

export { localFonts, type LocalFace, type LocalFontData };
