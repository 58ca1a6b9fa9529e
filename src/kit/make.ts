import { basename } from 'node:path';
import type { KitConfig } from '../config/schema.js';
import { slug } from '../core/face/slug.js';
import { firstPartRules } from './files/first-part.js';
import { loaderFile, loaderModule } from './files/loader.js';
import { factsOf } from './files/facts.js';
import { manifestOf, type Manifest } from './files/manifest.js';
import { minified } from './files/minified.js';
import { stylesheetFile } from './files/stylesheet.js';
import type { KeptStylesheet, KitAddress, KitFace, KitFamily, MadeKit } from './kit.js';
import { decidedLoading, type LoadedFamily } from './planning/loading.js';
import { withFirstParts } from './planning/first-parts.js';
import { planLoading, plannedVisits, withPlan, type Screenfuls } from './planning/plan-loading.js';
import { madeFaces, type MakeRequest } from './planning/make.js';
import type { Reach } from './reach.js';
import type { PageVisit } from './timeline/index.js';
import {
  keyOf,
  kitTextFaces,
  noStandIns,
  standInsOfKit,
  type FittedKit,
  type KitText,
} from './stand-ins/index.js';

export interface KitRequest extends Omit<MakeRequest, 'formats'> {
  config: Pick<KitConfig, 'families' | 'characters' | 'budget' | 'loading'> & {
    output?: Pick<KitConfig['output'], 'minify'>;
  };
  reach: Reach;
  address: KitAddress;
  /** The text of the site, for stand-ins; sentences are set without it. */
  text?: KitText | undefined;
  /** Its stand-ins, where they were fitted already. */
  fitted?: FittedKit | undefined;
  /** What the first screenful of a page is, where that was looked at already. */
  screenfuls?: Screenfuls | undefined;
  /** What pages fetch before they are drawn; without it preloads are the same for all of them. */
  visits?: readonly PageVisit[] | undefined;
  /** What stylesheets of hosts have besides, and their files by path inside the kit. */
  kept?: { stylesheets: readonly KeptStylesheet[]; files: ReadonlyMap<string, Uint8Array> } | undefined;
}

/** A kit in memory. */
export interface KitInMemory {
  /** What is published, by path inside the kit, each file before those that name it. */
  files: Map<string, Uint8Array>;
  /** What is known of it and isn't published, by name; the manifest last. */
  facts: Map<string, Uint8Array>;
  manifest: Manifest;
}

/** The same request gives the same bytes. */
export async function makeKit(request: KitRequest): Promise<KitInMemory> {
  const { config, reach, address, version, kept } = request;
  const { families: made, leftOut } = await madeFaces({ ...request, formats: reach.formats });
  const decided = decidedLoading(made, config);
  const ownText = request.text ?? { faces: kitTextFaces(decided), pages: [] };
  const { standIns, moves } = fittedFor(request, ownText);
  const withStandIns = (of: readonly LoadedFamily[]): KitFamily[] =>
    of.map((family) => ({
      ...family,
      faces: family.faces.map((face): KitFace => {
        const { bands = [], sample } = standIns.get(keyOf(face)) ?? {};
        return { ...face, standIns: bands, sample };
      }),
    }));
  const stylesheets = kept?.stylesheets ?? [];
  const about = { leftOut, stylesheets, reach, address, moves, licences: new Map(), files: new Map() };
  const rules = stylesheetFile({ address, families: withStandIns(decided) });
  const css = config.output?.minify ? minified(rules) : rules;
  const visits = request.visits ?? [];
  const planned = plannedVisits({
    families: decided,
    css,
    text: ownText,
    visits,
    config,
    screenfuls: request.screenfuls,
  });
  const faces = withStandIns(decided).flatMap((family) => [...family.faces]);
  const wanted = config.loading.inline === 'auto';
  const { plan, parts } = await withFirstParts(planned, planLoading(planned), {
    faces,
    text: ownText,
    wanted,
  });
  const kit: MadeKit = {
    ...about,
    families: withStandIns(withPlan(decided, plan, config)),
    plan: plan.pages.length > 0 ? plan : undefined,
  };
  for (const { faces } of kit.families)
    for (const { parts } of faces) for (const { file, bytes } of parts) kit.files.set(file, bytes);
  for (const [path, bytes] of kept?.files ?? []) kit.files.set(path, bytes);
  addLicences(kit);
  const text = (path: string, content: string) => kit.files.set(path, new TextEncoder().encode(content));
  text('kit.css', css);
  for (const [path, part] of parts) text(path, firstPartRules(part, address.url ?? ''));
  const loader = loaderFile(kit);
  if (loader !== undefined) text('kit.loader.js', loader);
  for (const [path, content] of loaderModule(kit)) text(path, content);
  const manifest = manifestOf(kit, version);
  return { files: kit.files, facts: factsOf(kit, manifest), manifest };
}

function fittedFor({ config, fitted }: KitRequest, text: KitText): FittedKit {
  if (config.loading['stand-ins'] === 'none') return noStandIns;
  return fitted ?? standInsOfKit(text, config.characters?.languages ?? []);
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
