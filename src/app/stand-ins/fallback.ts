import { resolve } from 'node:path';
import { loadConfig } from '../../config/load.js';
import { slug } from '../../core/face/slug.js';
import { faceLabel } from '../../core/face/index.js';
import { name } from '../../core/tables/index.js';
import { mappedCharacters } from '../../core/text/mapped-characters.js';
import { nameID, nameOf } from '../../core/tables/name.js';
import type { Source } from '../../core/source/index.js';
import type { DenseGlyphError } from '../../errors.js';
import { finding, type Finding } from '../../findings.js';
import { readSite } from '../../io/site-folder.js';
import { writeWhole } from '../../io/write-whole.js';
import { standInFamily } from '../../site/css/stand-in-family.js';
import { chosenFaces } from '../../kit/planning/chosen.js';
import {
  classicRules,
  fittedStandIns,
  standInRules,
  type ClassicForm,
  type MeasuredFont,
  type PageMoves,
  type StandInBand,
  type StandInFace,
} from '../../kit/stand-ins/index.js';
import { openSources } from '../project/open-sources.js';
import { kindOf } from '../project/family-kind.js';
import type { OnProgress } from '../progress.js';
import { siteParagraphs } from '../project/reading/site-paragraphs.js';

export interface FallbackRequest {
  /** Font files, archives, folders or globs; those of the config if none are named. */
  fonts: readonly string[];
  /** What paths start from, and how they are shown. */
  folder: string;
  config?: string | undefined;
  /** A folder with the pages whose text the stand-ins are fitted to; that of the config if left out. */
  site?: string | undefined;
  /** Font files of local fonts, beside those that are known. */
  measure?: readonly string[] | undefined;
  /** Languages whose sentences are set where there is no site (BCP 47); English if left out. */
  languages?: readonly string[] | undefined;
  /** Where the rules are written. */
  css?: string | undefined;
  /** Rules besides for browsers that lack the descriptors, by how the CSS is organised. */
  classic?: ClassicForm | undefined;
}

export interface FallbackResult {
  fallbackVersion: 1;
  faces: {
    /** As the user would write it. */
    input: string;
    family: string;
    /** What the rules declare, to follow the family in stacks. */
    standIn: string;
    /** As in `700 italic`. */
    face: string;
    bands: StandInBand[];
  }[];
  /** What still moves, by page and width; empty without a site. */
  pages: PageMoves[];
  /** `@font-face` rules of families that follow the faces' own in stacks; then those for browsers that lack the descriptors. */
  rules: string;
  findings: Finding[];
}

interface NamedFace extends StandInFace {
  input: string;
  /** What its state is named by on the root. */
  state: string;
}

/**
 * The stand-ins of faces: for each system the local font that fits best, and the descriptors that make lines break alike.
 *
 * @throws DenseGlyphError with the file named
 * @example const { rules, pages } = await fallback({ fonts: ['fonts'], folder: process.cwd(), site: 'site' });
 */
export async function fallback(request: FallbackRequest, progress?: OnProgress): Promise<FallbackResult> {
  const { folder, languages = ['en'], css } = request;
  const findings: Finding[] = [];
  const { faces, root } = await facesOf(request, findings);
  const measured = await measuredFonts(request);
  const read =
    root === undefined ? [] : await siteParagraphs(await readSite([root], folder), faces, progress);
  const { standIns, moves } = fittedStandIns(faces, read, languages, measured);
  for (const [face, bands] of standIns)
    if (bands.every((band) => band.standIns.length === 0))
      findings.push(
        finding('no-stand-in', `no local font is known that could stand in for ${labelOf(face)}`, {
          file: face.input,
        }),
      );
  const { classic } = request;
  const rules = [
    ...faces.flatMap((face) => rulesOf(face, standIns.get(face) ?? [])),
    ...(classic
      ? [
          classicRules(
            classic,
            standIns,
            read.flatMap(({ paragraphs }) => paragraphs),
          ),
        ]
      : []),
  ].join('\n');
  if (css !== undefined) writeWhole(resolve(folder, css), rules);
  return {
    fallbackVersion: 1,
    faces: faces.map((face) => ({
      input: face.input,
      family: face.family,
      standIn: standInFamily(face.family),
      face: faceLabel(face),
      bands: standIns.get(face) ?? [],
    })),
    pages: moves,
    rules,
    findings,
  };
}

const labelOf = (face: NamedFace) => `${face.family} ${faceLabel(face)}`;

function rulesOf(face: NamedFace, bands: readonly StandInBand[]): string[] {
  const { family, style, stretch, font } = face;
  const characters = mappedCharacters(font).ranges();
  const rule = { family: standInFamily(family), style, stretch, characters };
  return bands.flatMap(({ weight, standIns }) =>
    standIns.flatMap((one) => standInRules({ ...rule, weight }, one)),
  );
}

/** Faces that are named, or those of the config, with the site that they are for. */
async function facesOf(
  { fonts, folder, config: file, site }: FallbackRequest,
  findings: Finding[],
): Promise<{ faces: NamedFace[]; root: string | undefined }> {
  const trouble = ({ reason, place }: DenseGlyphError) =>
    findings.push(finding('file-passed-over', reason, { ...place }));
  if (fonts.length > 0) {
    const sources = await openSources(fonts, folder, trouble);
    return { faces: sources.map(namedFace).filter(isText), root: site };
  }
  const { config, base } = await loadConfig(folder, file);
  const sources: Source[][] = [];
  for (const { files } of config.families) sources.push(await openSources(files, base, trouble));
  const faces = chosenFaces(config, sources).flatMap(({ stack, role, group, faces: own }) =>
    own.map(({ source, family, weight, style, stretch, descriptors }): NamedFace => {
      const { path: input, font } = source;
      return { input, family, weight, style, stretch, descriptors, stack, state: group ?? role, font };
    }),
  );
  return {
    faces: faces.filter(isText),
    root: site ?? (config.site?.root === undefined ? undefined : resolve(base, config.site.root)),
  };
}

/** Nothing local stands in for pictures. */
const isText = ({ stack }: NamedFace): boolean => !stack.includes('icons');

function namedFace(source: Source): NamedFace {
  const { path: input, face, font } = source;
  const { family, weight, style, stretch } = face;
  return {
    input,
    family,
    weight,
    style,
    stretch,
    stack: [family, kindOf(family, source)],
    state: slug(family),
    font,
  };
}

async function measuredFonts({ measure = [], folder }: FallbackRequest): Promise<MeasuredFont[]> {
  if (measure.length === 0) return [];
  const sources = await openSources(measure, folder);
  return sources.map(({ face, font }) => {
    const { family, weight, style } = face;
    const table = font.optional(name);
    const called = (id: number) => (table ? (nameOf(table, id) ?? '') : '');
    return {
      name: family,
      names: [...new Set([called(nameID.fullName), called(nameID.postScriptName), family])].filter(Boolean),
      weight: weight[0],
      italic: style !== 'normal',
      font,
    };
  });
}
