import { inFile } from '../../errors.js';
import { placedIn, type Finding } from '../../findings.js';
import { faceStyleOf, type FaceStyle } from '../face/style.js';
import type { CodePointSet } from '../text/code-point-set.js';
import { licenceOf, type StatedLicence } from '../sfnt/licence.js';
import type { NamedFile } from './named-file.js';
import { openFile, type OpenedFace } from './opened-face.js';

/** A font file that the user supplies, opened. */
export interface Source extends OpenedFace {
  /** The whole file. */
  bytes: Uint8Array;
  face: FaceStyle;
  findings: Finding[];
  licence: StatedLicence;
  /** Texts that lie beside it. */
  licenceTexts: readonly NamedFile[];
  /** Of a partial file of a face: the characters that its rule names. */
  ranges?: CodePointSet;
}

/**
 * What CSS sees of each font of a file. A collection gives a source for each of its faces.
 *
 * @throws DenseGlyphError with the file named
 */
export function sourcesOf(file: NamedFile, licenceTexts: readonly NamedFile[]): Source[] {
  return inFile(file.path, () =>
    openFile(file).map((opened): Source => {
      const { face, findings } = faceStyleOf(opened.font);
      return {
        ...opened,
        bytes: file.bytes,
        face,
        findings: placedIn(findings, { file: opened.path }),
        licence: licenceOf(opened.font),
        licenceTexts,
      };
    }),
  );
}
