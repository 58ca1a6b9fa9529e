import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { openSources } from '#src/app/project/open-sources.js';
import { mappedCharacters } from '#src/core/text/mapped-characters.js';
import { startFontHost, type Fault, type FontHost } from '#src/rehearsal/font-host.js';
import { openFont } from '#src/core/containers/index.js';
import { cli, tree } from '../../test-support/cli.js';
import { denseGlyph } from '../../test-support/library.js';
import { readSample } from '../../test-support/paths.js';
import { LoggingServer } from '../../test-support/server.js';
import { thoroughly } from '../../test-support/thoroughly.js';

const { adopt } = denseGlyph;

let host: FontHost;
let folder: string;

beforeAll(async () => {
  const names = ['FerrywakeSans-Regular.ttf', 'FerrywakeSans-Italic.ttf', 'TidelogMono-Regular.ttf'];
  host = await startFontHost(names.map((path) => ({ path, bytes: readSample(path) })));
});
afterAll(() => host.close());
beforeEach(() => {
  host.faults.clear();
  host.requests.length = 0;
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-adopt-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const hosts = () => [host.styles, host.files].map((origin) => new URL(origin).host);
const bring = (inputs: string[], more: object = {}) =>
  adopt({ inputs, out: 'fonts', folder, allowHosts: hosts(), time: 5000, ...more });
const inFonts = () => readdirSync(join(folder, 'fonts')).sort();
const textIn = (file: string) => readFileSync(join(folder, 'fonts', file), 'utf8');
const put = (file: string, text: string) => {
  mkdirSync(join(folder, file, '..'), { recursive: true });
  writeFileSync(join(folder, file), text);
};

describe('faces come home', () => {
  test('from a page, a stylesheet that it imports, and rules of its own', async () => {
    put(
      'site/index.html',
      `<!doctype html><link rel=stylesheet href="${host.styles}/css/ferrywake-sans.css"><link rel=stylesheet href=a.css>
<style>@font-face { font-family: Mine; font-weight: 300; size-adjust: 90%; src: url(${host.files}/files/ferrywake-sans-400-400-normal-all.woff2) }</style><p>Pier`,
    );
    put('site/a.css', `@import url("${host.styles}/css/tidelog-mono.css");`);
    const { faces, findings, fetched } = await bring(['site']);
    expect(findings).toEqual([]);
    expect(
      faces.flatMap(({ rules }) => rules.map(({ family, weight, style }) => [family, weight, style])).sort(),
    ).toEqual([
      ['Ferrywake Sans', '400', 'italic'],
      ['Ferrywake Sans', '400', 'normal'],
      ['Mine', '300', undefined],
      ['Tidelog Mono', '400', 'normal'],
    ]);
    expect(fetched).toBe(4);
    expect(host.requests.filter(({ path }) => path.startsWith('/files/'))).toHaveLength(3);
    const css = textIn('faces.css');
    expect(css.match(/@font-face/g)).toHaveLength(4);
    expect(css).toContain('size-adjust: 90%;');
    expect(css).not.toContain('http');
    for (const { file, stated, from } of faces) {
      expect(openFont(readFileSync(join(folder, 'fonts', file))).format).toBe('woff2');
      expect([stated.licenceUrl, from.startsWith(host.files)]).toEqual(['https://openfontlicense.org', true]);
    }
  });

  test('a second time only what changed is fetched; offline nothing is, and what is gone is told', async () => {
    const url = `${host.styles}/css/ferrywake-sans.css`;
    const first = await bring([url]);
    const css = textIn('faces.css');
    const second = await bring([url]);
    expect([second.fetched, second.kept, second.faces, textIn('faces.css')]).toEqual([
      0,
      2,
      first.faces,
      css,
    ]);
    host.requests.length = 0;
    expect((await bring([url], { offline: true })).findings).toEqual([]);
    rmSync(join(folder, 'fonts', first.faces[0].file));
    const { findings } = await bring([url], { offline: true });
    expect([findings.map(({ code }) => code), host.requests]).toEqual([['adopted-file-changed'], []]);
  });

  test('a URL of a page; a stylesheet of a package, with the files beside it', async () => {
    put(
      'node_modules/face/index.css',
      '@font-face { font-family: "Quay"; src: url(./q.ttf) format("truetype") }',
    );
    writeFileSync(join(folder, 'node_modules/face/q.ttf'), readSample('TidelogMono-Regular.ttf'));
    const { faces } = await bring(['node_modules/face/index.css']);
    expect(faces).toMatchObject([
      { rules: [{ family: 'Quay' }], from: 'q.ttf', stylesheet: 'node_modules/face/index.css' },
    ]);
    expect(inFonts()).toEqual(['faces.css', 'ledger.json', expect.stringMatching(/^quay-400n-\w{8}\.ttf$/)]);
  });

  test('a variable file that rules name once for each weight is one file with a rule for each', async () => {
    const rule = (weight: number) =>
      `@font-face { font-family: Quay; font-weight: ${weight}; src: url(q.ttf) }`;
    put('node_modules/face/index.css', rule(400) + rule(700));
    writeFileSync(join(folder, 'node_modules/face/q.ttf'), readSample('FerrywakeSans-Variable.ttf'));
    const { faces } = await bring(['node_modules/face/index.css']);
    expect(faces).toMatchObject([{ rules: [{ family: 'Quay', weight: '400' }, { weight: '700' }] }]);
    expect((await openSources(['fonts'], folder)).map(({ face }) => face.weight)).toEqual([
      [400, 400],
      [700, 700],
    ]);
    expect(textIn('faces.css').match(/font-weight: .*/g)).toEqual(['font-weight: 400;', 'font-weight: 700;']);
  });

  test.each<[Fault, RegExp | undefined]>([
    ['slow', undefined],
    ['cut off', /cut off/],
    ['missing', /404/],
    ['too often', /429/],
    ['broken', /trouble \(status 503\)/],
    ['page instead', /a page, not a font/],
    ['circle', /circle/],
    ['longer than said', /./],
    ['hangs', /in time/],
  ])('a host that is %s: the others come, what was there stays', async (fault, reason) => {
    const inputs = [`${host.styles}/css/ferrywake-sans.css`, `${host.styles}/css/tidelog-mono.css`];
    const before = await bring(inputs);
    host.faults.set('/files/tidelog', fault);
    const { findings, faces } = await bring(inputs);
    expect(findings.map(({ message }) => message)).toEqual(reason ? [expect.stringMatching(reason)] : []);
    expect(faces.map(({ file }) => file).sort()).toEqual(before.faces.map(({ file }) => file).sort());
    for (const { file } of faces) openFont(readFileSync(join(folder, 'fonts', file)));
  });

  test('what another call brought stays, and so does what a stylesheet named that cannot be had today', async () => {
    const [sans, mono] = ['ferrywake-sans', 'tidelog-mono'].map((name) => `${host.styles}/css/${name}.css`);
    await bring([sans]);
    await bring([mono]);
    const css = textIn('faces.css');
    expect(css.match(/font-family: .*/g)?.sort()).toEqual([
      'font-family: "Ferrywake Sans";',
      'font-family: "Ferrywake Sans";',
      'font-family: "Tidelog Mono";',
    ]);
    host.faults.set('/css/ferrywake', 'missing');
    put('site/index.html', `<link rel=stylesheet href="${sans}"><link rel=stylesheet href="${mono}"><p>Pier`);
    const { findings } = await bring(['site']);
    expect(findings.map(({ message }) => message)).toEqual([expect.stringMatching(/404/)]);
    host.faults.set('/files/tidelog', 'missing');
    await bring(['site']);
    const sorted = (text: string) =>
      text
        .split('\n\n')
        .map((rule) => rule.trim())
        .sort();
    expect(sorted(textIn('faces.css'))).toEqual(sorted(css));
    const { stylesheets } = JSON.parse(textIn('ledger.json')) as { stylesheets: { url: string }[] };
    expect(stylesheets.map(({ url }) => url).sort()).toEqual([sans, mono].sort());
  });

  test('a host on this machine that nobody named is not asked, nor is one that a named one leads to', async () => {
    put('site/index.html', `<link rel=stylesheet href="${host.styles}/css/ferrywake-sans.css"><p>Pier`);
    const unnamed = await bring(['site'], { allowHosts: [] });
    expect(unnamed.findings.map(({ message }) => message)).toEqual([expect.stringMatching(/nobody named/)]);
    expect([unnamed.faces, host.requests]).toEqual([[], []]);
    const led = await bring(['site'], { allowHosts: [new URL(host.styles).host] });
    expect(led.findings.map(({ message }) => message)).toEqual(
      Array.from({ length: 2 }, () => expect.stringMatching(/nobody named/)),
    );
    expect(host.requests.every(({ path }) => path.startsWith('/css/'))).toBe(true);
  });

  test('partial files become one source again, beside them', async () => {
    const names = ['FerrywakeSans-Variable.ttf', 'LampbuoySlab-Bold.otf'];
    const cutHost = await startFontHost(names.map((path) => ({ path, bytes: readSample(path) })));
    try {
      const allowHosts = [cutHost.styles, cutHost.files].map((origin) => new URL(origin).host);
      const urls = ['ferrywake-sans', 'lampbuoy-slab'].map((name) => `${cutHost.styles}/css/${name}.css?cut`);
      const first = await bring(urls, { allowHosts });
      expect([first.joined, first.inParts]).toMatchObject([
        [
          { rules: [{ family: 'Ferrywake Sans', weight: '300 800' }], from: { length: 3 } },
          { rules: [{ family: 'Lampbuoy Slab', weight: '700' }], from: { length: 3 } },
        ],
        [],
      ]);
      expect(first.joined[0].file).toMatch(/^ferrywake-sans-300-800n-\w{8}\.woff2$/);
      for (const { file, from } of first.joined) {
        const charactersOf = (name: string) =>
          mappedCharacters(openFont(readFileSync(join(folder, 'fonts', name))).font).size;
        expect(charactersOf(file)).toBeGreaterThan(Math.max(...from.map(charactersOf)));
        expect(textIn('faces.css')).not.toContain(file);
      }
      const opened = await openSources(['fonts'], folder);
      expect(opened.map(({ path }) => path)).toEqual(first.joined.map(({ file }) => `fonts/${file}`).sort());
      expect((await bring(urls, { allowHosts })).joined).toEqual(first.joined);

      const [{ file, from }] = first.joined;
      rmSync(join(folder, 'fonts', file));
      expect((await bring(urls, { offline: true })).findings).toMatchObject([
        { code: 'adopted-file-changed' },
      ]);
      const gone = first.faces.find((one) => one.file === from[0])!;
      cutHost.faults.set(new URL(gone.from).pathname, 'missing');
      rmSync(join(folder, 'fonts', from[0]));
      const { joined, inParts } = await bring(urls, { allowHosts });
      expect([joined, inParts]).toMatchObject([
        [{ rules: [{ family: 'Lampbuoy Slab' }] }],
        [{ rule: { family: 'Ferrywake Sans' }, why: 'one of them could not be had' }],
      ]);
    } finally {
      await cutHost.close();
    }
  });

  test('files that are no cuts of one font stay parts, with the reason', async () => {
    const rule = (file: string, range: string) =>
      `@font-face { font-family: Quay; src: url(${file}.ttf); unicode-range: ${range} }`;
    put('node_modules/face/index.css', rule('Regular', 'U+20-7E') + rule('Bold', 'U+370-3FF'));
    for (const style of ['Regular', 'Bold'])
      writeFileSync(join(folder, `node_modules/face/${style}.ttf`), readSample(`FerrywakeSans-${style}.ttf`));
    const { joined, inParts } = await bring(['node_modules/face/index.css']);
    expect([joined, inParts]).toEqual([
      [],
      [{ rule: { family: 'Quay' }, files: 2, why: 'their metrics differ' }],
    ]);
    expect((await openSources(['fonts'], folder)).map(({ ranges }) => ranges?.has(0x41))).toEqual([
      expect.any(Boolean),
      expect.any(Boolean),
    ]);
  });

  test('a file that became another stays beside it, and is what a config names, or nothing', async () => {
    put('node_modules/face/index.css', '@font-face { font-family: Quay; font-weight: 500; src: url(q.ttf) }');
    const source = join(folder, 'node_modules/face/q.ttf');
    const adoptAs = async (style: string) => {
      writeFileSync(source, readSample(`FerrywakeSans-${style}.ttf`));
      return bring(['node_modules/face/index.css']);
    };
    const [{ file: first }] = (await adoptAs('Regular')).faces;
    const { faces, replaced } = await adoptAs('Bold');
    const [{ file: second }] = faces;
    expect(replaced).toEqual([{ file: first, rules: [{ family: 'Quay', weight: '500' }], by: [second] }]);
    const opened = async (path: string) =>
      (await openSources([path], folder)).map((one) => [one.path, one.face.family, one.face.weight]);
    expect(await opened('fonts')).toEqual([[`fonts/${second}`, 'Quay', [500, 500]]]);
    expect(await opened(`fonts/${first}`)).toEqual([[`fonts/${first}`, 'Quay', [500, 500]]]);
    const [{ file: third }] = (await adoptAs('Italic')).faces;
    expect((await adoptAs('Italic')).replaced.map(({ file, by }) => [file, by]).sort()).toEqual(
      [first, second].map((file) => [file, [third]]).sort(),
    );
    rmSync(join(folder, 'fonts', first));
    expect((await adoptAs('Italic')).replaced.map(({ file }) => file)).toEqual([second]);
  });

  test('what is no address of the web is refused, and so is a folder without hosted faces', async () => {
    await expect(bring(['ftp://faces.example/a.css'])).rejects.toThrow('no http or https address');
    put('site/index.html', '<p>Pier');
    await expect(bring(['site'])).rejects.toThrow('nothing here asks another host for faces');
  });

  test('what a stylesheet has besides faces comes too, with what it names; the page is drawn from it', async () => {
    const hosted = join(folder, 'hosted');
    const css = `@import "more.css"; @font-face { font-family: Signs; src: url(${host.files}/files/tidelog-mono-400-400-normal-all.woff2) }
.sign { font: 1em Signs; background: url(a%20b.svg#x) } i { src: url(data:x) }`;
    await bring([`${host.styles}/css/tidelog-mono.css`]);
    mkdirSync(hosted);
    writeFileSync(join(hosted, 'signs.css'), css);
    writeFileSync(join(hosted, 'more.css'), '.more { color: red }');
    writeFileSync(join(hosted, 'a b.svg'), '<svg/>');
    const server = await LoggingServer.start({ '/': hosted });
    try {
      put(
        'site/index.html',
        `<!doctype html><link rel=stylesheet href="${server.origin}/signs.css"><p class=sign>Pier`,
      );
      const { stylesheets } = await bring(['site'], {
        allowHosts: [...hosts(), new URL(server.origin).host],
      });
      const sheet = stylesheets.find(({ url }) => url.endsWith('/signs.css'))!;
      expect(sheet).toMatchObject({ families: ['Signs'], hasOthers: true });
      const text = textIn(sheet.file!);
      expect(text).toMatch(/^@import url\("127-0-0-1-more-\w{8}\.css"\);/);
      expect(text).toMatch(/src: url\("\.\.\/signs-400n-\w{8}\.woff2"\) format\("woff2"\);/);
      expect(text).toMatch(/background: url\("files\/a-20b-\w{8}\.svg#x"\)/);
      expect(text).toContain('url(data:x)');
      expect(readdirSync(join(folder, 'fonts/styles/files'))).toHaveLength(1);
      // As a browser would read the host's.
      const { faces } = await denseGlyph.scan({ site: ['site'], folder });
      expect(faces.map(({ asked, drawnBy }) => [asked.family, drawnBy?.family])).toEqual([
        ['Signs', 'Signs'],
      ]);
    } finally {
      await server.close();
    }
  });

  test('a stylesheet of a host reads no files of this machine; one of a package reads its own, also by imports', async () => {
    put('secret.ttf', '');
    writeFileSync(join(folder, 'secret.ttf'), readSample('TidelogMono-Regular.ttf'));
    const hosted = join(folder, 'hosted');
    mkdirSync(hosted);
    const path = pathToFileURL(join(folder, 'secret.ttf')).href;
    writeFileSync(
      join(hosted, 'a.css'),
      `@font-face { font-family: A; src: url(${path}) } @import url(file:///etc/passwd);`,
    );
    const server = await LoggingServer.start({ '/': hosted });
    try {
      const { faces, findings } = await bring([`${server.origin}/a.css`], {
        allowHosts: [new URL(server.origin).host],
      });
      expect([faces, findings.map(({ message }) => message)]).toEqual([
        [],
        Array.from({ length: 2 }, () => expect.stringContaining('no business with')),
      ]);
    } finally {
      await server.close();
    }
    put('package/package.json', '{}');
    put('package/css/index.css', '@import "./400.css";');
    put(
      'package/css/400.css',
      '@font-face { font-family: B; src: url(../files/b.ttf) } @font-face { font-family: C; src: url(../../secret.ttf) }',
    );
    put('package/files/b.ttf', '');
    writeFileSync(join(folder, 'package/files/b.ttf'), readSample('TidelogMono-Regular.ttf'));
    const { faces } = await bring(['package/css/index.css']);
    expect(faces.map(({ rules }) => rules[0].family)).toEqual(['B']);
  });

  test('what a stylesheet leaves open swallows no other rule of faces.css', async () => {
    const rule = (family: string, more = '') => `@font-face { font-family: ${family}; src: url(q.ttf)${more}`;
    put(
      'node_modules/face/index.css',
      `${rule('A', '; font-feature-settings: "liga" 1, (; }')} ${rule('B', '}')} ${rule('C', '; ascent-override: 90%; font-style: oblique 4deg')}`,
    );
    writeFileSync(join(folder, 'node_modules/face/q.ttf'), readSample('TidelogMono-Regular.ttf'));
    await bring(['node_modules/face/index.css']);
    const css = textIn('faces.css');
    expect(css.match(/^@font-face \{$/gm)?.length).toBe(css.match(/^\}$/gm)?.length);
    expect(css).not.toContain('liga');
  });
});

describe('what is done at the same time, or is too much', () => {
  const sheets = () => ['ferrywake-sans', 'tidelog-mono'].map((name) => `${host.styles}/css/${name}.css`);
  const families = () =>
    [...new Set([...textIn('faces.css').matchAll(/font-family: "(.*)"/g)].map(([, name]) => name))].sort();

  test('two calls for one folder both come home, in one process and in two', async () => {
    await Promise.all(sheets().map((url) => bring([url])));
    expect(families()).toEqual(['Ferrywake Sans', 'Tidelog Mono']);
    rmSync(join(folder, 'fonts'), { recursive: true });
    const allowed = ['--allow-host', ...hosts()];
    const ended = await Promise.all(
      sheets().map((url) => cli(['adopt', url, '--out', 'fonts', ...allowed], folder)),
    );
    expect(ended.map(({ code }) => code)).toEqual([0, 0]);
    expect(families()).toEqual(['Ferrywake Sans', 'Tidelog Mono']);
    expect(inFonts().filter((name) => name.startsWith('.'))).toEqual([]);
  });

  test('the lock of a process that is gone counts for nothing', async () => {
    const { pid } = spawnSync(process.execPath, ['-e', '']);
    put('fonts/.dense-glyph.lock', `${pid}\n`);
    await bring([sheets()[0]]);
    expect(inFonts().filter((name) => name.startsWith('.'))).toEqual([]);
  });

  test('where nothing comes of it no folder is left', async () => {
    await expect(bring([`${host.styles}/css/nothing.css`])).rejects.toThrow(/404/);
    expect(readdirSync(folder)).toEqual([]);
  });

  thoroughly(
    '8,000 families: equal files are fetched once, no more than a call may bring, and the rest is told',
    async () => {
      const rules = Array.from(
        { length: 8000 },
        (_, i) =>
          `@font-face { font-family: "F${i}"; src: url(${host.files}/files/tidelog-mono-400-400-normal-all.woff2) }`,
      );
      put('site/index.html', `<!doctype html><style>${rules.join('')}</style>x`);
      const { faces, fetched, findings } = await bring(['site'], { mostFiles: 40 });
      expect([faces.length, fetched]).toEqual([40, 40]);
      expect(host.requests.filter(({ path }) => path.startsWith('/files/'))).toHaveLength(1);
      expect(findings.map(({ code, message }) => [code, message])).toEqual([
        ['call-bounded', '7960 more files are named than a call brings: 40 files (--most-files)'],
      ]);
    },
  );
});

test('users and passwords of addresses stand nowhere', async () => {
  const named = (path: string) => `${host.styles}${path}`.replace('//', '//harbour:gull%40s@');
  put('site/index.html', `<!doctype html><link rel=stylesheet href="${named('/css/nothing.css')}">x`);
  const { code, out, err } = await cli(
    [
      'adopt',
      'site',
      named('/css/ferrywake-sans.css'),
      '--out',
      'fonts',
      '--json',
      '--allow-host',
      ...hosts(),
    ],
    folder,
  );
  expect([code, err]).toEqual([1, '']);
  expect(out).toContain('/css/nothing.css');
  const scanned = await cli(['scan', 'site', '--page', 'report.html', '--json'], folder);
  const online = await cli(['scan', named('/css/nothing.html'), '--verbose'], folder);
  const files = tree(join(folder, 'fonts')).map(textIn);
  const report = readFileSync(join(folder, 'report.html'), 'utf8');
  // The page itself says it, and its source stands in the report.
  const said = [out, err, scanned.out, scanned.err, online.out, online.err, ...files].join('\n');
  expect(online.code).toBe(3);
  expect(said.split('\n').filter((line) => /harbour:|gull/.test(line))).toEqual([]);
  expect(report.replaceAll('link rel=stylesheet href=\\"http://harbour:gull%40s@', '')).not.toMatch(/gull/);
});
