/**
 * The config: its keys and their types, reading it, and finding it.
 *
 * @example
 * // dense-glyph.config.ts
 * import { kitConfig } from 'dense-glyph/config';
 * export default kitConfig({ output: { folder: 'site/type' }, families: [{ family: 'Harbour', files: 'fonts' }] });
 */
export { configJsonSchema } from './json-schema.js';
export { loadConfig, type LoadedConfig } from './load.js';
export { readConfig } from './read.js';
export type { FamilyConfig, KitConfig } from './schema.js';
export {
  faceText,
  readFace,
  type DeclaredFile,
  type FaceChoice,
  type FileEntry,
  type PreloadChoice,
} from './face-choice.js';
export {
  kitConfig,
  type WrittenConfig,
  type WrittenFace,
  type WrittenFamily,
  type WrittenFile,
} from './written.js';
