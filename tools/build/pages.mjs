// Scripts and styles of the pages that the program writes, each as a module with its text.
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import terser from '@rollup/plugin-terser';
import { rollup } from 'rollup';
import { root } from './root.mjs';

const built = join(root, 'src/browser/built');

/** For each declaration in `src/browser/built` what is compiled of the folder of that name. */
export async function bundlePages() {
  const out = join(root, 'build/src/browser/built');
  mkdirSync(out, { recursive: true });
  const common = readFileSync(join(root, 'src/browser/page.css'), 'utf8');
  for (const file of readdirSync(built)) {
    const page = basename(file, '.d.ts');
    const script = await bundled(page, 'main', 'iife');
    // It stands in a script element.
    if (/<\/script|<!--/i.test(script)) throw new Error(`${page}: the script would end its element`);
    const hasModule = existsSync(join(root, 'src/browser', page, 'module.ts'));
    const module = hasModule ? await bundled(page, 'module', 'es') : undefined;
    const styleFile = join(root, 'src/browser', page, 'style.css');
    const style = existsSync(styleFile) ? common + readFileSync(styleFile, 'utf8') : undefined;
    const texts = {
      script,
      ...(module === undefined ? {} : { module }),
      ...(style === undefined ? {} : { style }),
    };
    const lines = Object.entries(texts).map(
      ([name, text]) => `export const ${name} = ${JSON.stringify(text)};\n`,
    );
    writeFileSync(join(out, `${page}.js`), lines.join(''));
  }
}

async function bundled(page, entry, format) {
  const bundle = await rollup({
    input: join(root, 'build/browser', page, `${entry}.js`),
    onwarn: (warning) => {
      throw new Error(warning.message);
    },
  });
  const { output } = await bundle.generate({ format, plugins: [terser()] });
  await bundle.close();
  return output[0].code.trim();
}
