/**
 * The kit where a stylesheet says `@import "dense-glyph"`, for projects that go through PostCSS without Vite.
 *
 * @module
 */
import { dirname, join, relative, resolve } from 'node:path';
import { DenseGlyphError } from '../errors.js';
import { readBytes } from '../io/read.js';
import { relocated } from '../kit/files/read-manifest.js';
import { openProject, toldError, type Project } from './project.js';
import { filesBeside, withoutReplaced } from './replaced-rules.js';
import { StandInStacks } from './stacks.js';

export interface DenseGlyphPostcssOptions {
  /** The config, where it isn't found from the current folder upwards. */
  config?: string;
}

/** What of PostCSS is used; its own types say more. */
interface Node {
  type: string;
  toString: () => string;
  remove: () => void;
}
interface AtRule extends Node {
  name: string;
  params: string;
  source?: { input?: { file?: string | undefined } } | undefined;
  error: (message: string) => Error;
  replaceWith(...nodes: never[]): unknown;
}
interface Declaration {
  prop: string;
  value: string;
}
interface Root {
  toString: () => string;
  walkDecls: (name: RegExp, each: (declaration: Declaration) => void) => unknown;
  walkAtRules: (name: string | RegExp, each: (rule: AtRule) => void) => unknown;
}
interface Helpers {
  postcss: { parse: (css: string, options: { from: string }) => { nodes: unknown[] } };
  result: {
    opts: { to?: string | undefined; from?: string | undefined };
    messages: object[];
    warn: (text: string) => unknown;
  };
}

/** A plugin, as PostCSS takes it. */
export interface DenseGlyphPostcssPlugin {
  postcssPlugin: string;
  Once(root: Root, helpers: Helpers): Promise<void>;
}

/** One kit a config, however many stylesheets ask for it. */
const kits = new Map<string, Promise<Project>>();

/**
 * Makes the kit of the project's config in its `output.folder`, and puts its rules where a stylesheet says `@import "dense-glyph"`. Rules of
 * other stylesheets beside it for the same faces go.
 *
 * @example export default { plugins: [denseGlyph()] };
 */
export default function denseGlyph({ config }: DenseGlyphPostcssOptions = {}): DenseGlyphPostcssPlugin {
  const once = async (root: Root, { postcss, result }: Helpers): Promise<void> => {
    const places: AtRule[] = [];
    root.walkAtRules('import', (rule) => {
      if (asksForKit.test(rule.params)) places.push(rule);
    });
    if (places.length === 0) return;
    try {
      const { kit, url } = await kitFor(resolve('.'), config);
      const { findings } = await kit.make();
      const sheet = join(kit.folder, 'kit.css');
      const { to, from = sheet } = result.opts;
      for (const { message } of findings.filter(({ severity }) => severity === 'warning'))
        result.warn(message);
      root.walkAtRules('font-face', (rule) => {
        const bytesOf = filesBeside(rule.source?.input?.file ?? from, kit.folder);
        if (withoutReplaced(rule.toString(), '', { shipped: kit.shipped, bytesOf })) rule.remove();
      });
      const css = withUrls(
        new TextDecoder().decode(readBytes(sheet, 'kit.css')),
        url,
        kit.folder,
        dirname(to ?? from),
      );
      const stacks = new StandInStacks();
      stacks.read(root.toString());
      root.walkDecls(/^(?:font|font-family|--.*)$/i, (declaration) => {
        const start = `${declaration.prop}:`;
        const after = stacks.in(start + declaration.value, kit.result!.manifest, true).slice(start.length);
        if (after !== declaration.value) declaration.value = after;
      });
      const [first, ...others] = places;
      first.replaceWith(...(postcss.parse(css, { from: sheet }).nodes as never[]));
      for (const one of others) one.remove();
      for (const file of kit.inputs?.files ?? [])
        result.messages.push({ type: 'dependency', plugin: 'dense-glyph', file, parent: from });
    } catch (cause) {
      if (cause instanceof DenseGlyphError || cause instanceof AggregateError)
        throw places[0].error(toldError(cause).message);
      throw cause;
    }
  };
  return { postcssPlugin: 'dense-glyph', Once: once };
}

const asksForKit = /^\s*(?:"dense-glyph"|'dense-glyph'|url\(\s*(["']?)dense-glyph\1\s*\))\s*$/i;

/** How PostCSS knows that it is one. */
const postcss = true;
Object.assign(denseGlyph, { postcss });

async function kitFor(folder: string, config: string | undefined): Promise<Project> {
  const key = JSON.stringify([folder, config]);
  const known =
    kits.get(key) ??
    openProject(
      folder,
      config,
      (url) => url,
      (_, own) => own,
    );
  kits.set(key, known);
  try {
    return await known;
  } catch (cause) {
    // The next call finds it mended.
    kits.delete(key);
    throw cause;
  }
}

/** Relative URLs start from the stylesheet that the rules are in then. */
function withUrls(css: string, url: string | undefined, folder: string, from: string): string {
  if (url !== undefined) return css;
  const path = relative(from, folder).replaceAll('\\', '/');
  const base = path === '' ? '' : `${path}/`;
  return relocated(css, base);
}
