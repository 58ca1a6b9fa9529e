import { fontFamilyList, rangeText } from '../../core/face/index.js';
import type { MadeKit } from '../kit.js';
import { fetchedPart } from '../planning/made.js';
import { headMarkup, loaderOf, preloadsOf } from './head.js';
import { stackOf, stylesheetFile } from './stylesheet.js';

const types = `/** A face that the kit ships. */
export interface Face {
  family: string;
  role: string;
  /** As in font-weight: one number, or two for a range. */
  weight: string;
  style: 'normal' | 'italic' | 'oblique';
  /** Path inside the kit. */
  file: string;
  bytes: number;
  preload: boolean;
}

export declare const faces: readonly Face[];
/** For each role the value of font-family. */
export declare const stacks: Readonly<Record<string, string>>;
/** The files to preload, as paths inside the kit. */
export declare const preloads: readonly string[];
/** The text of kit.css. */
export declare const css: string;
/** A Link header and early hints: a value for each preload. @param base as of head */
export declare function links(base?: string): string[];
/** The elements for <head>. @param base the URL of the kit with a slash at the end, as this page has to write it */
export declare function head(base?: string): string;
`;

/** kit.mjs and kit.d.mts: the facts of the kit for code that renders pages on a server. */
export function moduleFiles(kit: MadeKit): [path: string, content: string][] {
  const { url, fromRoot } = kit.address;
  const faces = kit.families.flatMap(({ role, faces: list }) =>
    list.map((face) => {
      const { family, weight, style, preload } = face;
      const part = fetchedPart(face);
      return {
        family,
        role,
        weight: rangeText(weight),
        style,
        file: part.file,
        bytes: part.bytes.length,
        preload,
      };
    }),
  );
  const stacks = Object.fromEntries(
    kit.families.map((family) => [family.role, fontFamilyList(stackOf(family))]),
  );
  const json = (value: unknown) => JSON.stringify(value, null, 2);
  const placeholder = '\0base\0';
  const markup = headMarkup({ preloads: preloadsOf(kit), loader: loaderOf(kit) }, placeholder).split(
    encodeURI(placeholder),
  );
  const module = [
    '// Made by dense-glyph build.',
    `export const faces = ${json(faces)};`,
    `export const stacks = ${json(stacks)};`,
    'export const preloads = faces.filter((face) => face.preload).map((face) => face.file);',
    `export const css = ${json(stylesheetFile(kit))};`,
    `export function head(base = ${JSON.stringify(url ?? fromRoot)}) {`,
    `  return ${json(markup)}.join(base);`,
    '}',
    `export function links(base = ${JSON.stringify(url ?? fromRoot)}) {`,
    '  return preloads.map((file) => `<${encodeURI(base + file)}>; rel=preload; as=font; type="font/woff2"; crossorigin`);',
    '}',
    '',
  ].join('\n');
  return [
    ['kit.mjs', module],
    ['kit.d.mts', types],
  ];
}
