import { withoutCredentials } from '../errors.js';

/** What our own colours are made of (ECMA-48, SGR): bold, dim, the six colours, and the end of each. */
// eslint-disable-next-line no-control-regex -- these are what is looked for
const ownColours = /^\x1b\[(?:[12]|22|3[1-69])m/;

/** Controls, and marks that turn text around or hide what follows. */
// eslint-disable-next-line no-control-regex -- these are what is looked for
const unsafe = /[\x00-\x1f\x7f-\x9f\u200e\u200f\u061c\u2028\u2029\u202a-\u202e\u2066-\u2069\ufeff]/;

/**
 * A line that a terminal shows as it is: whatever comes from fonts, files, archives or pages can't move the cursor, change
 * colours other than ours, break the line or turn it around. Controls show as their pictures (U+2400) or as U+FFFD.
 *
 * Users and passwords of addresses don't stand in it.
 *
 * @param text one line; breaks in it are shown, not made
 * @param isColoured whether colours in it are ours; where they aren't used at all none is
 */
export function safeLine(text: string, isColoured = false): string {
  const line = withoutCredentials(text);
  if (!unsafe.test(line)) return line;
  let safe = '';
  for (let at = 0; at < line.length; at++) {
    const own = isColoured && line[at] === '\x1b' ? ownColours.exec(line.slice(at, at + 6))?.[0] : undefined;
    if (own !== undefined) {
      safe += own;
      at += own.length - 1;
    } else safe += unsafe.test(line[at]) ? picture(line.charCodeAt(at)) : line[at];
  }
  return safe;
}

function picture(code: number): string {
  if (code < 0x20) return String.fromCharCode(0x2400 + code);
  return code === 0x7f ? '␡' : '\ufffd';
}
