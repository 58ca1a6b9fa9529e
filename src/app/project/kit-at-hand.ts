import { posix, relative, resolve } from 'node:path';
import { loadConfig } from '../../config/load.js';
import type { KitConfig } from '../../config/schema.js';
import { DenseGlyphError } from '../../errors.js';
import { finding, type Finding } from '../../findings.js';
import { filesOf } from '../../io/earlier-files.js';
import { manifestVersion, type Manifest } from '../../kit/files/manifest.js';
import { kitUrl, readManifest } from '../../kit/files/read-manifest.js';
import { startsAsKit } from '../../kit/files/stylesheet.js';

/** A kit that is to be wired. */
export interface KitAtHand {
  manifest: Manifest;
  /** Its folder, absolute, and that of its facts. */
  folder: string;
  facts: string;
  /** What pages ask for, with a slash at the end; undefined for relative URLs. */
  url: string | undefined;
  /** From the root of the site, with slashes. */
  fromRoot: string;
  /** The text of kit.loader.js, where there is one. */
  loader: string | undefined;
  /** Digests of its font files. */
  digests: ReadonlySet<string>;
}

/**
 * The kit of a config, whole.
 *
 * @param base the folder of the config @param root of the site; both absolute
 * @throws DenseGlyphError `kit-missing`, `output-foreign` for a kit.json of another program, `config-invalid` where no page can
 *   reach it
 */
export function kitAtHand({ output }: Pick<KitConfig, 'output'>, base: string, root: string): KitAtHand {
  const [folder, facts] = [resolve(base, output.folder), resolve(base, output.facts)];
  const read = filesOf(folder);
  const bytes = filesOf(facts)('kit.json');
  if (!bytes)
    throw new DenseGlyphError(
      'kit-missing',
      isKitFolder(folder)
        ? `there is no kit.json in ${output.facts}, which says what is in it`
        : 'there is no kit in it',
      { file: output.folder },
      'call dense-glyph build',
    );
  const manifest = manifestIn(bytes, output.facts);
  if (resolve(facts, manifest.folder) !== folder)
    throw new DenseGlyphError(
      'kit-missing',
      `the kit.json in ${output.facts} is of the kit in ${relative(base, resolve(facts, manifest.folder))}`,
      { file: output.folder },
      'call dense-glyph build, or name another folder in output.facts',
    );
  for (const file of ['kit.css', ...Object.keys(manifest.files)]) {
    if (read(file)) continue;
    const reason = `${file} of the kit is not there`;
    throw new DenseGlyphError('kit-missing', reason, { file: output.folder }, 'call dense-glyph build');
  }
  const fromRoot = relative(root, folder).replaceAll('\\', '/');
  const url = kitUrl(output.url);
  if (url === undefined && fromRoot.startsWith('..'))
    throw new DenseGlyphError(
      'config-invalid',
      `output.folder (${output.folder}) lies outside of site.root, so no page can reach the kit`,
      {},
      'move it below the root, or say in output.url what browsers ask for',
    );
  const digests = new Set(Object.values(manifest.files).map(({ sha256 }) => sha256));
  const script = manifest.loader && read(manifest.loader.file);
  const loader = script && new TextDecoder().decode(script);
  return { manifest, folder, facts, url, fromRoot, loader, digests };
}

/** @throws DenseGlyphError */
function manifestIn(bytes: Uint8Array, folder: string): Manifest {
  const found = readManifest(bytes);
  if ('manifest' in found) return found.manifest;
  if (found.problem === 'other version')
    throw new DenseGlyphError(
      'kit-missing',
      `its kit.json is of version ${found.version}, and this program reads version ${manifestVersion}`,
      { file: folder },
      'call dense-glyph build',
    );
  throw new DenseGlyphError(
    'output-foreign',
    'its kit.json is damaged, or no kit’s',
    { file: folder },
    'call dense-glyph build, or choose another folder',
  );
}

/** Where URL and folder don't fit, so that pages may ask for what isn't there. */
export function addressFindings({ url, fromRoot }: KitAtHand, shown: string): Finding[] {
  if (url === undefined || /^(?:https?:)?\/\//i.test(url)) return [];
  const expected = `/${fromRoot}/`;
  if (url === expected) return [];
  const where = fromRoot.startsWith('..')
    ? `${shown} lies outside of site.root, and pages ask ${url}`
    : `pages ask ${url}, and below site.root the kit lies at ${expected}`;
  return [finding('kit-elsewhere', where, { file: shown })];
}

/** What URLs of the kit start with on a page. @param page from the root, with slashes */
export const kitBase = ({ url, fromRoot }: KitAtHand, page: string): string =>
  url ?? `${posix.relative(posix.dirname(page), fromRoot)}/`;

/** Whether a folder is some kit's: by the first words of its stylesheet. */
export function isKitFolder(folder: string): boolean {
  const css = filesOf(folder)('kit.css');
  return css !== undefined && startsAsKit(new TextDecoder().decode(css));
}

/** Whether a stylesheet is a kit's own, this one's or a copy of any: by its first words, or that beside it. */
export const isKitStylesheet = (css: string, folder: string): boolean =>
  startsAsKit(css) || isKitFolder(folder);

/** What is known of the kit of a site that is served from a folder, by the config around it; undefined where there is none. */
export async function manifestOfSite(root: string): Promise<Manifest | undefined> {
  try {
    const { config, base } = await loadConfig(root);
    if (resolve(base, config.site?.root ?? '.') !== root) return undefined;
    return kitAtHand(config, base, root).manifest;
  } catch (cause) {
    // A site without a config, or whose kit isn't built, has none.
    if (cause instanceof DenseGlyphError || cause instanceof AggregateError) return undefined;
    throw cause;
  }
}
