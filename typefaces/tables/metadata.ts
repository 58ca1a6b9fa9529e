import { cmap, head, hhea, maxp, name, os2, post } from '#src/core/tables/index.js';
import type { Design } from '../design.js';

/** What a style is called and how it is told apart from the others of its family. */
export interface StyleNames {
  family: string;
  /** 'Regular', 'Bold Italic' … */
  subfamily: string;
  weight: number;
  italic: boolean;
  postScriptName: string;
  description: string;
}

export interface StyleMetrics {
  numGlyphs: number;
  advances: number[];
  xMin: number;
  yMin: number;
  xMax: number;
  yMax: number;
  minRightSideBearing: number;
  xMaxExtent: number;
}

const version = '1.000';
const maker = 'Dense Glyph sample typefaces';
const copyright = 'Copyright 2026 The Dense Glyph Authors';
const licence =
  'This Font Software is licensed under the SIL Open Font License, Version 1.1. The text is in OFL.txt beside the font.';
/** Midnight of 2026-01-01 in seconds since 1904, so that the files don't depend on the clock. */
const created = BigInt(Date.UTC(2026, 0, 1) - Date.UTC(1904, 0, 1)) / 1000n;

/** Font units: the line that all three sets of vertical metrics describe. */
const line = { ascender: 950, descender: -250 };

export function headTable(names: StyleNames, metrics: StyleMetrics, indexToLocFormat: number): Uint8Array {
  return head.serialise({
    majorVersion: 1,
    minorVersion: 0,
    fontRevision: 1,
    checkSumAdjustment: 0,
    magicNumber: 0x5f0f3cf5,
    flags: 0b1011,
    unitsPerEm: 1000,
    created,
    modified: created,
    xMin: metrics.xMin,
    yMin: metrics.yMin,
    xMax: metrics.xMax,
    yMax: metrics.yMax,
    macStyle: (names.weight >= 700 ? head.macStyle.bold : 0) | (names.italic ? head.macStyle.italic : 0),
    lowestRecPPEM: 8,
    fontDirectionHint: 2,
    indexToLocFormat,
    glyphDataFormat: 0,
  });
}

export function hheaTable(design: Design, metrics: StyleMetrics, minLeftSideBearing: number): Uint8Array {
  const leaning = design.slant > 0;
  return hhea.serialise({
    majorVersion: 1,
    minorVersion: 0,
    ascender: line.ascender,
    descender: line.descender,
    lineGap: 0,
    advanceWidthMax: Math.max(...metrics.advances),
    minLeftSideBearing,
    minRightSideBearing: metrics.minRightSideBearing,
    xMaxExtent: metrics.xMaxExtent,
    caretSlopeRise: leaning ? 1000 : 1,
    caretSlopeRun: leaning ? Math.round(Math.tan((design.slant * Math.PI) / 180) * 1000) : 0,
    caretOffset: 0,
    metricDataFormat: 0,
    numberOfHMetrics: metrics.numGlyphs,
  });
}

export function os2Table(
  names: StyleNames,
  design: Design,
  metrics: StyleMetrics,
  characters: readonly number[],
): Uint8Array {
  const drawn = metrics.advances.filter((advance) => advance > 0);
  const bold = names.weight === 700;
  const selection =
    (names.italic ? os2.fsSelection.italic : 0) |
    (bold ? os2.fsSelection.bold : 0) |
    (!bold && !names.italic ? os2.fsSelection.regular : 0) |
    os2.fsSelection.useTypoMetrics;
  return os2.serialise({
    version: 4,
    xAvgCharWidth: Math.round(drawn.reduce((sum, advance) => sum + advance, 0) / drawn.length),
    usWeightClass: names.weight,
    usWidthClass: 5,
    fsType: 0,
    ySubscriptXSize: 650,
    ySubscriptYSize: 600,
    ySubscriptXOffset: 0,
    ySubscriptYOffset: 75,
    ySuperscriptXSize: 650,
    ySuperscriptYSize: 600,
    ySuperscriptXOffset: 0,
    ySuperscriptYOffset: 350,
    yStrikeoutSize: Math.round(design.bar * 0.8),
    yStrikeoutPosition: Math.round(design.xHeight * 0.55),
    sFamilyClass: 0,
    panose: Uint8Array.of(2, 0, Math.round(names.weight / 100) + 1, 0, 0, 0, 0, 0, 0, 0),
    ulUnicodeRange1: 0x800000c7, // Basic Latin to Latin Extended-A, marks, Greek, punctuation
    ulUnicodeRange2: 0x00000062, // currency, arrows, mathematical signs
    ulUnicodeRange3: 0,
    ulUnicodeRange4: 0,
    achVendID: 'DGLY',
    fsSelection: selection,
    usFirstCharIndex: Math.min(...characters),
    usLastCharIndex: Math.min(Math.max(...characters), 0xffff),
    sTypoAscender: line.ascender,
    sTypoDescender: line.descender,
    sTypoLineGap: 0,
    usWinAscent: Math.max(line.ascender, metrics.yMax),
    usWinDescent: Math.max(-line.descender, -metrics.yMin),
    ulCodePageRange1: (1 << 0) | (1 << 1) | (1 << 3) | (1 << 4) | (1 << 7),
    ulCodePageRange2: 0,
    sxHeight: Math.round(design.xHeight),
    sCapHeight: Math.round(design.capHeight),
    usDefaultChar: 0,
    usBreakChar: 32,
    usMaxContext: 3,
  });
}

