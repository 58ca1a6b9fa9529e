import { join, relative } from 'node:path';
import { readBytes } from '../io/read.js';
import { copyComparison, copyFolder, copySample } from '../io/sample.js';
import { readSite } from '../io/site-folder.js';
import { writeWhole } from '../io/write-whole.js';
import type { Manifest } from '../kit/files/manifest.js';
import { insertIntoHead } from '../site/edits/head-insertion.js';
import { adopt, type AdoptResult } from './adoption/adopt.js';
import { build } from './building/build.js';
import { init } from './drafting/init.js';
import type { OnProgress } from './progress.js';
import { scan, type ScanResult } from './scanning/scan.js';
import { wire, type WireResult } from './wiring/wire.js';

export interface DemoRequest {
  /** What `out` starts from. */
  folder: string;
  /** The folder to write to, new or empty; a temporary one if left out. */
  out?: string | undefined;
  /** Origins of a service that hosts the sample's faces: of its stylesheets, at `/css/<family>.css`, and of its files. */
  host: { styles: string; files: string };
}

export interface DemoResult {
  demoVersion: 2;
  /** Where all of it is, absolute. */
  folder: string;
  /** The site's root, absolute. */
  site: string;
  /** The same site as it was before, absolute. */
  before: string;
  /** Paths of pages below either. */
  pages: string[];
  /** The kit's folder, relative to `folder`. */
  kit: string;
  /** Where what is known of it is, relative to `folder`. */
  facts: string;
  /** What each step gave. */
  scanned: Pick<ScanResult, 'findings' | 'faces'>;
  adopted: AdoptResult;
  config: string;
  manifest: Manifest;
  wired: WireResult;
  /** What the last scan finds. */
  scannedAgain: Pick<ScanResult, 'findings' | 'faces'>;
}

/**
 * Runs the whole job on a copy of the sample site, whose faces another host serves before.
 *
 * @throws DenseGlyphError `output-foreign` for a folder that isn't empty
 */
export async function demo(request: DemoRequest, progress?: OnProgress): Promise<DemoResult> {
  const folder = await copySample(request.out, request.folder, 'site');
  const site = join(folder, 'site');
  const pages = await askHost(site, request.host.styles);
  const before = join(folder, 'before');
  await copyFolder(site, before);
  await copyComparison(folder);
  const allowHosts = [request.host.styles, request.host.files].map((origin) => new URL(origin).host);
  const scanned = await scan({ site: ['site'], folder }, progress);
  const adopted = await adopt({ inputs: ['site'], out: 'fonts', folder, allowHosts }, progress);
  const { file } = await init({ folder, fonts: ['fonts'], site: 'site' }, progress);
  const built = await build({ folder }, progress);
  const wired = await wire({ folder }, progress);
  const { findings, faces } = await scan({ site: ['site'], folder }, progress);
  return {
    demoVersion: 2,
    folder,
    site,
    before,
    pages,
    kit: relative(folder, join(folder, built.folder)),
    facts: relative(folder, join(folder, built.facts)),
    scanned: { findings: scanned.findings, faces: scanned.faces },
    adopted,
    config: file,
    manifest: built.manifest,
    wired,
    scannedAgain: { findings, faces },
  };
}

/** The sample as it was before: two stylesheets of a host in every page, and one that its own imports, in ranges of which pages draw one. */
async function askHost(site: string, styles: string): Promise<string[]> {
  const pages = (await readSite([site], site)).pages.map(({ page }) => page);
  const sheet = (name: string) => `${styles}/css/${name}.css`;
  const links = [
    `<link rel="preconnect" href="${styles}">`,
    `<link rel="stylesheet" href="${sheet('ferrywake-sans')}">`,
    `<link rel="stylesheet" href="${sheet('lampbuoy-slab')}">`,
  ];
  for (const page of pages) {
    const path = join(site, page);
    const html = new TextDecoder().decode(readBytes(path, page));
    writeWhole(path, insertIntoHead(html, `${links.join('\n')}\n`));
  }
  const path = join(site, 'site.css');
  const css = new TextDecoder().decode(readBytes(path, 'site.css'));
  writeWhole(path, `@import url("${sheet('tidelog-mono')}?cut=apart");\n${css}`);
  return pages;
}
