import { isWebUrl } from '../io/addresses.js';
import { statSync } from 'node:fs';
import { relative, resolve } from 'node:path';
import escapeHtml from 'escape-html';
import { script, style } from '../browser/built/panel.js';
import { loadConfig } from '../config/load.js';
import { DenseGlyphError } from '../errors.js';
import type { Conditions } from './conditions.js';
import { ownPath, startRehearsal, type Rehearsal } from './server.js';
import { folderUpstream, serverUpstream, type Upstream } from './upstream.js';

/** What is rehearsed. */
export interface RehearseRequest {
  /** A folder, or the address of a running server; the config's site if left out, else the current folder. */
  site?: string | undefined;
  /** Where relative paths start; absolute. */
  folder: string;
  /** 0 for any that is free. */
  port: number;
  /** The address that is listened on; this machine's own if left out. */
  host?: string | undefined;
  conditions?: Partial<Conditions>;
  /** Another state of the site, to see beside it. */
  against?: string | undefined;
}

/** A rehearsal that runs. */
export interface Rehearsed extends Rehearsal {
  /** What is rehearsed, as it was named. */
  site: string;
  /** The page with both states beside each other. */
  beside?: string;
}

/** @throws DenseGlyphError `file-unreadable` for a folder that isn't there */
function upstreamOf(site: string, folder: string): Upstream {
  if (isWebUrl(site)) {
    if (!URL.canParse(site))
      throw new DenseGlyphError('call-invalid', `${site} is no address`, {}, 'give a URL');
    return serverUpstream(new URL(site));
  }
  const path = resolve(folder, site);
  if (statSync(path, { throwIfNoEntry: false })?.isDirectory() !== true)
    throw new DenseGlyphError(
      'file-unreadable',
      'there is no such folder',
      { file: site },
      'name the folder that is served',
    );
  return folderUpstream(path);
}

/**
 * Serves a site with its fonts slow or failing, and a panel in each page; until it is closed.
 *
 * @throws DenseGlyphError `call-invalid` where the port is taken, with the next one that is free; `file-unreadable`
 */
export async function rehearse(request: RehearseRequest): Promise<Rehearsed> {
  const { folder, port, host, conditions, against } = request;
  if (host?.trim() === '')
    throw new DenseGlyphError(
      'call-invalid',
      '--host names no address',
      {},
      'write 0.0.0.0 for all networks of this machine',
    );
  const site = request.site ?? (await siteOfConfig(folder));
  const panel = `(() => { const panelStyle = ${JSON.stringify(style)};\n${script}\n})();`;
  const start = (from: string, at: number, pages?: ReadonlyMap<string, string>) =>
    startRehearsal({
      upstream: upstreamOf(from, folder),
      port: at,
      panel,
      ...(host === undefined ? {} : { host }),
      ...(conditions ? { conditions } : {}),
      ...(pages ? { pages } : {}),
    });
  const other = against === undefined ? undefined : await start(against, 0);
  const pages = other && new Map([['beside', besidePage(site, against!, other.origin)]]);
  try {
    const own = await start(site, port, pages).catch((cause: unknown) => freePort(cause, port, host));
    if (!other) return Object.assign(own, { site });
    own.onChange((now) => {
      if (JSON.stringify(now) !== JSON.stringify(other.conditions())) other.change(now);
    });
    const close = async () => {
      await Promise.all([ownClose(), other.close()]);
    };
    const ownClose = own.close;
    return Object.assign(own, { site, beside: `${own.origin}${ownPath}beside`, close });
  } catch (cause) {
    await other?.close();
    throw cause;
  }
}

/** @throws DenseGlyphError `call-invalid` with a port that is free, or what was the matter */
async function freePort(cause: unknown, port: number, host: string | undefined): Promise<never> {
  const { code } = cause as NodeJS.ErrnoException;
  if (code === 'EADDRNOTAVAIL' || code === 'ENOTFOUND' || code === 'EAI_AGAIN')
    throw new DenseGlyphError(
      'call-invalid',
      `${host} is no address of this machine`,
      {},
      'leave --host out for this machine alone, or write 0.0.0.0 for its network',
      cause,
    );
  if (code === 'EACCES')
    throw new DenseGlyphError(
      'call-invalid',
      `port ${port} is not for everybody`,
      {},
      'take one above 1023',
      cause,
    );
  if (code !== 'EADDRINUSE') throw cause;
  const { createServer } = await import('node:net');
  const isFree = (one: number) =>
    new Promise<boolean>((done) => {
      const probe = createServer();
      probe.once('error', () => done(false));
      probe.listen(one, host ?? '127.0.0.1', () => probe.close(() => done(true)));
    });
  let free = port + 1;
  while (free < 65_535 && !(await isFree(free))) free++;
  throw new DenseGlyphError('call-invalid', `port ${port} is taken`, {}, `--port ${free} is free`);
}

/** The root of the site that a config names, where there is one; else the folder. @throws DenseGlyphError `config-invalid` */
export async function siteOfConfig(folder: string): Promise<string> {
  try {
    const { config, base } = await loadConfig(folder);
    return relative(folder, resolve(base, config.site?.root ?? '.')) || '.';
  } catch (cause) {
    if (cause instanceof DenseGlyphError && cause.code === 'config-missing') return '.';
    throw cause;
  }
}

/** Two frames that begin at the same time. */
function besidePage(site: string, against: string, other: string): string {
  const label = (text: string) => escapeHtml(text);
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Side by side</title><style>
body { margin: 0; font: 14px/1.4 system-ui, sans-serif; display: grid; grid-template: auto 1fr / 1fr 1fr; height: 100vh; }
form { grid-column: 1 / -1; padding: 6px 12px; display: flex; gap: 12px; align-items: center; border-bottom: 1px solid #ccc; }
figure { margin: 0; display: grid; grid-template-rows: auto 1fr; min-width: 0; } figure + figure { border-left: 1px solid #ccc; }
figcaption { padding: 4px 12px; color: #555; } iframe { width: 100%; height: 100%; border: 0; }
input { flex: 1; font: inherit; } button { font: inherit; }
</style></head><body>
<form><label for="page">Page</label><input id="page" value="/"><button>Load both</button></form>
<figure><figcaption>${label(against)}</figcaption><iframe id="a" title="${label(against)}"></iframe></figure>
<figure><figcaption>${label(site)}</figcaption><iframe id="b" title="${label(site)}"></iframe></figure>
<script>
const load = () => {
  const path = document.querySelector('#page').value.replace(/^\\/*/, '/');
  document.querySelector('#a').src = ${JSON.stringify(other)} + path;
  document.querySelector('#b').src = path;
};
document.querySelector('form').addEventListener('submit', (event) => { event.preventDefault(); load(); });
load();
</script></body></html>`;
}
