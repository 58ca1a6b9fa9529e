import type { MadeKit } from '../kit.js';
import { headFile } from './head.js';
import { ledgerFile } from './ledger.js';
import { manifestFile, type Manifest } from './manifest.js';
import { moduleFiles } from './module.js';
import { proofFile } from './proof.js';

const readMe = `What dense-glyph knows of the kit and what nobody downloads. Commit all of it but memory/ and cache/:
the next build, wire and the plugins go by it. proof.html shows every face. memory/ is what wire --undo
brings back on this machine; cache/ can go at any time. The kit itself, which is published, is elsewhere:
output.folder in the config says where.
`;

/** What is known of a kit and isn't published, by name; kit.json last, as it says that the others are there. */
export function factsOf(kit: MadeKit, manifest: Manifest): Map<string, Uint8Array> {
  const texts: [name: string, text: string][] = [
    ['README.txt', readMe],
    ['head.html', headFile(kit)],
    ['ledger.json', ledgerFile(kit)],
    ...moduleFiles(kit),
    ['proof.html', proofFile(kit)],
    manifestFile(manifest),
  ];
  return new Map(texts.map(([name, text]) => [name, new TextEncoder().encode(text)]));
}
