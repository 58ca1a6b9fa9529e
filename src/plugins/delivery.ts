// How browsers come to the files of a kit: the bundler takes and names them, or a server has them at a URL as they are

import { join, posix, relative } from 'node:path';
import escapeHtml from 'escape-html';
import { sha256 } from '../kit/digest.js';
import type { Bundle } from './bundler.js';
import type { ProjectKit } from './project-kit.js';

/** Where a project is built. */
export interface BuildPlace {
  /** Absolute. */
  root: string;
  /** What its URLs start with. */
  base: string;
}

export interface Delivery {
  /** What browsers ask a server of the project for; undefined where no server of it has the kit at a URL of its own. */
  servedAt: string | undefined;
  /** What the user is told of it besides. */
  notes(): string[];
  /** Of a file, in a module: an expression, and what the module imports for it as `name`. */
  address(file: string, name: string): { expression: string; imported?: string };
  /** Whether a file is found by a URL. @param address as a stylesheet names it */
  isOwn(address: string): boolean;
  /** Markup of a page, before the bundler looks for what it takes from it. */
  headBefore(): string;
  /** Markup of a page, once the bundler has named its files. @param entry the page's path @param bundle undefined in dev */
  headAfter(entry: string, bundle: Bundle | undefined): string;
  /** Files that are put beside the bundle, by their names in it. */
  besides(): [name: string, bytes: Uint8Array][];
}

/** @param url with a slash at the end; undefined where the bundler names the files */
export const deliveryOf = (kit: ProjectKit, url: string | undefined, place: BuildPlace): Delivery =>
  url === undefined ? bundled(kit, place) : served(kit, url, place);

function bundled(kit: ProjectKit, { root, base }: BuildPlace): Delivery {
  const pathOf = (file: string) => webPath(relative(root, join(kit.folder, file)));
  return {
    servedAt: undefined,
    notes: () =>
      kit.result?.manifest.loader
        ? ['faces of groups come one by one: with an output.url in the config they arrive together']
        : [],
    address: (file, name) => ({
      expression: name,
      imported: `import ${name} from ${JSON.stringify(`${join(kit.folder, file)}?url`)};`,
    }),
    isOwn: () => false,
    // The bundler takes the stylesheet from here, before those of the application.
    headBefore: () => `<link rel="stylesheet" href="/${pathOf('kit.css')}">\n`,
    headAfter(entry, bundle) {
      const nameOf = bundle ? bundledFiles(bundle, kit) : pathOf;
      const hints = kit.preloads(entry).flatMap((file) => {
        const name = nameOf(file);
        if (name === undefined) return [];
        const href = escapeHtml(encodeURI(addressFrom(entry, name, base)));
        return `<link rel="preload" href="${href}" as="font" type="font/woff2" crossorigin>\n`;
      });
      return hints.join('');
    },
    // What the bundler names itself is there already.
    besides: () => placed(kit, 'type/', (name) => name.startsWith('licences/')),
  };
}

function served(kit: ProjectKit, url: string, { base }: BuildPlace): Delivery {
  const isElsewhere = /^(?:https?:)?\/\//i.test(url);
  const prefix = url.startsWith(base) ? url.slice(base.length) : url.replace(/^\//, '');
  return {
    servedAt: isElsewhere ? undefined : url,
    notes: () => [],
    address: (file) => ({ expression: JSON.stringify(url + file) }),
    isOwn: (address) => address.startsWith(url),
    headBefore: () => '',
    headAfter: (entry) => kit.head(entry),
    besides: () => (isElsewhere ? [] : placed(kit, prefix, () => true)),
  };
}

const placed = (
  kit: ProjectKit,
  folder: string,
  isWanted: (name: string) => boolean,
): [name: string, bytes: Uint8Array][] =>
  [...kit.published()].flatMap(([name, bytes]) => (isWanted(name) ? [[`${folder}${name}`, bytes]] : []));

/** Where files of a kit are that the bundler has named itself. */
function bundledFiles(bundle: Bundle, kit: ProjectKit): (file: string) => string | undefined {
  const byDigest = new Map(
    Object.values(bundle).flatMap(({ source, fileName }) =>
      source instanceof Uint8Array ? [[sha256(source), fileName] as const] : [],
    ),
  );
  const { files } = kit.result!.manifest;
  return (file) => byDigest.get(files[file].sha256);
}

/** As a bundler writes paths, on every system. */
export const webPath = (path: string): string => path.replaceAll('\\', '/');

/** What a page asks for a file: from the base, or from itself where the base is relative. */
const addressFrom = (page: string, name: string, base: string): string =>
  /^\.?\/?$/.test(base) && base !== '/'
    ? posix.relative(posix.dirname(`/${page.replace(/^\//, '')}`), `/${name}`)
    : `${base}${name}`;
