import type { Command } from 'commander';
import type { Terminal } from '../terminal.js';

/** What a command's file exports: it adds arguments, options and the action. */
export interface CommandModule {
  configure(command: Command, terminal: Terminal): void;
}

/** Every command, with its code loaded only when it runs. */
export const commands: readonly { name: string; summary: string; load: () => Promise<CommandModule> }[] = [
  {
    name: 'inspect',
    summary: 'describe font files: names, coverage, features, licence, weight, trouble',
    load: () => import('./inspect.js'),
  },
  {
    name: 'convert',
    summary: 'convert font files between woff2, woff, ttf, otf, eot and svg',
    load: () => import('./convert.js'),
  },
  {
    name: 'subset',
    summary: 'cut fonts down to the characters and features that a site needs',
    load: () => import('./subset.js'),
  },
  {
    name: 'scan',
    summary: 'say which face draws which characters of a site, who asks for it, and what is wrong',
    load: () => import('./scan.js'),
  },
  { name: 'build', summary: 'make the kit that the config describes', load: () => import('./build.js') },
  { name: 'demo', summary: 'run the whole of it on the sample site', load: () => import('./demo.js') },
];
