import { DenseGlyphError, errorCodes, type ErrorCode, type Place } from '../../errors.js';

/** A file of a call that can't be used, where others can: what its error says. */
export interface RefusedFile {
  code: ErrorCode;
  reason: string;
  place: Place;
  advice: string;
}

/** What files of a call are refused, which goes on with the others. */
export class Refusals {
  private readonly errors: DenseGlyphError[] = [];

  /** @returns nothing for a file that is refused @throws what isn't the fault of a file */
  async unless<Result>(work: () => Promise<Result>): Promise<Result | undefined> {
    try {
      return await work();
    } catch (cause) {
      if (!(cause instanceof DenseGlyphError) || errorCodes[cause.code].kind !== 'input') throw cause;
      this.errors.push(cause);
      return undefined;
    }
  }

  /** @param hasOthers whether anything is left @throws DenseGlyphError, or AggregateError of several, where nothing is */
  told(hasOthers: boolean): RefusedFile[] {
    if (this.errors.length > 0 && !hasOthers)
      throw this.errors.length === 1 ? this.errors[0] : new AggregateError(this.errors);
    return this.errors.map(({ code, reason, place, advice }) => ({ code, reason, place, advice }));
  }
}
