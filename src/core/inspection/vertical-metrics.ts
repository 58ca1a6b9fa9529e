// OpenType: hhea; OS/2 (sTypoAscender, usWinAscent, fsSelection bit 7); CSS Inline 3, "ascent metric"

import type { Font } from '../sfnt/font.js';
import * as head from '../tables/head.js';
import * as hhea from '../tables/hhea.js';
import * as os2 from '../tables/os2.js';

/** All in em, descent downwards. */
export interface LineMetrics {
  ascent: number;
  descent: number;
  lineGap: number;
  /** What `line-height: normal` comes to. */
  lineHeight: number;
}

export interface VerticalMetrics {
  unitsPerEm: number;
  hhea: LineMetrics;
  typo?: LineMetrics;
  win?: LineMetrics;
  /** fsSelection bit 7: the typo set is meant. */
  useTypoMetrics: boolean;
  /** Which set each platform draws from. */
  platforms: { platform: string; from: 'hhea' | 'typo' | 'win'; lineHeight: number }[];
  xHeight?: number;
  capHeight?: number;
}

/** @throws DenseGlyphError `table-missing` without head or hhea */
export function verticalMetricsOf(font: Font): VerticalMetrics {
  const { unitsPerEm } = font.table(head);
  const em = (value: number) => Math.round((value / unitsPerEm) * 10000) / 10000;
  const line = (ascent: number, descent: number, lineGap: number): LineMetrics => ({
    ascent: em(ascent),
    descent: em(descent),
    lineGap: em(lineGap),
    lineHeight: em(ascent + descent + Math.max(lineGap, 0)),
  });
  const lines = font.table(hhea);
  const selected = font.optional(os2);
  const useTypoMetrics = ((selected?.fsSelection ?? 0) & os2.fsSelection.useTypoMetrics) !== 0;
  const metrics: VerticalMetrics = {
    unitsPerEm,
    hhea: line(lines.ascender, -lines.descender, lines.lineGap),
    useTypoMetrics,
    platforms: [],
  };
  if (selected?.sTypoAscender !== undefined) {
    metrics.typo = line(selected.sTypoAscender, -selected.sTypoDescender!, selected.sTypoLineGap!);
    metrics.win = line(selected.usWinAscent!, selected.usWinDescent!, 0);
  }
  if (selected?.sxHeight) metrics.xHeight = em(selected.sxHeight);
  if (selected?.sCapHeight) metrics.capHeight = em(selected.sCapHeight);
  metrics.platforms = platformsOf(metrics);
  return metrics;
}

type Platforms = VerticalMetrics['platforms'];
type MetricSet = Platforms[number]['from'];

/**
 * Browsers on Apple's systems take hhea. On Linux and Android hhea gives way to the typo set where bit 7 asks for it;
 * Chromium on Windows takes the win set unless bit 7 is set. Zeros count as missing.
 */
function platformsOf(metrics: VerticalMetrics): Platforms {
  const { useTypoMetrics } = metrics;
  const first = (...wanted: MetricSet[]) =>
    wanted.find((set) => (metrics[set]?.lineHeight ?? 0) > 0) ?? 'hhea';
  const chosen = [
    ['macOS and iOS', first('hhea', 'typo', 'win')],
    ['Windows', useTypoMetrics ? first('typo', 'win', 'hhea') : first('win', 'typo', 'hhea')],
    ['Linux and Android', useTypoMetrics ? first('typo', 'hhea', 'win') : first('hhea', 'typo', 'win')],
  ] as const;
  const platforms: Platforms = chosen.map(([platform, from]) => ({
    platform,
    from,
    lineHeight: metrics[from]!.lineHeight,
  }));
  return [...platforms, firefoxOnLinux(metrics, chosen[2][1])];
}

/** What CSS leaves to the browser where a font gives neither internal nor external leading. */
const usualLineHeight = 1.2;

/**
 * The ascent and descent of the set that Linux takes, or the typo set with its gap if that comes to more. A font whose
 * lines would then be exactly one em high gets the usual line height.
 */
function firefoxOnLinux(metrics: VerticalMetrics, from: MetricSet): Platforms[number] {
  const { ascent, descent } = metrics[from]!;
  const typo = metrics.typo?.lineHeight ?? 0;
  const higher = Math.max(ascent + descent, typo);
  return {
    platform: 'Firefox on Linux',
    from: typo > ascent + descent ? 'typo' : from,
    lineHeight: higher === 1 ? usualLineHeight : Math.round(higher * 10000) / 10000,
  };
}
