import { Command, CommanderError } from 'commander';
import { DenseGlyphError } from '../errors.js';
import { version } from '../version.js';
import { commands } from './commands.js';
import { safeLine } from './safe-text.js';
import type { Terminal } from './terminal.js';

/** What the process says to its caller by its exit code. */
export const exitCodes = {
  done: 0,
  fallsShort: 1,
  call: 2,
  input: 3,
  network: 3,
  output: 4,
  internal: 70,
} as const;

/**
 * Runs one call.
 *
 * @param args without the program's name
 * @returns the exit code
 */
export async function run(args: readonly string[], streams: Omit<Terminal, 'fallShort'>): Promise<number> {
  let code: number = exitCodes.done;
  // What the streams say of themselves is asked of them when it is needed.
  const terminal = Object.create(streams, {
    fallShort: { value: () => (code = exitCodes.fallsShort) },
  }) as Terminal;
  try {
    const program = await programFor(args, terminal);
    await program.parseAsync([...args], { from: 'user' });
    return code;
  } catch (cause) {
    return report(cause, args.includes('--verbose'), terminal);
  }
}

async function programFor(args: readonly string[], terminal: Terminal): Promise<Command> {
  const program = new Command('dense-glyph')
    .description('Turns font files into a self-hosted web font kit.')
    .version(version(), '-V, --version', 'print the version')
    .helpOption('-h, --help', 'print this help')
    .helpCommand('help [command]', 'print the help of a command')
    .addHelpText('after', '\nExample:\n  dense-glyph demo --out /tmp/ferries\n');
  program.showSuggestionAfterError(true).configureOutput({
    writeOut: terminal.out,
    writeErr: terminal.err,
    outputError: () => undefined, // said by `report`
  });
  const asked = args.find((arg, i) => !arg.startsWith('-') && !(i === 0 && arg === 'help'));
  // Help lists all of them; a call of one has no use for the others.
  const called = commands.filter(({ name }) => name === args[0]);
  for (const { name, summary, load } of called.length > 0 ? called : commands) {
    const command = program
      .command(name)
      .summary(summary)
      .description(`${capitalised(summary)}.`);
    command.copyInheritedSettings(program).helpOption('-h, --help', 'print this help');
    if (name === asked) {
      (await load()).configure(command, terminal);
      command
        .option('--json', 'print one JSON document and nothing else')
        .option('--quiet', 'print nothing but errors')
        .option('--no-color', 'print without colours')
        .option('--verbose', 'print where an error came from');
    }
  }
  overrideExit(program);
  return program;
}

/** Commander ends the process itself unless every command is told not to. */
function overrideExit(command: Command): void {
  command.exitOverride();
  command.commands.forEach(overrideExit);
}

const capitalised = (text: string) => text[0].toUpperCase() + text.slice(1);

function report(cause: unknown, verbose: boolean, terminal: Terminal): number {
  if (cause instanceof CommanderError) {
    if (cause.exitCode === 0) return exitCodes.done; // help or version
    if (cause.code === 'commander.help') return exitCodes.call;
    const [problem, ...suggestions] = cause.message.replace(/^error: /, '').split('\n');
    const hint = suggestions.join(' ').replace(/[()]/g, '').trim();
    terminal.err(
      `dense-glyph: ${safeLine(problem)}; ${hint ? safeLine(hint.toLowerCase()) : 'see dense-glyph --help'}\n`,
    );
    return exitCodes.call;
  }
  const causes: unknown[] = cause instanceof AggregateError ? cause.errors : [cause];
  let code: number = exitCodes.done;
  for (const one of causes) {
    code = Math.max(code, exitCodeOf(one));
    const message = safeLine(one instanceof Error ? one.message : String(one));
    const known = one instanceof DenseGlyphError;
    terminal.err(
      known ? `${message}\n` : `dense-glyph: ${message}; this is a fault of ours, please report it\n`,
    );
    if (verbose && one instanceof Error)
      terminal.err(
        `${stacks(one)
          .split('\n')
          .map((line) => safeLine(line))
          .join('\n')}\n`,
      );
  }
  return code;
}

/** Where an error began, and where those came from that it wraps. */
function stacks(error: Error): string {
  const { stack = error.message, cause } = error;
  return cause instanceof Error ? `${stack}\ncaused by ${stacks(cause)}` : stack;
}

function exitCodeOf(cause: unknown): number {
  if (!(cause instanceof DenseGlyphError)) return exitCodes.internal;
  return exitCodes[cause.kind];
}
