import { describe, expect, test } from '@jest/globals';
import { cpSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { openFont } from '#src/core/containers/index.js';
import { os2 } from '#src/core/tables/index.js';
import { cli, inFolder, tree } from '../../test-support/cli.js';
import { buildCollection } from '../../test-support/fonts.js';
import { readSample, sampleFonts } from '../../test-support/paths.js';
import { config, factIn, manifestIn, project, sans, slab, textIn } from '../../test-support/project.js';

describe('build', () => {
  test('writes the whole kit: parts, rules, hints, manifest, ledger, licences, proof', () =>
    project(config, async (folder) => {
      const { code, out, err } = await cli(['build'], folder);
      expect([code, err]).toEqual([0, '']);
      expect(out).toContain('Kit   site/type');
      expect(out).toMatch(/5 faces +286\.\d kB +\d+\.\d kB +3\d%/);
      const manifest = manifestIn(folder);
      const files = tree(join(folder, 'site/type'));
      expect(files.map((file) => file.replace(/-[0-9a-f]{8}\./, '-DIGEST.'))).toEqual([
        'faces/ferrywake-sans-400i-whole-DIGEST.woff2',
        'faces/ferrywake-sans-400n-whole-DIGEST.woff2',
        'faces/ferrywake-sans-700i-whole-DIGEST.woff2',
        'faces/ferrywake-sans-700n-whole-DIGEST.woff2',
        'faces/lampbuoy-slab-700n-whole-DIGEST.woff2',
        'kit.css',
        'licences/OFL.txt',
      ]);
      expect(tree(join(folder, '.dense-glyph'))).toEqual([
        'README.txt',
        'head.html',
        'kit.d.mts',
        'kit.json',
        'kit.mjs',
        'ledger.json',
        'proof.html',
      ]);
      const fonts = files.filter((file) => file.startsWith('faces/'));
      expect(Object.keys(manifest.files)).toEqual(fonts);
      expect(manifest.texts).toEqual(files.filter((file) => !fonts.includes(file)));
      const [regular] = manifest.families[0].faces;
      expect(regular).toMatchObject({
        weight: '400',
        style: 'normal',
        preload: true,
        source: { path: 'fonts/FerrywakeSans-Regular.ttf' },
      });
      expect(regular.parts[0].file).toContain(regular.parts[0].sha256.slice(0, 8));

      const css = textIn(folder, 'kit.css');
      expect(css.match(/@font-face[^}]*url\(/g)).toHaveLength(5);
      for (const { faces } of manifest.families)
        for (const { parts } of faces) expect(css).toContain(`src: url("${parts[0].file}") format("woff2");`);
      expect(css).toContain('--type-heading: "Lampbuoy Slab", "Lampbuoy Slab stand-in", Georgia, serif;');
      expect(css).toContain('.type-body {\n  font-family: var(--type-body);\n}');

      const head = factIn(folder, 'head.html');
      expect(head.match(/rel="preload"/g)).toHaveLength(2);
      // The config names no site, so its own folder is taken for the root.
      expect(head).toContain(
        `<link rel="preload" href="site/type/${regular.parts[0].file}" as="font" type="font/woff2" crossorigin>`,
      );

      const { entries } = JSON.parse(factIn(folder, 'ledger.json')) as { entries: Record<string, unknown>[] };
      expect(entries.map(({ rights }) => rights)).toEqual(['OFL-1.1', 'OFL-1.1', 'OFL-1.1', 'OFL-1.1', null]);
      expect(entries[0]).toMatchObject({
        licenceTexts: ['licences/OFL.txt'],
        stated: { embedding: 'installable embedding' },
      });

      const module = (await import(pathToFileURL(join(folder, '.dense-glyph/kit.mjs')).href)) as {
        head: (base: string) => string;
        css: string;
      };
      expect(module.css).toBe(css);
      expect(module.head('/x/')).toContain('href="/x/kit.css"');
    }));

  test('the same inputs give the same bytes, and an unchanged kit is left alone', () =>
    project(config, async (folder) => {
      await cli(['build'], folder);
      const first = factIn(folder, 'kit.json');
      expect((await cli(['build'], folder)).out).toContain('site/type (unchanged)');
      writeFileSync(join(folder, 'site/type/kit.css'), '/* edited */');
      expect((await cli(['build'], folder)).out).not.toContain('unchanged');
      expect(factIn(folder, 'kit.json')).toBe(first);
      expect(tree(folder).filter((file) => file.includes('.new-') || file.includes('.old-'))).toEqual([]);
    }));

  test('output.url stands before every URL, and faces no longer wanted go', () =>
    project({ ...config, output: { folder: 'site/type', url: '/type' } }, async (folder) => {
      await cli(['build'], folder);
      expect(textIn(folder, 'kit.css')).toContain('src: url("/type/faces/');
      expect(factIn(folder, 'head.html')).toContain('href="/type/kit.css"');
      const changed = {
        output: { folder: 'site/type' },
        families: [{ ...sans, faces: 400, loading: { preload: 'none' } }],
      };
      writeFileSync(join(folder, 'dense-glyph.config.json'), JSON.stringify(changed));
      await cli(['build'], folder);
      expect(tree(join(folder, 'site/type/faces'))).toHaveLength(1);
      expect(factIn(folder, 'head.html')).not.toContain('preload');
    }));

  test('reach decides the formats, and the report names the browser behind each', () =>
    project({ ...config, reach: ['last 1 chrome version', 'ie 8', 'ie 11'] }, async (folder) => {
      const { code, out } = await cli(['build'], folder);
      expect(code).toBe(0);
      expect(out).toContain('woff is there for Internet Explorer 11');
      expect(out).toContain('eot is there for Internet Explorer 8');
      const { reach, families } = manifestIn(folder);
      expect(reach).toMatchObject({ askedBy: 'config', browsers: 3 });
      const [regular] = families[0].faces;
      const [woff2, woff, eot] = regular.parts;
      expect([woff2, woff, eot].map(({ format }) => format)).toEqual(['woff2', 'woff', 'eot']);
      expect(textIn(folder, 'kit.css')).toContain(
        `src: url("${eot.file}?") format("embedded-opentype"),\n    url("${woff2.file}") format("woff2"),\n    ` +
          `url("${woff.file}") format("woff");`,
      );
      // Only the best format is preloaded: whoever knows preload knows WOFF2.
      expect(factIn(folder, 'head.html')).not.toMatch(/\.(woff|eot)"/);
      const slab = families[1].faces[0].parts.find(({ format }) => format === 'eot')!;
      const { font } = openFont(readFileSync(join(folder, 'site/type', slab.file)));
      expect([font.flavour, font.table(os2).usWeightClass]).toEqual(['truetype', 700]);
    }));

  test('a family that is there in several formats is taken once', () =>
    project({ ...config, families: [{ ...sans, files: 'fonts/old', faces: 700 }] }, async (folder) => {
      const source = 'fonts/FerrywakeSans-Bold.ttf';
      await cli(['convert', source, '--to', 'woff,eot,ttf', '--out', 'fonts/old'], folder);
      const { code, out } = await cli(['build'], folder);
      expect(code).toBe(0);
      expect(out).toContain(
        'fonts/old/FerrywakeSans-Bold.eot, fonts/old/FerrywakeSans-Bold.woff holds the same face',
      );
      expect(manifestIn(folder).families[0].faces[0].source.path).toBe('fonts/old/FerrywakeSans-Bold.ttf');
    }));

  test('the faces of a collection are told apart like files', () =>
    project({ ...config, families: [{ ...sans, files: 'fonts/all.ttc' }] }, async (folder) => {
      const faces = ['Regular', 'Bold', 'Italic'].map(
        (style) => openFont(readSample(`FerrywakeSans-${style}.ttf`)).font,
      );
      writeFileSync(join(folder, 'fonts/all.ttc'), buildCollection(faces));
      expect((await cli(['build'], folder)).err).toBe('');
      const made = manifestIn(folder).families[0].faces.map(({ weight, style, source }) => [
        weight,
        style,
        source.path,
      ]);
      expect(made).toEqual([
        ['400', 'normal', 'fonts/all.ttc#1'],
        ['700', 'normal', 'fonts/all.ttc#2'],
        ['400', 'italic', 'fonts/all.ttc#3'],
      ]);
    }));

  test('a variable file is declared with its range, or the part of it that the config names', () =>
    project(
      {
        ...config,
        families: [
          {
            ...sans,
            files: 'fonts/FerrywakeSans-Variable.ttf',
            faces: '350..700',
            loading: { preload: ['500'] },
          },
        ],
      },
      async (folder) => {
        expect((await cli(['build', '--json'], folder)).code).toBe(0);
        const rules = textIn(folder, 'kit.css').match(/@font-face[^}]*url\([^}]*/g)!;
        const weights = rules.map((rule) => /font-weight: ([^;]*)/.exec(rule)![1]);
        expect(weights).toEqual(['350 700']);
        expect(manifestIn(folder).families[0].faces[0]).toMatchObject({
          weight: '350 700',
          preloadReason: 'the config lists it',
        });
      },
    ));

  test.each<[string, object, number, string]>([
    ['an unknown key', { ...config, outptu: {} }, 2, 'outptu is not a known key; did you mean output?'],
    [
      'two files for one style',
      { ...config, families: [{ ...sans, files: 'fonts/FerrywakeSans*.ttf' }] },
      2,
      'draw the same style',
    ],
    [
      'a weight that no file draws',
      { ...config, families: [{ ...sans, faces: [400, 550] }] },
      2,
      'families[0]: no file of Ferrywake Sans draws 550; the files offer 400',
    ],
    [
      'a style that no file draws',
      { ...config, families: [{ ...slab, faces: ['700 italic'] }] },
      2,
      'no file of Lampbuoy Slab draws 700 italic',
    ],
    [
      'a file that is not there',
      { ...config, families: [{ ...sans, files: 'fonts/Nowhere.ttf' }] },
      3,
      'fonts/Nowhere.ttf: there is no such file',
    ],
    [
      'a glob without matches',
      { ...config, families: [{ ...sans, files: 'fonts/*.woff3' }] },
      3,
      'fonts/*.woff3: matches no font file',
    ],
  ])('%s is named and nothing is written', (_, wrong, exit, message) =>
    project(wrong, async (folder) => {
      const { code, err, out } = await cli(['build'], folder);
      expect([code, out]).toEqual([exit, '']);
      expect(err).toContain(message);
      expect(existsSync(join(folder, 'site'))).toBe(false);
    }),
  );

  test('a folder with files that no kit put there is not replaced', () =>
    project(config, async (folder) => {
      mkdirSync(join(folder, 'site/type'), { recursive: true });
      writeFileSync(join(folder, 'site/type/precious.css'), 'a {}');
      const { code, err } = await cli(['build'], folder);
      expect(code).toBe(2);
      expect(err).toContain(
        'it holds precious.css, which no kit put there; choose another folder, or move those files away',
      );
      expect(tree(join(folder, 'site'))).toEqual(['type/precious.css']);
    }));

  test('a folder that packages lie in is refused before anything is written', () =>
    project({ ...config, output: { ...config.output, folder: 'node_modules/type' } }, async (folder) => {
      const { code, err } = await cli(['build'], folder);
      expect([code, existsSync(join(folder, 'node_modules'))]).toEqual([2, false]);
      expect(err).toMatch(
        /output\.folder is "node_modules\/type", which is lost .* name a folder of your own/s,
      );
    }));

  test('a font that forbids embedding needs a statement of rights', () =>
    project({ ...config, families: [{ ...slab, files: 'fonts/restricted.ttf' }] }, async (folder) => {
      const bytes = new Uint8Array(readSample('FerrywakeSans-Bold.ttf'));
      const directory = Buffer.from(bytes).indexOf('OS/2');
      const offset = new DataView(bytes.buffer).getUint32(directory + 8);
      bytes.set([0, 2], offset + 8); // fsType: restricted licence embedding
      writeFileSync(join(folder, 'fonts/restricted.ttf'), bytes);
      const refused = await cli(['build'], folder);
      expect(refused.code).toBe(2);
      expect(refused.err).toContain('fonts/restricted.ttf: families[0]: the font forbids embedding');
      const stated = {
        ...config,
        families: [{ ...slab, files: 'fonts/restricted.ttf', rights: 'invoice 7, harbour office' }],
      };
      writeFileSync(join(folder, 'dense-glyph.config.json'), JSON.stringify(stated));
      expect((await cli(['build'], folder)).code).toBe(0);
      expect(factIn(folder, 'ledger.json')).toContain('invoice 7, harbour office');
    }));

  test('the config may be YAML, a module, or a key of package.json', () =>
    inFolder(async (folder) => {
      cpSync(sampleFonts, join(folder, 'fonts'), { recursive: true });
      const one = { output: { folder: 'site/type' }, families: [slab] };
      for (const [file, text] of [
        ['package.json', JSON.stringify({ name: 'x', 'dense-glyph': one })],
        ['dense-glyph.config.mjs', `export default ${JSON.stringify(one)};`],
        [
          'other.yaml',
          'output: { folder: site/type }\nfamilies: [{ family: Lampbuoy Slab, files: fonts/LampbuoySlab-Bold.otf }]\n',
        ],
      ]) {
        writeFileSync(join(folder, file), text);
        const { code, err } = await cli(
          file === 'other.yaml' ? ['build', '--config', file] : ['build'],
          folder,
        );
        expect([code, err]).toEqual([0, '']);
      }
      writeFileSync(join(folder, 'broken.yaml'), 'families: [');
      expect((await cli(['build', '-c', 'broken.yaml'], folder)).code).toBe(2);
    }));
});
