import { DenseGlyphError } from '../../errors.js';
import * as name from '../tables/name.js';
import type { OpenedFace } from './opened-face.js';

/** A face of a collection, with what tells it apart from the others. */
export interface NamedFace extends OpenedFace {
  /** As in `Harbour Bold`; empty if the font doesn't say. */
  fullName: string;
  /** For file names: the PostScript name, or the number. */
  fileName: string;
}

/**
 * The faces of a collection that a call asks for.
 *
 * @param wanted a number from 1, a name, or undefined for all
 * @throws DenseGlyphError `call-invalid`
 */
export function chooseFaces(faces: readonly OpenedFace[], wanted: string | undefined): NamedFace[] {
  const named = faces.map((face): NamedFace => {
    const names = face.font.optional(name);
    const text = (id: number) => (names && name.nameOf(names, id)) ?? '';
    const postScriptName = text(name.nameID.postScriptName).replace(/[^A-Za-z0-9._-]/g, '');
    return {
      ...face,
      fullName: text(name.nameID.fullName),
      fileName: postScriptName || `face-${face.number}`,
    };
  });
  if (wanted === undefined) return named;
  const alike = (a: string) => a.toLowerCase() === wanted.toLowerCase();
  const found = named.filter(
    (face) => String(face.number) === wanted || alike(face.fullName) || alike(face.fileName),
  );
  if (found.length > 0) return found;
  const offered = named.map((face) => `${face.number} ${face.fullName || face.fileName}`).join(', ');
  throw new DenseGlyphError(
    'call-invalid',
    `--face: there is no face "${wanted}"`,
    {},
    `it holds ${offered}`,
  );
}
