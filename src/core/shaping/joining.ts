// Unicode, 9.2: Arabic cursive joining: which form a letter has between its neighbours

import { dualJoining, rightJoining } from '../../data/joining-types.js';
import { CodePointSet, eachPackedRange } from '../text/code-point-set.js';

/** Features for the forms of letters, in the order in which they are applied (OpenType: Arabic script). */
export const joiningForms = ['isol', 'fina', 'medi', 'init'] as const;

export type JoiningForm = (typeof joiningForms)[number];

/** Joining_Type: on the right, on both sides, without a form of its own, not at all; transparent is as if it weren't there. */
type JoiningType = 'right' | 'dual' | 'causing' | 'none' | 'transparent';

const transparent = /[\p{Mn}\p{Me}\u061c\u200e\u200f\u202a-\u202e\u00ad\u2060-\u2064\ufeff]/u;
const [tatweel, zwj] = [0x640, 0x200d];

function unpacked(text: string): CodePointSet {
  const set = new CodePointSet();
  eachPackedRange(text, (first, last) => set.addRange(first, last));
  return set;
}

let sets: { right: CodePointSet; dual: CodePointSet } | undefined;

function typeOf(codePoint: number): JoiningType {
  sets ??= { right: unpacked(rightJoining), dual: unpacked(dualJoining) };
  if (sets.dual.has(codePoint)) return 'dual';
  if (sets.right.has(codePoint)) return 'right';
  if (codePoint === zwj || codePoint === tatweel) return 'causing';
  return transparent.test(String.fromCodePoint(codePoint)) ? 'transparent' : 'none';
}

/** The form of each character; undefined for one that has none. */
export function formsOf(codePoints: readonly number[]): (JoiningForm | undefined)[] {
  const forms = codePoints.map((): JoiningForm | undefined => undefined);
  let before: { i: number; type: JoiningType; isJoined: boolean } | undefined;
  for (const [i, codePoint] of codePoints.entries()) {
    const type = typeOf(codePoint);
    if (type === 'transparent') continue;
    const joins = type !== 'none' && (before?.type === 'dual' || before?.type === 'causing');
    if (joins && before?.type === 'dual') forms[before.i] = before.isJoined ? 'medi' : 'init';
    if (type === 'dual' || type === 'right') forms[i] = joins ? 'fina' : 'isol';
    before = { i, type, isJoined: joins };
  }
  return forms;
}
