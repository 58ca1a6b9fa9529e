import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import { networkInterfaces } from 'node:os';
import { connect, type AddressInfo, type Socket } from 'node:net';
import { connect as connectSafely } from 'node:tls';
import { pipeline as pipelineOf, Readable, type Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createBrotliDecompress, createGunzip, createInflate, gzipSync } from 'node:zlib';
import { DenseGlyphError } from '../errors.js';
import { changed, choices, lineOf, usualConditions, type Conditions } from './conditions.js';
import { MarkedFonts } from './marked-fonts.js';
import { PacedLine } from './paced-line.js';
import { changesRules, inHead, rehearsedPage, rehearsedStyles } from './rewriting.js';
import type { Answer, Upstream } from './upstream.js';

/** What a rehearsal serves, and how. */
export interface RehearsalOptions {
  upstream: Upstream;
  /** 0 for any that is free. */
  port: number;
  /** The address that is listened on. */
  host?: string;
  conditions?: Partial<Conditions>;
  /** The script that pages get; none if left out. */
  panel?: string;
  /** Pages of the rehearsal itself, by what comes behind `/.rehearsal/`. */
  pages?: ReadonlyMap<string, string>;
}

/** A site while it is rehearsed. */
export interface Rehearsal {
  /** Without a slash at the end. */
  origin: string;
  conditions: () => Conditions;
  change: (change: Partial<Conditions>) => void;
  /** Called with the conditions whenever somebody changes them. */
  onChange: (told: (conditions: Conditions) => void) => void;
  close: () => Promise<void>;
}

/** What paths of the rehearsal itself start with. */
export const ownPath = '/.rehearsal/';
const isFontPath = (path: string): boolean => /\.(?:woff2?|ttf|otf|eot|ttc)$/i.test(path);
const mostBody = 64 * 1024;
const now = () => performance.now();

type RequestKind = 'visit' | 'page' | 'font' | 'other';

/** What is asked for, by what browsers say of it (Fetch Metadata), else by its name. */
function kindOf({ headers }: IncomingMessage, path: string): RequestKind {
  const destination = headers['sec-fetch-dest']?.toString();
  if (destination === 'document' || (destination === 'iframe' && isBeside(headers))) return 'visit';
  if (destination === 'font' || isFontPath(path)) return 'font';
  const isPage = destination === undefined ? !/\.[a-z0-9]+$/i.test(path) : destination.includes('frame');
  return isPage ? 'page' : 'other';
}

/** Whether a frame is one of the two that are loaded beside each other. */
function isBeside({ referer, host }: IncomingMessage['headers']): boolean {
  if (referer === undefined || !URL.canParse(referer)) return false;
  const from = new URL(referer);
  return from.host !== host || from.pathname.startsWith(ownPath);
}

/**
 * Serves a site with its delivery slowed or failing, and a panel in each page.
 *
 * @throws DenseGlyphError `call-invalid` where the port is taken
 */
export async function startRehearsal(options: RehearsalOptions): Promise<Rehearsal> {
  const server = new RehearsalServer(options);
  await server.listen();
  return server;
}

class RehearsalServer implements Rehearsal {
  origin = '';
  private state: Conditions;
  private line: PacedLine | undefined;
  private readonly told = new Set<(conditions: Conditions) => void>();
  private readonly streams = new Set<ServerResponse>();
  private readonly stalled = new Set<ServerResponse>();
  private readonly upgraded = new Set<Socket>();
  private readonly marked = new MarkedFonts();
  /** Where it listens on all networks: addresses of this machine in them, as URLs write them. */
  private readonly ownNames: string[] = [];
  private readonly server;

  constructor(private readonly options: RehearsalOptions) {
    this.state = changed(usualConditions, options.conditions ?? {});
    this.renew();
    this.server = createServer((request, response) => {
      this.answer(request, response).catch(() => response.destroy());
    });
    this.server.on('upgrade', (request: IncomingMessage, socket: Socket, first: Buffer) => {
      this.upgrade(request, socket, first);
    });
    this.server.on('clientError', (_, socket) => socket.destroy());
  }

  async listen(): Promise<void> {
    const { port, host = '127.0.0.1' } = this.options;
    await new Promise<void>((done, failed) => {
      this.server.once('error', failed);
      this.server.listen(port, host, done);
    });
    const address = this.server.address() as AddressInfo;
    if (isEverywhere(address.address)) this.ownNames.push(...networkNames());
    const [name = address.family === 'IPv6' ? `[${address.address}]` : address.address] = this.ownNames;
    this.origin = `http://${name}:${address.port}`;
  }

