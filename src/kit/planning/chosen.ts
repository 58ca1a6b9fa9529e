// The first step of a plan: which faces the kit has, and what each is declared as

import type { FontFormat } from '../../core/containers/index.js';
import {
  faceLabel,
  overlaps,
  type DrawingDescriptors,
  type FontDisplay,
  type Range,
  type Slope,
  faceKey,
} from '../../core/face/index.js';
import type { FaceChoice } from '../../config/face-choice.js';
import type { FamilyConfig, KitConfig } from '../../config/schema.js';
import type { Source } from '../../core/source/index.js';
import { DenseGlyphError } from '../../errors.js';
import { finding, type Finding } from '../../findings.js';
import { drawsTheSame } from './same-face.js';

/** A face that the kit may ship. */
export interface ChosenFace {
  family: string;
  role: string;
  weight: Range;
  style: Slope;
  /** Percent. */
  stretch: Range;
  /** Degrees, where an oblique face names them. */
  slant?: Range | undefined;
  descriptors?: DrawingDescriptors | undefined;
  display: FontDisplay;
  source: Source;
  rights?: string | undefined;
  /** Whether the config names it: then it is shipped whether pages draw it or not. */
  isListed: boolean;
  /** Where the file disagrees with itself, with a rule or with the config. */
  findings: readonly Finding[];
}

export interface ChosenFamily {
  family: string;
  role: string;
  /** For `font-family`, the web font first. */
  stack: readonly string[];
  /** The arrival group that its faces are in. */
  group?: string | undefined;
  /** Whether those that aren't upright are asked for once the others are there. */
  isItalicAfter?: boolean;
  faces: readonly ChosenFace[];
}

/**
 * Chooses the faces of each family of a config.
 *
 * @param sources for each family of the config its files, as rules declare them
 * @throws DenseGlyphError `face-missing`, `face-conflict` or `rights-missing`
 */
export const chosenFaces = (config: KitConfig, sources: readonly (readonly Source[])[]): ChosenFamily[] =>
  config.families.map((family, i): ChosenFamily => ({
    family: family.family,
    role: family.role,
    stack: [family.family, ...family.stack],
    ...(family.loading.group !== undefined && config.loading.loader === 'auto'
      ? { group: family.loading.group, isItalicAfter: family.loading.italic === 'after' }
      : {}),
    faces: facesOf(family, sources[i], `families[${i}]`),
  }));

function facesOf(family: FamilyConfig, sources: readonly Source[], path: string): ChosenFace[] {
  const declared = family.faces ? listed(family, family.faces, sources, path) : sources;
  const { kept, findings: copies } = withoutCopies(declared);
  const faces = kept.map((source): ChosenFace => {
    checkRights(family, source, path);
    const findings = [...source.findings, ...(copies.get(source) ?? [])];
    if (source.face.family !== family.family && source.face.family !== '') {
      const message = `the file calls its family "${source.face.family}"; the kit declares "${family.family}"`;
      findings.push(finding('family-renamed', message, { file: source.path }));
    }
    const { weight, style, stretch } = source.face;
    return {
      family: family.family,
      role: family.role,
      weight,
      style,
      stretch,
      ...(source.rule?.slant ? { slant: source.rule.slant } : {}),
      ...(source.rule?.descriptors ? { descriptors: source.rule.descriptors } : {}),
      display: source.rule?.display ?? family.loading.display,
      source,
      rights: family.rights,
      isListed: family.faces !== undefined,
      findings,
    };
  });
  const sorted = withoutEarlier(faces).sort(compareFaces);
  checkConflicts(sorted, path);
  return sorted;
}

/** The sources that draw faces which a config lists: of a variable one just the part that is named. */
function listed(
  family: FamilyConfig,
  choices: readonly FaceChoice[],
  sources: readonly Source[],
  path: string,
): Source[] {
  return choices.flatMap((choice) => {
    const found = sources.filter(
      ({ face }) =>
        face.style === choice.style &&
        overlaps(face.weight, choice.weight) &&
        (!choice.stretch || overlaps(face.stretch, choice.stretch)),
    );
    if (found.length === 0) throw faceMissing(family, choice, sources, path);
    return found.map((source): Source => {
      const { weight, stretch } = source.face;
      const narrowed = (own: Range, named: Range | undefined): Range =>
        named ? [Math.max(own[0], named[0]), Math.min(own[1], named[1])] : own;
      const face = { weight: narrowed(weight, choice.weight), stretch: narrowed(stretch, choice.stretch) };
      return { ...source, face: { ...source.face, ...face } };
    });
  });
}

function faceMissing(
  { family }: FamilyConfig,
  choice: FaceChoice,
  sources: readonly Source[],
  path: string,
): DenseGlyphError {
  const inOrder = [...sources].sort((a, b) => compareFaces(a.face, b.face));
  const offered = [...new Set(inOrder.map(({ face }) => faceLabel(face)))].join(', ');
  const reason = `${path}: no file of ${family} draws ${faceLabel(choice)}`;
  const advice = `the files offer ${offered}; add the file, or take it out of the config`;
  return new DenseGlyphError('face-missing', reason, {}, advice);
}

