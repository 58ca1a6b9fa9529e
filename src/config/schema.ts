// The keys of the config, each with what it is for: types, checks, defaults and the JSON Schema for editors follow from them.

import { array, boolean, mixed, number, object, ValidationError, type InferType } from 'yup';
import { slug } from '../core/face/slug.js';
import { connections, type ConnectionName } from './connections.js';
import {
  displays,
  faceAdvice,
  faceSource,
  fileAdvice,
  isRanges,
  readFace,
  readFile,
  type FaceChoice,
  type FileEntry,
  type PreloadChoice,
} from './face-choice.js';
import { describedBy, listOfTexts, text } from './schema-parts.js';
import { siteSchema } from './site-schema.js';

const isList = <Item>(value: unknown, isItem: (item: unknown) => item is Item): value is Item[] =>
  Array.isArray(value) && value.every(isItem);
const isFace = (value: unknown): value is FaceChoice =>
  typeof value === 'object' && value !== null && 'weight' in value;
/** An entry of `files` that is none, kept until it is told where it stands. */
interface NoFile {
  mistake: string;
}
const isNoFile = (value: unknown): value is NoFile =>
  typeof value === 'object' && value !== null && 'mistake' in value;
const isFile = (value: unknown): value is FileEntry =>
  typeof value === 'string' || isFace(value) || isNoFile(value);
const areFaces = (value: unknown): value is FaceChoice[] => isList(value, isFace);
const areFiles = (value: unknown): value is FileEntry[] => isList(value, isFile);
const isPreload = (value: unknown): value is PreloadChoice =>
  value === 'auto' || value === 'none' || areFaces(value);

/** Faces, read; where one of them is none, all stay as they are. */
function facesFrom(_: unknown, original: unknown): unknown {
  if (original === undefined || original === 'auto' || original === 'none') return original;
  const list = (Array.isArray(original) ? original : [original]) as unknown[];
  const read = list.map((one) => (isFace(one) ? one : readFace(one)));
  return list.length > 0 && read.every((one) => one !== undefined) ? read : original;
}

function filesFrom(_: unknown, original: unknown): unknown {
  if (original === undefined) return original;
  const list = (Array.isArray(original) ? original : [original]) as unknown[];
  return list.map((one) => (isFace(one) ? one : readFile(one)));
}

/** Says which of the entries is none, and why. */
function fileMistake(value: readonly unknown[], path: string): true | ValidationError {
  const at = value.findIndex(isNoFile);
  if (at < 0) return true;
  const { mistake } = value[at] as NoFile;
  return new ValidationError(`${fileAdvice} (it ${mistake})`, value[at], `${path}[${at}]`);
}

const faceItem = { type: ['string', 'number'], pattern: faceSource };

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
  ranges: text()
    .test('ranges', 'write ranges as unicode-range does, as in "U+2190-2199"', isRanges)
    .meta(describedBy({ description: 'Ranges that are kept too, as unicode-range writes them.' })),
  also: text().meta(describedBy({ description: 'Characters that are kept too.' })),
  alphabets: mixed<'auto' | 'none'>()
    .oneOf(['auto', 'none'] as const, 'write auto or none')
    .meta(
      describedBy({
        description:
          'Whether what pages draw takes the rest of an alphabet that it has most of, where scripts may write more: auto, if left out, or none.',
      }),
    ),
  from: listOfTexts(
    'Files whose texts pages may draw, as globs: catalogues of messages (of JSON and YAML the values), or plain text.',
  ),
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

