import { dirname, relative, resolve } from 'node:path';
import type { FontFormat } from '../../core/containers/index.js';
import type { Font } from '../../core/sfnt/font.js';
import { faceStyleOf, fontFaceText, formatHints, type FaceStyle } from '../../core/face/index.js';

/** What a rule needs to know of a face. */
export type RuleFace = Pick<FaceStyle, 'family' | 'weight' | 'style' | 'stretch'>;

export function ruleFaceOf(font: Font): RuleFace {
  const { family, weight, style, stretch } = faceStyleOf(font).face;
  return { family, weight, style, stretch };
}

/** A face with the files that were written of it. */
export interface WrittenFace {
  /** As the user would write it. */
  input: string;
  face: RuleFace;
  outputs: readonly { path: string; format: FontFormat }[];
  /** As `unicode-range` writes it; for all characters if left out. */
  unicodeRange?: string;
}

/** Formats from the best to the oldest: browsers take the first that they know. */
const order: readonly FontFormat[] = ['woff2', 'woff', 'otf', 'ttf', 'eot', 'svg'];

/**
 * The `@font-face` rules of faces that were written, ready to paste.
 *
 * @param folder what paths of the outputs start from
 * @param stylesheet the file that they are for; their URLs start from its folder
 */
export function rulesToPaste(faces: readonly WrittenFace[], folder: string, stylesheet: string): string {
  const start = dirname(resolve(folder, stylesheet));
  return faces
    .map(({ input, face, outputs, unicodeRange }) => {
      const sources = [...outputs]
        .sort((a, b) => order.indexOf(a.format) - order.indexOf(b.format))
        .map(({ path, format }) => ({
          url: relative(start, resolve(folder, path)).replaceAll('\\', '/'),
          format: formatHints[format],
        }));
      const family = face.family === '' ? nameOf(input) : face.family;
      return fontFaceText({ ...face, family, display: 'swap', sources, unicodeRange });
    })
    .join('\n');
}

/** A file that says no family is called by its own name. */
const nameOf = (path: string): string => path.replace(/^.*[\\/]/s, '').replace(/\.[^.]*$/, '');
