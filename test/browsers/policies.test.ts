import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { elementsWithin, readDocument } from '#src/site/html/document.js';
import { policiesOf } from '#src/site/policies/content-security-policy.js';
import { startEngine, testedEngines, type Engine } from '../../test-support/engines.js';
import { readSample, sampleFonts } from '../../test-support/paths.js';
import { LoggingServer } from '../../test-support/server.js';

/** Policies of pages, `HOST` for another host; the browser says what each allows. */
const policies = [
  'img-src *',
  "default-src 'none'",
  "default-src 'self'",
  "font-src 'none'; style-src 'self' 'unsafe-inline'",
  "style-src 'nonce-abc'; font-src data:",
  "style-src 'unsafe-inline' 'nonce-abc' HOST",
  "style-src-elem 'self'; style-src 'none'; font-src *",
  "STYLE-SRC 'SELF'; style-src 'none'; default-src data:",
  'style-src http://HOST/sheets/; font-src http:',
  "style-src http://HOST/other.css 'unsafe-inline'; font-src 'self' data:",
  "default-src 'self'; font-src https://fonts.example",
  "style-src 'sha256-AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA=' 'unsafe-inline'; font-src http://*.example *",
];

/** Stylesheets and style elements that say on the root element that they are there. */
const styles = ['before', 'own', 'nonced', 'other', 'text', 'nonced-text'];
const saying = (name: string) => `html { --${name}: yes }`;

const pageFor = (policy: string, host: string) => `<!doctype html><style id=before>${saying('before')}</style>
<meta http-equiv=Content-Security-Policy content="${policy.replaceAll('HOST', host)}">
<link id=own rel=stylesheet href=/sheets/own.css><link id=nonced nonce=abc rel=stylesheet href=/sheets/nonced.css>
<link id=other rel=stylesheet href=http://${host}/other.css><style id=text>${saying('text')}</style>
<style id=nonced-text nonce=abc>${saying('nonced-text')}</style><p>Pier`;

/** What the page has by our reading. */
function allowed(html: string): Record<string, boolean> {
  const hostOf = (url: string) => /^https?:\/\/([^/]*)/.exec(url)?.[1];
  const root = readDocument(html);
  const all = policiesOf(root, [], hostOf);
  const found = elementsWithin(root).flatMap((element): [string, boolean][] => {
    const id = element.attributes.get('id');
    if (id === undefined) return [];
    const [nonce, url] = [element.attributes.get('nonce'), element.attributes.get('href')];
    const by =
      url === undefined
        ? all.forbidsText('style', { nonce, isKnown: false }, element)
        : all.forbidsFile('style', { url, host: hostOf(url), nonce }, element);
    return [[id, by === undefined]];
  });
  const font = (url: string) => all.forbidsFile('font', { url, host: undefined }) === undefined;
  return { ...Object.fromEntries(found), font: font('/fonts/a.ttf'), data: font('data:font/ttf;base64,AA') };
}

let folder: string;
let server: LoggingServer;
let host: string;
const pages: Record<string, string> = {};

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-policies-'));
  mkdirSync(join(folder, 'sheets'));
  for (const name of ['sheets/own', 'sheets/nonced', 'other'])
    writeFileSync(join(folder, `${name}.css`), saying(name.replace('sheets/', '')));
  server = await LoggingServer.start({ '/fonts/': sampleFonts, '/': folder }, pages);
  host = `localhost:${new URL(server.origin).port}`;
  policies.forEach((policy, i) => (pages[`/page${i}`] = pageFor(policy, host)));
});

afterAll(async () => {
  await server?.close();
  rmSync(folder, { recursive: true, force: true });
});

describe.each(testedEngines())('%s', (name) => {
  let engine: Engine;
  beforeAll(async () => {
    engine = await startEngine(name);
  });
  afterAll(() => engine?.close());

  test.each(policies.map((policy, i) => [policy, i] as const))('%s', async (policy, i) => {
    const data = Buffer.from(readSample('FerrywakeSans-Regular.ttf')).toString('base64');
    await engine.open(`${server.origin}/page${i}`);
    const drawn = await engine.run<Record<string, boolean>>(
      `const style = getComputedStyle(document.documentElement);
       const loads = (source) => new FontFace('x', source).load().then(() => true, () => false);
       return {
         ...Object.fromEntries(argument.styles.map((one) => [one, style.getPropertyValue('--' + one).trim() === 'yes'])),
         font: await loads('url(/fonts/FerrywakeSans-Regular.ttf)'),
         data: await loads(argument.data),
       };`,
      { styles, data: `url(data:font/ttf;base64,${data})` },
    );
    expect(drawn).toEqual(allowed(pageFor(policy, host)));
  });
});
