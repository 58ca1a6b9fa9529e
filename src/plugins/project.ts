import { resolve } from 'node:path';
import { loadConfig } from '../config/load.js';
import { kitUrl } from '../kit/files/read-manifest.js';
import { ProjectKit } from './project-kit.js';

/** The kit of a project that a bundler builds. */
export interface Project {
  kit: ProjectKit;
  /** What browsers ask for, with a slash at the end; undefined where it is relative to its stylesheet. */
  url: string | undefined;
}

/**
 * Opens the config that is found from a folder upwards.
 *
 * @param urlOf the URL of the config's output as the bundler serves it @param placesOf where the kit and its facts go then, absolute
 * @throws DenseGlyphError, or AggregateError of them for several mistakes
 */
export async function openProject(
  folder: string,
  config: string | undefined,
  urlOf: (url: string) => string,
  placesOf: (
    url: string | undefined,
    output: { folder: string; facts: string },
  ) => { folder: string; facts: string },
): Promise<Project> {
  const found = await loadConfig(folder, config);
  const { output } = found.config;
  const asked = kitUrl(output.url);
  const url = asked === undefined ? undefined : urlOf(asked);
  const own = {
    folder: resolve(found.base, output.folder),
    facts: resolve(found.base, output.facts),
  };
  return {
    kit: new ProjectKit({ folder, config, into: { ...placesOf(url, own), url } }),
    url,
  };
}

/** An error as bundlers show it: by its message, which says what to do. */
export function toldError(cause: unknown): Error {
  if (cause instanceof AggregateError)
    return new Error(cause.errors.map((one: unknown) => toldError(one).message).join('\n'), { cause });
  return cause instanceof Error ? cause : new Error(String(cause));
}
