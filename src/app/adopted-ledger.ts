import { join } from 'node:path';
import { DenseGlyphError } from '../errors.js';
import { filesOf } from '../io/earlier-files.js';
import type { Validators } from '../io/http/index.js';

/** A file, and the face that it is of. */
export interface AdoptedFace {
  /** In the folder. */
  file: string;
  family: string;
  /** As the rules have them. */
  weight?: string;
  style?: string;
  stretch?: string;
  unicodeRange?: string;
}

/** A file that came home. */
export interface AdoptedFile extends AdoptedFace {
  sha256: string;
  bytes: number;
  /** Where it came from; a path for what lay in a package. */
  from: string;
  /** The stylesheet that named it. */
  stylesheet: string;
  /** When it was fetched, as an ISO date. */
  fetched: string;
  validators?: Validators;
  /** What the font says of itself. */
  stated: { copyright?: string; licence?: string; licenceUrl?: string; embedding: string };
  /** Who says that it may be used; null where nobody did. */
  rights: string | null;
}

/** A face whose partial files became one again. */
export interface JoinedFile extends AdoptedFace {
  sha256: string;
  bytes: number;
  /** The partial files, in the order of their rules. */
  from: string[];
}

/** A file of an earlier call; it stays, as a config may name it. */
export interface ReplacedFile extends AdoptedFace {
  /** What its face is drawn with since. */
  by: string[];
}

/** ledger.json of adopted faces. */
export interface AdoptedLedger {
  ledgerVersion: 1;
  /** Stylesheets that were asked for, with the families that they declare. */
  stylesheets: { url: string; families: string[] }[];
  adopted: AdoptedFile[];
  /** Files that were made of others of the folder. */
  joined?: JoinedFile[];
  /** Files of earlier calls that are there no longer than somebody takes them away. */
  replaced?: ReplacedFile[];
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
