import type { LengthContext } from '../lengths.js';
import { textOf, type Token } from '../tokens.js';

/** A property of its own: all that is said of it. */
export interface Longhand<Name extends string = string, Key extends string = string, Value = unknown> {
  /** As CSS names it, in small letters. */
  name: Name;
  /** Other names of the same. */
  aliases?: readonly string[];
  /** What its computed value is called in a style. */
  key: Key;
  initial: Value;
  isInherited: boolean;
  /**
   * @param inherited the value of the parent, for those that are relative to it
   * @param context what lengths are relative to, where lines are asked for
   * @returns undefined for what is no value of it
   */
  read(tokens: readonly Token[], inherited: Value, context?: LengthContext): Value | undefined;
  /** Whether faces are chosen by it. */
  choosesFace?: true;
  /** The OpenType features that a value turns on (CSS Fonts 4, section 6). */
  features?(value: Value): string[];
}

/** Values by the keys of longhands. */
export type ValuesOf<Longhands extends readonly Longhand[]> = {
  -readonly [One in Longhands[number] as One['key']]: One['initial'];
};

/** A property that sets others (CSS Cascade 5, section 4.1). */
export interface Shorthand {
  name: string;
  /** Other names of the same. */
  aliases?: readonly string[];
  longhands: readonly Longhand[];
  /**
   * @param inheritedOf the parent's value of a longhand
   * @returns by their keys, with all of them; undefined for what is no value of it
   */
  read: (
    tokens: readonly Token[],
    inheritedOf: <Value>(longhand: Longhand<string, string, Value>) => Value,
    context?: LengthContext,
  ) => Record<string, unknown> | undefined;
}

/** What a value is follows from what reads it. */
export const longhand = <const Name extends string, const Key extends string, Value>(
  one: Omit<Longhand<Name, Key, Value>, 'initial'> & { initial: NoInfer<Value> },
): Longhand<Name, Key, Value> => one;

/** Reads a value as it is written. @param valid what it has to look like, in small letters */
export const asWritten =
  (valid?: RegExp) =>
  (tokens: readonly Token[]): string | undefined => {
    const text = textOf(tokens);
    return valid && !valid.test(text) ? undefined : text;
  };
