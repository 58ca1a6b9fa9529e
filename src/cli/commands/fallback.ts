import { Option, type Command } from 'commander';
import { classicForms, type ClassicForm } from '../../kit/stand-ins/index.js';
import { fallback } from '../../app/stand-ins/fallback.js';
import { Reporter } from '../reporter.js';
import type { CommonOptions, Terminal } from '../terminal.js';
import { fallbackLines } from '../views/fallback.js';
import { ruleLines } from '../views/rules.js';

export const summary = 'find and tune the local fonts that are drawn until a face arrives';
/** In the order of the work. */
export const order = 55;

interface FallbackOptions extends CommonOptions {
  site?: string;
  measure?: string[];
  languages?: string;
  css?: string;
  classic?: ClassicForm;
  config?: string;
}

export function configure(command: Command, terminal: Terminal): void {
  command
    .argument('[fonts...]', 'font files, archives, folders or globs; without any those of the config')
    .option('--site <dir>', 'fit them to the text of these pages, and say what still moves on each')
    .option('--measure <files...>', 'local fonts to choose from as well, as files')
    .option('--languages <tags>', 'set sentences in these languages where there is no site', 'en')
    .option('--css <file>', 'write the @font-face rules there; without it they are printed')
    .addOption(
      new Option(
        '--classic <form>',
        'rules, too, for browsers that lack size-adjust, by how your CSS is organised',
      ).choices(classicForms),
    )
    .option('--config <file>', 'the config, where it is not found from here upwards')
    .addHelpText('after', '\nExample:\n  dense-glyph fallback fonts/*.ttf --site site\n')
    .action(async (fonts: string[], options: FallbackOptions) => {
      const reporter = new Reporter(terminal, options);
      const { site, measure, css, classic, config } = options;
      const languages = options.languages?.split(',').map((tag) => tag.trim());
      const request = { fonts, folder: terminal.folder, site, measure, languages, css, classic, config };
      const result = await fallback(request, reporter.onProgress);
      reporter.result(result);
      reporter.say(...fallbackLines(result, options.verbose), '', ...ruleLines(result.rules, css));
    });
}
