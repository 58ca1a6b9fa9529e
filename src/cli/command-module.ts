import type { Command } from 'commander';
import type { Terminal } from './terminal.js';

/** What a command's file exports: it adds arguments, options and the action. */
export interface CommandModule {
  /** One line for the help, in small letters. */
  summary: string;
  /** Its place in the help, in the order of the work. */
  order: number;
  configure(command: Command, terminal: Terminal): void;
}
