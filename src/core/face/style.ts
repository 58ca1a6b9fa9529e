// CSS Fonts 4, sections 2 and 5; OpenType: OS/2 (usWeightClass, usWidthClass, fsSelection), head (macStyle), name, fvar

import { finding, type Finding } from '../../findings.js';
import type { Font } from '../sfnt/font.js';
import { fvar, head, name, os2 } from '../tables/index.js';

export type Slope = 'normal' | 'italic' | 'oblique';

/** Lowest and highest value; both the same for a font that doesn't vary. */
export type Range = readonly [lowest: number, highest: number];

/** Whether two ranges have a value in common. */
export const overlaps = (one: Range, other: Range): boolean => one[0] <= other[1] && other[0] <= one[1];

/** How CSS tells the face of a font file apart from others. */
export interface FaceStyle {
  family: string;
  /** `font-weight`, 1 to 1000. */
  weight: Range;
  style: Slope;
  /** `font-stretch` in percent. */
  stretch: Range;
  /** Axis tags, where the font varies. */
  axes: string[];
}

/** OS/2: usWidthClass 1 to 9 as percentages of `font-stretch`. */
const stretchOfWidthClass = [50, 62.5, 75, 87.5, 100, 112.5, 125, 150, 200];

/** Words for weights in style names, longer ones first, as "extra bold" contains "bold". */
const weightWords: readonly (readonly [RegExp, number])[] = [
  [/\b(extra|ultra) ?black\b/, 950],
  [/\b(extra|ultra) ?bold\b/, 800],
  [/\b(semi|demi) ?bold\b/, 600],
  [/\b(extra|ultra) ?light\b/, 200],
  [/\b(semi|demi) ?light\b/, 350],
  [/\b(thin|hairline)\b/, 100],
  [/\blight\b/, 300],
  [/\bmedium\b/, 500],
  [/\bbold\b/, 700],
  [/\b(black|heavy)\b/, 900],
  [/\b(regular|normal|roman|book)\b/, 400],
];

/** The weight that a style name states, or undefined if it has no word for one. */
export function weightInName(styleName: string): number | undefined {
  const words = styleName
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .replace(/[-_]/g, ' ')
    .toLowerCase();
  return weightWords.find(([pattern]) => pattern.test(words))?.[1];
}

const slopeInName = (styleName: string): Slope =>
  /\bitalic\b/i.test(styleName) ? 'italic' : /\b(oblique|slanted)\b/i.test(styleName) ? 'oblique' : 'normal';

/**
 * The CSS family, weight, style and stretch of a font, and where its tables disagree about them.
 *
 * Typographic names (16, 17) come before the four-style names (1, 2), which split large families. The weight is that
 * of OS/2, unless OS/2 says 400 while the style name and the bold bit both say something else. Axes of fvar widen
 * weight and stretch.
 *
 * @throws DenseGlyphError `table-missing` without head, `table-damaged`
 */
export function faceStyleOf(font: Font): { face: FaceStyle; findings: Finding[] } {
  const names = font.optional(name); // web fonts are often stripped of it
  const { nameID } = name;
  const findings: Finding[] = [];
  const text = (...ids: number[]) => {
    for (const id of ids) {
      const found = names && name.nameOf(names, id);
      if (found) return found;
    }
    return '';
  };
  const family = text(nameID.typographicFamily, nameID.family);
  const styleName = text(nameID.typographicSubfamily, nameID.subfamily);
  const bits = styleBits(font);
  const axes = font.optional(fvar)?.axes ?? [];
  const weightAxis = axes.find(({ axisTag }) => axisTag === 'wght');
  const widthAxis = axes.find(({ axisTag }) => axisTag === 'wdth');

  const stated = statedWeight(bits, styleName, findings);
  let weight: Range = [stated, stated];
  if (weightAxis) {
    weight = [Math.max(weightAxis.minValue, 1), Math.min(weightAxis.maxValue, 1000)];
    if (stated < weight[0] || stated > weight[1]) {
      findings.push(
        finding(
          'axis-excludes-default',
          `OS/2 says weight ${stated}, but the weight axis runs from ${weight[0]} to ${weight[1]}; the axis is taken`,
          { table: 'OS/2' },
        ),
      );
    }
  }
  const widthClass = bits.widthClass;
  const percent = stretchOfWidthClass[widthClass - 1] ?? 100;
  const stretch: Range = widthAxis ? [widthAxis.minValue, widthAxis.maxValue] : [percent, percent];
  const style = slope(bits, styleName, findings);
  return { face: { family, weight, style, stretch, axes: axes.map(({ axisTag }) => axisTag) }, findings };
}

