import { inFile } from '../../errors.js';
import { finding, placedIn, type Finding } from '../../findings.js';
import type { DrawingDescriptors } from '../face/descriptors.js';
import { rangeText, type FontDisplay } from '../face/font-face.js';
import { faceStyleOf, type FaceStyle, type Range, type Slope } from '../face/style.js';
import type { CodePointSet } from '../text/code-point-set.js';
import { licenceOf, type StatedLicence } from '../face/licence.js';
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
  /** Whether a rule says what it is, not the file itself. */
  isDeclared?: true;
  /** What a rule says of it beside its style. */
  rule?: DeclaredDrawing;
}

/** What a rule declares of how a file is drawn, beside what font matching goes by. */
export interface DeclaredDrawing {
  /** Degrees of an oblique face. */
  slant?: Range | undefined;
  display?: FontDisplay | undefined;
  descriptors?: DrawingDescriptors | undefined;
}

/** What a rule declares of a file. */
export interface Declaration extends DeclaredDrawing {
  /** As the file calls it, if empty. */
  family: string;
  weight: Range;
  style: Slope;
  /** Percent. */
  stretch: Range;
  /** The characters that it is for; all if left out. */
  characters?: CodePointSet | undefined;
}

/** A file as a rule declares it, with a finding where that isn't what the file says of itself: pages go by the rule. */
export function declaredSource(source: Source, declaration: Declaration): Source {
  const { family, weight, style, stretch, characters, slant, display, descriptors } = declaration;
  const { face: inside } = source;
  const rule = {
    ...(slant ? { slant } : {}),
    ...(display ? { display } : {}),
    ...(descriptors ? { descriptors } : {}),
  };
  const { ranges: _, rule: __, ...rest } = source;
  return {
    ...rest,
    face: { ...inside, family: family || inside.family, weight, style, stretch },
    isDeclared: true,
    findings: [...source.findings, ...disagreement(inside, declaration, source.path)],
    ...(characters ? { ranges: characters } : {}),
    ...(Object.keys(rule).length > 0 ? { rule } : {}),
  };
}

const isWithin = ([low, high]: Range, [least, most]: Range) => low >= least && high <= most;

function disagreement(inside: FaceStyle, { weight, style }: Declaration, file: string): Finding[] {
  const says = (numbers: Range, slope: Slope) =>
    `${rangeText(numbers).replace(' ', '–')}${slope === 'normal' ? '' : ` ${slope}`}`;
  if (isWithin(weight, inside.weight) && style === inside.style) return [];
  const message = `its rule declares ${says(weight, style)}, and the file calls itself ${says(inside.weight, inside.style)}; the rule is taken`;
  return [finding('rule-disagrees', message, { file })];
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
