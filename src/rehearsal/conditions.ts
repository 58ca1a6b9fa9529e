import { connections, type Connection } from '../config/connections.js';
import { DenseGlyphError } from '../errors.js';

/** What happens to the files of fonts. */
export type FontDelivery = 'as they are' | 'stalled' | 'failing' | 'blocked';
/** What rules say of stand-ins: local fonts as tuned, as they are, or none. */
export type StandInState = 'tuned' | 'untuned' | 'off';
export type DisplayChoice = 'as declared' | 'block' | 'swap' | 'fallback' | 'optional';

/** How a site is delivered while it is rehearsed. */
export interface Conditions {
  /** The name of a line, or `none`: as fast as it goes. */
  line: string;
  /** What the line holds up. */
  paced: 'fonts' | 'everything';
  fonts: FontDelivery;
  /** The same for single files, by their paths. */
  files: Record<string, FontDelivery>;
  display: DisplayChoice;
  standIns: StandInState;
  /** Whether letters bear marks that tell their faces apart. */
  marked: boolean;
}

/** What each condition may be; files are named by who asks. */
export const choices = {
  line: ['none', ...Object.keys(connections)],
  paced: ['fonts', 'everything'],
  fonts: ['as they are', 'stalled', 'failing', 'blocked'],
  display: ['as declared', 'block', 'swap', 'fallback', 'optional'],
  standIns: ['tuned', 'untuned', 'off'],
  marked: [false, true],
} as const satisfies Partial<Record<keyof Conditions, readonly (string | boolean)[]>>;

export const usualConditions: Conditions = {
  line: 'slow phone',
  paced: 'everything',
  fonts: 'as they are',
  files: {},
  display: 'as declared',
  standIns: 'tuned',
  marked: false,
};

/** The line of some conditions; undefined where nothing is held up. */
export const lineOf = ({ line }: Pick<Conditions, 'line'>): Connection | undefined =>
  Object.hasOwn(connections, line) ? connections[line as keyof typeof connections] : undefined;

const mostFiles = 500;

/**
 * Conditions with some of them changed.
 *
 * @param change what somebody asks for, which may be anything
 * @throws DenseGlyphError `call-invalid`
 */
export function changed(conditions: Conditions, change: unknown): Conditions {
  const refuse = (what: string): never => {
    throw new DenseGlyphError('call-invalid', what, {}, 'choose one of those that the panel shows');
  };
  if (typeof change !== 'object' || change === null || Array.isArray(change))
    return refuse('conditions are an object');
  const after: Conditions = { ...conditions, files: { ...conditions.files } };
  for (const [key, value] of Object.entries(change as Record<string, unknown>)) {
    if (key === 'files') Object.assign(after.files, filesFrom(value, refuse));
    else if (!Object.hasOwn(choices, key)) refuse(`${key} is no condition`);
    else if (!(choices[key as keyof typeof choices] as readonly unknown[]).includes(value))
      refuse(`${key} can't be ${JSON.stringify(value)}`);
    else Object.assign(after, { [key]: value });
  }
  if (Object.keys(after.files).length > mostFiles) refuse('too many files');
  return after;
}

function filesFrom(value: unknown, refuse: (what: string) => never): Conditions['files'] {
  if (typeof value !== 'object' || value === null) return refuse('files are an object');
  for (const [path, delivery] of Object.entries(value as Record<string, unknown>)) {
    if (!path.startsWith('/') || path.length > 2000) refuse('a file is a path');
    if (!choices.fonts.includes(delivery as FontDelivery)) refuse('a file can’t be delivered so');
  }
  return value as Conditions['files'];
}
