// What switches faces on together

import { createHash } from 'node:crypto';
import { rangeText } from '../../core/face/index.js';
import { script } from '../../browser/built/loader.js';
import type { KitFace, MadeKit } from '../kit.js';
import { fetchedPart } from '../planning/made.js';

/** Faces that are switched on together, so that half of a headline never changes its meaning. */
export interface ArrivalGroup {
  name: string;
  /** Milliseconds after which what isn't there doesn't come on this visit. */
  patience: number;
  faces: readonly KitFace[];
}

/** As long as a face is waited for that blocks its text (CSS Fonts 4, section 4.9.1). */
const patience = 3000;

/** In the order of the families; faces that the config puts into none are in none. */
export function groupsOf(families: MadeKit['families']): ArrivalGroup[] {
  const groups = new Map<string, KitFace[]>();
  for (const { group, faces } of families)
    if (group !== undefined) groups.set(group, [...(groups.get(group) ?? []), ...faces]);
  return Array.from(groups, ([name, faces]) => ({ name, patience, faces }));
}

/** What of the loader is in the manifest. */
export interface LoaderFacts {
  file: 'kit.loader.js';
  /** For a policy that names scripts by their digest, as in `script-src 'sha256-…'` (CSP 3, section 2.3.1). */
  hash: string;
  /** The files of each group, in the order by which a page names those that it draws. */
  groups: { name: string; files: string[] }[];
}

/** kit.loader.js; undefined for a kit that needs none. @param base what URLs of files start with, where a page doesn't say it */
export function loaderFile({ families, address }: Pick<MadeKit, 'families' | 'address'>): string | undefined {
  const groups = groupsOf(families);
  if (groups.length === 0) return undefined;
  const data = groups.map(({ faces, ...group }) => ({ ...group, faces: faces.map(faceData) }));
  // It may stand in a script element.
  const json = JSON.stringify(data).replace(/</g, '\\u003c');
  const base = JSON.stringify(address.url ?? address.fromRoot).replace(/</g, '\\u003c');
  return `(()=>{const kitGroups=${json},kitBase=${base};${script}})();`;
}

export function loaderFacts(kit: Pick<MadeKit, 'families' | 'address'>): LoaderFacts | undefined {
  const text = loaderFile(kit);
  if (text === undefined) return undefined;
  return {
    file: 'kit.loader.js',
    hash: `sha256-${createHash('sha256').update(text).digest('base64')}`,
    groups: groupsOf(kit.families).map(({ name, faces }) => ({
      name,
      files: faces.map((face) => fetchedPart(face).file),
    })),
  };
}

function faceData(face: KitFace): unknown {
  const { family, weight, style, stretch, slant, descriptors, standIns } = face;
  const others: Record<string, string> = {
    ...(style === 'normal'
      ? {}
      : { style: slant ? `oblique ${slant.map((angle) => `${angle}deg`).join(' ')}` : style }),
    ...(rangeText(stretch) === '100' ? {} : { stretch: stretch.map((one) => `${one}%`).join(' ') }),
    ...Object.fromEntries(
      Object.entries(descriptors ?? {}).map(([name, value]) => [camelCase(name), String(value)]),
    ),
  };
  return {
    family,
    file: fetchedPart(face).file,
    weights: standIns.length > 1 ? standIns.map((band) => rangeText(band.weight)) : [rangeText(weight)],
    whole: rangeText(weight),
    others,
  };
}

/** As FontFaceDescriptors calls what a rule calls `size-adjust`. */
const camelCase = (name: string) =>
  name.replace(/^font-/, '').replace(/-./g, ([, letter]) => letter.toUpperCase());
