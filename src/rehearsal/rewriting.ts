import { Transform, type TransformCallback } from 'node:stream';
import { Tokenizer, type Token } from 'parse5';
import { applied } from '../site/edits/edits.js';
import { faceConditionEdits } from '../site/edits/face-conditions.js';
import type { Conditions } from './conditions.js';

/** Of a page so much is looked through for its head. */
const mostLooked = 64 * 1024;

/**
 * Puts a text behind the start of a page's head, or where the head would start; the rest goes through as it comes. A page in UTF-16 stays
 * as it is.
 */
export function inHead(text: string): Transform {
  let waiting: Buffer[] | undefined = [];
  const put = (all: Buffer, at: number): Buffer =>
    Buffer.concat([all.subarray(0, at), Buffer.from(text), all.subarray(at)]);
  return new Transform({
    transform(chunk: Buffer, _encoding, done: TransformCallback) {
      if (!waiting) {
        done(null, chunk);
        return;
      }
      waiting.push(chunk);
      const all = Buffer.concat(waiting);
      const isUtf16 = /^(?:\xff\xfe|\xfe\xff)/.test(all.toString('latin1', 0, 2));
      const place = isUtf16 ? undefined : headStart(all);
      const isLong = all.length >= mostLooked;
      if (!isUtf16 && place?.isSure !== true && !isLong) {
        done();
        return;
      }
      waiting = undefined;
      done(null, place ? put(all, place.at) : all);
    },
    flush(done) {
      const all = Buffer.concat(waiting ?? []);
      if (all.length > 0) done(null, put(all, headStart(all).at));
      else done();
    },
  });
}

/**
 * Behind `<head>`, else behind `<html>`, else behind the doctype, else at the start, in bytes; as far as the page is there.
 *
 * @returns `isSure` once nothing that may come changes it
 */
function headStart(bytes: Buffer): { at: number; isSure: boolean } {
  const mark = bytes.toString('latin1', 0, 3) === '\u00ef\u00bb\u00bf' ? 3 : 0;
  let at = 0;
  let isSure = false;
  const behind = ({ location }: { location: Token.Location | null }) => {
    if (!isSure) at = location?.endOffset ?? at;
  };
  const end = () => {
    isSure = true;
  };
  const handler = {
    onDoctype: behind,
    onStartTag: (tag: Token.TagToken) => {
      if (tag.tagName === 'html' || tag.tagName === 'head') behind(tag);
      if (tag.tagName !== 'html') end();
    },
    onEndTag: end,
    onCharacter: end,
    onNullCharacter: end,
    onComment: () => undefined,
    onWhitespaceCharacter: () => undefined,
    onEof: () => undefined,
  };
  // A character for each byte, as tags are ASCII. What isn't the last of a page leaves a tag that has begun for later.
  new Tokenizer({ sourceCodeLocationInfo: true }, handler).write(bytes.toString('latin1', mark), false);
  return { at: mark + at, isSure };
}

/** Whether rules are other than the site has them. */
export const changesRules = ({ display, standIns }: Conditions): boolean =>
  display !== 'as declared' || standIns !== 'tuned';

/** A stylesheet under conditions. */
export function rehearsedStyles(css: string, { display, standIns }: Conditions): string {
  const chosen = display === 'as declared' ? undefined : display;
  return applied(css, faceConditionEdits(css, { display: chosen, localFonts: standIns }));
}

/** The same for the style elements of a page. */
export const rehearsedPage = (html: string, conditions: Conditions): string =>
  html.replace(
    /(<style(?:\s[^>]*)?>)([^]*?)(<\/style)/gi,
    (_, opening: string, css: string, closing: string) =>
      opening + rehearsedStyles(css, conditions) + closing,
  );
