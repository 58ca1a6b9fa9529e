/** A change of a text, by position: what lies between becomes something else. */
export interface Edit {
  start: number;
  end: number;
  text: string;
}

/**
 * A text with changes; everything else stays as it is.
 *
 * @throws RangeError for changes that overlap, or that lie outside
 */
export function applied(text: string, edits: readonly Edit[]): string {
  let done = '';
  let at = 0;
  for (const { start, end, text: instead } of [...edits].sort((a, b) => a.start - b.start || a.end - b.end)) {
    if (start < at || end < start || end > text.length)
      throw new RangeError(`a change from ${start} to ${end} overlaps another one, or lies outside`);
    done += text.slice(at, start) + instead;
    at = end;
  }
  return done + text.slice(at);
}

/** Takes something out, with its line where nothing else stands on it. */
export function removal(text: string, start: number, end: number): Edit {
  const lineStart = text.lastIndexOf('\n', start - 1) + 1;
  const after = /^[ \t]*(\r?\n|$)/.exec(text.slice(end));
  const isAlone = after !== null && /^[ \t]*$/.test(text.slice(lineStart, start));
  return isAlone ? { start: lineStart, end: end + after[0].length, text: '' } : { start, end, text: '' };
}

/** Changes without those that lie within others, or that are there twice. */
export function withoutInner(edits: readonly Edit[]): Edit[] {
  const kept: Edit[] = [];
  for (const edit of [...edits].sort((a, b) => a.start - b.start || b.end - a.end)) {
    const last = kept.at(-1);
    if (!last || edit.start >= last.end) kept.push(edit);
    else if (edit.end > last.end && last.text === '' && edit.text === '') last.end = edit.end;
  }
  return kept;
}
