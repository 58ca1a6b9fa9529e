import { DenseGlyphError } from '../../errors.js';

/** Paths that are written to, or that must stay as they are, with who does or which file that is. */
export type TakenPaths = Map<string, string>;

/**
 * Notes the paths of outputs, and refuses what would be written over.
 *
 * @param input what they are made of, as the user would write it
 * @param oneByOne what to do instead, as in `convert them one by one`
 * @throws DenseGlyphError `call-invalid`
 */
export function takePaths(
  taken: TakenPaths,
  input: string,
  paths: readonly string[],
  oneByOne: string,
): void {
  for (const path of paths) {
    const other = taken.get(path);
    if (other !== undefined) {
      const reason = `${path} would be written over by ${input}${other === input ? '' : ` and ${other}`}`;
      throw new DenseGlyphError('call-invalid', reason, {}, `choose another --out, or ${oneByOne}`);
    }
    taken.set(path, input);
  }
}
