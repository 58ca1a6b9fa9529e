import { isWebUrl } from '../../io/addresses.js';
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { DenseGlyphError } from '../../errors.js';
import { finding, type Finding } from '../../findings.js';
import type { HttpClient } from '../../io/http/index.js';
import { packageOf, readBytes } from '../../io/read.js';
import { readSite } from '../../io/site-folder.js';
import { readRules } from '../../site/css/rules.js';
import { baseOf } from '../../site/html/base-url.js';
import { readDocument } from '../../site/html/document.js';
import { decodedPage, decodedStylesheet } from '../../site/html/encoding.js';
import { stylesheetsOf } from '../../site/cascade/page-stylesheets.js';
import { fetchFailure } from './fetch-failure.js';
import type { HostedStylesheets } from './hosted-stylesheets.js';
import { scannedSite } from '../project/reading/scan-threads.js';
import type { OnProgress } from '../progress.js';

/**
 * Finds the hosted faces of what is named, and notes them.
 *
 * @returns what can't be brought home by itself
 * @throws DenseGlyphError `file-unreadable`, `site-unreachable`
 */
export async function findHostedFaces(
  { inputs, folder }: { inputs: readonly string[]; folder: string },
  hosted: HostedStylesheets,
  client: HttpClient,
  progress?: OnProgress,
): Promise<Finding[]> {
  const found: Finding[] = [];
  for (const input of inputs) {
    if (isWebUrl(input)) await readUrl(input, hosted, client);
    else if (/^[a-z][a-z0-9+.-]*:\/\//i.test(input))
      throw new DenseGlyphError('call-invalid', `"${input}" is no http or https address`);
    else if (/\.css$/i.test(input)) {
      const path = resolve(folder, input);
      const css = decodedStylesheet(readBytes(path, input));
      await hosted.readText(css, pathToFileURL(path).href, input, packageOf(path));
    } else found.push(...(await readPages(input, folder, hosted, progress)));
  }
  return found;
}

async function readUrl(url: string, hosted: HostedStylesheets, client: HttpClient): Promise<void> {
  const answer = await client.get(url, 'text/css,text/html').catch((cause: unknown) => cause as Error);
  const reason = fetchFailure(answer);
  if (reason !== undefined || answer instanceof Error)
    throw new DenseGlyphError('site-unreachable', reason ?? 'it gave nothing', { url });
  if (answer.mediaType === 'text/css') return hosted.ask(url);
  const root = readDocument(await decodedPage(answer.bytes, answer.charset), 'none');
  const base = baseOf(root);
  const start = base === undefined ? answer.url : new URL(base, answer.url).href;
  const linked: string[] = [];
  await stylesheetsOf(root, start, {
    linked: (address, from) => {
      if (URL.canParse(address, from)) linked.push(new URL(address, from).href);
      return Promise.resolve(undefined);
    },
    inline: (css, file) => {
      const rules = readRules(css, file);
      hosted.noteFaces(rules.fontFaces, start, start);
      return rules;
    },
  });
  for (const one of linked) await hosted.ask(one);
}

async function readPages(
  input: string,
  folder: string,
  hosted: HostedStylesheets,
  progress?: OnProgress,
): Promise<Finding[]> {
  const { pages, hosted: references } = await scannedSite(await readSite([input], folder), {}, progress);
  const found: Finding[] = [];
  const asked = new Set<string>();
  for (const { kind, url, file, line } of references) {
    const address = url.startsWith('//') ? `https:${url}` : url;
    if (kind === 'script')
      found.push(finding('hosted-by-script', `a script asks ${url} for a face`, { file, line }));
    if ((kind !== 'stylesheet' && kind !== 'import') || asked.has(address)) continue;
    asked.add(address);
    await hosted.ask(address);
  }
  const known = new Set<string>();
  for (const { fontFaces } of pages) {
    for (const face of fontFaces) {
      const key = `${face.file}:${face.line}:${face.column}`;
      const sources = face.sources.filter(({ url }) => url !== undefined && /^(https?:)?\/\//i.test(url));
      if (sources.length === 0 || known.has(key)) continue;
      known.add(key);
      hosted.noteFaces([{ ...face, sources }], 'https://site.invalid/', face.file);
    }
  }
  return found;
}
