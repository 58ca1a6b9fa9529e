import type { Command } from 'commander';
import { adopt } from '../../app/adoption/adopt.js';
import { Reporter } from '../reporter.js';
import type { CommonOptions, Terminal } from '../terminal.js';
import { adoptLines } from '../views/adopt.js';
import { countFor, required } from './options.js';

export const summary = 'bring hosted faces home: their files, their rules, and where they came from';
/** In the order of the work. */
export const order = 45;

interface AdoptOptions extends CommonOptions {
  out?: string;
  offline?: true;
  rights?: string;
  allowHost?: string[];
  mostFiles?: number;
}

export function configure(command: Command, terminal: Terminal): void {
  command
    .argument('<from...>', 'pages, stylesheets, folders or URLs of them')
    .option('--out <dir>', 'where the faces go')
    .option('--offline', 'work from what is there, and say whether it is whole')
    .option('--rights <text>', 'who says that they may be used, for the ledger')
    .option('--most-files <n>', 'files that a call brings at most (2000)', countFor('--most-files'))
    .option('--allow-host <hosts...>', 'hosts of this machine or its network that may be asked')
    .addHelpText(
      'after',
      '\nExamples:\n  dense-glyph adopt site --out fonts/adopted\n  dense-glyph adopt node_modules/some-face/index.css --out fonts/adopted\n',
    )
    .action(async (inputs: string[], options: AdoptOptions) => {
      const reporter = new Reporter(terminal, options);
      const { offline, rights, allowHost: allowHosts, mostFiles } = options;
      const out = required('adopt', '--out', options.out);
      const request = { inputs, out, folder: terminal.folder, offline, rights, allowHosts, mostFiles };
      const result = await adopt(request, reporter.onProgress);
      reporter.result(result);
      reporter.say(...adoptLines(result));
      if (result.findings.some(({ severity }) => severity === 'error')) terminal.fallShort();
    });
}