const loadingSchema = object({
  display: text()
    .oneOf(displays, `write ${listed(displays)}`)
    .default('swap' as const)
    .meta(describedBy({ description: 'font-display of the rules.' })),
  preload: mixed(isPreload)
    .transform(facesFrom)
    .typeError('write auto, none, or a list of faces, as in [400, 700 italic]')
    .default('auto')
    .meta(
      describedBy({
        description: 'What is preloaded: auto, none, or faces.',
        jsonSchema: { anyOf: [{ enum: ['auto', 'none'] }, { type: 'array', items: faceItem }] },
      }),
    ),
  group: text()
    .matches(/^[a-z][a-z0-9-]*$/, 'use small letters, digits and hyphens, as in "headline"')
    .meta(
      describedBy({ description: 'Its faces and those of other families with this word arrive together.' }),
    ),
  italic: text()
    .oneOf(['with', 'after'] as const, 'write with or after')
    .default('with' as const)
    .meta(
      describedBy({
        description:
          'Whether the italics of a group arrive with its upright faces, or are asked for after them.',
      }),
    ),
});

const isConnection = (value: unknown): value is ConnectionChoice =>
  typeof value === 'string'
    ? value in connections
    : typeof value === 'object' &&
      value !== null &&
      ['rtt', 'down'].every((key) => Number((value as Record<string, unknown>)[key]) > 0) &&
      Object.keys(value).length === 2;

/** A line by its name, or by milliseconds there and back and kilobits in a second. */
export type ConnectionChoice = ConnectionName | { rtt: number; down: number };

const connectionAdvice = `write ${listed([...Object.keys(connections), '{ rtt: 300, down: 400 }'])}`;

const planSchema = object({
  connections: array(
    mixed((value): value is ConnectionChoice => isConnection(value))
      .typeError(connectionAdvice)
      .required(connectionAdvice),
  )
    .transform((value: unknown, original: unknown) =>
      original === undefined || Array.isArray(original) ? value : [original],
    )
    .min(1, connectionAdvice)
    .default((): ConnectionChoice[] => ['slow phone', 'cable'])
    .meta(
      describedBy({
        description:
          'The lines that the plan is made for: by name, or milliseconds there and back and kbit/s.',
        jsonSchema: {
          type: 'array',
          items: {
            anyOf: [
              { enum: Object.keys(connections) },
              {
                type: 'object',
                properties: { rtt: { type: 'number' }, down: { type: 'number' } },
                required: ['rtt', 'down'],
                additionalProperties: false,
              },
            ],
          },
        },
      }),
    ),
  inline: text()
    .oneOf(['auto', 'none'] as const, 'write auto or none')
    .default('none' as const)
    .meta(
      describedBy({
        description:
          'Whether pages carry what they draw of their main face themselves, where that brings it 0.1 s earlier or more.',
      }),
    ),
  loader: text()
    .oneOf(['auto', 'none'] as const, 'write auto or none')
    .default('auto' as const)
    .meta(
      describedBy({
        description:
          'Whether faces of a group are switched on together by a script; none: each comes by itself.',
      }),
    ),
  'stand-ins': text()
    .oneOf(['auto', 'none'] as const, 'write auto or none')
    .default('auto' as const)
    .meta(
      describedBy({
        description:
          'Whether local fonts are tuned to be drawn until a face arrives; none: what a stack says.',
      }),
    ),
});

const fileItem = {
  anyOf: [
    { type: 'string' },
    {
      type: 'object',
      properties: { file: { type: 'string' }, face: faceItem },
      required: ['file'],
      additionalProperties: { type: ['string', 'number'] },
    },
  ],
};

