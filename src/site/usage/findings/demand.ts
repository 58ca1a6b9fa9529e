import type { FaceRule, MatchedFace } from '../declared-faces.js';
import type { LinkedStylesheet, OnPages, SiteProblem } from '../found-on-pages.js';
import type { HostedReference } from '../hosted-references.js';
import type { Preload } from '../preloads.js';

/** A page with the faces that it asks for and the rules that declare some. */
export interface PageDemand {
  page: string;
  faces: readonly MatchedFace[];
  rules: readonly FaceRule[];
  preloads: readonly Preload[];
  /** Scripts of a page that has hardly any text without them. */
  scripts: number;
  /** Whether browsers know how to read it. */
  isEncodingNamed: boolean;
  isBounded: boolean;
}

/** What was found while pages were read. */
export interface FoundOnSite {
  problems: readonly OnPages<SiteProblem>[];
  hosted: readonly OnPages<HostedReference>[];
  sheets: readonly OnPages<LinkedStylesheet>[];
}
