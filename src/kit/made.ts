import type { SetApart } from '../core/layout/set-apart.js';
import type { CodePointRanges } from '../core/text/unicode-ranges.js';
import type { PlannedFace, PlannedFamily } from './plan.js';
import type { Reach, ReachedFormat } from './reach.js';

/** One delivered file of a face. */
export interface Part {
  /** Path inside the kit: `faces/….woff2`. */
  file: string;
  /** All of the face, what the site draws, or what is beyond. */
  name: 'full' | 'site' | 'rest';
  format: ReachedFormat['format'];
  bytes: Uint8Array;
  sha256: string;
  characters: CodePointRanges;
  /** What of the source it doesn't carry, in words. */
  dropped: string[];
  /** Of a variable face: what the same would weigh without its axes, at the start of them. */
  stillBytes?: number | undefined;
  /** Of a rest: what takes letters of both parts, and is lost between them. */
  apart?: SetApart | undefined;
  /** What was changed inside, so that old browsers link it as its rule does. */
  changed: string[];
}

export interface MadeFace extends PlannedFace {
  /** A digest of all that decides what is in its parts. */
  madeFrom: string;
  /** The WOFF2 file that pages fetch. */
  part: Part;
  /** What the face has beyond, as WOFF2. */
  rest?: Part | undefined;
  /** Why it isn't cut to what the site draws. */
  wholeReason?: string | undefined;
  /** The same in other formats, for browsers that ask for them; the better ones first. */
  older: Part[];
}

/** A face that is at hand and that no page draws. */
export interface LeftOutFace {
  family: string;
  /** As in `700 italic`. */
  face: string;
  /** What it would weigh as a next style, with the characters that its family draws most of. */
  bytes: number;
  madeFrom: string;
}

export interface MadeFamily extends Omit<PlannedFamily, 'faces'> {
  faces: MadeFace[];
}

/** Where pages find the kit. */
export interface KitAddress {
  /** What browsers ask for, with a slash at the end; undefined for relative URLs. */
  url?: string;
  /** The kit's folder as seen from the site's root, with a slash at the end; used where there is no `url`. */
  fromRoot: string;
}

export interface MadeKit {
  families: MadeFamily[];
  leftOut: LeftOutFace[];
  reach: Reach;
  address: KitAddress;
  /** The licence texts that go with it: their path in the kit, and the source that each came from. */
  licences: Map<string, string>;
  /** Everything but the manifest, by path inside the kit. */
  files: Map<string, Uint8Array>;
}
