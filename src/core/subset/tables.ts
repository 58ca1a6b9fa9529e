// What becomes of each table in a subset: one entry a table, and nothing else to touch when one is added. A table that isn't
// listed is dropped, and the report says so.

import { Reader } from '../bytes/reader.js';
import { DenseGlyphError } from '../../errors.js';
import { keptKern, kernsEverywhere } from '../layout/kern.js';
import type { LayoutTable } from '../layout/layout-table.js';
import type { Font } from '../sfnt/font.js';
import { fvar, glyf, head, post } from '../tables/index.js';
import { keptCff } from './cff.js';
import { keptCmap } from './character-map.js';
import { keptBase } from './layout.js';
import { keptMetrics, keptVerticalOrigins } from './metrics.js';
import { keptName, keptOs2 } from './names.js';
import { keptMaxp } from './outlines.js';
import { keptGvar, keptMetricVariations } from './variations.js';
import type { SubsetWork } from './work.js';

type Write = (work: SubsetWork) => Uint8Array | undefined;

export type TableTreatment =
  /** Written anew for the glyphs that stay. */
  | {
      tag: string;
      treatment: 'rewritten';
      why: string;
      write: Write;
      /** What the report says where nothing is written; nothing if left out, as nobody sees the loss. */
      unwritten?: string;
    }
  /** As it is: it holds no glyph numbers. */
  | { tag: string; treatment: 'carried'; why: string }
  /** Left out; the report says why, unless nobody sees the loss in a browser. */
  | { tag: string; treatment: 'dropped'; why: string; silent?: true; name?: string }
  /** The font can't be cut down without a change of what is drawn. */
  | { tag: string; treatment: 'refused'; why: string };

const rewritten = (tag: string, why: string, write: Write, unwritten?: string): TableTreatment => ({
  tag,
  treatment: 'rewritten',
  why,
  write,
  ...(unwritten === undefined ? {} : { unwritten }),
});
const carried = (tag: string, why: string): TableTreatment => ({ tag, treatment: 'carried', why });
const dropped = (tag: string, why: string, name?: string): TableTreatment => ({
  tag,
  treatment: 'dropped',
  why,
  ...(name === undefined ? {} : { name }),
});
const unseen = (tag: string, why: string): TableTreatment => ({
  tag,
  treatment: 'dropped',
  why,
  silent: true,
});
const refused = (tag: string, why: string): TableTreatment => ({ tag, treatment: 'refused', why });

/** Carried where instructions stay; otherwise they go with them. */
const instructions = (tag: string, why: string): TableTreatment =>
  rewritten(tag, why, ({ font, hinted }) => (hinted ? font.bytesOf(tag) : undefined));

