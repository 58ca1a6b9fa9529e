import colors from 'picocolors';
import { placeText } from '../../errors.js';
import type { Finding } from '../../findings.js';
import { parseUnicodeRanges } from '../../core/text/parse-ranges.js';
import { whyWhole } from '../../kit/planning/made.js';
import type { Manifest, ManifestFace } from '../../kit/index.js';
import { movedParagraphs } from './moves.js';
import { siteFindingLines, type SiteFinding } from './site-findings.js';
import { planLines } from './plan.js';
import { kilobytes } from '../../core/text/amounts.js';
import { count, share, table } from './words.js';

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);
const partBytes = (face: ManifestFace, format = 'woff2') =>
  sum(
    face.parts
      .filter(({ slice, format: own }) => slice !== 'rest' && own === format)
      .map(({ bytes }) => bytes),
  );
const restBytes = (face: ManifestFace) =>
  sum(face.parts.filter(({ slice }) => slice === 'rest').map(({ bytes }) => bytes));

/** What a person wants to know of a kit: its faces, their bytes before and after, what is preloaded and why. */
export function kitLines(manifest: Manifest, folder: string, changed: boolean, allPages = false): string[] {
  const faces = manifest.families.flatMap(({ family, faces: list }) =>
    list.map((face) => ({ family, face })),
  );
  const before = sum(faces.map(({ face }) => face.source.bytes));
  const after = sum(faces.map(({ face }) => partBytes(face)));
  const older = manifest.reach.formats.map(({ format }) => format).filter((format) => format !== 'woff2');
  const isRead = manifest.pages.length > 0;
  const hasRest = faces.some(({ face }) => restBytes(face) > 0);
  const rows = faces.map(({ family, face }) => {
    const style = face.style === 'normal' ? '' : ` ${face.style}`;
    return [
      `${family} ${face.weight.replace(' ', '–')}${style}${face.partial === undefined ? '' : `, ${face.partial}`}`,
      kilobytes(face.source.bytes),
      colors.bold(kilobytes(partBytes(face))),
      share(partBytes(face), face.source.bytes),
      ...(hasRest ? [restBytes(face) > 0 ? kilobytes(restBytes(face)) : ''] : []),
      ...(isRead ? [`${face.demand?.pages ?? 0}`] : []),
      ...older.map((format) => kilobytes(partBytes(face, format))),
      face.preload
        ? `yes: ${face.preloadReason}`
        : face.preloadReason.startsWith('on ')
          ? face.preloadReason
          : 'no',
    ];
  });
  const total = [
    colors.dim(count(faces.length, 'face')),
    kilobytes(before),
    colors.bold(kilobytes(after)),
    share(after, before),
    ...(hasRest ? [kilobytes(sum(faces.map(({ face }) => restBytes(face))))] : []),
    ...(isRead ? [''] : []),
    ...older.map((format) => kilobytes(sum(faces.map(({ face }) => partBytes(face, format))))),
  ];
  const columns = [
    { title: 'face' },
    { title: 'before', align: 'right' as const },
    { title: 'woff2', align: 'right' as const },
    { title: '', align: 'right' as const },
    ...(hasRest ? [{ title: 'rest', align: 'right' as const }] : []),
    ...(isRead ? [{ title: 'pages', align: 'right' as const }] : []),
    ...older.map((title) => ({ title, align: 'right' as const })),
    { title: 'preload' },
  ];
  const state = changed ? '' : ' (unchanged)';
  const notes = [
    ...faces.flatMap(({ family, face }) =>
      face.findings.map(({ message }) => `${family}: ${face.source.path}: ${message}`),
    ),
    ...wholeNotes(faces),
    ...completedNotes(faces),
    ...apartNotes(faces.map(({ face }) => face)),
    ...faces.flatMap(({ family, face }) => demandNotes(family, face)),
    ...languageNotes(faces),
    ...droppedNotes(faces.map(({ face }) => face)),
    ...faces.flatMap(({ face }) =>
      face.parts.flatMap(({ findings, format }) => {
        const changed = findings.filter(({ code }) => code === 'changed-for-format');
        const words = changed.map(({ message }) => message).join(', ');
        return words === '' ? [] : [`${face.source.path}: in ${format} ${words}`];
      }),
    ),
  ];
  return [
    `${colors.bold('Kit')}   ${folder}${state}`,
    '',
    ...table(columns, [...rows, [...total, '']]),
    ...pageLines(manifest, allPages),
    ...planLines(manifest.plan, allPages),
    ...moveLines(manifest, allPages),
    ...reachLines(manifest),
    ...(notes.length > 0 ? ['', ...notes.map((note) => `${colors.yellow('note')}  ${note}`)] : []),
  ];
}

