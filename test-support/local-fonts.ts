// The local fonts that browsers see while tests run: the same on every machine
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './paths.js';

/** Files of Debian's packages that tools/browsers.mjs installs; packages beside them have files in the same folders. */
const seen = [
  '*/liberation/*',
  ...['Sans', 'Sans-Bold', 'SansMono', 'SansMono-Bold', 'Serif', 'Serif-Bold'].map(
    (name) => `*/dejavu/DejaVu${name}.ttf`,
  ),
  '*/noto/NotoSans-*',
  '*/noto/NotoSerif-*',
  '*/noto/NotoSans{Arabic,Devanagari,Hebrew,Thai}-*',
  '*/lohit-devanagari/*',
  '*/cantarell/*',
  '*/linux-libertine/*',
  '*/nanum/*',
].flatMap(alternatives);

/** Endings of font files: a glob for everything would leave out the folders too. */
const kinds = ['ttf', 'ttc', 'otf', 'otc', 'pfa', 'pfb', 't1', 'pcf', 'pcf.gz', 'bdf', 'woff', 'woff2'];

/** Globs of fontconfig know no braces. */
function alternatives(glob: string): string[] {
  const [, start, list, end] = /^(.*)\{(.*)\}(.*)$/.exec(glob) ?? [];
  return list === undefined ? [glob] : list.split(',').map((one) => start + one + end);
}

/**
 * Writes a configuration of fontconfig, and has everything that is started from here go by it.
 *
 * @param which `own` for the list above, `none`, or `all` that the machine has
 */
export function useLocalFonts(which: string): void {
  if (which === 'all') return;
  const folder = join(root, 'build/fontconfig');
  mkdirSync(folder, { recursive: true });
  const globs = which === 'none' ? [] : seen;
  const rejected = kinds.map((kind) => `<glob>*.${kind}</glob>`).join('');
  const accepted = globs.map((glob) => `<glob>${glob}</glob>`).join('');
  const file = join(folder, `${which}.conf`);
  writeFileSync(
    file,
    `<?xml version="1.0"?><!DOCTYPE fontconfig SYSTEM "fonts.dtd"><fontconfig>
<dir>/usr/share/fonts</dir>
<cachedir>${join(folder, `cache-${which}`)}</cachedir>
<include ignore_missing="yes">/etc/fonts/conf.d</include>
<selectfont><rejectfont>${rejected}</rejectfont><acceptfont>${accepted}</acceptfont></selectfont>
</fontconfig>
`,
  );
  process.env.FONTCONFIG_FILE = file;
}
