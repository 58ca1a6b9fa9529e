/**
 * The kit in a project of Vite, or of Rollup where the config has an `output.url`.
 *
 * @module
 */
import { extname, join, relative, resolve } from 'node:path';
import { slug } from '../core/face/slug.js';
import { insertIntoHead } from '../site/edits/head-insertion.js';
import { stripBundle } from './bundle.js';
import type { Bundle, DevServer, HtmlContext, PluginContext, ResolvedConfig, UserConfig } from './bundler.js';
import { deliveryOf, webPath, type Delivery } from './delivery.js';
import { followChanges, serveKit } from './dev-server.js';
import { factsText } from './facts.js';
import { openProject, toldError } from './project.js';
import type { ProjectKit } from './project-kit.js';
import { filesBeside, withoutReplaced } from './replaced-rules.js';
import { StandInStacks } from './stacks.js';

export interface DenseGlyphOptions {
  /** The config, where it isn't found from the root of the project upwards. */
  config?: string;
  /** Whether pages link the kit by themselves; `false` for those that import `virtual:dense-glyph.css`. */
  head?: boolean;
}

const names = { stylesheet: 'virtual:dense-glyph.css', facts: 'virtual:dense-glyph' } as const;
const factsModule = `\0${names.facts}`;

/** A plugin, as Vite and Rollup take it. */
export interface DenseGlyphPlugin {
  name: string;
  enforce?: 'pre' | 'post';
  [hook: string]: unknown;
}

/**
 * Makes the kit of the project's config and gives it to the bundler: rules, files, preloads of each page. Faces are cut to the
 * demand that `site.demand` of the config names, and whole until there is one. Where the config has an `output.url`, files are
 * served by it as they are; else the bundler takes and names them. Rules of packages for faces of the kit are taken out.
 *
 * @example export default { plugins: [denseGlyph()] };
 */
