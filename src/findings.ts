import { placeWithoutCredentials, withoutCredentials, type Place } from './errors.js';
import { findingCodes, type Severity } from './finding-codes.js';

export { findingCodes, type Severity };

export type FindingCode = keyof typeof findingCodes;

/** Something that a person should know: what it is, what follows from it, what to do, and where. */
export interface Finding {
  code: FindingCode;
  severity: Severity;
  message: string;
  effect: string;
  advice: string;
  place: Place;
}

/**
 * @param code decides severity, and effect and advice where the finding has none of its own
 * @param message what was found, without the place and without a full stop
 */
export function finding(
  code: FindingCode,
  message: string,
  { effect, advice, ...place }: Place & Partial<Pick<Finding, 'effect' | 'advice'>> = {},
): Finding {
  const kind = findingCodes[code];
  return {
    code,
    severity: kind.severity,
    message: withoutCredentials(message),
    effect: effect ?? kind.effect,
    advice: withoutCredentials(advice ?? kind.advice),
    place: placeWithoutCredentials(place),
  };
}

/** @param dropped what a writer or a cut of a font leaves out, in words */
export const leftOut = (dropped: readonly string[], place?: Place): Finding[] =>
  dropped.map((what) => finding('left-out', `left out ${what}`, place));

/** Findings with more of their place, for callers that know it. */
export const placedIn = (findings: readonly Finding[], place: Place): Finding[] =>
  findings.map((one) => ({ ...one, place: { ...place, ...one.place } }));
