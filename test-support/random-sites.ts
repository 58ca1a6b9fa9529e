// Random sites whose faces hosts serve, brought home and wired: what draws each character before, and then
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import fc from 'fast-check';
import yaml from 'js-yaml';
import type { Manifest } from '#src/kit/index.js';
import type { ScannedFace } from '#src/app/scanning/scan-result.js';
import type { AdoptedLedger } from '#src/app/project/ledger.js';
import { openFont, writeFont } from '#src/core/containers/index.js';
import { fontFaceText } from '#src/core/face/index.js';
import { slug } from '#src/core/face/slug.js';
import { fontOf } from '#src/core/sfnt/font.js';
import { subsetFont } from '#src/core/subset/index.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { mappedCharacters } from '#src/core/text/mapped-characters.js';
import { parseUnicodeRanges } from '#src/core/text/parse-ranges.js';
import { readRules } from '#src/site/css/rules.js';
import { faceRuleOf } from '#src/site/usage/declared-faces.js';
import { inFolder } from './cli.js';
import { asPictures } from './fonts.js';
import { denseGlyph } from './library.js';
import { readSample } from './paths.js';

const { adopt, init, build, wire, scan } = denseGlyph;

/** What partial files are cut by. */
const parts = ['U+20-5A, U+61-66', 'U+67-7A, U+C0-FF, U+A0', 'U+391-3C9'] as const;
const letters = [...'Abc Def ghi xyz Éàü Αβγ'];

interface RandomStyle {
  weight: number;
  isItalic: boolean;
}

interface RandomFamily {
  name: string;
  styles: RandomStyle[];
  /** `whole`: a file a style; `ranges`: three; `apart`: three that can't be joined; `local`: files of the site. */
  delivery: 'whole' | 'ranges' | 'apart' | 'local';
}

interface RandomText {
  family: number;
  fallback: number;
  weight: number;
  isItalic: boolean;
  text: string;
  /** Whether a class draws a picture before it. */
  hasIcon: boolean;
}

export interface RandomSite {
  families: RandomFamily[];
  pages: { texts: RandomText[]; asks: ('link' | 'import' | 'shared' | 'both')[] }[];
  /** Whether the sheet that pages share imports or declares the faces that it may. */
  sharedFamilies: boolean[];
  /** What a person makes of the config. */
  rest: 'keep' | 'drop';
  /** A family that is taken out of it, and one of whose faces the first is. */
  without: number | undefined;
  thinned: number | undefined;
  /** Text that somebody writes into the last page once the kit is built. */
  late: string | undefined;
  hasBase: boolean;
  /** Whether it is shown before, wired again and taken back, which takes as long as all else. */
  isWiredTwice: boolean;
}

const names = ['Quay Sans', 'Pier Text', 'Buoy'];
const weights = fc.constantFrom(300, 400, 700);
const textOf = fc
  .array(fc.constantFrom(...letters), { minLength: 1, maxLength: 12 })
  .map((one) => one.join(''));

