const letterWithMarks = /\P{M}\p{M}+/gu;

/**
 * Letters of a text that bear marks which no character composes with them (Unicode, section 3.11): of `e` with an acute
 * none, as there is `é`.
 *
 * @returns code points, as often as they come
 */
export function markedLetters(text: string): number[] {
  const found: number[] = [];
  for (const [cluster] of text.matchAll(letterWithMarks))
    if (/\p{M}/u.test(cluster.normalize('NFC'))) found.push(cluster.codePointAt(0)!);
  return found;
}
