import type { SetApart } from '../../core/layout/set-apart.js';
import type { Finding } from '../../findings.js';
import { unicodeRangeText } from '../../core/text/unicode-ranges.js';
import { scriptsOf } from '../../core/text/scripts.js';
import { rangeText, type DrawingDescriptors, type FontDisplay, type Slope } from '../../core/face/index.js';
import { sha256 } from '../digest.js';
import { everyScreen } from '../../site/usage/page-face.js';
import { facesOf, type KeptStylesheet, type KitFace, type MadeKit } from '../kit.js';
import type { KitMoves, StandInBand } from '../stand-ins/index.js';
import type { LoadingPlan } from '../planning/plan-loading.js';
import type { ToldDemand } from '../planning/cut.js';
import { fetchedPart, type LeftOutFace, type Slice } from '../planning/made.js';
import type { Reach, ReachedFormat } from '../reach.js';
import { preloadsOf } from './head.js';
import { loaderFacts, type LoaderFacts } from './loader.js';
import { stackOf } from './stylesheet.js';

/** Of kit.json, as this program writes and reads it. */
export const manifestVersion = 6;

/** kit.json: what is in the kit and why. */
export interface Manifest {
  manifestVersion: typeof manifestVersion;
  /** The version of dense-glyph that made the kit. */
  madeWith: string;
  /** The kit's folder as seen from that of this file, with a slash at the end; empty where it is the same. */
  folder: string;
  /** The browsers to be served, what they need and what they lack. */
  reach: Reach;
  families: ManifestFamily[];
  /** Faces that are at hand and that no page draws. */
  leftOut: readonly LeftOutFace[];
  /** Stylesheets of hosts: what they have besides the kit's faces is in the kit too. */
  stylesheets: readonly KeptStylesheet[];
  /**
   * What a visit to each page fetches of faces, on the screen (width, colour scheme) where it is most; other files are fetched on
   * others. The heaviest first; empty where the pages weren't read.
   */
  pages: { page: string; bytes: number; files: string[]; otherFiles: string[] }[];
  /** Pages that fetch nothing on load, and may draw something of the kit after something happens. */
  otherPages: string[];
  /** What moves on the pages when the faces arrive, and what stand-ins save of it. */
  moves: KitMoves;
  /** What each page asks for ahead, by what that brings on which lines; where pages were read. */
  plan?: LoadingPlan;
  /** The script that switches groups of faces on together, where the config has such. */
  loader?: LoaderFacts;
  /** Files to preload, relative to the kit. */
  preloads: string[];
  /** Every font file of the kit, with its digest. */
  files: Record<string, { bytes: number; sha256: string }>;
  /** Its other files. They change from build to build under the same name. */
  texts: string[];
}

export interface ManifestFamily {
  family: string;
  role: string;
  /** The value of `font-family`, with what stands in for the family. */
  stack: readonly string[];
  faces: ManifestFace[];
}

export interface ManifestFace {
  /** As in `font-weight`: one number, or two for a range. */
  weight: string;
  style: Slope;
  /** As in `font-stretch`. */
  stretch: string;
  /** Other descriptors of its rule, as CSS writes them. */
  descriptors?: DrawingDescriptors;
  display: FontDisplay;
  preload: boolean;
  preloadReason: string;
  /** The font file that it was made from, relative to the config. */
  source: { path: string; bytes: number; sha256: string };
  /** Of a file that is a part of a face, for some of its characters: the script that most of them are of. */
  partial?: string;
  /** A digest of all that decides what is in its parts; the next build takes them over where it is the same. */
  madeFrom: string;
  parts: ManifestPart[];
  /** The pages that draw it on load and the rules that ask for it, those behind most text first. */
  demand?: {
    pages: number;
    /** Weights that they ask for. */
    weights: readonly number[];
    /** Languages that came in, as visitors type in them or a script brings the text. */
    languages: readonly string[];
    rules: { file: string; line: number; selector: string }[];
  };
  /** Local fonts that are drawn until it arrives, by weight; how many paragraphs have other lines then. */
  standIns: readonly StandInBand[];
  /** Where the source disagrees with itself or with the config. */
  findings: readonly Finding[];
}

export interface ManifestPart {
  file: string;
  /** All of the face, what the site draws, or what is beyond. */
  slice: Slice;
  /** What a browser asks for: absolute where output.url is set, else relative to kit.css. */
  url: string;
  format: ReachedFormat['format'];
  bytes: number;
  sha256: string;
  /** The characters in it, as `unicode-range` writes them. */
  characters: string;
  /** Of a variable face: what the same would weigh without its axes. */
  stillBytes?: number;
  /** What it has for what scripts may write, besides what pages draw, and what that weighs in bytes. */
  completed?: { characters: string; bytes: number };
  /** Of a rest: what takes letters of both parts, and is lost between them; no text of the pages has any. */
  apart?: SetApart;
  /** What of the source it doesn't carry, what was changed inside for old browsers, and why it is the whole. */
  findings: readonly Finding[];
}

