import { resolve } from 'node:path';
import { watchFiles } from '../../io/watching.js';
import { BuildMemory } from '../project/build-memory.js';
import { buildFrom, type BuildInputs, type BuildRequest, type BuildResult } from './build.js';

/** What became of a change. */
export interface WatchedBuild {
  result?: BuildResult;
  /** What kept it from being made; the kit stays as it was. */
  trouble?: Error;
  /** Files behind it, absolute; nothing for the first one, and where stand-ins were fitted again. */
  changed: readonly string[];
  /** Milliseconds. */
  took: number;
  /** Whether stand-ins are fitted to what pages had before, and follow in a quiet moment. */
  isFitLate: boolean;
}

/** Milliseconds without a change after which stand-ins are fitted again. */
const quiet = 1500;

const isPage = (path: string): boolean => /\.x?html?$/i.test(path);

/**
 * Builds a kit, and again whenever something changes that it is made from: config, fonts, pages, stylesheets, demand. The kit's
 * folder holds a whole kit at every moment.
 *
 * @param told called with each build
 * @returns ends it, once what is under way is done
 * @throws DenseGlyphError for what keeps the first one from being made
 */
export async function watchBuild(
  request: BuildRequest,
  told: (build: WatchedBuild) => void,
): Promise<{ end: () => Promise<void> }> {
  const memory = new BuildMemory();
  let inputs: BuildInputs | undefined;
  let timer: NodeJS.Timeout | undefined;
  let running: Promise<void> = Promise.resolve();
  let kitFolder = '';
  const make = async (changed: readonly string[]): Promise<void> => {
    const begun = performance.now();
    const tell = (found: Pick<WatchedBuild, 'result' | 'trouble'>) =>
      told({ ...found, changed, took: performance.now() - begun, isFitLate: memory.isFitLate });
    try {
      const { result, inputs: read } = await buildFrom(request, undefined, memory);
      inputs = read;
      kitFolder = resolve(request.folder, result.folder);
      watching.look([...read.files, ...(read.site === undefined ? [] : [read.site])]);
      tell({ result });
    } catch (cause) {
      if (!inputs) throw cause;
      // Files may go while they are read; what is left is looked at once it changes again.
      tell({ trouble: cause instanceof Error ? cause : new Error(String(cause)) });
    }
    if (memory.isFitLate) timer = setTimeout(() => void fitAgain(), quiet);
  };
  const inTurn = (work: () => Promise<void>): Promise<void> => (running = running.then(work));
  const fitAgain = () =>
    inTurn(async () => {
      memory.keepsFit = false;
      await make([]);
    });
  const watching = watchFiles(
    Date.now(),
    () => (kitFolder === '' ? [] : [kitFolder]),
    (paths) =>
      inTurn(async () => {
        clearTimeout(timer);
        memory.forget(paths, { site: inputs?.site, isPage });
        memory.keepsFit = true;
        await make(paths);
      }),
  );
  try {
    await make([]);
  } catch (cause) {
    await watching.end();
    throw cause;
  }
  return {
    end: async () => {
      clearTimeout(timer);
      await watching.end();
      await running;
    },
  };
}
