import { relative, resolve } from 'node:path';
import { drawingDescriptors, faceLabel, type FontDisplay } from '../../core/face/index.js';
import { faceStyleOf } from '../../core/face/index.js';
import { slug } from '../../core/face/slug.js';
import { faceText } from '../../config/face-choice.js';
import { isWebUrl } from '../../io/addresses.js';
import type { FoundFace } from './found-faces.js';
import { kindOf, type FamilyKind } from '../project/family-kind.js';
import type { FamilyUses } from './uses.js';

/** What a config is drafted from. */
export interface DraftRequest {
  /** What paths start from. */
  folder: string;
  /** The kit's folder. */
  out: string;
  /** The folder that is served as the site, or where it runs. */
  site?: string | undefined;
  /** Whether its scripts draw it. */
  isApp?: boolean;
  /** How its pages use families. */
  uses: FamilyUses;
}

export interface DraftedSite {
  root?: string;
  url?: string;
  scripts?: true;
  demand?: string;
}

/** A config as a file would hold it, and why it is so. */
export interface DraftedConfig {
  config: {
    site?: DraftedSite;
    output: { folder: string; facts?: string; url?: string };
    families: DraftedFamily[];
  };
  /** In words, a line each. */
  reasons: string[];
}

/** A file, or with the face that it is declared as: descriptors by their names in CSS. */
export type DraftedFile = string | ({ file: string; face: string } & Partial<Record<string, string>>);

export interface DraftedFamily {
  family: string;
  files: DraftedFile[];
  role: string;
  stack: string[];
  loading?: { display?: FontDisplay; preload?: 'none' };
}

/**
 * Drafts the config of a kit from faces at hand: families, weights and styles as rules declare them, else from inside; roles and
 * stacks from how the site uses them, else from the kind of face.
 */
export function draftConfig(faces: readonly FoundFace[], request: DraftRequest): DraftedConfig {
  const reasons: string[] = [];
  const groups = familiesOf(faces, reasons);
  const families = groups.map(({ family, list, kind }): DraftedFamily => {
    const use = request.uses.get(family.toLowerCase());
    const generic = kind === 'icons' ? [] : [kind];
    return {
      family,
      files: filesOf(list),
      role: '',
      stack: use && use.stack.length > 0 ? [...use.stack] : generic,
      ...(kind === 'icons' ? { loading: { display: 'block' as const, preload: 'none' as const } } : {}),
    };
  });
  giveRoles(families, request.uses, groups, reasons);
  return {
    config: {
      ...(request.site === undefined ? {} : { site: siteOf(request.site, request) }),
      output: { folder: pathFrom(request.folder, request.out) },
      families,
    },
    reasons,
  };
}

function siteOf(site: string, { folder, isApp = false }: DraftRequest): DraftedSite {
  if (isWebUrl(site)) return { url: site };
  return { root: pathFrom(folder, site), ...(isApp ? { scripts: true } : {}) };
}

const pathFrom = (folder: string, path: string): string =>
  relative(folder, resolve(folder, path)).replaceAll('\\', '/') || '.';

interface FoundFamily {
  family: string;
  list: FoundFace[];
  kind: FamilyKind;
}

function familiesOf(faces: readonly FoundFace[], reasons: string[]): FoundFamily[] {
  const groups = new Map<string, FoundFace[]>();
  for (const face of faces) groups.set(face.family, [...(groups.get(face.family) ?? []), face]);
  return Array.from(groups, ([family, all]) => {
    const list = withoutCovered(family, all, reasons);
    return { family, list, kind: kindOf(family, list[0].source) };
  });
}

