// What is drawn until a face arrives, on top of the face

import escapeHtml from 'escape-html';
import { fontFaceText, fontFamilyList } from '../../core/face/index.js';
import type { KitFace } from '../kit.js';
import { mainBand, standInRules, type StandIn } from '../stand-ins/index.js';

/** The best of a face first, each under a name of its own. */
function standInsOf({ standIns }: KitFace, id: string): { one: StandIn; tuned: string; asIs: string }[] {
  if (standIns.length === 0) return [];
  return [...mainBand(standIns).standIns]
    .reverse()
    .map((one) => ({ one, tuned: `${id} ${one.local}`, asIs: `${id} ${one.local} as it is` }));
}

/** The rules behind `overlay`. @param id of the face on the page */
export function overlayRules(face: KitFace, id: string): string {
  const { style, stretch, parts } = face;
  const all = { weight: mainWeight(face), style, stretch };
  const characters = parts.flatMap((part) => [...part.characters]);
  return standInsOf(face, id)
    .flatMap(({ one, tuned, asIs }) => {
      const scripts = new Set(one.companions.map(({ script }) => script));
      const local = (names: readonly string[]) => names.map((name) => ({ local: name }));
      return [
        ...standInRules({ ...all, family: tuned, characters, scripts }, one),
        // What the last one lacks the others draw.
        ...[...one.companions, one].map(({ names }) =>
          fontFaceText({ ...all, family: asIs, sources: local(names) }),
        ),
      ];
    })
    .join('\n');
}

const mainWeight = ({ standIns, weight }: KitFace): readonly [number, number] =>
  standIns.length === 0 ? weight : mainBand(standIns).weight;

/** A paragraph in the face and in what stands in for it, on top of each other. @param id of the face on the page */
export function overlay(face: KitFace, role: string, id: string): string {
  const found = standInsOf(face, id);
  if (found.length === 0 || !face.sample) return '';
  const { text, language, weight, fontSize } = face.sample;
  const set = (family: string) =>
    escapeHtml(
      `font-family: ${family}; font-weight: ${weight}; font-size: ${fontSize}px; font-style: ${face.style === 'oblique' ? 'italic' : face.style}`,
    );
  const stackOf = (names: readonly string[]) => `${fontFamilyList(names)}, var(--none)`;
  const layer = (name: string, family: string) =>
    `<p class="${name}" lang="${language}" style="${set(family)}"${name === 'face' ? '' : ' aria-hidden="true"'}>${escapeHtml(text)}</p>`;
  const choice = (value: string, label: string, checked = false) =>
    `<label><input type="radio" name="${escapeHtml(id)}" value="${value}"${checked ? ' checked' : ''}> ${label}</label>`;
  return `<fieldset class="overlay" data-shows="both" data-locals="${escapeHtml(JSON.stringify(found.map(({ one, tuned }) => [tuned, one.local])))}">
    <legend>Until it arrives</legend>
    <p>${choice('both', 'on top of each other', true)} ${choice('face', 'the face')} ${choice('tuned', 'its stand-in')} ${choice('as-is', 'the local font itself')}</p>
    <div class="layers">${layer('face', `var(--type-${role})`)}${layer('tuned', stackOf(found.map(({ tuned }) => tuned)))}${layer('as-is', stackOf(found.map(({ asIs }) => asIs)))}</div>
    <output></output>
  </fieldset>`;
}
