/** A change of a text, by position: what lies between becomes something else. */
export interface Edit {
  start: number;
  end: number;
  text: string;
}

/** A text with changes, which don't overlap; everything else stays as it is. */
export function applied(text: string, edits: readonly Edit[]): string {
  let done = '';
  let at = 0;
  for (const { start, end, text: instead } of [...edits].sort((a, b) => a.start - b.start)) {
    if (start < at) continue;
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
