import type { Command } from 'commander';
import { inspect, type InspectResult } from '../../app/inspect.js';
import { Reporter, type CommonOptions, type Terminal } from '../terminal.js';
import { familyLines, fontLines, tableLines, woff2Line } from '../views/inspect.js';

interface InspectOptions extends CommonOptions {
  weigh?: boolean;
  page?: string;
  config?: string;
}

export function configure(command: Command, terminal: Terminal): void {
  command
    .argument('<fonts...>', 'font files, archives, folders or globs')
    .option('--weigh', 'measure the size as WOFF2 too; done anyway for one font in a terminal')
    .option('--page <file>', 'write a specimen page that works without a server')
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
        },
        { progress: reporter.onProgress, ...(isWeighedLast ? { inspected: show } : {}) },
      );
      reporter.result(result);
      const [{ weight, woff2Bytes }] = result.fonts;
      if (!isWeighedLast) show(result);
      else if (result.fonts.length === 1 && woff2Bytes !== undefined)
        reporter.say(woff2Line(weight.file, woff2Bytes));
      if (options.page)
        reporter.say('', `Next  open ${options.page}: it holds the fonts itself and needs no server.`);
    });
}
