import { sha256 } from '../digest.js';
import type { MadeKit } from '../made.js';

/** ledger.json: where each file came from, and who says that it may be used. */
export function ledgerFile(kit: MadeKit): string {
  const entries = kit.families.flatMap(({ family, faces }) =>
    faces.map(({ part, rest, older, source, rights }) => ({
      file: part.file,
      sha256: part.sha256,
      // What the face has beyond what the pages draw.
      ...(rest ? { rest: { file: rest.file, sha256: rest.sha256 } } : {}),
      // The same face in formats for older browsers.
      ...(older.length > 0
        ? { older: older.map(({ file, sha256: digest }) => ({ file, sha256: digest })) }
        : {}),
      family,
      source: { path: source.path, bytes: source.size, sha256: sha256(source.bytes) },
      // What the font file says of itself; left out where it says nothing.
      stated: {
        copyright: source.licence.copyright,
        trademark: source.licence.trademark,
        licence: source.licence.licence,
        licenceUrl: source.licence.licenceUrl,
        embedding: source.licence.embedding,
      },
      licenceTexts: source.licenceTexts.flatMap(({ path }) => kit.licences.get(path) ?? []),
      /** The statement in the config, or null where nobody made one. */
      rights: rights ?? null,
    })),
  );
  return `${JSON.stringify({ ledgerVersion: 1, entries }, null, 2)}\n`;
}
