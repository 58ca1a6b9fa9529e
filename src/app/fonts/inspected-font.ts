import type { Inspection } from '../../core/inspection/index.js';
import type { OpenedFace } from '../../core/source/index.js';

/** A font with where it was found. */
export interface InspectedFont extends Inspection {
  /** As the user would write it; faces of a collection have their number behind it. */
  path: string;
  /** Paths of the licence texts found beside it. */
  licenceTexts: string[];
  /** What the config says of the right to use it. */
  rights?: string;
  /** Bytes as WOFF2, where it was measured. */
  woff2Bytes?: number;
}

/** What was found out about a font, together with the font itself. */
export interface InspectedSource {
  inspected: InspectedFont;
  opened: OpenedFace;
}
