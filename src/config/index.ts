/** The config: its keys and their types, reading it, and finding it. */
export { configJsonSchema } from './json-schema.js';
export { loadConfig, type LoadedConfig } from './load.js';
export { readConfig } from './read.js';
export type { FamilyConfig, KitConfig, PreloadChoice, WeightChoice } from './schema.js';
