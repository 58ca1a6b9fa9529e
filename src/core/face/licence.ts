// OpenType: OS/2, fsType; name, IDs 0, 7, 13 and 14

import { name, os2 } from '../tables/index.js';
import type { Font } from '../sfnt/font.js';

/** What a font file itself says about its use. */
export interface StatedLicence {
  copyright?: string;
  trademark?: string;
  licence?: string;
  licenceUrl?: string;
  /** `fsType` in words. */
  embedding: string;
  /** `fsType` allows no embedding at all. */
  restricted: boolean;
}

const permission = { restricted: 0x0002, previewAndPrint: 0x0004, editable: 0x0008 } as const;
const noSubsetting = 0x0100;
const bitmapOnly = 0x0200;

export function licenceOf(font: Font): StatedLicence {
  const names = font.optional(name);
  const fsType = font.optional(os2)?.fsType ?? 0;
  const text = (id: number) => names && name.nameOf(names, id);
  const { nameID } = name;
  const stated: StatedLicence = { embedding: embeddingInWords(fsType), restricted: isRestricted(fsType) };
  const copyright = text(nameID.copyright);
  const trademark = text(nameID.trademark);
  const licence = text(nameID.licence);
  const licenceUrl = text(nameID.licenceUrl);
  if (copyright) stated.copyright = copyright;
  if (trademark) stated.trademark = trademark;
  if (licence) stated.licence = licence;
  if (licenceUrl) stated.licenceUrl = licenceUrl;
  return stated;
}

/** `fsType` allows embedding of whole fonts only. */
export function forbidsSubsetting(font: Font): boolean {
  return ((font.optional(os2)?.fsType ?? 0) & noSubsetting) !== 0;
}

/** Before version 3 several permission bits may be set; the least restrictive one holds. */
function isRestricted(fsType: number): boolean {
  return (fsType & 0x000f) === permission.restricted;
}

function embeddingInWords(fsType: number): string {
  const words: string[] = [];
  if (isRestricted(fsType)) words.push('no embedding without the owner’s permission');
  else if (fsType & permission.editable) words.push('editable embedding');
  else if (fsType & permission.previewAndPrint) words.push('embedding for preview and print');
  else words.push('installable embedding');
  if (fsType & noSubsetting) words.push('no subsetting');
  if (fsType & bitmapOnly) words.push('bitmaps only');
  return words.join(', ');
}