export const tableTreatments: readonly TableTreatment[] = [
  rewritten('head', 'loca decides one of its fields', writtenHead),
  rewritten('maxp', 'it counts glyphs', ({ font, map, hinted }) => keptMaxp(font, map, hinted)),
  rewritten('cmap', 'the wanted characters', ({ font, mappings, characters, map }) =>
    keptCmap(font, mappings, characters, map),
  ),
  rewritten('hhea', 'it counts metrics', (work) => work.metrics().get('hhea')),
  rewritten('hmtx', 'one entry a glyph', (work) => work.metrics().get('hmtx')),
  rewritten('vhea', 'it counts metrics', (work) => verticalMetrics(work)?.get('vhea'), unknown()),
  rewritten('vmtx', 'one entry a glyph', (work) => verticalMetrics(work)?.get('vmtx'), unknown()),
  rewritten('VORG', 'it names glyphs', ({ font, map }) => keptVerticalOrigins(font, map)),
  rewritten('OS/2', 'it names the first and the last character', ({ font, mappings }) =>
    keptOs2(font, mappings),
  ),
  rewritten('name', 'the names that browsers and licences need', ({ font, gsub, gpos, isWanted }) =>
    keptName(
      font,
      [gsub, gpos].map((table) => withWanted(table, isWanted)),
    ),
  ),
  rewritten('post', 'no browser needs the names of glyphs', ({ font }) => withoutNames(font)),
  rewritten('glyf', 'the outlines of glyphs that stay', (work) => work.outlines().tables.get('glyf')),
  rewritten('loca', 'one entry a glyph', (work) => work.outlines().tables.get('loca')),
  rewritten('CFF ', 'the outlines of glyphs that stay', ({ font, map, hinted }) =>
    font.has(glyf.tag) ? undefined : keptCff(font, map, hinted),
  ),
  rewritten('GSUB', 'lookups of glyphs that stay', (work) => work.layout().tables.get('GSUB')),
  rewritten('GPOS', 'lookups of glyphs that stay', (work) => work.layout().tables.get('GPOS')),
  rewritten('GDEF', 'classes of glyphs that stay', (work) => work.layout().tables.get('GDEF')),
  rewritten('BASE', 'some coordinates follow a point of a glyph', ({ font }) => keptBase(font)),
  rewritten(
    'kern',
    'pairs of glyphs that stay',
    writtenKern,
    'none of its pairs is left, or GPOS kerns in its place',
  ),
  rewritten('fvar', 'named instances are for the menus of other programs', ({ font }) =>
    fvar.serialise({ ...font.table(fvar), instances: [] }),
  ),
  rewritten('gvar', 'one entry a glyph', ({ font, map }) => keptGvar(font, map)),
  rewritten('HVAR', 'one entry a glyph', ({ font, map }) => keptMetricVariations(font, 'HVAR', map)),
  rewritten('VVAR', 'one entry a glyph', ({ font, map }) => keptMetricVariations(font, 'VVAR', map)),
  carried('avar', 'it bends axes'),
  carried('STAT', 'it names styles'),
  carried('MVAR', 'it varies metrics of the whole font'),
  carried('meta', 'it names languages'),
  instructions('fpgm', 'instructions that glyphs share'),
  instructions('prep', 'instructions that glyphs share'),
  instructions('cvt ', 'values of instructions'),
  instructions('cvar', 'it varies values of instructions'),
  rewritten('gasp', 'smoothing at all sizes, where instructions go', ({ font, hinted }) =>
    hinted ? font.bytesOf('gasp') : smoothAtAllSizes,
  ),
  unseen('DSIG', 'a signature does not survive a change'),
  unseen('FFTM', 'times of an editor'),
  unseen('LTSH', 'widths of hinted glyphs, for old systems'),
  unseen('VDMX', 'heights of hinted glyphs, for old systems'),
  unseen('hdmx', 'widths of hinted glyphs, for old systems'),
  unseen('PCLT', 'for printers'),
  unseen('TTFA', 'parameters of a hinting program'),
  unseen('JSTF', 'no browser reads it'),
  dropped('morx', 'GSUB does its work, where a font has it'),
  dropped('mort', 'GSUB does its work in browsers'),
  dropped('kerx', 'GPOS and kern do its work'),
  dropped('trak', 'Safari alone reads it'),
  dropped('feat', 'it names what morx does'),
  dropped('prop', 'it goes with morx'),
  dropped('Silf', 'only Firefox and WebKitGTK form glyphs with it', 'Silf (Graphite)'),
  dropped('MATH', 'formulas in MathML need the whole font'),
  dropped('EBDT', 'bitmaps for single sizes, which browsers replace by outlines'),
  refused('COLR', 'its glyphs have colours (COLR)'),
  refused('SVG ', 'its glyphs are pictures (SVG)'),
  refused('CBDT', 'its glyphs are pictures (CBDT)'),
  refused('sbix', 'its glyphs are pictures (sbix)'),
  refused('CFF2', 'its outlines are variable CFF outlines (CFF2)'),
];

/** Whole, such fonts weigh megabytes, and what they draw every system has fonts for. */
const colourAdvice =
  'leave it out of the call: visitors have emoji fonts of their own, and a few signs are better served as pictures';

