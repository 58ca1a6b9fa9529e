// Written by tools/build/lists.mjs from the files in src/cli/commands.
import type { CommandModule } from './command-module.js';

/** Every command, with its code loaded only when it runs. */
export const commands: readonly { name: string; summary: string; load: () => Promise<CommandModule> }[] = [
  {
    name: 'inspect',
    summary: 'describe font files: names, coverage, features, licence, weight, trouble',
    load: () => import('./commands/inspect.js'),
  },
  {
    name: 'convert',
    summary: 'convert font files between woff2, woff, ttf, otf, eot and svg',
    load: () => import('./commands/convert.js'),
  },
  {
    name: 'subset',
    summary: 'cut fonts down to the characters and features that a site needs',
    load: () => import('./commands/subset.js'),
  },
  {
    name: 'scan',
    summary: 'say which face draws which characters of a site, who asks for it, and what is wrong',
    load: () => import('./commands/scan.js'),
  },
  {
    name: 'adopt',
    summary: 'bring hosted faces home: their files, their rules, and where they came from',
    load: () => import('./commands/adopt.js'),
  },
  {
    name: 'init',
    summary: 'draft a config from the fonts and the site at hand',
    load: () => import('./commands/init.js'),
  },
  {
    name: 'fallback',
    summary: 'find and tune the local fonts that are drawn until a face arrives',
    load: () => import('./commands/fallback.js'),
  },
  {
    name: 'build',
    summary: 'make the kit that the config describes',
    load: () => import('./commands/build.js'),
  },
  {
    name: 'rehearse',
    summary: 'see the site on a slow line, with fonts stalling or failing, and what moves',
    load: () => import('./commands/rehearse.js'),
  },
  {
    name: 'wire',
    summary: 'put the kit into the pages of its site, and take out what it replaces',
    load: () => import('./commands/wire.js'),
  },
  {
    name: 'demo',
    summary: 'run the whole of it on the sample site',
    load: () => import('./commands/demo.js'),
  },
];
