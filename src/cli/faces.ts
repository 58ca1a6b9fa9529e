import type { OpenedFont } from '../core/containers/index.js';
import { DenseGlyphError } from '../core/errors.js';
import { sfntSize } from '../core/sfnt/write.js';
import * as name from '../core/tables/name.js';

/** A face of a collection, with what tells it apart from the others. */
export interface CollectionFace extends OpenedFont {
  /** Counted from 1. */
  number: number;
  /** As in `Harbour Bold`; empty if the font doesn't say. */
  fullName: string;
  /** For file names: the PostScript name, or the number. */
  fileName: string;
  /** Bytes of its tables, as if it stood alone. */
  size: number;
}

/** The faces of a collection that a call asks for. @param wanted a number from 1, a name, or undefined for all */
export function chooseFaces(fonts: readonly OpenedFont[], wanted: string | undefined): CollectionFace[] {
  const faces = fonts.map((opened, i): CollectionFace => {
    const names = opened.font.optional(name);
    const text = (id: number) => (names && name.nameOf(names, id)) ?? '';
    const postScriptName = text(name.nameID.postScriptName).replace(/[^A-Za-z0-9._-]/g, '');
    return {
      ...opened,
      number: i + 1,
      fullName: text(name.nameID.fullName),
      fileName: postScriptName || `face-${i + 1}`,
      size: sfntSize(opened.font.tables()),
    };
  });
  if (wanted === undefined) return faces;
  const alike = (a: string) => a.toLowerCase() === wanted.toLowerCase();
  const found = faces.filter(
    (face) => String(face.number) === wanted || alike(face.fullName) || alike(face.fileName),
  );
  if (found.length > 0) return found;
  const offered = faces.map((face) => `${face.number} ${face.fullName || face.fileName}`).join(', ');
  throw new DenseGlyphError(
    'call-invalid',
    `--face: there is no face "${wanted}"`,
    {},
    `it holds ${offered}`,
  );
}
