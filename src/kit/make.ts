import { basename } from 'node:path';
import { writeFont } from '../core/containers/index.js';
import { rangesOf } from '../core/text/unicode-ranges.js';
import { cmap } from '../core/tables/index.js';
import { slug } from './config.js';
import { sha256 } from './digest.js';
import { headFile } from './files/head.js';
import { ledgerFile } from './files/ledger.js';
import { manifestFile } from './files/manifest.js';
import { moduleFiles } from './files/module.js';
import { proofFile } from './files/proof.js';
import { stylesheetFile } from './files/stylesheet.js';
import type { KitPlan, PlannedFace } from './plan.js';
import type { KitAddress, MadeFace, MadeFamily, MadeKit, Part } from './made.js';
import { inFile } from '../core/errors.js';

/** The kit as files in memory. The same plan gives the same bytes. */
export function makeKit(plan: KitPlan, address: KitAddress, version: string): Map<string, Uint8Array> {
  const families = plan.families.map((family): MadeFamily => ({
    ...family,
    faces: family.faces.map(makeFace),
  }));
  const kit: MadeKit = { families, address, licences: new Map(), files: new Map() };
  for (const { faces } of families) {
    for (const { part } of faces) kit.files.set(part.file, part.bytes);
  }
  addLicences(kit);
  const text = (path: string, content: string) => kit.files.set(path, new TextEncoder().encode(content));
  text('kit.css', stylesheetFile(kit));
  text('kit.head.html', headFile(kit));
  text('ledger.json', ledgerFile(kit));
  for (const [path, content] of moduleFiles(kit)) text(path, content);
  text('proof.html', proofFile(kit));
  text('kit.json', manifestFile(kit, version));
  return kit.files;
}

const slopeLetters = { normal: 'n', italic: 'i', oblique: 'o' } as const;

function makeFace(face: PlannedFace): MadeFace {
  const { source } = face;
  return inFile(source.path, () => {
    const { bytes, dropped } = writeFont(source.font, 'woff2');
    const digest = sha256(bytes);
    const [low, high] = face.weight;
    const weight = low === high ? `${low}` : `${low}-${high}`;
    const stretch = face.stretch[0] === 100 && face.stretch[1] === 100 ? '' : `-w${face.stretch.join('-')}`;
    const name = `${slug(face.family)}-${weight}${slopeLetters[face.style]}${stretch}-full-${digest.slice(0, 8)}.woff2`;
    const characters = [...cmap.mappingsOf(source.font.table(cmap))].map(([codePoint]) => codePoint);
    const part: Part = {
      file: `faces/${name}`,
      bytes,
      sha256: digest,
      characters: rangesOf(characters),
      dropped: [...source.dropped, ...dropped],
    };
    return { ...face, part };
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
