import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { tree } from './cli.js';

type Naming = readonly [file: string, pattern: RegExp];

/** Files that name others, with how they do it; those of the kit itself, and its facts. */
const published: readonly Naming[] = [['kit.css', /url\("([^"]+)"\)/g]];
const facts: readonly Naming[] = [
  ['head.html', /href="[^"]*?((?:faces\/|kit\.css)[^"]*)"/g],
  ['kit.mjs', /"file": "([^"]+)"/g],
  ['proof.html', /data-file="([^"]+)"/g],
  ['ledger.json', /"((?:faces|licences)\/[^"]+)"/g],
  ['kit.json', /"((?:faces|licences)\/[^"]+)"/g],
];

/** What is wrong with a kit: files that something of it names and that aren't there or aren't whole. @param factsFolder where its facts lie */
export function brokenIn(kit: string, factsFolder: string): string[] {
  const broken: string[] = [];
  const named = [
    ...published.map((one) => [kit, ...one] as const),
    ...facts.map((one) => [factsFolder, ...one] as const),
  ];
  for (const [folder, file, pattern] of named) {
    if (!existsSync(join(folder, file))) {
      broken.push(`${file} is not there`);
      continue;
    }
    const text = readFileSync(join(folder, file), 'utf8');
    const found = new Set(Array.from(text.matchAll(pattern), ([, path]) => path));
    if (found.size === 0) broken.push(`${file} names nothing`);
    for (const path of found) if (!isWhole(join(kit, path))) broken.push(`${file} names ${path}`);
  }
  return broken;
}

/** Whether a file is there, with the content that its name states. */
function isWhole(path: string): boolean {
  if (!existsSync(path)) return false;
  const digest = /-([0-9a-f]{8})\.\w+$/.exec(path)?.[1];
  const actual = createHash('sha256').update(readFileSync(path)).digest('hex');
  return digest === undefined || actual.startsWith(digest);
}

/** What lies beside facts and is none: what a call that was ended left there. */
export const stateIn = (folder: string): string[] =>
  existsSync(folder)
    ? readdirSync(folder).filter(
        (name) => !['README.txt', 'kit.d.mts', ...facts.map(([file]) => file)].includes(name),
      )
    : [];

/** Files and folders whose names begin with a dot. */
export const hiddenIn = (folder: string): string[] =>
  existsSync(folder)
    ? readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter((path) => /(^|\/)\./.test(path))
    : [];

/** All files below a folder with their digests. */
export const contentOf = (folder: string): string[] =>
  tree(folder).map(
    (path) =>
      `${path} ${createHash('sha256')
        .update(readFileSync(join(folder, path)))
        .digest('hex')}`,
  );
