// Whose an @font-face rule is: by where it is served from and where it leads, and by what the manifest says

/** Whose a rule is to a kit. */
export type RuleOwner = 'the kit' | 'another kit' | 'the site' | 'a host';

/** A rule, as far as that tells whose it is. */
export interface OwnedRule {
  /** Where one of its files lies, or by its URL is to lie. */
  leadsTo: 'the kit' | 'another kit' | 'elsewhere';
  /** Digests of those of its files that are at hand, in hexadecimal. */
  digests: readonly string[];
}

/** The rules of one stylesheet, or of the style elements of one page. */
export interface OwnedSheet {
  /** Whether a host serves it, wherever a copy of it lies. */
  isHosted: boolean;
  /** Whether it begins as a kit's stylesheet does. */
  isMarked: boolean;
  rules: readonly OwnedRule[];
}

/**
 * Whose the rules of a stylesheet are, in their order. What a host serves is the host's, though a kit ships the same bytes. A copy
 * of a kit's stylesheet, whose files a bundler has renamed, begins as it does, or leads to every file of it.
 *
 * @param kitFiles digests of all font files of the kit
 */
export function ruleOwners(
  { isHosted, isMarked, rules }: OwnedSheet,
  kitFiles: ReadonlySet<string>,
): RuleOwner[] {
  if (isHosted) return rules.map(() => 'a host');
  const led = new Set(rules.flatMap(({ digests }) => digests));
  const isCopy = isMarked || (kitFiles.size > 0 && [...kitFiles].every((one) => led.has(one)));
  return rules.map(({ leadsTo, digests }) => {
    if (leadsTo === 'the kit') return 'the kit';
    if (isCopy && digests.some((one) => kitFiles.has(one))) return 'the kit';
    return leadsTo === 'another kit' ? 'another kit' : 'the site';
  });
}

/** Files of a kit bear what is in them, and a digest; a bundler may put one of its own behind. */
const kitFile = /-(?:whole|drawn|rest)-[0-9a-f]{8}(?:[-.][\w-]+)?\.woff2?(?:[?#]|$)/;

/** Whether a URL names a file as kits do, where no kit is at hand to be asked. */
export const namesKitFile = (url: string): boolean => kitFile.test(url);
