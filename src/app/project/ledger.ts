import { join } from 'node:path';
import { drawingDescriptors, type DrawingDescriptors } from '../../core/face/index.js';
import type { Declaration } from '../../core/source/index.js';
import { DenseGlyphError } from '../../errors.js';
import { filesOf } from '../../io/earlier-files.js';
import type { Validators } from '../../io/http/index.js';
import type { FontFaceDescriptors } from '../../site/css/rules.js';
import { faceRuleOf } from '../../site/usage/declared-faces.js';

/** Stylesheets of hosts and what they name lie here, in the folder of the adopted faces. */
export const stylesFolder = 'styles';

/** What a rule declares, with its descriptors as they are written. */
export interface AdoptedRule {
  family: string;
  weight?: string;
  style?: string;
  stretch?: string;
  unicodeRange?: string;
  display?: string;
  descriptors?: DrawingDescriptors;
}

/** A file, and the faces that rules declare of it: several where a host names it once for each weight. */
export interface AdoptedFace {
  /** In the folder. */
  file: string;
  rules: AdoptedRule[];
}

/** A file that came home. */
export interface AdoptedFile extends AdoptedFace {
  sha256: string;
  bytes: number;
  /** Where it came from; a path for what lay in a package. */
  from: string;
  /** The stylesheet that named it. */
  stylesheet: string;
  /** When it was fetched, as an ISO date. */
  fetched: string;
  validators?: Validators;
  /** What the font says of itself. */
  stated: { copyright?: string; licence?: string; licenceUrl?: string; embedding: string };
  /** Who says that it may be used; null where nobody did. */
  rights: string | null;
}

/** A face whose partial files became one again. */
export interface JoinedFile extends AdoptedFace {
  sha256: string;
  bytes: number;
  /** The partial files, in the order of their rules. */
  from: string[];
}

/** A file of an earlier call; it stays, as a config may name it. */
export interface ReplacedFile extends AdoptedFace {
  /** What its face is drawn with since. */
  by: string[];
}

/** A stylesheet that was asked for. */
export interface AdoptedStylesheet {
  url: string;
  /** Those that it declares. */
  families: string[];
  /** All of it, with addresses of files that came home: in the folder. Left out where it could not be had. */
  file?: string;
  /** Whether it says anything besides faces. */
  hasOthers?: boolean;
}

/** A file that a stylesheet names besides fonts. */
export interface AdoptedAsset {
  file: string;
  sha256: string;
  bytes: number;
  from: string;
}

/** ledger.json of adopted faces. */
export interface AdoptedLedger {
  ledgerVersion: 2;
  stylesheets: AdoptedStylesheet[];
  adopted: AdoptedFile[];
  /** Files that stylesheets name besides fonts. */
  assets?: AdoptedAsset[];
  /** Files that were made of others of the folder. */
  joined?: JoinedFile[];
  /** Files of earlier calls that are there no longer than somebody takes them away. */
  replaced?: ReplacedFile[];
}

const decoder = new TextDecoder();

/**
 * The ledger of a folder that faces were adopted to.
 *
 * @param folder absolute
 * @returns undefined where there is none
 * @throws DenseGlyphError `output-foreign` where another program's file has its name
 */
export function adoptedLedger(folder: string): AdoptedLedger | undefined {
  const bytes = filesOf(folder)('ledger.json');
  if (!bytes) return undefined;
  const ledger = ledgerIn(bytes);
  if (ledger) return ledger;
  const file = join(folder, 'ledger.json');
  throw new DenseGlyphError('output-foreign', 'this file is no ledger of adopted faces', { file });
}

/** The same, where a file of another program is none of ours. */
export function ledgerOrNone(folder: string): AdoptedLedger | undefined {
  const bytes = filesOf(folder)('ledger.json');
  return bytes && ledgerIn(bytes);
}

