import type { Command } from 'commander';
import { dirname, relative, resolve } from 'node:path';
import { familiesOf } from '../core/inspection/index.js';
import { atOnce } from '../kit/at-once.js';
import { inspectFile, weighed, type InspectedSource } from '../kit/inspect.js';
import { licenceTextsIn } from '../kit/licence-texts.js';
import { fontPaths, fontsIn } from './inputs.js';
import { familyLines, fontLines, tableLines, woff2Line, type InspectionResult } from './inspect-view.js';
import { Reporter, type CommonOptions, type Terminal } from './terminal.js';

interface InspectOptions extends CommonOptions {
  weigh?: boolean;
  page?: string;
  config?: string;
}

export function configure(command: Command, terminal: Terminal): void {
  command
    .argument('<fonts...>', 'font files, archives, folders or globs')
    .option('--weigh', 'measure the size as WOFF2 too; done anyway for one font in a terminal')
    .option('--page <file>', 'write a specimen page that works without a server')
    .option('-c, --config <file>', 'a config that states who allows the use of the fonts')
    .addHelpText('after', '\nExample:\n  dense-glyph inspect fonts/*.ttf --weigh\n')
    .action((fonts: string[], options: InspectOptions) => inspect(fonts, options, terminal));
}

async function inspect(fonts: string[], options: InspectOptions, terminal: Terminal): Promise<void> {
  const reporter = new Reporter(terminal, options);
  const base = terminal.folder;
  const paths = await fontPaths(fonts, base);
  const rights = options.config ? await statedRights(options.config, base) : new Map<string, string>();
  const sources: InspectedSource[] = [];
  for (const [i, path] of paths.entries()) {
    const shown = relative(base, path) || path;
    reporter.progress(`${i + 1} of ${paths.length}: ${shown}`);
    for (const file of await fontsIn(path, shown)) {
      const licenceTexts = file.licenceTexts ?? licenceTextsIn(dirname(path), base);
      sources.push(...inspectFile(file, { licenceTexts, rights: rights.get(path), base }));
    }
  }
  const woff2 = options.weigh || options.page ? await weigh(sources, reporter) : [];
  const result: InspectionResult = {
    fonts: sources.map(({ inspected }) => inspected),
    families: familiesOf(sources.map(({ inspected: { path, face } }) => ({ path, face }))),
  };
  reporter.result(result);
  const columns = terminal.columns;
  if (result.fonts.length === 1) {
    reporter.say(...fontLines(result.fonts[0], columns));
    if (woff2.length === 0 && terminal.interactive && !options.json && !options.quiet) {
      await weighLast(sources[0], reporter);
    }
  } else reporter.say(...tableLines(result.fonts, columns), '', ...familyLines(result, columns));
  if (!options.page) return;
  const { specimenPage } = await import('../kit/specimen/page.js');
  const { writeWhole } = await import('../kit/write.js');
  writeWhole(
    resolve(base, options.page),
    new TextEncoder().encode(specimenPage(sources, woff2, result.families)),
  );
  reporter.say('', `Next  open ${options.page}: it holds the fonts itself and needs no server.`);
}

function weigh(sources: readonly InspectedSource[], reporter: Reporter): Promise<Uint8Array[]> {
  let started = 0;
  return atOnce(
    sources,
    ({ inspected }) => inspected.weight.file,
    (source) => {
      reporter.progress(`measuring WOFF2, ${++started} of ${sources.length}: ${source.inspected.path}`);
      return weighed(source);
    },
  );
}

/** Compressing takes longer than all the rest, so it comes when there is something to read already. */
async function weighLast(source: InspectedSource, reporter: Reporter): Promise<void> {
  reporter.say('');
  reporter.progress('measuring WOFF2');
  const { length } = await weighed(source);
  reporter.say(woff2Line(source.inspected.weight.file, length));
}

/** By absolute path, who allows the use of each font that a config lists. */
async function statedRights(file: string, folder: string): Promise<Map<string, string>> {
  const { expandPaths, loadConfig } = await import('../kit/index.js');
  const { config, base } = await loadConfig(folder, file);
  const rights = new Map<string, string>();
  for (const family of config.families) {
    if (family.rights === undefined) continue;
    for (const path of await expandPaths(family.files, base)) rights.set(path, family.rights);
  }
  return rights;
}
