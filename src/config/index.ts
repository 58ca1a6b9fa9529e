/** The config: its keys and their types, reading it, and finding it. */
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