/** @returns undefined for what isn't one */
function ledgerIn(bytes: Uint8Array): AdoptedLedger | undefined {
  let found: Partial<Record<string, unknown>>;
  try {
    found = JSON.parse(decoder.decode(bytes)) as typeof found;
  } catch {
    return undefined;
  }
  if (typeof found !== 'object' || found === null) return undefined;
  const { ledgerVersion, stylesheets, adopted, joined, replaced, assets } = found;
  if (ledgerVersion !== 1 && ledgerVersion !== 2) return undefined;
  const lists = [stylesheets, adopted, joined ?? [], replaced ?? [], assets ?? []];
  if (
    !lists.every(
      (list) => Array.isArray(list) && list.every((one) => typeof one === 'object' && one !== null),
    )
  )
    return undefined;
  const [sheets, ...others] = lists as Record<string, unknown>[][];
  if (!sheets.every(({ url, families }) => typeof url === 'string' && isTexts(families))) return undefined;
  const [files, whole, old, more] = others.map((list) => list.map(withRules));
  if (![...files, ...whole, ...old].every(isFace) || !more.every(({ file }) => isInFolder(file)))
    return undefined;
  if (!sheets.every(({ file }) => file === undefined || isInFolder(file))) return undefined;
  if (
    !files.every(({ from, stylesheet, sha256 }) =>
      [from, stylesheet, sha256].every((one) => typeof one === 'string'),
    )
  )
    return undefined;
  if (![...whole.map(({ from }) => from), ...old.map(({ by }) => by)].every(isTexts)) return undefined;
  return {
    ledgerVersion: 2,
    stylesheets: sheets as unknown as AdoptedStylesheet[],
    adopted: files as unknown as AdoptedFile[],
    ...(more.length > 0 ? { assets: more as unknown as AdoptedAsset[] } : {}),
    ...(whole.length > 0 ? { joined: whole as unknown as JoinedFile[] } : {}),
    ...(old.length > 0 ? { replaced: old as unknown as ReplacedFile[] } : {}),
  };
}

const isTexts = (value: unknown): value is string[] =>
  Array.isArray(value) && value.every((one) => typeof one === 'string');

/** A ledger may come from somebody else. */
const isInFolder = (file: unknown): boolean =>
  typeof file === 'string' && !/^[\\/]|^[a-z]:|\0/i.test(file) && !file.split(/[\\/]/).includes('..');

const isFace = ({ file, rules }: Record<string, unknown>): boolean =>
  isInFolder(file) &&
  Array.isArray(rules) &&
  rules.every((rule) => typeof (rule as AdoptedRule | null)?.family === 'string');

/** The first version had one rule for each file, beside its other keys. */
function withRules(entry: Record<string, unknown>): Record<string, unknown> {
  if (entry.rules !== undefined || typeof entry.family !== 'string') return entry;
  const { family, weight, style, stretch, unicodeRange, ...rest } = entry;
  return { ...rest, rules: [withoutGaps({ family, weight, style, stretch, unicodeRange })] };
}

type Defined<Values> = { [Name in keyof Values]?: Exclude<Values[Name], undefined> };

/** An object without the keys that have no value. */
export const withoutGaps = <Values extends object>(values: Values): Defined<Values> =>
  Object.fromEntries(Object.entries(values).filter(([, value]) => value !== undefined)) as Defined<Values>;

/** What a rule declares, as a ledger keeps it. */
export function adoptedRule(rule: FontFaceDescriptors): AdoptedRule {
  const { family, weight, style, stretch, unicodeRange, display } = rule;
  const { descriptors } = faceRuleOf(rule);
  return { family, ...withoutGaps({ weight, style, stretch, unicodeRange, display, descriptors }) };
}

/** A rule of a ledger, read. */
export function declarationOf(rule: AdoptedRule): Declaration {
  const { weight, style, stretch, unicodeRange, display, descriptors = {} } = rule;
  const nowhere = { file: '', line: 0, column: 0, sources: [], conditions: [] };
  const others = new Map(
    drawingDescriptors.flatMap((name) => {
      const value = descriptors[name];
      return value === undefined ? [] : [[name, String(value)] as const];
    }),
  );
  const texts = { weight, style, stretch, unicodeRange, display };
  return faceRuleOf({ ...nowhere, family: rule.family, ...texts, others });
}

/** What tells one rule from another. */
export const ruleKey = (rule: AdoptedRule): string => {
  const { family, weight, style, stretch, characters, slant, descriptors } = declarationOf(rule);
  return JSON.stringify([
    family.toLowerCase(),
    weight,
    style,
    stretch,
    characters ?? null,
    slant,
    descriptors,
  ]);
};
