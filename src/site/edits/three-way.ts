// What was put into a text is taken out of it again, where others changed it in other places

import { diffArrays } from 'diff';

/** Pieces that changes are told by: tags, rules, declarations and lines. */
const piecesOf = (text: string): string[] => text.split(/(?<=[>\n{};])|(?=<)/);

/** A run of pieces in one text that is another one in the other. */
interface Change {
  /** In the first text. */
  start: number;
  end: number;
  instead: string[];
}

function changesBetween(one: readonly string[], other: readonly string[]): Change[] {
  const changes: Change[] = [];
  let at = 0;
  let open: Change | undefined;
  for (const { value, added, removed } of diffArrays([...one], [...other])) {
    if (!added && !removed) {
      at += value.length;
      open = undefined;
      continue;
    }
    if (!open) changes.push((open = { start: at, end: at, instead: [] }));
    if (removed) open.end = at += value.length;
    else open.instead.push(...value);
  }
  return changes;
}

/**
 * Makes of a text that was changed twice what it would be without the first change.
 *
 * @param wired as the first change left it @param now as it is @param original as it was before both
 * @returns or the lines of it, from 1, that both have changed
 */
export function withoutFirst(
  wired: string,
  now: string,
  original: string,
): { text: string } | { lines: number[] } {
  const pieces = piecesOf(wired);
  const theirs = changesBetween(pieces, piecesOf(now));
  const back = changesBetween(pieces, piecesOf(original));
  // Two insertions at one place have no order; one at the edge of a change has.
  const touches = (a: Change, b: Change) =>
    a.start === a.end && b.start === b.end ? a.start === b.start : a.start < b.end && b.start < a.end;
  const clashing = back.filter((one) => theirs.some((other) => touches(one, other)));
  if (clashing.length > 0) return { lines: clashing.map(({ start }) => lineIn(now, theirs, start, pieces)) };
  const all = [...theirs, ...back].sort((a, b) => a.start - b.start || a.end - b.end);
  let text = '';
  let at = 0;
  for (const { start, end, instead } of all) {
    text += pieces.slice(at, start).join('') + instead.join('');
    at = end;
  }
  return { text: text + pieces.slice(at).join('') };
}

function lineIn(now: string, theirs: readonly Change[], at: number, pieces: readonly string[]): number {
  let before = '';
  let from = 0;
  for (const { start, end, instead } of theirs) {
    if (start >= at) break;
    before += pieces.slice(from, start).join('') + instead.join('');
    from = end;
  }
  before += pieces.slice(from, Math.max(from, at)).join('');
  return Math.min(now.split('\n').length, before.split('\n').length);
}
