// Local fonts for scripts that the usual ones of a system lack: a stand-in draws such text with another font than its Latin

import { formsOf } from '../../core/shaping/joining.js';
import { alefsOfLam, scriptFontRanges, scriptFonts, type ScriptFontData } from '../../data/script-fonts.js';
import type { LocalFontData } from '../../data/local-fonts.js';

export type ScriptKind = ScriptFontData['script'];

/** Another local font that draws one script for a stand-in. */
export interface Companion {
  script: ScriptKind;
  /** What people call it; it is also the font that was measured. */
  local: string;
  systems: ScriptFontData['systems'];
  /** What `local()` finds it by. */
  names: readonly string[];
}

/** Widths of a font for one script. */
export interface ScriptWidths {
  /** In em: alone, at the end, in the middle and at the start of a word; of scripts that don't join the first alone. */
  of: ReadonlyMap<number, readonly number[]>;
  /** Lam with an alef: alone, at the end. */
  ligatures: ReadonlyMap<number, readonly number[]>;
}

const lam = 0x644;
const places = { isol: 0, fina: 1, medi: 2, init: 3 } as const;

/** Fonts for scripts on one of the systems, by script; serif or not as the face is, where there are both. */
export function companionsOn(
  systems: readonly LocalFontData['systems'][number][],
  kind: LocalFontData['kind'],
  isBold: boolean,
): { companion: Companion; widths: () => ScriptWidths }[] {
  const wanted = kind === 'serif' ? 'serif' : 'sans-serif';
  return scriptFonts
    .filter((one) => one.kind === 'any' || one.kind === wanted)
    .filter((one) => one.systems.some((system) => systems.includes(system)))
    .filter(({ script }, i, all) => all.findIndex((one) => one.script === script) === i)
    .flatMap(({ name, script, systems: its, faces }) => {
      const face = faces.find((one) => one.isBold === isBold);
      if (!face) return [];
      const companion = { script, local: name, systems: its, names: face.names };
      return [{ companion, widths: () => widthsOf(script, face) }];
    });
}

const known = new WeakMap<ScriptFontData['faces'][number], ScriptWidths>();

function widthsOf(script: ScriptKind, face: ScriptFontData['faces'][number]): ScriptWidths {
  const found = known.get(face);
  if (found) return found;
  const all = unpacked(face.widths).map((width) => width && width / face.unitsPerEm);
  const of = new Map<number, readonly number[]>();
  const ligatures = new Map<number, readonly number[]>();
  const each = script === 'Arabic' ? 4 : 1;
  let at = 0;
  const next = (count: number) => all.slice(at, (at += count)).filter((width) => width !== undefined);
  for (const [first, last] of scriptFontRanges[script])
    for (let codePoint = first; codePoint <= last; codePoint++) {
      const forms = next(each);
      if (forms.length === each) of.set(codePoint, forms);
    }
  if (script === 'Arabic') for (const alef of alefsOfLam) ligatures.set(alef, next(2));
  const widths = { of, ligatures };
  known.set(face, widths);
  return widths;
}

/** Numbers in base 36 with counts of what repeats; a dash for none. */
export function unpacked(widths: string): (number | undefined)[] {
  return widths.split(' ').flatMap((one) => {
    const [width, count = '1'] = one.split('*');
    return new Array<number | undefined>(Number(count)).fill(width === '-' ? undefined : parseInt(width, 36));
  });
}

/** How wide characters of a text are where one of the fonts draws them, in em, by their place among its code points. */
export function scriptAdvances(
  codePoints: readonly number[],
  fonts: readonly ScriptWidths[],
): (number | undefined)[] {
  const forms = formsOf(codePoints);
  const formAt = (i: number) => places[forms[i] ?? 'isol'];
  const advances = codePoints.map((codePoint, i) => {
    const own = fonts.find(({ of }) => of.has(codePoint))?.of.get(codePoint);
    return own?.[formAt(i)] ?? own?.[0];
  });
  for (const [i, codePoint] of codePoints.entries()) {
    if (codePoint !== lam || i + 1 >= codePoints.length) continue;
    const together = fonts
      .find(({ ligatures }) => ligatures.has(codePoints[i + 1]))
      ?.ligatures.get(codePoints[i + 1]);
    if (!together) continue;
    advances[i] = together[formAt(i) === places.medi ? 1 : 0];
    advances[i + 1] = 0;
  }
  return advances;
}
