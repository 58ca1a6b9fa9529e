// What a stylesheet or a page of somebody else may try, tried
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { join } from 'node:path';
import fc from 'fast-check';
import { HttpClient, InnerAddressError } from '#src/io/http/index.js';
import { innerAddresses, otherSchemes, pagePieces } from './attacks.js';
import { cliProcess, inFolder } from './cli.js';
import { sampleFonts } from './paths.js';
import { LoggingServer } from './server.js';

const secret = 'a secret of this machine';

/** None may be connected to where nobody named it; a listener on this machine counts who does. */
export async function attackAddresses(): Promise<string[]> {
  const problems: string[] = [];
  let connections = 0;
  const listener = createServer((socket) => {
    connections++;
    socket.destroy();
  });
  await new Promise<void>((done) => listener.listen(0, done));
  const { port } = listener.address() as AddressInfo;
  const client = new HttpClient({ userAgent: 'attack', namedHosts: new Set(), retries: 0, time: 3000 });
  for (const address of innerAddresses) {
    const failure = await client
      .get(address.replace('PORT', `${port}`), '*/*')
      .catch((cause: unknown) => cause);
    const wasUnknown = /invalid url|ENOTFOUND|EAI_AGAIN/i.test(String((failure as Error).message));
    if (!(failure instanceof InnerAddressError) && !wasUnknown)
      problems.push(`${address}: ${String(failure)}`);
  }
  await client.end();
  await new Promise((done) => listener.close(done));
  if (connections > 0) problems.push(`${connections} connections to this machine`);
  return problems;
}

/** A stylesheet of a host, and a page, name files of this machine: none comes home, and none is asked for. */
export const attackSchemes = (): Promise<string[]> => inFolder(schemesIn);

async function schemesIn(folder: string): Promise<string[]> {
  const problems: string[] = [];
  const file = join(folder, 'secret.ttf');
  writeFileSync(
    file,
    Buffer.concat([readFileSync(join(sampleFonts, 'TidelogMono-Regular.ttf')), Buffer.from(secret)]),
  );
  const addresses = otherSchemes.map((one) => one.replace('FILE', file));
  const css = addresses
    .map(
      (one, i) =>
        `@font-face { font-family: "S${i}"; src: url(${JSON.stringify(one)}) } @import ${JSON.stringify(one)};`,
    )
    .join('\n');
  const imports = addresses.map((one) => `@import url(${JSON.stringify(one)});`).join('\n');
  const host = join(folder, 'host');
  mkdirSync(host);
  writeFileSync(join(host, 'a.css'), `${imports}\n${css}`);
  const server = await LoggingServer.start({ '/': host });
  const site = join(folder, 'schemes');
  mkdirSync(join(site, 'site'), { recursive: true });
  const links = addresses.map((one) => `<link rel=stylesheet href='${one.replaceAll("'", '')}'>`).join('');
  writeFileSync(
    join(site, 'site/index.html'),
    `<!doctype html>${links}<link rel=stylesheet href="${server.origin}/a.css"><style>${css}</style>x`,
  );
  const allow = ['--allow-host', new URL(server.origin).host];
  for (const call of [
    ['adopt', 'site', '--out', 'fonts', ...allow],
    ['adopt', `${server.origin}/a.css`, '--out', 'fonts'],
    ['scan', 'site', '--json'],
  ]) {
    const { code, out, err } = await cliProcess(call, site);
    if (code === 70 || code === null) problems.push(`${call[0]}: ended with ${code}: ${err}`);
    if (`${out}${err}`.includes(secret)) problems.push(`${call[0]}: the secret was told`);
  }
  if (server.take().length === 0) problems.push('the stylesheet of the attack was not asked for');
  await server.close();
  const home = readdirSync(join(site, 'fonts'), { recursive: true, encoding: 'utf8' });
  for (const name of home.filter((one) => /\.(ttf|css|woff2?)$/.test(one)))
    if (readFileSync(join(site, 'fonts', name), 'latin1').includes(secret))
      problems.push(`${name} came home`);
  return problems;
}

/** Each call on a site of random pages ends as it says, and undo leaves nothing behind. */
export const attackPages = (pages: number, seed: number): Promise<string[]> =>
  inFolder((place) => pagesIn(place, pages, seed));

async function pagesIn(place: string, pages: number, seed: number): Promise<string[]> {
  const problems: string[] = [];
  const texts = fc.sample(
    fc.array(fc.constantFrom(...pagePieces), { maxLength: 60 }).map((pieces) => pieces.join('')),
    { seed, numRuns: pages },
  );
  const site = join(place, 'site');
  mkdirSync(site, { recursive: true });
  texts.forEach((text, i) => writeFileSync(join(site, `${i}.html`), text));
  writeFileSync(join(site, 'a.css'), '@font-face { font-family: A; src: url(a.woff2) } p { font-family: A }');
  writeFileSync(
    join(place, 'dense-glyph.config.json'),
    JSON.stringify({
      site: { root: 'site' },
      output: { folder: 'site/type' },
      families: [{ family: 'A', files: [join(sampleFonts, 'TidelogMono-Regular.ttf')], role: 'body' }],
    }),
  );
  const pageTexts = () => texts.map((_, i) => readFileSync(join(site, `${i}.html`), 'utf8'));
  const before = pageTexts();
  const call = async (...args: string[]) => {
    const start = Date.now();
    const { code, err } = await cliProcess([...args, '--quiet'], place);
    if (code === 70 || code === null)
      problems.push(`${args.join(' ')}: ended with ${code}: ${err} (seed ${seed})`);
    const seconds = Math.round((Date.now() - start) / 1000);
    if (seconds > 60 + pages / 10) problems.push(`${args.join(' ')}: took ${seconds} s (seed ${seed})`);
  };
  await call('scan', 'site');
  await call('build');
  await call('wire');
  const once = pageTexts();
  if (once.every((text, i) => text === before[i])) problems.push(`wire changed no page (seed ${seed})`);
  await call('wire');
  pageTexts().forEach((text, i) => {
    if (text !== once[i]) problems.push(`${i}.html: a second call changed it again (seed ${seed})`);
  });
  await call('wire', '--undo');
  pageTexts().forEach((text, i) => {
    if (text !== before[i]) problems.push(`${i}.html: undo left something (seed ${seed})`);
  });
  return problems;
}
