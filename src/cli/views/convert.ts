import colors from 'picocolors';
import { extname } from 'node:path';
import type { Conversion, ConvertResult } from '../../app/fonts/convert.js';
import { fontFormats, type FontFormat } from '../../core/containers/formats.js';
import { kilobytes } from '../../core/text/amounts.js';
import { count, licenceLine, share, table } from './words.js';

/** Sizes before and after, and what changed besides the format. */
export function conversionLines({ conversions, licences }: ConvertResult): string[] {
  const rows = conversions.flatMap(({ input, inputBytes, outputs }) =>
    outputs.map(({ path, bytes }) => [
      input,
      kilobytes(inputBytes),
      path,
      colors.bold(kilobytes(bytes)),
      share(bytes, inputBytes),
    ]),
  );
  const columns = [
    { title: 'from' },
    { title: '', align: 'right' as const },
    { title: 'to' },
    { title: '', align: 'right' as const },
    { title: '', align: 'right' as const },
  ];
  return [
    ...table(columns, rows),
    ...(conversions.length > 1 ? ['', ...totals(conversions)] : []),
    ...conversions.flatMap(notes),
    ...(licences.length > 0 ? [licenceLine(licences)] : []),
  ];
}

function notes({ input, inputFormat, outputs }: Conversion): string[] {
  const extension = extname(input).slice(1).toLowerCase();
  const isNamedOtherwise = fontFormats.includes(extension as FontFormat) && extension !== inputFormat;
  return [
    ...(isNamedOtherwise ? [`${input}: its content is ${inputFormat}, whatever its name says`] : []),
    ...outputs.flatMap(({ path, findings, points }) => [
      ...(points
        ? [`${path}: TrueType outlines with ${points.after} points; the CFF outlines had ${points.before}`]
        : []),
      ...findings.map(({ message }) => `${path}: ${message}`),
    ]),
  ];
}

/** A line for each format: what all of the fonts come to in it. */
function totals(conversions: readonly Conversion[]): string[] {
  const before = conversions.reduce((sum, { inputBytes }) => sum + inputBytes, 0);
  return conversions[0].outputs.map(({ format }, i) => {
    const after = conversions.reduce((sum, { outputs }) => sum + outputs[i].bytes, 0);
    const fonts = count(conversions.length, 'font');
    return `${fonts}, ${kilobytes(before)}, come to ${colors.bold(kilobytes(after))} of ${format} (${share(after, before)})`;
  });
}
