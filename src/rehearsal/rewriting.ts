import { Transform, type TransformCallback } from 'node:stream';
import { applied } from '../site/edits/edits.js';
import { faceConditionEdits } from '../site/edits/face-conditions.js';
import type { Conditions } from './conditions.js';

/** Of a page so much is looked through for its head. */
const mostLooked = 64 * 1024;

/** Puts a text behind the start of a page's head, or where the head would start; the rest goes through as it comes. */
export function inHead(text: string): Transform {
  let waiting: Buffer[] | undefined = [];
  const put = (all: Buffer): Buffer => {
    // A character for each byte, as tags are ASCII.
    const html = all.toString('latin1');
    const at = placeIn(html);
    return Buffer.concat([all.subarray(0, at), Buffer.from(text), all.subarray(at)]);
  };
  return new Transform({
    transform(chunk: Buffer, _encoding, done: TransformCallback) {
      if (!waiting) {
        done(null, chunk);
        return;
      }
      waiting.push(chunk);
      const all = Buffer.concat(waiting);
      if (all.length < mostLooked && !/<head[\s>]|<body[\s>]/i.test(all.toString('latin1'))) done();
      else {
        waiting = undefined;
        done(null, put(all));
      }
    },
    flush(done) {
      if (waiting && waiting.length > 0) done(null, put(Buffer.concat(waiting)));
      else done();
    },
  });
}

/** Behind `<head>`, else behind `<html>`, else behind the doctype, else at the start. Comments are passed over. */
function placeIn(html: string): number {
  const plain = html.replace(/<!--[^]*?-->/g, (comment) => ' '.repeat(comment.length));
  for (const tag of [/<head(?:\s[^>]*)?>/i, /<html(?:\s[^>]*)?>/i, /<!doctype[^>]*>/i]) {
    const found = tag.exec(plain);
    if (found) return found.index + found[0].length;
  }
  return html.startsWith('\u00ef\u00bb\u00bf') ? 3 : 0;
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
