import type { FontFormat } from '../core/containers/index.js';
import { rangeText, type FontDisplay, type Range, type Slope } from '../core/face/index.js';
import type { CodePointSet } from '../core/text/code-point-set.js';
import { DenseGlyphError } from '../errors.js';
import { finding, type Finding } from '../findings.js';
import type { FamilyConfig, KitConfig } from '../config/schema.js';
import type { Source } from '../core/source/index.js';
import type { DrawnPlace } from '../site/usage/page-face.js';

/** An element of a page that brings characters to a face. */
export interface DemandingPlace extends DrawnPlace {
  page: string;
  /** The first of the page's languages. */
  language: string | undefined;
}

/** What a face is cut to, and why. */
export interface WantedOfFace {
  characters: CodePointSet;
  /** Letters that bear marks which no character composes with them. */
  marked: ReadonlySet<number>;
  /** Features beside those that browsers apply without being asked. */
  features: readonly string[];
  /** Whether what is beyond goes into a second part. */
  keepsRest: boolean;
  /** Pages that draw it on load. */
  pages: readonly string[];
  /** Weights that pages ask for, ascending: of a variable face, where on its axis. */
  weights: readonly number[];
  /** Languages that came in, as visitors type in them or a script brings the text. */
  languages: readonly string[];
  /** The rules that ask for it, those behind most text first. */
  rules: readonly { file: string; line: number; selector: string }[];
  /** Which elements bring which characters. */
  places: readonly DemandingPlace[];
}

/** A face that the kit ships. */
export interface PlannedFace {
  family: string;
  role: string;
  weight: Range;
  style: Slope;
  stretch: Range;
  display: FontDisplay;
  source: Source;
  rights?: string;
  preload: boolean;
  /** Why it is preloaded, or why not. */
  preloadReason: string;
  /** What it is cut to; the whole of it if left out. */
  wanted?: WantedOfFace | undefined;
  /** Where the file disagrees with itself or with the config. */
  findings: Finding[];
}

export interface PlannedFamily {
  family: string;
  role: string;
  /** For `font-family`, the web font first. */
  stack: string[];
  faces: PlannedFace[];
}

export interface KitPlan {
  families: PlannedFamily[];
  /** Faces that are at hand and that no page draws, as they would be shipped. */
  leftOut?: PlannedFace[];
}

/** `400`, `700 italic`, `300–800`. */
export function faceLabel({ weight, style }: { weight: Range; style: Slope }): string {
  const numbers = rangeText(weight).replace(' ', '–');
  return style === 'normal' ? numbers : `${numbers} ${style}`;
}

/**
 * Decides which faces the kit ships and which of them are preloaded.
 *
 * @param sources for each family of the config its sources
 * @throws DenseGlyphError `face-missing`, `face-conflict` or `rights-missing`
 */
export function planKit(config: KitConfig, sources: readonly (readonly Source[])[]): KitPlan {
  const families = config.families.map((family, i): PlannedFamily => {
    const faces = chooseFaces(family, sources[i], `families[${i}]`);
    return { family: family.family, role: family.role, stack: [family.family, ...family.fallback], faces };
  });
  decidePreloads(config, families);
  return { families };
}

function chooseFaces(family: FamilyConfig, sources: readonly Source[], path: string): PlannedFace[] {
  const wanted = sources.filter(
    ({ face }) => suits(face.weight, family) && (family.styles?.includes(face.style) ?? true),
  );
  checkComplete(family, wanted, sources, path);
  const { kept, findings: copies } = withoutCopies(wanted);
  const faces = kept.map((source): PlannedFace => {
    checkRights(family, source, path);
    const findings = [...source.findings, ...(copies.get(source) ?? [])];
    if (source.face.family !== family.family && source.face.family !== '') {
      const message = `the file calls its family "${source.face.family}"; the kit declares "${family.family}"`;
      findings.push(finding('family-renamed', message, { file: source.path }));
    }
    const { style, stretch } = source.face;
    const { display, rights, role } = family;
    return {
      family: family.family,
      role,
      weight: declaredWeight(source.face.weight, family),
      style,
      stretch,
      display,
      source,
      ...(rights !== undefined ? { rights } : {}),
      preload: false,
      preloadReason: '',
      findings,
    };
  });
  faces.sort(compareFaces);
  checkConflicts(faces, path);
  return faces;
}

