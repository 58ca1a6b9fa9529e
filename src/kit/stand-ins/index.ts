/** Stand-ins: local fonts, tuned so that lines break where the face will break them. */
export { paragraphsOf, type PageParagraphs, type SampleParagraph, type SampleRun } from './sample.js';
export {
  bandsOf,
  FaceSetters,
  mainBand,
  standInsFor,
  usualIn,
  type StandIn,
  type StandInBand,
  type StandInFace,
} from './stand-ins.js';
export type { MeasuredFont } from './candidates.js';
export { classicForms, classicRules, type ClassicForm } from './classic.js';
export { measuredIdeograph, standInRules } from './rules.js';
export type { CharacterKind, Scales } from './character-kinds.js';
export type { MovedParagraph, PageMoves } from './moves.js';
export type { Moves } from './fit.js';
export {
  fittedStandIns,
  keyOf,
  kitTextFaces,
  noStandIns,
  standInsOfKit,
  type FaceStandIns,
  type FittedKit,
  type KitMoves,
  type KitText,
  type KitTextFace,
} from './of-kit.js';
