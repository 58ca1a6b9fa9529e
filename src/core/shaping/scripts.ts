// UAX 24; OpenType: script tags, for scripts whose letters stand in the order in which they are typed, joined or not

/** OpenType tags by Unicode's names of scripts. */
const simpleScripts: Readonly<Record<string, string>> = {
  Latin: 'latn',
  Greek: 'grek',
  Cyrillic: 'cyrl',
  Armenian: 'armn',
  Georgian: 'geor',
  Cherokee: 'cher',
  Ethiopic: 'ethi',
  Coptic: 'copt',
  Gothic: 'goth',
  Runic: 'runr',
  Ogham: 'ogam',
  Deseret: 'dsrt',
  Osage: 'osge',
  Tifinagh: 'tfng',
  Vai: 'vai ',
  Lisu: 'lisu',
  Braille: 'brai',
  Canadian_Aboriginal: 'cans',
  Old_Italic: 'ital',
  Glagolitic: 'glag',
  Han: 'hani',
  Hiragana: 'kana',
  Katakana: 'kana',
  Bopomofo: 'bopo',
  Arabic: 'arab',
  Hebrew: 'hebr',
  Thai: 'thai',
};

const patterns = Object.entries(simpleScripts).map(
  ([name, tag]) => [new RegExp(`\\p{Script=${name}}`, 'u'), tag] as const,
);
const ofAll = /[\p{Script=Common}\p{Script=Inherited}]/u;
const known = new Map<string, string | undefined>();

/** The tag of a character's script; '' for what all scripts have, undefined for scripts that need more than this. */
function scriptOf(character: string): string | undefined {
  if (!known.has(character)) {
    const tag = ofAll.test(character) ? '' : patterns.find(([pattern]) => pattern.test(character))?.[1];
    known.set(character, tag);
  }
  return known.get(character);
}

/** Whether text of a script is set from right to left. */
export const isRightToLeft = (script: string): boolean => script === 'arab' || script === 'hebr';

/** Text of one script. */
export interface ScriptRun {
  text: string;
  /** OpenType script tag; `DFLT` where nothing in it is of a script. */
  script: string;
}

/**
 * Text by script; what all scripts have goes with what stands before it, at the start with what comes after, and a closing bracket
 * with the opening one (UAX 24, section 5.2).
 *
 * @returns undefined where there is a script whose letters are reordered
 */
export function scriptRuns(text: string): ScriptRun[] | undefined {
  const runs: ScriptRun[] = [];
  const open: { closing: string; run: ScriptRun }[] = [];
  for (const character of text) {
    const own = scriptOf(character);
    if (own === undefined) return undefined;
    const pair = own === '' ? closingDepth(open, character) : -1;
    const script = pair < 0 ? own : open.splice(pair)[0].run.script;
    const last = runs.at(-1);
    if (last && (script === '' || script === last.script || last.script === 'DFLT')) {
      last.text += character;
      if (last.script === 'DFLT' && script !== '') last.script = script;
    } else runs.push({ text: character, script: script === '' ? 'DFLT' : script });
    const at = own === '' ? brackets.indexOf(character) : -1;
    if (at >= 0 && at % 2 === 0) open.push({ closing: brackets[at + 1], run: runs[runs.length - 1] });
  }
  return runs;
}

/** Opening and closing ones in turn (Unicode, BidiBrackets). */
const brackets = [...'()[]{}⟨⟩⟦⟧❨❩❲❳❴❵⁅⁆⁽⁾₍₎〈〉《》「」『』【】〔〕〖〗〘〙〚〛（）［］｛｝｟｠｢｣'];

/** Which of the open brackets a character closes, the last one first; -1 where it closes none. */
const closingDepth = (open: readonly { closing: string }[], character: string): number =>
  open.map(({ closing }) => closing).lastIndexOf(character);