/** Hosts give old browsers the whole of a face that newer ones get in parts. */
function withoutCoveredParts(sources: readonly Source[]): readonly Source[] {
  const faceOf = ({ face: { family, style, weight, stretch } }: Source) =>
    JSON.stringify([family, style, weight, stretch]);
  const whole = new Set(sources.filter(({ ranges }) => ranges === undefined).map(faceOf));
  return sources.filter((source) => source.ranges === undefined || !whole.has(faceOf(source)));
}

/** Of a face that is there in several formats, as in kits of old, the one that has lost the least. */
const formatOrder: readonly FontFormat[] = ['otf', 'ttf', 'woff2', 'woff', 'eot'];

function withoutCopies(all: readonly Source[]): { kept: Source[]; findings: Map<Source, Finding[]> } {
  const sources = withoutCoveredParts(all);
  const best = new Map<string, Source>();
  const copies = new Map<string, Source[]>();
  for (const source of sources) {
    const { family, style, weight, stretch, axes } = source.face;
    const key = JSON.stringify([family, style, weight, stretch, axes, source.ranges ?? null]);
    const known = best.get(key);
    const better = known && formatOrder.indexOf(source.format) < formatOrder.indexOf(known.format);
    copies.set(key, [...(copies.get(key) ?? []), source]);
    if (!known || better) best.set(key, source);
  }
  const findings = new Map<Source, Finding[]>();
  const kept = [...best].flatMap(([key, source]) => {
    const alike = copies.get(key)!;
    // Two files of one format are a conflict, which is for the user to solve.
    if (new Set(alike.map(({ format }) => format)).size < alike.length) return alike;
    const others = alike.filter((other) => other !== source).map(({ path }) => path);
    if (others.length > 0) {
      const message = `${others.join(', ')} holds the same face and is not used`;
      findings.set(source, [finding('copy-unused', message, { file: source.path })]);
    }
    return [source];
  });
  return { kept, findings };
}

const slopeOrder: readonly Slope[] = ['normal', 'italic', 'oblique'];
/** Upright faces first, each group from light to bold. */
const compareFaces = (a: Pick<PlannedFace, 'style' | 'weight'>, b: Pick<PlannedFace, 'style' | 'weight'>) =>
  slopeOrder.indexOf(a.style) - slopeOrder.indexOf(b.style) || a.weight[0] - b.weight[0];

const overlaps = (a: Range, b: Range) => a[0] <= b[1] && b[0] <= a[1];

function suits(weight: Range, { weights }: FamilyConfig): boolean {
  if (!weights) return true;
  if ('range' in weights) return overlaps(weight, weights.range);
  return weights.values.some((value) => overlaps(weight, [value, value]));
}

/** A range in the config narrows what a variable face declares. */
function declaredWeight(weight: Range, { weights }: FamilyConfig): Range {
  if (!weights || !('range' in weights)) return weight;
  return [Math.max(weight[0], weights.range[0]), Math.min(weight[1], weights.range[1])];
}

function checkComplete(
  family: FamilyConfig,
  wanted: readonly Source[],
  sources: readonly Source[],
  path: string,
): void {
  const inOrder = [...sources].sort((a, b) => compareFaces(a.face, b.face));
  const offered = [...new Set(inOrder.map(({ face }) => faceLabel(face)))].join(', ');
  const advice = `the files offer ${offered}; add the file, or take it out of the config`;
  for (const value of family.weights && 'values' in family.weights ? family.weights.values : []) {
    for (const style of family.styles ?? ['any']) {
      const found = wanted.some(
        ({ face }) => overlaps(face.weight, [value, value]) && (style === 'any' || face.style === style),
      );
      if (found) continue;
      const face = style === 'any' ? String(value) : `${value} ${style}`;
      throw new DenseGlyphError(
        'face-missing',
        `${path}: no file of ${family.family} draws ${face}`,
        {},
        advice,
      );
    }
  }
  for (const style of family.styles ?? []) {
    if (!wanted.some(({ face }) => face.style === style)) {
      throw new DenseGlyphError(
        'face-missing',
        `${path}: no file of ${family.family} is ${style}`,
        {},
        advice,
      );
    }
  }
  if (wanted.length === 0) {
    throw new DenseGlyphError(
      'face-missing',
      `${path}: no file of ${family.family} suits weights and styles`,
      {},
      advice,
    );
  }
}

