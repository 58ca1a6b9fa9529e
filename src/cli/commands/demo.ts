import type { Command } from 'commander';
import colors from 'picocolors';
import { join, relative } from 'node:path';
import { demo, type DemoResult } from '../../app/demo.js';
import { DenseGlyphError } from '../../errors.js';
import { Reporter } from '../reporter.js';
import type { CommonOptions, Terminal } from '../terminal.js';
import { kitLines } from '../views/kit.js';
import { count } from '../views/words.js';

export const summary = 'run the whole of it on the sample site';
/** In the order of the work. */
export const order = 90;

interface DemoOptions extends CommonOptions {
  out?: string;
  serve?: boolean;
  port: string;
}

export function configure(command: Command, terminal: Terminal): void {
  command
    .option('--out <dir>', 'the folder to write to; a temporary one if left out')
    .option('--serve', 'serve the result until Ctrl+C')
    .option('--port <number>', 'the port to serve on', '8420')
    .addHelpText('after', '\nExample:\n  dense-glyph demo --out ferries --serve\n')
    .action(async (options: DemoOptions) => {
      const reporter = new Reporter(terminal, options);
      const port = readPort(options.port);
      const result = await demo({ folder: terminal.folder, out: options.out }, reporter.onProgress);
      reporter.result(result);
      reporter.say(...demoLines(result, terminal.folder, options.verbose));
      if (options.serve) await serve(result, port, reporter);
      else if (!options.json)
        reporter.say('', 'Next  open them, or see them over HTTP with dense-glyph demo --serve');
    });
}

function readPort(text: string): number {
  const port = Number(text);
  if (Number.isInteger(port) && port >= 0 && port <= 65535) return port;
  throw new DenseGlyphError(
    'call-invalid',
    `--port: "${text}" is not a port`,
    {},
    'give a number up to 65535',
  );
}

function demoLines(
  { folder, site, kit, pages, manifest }: DemoResult,
  from: string,
  allPages: boolean | undefined,
): string[] {
  const kitFolder = join(folder, kit);
  const shown = (path: string) => shortest(path, from);
  return [
    ...kitLines(manifest, shown(kitFolder), true, allPages),
    '',
    `${colors.bold('Site')}  ${shown(join(site, 'index.html'))}`,
    `      ${count(pages.length, 'page')} in English, Greek and Polish, each with the kit’s head markup`,
    `${colors.bold('Proof')} ${shown(join(kitFolder, 'proof.html'))}`,
    '      every face at reading sizes, its load state, and a switch that turns web fonts off',
  ];
}

/** A path as seen from a folder, unless it leads out of it. */
function shortest(path: string, folder: string): string {
  const inside = relative(folder, path);
  return inside && !inside.startsWith('..') ? inside : path;
}

async function serve({ folder, site, kit }: DemoResult, port: number, reporter: Reporter): Promise<void> {
  const { serveFolder } = await import('../../rehearsal/serve.js');
  const address = await serveFolder(site, port);
  const proof = relative(site, join(folder, kit, 'proof.html')).replaceAll('\\', '/');
  reporter.say('', `${colors.bold('Open')}  ${address}/  and  ${address}/${proof}`, '      Ctrl+C ends it');
}
