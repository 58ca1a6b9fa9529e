import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { createHash } from 'node:crypto';
import {
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { createServer, request as ask, type IncomingHttpHeaders, type Server } from 'node:http';
import { connect, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { connections } from '#src/config/connections.js';
import { changed, usualConditions, type Conditions } from '#src/rehearsal/conditions.js';
import { rehearse } from '#src/rehearsal/rehearse.js';
import { startRehearsal, type Rehearsal } from '#src/rehearsal/server.js';
import { folderUpstream, serverUpstream } from '#src/rehearsal/upstream.js';

interface Answered {
  status: number;
  headers: IncomingHttpHeaders;
  body: string;
}

/** As it is given, where `fetch` would put it in order first. */
const get = (
  origin: string,
  path: string,
  {
    headers = {},
    method = 'GET',
    body = '',
  }: { headers?: Record<string, string>; method?: string; body?: string } = {},
): Promise<Answered> =>
  new Promise((done, failed) => {
    const { hostname, port } = new URL(origin);
    const asked = ask({ hostname, port, path, method, headers }, (answer) => {
      const pieces: Buffer[] = [];
      answer.on('data', (piece: Buffer) => pieces.push(piece));
      answer.on('end', () =>
        done({
          status: answer.statusCode!,
          headers: answer.headers,
          body: Buffer.concat(pieces).toString('latin1'),
        }),
      );
      answer.on('error', failed);
    });
    asked.on('error', failed);
    asked.end(body);
  });

const page =
  '<!doctype html><html><head><title>Quay</title><link rel=stylesheet href=a.css></head><body>Boats</body></html>';
const css =
  '@font-face { font-family: Q; src: url(q.woff2); font-display: swap }\n@font-face { font-family: Q; src: local("Arial"); size-adjust: 98% }\np { color: red }';

let folder: string;
let site: string;
const running: Rehearsal[] = [];
const digest = () =>
  createHash('sha256')
    .update(
      readdirSync(site, { recursive: true }).sort().join() + readFileSync(join(site, 'index.html'), 'utf8'),
    )
    .digest('hex');

async function rehearsalOf(conditions: Partial<Conditions> = { line: 'none' }): Promise<Rehearsal> {
  const started = await startRehearsal({
    upstream: folderUpstream(site),
    port: 0,
    conditions,
    panel: 'panel()',
  });
  running.push(started);
  return started;
}

beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-rehearsal-'));
  site = join(folder, 'site');
  mkdirSync(join(site, 'el'), { recursive: true });
  mkdirSync(join(site, '.git'));
  writeFileSync(join(site, 'index.html'), page);
  writeFileSync(join(site, 'el/index.html'), page);
  writeFileSync(join(site, 'a.css'), css);
  writeFileSync(join(site, 'q.woff2'), 'font');
  writeFileSync(join(site, '.git/config'), 'secret');
  writeFileSync(join(folder, 'outside.txt'), 'secret');
  symlinkSync(join(folder, 'outside.txt'), join(site, 'link.txt'));
  symlinkSync(join(site, '.git/config'), join(site, 'history.txt'));
});
afterAll(async () => {
  await Promise.all(running.map((one) => one.close()));
  rmSync(folder, { recursive: true, force: true });
});

describe('a folder', () => {
  test.each([
    ['/../outside.txt'],
    ['/%2e%2e/outside.txt'],
    ['/..%2foutside.txt'],
    ['/..%5coutside.txt'],
    ['/el/../../outside.txt'],
    ['//etc/passwd'],
    ['/link.txt'],
    ['/.git/config'],
    ['/history.txt'],
    ['/%00'],
    ['/%'],
  ])('%s leads nowhere', async (path) => {
    const { origin } = await rehearsalOf();
    const { status, body } = await get(origin, path);
    expect([status, body]).toEqual([404, expect.not.stringContaining('secret')]);
  });

  test('listens on this machine only, and answers to its own names', async () => {
    const { origin } = await rehearsalOf();
    const { port, hostname } = new URL(origin);
    expect(hostname).toBe('127.0.0.1');
    for (const [host, expected] of [
      [`localhost:${port}`, 200],
      [`127.0.0.1:${port}`, 200],
      [`127.0.0.1:${Number(port) + 1}`, 421],
      ['rebound.example', 421],
      [`rebound.example:${port}`, 421],
      [`localhost.rebound.example:${port}`, 421],
    ] as const)
      expect([host, (await get(origin, '/', { headers: { host } })).status]).toEqual([host, expected]);
  });

  test('pages have the panel; nothing is written into the site; only reading is answered', async () => {
    const before = digest();
    const { origin } = await rehearsalOf();
    const { body, headers } = await get(origin, '/');
    expect(body).toBe(page.replace('<head>', '<head><script src="/.rehearsal/panel.js"></script>'));
    expect(headers['content-type']).toBe('text/html');
    expect((await get(origin, '/el')).headers.location).toBe('/el/');
    for (const method of ['PUT', 'PATCH', 'POST'])
      expect((await get(origin, '/index.html', { method, body: 'x' })).status).toBe(405);
    expect(digest()).toBe(before);
  });

  test('conditions are changed from its own pages, and to nothing else than there is', async () => {
    const { origin, conditions } = await rehearsalOf();
    const change = (what: unknown, headers: Record<string, string> = {}) =>
      get(origin, '/.rehearsal/conditions', { method: 'POST', body: JSON.stringify(what), headers });
    expect((await change({ fonts: 'failing' }, { origin: 'http://other.example' })).status).toBe(403);
    expect((await change({ fonts: 'failing' }, { 'sec-fetch-site': 'cross-site' })).status).toBe(403);
    for (const wrong of [{ fonts: 'eaten' }, { constructor: 1 }, [], null, { files: { q: 'failing' } }])
      expect((await change(wrong)).status).toBe(400);
    expect(conditions()).toEqual({ ...usualConditions, line: 'none' });
    expect((await change({ fonts: 'failing' }, { origin })).status).toBe(200);
    expect(conditions().fonts).toBe('failing');
  });
});

