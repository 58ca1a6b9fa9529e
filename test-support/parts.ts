import type { Font } from '#src/core/sfnt/font.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { markedLetters } from '#src/core/text/marked-letters.js';
import type { Cut, CutFace } from '#src/kit/planning/cut.js';
import type { Part } from '#src/kit/planning/made.js';

/** A face of a kit that has nothing but its font. */
export const plannedFace = (font: Font): CutFace =>
  ({
    family: 'Harbour',
    weight: [400, 400],
    style: 'normal',
    stretch: [100, 100],
    source: { font, dropped: [], path: 'harbour.ttf' },
  }) as unknown as CutFace;

/** What pages want that draw a text. */
export const wantedOf = (text: string, keepsRest = true): Cut => ({
  characters: new CodePointSet(Array.from(text, (sign) => sign.codePointAt(0)!)),
  marked: new Set(markedLetters(text)),
  features: [],
  keepsRest,
});

/** The characters that the rule of a part names. */
export const inPart = ({ characters }: Part): number[] => {
  const all = new CodePointSet();
  for (const [first, last] of characters) all.addRange(first, last);
  return all.codePoints();
};
