import { afterEach, describe, expect, test } from '@jest/globals';
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { networkInterfaces } from 'node:os';
import { Readable } from 'node:stream';
import type { ReadableStream } from 'node:stream/web';
import { setTimeout as pause } from 'node:timers/promises';
import { createGzip, gzipSync } from 'node:zlib';
import { startRehearsal, type RehearsalOptions } from '#src/rehearsal/server.js';
import { serverUpstream } from '#src/rehearsal/upstream.js';

const ends: (() => Promise<void> | void)[] = [];
afterEach(async () => {
  for (const end of ends.splice(0).reverse()) await end();
});

type Answering = (request: IncomingMessage, response: ServerResponse) => void;

/** A rehearsal in front of a server that answers so. */
async function inFrontOf(answering: Answering, options: Partial<RehearsalOptions> = {}): Promise<string> {
  const behind = createServer(answering);
  await new Promise<void>((done) => behind.listen(0, '127.0.0.1', done));
  ends.push(() => {
    behind.closeAllConnections();
    behind.close();
  });
  const { port } = behind.address() as AddressInfo;
  const upstream = serverUpstream(new URL(`http://127.0.0.1:${port}`));
  const conditions = { line: 'none' as const };
  const started = await startRehearsal({ upstream, port: 0, conditions, panel: 'panel()', ...options });
  ends.push(started.close);
  return started.origin;
}

const asHtml = (response: ServerResponse, headers: Record<string, string> = {}) =>
  response.writeHead(200, { 'content-type': 'text/html', ...headers });
const panel = '<script src="/.rehearsal/panel.js"></script>';

describe('a page of a server behind', () => {
  test.each([
    [
      'in a head',
      '<!doctype html><html lang=en><head><title>a',
      '<!doctype html><html lang=en><head>|<title>a',
    ],
    ['without a head', '<!doctype html><p>a', '<!doctype html>|<p>a'],
    ['without anything', 'a <head>', '|a <head>'],
    [
      'behind comments and strings',
      '<!-- <head> --><html data-a="<head>"><p>',
      '<!-- <head> --><html data-a="<head>">|<p>',
    ],
    ['behind a header', '<header><p>a', '|<header><p>a'],
    ['in a script', '<script>"<head>"</script>', '|<script>"<head>"</script>'],
    ['behind a mark of UTF-8', '\u00ef\u00bb\u00bf<html><body>', '\u00ef\u00bb\u00bf<html>|<body>'],
    ['of UTF-16', '\u00ff\u00fe<\0h\0e\0a\0d\0>\0', '\u00ff\u00fe<\0h\0e\0a\0d\0>\0'],
  ])('has the panel where its head begins: %s', async (_, html, expected) => {
    const origin = await inFrontOf((_request, response) => {
      asHtml(response);
      for (const letter of html) response.write(letter, 'latin1');
      response.end();
    });
    const body = Buffer.from(await (await fetch(`${origin}/`)).arrayBuffer()).toString('latin1');
    expect(body).toBe(expected.replace('|', panel));
  });

  test('has none where a script asks for a piece of HTML', async () => {
    const origin = await inFrontOf((_, response) => asHtml(response).end('<p>a'));
    const asked = await fetch(`${origin}/piece`, { headers: { 'sec-fetch-dest': 'empty' } });
    expect(await asked.text()).toBe('<p>a');
  });

  test('that is compressed comes as it is sent', async () => {
    let sendLast!: () => void;
    const origin = await inFrontOf((_, response) => {
      asHtml(response, { 'content-encoding': 'gzip' });
      const packer = createGzip();
      packer.pipe(response);
      packer.write('<!doctype html><head><p>first');
      packer.flush();
      sendLast = () => packer.end(' last');
    });
    const reader = (await fetch(`${origin}/`)).body!.getReader();
    let text = '';
    while (!text.includes('first')) text += new TextDecoder().decode((await reader.read()).value);
    sendLast();
    expect(new TextDecoder().decode((await reader.read()).value)).toBe(' last');
  });

  test.each<[string, Answering]>([
    [
      'is cut off',
      (_, response) => asHtml(response, { 'content-length': '900' }).write('<p>a', () => response.destroy()),
    ],
    [
      'is compressed and cut off',
      (_, response) =>
        asHtml(response, { 'content-encoding': 'gzip' }).end(gzipSync('<p>a'.repeat(9)).subarray(0, 20)),
    ],
    [
      'says that it is compressed, and isn’t',
      (_, response) => asHtml(response, { 'content-encoding': 'br' }).end('<p>a'),
    ],
  ])('that %s ends at once', async (_, answering) => {
    const origin = await inFrontOf(answering);
    await expect(fetch(`${origin}/`).then((answer) => answer.text())).rejects.toThrow();
  });

  test('that unpacks to more than anybody reads is ended where its rules are changed, and hardly takes memory', async () => {
    const zeros = gzipSync(Buffer.alloc(200 * 1024 * 1024));
    const packed: Answering = (_, response) => asHtml(response, { 'content-encoding': 'gzip' }).end(zeros);
    const origin = await inFrontOf(packed);
    const before = process.memoryUsage().rss;
    let [most, length] = [0, 0];
    for await (const piece of Readable.fromWeb((await fetch(`${origin}/`)).body as ReadableStream)) {
      length += (piece as Uint8Array).length;
      most = Math.max(most, process.memoryUsage().rss - before);
    }
    expect(length).toBe(200 * 1024 * 1024 + panel.length);
    expect(most).toBeLessThan(150 * 1024 * 1024);
    const changed = await inFrontOf(packed, { conditions: { line: 'none', display: 'block' } });
    await expect(fetch(`${changed}/`).then((answer) => answer.text())).rejects.toThrow();
  });

  test('is let go once nobody waits for it any more', async () => {
    let request: IncomingMessage | undefined;
    const origin = await inFrontOf((asked) => {
      request = asked;
    });
    const left = new AbortController();
    const asked = fetch(`${origin}/never`, { signal: left.signal }).catch(() => undefined);
    while (!request) await pause(10);
    left.abort();
    await asked;
    while (!request.destroyed) await pause(10);
    expect(request.destroyed).toBe(true);
  });

  test('that answers 101 to a plain request is an error', async () => {
    const origin = await inFrontOf(({ socket }) => {
      socket.write('HTTP/1.1 101 Switching Protocols\r\nupgrade: h2c\r\nconnection: upgrade\r\n\r\n');
    });
    const answer = await fetch(`${origin}/`);
    expect([answer.status, await answer.text()]).toEqual([502, expect.stringContaining('101')]);
  });

  test('is told its own origin, and that of others as it is', async () => {
    const origins: (string | undefined)[] = [];
    const origin = await inFrontOf(({ headers }, response) => {
      origins.push(headers.origin === `http://${headers.host}` ? 'its own' : headers.origin);
      response.end();
    });
    for (const from of [origin, 'http://other.example'])
      await fetch(`${origin}/form`, { method: 'POST', headers: { origin: from } });
    expect(origins).toEqual(['its own', 'http://other.example']);
  });
});

test('on all networks it names an address that other machines can open, and answers to that', async () => {
  const others = Object.values(networkInterfaces()).flatMap((list = []) =>
    list.filter(({ internal }) => !internal),
  );
  const origin = await inFrontOf((_, response) => response.end('here'), { host: '0.0.0.0' });
  const { hostname } = new URL(origin);
  if (others.length > 0)
    expect(others.map(({ address }) => address)).toContain(hostname.replace(/^\[|\]$/g, ''));
  expect(await (await fetch(`${origin}/`)).text()).toBe('here');
});
