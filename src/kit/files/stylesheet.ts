import { fontFaceText, fontFamilyList } from '../../core/css/index.js';
import type { MadeFace, MadeKit } from '../made.js';

/** The `@font-face` rule of a face. @param base what its URL starts with */
export function faceRule(face: MadeFace, base: string): string {
  const { family, weight, style, stretch, display, part } = face;
  const sources = [{ url: base + part.file, format: 'woff2' }];
  return fontFaceText({ family, weight, style, stretch, display, sources });
}

/** kit.css: faces, a custom property and a class for each role. */
export function stylesheetFile(kit: MadeKit): string {
  // Relative URLs in a stylesheet start from the stylesheet, which lies at the top of the kit.
  const base = kit.address.url ?? '';
  const faces = kit.families.flatMap(({ faces: list }) => list.map((face) => faceRule(face, base)));
  const properties = kit.families.map(({ role, stack }) => `  --type-${role}: ${fontFamilyList(stack)};\n`);
  const classes = kit.families.map(({ role }) => `.type-${role} {\n  font-family: var(--type-${role});\n}\n`);
  return [
    '/* Made by dense-glyph build. Changes belong in the config: the next build writes this file again. */\n',
    ...faces,
    `:root {\n${properties.join('')}}\n`,
    ...classes,
  ].join('\n');
}
