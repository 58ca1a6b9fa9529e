/** What CSS sees of a font file, and the rules that declare it. */
export {
  drawingDescriptors,
  isDrawingValue,
  type DrawingDescriptor,
  type DrawingDescriptors,
} from './descriptors.js';
export { faceKey, faceLabel } from './label.js';
export { faceStyleOf, overlaps, type FaceStyle, type Range, type Slope } from './style.js';
export {
  cssString,
  fontFaceText,
  fontFamilyList,
  formatHints,
  rangeText,
  type FontDisplay,
  type FontFaceRule,
} from './font-face.js';
