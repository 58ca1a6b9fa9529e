/**
 * The kit: from a config and opened fonts to the files of the folder that is published. Pure: `dense-glyph` itself reads and
 * writes.
 *
 * @example
 * const config = readConfig({ output: { folder: 'type' }, families: [{ family: 'Harbour', files: 'harbour.ttf' }] }, 'config');
 * const sources = sourcesOf({ path: 'harbour.ttf', bytes }, []);
 * const site = siteOf(new Map([['index.html', page]]));
 * const scanned = await new PageScanner(site).scanned(site.pages[0]);
 * const cut = await plannedFaces(config, [sources], scanned.map(demandingPage));
 * const { files } = await makeKit({ config, cut, reach: reachOf(config.reach, undefined),
 *   address: { fromRoot: 'type/' }, version: '', processors: 1 });
 */
export { makeKit, type KitRequest } from './make.js';
export type { KeptStylesheet, KitAddress, MadeKit } from './kit.js';
export { chosenFaces, type ChosenFace, type ChosenFamily } from './planning/chosen.js';
export { demandingPage, plannedFaces } from './planning/plan.js';
export { demandOnKit, type DemandingPage, type FaceDemand } from './planning/demand.js';
export { cutToDemand, type Cut, type CutFace, type CutFamilies, type CutFamily } from './planning/cut.js';
export { decidedLoading, type LoadedFace, type LoadedFamily } from './planning/loading.js';
export type { LeftOutFace, MadeFace, MadeFamily, Part, Slice } from './planning/made.js';
export { Visits } from './planning/visits.js';
export type { LoadingPlan } from './planning/plan-loading.js';
export type { PagePlan, PageTimes, PageVisit } from './timeline/index.js';
export { reachOf, type Reach } from './reach.js';
export { headMarkup } from './files/head.js';
export type { Manifest, ManifestFace, ManifestFamily, ManifestPart } from './files/manifest.js';
export {
  kitTextFaces,
  paragraphsOf,
  type KitMoves,
  type KitText,
  type PageMoves,
  type StandIn,
  type StandInBand,
} from './stand-ins/index.js';
export { makeSubset, type SubsetFile, type SubsetTask } from './subset-file.js';