export const randomSite: fc.Arbitrary<RandomSite> = fc.record({
  families: fc
    .tuple(
      ...names.map((name) =>
        fc.record({
          name: fc.constant(name),
          styles: fc.uniqueArray(fc.record({ weight: weights, isItalic: fc.boolean() }), {
            minLength: 1,
            maxLength: 3,
            selector: ({ weight, isItalic }) => `${weight} ${isItalic}`,
          }),
          delivery: fc.constantFrom<RandomFamily['delivery']>('whole', 'ranges', 'apart', 'apart', 'local'),
        }),
      ),
    )
    .map((all) => [...all]),
  pages: fc.array(
    fc.record({
      texts: fc.uniqueArray(
        fc.record({
          family: fc.nat(names.length - 1),
          fallback: fc.nat(names.length - 1),
          weight: weights,
          isItalic: fc.boolean(),
          text: textOf,
          hasIcon: fc.boolean(),
        }),
        { minLength: 1, maxLength: 3, selector: ({ weight, isItalic }) => `${weight} ${isItalic}` },
      ),
      asks: fc.array(fc.constantFrom('link', 'import', 'shared', 'both'), {
        minLength: names.length,
        maxLength: names.length,
      }),
    }),
    { minLength: 1, maxLength: 3 },
  ),
  sharedFamilies: fc.array(fc.boolean(), { minLength: names.length, maxLength: names.length }),
  rest: fc.constantFrom('keep', 'keep', 'drop'),
  without: fc.option(fc.nat(names.length - 1), { freq: 4, nil: undefined }),
  thinned: fc.option(fc.nat(names.length - 1), { freq: 4, nil: undefined }),
  late: fc.option(textOf, { freq: 4, nil: undefined }),
  hasBase: fc.integer({ min: 0, max: 9 }).map((one) => one === 0),
  isWiredTwice: fc.integer({ min: 0, max: 4 }).map((one) => one === 0),
});

/** Files that hosts serve, by their paths; each is made once. */
const served: Record<string, Uint8Array> = {};

interface ServedFile {
  path: string;
  characters: string;
}

/** A file of a family, which no other equals; those of a face that isn't cut apart can be joined. */
async function fileOf(
  { name, delivery }: RandomFamily,
  { weight, isItalic }: RandomStyle,
  part: number | 'all',
): Promise<ServedFile> {
  const face = `${slug(name)}-${weight}${isItalic ? 'i' : 'n'}-${delivery}`;
  const path = `/f/${face}-${part}.woff2`;
  const characters = part === 'all' ? parts.join(', ') : parts[part];
  if (!(path in served)) {
    const smoothed = delivery === 'apart' ? path : face;
    served[path] = await madeFile(
      characters,
      0x100 + [...smoothed].reduce((sum, one) => (sum * 31 + one.charCodeAt(0)) & 0x7fff, 0),
    );
  }
  return { path, characters };
}

/** @param upTo OpenType, gasp: smoothed at all sizes, up to this one */
async function madeFile(ranges: string, upTo: number, isPictures = false): Promise<Uint8Array> {
  const { font } = openFont(readSample('FerrywakeSans-Regular.ttf'));
  const available = mappedCharacters(font);
  const wanted = parseUnicodeRanges(ranges).codePoints();
  const characters = new CodePointSet(wanted.filter((one) => available.has(one)));
  const cut = subsetFont(font, { characters }).font;
  const gasp = [0, 1, 0, 2, upTo, 0xf, 0xffff, 0xf].flatMap((word) => [word >> 8, word & 0xff]);
  const made = fontOf(cut.flavour, cut.tables().set('gasp', new Uint8Array(gasp)));
  return (await writeFont(isPictures ? asPictures(made) : made, 'woff2')).bytes;
}

/** The rules of a family. @param base what URLs start with */
async function rulesOf(family: RandomFamily, base: string): Promise<string> {
  const cut = family.delivery === 'ranges' || family.delivery === 'apart';
  const rules: string[] = [];
  for (const style of family.styles)
    for (const part of cut ? parts.keys() : (['all'] as const)) {
      const { path, characters } = await fileOf(family, style, part);
      rules.push(
        fontFaceText({
          family: family.name,
          weight: [style.weight, style.weight],
          style: style.isItalic ? 'italic' : 'normal',
          stretch: [100, 100],
          display: 'swap',
          sources: [{ url: base + path, format: 'woff2' }],
          ...(cut ? { unicodeRange: characters } : {}),
        }),
      );
    }
  return rules.join('\n');
}

const iconClass = 'picture';

/** As hosts of icons send it: a face, and classes. */
async function iconSheet(base: string): Promise<string> {
  served['/f/pictures.woff2'] ??= await madeFile('U+41-44', 0x100, true);
  return `@font-face { font-family: Pictures; src: url(${base}/f/pictures.woff2) format("woff2") }
.${iconClass}::before { font: normal 400 1em Pictures; content: "\\e001" }`;
}

