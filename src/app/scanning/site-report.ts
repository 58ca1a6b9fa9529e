import { script as pageScript, style as pageStyle } from '../../browser/built/site-report.js';
import type { Site } from '../../site/scanning/site.js';
import { decodedStylesheet } from '../../site/html/encoding.js';
import type { ScanResult } from './scan-result.js';

/** Lines of a file around the one that a finding points at. */
interface SourceLines {
  /** From 1. */
  first: number;
  lines: string[];
}

/** Lines before and behind, and characters of each, as some files are one line. */
const around = 2;
const longestLine = 400;

/**
 * A page that shows what a scan found: faces by pages, characters with the places where they are drawn, findings with their
 * source. It holds all of its data and works from a file.
 */
export async function siteReport(result: ScanResult, site: Pick<Site, 'named'>): Promise<string> {
  // What a build needs besides would only make the page larger.
  const pages = result.pages.map(({ page, languages, faces }) => ({ page, languages, faces }));
  const data = JSON.stringify({ ...result, pages, sources: await sourcesOf(result.findings, site) });
  return `<!doctype html>
<html lang="en">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Fonts of the site</title>
<style>
${pageStyle}</style>
<noscript><p>This page shows its data by a script of its own.</p></noscript>
<div id="report"></div>
<script type="application/json" id="data">${data.replaceAll('<', '\\u003c')}</script>
<script>${pageScript}</script>
</html>
`;
}

/** By `file:line`. */
async function sourcesOf(
  findings: ScanResult['findings'],
  site: Pick<Site, 'named'>,
): Promise<Record<string, SourceLines>> {
  const sources: Record<string, SourceLines> = {};
  const files = new Map<string, string[]>();
  for (const { place } of findings) {
    const { file, line } = place;
    if (file === undefined || !line) continue;
    if (!files.has(file)) {
      const bytes = await site.named(file).catch(() => undefined);
      files.set(file, bytes ? decodedStylesheet(bytes).split(/\r\n?|\n/) : []);
    }
    const lines = files.get(file)!;
    const first = Math.max(1, line - around);
    const shown = lines.slice(first - 1, line + around).map((text) => text.slice(0, longestLine));
    if (shown.length > 0) sources[`${file}:${line}`] = { first, lines: shown };
  }
  return sources;
}
