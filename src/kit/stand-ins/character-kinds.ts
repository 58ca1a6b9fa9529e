// Which characters of a stand-in may have a size of their own: a space shows nothing, figures are alike in width, and
// scripts stand apart from each other

/** `letters` is all that isn't of another kind. */
export const characterKinds = ['letters', 'spaces', 'figures', 'Greek', 'Cyrillic'] as const;

export type CharacterKind = (typeof characterKinds)[number];

/** Sizes of a local font, 1 for as it is; or widths. */
export type Scales = Record<CharacterKind, number>;

export function scalesBy(of: (kind: CharacterKind) => number): Scales {
  const [letters, spaces, figures, Greek, Cyrillic] = characterKinds.map(of);
  return { letters, spaces, figures, Greek, Cyrillic };
}

export const asIs: Readonly<Scales> = scalesBy(() => 1);

export function kindOf(codePoint: number): CharacterKind {
  if (codePoint === 0x20 || codePoint === 0xa0) return 'spaces';
  if (codePoint >= 0x30 && codePoint <= 0x39) return 'figures';
  if ((codePoint >= 0x370 && codePoint <= 0x3ff) || (codePoint >= 0x1f00 && codePoint <= 0x1fff))
    return 'Greek';
  return codePoint >= 0x400 && codePoint <= 0x52f ? 'Cyrillic' : 'letters';
}