interface StyleBits {
  weightClass: number | undefined;
  widthClass: number;
  bold: boolean;
  italic: boolean;
  oblique: boolean;
  macBold: boolean;
  macItalic: boolean;
  hasOs2: boolean;
}

function styleBits(font: Font): StyleBits {
  const metrics = font.optional(os2);
  const mac = font.table(head).macStyle;
  const selection = metrics?.fsSelection ?? 0;
  return {
    weightClass: metrics?.usWeightClass,
    widthClass: metrics?.usWidthClass ?? 5,
    bold: (selection & os2.fsSelection.bold) !== 0,
    italic: (selection & os2.fsSelection.italic) !== 0,
    oblique: (metrics?.version ?? 0) >= 4 && (selection & os2.fsSelection.oblique) !== 0,
    macBold: (mac & head.macStyle.bold) !== 0,
    macItalic: (mac & head.macStyle.italic) !== 0,
    hasOs2: metrics !== undefined,
  };
}

function statedWeight(bits: StyleBits, styleName: string, findings: Finding[]): number {
  const named = weightInName(styleName);
  const bold = bits.bold || bits.macBold;
  let weight = bits.weightClass ?? named ?? (bold ? 700 : 400);
  if (weight >= 1 && weight <= 9) weight *= 100; // some early fonts count from 1 to 9
  if (weight < 1 || weight > 1000) {
    const taken = named ?? (bold ? 700 : 400);
    findings.push(
      finding('weight-class-invalid', `OS/2 says weight ${weight}; ${taken} is taken`, { table: 'OS/2' }),
    );
    return taken;
  }
  if (named !== undefined && Math.abs(named - weight) > 50) {
    const believed = weight === 400 && named !== 400 && bold === named >= 600 ? named : weight;
    findings.push(
      finding(
        'weight-disagrees',
        `the style name "${styleName}" means ${named}, but OS/2 says ${weight}; ${believed} is taken`,
        { table: 'OS/2' },
      ),
    );
    weight = believed;
  }
  if (bits.hasOs2 && bits.bold !== bits.macBold) {
    const [yes, no] = bits.bold ? ['OS/2', 'head'] : ['head', 'OS/2'];
    findings.push(
      finding(
        'bold-bit-disagrees',
        `${yes} marks the font as bold, ${no} does not; desktop programs differ in how they link it`,
        { table: 'OS/2' },
      ),
    );
  }
  return weight;
}

function slope(bits: StyleBits, styleName: string, findings: Finding[]): Slope {
  const named = slopeInName(styleName);
  if (bits.hasOs2 && bits.italic !== bits.macItalic) {
    const [yes, no] = bits.italic ? ['OS/2', 'head'] : ['head', 'OS/2'];
    findings.push(
      finding(
        'italic-disagrees',
        `${yes} marks the font as italic, ${no} does not; ${named === 'normal' ? 'normal' : named} is taken, as the name says`,
        { table: 'OS/2' },
      ),
    );
    return named;
  }
  const marked = bits.hasOs2 ? bits.italic : bits.macItalic;
  if (named !== 'normal' && !marked && !bits.oblique) {
    findings.push(
      finding(
        'italic-disagrees',
        `the style name "${styleName}" means ${named}, but OS/2 does not say so; ${named} is taken`,
        { table: 'OS/2' },
      ),
    );
    return named;
  }
  if (bits.oblique || named === 'oblique') return 'oblique';
  return marked ? 'italic' : 'normal';
}
