// kit.json as it is found on a disk: the one reader of it

import { array, mixed, number, object, string } from 'yup';
import { sha256 } from '../digest.js';
import { startsAsKit } from './stylesheet.js';
import { manifestVersion, type Manifest } from './manifest.js';

/** What is in a kit.json. */
export type FoundManifest =
  { manifest: Manifest } | { problem: 'damaged' } | { problem: 'other version'; version: number };

const list = () => array().required();

/** As far as anything is read from it. */
const schema = object({
  manifestVersion: number().required().oneOf([manifestVersion]),
  madeWith: string().required(),
  folder: string().defined(),
  families: array()
    .required()
    .of(
      object({
        family: string().required(),
        faces: array()
          .required()
          .of(object({ parts: list() })),
      }),
    ),
  files: mixed<Manifest['files']>()
    .required()
    .test((files) => typeof files === 'object' && files !== null && !Array.isArray(files)),
  pages: list(),
  preloads: list(),
  leftOut: list(),
  stylesheets: list(),
  otherPages: list(),
  texts: array().required().of(string().required()),
});

/** Of any version. */
const listed = object({
  files: mixed<object>().default({}),
  texts: array().of(string().required()).default([]),
});

export function readManifest(bytes: Uint8Array): FoundManifest {
  let found: unknown;
  try {
    found = JSON.parse(new TextDecoder().decode(bytes));
  } catch {
    return { problem: 'damaged' };
  }
  const version: unknown = (found as Partial<Manifest> | null)?.manifestVersion;
  if (typeof version === 'number' && version !== manifestVersion)
    return { problem: 'other version', version };
  return schema.isValidSync(found, { strict: true })
    ? { manifest: found as unknown as Manifest }
    : { problem: 'damaged' };
}

/** All files of a kit, by their paths in it; also of one of another version. None where nothing is known to be ours. */
export function filesListed(bytes: Uint8Array): string[] {
  try {
    const { files, texts } = listed.validateSync(JSON.parse(new TextDecoder().decode(bytes)));
    return [...Object.keys(files), ...texts];
  } catch {
    return [];
  }
}

/** Whether a file is a kit's by what it says itself, where no kit.json is at hand: a part by the digest in its name. */
export function isOfKit(path: string, bytes: Uint8Array): boolean {
  if (path === 'kit.css') return startsAsKit(new TextDecoder().decode(bytes));
  const digest = /^faces\/[^/]*-([0-9a-f]{8})\.[a-z0-9]+$/.exec(path)?.[1];
  return digest !== undefined && sha256(bytes).startsWith(digest);
}

/** What of a kit is published: what browsers ask for, and what licences ask for. */
export const filesPublished = ({ files, texts }: Pick<Manifest, 'files' | 'texts'>): string[] =>
  [...Object.keys(files), ...texts].filter((name) =>
    /^(?:faces|styles|licences)\/|^(?:kit\.css|kit\.loader\.js)$/.test(name),
  );

/** A URL that names of files are put behind; undefined for relative ones. */
export const kitUrl = (url: string | undefined): string | undefined =>
  url === undefined || url.endsWith('/') ? url : `${url}/`;

/** Rules of the kit for a place elsewhere: its URLs start from its own stylesheet. @param base with a slash at the end */
export const relocated = (css: string, base: string): string =>
  css.replace(/url\("(?=(?:faces|styles)\/)/g, `url("${encodeURI(base)}`);