  conditions = (): Conditions => this.state;

  change = (change: unknown): void => {
    const before = this.state;
    this.state = changed(before, change);
    if (before.line !== this.state.line) this.renew();
    // What waited for nothing is told so.
    if (this.state.fonts !== 'stalled') this.release();
    for (const tell of this.told) tell(this.state);
    for (const stream of this.streams) stream.write(`data: ${JSON.stringify(this.state)}\n\n`);
  };

  onChange = (told: (conditions: Conditions) => void): void => {
    this.told.add(told);
  };

  close = async (): Promise<void> => {
    for (const socket of this.upgraded) socket.destroy();
    await new Promise<void>((done) => {
      this.server.close(() => done());
      this.server.closeAllConnections();
    });
  };

  /** Another visit, on a line that isn't set up yet. */
  private renew(): void {
    const line = lineOf(this.state);
    this.line = line && new PacedLine(line);
  }

  private release(): void {
    for (const response of this.stalled) response.destroy();
    this.stalled.clear();
  }

  /** Names that a page of another site can't bind to this address (DNS rebinding). */
  private isOwnHost({ headers, socket }: IncomingMessage): boolean {
    const host = /^(.*?)(?::(\d+))?$/.exec(headers.host ?? '');
    if (!host || Number(host[2] ?? 80) !== socket.localPort) return false;
    const name = host[1].toLowerCase();
    const { host: named } = this.options;
    const own = named === undefined ? this.ownNames : [...this.ownNames, asInUrl(named)];
    return ['localhost', '127.0.0.1', '[::1]', ...own].includes(name);
  }

