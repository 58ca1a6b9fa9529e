/** What the cascade computes for text. */
export interface AskedStyle {
  /** The first of the stack that a rule of the page declares, else the first name of the stack. */
  family: string;
  weight: number;
  style: 'normal' | 'italic' | 'oblique';
  /** Percent. */
  stretch: number;
}

/** A rule that asks for a face. */
export interface AskingRule {
  file: string;
  line: number;
  selector: string;
  property: string;
}

/** An element that draws characters which none before it draws with the same face. */
export interface DrawnPlace {
  /** In the source of the page; 0 where it isn't known. */
  line: number;
  /** As a selector would name it: `p.lead`, `li::marker`. */
  element: string;
  /** The start of its text. */
  text: string;
  /** As `unicode-range` writes them. */
  characters: string;
  /** The rule that makes it this face: of weight or style where they aren't normal, else of the family. */
  rule?: Omit<AskingRule, 'property'>;
}

/** What a page draws with one face. */
export interface PageFace {
  asked: AskedStyle;
  stack: readonly string[];
  drawn: Set<number>;
  possible: Set<number>;
  /** Letters that bear marks which no character composes with them (Unicode, section 3.11). */
  marked: Set<number>;
  /** With how many pieces of text each rule stands behind. */
  rules: Map<string, AskingRule & { pieces: number }>;
  /** OpenType features that styles turn on where it is drawn. */
  features: Set<string>;
  /** `font-variation-settings` there, as they are written. */
  variations: Set<string>;
  /** Languages of fields that visitors type into with it. */
  typedIn: Set<string>;
  /** Elements that draw it: for each character the first one, where that was asked for. */
  places?: DrawnPlace[];
  /** What browsers may make up for it where no face has it (`font-synthesis`). */
  mayFake: { bold: boolean; slant: boolean };
  /** On load: the screens on which it draws text or measures lines. */
  screens: Set<number>;
}

/** A face by which a page measures lines, and which draws none of its text. */
export type LineFace = Pick<PageFace, 'asked' | 'stack' | 'screens'>;

/** In the place of the screens of a page: all of them. */
export const everyScreen = -1;
