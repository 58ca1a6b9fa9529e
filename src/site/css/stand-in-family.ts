// CSS Fonts 4, section 2.1: the family that stands in for another one in a stack until that arrives

const ending = ' stand-in';

/** @param family a family of a kit */
export const standInFamily = (family: string): string => `${family}${ending}`;

/** Whether an `@font-face` rule declares what stands in for a face: no file is named, or one that stands in the stylesheet. */
export const isStandInRule = (family: string, urls: readonly string[]): boolean =>
  family.endsWith(ending) && urls.every((url) => /^data:/i.test(url));

/** A stack as its author wrote it: without what stands in for a family before it. */
export function withoutStandIns(stack: readonly string[]): readonly string[] {
  if (!stack.some((name) => name.endsWith(ending))) return stack;
  const named = stack.map((name) => name.toLowerCase());
  return stack.filter((_, i) => !named.slice(0, i).some((name) => standInFamily(name) === named[i]));
}
