// JSON Schema, draft 2020-12

import type {
  SchemaDescription,
  SchemaFieldDescription,
  SchemaInnerTypeDescription,
  SchemaObjectDescription,
} from 'yup';
import { configSchema } from './schema.js';
import type { KeyMeta } from './schema-parts.js';

/** The config's keys for editors: names, types, words. */
export function configJsonSchema(): object {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Config of dense-glyph',
    ...schemaOf(configSchema.describe()),
  };
}

/** Each key of the config as a path, as in `families[].role`. */
export function configKeys(): string[] {
  return keysOf(configSchema.describe(), '');
}

function schemaOf(field: SchemaFieldDescription): object {
  const { description, oneOrMore, jsonSchema } = metaOf(field);
  const about = description === undefined ? {} : { description };
  if (jsonSchema) return { ...about, ...jsonSchema };
  const value = valueSchema(field);
  if (!oneOrMore || !('items' in value)) return { ...about, ...value };
  return { ...about, anyOf: [value.items, value] };
}

function valueSchema(field: SchemaFieldDescription): { items?: object } {
  if (isObject(field)) {
    const fields = Object.entries(field.fields);
    const required = fields.filter(
      ([, inner]) => 'optional' in inner && !inner.optional && !hasDefault(inner),
    );
    return {
      type: 'object',
      properties: Object.fromEntries(fields.map(([key, inner]) => [key, schemaOf(inner)])),
      ...(required.length > 0 ? { required: required.map(([key]) => key) } : {}),
      additionalProperties: false,
    } as object;
  }
  if (isArray(field)) {
    const least = testOf(field, 'min')?.params?.min;
    return {
      type: 'array',
      items: schemaOf(field.innerType as SchemaFieldDescription),
      ...(least === undefined ? {} : { minItems: least }),
    } as object;
  }
  const { oneOf } = field as SchemaDescription;
  const pattern = testOf(field as SchemaDescription, 'matches')?.params?.regex;
  return {
    type: field.type,
    ...(oneOf.length > 0 ? { enum: oneOf } : {}),
    ...(pattern instanceof RegExp ? { pattern: pattern.source } : {}),
  } as object;
}

function keysOf(field: SchemaFieldDescription, path: string): string[] {
  if (isObject(field)) {
    return Object.entries(field.fields).flatMap(([key, inner]) =>
      keysOf(inner, path === '' ? key : `${path}.${key}`),
    );
  }
  const items = isArray(field) ? (field.innerType as SchemaFieldDescription) : undefined;
  return items && isObject(items) ? keysOf(items, `${path}[]`) : [path];
}

const isObject = (field: SchemaFieldDescription): field is SchemaObjectDescription => 'fields' in field;
const isArray = (field: SchemaFieldDescription): field is SchemaInnerTypeDescription =>
  field.type === 'array' && 'innerType' in field;
const hasDefault = (field: SchemaFieldDescription) =>
  ('default' in field && field.default !== undefined) || metaOf(field).isDerived === true;
const metaOf = (field: SchemaFieldDescription) => (('meta' in field && field.meta) || {}) as Partial<KeyMeta>;
const testOf = (field: SchemaDescription, name: string) => field.tests.find((test) => test.name === name);
