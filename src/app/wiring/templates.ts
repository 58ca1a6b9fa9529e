import { extname } from 'node:path';
import { DenseGlyphError } from '../../errors.js';
import { finding, type Finding } from '../../findings.js';
import type { EditedFile } from '../../io/edited-files.js';
import { readBytes } from '../../io/read.js';
import { headMarkup } from '../../kit/files/head.js';
import { wiredTemplate, type WiredTemplate } from '../../site/edits/template-edits.js';
import { editableText } from './edited-text.js';
import type { KitAtHand } from '../project/kit-at-hand.js';
import { hostOf, type Replaced } from './replaced.js';

/** Files that pages are made from, where their heads are plain HTML; the others are told. @param paths absolute */
export function wiredTemplates(
  paths: readonly string[],
  { kit, replaced, named }: { kit: KitAtHand; replaced: Replaced; named: (path: string) => string },
): { files: EditedFile[]; findings: Finding[] } {
  const files: EditedFile[] = [];
  const findings: Finding[] = [];
  const { url, manifest } = kit;
  for (const path of paths) {
    let before: Uint8Array;
    try {
      before = readBytes(path, named(path));
    } catch (cause) {
      if (!(cause instanceof DenseGlyphError)) throw cause;
      continue;
    }
    const { text, bytesOf } = editableText(before);
    const verdictOf = (
      kind: Parameters<Replaced['verdict']>[0],
      address: string,
      isAskedOtherwise: (host: string) => boolean,
    ) =>
      // Files of the site are where pages are made, which nobody knows here.
      replaced.verdict(kind, address, { page: '', path: undefined, isWired: false }, isAskedOtherwise);
    const made = wiredTemplate(text, extname(path).slice(1), {
      markup:
        url === undefined ? '' : headMarkup({ preloads: manifest.preloads, loader: linkedLoader(kit) }, url),
      verdict: verdictOf,
      mayDeclare: (address) => replaced.mayDeclare(address, undefined),
      rules: {
        importVerdict: (address) => replaced.stylesheetVerdict(address, ''),
        isFaceReplaced: () => false,
      },
    });
    const isEdited = 'text' in made && url !== undefined && made.text !== text;
    if (isEdited) files.push({ file: named(path), before, after: bytesOf(made.text) });
    findings.push(...leftIn(isEdited ? made.text : text, named(path), whyNot(made, url), replaced));
  }
  return { files, findings };
}

/** Braces in a template may be its own. */
const linkedLoader = ({ loader }: KitAtHand) => (loader === undefined ? undefined : {});

/** Addresses that a template asks and that the kit replaces, by their lines. */
function leftIn(source: string, file: string, why: string, replaced: Replaced): Finding[] {
  return source
    .split('\n')
    .flatMap((text, i) =>
      [...text.matchAll(/(?:https?:)?\/\/[^\s"'`<>)]+/g)].flatMap(([address]) =>
        hostOf(address) !== undefined && replaced.stylesheetVerdict(address, '') !== 'stays'
          ? [finding('template-left-alone', `a template asks ${address}${why}`, { file, line: i + 1 })]
          : [],
      ),
    );
}

/** In words that follow on an address. */
function whyNot(made: WiredTemplate, url: string | undefined): string {
  if ('refusal' in made) return `, and ${made.refusal}`;
  // A template is in no folder that a relative URL could start from.
  return url === undefined ? ', and output.url in the config says no URL that fits every page' : '';
}
