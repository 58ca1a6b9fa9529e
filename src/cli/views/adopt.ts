import colors from 'picocolors';
import type { AdoptResult } from '../../app/adopt.js';
import { placeText } from '../../errors.js';
import { count, sizeText, table } from './words.js';

/** What came home, and what is still missing. */
export function adoptLines({ folder, faces, fetched, kept, findings }: AdoptResult): string[] {
  const rows = faces.map(({ family, weight = '400', style = 'normal', file, bytes, from }) => [
    `${family} ${weight}${style === 'normal' ? '' : ` ${style}`}`,
    file,
    sizeText(bytes),
    from.replace(/^https?:\/\//, '').replace(/\/.*/, ''),
  ]);
  const columns = [
    { title: 'face' },
    { title: 'file' },
    { title: 'bytes', align: 'right' as const },
    { title: 'from' },
  ];
  const licences = [
    ...new Set(faces.map(({ stated }) => stated.licenceUrl ?? stated.licence ?? 'none stated')),
  ];
  return [
    `${colors.bold('Home')}  ${folder}: ${count(fetched, 'file')} fetched, ${kept} there already`,
    ...(rows.length > 0 ? ['', ...table(columns, rows)] : []),
    ...(faces.length > 0
      ? ['', `Licence  ${licences.map((one) => one.split('\n')[0].slice(0, 90)).join('; ')}`]
      : []),
    ...partLines(faces),
    '',
    ...findings.map(({ severity, message, place, advice }) => {
      const mark = severity === 'error' ? colors.red('missing') : colors.yellow('by hand');
      return `${mark}  ${placeText(place)}: ${message}; ${advice}`;
    }),
    ...(findings.length > 0 ? [''] : []),
    ...(faces.length > 0
      ? [
          `Next  dense-glyph init ${folder}, or link ${folder}/faces.css as it is;`,
          '      the ledger beside it says where each file came from.',
        ]
      : ['Next  mend what is missing, and call it again.']),
  ];
}

/** Files that hold a part of a face each. */
function partLines(faces: AdoptResult['faces']): string[] {
  const parts = faces.filter(({ unicodeRange }) => unicodeRange !== undefined);
  if (parts.length === 0) return [];
  const whole = new Set(parts.map(({ family, weight, style }) => `${family} ${weight} ${style}`));
  return [
    `Parts    ${count(parts.length, 'file')} hold ${count(whole.size, 'face')} in parts; they stay so, each for the characters of its rule`,
  ];
}
