// OpenType: GSUB and GPOS: every kind of lookup

import { context, type SequenceContext } from './common/context/index.js';
import type { LayoutTag, LookupKind, PositioningKind, SubstitutionKind } from './common/lookup-kind.js';
import { positionings, type Positioning } from './gpos/index.js';
import { substitutions, type Substitution } from './gsub/index.js';

export type Subtable = Substitution | Positioning | SequenceContext;

// A kind is given the subtables that it has read: what a table of them all can't say to the compiler.
type KindsOf<Tag extends LayoutTag> = Readonly<
  Record<string, Tag extends 'GSUB' ? SubstitutionKind<Subtable> : PositioningKind<Subtable>>
>;
const gsub = { ...substitutions, context } as unknown as KindsOf<'GSUB'>;
const gpos = { ...positionings, context } as unknown as KindsOf<'GPOS'>;

/** What is done to a subtable of either table. */
export const kindOf = ({ kind }: Subtable): LookupKind<Subtable> => gsub[kind] ?? gpos[kind];

/** What is done to a subtable of GSUB; undefined for one of GPOS. */
export const substitutionKindOf = ({ kind }: Subtable): SubstitutionKind<Subtable> | undefined => gsub[kind];

/** What is done to a subtable of GPOS; undefined for one of GSUB. */
export const positioningKindOf = ({ kind }: Subtable): PositioningKind<Subtable> | undefined => gpos[kind];

/** The LookupTypes of extensions, which say where a subtable of another type is. */
export const extensionTypes = { GSUB: 7, GPOS: 9 } as const;

/** By table and LookupType. */
const byType: Record<LayoutTag, ReadonlyMap<number, LookupKind<Subtable>>> = {
  GSUB: typesOf('GSUB', gsub),
  GPOS: typesOf('GPOS', gpos),
};

function typesOf<Kind extends LookupKind<Subtable>>(
  tag: LayoutTag,
  kinds: Readonly<Record<string, Kind>>,
): Map<number, Kind> {
  return new Map(
    Object.values(kinds).flatMap((kind) => (kind.types[tag] ?? []).map((type) => [type, kind] as const)),
  );
}

/** The kind of a LookupType; undefined for one that no standard has, and for extensions. */
export const kindOfType = (tag: LayoutTag, type: number): LookupKind<Subtable> | undefined =>
  byType[tag].get(type);
