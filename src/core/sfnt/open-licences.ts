/** A licence that is known by its standard wording. */
export interface RecognisedLicence {
  /** SPDX identifier. */
  spdx: string;
  /** Names that changed versions of the font may not bear, as the SIL Open Font License allows its authors to say. */
  reservedFontNames?: string[];
}

const gpl = /gnu (general )?public licen[sc]e|\bgnu gpl|\bgpl\b/;
const version3 = /version 3|v ?3(\.0)?\b|\b3\.0\b/;
const version2 = /version 2|v ?2(\.0)?\b|\b2\.0\b/;
const fontException = /font exception|embed(s|ding)? this font/;

/**
 * Phrases that stand in each licence's own text or in the notice that it asks for; the more special come first. A text
 * that only says to be based on a licence is not that licence.
 */
const wordings: readonly (readonly [spdx: string, ...phrases: RegExp[]])[] = [
  ['OFL-1.1', /(?<!based on the )sil open font licen[sc]e/, /version 1\.1|licen[sc]e,? v?1\.1/],
  ['OFL-1.1', /scripts\.sil\.org\/ofl|openfontlicense\.org|\bofl[ -]?v?1\.1/],
  ['OFL-1.0', /(?<!based on the )sil open font licen[sc]e/, /version 1\.0/],
  ['Apache-2.0', /apache licen[sc]e,? version 2\.0|apache\.org\/licenses\/license-2\.0/],
  ['Ubuntu-font-1.0', /ubuntu font licen[cs]e/],
  ['IPA', /ipa font licen[sc]e agreement v1\.0|ipa_font_license_v1/],
  ['Arphic-1999', /arphic public licen[sc]e/],
  [
    'Bitstream-Vera',
    /permission is hereby granted, free of charge, to any person obtaining a copy of the fonts/,
  ],
  ['GPL-3.0-or-later WITH Font-exception-2.0', gpl, version3, fontException],
  ['GPL-2.0-or-later WITH Font-exception-2.0', gpl, fontException],
  ['LGPL-2.1-or-later', /gnu lesser general public licen[sc]e/],
  ['GPL-3.0-or-later', gpl, version3],
  ['GPL-2.0-or-later', gpl, version2, /later version/],
  ['GPL-2.0-only', gpl, version2],
  ['GUST-Font-License', /gust font licen[cs]e/],
  ['LPPL-1.3c', /latex project public licen[cs]e/],
  ['CC0-1.0', /cc0 1\.0|creativecommons\.org\/publicdomain\/zero\/1\.0/],
  ['CC-BY-4.0', /creativecommons\.org\/licenses\/by\/4\.0/],
  ['CC-BY-SA-4.0', /creativecommons\.org\/licenses\/by-sa\/4\.0/],
  ['MIT', /permission is hereby granted, free of charge, to any person obtaining a copy of this software/],
  ['MIT', /^(the )?mit licen[sc]e|opensource\.org\/licenses\/mit/],
];

/**
 * The open licence that texts word, or undefined where none of those known fits.
 *
 * @param texts what the font says of its licence, and texts found beside it
 */
export function recogniseLicence(texts: readonly string[]): RecognisedLicence | undefined {
  for (const text of texts) {
    const plain = text.toLowerCase().replace(/\s+/g, ' ');
    const found = wordings.find(([, ...phrases]) => phrases.every((phrase) => phrase.test(plain)));
    if (!found) continue;
    const [spdx] = found;
    const names = spdx.startsWith('OFL') ? texts.flatMap(reservedNames) : [];
    return names.length > 0 ? { spdx, reservedFontNames: [...new Set(names)] } : { spdx };
  }
  return undefined;
}

/** Section "Reserved Font Name" of the notice: `with Reserved Font Name "Ferrywake"`. */
function reservedNames(text: string): string[] {
  const notice = /with reserved font names?:?\s+([^\n.]+)/i.exec(text.slice(0, 4000))?.[1];
  if (!notice || /^<|<reserved/i.test(notice)) return [];
  const quoted = [...notice.matchAll(/["'“”‘’]+([^"'“”‘’]+)["'“”‘’]+/g)].map((match) => match[1].trim());
  return (quoted.length > 0 ? quoted : notice.split(/,| and /)).map((name) => name.trim()).filter(Boolean);
}