const pagesShown = 5;

/** What a visit fetches, and what is left out of the kit. */
function pageLines({ pages, leftOut }: Manifest, allPages: boolean): string[] {
  if (pages.length === 0) return [];
  const shown = allPages ? pages : pages.slice(0, pagesShown);
  const lines = shown.map(
    ({ page, bytes, files, otherFiles }) =>
      `${kilobytes(bytes)} in ${count(files.length, 'file')}  ${page}${otherFiles.length > 0 ? ` (${otherFiles.length} more at another width or colour scheme)` : ''}`,
  );
  if (pages.length > shown.length)
    lines.push(`no more on the other ${pages.length - shown.length}; --verbose lists them`);
  const [first, ...rest] = lines;
  const left = leftOut
    .map(({ family, face, bytes }) => `${family} ${face} (would fetch ${kilobytes(bytes)})`)
    .join(', ');
  return [
    '',
    `${colors.bold('Pages')} ${first}`,
    ...rest.map((line) => `      ${line}`),
    ...(left ? [`      left out, as no page draws it: ${left}`] : []),
  ];
}

const movedShown = 3;

/** What moves when the faces arrive, before anybody looks. */
function moveLines(
  { moves: { widths, paragraphs, untuned, tuned, pages, unforetold } }: Manifest,
  all: boolean,
): string[] {
  if (untuned === 0 && tuned === 0) return [];
  const moved = movedParagraphs(pages);
  const shown = all ? moved : moved.slice(0, movedShown);
  const left = moved.length - shown.length;
  return [
    '',
    `${colors.bold('Lines')} ${untuned} of ${count(paragraphs, 'paragraph')} at ${widths.join(', ')} px break otherwise until the faces arrive,`,
    `      with local fonts as they are; ${colors.bold(tuned === 0 ? 'none' : `${tuned}`)} with the stand-ins of the kit, in lines of stated or usual lengths`,
    ...shown.map((line) => `      ${line}`),
    ...(left > 0 ? [`      and ${left} more; --verbose lists them`] : []),
    ...unforetoldLines(unforetold, all),
  ];
}

/** Pages with texts whose lines may move although nothing of it is foretold. */
function unforetoldLines(pages: Manifest['moves']['unforetold'], all: boolean): string[] {
  const kinds = [
    ['small capitals', 'smallCapitals'],
    ['columns of tables', 'cells'],
  ] as const;
  const told = kinds.flatMap(([what, key]) => {
    const own = pages.filter((page) => page[key] > 0).map(({ page }) => page);
    const shown = all ? own : own.slice(0, movedShown);
    const rest = own.length - shown.length;
    return own.length === 0 ? [] : [`${what} on ${shown.join(', ')}${rest > 0 ? ` and ${rest} more` : ''}`];
  });
  return told.length === 0
    ? []
    : ['      may move besides, as it can’t be foretold:', ...told.map((one) => `      ${one}`)];
}

/** Where pages stand on the axis of a variable face, what it costs, and languages that came in. */
function demandNotes(family: string, { weight, style, demand, parts }: ManifestFace): string[] {
  if (!demand) return [];
  const name = `${family}${style === 'normal' ? '' : ` ${style}`}`;
  const [{ bytes, stillBytes }] = parts;
  const notes: string[] = [];
  if (stillBytes !== undefined && weight.includes(' ') && demand.weights.length > 0) {
    const files = demand.weights.length === 1 ? 'one static file' : `${demand.weights.length} static files`;
    const sum = kilobytes(stillBytes * demand.weights.length);
    notes.push(
      `${name}: pages ask for ${demand.weights.join(', ')} in ${kilobytes(bytes)}; ${files} would weigh some ${sum}`,
    );
  }
  return notes;
}

/** Languages that came in, said once for all faces that have the same. */
function languageNotes(faces: readonly { family: string; face: ManifestFace }[]): string[] {
  const found = new Map<string, string[]>();
  for (const { family, face } of faces) {
    const languages = face.demand?.languages.join(', ') ?? '';
    if (languages === '') continue;
    const name = faceName(family, face);
    found.set(languages, [...(found.get(languages) ?? []), name]);
  }
  return [...found].map(
    ([languages, names]) =>
      `${names.length === faces.length ? 'every face' : names.join(', ')}: ${languages} came in, as visitors type in it or a script brings the text`,
  );
}

const faceName = (family: string, { weight, style }: ManifestFace): string =>
  `${family} ${weight.replace(' ', '–')}${style === 'normal' ? '' : ` ${style}`}`;

