// Lists that follow from which files are there: the commands of the program and the functions of the library. A file in
// src/cli/commands says its summary and its place in the order of the work; the use case of the same name is below src/app.
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { root } from './root.mjs';

const folder = join(root, 'src/cli/commands');
const head = '// Written by tools/build/lists.mjs from the files in src/cli/commands.\n';

/** In the order of the work. */
export function commandsHere() {
  const found = [];
  for (const file of readdirSync(folder)) {
    const text = readFileSync(join(folder, file), 'utf8');
    const summary = /^export const summary =\s+'((?:[^'\\]|\\.)*)';/m.exec(text)?.[1];
    const order = /^export const order = (\d+);/m.exec(text)?.[1];
    if (summary === undefined || order === undefined) continue;
    found.push({ name: basename(file, '.ts'), summary, order: Number(order) });
  }
  return found.sort((a, b) => a.order - b.order);
}

function commandList(commands) {
  const rows = commands.map(({ name, summary }) =>
    [
      '  {',
      `    name: '${name}',`,
      `    summary: '${summary}',`,
      `    load: () => import('./commands/${name}.js'),`,
      '  },',
    ].join('\n'),
  );
  return `${head}import type { CommandModule } from './command-module.js';

/** Every command, with its code loaded only when it runs. */
export const commands: readonly { name: string; summary: string; load: () => Promise<CommandModule> }[] = [
${rows.join('\n')}
];
`;
}

function useCases(commands) {
  const modules = readdirSync(join(root, 'src/app'), { recursive: true }).map((path) =>
    path.replaceAll('\\', '/'),
  );
  const moduleOf = (name) => modules.find((path) => path === `${name}.ts` || path.endsWith(`/${name}.ts`));
  const found = commands.map(({ name }) => ({ name, module: moduleOf(name)?.replace(/\.ts$/, '.js') }));
  const functions = found.filter(({ module }) => module).sort((a, b) => (a.name < b.name ? -1 : 1));
  const imports = functions.map(
    ({ name, module }) => `import type { ${name} as ${name}Now } from './app/${module}';`,
  );
  const types = functions.map(({ module }) => `export type * from './app/${module}';`);
  const calls = functions.map(
    ({ name, module }) =>
      `/** See \`${name[0].toUpperCase()}${name.slice(1)}Request\`. */\n` +
      `export const ${name}: typeof ${name}Now = async (...call) =>\n  (await import('./app/${module}')).${name}(...call);\n`,
  );
  return `${head}${imports.join('\n')}\n\n${types.join('\n')}\n\n${calls.join('\n')}`;
}

/** Writes the lists where they have changed. @returns the names of those that have */
export function writeLists({ check = false } = {}) {
  const commands = commandsHere();
  const files = { 'src/cli/commands.ts': commandList(commands), 'src/use-cases.ts': useCases(commands) };
  const changed = Object.entries(files).filter(([file, text]) => {
    const path = join(root, file);
    return !existsSync(path) || readFileSync(path, 'utf8') !== text;
  });
  if (!check) for (const [file, text] of changed) writeFileSync(join(root, file), text);
  return changed.map(([file]) => file);
}
