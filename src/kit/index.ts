/**
 * The kit: from a config and opened fonts to the files of the folder that is published. Pure: `dense-glyph` itself reads and
 * writes.
 */
export { makeKit, type KitRequest } from './make.js';
export type { KitAddress } from './made.js';
export { faceLabel, planKit, type KitPlan, type PlannedFace, type PlannedFamily } from './plan.js';
export { reachOf, type Reach } from './reach.js';
export { headMarkup } from './files/head.js';
export type { Manifest, ManifestFace, ManifestFamily, ManifestPart } from './files/manifest.js';
export { makeSubset, type SubsetFile, type SubsetTask } from './subset-file.js';
