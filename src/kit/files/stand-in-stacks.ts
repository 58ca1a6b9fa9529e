import { standInFamily } from '../../site/css/stand-in-family.js';
import type { StackNames } from '../../site/edits/stack-edits.js';
import type { StackProperties } from '../../site/edits/stack-properties.js';
import type { Manifest } from './manifest.js';

/** What stacks are to say so that what stands in for a family of a kit follows it, and nothing else changes. */
export function standInStacks(
  { families }: Pick<Manifest, 'families'>,
  properties: Pick<StackProperties, 'holdsStack'>,
): StackNames {
  const names = new Map(
    families.flatMap(({ family, stack }) => {
      const standIn = standInFamily(family);
      return stack.includes(standIn) ? [[family.toLowerCase(), standIn] as const] : [];
    }),
  );
  return {
    families: [...names.keys()],
    nameFor: () => undefined,
    standInFor: (family) => names.get(family.toLowerCase()),
    fallbackFor: () => [],
    holdsStack: (property) => properties.holdsStack(property),
  };
}
