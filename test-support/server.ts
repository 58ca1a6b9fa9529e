import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import sirv from 'sirv';

export interface LoggedRequest {
  path: string;
  /** `Sec-Fetch-Dest`, where the engine sends it. */
  destination: string | undefined;
}

/** Answers of folders that are held back: so many of them, all if left out. */
export interface Late {
  paths: RegExp;
  /** Milliseconds; without, until the page asks for `/release`, or the test does. */
  delay?: number;
  most?: number;
}

/** As hosts of files that never change: rules that share a file fetch it once. */
const asKept = (response: { setHeader(name: string, value: string): unknown }) => {
  response.setHeader('cache-control', 'max-age=600');
};

/** Folders served under one origin, with every request written down. */
export class LoggingServer {
  private constructor(
    readonly origin: string,
    private readonly requests: LoggedRequest[],
    private readonly stop: () => Promise<void>,
    /** Lets go what was held back. */
    readonly release: () => void,
  ) {}

  /**
   * @param folders by the path that they are served under, as in `{ '/': site, '/fonts/': fonts }`
   * @param extra pages, or files, by their paths
   * @param late what comes late
   */
  static async start(
    folders: Record<string, string>,
    extra: Record<string, string | Uint8Array> = {},
    late?: Late,
  ): Promise<LoggingServer> {
    const handlers = Object.entries(folders)
      .sort(([a], [b]) => b.length - a.length)
      .map(([prefix, folder]) => ({
        prefix,
        handle: sirv(folder, { dev: true, etag: false, setHeaders: asKept }),
      }));
    const requests: LoggedRequest[] = [];
    let held = 0;
    let release!: () => void;
    const released = new Promise<void>((done) => (release = done));
    const server = createServer((request, response) => {
      const url = request.url ?? '/';
      if (url === '/release') {
        release();
        response.writeHead(204).end();
        return;
      }
      requests.push({ path: url, destination: request.headers['sec-fetch-dest']?.toString() });
      const page = extra[url];
      if (page !== undefined) {
        response.writeHead(200, { 'content-type': 'text/html; charset=utf-8' }).end(page);
        return;
      }
      const found = handlers.find(({ prefix }) => url.startsWith(prefix));
      request.url = found ? url.slice(found.prefix.length - 1) : url;
      const missing = () => {
        response.writeHead(404).end();
      };
      const answer = () => {
        if (found) found.handle(request, response, missing);
        else missing();
      };
      if (late?.paths.test(url) !== true || held++ >= (late.most ?? Infinity)) answer();
      else if (late.delay === undefined) void released.then(answer);
      else setTimeout(answer, late.delay);
    });
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
    const { port } = server.address() as AddressInfo;
    const stop = () =>
      new Promise<void>((done) => {
        server.close(() => done());
        server.closeAllConnections();
      });
    return new LoggingServer(`http://127.0.0.1:${port}`, requests, stop, release);
  }

  /** The paths asked for since the last call. */
  take(): LoggedRequest[] {
    return this.requests.splice(0);
  }

  close(): Promise<void> {
    return this.stop();
  }
}
