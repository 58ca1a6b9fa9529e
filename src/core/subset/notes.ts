/** What a subset says of itself: what was left out, and what a browser draws otherwise. */
import type { Gdef } from '../layout/gdef.js';
import { overlongKernPairs } from '../layout/kern.js';
import type { LayoutTable } from '../layout/layout-table.js';
import type { Font } from '../sfnt/font.js';

/** What damaged subtables mean for what is drawn. */
export function damageWords(table: LayoutTable | undefined): string[] {
  const [damage] = table?.damages ?? [];
  if (!table || !damage) return [];
  const does = table.tag === 'GPOS' ? 'place' : 'form';
  return [
    `Browsers may ${does} glyphs otherwise: ${table.tag} is damaged (at byte ${damage.place.offset}: ${damage.reason}), and of the whole font they leave out the damaged part, as was done here, or all of ${table.tag}`,
  ];
}

/** What damaged classes mean for marks. */
export const damagedClassWords = ({ damage }: Partial<Gdef> = {}): string[] =>
  damage
    ? [
        `Browsers may tell marks otherwise: GDEF is damaged (at byte ${damage.place.offset}: ${damage.reason}), and its classes were left out`,
      ]
    : [];

/** Whether substitutions stand in morx alone. */
export const formsByMorx = (font: Font): boolean => font.has('morx') && !font.has('GSUB');

/** @param tables of the subset */
export function changesOf(font: Font, tables: ReadonlyMap<string, Uint8Array>): string[] {
  const changes: string[] = [];
  if (tables.has('kern') && overlongKernPairs(font) !== undefined) {
    changes.push(
      'Chromium and Firefox kern now: of the whole font they leave the kern table out, as it is too long',
    );
  }
  const apple = 'Safari and WebKitGTK';
  if (formsByMorx(font)) {
    changes.push(`${apple} make no ligatures and other forms of letters any more: they stand in morx alone`);
  } else if (font.has('morx')) {
    changes.push(`${apple} form its glyphs by GSUB now, as others do: of the whole font they use morx`);
  }
  if (font.has('kerx') && !(font.has('GSUB') && font.has('GPOS'))) {
    changes.push(`${apple} kern as others do now: of the whole font they use kerx`);
  }
  if (font.has('trak'))
    changes.push('Safari sets it less tight or loose now: of the whole font it uses trak');
  if (font.has('Silf')) {
    changes.push(
      'Firefox and WebKitGTK form its glyphs by GSUB now, as others do: of the whole font they use Silf (Graphite)',
    );
  }
  return changes;
}

const reasons: Readonly<Record<string, string>> = {
  kern: 'kern: none of its pairs is left, or GPOS kerns in its place',
  gasp: 'gasp: smoothing is on at all sizes without instructions',
  morx: 'morx: GSUB does its work, where a font has it',
  mort: 'mort: GSUB does its work in browsers',
  kerx: 'kerx: GPOS and kern do its work',
  trak: 'trak: Safari alone reads it',
  feat: 'feat: it names what morx does',
  prop: 'prop: it goes with morx',
  Silf: 'Silf (Graphite): only Firefox and WebKitGTK form glyphs with it',
  MATH: 'MATH: formulas in MathML need the whole font',
  EBDT: 'EBDT: bitmaps for single sizes, which browsers replace by outlines',
};

/** Why a table was left out, with its name. */
export const leftOut = (tag: string): string =>
  reasons[tag] ?? `${tag.trim()}: not known to be read by a browser`;
