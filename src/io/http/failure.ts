// Why a request came to nothing, in words that say what to look at

import { InnerAddressError } from './guard.js';

const reasons: Readonly<Record<string, string>> = {
  ECONNREFUSED: 'nobody answers there',
  ENOTFOUND: 'there is no such host',
  EAI_AGAIN: 'the host could not be looked up',
  ECONNRESET: 'the connection was cut off',
  UND_ERR_SOCKET: 'the connection was cut off',
  UND_ERR_RES_EXCEEDED_MAX_SIZE: 'it is larger than what is read',
  UND_ERR_RES_CONTENT_LENGTH_MISMATCH: 'its length is not what it said',
  UND_ERR_HEADERS_TIMEOUT: 'it did not answer in time',
  UND_ERR_BODY_TIMEOUT: 'it did not go on in time',
  UND_ERR_CONNECT_TIMEOUT: 'it did not answer in time',
  DEPTH_ZERO_SELF_SIGNED_CERT: 'it vouches for itself: its certificate is its own',
  CERT_HAS_EXPIRED: 'its certificate has expired',
  ERR_TLS_CERT_ALTNAME_INVALID: 'its certificate is for another host',
};

const statuses: Readonly<Record<number, string>> = {
  401: 'it wants to know who asks (status 401)',
  403: 'it refuses (status 403)',
  404: 'it is not there (status 404)',
  410: 'it is gone (status 410)',
  429: 'it was asked too often (status 429); wait, and call again',
};

const circle = 'it redirects in a circle, or too often';

/** What a status says that isn't 200. */
export function statusReason(status: number): string {
  if (status >= 300 && status < 400) return circle;
  if (status >= 500) return `its server has trouble (status ${status}); call again later`;
  return statuses[status] ?? `it answered with status ${status}`;
}

/** What an error of the network says, of undici's or of Node's. */
export function networkReason(error: Error): string {
  const { code, statusCode } = error as Error & { code?: string; statusCode?: number };
  if (error instanceof InnerAddressError) return `${error.message}; name it with --allow-host`;
  if (/redirect loop/i.test(error.message)) return circle;
  // What comes in pieces and is begun again, as the first ones were cut off.
  if (statusCode === 200 || statusCode === 206) return 'the connection was cut off';
  if (typeof statusCode === 'number') return statusReason(statusCode);
  if (error.name === 'TimeoutError') return 'it did not answer in time';
  return reasons[code ?? ''] ?? error.message.split('\n')[0];
}
