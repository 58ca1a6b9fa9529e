import { distance } from 'fastest-levenshtein';
import { ValidationError, type AnyObjectSchema, type ISchema } from 'yup';
import { DenseGlyphError } from '../errors.js';
import { configSchema, earlierKeys, type KitConfig } from './schema.js';

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
  const excess = excessOf(input);
  if (excess) {
    mistake('', excess, 'write what it repeats once, and only the keys that docs/config.md lists');
    throw new AggregateError(mistakes);
  }
  const known = knownKeys(input, configSchema, '', mistake) as object;
  const config = checkedValues(known, mistake);
  if (mistakes.length > 0 || !config) throw new AggregateError(mistakes);
  config.families.forEach(({ role }, i) => {
    const first = config.families.findIndex((family) => family.role === role);
    if (first < i)
      mistake(`families[${i}].role`, `is "${role}", as in families[${first}]`, 'give each its own role');
  });
  if (mistakes.length > 0) throw new AggregateError(mistakes);
  return config;
}

/** A config of a hundred families has a tenth of it; aliases of YAML can make millions of a few lines. */
const mostValues = 20_000;
/** The keys go four levels deep. */
const deepest = 16;

/** What keeps a config from being read at all, in words: it contains itself, is too deep, or comes to too many values. */
function excessOf(input: object): string | undefined {
  const waiting: { value: unknown; depth: number }[] = [{ value: input, depth: 0 }];
  let count = 0;
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    if (next.depth > deepest) return `is more than ${deepest} levels deep, or contains itself`;
    if (typeof next.value !== 'object' || next.value === null) continue;
    for (const value of Object.values(next.value)) {
      if (++count > mostValues) return `comes to more than ${mostValues} values`;
      waiting.push({ value, depth: next.depth + 1 });
    }
  }
  return undefined;
}

type Mistake = (path: string, reason: string, advice: string) => void;

function checkedValues(input: object, mistake: Mistake): KitConfig | undefined {
  try {
    return configSchema.validateSync(input, { abortEarly: false });
  } catch (cause) {
    if (!(cause instanceof ValidationError)) throw cause;
    for (const error of cause.inner.length > 0 ? cause.inner : [cause]) {
      const found = valueAt(input, error.path ?? '');
      const reason = found === undefined ? 'is missing' : `is ${JSON.stringify(found)}`;
      mistake(error.path ?? '', reason, withoutPath(error));
    }
    return undefined;
  }
}

/** Messages that Yup words itself start with the path, which stands in ours already. */
function withoutPath({ message, path = '' }: ValidationError): string {
  return message.startsWith(`${path} `) ? message.slice(path.length + 1) : message;
}

/**
 * Refuses keys that the schema doesn't know, and names the nearest that it does.
 *
 * @returns the value without them, as the names of some mean something to every object
 */
function knownKeys(value: unknown, target: AnyObjectSchema, path: string, mistake: Mistake): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  const known = Object.keys(target.fields);
  const kept: Record<string, unknown> = {};
  for (const [key, inner] of Object.entries(value)) {
    const here = path ? `${path}.${key}` : key;
    if (!known.includes(key)) {
      const general = here.replace(/\[\d+\]/g, '[]');
      if (Object.hasOwn(earlierKeys, general))
        mistake(here, 'is a key of an earlier version', `write ${earlierKeys[general]}`);
      else mistake(here, 'is not a known key', nearestAdvice(key, known));
      continue;
    }
    const field = target.fields[key] as ISchema<unknown>;
    const items = 'innerType' in field ? (field.innerType as ISchema<unknown> | undefined) : undefined;
    if (isObjectSchema(field)) kept[key] = knownKeys(inner, field, here, mistake);
    else if (isObjectSchema(items) && Array.isArray(inner))
      kept[key] = inner.map((item, i) => knownKeys(item, items, `${here}[${i}]`, mistake));
    else kept[key] = inner;
  }
  return kept;
}

const isObjectSchema = (schema: ISchema<unknown> | undefined): schema is AnyObjectSchema =>
  schema !== undefined && 'fields' in schema;

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
