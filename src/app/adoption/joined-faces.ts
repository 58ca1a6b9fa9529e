import { resolve } from 'node:path';
import pMap from 'p-map';
import { writeFont } from '../../core/containers/index.js';
import { faceKey } from '../../core/face/index.js';
import { joinFonts } from '../../core/join/index.js';
import type { Font } from '../../core/sfnt/font.js';
import { DenseGlyphError } from '../../errors.js';
import { filesOf } from '../../io/earlier-files.js';
import { processors } from '../../io/processors.js';
import { writeWhole } from '../../io/write-whole.js';
import { sha256 } from '../../kit/digest.js';
import { faceRuleOf } from '../../site/usage/declared-faces.js';
import type { FontFaceDescriptors } from '../../site/css/rules.js';
import { adoptedName } from './names.js';
import {
  adoptedRule,
  ruleKey,
  type AdoptedLedger,
  type AdoptedRule,
  type JoinedFile,
} from '../project/ledger.js';
import { Steps, type OnProgress } from '../progress.js';
import { spannedFace } from './spanned-face.js';

/** A partial file, as its rule declares it. */
export interface BroughtPart {
  face: FontFaceDescriptors;
  /** In the folder. */
  file: string;
  font: Font;
}

/** A face whose partial files go on as they are. */
export interface FaceInParts {
  rule: AdoptedRule;
  files: number;
  /** To follow on «because». */
  why: string;
}

/** Partial files that make one, and the faces that rules declare of them. */
interface PartialFiles {
  parts: BroughtPart[];
  faces: FontFaceDescriptors[];
}

/**
 * Joins the partial files of each face to one, where nothing is lost by it, and writes it. What an earlier call joined of the
 * same files stays as it is.
 *
 * @param brought all files of the call, in the order of their rules
 * @param missing faces of which a file could not be had
 * @param out absolute
 */
export async function joinedFaces(
  brought: readonly BroughtPart[],
  missing: readonly FontFaceDescriptors[],
  out: string,
  earlier: AdoptedLedger | undefined,
  progress?: OnProgress,
): Promise<{ joined: JoinedFile[]; inParts: FaceInParts[] }> {
  const read = filesOf(out);
  const groups = byFiles(partsByFace(brought));
  const steps = new Steps(
    'joining partial files',
    groups.map(({ parts }) => parts.length),
    progress,
  );
  const isMissing = new Set(missing.map(partKey));
  // Most of the time is compressing, in threads of its own.
  const made = await pMap(
    groups,
    async (group): Promise<JoinedFile | FaceInParts> => {
      const { parts, faces } = group;
      steps.begin(faces[0].family);
      const from = parts.map(({ file }) => file);
      const known = earlier?.joined?.find((one) => one.from.join() === from.join());
      const there = known && read(known.file);
      const one =
        known && there && sha256(there) === known.sha256
          ? { ...known, rules: rulesOf(group) }
          : await joinedOrNot(
              group,
              from,
              faces.some((face) => isMissing.has(partKey(face))),
              out,
            );
      steps.end(parts.length);
      return one;
    },
    { concurrency: processors() },
  );
  return {
    joined: made.filter((one) => 'from' in one),
    inParts: made.filter((one) => 'why' in one),
  };
}

/** What rules declare of the joined file: for all of its characters. */
const rulesOf = ({ faces }: PartialFiles): AdoptedRule[] => {
  const rules = faces.map((face) => adoptedRule({ ...face, unicodeRange: undefined }));
  return [...new Map(rules.map((rule) => [ruleKey(rule), rule])).values()];
};

/** Writes the file where there is one. */
async function joinedOrNot(
  group: PartialFiles,
  from: string[],
  isMissing: boolean,
  out: string,
): Promise<JoinedFile | FaceInParts> {
  const { parts, faces } = group;
  const rules = rulesOf(group);
  const why = (reason: string) => ({ rule: rules[0], files: parts.length, why: reason });
  if (isMissing) return why('one of them could not be had');
  const result = joinedFont(parts);
  if ('hindrance' in result) return why(result.hindrance);
  const { bytes } = await writeFont(result.font, 'woff2');
  const digest = sha256(bytes);
  const file = adoptedName({ ...spannedFace(faces[0], faces), unicodeRange: undefined }, digest, 'woff2');
  writeWhole(resolve(out, file), bytes);
  return { file, sha256: digest, bytes: bytes.length, rules, from };
}

/** Faces that several files make, each for characters of its own; not where one of the files is for all. */
function partsByFace(brought: readonly BroughtPart[]): BroughtPart[][] {
  const groups = new Map<string, BroughtPart[]>();
  const whole = new Set<string>();
  for (const part of brought) {
    const key = partKey(part.face);
    if (part.face.unicodeRange === undefined) whole.add(key);
    const group = groups.get(key) ?? [];
    // A rule may be asked for in several formats, and by several stylesheets.
    if (!group.some(({ file, face }) => file === part.file || face.unicodeRange === part.face.unicodeRange))
      group.push(part);
    groups.set(key, group);
  }
  return [...groups].filter(([key, group]) => group.length > 1 && !whole.has(key)).map(([, group]) => group);
}

/** Faces of the same files are one: a host may name variable files once for each weight. */
function byFiles(groups: readonly BroughtPart[][]): PartialFiles[] {
  const found = new Map<string, PartialFiles>();
  for (const parts of groups) {
    const key = JSON.stringify(parts.map(({ file }) => file));
    const known = found.get(key);
    if (known) known.faces.push(parts[0].face);
    else found.set(key, { parts, faces: [parts[0].face] });
  }
  return [...found.values()];
}

/** What parts of one face have in common. */
const partKey = (face: FontFaceDescriptors): string => {
  const rule = faceRuleOf(face);
  return JSON.stringify([faceKey(rule), rule.descriptors]);
};

function joinedFont(group: readonly BroughtPart[]): ReturnType<typeof joinFonts> {
  try {
    return joinFonts(group.map(({ face, font }) => ({ font, ranges: faceRuleOf(face).characters })));
  } catch (cause) {
    if (cause instanceof DenseGlyphError) return { hindrance: cause.reason };
    throw cause;
  }
}
