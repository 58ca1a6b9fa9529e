import type { Command } from 'commander';
import colors from 'picocolors';
import { cp, mkdir, mkdtemp, readdir, readFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join, posix, relative, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { DenseGlyphError } from '../core/errors.js';
import { buildKit, headMarkup, loadConfig, writeWhole } from '../kit/index.js';
import { insertIntoHead } from '../site/index.js';
import { count } from './format.js';
import { kitLines } from './kit-summary.js';
import { Reporter, type CommonOptions, type Terminal } from './terminal.js';

interface DemoOptions extends CommonOptions {
  out?: string;
  serve?: boolean;
  port: string;
}

const sample = fileURLToPath(new URL('../../sample', import.meta.url));

export function configure(command: Command, terminal: Terminal): void {
  command
    .option('--out <dir>', 'the folder to write to; a temporary one if left out')
    .option('--serve', 'serve the result until Ctrl+C')
    .option('--port <number>', 'the port to serve on', '8420')
    .addHelpText('after', '\nExample:\n  dense-glyph demo --out ferries --serve\n')
    .action((options: DemoOptions) => demo(options, terminal));
}

async function demo(options: DemoOptions, terminal: Terminal): Promise<void> {
  const reporter = new Reporter(terminal, options);
  const port = Number(options.port);
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new DenseGlyphError(
      'call-invalid',
      `--port: "${options.port}" is not a port`,
      {},
      'give a number up to 65535',
    );
  }
  const folder = await prepareFolder(options.out, terminal.folder);
  const { config, base } = await loadConfig(folder, 'dense-glyph.config.yaml');
  reporter.progress('building the kit of the sample site');
  const { manifest, folder: kitFolder, changed } = await buildKit(config, base);
  const site = join(folder, config.site!.root);
  const kit = relative(site, kitFolder).replaceAll('\\', '/');
  const pages = await linkPages(site, kit, manifest.preloads);
  reporter.result({ folder, site, pages, kit: relative(folder, kitFolder), manifest });
  const shown = (path: string) => shortest(path, terminal.folder);
  reporter.say(...kitLines(manifest, shown(kitFolder), changed), '');
  reporter.say(
    `${colors.bold('Site')}  ${shown(join(site, 'index.html'))}`,
    `      ${count(pages.length, 'page')} in English, Greek and Polish, each with the kit’s head markup`,
    `${colors.bold('Proof')} ${shown(join(kitFolder, 'proof.html'))}`,
    '      every face at reading sizes, its load state, and a switch that turns web fonts off',
  );
  if (options.serve) await serve(site, kit, port, reporter);
  else if (!options.json)
    reporter.say('', 'Next  open them, or see them over HTTP with dense-glyph demo --serve');
}

/** A path as seen from a folder, unless it leads out of it. */
function shortest(path: string, folder: string): string {
  const inside = relative(folder, path);
  return inside && !inside.startsWith('..') ? inside : path;
}

/** Copies the sample into a folder that is empty or new, so that nothing is written over. */
async function prepareFolder(out: string | undefined, from: string): Promise<string> {
  const folder = out ? resolve(from, out) : await mkdtemp(join(tmpdir(), 'dense-glyph-demo-'));
  const present = await readdir(folder).catch(() => []);
  if (present.length > 0) {
    throw new DenseGlyphError(
      'output-foreign',
      'the folder is not empty',
      { file: out! },
      'name a new folder',
    );
  }
  await mkdir(folder, { recursive: true });
  await cp(sample, folder, { recursive: true });
  return folder;
}

/** Puts the kit's head markup into every page, with URLs that fit the folder of each. */
async function linkPages(site: string, kit: string, preloads: readonly string[]): Promise<string[]> {
  const entries = await readdir(site, { recursive: true });
  const pages = entries
    .map((entry) => entry.replaceAll('\\', '/'))
    .filter((entry) => entry.endsWith('.html') && !entry.startsWith(`${kit}/`));
  for (const page of pages.sort()) {
    const path = join(site, page);
    const base = `${posix.relative(posix.dirname(page), kit)}/`;
    writeWhole(path, insertIntoHead(await readFile(path, 'utf8'), headMarkup(preloads, base)));
  }
  return pages;
}

async function serve(site: string, kit: string, port: number, reporter: Reporter): Promise<void> {
  const { serveFolder } = await import('./serve.js');
  const address = await serveFolder(site, port);
  reporter.say(
    '',
    `${colors.bold('Open')}  ${address}/  and  ${address}/${kit}/proof.html`,
    '      Ctrl+C ends it',
  );
}
