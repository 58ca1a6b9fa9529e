// A host for what the pages of a site ask of others: stylesheets of a folder, or made up from what an address mentions.
import { openFont, writeFont } from '#src/core/containers/index.js';
import { fontFaceText } from '#src/core/face/index.js';
import { slug } from '#src/core/face/slug.js';
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

/**
 * @param folder whose files are served as they are, below the path of a host: `hosted/faces.example/a.css`
 * @param families names that addresses may mention
 * @param drawings variable fonts that draw every such family
 */
export async function startStandIn(
  folder: string | undefined,
  families: readonly string[],
  drawings: Drawings,
): Promise<CountingServer> {
  const made = new Map<string, Uint8Array>();
  const partsOf = (italic: boolean) =>
    cuts.map(async (ranges) => {
      const { font } = openFont(italic ? drawings.italic : drawings.upright);
      const available = mappedCharacters(font);
      const wanted = parseUnicodeRanges(ranges).codePoints();
      const characters = new CodePointSet(wanted.filter((one) => available.has(one)));
      const { bytes } = await writeFont(subsetFont(font, { characters }).font, 'woff2');
      return { bytes, ranges: unicodeRangeText(characters.ranges()) };
    });
  const upright = await Promise.all(partsOf(false));
  const italic = await Promise.all(partsOf(true));

  /** A rule for each weight and part that an address mentions. */
  function rulesFor(address: string): string | undefined {
    const text = decodeURIComponent(address.replaceAll('+', ' ')).toLowerCase();
    const places = families
      .map((family) => ({ family, at: text.indexOf(family.toLowerCase()) }))
      .filter(({ at }) => at >= 0)
      .sort((a, b) => a.at - b.at);
    if (places.length === 0) return undefined;
    return places
      .flatMap(({ family, at }, i) => {
        const own = text.slice(at, places[i + 1]?.at);
        const styles = [...own.matchAll(/\b([1-9]00)\s*(i(?:talic)?)?\b/g)];
        const wanted =
          styles.length > 0
            ? styles.map(([, weight, slope]) => ({ weight: Number(weight), slope }))
            : [{ weight: 400, slope: undefined }];
        return wanted.flatMap(({ weight, slope }) =>
          (slope ? italic : upright).map(({ bytes, ranges }, part) => {
            const path = `/files/${slug(family)}-${slope ? 'i' : 'n'}-${part}.woff2`;
            made.set(path, bytes);
            const style = slope ? ('italic' as const) : ('normal' as const);
            const sources = [{ url: path, format: 'woff2' }];
            return fontFaceText({
              family,
              weight: [weight, weight],
              style,
              stretch: [100, 100],
              display: 'swap',
              sources,
              unicodeRange: ranges,
            });
          }),
        );
      })
      .join('\n');
  }

  return serveCounting((url) => {
    const known = made.get(url.replace(/[?#].*$/s, ''));
    if (known) return { bytes: known, type: 'font/woff2' };
    const file = folder === undefined ? undefined : fileAt(folder, url);
    if (file) return file;
    const css = rulesFor(url);
    return css === undefined ? undefined : { bytes: Buffer.from(css), type: 'text/css' };
  });
}
