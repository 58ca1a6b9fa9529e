import { Option, type Command } from 'commander';
import type { Conditions } from '../../rehearsal/conditions.js';
import { choices, usualConditions } from '../../rehearsal/conditions.js';
import { DenseGlyphError } from '../../errors.js';
import { Reporter } from '../reporter.js';
import { countFor, readPort } from './options.js';
import type { CommonOptions, Terminal } from '../terminal.js';
import { withoutPictures } from '../../rehearsal/recording/recording.js';
import { recordingLines } from '../views/recording.js';
import { conditionsLine, keyLines, nextCondition, rehearsalLines } from '../views/rehearse.js';

export const summary = 'see the site on a slow line, with fonts stalling or failing, and what moves';
/** In the order of the work. */
export const order = 70;

interface RehearseOptions extends CommonOptions {
  port: string;
  host?: string;
  line: string[];
  paced: Conditions['paced'];
  fonts: Conditions['fonts'];
  display: Conditions['display'];
  standIns: Conditions['standIns'];
  marked?: boolean;
  against?: string;
  record?: string;
  pages?: string[];
  repeat: number;
}

export function configure(command: Command, terminal: Terminal): void {
  const choice = (flags: string, text: string, name: 'paced' | 'fonts' | 'display' | 'standIns') =>
    new Option(flags, text).choices(choices[name]).default(usualConditions[name]);
  command
    .argument('[site]', 'the folder that is served, or the URL of a running server')
    .option('--port <number>', 'the port to serve on', '8430')
    .option('--host <address>', 'another address than this machine’s own, for telephones in the same network')
    .addOption(
      new Option('--line <names...>', 'the line that is paced; several, where it is recorded')
        .choices(choices.line)
        .default([usualConditions.line]),
    )
    .addOption(choice('--paced <what>', 'what the line holds up', 'paced'))
    .addOption(choice('--fonts <how>', 'how font files are delivered', 'fonts'))
    .addOption(choice('--display <value>', 'font-display of all faces', 'display'))
    .addOption(choice('--stand-ins <state>', 'local fonts as tuned, as they are, or none', 'standIns'))
    .option('--marked', 'mark letters by the face that draws them')
    .option('--against <dir>', 'another state of the site, to load beside it on the same line')
    .option(
      '--record <dir>',
      'visit pages in an installed Chromium, and write what a visitor sees, with pictures',
    )
    .option('--pages <pages...>', 'the pages to record; the start page and some others if left out')
    .option('--repeat <n>', 'visits to each page in each state, in turns', countFor('--repeat'), 1)
    .addHelpText(
      'after',
      '\nExample:\n  dense-glyph rehearse site --line "slow phone"\n  dense-glyph rehearse http://localhost:5173\n',
    )
    .action(async (site: string | undefined, options: RehearseOptions) => {
      const reporter = new Reporter(terminal, options);
      if (options.record !== undefined) {
        await recordTo(options.record, site, options, reporter);
        return;
      }
      const { rehearse } = await import('../../rehearsal/rehearse.js');
      const { line: lines, paced, fonts, display, standIns, marked = false, host, against } = options;
      const [line, ...others] = lines;
      if (others.length > 0)
        throw new DenseGlyphError(
          'call-invalid',
          'a site is served on one line',
          {},
          'name one, or --record',
        );
      const conditions = { line, paced, fonts, display, standIns, marked };
      const port = readPort(options.port);
      const running = await rehearse({ site, folder: terminal.folder, port, host, conditions, against });
      reporter.result({
        rehearsalVersion: 1,
        origin: running.origin,
        site: running.site,
        conditions: running.conditions(),
      });
      reporter.say(...rehearsalLines(running), ...(terminal.asks ? keyLines : ['        Ctrl+C ends it']));
      if (terminal.asks) listenToKeys(running, reporter);
    });
}

async function recordTo(
  out: string,
  site: string | undefined,
  { line, against, pages, repeat }: RehearseOptions,
  reporter: Reporter,
): Promise<void> {
  if (line.includes('none'))
    throw new DenseGlyphError('call-invalid', '--line none holds nothing up', {}, 'name a line to record on');
  const { folder, environment } = reporter.terminal;
  const { record } = await import('../../rehearsal/recording/record.js');
  const { siteOfConfig } = await import('../../rehearsal/rehearse.js');
  const request = { against, folder, out, pages, lines: line, repeat, environment };
  const { recording, report } = await record(
    { ...request, site: site ?? (await siteOfConfig(folder)) },
    reporter.onProgress,
  );
  reporter.result(withoutPictures(recording));
  reporter.say(
    ...recordingLines(recording, report, folder),
    '',
    'Next  open it: what a visitor sees, picture by picture.',
  );
}

/** Conditions are changed by single keys; pages draw themselves anew. */
function listenToKeys(
  running: {
    conditions: () => Conditions;
    change: (change: Partial<Conditions>) => void;
    close: () => Promise<void>;
  },
  reporter: Reporter,
): void {
  const { stdin } = process;
  stdin.setRawMode(true).resume().setEncoding('utf8');
  stdin.on('data', (key: string) => {
    if (key === '\u0003' || key === 'q') {
      stdin.setRawMode(false).pause();
      void running.close();
      return;
    }
    const change = nextCondition(key, running.conditions());
    if (!change) return;
    running.change(change);
    reporter.say(conditionsLine(running.conditions()));
  });
}
