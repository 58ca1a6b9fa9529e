// OpenType: name, Naming Table

import type { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';

export const tag = 'name';

export interface NameRecord {
  platformID: number;
  encodingID: number;
  languageID: number;
  nameID: number;
  /** The string as stored; `stringOf` decodes it. */
  bytes: Uint8Array;
}

export interface Name {
  version: number;
  nameRecord: NameRecord[];
  /** Version 1: language tags (BCP 47) in UTF-16BE, for language IDs from 0x8000. */
  langTagRecord?: Uint8Array[];
}

/** Name IDs by what they hold. */
export const nameID = {
  copyright: 0,
  family: 1,
  subfamily: 2,
  uniqueId: 3,
  fullName: 4,
  version: 5,
  postScriptName: 6,
  trademark: 7,
  manufacturer: 8,
  designer: 9,
  description: 10,
  vendorUrl: 11,
  designerUrl: 12,
  licence: 13,
  licenceUrl: 14,
  typographicFamily: 16,
  typographicSubfamily: 17,
  wwsFamily: 21,
  wwsSubfamily: 22,
} as const;

/** Bytes of all strings together; a licence text in twenty languages takes a tenth of it. */
const maximumStrings = 4 * 1024 * 1024;

export function parse(reader: Reader): Name {
  const version = reader.uint16();
  const count = reader.uint16();
  const storageOffset = reader.uint16();
  const stored = () => ({ length: reader.uint16(), offset: reader.uint16() });
  // Fonts exist whose last strings are cut off; as everywhere else, such a string counts as empty.
  let total = 0;
  const bytesAt = ({ length, offset }: { length: number; offset: number }) => {
    total += length;
    if (total > maximumStrings) throw reader.damaged(`the strings come to over ${maximumStrings} bytes`);
    const start = storageOffset + offset;
    return start + length <= reader.length ? reader.bytes.subarray(start, start + length) : new Uint8Array(0);
  };
  const nameRecord: NameRecord[] = [];
  for (let i = 0; i < count; i++) {
    const record = {
      platformID: reader.uint16(),
      encodingID: reader.uint16(),
      languageID: reader.uint16(),
      nameID: reader.uint16(),
    };
    nameRecord.push({ ...record, bytes: bytesAt(stored()) });
  }
  if (version !== 1) return { version, nameRecord };
  const langTagCount = reader.uint16();
  return {
    version,
    nameRecord,
    langTagRecord: Array.from({ length: langTagCount }, () => bytesAt(stored())),
  };
}

export function serialise(table: Name): Uint8Array {
  const { version, nameRecord, langTagRecord } = table;
  const writer = new Writer(1024).uint16(version).uint16(nameRecord.length).uint16(0);
  const storage = new Writer(1024);
  const offsets = new Map<string, number>();
  const store = (bytes: Uint8Array) => {
    const key = bytes.join();
    let offset = offsets.get(key);
    if (offset === undefined) {
      offsets.set(key, (offset = storage.length));
      storage.write(bytes);
    }
    writer.uint16(bytes.length).uint16(offset);
  };
  for (const record of nameRecord) {
    writer
      .uint16(record.platformID)
      .uint16(record.encodingID)
      .uint16(record.languageID)
      .uint16(record.nameID);
    store(record.bytes);
  }
  if (langTagRecord) {
    writer.uint16(langTagRecord.length);
    for (const bytes of langTagRecord) store(bytes);
  }
  return writer.patchUint16(4, writer.length).write(storage.bytes()).bytes();
}

/** Encodings of the Windows platform that aren't Unicode, as names that `TextDecoder` knows. */
const windowsEncodings: Record<number, string> = { 2: 'shift_jis', 3: 'gbk', 4: 'big5', 5: 'euc-kr' };

/** A record's string, or undefined if its encoding isn't known. */
export function stringOf(record: NameRecord): string | undefined {
  const { platformID, encodingID, bytes } = record;
  let encoding: string | undefined;
  if (platformID === 0) encoding = 'utf-16be';
  else if (platformID === 3) encoding = windowsEncodings[encodingID] ?? 'utf-16be';
  else if (platformID === 1 && encodingID === 0) encoding = 'macintosh';
  return encoding && new TextDecoder(encoding).decode(bytes).replaceAll('\0', '').trim();
}

/** How well a record suits a reader of English: Windows before Unicode before Macintosh, US English first. */
function preference({ platformID, languageID }: NameRecord): number {
  if (platformID === 3) return languageID === 0x409 ? 5 : (languageID & 0x3ff) === 0x09 ? 4 : 1;
  if (platformID === 0) return 3;
  return languageID === 0 ? 2 : 0;
}

/** The records of each name ID, the preferred ones first; sorted once for each table. */
const recordsById = new WeakMap<Name, Map<number, NameRecord[]>>();

function sortedRecords(table: Name): Map<number, NameRecord[]> {
  const known = recordsById.get(table);
  if (known) return known;
  const byId = new Map<number, NameRecord[]>();
  for (const record of table.nameRecord) {
    const records = byId.get(record.nameID);
    if (records) records.push(record);
    else byId.set(record.nameID, [record]);
  }
  for (const records of byId.values()) records.sort((a, b) => preference(b) - preference(a));
  recordsById.set(table, byId);
  return byId;
}

/** The string for a name ID, in English if there is one; undefined if the font doesn't give it. */
export function nameOf(table: Name, id: number): string | undefined {
  for (const record of sortedRecords(table).get(id) ?? []) {
    const value = stringOf(record);
    if (value) return value;
  }
  return undefined;
}