const familySchema = object({
  family: text()
    .required('name the family as the stylesheet should call it')
    .meta(describedBy({ description: 'The name for font-family.' })),
  files: mixed(areFiles)
    .transform(filesFrom)
    .typeError(fileAdvice)
    .test('files', fileAdvice, (value, { path }) => value === undefined || fileMistake(value, path))
    .test(
      'some',
      'name at least one font file, folder or glob',
      (value) => value === undefined || value.length > 0,
    )
    .required('name the font files, a folder or a glob')
    .meta(
      describedBy({
        description: 'Font files, folders or globs; or a file with the face that it is declared as.',
        jsonSchema: { anyOf: [fileItem, { type: 'array', items: fileItem, minItems: 1 }] },
      }),
    ),
  role: text()
    .matches(/^[a-z][a-z0-9-]*$/, 'use small letters, digits and hyphens, as in "body"')
    .defined()
    .when('family', ([family], schema) => schema.default(() => slug(String(family))))
    .meta(
      describedBy({
        description: 'Names the custom property and the class: --type-body, .type-body.',
        isDerived: true,
      }),
    ),
  faces: mixed(areFaces)
    .transform(facesFrom)
    .typeError(faceAdvice)
    .meta(
      describedBy({
        description:
          'The faces to ship: weight and slope, or a part of a variable one; what pages draw, if left out.',
        jsonSchema: { anyOf: [faceItem, { type: 'array', items: faceItem, minItems: 1 }] },
      }),
    ),
  stack: listOfTexts('What follows in font-family, in order.').default(() => ['sans-serif']),
  loading: loadingSchema
    .default(() => ({
      display: 'swap' as const,
      preload: 'auto' as const,
      group: undefined,
      italic: 'with' as const,
    }))
    .meta(describedBy({ description: 'How its faces are loaded.' })),
  characters: charactersSchema
    .default(undefined)
    .meta(describedBy({ description: 'Which characters its faces are cut to; the kit’s, if left out.' })),
  rights: text().meta(
    describedBy({ description: 'Who says that the family may be used; goes into the ledger.' }),
  ),
}).meta(describedBy({ description: 'A family of the kit.' }));

const urlAdvice =
  'write what every page asks for: /type/ or https://cdn.example/type/; or leave it out for relative URLs';

/** From the root of the site, or of a host: what starts otherwise means another address on each page. */
const isBaseUrl = (url: string): boolean =>
  /^\/(?!\/)[^?#]*$/.test(url) ||
  (/^(?:https?:)?\/\/[^/?#]+[^?#]*$/i.test(url) && URL.canParse(url, 'https://site.invalid/'));

const outputSchema = object({
  folder: text()
    .required('name the folder that the kit is written to')
    .matches(/^[^?#]*$/, 'choose a name without ? and #, which URLs give a meaning of their own')
    .meta(describedBy({ description: 'Where the kit goes; the whole folder is the kit’s.' })),
  url: text()
    .test('url', urlAdvice, (value) => value === undefined || isBaseUrl(value))
    .meta(describedBy({ description: 'What browsers ask for, as in /type/; relative URLs if left out.' })),
  facts: text()
    .default('.dense-glyph')
    .meta(
      describedBy({
        description:
          'Where what is known of the kit goes and isn’t published: kit.json, the proof page, what wire changed.',
      }),
    ),
  minify: boolean()
    .typeError('write true or false')
    .meta(
      describedBy({
        description: 'Whether kit.css is written without what only people read; no, if left out.',
      }),
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
  rest: text()
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
  loading: planSchema
    .default(() => ({
      connections: ['slow phone', 'cable'] as ConnectionChoice[],
      inline: 'none' as const,
      loader: 'auto' as const,
      'stand-ins': 'auto' as const,
    }))
    .meta(describedBy({ description: 'What preloads are planned for.' })),
  families: array(familySchema.required())
    .required('list the families to ship: families: [ … ]')
    .meta(describedBy({ description: 'The families to ship.' })),
});

/** A config, checked, with defaults filled in. */
export type KitConfig = InferType<typeof configSchema>;
export type FamilyConfig = KitConfig['families'][number];
export type SiteConfig = NonNullable<KitConfig['site']>;
/** What happens on a page before its text is read. */
export type PageState = NonNullable<SiteConfig['states']>[number];

/** Keys of earlier versions, and what they are called now. */
export const earlierKeys: Readonly<Record<string, string>> = {
  'families[].weights': 'faces, as in [400, 700 italic] or "300..800"',
  'families[].styles': 'faces, as in [400, 400 italic]',
  'families[].fallback': 'stack',
  'families[].display': 'loading: { display: … }',
  'families[].preload': 'loading: { preload: … }',
};

function listed(values: readonly string[]): string {
  return `${values.slice(0, -1).join(', ')} or ${values[values.length - 1]}`;
}
