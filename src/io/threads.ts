import { extname, join } from 'node:path';
import { setFlagsFromString } from 'node:v8';
import { pool, worker, type Pool } from 'workerpool';
import { DenseGlyphError } from '../errors.js';

/** What goes wrong in a thread, as it can be sent. */
interface Failure {
  failure: ConstructorParameters<typeof DenseGlyphError>;
}

/** Of new objects a thread may keep before it tidies up; with V8's own choice each thread takes 30 MB more and is no faster. */
const youngMegabytes = 16;

/**
 * By how much of what is in use a heap may grow before it is tidied up. Threads read the same stylesheets and throw much away: with
 * V8's own choice they hold twice the memory, and are a sixth faster.
 */
const growingPercent = 50;

/** Threads that run the same module. */
export class Threads<Task, Result> {
  private readonly pool: Pool;

  /** @param name of the module in `app/project/reading/`, or beside the program; it calls `answerTasks` */
  constructor(name: string, count: number) {
    setFlagsFromString(`--heap-growing-percent=${growingPercent}`);
    this.pool = pool(moduleOf(name), {
      workerType: 'thread',
      maxWorkers: count,
      minWorkers: count,
      workerThreadOpts: { resourceLimits: { maxYoungGenerationSizeMb: youngMegabytes } },
    });
  }

  /** @throws DenseGlyphError what the task throws */
  async run(task: Task): Promise<Result> {
    const answer = (await this.pool.exec('answer', [task])) as Result | Failure;
    if (answer !== null && typeof answer === 'object' && 'failure' in answer)
      throw new DenseGlyphError(...answer.failure);
    return answer;
  }

  async end(): Promise<void> {
    await this.pool.terminate(true);
  }
}

/** Answers what `Threads` of another thread ask. */
export function answerTasks<Task, Result>(answer: (task: Task) => Promise<Result>): void {
  worker({
    answer: async (task: Task): Promise<Result | Failure> => {
      try {
        return await answer(task);
      } catch (cause) {
        if (!(cause instanceof DenseGlyphError)) throw cause;
        return { failure: [cause.code, cause.reason, cause.place, cause.advice] };
      }
    },
  });
}

/** Modules lie in folders in the library, and side by side in the program. */
const moduleOf = (name: string): string =>
  import.meta.dirname.endsWith('io')
    ? join(import.meta.dirname, '../app/project/reading', `${name}${extname(import.meta.filename)}`)
    : join(import.meta.dirname, `${name}.js`);
