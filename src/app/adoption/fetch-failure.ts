import { networkReason, statusReason, type Fetched } from '../../io/http/index.js';

/**
 * Why what a URL gave is of no use, in words; undefined where it is what was asked for.
 *
 * @param expected a media type that it has to be of; any if left out
 */
export function fetchFailure(answer: Fetched | Error, expected?: string): string | undefined {
  if (answer instanceof Error) return networkReason(answer);
  const { status, mediaType } = answer;
  if (status !== 200) return statusReason(status);
  if (expected === undefined || mediaType === expected || mediaType === '') return undefined;
  return mediaType === 'text/html' ? 'it is a page' : `it is ${mediaType}, not ${expected}`;
}
