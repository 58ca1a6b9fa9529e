import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { brotliCompressSync, deflateRawSync, deflateSync, gzipSync } from 'node:zlib';
import { HttpClient } from '#src/io/http/index.js';

/** What a server does at each path. */
const behaviours: Record<string, (send: (status: number, headers: object, body?: string) => void) => void> = {
  '/page': (send) => send(200, { 'content-type': 'Text/HTML; charset="iso-8859-7"' }, 'x'),
  '/away': (send) => send(302, { location: '/page' }),
  '/circle': (send) => send(301, { location: '/circle' }),
  '/none': (send) => send(404, {}, 'no'),
  '/untyped': (send) => send(200, {}, 'x'),
};

const text = Buffer.from('p { color: red }');
/** Answers that are encoded, whether they were asked so or not (RFC 9110, section 8.4). */
const bodies: Record<string, { encoding: string; body: Uint8Array }> = {
  '/gzip': { encoding: 'gzip', body: gzipSync(text) },
  '/br': { encoding: 'br', body: brotliCompressSync(text) },
  '/deflate': { encoding: 'deflate', body: deflateSync(text) },
  '/raw': { encoding: 'deflate', body: deflateRawSync(text) },
  '/twice': { encoding: 'br, gzip', body: gzipSync(brotliCompressSync(text)) },
  '/damaged': { encoding: 'gzip', body: gzipSync(text).subarray(0, 12) },
  '/unknown': { encoding: 'zstandard', body: text },
  '/bomb': { encoding: 'gzip', body: gzipSync(Buffer.alloc(40_000_000)) },
};

describe('the HTTP client', () => {
  let server: Server;
  let origin: string;
  let asked: { path: string; agent: string | undefined }[] = [];
  const client = new HttpClient({ userAgent: 'dense-glyph/test' });

  beforeAll(async () => {
    server = createServer((request, response) => {
      const path = request.url ?? '';
      asked.push({ path, agent: request.headers['user-agent'] });
      if (path === '/cut') {
        response.writeHead(200, { 'content-length': '100' });
        response.write('half');
        setTimeout(() => response.destroy(), 20);
        return;
      }
      const coded = bodies[path];
      if (coded) {
        response.writeHead(200, { 'content-encoding': coded.encoding }).end(coded.body);
        return;
      }
      if (path === '/huge') {
        response.writeHead(200, { 'content-type': 'font/woff2' });
        const piece = Buffer.alloc(1_000_000);
        const write = () => {
          while (!response.destroyed && response.write(piece));
          if (!response.destroyed) response.once('drain', write);
        };
        write();
        return;
      }
      behaviours[path]((status, headers, body) => response.writeHead(status, { ...headers }).end(body));
    });
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
    origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  });
  afterAll(async () => {
    await client.end();
    server.closeAllConnections();
    await new Promise((done) => server.close(done));
  });

  test('gives bytes, media type and encoding, and says who asks', async () => {
    asked = [];
    const { status, mediaType, charset, bytes, url } = await client.get(`${origin}/page`, 'text/html');
    expect([status, mediaType, charset, bytes.length, url]).toEqual([
      200,
      'text/html',
      'iso-8859-7',
      1,
      `${origin}/page`,
    ]);
    expect(asked).toEqual([{ path: '/page', agent: 'dense-glyph/test' }]);
  });

  test('follows redirects, and says where they led', async () => {
    expect((await client.get(`${origin}/away`, '*/*')).url).toBe(`${origin}/page`);
  });

  test.each([
    ['/none', 404, ''],
    ['/untyped', 200, ''],
  ])('%s is an answer too', async (path, status, mediaType) => {
    const answer = await client.get(origin + path, '*/*');
    expect([answer.status, answer.mediaType]).toEqual([status, mediaType]);
  });

  test('a circle of redirects ends', async () => {
    asked = [];
    const answer = await client.get(`${origin}/circle`, '*/*').catch((cause: unknown) => cause);
    // The last redirect comes back as it is, or as an error; either way there is an end.
    expect(answer).toBeDefined();
    expect(asked.length).toBeLessThan(20);
  });

  test.each([
    ['an answer that is cut off', '/cut'],
    ['one that never ends', '/huge'],
  ])('%s is an error', async (_, path) => {
    await expect(client.get(origin + path, '*/*')).rejects.toThrow();
  });

  test('nobody there is an error', async () => {
    await expect(client.get('http://127.0.0.1:9/', '*/*')).rejects.toMatchObject({ code: 'ECONNREFUSED' });
  });

  test.each(['/gzip', '/br', '/deflate', '/raw', '/twice'])('%s is decoded', async (path) => {
    expect(Buffer.from((await client.get(origin + path, '*/*')).bytes).toString()).toBe(String(text));
  });

  test.each([
    ['/damaged', /damaged/],
    ['/unknown', /encoded as zstandard/],
    ['/bomb', /more than 30000000 bytes/],
  ])('%s is told', async (path, reason) => {
    await expect(client.get(origin + path, '*/*')).rejects.toThrow(reason);
  });
});