export default function denseGlyph({ config, head = true }: DenseGlyphOptions = {}): DenseGlyphPlugin[] {
  let project: { kit: ProjectKit; delivery: Delivery } | undefined;
  let isImported = false;
  let isVite = false;
  const told = new Set<string>();
  // Of what stylesheets said so far.
  const stacks = new StandInStacks();
  let resolved: ResolvedConfig = {
    root: resolve('.'),
    base: '/',
    command: 'build',
    logger: { info: () => undefined, warn: () => undefined },
  };
  const tellOnce = (text: string) => {
    if (!told.has(text)) resolved.logger.info(`dense-glyph  ${text}`);
    told.add(text);
  };
  const opened = async () => {
    if (project) return project;
    try {
      const { root, base } = resolved;
      const urlOf = (url: string) => withBase(url, base);
      const { kit, url } = await openProject(root, config, urlOf, (found) => ownPlaces(root, found));
      return (project = { kit, delivery: deliveryOf(kit, url, { root, base }) });
    } catch (cause) {
      throw toldError(cause);
    }
  };
  // A bundler writes paths with slashes on every system.
  const isOfKit = (file: string) =>
    project !== undefined && webPath(file).startsWith(`${webPath(project.kit.folder)}/`);

  const main: DenseGlyphPlugin = {
    name: 'dense-glyph',
    enforce: 'pre',
    // What is written into a stylesheet is fetched by every page, drawn or not.
    config: ({ build: { assetsInlineLimit: limit } = {} }: UserConfig) => ({
      build: {
        assetsInlineLimit: (file: string, content: Buffer) => {
          if (isOfKit(file)) return false;
          if (typeof limit === 'function') return limit(file, content);
          return limit === undefined ? undefined : content.length < limit;
        },
      },
    }),
    configResolved(found: ResolvedConfig) {
      isVite = true;
      resolved = found;
    },
    async buildStart(this: PluginContext) {
      if (!isVite) resolved.logger = { info: (text) => this.info(text), warn: (text) => this.warn(text) };
      const { kit, delivery } = await opened();
      isImported = false;
      try {
        await kit.make();
      } catch (cause) {
        this.error(toldError(cause));
      }
      for (const file of kit.inputs?.files ?? []) this.addWatchFile(file);
      tellOnce(kit.sentence);
      delivery.notes().forEach(tellOnce);
    },
    async resolveId(id: string) {
      if (id === names.facts) return factsModule;
      if (id !== names.stylesheet) return null;
      isImported = true;
      const { kit } = await opened();
      await kit.ready();
      return join(kit.folder, 'kit.css');
    },
    async load(id: string) {
      if (id !== factsModule) return null;
      const { kit, delivery } = await opened();
      await kit.ready();
      return factsText(kit, delivery);
    },
    async transform(code: string, id: string) {
      const file = id.replace(/[?#].*/s, '');
      if (extname(file) !== '.css' || isOfKit(file)) return null;
      const { kit } = await opened();
      await kit.ready();
      const bytesOf = filesBeside(file, resolved.root);
      const stripped = withoutReplaced(code, file, { shipped: kit.shipped, bytesOf });
      if (!stripped) return null;
      const where = webPath(relative(resolved.root, file));
      tellOnce(`${stripped.faces.join(', ')} of ${where} gave way to the kit`);
      return { code: stripped.css, map: null };
    },
    async generateBundle(this: PluginContext, _: unknown, bundle: Bundle) {
      const { kit, delivery } = await opened();
      await kit.ready();
      stripBundle(bundle, kit, delivery, tellOnce);
      if (resolved.build?.ssr) return;
      for (const [fileName, source] of delivery.besides()) this.emitFile({ type: 'asset', fileName, source });
    },
    async configureServer(server: DevServer) {
      const { kit, delivery } = await opened();
      const isMade = followChanges(server, kit, {
        made: () => tellOnce(kit.sentence),
        failed: (cause) => resolved.logger.warn(`dense-glyph  ${toldError(cause).message}`),
      });
      const { servedAt } = delivery;
      if (servedAt !== undefined) serveKit(server, kit, servedAt, resolved.base, isMade);
    },
  };

  return [
    {
      ...main,
      transformIndexHtml: {
        order: 'pre',
        handler: async (html: string) => {
          const { kit, delivery } = await opened();
          await kit.ready();
          return head && !isImported ? withHead(html, delivery.headBefore()) : html;
        },
      },
    },
    {
      name: 'dense-glyph:head',
      enforce: 'post',
      /** In dev what a stylesheet imports is in the module that is made of it, as a string. */
      async transform(code: string, id: string) {
        const file = id.replace(/[?#].*/s, '');
        const [, text] = /^const __vite__css = ("(?:[^"\\\n]|\\.)*")/m.exec(code) ?? [];
        if (resolved.command !== 'serve' || isOfKit(file) || text === undefined) return null;
        const { kit } = await opened();
        const { manifest } = await kit.ready();
        const bytesOf = filesBeside(file, resolved.root);
        const css = JSON.parse(text) as string;
        const stripped = withoutReplaced(css, file, { shipped: kit.shipped, bytesOf });
        stacks.read(css);
        const after = stacks.in(stripped?.css ?? css, manifest);
        // Not by a pattern of it: a stylesheet may hold what means something there.
        return after === css ? null : { code: code.replace(text, () => JSON.stringify(after)), map: null };
      },
      transformIndexHtml: {
        order: 'post',
        handler: async (html: string, { path, bundle }: HtmlContext) => {
          const { kit, delivery } = await opened();
          await kit.ready();
          return head ? withHead(html, delivery.headAfter(path, bundle as Bundle | undefined)) : html;
        },
      },
    },
  ];
}

/** URLs are in its files: a server and a build may have different ones at the same time. */
function ownPlaces(root: string, url: string | undefined): { folder: string; facts: string } {
  const name = url === undefined ? 'bundled' : slug(url) || 'root';
  const own = join(root, 'node_modules/.dense-glyph');
  return { folder: join(own, name), facts: join(own, `${name}.facts`) };
}

const withHead = (html: string, markup: string): string =>
  markup === '' ? html : insertIntoHead(html, markup);

const isElsewhere = (url: string): boolean => /^(?:https?:)?\/\//i.test(url);

const withBase = (url: string, base: string): string =>
  isElsewhere(url) || !base.startsWith('/') || url.startsWith(base) ? url : `${base}${url.slice(1)}`;
