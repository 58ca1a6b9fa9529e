/**
 * The kit in a project of Vite, or of Rollup where the config has an `output.url`.
 *
 * @module
 */
import { createHash } from 'node:crypto';
import { extname, join, relative, resolve, sep } from 'node:path';
import { slug } from '../core/face/slug.js';
import { loadConfig } from '../config/load.js';
import { DenseGlyphError } from '../errors.js';
import { isFile, readBytes } from '../io/read.js';
import { insertIntoHead } from '../site/edits/head-insertion.js';
import { ProjectKit } from './project-kit.js';
import { withoutReplaced } from './replaced-rules.js';

export interface DenseGlyphOptions {
  /** The config, where it isn't found from the root of the project upwards. */
  config?: string;
  /** Whether pages link the kit by themselves; `false` for those that import `virtual:dense-glyph.css`. */
  head?: boolean;
}

const names = { stylesheet: 'virtual:dense-glyph.css', facts: 'virtual:dense-glyph' } as const;
const factsModule = `\0${names.facts}`;

/** What of a bundler's interface is used; its own types say more. */
interface ResolvedConfig {
  root: string;
  base: string;
  command: 'build' | 'serve';
  logger: { info: (text: string) => void; warn: (text: string) => void };
  build?: { ssr?: boolean | string };
}
type AssetsLimit = number | ((file: string, content: Buffer) => boolean | undefined) | undefined;
interface UserConfig {
  build?: { assetsInlineLimit?: AssetsLimit };
}
interface OutputFile {
  type: string;
  fileName: string;
  source?: string | Uint8Array;
  code?: string;
}
type Bundle = Record<string, OutputFile>;
interface PluginContext {
  addWatchFile: (file: string) => void;
  emitFile: (file: { type: 'asset'; fileName: string; source: Uint8Array }) => string;
  error: (cause: Error) => never;
  info: (text: string) => void;
  warn: (text: string) => void;
}
interface HtmlContext {
  path: string;
  bundle?: object | undefined;
}
interface DevServer {
  watcher: {
    add: (files: string[]) => unknown;
    on: (event: 'all', told: (event: string, file: string) => void) => unknown;
  };
  middlewares: {
    use: (
      handle: (
        request: { url?: string },
        response: {
          setHeader: (name: string, value: string) => unknown;
          end: (bytes: Uint8Array) => unknown;
        },
        next: () => void,
      ) => void,
    ) => unknown;
  };
  moduleGraph: {
    getModuleById: (id: string) => object | undefined;
    invalidateModule: (module: never) => void;
  };
  ws: { send: (payload: { type: 'full-reload' }) => void };
}

/** A plugin, as Vite and Rollup take it. */
export interface DenseGlyphPlugin {
  name: string;
  enforce?: 'pre' | 'post';
  [hook: string]: unknown;
}

const digestOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

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
      return (project ??= await openProject(resolved, config));
    } catch (cause) {
      throw readable(cause);
    }
  };
  const isOfKit = (file: string) => project !== undefined && file.startsWith(`${project.kit.folder}${sep}`);

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
      const { kit } = await opened();
      isImported = false;
      try {
        await kit.make();
      } catch (cause) {
        this.error(readable(cause));
      }
      for (const file of kit.inputs?.files ?? []) this.addWatchFile(file);
      tellOnce(kit.sentence);
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
      const { manifest } = await (await opened()).kit.ready();
      const stripped = withoutReplaced(code, file, manifest);
      if (!stripped) return null;
      const where = relative(resolved.root, file).replaceAll('\\', '/');
      tellOnce(`${stripped.faces.join(', ')} of ${where} gave way to the kit`);
      return { code: stripped.css, map: null };
    },
    async generateBundle(this: PluginContext, _: unknown, bundle: Bundle) {
      const { kit, url } = await opened();
      const { manifest } = await kit.ready();
      const own = new Set(Object.values(manifest.files).map(({ sha256 }) => sha256));
      const kitNames = new Set(
        Object.values(bundle).flatMap(({ source, fileName }) =>
          source instanceof Uint8Array && own.has(digestOf(source)) ? [fileName] : [],
        ),
      );
      stripBundle(bundle, kit, kitNames, url, tellOnce);
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
      const watched = kit.make().then(
        () => server.watcher.add(kit.inputs?.files ?? []),
        (cause: unknown) => resolved.logger.warn(`dense-glyph  ${readable(cause).message}`),
      );
      server.watcher.on('all', (_, file) => {
        if (!kit.concerns(file)) return;
        kit.make().then(
          ({ changed }) => {
            tellOnce(kit.sentence);
            const sheet = server.moduleGraph.getModuleById(join(kit.folder, 'kit.css'));
            if (sheet) server.moduleGraph.invalidateModule(sheet as never);
            if (changed) server.ws.send({ type: 'full-reload' });
          },
          (cause: unknown) => resolved.logger.warn(`dense-glyph  ${readable(cause).message}`),
        );
      });
      if (url === undefined || isElsewhere(url)) return;
      server.middlewares.use((request, response, next) => {
        const path = decodeURIComponent((request.url ?? '').replace(/[?#].*/s, ''));
        const short = url.startsWith(resolved.base) ? `/${url.slice(resolved.base.length)}` : url;
        const prefix = path.startsWith(url) ? url : short;
        const file = join(kit.folder, path.slice(prefix.length));
        if (!path.startsWith(prefix) || !isOfKit(file)) {
          next();
          return;
        }
        watched.then(
          () => {
            if (!isFile(file)) {
              next();
              return;
            }
            response.setHeader('content-type', types[extname(file)] ?? 'application/octet-stream');
            response.setHeader('cache-control', 'no-cache');
            response.end(readBytes(file, path));
          },
          () => next(),
        );
      });
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
          const path = relative(resolved.root, join(kit.folder, 'kit.css')).replaceAll('\\', '/');
          return insertIntoHead(html, `<link rel="stylesheet" href="/${path}">\n`);
        },
      },
    },
    {
      name: 'dense-glyph:head',
      enforce: 'post',
      transformIndexHtml: {
        order: 'post',
        handler: async (html: string, { path, bundle }: HtmlContext) => {
          const { kit, url } = await opened();
          await kit.ready();
          if (!head) return html;
          if (url !== undefined) return insertIntoHead(html, kit.head(path));
          const files = bundle ? bundledFiles(bundle as Bundle, kit, resolved.base) : devFiles(kit, resolved);
          const hints = kit.preloads(path).flatMap((file) => {
            const href = files(file);
            return href === undefined
              ? []
              : `<link rel="preload" href="${href}" as="font" type="font/woff2" crossorigin>\n`;
          });
          return hints.length === 0 ? html : insertIntoHead(html, hints.join(''));
        },
      },
    },
  ];
}

interface Project {
  kit: ProjectKit;
  /** Undefined where the bundler names the files. */
  url: string | undefined;
}

async function openProject({ root, base }: ResolvedConfig, config: string | undefined): Promise<Project> {
  const found = await loadConfig(root, config);
  const { output } = found.config;
  const url = output.url === undefined ? undefined : withBase(output.url.replace(/\/?$/, '/'), base);
  // URLs are in its files: a server and a build may have different ones at the same time.
  const name = url === undefined ? 'bundled' : slug(url) || 'root';
  const folder = join(root, 'node_modules/.dense-glyph', name);
  return { kit: new ProjectKit({ folder: root, config, into: { folder, url } }), url };
}

const isElsewhere = (url: string): boolean => /^(?:https?:)?\/\//i.test(url);

const withBase = (url: string, base: string): string =>
  isElsewhere(url) || !base.startsWith('/') || url.startsWith(base) ? url : `${base}${url.slice(1)}`;

const types: Readonly<Record<string, string>> = {
  '.css': 'text/css; charset=utf-8',
  '.js': 'text/javascript; charset=utf-8',
  '.mjs': 'text/javascript; charset=utf-8',
  '.json': 'application/json',
  '.html': 'text/html; charset=utf-8',
  '.woff2': 'font/woff2',
  '.woff': 'font/woff',
};

