import type { Command } from 'commander';
import { relative } from 'node:path';
import { build, type BuildRequest } from '../../app/building/build.js';
import type { WatchedBuild } from '../../app/building/watch.js';
import { Reporter } from '../reporter.js';
import type { CommonOptions, Terminal } from '../terminal.js';
import { buildFindingLines, kitLines } from '../views/kit.js';
import { lineWidth } from '../views/words.js';
import { watchedLines } from '../views/watched.js';
import { elsewhere } from './options.js';

export const summary = 'make the kit that the config describes';
/** In the order of the work. */
export const order = 60;

interface BuildOptions extends CommonOptions {
  config?: string;
  out?: string;
  site?: string;
  printConfig?: true;
  runScripts?: true;
  demand?: string;
  watch?: true;
  strict?: true;
}

export function configure(command: Command, terminal: Terminal): void {
  command
    .argument('[fonts...]', 'font files, folders, globs or archives, in the place of a config')
    .option('-c, --config <file>', 'the config, if it is not found from here upwards')
    .option('--out <dir>', 'where the kit of these fonts goes')
    .option('--site <dir>', 'the folder that is served as the site; the fonts are cut to what its pages draw')
    .option('--run-scripts', 'let an installed Chromium run the scripts of each page first')
    .option('--demand <json>', 'what scan --save found, in the place of reading pages')
    .option('--strict', 'end with 1 for what is only warned of, too')
    .option('--watch', 'make it again whenever config, fonts, pages, stylesheets or demand change')
    .option('--print-config', 'print the config that gives the same kit')
    .addHelpText(
      'after',
      '\nExamples:\n  dense-glyph build --config dense-glyph.config.yaml\n  dense-glyph build fonts --out site/type --site site\n',
    )
    .action(async (fonts: string[], options: BuildOptions) => {
      const reporter = new Reporter(terminal, options);
      const { config, out, site, runScripts, demand, watch, strict } = options;
      const { folder: start, environment } = terminal;
      const request = { folder: start, environment, config, fonts, out, site, runScripts, demand };
      if (watch) {
        await watchUntilEnd(request, reporter);
        return;
      }
      const result = await build(request, reporter.onProgress);
      const { manifest, folder, facts, changed, findings, drafted, config: found } = result;
      reporter.result(result);
      reporter.say(
        ...elsewhere(config === undefined ? found : undefined),
        ...kitLines(manifest, folder, changed, options.verbose),
        '',
        ...buildFindingLines(
          findings,
          manifest.pages.length + manifest.otherPages.length,
          lineWidth(terminal),
        ),
      );
      if (drafted) reporter.say(...drafted.reasons.map((reason) => `note  ${reason}`), '');
      if (drafted && options.printConfig) reporter.say(...(await configLines(drafted.config)), '');
      if (findings.some(({ severity }) => severity === 'error' || (strict && severity === 'warning')))
        terminal.fallShort();
      // What wire goes by is the config.
      const first = drafted
        ? `put ${facts}/head.html into <head> of your pages,`
        : result.servedAt === undefined
          ? `dense-glyph wire puts it into your pages; --dry-run shows how,`
          : `the plugin of dense-glyph/vite puts it into the app, or paste what wire --print html gives,`;
      reporter.say(`Next  ${first}`, `      and open ${facts}/proof.html to see every face.`);
    });
}

/** A line a build, until the call is ended. */
async function watchUntilEnd(request: BuildRequest, reporter: Reporter): Promise<void> {
  const { watchBuild } = await import('../../app/building/watch.js');
  const { folder } = reporter.terminal;
  const shown = ({ changed, ...build }: WatchedBuild): WatchedBuild => ({
    ...build,
    changed: changed.map((path) => relative(folder, path).replaceAll('\\', '/')),
  });
  await watchBuild(request, (build) => reporter.say(...watchedLines(shown(build))));
  // The kit's folder holds a whole kit at every moment, also at that one.
  reporter.say('', 'Ctrl+C ends it');
}

/** The config as a file would hold it. */
async function configLines(config: object): Promise<string[]> {
  const { dump } = await import('js-yaml');
  return ['# dense-glyph.config.yaml', ...dump(config, { lineWidth: 110 }).trimEnd().split('\n')];
}
