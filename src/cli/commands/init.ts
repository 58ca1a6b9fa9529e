import type { Command } from 'commander';
import { init, type InitQuestions } from '../../app/drafting/init.js';
import { DenseGlyphError } from '../../errors.js';
import { Reporter } from '../reporter.js';
import type { CommonOptions, Terminal } from '../terminal.js';

export const summary = 'draft a config from the fonts and the site at hand';
/** In the order of the work. */
export const order = 50;

interface InitOptions extends CommonOptions {
  site?: string;
  ask?: true;
  runScripts?: true;
}

export function configure(command: Command, terminal: Terminal): void {
  command
    .argument('[fonts...]', 'font files, folders, globs or archives; all below this folder if none is named')
    .option(
      '--site <dir or URL>',
      'the folder that is served as the site, or where it runs; the likeliest one if left out',
    )
    .option('--run-scripts', 'let an installed Chromium run the scripts of each page first')
    .option('--ask', 'ask which families, for what, and by which URL, in a terminal')
    .addHelpText(
      'after',
      '\nExamples:\n  dense-glyph init fonts --site site\n  dense-glyph init fonts --site http://localhost:5173\n',
    )
    .action(async (fonts: string[], options: InitOptions) => {
      const reporter = new Reporter(terminal, options);
      const questions = options.ask ? await askedQuestions(terminal, options) : undefined;
      const { folder, environment } = terminal;
      const { site, runScripts } = options;
      const request = { fonts, folder, environment, site, runScripts, questions };
      const result = await init(request, options.ask ? undefined : reporter.onProgress);
      reporter.result(result);
      reporter.say(
        `${result.file}:`,
        '',
        ...result.text.trimEnd().split('\n'),
        '',
        ...(result.demand === undefined
          ? ['Next  look it over, then dense-glyph build']
          : [
              `${result.demand}: what the pages draw, to build from without a browser; keep it with the config`,
              '',
              'Next  look the config over, then dense-glyph build, or the plugin of dense-glyph/vite',
            ]),
      );
    });
}

/** @throws DenseGlyphError `call-invalid` where nobody can answer */
async function askedQuestions(terminal: Terminal, { json, quiet }: CommonOptions): Promise<InitQuestions> {
  if (!terminal.asks || json || quiet)
    throw new DenseGlyphError(
      'call-invalid',
      '--ask needs a terminal that somebody sits at',
      {},
      'leave it out: what would be asked is a comment in the config then',
    );
  const { questions } = await import('../questions.js');
  return questions;
}
