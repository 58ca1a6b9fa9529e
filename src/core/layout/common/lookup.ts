/** The header of a lookup. */
export interface LookupHeader {
  /** LookupType of its subtables; extensions are resolved. */
  type: number;
  /** As stored; bits of `lookupFlag`. */
  flag: number;
  /** Number of a set in GDEF, where the flag says that there is one. */
  markFilteringSet?: number;
}

/** Bits of `LookupHeader.flag`. */
export const lookupFlag = {
  ignoreBaseGlyphs: 0x0002,
  ignoreLigatures: 0x0004,
  ignoreMarks: 0x0008,
  useMarkFilteringSet: 0x0010,
  markAttachmentTypeMask: 0xff00,
} as const;
