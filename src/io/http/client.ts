import { EnvHttpProxyAgent, interceptors, request, type Dispatcher } from 'undici';
import { limits } from './limits.js';

/** What a URL gave. */
export interface Fetched {
  /** After redirects. */
  url: string;
  status: number;
  /** In small letters, without parameters. */
  mediaType: string;
  charset: string | undefined;
  bytes: Uint8Array;
}

/** Steps around one fetch, the last one nearest to the network. */
const steps: readonly Dispatcher.DispatcherComposeInterceptor[] = [
  interceptors.redirect({ maxRedirections: limits.redirects }),
  interceptors.retry({ maxRetries: limits.retries, maxTimeout: limits.retryWait, methods: ['GET'] }),
];

/** Fetches by GET, a few at a time for each host. */
export class HttpClient {
  private readonly agent = new EnvHttpProxyAgent({
    connections: limits.connections,
    headersTimeout: limits.time,
    bodyTimeout: limits.time,
    connectTimeout: limits.time,
    maxResponseSize: limits.bytes,
  });
  private readonly dispatcher = this.agent.compose(...steps);

  constructor(private readonly userAgent: string) {}

  /** @throws Error of the network, or for an answer past the limits; a status of failure is an answer too */
  async get(url: string, accept: string): Promise<Fetched> {
    const signal = AbortSignal.timeout(limits.time);
    const headers = { accept, 'user-agent': this.userAgent };
    const {
      statusCode,
      headers: answered,
      body,
      context,
    } = await request(url, {
      dispatcher: this.dispatcher,
      headers,
      signal,
    });
    const bytes = new Uint8Array(await body.arrayBuffer());
    const { history } = (context ?? {}) as { history?: URL[] };
    const [mediaType, ...parameters] = String(answered['content-type'] ?? '').split(';');
    return {
      url: String(history?.at(-1) ?? url),
      status: statusCode,
      mediaType: mediaType.trim().toLowerCase(),
      charset: /charset\s*=\s*"?([^\s;"]+)/i.exec(parameters.join(';'))?.[1],
      bytes,
    };
  }

  async end(): Promise<void> {
    await this.agent.destroy();
  }
}
