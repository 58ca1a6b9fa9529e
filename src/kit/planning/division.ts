import { CodePointSet } from '../../core/text/code-point-set.js';
import { charactersByScript } from '../../core/text/scripts.js';

/** Which characters of a face go into which of its parts. */
export interface Division {
  /** What the site draws, and what can't be taken from it. */
  site: CodePointSet;
  /** Everything else that the face has. */
  rest: CodePointSet;
}

/** Scripts whose letters stand beside each other and keep their form; those of all others stay together. */
const separable: ReadonlySet<string> = new Set([
  'Latin',
  'Greek',
  'Cyrillic',
  'Armenian',
  'Georgian',
  'Hebrew',
  'Cherokee',
  'Han',
  'Hiragana',
  'Katakana',
  'Bopomofo',
  'Common',
]);

/** Browsers measure lines by the part that has it, and fetch that whether it is in a text or not (CSS Fonts 4, 5.2). */
const space = 0x20;

/** Parts of Hangul that join to syllables. */
const isJoiningHangul = (character: number): boolean =>
  (character >= 0x1100 && character <= 0x11ff) || (character >= 0xa960 && character <= 0xd7ff);

/**
 * Divides what a face has between what the site draws and the rest. Scripts that join or reorder letters are never divided,
 * and neither are marks of a script, or of all scripts: they all go where one of them is needed. Where letters of the site bear marks, all letters of
 * their script go with them, as visitors will write such marks on others.
 *
 * @param wanted what the site draws
 * @param available what the face has
 * @param marked letters that bear marks which no character composes with them
 */
export function divided(
  wanted: CodePointSet,
  available: CodePointSet,
  marked: ReadonlySet<number> = new Set(),
): Division {
  const site = new CodePointSet(wanted.codePoints().filter((character) => available.has(character)));
  if (site.size > 0 && available.has(space)) site.add(space);
  const scripts = charactersByScript(available);
  for (const { name, codePoints } of scripts) {
    const joins = name === 'Hangul' ? codePoints.some(isJoiningHangul) : !separable.has(name);
    const bearsMarks = name !== 'Common' && codePoints.some((one) => marked.has(one));
    if ((joins || bearsMarks) && codePoints.some((one) => site.has(one)))
      for (const one of codePoints) site.add(one);
  }
  for (const { codePoints } of scripts) {
    const marks = codePoints.filter((one) => /^\p{M}$/u.test(String.fromCodePoint(one)));
    if (marks.some((mark) => site.has(mark))) for (const mark of marks) site.add(mark);
  }
  for (const counterpart of counterpartsBeyond(site, available)) site.add(counterpart);
  if (site.size > 0) for (const one of available.codePoints()) if (isOfSpace(one)) site.add(one);
  return { site, rest: new CodePointSet(available.codePoints().filter((one) => !site.has(one))) };
}

/**
 * Wide, narrow and no-break spaces, which browsers may make of the usual one; and selectors of forms, which belong to the letter
 * before.
 */
const isOfSpace = (character: number): boolean =>
  character === 0xa0 ||
  (character >= 0x2000 && character <= 0x200a) ||
  character === 0x202f ||
  character === 0x205f ||
  (character >= 0xfe00 && character <= 0xfe0f) ||
  (character >= 0xe0100 && character <= 0xe01ef);

/** Those of the characters of a part that aren't in it, and are in the face. */
export const counterpartsBeyond = (part: CodePointSet, available: CodePointSet): number[] =>
  counterparts(available).flatMap(([one, other]) =>
    part.has(one) === part.has(other) ? [] : part.has(one) ? [other] : [one],
  );

/**
 * Characters that are the same as another one to Unicode (compatibility ideographs, signs of units, Greek letters with oxia): Chromium
 * draws a run with the first part that has either of them.
 */
function counterparts(available: CodePointSet): [number, number][] {
  return available.codePoints().flatMap((character): [number, number][] => {
    // Nothing before is one, and no ideograph of the main blocks and no syllable.
    if (character < 0x300 || (character >= 0x3400 && character < 0xf900)) return [];
    const [same, ...more] = String.fromCodePoint(character).normalize('NFC');
    const other = same.codePointAt(0)!;
    return more.length > 0 || other === character || !available.has(other) ? [] : [[character, other]];
  });
}
