import colors from 'picocolors';
import type { Manifest, ManifestFace } from '../kit/index.js';
import { count, kilobytes, share, table } from './format.js';

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);
const partBytes = (face: ManifestFace) => sum(face.parts.map(({ bytes }) => bytes));

/** What a person wants to know of a kit: its faces, their bytes before and after, what is preloaded and why. */
export function kitLines(manifest: Manifest, folder: string, changed: boolean): string[] {
  const faces = manifest.families.flatMap(({ family, faces: list }) =>
    list.map((face) => ({ family, face })),
  );
  const before = sum(faces.map(({ face }) => face.source.bytes));
  const after = sum(faces.map(({ face }) => partBytes(face)));
  const rows = faces.map(({ family, face }) => {
    const style = face.style === 'normal' ? '' : ` ${face.style}`;
    return [
      `${family} ${face.weight.replace(' ', '–')}${style}`,
      kilobytes(face.source.bytes),
      colors.bold(kilobytes(partBytes(face))),
      share(partBytes(face), face.source.bytes),
      face.preload ? `yes: ${face.preloadReason}` : 'no',
    ];
  });
  const total = [
    colors.dim(count(faces.length, 'face')),
    kilobytes(before),
    colors.bold(kilobytes(after)),
    share(after, before),
  ];
  const columns = [
    { title: 'face' },
    { title: 'before', align: 'right' as const },
    { title: 'woff2', align: 'right' as const },
    { title: '', align: 'right' as const },
    { title: 'preload' },
  ];
  const state = changed ? '' : ' (unchanged)';
  const notes = faces.flatMap(({ family, face }) => [
    ...face.notes.map((note) => `${family}: ${face.source.path}: ${note}`),
    ...face.parts.flatMap(({ dropped }) =>
      dropped.map((what) => `${family}: ${face.source.path}: left out ${what}`),
    ),
  ]);
  return [
    `${colors.bold('Kit')}   ${folder}${state}`,
    '',
    ...table(columns, [...rows, [...total, '']]),
    ...(notes.length > 0 ? ['', ...notes.map((note) => `${colors.yellow('note')}  ${note}`)] : []),
  ];
}
