import type { SetApart } from '../../core/layout/set-apart.js';
import type { Finding } from '../../findings.js';
import { unicodeRangeText } from '../../core/text/unicode-ranges.js';
import { scriptsOf } from '../../core/text/scripts.js';
import { rangeText, type FontDisplay, type Slope } from '../../core/face/index.js';
import { sha256 } from '../digest.js';
import type { LeftOutFace, MadeFace, MadeKit } from '../made.js';
import type { WantedOfFace } from '../plan.js';
import type { Reach, ReachedFormat } from '../reach.js';
import { preloadsOf } from './head.js';

/** kit.json: what is in the kit and why. */
export interface Manifest {
  manifestVersion: 2;
  /** The version of dense-glyph that made the kit. */
  madeWith: string;
  /** The browsers to be served, what they need and what they lack. */
  reach: Reach;
  families: ManifestFamily[];
  /** Faces that are at hand and that no page draws. */
  leftOut: LeftOutFace[];
  /** What a visit to each page fetches of faces, the heaviest first; empty where the pages weren't read. */
  pages: { page: string; bytes: number; files: string[] }[];
  /** Files to preload, relative to the kit. */
  preloads: string[];
  /** Every font file of the kit, with its digest. */
  files: Record<string, { bytes: number; sha256: string }>;
  /** Its other files, but this one. They change from build to build under the same name. */
  texts: string[];
}

export interface ManifestFamily {
  family: string;
  role: string;
  /** The value of `font-family`. */
  stack: string[];
  faces: ManifestFace[];
}

export interface ManifestFace {
  /** As in `font-weight`: one number, or two for a range. */
  weight: string;
  style: Slope;
  /** As in `font-stretch`. */
  stretch: string;
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
  /** Why it isn't cut to what the site draws. */
  wholeReason?: string;
  /** Where the source disagrees with itself or with the config. */
  findings: Finding[];
}

export interface ManifestPart {
  file: string;
  /** All of the face, what the site draws, or what is beyond. */
  part: 'full' | 'site' | 'rest';
  /** What a browser asks for: absolute where output.url is set, else relative to kit.css. */
  url: string;
  format: ReachedFormat['format'];
  bytes: number;
  sha256: string;
  /** The characters in it, as `unicode-range` writes them. */
  characters: string;
  /** Of a variable face: what the same would weigh without its axes. */
  stillBytes?: number;
  /** Of a rest: what takes letters of both parts, and is lost between them; no text of the pages has any. */
  apart?: SetApart;
  /** What of the source it doesn't carry. */
  dropped: string[];
  /** What was changed inside, so that old browsers link it as its rule does. */
  changed: string[];
}

export function manifestOf(kit: MadeKit, version: string): Manifest {
  const families = kit.families.map(({ family, role, stack, faces }) => ({
    family,
    role,
    stack,
    faces: faces.map((face) => manifestFace(face, kit.address.url ?? '')),
  }));
  const files = [...kit.files].sort(([a], [b]) => (a < b ? -1 : 1));
  const isFont = (path: string) => path.startsWith('faces/');
  return {
    manifestVersion: 2,
    madeWith: version,
    reach: kit.reach,
    families,
    leftOut: kit.leftOut,
    pages: pagesOf(kit),
    preloads: preloadsOf(kit),
    files: Object.fromEntries(
      files
        .filter(([path]) => isFont(path))
        .map(([path, bytes]) => [path, { bytes: bytes.length, sha256: sha256(bytes) }]),
    ),
    texts: files.map(([path]) => path).filter((path) => !isFont(path)),
  };
}

/** A page fetches the first part of each face that it draws. */
function pagesOf(kit: MadeKit): Manifest['pages'] {
  const pages = new Map<string, { bytes: number; files: string[] }>();
  for (const { part, wanted } of kit.families.flatMap(({ faces }) => faces)) {
    for (const page of wanted?.pages ?? []) {
      const known = pages.get(page) ?? { bytes: 0, files: [] };
      known.bytes += part.bytes.length;
      known.files.push(part.file);
      pages.set(page, known);
    }
  }
  return Array.from(pages, ([page, fetched]) => ({ page, ...fetched })).sort((a, b) => b.bytes - a.bytes);
}

const rulesTold = 3;

const demandTold = ({
  pages,
  weights,
  languages,
  rules,
}: WantedOfFace): NonNullable<ManifestFace['demand']> => ({
  pages: pages.length,
  weights,
  languages,
  rules: rules.slice(0, rulesTold),
});

function manifestFace(face: MadeFace, base: string): ManifestFace {
  const { weight, style, stretch, display, preload, preloadReason, source, part, rest, older } = face;
  const { findings, wanted, wholeReason } = face;
  return {
    weight: rangeText(weight),
    style,
    stretch: rangeText(stretch, '%'),
    display,
    preload,
    preloadReason,
    source: { path: source.path, bytes: source.size, sha256: sha256(source.bytes) },
    madeFrom: face.madeFrom,
    ...(source.ranges ? { partial: scriptsOf(source.ranges)[0]?.name ?? 'signs' } : {}),
    ...(wanted ? { demand: demandTold(wanted) } : {}),
    ...(wholeReason === undefined ? {} : { wholeReason }),
    parts: [part, ...(rest ? [rest] : []), ...older].map((made) => ({
      file: made.file,
      part: made.name,
      url: base + made.file,
      format: made.format,
      bytes: made.bytes.length,
      sha256: made.sha256,
      characters: unicodeRangeText(made.characters),
      ...(made.stillBytes === undefined ? {} : { stillBytes: made.stillBytes }),
      ...(made.apart === undefined ? {} : { apart: made.apart }),
      dropped: made.dropped,
      changed: made.changed,
    })),
    findings,
  };
}
