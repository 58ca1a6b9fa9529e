// Makes the package that projects install; `npm pack` alone would leave the program out of it, as .npmrc forbids scripts.
//   npm run package [-- --to <folder>]
import { execFileSync } from 'node:child_process';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const to = process.argv.indexOf('--to');
const folder = to < 0 ? root : resolve(process.env.INIT_CWD ?? '.', process.argv[to + 1]);
const args = ['pack', '--json', '--ignore-scripts', '--pack-destination', folder];
const told = execFileSync('npm', args, { cwd: root, encoding: 'utf8', shell: process.platform === 'win32' });
const [{ filename, size, entryCount }] = JSON.parse(told);
console.log(`${join(folder, filename)}: ${(size / 1000).toFixed(0)} kB, ${entryCount} files`);