type KeyedSource = Pick<Source, 'face'> & { [Key in 'rule' | 'ranges']?: Source[Key] | undefined };

const sourceKey = ({ face, ranges, rule }: KeyedSource): string =>
  JSON.stringify([faceKey(face), ranges ?? null, rule?.descriptors ?? null]);

/** Hosts give old browsers the whole of a face that newer ones get in parts. */
function withoutCoveredParts(sources: readonly Source[]): readonly Source[] {
  const faceOf = ({ face, rule }: Source) => sourceKey({ face, rule });
  const whole = new Set(sources.filter(({ ranges }) => ranges === undefined).map(faceOf));
  return sources.filter((source) => source.ranges === undefined || !whole.has(faceOf(source)));
}

/** Of a face that is there in several formats: what has lost the least, and what browsers take now. */
const leastLost: readonly FontFormat[] = ['otf', 'ttf', 'woff2', 'woff', 'eot'];
const takenNow: readonly FontFormat[] = ['woff2', 'woff', 'otf', 'ttf', 'eot'];

function withoutCopies(all: readonly Source[]): { kept: Source[]; findings: Map<Source, Finding[]> } {
  const groups = new Map<string, Source[]>();
  for (const source of withoutCoveredParts(all)) {
    const key = sourceKey(source) + source.face.axes.join();
    groups.set(key, [...(groups.get(key) ?? []), source]);
  }
  const findings = new Map<Source, Finding[]>();
  const kept = [...groups.values()].flatMap((alike) => {
    const paths = new Set(alike.map(({ path }) => path));
    if (paths.size === 1) return alike.slice(0, 1);
    // Two files of one format are a conflict, which is for the user to solve.
    if (new Set(alike.map(({ format }) => format)).size < alike.length) return alike;
    const by = (order: readonly FontFormat[]) =>
      [...alike].sort((a, b) => order.indexOf(a.format) - order.indexOf(b.format))[0];
    const areSame = alike.every((one) => one === alike[0] || drawsTheSame(one.font, alike[0].font));
    const best = by(areSame ? leastLost : takenNow);
    const others = alike.filter((other) => other !== best).map(({ path }) => path);
    const message = areSame
      ? `${others.join(', ')} holds the same face and is not used`
      : `${others.join(', ')} says it is the same face, has other glyphs, and is not used: browsers of today take this one`;
    findings.set(best, [finding('copy-unused', message, { file: best.path })]);
    return [best];
  });
  return { kept, findings };
}

/** Of rules that declare the same face browsers go by the last one. */
function withoutEarlier(faces: readonly ChosenFace[]): ChosenFace[] {
  const last = new Map<string, ChosenFace>();
  const keyOf = (face: ChosenFace) => (face.source.isDeclared ? sourceKey(face.source) : '');
  for (const face of faces) last.set(keyOf(face), face);
  return faces.filter((face) => keyOf(face) === '' || last.get(keyOf(face)) === face);
}

const slopeOrder: readonly Slope[] = ['normal', 'italic', 'oblique'];
/** Upright faces first, each group from light to bold. */
const compareFaces = (a: Pick<ChosenFace, 'style' | 'weight'>, b: Pick<ChosenFace, 'style' | 'weight'>) =>
  slopeOrder.indexOf(a.style) - slopeOrder.indexOf(b.style) || a.weight[0] - b.weight[0];

function checkRights(family: FamilyConfig, source: Source, path: string): void {
  if (!source.licence.restricted || family.rights) return;
  throw new DenseGlyphError(
    'rights-missing',
    `${path}: the font forbids embedding (fsType), so it is not put into a kit`,
    { file: source.path },
    `if you have bought the right, say so in ${path}.rights; otherwise choose another font`,
  );
}

/** Whether two files are parts of one face, each for its own characters. */
const areParts = ({ source: { ranges: a } }: ChosenFace, { source: { ranges: b } }: ChosenFace): boolean =>
  a !== undefined && b !== undefined && a.toJSON() !== b.toJSON();

/** What rules declare is no conflict: browsers know what to do. */
function checkConflicts(faces: readonly ChosenFace[], path: string): void {
  faces.forEach((face, i) => {
    const other = faces
      .slice(0, i)
      .find(
        (f) =>
          f.style === face.style &&
          overlaps(f.weight, face.weight) &&
          overlaps(f.stretch, face.stretch) &&
          !(f.source.isDeclared && face.source.isDeclared) &&
          f.source.path !== face.source.path &&
          !areParts(f, face),
      );
    if (!other) return;
    throw new DenseGlyphError(
      'face-conflict',
      `${path}: ${other.source.path} (${faceLabel(other)}) and ${face.source.path} (${faceLabel(face)}) draw the same style`,
    );
  });
}
