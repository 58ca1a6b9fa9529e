// The last step of a plan: what is preloaded, from what faces became and from what pages draw

import type { FaceChoice } from '../../config/face-choice.js';
import type { KitConfig } from '../../config/schema.js';
import { faceLabel, overlaps } from '../../core/face/index.js';
import { DenseGlyphError } from '../../errors.js';
import { fetchedPart, type MadeFace, type MadeFamily } from './made.js';

export interface LoadedFace extends MadeFace {
  preload: boolean;
  /** Why it is preloaded, or why not. */
  preloadReason: string;
}

export interface LoadedFamily extends Omit<MadeFamily, 'faces'> {
  faces: readonly LoadedFace[];
}

type Decision = Pick<LoadedFace, 'preload' | 'preloadReason'>;

/** More preloads compete with the stylesheet and the first picture for the same line. */
const automaticPreloads = 2;
const headingRoles = /^(?:headings?|headlines?|titles?|display)$/;
const iconRoles = /^icons?(?:-|$)/;

/**
 * Decides what is preloaded: what the config lists; where it leaves that open, of the faces that pages draw the one of the body
 * that most pages draw, and one for headings.
 *
 * @param config of the same families, in the same order
 * @throws DenseGlyphError `face-missing` for a preload of a face that the kit hasn't
 */
export function decidedLoading(
  families: readonly MadeFamily[],
  config: Pick<KitConfig, 'families'>,
): LoadedFamily[] {
  const automatic = automaticFaces(families, config);
  return families.map((family, i): LoadedFamily => {
    const { preload } = config.families[i].loading;
    const listed =
      typeof preload === 'object' ? listedFaces(family, preload, `families[${i}].loading.preload`) : [];
    const decide = (face: MadeFace): Decision => {
      if (listed.includes(face)) return { preload: true, preloadReason: 'the config lists it' };
      if (preload === 'none') return { preload: false, preloadReason: 'the config says none' };
      const reason = automatic.get(face);
      return reason === undefined
        ? { preload: false, preloadReason: 'the page asks for it when it needs it' }
        : { preload: true, preloadReason: reason };
    };
    return { ...family, faces: family.faces.map((face): LoadedFace => ({ ...face, ...decide(face) })) };
  });
}

function automaticFaces(
  families: readonly MadeFamily[],
  config: Pick<KitConfig, 'families'>,
): Map<MadeFace, string> {
  const isOpen = (family: MadeFamily) => config.families[families.indexOf(family)].loading.preload === 'auto';
  const texts = families.filter((family) => !iconRoles.test(family.role) && family.faces.length > 0);
  const isRead = families.some(({ faces }) => faces.some(({ demand }) => demand !== undefined));
  const drawn = isRead ? texts.filter(({ faces }) => faces.some(isDrawn)) : texts;
  const body =
    drawn.find(({ role }) => role === 'body') ?? drawn.find(({ role }) => !headingRoles.test(role));
  const candidates: [MadeFace | undefined, string][] = [
    ...(body && isOpen(body)
      ? [[first(body, 400, isRead), reasonOf(body, isRead)] as [MadeFace | undefined, string]]
      : []),
    ...drawn
      .filter((family) => family !== body && headingRoles.test(family.role) && isOpen(family))
      .map((family): [MadeFace | undefined, string] => [
        first(family, 700, isRead),
        'headings are seen first',
      ]),
  ];
  const chosen = new Map<MadeFace, string>();
  for (const [face, reason] of candidates)
    if (face && chosen.size < automaticPreloads && !isSameFile(face, chosen)) chosen.set(face, reason);
  return chosen;
}

const isSameFile = (face: MadeFace, chosen: ReadonlyMap<MadeFace, string>) =>
  [...chosen.keys()].some((other) => fetchedPart(other).file === fetchedPart(face).file);

const isDrawn = ({ demand }: MadeFace): boolean => demand !== undefined && demand.pages.length > 0;

function reasonOf(body: MadeFamily, isRead: boolean): string {
  if (!isRead) return 'the text of most pages starts with it';
  const pages = Math.max(...body.faces.map(({ demand }) => demand?.pages.length ?? 0));
  return `text on ${pages === 1 ? '1 page' : `${pages} pages`} starts with it`;
}

/** Of the faces that pages draw the one on most pages, of those alike the upright one nearest to a weight. */
function first(family: MadeFamily, weight: number, isRead: boolean): MadeFace | undefined {
  const away = ({ weight: [low, high], style, source }: MadeFace) =>
    Math.max(low - weight, weight - high, 0) +
    (style === 'normal' ? 0 : 2000) +
    // Of partial files the one with Latin letters, which most pages have some of.
    (source.ranges?.has(0x61) === false ? 1 : 0);
  const pages = ({ demand }: MadeFace) => demand?.pages.length ?? 0;
  return family.faces
    .filter((face) => !isRead || isDrawn(face))
    .sort((a, b) => pages(b) - pages(a) || away(a) - away(b))[0];
}

function listedFaces(family: MadeFamily, listed: readonly FaceChoice[], path: string): MadeFace[] {
  return listed.map((choice) => {
    const face = family.faces.find(
      (one) => one.style === choice.style && overlaps(one.weight, choice.weight),
    );
    if (face) return face;
    const offered = family.faces.map(faceLabel).join(', ');
    const reason = `${path}: the kit has no face ${faceLabel(choice)}`;
    throw new DenseGlyphError('face-missing', reason, {}, `it ships ${offered}`);
  });
}