/** @throws DenseGlyphError `subset-impossible` for fonts with a table that is refused, or without outlines */
export function refuseUnknown(font: Font): void {
  for (const { tag, treatment, why } of tableTreatments) {
    if (treatment !== 'refused' || !font.has(tag)) continue;
    const reason = `${why}, which cannot be cut down yet`;
    throw new DenseGlyphError('subset-impossible', reason, {}, tag === 'CFF2' ? undefined : colourAdvice);
  }
  if (!font.has('glyf') && !font.has('CFF ')) {
    throw new DenseGlyphError('subset-impossible', 'it has no outlines to cut down');
  }
  if (font.has('EBDT') && font.has('glyf') && !hasOutlines(font)) {
    throw new DenseGlyphError(
      'subset-impossible',
      'its glyphs are bitmaps (EBDT), which cannot be cut down yet',
    );
  }
}

/** Without these no text can be laid out. */
const needed = ['head', 'hhea', 'hmtx', 'maxp', 'cmap'];

/**
 * The tables of a subset, in the order of the font, and what was left out of it.
 *
 * @throws DenseGlyphError `table-missing`, `table-damaged`
 */
export function writeTables(work: SubsetWork): { tables: Map<string, Uint8Array>; dropped: string[] } {
  const { font } = work;
  const tables = new Map<string, Uint8Array>();
  const words: string[] = [];
  for (const tag of needed) font.bytesOf(tag);
  for (const tag of font.tags) {
    const entry = tableTreatments.find((one) => one.tag === tag) ?? dropped(tag, unknown());
    const bytes = written(entry, work);
    if (bytes) tables.set(tag, bytes);
    else words.push(...lossWords(entry));
  }
  return { tables, dropped: words };
}

function written(entry: TableTreatment, work: SubsetWork): Uint8Array | undefined {
  if (entry.treatment === 'rewritten') return entry.write(work);
  return entry.treatment === 'carried' ? work.font.bytesOf(entry.tag) : undefined;
}

function lossWords(entry: TableTreatment): string[] {
  if (entry.treatment === 'dropped')
    return entry.silent ? [] : [`${entry.name ?? entry.tag.trim()}: ${entry.why}`];
  const unwritten = entry.treatment === 'rewritten' ? entry.unwritten : undefined;
  return unwritten === undefined ? [] : [`${entry.tag.trim()}: ${unwritten}`];
}

function unknown(): string {
  return 'not known to be read by a browser';
}

function writtenHead({ font, outlines }: SubsetWork): Uint8Array {
  if (!font.has(glyf.tag)) return font.bytesOf(head.tag);
  return head.serialise({ ...font.table(head), indexToLocFormat: outlines().indexToLocFormat });
}

const verticalMetrics = ({ font, map }: SubsetWork) =>
  font.has('vhea') && font.has('vmtx') ? keptMetrics(font, 'vhea', 'vmtx', map) : undefined;

function withWanted(
  table: LayoutTable | undefined,
  isWanted: (tag: string) => boolean,
): LayoutTable | undefined {
  return table && { ...table, features: table.features.filter(({ tag }) => isWanted(tag)) };
}

/** Version 3, without names: no browser needs them. */
function withoutNames(font: Font): Uint8Array {
  const table = post.parseWithoutNames(new Reader(font.bytesOf(post.tag), post.tag));
  return post.serialise({ ...table, version: 0x00030000 });
}

/** Browsers read kern only where GPOS doesn't kern for the script at hand. */
function writtenKern({ font, map, gpos, isWanted }: SubsetWork): Uint8Array | undefined {
  if (!isWanted('kern') || (gpos && kernsEverywhere(gpos))) return undefined;
  return keptKern(font, map);
}

/** One range up to the largest size: greys at all sizes, smooth in both directions (gasp, version 1). */
const smoothAtAllSizes = Uint8Array.of(0, 1, 0, 1, 0xff, 0xff, 0, 0x0a);

/** Fonts made of bitmaps have an outline for a missing glyph at most. */
function hasOutlines(font: Font): boolean {
  const { offsets } = font.table(glyf);
  let drawn = 0;
  for (let i = 1; i < offsets.length && drawn < 3; i++) if (offsets[i] > offsets[i - 1]) drawn++;
  return drawn >= 3 || drawn >= offsets.length - 1;
}
