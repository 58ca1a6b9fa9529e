import { kilobytes } from '../../../core/text/amounts.js';
import { faceKey } from '../../../core/face/index.js';
import { finding } from '../../../findings.js';
import type { FaceRule } from '../declared-faces.js';
import type { LinkedStylesheet, OnPages } from '../found-on-pages.js';
import type { Collector } from './collector.js';
import type { PageDemand } from './demand.js';

/** A rule that declares a face, with the pages that have it. */
interface Declared {
  rule: FaceRule;
  pages: Set<string>;
  /** Pages that draw something with it. */
  drawnOn: Set<string>;
}

/** Told where its files are looked for. */
const isMissing = ({ rule }: FaceRule) => rule.sources.every((source) => source.isMissing);

const placeOf = ({ rule }: FaceRule) => ({ file: rule.file, line: rule.line });

/** What is wrong with the rules themselves. */
export function declaredRules(
  pages: readonly PageDemand[],
  sheets: readonly OnPages<LinkedStylesheet>[],
  collected: Collector,
): void {
  const all = declaredOn(pages);
  const unneeded = unneededSheets(all, sheets, collected);
  const drawn = new Set(all.flatMap(({ rule, drawnOn }) => (drawnOn.size > 0 ? [faceKey(rule)] : [])));
  // A part for text that nobody foresaw is fetched by nobody else.
  const isNeeded = ({ rule, drawnOn }: Declared) =>
    drawnOn.size > 0 || (rule.characters !== undefined && drawn.has(faceKey(rule)));
  const needed = all.filter(isNeeded).map(({ rule }) => rule);
  for (const declared of all) {
    const { rule, pages: where } = declared;
    if (isNeeded(declared) || unneeded.has(rule.rule.file) || isMissing(rule)) continue;
    if (!needed.some((one) => isForOthers(rule, one))) unusedFace(rule, where, collected);
  }
  missingDisplay(all, collected);
  manyFaces(pages, all, collected);
  for (const page of pages) doubledFaces(page, collected);
}

/** Whether a rule declares a file for just those browsers that another rule of the file is not for (CSS Conditional 3, section 6). */
const isForOthers = (rule: FaceRule, other: FaceRule): boolean =>
  rule.source?.url !== undefined &&
  rule.source.url === other.source?.url &&
  supportsOf(rule).some((text) =>
    supportsOf(other).some((one) => one === `not ${text}` || text === `not ${one}`),
  );

const supportsOf = ({ rule: { conditions } }: FaceRule): string[] =>
  conditions.flatMap(({ kind, text }) => (kind === 'supports' ? [text.trim()] : []));

function declaredOn(pages: readonly PageDemand[]): Declared[] {
  const all = new Map<FaceRule, Declared>();
  for (const { page, faces, rules } of pages) {
    for (const rule of rules) {
      const known = all.get(rule);
      if (known) known.pages.add(page);
      else all.set(rule, { rule, pages: new Set([page]), drawnOn: new Set() });
    }
    for (const { groups } of faces) for (const { face } of groups) if (face) all.get(face)?.drawnOn.add(page);
  }
  return [...all.values()];
}

function unusedFace(rule: FaceRule, pages: Iterable<string>, collected: Collector): void {
  const style = rule.style === 'normal' ? '' : ` ${rule.style}`;
  const message = `${rule.family} ${rule.weight[0]}${style} is declared, and no page draws it`;
  collected.add(finding('face-unused', message, placeOf(rule)), pages);
}

