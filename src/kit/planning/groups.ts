import type { ChosenFace, ChosenFamily } from './chosen.js';

/** The arrival group that a face is in, and the one that it waits for. */
export function groupOf(
  { group, isItalicAfter }: Pick<ChosenFamily, 'group' | 'isItalicAfter'>,
  { style }: Pick<ChosenFace, 'style'>,
): { name: string; after?: string } | undefined {
  if (group === undefined) return undefined;
  return isItalicAfter === true && style !== 'normal'
    ? { name: `${group}-italic`, after: group }
    : { name: group };
}