/** What came in for what scripts may write, as they may write any word. */
const completedNotes = (faces: readonly { family: string; face: ManifestFace }[]): string[] =>
  faces.flatMap(({ family, face }) =>
    face.parts.flatMap(({ completed }) => {
      if (!completed) return [];
      const characters = count(parseUnicodeRanges(completed.characters).size, 'more character');
      return [
        `${faceName(family, face)}: ${characters} came in, ${kilobytes(completed.bytes)}, for what scripts may write; from the rest it would take another request (characters: { alphabets: none } leaves it out)`,
      ];
    }),
  );

/** What a visitor's text loses between two parts, of all faces. */
function apartNotes(faces: readonly ManifestFace[]): string[] {
  const found = faces.flatMap(({ parts }) => parts.flatMap(({ apart }) => apart ?? []));
  const pairs = found.reduce((sum, { kernedPairs }) => sum + kernedPairs, 0);
  const ligatures = found.reduce((sum, one) => sum + one.ligatures, 0);
  const told = [
    ...(pairs > 0 ? [count(pairs, 'kerning pair')] : []),
    ...(ligatures > 0 ? [count(ligatures, 'ligature')] : []),
  ];
  if (told.length === 0) return [];
  return [
    `${told.join(' and ')} have letters both in a face's part and in its rest; no text of the pages needs them`,
  ];
}

/** Faces that aren't cut, and why; those of all faces once. */
function wholeNotes(faces: readonly { family: string; face: ManifestFace }[]): string[] {
  const reasons = new Map<string, string[]>();
  for (const { family, face } of faces) {
    const whole = whyWhole(face);
    if (!whole) continue;
    const name = faceName(family, face);
    reasons.set(whole.message, [...(reasons.get(whole.message) ?? []), name]);
  }
  return [...reasons].map(
    ([reason, names]) =>
      `${names.length === faces.length ? 'every face' : names.join(', ')} stays whole: ${reason}`,
  );
}

/** What parts leave out, said once for all faces and formats that share it. */
function droppedNotes(faces: readonly ManifestFace[]): string[] {
  const found = new Map<string, { formats: Set<string>; paths: Set<string> }>();
  for (const { parts, source } of faces) {
    for (const { findings, format } of parts) {
      for (const { code, message } of findings) {
        if (code !== 'left-out') continue;
        const known = found.get(message) ?? { formats: new Set(), paths: new Set() };
        known.formats.add(format);
        known.paths.add(source.path);
        found.set(message, known);
      }
    }
  }
  return [...found].map(([what, { formats, paths }]) => {
    const about = paths.size === faces.length && paths.size > 1 ? 'every face' : [...paths].join(', ');
    return `${about}: in ${[...formats].join(', ')} ${what}`;
  });
}

/** Why there is more than WOFF2, and who does without; nothing where nobody asked for certain browsers. */
function reachLines({ reach, families }: Manifest): string[] {
  const { formats, lacking, without, query, askedBy } = reach;
  if (askedBy === 'nobody') return [];
  const older = formats.filter(({ format }) => format !== 'woff2');
  const isVariable = families.some(({ faces }) => faces.some(({ weight }) => weight.includes(' ')));
  const lines = [
    `${query.join(', ')}: ${count(reach.browsers, 'browser version')}`,
    ...older.map(({ format, browsers }) => `${format} is there for ${few(browsers)}`),
    ...lacking
      .filter(({ feature }) => feature !== 'unicode-range' && (isVariable || feature !== 'variable fonts'))
      .map(({ feature, browsers, effect }) => `without ${feature}, ${effect}: ${few(browsers)}`),
    ...(without.length > 0 ? [`no web fonts at all: ${few(without)}`] : []),
  ];
  const [first, ...rest] = lines;
  return ['', `${colors.bold('Reach')} ${first}`, ...rest.map((line) => `      ${line}`)];
}

/** The first few of a list that can be long. */
function few(items: readonly string[]): string {
  const shown = items.slice(0, 3).join(', ');
  return items.length > 3 ? `${shown} and ${items.length - 3} more` : shown;
}

/** What is over its budget, passed over or not in the kit. @param total how many pages there are */
export function buildFindingLines(findings: readonly Finding[], total: number, width: number): string[] {
  if (findings.length === 0) return [];
  const ofPages = findings.filter((one): one is SiteFinding => 'pages' in one);
  const others = findings.filter((one) => !('pages' in one));
  return [
    ...siteFindingLines(ofPages, total, width),
    ...others.map(({ code, message, place, advice, effect }) =>
      code === 'budget-exceeded'
        ? `${colors.red('over')}  ${message}; ${advice}`
        : `${colors.yellow('note')}  ${[placeText(place), message].filter(Boolean).join(': ')}; ${effect}; ${advice}`,
    ),
    ...(others.length > 0 ? [''] : []),
  ];
}
