import { resolve } from 'node:path';
import { rangeText } from '../../core/face/index.js';
import { parseUnicodeRanges } from '../../core/text/parse-ranges.js';
import { rangesOf, unicodeRangeText } from '../../core/text/unicode-ranges.js';
import { loadConfig } from '../../config/load.js';
import { jsonText } from '../../core/text/json-text.js';
import { DenseGlyphError, withoutCredentials } from '../../errors.js';
import { writeWhole } from '../../io/write-whole.js';
import {
  faceRuleOf,
  fakedBy,
  matchedFace,
  type FaceRule,
  type MatchedFace,
} from '../../site/usage/declared-faces.js';
import type { DrawnPlace, PageFace } from '../../site/usage/page-face.js';
import type { FontFaceDescriptors } from '../../site/css/rules.js';
import { kitOverridden } from '../../kit/replacing/index.js';
import { siteFindings } from '../../site/usage/findings/index.js';
import { adoptedFolders, adoptedSheets } from '../project/adopted-sheets.js';
import { addSupplies } from '../project/font-supplies.js';
import { keptAsks, type KeptPage } from '../../kit/planning/kept-demand.js';
import { keptSetting } from '../../kit/planning/kept-setting.js';
import { demandingPage } from '../../kit/planning/plan.js';
import { Visits } from '../../kit/planning/visits.js';
import type { Site } from '../../site/scanning/site.js';
import { askedOfSetting, setPagesOf, settingOf } from '../project/reading/site-paragraphs.js';
import { openSite, type OpenedSite, type SiteRequest } from '../project/reading/open-site.js';
import { digestOf } from '../project/reading/page-digest.js';
import type { OnProgress } from '../progress.js';
import type { ScannedPage } from '../../site/scanning/page-scanner.js';
import type { DrawingFace, ScannedFace, ScanResult } from './scan-result.js';
import { scannedSite } from '../project/reading/scan-threads.js';

export interface ScanRequest extends SiteRequest {
  /** Whether to say which elements draw a face; implied by `page`. */
  places?: boolean | undefined;
  /** A page to write that shows the whole: faces by pages, characters with their places, findings with their source. */
  page?: string | undefined;
  /** A file that keeps the demand, for `site.demand` of a config: written whole, or left as it was. */
  save?: string | undefined;
  /** Whether the result is to be enough to build a kit from; implied by `save`. */
  forBuild?: boolean | undefined;
  /** Where no site is named: the config, where it isn't found from the folder upwards. */
  config?: string | undefined;
}

export type { DrawingFace, ScannedFace, ScanResult };

/**
 * Says which face draws which characters of a site, who asks for it, and what is wrong.
 *
 * @throws DenseGlyphError `file-unreadable`, `site-unreachable`, `browser-missing`, `call-invalid`
 * @example const { faces, findings } = await scan({ site: ['site'], folder: process.cwd() });
 */
export async function scan(request: ScanRequest, progress?: OnProgress): Promise<ScanResult> {
  const { opening, kitFolder } = await openingOf(request);
  const opened = await openSite(opening, progress);
  const { save, forBuild = save !== undefined, page, places = false } = request;
  try {
    const options = { forBuild, kitFolder, withPlaces: places || page !== undefined || forBuild };
    const { result } = await scanOpened(opened, options, progress);
    if (page !== undefined) {
      const { siteReport } = await import('./site-report.js');
      writeWhole(resolve(request.folder, page), await siteReport(result, opened.site));
    }
    if (save !== undefined) writeWhole(resolve(request.folder, save), demandText(result));
    return result;
  } finally {
    await opened.end();
  }
}

/** What a kept demand has in its file. */
export const demandText = (result: ScanResult): string => `${withoutCredentials(jsonText(result))}\n`;

interface ScanningOptions {
  withPlaces: boolean;
  /** Whether the result is to be enough to build a kit from. */
  forBuild: boolean;
  /** Absolute. */
  kitFolder?: string | undefined;
}

