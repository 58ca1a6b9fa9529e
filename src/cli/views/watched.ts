import colors from 'picocolors';
import type { WatchedBuild } from '../../app/building/watch.js';
import { kilobytes } from '../../core/text/amounts.js';
import { count } from './words.js';

const mostNamed = 2;

/** What became of a change: a line, and what is wrong below it. */
export function watchedLines({ result, trouble, changed, took, isFitLate }: WatchedBuild): string[] {
  const time = colors.dim(`${(took / 1000).toFixed(2)} s`);
  const more = changed.length > mostNamed ? ` and ${changed.length - mostNamed} more` : '';
  const what = changed.length > 0 ? `${changed.slice(0, mostNamed).join(', ')}${more}: ` : '';
  if (trouble) {
    const causes: unknown[] = trouble instanceof AggregateError ? trouble.errors : [trouble];
    return [
      `${colors.red('wait')}  ${what}the kit stays as it was  ${time}`,
      ...causes.map((cause) => `      ${cause instanceof Error ? cause.message : String(cause)}`),
    ];
  }
  if (!result) return [];
  const { manifest, folder, changed: isNew, findings } = result;
  const faces = manifest.families.flatMap((family) => family.faces);
  const bytes = faces
    .flatMap(({ parts }) => parts)
    .filter(({ slice, format }) => slice !== 'rest' && format === 'woff2')
    .reduce((sum, part) => sum + part.bytes, 0);
  const size = `${count(faces.length, 'face')}, ${kilobytes(bytes)}`;
  const state = isNew ? size : `${size}, as it was`;
  const fit = isFitLate ? '; stand-ins follow' : '';
  return [
    `${colors.bold('Kit')}   ${what}${folder}  ${state}${fit}  ${time}`,
    ...findings.filter(({ severity }) => severity !== 'note').map(({ message }) => `      ${message}`),
  ];
}