const pageName = (i: number) => `${'in/'.repeat(i % 2)}${i}.html`;

/** @param host its origin, and `sheets` what it is to serve by their paths */
async function writeSite(
  { families, pages, sharedFamilies, hasBase }: RandomSite,
  site: string,
  host: string,
  sheets: Record<string, string>,
): Promise<void> {
  const put = (file: string, content: string | Uint8Array) => {
    mkdirSync(dirname(join(site, file)), { recursive: true });
    writeFileSync(join(site, file), content);
  };
  sheets['/icons.css'] = await iconSheet(host);
  const shared: string[] = [];
  const addresses: string[] = [];
  for (const [i, family] of families.entries()) {
    const isLocal = family.delivery === 'local';
    const rules = await rulesOf(family, isLocal ? '' : host);
    if (isLocal) put(`${slug(family.name)}.css`, rules);
    else sheets[`/css/${slug(family.name)}.css`] = rules;
    addresses[i] = isLocal ? `/${slug(family.name)}.css` : `${host}/css/${slug(family.name)}.css`;
    if (sharedFamilies[i]) shared.unshift(`@import url("${addresses[i]}");`);
    if (isLocal)
      for (const style of family.styles) {
        const { path } = await fileOf(family, style, 'all');
        put(path, served[path]);
      }
  }
  put('shared.css', `${shared.join('\n')}\nbody { margin: 1em }`);
  for (const [i, { texts, asks }] of pages.entries()) {
    const links = asks.flatMap((ask, n) => {
      if (ask === 'shared') return [];
      if (ask === 'import') return [`<style>@import "${addresses[n]}"; p { color: black }</style>`];
      return [`<link rel="stylesheet" href="${addresses[n]}">`];
    });
    const head = [
      '<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Pier</title>',
      ...(hasBase && i === pages.length - 1 ? ['<base href="/">'] : []),
      ...(texts.some(({ hasIcon }) => hasIcon) ? [`<link rel="stylesheet" href="${host}/icons.css">`] : []),
      ...links,
      '<link rel="stylesheet" href="/shared.css"></head>',
    ];
    put(pageName(i), `${[...head, ...texts.map((text) => paragraph(text, families))].join('\n')}\n`);
  }
}

const paragraph = (
  { family, fallback, weight, isItalic, text, hasIcon }: RandomText,
  families: readonly RandomFamily[],
): string =>
  `<p${hasIcon ? ` class="${iconClass}"` : ''} style="font: ${isItalic ? 'italic ' : ''}${weight} 1em ${stackOf(
    { family, fallback },
    families,
  )
    .map((name) => `'${name}'`)
    .join(', ')}, serif">${text}</p>`;

const stackOf = (
  { family, fallback }: Pick<RandomText, 'family' | 'fallback'>,
  families: readonly RandomFamily[],
): string[] => [...new Set([families[family].name, families[fallback].name])];

/** What draws a character: the file of the source, and how. */
interface Drawn {
  family: string;
  file: string;
  weight: number;
  style: string;
  faked: readonly string[];
}

/** By page, by what is asked for and character; undefined for a local font. */
type Readings = Map<string, Map<string, Drawn | undefined>>;

/** @param sourcesOf where the bytes of a file came from, by its name */
async function readingsOf(folder: string, sourcesOf: (file: string) => string): Promise<Readings> {
  const { pages } = await scan({ site: ['site'], folder });
  return new Map(
    pages.map(({ page, faces }) => [
      page,
      new Map(
        faces.flatMap((face) =>
          parseUnicodeRanges(face.characters)
            .codePoints()
            .filter((one) => one > 0x20 && one !== 0xa0)
            .map(
              (one) => [`${face.asked.weight} ${face.asked.style} ${one}`, drawnBy(face, sourcesOf)] as const,
            ),
        ),
      ),
    ]),
  );
}

