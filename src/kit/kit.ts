import type { LoadedFace, LoadedFamily } from './planning/loading.js';
import type { FaceStandIns, KitMoves, StandInBand } from './stand-ins/index.js';
import type { LoadingPlan } from './planning/plan-loading.js';
import type { LeftOutFace } from './planning/made.js';
import type { Reach } from './reach.js';

/** Where pages find the kit. */
export interface KitAddress {
  /** What browsers ask for, with a slash at the end; undefined for relative URLs. */
  url?: string;
  /** The kit's folder as seen from the site's root, with a slash at the end; used where there is no `url`. */
  fromRoot: string;
  /** The same as seen from the folder of its facts; they lie in the kit itself if left out. */
  fromFacts?: string | undefined;
}

/** What a stylesheet of a host has besides the faces of the kit. */
export interface KeptStylesheet {
  /** As pages ask for it. */
  url: string;
  /** Families that it declares. */
  families: readonly string[];
  /** Its place in the kit, where it has more than the kit's own faces; undefined where nothing is left of it. */
  file?: string | undefined;
  /** Faces that go with it and that no page draws. */
  undrawn: readonly string[];
  /** Why it stays where it is. */
  stays?: string | undefined;
}

/** A face with the local fonts that stand in for it. */
export interface KitFace extends LoadedFace {
  standIns: readonly StandInBand[];
  /** Text to look at it by, where something stands in for it. */
  sample?: FaceStandIns['sample'] | undefined;
}

export interface KitFamily extends Omit<LoadedFamily, 'faces'> {
  faces: readonly KitFace[];
}

/** A kit, decided and made. */
export interface MadeKit {
  families: readonly KitFamily[];
  moves: KitMoves;
  /** Where pages were read. */
  plan: LoadingPlan | undefined;
  leftOut: readonly LeftOutFace[];
  stylesheets: readonly KeptStylesheet[];
  reach: Reach;
  address: KitAddress;
  /** The licence texts that go with it: their path in the kit, and the source that each came from. */
  licences: Map<string, string>;
  /** What is published, by path inside the kit. */
  files: Map<string, Uint8Array>;
}

export const facesOf = ({ families }: Pick<MadeKit, 'families'>): KitFace[] =>
  families.flatMap(({ faces }) => [...faces]);