/** The same of a site that is open, with its pages as they were read. */
export async function scanOpened(
  { site, problems }: Pick<OpenedSite, 'site' | 'problems'>,
  { withPlaces, forBuild, kitFolder }: ScanningOptions,
  progress?: OnProgress,
): Promise<{ result: ScanResult; pages: ScannedPage[] }> {
  const { pages: read, ...found } = await scannedSite(
    site,
    { withPlaces, ...(forBuild ? askedOfSetting(setPagesOf(site)) : {}) },
    progress,
  );
  const rulesOf = rulesOnce();
  const declared = read.map(({ fontFaces, ...page }) => ({ ...page, rules: fontFaces.map(rulesOf) }));
  await addSupplies(declared, site);
  const scanned = declared.map(({ faces, ...page }): Scanned => ({
    ...page,
    faces: Array.from(faces.values(), (face) => matchedFace(face, page.rules)),
  }));
  const kept = forBuild ? await keptPages(read, site, kitFolder) : [];
  const result: ScanResult = {
    demandVersion: 1,
    pages: scanned.map(({ page, languages, faces }, i) => ({
      page,
      languages,
      faces: faces.flatMap(scannedFaces),
      ...kept[i],
    })),
    faces: facesOfSite(scanned),
    findings: siteFindings(scanned, { ...found, problems: [...problems, ...found.problems] }, kitOverridden),
  };
  return { result, pages: read };
}

/** What is read: what is named, else the site of the config, else the folder. */
async function openingOf(request: ScanRequest): Promise<{ opening: SiteRequest; kitFolder?: string }> {
  const { site, folder, config: file, root, runScripts } = request;
  if (site.length === 0 && root === undefined) {
    const found = await projectConfig(folder, file);
    if (found?.config.site && (found.config.site.root ?? found.config.site.url) !== undefined) {
      const { config, base } = found;
      const { siteRequest } = await import('../project/config-request.js');
      const opening = siteRequest(config.site, resolve(base, config.site.root ?? '.'), runScripts);
      const { environment, mostPages, changed } = request;
      const home = adoptedSheets(adoptedFolders(base));
      return {
        opening: { ...opening, environment, mostPages, changed, home },
        kitFolder: resolve(base, config.output.folder),
      };
    }
  }
  const isOnline = site.some((one) => /^https?:/i.test(one));
  const home = request.home ?? (isOnline ? undefined : adoptedSheets(adoptedFolders(folder)));
  return { opening: { ...request, home } };
}

/** The config of a project, where it has one. @throws for one that is wrong */
async function projectConfig(
  folder: string,
  file: string | undefined,
): Promise<Awaited<ReturnType<typeof loadConfig>> | undefined> {
  try {
    return await loadConfig(folder, file);
  } catch (cause) {
    if (cause instanceof DenseGlyphError && cause.code === 'config-missing' && file === undefined)
      return undefined;
    throw cause;
  }
}

/** What each page asks for, how it sets its text, and what a server sends for it. */
async function keptPages(
  read: readonly ScannedPage[],
  site: Site,
  kitFolder: string | undefined,
): Promise<Partial<KeptPage>[]> {
  const visits = new Visits(site, kitFolder);
  const pageOf = new Map(site.pages.map((page) => [page.page, page]));
  return Promise.all(
    read.map(async (scanned) => {
      const page = pageOf.get(scanned.page);
      const digest = page && digestOf(page);
      const setting = page && (await settingOf(page, scanned, visits));
      return {
        ...keptAsks(demandingPage(scanned)),
        ...(digest === undefined ? {} : { digest }),
        ...(setting ? { setting: keptSetting(setting) } : {}),
      };
    }),
  );
}

/** A page with what was found on it. */
interface Scanned extends Omit<ScannedPage, 'fontFaces' | 'faces'> {
  faces: MatchedFace[];
  rules: FaceRule[];
}

