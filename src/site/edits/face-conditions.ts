import type { Edit } from './edits.js';
import { fontFaceItems } from './font-face-items.js';

/** How the `@font-face` rules of a stylesheet are to be changed. */
export interface FaceConditions {
  /** What `font-display` of rules with files becomes; as it is if left out. */
  display?: string | undefined;
  /** Whether rules of local fonts alone stay as they are, lose what tunes them, or go. */
  localFonts: 'tuned' | 'untuned' | 'off';
}

/** Descriptors by which a local font is made to fit (CSS Fonts 4, 5). */
const tuning = new Set(['size-adjust', 'ascent-override', 'descent-override', 'line-gap-override']);

/** Makes the rules of a stylesheet, also inside of other rules, those of a trial. */
export function faceConditionEdits(css: string, { display, localFonts }: FaceConditions): Edit[] {
  return fontFaceItems(css).flatMap(({ offset, end, block = [] }): Edit[] => {
    const declarations = block.flatMap((item) => (item.kind === 'declaration' ? [item] : []));
    const source = declarations.filter(({ name }) => name.toLowerCase() === 'src').at(-1)?.value ?? '';
    const isLocal = /\blocal\(/i.test(source) && !/\burl\(/i.test(source);
    const write = (kept: readonly { name: string; value: string }[]): Edit[] => {
      const text = kept.map(({ name, value }) => `${name}: ${value};`).join(' ');
      return [{ start: offset, end, text: `@font-face { ${text} }` }];
    };
    if (isLocal && localFonts === 'off') return [{ start: offset, end, text: '' }];
    if (isLocal && localFonts === 'untuned')
      return write(declarations.filter(({ name }) => !tuning.has(name.toLowerCase())));
    if (isLocal || display === undefined) return [];
    const others = declarations.filter(({ name }) => name.toLowerCase() !== 'font-display');
    return write([...others, { name: 'font-display', value: display }]);
  });
}
