import { finding } from '../../../findings.js';
import type { Collector } from './collector.js';
import type { PageDemand } from './demand.js';

const withoutQuery = (url: string) => url.replace(/[?#].*$/s, '');
const nameOf = (url: string) => withoutQuery(url).replace(/^.*\//s, '');

/** Preloads that do no good: what they fetch is fetched again, or drawn by nothing. */
export function preloadedFonts({ page, faces, preloads }: PageDemand, collected: Collector): void {
  const groups = faces.flatMap((face) => face.groups.filter(({ drawn }) => drawn.length > 0));
  const used = new Set(groups.flatMap(({ face }) => face?.source ?? []));
  for (const { url, file: from, line, hasCrossorigin, address } of preloads) {
    const place = { file: from, line };
    if (address === undefined) continue; // of another host, or missing: told where that is
    if (!hasCrossorigin) {
      const message = `the preload of ${nameOf(url)} has no crossorigin`;
      collected.add(finding('preload-crossorigin', message, place), [page]);
    }
    const file = withoutQuery(address);
    const same = [...used].find((source) => source.address && withoutQuery(source.address) === file);
    if (!same) {
      const message = `${nameOf(url)} is preloaded, and the page draws nothing with it`;
      collected.add(finding('preload-unused', message, place), [page]);
    } else if (queryOf(url) !== queryOf(same.url ?? '')) {
      const message = `the preload asks for ${nameOf(url)}${queryOf(url)}, and the rule for ${nameOf(same.url ?? '')}${queryOf(same.url ?? '')}`;
      collected.add(finding('preload-differs', message, place), [page]);
    }
  }
}

const queryOf = (url: string): string => /\?[^#]*/.exec(url)?.[0] ?? '';
