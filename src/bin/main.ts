import { run } from '../cli/program.js';

// How old the browser tables are is not for the user of this program to mend.
process.env.BROWSERSLIST_IGNORE_OLD_DATA ??= '1';

let listens = false;

/** To open a stream takes some milliseconds, which a call that says nothing needn't wait for. */
function out(text: string): void {
  // A reader that has seen enough, as `head`, is no fault.
  if (!listens) {
    process.stdout.on('error', (cause: NodeJS.ErrnoException) => {
      if (cause.code === 'EPIPE') process.exit(0);
      throw cause;
    });
  }
  listens = true;
  process.stdout.write(text);
}

void run(process.argv.slice(2), {
  out,
  err: (text) => process.stderr.write(text),
  get interactive() {
    return process.stderr.isTTY === true;
  },
  get asks() {
    return process.stdin.isTTY && process.stdout.isTTY;
  },
  get columns() {
    return process.stdout.columns || 100;
  },
  folder: process.cwd(),
  environment: process.env,
}).then((code) => (process.exitCode = code));
