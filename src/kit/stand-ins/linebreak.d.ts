declare module 'linebreak' {
  /** UAX 14, Unicode Line Breaking Algorithm. */
  export default class LineBreaker {
    constructor(text: string);
    /** Where a line may end, or has to; undefined behind the last one. */
    nextBreak(): { position: number; required: boolean } | null;
  }
}