/** Stylesheets that only declare faces of which no page draws one. @returns their names */
function unneededSheets(
  all: readonly Declared[],
  sheets: readonly OnPages<LinkedStylesheet>[],
  collected: Collector,
): Set<string> {
  const found = new Set<string>();
  for (const { url, file, line, pages } of sheets) {
    const own = all.filter(({ rule }) => rule.rule.file === url);
    if (own.length === 0 || own.some(({ drawnOn }) => drawnOn.size > 0)) continue;
    found.add(url);
    const families = [...new Set(own.map(({ rule }) => rule.family))].join(', ');
    const message = `${url} only declares ${families}, and no page draws ${own.length === 1 ? 'it' : 'any of it'}`;
    collected.add(finding('stylesheet-unneeded', message, { file, line }), pages);
  }
  return found;
}

/** Descriptors of `font-display` that leave text invisible for up to three seconds (CSS Fonts 4, section 4.9). */
const hides = (display: string | undefined) => display === undefined || /^(auto|block)$/i.test(display);

/** Told once for the rules of a family in a file. */
function missingDisplay(all: readonly Declared[], collected: Collector): void {
  const groups = new Map<string, Declared[]>();
  for (const one of all) {
    const { rule, drawnOn } = one;
    const isData = rule.source?.url !== undefined && /^data:/i.test(rule.source.url);
    if (!hides(rule.rule.display) || drawnOn.size === 0 || isData || rule.source === undefined) continue;
    const key = JSON.stringify([rule.rule.file, rule.family]);
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  for (const group of groups.values()) {
    const [{ rule }] = group;
    const said = rule.rule.display === undefined ? 'no font-display' : `font-display: ${rule.rule.display}`;
    const count = group.length === 1 ? 'its rule has' : `${group.length} of its rules have`;
    const message = `${rule.family} may stay invisible: ${count} ${said}`;
    collected.add(
      finding('display-missing', message, placeOf(rule)),
      new Set(group.flatMap((one) => [...one.drawnOn])),
    );
  }
}

/** Rules that declare the same face for the same characters: the last one wins (section 5.3). */
function doubledFaces({ page, rules }: PageDemand, collected: Collector): void {
  const known = new Map<string, FaceRule>();
  for (const rule of rules) {
    const { family, weight, style, stretch } = rule;
    const { unicodeRange, conditions, sources } = rule.rule;
    const key = JSON.stringify([family.toLowerCase(), weight, style, stretch, unicodeRange, conditions]);
    const before = known.get(key);
    known.set(key, rule);
    if (!before || sources.length === 0) continue;
    const where = `${rule.rule.file}:${rule.rule.line}`;
    if (where === `${before.rule.file}:${before.rule.line}`) continue;
    const message = `${family} ${weight[0]}${style === 'normal' ? '' : ` ${style}`} is declared again in ${where}, which wins`;
    collected.add(finding('face-doubled', message, placeOf(before)), [page]);
  }
}

/** Faces that one page may well draw; each more is a file more before text is as it should be. */
const handful = 5;

function manyFaces(pages: readonly PageDemand[], all: readonly Declared[], collected: Collector): void {
  for (const { page } of pages) {
    const drawn = all.filter(({ drawnOn, rule }) => drawnOn.has(page) && rule.source !== undefined);
    const files = new Map(drawn.map(({ rule }) => [rule.source!.address ?? rule.source!.url!, rule]));
    // Parts of one face, told apart by their characters, count once.
    const faces = new Map(
      Array.from(files.values(), (rule) => [
        `${rule.family} ${rule.weight[0]}${rule.style === 'normal' ? '' : ` ${rule.style}`}`,
        rule.supply?.bytes ?? 0,
      ]),
    );
    if (faces.size <= handful) continue;
    const costly = [...faces].sort(([, a], [, b]) => b - a);
    const listed = costly.map(([name, bytes]) => (bytes > 0 ? `${name} ${kilobytes(bytes)}` : name));
    const total = costly.reduce((sum, [, bytes]) => sum + bytes, 0);
    const sum = total > 0 ? `, ${kilobytes(total)} together` : '';
    const message = `${faces.size} faces are drawn${sum}: ${listed.join(', ')}`;
    collected.add(finding('faces-many', message, { file: page }), [page]);
  }
}
