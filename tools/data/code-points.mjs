// How sets of code points are written into generated data.

/**
 * Ranges as text: for each the gap to the one before, and, after a colon, how many follow the first; base 36.
 *
 * @param {Iterable<number>} codePoints
 */
export function packed(codePoints) {
  const sorted = [...new Set(codePoints)].sort((a, b) => a - b);
  const parts = [];
  let end = -1;
  for (let i = 0; i < sorted.length;) {
    let last = i;
    while (sorted[last + 1] === sorted[last] + 1) last++;
    const gap = (sorted[i] - end - 1).toString(36);
    parts.push(last > i ? `${gap}:${(last - i).toString(36)}` : gap);
    end = sorted[last];
    i = last + 1;
  }
  return parts.join(' ');
}
