import { readRules, importedAddress, type FontFaceDescriptors } from '../css/rules.js';
import { parseStyles } from '../css/structure.js';
import { addressesIn } from './address-edits.js';
import { cssString } from '../../core/face/index.js';
import { removal, withoutInner, type Edit } from './edits.js';
import { itemsByRule } from './font-face-items.js';

/** What becomes of a reference to a stylesheet: it stays, it goes, or it names another one. */
export type Verdict = 'stays' | 'goes' | { becomes: string };

/** What of a stylesheet a kit replaces. */
export interface ReplacedRules {
  importVerdict: (url: string) => Verdict;
  isFaceReplaced: (face: FontFaceDescriptors) => boolean;
}

/** Takes imports and `@font-face` rules out that a kit replaces; imports that become others keep their layers and conditions. */
export function stylesheetEdits(css: string, { importVerdict, isFaceReplaced }: ReplacedRules): Edit[] {
  const edits: Edit[] = [];
  const addresses = addressesIn(css).filter(({ isImport }) => isImport);
  for (const item of parseStyles(css)) {
    if (item.kind !== 'at-rule' || item.name !== 'import') continue;
    const url = importedAddress(item.prelude);
    const verdict = url === undefined ? 'stays' : importVerdict(url);
    if (verdict === 'goes') edits.push(removal(css, item.offset, item.end));
    else if (typeof verdict === 'object') {
      const named = addresses.find(({ start, end }) => start >= item.offset && end <= item.end);
      if (named)
        edits.push({ start: named.start, end: named.end, text: `url(${cssString(verdict.becomes)})` });
    }
  }
  for (const [item, face] of itemsByRule(css, readRules(css, '').fontFaces))
    if (isFaceReplaced(face)) edits.push(removal(css, item.offset, item.end));
  return withoutInner(edits);
}
