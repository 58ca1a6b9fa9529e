// Public sites from packages, and packages whose stylesheets hosts serve
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { root } from '../../test-support/paths.js';
import type { HostedPackage } from './stand-in.js';

export interface PublicSite {
  slug: string;
  /** With its version. */
  package: string;
  /** What is served as a site, in the package; all of it if left out. */
  root?: string;
  /** Globs; all of its pages if left out. */
  pages?: string[];
}

interface List {
  sites: PublicSite[];
  /** Stylesheets that sites ask of hosts, by a pattern of their addresses. */
  hosted: { pattern: string; package: string; file?: string }[];
}

const { sites, hosted } = JSON.parse(readFileSync(join(root, 'tools/homecoming/sites.json'), 'utf8')) as List;

export const publicSites: readonly PublicSite[] = sites;

/** Where a package is, unpacked; fetched where it isn't here yet. @throws Error where it can't be had */
function packageFolder(name: string): string {
  const [own, version] = name.split(/(?!^)@/);
  const installed = join(root, 'node_modules', own);
  if (existsSync(installed) && versionOf(installed) === version) return installed;
  const folder = join(root, 'build/public', name.replace(/[/@]+/g, '-').replace(/^-/, ''));
  if (existsSync(folder)) return folder;
  const making = `${folder}.making`;
  rmSync(making, { recursive: true, force: true });
  mkdirSync(making, { recursive: true });
  const packed = run('npm', ['pack', name, '--silent', '--pack-destination', making]);
  const archive = packed.trim().split('\n').at(-1)!;
  run('tar', ['xzf', join(making, archive), '-C', making, '--strip-components=1', '--no-same-owner']);
  run('chmod', ['-R', 'u+rwX', making]);
  rmSync(join(making, archive));
  renameSync(making, folder);
  return folder;
}

const versionOf = (folder: string): string =>
  (JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8')) as { version: string }).version;

export const siteFolder = (site: PublicSite): string => join(packageFolder(site.package), site.root ?? '.');

export const hostedPackages = (): HostedPackage[] =>
  hosted.map(({ pattern, package: name, file }) => ({
    pattern: new RegExp(pattern),
    folder: packageFolder(name),
    file,
  }));

function run(command: string, args: readonly string[]): string {
  const { status, stdout, stderr } = spawnSync(command, args, { encoding: 'utf8' });
  if (status !== 0) throw new Error(`${command} ${args.slice(0, 2).join(' ')}: ${stderr.trim()}`);
  return stdout;
}
