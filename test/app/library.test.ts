import { expect, test } from '@jest/globals';
import { cpSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { cli, inFolder, tree } from '../../test-support/cli.js';
import { denseGlyph } from '../../test-support/library.js';
import { root, sampleFonts } from '../../test-support/paths.js';
import { isThorough } from '../../test-support/thorough.js';

const withFonts = (use: (folder: string) => Promise<void>) =>
  inFolder(async (folder) => {
    cpSync(sampleFonts, join(folder, 'fonts'), { recursive: true });
    cpSync(join(root, 'sample/site'), join(folder, 'site'), { recursive: true });
    cpSync(join(root, 'sample/dense-glyph.config.yaml'), join(folder, 'dense-glyph.config.yaml'));
    await use(folder);
  });

const calls: [string, string[], (folder: string) => Promise<unknown>][] = [
  [
    'inspect',
    ['fonts', '--weigh', '--config', 'dense-glyph.config.yaml'],
    (folder) =>
      denseGlyph.inspect({ fonts: ['fonts'], folder, weigh: 'all', config: 'dense-glyph.config.yaml' }),
  ],
  [
    'convert',
    ['fonts/*.otf', '--to', 'woff,ttf', '--out', 'web'],
    (folder) => denseGlyph.convert({ fonts: ['fonts/*.otf'], folder, formats: ['woff', 'ttf'], out: 'web' }),
  ],
  [
    'subset',
    ['fonts/TidelogMono-Regular.ttf', '--languages', 'en', '--chars', '№', '--out', 'cut'],
    (folder) =>
      denseGlyph.subset({
        fonts: ['fonts/TidelogMono-Regular.ttf'],
        folder,
        formats: ['woff2'],
        languages: ['en'],
        chars: '№',
        out: 'cut',
      }),
  ],
  ['build', [], (folder) => denseGlyph.build({ folder })],
  ['scan', ['site'], (folder) => denseGlyph.scan({ site: ['site'], folder, forBuild: true })],
];

test.each(calls.filter(([name]) => isThorough || !['inspect', 'build'].includes(name)))(
  '%s as a function does and returns what the command does and prints',
  (name, args, call) =>
    withFonts((asCommand) =>
      withFonts(async (asFunction) => {
        const { out } = await cli([name, ...args, '--json'], asCommand);
        const result = await call(asFunction);
        expect(JSON.parse(JSON.stringify(result))).toEqual(JSON.parse(out));
        expect(result).toMatchObject({
          [`${{ convert: 'conversion', scan: 'demand' }[name] ?? name}Version`]: 1,
        });
        const paths = tree(asCommand);
        expect(tree(asFunction)).toEqual(paths);
        for (const path of paths) {
          const [a, b] = [asCommand, asFunction].map((folder) => readFileSync(join(folder, path)));
          expect([path, Buffer.compare(a, b)]).toEqual([path, 0]);
        }
      }),
    ),
);

test('how far it is goes to who asks, and what is known early too', () =>
  withFonts(async (folder) => {
    const told: string[] = [];
    const early: (number | undefined)[] = [];
    await denseGlyph.inspect(
      { fonts: ['fonts/TidelogMono-Regular.ttf'], folder, weigh: 'single' },
      {
        progress: ({ task, done, total, item, bytes, totalBytes }) =>
          told.push(
            `${task}: ${done} of ${total}, ${bytes === totalBytes ? 'all' : 'not all'} bytes, ${item}`,
          ),
        inspected: ({ fonts }) => early.push(...fonts.map(({ woff2Bytes }) => woff2Bytes)),
      },
    );
    expect(told).toEqual([
      'looking into fonts: 0 of 1, not all bytes, fonts/TidelogMono-Regular.ttf',
      'looking into fonts: 1 of 1, all bytes, fonts/TidelogMono-Regular.ttf',
      'measuring WOFF2: 0 of 1, not all bytes, fonts/TidelogMono-Regular.ttf',
      'measuring WOFF2: 1 of 1, all bytes, fonts/TidelogMono-Regular.ttf',
    ]);
    expect(early).toEqual([undefined]);
  }));

test('an error names the file and keeps the error that it comes from', () =>
  inFolder(async (folder) => {
    writeFileSync(join(folder, 'cut.ttf'), readFileSync(join(sampleFonts, 'OFL.txt')));
    const refused = denseGlyph.inspect({ fonts: ['cut.ttf'], folder });
    await expect(refused).rejects.toMatchObject({
      code: 'not-a-font',
      place: { file: 'cut.ttf' },
      cause: { code: 'not-a-font', place: {} },
    });
  }));
