import colors from 'picocolors';

/** How long lines are where text is set in lines: as a person reads them, whatever the terminal. */
export const lineWidth = ({ columns }: { columns: number }): number => Math.max(60, Math.min(columns, 120));

/** `37%` */
export function share(part: number, whole: number): string {
  return whole === 0 ? '–' : `${Math.round((part / whole) * 100)}%`;
}

export function count(number: number, noun: string): string {
  return `${number} ${noun}${number === 1 ? '' : 's'}`;
}

// eslint-disable-next-line no-control-regex -- colour codes have no width
const widthOf = (text: string) => text.replace(/\x1b\[\d+m/g, '').length;

export interface Column {
  title: string;
  align?: 'right';
}

/** A table as lines, each column as wide as its widest cell. */
export function table(columns: readonly Column[], rows: readonly (readonly string[])[]): string[] {
  const widths = columns.map(({ title }, i) =>
    Math.max(title.length, ...rows.map((row) => widthOf(row[i] ?? ''))),
  );
  const line = (cells: readonly string[]) =>
    cells
      .map((cell, i) => {
        const padding = ' '.repeat(widths[i] - widthOf(cell));
        return columns[i].align === 'right' ? padding + cell : cell + padding;
      })
      .join('  ')
      .trimEnd();
  return [colors.dim(line(columns.map(({ title }) => title))), ...rows.map(line)];
}

/** Words or names as lines of a width, each line after the first as far in as the first one starts. */
export function wrapped(items: readonly string[], width: number, indent = 0): string[] {
  const lines: string[] = [];
  let line = '';
  for (const item of items) {
    if (line !== '' && indent + widthOf(line) + 1 + widthOf(item) > width) {
      lines.push(line);
      line = '';
    }
    line += line === '' ? item : ` ${item}`;
  }
  if (line !== '') lines.push(line);
  return lines.map((text, i) => (i === 0 ? text : ' '.repeat(indent) + text));
}

/** Licence texts that were written beside fonts. */
export const licenceLine = (paths: readonly string[]): string =>
  `${paths.length === 1 ? 'licence text' : 'licence texts'} beside ${paths.length === 1 ? 'it' : 'them'}: ${paths.join(', ')}`;

/** `a, b and c`, as the words that `wrapped` takes. */
export function listed(items: readonly string[]): string[] {
  return items.map((item, i) => (i + 1 < items.length ? `${item},` : item));
}

/** Dashes, quotation marks, primes and the like. */
const isSign = (codePoint: number) =>
  (codePoint >= 0x2010 && codePoint <= 0x2027) || (codePoint >= 0x2030 && codePoint <= 0x205e);

/** The spaces and controls between and behind those. */
const isInvisible = (codePoint: number) => codePoint >= 0x2000 && codePoint <= 0x206f && !isSign(codePoint);

/** Blocks without gaps: Latin, phonetic letters, Cyrillic, the first of Greek with breathings, angle brackets. */
const blocks = [
  [0x21, 0x7e],
  [0xae, 0x2ff],
  [0x400, 0x482],
  [0x48a, 0x52f],
  [0x1d00, 0x1dbf],
  [0x1e00, 0x1f15],
  [0x27c0, 0x27ef],
];

/** The character itself, or its number where it would not show on its own. */
export function characterText(codePoint: number): string {
  const character = String.fromCodePoint(codePoint);
  const isInBlock = blocks.some(([first, last]) => codePoint >= first && codePoint <= last);
  // Expressions of Unicode properties take some milliseconds to compile.
  const shows =
    isInBlock ||
    isSign(codePoint) ||
    (!isInvisible(codePoint) && /^[\p{L}\p{N}\p{P}\p{S}]$/u.test(character));
  return shows ? character : `U+${codePoint.toString(16).toUpperCase().padStart(4, '0')}`;
}
