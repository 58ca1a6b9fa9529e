// The keys of the config, each with what it is for: types, checks, defaults and the JSON Schema for editors follow from them.

import { array, boolean, mixed, number, object, string, type InferType } from 'yup';
import type { FontDisplay, Range, Slope } from '../core/face/index.js';
import { slug } from '../core/face/slug.js';

/** What an editor is told of a key that no Yup type describes. */
export interface KeyMeta {
  description: string;
  /** One value or a list of them. */
  oneOrMore?: boolean;
  /** Its default follows from other keys. */
  isDerived?: boolean;
  /** In JSON Schema, where Yup can't say it. */
  jsonSchema?: object;
}

/** The weights to ship: these, or the part of a variable face's axis to declare. */
export type WeightChoice = { values: readonly number[] } | { range: Range };

export type PreloadChoice = 'auto' | 'none' | readonly string[];

const slopes: readonly Slope[] = ['normal', 'italic', 'oblique'];
const displays: readonly FontDisplay[] = ['auto', 'block', 'swap', 'fallback', 'optional'];
const rangePattern = /^(\d{1,4})\s*-\s*(\d{1,4})$/;
const facePattern = /^\d{1,4}( (normal|italic|oblique))?$/;

const isWeight = (value: unknown): value is number =>
  typeof value === 'number' && value >= 1 && value <= 1000;

const rangePart = /^\s*u\+[0-9a-f?]{1,6}(-[0-9a-f]{1,6})?\s*$/i;
const isRanges = (value: string | undefined): boolean =>
  value === undefined || value.split(',').every((part) => rangePart.test(part));

const oneOrMore = (_: unknown, original: unknown): unknown =>
  original === undefined || Array.isArray(original) ? original : [original];

const describedBy = (meta: KeyMeta) => meta;

const listOfTexts = (description: string) =>
  array(string().required())
    .transform(oneOrMore)
    .meta(describedBy({ description, oneOrMore: true }));

/** `[400, 700]`, `400` or `"300-800"`, read; anything else stays as it is. */
function weightsFrom(_: unknown, original: unknown): unknown {
  if (isWeight(original)) return { values: [original] };
  if (Array.isArray(original) && original.length > 0 && original.every(isWeight)) return { values: original };
  const [, low, high] = (typeof original === 'string' && rangePattern.exec(original)) || [];
  if (low === undefined || high === undefined) return original;
  return { range: [Math.min(+low, +high), Math.max(+low, +high)] };
}

const isWeightChoice = (value: unknown): value is WeightChoice =>
  typeof value === 'object' && value !== null && ('values' in value || 'range' in value);

const preloadFrom = (_: unknown, original: unknown): unknown =>
  Array.isArray(original) ? original.map(String) : original;

const isPreloadChoice = (value: unknown): value is PreloadChoice =>
  value === 'auto' ||
  value === 'none' ||
  (Array.isArray(value) && value.every((face) => facePattern.test(String(face))));

/** Which characters faces are cut to. */
const charactersSchema = object({
  fromSite: boolean()
    .typeError('write true or false')
    .meta(
      describedBy({
        description: 'Whether what the pages draw is kept; yes, if left out, where the site has pages.',
      }),
    ),
  languages: listOfTexts('Languages whose characters are kept too (BCP 47).'),
  ranges: string()
    .test('ranges', 'write ranges as unicode-range does, as in "U+2190-2199"', isRanges)
    .meta(describedBy({ description: 'Ranges that are kept too, as unicode-range writes them.' })),
  also: string().meta(describedBy({ description: 'Characters that are kept too.' })),
});

/** `90 kB`, `1.5 MB` or a number of bytes, as bytes; anything else stays as it is. */
function bytesFrom(_: unknown, original: unknown): unknown {
  const [, amount, unit = 'b'] = (typeof original === 'string' && sizePattern.exec(original)) || [];
  return amount === undefined ? original : Math.round(Number(amount) * bytesOfUnit[unit.toLowerCase()]);
}

const sizePattern = /^\s*(\d+(?:\.\d+)?)\s*(b|kb|mb)?\s*$/i;
const bytesOfUnit: Readonly<Record<string, number>> = { b: 1, kb: 1000, mb: 1_000_000 };

const size = (description: string) =>
  number()
    .transform(bytesFrom)
    .typeError('write a size, as in "90 kB"')
    .positive('write a size, as in "90 kB"')
    .meta(
      describedBy({ description, jsonSchema: { type: ['string', 'number'], pattern: sizePattern.source } }),
    );

const budgetSchema = object({
  page: size('What a visit to a page may fetch of faces.'),
  face: size('What a face may weigh, without its rest.'),
  preloads: number()
    .typeError('write a count')
    .integer('write a count')
    .min(0, 'write a count')
    .meta(describedBy({ description: 'How many files may be preloaded.' })),
});

