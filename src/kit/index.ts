/**
 * The kit: from a config and font files to the folder that is published. `buildKit` does all of it; the steps are
 * there one by one for programs that want to look in between.
 */
import { relative, resolve } from 'node:path';
import type { KitConfig } from './config.js';
import type { Manifest } from './files/manifest.js';
import { makeKit } from './make.js';
import { planKit } from './plan.js';
import { reachOf } from './reach.js';
import { expandPaths, readSources, type Source } from './sources.js';
import { version } from './version.js';
import { writeKitFolder } from './write.js';

export { readConfig, type FamilyConfig, type KitConfig } from './config.js';
export { loadConfig, type LoadedConfig } from './config-file.js';
export { headMarkup } from './files/head.js';
export type { Manifest, ManifestFace, ManifestFamily, ManifestPart } from './files/manifest.js';
export { makeKit } from './make.js';
export type { KitAddress } from './made.js';
export { faceLabel, planKit, type KitPlan, type PlannedFace, type PlannedFamily } from './plan.js';
export { expandPaths, readSources, type Source } from './sources.js';
export { reachOf, type Reach } from './reach.js';
export { writeKitFolder, writeWhole } from './write.js';
export { version };

export interface BuiltKit {
  manifest: Manifest;
  /** The kit's folder. */
  folder: string;
  /** False where the folder held the same already. */
  changed: boolean;
}

/**
 * Builds the kit that a config describes and writes it.
 *
 * @param base the folder that the paths in the config start from
 * @throws DenseGlyphError
 * @example await buildKit({ output: { folder: 'site/type' }, families: [{ … }] }, process.cwd());
 */
export async function buildKit(config: KitConfig, base: string): Promise<BuiltKit> {
  const sources: Source[][] = [];
  for (const { files } of config.families) {
    const paths = await expandPaths(files, base);
    const opened = await Promise.all(paths.map((path) => readSources(path, base)));
    sources.push(opened.flat());
  }
  const plan = planKit(config, sources);

  const folder = resolve(base, config.output.folder);
  const files = await makeKit(plan, reachOf(config.reach, base), addressOf(config, base), version());
  const manifest = JSON.parse(new TextDecoder().decode(files.get('kit.json'))) as Manifest;
  return { manifest, folder, changed: await writeKitFolder(folder, files) };
}

function addressOf({ site, output }: KitConfig, base: string) {
  const root = resolve(base, site?.root ?? '.');
  const fromRoot = `${relative(root, resolve(base, output.folder)).replaceAll('\\', '/')}/`;
  const url = output.url;
  return url === undefined ? { fromRoot } : { fromRoot, url: url.endsWith('/') ? url : `${url}/` };
}