function drawnBy(
  { asked, drawnBy: face, faked }: ScannedFace,
  sourcesOf: (file: string) => string,
): Drawn | undefined {
  if (!face) return undefined;
  const [low, high = low] = face.weight.split(' ').map(Number);
  const weight = Math.min(high, Math.max(low, asked.weight));
  return { family: face.family, file: sourcesOf(basename(face.url)), weight, style: face.style, faked };
}

/** Whether a character is drawn as before, or nearer to what is asked for. */
function isAsGood(
  before: Drawn | undefined,
  after: Drawn | undefined,
  weight: number,
  stack: readonly string[],
): boolean {
  if (!before) return true;
  if (!after) return false;
  const isSame =
    after.file.split(' ').includes(before.file) &&
    after.weight === before.weight &&
    after.style === before.style &&
    after.faked.join() === before.faked.join();
  const isFirst = stack.indexOf(after.family) < stack.indexOf(before.family);
  const isNearer =
    after.family === before.family &&
    after.faked.every((one) => before.faked.includes(one)) &&
    (after.faked.length < before.faked.length ||
      Math.abs(after.weight - weight) < Math.abs(before.weight - weight));
  return isSame || isFirst || isNearer;
}

/** Names of files as hosts served them, by those of the kit; several behind spaces where they were joined. */
function sourcesIn(folder: string): (file: string) => string {
  const manifest = JSON.parse(readFileSync(join(folder, '.dense-glyph/kit.json'), 'utf8')) as Manifest;
  const ledger = ledgerIn(folder);
  const adopted = new Map(ledger.adopted.map(({ file, from }) => [file, basename(from)]));
  const joined = new Map((ledger.joined ?? []).map(({ file, from }) => [file, from]));
  const found = new Map<string, string>();
  for (const { faces } of manifest.families)
    for (const { source, parts: made } of faces) {
      const file = basename(source.path);
      const names = (joined.get(file) ?? [file]).map((one) => adopted.get(one) ?? one).join(' ');
      for (const part of made)
        found.set(basename(part.file), `${found.get(basename(part.file)) ?? ''} ${names}`.trim());
    }
  return (file) => found.get(file) ?? adopted.get(file) ?? file;
}

/** What was adopted; a site whose faces are all its own has no ledger. */
function ledgerIn(folder: string): Pick<AdoptedLedger, 'adopted' | 'joined'> {
  const file = join(folder, 'fonts/ledger.json');
  if (!existsSync(file)) return { adopted: [] };
  return JSON.parse(readFileSync(file, 'utf8')) as AdoptedLedger;
}

const textsIn = (site: string, files: readonly string[]): string[] =>
  files.map((file) => readFileSync(join(site, file), 'utf8'));

/** A host for random sites. */
export interface RandomHost {
  /** Stylesheets by their paths. */
  sheets: Record<string, string>;
  origin: string;
  close: () => void;
}

