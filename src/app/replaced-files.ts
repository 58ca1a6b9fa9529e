import type { AdoptedFace, AdoptedLedger, ReplacedFile } from './adopted-ledger.js';

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
    const { file, family, weight, style, stretch, unicodeRange } = face;
    const own = { weight, style, stretch, unicodeRange };
    const said = Object.entries(own).filter(([, value]) => value !== undefined);
    found.set(file, { file, family, ...Object.fromEntries(said), by: by.map((one) => one.file) });
  };
  for (const face of earlier?.adopted ?? [])
    note(
      face,
      adopted.filter((one) => one.from === face.from && one.family === face.family),
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

const isSameFace = (a: AdoptedFace, b: AdoptedFace): boolean =>
  a.family === b.family && a.weight === b.weight && a.style === b.style && a.stretch === b.stretch;
