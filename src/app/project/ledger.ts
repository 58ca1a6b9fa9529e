import { join } from 'node:path';
import { array, number, object, string, type ObjectShape } from 'yup';
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

const text = () => string().required();
const texts = () => array().of(text()).required();

const isInFolder = (file: string): boolean =>
  !/^[\\/]|^[a-z]:|\0/i.test(file) && !file.split(/[\\/]/).includes('..');

/** A ledger may come from somebody else: a file of it is one of its folder. */
const fileInFolder = () => text().test((file?: string) => file === undefined || isInFolder(file));

const face = {
  file: fileInFolder(),
  rules: array()
    .of(object({ family: text() }))
    .required(),
};
const list = <Fields extends ObjectShape>(fields: Fields) => array().of(object(fields)).default([]);

/** As far as anything is read from it. */
const schema = object({
  ledgerVersion: number().required().oneOf([1, 2]),
  stylesheets: list({ url: text(), families: texts(), file: fileInFolder().optional() }).required(),
  adopted: list({ ...face, from: text(), stylesheet: text(), sha256: text() }).required(),
  joined: list({ ...face, from: texts() }),
  replaced: list({ ...face, by: texts() }),
  assets: list({ file: fileInFolder() }),
});

type Entry = Record<string, unknown>;

/** @returns undefined for what isn't one */
function ledgerIn(bytes: Uint8Array): AdoptedLedger | undefined {
  let found: unknown;
  try {
    found = JSON.parse(decoder.decode(bytes));
  } catch {
    return undefined;
  }
  const ledger = inSecondForm(found);
  if (!schema.isValidSync(ledger, { strict: true })) return undefined;
  const { stylesheets, adopted, joined, replaced, assets } = ledger as unknown as AdoptedLedger;
  const some = <One>(entries: One[] | undefined) => (entries?.length ? entries : undefined);
  const others = { assets: some(assets), joined: some(joined), replaced: some(replaced) };
  return { ledgerVersion: 2, stylesheets, adopted, ...withoutGaps(others) };
}

/** The first version had one rule for each file, beside its other keys. */
function inSecondForm(found: unknown): unknown {
  if (typeof found !== 'object' || found === null) return found;
  const lists = ['adopted', 'joined', 'replaced'].flatMap((name) => {
    const entries = (found as Entry)[name];
    return Array.isArray(entries) ? [[name, entries.map(withRules)]] : [];
  });
  return { ...found, ...Object.fromEntries(lists) };
}

function withRules(entry: unknown): unknown {
  if (typeof entry !== 'object' || entry === null || 'rules' in entry || !('family' in entry)) return entry;
  const { family, weight, style, stretch, unicodeRange, ...rest } = entry as Entry;
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
