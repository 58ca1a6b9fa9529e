import { outlinesOf } from '../../core/outlines/index.js';
import type { Font } from '../../core/sfnt/font.js';
import { mappedCharacters } from '../../core/text/mapped-characters.js';
import { cmap, head, hmtx } from '../../core/tables/index.js';

/** So many glyphs are compared point by point; all of them in their widths. */
const mostOutlines = 200;
/** Of the em: outlines of one kind that became the other are that near. */
const tolerance = 0.004;

/** Whether two files draw the same characters with glyphs of the same widths and extents. */
export function drawsTheSame(one: Font, other: Font): boolean {
  const characters = mappedCharacters(one);
  if (characters.toJSON() !== mappedCharacters(other).toJSON()) return false;
  const all = characters.codePoints();
  const [a, b] = [glyphsOf(one), glyphsOf(other)];
  const isNear = (x: number, y: number) => Math.abs(x - y) <= tolerance;
  if (!all.every((character) => isNear(a.advanceOf(character), b.advanceOf(character)))) return false;
  const step = Math.max(1, Math.floor(all.length / mostOutlines));
  return all
    .filter((_, i) => i % step === 0)
    .every((character) => {
      const [mine, theirs] = [a.boxOf(character), b.boxOf(character)];
      return mine.every((value, i) => isNear(value, theirs[i]));
    });
}

/** Measures in ems. */
function glyphsOf(font: Font) {
  const { unitsPerEm } = font.table(head);
  const map = font.table(cmap);
  const metrics = font.optional(hmtx);
  const outlines = outlinesOf(font);
  return {
    advanceOf: (character: number) =>
      metrics ? hmtx.advanceOf(metrics, cmap.glyphIdOf(map, character)) / unitsPerEm : 0,
    boxOf: (character: number): number[] => {
      const box = [0, 0, 0, 0];
      let isEmpty = true;
      const add = (...coordinates: number[]) => {
        for (let i = 0; i < coordinates.length; i += 2) {
          const [x, y] = [coordinates[i] / unitsPerEm, coordinates[i + 1] / unitsPerEm];
          if (isEmpty) box.splice(0, 4, x, y, x, y);
          isEmpty = false;
          box[0] = Math.min(box[0], x);
          box[1] = Math.min(box[1], y);
          box[2] = Math.max(box[2], x);
          box[3] = Math.max(box[3], y);
        }
      };
      outlines.draw(cmap.glyphIdOf(map, character), {
        moveTo: (x, y) => add(x, y),
        lineTo: (x, y) => add(x, y),
        // Ends of curves only: those of the two kinds of outlines are the same.
        quadraticCurveTo: (_, __, x, y) => add(x, y),
        bezierCurveTo: (_, __, ___, ____, x, y) => add(x, y),
        closePath: () => undefined,
      });
      return box;
    },
  };
}
