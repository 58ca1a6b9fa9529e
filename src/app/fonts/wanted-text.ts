import { CodePointSet } from '../../core/text/code-point-set.js';
import type { RequestedLanguage } from '../../core/text/requested-language.js';
import { parseUnicodeRanges } from '../../core/text/parse-ranges.js';
import { DenseGlyphError } from '../../errors.js';
import { readBytes, shownPath } from '../../io/read.js';
import type { AskedOfFont } from '../../site/usage/page-texts.js';
import { mayHaveStyles, type DrawnBesides, type RequestedFeatures } from '../../site/usage/styled-files.js';

/** What a subset is asked to keep. */
export interface WantedText {
  /** The characters of this text. */
  chars?: string | undefined;
  /** Those of text, HTML, Markdown or JSON files, folders or globs of them. */
  charsFrom?: readonly string[] | undefined;
  /** As `unicode-range` writes them. */
  ranges?: string | undefined;
  /** BCP 47: what websites in these languages are written with. */
  languages?: readonly string[] | undefined;
  /** BCP 47: the least that these languages are written with. */
  letters?: readonly string[] | undefined;
}

/** What that comes to. */
export interface Wanted {
  characters: CodePointSet;
  languages: readonly RequestedLanguage[];
  /** Of these the letters of languages and what stands in texts; a font that lacks one falls short. */
  needed: CodePointSet;
  /** Marks of the languages' letters, for text that comes taken apart. */
  marks: CodePointSet;
  /** Features that pages turn on, with the files that do. */
  turnedOn: RequestedFeatures;
  /** What pages draw besides their text. */
  besides: readonly DrawnBesides[];
}

/** @throws DenseGlyphError `call-invalid` where nothing is asked for, `file-unreadable` */
export async function wantedBy(text: WantedText, folder: string): Promise<Wanted> {
  const languages = await languagesOf(text);
  const texts = await readTexts(text, folder);
  const needed = texts.written;
  for (const { letters } of languages) needed.addAll(letters);
  const asked = parseUnicodeRanges(text.ranges ?? '');
  for (const set of [needed, ...languages.map((language) => language.characters)]) asked.addAll(set);
  if (asked.size === 0) {
    const advice = 'say what to keep with --chars, --chars-from, --ranges, --languages or --letters';
    throw new DenseGlyphError('call-invalid', 'no characters are asked for', {}, advice);
  }
  const marks = new CodePointSet();
  for (const language of languages) marks.addAll(language.marks);
  return { characters: asked, languages, needed, marks, turnedOn: texts.features, besides: texts.besides };
}

/** What languages are written with takes a file that is only loaded where one is named. */
async function languagesOf({ languages = [], letters = [] }: WantedText): Promise<RequestedLanguage[]> {
  if (languages.length + letters.length === 0) return [];
  const { lettersOfLanguage, requestedLanguage } = await import('../../core/text/requested-language.js');
  return [...languages.map(requestedLanguage), ...letters.map(lettersOfLanguage)];
}

/** The text of the call and of the files that it names, and what pages among them ask for besides. */
async function readTexts({ chars = '', charsFrom }: WantedText, folder: string): Promise<AskedOfFont> {
  if (!charsFrom) return { written: CodePointSet.ofText(chars), features: new Map(), besides: [] };
  const { expandPaths } = await import('../../io/paths.js');
  const { textOf } = await import('../../site/usage/text-files.js');
  const extensions = ['html', 'htm', 'xhtml', 'md', 'markdown', 'mdx', 'json', 'txt'];
  const paths = await expandPaths(charsFrom, folder, { extensions, noun: 'text file' });
  let text = chars;
  for (const path of paths.filter((one) => !mayHaveStyles(one))) {
    const shown = shownPath(path, folder);
    text += `\n${await textOf(shown, readBytes(path, shown))}`;
  }
  const own = CodePointSet.ofText(text);
  const styled = paths.filter(mayHaveStyles);
  if (styled.length === 0) return { written: own, features: new Map(), besides: [] };
  const { textsOfPages } = await import('./page-texts.js');
  const asked = await textsOfPages(styled, folder);
  own.addAll(asked.written);
  return { ...asked, written: own };
}
