/**
 * Font files as a user names them: `openFile` opens one, `chooseFaces` picks faces of a collection, `sourcesOf` says what CSS
 * sees of each.
 */
export { openFile, type OpenedFace } from './opened-face.js';
export { chooseFaces, type NamedFace } from './choose-faces.js';
export { declaredSource, sourcesOf, type Declaration, type DeclaredDrawing, type Source } from './source.js';
export type { NamedFile } from './named-file.js';