  private async answer(request: IncomingMessage, response: ServerResponse): Promise<void> {
    const asked = now();
    if (!this.isOwnHost(request)) {
      refuse(response, 421, 'This server answers to localhost and its own address only.');
      return;
    }
    const path = (request.url ?? '/').replace(/[?#].*$/s, '');
    if (path.startsWith(ownPath)) {
      await this.answerOwn(path.slice(ownPath.length), request, response);
      return;
    }
    const kind = kindOf(request, path);
    if (kind === 'visit') this.renew();
    const delivery = kind === 'font' ? (this.state.files[path] ?? this.state.fonts) : 'as they are';
    if (delivery === 'blocked') response.destroy();
    else if (delivery === 'stalled') {
      this.stalled.add(response);
      response.on('close', () => this.stalled.delete(response));
    } else await this.deliver(request, response, { path, asked, kind, fails: delivery === 'failing' });
  }

  private async deliver(
    request: IncomingMessage,
    response: ServerResponse,
    { path, asked, kind, fails }: { path: string; asked: number; kind: RequestKind; fails: boolean },
  ): Promise<void> {
    const line = kind === 'font' || this.state.paced === 'everything' ? this.line : undefined;
    await line?.reach('site', asked);
    if (response.destroyed) return;
    if (fails) {
      refuse(response, 404, 'This font fails on purpose.');
      return;
    }
    const isRead = kind !== 'other' || changesRules(this.state);
    // What nobody waits for any more is let go, on the way to here as well.
    const left = new AbortController();
    response.on('close', () => {
      left.abort();
    });
    const asIs = await this.found(request, isRead, left.signal);
    left.signal.addEventListener('abort', () => asIs.body.destroy());
    const found = await this.rehearsed(asIs, path, kind);
    const answer = line && this.state.paced === 'everything' ? compressed(found, request) : found;
    response.writeHead(answer.status, answer.headers);
    if (request.method === 'HEAD') response.end();
    else await pipeline(line ? Readable.from(line.carry(answer.body)) : answer.body, response);
  }

  /** @param isRead whether its text is looked at */
  private async found(request: IncomingMessage, isRead: boolean, left: AbortSignal): Promise<Answer> {
    const { method, url } = request;
    const headers = { ...request.headers };
    if (isRead) headers['accept-encoding'] = 'identity';
    // What was changed on purpose isn't what is in a cache.
    if (isRead)
      for (const name of ['if-none-match', 'if-modified-since', 'range', 'if-range']) delete headers[name];
    try {
      return await this.options.upstream.ask({ method, url, headers }, request, left);
    } catch (cause) {
      const text = `The server behind doesn't answer: ${(cause as Error).message || (cause as NodeJS.ErrnoException).code}\n`;
      return {
        status: 502,
        headers: { 'content-type': 'text/plain; charset=utf-8' },
        body: Readable.from([text]),
      };
    }
  }

  /** The answer under the conditions of now: pages with the panel, rules and fonts changed. */
  private async rehearsed(answer: Answer, path: string, kind: RequestKind): Promise<Answer> {
    const type = answer.headers['content-type'] ?? '';
    // A script that asks for a piece of HTML gets just that.
    const isPage = kind === 'visit' || kind === 'page';
    const isHtml = isPage && /^(?:text\/html|application\/xhtml\+xml)(?!.*\butf-?16)/i.test(type);
    if (/^text\/css/i.test(type) && changesRules(this.state))
      return withBody(answer, Buffer.from(rehearsedStyles((await bytesOf(answer)).toString(), this.state)));
    if (this.state.marked && answer.status === 200 && (/^font\//i.test(type) || isFontPath(path))) {
      const bytes = await bytesOf(answer);
      return withBody(answer, Buffer.from(await this.marked.of(path, bytes)));
    }
    if (!isHtml || this.options.panel === undefined) return answer;
    const { 'content-length': _, etag: _etag, ...headers } = answer.headers;
    const plain = decoded({ ...answer, headers });
    const body = changesRules(this.state)
      ? Readable.from([
          Buffer.from(rehearsedPage((await collected(plain.body)).toString('latin1'), this.state), 'latin1'),
        ])
      : plain.body;
    return {
      ...plain,
      headers: { ...plain.headers, 'cache-control': 'no-store' },
      body: through(body, inHead(`<script src="${ownPath}panel.js"></script>`)),
    };
  }

  private async answerOwn(name: string, request: IncomingMessage, response: ServerResponse): Promise<void> {
    const page = this.options.pages?.get(name);
    const json = (value: unknown) => {
      response.writeHead(200, { 'content-type': 'application/json', 'cache-control': 'no-store' });
      response.end(JSON.stringify(value));
    };
    if (name === 'panel.js')
      response
        .writeHead(200, { 'content-type': 'text/javascript; charset=utf-8', 'cache-control': 'no-store' })
        .end(this.options.panel ?? '');
    else if (page !== undefined)
      response
        .writeHead(200, { 'content-type': 'text/html; charset=utf-8', 'cache-control': 'no-store' })
        .end(page);
    else if (name === 'conditions' && request.method === 'GET') json({ conditions: this.state, choices });
    else if (name === 'marks') json(this.marked.faces());
    else if (name === 'conditions' && request.method === 'POST') {
      if (!isFromHere(request)) {
        refuse(response, 403, 'Conditions are changed from pages of this server only.');
        return;
      }
      try {
        this.change(JSON.parse((await collected(request, mostBody)).toString()));
        json({ conditions: this.state, choices });
      } catch (cause) {
        refuse(response, 400, cause instanceof DenseGlyphError ? cause.message : 'That is no JSON.');
      }
    } else if (name === 'changes') {
      response.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' });
      response.write(`data: ${JSON.stringify(this.state)}\n\n`);
      this.streams.add(response);
      response.on('close', () => this.streams.delete(response));
    } else refuse(response, 404, 'There is nothing here.');
  }

  /** Web sockets go to the server behind, as they are (RFC 6455). */
  private upgrade(request: IncomingMessage, socket: Socket, first: Buffer): void {
    const { server } = this.options.upstream;
    const isKnown = request.headers.upgrade?.toLowerCase() === 'websocket';
    socket.on('error', () => socket.destroy());
    if (!server || !isKnown || !this.isOwnHost(request)) {
      socket.end('HTTP/1.1 400 Bad Request\r\nconnection: close\r\n\r\n');
      return;
    }
    const port = Number(server.port || (server.protocol === 'https:' ? 443 : 80));
    const host = server.hostname.replace(/^\[|\]$/g, '');
    const behind = server.protocol === 'https:' ? connectSafely({ host, port }) : connect({ host, port });
    const end = () => {
      socket.destroy();
      behind.destroy();
    };
    this.upgraded.add(socket);
    socket.on('close', () => this.upgraded.delete(socket));
    behind.on('error', end).on('close', end);
    socket.on('close', end);
    const lines = [`${request.method} ${request.url} HTTP/1.1`];
    for (let i = 0; i < request.rawHeaders.length; i += 2) {
      const [name, value] = [request.rawHeaders[i], request.rawHeaders[i + 1]];
      const own = name.toLowerCase();
      if (own === 'host') lines.push(`${name}: ${server.host}`);
      else if (own === 'origin' && value === `http://${request.headers.host}`)
        lines.push(`${name}: ${server.origin}`);
      else lines.push(`${name}: ${value}`);
    }
    behind.write(`${lines.join('\r\n')}\r\n\r\n`);
    if (first.length > 0) behind.write(first);
    socket.pipe(behind).pipe(socket);
  }
}

const isEverywhere = (address: string): boolean => address === '0.0.0.0' || address === '::';

/** As the host of a URL. */
const asInUrl = (address: string): string =>
  address.includes(':') ? `[${address.toLowerCase()}]` : address.toLowerCase();

/** What other machines of the networks call this one by; the likelier first. */
const networkNames = (): string[] =>
  Object.values(networkInterfaces())
    .flatMap((list = []) => list)
    .filter(({ internal, address }) => !internal && !address.startsWith('fe80:'))
    .sort((a, b) => (a.family < b.family ? -1 : 1))
    .map(({ address }) => asInUrl(address));

/** Whether a page of this server asks, by what browsers say of it (Fetch Metadata). */
const isFromHere = ({ headers }: IncomingMessage): boolean =>
  (headers.origin === undefined || headers.origin === `http://${headers.host}`) &&
  (headers['sec-fetch-site'] === undefined || headers['sec-fetch-site'] === 'same-origin');

function refuse(response: ServerResponse, status: number, text: string): void {
  response.writeHead(status, { 'content-type': 'text/plain; charset=utf-8', 'cache-control': 'no-store' });
  response.end(`${text}\n`);
}

/** A stream that fails where one before it does, and ends those where it is left. */
function through(body: Readable, ...steps: readonly Transform[]): Readable {
  return steps.reduce<Readable>((before, step) => {
    pipelineOf(before, step, () => undefined);
    return step;
  }, body);
}

/** Texts and fonts that are looked into have so many bytes at the most. */
const mostCollected = 64 * 1024 * 1024;

async function collected(body: AsyncIterable<unknown>, most = mostCollected): Promise<Buffer> {
  const pieces: Buffer[] = [];
  let size = 0;
  for await (const piece of body) {
    pieces.push(Buffer.from(piece as Uint8Array));
    size += pieces.at(-1)!.length;
    if (size > most) throw new RangeError('the body is too long');
  }
  return Buffer.concat(pieces);
}

const decoders: Readonly<Record<string, () => Transform>> = {
  gzip: createGunzip,
  'x-gzip': createGunzip,
  br: createBrotliDecompress,
  deflate: createInflate,
};

/** Without its content coding, where it has one that is known, as it comes. */
function decoded(answer: Answer): Answer {
  const decode = decoders[answer.headers['content-encoding']?.toLowerCase() ?? ''];
  if (!decode) return answer;
  const { 'content-encoding': _, ...headers } = answer.headers;
  return { ...answer, headers, body: through(answer.body, decode()) };
}

const bytesOf = async (answer: Answer): Promise<Buffer> => collected(decoded(answer).body);

function withBody(answer: Answer, body: Buffer): Answer {
  const { 'content-encoding': _, etag: _etag, ...headers } = answer.headers;
  return {
    ...answer,
    headers: { ...headers, 'content-length': `${body.length}`, 'cache-control': 'no-store' },
    body: Readable.from([body]),
  };
}

/** Texts as servers send them. */
function compressed(answer: Answer, { headers }: IncomingMessage): Answer {
  const isText = /^text\/(?!event-stream)|javascript|json|svg|xml/.test(answer.headers['content-type'] ?? '');
  const takesGzip = /\bgzip\b/.test(headers['accept-encoding']?.toString() ?? '');
  if (!isText || !takesGzip || answer.headers['content-encoding'] !== undefined) return answer;
  const { 'content-length': _, ...others } = answer.headers;
  const pieces = async function* () {
    yield gzipSync(await collected(answer.body));
  };
  return {
    ...answer,
    headers: { ...others, 'content-encoding': 'gzip', vary: 'accept-encoding' },
    body: Readable.from(pieces()),
  };
}
