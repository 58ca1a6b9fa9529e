// Which faces draw what is seen first, as far as the cascade knows how high text is

import { breakPlaces, lineStarts } from '../stand-ins/lines.js';
import type { SampleParagraph } from '../stand-ins/sample.js';
import { joined, setMeasure, zeroOf } from '../stand-ins/fitted-texts.js';
import type { FaceSetters, StandInFace } from '../stand-ins/stand-ins.js';

/** CSS pixels: of a telephone that is held upright, and of a desk. */
const screenHeight = 800;
/** Lines and paragraphs stand apart by about so much of the font size. */
const lineHeight = 1.4;
const paragraphGap = 0.8;

/**
 * How many letters each face draws of the first screenful: paragraphs one under another until the screen is full. Pictures and
 * boxes beside each other aren't known, so it is rather more than less.
 *
 * @param paragraphs of a page at one width, in their order
 */
export function firstScreenful<Face extends StandInFace>(
  paragraphs: readonly SampleParagraph<Face>[],
  settersOf: (face: Face) => FaceSetters,
): Map<Face, number> {
  const letters = new Map<Face, number>();
  let height = 0;
  for (const { runs, measures } of paragraphs) {
    if (height > screenHeight) break;
    const reaches = joined(runs, (run) => settersOf(run.face).reaches(run));
    const text = runs.map((run) => run.text).join('');
    const fontSize = Math.max(...runs.map((run) => run.fontSize));
    const [first] = measures;
    const zeros = zeroOf(runs[0], (run) => settersOf(run.face).reaches(run));
    const measure = setMeasure(first, { face: zeros, local: zeros }).face;
    const lines = reaches ? lineStarts(breakPlaces(text), reaches, measure).length + 1 : 1;
    height += fontSize * (lines * lineHeight + paragraphGap);
    for (const run of runs) letters.set(run.face, (letters.get(run.face) ?? 0) + run.text.trim().length);
  }
  return letters;
}