/** A bundler shows the message, and a person needs to know what to do. */
function readable(cause: unknown): Error {
  if (cause instanceof AggregateError)
    return new Error(cause.errors.map((one: unknown) => readable(one).message).join('\n'), { cause });
  if (!(cause instanceof DenseGlyphError)) return cause instanceof Error ? cause : new Error(String(cause));
  const { message, advice } = cause;
  return new Error(advice === undefined ? message : `${message}; ${advice}`, { cause });
}

/** Where files of a kit are that the bundler has named itself. */
function bundledFiles(bundle: Bundle, kit: ProjectKit, base: string): (file: string) => string | undefined {
  const byDigest = new Map(
    Object.values(bundle).flatMap(({ source, fileName }) =>
      source instanceof Uint8Array ? [[digestOf(source), fileName] as const] : [],
    ),
  );
  const { files } = kit.result!.manifest;
  return (file) => {
    const name = byDigest.get(files[file].sha256);
    return name === undefined ? undefined : `${base}${name}`;
  };
}

const devFiles =
  (kit: ProjectKit, { root, base }: ResolvedConfig) =>
  (file: string) =>
    `${base}${relative(root, join(kit.folder, file)).replaceAll('\\', '/')}`;

/** Takes out of made stylesheets what came into them by imports, and files that nothing names any more. */
function stripBundle(
  bundle: Bundle,
  kit: ProjectKit,
  kitNames: ReadonlySet<string>,
  url: string | undefined,
  tell: (text: string) => void,
): void {
  const nameOf = (address: string) => address.replace(/[?#].*/s, '').replace(/^.*\//, '');
  const own = new Set([...kitNames].map(nameOf));
  const isOwn = (urls: readonly string[]) =>
    urls.some((one) => own.has(nameOf(one)) || (url !== undefined && one.startsWith(url)));
  const gone = new Set<string>();
  for (const file of Object.values(bundle)) {
    if (file.type !== 'asset' || !file.fileName.endsWith('.css') || file.source === undefined) continue;
    const css = typeof file.source === 'string' ? file.source : new TextDecoder().decode(file.source);
    const stripped = withoutReplaced(css, file.fileName, kit.result!.manifest, isOwn);
    if (!stripped) continue;
    file.source = stripped.css;
    for (const one of stripped.urls) gone.add(nameOf(one));
    tell(`${stripped.faces.join(', ')} of an imported stylesheet gave way to the kit`);
  }
  const texts = Object.values(bundle).flatMap(({ code, source }) =>
    code !== undefined ? [code] : typeof source === 'string' ? [source] : [],
  );
  for (const [key, { fileName }] of Object.entries(bundle))
    if (gone.has(nameOf(fileName)) && !texts.some((text) => text.includes(nameOf(fileName))))
      delete bundle[key];
}

/** The kit for scripts: its faces with their URLs, the values of `font-family`, what pages preload. */
function factsText(kit: ProjectKit, url: string | undefined): string {
  const { manifest } = kit.result!;
  const parts = manifest.families.flatMap((family) =>
    family.faces.flatMap((face) =>
      face.parts.slice(0, 1).map((part) => ({ ...face, file: part.file, family })),
    ),
  );
  const imports =
    url === undefined
      ? parts.map(({ file }, i) => `import url${i} from ${JSON.stringify(`${join(kit.folder, file)}?url`)};`)
      : parts.map(({ file }, i) => `const url${i} = ${JSON.stringify(url + file)};`);
  const faces = parts.map(
    ({ family, weight, style, preload }, i) =>
      `  { family: ${JSON.stringify(family.family)}, role: ${JSON.stringify(family.role)}, weight: ${JSON.stringify(weight)}, style: ${JSON.stringify(style)}, preload: ${preload}, url: url${i} },`,
  );
  const stacks = Object.fromEntries(manifest.families.map(({ role, stack }) => [role, stack]));
  return [
    ...imports,
    'export const faces = [',
    ...faces,
    '];',
    `export const stacks = ${JSON.stringify(stacks)};`,
    'export const preloads = faces.filter((face) => face.preload).map((face) => face.url);',
    '',
  ].join('\n');
}
