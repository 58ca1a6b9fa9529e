import type { Command } from 'commander';
import { join } from 'node:path';
import { demo, type DemoResult } from '../../app/demo.js';
import { DenseGlyphError } from '../../errors.js';
import { Reporter } from '../reporter.js';
import { readPort } from './options.js';
import type { CommonOptions, Terminal } from '../terminal.js';
import { demoLines } from '../views/demo.js';
import { recordingLines } from '../views/recording.js';

export const summary = 'run the whole of it on the sample site';
/** In the order of the work. */
export const order = 90;

interface DemoOptions extends CommonOptions {
  out?: string;
  serve?: boolean;
  port: string;
}

export function configure(command: Command, terminal: Terminal): void {
  command
    .option('--out <dir>', 'the folder to write to; a temporary one if left out')
    .option('--serve', 'serve the site as it was and as it is, until Ctrl+C')
    .option('--port <number>', 'the port to serve on', '8420')
    .addHelpText('after', '\nExample:\n  dense-glyph demo --out ferries --serve\n')
    .action(async (options: DemoOptions) => {
      const reporter = new Reporter(terminal, options);
      const port = readPort(options.port);
      const { startSampleHost } = await import('../../rehearsal/font-host.js');
      const host = await startSampleHost();
      try {
        const request = { folder: terminal.folder, out: options.out, host };
        const result = await demo(request, reporter.onProgress);
        reporter.result(result);
        reporter.say(...demoLines(result, terminal.folder, host));
        if (reporter.isHeard) await recordBoth(result, reporter);
        if (options.serve) await serve(result, port, reporter);
        else if (!options.json)
          reporter.say('', 'Next  open them, or see both over HTTP with dense-glyph demo --serve');
      } finally {
        if (!options.serve) await host.close();
      }
    });
}

/** Before and after on a slow line, where there is a browser to see them. */
async function recordBoth({ folder, pages }: DemoResult, reporter: Reporter): Promise<void> {
  const { record } = await import('../../rehearsal/recording/record.js');
  const page = pages.includes('index.html') ? 'index.html' : pages[0];
  const request = { site: 'site', against: 'before', folder, out: 'recording', pages: [page] };
  try {
    const { environment } = reporter.terminal;
    const { recording, report } = await record(
      { ...request, lines: ['slow phone'], repeat: 1, environment },
      reporter.onProgress,
    );
    reporter.say('', ...recordingLines(recording, report, reporter.terminal.folder));
  } catch (cause) {
    if (!(cause instanceof DenseGlyphError) || cause.code !== 'browser-missing') throw cause;
    reporter.say(
      '',
      'With puppeteer-core and a Chromium, it also records both on a slow line: dense-glyph rehearse --record',
    );
  }
}

async function serve({ folder, facts }: DemoResult, port: number, reporter: Reporter): Promise<void> {
  const { serveFolder } = await import('../../rehearsal/serve.js');
  const address = await serveFolder(folder, port, [join(folder, facts, 'proof.html')]);
  reporter.say(
    '',
    `Both    ${address}/compare.html`,
    `Before  ${address}/before/index.html`,
    `After   ${address}/site/index.html`,
    `Proof   ${address}/${facts.replaceAll('\\', '/')}/proof.html`,
    '        Ctrl+C ends it',
  );
}
