import type { Font } from '../../core/sfnt/font.js';
import { Shaper } from '../../core/shaping/index.js';
import { localFonts, measuredRanges, type LocalFontData } from '../../data/local-fonts.js';

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
   * @returns undefined where the font lacks a character, or its script is one whose letters are reordered or joined
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

/** A font of a system by its widths. */
export function setterOfWidths({ widths, unitsPerEm }: LocalFace): TextSetter {
  const known = new Map<number, number>();
  const all = widths.split(' ').flatMap((one) => {
    const [width, count = '1'] = one.split('*');
    return new Array<string>(Number(count)).fill(width);
  });
  let i = 0;
  for (const [first, last] of measuredRanges)
    for (let codePoint = first; codePoint <= last; codePoint++, i++)
      if (all[i] !== '-') known.set(codePoint, parseInt(all[i], 36) / unitsPerEm);
  const widthOf = (character: string, inSmallCapitals: boolean): number | undefined => {
    const capital = inSmallCapitals ? character.toUpperCase() : character;
    const isSmall = capital !== character && [...capital].length === 1;
    const width = known.get((isSmall ? capital : character).codePointAt(0)!);
    return isSmall && width !== undefined ? width * smallCapital : width;
  };
  return {
    reaches: (text, { features }) => {
      const inSmallCapitals = (features?.get('smcp') ?? 0) > 0;
      const advances = new Float64Array(text.length + 1);
      let at = 0;
      for (const character of text) {
        const width = widthOf(character, inSmallCapitals);
        if (width === undefined) return undefined;
        advances[at + 1] = width;
        at += character.length;
      }
      return summed(advances);
    },
  };
}

function summed(advances: Float64Array): Float64Array {
  for (let i = 1; i < advances.length; i++) advances[i] += advances[i - 1];
  return advances;
}

/** Local fonts with what sets text in them; made once. */
const setters = new Map<LocalFace, TextSetter>();

export function localSetter(face: LocalFace): TextSetter {
  let setter = setters.get(face);
  if (!setter) setters.set(face, (setter = setterOfWidths(face)));
  return setter;
}

export { localFonts, type LocalFace, type LocalFontData };
