import { mediaTypes } from '../../core/containers/index.js';
import { headMarkup } from './head.js';

/** What can be pasted where pages don't exist as files. */
export const pastedForms = ['html', 'css', 'link-header', 'early-hints', 'module'] as const;
export type PastedForm = (typeof pastedForms)[number];

export interface PastedParts {
  /** Of the kit, as browsers ask for it, with a slash at the end. */
  url: string;
  /** Files to preload, inside the kit. */
  preloads: readonly string[];
  /** The text of kit.css. */
  css: string;
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
  { url, preloads, css, packages }: PastedParts,
): { text: string; where: string } {
  const head = heads.find(([name]) => packages.includes(name))?.[1] ?? '<head> of every page';
  const links = preloads.map(
    (file) => `<${encodeURI(url + file)}>; rel=preload; as=font; type="${mediaTypes.woff2}"; crossorigin`,
  );
  switch (form) {
    case 'html':
      return { text: headMarkup(preloads, url), where: `${head}, before other stylesheets` };
    case 'css':
      // Relative URLs start from kit.css, and this will lie elsewhere.
      return {
        text: css.replace(/url\("(?=faces\/)/g, `url("${url}`),
        where: 'your first stylesheet, before other rules',
      };
    case 'link-header':
      return { text: `Link: ${links.join(', ')}\n`, where: 'the response headers of every page' };
    case 'early-hints':
      return {
        text: `HTTP/1.1 103 Early Hints\n${links.map((link) => `Link: ${link}\n`).join('')}`,
        where: 'what the server sends before the page is ready (RFC 8297)',
      };
    case 'module':
      return {
        text: `import { head } from './kit.mjs';\n\n// Into ${head}:\nconst markup = head(${JSON.stringify(url)});\n`,
        where: 'the code that renders pages; kit.mjs lies in the kit',
      };
  }
}
