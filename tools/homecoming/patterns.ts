// The site that holds every pattern which once changed pages in silence, with the hosts that it asks
import { cpSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { openFont, writeFont, type FontFormat } from '#src/core/containers/index.js';
import { subsetFont } from '#src/core/subset/index.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { mappedCharacters } from '#src/core/text/mapped-characters.js';
import { parseUnicodeRanges } from '#src/core/text/parse-ranges.js';
import { asPictures } from '../../test-support/fonts.js';
import { readSample, root } from '../../test-support/paths.js';

/** How a font file of the site is made from one of the sample's. */
interface MadeFont {
  font: string;
  format?: FontFormat;
  /** Those of its characters that it has. */
  ranges?: string;
  /** Whether its letters become pictures, under codes that Unicode leaves to everybody. */
  pictures?: true;
}

/** Writes it: `site` and `hosted` below a folder. */
export async function writePatterns(folder: string): Promise<void> {
  const own = join(root, 'tools/homecoming');
  for (const part of ['site', 'hosted']) cpSync(join(own, part), join(folder, part), { recursive: true });
  const fonts = JSON.parse(readFileSync(join(own, 'fonts.json'), 'utf8')) as Record<string, MadeFont>;
  for (const [path, made] of Object.entries(fonts)) {
    const to = join(folder, path);
    mkdirSync(dirname(to), { recursive: true });
    writeFileSync(to, await bytesOf(made));
  }
}

async function bytesOf({ font: name, format = 'woff2', ranges, pictures }: MadeFont): Promise<Uint8Array> {
  const { font } = openFont(readSample(name));
  const available = mappedCharacters(font);
  const wanted = ranges === undefined ? available : parseUnicodeRanges(ranges);
  const characters = new CodePointSet(wanted.codePoints().filter((one) => available.has(one)));
  const cut = ranges === undefined ? font : subsetFont(font, { characters }).font;
  return (await writeFont(pictures ? asPictures(cut) : cut, format)).bytes;
}