export function postTable(design: Design, glyphNames: readonly string[] | undefined): Uint8Array {
  const fields = {
    italicAngle: -design.slant,
    underlinePosition: -110,
    underlineThickness: Math.round(design.bar * 0.8),
    isFixedPitch: design.fixedAdvance ? 1 : 0,
    minMemType42: 0,
    maxMemType42: 0,
    minMemType1: 0,
    maxMemType1: 0,
  };
  if (!glyphNames) return post.serialise({ version: 0x00030000, ...fields });
  return post.serialise({
    version: 0x00020000,
    ...fields,
    glyphNameIndex: Uint16Array.from(glyphNames, (_, i) => 258 + i),
    stringData: glyphNames.map((glyphName) => Uint8Array.from(glyphName, (c) => c.charCodeAt(0))),
  });
}

/** @param extra further names by ID: axes, instances */
export function nameTable(names: StyleNames, extra: ReadonlyMap<number, string> = new Map()): Uint8Array {
  const { nameID } = name;
  const fullName = names.subfamily === 'Regular' ? names.family : `${names.family} ${names.subfamily}`;
  const strings = new Map<number, string>([
    [nameID.copyright, copyright],
    [nameID.family, names.family],
    [nameID.subfamily, names.subfamily],
    [nameID.uniqueId, `${version};DGLY;${names.postScriptName}`],
    [nameID.fullName, fullName],
    [nameID.version, `Version ${version}`],
    [nameID.postScriptName, names.postScriptName],
    [nameID.manufacturer, maker],
    [nameID.description, names.description],
    [nameID.licence, licence],
    [nameID.licenceUrl, 'https://openfontlicense.org'],
    ...extra,
  ]);
  const nameRecord = [...strings].map(([id, text]) => ({
    platformID: 3,
    encodingID: 1,
    languageID: 0x409,
    nameID: id,
    bytes: Uint8Array.from([...text].flatMap((c) => [c.charCodeAt(0) >> 8, c.charCodeAt(0) & 0xff])),
  }));
  return name.serialise({ version: 0, nameRecord: nameRecord.sort((a, b) => a.nameID - b.nameID) });
}

export function cmapTable(characters: ReadonlyMap<number, number>): Uint8Array {
  const sorted = [...characters].sort(([a], [b]) => a - b);
  const segments: { start: number; end: number; delta: number }[] = [];
  for (const [codePoint, glyphId] of sorted) {
    const last = segments[segments.length - 1];
    if (last && last.end === codePoint - 1 && last.delta === glyphId - codePoint) last.end = codePoint;
    else segments.push({ start: codePoint, end: codePoint, delta: glyphId - codePoint });
  }
  segments.push({ start: 0xffff, end: 0xffff, delta: 1 });
  const subtable: cmap.EncodingRecord['subtable'] = {
    format: 4,
    language: 0,
    endCode: Uint16Array.from(segments, (s) => s.end),
    startCode: Uint16Array.from(segments, (s) => s.start),
    idDelta: Int16Array.from(segments, (s) => s.delta),
    idRangeOffset: new Uint16Array(segments.length),
    glyphIdArray: new Uint16Array(0),
  };
  return cmap.serialise({
    version: 0,
    encodingRecords: [
      { platformID: 0, encodingID: 3, subtable },
      { platformID: 3, encodingID: 1, subtable },
    ],
  });
}

export function maxpTable(numGlyphs: number, limits?: Partial<maxp.TrueTypeLimits>): Uint8Array {
  if (!limits) return maxp.serialise({ version: 0x00005000, numGlyphs });
  return maxp.serialise({
    version: 0x00010000,
    numGlyphs,
    limits: { ...maxp.limitsWithoutInstructions, ...limits },
  });
}
