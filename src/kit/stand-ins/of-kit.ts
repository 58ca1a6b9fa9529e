// Stand-ins of all faces of a kit

import { faceKey } from '../../core/face/index.js';
import { sampleSentences } from '../../data/sample-sentences.js';
import type { ChosenFace, ChosenFamily } from '../planning/chosen.js';
import type { SampleParagraph, SampleRun } from './sample.js';
import { standInsFor, type StandInBand, type StandInFace } from './stand-ins.js';

/** A face that stand-ins are made for, whichever step of a plan it is seen in. */
export interface KitTextFace extends StandInFace {
  key: string;
}

/** The text that a kit draws. */
export interface KitText {
  faces: readonly KitTextFace[];
  paragraphs: readonly SampleParagraph<KitTextFace>[];
}

export const keyOf = (face: Pick<ChosenFace, 'family' | 'weight' | 'style' | 'stretch' | 'source'>): string =>
  `${faceKey(face)}|${face.family}|${face.source.path}`;

/** The faces of a kit, to find the paragraphs that are set in them. */
export const kitTextFaces = (families: readonly ChosenFamily[]): KitTextFace[] =>
  families.flatMap(({ stack, faces }) =>
    faces.map((face) => {
      const { family, weight, style, stretch, descriptors, source } = face;
      return { key: keyOf(face), family, weight, style, stretch, descriptors, stack, font: source.font };
    }),
  );

/** CSS pixels of body text. */
const usualSize = 16;

/** Sentences for faces that no text is known of. @param languages BCP 47 */
export function sentencesIn<Face extends StandInFace>(
  face: Face,
  languages: readonly string[],
): SampleRun<Face>[] {
  return languages.flatMap((language) => {
    const text = sampleSentences[language] ?? sampleSentences[language.split('-')[0]];
    const style = { fontSize: usualSize, letterSpacing: 0, wordSpacing: 0, weight: 400, features: new Map() };
    // Twice, as a paragraph is longer than a sentence.
    return text === undefined ? [] : [{ text: `${text} ${text}`, language, face, ...style }];
  });
}

/**
 * The stand-ins of faces, by their keys.
 *
 * @param languages whose sentences are set where the site has hardly any text in a face
 */
export function standInsOfKit(
  { faces, paragraphs }: KitText,
  languages: readonly string[],
): Map<string, StandInBand[]> {
  const known = languages.filter((one) => one in sampleSentences || one.split('-')[0] in sampleSentences);
  const wanted = known.length > 0 ? known : ['en'];
  const bands = faces.map(
    (face) => [face.key, standInsFor(face, paragraphs, sentencesIn(face, wanted))] as const,
  );
  return new Map(bands.filter(([, own]) => own.some(({ standIns }) => standIns.length > 0)));
}
