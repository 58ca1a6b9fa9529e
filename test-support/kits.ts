// Kits of the sample that several tests look at: each is made once, and kept by what it is made from
import { createHash } from 'node:crypto';
import {
  appendFileSync,
  cpSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { join } from 'node:path';
import { cli, tree } from './cli.js';
import { root } from './paths.js';

/** What the config of the demo says besides, by the name of the kit. */
const kits = {
  demo: '',
  /** Whole fonts, for texts that no page has. */
  whole: 'characters: { fromSite: false }',
  /** Whole files beside the parts, for browsers of old. */
  old: 'reach: [defaults, ie 11]',
  cut: 'rest: keep',
  few: 'characters: { fromSite: false, also: etaoin }\nrest: drop',
} as const;

export type KitName = keyof typeof kits;

const keptIn = join(root, 'build/kits');

/** Of the program, and of what the demo is made of. */
function digest(): string {
  const hash = createHash('sha256').update(JSON.stringify(kits));
  for (const folder of ['build/src', 'dist/bin', 'sample'])
    for (const path of tree(join(root, folder)))
      hash.update(path).update(readFileSync(join(root, folder, path)));
  return hash.digest('hex').slice(0, 16);
}

/** Makes those that aren't there; called before all tests. */
export async function makeKits(): Promise<void> {
  const own = digest();
  process.env.DENSE_GLYPH_KITS = join(keptIn, own);
  if (existsSync(join(keptIn, own))) return;
  mkdirSync(keptIn, { recursive: true });
  for (const name of readdirSync(keptIn)) removeOld(join(keptIn, name));
  const making = join(keptIn, `making-${process.pid}`);
  mkdirSync(making, { recursive: true });
  await called(['demo', '--out', 'demo'], making);
  for (const [name, keys] of Object.entries(kits)) {
    if (keys === '') continue;
    cpSync(join(making, 'demo'), join(making, name), { recursive: true });
    appendFileSync(join(making, name, 'dense-glyph.config.yaml'), `${keys}\n`);
    for (const command of ['build', 'wire']) await called([command], join(making, name));
  }
  renameSync(making, join(keptIn, own));
}

/** Another run may be at work with others. */
function removeOld(folder: string): void {
  const age = Date.now() - statSync(folder).mtimeMs;
  if (age > 3_600_000) rmSync(folder, { recursive: true, force: true });
}

async function called(args: readonly string[], folder: string): Promise<void> {
  const { code, err } = await cli([...args, '--quiet'], folder);
  if (code !== 0 || err !== '') throw new Error(`${args.join(' ')}: ${code} ${err}`);
}

/** The demo with one of the kits, as a project of its own. @param folder it is written to, where it isn't yet */
export function copyKit(name: KitName, folder: string): void {
  const from = join(process.env.DENSE_GLYPH_KITS!, name);
  mkdirSync(folder, { recursive: true });
  for (const entry of readdirSync(from)) cpSync(join(from, entry), join(folder, entry), { recursive: true });
}
