import { dirname, join } from 'node:path';
import { plainAddress } from '../../io/addresses.js';
import { ledgersBelow } from '../../io/project-fonts.js';
import { isBelow } from '../../io/read.js';
import { ledgerOrNone, stylesFolder, type AdoptedLedger } from './ledger.js';

/** A folder that faces were adopted to. */
export interface AdoptedFolder {
  /** Absolute. */
  folder: string;
  ledger: AdoptedLedger;
}

/** Those below a folder. @param folder absolute */
export function adoptedFolders(folder: string): AdoptedFolder[] {
  return ledgersBelow(folder).flatMap((path): AdoptedFolder[] => {
    const ledger = ledgerOrNone(dirname(path));
    return ledger ? [{ folder: dirname(path), ledger }] : [];
  });
}

/** Where stylesheets of hosts are since they came home, by what pages ask for. */
export type AdoptedSheets = ReadonlyMap<string, string>;

export const adoptedSheets = (folders: readonly AdoptedFolder[]): AdoptedSheets =>
  new Map(
    folders.flatMap(({ folder, ledger }) =>
      ledger.stylesheets.flatMap(({ url, file }) =>
        file === undefined ? [] : [[plainAddress(url), join(folder, file)] as const],
      ),
    ),
  );

/** Whether a file is a stylesheet of a host as it came home, or one that such a stylesheet imports. @param path absolute */
export const isOfHost = ({ folder }: AdoptedFolder, path: string): boolean =>
  isBelow(path, join(folder, stylesFolder));
