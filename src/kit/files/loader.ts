// What switches faces on together

import { createHash } from 'node:crypto';
import { rangeText } from '../../core/face/index.js';
import { module, script } from '../../browser/built/loader.js';
import type { KitFace, MadeKit } from '../kit.js';
import { groupOf } from '../planning/groups.js';
import { fetchedPart } from '../planning/made.js';

/** Faces that are switched on together, so that half of a headline never changes its meaning. */
export interface ArrivalGroup {
  name: string;
  /** Milliseconds after which what isn't there doesn't come on this visit. */
  patience: number;
  /** The group that comes before it. */
  after?: string;
  faces: readonly KitFace[];
}

/** As long as a face is waited for that blocks its text (CSS Fonts 4, section 4.9.1). */
const patience = 3000;

/** In the order of the families, those that wait for another one behind it; faces that the config puts into none are in none. */
export function groupsOf(families: MadeKit['families']): ArrivalGroup[] {
  const groups = new Map<string, ArrivalGroup & { faces: KitFace[] }>();
  for (const family of families)
    for (const face of family.faces) {
      const own = groupOf(family, face);
      if (!own) continue;
      const { name, after } = own;
      const group = groups.get(name) ?? {
        name,
        patience,
        ...(after === undefined ? {} : { after }),
        faces: [],
      };
      group.faces.push(face);
      groups.set(name, group);
    }
  const all = [...groups.values()];
  // Without upright faces there is nothing to wait for.
  return all.map(({ after, ...group }) =>
    after !== undefined && groups.has(after) ? { ...group, after } : group,
  );
}

/** What of the loader is in the manifest. */
export interface LoaderFacts {
  file: 'kit.loader.js';
  /** For a policy that names scripts by their digest, as in `script-src 'sha256-…'` (CSP 3, section 2.3.1). */
  hash: string;
  /** The files of each group, in the order by which a page names those that it draws. */
  groups: { name: string; after?: string; files: string[] }[];
}

/** kit.loader.js; undefined for a kit that needs none. */
export function loaderFile(kit: Pick<MadeKit, 'families' | 'address'>): string | undefined {
  const data = loaderData(kit);
  return data === undefined ? undefined : `(()=>{${data}${script}})();`;
}

/** kit.loader.mjs and its types, for applications. */
export function loaderModule(kit: Pick<MadeKit, 'families' | 'address'>): [path: string, content: string][] {
  const data = loaderData(kit);
  if (data === undefined) return [];
  const names = groupsOf(kit.families).map(({ name }) => JSON.stringify(name));
  return [
    ['kit.loader.mjs', `// Made by dense-glyph build.\n${data}${module}\n`],
    ['kit.loader.d.mts', typesFor(names.join(' | '))],
  ];
}

const typesFor = (names: string): string => `/** What arrives together. */
export type Group = ${names};
/** \`none\` where nobody asked for it, and on a server. */
export type State = 'none' | 'pending' | 'ready' | 'failed';
/**
 * Asks for the faces of a group, unless that was done before, and switches them on in one frame. Never rejects; on a server it is
 * \`failed\`, and nothing is asked for.
 *
 * @param base what URLs of the kit start with, with a slash at the end
 */
export declare function load(group: Group, base?: string): Promise<'ready' | 'failed'>;
/** Calls with the state of a group, and with each that follows. @returns what ends that */
export declare function watch(group: Group, onState: (state: State) => void): () => void;
export declare function stateOf(group: Group): State;
`;

/** What the loader knows of the kit, as constants of its script. */
function loaderData({ families, address }: Pick<MadeKit, 'families' | 'address'>): string | undefined {
  const groups = groupsOf(families);
  if (groups.length === 0) return undefined;
  const data = groups.map(({ faces, ...group }) => ({ ...group, faces: faces.map(faceData) }));
  // It may stand in a script element.
  const json = JSON.stringify(data).replace(/</g, '\\u003c');
  const base = JSON.stringify(address.url ?? address.fromRoot).replace(/</g, '\\u003c');
  return `const kitGroups=${json},kitBase=${base};`;
}

export function loaderFacts(kit: Pick<MadeKit, 'families' | 'address'>): LoaderFacts | undefined {
  const text = loaderFile(kit);
  if (text === undefined) return undefined;
  return {
    file: 'kit.loader.js',
    hash: `sha256-${createHash('sha256').update(text).digest('base64')}`,
    groups: groupsOf(kit.families).map(({ name, after, faces }) => ({
      name,
      ...(after === undefined ? {} : { after }),
      files: faces.map((face) => fetchedPart(face).file),
    })),
  };
}

function faceData(face: KitFace): unknown {
  const { family, weight, style, stretch, slant, descriptors } = face;
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
    weight: rangeText(weight),
    others,
  };
}

/** As FontFaceDescriptors calls what a rule calls `size-adjust`. */
const camelCase = (name: string) =>
  name.replace(/^font-/, '').replace(/-./g, ([, letter]) => letter.toUpperCase());