/** Whether two files are parts of one face, each for its own characters. */
const areParts = ({ source: { ranges: a } }: PlannedFace, { source: { ranges: b } }: PlannedFace): boolean =>
  a !== undefined && b !== undefined && a.toJSON() !== b.toJSON();

function checkRights(family: FamilyConfig, source: Source, path: string): void {
  if (!source.licence.restricted || family.rights) return;
  throw new DenseGlyphError(
    'rights-missing',
    `${path}: the font forbids embedding (fsType), so it is not put into a kit`,
    { file: source.path },
    `if you have bought the right, say so in ${path}.rights; otherwise choose another font`,
  );
}

function checkConflicts(faces: readonly PlannedFace[], path: string): void {
  faces.forEach((face, i) => {
    const other = faces
      .slice(0, i)
      .find(
        (f) =>
          f.style === face.style &&
          overlaps(f.weight, face.weight) &&
          overlaps(f.stretch, face.stretch) &&
          !areParts(f, face),
      );
    if (!other) return;
    throw new DenseGlyphError(
      'face-conflict',
      `${path}: ${other.source.path} (${faceLabel(other)}) and ${face.source.path} (${faceLabel(face)}) draw the same style`,
    );
  });
}

/** More preloads compete with the stylesheet and the first picture for the same line. */
const automaticPreloads = 2;
const headingRoles = new Set(['heading', 'headings', 'headline', 'headlines', 'title', 'titles', 'display']);

/** Preloads what the config lists; where it leaves it open, the body face and one face for headings. */
function decidePreloads(config: KitConfig, families: readonly PlannedFamily[]): void {
  const automatic: { face: PlannedFace; reason: string }[] = [];
  const body = families.find(({ role }) => role === 'body') ?? families[0];
  config.families.forEach(({ preload }, i) => {
    const family = families[i];
    for (const face of family.faces) face.preloadReason = 'the page asks for it when it needs it';
    if (typeof preload === 'object') preloadListed(family, preload, `families[${i}].preload`);
    else if (preload === 'none') {
      for (const face of family.faces) face.preloadReason = 'the config says none';
    } else if (family === body) {
      automatic.unshift({ face: nearest(family, 400), reason: 'the text on every page starts with it' });
    } else if (headingRoles.has(family.role)) {
      automatic.push({ face: nearest(family, 700), reason: 'headings are seen first' });
    }
  });
  automatic.slice(0, automaticPreloads).forEach(({ face, reason }) => {
    face.preload = true;
    face.preloadReason = reason;
  });
}

function preloadListed(family: PlannedFamily, listed: readonly string[], path: string): void {
  for (const text of listed) {
    const [weight, style = 'normal'] = text.split(' ');
    const face = family.faces.find((f) => f.style === style && overlaps(f.weight, [+weight, +weight]));
    if (!face) {
      const offered = family.faces.map(faceLabel).join(', ');
      throw new DenseGlyphError(
        'face-missing',
        `${path}: the kit has no face ${text}`,
        {},
        `it ships ${offered}`,
      );
    }
    face.preload = true;
    face.preloadReason = 'the config lists it';
  }
}

/** The upright face that is nearest to a weight; an inclined one if there is no other. */
function nearest(family: PlannedFamily, weight: number): PlannedFace {
  const away = ({ weight: [low, high], style, source }: PlannedFace) =>
    Math.max(low - weight, weight - high, 0) +
    (style === 'normal' ? 0 : 2000) +
    // Of partial files the one with Latin letters, which most pages have some of.
    (source.ranges?.has(0x61) === false ? 1 : 0);
  return [...family.faces].sort((a, b) => away(a) - away(b))[0];
}
