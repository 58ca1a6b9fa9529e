import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { denseGlyph } from '../../test-support/library.js';

const { scan } = denseGlyph;

const html = (body: string) => `<!doctype html><meta charset=utf-8>${body}`;
const page = { 'content-type': 'text/html; charset=utf-8' };

/** A site with what goes wrong on the way to it. */
const answers: Record<string, (request: IncomingMessage, response: ServerResponse) => void> = {
  '/': (_, to) =>
    to
      .writeHead(200, page)
      .end(
        html(
          '<link rel=stylesheet href=moved.css><p>x</p><a href=/old>1</a><a href=/out>2</a><a href=/gone>3</a><a href=/data>4</a><a href="/#top">5</a><a href="/greek">6</a><a href=/cut>7</a>',
        ),
      ),
  '/moved.css': (_, to) => to.writeHead(302, { location: '/css/site.css' }).end(),
  '/css/site.css': (_, to) =>
    to
      .writeHead(200, { 'content-type': 'text/css' })
      .end(
        '@font-face { font-family: A; src: url(a.woff2) } @font-face { font-family: A; font-weight: 700; src: url(busy.woff2) } @font-face { font-family: A; font-style: italic; src: url(lost.woff2) } p { font-family: A }',
      ),
  '/css/a.woff2': (_, to) => to.writeHead(200, { 'content-type': 'font/woff2' }).end('no font'),
  '/css/busy.woff2': (_, to) => to.writeHead(503).end(),
  '/old': (_, to) => to.writeHead(301, { location: '/new' }).end(),
  '/new': (_, to) => to.writeHead(200, page).end(html('<p>new')),
  '/out': (_, to) => to.writeHead(302, { location: 'http://localhost:9/' }).end(),
  '/gone': (_, to) => to.writeHead(410, page).end(html('gone')),
  '/data': (_, to) => to.writeHead(200, { 'content-type': 'application/json' }).end('{}'),
  '/greek': (_, to) =>
    to
      .writeHead(200, { 'content-type': 'text/html; charset=iso-8859-7' })
      .end(Buffer.from([...Buffer.from('<!doctype html><p>'), 0xe1])),
  '/cut': (_, to) => {
    to.writeHead(200, { ...page, 'content-length': '1000' });
    to.write('<p>');
    setTimeout(() => to.destroy(), 10);
  },
};

describe('a site behind a URL', () => {
  let server: Server;
  let origin: string;
  const asked: string[] = [];
  beforeAll(async () => {
    server = createServer((request, response) => {
      asked.push(request.url ?? '');
      const answer = answers[request.url ?? ''];
      if (answer) answer(request, response);
      else response.writeHead(404).end();
    });
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
    origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  });
  afterAll(async () => {
    server.closeAllConnections();
    await new Promise((done) => server.close(done));
  });

  test('redirects are followed, other origins are not, and what fails is told', async () => {
    const { pages, faces, findings } = await scan({ site: [`${origin}/`], folder: '/' });
    expect(pages.map(({ page: name }) => name).sort()).toEqual(['/', '/greek', '/new']);
    // Links in a stylesheet start from where a redirect led to.
    expect(faces.find(({ asked: { family } }) => family === 'A')?.rules[0]).toMatchObject({
      file: '/css/site.css',
      selector: 'p',
    });
    const unreadable = findings.filter(({ code }) => code === 'page-unanswered');
    expect(unreadable.map(({ message }) => message.replace(origin, '')).sort()).toEqual([
      '/cut cannot be read: the connection was cut off',
      '/data cannot be read: it is no page but application/json',
      '/gone cannot be read: it is gone (status 410)',
      expect.stringMatching(/^\/out cannot be read: nobody answers there/),
    ]);
    // What wasn't answered may be there.
    expect(
      findings
        .filter(({ code }) => code === 'font-missing')
        .map(({ message }) => message)
        .sort(),
    ).toEqual([
      'busy.woff2 cannot be read: its server has trouble (status 503); call again later',
      'lost.woff2 of A is not there',
    ]);
    // Each once, though two pages have the stylesheet; a page by its fragment is the same page.
    for (const path of ['/', '/css/site.css', '/css/a.woff2', '/new'])
      expect(asked.filter((one) => one === path)).toHaveLength(1);
  });

  test('the encoding that a server names counts', async () => {
    const { pages } = await scan({ site: [`${origin}/greek`], folder: '/' });
    expect(pages[0].faces.map(({ characters }) => characters)).toEqual(['U+3B1']);
  });

  test('a URL stands alone', async () => {
    await expect(scan({ site: [`${origin}/`, 'site'], folder: '/' })).rejects.toMatchObject({
      code: 'call-invalid',
    });
  });
});
