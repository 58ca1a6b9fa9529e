/** Who can mend an error: the maker of an input, the caller, the network, what the output goes to, or we. */
export type ErrorKind = 'input' | 'call' | 'network' | 'output' | 'internal';

/** What each stable error code means for the caller: who has to act, and what to do. */
export const errorCodes = {
  'file-empty': { kind: 'input', advice: 'export or download it again' },
  'not-a-font': { kind: 'input', advice: 'give a TTF, OTF, TTC, WOFF, WOFF2, EOT or ZIP file' },
  'format-unsupported': { kind: 'input', advice: 'get a TTF, OTF, TTC, WOFF or WOFF2 file of it' },
  'file-cut': { kind: 'input', advice: 'the file is cut or damaged: download or export it again' },
  'directory-wrong': { kind: 'input', advice: 'the file is damaged: download or export it again' },
  'table-missing': { kind: 'input', advice: 'the font is incomplete: export it again with this table' },
  'table-damaged': { kind: 'input', advice: 'the file is damaged: download or export it again' },
  'size-false': { kind: 'input', advice: 'the file is damaged: make it again from its source' },
  'compression-damaged': { kind: 'input', advice: 'the file is damaged: download or export it again' },
  'archive-damaged': {
    kind: 'input',
    advice: 'download the archive again, or unpack it and give the folder',
  },
  'archive-unsafe': { kind: 'input', advice: 'do not unpack it: get the fonts from their maker' },
  'file-unreadable': { kind: 'input', advice: 'check the path and its permissions' },
  'site-unreachable': { kind: 'network', advice: 'check the address, and that the site is there' },
  'browser-missing': {
    kind: 'call',
    advice: 'install Chromium, or name it in the variable DENSE_GLYPH_CHROMIUM',
  },
  'call-invalid': { kind: 'call', advice: 'see --help for the options' },
  'conversion-impossible': { kind: 'call', advice: 'choose another format' },
  'subset-impossible': { kind: 'call', advice: 'serve the whole font: convert it to woff2' },
  'characters-missing': { kind: 'call', advice: 'ask for characters that inspect lists' },
  'config-missing': { kind: 'call', advice: 'write one, or name it with --config' },
  'config-invalid': { kind: 'call', advice: 'correct the config' },
  'kit-missing': { kind: 'call', advice: 'call dense-glyph build' },
  'face-conflict': { kind: 'call', advice: 'narrow files, weights or styles so that one file is left' },
  'face-missing': { kind: 'call', advice: 'add the file, or take the style out of the config' },
  'rights-missing': { kind: 'call', advice: 'state in "rights" who allows it, or choose another font' },
  'output-foreign': { kind: 'call', advice: 'choose another folder, or move those files away' },
  'output-busy': { kind: 'output', advice: 'wait for it, or end it, and call again' },
  'output-unwritable': {
    kind: 'output',
    advice: 'check permissions and free space, or choose another place',
  },
  'value-unwritable': { kind: 'internal', advice: 'please report it with the file that caused it' },
} as const satisfies Record<string, { kind: ErrorKind; advice: string }>;

export type ErrorCode = keyof typeof errorCodes;

/** Where something is wrong: a file or what a URL gave, and the table, or the line and the rule, in it. */
export interface Place {
  file?: string;
  url?: string;
  table?: string;
  /** Bytes from the start of the table, or of the file if no table is named. */
  offset?: number;
  /** From 1. */
  line?: number;
  /** Characters from 1. */
  column?: number;
  /** The selector of the rule. */
  selector?: string;
}

/** As it stands before a message: `site.css:16:3`, `a.ttf: glyf`; empty where nothing is named. */
export function placeText({ file, url, table, line, column }: Place): string {
  const source = file ?? url;
  const position = !line ? '' : `:${line}${column === undefined ? '' : `:${column}`}`;
  return [source && source + position, table?.trim()].filter(Boolean).join(': ');
}

/** Text without the users and passwords of addresses in it, which are nobody’s business. */
export const withoutCredentials = (text: string): string =>
  text.includes('@') ? text.replace(/(\/\/)[^\s/?#"'<>\\]+@/g, '$1') : text;

/** An error that a person can act on: what is wrong, where, and what to do. */
export class DenseGlyphError extends Error {
  override readonly name = 'DenseGlyphError';
  readonly reason: string;
  readonly place: Place;
  readonly advice: string;

  /**
   * @param code stable code, listed in docs/errors.md
   * @param reason what is wrong, without the place and without a full stop
   * @param place where
   * @param advice what to do, if the code's usual advice doesn't fit
   * @param cause the error that it comes from
   */
  constructor(
    readonly code: ErrorCode,
    reason: string,
    place: Place = {},
    advice: string = errorCodes[code].advice,
    cause?: unknown,
  ) {
    const options = cause === undefined ? undefined : { cause };
    const said = [placeText(place), reason].filter(Boolean).join(': ') + `; ${advice}`;
    super(withoutCredentials(said), options);
    this.reason = withoutCredentials(reason);
    this.advice = withoutCredentials(advice);
    this.place = placeWithoutCredentials(place);
  }

  get kind(): ErrorKind {
    return errorCodes[this.code].kind;
  }

  /** The same error with more of its place, for callers that know it; it comes from this one. */
  at(place: Place): DenseGlyphError {
    const isKnown = Object.keys(place).every((key) => key in this.place);
    if (isKnown) return this;
    return new DenseGlyphError(this.code, this.reason, { ...place, ...this.place }, this.advice, this);
  }
}

export const placeWithoutCredentials = (place: Place): Place => ({
  ...place,
  ...(place.file === undefined ? {} : { file: withoutCredentials(place.file) }),
  ...(place.url === undefined ? {} : { url: withoutCredentials(place.url) }),
});

/** Runs a computation on a file's bytes, at once or in the background; its errors then name the file. */
export function inFile<Result>(file: string, compute: () => Result): Result {
  const named = (cause: unknown): never => {
    throw cause instanceof DenseGlyphError ? cause.at({ file }) : cause;
  };
  try {
    const result = compute();
    return result instanceof Promise ? (result.catch(named) as Result) : result;
  } catch (cause) {
    return named(cause);
  }
}
