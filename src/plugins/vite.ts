/**
 * The kit in a project of Vite, or of Rollup where the config has an `output.url`.
 *
 * @module
 */
import { extname, join, posix, relative, resolve } from 'node:path';
import escapeHtml from 'escape-html';
import { slug } from '../core/face/slug.js';
import { insertIntoHead } from '../site/edits/head-insertion.js';
import { bundledFiles, stripBundle } from './bundle.js';
import type { Bundle, DevServer, HtmlContext, PluginContext, ResolvedConfig, UserConfig } from './bundler.js';
import { followChanges, serveKit } from './dev-server.js';
import { factsText } from './facts.js';
import { openProject, toldError, type Project } from './project.js';
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
  let project: Project | undefined;
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
  const opened = async (): Promise<Project> => {
    try {
      const { root, base } = resolved;
      return (project ??= await openProject(
        root,
        config,
        (url) => withBase(url, base),
        (url) => ownFolder(root, url),
      ));
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
      const { kit, url } = await opened();
      isImported = false;
      try {
        await kit.make();
      } catch (cause) {
        this.error(toldError(cause));
      }
      for (const file of kit.inputs?.files ?? []) this.addWatchFile(file);
      tellOnce(kit.sentence);
      if (url === undefined && kit.result?.manifest.loader)
        tellOnce('faces of groups come one by one: with an output.url in the config they arrive together');
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
      const { kit, url } = await opened();
      await kit.ready();
      return factsText(kit, url);
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
      const { kit, url } = await opened();
      await kit.ready();
      stripBundle(bundle, kit, url, tellOnce);
      if (isElsewhere(url ?? '') || resolved.build?.ssr) return;
      const path = url ?? '/type/';
      const prefix = path.startsWith(resolved.base)
        ? path.slice(resolved.base.length)
        : path.replace(/^\//, '');
      for (const [name, source] of kit.published()) {
        // What the bundler names itself is there already.
        if (url === undefined && !/^licences\/|^ledger\.json$/.test(name)) continue;
        this.emitFile({ type: 'asset', fileName: `${prefix}${name}`, source });
      }
    },
    async configureServer(server: DevServer) {
      const { kit, url } = await opened();
      const isMade = followChanges(server, kit, {
        made: () => tellOnce(kit.sentence),
        failed: (cause) => resolved.logger.warn(`dense-glyph  ${toldError(cause).message}`),
      });
      if (url !== undefined && !isElsewhere(url)) serveKit(server, kit, url, resolved.base, isMade);
    },
  };

  return [
    {
      ...main,
      transformIndexHtml: {
        order: 'pre',
        // The bundler takes the stylesheet from here, before those of the application.
        handler: async (html: string) => {
          const { kit, url } = await opened();
          await kit.ready();
          if (!head || isImported || url !== undefined) return html;
          const path = webPath(relative(resolved.root, join(kit.folder, 'kit.css')));
          return insertIntoHead(html, `<link rel="stylesheet" href="/${path}">\n`);
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
          const { kit, url } = await opened();
          await kit.ready();
          if (!head) return html;
          if (url !== undefined) return insertIntoHead(html, kit.head(path));
          const nameOf = bundle
            ? bundledFiles(bundle as Bundle, kit)
            : (file: string) => webPath(relative(resolved.root, join(kit.folder, file)));
          const hints = kit.preloads(path).flatMap((file) => {
            const name = nameOf(file);
            if (name === undefined) return [];
            const href = escapeHtml(encodeURI(addressFrom(path, name, resolved.base)));
            return `<link rel="preload" href="${href}" as="font" type="font/woff2" crossorigin>\n`;
          });
          return hints.length === 0 ? html : insertIntoHead(html, hints.join(''));
        },
      },
    },
  ];
}

/** URLs are in its files: a server and a build may have different ones at the same time. */
const ownFolder = (root: string, url: string | undefined): string =>
  join(root, 'node_modules/.dense-glyph', url === undefined ? 'bundled' : slug(url) || 'root');

const webPath = (path: string): string => path.replaceAll('\\', '/');

/** What a page asks for a file: from the base, or from itself where the base is relative. */
const addressFrom = (page: string, name: string, base: string): string =>
  /^\.?\/?$/.test(base) && base !== '/'
    ? posix.relative(posix.dirname(`/${page.replace(/^\//, '')}`), `/${name}`)
    : `${base}${name}`;

const isElsewhere = (url: string): boolean => /^(?:https?:)?\/\//i.test(url);

const withBase = (url: string, base: string): string =>
  isElsewhere(url) || !base.startsWith('/') || url.startsWith(base) ? url : `${base}${url.slice(1)}`;
