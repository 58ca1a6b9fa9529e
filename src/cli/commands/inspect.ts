import type { Command } from 'commander';
import { inspect, type InspectResult } from '../../app/fonts/inspect.js';
import { tellRefused } from '../refused.js';
import { Reporter } from '../reporter.js';
import type { CommonOptions, Terminal } from '../terminal.js';
import { sizeText } from '../../core/text/amounts.js';
import { familyLines, fontLines, tableLines, woff2Line } from '../views/inspect.js';

export const summary = 'describe font files: names, coverage, features, licence, weight, trouble';
/** In the order of the work. */
export const order = 10;

interface InspectOptions extends CommonOptions {
  weigh?: boolean;
  page?: string;
  face?: string;
  config?: string;
}

/** Bytes; a browser shows less at once. */
const largePage = 8e6;

export function configure(command: Command, terminal: Terminal): void {
  command
    .argument('<fonts...>', 'font files, archives, folders or globs')
    .option('--weigh', 'measure the size as WOFF2 too; done anyway for one font in a terminal')
    .option('--page <file>', 'write a specimen page that works without a server')
    .option('--face <which>', 'of collections only this face: its number from 1, or its name')
    .option('-c, --config <file>', 'a config that states who allows the use of the fonts')
    .addHelpText('after', '\nExample:\n  dense-glyph inspect fonts/*.ttf --weigh\n')
    .action(async (fonts: string[], options: InspectOptions) => {
      const reporter = new Reporter(terminal, options);
      const { folder, columns } = terminal;
      // Compressing takes longer than all the rest, so it comes when there is something to read already.
      const isWeighedLast = !options.weigh && !options.page && terminal.interactive && reporter.isHeard;
      const show = ({ fonts: found, families }: InspectResult) => {
        if (found.length === 1) reporter.say(...fontLines(found[0], columns));
        else
          reporter.say(
            ...tableLines(found, columns),
            '',
            ...familyLines({ fonts: found, families }, columns),
          );
        if (found.length === 1 && isWeighedLast) reporter.say('');
      };
      const result = await inspect(
        {
          fonts,
          folder,
          config: options.config,
          weigh: options.weigh ? 'all' : isWeighedLast ? 'single' : 'none',
          page: options.page,
          face: options.face,
        },
        { progress: reporter.onProgress, ...(isWeighedLast ? { inspected: show } : {}) },
      );
      reporter.result(result);
      const [{ weight, woff2Bytes }] = result.fonts;
      if (!isWeighedLast) show(result);
      else if (result.fonts.length === 1 && woff2Bytes !== undefined)
        reporter.say(woff2Line(weight.file, woff2Bytes));
      if (options.page !== undefined) reporter.say(...pageLines(options.page, result));
      tellRefused(result.refused);
    });
}

/** What becomes of the page that was written. */
function pageLines(page: string, { pageBytes, fonts }: InspectResult): string[] {
  if (pageBytes === undefined) return [];
  const fewer = fonts.length > 1 ? '; fewer fonts, or --face for one of a collection, make it lighter' : '';
  return [
    '',
    `Next  open ${page}: it holds the fonts itself and needs no server.`,
    ...(pageBytes > largePage
      ? [`      It weighs ${sizeText(pageBytes)}, which a browser takes a while to read${fewer}.`]
      : []),
  ];
}
