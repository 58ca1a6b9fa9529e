/** Stand-ins: local fonts, tuned so that lines break where the face will break them. */
export { paragraphsOf, type SampleParagraph, type SampleRun } from './sample.js';
export {
  bandsOf,
  FaceSetters,
  mainBand,
  standInsFor,
  type MeasuredFont,
  type StandIn,
  type StandInBand,
  type StandInFace,
} from './stand-ins.js';
export { standInRules } from './rules.js';
export { pageMoves, type PageMoves, type MovedParagraph, type StandInsOf } from './moves.js';
export type { Moves } from './fit.js';
export { keyOf, kitTextFaces, sentencesIn, standInsOfKit, type KitText, type KitTextFace } from './of-kit.js';
