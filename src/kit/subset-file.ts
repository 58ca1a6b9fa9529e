import { openFonts, writeFont, type FontFormat } from '../core/containers/index.js';
import { inFile } from '../errors.js';
import { finding, type Finding } from '../findings.js';
import { faceStyleOf, type FaceStyle } from '../core/face/index.js';
import type { Font } from '../core/sfnt/font.js';
import { forbidsSubsetting, licenceOf } from '../core/face/licence.js';
import { recogniseLicence } from '../core/sfnt/open-licences.js';
import { layoutListsOf } from '../core/layout/common/feature-list.js';
import { subsetFont, type Subset, type SubsetOptions } from '../core/subset/index.js';
import { smallestSubset } from '../core/subset/smallest.js';
import { featureWords, knownFeatures } from '../data/feature-names.js';
import type { CodePointSet } from '../core/text/code-point-set.js';

/** One face to cut down. It is opened when its turn comes, as an opened WOFF2 takes several times its size. */
export interface SubsetTask {
  /** As the user would write it. */
  path: string;
  bytes: Uint8Array;
  /** Which face of a collection, from 0. */
  face: number;
  formats: readonly FontFormat[];
  characters: CodePointSet;
  /** Kept where the face has them. */
  optional: SubsetOptions['optional'];
  /** See `SubsetOptions`. */
  marks?: CodePointSet | undefined;
  features: SubsetOptions['features'];
  /** Of these features the ones that the call itself names. */
  named: readonly string[];
  hinting: 'keep' | 'drop';
  /** Whether it is the only one; see `WriteOptions`. */
  alone: boolean;
  /** Whether to search longer for the smallest WOFF2. */
  smallest: boolean;
}

export interface SubsetFile extends Omit<Subset, 'font'> {
  /** What CSS sees of it. */
  face: Pick<FaceStyle, 'family' | 'weight' | 'style' | 'stretch'>;
  outputs: { format: FontFormat; bytes: Uint8Array; dropped: string[] }[];
  /** Features that the call names and the font hasn't. */
  absent: Finding[];
  /** What the font's licence says against cutting it down, or against its use. */
  legal: Finding[];
}

/** @throws DenseGlyphError with the file named */
export async function makeSubset(task: SubsetTask): Promise<SubsetFile> {
  return inFile(task.path, async () => {
    const { font } = openFonts(task.bytes)[task.face];
    const makeOne = task.smallest ? smallestSubset : subsetFont;
    const { font: small, ...about } = await makeOne(font, {
      characters: task.characters,
      ...(task.optional ? { optional: task.optional } : {}),
      ...(task.marks ? { marks: task.marks } : {}),
      hinting: task.hinting,
      ...(task.features ? { features: task.features } : {}),
    });
    // While another thread compresses.
    const [outputs, legal] = await Promise.all([
      writeFormats(small, task),
      Promise.resolve().then(() => legalFindings(font, task.path)),
    ]);
    const { family, weight, style, stretch } = faceStyleOf(font).face;
    return {
      ...about,
      face: { family, weight, style, stretch },
      absent: await absentFeatures(font, task),
      outputs,
      legal,
    };
  });
}

async function writeFormats(font: Font, { formats, alone }: SubsetTask): Promise<SubsetFile['outputs']> {
  const outputs: SubsetFile['outputs'] = [];
  for (const format of formats) outputs.push({ format, ...(await writeFont(font, format, { alone })) });
  return outputs;
}

/** Misspelt ones are told with the nearest that the font has, or that fonts have at all. */
async function absentFeatures(font: Font, { named, path }: SubsetTask): Promise<Finding[]> {
  const there = named.length === 0 ? [] : layoutListsOf(font).features.map(({ tag }) => tag);
  const absent = named.filter((tag) => !there.includes(tag));
  if (absent.length === 0) return [];
  const { distance } = await import('fastest-levenshtein');
  const nearestOf = (tag: string, tags: readonly string[]) =>
    tags
      .map((other) => ({ other, steps: distance(tag.toLowerCase(), other) }))
      .filter(({ steps }) => steps <= 2)
      .sort((one, other) => one.steps - other.steps)[0]?.other;
  return absent.map((tag) => {
    const words = featureWords(tag);
    const nearest =
      words === undefined ? (nearestOf(tag, there) ?? nearestOf(tag, knownFeatures)) : undefined;
    const hint =
      nearest === undefined ? '' : `; did you mean ${nearest} (${featureWords(nearest) ?? 'its own'})?`;
    const message = `the font has no ${words === undefined ? tag : `${words} (${tag})`}${hint}`;
    return finding('feature-missing', message, { file: path, table: 'GSUB' });
  });
}

function legalFindings(font: Font, file: string): Finding[] {
  const { restricted, embedding, ...stated } = licenceOf(font);
  const found: Finding[] = [];
  if (restricted) found.push(finding('embedding-restricted', `the file allows ${embedding}`, { file }));
  if (forbidsSubsetting(font)) {
    const message = 'its licence bits forbid cutting it down (fsType, bit 8)';
    found.push(finding('subsetting-forbidden', message, { file }));
  }
  const texts = [stated.licence, stated.licenceUrl, stated.copyright].filter((text) => text !== undefined);
  const names = recogniseLicence(texts)?.reservedFontNames;
  if (names) {
    const message = `a font that was cut down may bear the reserved name ${names.join(', ')} only if its owner agrees (OFL, 3)`;
    found.push(finding('name-reserved', message, { file }));
  }
  return found;
}
