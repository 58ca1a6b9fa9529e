import { distance } from 'fastest-levenshtein';
import { array, mixed, object, string, ValidationError, type AnyObjectSchema } from 'yup';
import type { FontDisplay, Range, Slope } from '../core/css/index.js';
import { DenseGlyphError } from '../core/errors.js';

/** One family of the config, with defaults filled in. */
export interface FamilyConfig {
  family: string;
  files: string[];
  /** Names the custom property and the class: `--type-body`, `.type-body`. */
  role: string;
  /** The weights to ship; all of them if both are left out. */
  weights?: number[];
  /** The part of a variable face's weight axis to declare. */
  weightRange?: Range;
  styles?: Slope[];
  /** Families to fall back to, in order. */
  fallback: string[];
  display: FontDisplay;
  /** `auto`, `none`, or faces such as `400` and `700 italic`. */
  preload: 'auto' | 'none' | string[];
  /** Who says that the family may be used; recorded in the ledger. */
  rights?: string;
}

export interface KitConfig {
  site?: { root: string; pages: string[] };
  output: { folder: string; url?: string };
  /** Browserslist queries; the project's own list if left out. */
  reach?: string[];
  families: FamilyConfig[];
}

const slopes = ['normal', 'italic', 'oblique'] as const;
const displays = ['auto', 'block', 'swap', 'fallback', 'optional'] as const;
const rangePattern = /^(\d{1,4})\s*-\s*(\d{1,4})$/;
const facePattern = /^\d{1,4}( (normal|italic|oblique))?$/;

const isWeight = (value: unknown) => typeof value === 'number' && value >= 1 && value <= 1000;

const oneOrMore = (value: unknown) => (value === undefined || Array.isArray(value) ? value : [value]);

const familySchema = object({
  family: string().required('name the family as the stylesheet should call it'),
  files: array(string().required())
    .transform((_, original) => oneOrMore(original) as string[])
    .min(1, 'name at least one font file, folder or glob')
    .required('name the font files, a folder or a glob'),
  role: string().matches(/^[a-z][a-z0-9-]*$/, 'use small letters, digits and hyphens, as in "body"'),
  weights: mixed().test(
    'weights',
    'write numbers from 1 to 1000, as in [400, 700], or a range, as in "300-800"',
    (value) =>
      value === undefined ||
      isWeight(value) ||
      (Array.isArray(value) && value.length > 0 && value.every(isWeight)) ||
      (typeof value === 'string' && rangePattern.test(value)),
  ),
  styles: array(
    string()
      .oneOf(slopes, `write ${listed(slopes)}`)
      .required(),
  ).transform((_, original) => oneOrMore(original) as string[]),
  fallback: array(string().required()).transform((_, original) => oneOrMore(original) as string[]),
  display: string().oneOf(displays, `write ${listed(displays)}`),
  preload: mixed().test(
    'preload',
    'write auto, none, or a list of faces, as in ["400", "700 italic"]',
    (value) =>
      value === undefined ||
      value === 'auto' ||
      value === 'none' ||
      (Array.isArray(value) && value.every((face) => facePattern.test(String(face)))),
  ),
  rights: string(),
});

const siteSchema = object({
  root: string().required('name the folder that is served as the site'),
  pages: array(string().required()).transform((_, original) => oneOrMore(original) as string[]),
});

const outputSchema = object({
  folder: string().required('name the folder that the kit is written to'),
  url: string(),
});

const schema = object({
  site: siteSchema.default(undefined),
  output: outputSchema.default(undefined).required('say where the kit goes: output: { folder: … }'),
  reach: array(string().required()).transform((_, original) => oneOrMore(original) as string[]),
  families: array(familySchema.required())
    .min(1, 'list at least one family')
    .required('list the families to ship: families: [ … ]'),
});

/** Keys of the full design that this version doesn't act on; ignoring them silently would mislead. */
const laterKeys: Record<string, string> = {
  characters: 'this version ships whole fonts, not subsets',
  budget: 'this version sets no budgets',
  arrive: 'this version has no arrival groups',
};

/**
 * The config with defaults filled in.
 *
 * @param input what the config file holds
 * @param file its path, for errors
 * @throws AggregateError of DenseGlyphError `config-invalid`, one for each mistake
 */