export async function startRandomHost(): Promise<RandomHost> {
  const sheets: Record<string, string> = {};
  const server = createServer(({ url = '' }, response) => {
    const sheet = sheets[url] as string | undefined;
    const content = sheet ?? served[url];
    if (content === undefined) response.writeHead(404).end();
    else
      response
        .writeHead(200, { 'content-type': sheet === undefined ? 'font/woff2' : 'text/css' })
        .end(content);
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const { port } = server.address() as AddressInfo;
  const close = () => {
    server.closeAllConnections();
    server.close();
  };
  return { sheets, origin: `http://127.0.0.1:${port}`, close };
}

/** Brings a random site home, and wires it. @returns what is worse than before, or isn't undone */
export const wiredProblems = (random: RandomSite, host: RandomHost): Promise<string[]> =>
  inFolder(async (folder) => {
    const site = join(folder, 'site');
    await writeSite(random, site, host.origin, host.sheets);
    const allowHosts = [new URL(host.origin).host];
    await adopt({ inputs: ['site'], out: 'fonts', folder, allowHosts }).catch(ifNothing);
    await init({ folder, site: 'site' });
    changeConfig(join(folder, 'dense-glyph.config.yaml'), random);
    await build({ folder });
    const last = join(site, pageName(random.pages.length - 1));
    if (random.late !== undefined) {
      const [text] = random.pages[random.pages.length - 1].texts;
      const late = paragraph({ ...text, text: random.late }, random.families);
      writeFileSync(last, `${readFileSync(last, 'utf8')}${late}\n`);
    }
    const files = ['shared.css', ...random.pages.map((_, i) => pageName(i))];
    const texts = textsIn(site, files);
    const before = await readingsOf(folder, sourcesIn(folder));
    const shown = random.isWiredTwice ? await wire({ folder, dryRun: true }) : undefined;
    const wired = await wire({ folder });
    const after = await readingsOf(folder, sourcesIn(folder));
    const problems = partingRules(readFileSync(join(site, 'type/kit.css'), 'utf8'));
    for (const [i, { texts: own }] of random.pages.entries()) {
      const page = `site/${pageName(i)}`;
      for (const [key, was] of before.get(page) ?? before.get(pageName(i)) ?? []) {
        const [weight, style, code] = key.split(' ');
        const text = own.find(
          (one) => one.weight === Number(weight) && one.isItalic === (style === 'italic'),
        );
        const stack = text && Number(code) < 0xe000 ? stackOf(text, random.families) : [];
        const is = (after.get(page) ?? after.get(pageName(i)))?.get(key);
        if (!isAsGood(was, is, Number(weight), stack))
          problems.push(`${page}: ${key}: ${JSON.stringify(was)}, then ${JSON.stringify(is)}`);
      }
    }
    if (!shown) return problems;
    if (JSON.stringify(shown.files) !== JSON.stringify(wired.files))
      problems.push('--dry-run showed something else');
    const again = await wire({ folder });
    if (again.files.length > 0) problems.push(`a second call changes ${again.files[0].diff}`);
    await wire({ folder, undo: true });
    textsIn(site, files).forEach((text, i) => {
      if (text !== texts[i]) problems.push(`${files[i]} is not as it was`);
    });
    return problems;
  });

/** Rules whose weights overlap in ranges that aren't the same: some browsers then take one of them for all characters. */
function partingRules(css: string): string[] {
  const rules = readRules(css, 'kit.css').fontFaces.map(faceRuleOf);
  return rules.flatMap(({ family, style, weight: [low, high] }) =>
    rules
      .filter((one) => one.family === family && one.style === style)
      .filter(({ weight: [from, to] }) => from <= high && to >= low && (from !== low || to !== high))
      .map(({ weight }) => `kit.css has ${family} ${low} ${high} and ${weight.join(' ')}`),
  );
}

/** Where every face is the site's own. */
function ifNothing(cause: unknown): void {
  if (!/nothing here asks another host/.test(String(cause))) throw cause;
}

/** What a person may make of it; a config keeps a family at least. */
function changeConfig(file: string, { rest, without, thinned }: RandomSite): void {
  const config = yaml.load(readFileSync(file, 'utf8')) as {
    rest?: string;
    families: { family: string; faces?: string[]; files: unknown[] }[];
  };
  config.rest = rest;
  const taken = without === undefined ? undefined : names[without];
  if (config.families.length > 1) config.families = config.families.filter(({ family }) => family !== taken);
  const thin = thinned === undefined ? undefined : names[thinned];
  for (const family of config.families)
    if (family.family === thin && family.faces && family.faces.length > 1)
      family.faces = family.faces.slice(0, 1);
  writeFileSync(file, yaml.dump(config));
}
