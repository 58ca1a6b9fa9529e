// What becomes of an @font-face rule of a site where a kit comes in

import { faceKey, type Range, type Slope } from '../../core/face/index.js';
import type { CodePointSet } from '../../core/text/code-point-set.js';
import { parseUnicodeRanges } from '../../core/text/parse-ranges.js';
import type { FaceRule } from '../../site/usage/declared-faces.js';
import { mappedCharacters } from '../../core/text/mapped-characters.js';
import type { Manifest } from '../files/manifest.js';
import type { CutFace, CutFamilies } from '../planning/cut.js';
import type { RuleOwner } from './rule-owner.js';

/** What becomes of a rule, and why, where that is worth a word; to follow on «the rule goes:» or «stays:». */
export interface RuleFate {
  becomes: 'goes' | 'stays';
  why?: string;
  /** Whether the kit has the face, and not these characters of it. */
  isForOthers?: true;
}

interface ShippedFace {
  weight: Range;
  style: string;
  stretch: Range;
  /** Of all of its parts. */
  characters: readonly CodePointSet[];
}

/** What a kit has, and what was left out of it. */
export interface Shipped {
  /** By family, in small letters. */
  families: ReadonlyMap<string, readonly ShippedFace[]>;
  /** Keys of faces that no page draws. */
  leftOut: ReadonlySet<string>;
  /** Whether it has what its faces have beyond the pages. */
  keepsRest: boolean;
}

export function shippedIn({ families, leftOut }: Manifest, keepsRest: boolean): Shipped {
  return {
    families: new Map(
      families.map(({ family, faces }) => [
        family.toLowerCase(),
        faces.map(({ weight, style, stretch, parts }) => ({
          weight: numbersIn(weight),
          style,
          stretch: numbersIn(stretch),
          characters: parts.map((part) => parseUnicodeRanges(part.characters)),
        })),
      ]),
    ),
    leftOut: new Set(
      leftOut.map(({ family, weight, style, stretch }) =>
        faceKey({ family, weight: numbersIn(weight), style: style as Slope, stretch: numbersIn(stretch) }),
      ),
    ),
    keepsRest,
  };
}

/** The same before the kit is made. @param families with the faces that will be in it */
export function shippedOf({ families, leftOut }: CutFamilies): Shipped {
  const charactersOf = ({ source }: CutFace) => source.ranges ?? mappedCharacters(source.font);
  return {
    families: new Map(
      families.map(({ family, faces }) => [
        family.toLowerCase(),
        faces.map((face) => {
          const { weight, style, stretch } = face;
          return { weight, style, stretch, characters: [charactersOf(face)] };
        }),
      ]),
    ),
    leftOut: new Set(leftOut.map(faceKey)),
    keepsRest: true,
  };
}

/** The numbers of `400`, `300 800` and `75% 100%`. */
function numbersIn(text: string): Range {
  const [low, high = low] = text.split(' ').map(parseFloat);
  return [low, high];
}

const isWithin = ([low, high]: Range, [from, to]: Range): boolean => low >= from && high <= to;

/** A rule of the site goes where the kit draws all that it draws; rules of kits and of hosts stay: those go with their stylesheets. */
export function ruleFate(rule: FaceRule, owner: RuleOwner, shipped: Shipped): RuleFate {
  if (owner !== 'the site') return { becomes: 'stays' };
  const own = (shipped.families.get(rule.family.toLowerCase()) ?? []).filter(
    ({ weight, style, stretch }) =>
      style === rule.style && isWithin(rule.weight, weight) && isWithin(rule.stretch, stretch),
  );
  if (own.length === 0) {
    if (shipped.leftOut.has(faceKey(rule))) return { becomes: 'goes', why: 'no page draws it' };
    return { becomes: 'stays', why: 'the kit does not have it' };
  }
  if (!meets(own, rule))
    return { becomes: 'stays', why: 'it is for characters that the kit lacks', isForOthers: true };
  const lacking = shipped.keepsRest ? lackingIn(own, rule) : 0;
  if (lacking === 0) return { becomes: 'goes' };
  const characters = lacking === 1 ? 'a character' : `${lacking} characters`;
  return { becomes: 'stays', why: `it has ${characters} that the kit lacks` };
}

/** Whether the kit has any of the characters that a rule is for: of a face in ranges it may ship others. */
const meets = (faces: readonly ShippedFace[], { characters }: FaceRule): boolean =>
  characters === undefined ||
  characters
    .ranges()
    .some(([first, last]) =>
      faces.some((face) => face.characters.some((set) => set.countIn(first, last) > 0)),
    );

/** How many characters a rule draws that no part of a face has. */
function lackingIn(faces: readonly ShippedFace[], { supply, characters }: FaceRule): number {
  const drawn = supply ? supply.characters.codePoints() : [];
  return drawn.filter(
    (one) =>
      (characters?.has(one) ?? true) && !faces.some((face) => face.characters.some((set) => set.has(one))),
  ).length;
}
