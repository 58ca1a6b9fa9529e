// How advances of glyphs are written into generated data.

/**
 * Widths in base 36; a dash where there is none, and how often one follows itself.
 *
 * @param {readonly (number | undefined)[]} widths
 */
export function packedWidths(widths) {
  const runs = [];
  for (const width of widths.map((one) => (one === undefined ? '-' : one.toString(36)))) {
    const last = runs.at(-1);
    if (last?.width === width) last.count++;
    else runs.push({ width, count: 1 });
  }
  return runs.map(({ width, count }) => (count === 1 ? width : `${width}*${count}`)).join(' ');
}
