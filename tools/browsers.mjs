// Which browsers and fonts the tests can use here, and how to get the missing ones on a Debian-like machine.
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { delimiter, join } from 'node:path';

/** Each engine with the variable that names it, what it is called, where else it may lie, and its Debian package. */
const engines = {
  chromium: {
    variable: 'DENSE_GLYPH_CHROMIUM',
    names: ['chromium', 'chromium-browser', 'google-chrome'],
    package: 'chromium',
  },
  firefox: { variable: 'DENSE_GLYPH_FIREFOX', names: ['firefox-esr', 'firefox'], package: 'firefox-esr' },
  webkit: { variable: 'DENSE_GLYPH_WEBKIT_DRIVER', names: ['WebKitWebDriver'], package: 'webkit2gtk-driver' },
};

function onPath(name) {
  return (process.env.PATH ?? '')
    .split(delimiter)
    .map((folder) => join(folder, name))
    .find((path) => existsSync(path));
}

/** The path of an engine's program, or undefined if it isn't here. */
export function findBrowser(engine) {
  const { variable, names } = engines[engine];
  if (process.env[variable]) return process.env[variable];
  return names.map(onPath).find(Boolean);
}

/** The browser that WebKit's driver starts. */
export function findMiniBrowser() {
  if (process.env.DENSE_GLYPH_WEBKIT_BROWSER) return process.env.DENSE_GLYPH_WEBKIT_BROWSER;
  const library = '/usr/lib';
  if (!existsSync(library)) return undefined;
  for (const machine of readdirSync(library)) {
    for (const version of ['webkit2gtk-4.1', 'webkit2gtk-4.0', 'webkitgtk-6.0']) {
      const path = join(library, machine, version, 'MiniBrowser');
      if (existsSync(path)) return path;
    }
  }
  return undefined;
}

/** Fonts of many scripts for the tests, each with its Debian package. */
const fonts = {
  'NotoSansDevanagari-Regular.ttf': 'fonts-noto-core',
  'lohit-devanagari/Lohit-Devanagari.ttf': 'fonts-lohit-deva',
  'Cantarell-Regular.otf': 'fonts-cantarell',
  'LinLibertine_R.otf': 'fonts-linuxlibertine',
  'NanumMyeongjo.ttf': 'fonts-nanum',
  'dejavu/DejaVuSans.ttf': 'fonts-dejavu-core',
  'liberation/LiberationSans-Regular.ttf': 'fonts-liberation',
};
const fontFolders = [
  'truetype/noto',
  'truetype',
  'opentype/cantarell',
  'opentype/linux-libertine',
  'truetype/nanum',
].map((folder) => join('/usr/share/fonts', folder));

/** The path of a font that Debian packages, or undefined if it isn't here. */
export function findFont(file) {
  return fontFolders.map((folder) => join(folder, file)).find((path) => existsSync(path));
}

/** Why an engine isn't run, in a sentence. */
export function missingNote(engine) {
  const { variable, names } = engines[engine];
  return `${engine} is not run: none of ${names.join(', ')} is on PATH; set ${variable} to its path`;
}

/** Installs missing browsers and fonts where apt can be used without asking. */
export function installBrowsers() {
  const missing = Object.keys(engines).filter((engine) => !findBrowser(engine));
  const packages = missing.map((engine) => engines[engine].package);
  if (!onPath('xvfb-run')) packages.push('xvfb');
  if (!onPath('xauth')) packages.push('xauth');
  packages.push(...Object.keys(fonts).flatMap((file) => (findFont(file) ? [] : [fonts[file]])));
  if (packages.length === 0) return;
  const asRoot = process.getuid?.() === 0;
  if (asRoot && onPath('apt-get') && existsSync('/etc/debian_version')) {
    console.error(`Installing ${packages.join(', ')} …`);
    const options = {
      stdio: ['ignore', 'ignore', 2],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    };
    spawnSync('apt-get', ['update', '-qq'], options);
    spawnSync('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...packages], options);
  }
  for (const engine of missing) if (!findBrowser(engine)) console.error(missingNote(engine));
}
