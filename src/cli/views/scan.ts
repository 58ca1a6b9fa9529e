import { distance } from 'fastest-levenshtein';
import colors from 'picocolors';
import type { ScannedFace, ScanResult } from '../../app/scanning/scan.js';
import { kilobytes } from '../../core/text/amounts.js';
import { parseUnicodeRanges } from '../../core/text/parse-ranges.js';
import { placeText } from '../../errors.js';
import { shortened, siteFindingLines } from './site-findings.js';
import { characterText, count, listed, table, wrapped } from './words.js';

type SiteFace = ScanResult['faces'][number];

const faceText = ({ family, weight, style, stretch }: SiteFace['asked']): string =>
  [family, weight, style === 'normal' ? '' : style, stretch === 100 ? '' : `${stretch}%`]
    .filter(Boolean)
    .join(' ');

const facesShown = 24;

/** The demand, then what is wrong. */
export function scanLines(result: ScanResult, width: number): string[] {
  const { faces, pages, findings } = result;
  const declared = faces.filter(({ drawnBy }) => drawnBy !== null);
  const local = faces.filter(({ drawnBy }) => drawnBy === null);
  return [
    `${colors.bold(count(pages.length, 'page'))}, ${count(declared.length, 'face')} of their own, ${local.length} left to fonts of the system`,
    '',
    ...demandTable(declared),
    ...(local.length > 0 && declared.length > 0 ? [''] : []),
    ...demandTable(local),
    '',
    ...(findings.length === 0
      ? [colors.green('Nothing is wrong with the fonts of these pages.'), '']
      : siteFindingLines(findings, pages.length, width)),
    'Next  --trace "<face or characters>" says which rules and pages ask for it.',
  ];
}

function demandTable(faces: readonly SiteFace[]): string[] {
  if (faces.length === 0) return [];
  const isDeclared = faces[0].drawnBy !== null;
  const rows = faces
    .slice(0, facesShown)
    .map(({ asked, drawnBy, characters, bytes, pages, rules }) => [
      faceText(asked),
      ...(isDeclared ? [drawnBy?.url ?? '', bytes === null ? '' : kilobytes(bytes)] : []),
      `${parseUnicodeRanges(characters).size}`,
      `${pages}`,
      askerText(asked, rules),
    ]);
  const columns = [
    { title: isDeclared ? 'face' : 'drawn by a font of the system' },
    ...(isDeclared ? [{ title: 'file' }, { title: 'size', align: 'right' as const }] : []),
    { title: 'characters', align: 'right' as const },
    { title: 'pages', align: 'right' as const },
    { title: 'asked for most by' },
  ];
  const more = faces.length > facesShown ? [`and ${faces.length - facesShown} more`] : [];
  return [...table(columns, rows), ...more];
}

/** Who asks for what is special about the face: the slant before the weight before the family. */
function askerText(asked: SiteFace['asked'], rules: SiteFace['rules']): string {
  const by = (property: string) => rules.find((rule) => rule.property === property);
  const rule =
    (asked.style === 'normal' ? undefined : by('font-style')) ??
    (asked.weight === 400 ? undefined : by('font-weight')) ??
    by('font-family') ??
    rules[0];
  return rule ? `${placeText(rule)}  ${shortened(rule.selector)}` : '';
}

/** Who asks for a family, a face or characters. */
export function traceLines({ faces, pages }: ScanResult, what: string, width: number): string[] {
  const text = what.toLowerCase();
  const exact = faces.filter(({ asked }) => faceText(asked).toLowerCase() === text);
  const named =
    exact.length > 0 ? exact : faces.filter(({ asked }) => faceText(asked).toLowerCase().startsWith(text));
  const near = named.length === 0 ? nearFamily(what, faces) : undefined;
  if (near !== undefined) return [`No page asks for ${what}; did you mean ${near}?`];
  const wanted = [...new Set(what)].map((character) => character.codePointAt(0)!);
  const found =
    named.length > 0
      ? named
      : faces.filter(({ characters }) => {
          const set = parseUnicodeRanges(characters);
          return wanted.some((character) => set.has(character));
        });
  if (found.length === 0) return [`No page asks for ${what}.`];
  return found.flatMap((face) => [
    colors.bold(faceText(face.asked)),
    `  drawn by ${face.drawnBy ? face.drawnBy.url : 'a font of the system'}`,
    ...wrapped(['  on', ...listed(pagesWith(pages, face))], width, 4),
    ...wrapped(
      ['  characters', ...parseUnicodeRanges(face.characters).codePoints().map(characterText)],
      width,
      4,
    ),
    ...askerLines(face.rules),
    ...placeLines(pages, face, named.length > 0 ? undefined : wanted),
    '',
  ]);
}

/** So many letters make a name; of fewer the characters may be meant. */
const shortestName = 4;

/** A family whose name is nearly what was written. */
function nearFamily(what: string, faces: readonly SiteFace[]): string | undefined {
  const text = what.replace(/\s+\d+.*$/, '').toLowerCase();
  if (text.length < shortestName || !/^[\p{L}\p{N} '-]+$/u.test(text)) return undefined;
  const families = [...new Set(faces.map(({ asked }) => asked.family))];
  const steps = (family: string) => distance(text, family.toLowerCase());
  const isNear = (family: string) =>
    family.toLowerCase().includes(text) || steps(family) <= Math.max(1, Math.floor(text.length / 4));
  return families.filter(isNear).sort((a, b) => steps(a) - steps(b))[0];
}

const placesShown = 8;

/** Elements that draw it. @param wanted undefined for all characters */
function placeLines(
  pages: ScanResult['pages'],
  face: SiteFace,
  wanted: readonly number[] | undefined,
): string[] {
  const isSame = ({ asked, drawnBy }: ScannedFace) =>
    JSON.stringify([asked, drawnBy]) === JSON.stringify([face.asked, face.drawnBy]);
  const found = pages.flatMap(({ page, faces }) =>
    faces.filter(isSame).flatMap(({ places = [] }) =>
      places
        .filter(({ characters }) => {
          const set = parseUnicodeRanges(characters);
          return wanted === undefined || wanted.some((character) => set.has(character));
        })
        .map(({ line, element, text }) => `  ${placeText({ file: page, line })}  ${element}  “${text}”`),
    ),
  );
  const more = found.length - placesShown;
  return [...found.slice(0, placesShown), ...(more > 0 ? [colors.dim(`  and ${more} more places`)] : [])];
}

/** A line for each rule, with the properties that it sets. */
function askerLines(rules: SiteFace['rules']): string[] {
  const properties = new Map<string, string[]>();
  for (const { file, line, selector, property } of rules) {
    const rule = `  ${placeText({ file, line })}  ${selector}`;
    properties.set(rule, [...(properties.get(rule) ?? []), property]);
  }
  return [...properties].map(([rule, names]) => `${rule}  ${colors.dim(names.join(', '))}`);
}

const pagesWith = (pages: ScanResult['pages'], face: SiteFace): string[] =>
  pages
    .filter(({ faces }) => faces.some(({ asked }) => JSON.stringify(asked) === JSON.stringify(face.asked)))
    .map(({ page }) => page);
