import type { Command } from 'commander';
import { relative } from 'node:path';
import { buildKit, loadConfig } from '../kit/index.js';
import { kitLines } from './kit-summary.js';
import { Reporter, type CommonOptions, type Terminal } from './terminal.js';

interface BuildOptions extends CommonOptions {
  config?: string;
}

export function configure(command: Command, terminal: Terminal): void {
  command
    .option('-c, --config <file>', 'the config, if it is not found from here upwards')
    .addHelpText('after', '\nExample:\n  dense-glyph build --config dense-glyph.config.yaml\n')
    .action((options: BuildOptions) => build(options, terminal));
}

async function build(options: BuildOptions, terminal: Terminal): Promise<void> {
  const reporter = new Reporter(terminal, options);
  const { config, file, base } = await loadConfig(terminal.folder, options.config);
  reporter.progress(`building the kit of ${file}`);
  const { manifest, folder, changed } = await buildKit(config, base);
  const shown = relative(terminal.folder, folder) || folder;
  reporter.result({ folder: shown, changed, manifest });
  reporter.say(...kitLines(manifest, shown, changed), '');
  reporter.say(
    `Next  put ${shown}/kit.head.html into <head> of your pages,`,
    `      and open ${shown}/proof.html to see every face.`,
  );
}
