import { basename } from 'node:path';
import { slug } from '../core/face/slug.js';
import { headFile } from './files/head.js';
import { ledgerFile } from './files/ledger.js';
import { manifestOf, type Manifest } from './files/manifest.js';
import { moduleFiles } from './files/module.js';
import { proofFile } from './files/proof.js';
import { stylesheetFile } from './files/stylesheet.js';
import { faceLabel, type KitPlan, type PlannedFace } from './plan.js';
import type { KitAddress, LeftOutFace, MadeFace, MadeFamily, MadeKit } from './made.js';
import { inFile } from '../errors.js';
import { atOnce } from './at-once.js';
import { madeFromOf, type EarlierParts } from './earlier.js';
import { cutParts, makePart } from './part.js';
import type { Reach, ReachedFormat } from './reach.js';

export interface KitRequest {
  plan: KitPlan;
  reach: Reach;
  address: KitAddress;
  /** Of this program, for the manifest. */
  version: string;
  /** How many processors compress. */
  processors: number;
  /** What an earlier build made, by what it was made from. */
  earlier?: ReadonlyMap<string, EarlierParts>;
  /** What it said that faces would weigh that were left out. */
  earlierCosts?: ReadonlyMap<string, number>;
  /** Called when a face is begun, and when it is done. */
  begin?: (face: PlannedFace) => void;
  end?: (face: PlannedFace) => void;
}

/** The kit as files in memory, by path inside it, and its manifest. The same plan gives the same bytes. */
export async function makeKit({
  plan,
  reach,
  address,
  version,
  processors,
  earlier,
  earlierCosts,
  begin,
  end,
}: KitRequest): Promise<{ files: Map<string, Uint8Array>; manifest: Manifest }> {
  const planned = plan.families.flatMap(({ faces }) => faces);
  const made = await atOnce(
    planned,
    ({ source }) => source.size,
    async (face) => {
      begin?.(face);
      const madeFrom = madeFromOf(face, reach.formats, version);
      const before = earlier?.get(madeFrom);
      const parts = before ?? (await makeParts(face, reach.formats));
      const result: MadeFace = { ...face, ...parts, madeFrom };
      end?.(face);
      return result;
    },
    processors,
  );
  const families = plan.families.map((family): MadeFamily => ({
    ...family,
    faces: family.faces.map((face) => made[planned.indexOf(face)]),
  }));
  const costOf = async (face: PlannedFace): Promise<LeftOutFace> => {
    const madeFrom = madeFromOf(face, reach.formats, version);
    const bytes = earlierCosts?.get(madeFrom) ?? (await weightOf(face));
    return { family: face.family, face: faceLabel(face), bytes, madeFrom };
  };
  const leftOut = await atOnce(plan.leftOut ?? [], ({ source }) => source.size, costOf, processors);
  const kit: MadeKit = { families, leftOut, reach, address, licences: new Map(), files: new Map() };
  for (const { faces } of families) {
    for (const { part, rest, older } of faces) {
      for (const { file, bytes } of [part, ...(rest ? [rest] : []), ...older]) kit.files.set(file, bytes);
    }
  }
  addLicences(kit);
  const text = (path: string, content: string) => kit.files.set(path, new TextEncoder().encode(content));
  text('kit.css', stylesheetFile(kit));
  text('kit.head.html', headFile(kit));
  text('ledger.json', ledgerFile(kit));
  for (const [path, content] of moduleFiles(kit)) text(path, content);
  text('proof.html', proofFile(kit));
  const manifest = manifestOf(kit, version);
  text('kit.json', `${JSON.stringify(manifest, null, 2)}\n`);
  return { files: kit.files, manifest };
}

/** What pages would fetch of a face. */
async function weightOf(face: PlannedFace): Promise<number> {
  const { part } = await makeParts(face, [{ format: 'woff2', browsers: [] }]);
  return part.bytes.length;
}

function makeParts(face: PlannedFace, formats: readonly ReachedFormat[]): Promise<EarlierParts> {
  return inFile(face.source.path, async () => {
    const cut = face.wanted && (await cutParts(face, face.wanted));
    const isCut = cut !== undefined && 'part' in cut;
    const whole = await Promise.all(
      formats
        .filter(({ format }) => !isCut || format !== 'woff2')
        .map(({ format }) => makePart(face, format)),
    );
    // Browsers that take older formats know no parts.
    if (isCut) return { ...cut, older: whole };
    const [part, ...older] = whole;
    return { part, older, wholeReason: cut?.wholeReason };
  });
}

/** Texts of the same name but different content keep apart by the family's name. */
function addLicences(kit: MadeKit): void {
  for (const { family, faces } of kit.families) {
    for (const { path: origin, bytes } of faces.flatMap(({ source }) => source.licenceTexts)) {
      if (kit.licences.has(origin)) continue;
      let path = `licences/${basename(origin)}`;
      const taken = kit.files.get(path);
      if (taken && Buffer.compare(taken, bytes) !== 0) path = `licences/${slug(family)}-${basename(origin)}`;
      kit.files.set(path, bytes);
      kit.licences.set(origin, path);
    }
  }
}
