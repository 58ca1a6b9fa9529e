// Homecoming on many public sites, a row for each
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from '../../test-support/paths.js';
import { homecoming, type HomecomingReport, type HomecomingRequest } from './loop.js';
import { hostedPackages, publicSites, siteFolder, type PublicSite } from './public-sites.js';

export type AllRequest = Pick<HomecomingRequest, 'mostPages' | 'engines' | 'caching' | 'say'> & {
  /** Those that are looked at; all if none is named. */
  slugs: readonly string[];
  /** Where copies, what commands said and pictures that differ stay. */
  keep?: string | undefined;
};

/** @returns how many sites have problems */
export async function allSites({ slugs, keep, ...request }: AllRequest): Promise<number> {
  const sites = publicSites.filter(({ slug }) => slugs.length === 0 || slugs.includes(slug));
  const rows: string[] = [];
  let troubled = 0;
  for (const site of sites) {
    const problems: string[] = [];
    let report: HomecomingReport | undefined;
    try {
      report = await onSite(site, { ...request, keep: keep && join(keep, site.slug) });
      problems.push(...report.problems);
    } catch (cause) {
      problems.push(String(cause));
    }
    if (problems.length > 0) troubled++;
    rows.push(rowOf(site, report, problems.length));
    request.say(rows.at(-1)!);
    for (const problem of problems) request.say(`  ! ${problem}`);
  }
  const table = [
    '| site | pictures | the same | stylesheets and fonts before | after | hosts before | after | problems |',
    '| --- | --- | --- | --- | --- | --- | --- | --- |',
    ...rows,
  ].join('\n');
  mkdirSync(join(root, 'build'), { recursive: true });
  writeFileSync(join(root, 'build/homecoming.md'), `${table}\n`);
  request.say(
    `${sites.length - troubled} of ${sites.length} sites as before; build/homecoming.md has the table`,
  );
  return troubled;
}

const onSite = (site: PublicSite, request: Omit<AllRequest, 'slugs'>): Promise<HomecomingReport> =>
  homecoming({
    ...request,
    site: siteFolder(site),
    pages: site.pages ?? [],
    runsScripts: true,
    widths: [1280, 390],
    packages: hostedPackages(),
    isCutApart: true,
    isTrimmed: true,
  });

const kilobytes = (bytes: number) => `${(bytes / 1000).toFixed(1)} kB`;

function rowOf({ slug }: PublicSite, report: HomecomingReport | undefined, problems: number): string {
  if (!report) return `| ${slug} | – | – | – | – | – | – | ${problems} |`;
  const { pictures, differing, bytesBefore, bytesAfter, hostsBefore, hostsAfter } = report;
  const bytes = [bytesBefore, bytesAfter].map(kilobytes).join(' | ');
  return `| ${slug} | ${pictures} | ${pictures - differing} | ${bytes} | ${hostsBefore} | ${hostsAfter} | ${problems} |`;
}