export function readConfig(input: unknown, file: string): KitConfig {
  const mistakes: DenseGlyphError[] = [];
  const mistake = (path: string, reason: string, advice: string) =>
    mistakes.push(
      new DenseGlyphError('config-invalid', `${path || 'the config'} ${reason}`, { file }, advice),
    );
  if (typeof input !== 'object' || input === null || Array.isArray(input)) {
    mistake('', 'holds no keys', 'start with output and families');
    throw new AggregateError(mistakes);
  }
  checkKeys(input, schema, '', mistake);
  try {
    schema.validateSync(input, { abortEarly: false, strict: false });
  } catch (cause) {
    if (!(cause instanceof ValidationError)) throw cause;
    for (const error of cause.inner.length > 0 ? cause.inner : [cause]) {
      const found = valueAt(input, error.path ?? '');
      const reason = found === undefined ? 'is missing' : `is ${JSON.stringify(found)}`;
      mistake(error.path ?? '', reason, withoutPath(error));
    }
  }
  if (mistakes.length > 0) throw new AggregateError(mistakes);
  const config = withDefaults(schema.cast(input) as unknown as RawConfig);
  config.families.forEach(({ role }, i) => {
    const first = config.families.findIndex((family) => family.role === role);
    if (first < i)
      mistake(`families[${i}].role`, `is "${role}", as in families[${first}]`, 'give each its own role');
  });
  if (mistakes.length > 0) throw new AggregateError(mistakes);
  return config;
}

/** Messages that Yup words itself start with the path, which stands in ours already. */
function withoutPath({ message, path = '' }: ValidationError): string {
  return message.startsWith(`${path} `) ? message.slice(path.length + 1) : message;
}

type Mistake = (path: string, reason: string, advice: string) => void;

/** Refuses keys that the schema doesn't know, and names the nearest that it does. */
function checkKeys(value: unknown, target: AnyObjectSchema, path: string, mistake: Mistake): void {
  if (typeof value !== 'object' || value === null) return;
  const known = Object.keys(target.fields);
  for (const [key, inner] of Object.entries(value)) {
    const here = path ? `${path}.${key}` : key;
    const field = target.fields[key];
    if (!field) {
      const later = laterKeys[key];
      if (later) mistake(here, 'is not supported yet', `take it out: ${later}`);
      else mistake(here, 'is not a known key', nearestAdvice(key, known));
    } else if ('fields' in field) {
      checkKeys(inner, field as AnyObjectSchema, here, mistake);
    } else if (key === 'families' && Array.isArray(inner)) {
      inner.forEach((item, i) => checkKeys(item, familySchema, `${here}[${i}]`, mistake));
    }
  }
}

function nearestAdvice(key: string, known: readonly string[]): string {
  const nearest = known
    .map((candidate) => ({ candidate, steps: distance(key.toLowerCase(), candidate) }))
    .sort((a, b) => a.steps - b.steps)[0];
  if (nearest && nearest.steps <= Math.max(2, key.length / 3)) return `did you mean ${nearest.candidate}?`;
  return `known keys are ${known.join(', ')}`;
}

function valueAt(input: unknown, path: string): unknown {
  const steps = path.split(/[.[\]]+/).filter(Boolean);
  return steps.reduce<unknown>(
    (value, step) =>
      typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[step] : undefined,
    input,
  );
}

type RawFamily = Omit<Partial<FamilyConfig>, 'weights' | 'weightRange'> &
  Pick<FamilyConfig, 'family' | 'files'> & { weights?: number | number[] | string };
interface RawConfig {
  site?: { root: string; pages?: string[] };
  output: { folder: string; url?: string };
  reach?: string[];
  families: RawFamily[];
}

function withDefaults({ site, output, reach, families }: RawConfig): KitConfig {
  const config: KitConfig = {
    output,
    families: families.map(({ weights, styles, rights, ...family }) => ({
      family: family.family,
      files: family.files,
      role: family.role ?? slug(family.family),
      fallback: family.fallback ?? ['sans-serif'],
      display: family.display ?? 'swap',
      preload: Array.isArray(family.preload) ? family.preload.map(String) : (family.preload ?? 'auto'),
      ...(weights !== undefined ? weightsOf(weights) : {}),
      ...(styles ? { styles } : {}),
      ...(rights !== undefined ? { rights } : {}),
    })),
  };
  if (reach) config.reach = reach;
  if (site) config.site = { root: site.root, pages: site.pages ?? ['**/*.html'] };
  return config;
}

function weightsOf(weights: number | number[] | string): Pick<FamilyConfig, 'weights' | 'weightRange'> {
  if (typeof weights === 'number') return { weights: [weights] };
  if (typeof weights !== 'string') return { weights };
  const [, low, high] = rangePattern.exec(weights)!;
  return { weightRange: [Math.min(+low, +high), Math.max(+low, +high)] };
}

/** A name as it stands in file names and custom properties. */
export function slug(text: string): string {
  const plain = text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase();
  return plain.replace(/[^a-z0-9]+/g, '-').replace(/^-+|-+$/g, '') || 'font';
}

function listed(values: readonly string[]): string {
  return `${values.slice(0, -1).join(', ')} or ${values[values.length - 1]}`;
}
