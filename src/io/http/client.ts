import { EnvHttpProxyAgent, interceptors, request, type Dispatcher } from 'undici';
import { guardedConnector, guardStep, type NamedHosts } from './guard.js';
import { acceptedEncodings, decodedBody } from './decode.js';
import { limits } from './limits.js';

/** What a URL gave. */
export interface Fetched {
  /** After redirects. */
  url: string;
  status: number;
  /** In small letters, without parameters. */
  mediaType: string;
  charset: string | undefined;
  /** Content-Security-Policy headers. */
  policies: readonly string[];
  /** What a later request may ask by whether anything changed (RFC 9110, section 8.8). */
  validators: Validators;
  bytes: Uint8Array;
}

export interface Validators {
  etag?: string;
  lastModified?: string;
}

export interface ClientOptions {
  userAgent: string;
  /** Hosts that may be on this machine or its network; any may where this is left out. */
  namedHosts?: NamedHosts;
  /** How often something is tried again that may pass. */
  retries?: number;
  /** Milliseconds that an answer may take. */
  time?: number;
}

/** Fetches by GET, a few at a time for each host. */
export class HttpClient {
  private readonly agent: EnvHttpProxyAgent;
  private readonly dispatcher: Dispatcher;

  constructor(private readonly options: ClientOptions) {
    const { namedHosts, retries = limits.retries, time = limits.time } = options;
    this.agent = new EnvHttpProxyAgent({
      connections: limits.connections,
      headersTimeout: time,
      bodyTimeout: time,
      connectTimeout: time,
      maxResponseSize: limits.bytes,
      ...(namedHosts ? { connect: guardedConnector(namedHosts, time) } : {}),
    });
    // Steps around one fetch, the first one nearest to the network: each redirect goes through all before it.
    this.dispatcher = this.agent.compose(
      ...(namedHosts ? [guardStep(namedHosts)] : []),
      interceptors.retry({ maxRetries: retries, maxTimeout: limits.retryWait, methods: ['GET'] }),
      interceptors.redirect({ maxRedirections: limits.redirects }),
    );
  }

  /**
   * @param since what is known already: an answer of status 304 says that it is still so
   * @throws Error of the network, or for an answer past the limits; a status of failure is an answer too
   */
  async get(url: string, accept: string, since: Validators = {}): Promise<Fetched> {
    // A step that tries again doesn't hear of a signal that ends the whole.
    let timer: NodeJS.Timeout | undefined;
    const late = new Promise<never>((_, reject) => {
      const error = Object.assign(new Error('it did not answer in time'), { name: 'TimeoutError' });
      timer = setTimeout(() => reject(error), this.options.time ?? limits.time);
    });
    const answer = this.fetched(url, accept, since);
    answer.catch(() => undefined);
    try {
      return await Promise.race([answer, late]);
    } finally {
      clearTimeout(timer);
    }
  }

  private async fetched(url: string, accept: string, since: Validators): Promise<Fetched> {
    const headers = {
      accept,
      'accept-encoding': acceptedEncodings,
      'user-agent': this.options.userAgent,
      ...(since.etag === undefined ? {} : { 'if-none-match': since.etag }),
      ...(since.lastModified === undefined ? {} : { 'if-modified-since': since.lastModified }),
    };
    const {
      statusCode,
      headers: answered,
      body,
      context,
    } = await request(url, { dispatcher: this.dispatcher, headers });
    const received = new Uint8Array(await body.arrayBuffer());
    const bytes = await decodedBody(received, String(answered['content-encoding'] ?? ''), limits.bytes);
    const { history } = (context ?? {}) as { history?: URL[] };
    const [mediaType, ...parameters] = String(answered['content-type'] ?? '').split(';');
    const { etag, 'last-modified': lastModified } = answered;
    return {
      url: String(history?.at(-1) ?? url),
      status: statusCode,
      mediaType: mediaType.trim().toLowerCase(),
      charset: /charset\s*=\s*"?([^\s;"]+)/i.exec(parameters.join(';'))?.[1],
      policies: [answered['content-security-policy'] ?? []].flat(),
      validators: {
        ...(typeof etag === 'string' ? { etag } : {}),
        ...(typeof lastModified === 'string' ? { lastModified } : {}),
      },
      bytes,
    };
  }

  async end(): Promise<void> {
    await this.agent.destroy();
  }
}
