import { createRequire } from 'node:module';
import browserslist from 'browserslist';
import type { Feature, PackedFeature } from 'caniuse-lite';
import type { FontFormat } from '../core/containers/index.js';
import { DenseGlyphError } from '../errors.js';

/** What the browsers to be served need and lack. */
export interface Reach {
  /** As browserslist understands it. */
  query: string[];
  /** Who asked: the config, the project's own browserslist, or nobody, which leaves browserslist's defaults. */
  askedBy: 'config' | 'project' | 'nobody';
  /** How many browser versions it comes to. */
  browsers: number;
  /** In the order of preference, each with the browsers that made it necessary. */
  formats: ReachedFormat[];
  /** What the kit relies on that some of the browsers don't know, and what they do instead. */
  lacking: { feature: string; browsers: string[]; effect: string }[];
  /** Browsers that draw no web fonts at all. */
  without: string[];
}

export interface ReachedFormat {
  format: Exclude<FontFormat, 'otf'>;
  /** `Internet Explorer 11`, …; empty for woff2, which is always there. */
  browsers: string[];
}

/** From the best to the one that only the oldest know. */
const formatFeatures = [
  ['woff2', 'woff2'],
  ['woff', 'woff'],
  ['ttf', 'ttf'],
  ['eot', 'eot'],
  ['svg', 'svg-fonts'],
] as const satisfies readonly (readonly [ReachedFormat['format'], string])[];

const otherFeatures = [
  ['variable-fonts', 'variable fonts', 'a variable face is drawn with the weight that its axis starts at'],
  ['css-font-rendering-controls', 'font-display', 'text may stay invisible until the font arrives'],
  ['link-rel-preload', 'preload', 'fonts are asked for once the stylesheet is there'],
  ['font-unicode-range', 'unicode-range', 'every part of a face is fetched, needed or not'],
] as const;

/** Descriptors of stand-ins, which caniuse's tables don't have: the first version of each browser that knows them. */
const standInFeatures: readonly {
  feature: string;
  effect: string;
  since: Readonly<Record<string, number>>;
}[] = [
  {
    feature: 'size-adjust',
    effect:
      'local fonts that stand in keep their own widths, and lines may break otherwise until the face arrives',
    since: {
      chrome: 92,
      edge: 92,
      firefox: 92,
      opera: 78,
      safari: 17,
      ios_saf: 17,
      samsung: 16,
      and_chr: 92,
      and_ff: 92,
    },
  },
  {
    feature: 'ascent-override',
    effect: 'lines of normal height keep that of the local font until the face arrives',
    since: { chrome: 87, edge: 87, firefox: 89, opera: 73, samsung: 14, and_chr: 87, and_ff: 89 },
  },
];

/** @param browser as browserslist names it; a range of versions counts by its first */
function knowsSince(since: Readonly<Record<string, number>>, browser: string): boolean {
  const [name, version] = browser.split(' ');
  const first = since[name] as number | undefined;
  return first !== undefined && (version === 'TP' || parseFloat(version) >= first);
}

const require = createRequire(import.meta.url);
const unpack = require('caniuse-lite/dist/unpacker/feature.js') as (packed: PackedFeature) => Feature;

/** Support of one feature, by browser and version. */
function statsOf(feature: string): Feature['stats'] {
  return unpack(require(`caniuse-lite/data/features/${feature}.js`) as PackedFeature).stats;
}

/**
 * What a browserslist query asks for, looked up in caniuse's tables.
 *
 * @param query as the config has it
 * @param own the project's own list, taken where the config has none; where neither is, browserslist's defaults are
 * @throws DenseGlyphError `config-invalid` for a query that browserslist doesn't understand
 */
export function reachOf(query: readonly string[] | undefined, own: readonly string[] | undefined): Reach {
  const asked = [...(query ?? own ?? browserslist.defaults)];
  let list: string[];
  try {
    list = browserslist(asked);
  } catch (cause) {
    const reason = `reach: ${cause instanceof Error ? cause.message : String(cause)}`.replace(/\.$/, '');
    throw new DenseGlyphError(
      'config-invalid',
      reason,
      {},
      'write a browserslist query, as in "defaults, ie 11"',
    );
  }
  const supports = (stats: Feature['stats'], browser: string) => {
    const [name, version] = browser.split(' ');
    return stats[name]?.[version]?.startsWith('y') ?? false;
  };
  const formatStats = formatFeatures.map(([format, feature]) => ({ format, stats: statsOf(feature) }));
  const needed = new Map<ReachedFormat['format'], string[]>([['woff2', []]]);
  const without: string[] = [];
  for (const browser of list) {
    const best = formatStats.find(({ stats }) => supports(stats, browser));
    if (!best) without.push(browser);
    else if (best.format !== 'woff2') needed.set(best.format, [...(needed.get(best.format) ?? []), browser]);
  }
  const served = list.filter((browser) => !without.includes(browser));
  const lacking: Reach['lacking'] = otherFeatures.flatMap(([feature, words, effect]) => {
    const stats = statsOf(feature);
    const browsers = served.filter((browser) => !supports(stats, browser));
    return browsers.length > 0 ? [{ feature: words, browsers: browsers.map(browserName), effect }] : [];
  });
  for (const { feature, effect, since } of standInFeatures) {
    const browsers = served.filter((browser) => !knowsSince(since, browser));
    if (browsers.length > 0) lacking.push({ feature, browsers: browsers.map(browserName), effect });
  }
  return {
    query: asked,
    askedBy: query ? 'config' : own ? 'project' : 'nobody',
    browsers: list.length,
    formats: formatFeatures
      .filter(([format]) => needed.has(format))
      .map(([format]) => ({ format, browsers: needed.get(format)!.map(browserName) })),
    lacking,
    without: without.map(browserName),
  };
}

const names: Readonly<Record<string, string>> = {
  and_chr: 'Chrome for Android',
  and_ff: 'Firefox for Android',
  and_qq: 'QQ Browser',
  and_uc: 'UC Browser',
  android: 'Android Browser',
  baidu: 'Baidu Browser',
  bb: 'BlackBerry Browser',
  chrome: 'Chrome',
  edge: 'Edge',
  firefox: 'Firefox',
  ie: 'Internet Explorer',
  ie_mob: 'Internet Explorer Mobile',
  ios_saf: 'Safari on iOS',
  kaios: 'KaiOS Browser',
  op_mini: 'Opera Mini',
  op_mob: 'Opera Mobile',
  opera: 'Opera',
  safari: 'Safari',
  samsung: 'Samsung Internet',
};

function browserName(browser: string): string {
  const [name, version] = browser.split(' ');
  return version === 'all' ? (names[name] ?? name) : `${names[name] ?? name} ${version}`;
}
