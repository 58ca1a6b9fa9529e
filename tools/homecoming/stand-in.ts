// Hosts for what the pages of a site ask of others: one of stylesheets (of a folder, of packages, or made up from what an address
// mentions), and one of the files that those made up name.
import { createHash } from 'node:crypto';
import { posix } from 'node:path';
import { openFont, writeFont } from '#src/core/containers/index.js';
import { fontFaceText, type Range } from '#src/core/face/index.js';
import { slug } from '#src/core/face/slug.js';
import { fontOf, type Font } from '#src/core/sfnt/font.js';
import { subsetFont } from '#src/core/subset/index.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { mappedCharacters } from '#src/core/text/mapped-characters.js';
import { parseUnicodeRanges } from '#src/core/text/parse-ranges.js';
import { unicodeRangeText } from '#src/core/text/unicode-ranges.js';
import { fileAt, serveCounting, type CountingServer } from './serve.js';

/** What partial files are cut by. */
const cuts = [
  'U+20-7E, U+A0-FF, U+131, U+152-153, U+2000-206F, U+20AC, U+2122',
  'U+100-24F, U+1E00-1EFF',
  'U+370-3FF',
];

/** Where the bold and italic of a family are, and where it is. */
interface Drawings {
  upright: Uint8Array;
  italic: Uint8Array;
}

/** A package whose stylesheet is served in the place of a host's. */
export interface HostedPackage {
  /** Of addresses. */
  pattern: RegExp;
  folder: string;
  /** The stylesheet in it; else what the end of the address names. */
  file?: string | undefined;
}

export interface StandInRequest {
  /** Whose files are served as they are, below the path of a host: `hosted/faces.example/a.css`. */
  folder?: string | undefined;
  packages?: readonly HostedPackage[] | undefined;
  /** Names that addresses may mention. */
  families: readonly string[];
  /** Variable fonts that draw every such family. */
  drawings: Drawings;
  /** Whether every second family is cut so that nobody can join its files, as where each is made for screens by itself. */
  isCutApart?: boolean | undefined;
  /** What is said of how long answers may be kept. */
  caching?: string | undefined;
}

/** A partial file. */
interface PartialFile {
  bytes: Uint8Array;
  ranges: string;
}

export async function startStandIn({
  folder,
  packages = [],
  families,
  drawings,
  isCutApart = false,
  caching,
}: StandInRequest): Promise<CountingServer> {
  const [joinable, apart] = await Promise.all([
    partialFiles(drawings, false),
    isCutApart ? partialFiles(drawings, true) : undefined,
  ]);
  const made = new Map<string, Uint8Array>();
  const files = await serveCounting((url) => {
    const bytes = made.get(pathOf(url));
    return bytes && { bytes, type: 'font/woff2' };
  }, caching);

  /** A rule for each weight and part of a family. */
  function rulesFor(family: string, style: AskedStyle): string[] {
    const cut = apart && isOdd(family) ? apart : joinable;
    return (style.isItalic ? cut.italic : cut.upright).map(({ bytes, ranges }, part) => {
      const path = `/files/${slug(family)}-${style.isItalic ? 'i' : 'n'}-${part}.woff2`;
      made.set(path, bytes);
      return fontFaceText({
        family,
        weight: style.weight,
        style: style.isItalic ? 'italic' : 'normal',
        stretch: [100, 100],
        display: 'swap',
        sources: [{ url: files.origin + path, format: 'woff2' }],
        unicodeRange: ranges,
      });
    });
  }

  /** Paths below which packages lie. */
  const mounted = new Map<string, string>();
  const styles = await serveCounting((url) => {
    const file = folder === undefined ? undefined : fileAt(folder, url);
    if (file) return file;
    const text = decodeURIComponent(url.replaceAll('+', ' '));
    const found = packages.find(({ pattern }) => pattern.test(text));
    if (found) {
      const sheet = found.file ?? pathOf(text).split('/').slice(-2).join('/');
      mounted.set(
        posix.resolve(posix.dirname(pathOf(url)), posix.relative(posix.dirname(sheet), '.')),
        found.folder,
      );
      return fileAt(found.folder, `/${sheet}`);
    }
    for (const [path, from] of mounted)
      if (pathOf(url).startsWith(`${path}/`)) return fileAt(from, pathOf(url).slice(path.length));
    const rules = familiesAsked(text, families).flatMap(({ family, styles: asked }) =>
      asked.flatMap((style) => rulesFor(family, style)),
    );
    return rules.length === 0 ? undefined : { bytes: Buffer.from(rules.join('\n')), type: 'text/css' };
  }, caching);

  return {
    origin: styles.origin,
    others: [files.origin],
    take: () => [...styles.take(), ...files.take()],
    get held() {
      return styles.held;
    },
    set held(held) {
      styles.held = files.held = held;
    },
    close: async () => {
      await styles.close();
      await files.close();
    },
  };
}

const pathOf = (url: string): string => url.replace(/[?#].*$/s, '');

async function partialFiles(
  { upright, italic }: Drawings,
  isApart: boolean,
): Promise<{ upright: PartialFile[]; italic: PartialFile[] }> {
  const cutsOf = (bytes: Uint8Array) =>
    Promise.all(
      cuts.map(async (ranges, part) => {
        const { font } = openFont(bytes);
        const available = mappedCharacters(font);
        const wanted = parseUnicodeRanges(ranges).codePoints();
        const characters = new CodePointSet(wanted.filter((one) => available.has(one)));
        const cut = subsetFont(font, { characters }).font;
        const written = await writeFont(isApart ? smoothedApart(cut, part) : cut, 'woff2');
        return { bytes: written.bytes, ranges: unicodeRangeText(characters.ranges()) };
      }),
    );
  return { upright: await cutsOf(upright), italic: await cutsOf(italic) };
}

/** OpenType, gasp: smoothed at all sizes, up to one that no other part has. */
function smoothedApart(font: Font, part: number): Font {
  const words = [0, 1, 0, 2, 0x100 + part, 0xf, 0xffff, 0xf];
  const bytes = new Uint8Array(words.flatMap((word) => [word >> 8, word & 0xff]));
  return fontOf(font.flavour, font.tables().set('gasp', bytes));
}

const isOdd = (name: string): boolean => createHash('sha256').update(name).digest()[0] % 2 === 1;

interface AskedStyle {
  weight: Range;
  isItalic: boolean;
}

/** Families that an address mentions, with the styles behind each name: `400,700i`, `0,400;1,400`, `200..900`. */
function familiesAsked(
  address: string,
  families: readonly string[],
): { family: string; styles: AskedStyle[] }[] {
  const text = address.toLowerCase();
  const places = families
    .map((family) => ({ family, at: text.indexOf(family.toLowerCase()) }))
    .filter(({ at }) => at >= 0)
    .sort((a, b) => a.at - b.at || b.family.length - a.family.length)
    .filter(({ at }, i, all) => i === 0 || at >= all[i - 1].at + all[i - 1].family.length);
  return places.map(({ family, at }, i) => {
    const own = text.slice(at + family.length, places[i + 1]?.at);
    const styles = [...own.matchAll(/(?:\b([01]),)?\b([1-9]00)(?:\.\.([1-9]00))?\s*(i(?:talic)?\b)?/g)].map(
      ([, slope, low, high = low, word]): AskedStyle => ({
        weight: [Number(low), Number(high)],
        isItalic: word !== undefined || slope === '1',
      }),
    );
    return { family, styles: styles.length > 0 ? styles : [{ weight: [400, 400], isItalic: false }] };
  });
}