/** Reads each rule once, though pages have copies of it. */
function rulesOnce(): (rule: FontFaceDescriptors) => FaceRule {
  const known = new Map<string, FaceRule>();
  return (rule) => {
    // Pages that a browser gave have no lines to tell rules apart by.
    const key = JSON.stringify(rule);
    let read = known.get(key);
    if (!read) known.set(key, (read = faceRuleOf(rule)));
    return read;
  };
}

/** An entry for each certainty and each rule that draws some of the characters. */
const scannedFaces = (face: MatchedFace): ScannedFace[] =>
  (['drawn', 'possible'] as const).flatMap((certainty) =>
    face.groups
      .filter((group) => group[certainty].length > 0)
      .map((group): ScannedFace => ({
        asked: face.asked,
        drawnBy: group.face ? drawingFace(group.face) : null,
        faked: group.face ? fakedBy(group.face, face) : [],
        certainty,
        characters: rangesText(group[certainty]),
        ...listsOf(face),
        ...(face.places ? { places: placesOf(face.places, group[certainty]) } : {}),
      })),
  );

/** What a face is asked for besides characters, where there is something. */
const listsOf = ({ features, variations, typedIn }: PageFace) =>
  Object.fromEntries(
    Object.entries({ features, variations, typedIn })
      .filter(([, list]) => list.size > 0)
      .map(([name, list]) => [name, [...list].sort()]),
  );

/** Places that draw some of the characters. */
function placesOf(places: readonly DrawnPlace[], characters: readonly number[]): DrawnPlace[] {
  const wanted = new Set(characters);
  return places.flatMap((place) => {
    const own = [...parseUnicodeRanges(place.characters).codePoints()].filter((one) => wanted.has(one));
    return own.length === 0 ? [] : [{ ...place, characters: rangesText(own) }];
  });
}

const rangesText = (characters: Iterable<number>) =>
  unicodeRangeText(rangesOf([...characters].sort((a, b) => a - b)));

/** What stands in the stylesheet itself is named, not repeated. */
const shownUrl = (url: string): string =>
  /^data:/i.test(url)
    ? `${url.slice(0, url.indexOf(',') + 1 || 5).slice(0, 60)}… (${url.length} characters)`
    : url;

const drawingFace = ({ family, weight, style, source }: FaceRule): DrawingFace => ({
  family,
  weight: rangeText(weight),
  style,
  url: shownUrl(source?.url ?? ''),
});

function facesOfSite(scanned: readonly Scanned[]): ScanResult['faces'] {
  const all = new Map<
    string,
    { face: ScanResult['faces'][number]; characters: Set<number>; rules: PageFace['rules'] }
  >();
  for (const { faces } of scanned) {
    // A page may ask for the same face by several stacks.
    const counted = new Set<string>();
    for (const face of faces) {
      for (const { face: rule, drawn, possible } of face.groups) {
        const by = rule ? drawingFace(rule) : null;
        const key = JSON.stringify([face.asked, by]);
        let entry = all.get(key);
        if (!entry) {
          const made = {
            asked: face.asked,
            drawnBy: by,
            characters: '',
            bytes: rule?.supply?.bytes ?? null,
            pages: 0,
            rules: [],
          };
          all.set(key, (entry = { face: made, characters: new Set(), rules: new Map() }));
        }
        if (!counted.has(key)) entry.face.pages++;
        counted.add(key);
        for (const character of [...drawn, ...possible]) entry.characters.add(character);
        for (const [ruleKey, one] of face.rules) {
          const before = entry.rules.get(ruleKey);
          entry.rules.set(ruleKey, { ...one, pieces: one.pieces + (before?.pieces ?? 0) });
        }
      }
    }
  }
  return [...all.values()]
    .map(({ face, characters, rules }) => ({
      ...face,
      characters: rangesText(characters),
      rules: [...rules.values()].sort((a, b) => b.pieces - a.pieces).map(({ pieces: _, ...rule }) => rule),
    }))
    .sort((a, b) => b.pages - a.pages || b.characters.length - a.characters.length);
}
