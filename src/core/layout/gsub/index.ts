/** Kinds of lookups of GSUB, but for contexts. */
import type { SubstitutionKind } from '../common/lookup-kind.js';
import { alternate, type AlternateSubstitution } from './alternate.js';
import { ligature, type LigatureSubstitution } from './ligature.js';
import { multiple, type MultipleSubstitution } from './multiple.js';
import { reverse, type ReverseSubstitution } from './reverse.js';
import { single, type SingleSubstitution } from './single.js';

export type Substitution =
  | SingleSubstitution
  | MultipleSubstitution
  | AlternateSubstitution
  | LigatureSubstitution
  | ReverseSubstitution;

export const substitutions: {
  [Kind in Substitution['kind']]: SubstitutionKind<Extract<Substitution, { kind: Kind }>>;
} = { single, multiple, alternate, ligature, reverse };
