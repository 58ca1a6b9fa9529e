import type { CodePointRanges } from '../core/text/unicode-ranges.js';
import type { PlannedFace, PlannedFamily } from './plan.js';

/** One delivered file of a face. */
export interface Part {
  /** Path inside the kit: `faces/….woff2`. */
  file: string;
  bytes: Uint8Array;
  sha256: string;
  characters: CodePointRanges;
  /** Tables that the format doesn't carry, in words. */
  dropped: string[];
}

export interface MadeFace extends PlannedFace {
  part: Part;
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
  address: KitAddress;
  /** The licence texts that go with it: their path in the kit, and the source that each came from. */
  licences: Map<string, string>;
  /** Everything but the manifest, by path inside the kit. */
  files: Map<string, Uint8Array>;
}
