/** What a browser draws otherwise than with the whole font. */
import { finding, type Finding } from '../../findings.js';
import type { Gdef } from '../layout/common/gdef.js';
import { overlongKernPairs } from '../layout/kern.js';
import type { LayoutTable } from '../layout/layout-table.js';
import type { Font } from '../sfnt/font.js';

/** What damaged subtables mean for what is drawn. */
export function damages(table: LayoutTable | undefined): Finding[] {
  const [damage] = table?.damages ?? [];
  if (!table || !damage) return [];
  const does = table.tag === 'GPOS' ? 'place' : 'form';
  const message = `Browsers may ${does} glyphs otherwise: ${table.tag} is damaged (at byte ${damage.place.offset}: ${damage.reason}), and of the whole font they leave out the damaged part, as was done here, or all of ${table.tag}`;
  return [finding('layout-damaged', message, damage.place)];
}

/** What damaged classes mean for marks. */
export function damagedClasses({ damage }: Partial<Gdef> = {}): Finding[] {
  if (!damage) return [];
  const message = `Browsers may tell marks otherwise: GDEF is damaged (at byte ${damage.place.offset}: ${damage.reason}), and its classes were left out`;
  return [finding('layout-damaged', message, damage.place)];
}

/** Whether substitutions stand in morx alone. */
export const formsByMorx = (font: Font): boolean => font.has('morx') && !font.has('GSUB');

/** @param tables of the subset */
export function changesOf(font: Font, tables: ReadonlyMap<string, Uint8Array>): Finding[] {
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
  return changes.map((message) => finding('shaped-otherwise', message));
}
