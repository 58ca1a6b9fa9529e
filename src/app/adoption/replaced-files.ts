import { ruleKey, type AdoptedFace, type AdoptedLedger, type ReplacedFile } from '../project/ledger.js';

/**
 * @param earlier the ledger as it was
 * @param now as it is
 * @param isThere whether a file of the folder still is
 */
export function replacedFiles(
  earlier: AdoptedLedger | undefined,
  now: AdoptedLedger,
  isThere: (file: string) => boolean,
): ReplacedFile[] {
  const { adopted, joined = [] } = now;
  const files = new Set([...adopted, ...joined].map(({ file }) => file));
  const found = new Map<string, ReplacedFile>();
  const note = (face: AdoptedFace, by: readonly AdoptedFace[]) => {
    const { file, rules } = face;
    found.set(file, { file, rules, by: by.map((one) => one.file) });
  };
  for (const face of earlier?.adopted ?? [])
    note(
      face,
      adopted.filter((one) => one.from === face.from && familyOf(one) === familyOf(face)),
    );
  for (const face of earlier?.joined ?? []) {
    const whole = joined.filter((one) => isSameFace(one, face));
    note(face, whole.length > 0 ? whole : adopted.filter((one) => isSameFace(one, face)));
  }
  for (const face of earlier?.replaced ?? []) {
    const by = face.by.flatMap((one) => (files.has(one) ? [one] : (found.get(one)?.by ?? [])));
    found.set(face.file, { ...face, by });
  }
  return [...found.values()].filter(({ file, by }) => !files.has(file) && by.length > 0 && isThere(file));
}

const familyOf = ({ rules: [{ family }] }: AdoptedFace): string => family.toLowerCase();

const isSameFace = (a: AdoptedFace, b: AdoptedFace): boolean => {
  const keys = new Set(a.rules.map(ruleKey));
  return b.rules.every((rule) => keys.has(ruleKey(rule)));
};
