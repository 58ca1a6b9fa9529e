import type { RefusedFile } from '../app/fonts/refusals.js';
import { DenseGlyphError } from '../errors.js';

/** Says what files were refused, once the others are told of. @throws AggregateError where there are any */
export function tellRefused(refused: readonly RefusedFile[]): void {
  if (refused.length === 0) return;
  throw new AggregateError(
    refused.map(({ code, reason, place, advice }) => new DenseGlyphError(code, reason, place, advice)),
  );
}
