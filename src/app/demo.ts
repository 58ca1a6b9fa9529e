import { join, posix, relative } from 'node:path';
import { loadConfig } from '../config/load.js';
import { readBytes } from '../io/read.js';
import { copySample } from '../io/sample.js';
import { pagesIn } from '../io/site-files.js';
import { writeWhole } from '../io/write-whole.js';
import { headMarkup } from '../kit/files/head.js';
import type { Manifest } from '../kit/files/manifest.js';
import { insertIntoHead } from '../site/edits/head-insertion.js';
import { buildKit } from './build.js';
import type { OnProgress } from './progress.js';

export interface DemoRequest {
  /** What `out` starts from. */
  folder: string;
  /** The folder to write to, new or empty; a temporary one if left out. */
  out?: string | undefined;
}

export interface DemoResult {
  demoVersion: 1;
  /** Where all of it is, absolute. */
  folder: string;
  /** The site's root, absolute. */
  site: string;
  /** Paths below it. */
  pages: string[];
  /** The kit's folder, relative to `folder`. */
  kit: string;
  manifest: Manifest;
}

/**
 * Runs the whole job on a copy of the sample site.
 *
 * @throws DenseGlyphError `output-foreign` for a folder that isn't empty
 */
export async function demo(request: DemoRequest, progress?: OnProgress): Promise<DemoResult> {
  const folder = await copySample(request.out, request.folder);
  const { config, base } = await loadConfig(folder, 'dense-glyph.config.yaml');
  const { manifest, folder: kitFolder } = await buildKit(config, base, progress);
  const site = join(folder, config.site.root);
  const pages = await linkPages(site, relative(site, kitFolder).replaceAll('\\', '/'), manifest.preloads);
  return { demoVersion: 1, folder, site, pages, kit: relative(folder, kitFolder), manifest };
}

/** Puts the kit's head markup into every page, with URLs that fit the folder of each. */
async function linkPages(site: string, kit: string, preloads: readonly string[]): Promise<string[]> {
  const pages = (await pagesIn(site)).filter((page) => !page.startsWith(`${kit}/`));
  for (const page of pages) {
    const path = join(site, page);
    const base = `${posix.relative(posix.dirname(page), kit)}/`;
    const html = new TextDecoder().decode(readBytes(path, page));
    writeWhole(path, insertIntoHead(html, headMarkup(preloads, base)));
  }
  return pages;
}
