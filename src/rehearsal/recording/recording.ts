import type { Connection } from '../../config/connections.js';
import type { RecordedVisit } from './visit.js';

/** Milliseconds and bytes of several visits: the middle one, the least and the most. */
export interface Spread {
  middle: number;
  least: number;
  most: number;
}

/** A page in one state on one line. */
export interface RecordedState {
  /** As in `before` and `after`, or the folder alone. */
  state: string;
  site: string;
  firstDrawing: Spread;
  /** When the last face could be drawn. */
  faces: Spread;
  shift: Spread;
  bytes: Spread;
  fontBytes: Spread;
  requests: Spread;
  /** The visit whose first drawing is in the middle. */
  visit: RecordedVisit;
  /** What the plan of the kit foretells, milliseconds. */
  foretold?: { firstText: number; ownFaces: number };
}

export interface RecordedPage {
  page: string;
  line: Connection;
  states: RecordedState[];
}

export interface Recording {
  recordingVersion: 1;
  pages: RecordedPage[];
  repeat: number;
}

/** As JSON: of pictures only when they were taken. */
export const withoutPictures = (recording: Recording) => ({
  ...recording,
  pages: recording.pages.map(({ states, ...page }) => ({
    ...page,
    states: states.map(({ visit, ...state }) => {
      const { frames, ...told } = visit;
      return { ...state, visit: { ...told, frames: frames.map(({ at }) => at) } };
    }),
  })),
});
