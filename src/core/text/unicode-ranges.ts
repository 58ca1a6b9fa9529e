// CSS Fonts 4, section 4.5: unicode-range

/** Ranges of code points, ascending, that don't touch. */
export type CodePointRanges = (readonly [first: number, last: number])[];

/** @param codePoints ascending */
export function rangesOf(codePoints: Iterable<number>): CodePointRanges {
  const ranges: [number, number][] = [];
  for (const codePoint of codePoints) {
    const last = ranges[ranges.length - 1];
    if (last && codePoint <= last[1] + 1) last[1] = Math.max(last[1], codePoint);
    else ranges.push([codePoint, codePoint]);
  }
  return ranges;
}

/** As `unicode-range` writes them: `U+20-7E, U+A9`. */
export function unicodeRangeText(ranges: CodePointRanges): string {
  const hex = (codePoint: number) => codePoint.toString(16).toUpperCase();
  return ranges.map(([first, last]) => `U+${hex(first)}${last > first ? `-${hex(last)}` : ''}`).join(', ');
}
