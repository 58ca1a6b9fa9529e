import { mediaTypes } from '../../core/containers/index.js';
import type { LoadingPlan } from '../planning/plan-loading.js';
import { headMarkup } from './head.js';
import { sha256 } from '../digest.js';
import { relocated } from './read-manifest.js';

/** What can be pasted where pages don't exist as files. */
export const pastedForms = [
  'html',
  'css',
  'link-header',
  'early-hints',
  'header-file',
  'module',
  'csp',
] as const;
export type PastedForm = (typeof pastedForms)[number];

export interface PastedParts {
  /** Of the kit, as browsers ask for it, with a slash at the end. */
  url: string;
  /** Files to preload, inside the kit. */
  preloads: readonly string[];
  /** What each page asks for ahead, where pages were read. */
  plan?: LoadingPlan | undefined;
  /** The text of kit.loader.js, where there is one. */
  loader: string | undefined;
  /** The text of kit.css. */
  css: string;
  /** What kit.mjs is imported by. */
  module: string;
  /** What the project depends on, by name. */
  packages: readonly string[];
}

/** Where the head of every page is, by what a project depends on. */
const heads: readonly (readonly [name: string, place: string])[] = [
  ['next', 'the head of the root layout (app/layout)'],
  ['nuxt', 'app.head of nuxt.config'],
  ['@sveltejs/kit', 'src/app.html'],
  ['astro', 'the head of your layouts (src/layouts)'],
  ['@remix-run/react', 'the head of app/root'],
  ['@11ty/eleventy', 'the head of your base layout'],
  ['vite', 'index.html beside the config of the bundler'],
];

/** What to paste, and where to. */
export function pasted(
  form: PastedForm,
  { url, preloads, plan, loader, css, module, packages }: PastedParts,
): { text: string; where: string } {
  const head = heads.find(([name]) => packages.includes(name))?.[1] ?? '<head> of every page';
  const linkTo = (file: string) =>
    `<${encodeURI(url + file)}>; rel=preload; as=font; type="${mediaTypes.woff2}"; crossorigin`;
  const links = preloads.map(linkTo);
  switch (form) {
    case 'html':
      return {
        text: headMarkup({ preloads, loader: loader === undefined ? undefined : { text: loader } }, url),
        where: `${head}, before other stylesheets`,
      };
    case 'css':
      // Relative URLs start from kit.css, and this will lie elsewhere.
      return {
        text: relocated(css, url),
        where: 'your first stylesheet, before other rules',
      };
    case 'link-header':
      return { text: `Link: ${links.join(', ')}\n`, where: 'the response headers of every page' };
    case 'early-hints':
      return {
        text: `HTTP/1.1 103 Early Hints\n${links.map((link) => `Link: ${link}\n`).join('')}`,
        where: 'what the server sends before the page is ready (RFC 8297)',
      };
    case 'header-file': {
      const pages = plan?.pages ?? [{ page: '*', preloads }];
      const rules = pages.flatMap(({ page, preloads: own }) =>
        own.length === 0
          ? []
          : pathsOf(page).map(
              (path) => `${path}\n${own.map((file) => `  Link: ${linkTo(file)}\n`).join('')}`,
            ),
      );
      return {
        text: rules.join(''),
        where: 'the file of headers that your static host reads, for each page what it draws first',
      };
    }
    case 'csp':
      return {
        text: `${policyText(url, loader)}\n`,
        where: 'the Content-Security-Policy of every page, beside what it allows already',
      };
    case 'module':
      return {
        text: `import { head } from ${JSON.stringify(module)};\n\n// Into ${head}:\nconst markup = head(${JSON.stringify(url)});\n`,
        where: 'the code that renders pages; the path is as seen from the config',
      };
  }
}

/** What a Content-Security-Policy is to allow for the kit (CSP 3, section 6.1). */
function policyText(url: string, loader: string | undefined): string {
  const source = /^(?:https?:)?\/\/[^/]+/i.exec(url)?.[0].replace(/^\/\//, 'https://') ?? "'self'";
  const digest =
    loader === undefined ? [] : [Buffer.from(sha256(Buffer.from(loader)), 'hex').toString('base64')];
  return [
    `font-src ${source}`,
    `style-src ${source}`,
    ...digest.map((one) => `script-src 'sha256-${one}'`),
  ].join('; ');
}

/** What a page of a folder is asked for by. */
function pathsOf(page: string): string[] {
  const path = `/${encodeURI(page)}`;
  return /(^|\/)index\.html?$/.test(path) ? [path.replace(/index\.html?$/, ''), path] : [path];
}