const familySchema = object({
  family: string()
    .required('name the family as the stylesheet should call it')
    .meta(describedBy({ description: 'The name for font-family.' })),
  files: listOfTexts('Font files, folders or globs.')
    .min(1, 'name at least one font file, folder or glob')
    .required('name the font files, a folder or a glob'),
  role: string()
    .matches(/^[a-z][a-z0-9-]*$/, 'use small letters, digits and hyphens, as in "body"')
    .defined()
    .when('family', ([family], schema) => schema.default(() => slug(String(family))))
    .meta(
      describedBy({
        description: 'Names the custom property and the class: --type-body, .type-body.',
        isDerived: true,
      }),
    ),
  weights: mixed(isWeightChoice)
    .transform(weightsFrom)
    .typeError('write numbers from 1 to 1000, as in [400, 700], or a range, as in "300-800"')
    .meta(
      describedBy({
        description: 'The weights to ship, or the part of a variable face to declare; all if left out.',
        jsonSchema: {
          anyOf: [
            { type: 'number', minimum: 1, maximum: 1000 },
            { type: 'array', items: { type: 'number', minimum: 1, maximum: 1000 }, minItems: 1 },
            { type: 'string', pattern: rangePattern.source },
          ],
        },
      }),
    ),
  styles: array(
    string()
      .oneOf(slopes, `write ${listed(slopes)}`)
      .required(),
  )
    .transform(oneOrMore)
    .meta(describedBy({ description: 'The styles to ship; all if left out.', oneOrMore: true })),
  fallback: listOfTexts('Families to fall back to, in order.').default(() => ['sans-serif']),
  display: string()
    .oneOf(displays, `write ${listed(displays)}`)
    .default('swap' as const)
    .meta(describedBy({ description: 'font-display of the rules.' })),
  preload: mixed(isPreloadChoice)
    .transform(preloadFrom)
    .typeError('write auto, none, or a list of faces, as in ["400", "700 italic"]')
    .default('auto')
    .meta(
      describedBy({
        description: 'What is preloaded: auto, none, or faces.',
        jsonSchema: {
          anyOf: [
            { enum: ['auto', 'none'] },
            { type: 'array', items: { type: ['string', 'number'], pattern: facePattern.source } },
          ],
        },
      }),
    ),
  characters: charactersSchema
    .default(undefined)
    .meta(describedBy({ description: 'Which characters its faces are cut to; the kit’s, if left out.' })),
  rights: string().meta(
    describedBy({ description: 'Who says that the family may be used; goes into the ledger.' }),
  ),
}).meta(describedBy({ description: 'A family of the kit.' }));

const siteSchema = object({
  root: string()
    .required('name the folder that is served as the site')
    .meta(describedBy({ description: 'The folder that is served as the site.' })),
  pages: listOfTexts('Its pages, as globs below the root; all, if left out.'),
});

const outputSchema = object({
  folder: string()
    .required('name the folder that the kit is written to')
    .meta(describedBy({ description: 'Where the kit goes; the whole folder is the kit’s.' })),
  url: string().meta(
    describedBy({ description: 'What browsers ask for, as in /type/; relative URLs if left out.' }),
  ),
});

export const configSchema = object({
  site: siteSchema.default(undefined).meta(describedBy({ description: 'The site that the kit is for.' })),
  output: outputSchema
    .default(undefined)
    .required('say where the kit goes: output: { folder: … }')
    .meta(describedBy({ description: 'The folder that is published.' })),
  reach: listOfTexts('The browsers to be served: browserslist queries; the project’s own list if left out.'),
  characters: charactersSchema
    .default(undefined)
    .meta(describedBy({ description: 'Which characters faces are cut to.' })),
  rest: string()
    .oneOf(['keep', 'drop'] as const, 'write keep or drop')
    .default('keep' as const)
    .meta(
      describedBy({
        description:
          'What a face has beyond: keep it as a second part that most visits never fetch, or drop it.',
      }),
    ),
  budget: budgetSchema
    .default(undefined)
    .meta(describedBy({ description: 'What the kit may weigh; over it, the build ends with 1.' })),
  families: array(familySchema.required())
    .min(1, 'list at least one family')
    .required('list the families to ship: families: [ … ]')
    .meta(describedBy({ description: 'The families to ship.' })),
});

/** A config, checked, with defaults filled in. */
export type KitConfig = InferType<typeof configSchema>;
export type FamilyConfig = KitConfig['families'][number];

/** Keys of the full design that this version doesn't act on; ignoring them silently would mislead. */
export const laterKeys: Readonly<Record<string, string>> = {
  arrive: 'this version has no arrival groups',
};

function listed(values: readonly string[]): string {
  return `${values.slice(0, -1).join(', ')} or ${values[values.length - 1]}`;
}
