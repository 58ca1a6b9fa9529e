// Weights at which the axis of a file stops, where a rule declares a range over it

import type { Range } from '../../core/face/index.js';
import { matchingFaces } from '../../core/face/matching.js';
import type { FaceRule } from '../../site/usage/declared-faces.js';
import type { Manifest } from '../files/manifest.js';

/** Weights by the names of files: of those that several faces of single weights share. */
export type WeightStops = ReadonlyMap<string, readonly number[]>;

/** The weights at which files of a kit stop: one rule declares all of them, and what is between is drawn as one of them. */
export function weightStops({ families }: Pick<Manifest, 'families'>): WeightStops {
  const found = new Map<string, Set<number>>();
  for (const { faces } of families)
    for (const { weight, parts } of faces)
      for (const { file } of parts) {
        const name = nameOf(file);
        found.set(name, (found.get(name) ?? new Set()).add(Number(weight)));
      }
  // A range is no number: such an axis stops nowhere.
  const several = [...found].filter(([, weights]) => weights.size > 1 && ![...weights].some(Number.isNaN));
  return new Map(several.map(([name, weights]) => [name, [...weights].sort((a, b) => a - b)]));
}

/** The weight that a rule draws where one is asked for; undefined for a rule of one weight, or of a file that stops nowhere. */
export function stopFor({ source, weight }: FaceRule, asked: number, stops: WeightStops): number | undefined {
  if (source?.url === undefined || weight[0] === weight[1]) return undefined;
  const alone = stops
    .get(nameOf(source.url))
    ?.map((weight) => ({ weight: [weight, weight] as Range, style: 'normal' as const, stretch: hundred }));
  if (!alone) return undefined;
  return matchingFaces(alone, { weight: asked, style: 'normal', stretch: 100 })[0].weight[0];
}

const hundred: Range = [100, 100];

const nameOf = (url: string): string => url.replace(/[?#].*$/s, '').replace(/^.*\//s, '');
