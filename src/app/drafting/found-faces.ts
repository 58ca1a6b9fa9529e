import { basename, dirname, join, resolve } from 'node:path';
import { faceKey, faceLabel } from '../../core/face/index.js';
import { declaredSource, type Source } from '../../core/source/index.js';
import { mappedCharacters } from '../../core/text/mapped-characters.js';
import { DenseGlyphError, placeText } from '../../errors.js';
import { fontPaths } from '../../io/font-files.js';
import { sha256 } from '../../kit/digest.js';
import { drawsTheSame } from '../../kit/planning/same-face.js';
import { faceRuleOf, type FaceRule } from '../../site/usage/declared-faces.js';
import { ledgerOrNone } from '../project/ledger.js';
import { openSources, sourcesAt } from '../project/open-sources.js';
import type { FoundOnSite } from '../project/reading/scan-threads.js';

/** A face at hand. */
export interface FoundFace {
  source: Source;
  /** As pages call it. */
  family: string;
  /** Who says what it is: a rule of the site, the ledger of adopted faces, or the file itself. */
  declaredBy: 'rule' | 'ledger' | 'file';
}

export interface FoundFaces {
  faces: FoundFace[];
  /** What was passed over, and why, a sentence each without its full stop. */
  notes: string[];
}

/**
 * The faces of some files, as the rules of pages and the ledger of adopted faces declare them; of those that several files draw
 * the one that browsers take.
 *
 * @param paths font files, archives, folders or globs @param folder that they start from, absolute
 * @param isFull whether just these files are meant, and all of them; else also those that rules name
 */
