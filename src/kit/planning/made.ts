// The third step of a plan: what became of each face, in bytes

import type { Finding } from '../../findings.js';
import type { SetApart } from '../../core/layout/set-apart.js';
import type { CodePointRanges } from '../../core/text/unicode-ranges.js';
import type { ReachedFormat } from '../reach.js';
import type { ChosenFamily } from './chosen.js';
import type { CutFace } from './cut.js';

/** What a part has of its face: all of it, what pages draw, or what is beyond. */
export type Slice = 'whole' | 'drawn' | 'rest';

/** One delivered file of a face. */
export interface Part {
  /** Path inside the kit: `faces/….woff2`. */
  file: string;
  slice: Slice;
  format: ReachedFormat['format'];
  bytes: Uint8Array;
  sha256: string;
  characters: CodePointRanges;
  /** What of the source it doesn't carry, what was changed inside for old browsers, and why it is the whole. */
  findings: readonly Finding[];
  /** Of a variable face: what the same would weigh without its axes, at the start of them. */
  stillBytes?: number | undefined;
  /** What it has of alphabets for what scripts may write, and what that weighs. */
  completed?: { characters: CodePointRanges; bytes: number } | undefined;
  /** Of a rest: what takes letters of both parts, and is lost between them. */
  apart?: SetApart | undefined;
}

export interface MadeParts {
  /** What pages fetch first, then the rest, then the same in older formats, the better ones first. */
  parts: readonly Part[];
}

export interface MadeFace extends CutFace, MadeParts {
  /** A digest of all that decides what is in its parts. */
  madeFrom: string;
  /** Of a variable file: the weights at which its axis stops, so that one rule declares all of its faces. */
  steps?: readonly number[] | undefined;
}

export interface MadeFamily extends Omit<ChosenFamily, 'faces'> {
  faces: readonly MadeFace[];
}

/** The WOFF2 file that pages fetch. */
export const fetchedPart = ({ parts }: MadeParts): Part => parts[0];
/** What the face has beyond, as WOFF2. */
export const restOf = ({ parts }: MadeParts): Part | undefined => parts.find(({ slice }) => slice === 'rest');
/** The same in formats for browsers that ask for them. */
export const olderParts = ({ parts }: MadeParts): Part[] => parts.filter(({ format }) => format !== 'woff2');

/** Why a face isn't cut to what the site draws, where it might be. */
export const whyWhole = ({ parts }: { parts: readonly Pick<Part, 'findings'>[] }): Finding | undefined =>
  parts[0].findings.find(({ code }) => code === 'face-whole');

/** A face that is at hand and that no page draws. */
export interface LeftOutFace {
  family: string;
  /** As in `700 italic`. */
  face: string;
  /** As CSS writes them. */
  weight: string;
  style: string;
  stretch: string;
  /** What it would weigh as a next style, with the characters that its family draws most of. */
  bytes: number;
  madeFrom: string;
}
