import { parseUnicodeRanges } from '../core/text/parse-ranges.js';
import { sha256 } from './digest.js';
import type { Manifest, ManifestPart } from './files/manifest.js';
import type { CutFace } from './planning/cut.js';
import type { MadeParts, Part } from './planning/made.js';
import type { ReachedFormat } from './reach.js';

/** All that decides the bytes of a face's parts, as a digest. @param version of this program @param steps at which its axis stops */
export function madeFromOf(
  { source, family, weight, style, stretch, cut: wanted }: CutFace,
  formats: readonly ReachedFormat[],
  version: string,
  steps?: readonly number[],
): string {
  const cut = wanted && [
    wanted.characters.toJSON(),
    [...wanted.marked].sort(),
    wanted.features,
    wanted.keepsRest,
    wanted.alphabets && [wanted.alphabets.sets.map((set) => set.toJSON()), wanted.alphabets.mostBytes],
  ];
  const all = [
    version,
    sha256(source.bytes),
    source.path,
    source.ranges?.toJSON() ?? null,
    family,
    weight,
    style,
    stretch,
    formats.map(({ format }) => format),
    cut ?? null,
    ...(steps ? [steps] : []),
  ];
  return sha256(new TextEncoder().encode(JSON.stringify(all)));
}

/**
 * What an earlier build made, by what it was made from; files that aren't as the manifest says are left out.
 *
 * @param read a file of the kit
 */
export function earlierParts(
  manifest: Manifest,
  read: (file: string) => Uint8Array | undefined,
): Map<string, MadeParts> {
  const found = new Map<string, MadeParts>();
  for (const { faces } of manifest.families) {
    for (const { madeFrom, parts } of faces) {
      const made = parts.map((part) => partOf(part, read));
      if (!made.every((part) => part !== undefined)) continue;
      if (made.length > 0) found.set(madeFrom, { parts: made });
    }
  }
  return found;
}

/** What an earlier build said that faces would weigh, by what they would be made from. */
export const earlierCosts = ({ leftOut }: Manifest): Map<string, number> =>
  new Map(leftOut.map(({ madeFrom, bytes }) => [madeFrom, bytes]));

function partOf(
  { file, slice, format, sha256: digest, characters, stillBytes, completed, apart, findings }: ManifestPart,
  read: (file: string) => Uint8Array | undefined,
): Part | undefined {
  const bytes = read(file);
  if (!bytes || sha256(bytes) !== digest) return undefined;
  const ranges = parseUnicodeRanges(characters).ranges();
  return {
    file,
    slice,
    format,
    bytes,
    sha256: digest,
    characters: ranges,
    apart,
    stillBytes,
    completed: completed && { ...completed, characters: parseUnicodeRanges(completed.characters).ranges() },
    findings,
  };
}
