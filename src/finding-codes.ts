// What can be found, by its stable code; docs/findings.md lists it

/** `error`: something is drawn wrongly or not at all; `warning`: it may be; `note`: worth knowing. */
export type Severity = 'error' | 'warning' | 'note';

interface FindingKind {
  severity: Severity;
  /** What follows from it, and in which browsers; what a finding says itself comes first. */
  effect: string;
  /** What to do. */
  advice: string;
}

const wrongWeightRule =
  'a rule with the wrong font-weight makes every browser fake the bold, or draw the wrong weight; check it by eye';

/** Everything that can be found; docs/findings.md lists it. */
export const findingCodes = {
  // What a font says of its style
  'weight-class-invalid': {
    severity: 'warning',
    effect: 'browsers link faces by the font-weight of their rule, so state it there',
    advice: 'state the weight in the rule or in the config',
  },
  'weight-disagrees': {
    severity: 'warning',
    effect: wrongWeightRule,
    advice: 'look at the face beside the next one, and correct the weight in the rule where it is wrong',
  },
  'bold-bit-disagrees': {
    severity: 'note',
    effect: 'browsers go by the rule; installed copies found with local() may be another weight',
    advice: 'leave local() out of the rule',
  },
  'italic-disagrees': {
    severity: 'warning',
    effect:
      'a rule with the wrong font-style makes every browser slant the upright, or slant the italic twice',
    advice: 'look at the face, and correct font-style in the rule where it is wrong',
  },
  'axis-excludes-default': {
    severity: 'note',
    effect: 'a font-weight outside the axis is drawn with its nearest end in every browser',
    advice: 'ask for weights on the axis only',
  },
  'default-instance-disagrees': {
    severity: 'note',
    effect: 'browsers without variations (before 2018) draw the start of the axis for every weight',
    advice: 'give those browsers a static file',
  },
  'italic-angle-disagrees': {
    severity: 'warning',
    effect: 'where a page asks for italic, every browser slants it once more',
    advice: 'declare the face as italic',
  },
  // What its file name says
  'file-name-format': {
    severity: 'warning',
    effect: 'browsers go by the content, but a format() hint or a server that follows the name misleads them',
    advice: 'rename the file',
  },
  'file-name-weight': {
    severity: 'warning',
    effect: 'a rule written from the file name makes every browser fake the bold, or draw the wrong weight',
    advice: 'write the rule from what the font says, or rename the file',
  },
  'file-name-style': {
    severity: 'warning',
    effect: 'text in this face stays upright in every browser',
    advice: 'get the italic, or rename the file',
  },
  // What browsers accept
  'tables-missing': {
    severity: 'error',
    effect: 'Chromium and Firefox refuse it and draw the fallback',
    advice: 'get a complete file of the font',
  },
  'tables-empty': {
    severity: 'error',
    effect:
      'Chromium and Firefox refuse the file and draw the fallback; what is made of it here leaves them out',
    advice: 'convert the file before serving it',
  },
  'cff-name-invalid': {
    severity: 'error',
    effect:
      'Chromium and Firefox refuse the file and draw the fallback; what is made of it here has hyphens there',
    advice: 'convert the file before serving it',
  },
  'kern-too-long': {
    severity: 'warning',
    effect:
      'Chromium and Firefox leave it out, Safari kerns with it; a subset with fewer pairs is kerned by all',
    advice: 'cut the font down to the characters that the site needs',
  },
  'units-per-em-invalid': {
    severity: 'error',
    effect: 'Chromium, Firefox and WebKit refuse it and draw the fallback',
    advice: 'get another file of the font',
  },
  'no-unicode-mapping': {
    severity: 'error',
    effect: 'letters show only where a page asks for the symbols’ codes; assistive technology reads nonsense',
    advice: 'get a file that maps Unicode characters',
  },
  'space-missing': {
    severity: 'warning',
    effect: 'every browser takes the spaces between words from the fallback, in its width',
    advice: 'get a file that has it, or set single signs with the font only',
  },
  'line-heights-differ': {
    severity: 'warning',
    effect: 'lines differ in height from system to system unless the stylesheet sets line-height',
    advice: 'set line-height in the stylesheet',
  },
  // What several files draw
  'same-style': {
    severity: 'warning',
    effect:
      'of rules alike every browser takes the last; if one of the files is the bold, bold text is faked',
    advice: 'ship one of them',
  },
  'copy-unused': {
    severity: 'note',
    effect: 'the file that has lost the least is taken',
    advice: 'take the other files out of the config, or leave them',
  },
  'family-renamed': {
    severity: 'note',
    effect: 'pages ask for it by the name that the kit declares',
    advice: 'nothing, if that is meant',
  },
  'rule-disagrees': {
    severity: 'note',
    effect: 'browsers go by the rule: pages are drawn as they were',
    advice: 'look at the face, and correct the rule or get the right file where it is wrong',
  },
  'file-passed-over': {
    severity: 'warning',
    effect: 'the kit is made of the other files',
    advice: 'get another file, or take it out of the config',
  },
  // What a subset draws otherwise
  'shaped-otherwise': {
    severity: 'warning',
    effect: 'some browsers draw text otherwise than with the whole font',
    advice: 'look at a page in those browsers, or serve the whole font',
  },
  'feature-missing': {
    severity: 'warning',
    effect: 'text is drawn without it',
    advice: 'name one that the font has; inspect lists them',
  },
  'layout-damaged': {
    severity: 'warning',
    effect: 'browsers differ in what they do with damaged tables',
    advice: 'get another file of the font',
  },
  // What a site asks for
  'family-undeclared': {
    severity: 'warning',
    effect: 'visitors see the next family of the list that their system has, each another one',
    advice: 'declare the family, or take the rule out',
  },
  'faked-bold': {
    severity: 'warning',
    effect: 'browsers smear the lighter face, which closes letters and has no width of its own',
    advice: 'declare the bold face, or ask for a weight that is there',
  },
  'faked-slant': {
    severity: 'warning',
    effect: 'browsers slant the upright face, whose letters are not made for it',
    advice: 'declare the italic face, or leave the slant out',
  },
  'face-unused': {
    severity: 'note',
    effect: 'it costs nothing while nobody draws it, but its rule is read by every visitor',
    advice: 'take the rule and its files out',
  },
  'font-missing': {
    severity: 'error',
    effect: 'browsers ask for it in vain, and draw the next source or the fallback',
    advice: 'put the file there, or correct the path',
  },
  'stylesheet-missing': {
    severity: 'error',
    effect: 'pages are drawn without it',
    advice: 'put the file there, or take the link out',
  },
  'characters-lacking': {
    severity: 'warning',
    effect: 'these letters stand out, as another font draws them, a different one on each system',
    advice: 'get a file of the face that has them, or write other characters',
  },
  'face-doubled': {
    severity: 'warning',
    effect: 'every browser goes by the later rule, whatever the earlier one says',
    advice: 'take one of them out',
  },
  'display-missing': {
    severity: 'warning',
    effect: 'text is invisible until the file is there, for up to three seconds',
    advice: 'write font-display: swap into the rule',
  },
  'faces-many': {
    severity: 'note',
    effect: 'each face is one more file before text looks as it should',
    advice: 'leave out the styles that little text has, or take a variable font',
  },
  'preload-crossorigin': {
    severity: 'error',
    effect: 'browsers fetch the font twice',
    advice: 'write crossorigin into the link',
  },
  'preload-unused': {
    severity: 'warning',
    effect: 'a file that nobody needs is fetched before those that are',
    advice: 'take the link out of this page',
  },
  'preload-differs': {
    severity: 'error',
    effect: 'browsers fetch the font twice, as the addresses differ',
    advice: 'write the same address in both',
  },
  'stylesheet-unneeded': {
    severity: 'warning',
    effect: 'pages wait for a stylesheet that changes nothing',
    advice: 'take the link or the import out',
  },
  'demand-stale': {
    severity: 'warning',
    effect: 'what the pages draw since then may be in the rest, which is fetched besides',
    advice: 'take it again: dense-glyph scan --save <file>',
  },
  'demand-unreadable': {
    severity: 'warning',
    effect: 'faces are whole, as nobody says what pages draw',
    advice: 'take it again: dense-glyph scan --save <file>',
  },
  'kit-overridden': {
    severity: 'warning',
    effect: 'browsers take the later rule, and fetch its file in the place of the kit’s',
    advice: 'take that rule or its import out, or put the kit behind it; the plugins do it by themselves',
  },
  'text-by-script': {
    severity: 'warning',
    effect: 'what its scripts write is not counted',
    advice: 'scan it with --run-scripts',
  },
  'encoding-missing': {
    severity: 'warning',
    effect:
      'unless the server names it, browsers read it as windows-1252, and each such letter as two or three others',
    advice: 'write <meta charset="utf-8"> first into its head',
  },
  'page-bounded': {
    severity: 'warning',
    effect: 'what its last elements draw is counted without some of the rules',
    advice: 'divide the page, or take out rules that it has no use for',
  },
  'page-unreadable': {
    severity: 'error',
    effect: 'what it draws is not counted',
    advice: 'check its permissions, or correct the page',
  },
  'page-unanswered': {
    severity: 'warning',
    effect: 'what it draws is not counted',
    advice: 'correct the link, or the page',
  },
  'hosted-reference': {
    severity: 'warning',
    effect: 'text waits for a name, a connection and an answer of another host, which learns of each visitor',
    advice: 'bring the faces home, and take the reference out',
  },
  'hosted-by-script': {
    severity: 'warning',
    effect: 'what a script asks for is known only when it runs',
    advice: 'name the stylesheet or the font by its URL: adopt <url>; and take it out of the script by hand',
  },
  // What other hosts give
  'call-bounded': {
    severity: 'error',
    effect: 'what was not brought goes on being asked of its host',
    advice: 'call again for fewer pages or stylesheets, or allow more',
  },
  'host-failed': {
    severity: 'error',
    effect: 'the face is not at hand, and pages go on asking for it',
    advice: 'open the address in a browser, or call again later; what was there before has stayed',
  },
  'adopted-file-changed': {
    severity: 'error',
    effect: 'the rules name a file that is not the one that came from the host',
    advice: 'call adopt without --offline',
  },
  // What wire does and leaves
  'reference-stays': {
    severity: 'warning',
    effect: 'pages go on asking that host',
    advice: 'bring it home with dense-glyph adopt, build and call wire again; or leave it',
  },
  'rule-stays': {
    severity: 'warning',
    effect: 'browsers go on fetching its file where a page draws it',
    advice: 'put the face into the config and build again, or leave it',
  },
  'faces-left-out': {
    severity: 'note',
    effect: 'text that asks for it one day is drawn by the nearest face of the kit',
    advice: 'list it under faces in the config to have it in the kit',
  },
  'policy-forbids': {
    severity: 'error',
    effect: 'browsers don’t fetch it, and text is drawn as if it weren’t there',
    advice: 'allow it in the Content-Security-Policy, or take it out',
  },
  'page-left-alone': {
    severity: 'warning',
    effect: 'the page is drawn as before',
    advice: 'put head.html into its head by hand; it lies beside kit.json',
  },
  'template-left-alone': {
    severity: 'warning',
    effect: 'pages that are made of it go on asking that host',
    advice: 'put in its place what wire --print html gives',
  },
  'page-held': {
    severity: 'error',
    effect: 'the page asks for its faces as before; nothing of it was changed',
    advice: 'correct the config and build again, or write it all the same with wire --force',
  },
  'drawn-as-asked': {
    severity: 'note',
    effect: 'text is drawn by the face that its rules ask for',
    advice: 'look at it there, if it was not meant',
  },
  'drawn-otherwise': {
    severity: 'error',
    effect: 'visitors see another face there than before',
    advice: 'correct the config and build again; wire --dry-run says whether it is mended',
  },
  'kit-elsewhere': {
    severity: 'warning',
    effect:
      'browsers find no stylesheet and no face, unless the server or a bundler leads that URL to the folder',
    advice: 'make output.url and output.folder fit, or leave the URL out',
  },
  'facts-published': {
    severity: 'note',
    effect:
      'servers that don’t leave out such files give paths of sources and what is known of pages to anybody who asks',
    advice: 'name a folder in output.facts that isn’t served, as in ../facts',
  },
  // What a kit weighs
  'budget-exceeded': {
    severity: 'error',
    effect: 'text takes longer to look as it should than was agreed on',
    advice: 'leave a style out, or cut it to fewer characters',
  },
  // What a licence says
  'embedding-restricted': {
    severity: 'warning',
    effect: 'its maker may object to it on a website',
    advice: 'ask its maker for a licence for websites',
  },
  'subsetting-forbidden': {
    severity: 'warning',
    effect: 'its maker may object to a font that was cut down',
    advice: 'ask its maker, or serve the whole font',
  },
  'name-reserved': {
    severity: 'note',
    effect: 'the name inside a font that was cut down may have to be another one',
    advice: 'ask its owner, or give it another name',
  },
  // What was made of a font
  'left-out': {
    severity: 'note',
    effect: 'what was made of the font does without it',
    advice: 'look at its text in the browsers that you serve',
  },
  'changed-for-format': {
    severity: 'note',
    effect: 'browsers that go by what the file says of itself link it as its rule does',
    advice: 'nothing has to be done',
  },
  'no-stand-in': {
    severity: 'note',
    effect: 'text is drawn by what follows in the stack until the face arrives, and may move then',
    advice: 'name local fonts to measure: --measure <files>',
  },
  'face-whole': {
    severity: 'note',
    effect: 'visits to pages that draw it fetch all of it',
    advice: 'leave it so, or leave the face out where no page draws it',
  },
} as const satisfies Record<string, FindingKind>;