export const manifestFile = (manifest: Manifest): [name: string, text: string] => [
  'kit.json',
  `${JSON.stringify(manifest, null, 2)}\n`,
];

export function manifestOf(kit: MadeKit, version: string): Manifest {
  const families = kit.families.map((one): ManifestFamily => ({
    family: one.family,
    role: one.role,
    stack: stackOf(one),
    faces: one.faces.map((face) => manifestFace(face, kit.address.url ?? '')),
  }));
  const loader = loaderFacts(kit);
  const files = [...kit.files].sort(([a], [b]) => (a < b ? -1 : 1));
  const isFont = (path: string) => path.startsWith('faces/');
  const pages = pagesOf(kit);
  return {
    manifestVersion,
    madeWith: version,
    folder: kit.address.fromFacts ?? '',
    reach: kit.reach,
    families,
    leftOut: kit.leftOut,
    stylesheets: kit.stylesheets,
    pages,
    otherPages: otherPagesOf(kit, pages),
    moves: kit.moves,
    ...(kit.plan ? { plan: kit.plan } : {}),
    ...(loader ? { loader } : {}),
    preloads: preloadsOf(kit),
    files: Object.fromEntries(
      files
        .filter(([path]) => isFont(path))
        .map(([path, bytes]) => [path, { bytes: bytes.length, sha256: sha256(bytes) }]),
    ),
    texts: files.map(([path]) => path).filter((path) => !isFont(path)),
  };
}

interface FetchedFile {
  file: string;
  bytes: number;
  screens: Set<number>;
}

/** A page fetches the first part of each face that it draws or measures lines by; faces of one file once. */
function pagesOf(kit: MadeKit): Manifest['pages'] {
  const pages = new Map<string, Map<string, FetchedFile>>();
  for (const face of facesOf(kit)) {
    const { file, bytes } = fetchedPart(face);
    for (const [page, screens] of face.demand?.fetched ?? []) {
      if (!pages.has(page)) pages.set(page, new Map());
      const files = pages.get(page)!;
      const known = files.get(file) ?? { file, bytes: bytes.length, screens: new Set() };
      for (const screen of screens) known.screens.add(screen);
      files.set(file, known);
    }
  }
  return Array.from(pages, ([page, files]) => ({ page, ...heaviestVisit([...files.values()]) })).sort(
    (a, b) => b.bytes - a.bytes,
  );
}

/** What one screen fetches together, where that is most. */
function heaviestVisit(files: readonly FetchedFile[]): Omit<Manifest['pages'][number], 'page'> {
  const screens = new Set([everyScreen, ...files.flatMap((one) => [...one.screens])]);
  const visits = Array.from(screens, (screen) => {
    const fetched = files.filter((one) => one.screens.has(screen) || one.screens.has(everyScreen));
    return { fetched, bytes: fetched.reduce((sum, { bytes }) => sum + bytes, 0) };
  });
  const { fetched, bytes } = visits.reduce((most, one) => (one.bytes > most.bytes ? one : most));
  const others = files.filter((one) => !fetched.includes(one));
  return { bytes, files: fetched.map(({ file }) => file), otherFiles: others.map(({ file }) => file) };
}

function otherPagesOf(kit: MadeKit, pages: Manifest['pages']): string[] {
  const known = new Set(pages.map(({ page }) => page));
  const others = new Set(facesOf(kit).flatMap(({ demand }) => [...(demand?.mayDraw ?? [])]));
  return [...others].filter((page) => !known.has(page)).sort();
}

const rulesTold = 3;

const demandTold = ({
  pages,
  weights,
  languages,
  rules,
}: ToldDemand): NonNullable<ManifestFace['demand']> => ({
  pages: pages.length,
  weights,
  languages,
  rules: rules.slice(0, rulesTold),
});

function manifestFace(face: KitFace, base: string): ManifestFace {
  const { weight, style, stretch, descriptors, display, preload, preloadReason, source } = face;
  const { findings, demand } = face;
  return {
    weight: rangeText(weight),
    style,
    stretch: rangeText(stretch, '%'),
    ...(descriptors ? { descriptors } : {}),
    display,
    preload,
    preloadReason,
    source: { path: source.path, bytes: source.size, sha256: sha256(source.bytes) },
    madeFrom: face.madeFrom,
    ...(source.ranges ? { partial: scriptsOf(source.ranges)[0]?.name ?? 'signs' } : {}),
    ...(demand ? { demand: demandTold(demand) } : {}),
    parts: face.parts.map((made) => ({
      file: made.file,
      slice: made.slice,
      url: base + made.file,
      format: made.format,
      bytes: made.bytes.length,
      sha256: made.sha256,
      characters: unicodeRangeText(made.characters),
      ...(made.stillBytes === undefined ? {} : { stillBytes: made.stillBytes }),
      ...(made.completed === undefined
        ? {}
        : { completed: { ...made.completed, characters: unicodeRangeText(made.completed.characters) } }),
      ...(made.apart === undefined ? {} : { apart: made.apart }),
      findings: made.findings,
    })),
    standIns: face.standIns,
    findings,
  };
}
