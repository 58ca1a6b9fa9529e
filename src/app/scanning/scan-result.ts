import type { Finding } from '../../findings.js';
import type { KeptPage } from '../../kit/planning/kept-demand.js';
import type { AskedStyle, AskingRule, DrawnPlace } from '../../site/usage/page-face.js';

/** A declared face, as its rule states it. */
export interface DrawingFace {
  family: string;
  weight: string;
  style: string;
  url: string;
}

export interface ScannedFace {
  asked: AskedStyle;
  /** null for a local font. */
  drawnBy: DrawingFace | null;
  /** What the browser makes up, as no face has it. */
  faked: ('bold' | 'slant')[];
  certainty: 'drawn' | 'possible';
  /** As `unicode-range` writes them. */
  characters: string;
  /** OpenType features that styles turn on with it, `font-variation-settings`, and languages of fields that visitors type into. */
  features?: string[];
  variations?: string[];
  typedIn?: string[];
  /** For each character the first element that draws it with the face, where places are asked for. */
  places?: DrawnPlace[];
}

export interface ScanResult {
  demandVersion: 1;
  pages: ScannedResultPage[];
  faces: {
    asked: AskedStyle;
    drawnBy: DrawingFace | null;
    characters: string;
    /** Of the file that draws it, where it is at hand. */
    bytes: number | null;
    pages: number;
    rules: AskingRule[];
  }[];
  findings: (Finding & { pages: string[] })[];
}

/** A page with the faces that its rules choose; with what it asks for before that, enough to build a kit from. */
export interface ScannedResultPage extends Partial<Omit<KeptPage, 'page' | 'languages'>> {
  page: string;
  languages: string[];
  faces: ScannedFace[];
}
