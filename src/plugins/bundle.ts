// Files that a bundler has made

import { sha256 } from '../kit/digest.js';
import type { Bundle } from './bundler.js';
import type { Delivery } from './delivery.js';
import type { ProjectKit } from './project-kit.js';
import { withoutReplaced } from './replaced-rules.js';
import { StandInStacks } from './stacks.js';

/** Takes out of made stylesheets what came into them by imports, and files that nothing names any more; stacks get their stand-ins. */
export function stripBundle(
  bundle: Bundle,
  kit: ProjectKit,
  delivery: Delivery,
  tell: (text: string) => void,
): void {
  const nameOf = (address: string) => address.replace(/[?#].*/s, '').replace(/^.*\//, '');
  const { files } = kit.result!.manifest;
  const digests = new Set(Object.values(files).map((file) => file.sha256));
  const own = new Set(
    Object.values(bundle).flatMap(({ source, fileName }) =>
      source instanceof Uint8Array && digests.has(sha256(source)) ? [nameOf(fileName)] : [],
    ),
  );
  const isOwn = (urls: readonly string[]) => urls.some((one) => own.has(nameOf(one)) || delivery.isOwn(one));
  const assets = new Map(
    Object.values(bundle).flatMap(({ source, fileName }) =>
      source instanceof Uint8Array ? [[nameOf(fileName), source] as const] : [],
    ),
  );
  const bytesOf = (address: string) => assets.get(nameOf(address));
  const gone = new Set<string>();
  const sheets = Object.values(bundle).flatMap((file) => {
    if (file.type !== 'asset' || !file.fileName.endsWith('.css') || file.source === undefined) return [];
    const css = typeof file.source === 'string' ? file.source : new TextDecoder().decode(file.source);
    return [{ file, css }];
  });
  const stacks = new StandInStacks();
  for (const { css } of sheets) stacks.read(css);
  for (const { file, css } of sheets) {
    const stripped = withoutReplaced(css, file.fileName, { shipped: kit.shipped, bytesOf, isOwn });
    const after = stacks.in(stripped?.css ?? css, kit.result!.manifest);
    if (after !== css) file.source = after;
    if (!stripped) continue;
    for (const one of stripped.urls) gone.add(nameOf(one));
    tell(`${stripped.faces.join(', ')} of an imported stylesheet gave way to the kit`);
  }
  const texts = Object.values(bundle).flatMap(({ code, source }) =>
    code !== undefined ? [code] : typeof source === 'string' ? [source] : [],
  );
  for (const [key, { fileName }] of Object.entries(bundle))
    if (gone.has(nameOf(fileName)) && !texts.some((text) => text.includes(nameOf(fileName))))
      delete bundle[key];
}
