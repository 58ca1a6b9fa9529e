import { join } from 'node:path';
import { DenseGlyphError } from '../errors.js';
import { filesOf } from '../io/earlier-files.js';
import type { Validators } from '../io/http/index.js';

/** A file that came home. */
export interface AdoptedFile {
  /** In the folder. */
  file: string;
  sha256: string;
  bytes: number;
  /** Where it came from; a path for what lay in a package. */
  from: string;
  /** The stylesheet that named it. */
  stylesheet: string;
  /** When it was fetched, as an ISO date. */
  fetched: string;
  validators?: Validators;
  family: string;
  /** As the rule has them. */
  weight?: string;
  style?: string;
  stretch?: string;
  unicodeRange?: string;
  /** What the font says of itself. */
  stated: { copyright?: string; licence?: string; licenceUrl?: string; embedding: string };
  /** Who says that it may be used; null where nobody did. */
  rights: string | null;
}

/** A face whose partial files became one again. */
export interface JoinedFile {
  /** In the folder. */
  file: string;
  sha256: string;
  bytes: number;
  family: string;
  /** As the rules of its parts have them. */
  weight?: string;
  style?: string;
  stretch?: string;
  /** The partial files, in the order of their rules. */
  from: string[];
}

/** ledger.json of adopted faces. */
export interface AdoptedLedger {
  ledgerVersion: 1;
  /** Stylesheets that were asked for, with the families that they declare. */
  stylesheets: { url: string; families: string[] }[];
  adopted: AdoptedFile[];
  /** Files that were made of others of the folder. */
  joined?: JoinedFile[];
}

const decoder = new TextDecoder();

/**
 * The ledger of a folder that faces were adopted to.
 *
 * @param folder absolute
 * @returns undefined where there is none
 * @throws DenseGlyphError `output-foreign` where another program's file has its name
 */
export function adoptedLedger(folder: string): AdoptedLedger | undefined {
  const bytes = filesOf(folder)('ledger.json');
  if (!bytes) return undefined;
  try {
    const ledger = JSON.parse(decoder.decode(bytes)) as Partial<AdoptedLedger>;
    if (ledger.ledgerVersion === 1 && Array.isArray(ledger.adopted) && Array.isArray(ledger.stylesheets))
      return ledger as AdoptedLedger;
  } catch {
    // Told below.
  }
  const file = join(folder, 'ledger.json');
  throw new DenseGlyphError('output-foreign', 'this file is no ledger of adopted faces', { file });
}