export async function foundFaces(
  paths: readonly string[],
  pages: FoundOnSite['pages'],
  folder: string,
  isFull = false,
): Promise<FoundFaces> {
  const notes: string[] = [];
  const named = await fontPaths(paths, folder);
  const { byFile: all, passedOver } = rulesByFile(pages);
  const byFile = isFull ? new Map([...all].filter(([path]) => named.includes(path))) : all;
  const inLedger = adoptedFiles([...named, ...byFile.keys()]);
  const faces: FoundFace[] = [];
  const skip = ({ reason, place }: DenseGlyphError) =>
    notes.push(`${placeText(place)} is passed over: ${reason}`);
  const others = named.filter((path) => !byFile.has(path) || inLedger.has(path));
  for (const [path, rules] of byFile) {
    if (inLedger.has(path)) continue;
    const sources = await trying(() => sourcesAt(path, folder), skip);
    for (const source of sources.slice(0, 1))
      for (const rule of rules)
        faces.push({ source: declaredSource(source, { ...rule }), family: rule.family, declaredBy: 'rule' });
  }
  const known = new Map(faces.map((face) => [sha256(face.source.bytes), face]));
  for (const source of await openedOneByOne(others, folder, skip)) {
    const path = resolve(folder, source.path.replace(/#\d+$/, ''));
    const twin = known.get(sha256(source.bytes));
    if (twin && !inLedger.has(path)) {
      preferPlainName(faces, twin, source);
      continue;
    }
    const other = passedOver.get(path);
    if (other !== undefined && byFile.has(other)) {
      notes.push(`${source.path} is not used: browsers take ${basename(other)} from the same rule`);
      continue;
    }
    faces.push({
      source,
      family: source.face.family || nameOf(source.path),
      declaredBy: source.isDeclared ? 'ledger' : 'file',
    });
  }
  return { faces: withoutDoubles(oneNameEach(faces), isFull, notes), notes };
}

/** A file that says no family is called by its own name. */
const nameOf = (path: string): string => basename(path).replace(/\.[^.]*$/, '');

async function trying(
  work: () => Promise<Source[]>,
  skip: (trouble: DenseGlyphError) => void,
): Promise<Source[]> {
  try {
    return await work();
  } catch (cause) {
    if (!(cause instanceof DenseGlyphError)) throw cause;
    skip(cause);
    return [];
  }
}

/** Opens what can be opened: in the folder of a ledger at once, as files of it make others needless. */
async function openedOneByOne(
  paths: readonly string[],
  folder: string,
  skip: (trouble: DenseGlyphError) => void,
): Promise<Source[]> {
  const byFolder = new Map<string, string[]>();
  for (const path of paths) byFolder.set(dirname(path), [...(byFolder.get(dirname(path)) ?? []), path]);
  const found: Source[] = [];
  for (const [inner, list] of byFolder) {
    if (!ledgerOrNone(inner)) {
      for (const path of list) found.push(...(await trying(() => sourcesAt(path, folder), skip)));
      continue;
    }
    const whole: string[] = [];
    for (const path of list)
      if ((await trying(() => sourcesAt(path, folder), skip)).length > 0) whole.push(path);
    found.push(...(await openSources(whole, folder)));
  }
  return found;
}

/** What rules of pages declare of each file that browsers of today take, and the other files of those rules with it. */
function rulesByFile(pages: FoundOnSite['pages']): {
  byFile: Map<string, FaceRule[]>;
  passedOver: Map<string, string>;
} {
  const byFile = new Map<string, FaceRule[]>();
  const passedOver = new Map<string, string>();
  const known = new Set<string>();
  for (const { fontFaces } of pages) {
    for (const one of fontFaces) {
      const rule = faceRuleOf(one);
      const path = rule.source?.address;
      if (path === undefined) continue;
      for (const { address } of one.sources)
        if (address !== undefined && address !== path) passedOver.set(address, path);
      const key = JSON.stringify([path, ruleKey(rule)]);
      if (known.has(key)) continue;
      known.add(key);
      byFile.set(path, [...(byFile.get(path) ?? []), rule]);
    }
  }
  return { byFile, passedOver };
}

const ruleKey = (rule: FaceRule): string =>
  JSON.stringify([faceKey(rule), rule.characters ?? null, rule.slant ?? null, rule.descriptors ?? null]);

/** Of files, those that a ledger says all of. */
function adoptedFiles(paths: readonly string[]): Set<string> {
  const found = new Set<string>();
  for (const folder of new Set(paths.map((path) => dirname(path)))) {
    const ledger = ledgerOrNone(folder);
    for (const { file } of [
      ...(ledger?.adopted ?? []),
      ...(ledger?.joined ?? []),
      ...(ledger?.replaced ?? []),
    ])
      found.add(join(folder, file));
  }
  return found;
}

/** A bundler's copy bears a digest, another one with each build; the same file elsewhere doesn't. */
const hashed = /[.-](?=[\w-]*(?:\d|[a-z][A-Z]))[\w-]{8,}\.\w+$/;

function preferPlainName(faces: FoundFace[], known: FoundFace, other: Source): void {
  if (!hashed.test(known.source.path) || hashed.test(other.path)) return;
  const { path } = known.source;
  for (const face of faces) if (face.source.path === path) face.source = { ...face.source, path: other.path };
}

/** Names that differ by case are one family, called as most of its faces are. */
function oneNameEach(faces: readonly FoundFace[]): FoundFace[] {
  const counts = new Map<string, Map<string, number>>();
  for (const { family } of faces) {
    const names = counts.get(family.toLowerCase()) ?? new Map<string, number>();
    counts.set(family.toLowerCase(), names.set(family, (names.get(family) ?? 0) + 1));
  }
  return faces.map((face) => {
    const names = [...counts.get(face.family.toLowerCase())!].sort(([, a], [, b]) => b - a);
    return { ...face, family: names[0][0] };
  });
}

const orderBy: Readonly<Record<FoundFace['declaredBy'], number>> = { rule: 0, ledger: 1, file: 2 };
/** What browsers take first. */
const formats = ['woff2', 'woff', 'otf', 'ttf', 'eot'];

/** Of files that draw the same face: what a rule or a ledger says, else the one with most characters that browsers read. */
function withoutDoubles(faces: readonly FoundFace[], isFull: boolean, notes: string[]): FoundFace[] {
  const declared = new Set(
    faces
      .filter(({ declaredBy }) => declaredBy !== 'file' && !isFull)
      .map(({ family }) => family.toLowerCase()),
  );
  const groups = new Map<string, FoundFace[]>();
  for (const face of faces) {
    const { source, family, declaredBy } = face;
    // What nobody declares of a family that rules declare would change pages.
    if (declaredBy === 'file' && declared.has(family.toLowerCase())) {
      notes.push(
        `${source.path} (${family} ${faceLabel(source.face)}) is left out: no rule of the site declares it`,
      );
      continue;
    }
    const drawing = declaredBy === 'file' ? null : [source.ranges ?? null, source.rule?.descriptors ?? null];
    const key = JSON.stringify([faceKey({ ...source.face, family }), drawing]);
    groups.set(key, [...(groups.get(key) ?? []), face]);
  }
  return [...groups.values()].map((alike) => {
    const size = ({ source }: FoundFace) => mappedCharacters(source.font).size;
    const isRule = ({ declaredBy }: FoundFace) => declaredBy === 'rule';
    const [best, ...others] = [...alike].sort(
      (a, b) =>
        orderBy[a.declaredBy] - orderBy[b.declaredBy] ||
        // Of rules alike browsers go by the last one.
        (isRule(a) && isRule(b) ? alike.indexOf(b) - alike.indexOf(a) : 0) ||
        size(b) - size(a) ||
        formats.indexOf(a.source.format) - formats.indexOf(b.source.format),
    );
    for (const { source } of others) {
      if (source.path === best.source.path) continue;
      const isSame = drawsTheSame(source.font, best.source.font);
      notes.push(
        `${source.path} is not used, as ${best.source.path} ${isSame ? 'draws the same face' : 'is the same face by its name, and is taken'}`,
      );
    }
    return best;
  });
}
