#!/usr/bin/env node
import { run } from './program.js';

// How old the browser tables are is not for the user of this program to mend.
process.env.BROWSERSLIST_IGNORE_OLD_DATA ??= '1';

// A reader that has seen enough, as `head`, is no fault.
process.stdout.on('error', (cause: NodeJS.ErrnoException) => {
  if (cause.code === 'EPIPE') process.exit(0);
  throw cause;
});

void run(process.argv.slice(2), {
  out: (text) => process.stdout.write(text),
  err: (text) => process.stderr.write(text),
  interactive: process.stderr.isTTY === true,
  columns: process.stdout.columns ?? 100,
  folder: process.cwd(),
}).then((code) => (process.exitCode = code));
