import type { Command } from 'commander';
import { init } from '../../app/init.js';
import { Reporter } from '../reporter.js';
import type { CommonOptions, Terminal } from '../terminal.js';

export const summary = 'draft a config from the fonts and the site at hand';
/** In the order of the work. */
export const order = 50;

interface InitOptions extends CommonOptions {
  site?: string;
}

export function configure(command: Command, terminal: Terminal): void {
  command
    .argument('[fonts...]', 'font files, folders, globs or archives; all below this folder if none is named')
    .option('--site <dir>', 'the folder that is served as the site; the likeliest one if left out')
    .addHelpText('after', '\nExample:\n  dense-glyph init fonts --site site\n')
    .action(async (fonts: string[], options: InitOptions) => {
      const reporter = new Reporter(terminal, options);
      const result = await init({ fonts, folder: terminal.folder, site: options.site }, reporter.onProgress);
      reporter.result(result);
      reporter.say(
        `${result.file}:`,
        '',
        ...result.text.trimEnd().split('\n'),
        '',
        'Next  look it over, then dense-glyph build',
      );
    });
}