/** Static files of weights that a variable one has too; not where rules say what each is for. */
function withoutCovered(family: string, list: readonly FoundFace[], reasons: string[]): FoundFace[] {
  const open = list.filter(({ declaredBy }) => declaredBy === 'file').map(({ source }) => source);
  const variable = open.filter(({ face }) => face.weight[0] < face.weight[1]);
  const covered = open.filter(
    ({ face }) =>
      face.weight[0] === face.weight[1] &&
      variable.some(
        (other) =>
          other.face.style === face.style &&
          other.face.weight[0] <= face.weight[0] &&
          other.face.weight[1] >= face.weight[1],
      ),
  );
  if (covered.length > 0)
    reasons.push(
      `${family}: ${covered.map(({ path }) => path).join(', ')} not used, as a variable file has them`,
    );
  return list.filter(({ source }) => !covered.includes(source));
}

/** Files by their names where nothing else is to be said of them. */
function filesOf(list: readonly FoundFace[]): DraftedFile[] {
  const files = new Map<string, FoundFace[]>();
  for (const face of list) {
    const path = face.source.path.replace(/#\d+$/, '');
    files.set(path, [...(files.get(path) ?? []), face]);
  }
  return [...files].flatMap(([file, faces]): DraftedFile[] => {
    const isPlain =
      faces.every((face) => face.declaredBy !== 'rule') || (faces.length === 1 && saysTheSame(faces[0]));
    return isPlain ? [file] : faces.map((face) => declaredFile(file, face));
  });
}

function saysTheSame({ source }: FoundFace): boolean {
  const { face: inside } = faceStyleOf(source.font);
  return (
    !source.ranges &&
    !source.rule?.descriptors &&
    !source.rule?.slant &&
    !source.rule?.display &&
    faceLabel(inside) === faceLabel(source.face)
  );
}

function declaredFile(file: string, { source }: FoundFace): DraftedFile {
  const { slant, display, descriptors } = source.rule ?? {};
  const others = drawingDescriptors.flatMap((name) => {
    const value = descriptors?.[name];
    return value === undefined ? [] : [[name, value] as const];
  });
  return {
    file,
    face: faceText({ ...source.face, slant }),
    ...(display ? { 'font-display': display } : {}),
    ...Object.fromEntries(others),
    ...(source.ranges ? { 'unicode-range': source.ranges.toJSON() } : {}),
  };
}

/** The family of most text is the body, of those for headings the one with most of them; icons are neither. */
function giveRoles(
  families: DraftedFamily[],
  uses: FamilyUses,
  groups: readonly FoundFamily[],
  reasons: string[],
): void {
  const taken = new Set<string>();
  const give = (family: DraftedFamily | undefined, role: string, why: string) => {
    if (!family || family.role !== '' || taken.has(role)) return;
    family.role = role;
    taken.add(role);
    reasons.push(`${family.family}: role ${role}, ${why}`);
  };
  const free = (role: string): string => {
    for (let i = 1; ; i++) {
      const name = i === 1 ? role : `${role}-${i}`;
      if (!taken.has(name)) return name;
    }
  };
  for (const [i, family] of families.entries())
    if (groups[i].kind === 'icons') give(family, free('icons'), 'as its characters are pictures');
  const mostOf = (kind: 'body' | 'headings' | 'code') =>
    families
      .map((family) => ({ family, pieces: uses.get(family.family.toLowerCase())?.[kind] ?? 0 }))
      .filter(({ family, pieces }) => pieces > 0 && family.role === '')
      .sort((a, b) => b.pieces - a.pieces)[0]?.family;
  give(mostOf('body'), 'body', 'as most text asks for it');
  give(mostOf('headings'), 'heading', 'as headings ask for it');
  give(mostOf('code'), 'code', 'as code asks for it');
  if (!taken.has('body')) {
    const text = families.find((family, i) => family.role === '' && groups[i].kind !== 'monospace');
    give(text ?? families.find(({ role }) => role === ''), 'body', 'as it is the first one');
  }
  for (const [i, family] of families.entries()) {
    if (groups[i].kind === 'monospace') give(family, 'code', 'as its letters have one width');
    const name = slug(family.family).slice(0, 60);
    give(family, free(/^[a-z]/.test(name) ? name : `face-${name}`), 'after its name');
  }
}
