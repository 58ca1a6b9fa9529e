import type { Command } from 'commander';
import { build } from '../../app/build.js';
import { Reporter } from '../reporter.js';
import type { CommonOptions, Terminal } from '../terminal.js';
import { budgetLines, kitLines } from '../views/kit.js';

export const summary = 'make the kit that the config describes';
/** In the order of the work. */
export const order = 60;

interface BuildOptions extends CommonOptions {
  config?: string;
}

export function configure(command: Command, terminal: Terminal): void {
  command
    .option('-c, --config <file>', 'the config, if it is not found from here upwards')
    .addHelpText('after', '\nExample:\n  dense-glyph build --config dense-glyph.config.yaml\n')
    .action(async (options: BuildOptions) => {
      const reporter = new Reporter(terminal, options);
      const request = { folder: terminal.folder, config: options.config };
      const result = await build(request, reporter.onProgress);
      const { manifest, folder, changed, findings } = result;
      reporter.result(result);
      reporter.say(...kitLines(manifest, folder, changed), '', ...budgetLines(findings));
      if (findings.length > 0) terminal.fallShort();
      reporter.say(
        `Next  put ${folder}/kit.head.html into <head> of your pages,`,
        `      and open ${folder}/proof.html to see every face.`,
      );
    });
}
