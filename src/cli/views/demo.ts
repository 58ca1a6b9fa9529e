import colors from 'picocolors';
import { join, relative } from 'node:path';
import type { DemoResult } from '../../app/demo.js';
import { planText } from './plan.js';
import { kilobytes } from '../../core/text/amounts.js';
import { count } from './words.js';

/** The job as a story: each step with the command that does it, and what it gave. */
export function demoLines(
  {
    folder,
    site,
    before,
    kit,
    facts,
    pages,
    scanned,
    adopted,
    config,
    manifest,
    wired,
    scannedAgain,
  }: DemoResult,
  from: string,
  host: { styles: string; files: string },
): string[] {
  const shown = (path: string) => shortest(path, from);
  const hosts = [host.styles, host.files].map((origin) => new URL(origin).host);
  const step = (command: string, ...lines: string[]) => [
    `${colors.dim('$')} ${colors.bold(`dense-glyph ${command}`)}`,
    ...lines.map((line) => `    ${line}`),
    '',
  ];
  const hosted = scanned.findings.filter(({ code }) => code === 'hosted-reference').length;
  const bytes = adopted.faces.reduce((sum, one) => sum + one.bytes, 0);
  const [heaviest] = manifest.pages;
  return [
    `The site of a ferry co-operative, ${count(pages.length, 'page')} in English, Greek and Polish. Its faces come from`,
    'another host, for which a stand-in runs on this machine.',
    '',
    `${colors.dim('$')} ${colors.bold(`cd ${shown(folder) || '.'}`)}`,
    ...step(
      'scan site',
      `${count(scanned.findings.length, 'finding')}: ${hosted} of them references to ${hosts[0]}, which text waits for`,
    ),
    ...step(
      `adopt site --out fonts --allow-host ${hosts.join(' ')}`,
      `${count(adopted.fetched, 'file')} brought home, ${kilobytes(bytes)}, with a ledger of where they came from`,
    ),
    ...step(
      'init fonts --site site',
      `${config}: ${manifest.families.map(({ family, role }) => `${family} for ${role}`).join(', ')}`,
    ),
    ...step(
      'build',
      `${count(Object.keys(manifest.files).length, 'file')} in ${kit.replaceAll('\\', '/')}; a visit fetches ${heaviest ? kilobytes(heaviest.bytes) : 'nothing'} at most, in the place of ${kilobytes(bytes)}`,
      ...(manifest.plan ? [planText(manifest.plan)] : []),
    ),
    ...step(
      'wire',
      `${count(wired.files.length, 'file')} changed: the kit is in, the other host is out; wire --undo brings them back`,
    ),
    ...step(
      'scan site',
      scannedAgain.findings.length === 0
        ? `${count(scannedAgain.faces.filter(({ drawnBy }) => drawnBy).length, 'face')} drawn from the site’s own files; nothing is wrong`
        : count(scannedAgain.findings.length, 'finding'),
    ),
    `Before  ${shown(join(before, 'index.html'))}`,
    `After   ${shown(join(site, 'index.html'))}`,
    `Proof   ${shown(join(folder, facts, 'proof.html'))}`,
  ];
}

/** A path as seen from a folder, unless it leads out of it. */
function shortest(path: string, folder: string): string {
  const inside = relative(folder, path);
  return inside && !inside.startsWith('..') ? inside : path;
}
