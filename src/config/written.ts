// The config as a person writes it, for configs in TypeScript; what is read from it is in schema.ts

import type { FontDisplay, DrawingDescriptors } from '../core/face/index.js';
import type { ConnectionChoice, FamilyConfig, KitConfig, PageState } from './schema.js';

/** `400`, `'700 italic'`, or `'300..800'` for a part of a variable face. */
export type WrittenFace = number | `${number}${string}`;

type OneOrMore<Item> = Item | readonly Item[];

/** A size in bytes, or with its unit: `'90 kB'`. */
export type WrittenSize = number | `${number} ${'B' | 'kB' | 'MB'}`;

export interface WrittenFile extends DrawingDescriptors {
  file: string;
  /** What it is declared as; 400 if left out. */
  face?: WrittenFace;
  'font-display'?: FontDisplay;
  'unicode-range'?: string;
}

export interface WrittenCharacters {
  /** Whether what the pages draw is kept; yes, if left out, where the site has pages. */
  fromSite?: boolean;
  /** Languages whose characters are kept too (BCP 47). */
  languages?: OneOrMore<string>;
  /** As `unicode-range` writes them. */
  ranges?: string;
  also?: string;
  /** Whether what pages draw takes the rest of an alphabet that it has most of, where scripts may write more. */
  alphabets?: 'auto' | 'none';
  /** Files whose texts pages may draw, as globs: catalogues of messages, or plain text. */
  from?: OneOrMore<string>;
}

/** What happens on a page before its text is read, in this order. */
export interface WrittenState {
  page: string;
  /** The language that the browser asks for (BCP 47). */
  language?: string;
  /** Fields, as selectors, and what is typed into each. */
  fill?: Readonly<Record<string, string>>;
  /** Selectors. */
  click?: OneOrMore<string>;
  hover?: string;
}

export interface WrittenSite {
  /** The folder that is served as the site. */
  root?: string;
  /** Where a running server has its pages, in the place of the folder. */
  url?: string;
  /** Globs below the root, or paths of URLs; all, if left out. */
  pages?: OneOrMore<string>;
  /** Whether an installed Chromium runs their scripts first; of a URL it does, if left out. */
  scripts?: boolean;
  states?: readonly WrittenState[];
  /** What `scan --save` found earlier, a file, read in the place of the pages where it is there. */
  demand?: string;
  /** The Content-Security-Policy that the server sends with its pages. */
  policy?: string;
}

export interface WrittenFamily {
  /** The name for `font-family`. */
  family: string;
  /** Font files, folders or globs; or a file with the face that it is declared as. */
  files: OneOrMore<string | WrittenFile>;
  /** Names the custom property and the class: `--type-body`, `.type-body`. */
  role?: string;
  /** The faces to ship; what pages draw, if left out. */
  faces?: OneOrMore<WrittenFace>;
  /** What follows in `font-family`, in order. */
  stack?: OneOrMore<string>;
  loading?: {
    group?: string;
    /** Whether its italics arrive with its upright faces, or are asked for after them. */
    italic?: 'with' | 'after';
    display?: FontDisplay;
    preload?: 'auto' | 'none' | OneOrMore<WrittenFace>;
  };
  /** The kit’s, if left out. */
  characters?: WrittenCharacters;
  /** Who says that the family may be used; goes into the ledger. */
  rights?: string;
}

export interface WrittenConfig {
  /** The site that the kit is for. */
  site?: WrittenSite;
  /** Where the kit goes, and what browsers ask for; relative URLs if left out. */
  output: {
    folder: string;
    url?: string;
    /** Where what is known of the kit goes and isn’t published; `.dense-glyph` beside the config if left out. */ facts?: string;
    /** Whether kit.css is written without what only people read. */ minify?: boolean;
  };
  /** Browserslist queries; the project’s own list if left out. */
  reach?: OneOrMore<string>;
  characters?: WrittenCharacters;
  /** What a face has beyond: a second part that most visits never fetch, or nothing. */
  rest?: 'keep' | 'drop';
  /** What the kit may weigh; over it, the build ends with 1. */
  budget?: { page?: WrittenSize; face?: WrittenSize; preloads?: number };
  /** The lines that preloads are planned for: by name, or milliseconds there and back and kilobits in a second. */
  loading?: {
    connections?: OneOrMore<ConnectionChoice>;
    /** Whether pages carry what they draw of their main face themselves, where that brings it 0.1 s earlier or more. */
    inline?: 'auto' | 'none';
    loader?: 'auto' | 'none';
    /** Whether local fonts are tuned to be drawn until a face arrives. */
    'stand-ins'?: 'auto' | 'none';
  };
  families: readonly WrittenFamily[];
}

/**
 * A config in TypeScript or JavaScript, with its keys known to the editor.
 *
 * @example export default kitConfig({ output: { folder: 'site/type' }, families: [{ family: 'Harbour', files: 'fonts' }] });
 */
export const kitConfig = (config: WrittenConfig): WrittenConfig => config;

/** Holds where both have the same keys. */
type SameKeys<Written, Read> = [keyof Written, keyof Read] extends [keyof Read, keyof Written] ? true : never;
type Part<Of, Key extends keyof Of> = NonNullable<Of[Key]>;

/** Checked by the compiler: what is written and what is read have the same keys. */
[true, true, true, true, true, true, true, true, true] satisfies [
  SameKeys<WrittenConfig, KitConfig>,
  SameKeys<WrittenFamily, FamilyConfig>,
  SameKeys<WrittenCharacters, Part<KitConfig, 'characters'>>,
  SameKeys<Part<WrittenConfig, 'site'>, Part<KitConfig, 'site'>>,
  SameKeys<WrittenState, PageState>,
  SameKeys<WrittenConfig['output'], KitConfig['output']>,
  SameKeys<Part<WrittenConfig, 'budget'>, Part<KitConfig, 'budget'>>,
  SameKeys<Part<WrittenConfig, 'loading'>, Part<KitConfig, 'loading'>>,
  SameKeys<Part<WrittenFamily, 'loading'>, FamilyConfig['loading']>,
];
