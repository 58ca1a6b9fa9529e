import { InnerAddressError, type Fetched } from '../../io/http/index.js';

const circle = 'it redirects in a circle, or too often';

const reasons: Readonly<Record<string, string>> = {
  ECONNREFUSED: 'nothing answers there',
  ENOTFOUND: 'there is no such host',
  EAI_AGAIN: 'the host could not be looked up',
  ECONNRESET: 'the connection was cut off',
  UND_ERR_SOCKET: 'the connection was cut off',
  UND_ERR_RES_EXCEEDED_MAX_SIZE: 'it is larger than any font',
  UND_ERR_RES_CONTENT_LENGTH_MISMATCH: 'its length is not what it said',
  UND_ERR_HEADERS_TIMEOUT: 'it did not answer in time',
  UND_ERR_BODY_TIMEOUT: 'it did not go on in time',
  UND_ERR_CONNECT_TIMEOUT: 'it did not answer in time',
};

const statuses: Readonly<Record<number, string>> = {
  401: 'it wants to know who asks (status 401)',
  403: 'it refuses (status 403)',
  404: 'it is not there (status 404)',
  410: 'it is gone (status 410)',
  429: 'it was asked too often (status 429); wait, and call again',
};

/**
 * Why what a URL gave is of no use, in words; undefined where it is what was asked for.
 *
 * @param expected a media type that it has to be of; any if left out
 */
export function fetchFailure(answer: Fetched | Error, expected?: string): string | undefined {
  if (answer instanceof Error) return failureOf(answer);
  const { status, mediaType } = answer;
  if (status >= 300 && status < 400) return circle;
  if (status >= 500) return `its server has trouble (status ${status}); call again later`;
  if (status !== 200) return statuses[status] ?? `it answered with status ${status}`;
  if (expected === undefined || mediaType === expected || mediaType === '') return undefined;
  return mediaType === 'text/html' ? 'it is a page' : `it is ${mediaType}, not ${expected}`;
}

function failureOf(error: Error): string {
  const { code, statusCode } = error as Error & { code?: string; statusCode?: number };
  if (error instanceof InnerAddressError) return `${error.message}; name it with --allow-host`;
  if (/redirect loop/i.test(error.message)) return circle;
  // What comes in pieces and is begun again, as the first ones were cut off.
  if (statusCode === 200 || statusCode === 206) return 'the connection was cut off';
  if (typeof statusCode === 'number')
    return statusCode >= 500
      ? `its server has trouble (status ${statusCode}); call again later`
      : (statuses[statusCode] ?? `it answered with status ${statusCode}`);
  if (error.name === 'TimeoutError') return 'it did not answer in time';
  return reasons[code ?? ''] ?? error.message.split('\n')[0];
}
