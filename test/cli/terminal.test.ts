import { describe, expect, test } from '@jest/globals';
import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { openFont } from '#src/core/containers/index.js';
import { fontOf } from '#src/core/sfnt/font.js';
import { writeSfnt } from '#src/core/sfnt/write.js';
import { name } from '#src/core/tables/index.js';
import { ProgressBar } from '#src/cli/progress-bar.js';
import { safeLine } from '#src/cli/safe-text.js';
import { setTimeout as pause } from 'node:timers/promises';
import { zipOf } from '../../test-support/archives.js';
import { cli, inFolder } from '../../test-support/cli.js';
import { readSample, root } from '../../test-support/paths.js';

/** Clears the screen, sets the title, turns text around, breaks the line. */
const hostile = '\x1b[2J\x1b]0;title\x07\u202eevil\u009b31m\nsecond\r';

// eslint-disable-next-line no-control-regex -- these are what must not be there
const acted = /[\x00-\x09\x0b-\x1f\x7f-\x9f\u202a-\u202e\u2066-\u2069]/;

describe('what comes from files can do nothing to a terminal', () => {
  /** A font with a hostile family, style, designer and licence. */
  function hostileFont(): Uint8Array {
    const { font } = openFont(readSample('TidelogMono-Regular.ttf'));
    const bytes = new Uint8Array(Buffer.from(hostile, 'utf16le').swap16());
    const nameRecord = [0, 1, 2, 4, 5, 6, 8, 9, 13, 14, 16, 17].map((nameID) => ({
      platformID: 3,
      encodingID: 1,
      languageID: 0x409,
      nameID,
      bytes,
    }));
    return writeSfnt(
      fontOf(font.flavour, font.tables().set('name', name.serialise({ version: 0, nameRecord }))),
    );
  }

  const fileName = 'a\x1b[31m\u202eb\n.ttf';

  test.each<[string, string[]]>([
    ['inspect', ['inspect', 'fonts']],
    ['inspect --json', ['inspect', 'fonts', '--json']],
    ['inspect of one', ['inspect', `fonts/${fileName}`]],
    ['convert', ['convert', 'fonts', '--to', 'woff', '--out', 'out']],
    ['subset', ['subset', 'fonts', '--chars', 'a', '--out', 'out']],
    ['an archive', ['inspect', 'fonts.zip']],
    ['a file that is not there', ['inspect', `no${fileName}`]],
    ['a face that is not there', ['convert', 'fonts', '--to', 'woff', '--out', 'out', '--face', hostile]],
    ['an option', ['inspect', `--${hostile}`]],
    ['a config', ['build', '--config', 'bad.yaml', '--verbose']],
  ])('%s', (_, args) =>
    inFolder(async (folder) => {
      mkdirSync(join(folder, 'fonts'));
      writeFileSync(join(folder, 'fonts', fileName), hostileFont());
      writeFileSync(join(folder, 'fonts.zip'), await zipOf({ [fileName]: hostileFont() }));
      writeFileSync(join(folder, 'bad.yaml'), `{ "family\\u001b[2J": 1, output: { folder: "\\u001b[2J" } }`);
      const { out, err } = await cli(args, folder);
      expect(out + err).not.toBe('');
      expect(out + err).not.toMatch(acted);
    }),
  );

  test('our own colours stay', () => {
    const line = '\x1b[1mbold\x1b[22m \x1b[33mnote\x1b[39m';
    expect(safeLine(line, true)).toBe(line);
    expect(safeLine(line)).toBe('␛[1mbold␛[22m ␛[33mnote␛[39m');
    expect(safeLine('\x1b[8mhidden\x1b[0m', true)).toBe('␛[8mhidden␛[0m');
  });
});

describe('progress', () => {
  const said: string[] = [];
  const terminal = (interactive: boolean) => ({
    out: () => undefined,
    err: (text: string) => void said.push(text),
    interactive,
    asks: false,
    columns: 100,
    folder: '/',
    environment: {},
    fallShort: () => undefined,
  });
  const progress = {
    task: 'cutting down',
    done: 3,
    total: 12,
    bytes: 2_000_000,
    totalBytes: 8_000_000,
    item: 'a.ttf',
  };

  test('is a bar with count, bytes and time left, on one line, once the work takes long', async () => {
    said.length = 0;
    const bar = new ProgressBar(terminal(true));
    bar.show(progress);
    await pause(700);
    expect(said).toEqual([]);
    bar.show({ ...progress, item: `${'x'.repeat(200)}.ttf` });
    await pause(300);
    bar.end();
    const text = said.join('');
    expect(text).toMatch(/cutting down {2}█+░+ {2}3 of 12, 2\.0 MB of 8\.0 MB, \d+ s left {2}…x+\.ttf/);
    // eslint-disable-next-line no-control-regex -- what moves the cursor has no width
    const lines = text.replace(/\x1b\[[\d?]*[a-zA-Z]/g, '\n').split('\n');
    expect(Math.max(...lines.map((one) => one.length))).toBeLessThanOrEqual(100);
  });

  test('moves while the work leaves no time to draw it, and is gone in the end', () =>
    inFolder(async (folder) => {
      const line = pathToFileURL(join(root, 'build/src/cli/progress-line.js')).href;
      const seen = join(folder, 'seen');
      // Its thread is busy until the line was seen to move.
      const script = `import { existsSync } from 'node:fs';
        import { ProgressLine } from ${JSON.stringify(line)};
        const line = new ProgressLine({ interactive: true, columns: 90, err: (text) => process.stderr.write(text) });
        line.show({ task: 'cutting down', done: 0, total: 1, bytes: 0, totalBytes: 4e6, item: 'large.otf' });
        while (!existsSync(${JSON.stringify(seen)})) Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 50);
        line.end();`;
      const child = spawn(process.execPath, ['--input-type=module', '-e', script]);
      let stderr = '';
      child.stderr.setEncoding('utf8').on('data', (text: string) => {
        stderr += text;
        const times = stderr.match(/0 of 1, 0 B of 4\.0 MB(, \d+ s)? {2}large\.otf/g) ?? [];
        if (times.length > 3 && times.at(-1)!.includes(' s ')) writeFileSync(seen, '');
      });
      expect(await new Promise((done) => child.on('close', done))).toBe(0);
      // eslint-disable-next-line no-control-regex -- what takes the line away
      expect(stderr).toMatch(/4\.0 MB, \d+ s {2}large\.otf[^\n]*\r\x1b\[2K$/);
    }));

  test('is silent where nobody looks', async () => {
    said.length = 0;
    const bar = new ProgressBar(terminal(false));
    await pause(600);
    bar.show(progress);
    await pause(100);
    expect(said).toEqual([]);
  });
});

test('inspect --page of a collection shows the face that is asked for, and packs it quickly', () =>
  inFolder(async (folder) => {
    const { buildCollection } = await import('../../test-support/fonts.js');
    const fonts = ['FerrywakeSans-Regular.ttf', 'FerrywakeSans-Bold.ttf'].map(
      (file) => openFont(readSample(file)).font,
    );
    writeFileSync(join(folder, 'all.ttc'), buildCollection(fonts));
    const { code, out } = await cli(['inspect', 'all.ttc', '--face', '2', '--page', 'page.html'], folder);
    expect([code, out]).toEqual([0, expect.stringContaining('Next  open page.html')]);
    const page = readFileSync(join(folder, 'page.html'), 'utf8');
    expect(page.match(/<section /g)).toHaveLength(1);
    expect(page).toContain('Ferrywake Sans Bold');
    expect(page).not.toContain('as WOFF2');
  }));
