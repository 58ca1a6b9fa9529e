import { dirname, relative, resolve } from 'node:path';
import { DenseGlyphError } from '../../errors.js';
import { finding, type Finding } from '../../findings.js';
import type { EditedFile } from '../../io/edited-files.js';
import { isBelow, readBytes } from '../../io/read.js';
import type { SiteFolder } from '../../io/site-folder.js';
import { applied } from '../../site/edits/edits.js';
import { stackEdits, type StackNames } from '../../site/edits/stack-edits.js';
import { stylesheetEdits } from '../../site/edits/stylesheet-edits.js';
import type { FoundOnSite } from '../../site/scanning/page-scanner.js';
import { editableText } from './edited-text.js';
import { isKitStylesheet } from '../project/kit-at-hand.js';
import type { Replaced } from './replaced.js';

/** What stylesheets of the site become that have something that goes. */
export function wiredStylesheets({
  site,
  found,
  replaced,
  held,
  stacks,
  pinned,
  named,
}: {
  site: SiteFolder;
  found: FoundOnSite;
  replaced: Replaced;
  /** Those that stay as they are, as scan names them. */
  held: ReadonlySet<string>;
  /** What stacks are to say, and of which files, absolute. */
  stacks: { names: StackNames; files: readonly string[] };
  /** Files that pages take only as they are, absolute. */
  pinned: ReadonlySet<string>;
  named: (path: string) => string;
}): { files: EditedFile[]; findings: Finding[] } {
  const files: EditedFile[] = [];
  const findings: Finding[] = [];
  const names = new Set<string>();
  for (const { kind, file } of found.hosted) if (kind === 'import' || kind === 'font') names.add(file);
  for (const { fontFaces } of found.pages) for (const { file } of fontFaces) names.add(file);
  const paths = new Set([...names].map((name) => resolve(site.base, name)));
  for (const path of stacks.files) paths.add(path);
  for (const path of paths) {
    if (!/\.css$/i.test(path) || relative(site.root, path).startsWith('..')) continue;
    const shown = site.shown(path);
    if (held.has(shown)) continue;
    const leave = (why: string) => findings.push(finding('page-left-alone', why, { file: shown }));
    if (!isBelow(path, site.root)) {
      leave('it is a link to a place outside of the site');
      continue;
    }
    try {
      const before = readBytes(path, shown);
      const { text, bytesOf } = editableText(before);
      if (isKitStylesheet(text, dirname(path))) continue;
      const mark = text.startsWith('\ufeff') ? '\ufeff' : '';
      const css = text.slice(mark.length);
      const fromRoot = relative(site.root, path).replaceAll('\\', '/');
      const kept = applied(
        css,
        stylesheetEdits(css, {
          importVerdict: (url) => replaced.stylesheetVerdict(url, fromRoot),
          isFaceReplaced: (face) => replaced.isFaceReplaced(face, shown),
        }),
      );
      const after = applied(kept, stackEdits(kept, stacks.names));
      if (after !== css && pinned.has(path))
        leave('pages link it with an integrity, and would not take it changed; take that attribute out');
      else files.push({ file: named(path), before, after: bytesOf(mark + after) });
    } catch (cause) {
      if (!(cause instanceof DenseGlyphError)) throw cause;
      leave(cause.reason);
    }
  }
  return { files, findings };
}
