// Local fonts that may stand in for a face: those that were measured, of its kind, weight and slope

import type { Range, Slope } from '../../core/face/index.js';
import { boldFrom } from '../../core/face/matching.js';
import type { Font } from '../../core/sfnt/font.js';
import { companionsOn, type Companion } from './script-fonts.js';
import {
  localFonts,
  localSetter,
  offInStandIns,
  setterOf,
  type LocalFontData,
  type TextSetter,
} from './text-setter.js';

export type LocalSystem = LocalFontData['systems'][number];

export const systems: readonly LocalSystem[] = ['Windows', 'Apple', 'Android', 'Linux'];

/** Another local font, as the user has it. */
export interface MeasuredFont {
  name: string;
  names: readonly string[];
  weight: number;
  italic: boolean;
  font: Font;
}

/** A local font that may be chosen. */
export interface Candidate {
  name: string;
  names: readonly string[];
  systems: readonly LocalSystem[];
  measured: string;
  companions: readonly Companion[];
  setter: TextSetter;
  /** The same on one system, where not all companions may be. */
  setterOn(system: LocalSystem): TextSetter;
}

const kinds: Readonly<Record<string, LocalFontData['kind'] | undefined>> = {
  serif: 'serif',
  'ui-serif': 'serif',
  monospace: 'monospace',
  'ui-monospace': 'monospace',
  'sans-serif': 'sans-serif',
  'system-ui': 'sans-serif',
  'ui-sans-serif': 'sans-serif',
  'ui-rounded': 'sans-serif',
};

const turnedOff = new Map(offInStandIns.map((tag) => [tag, 0]));

/** @param weight whose stand-in it is to be */
export function candidatesFor(
  { stack, style }: { stack: readonly string[]; style: Slope },
  [, high]: Range,
  measured: readonly MeasuredFont[],
): Candidate[] {
  const kind = stack.map((name) => kinds[name.toLowerCase()]).find((one) => one !== undefined);
  const isBold = high >= boldFrom;
  const isItalic = style !== 'normal';
  const known = localFonts
    .filter((one) => (kind === undefined ? one.kind !== 'monospace' : one.kind === kind))
    .flatMap(({ name, systems: its, measured: from, faces }) => {
      const face = faces.find(({ weight, italic }) => weight >= boldFrom === isBold && italic === isItalic);
      if (!face) return [];
      const others = companionsOn(its, kind ?? 'sans-serif', isBold);
      const setterWith = (some: typeof others) =>
        localSetter(
          face,
          some.map(({ widths }) => widths()),
        );
      return [
        {
          name,
          names: localNames(face, its, from),
          systems: its,
          measured: from,
          companions: others.map(({ companion }) => companion),
          setter: setterWith(others),
          setterOn: (system: LocalSystem) =>
            setterWith(others.filter(({ companion }) => companion.systems.includes(system))),
        },
      ];
    });
  const own = measured
    .filter(({ weight, italic }) => weight >= boldFrom === isBold && italic === isItalic)
    .map(({ name, names, font }) => {
      const setter = setterOf(font, {}, turnedOff);
      return { name, names, systems, measured: name, companions: [], setter, setterOn: () => setter };
    });
  return [...known, ...own];
}

/**
 * What `local()` finds a face by. WebKitGTK knows families alone, and draws the face of the rule's weight and style: bold and italics
 * end with theirs. Not where the font may be Android's, as its families can be one variable file that knows no other names.
 */
function localNames(
  { names, weight, italic }: LocalFontData['faces'][number],
  its: LocalFontData['systems'],
  family: string,
): readonly string[] {
  const isFound = weight < boldFrom && !italic;
  return isFound || !its.includes('Linux') || its.includes('Android') ? names : [...names, family];
}
