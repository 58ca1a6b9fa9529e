import { expect, test } from '@jest/globals';
import { cpSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { kitConfig, readConfig } from '#src/config/index.js';
import { sourcesOf } from '#src/core/source/index.js';
import {
  chosenFaces,
  demandingPage,
  kitTextFaces,
  makeKit,
  paragraphsOf,
  plannedFaces,
  Visits,
  reachOf,
} from '#src/kit/index.js';
import { PageScanner, siteOf } from '#src/site/index.js';
import { cli, inFolder, tree } from '../../test-support/cli.js';
import { root } from '../../test-support/paths.js';

const sample = join(root, 'sample');
const read = (path: string) => new Uint8Array(readFileSync(join(sample, path)));

test('a kit of files in memory is the one that is built on disk, to the byte', () =>
  inFolder(async (folder) => {
    for (const one of ['fonts', 'site', 'dense-glyph.config.yaml'])
      cpSync(join(sample, one), join(folder, one), { recursive: true });
    await cli(['build'], folder);

    const config = readConfig(
      kitConfig({
        site: { root: 'site' },
        output: { folder: 'site/type' },
        families: [
          {
            family: 'Ferrywake Sans',
            files: ['fonts/FerrywakeSans-Variable.ttf', 'fonts/FerrywakeSans-VariableItalic.ttf'],
            role: 'body',
            faces: ['300..800', '300..800 italic'],
            stack: ['Arial', 'sans-serif'],
            rights: 'OFL-1.1, OFL.txt beside the files',
          },
          {
            family: 'Lampbuoy Slab',
            files: 'fonts/LampbuoySlab-Bold.otf',
            role: 'heading',
            stack: ['Georgia', 'serif'],
            rights: 'OFL-1.1, OFL.txt beside the files',
          },
          {
            family: 'Tidelog Mono',
            files: 'fonts/TidelogMono-Regular.ttf',
            role: 'times',
            stack: ['Courier New', 'monospace'],
            rights: 'OFL-1.1, OFL.txt beside the files',
          },
        ],
      }),
      'the config',
    );
    const licence = { path: 'fonts/OFL.txt', bytes: read('fonts/OFL.txt') };
    const sources = config.families.map(({ files }) =>
      files.flatMap((path) => sourcesOf({ path: path as string, bytes: read(path as string) }, [licence])),
    );
    const paths = readdirSync(join(sample, 'site'), { recursive: true, encoding: 'utf8' }).sort();
    const site = siteOf(
      new Map(
        paths.filter((path) => /\.(html|css)$/.test(path)).map((path) => [path, read(join('site', path))]),
      ),
    );
    const scanner = new PageScanner(site, { withPlaces: true });
    const pages = [];
    for (const page of site.pages) pages.push(...(await scanner.scanned(page)).map(demandingPage));
    const faces = kitTextFaces(chosenFaces(config, sources));
    const text = new PageScanner(site, { widths: [390, 768, 1280], withRequests: true });
    const visiting = new Visits(site, 'type/');
    const visits = [];
    const texts = [];
    for (const page of site.pages)
      for (const scanned of await text.scanned(page)) {
        visits.push(await visiting.of(page, scanned));
        for (const [width, own] of scanned.blocks!)
          texts.push({ page: page.page, width, paragraphs: paragraphsOf(own, faces, page.page) });
      }
    const { files } = await makeKit({
      config,
      cut: await plannedFaces(config, sources, pages),
      reach: reachOf(config.reach, undefined),
      address: { fromRoot: 'type/' },
      version: (JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')) as { version: string }).version,
      processors: 1,
      text: { faces, pages: texts },
      visits,
    });

    const onDisk = join(folder, 'site/type');
    expect([...files.keys()].sort()).toEqual(tree(onDisk).sort());
    for (const [path, bytes] of files)
      expect([path, Buffer.compare(bytes, readFileSync(join(onDisk, path)))]).toEqual([path, 0]);
  }));
