// UAX 14, Unicode Line Breaking Algorithm; CSS Text 3, section 5: where lines begin

import LineBreaker from 'linebreak';

/** A place where a line may end. */
export interface BreakPlace {
  /** UTF-16, behind the spaces. */
  at: number;
  /** Without the spaces before it, which hang. */
  end: number;
  isForced: boolean;
}

/** @param text with line feeds where it has to break; the last place is its end */
export function breakPlaces(text: string): BreakPlace[] {
  const places: BreakPlace[] = [];
  const breaker = new LineBreaker(text);
  const between = wordsWithoutSpaces(text);
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) {
    for (; between.length > 0 && between[0] <= next.position; between.shift())
      if (between[0] < next.position) places.push({ at: between[0], end: between[0], isForced: false });
    let end = next.position;
    while (end > 0 && /[ \n]/.test(text[end - 1])) end--;
    places.push({ at: next.position, end, isForced: next.required && text[next.position - 1] === '\n' });
  }
  return places;
}

let segmenter: Intl.Segmenter | undefined;

/** Where words of Thai end that no space parts (UAX 14, SA: by a dictionary). @returns UTF-16 */
function wordsWithoutSpaces(text: string): number[] {
  if (!/\p{Script=Thai}/u.test(text)) return [];
  segmenter ??= new Intl.Segmenter('th', { granularity: 'word' });
  return [...segmenter.segment(text)]
    .map(({ index }) => index)
    .filter((index) => index > 0 && /^\p{Script=Thai}{2}$/u.test(text.slice(index - 1, index + 1)));
}

/**
 * Where lines begin but the first one, as each takes as much as fits.
 *
 * @param reaches how far the text before each of its UTF-16 units reaches
 * @param measure how long lines may be, in the same unit
 */
export function lineStarts(places: readonly BreakPlace[], reaches: Float64Array, measure: number): number[] {
  const starts: number[] = [];
  let start = 0;
  let last = 0;
  for (let i = 0; i < places.length; i++) {
    const { at, end, isForced } = places[i];
    if (reaches[end] - reaches[start] > measure && last > start) {
      starts.push(last);
      start = last;
    }
    last = at;
    if (isForced && i < places.length - 1) {
      starts.push(at);
      start = at;
    }
  }
  return starts;
}
