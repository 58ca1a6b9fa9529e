import { sha256 } from '../digest.js';
import type { MadeKit } from '../kit.js';
import { fetchedPart, olderParts, restOf, type MadeFace } from '../planning/made.js';

/** ledger.json: where each file came from, and who says that it may be used. */
export function ledgerFile(kit: MadeKit): string {
  const entries = kit.families.flatMap(({ family, faces }) =>
    faces.map((face) => ({
      ...filesOf(face),
      family,
      source: { path: face.source.path, bytes: face.source.size, sha256: sha256(face.source.bytes) },
      // What the font file says of itself; left out where it says nothing.
      stated: {
        copyright: face.source.licence.copyright,
        trademark: face.source.licence.trademark,
        licence: face.source.licence.licence,
        licenceUrl: face.source.licence.licenceUrl,
        embedding: face.source.licence.embedding,
      },
      licenceTexts: face.source.licenceTexts.flatMap(({ path }) => kit.licences.get(path) ?? []),
      /** The statement in the config, or null where nobody made one. */
      rights: face.rights ?? null,
    })),
  );
  // Faces of one file stand there once.
  const known = new Map(entries.map((entry) => [`${entry.family} ${entry.file}`, entry]));
  return `${JSON.stringify({ ledgerVersion: 1, entries: [...known.values()] }, null, 2)}\n`;
}

function filesOf(face: MadeFace) {
  const named = ({ file, sha256: digest }: { file: string; sha256: string }) => ({ file, sha256: digest });
  const rest = restOf(face);
  const older = olderParts(face);
  return {
    ...named(fetchedPart(face)),
    // What the face has beyond what the pages draw.
    ...(rest ? { rest: named(rest) } : {}),
    // The same face in formats for older browsers.
    ...(older.length > 0 ? { older: older.map(named) } : {}),
  };
}