describe('fonts', () => {
  test('fail, are blocked, stall until somebody lets go, each file by itself', async () => {
    const { origin, change } = await rehearsalOf();
    expect((await get(origin, '/q.woff2')).body).toBe('font');
    change({ fonts: 'failing' });
    expect((await get(origin, '/q.woff2')).status).toBe(404);
    change({ fonts: 'blocked' });
    await expect(get(origin, '/q.woff2')).rejects.toThrow('hang up');
    change({ files: { '/q.woff2': 'as they are' } });
    expect((await get(origin, '/q.woff2')).status).toBe(200);
    change({ fonts: 'stalled', files: { '/q.woff2': 'stalled' } });
    const waiting = get(origin, '/q.woff2').catch(() => 'let go');
    const first = await Promise.race([waiting, new Promise((done) => setTimeout(() => done('waits'), 200))]);
    expect(first).toBe('waits');
    change({ fonts: 'as they are', files: { '/q.woff2': 'as they are' } });
    expect(await waiting).toBe('let go');
  });

  test.each<[Partial<Conditions>, string, string]>([
    [{ display: 'optional' }, 'font-display: optional', 'font-display: swap'],
    [{ standIns: 'untuned' }, 'local("Arial")', 'size-adjust'],
    [{ standIns: 'off' }, 'url(q.woff2)', 'local'],
  ])('rules: %j', async (conditions, there, gone) => {
    const { origin } = await rehearsalOf({ line: 'none', ...conditions });
    const { body, headers } = await get(origin, '/a.css');
    expect(body).toContain(there);
    expect(body).not.toContain(gone);
    expect(body).toContain('p { color: red }');
    expect(Number(headers['content-length'])).toBe(body.length);
  });
});

describe('a line', () => {
  const connection = { ...connections.cable, rtt: 40, down: 800, setUp: 3 };

  test('holds all up together: a server once, each request a round trip, one bandwidth for all', async () => {
    const { PacedLine } = await import('#src/rehearsal/paced-line.js');
    const line = new PacedLine(connection);
    const begun = performance.now();
    const carried = async (bytes: number) => {
      await line.reach('site', performance.now());
      for await (const _ of line.carry([new Uint8Array(bytes)])) void _;
      return performance.now() - begun;
    };
    const [one, other] = await Promise.all([carried(7000), carried(7000)]);
    // 160 ms until the first answer; 14,600 bytes at 100 bytes a millisecond. Timers are late, never early.
    expect(Math.min(one, other)).toBeGreaterThanOrEqual(225);
    expect(Math.max(one, other)).toBeGreaterThanOrEqual(300);
  });
});

