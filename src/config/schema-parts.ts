// What keys of the config are made of

import { array, string } from 'yup';

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

export const oneOrMore = (_: unknown, original: unknown): unknown =>
  original === undefined || Array.isArray(original) ? original : [original];

export const describedBy = (meta: KeyMeta) => meta;

export const text = () => string().typeError('write one text');

export const listOfTexts = (description: string) =>
  array(text().required())
    .transform(oneOrMore)
    .meta(describedBy({ description, oneOrMore: true }));
