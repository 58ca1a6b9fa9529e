import { Option, type Command } from 'commander';
import { wire } from '../../app/wiring/wire.js';
import { DenseGlyphError } from '../../errors.js';
import { pastedForms, type PastedForm } from '../../kit/files/pasted.js';
import { Reporter } from '../reporter.js';
import type { CommonOptions, Terminal } from '../terminal.js';
import { wireLines } from '../views/wire.js';
import { elsewhere } from './options.js';

export const summary = 'put the kit into the pages of its site, and take out what it replaces';
/** In the order of the work. */
export const order = 70;

interface WireOptions extends CommonOptions {
  config?: string;
  dryRun?: true;
  undo?: true;
  strict?: true;
  force?: true;
  runScripts?: true;
  stacks?: true;
  print?: PastedForm;
}

export function configure(command: Command, terminal: Terminal): void {
  command
    .option('-c, --config <file>', 'the config, if it is not found from here upwards')
    .option('--dry-run', 'show what would be changed, and change nothing')
    .option('--undo', 'bring every file back as it was; with --dry-run, show what that would change')
    .option('--run-scripts', 'let an installed Chromium run the scripts of each page first')
    .option('--strict', 'change nothing at all where a page would be drawn worse than before')
    .option('--force', 'write pages that would be drawn worse than before, too')
    .option(
      '--stacks',
      'change font-family also where it has another name for a family, or nothing behind it',
    )
    .addOption(
      new Option('--print <what>', 'what to paste where pages do not exist as files').choices([
        ...pastedForms,
      ]),
    )
    .addHelpText(
      'after',
      '\nExamples:\n  dense-glyph wire --dry-run\n  dense-glyph wire\n  dense-glyph wire --undo\n',
    )
    .action(async (options: WireOptions) => {
      const reporter = new Reporter(terminal, options);
      const { config, dryRun, undo, strict, force, stacks, print, runScripts } = options;
      if (strict && force)
        throw new DenseGlyphError(
          'call-invalid',
          '--strict and --force say the opposite of each other',
          {},
          'name one of them',
        );
      const { folder, environment } = terminal;
      const result = await wire(
        { folder, environment, config, dryRun, undo, strict, force, stacks, print, runScripts },
        reporter.onProgress,
      );
      reporter.result(result);
      const asked = `dense-glyph wire${stacks ? ' --stacks' : ''}${undo ? ' --undo' : ''}`;
      reporter.say(
        ...elsewhere(config === undefined ? result.config : undefined),
        ...wireLines(result, { isDry: dryRun === true, asked }),
      );
      const isLeft = result.undone?.some(
        ({ state }) => state === 'changed' || state === 'lost' || state === 'gone',
      );
      if (isLeft || result.held.length > 0) terminal.fallShort();
    });
}
