/** What the page is given: the document of `scan --json`, and lines of the sources. */
export interface Report {
  pages: { page: string; languages: string[]; faces: PageFace[] }[];
  faces: SiteFace[];
  findings: Finding[];
  /** By `file:line`. */
  sources: Record<string, { first: number; lines: string[] }>;
}

export interface Asked {
  family: string;
  weight: number;
  style: string;
  stretch: number;
}

export type DrawnBy = { family: string; weight: string; style: string; url: string } | null;

export interface PageFace {
  asked: Asked;
  drawnBy: DrawnBy;
  faked: string[];
  certainty: 'drawn' | 'possible';
  characters: string;
  places?: { line: number; element: string; text: string; characters: string }[];
}

export interface SiteFace {
  asked: Asked;
  drawnBy: DrawnBy;
  characters: string;
  bytes: number | null;
  pages: number;
  rules: { file: string; line: number; selector: string; property: string }[];
}

export interface Finding {
  code: string;
  severity: 'error' | 'warning' | 'note';
  message: string;
  effect: string;
  advice: string;
  place: { file?: string; line?: number; selector?: string };
  pages: string[];
}

export const faceText = ({ family, weight, style, stretch }: Asked): string =>
  [family, weight, style === 'normal' ? '' : style, stretch === 100 ? '' : `${stretch}%`]
    .filter(Boolean)
    .join(' ');

/** Tells faces apart that are asked for and drawn alike. */
export const keyOf = (face: { asked: Asked; drawnBy: DrawnBy }): string =>
  JSON.stringify([face.asked, face.drawnBy?.url ?? null]);

/** Code points of ranges as `unicode-range` writes them. */
export function codePointsIn(ranges: string): number[] {
  return ranges
    .split(',')
    .filter((range) => range.trim() !== '')
    .flatMap((range) => {
      const [first, last = first] = range
        .trim()
        .slice(2)
        .split('-')
        .map((hex) => parseInt(hex, 16));
      return Array.from({ length: last - first + 1 }, (_, i) => first + i);
    });
}

const invisible = /^[\s\p{C}\p{M}]$/u;

/** A character, or its code point where there is nothing to see. */
export function signOf(codePoint: number): string {
  const character = String.fromCodePoint(codePoint);
  return invisible.test(character) ? codePointText(codePoint) : character;
}

export const codePointText = (codePoint: number): string =>
  `U+${codePoint.toString(16).toUpperCase().padStart(4, '0')}`;