describe('a running server', () => {
  let behind: Server;
  let origin: string;
  let sendLast: () => void;
  const seen: IncomingHttpHeaders[] = [];

  beforeAll(async () => {
    behind = createServer((request, response) => {
      seen.push(request.headers);
      if (request.url === '/moved') response.writeHead(302, { location: `${origin}/there?a=1` }).end();
      else if (request.url === '/packed.js')
        response
          .writeHead(203, {
            'content-type': 'text/javascript',
            'content-encoding': 'gzip',
            etag: '"1"',
            'set-cookie': ['a=1', 'b=2'],
          })
          .end(gzipSync('let a;'));
      else if (request.url === '/slow.txt') {
        response.writeHead(200, { 'content-type': 'text/plain' });
        response.write('first ');
        sendLast = () => response.end('last');
      } else response.writeHead(200, { 'content-type': 'text/html' }).end(page);
    });
    behind.on('upgrade', (request, socket) => {
      socket.write(
        `HTTP/1.1 101 Switching Protocols\r\nupgrade: websocket\r\nconnection: upgrade\r\nx-host: ${request.headers.host}\r\n\r\n`,
      );
      socket.pipe(socket);
    });
    await new Promise<void>((done) => behind.listen(0, '127.0.0.1', done));
    origin = `http://127.0.0.1:${(behind.address() as AddressInfo).port}`;
  });
  afterAll(() => {
    behind.closeAllConnections();
    behind.close();
  });

  const inFront = async () => {
    const started = await startRehearsal({
      upstream: serverUpstream(new URL(origin)),
      port: 0,
      conditions: { line: 'none' },
      panel: 'panel()',
    });
    running.push(started);
    return started;
  };

  test('its status, headers, coding and cookies stay as they are; pages have the panel', async () => {
    const front = await inFront();
    const packed = await get(front.origin, '/packed.js', {
      headers: { 'accept-encoding': 'gzip', cookie: 'c=3' },
    });
    expect(packed).toMatchObject({
      status: 203,
      headers: { 'content-encoding': 'gzip', etag: '"1"', 'set-cookie': ['a=1', 'b=2'] },
    });
    expect(Buffer.from(packed.body, 'latin1')).toEqual(gzipSync('let a;'));
    expect(seen.at(-1)).toMatchObject({ cookie: 'c=3', host: new URL(origin).host });
    expect((await get(front.origin, '/')).body).toContain('<head><script src="/.rehearsal/panel.js">');
  });

  test('a redirect to it stays in the rehearsal', async () => {
    const front = await inFront();
    expect((await get(front.origin, '/moved')).headers.location).toBe('/there?a=1');
  });

  test('what it sends bit by bit comes bit by bit', async () => {
    const front = await inFront();
    const response = await fetch(`${front.origin}/slow.txt`);
    const reader = response.body!.getReader();
    expect(new TextDecoder().decode((await reader.read()).value)).toBe('first ');
    sendLast();
    expect(new TextDecoder().decode((await reader.read()).value)).toBe('last');
  });

  const upgraded = (front: string, headers: string) =>
    new Promise<string>((done) => {
      const { hostname, port } = new URL(front);
      const socket = connect({ host: hostname, port: Number(port) }, () =>
        socket.write(`GET /socket HTTP/1.1\r\n${headers}\r\n\r\n`),
      );
      let text = '';
      socket.on('data', (piece) => {
        text += piece.toString();
        if (text.endsWith('\r\n\r\n') && text.startsWith('HTTP/1.1 101')) socket.write('ping');
        if (text.endsWith('ping')) socket.destroy();
      });
      socket.on('close', () => done(text));
    });

  test('web sockets go through; other upgrades and other names don’t', async () => {
    const front = await inFront();
    const host = new URL(front.origin).host;
    const through = await upgraded(
      front.origin,
      `host: ${host}\r\nconnection: upgrade\r\nupgrade: websocket`,
    );
    expect(through).toContain(`x-host: ${new URL(origin).host}`);
    expect(through.endsWith('ping')).toBe(true);
    expect(await upgraded(front.origin, `host: ${host}\r\nconnection: upgrade\r\nupgrade: h2c`)).toContain(
      '400',
    );
    expect(
      await upgraded(front.origin, `host: other.example\r\nconnection: upgrade\r\nupgrade: websocket`),
    ).toContain('400');
  });

  test('200 at a time hold, and it ends at once while some are stalled', async () => {
    const started = await rehearsalOf({ line: 'none' });
    const all = await Promise.all(Array.from({ length: 200 }, () => get(started.origin, '/a.css')));
    expect(all.every(({ status }) => status === 200)).toBe(true);
    started.change({ fonts: 'stalled' });
    const waiting = get(started.origin, '/q.woff2').catch(() => 'ended');
    await new Promise((done) => setTimeout(done, 100));
    // A stalled one would be held for good.
    await started.close();
    expect(await waiting).toBe('ended');
  });
});

test('conditions stay what they are where a change is refused', () => {
  expect(() => changed(usualConditions, { line: 'toString' })).toThrow('line can');
  expect(() => changed(usualConditions, { files: { '/a': 'eaten' } })).toThrow('a file');
});

test.each([
  ['203.0.113.9', '203.0.113.9 is no address of this machine'],
  ['', '--host names no address'],
])('--host %j is refused', async (host, reason) => {
  const call = rehearse({ folder, site: '.', port: 0, host });
  await expect(call).rejects.toMatchObject({ code: 'call-invalid', reason });
});
