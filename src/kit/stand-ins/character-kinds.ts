// Which characters of a stand-in may have a size of their own: a space shows nothing, figures are alike in width, and
// scripts stand apart from each other

/** Scripts that another local font draws than Latin. */
export const scriptKinds = ['Arabic', 'Hebrew', 'Thai'] as const;

/** `letters` is all that isn't of another kind. */
export const characterKinds = ['letters', 'spaces', 'figures', 'Greek', 'Cyrillic', ...scriptKinds] as const;

export type CharacterKind = (typeof characterKinds)[number];

/** Kinds that one local font draws. */
export const usualKinds: readonly CharacterKind[] = characterKinds.filter(
  (kind) => !(scriptKinds as readonly CharacterKind[]).includes(kind),
);

export type ScriptKind = (typeof scriptKinds)[number];

/** Widths by kinds; or sizes of a local font, 1 for as it is. */
export type ByKind = Record<CharacterKind, number>;

/** Sizes of a stand-in: scripts that no other font draws for it have that of letters. */
export type Scales = Record<Exclude<CharacterKind, ScriptKind>, number> & Partial<Record<ScriptKind, number>>;

export const scaleOf = (scales: Readonly<Scales>, kind: CharacterKind): number =>
  scales[kind] ?? scales.letters;

export function scalesBy(of: (kind: CharacterKind) => number): ByKind {
  return Object.fromEntries(characterKinds.map((kind) => [kind, of(kind)])) as ByKind;
}

export const asIs: Readonly<Scales> = scalesBy(() => 1);

export function kindOf(codePoint: number): CharacterKind {
  if (codePoint === 0x20 || codePoint === 0xa0) return 'spaces';
  if (codePoint >= 0x30 && codePoint <= 0x39) return 'figures';
  if ((codePoint >= 0x370 && codePoint <= 0x3ff) || (codePoint >= 0x1f00 && codePoint <= 0x1fff))
    return 'Greek';
  if (codePoint >= 0x400 && codePoint <= 0x52f) return 'Cyrillic';
  return scriptKindOf(codePoint) ?? 'letters';
}

const scriptBlocks: Readonly<Record<ScriptKind, readonly [first: number, last: number]>> = {
  Arabic: [0x600, 0x6ff],
  Hebrew: [0x590, 0x5ff],
  Thai: [0xe00, 0xe7f],
};

const scriptKindOf = (codePoint: number): ScriptKind | undefined =>
  scriptKinds.find((kind) => codePoint >= scriptBlocks[kind][0] && codePoint <= scriptBlocks[kind][1]);
