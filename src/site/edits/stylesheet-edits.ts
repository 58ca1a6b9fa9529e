import { declaredFamily, importedAddress } from '../css/rules.js';
import { parseStyles, type ParsedItem } from '../css/structure.js';
import { removal, type Edit } from './edits.js';

/** What of a stylesheet a kit replaces. */
export interface ReplacedRules {
  isImportReplaced: (url: string) => boolean;
  isFamilyReplaced: (family: string) => boolean;
}

/** Takes imports and `@font-face` rules out that a kit replaces. */
export function stylesheetEdits(css: string, replaced: ReplacedRules): Edit[] {
  const edits: Edit[] = [];
  const visit = (items: readonly ParsedItem[]) => {
    for (const item of items) {
      if (item.kind !== 'at-rule') continue;
      if (isReplaced(item.name, item.prelude, item.block, replaced))
        edits.push(removal(css, item.offset, item.end));
      else if (item.block && /^(media|supports|layer|container)$/.test(item.name)) visit(item.block);
    }
  };
  visit(parseStyles(css));
  return edits;
}

function isReplaced(
  name: string,
  prelude: string,
  block: readonly ParsedItem[] | undefined,
  { isImportReplaced, isFamilyReplaced }: ReplacedRules,
): boolean {
  if (name === 'import') {
    const url = importedAddress(prelude);
    return url !== undefined && isImportReplaced(url);
  }
  const family = name === 'font-face' && block ? declaredFamily(block) : undefined;
  return family !== undefined && isFamilyReplaced(family);
}
