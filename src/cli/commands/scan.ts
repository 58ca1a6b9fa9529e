import type { Command } from 'commander';
import { scan } from '../../app/scanning/scan.js';
import { Reporter } from '../reporter.js';
import type { CommonOptions, Terminal } from '../terminal.js';
import { countFor } from './options.js';
import { scanLines, traceLines } from '../views/scan.js';
import { lineWidth } from '../views/words.js';

export const summary = 'say which face draws which characters of a site, who asks for it, and what is wrong';
/** In the order of the work. */
export const order = 40;

interface ScanOptions extends CommonOptions {
  root?: string;
  runScripts?: true;
  mostPages?: number;
  trace?: string;
  page?: string;
  save?: string;
}

export function configure(command: Command, terminal: Terminal): void {
  command
    .argument(
      '[site...]',
      'a folder, files or globs of pages, or a URL; if left out the site of the config, else the current folder',
    )
    .option(
      '--root <dir>',
      'what URLs with a slash start from; the folder that is named, for files the current one',
    )
    .option('--run-scripts', 'let an installed Chromium run the scripts of each page first')
    .option(
      '--most-pages <n>',
      'of a URL, how many pages are read that links lead to (200)',
      countFor('--most-pages'),
    )
    .option('--trace <what>', 'say who asks for a family, a face ("Harbour Slab 700 italic") or characters')
    .option(
      '--save <file>',
      'keep what the pages draw, which build reads in their place: whole, or the file stays',
    )
    .option('--page <file>', 'write the whole as a page that works without a server')
    .addHelpText('after', '\nExample:\n  dense-glyph scan site --trace "Harbour Slab 700"\n')
    .action(async (site: string[], options: ScanOptions) => {
      const reporter = new Reporter(terminal, options);
      const { root, runScripts, mostPages, page, save } = options;
      const places = options.trace !== undefined;
      const { folder, environment } = terminal;
      const request = {
        site,
        folder,
        environment,
        root,
        runScripts,
        mostPages,
        places,
        page,
        save,
        forBuild: options.json,
      };
      const result = await scan(request, reporter.onProgress);
      reporter.result(result);
      const width = lineWidth(terminal);
      if (options.trace !== undefined) reporter.say(...traceLines(result, options.trace, width));
      else reporter.say(...scanLines(result, width));
      if (save !== undefined)
        reporter.say(`Kept  ${save}: name it in the config as site.demand, and build needs no pages.`);
      if (page !== undefined) reporter.say(`Next  open ${page}: it needs no server.`);
      if (result.findings.some(({ severity }) => severity === 'error')) terminal.fallShort();
    });
}
