import colors from 'picocolors';
import type { AdoptedFile, AdoptResult } from '../../app/adoption/adopt.js';
import { placeText } from '../../errors.js';
import { sizeText } from '../../core/text/amounts.js';
import { count, table } from './words.js';

/** What came home, and what is still missing. */
export function adoptLines(result: AdoptResult): string[] {
  const { folder, faces, fetched, kept, findings } = result;
  const rows = faceRows(result);
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
    ...partLines(result),
    ...result.stylesheets.flatMap(({ url, file, hasOthers }) =>
      file !== undefined && hasOthers ? [`Rules    ${file} keeps what ${url} says besides faces`] : [],
    ),
    ...result.replaced.map(
      ({ file, by }) =>
        `Old      ${file} is ${by.join(', ')} now; name that in the config, and take the old one away`,
    ),
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

type Named = Pick<AdoptedFile, 'rules'>;

/** `Harbour 400, 700 italic`. */
function nameOf({ rules }: Named): string {
  const faces = rules.map(
    ({ weight = '400', style = 'normal' }) => `${weight}${style === 'normal' ? '' : ` ${style}`}`,
  );
  return `${rules[0].family} ${[...new Set(faces)].join(', ')}`;
}

const isPart = ({ rules }: Named): boolean => rules.every(({ unicodeRange }) => unicodeRange !== undefined);

const hostOf = ({ from }: AdoptedFile) => from.replace(/^https?:\/\//, '').replace(/\/.*/, '');

/** A row for each file that is whole, and for each face in parts: a host may cut one into a hundred. */
function faceRows({ faces, joined }: AdoptResult): string[][] {
  const met = new Set<string>();
  return faces.flatMap((file): string[][] => {
    const name = nameOf(file);
    const parts = faces.filter((one) => isPart(one) && nameOf(one) === name);
    if (!isPart(file) || parts.length < 2) return [[name, file.file, sizeText(file.bytes), hostOf(file)]];
    if (met.has(name)) return [];
    met.add(name);
    const pieces = count(parts.length, 'partial file');
    const whole = joined.find((one) => nameOf(one) === name);
    const bytes = parts.reduce((sum, part) => sum + part.bytes, 0);
    return whole
      ? [[name, whole.file, sizeText(whole.bytes), `${pieces} of ${sourceOf(parts)}, joined`]]
      : [[name, pieces, sizeText(bytes), sourceOf(parts)]];
  });
}

/** The host, or where a package has the first of them. */
const sourceOf = (parts: readonly AdoptedFile[]): string =>
  URL.canParse(parts[0].from) ? hostOf(parts[0]) : parts[0].stylesheet.replace(/.*\//, '');

/** Why faces stay in parts. */
const partLines = ({ inParts }: AdoptResult): string[] =>
  inParts.map(
    (one) =>
      `Parts    ${nameOf({ rules: [one.rule] })} stays in ${count(one.files, 'file')}, because ${one.why}`,
  );
