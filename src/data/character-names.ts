/**
 * Unicode 16: names of characters that languages are written with (CLDR), of punctuation and of signs; ideographs and Hangul
 * syllables have none of their own. Made by scripts/data/character-names.mjs.
 */

/** The characters, packed as `eachPackedRange` reads them. */
export const namedCharacters = 'w:fj 1 1:1 1:1 1 1 7 4:2 1 5 m:2 6 1:1 d 2 9 1:1 3 3:1 1:2 f h 1 r:4 1:2 2:1 3 2 h 1 8:1 12 1c 6:h 1:17 j:d h:b 1:2d 1:2 1:2 1:a 2:5 1:3 2:2 6:l 1:p 9 4:2 1:6 6:3 4:1 4:1 2:1 2:1 t 1 1 a:1 b:11 3:5 1:12 2 11:9 1:4 1:1 1 b:q 7:2 b:3 5 2:3 b:1 2:r 2 2:i 1:5 1 3:e 1:1 1 6:8 1:7 1:1 1 1 1 1:1 1:2 1 3 1 1:9 1 1 1 1 4:4 2:3 1:c 1:1 q:9 6:d 1:1n 2:2 9 8:1 4 n:1d e:1h 1:2 7b:2 1:8 1:2 1:l 1:9 1:4 2:9 1:2 1:2 2:2 d:g a:1 1:1 1:2 1:7 2:1 2:l 1:6 1 3:3 2:8 2:1 2:3 8 8:3 2:k 7:1 1:5 4:1 2:l 1:6 1 2 2:1 2 1:4 4:1 2:2 e 9:e c:2 1:6 1 1:2 1:l 1:6 1:1 1:4 2:9 1:2 1:2 2 f f g:2 1:6 3:1 2:l 1:6 1:1 1:4 2 1:5 3:1 2:2 h 6:9 1 h 1:5 3:2 1:3 3:1 1 1:1 3:1 3:2 3:7 1:2 4:4 3:2 1:3 o:9 h:2 1:7 1:2 1:m 1:9 1:4 2 1:6 1:2 1:3 7:1 9:1 4:9 i:1 1:7 1:2 1:m 1:9 1:4 2:8 1:2 1:3 7:1 7 1:1 4:9 i:1 1:7 1:2 1:m 1:f 4:5 2:2 1:1 1 9 8:1 o:5 2:1 1:h 3:n 1:8 1 2:6 3 4:5 1 1:7 i:1 d:1l 5:e 1e:1 1 2:1 1 2 6:3 1:6 1:2 1 1 2:1 1:c 1:2 2:4 1 1:5 2:9 2:1 y 3:2 1:2 1:6 1 b:9 a 1 5:1 2:2 1:3 1:3 1:3 1:3 1:3 1:b 1 6:1 1 2 1:7 3 b:2 1:3 1:3 1:3 1:3 1:3 1:b 1:2 1:1 g:4 17:23 3:b 7 1:1 f:3 1:g 4:a 4:1 1c:17 4:i 26:k 1e:q 1p:20 1:3 2:6 1 1:3 2:14 1:3 2:w 1:3 2:6 1 1:3 2:e 1:1k 1:3 2:1u 4:9 9:a 3:p 6:2c 3:4 4 1:3 3:1 1 1 1 1 1 2 1 4:1 1:2 1 1 6 1:3 3:1 f:1 1 1:3 3:1 f 4 1:3 1:1 f 5 1:3 1:1 f 1 1:3 1:1 f:1 3 1:3 1:1 7 2 1:3 1:1 e:1 1 1:3 1:1 f a:6 f 1:3 1:1 f 1 2 2:3 1:1 3:1 3:5 2 v 1:4 1 9 1:5 9:6 5j 2:5 7d:y 2:2 1:15 1:2 2:1 1h:9 6:y st:19 5h 4:1 3 1 8 31:1 1n 7:2 2:3 7 3 4:1 5 1 8:1 1:i b 2:1 1 3:2 7:6 3 6:1 2:5 a:3 c:2h 6:7 8:5 a:7 8:7 a:2 b:7 a:5 8 1 1 1 1 1 1 1l f b 3:1 a 3:1 e 9:2s 1:b 2:q 1:c 3:w f:w f:3v 4:ih m:a l:nz 14:1 wm:1d 1e:6 e 2 1:13 a:1 1 3 1 1:2 2 2:2 1 1:1 2:2 3:3 2:3 2 1:2 1 9 g:m 9:6 1:6 1:6 1:6 1:6 1:6 1:6 1:6 1:v n n j cd:2 1 1:a 2:3 4:2 y:2a 9:1 2:2d 4:3 lxd:wc 3:1i 1l:7g 3:f a:1 k:1 1 1 1 1:4 1 1 1 1:2 1 1 1 1 1 1 1 1 1 1 1:e 1:2 p 1 2:1 6j:1 w:1 19 eb 2:2 3f 4:4 3 75:3e 1:1 2:9 g1x 6m:m 4:9 1:d 1 4 1:1 45:2 1:5 1:3 a:1 3:1 q:2 1 r:3 2:4 wq:3j 1c:z 4:z 1l0:r 1:a 8:9 qu:1g b:3 22k:x e:9 12x2:18 3:6 5:1 2:9 4:1 1io:r 6:10 4 4:9 4:1';

/** Their names in the same order, one a line. */
export const characterNames = `
space
exclamation mark
quotation mark
number sign
dollar sign
percent sign
ampersand
apostrophe
left parenthesis
right parenthesis
asterisk
plus sign
comma
hyphen-minus
full stop
solidus
digit zero
digit one
digit two
digit three
digit four
digit five
digit six
digit seven
digit eight
digit nine
colon
semicolon
less-than sign
equals sign
greater-than sign
question mark
commercial at
latin capital letter a
latin capital letter b
latin capital letter c
latin capital letter d
latin capital letter e
latin capital letter f
latin capital letter g
latin capital letter h
latin capital letter i
latin capital letter j
latin capital letter k
latin capital letter l
latin capital letter m
latin capital letter n
latin capital letter o
latin capital letter p
latin capital letter q
latin capital letter r
latin capital letter s
latin capital letter t
latin capital letter u
latin capital letter v
latin capital letter w
latin capital letter x
latin capital letter y
latin capital letter z
left square bracket
reverse solidus
right square bracket
circumflex accent
low line
grave accent
latin small letter a
latin small letter b
latin small letter c
latin small letter d
latin small letter e
latin small letter f
latin small letter g
latin small letter h
latin small letter i
latin small letter j
latin small letter k
latin small letter l
latin small letter m
latin small letter n
latin small letter o
latin small letter p
latin small letter q
latin small letter r
latin small letter s
latin small letter t
latin small letter u
latin small letter v
latin small letter w
latin small letter x
latin small letter y
latin small letter z
left curly bracket
vertical line
right curly bracket
tilde
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
<control>
no-break space
inverted exclamation mark
cent sign
pound sign
currency sign
yen sign
broken bar
section sign
diaeresis
copyright sign
feminine ordinal indicator
left-pointing double angle quotation mark
not sign
soft hyphen
registered sign
macron
degree sign
plus-minus sign
superscript two
superscript three
acute accent
micro sign
pilcrow sign
middle dot
cedilla
superscript one
masculine ordinal indicator
right-pointing double angle quotation mark
vulgar fraction one quarter
vulgar fraction one half
vulgar fraction three quarters
inverted question mark
latin capital letter a with grave
latin capital letter a with acute
latin capital letter a with circumflex
latin capital letter a with tilde
latin capital letter a with diaeresis
latin capital letter a with ring above
latin capital letter ae
latin capital letter c with cedilla
latin capital letter e with grave
latin capital letter e with acute
latin capital letter e with circumflex
latin capital letter e with diaeresis
latin capital letter i with grave
latin capital letter i with acute
latin capital letter i with circumflex
latin capital letter i with diaeresis
latin capital letter eth
latin capital letter n with tilde
latin capital letter o with grave
latin capital letter o with acute
latin capital letter o with circumflex
latin capital letter o with tilde
latin capital letter o with diaeresis
multiplication sign
latin capital letter o with stroke
latin capital letter u with grave
latin capital letter u with acute
latin capital letter u with circumflex
latin capital letter u with diaeresis
latin capital letter y with acute
latin capital letter thorn
latin small letter sharp s
latin small letter a with grave
latin small letter a with acute
latin small letter a with circumflex
latin small letter a with tilde
latin small letter a with diaeresis
latin small letter a with ring above
latin small letter ae
latin small letter c with cedilla
latin small letter e with grave
latin small letter e with acute
latin small letter e with circumflex
latin small letter e with diaeresis
latin small letter i with grave
latin small letter i with acute
latin small letter i with circumflex
latin small letter i with diaeresis
latin small letter eth
latin small letter n with tilde
latin small letter o with grave
latin small letter o with acute
latin small letter o with circumflex
latin small letter o with tilde
latin small letter o with diaeresis
division sign
latin small letter o with stroke
latin small letter u with grave
latin small letter u with acute
latin small letter u with circumflex
latin small letter u with diaeresis
latin small letter y with acute
latin small letter thorn
latin small letter y with diaeresis
latin capital letter a with macron
latin small letter a with macron
latin capital letter a with breve
latin small letter a with breve
latin capital letter a with ogonek
latin small letter a with ogonek
latin capital letter c with acute
latin small letter c with acute
latin capital letter c with circumflex
latin small letter c with circumflex
latin capital letter c with dot above
latin small letter c with dot above
latin capital letter c with caron
latin small letter c with caron
latin capital letter d with caron
latin small letter d with caron
latin capital letter d with stroke
latin small letter d with stroke
latin capital letter e with macron
latin small letter e with macron
latin capital letter e with breve
latin small letter e with breve
latin capital letter e with dot above
latin small letter e with dot above
latin capital letter e with ogonek
latin small letter e with ogonek
latin capital letter e with caron
latin small letter e with caron
latin capital letter g with circumflex
latin small letter g with circumflex
latin capital letter g with breve
latin small letter g with breve
latin capital letter g with dot above
latin small letter g with dot above
latin capital letter g with cedilla
latin small letter g with cedilla
latin capital letter h with circumflex
latin small letter h with circumflex
latin capital letter h with stroke
latin small letter h with stroke
latin capital letter i with tilde
latin small letter i with tilde
latin capital letter i with macron
latin small letter i with macron
latin capital letter i with breve
latin small letter i with breve
latin capital letter i with ogonek
latin small letter i with ogonek
latin capital letter i with dot above
latin small letter dotless i
latin capital ligature ij
latin small ligature ij
latin capital letter j with circumflex
latin small letter j with circumflex
latin capital letter k with cedilla
latin small letter k with cedilla
latin small letter kra
latin capital letter l with acute
latin small letter l with acute
latin capital letter l with cedilla
latin small letter l with cedilla
latin capital letter l with caron
latin small letter l with caron
latin capital letter l with middle dot
latin small letter l with middle dot
latin capital letter l with stroke
latin small letter l with stroke
latin capital letter n with acute
latin small letter n with acute
latin capital letter n with cedilla
latin small letter n with cedilla
latin capital letter n with caron
latin small letter n with caron
latin small letter n preceded by apostrophe
latin capital letter eng
latin small letter eng
latin capital letter o with macron
latin small letter o with macron
latin capital letter o with breve
latin small letter o with breve
latin capital letter o with double acute
latin small letter o with double acute
latin capital ligature oe
latin small ligature oe
latin capital letter r with acute
latin small letter r with acute
latin capital letter r with cedilla
latin small letter r with cedilla
latin capital letter r with caron
latin small letter r with caron
latin capital letter s with acute
latin small letter s with acute
latin capital letter s with circumflex
latin small letter s with circumflex
latin capital letter s with cedilla
latin small letter s with cedilla
latin capital letter s with caron
latin small letter s with caron
latin capital letter t with cedilla
latin small letter t with cedilla
latin capital letter t with caron
latin small letter t with caron
latin capital letter t with stroke
latin small letter t with stroke
latin capital letter u with tilde
latin small letter u with tilde
latin capital letter u with macron
latin small letter u with macron
latin capital letter u with breve
latin small letter u with breve
latin capital letter u with ring above
latin small letter u with ring above
latin capital letter u with double acute
latin small letter u with double acute
latin capital letter u with ogonek
latin small letter u with ogonek
latin capital letter w with circumflex
latin small letter w with circumflex
latin capital letter y with circumflex
latin small letter y with circumflex
latin capital letter y with diaeresis
latin capital letter z with acute
latin small letter z with acute
latin capital letter z with dot above
latin small letter z with dot above
latin capital letter z with caron
latin small letter z with caron
latin small letter long s
latin small letter b with stroke
latin capital letter b with hook
latin capital letter b with topbar
latin small letter b with topbar
latin capital letter tone six
latin small letter tone six
latin capital letter open o
latin capital letter c with hook
latin small letter c with hook
latin capital letter african d
latin capital letter d with hook
latin capital letter d with topbar
latin small letter d with topbar
latin small letter turned delta
latin capital letter reversed e
latin capital letter schwa
latin capital letter open e
latin capital letter f with hook
latin small letter f with hook
latin capital letter g with hook
latin capital letter gamma
latin small letter hv
latin capital letter iota
latin capital letter i with stroke
latin capital letter k with hook
latin small letter k with hook
latin small letter l with bar
latin small letter lambda with stroke
latin capital letter turned m
latin capital letter n with left hook
latin small letter n with long right leg
latin capital letter o with middle tilde
latin capital letter o with horn
latin small letter o with horn
latin capital letter oi
latin small letter oi
latin capital letter p with hook
latin small letter p with hook
latin letter yr
latin capital letter tone two
latin small letter tone two
latin capital letter esh
latin letter reversed esh loop
latin small letter t with palatal hook
latin capital letter t with hook
latin small letter t with hook
latin capital letter t with retroflex hook
latin capital letter u with horn
latin small letter u with horn
latin capital letter upsilon
latin capital letter v with hook
latin capital letter y with hook
latin small letter y with hook
latin capital letter z with stroke
latin small letter z with stroke
latin capital letter ezh
latin capital letter ezh reversed
latin small letter ezh reversed
latin small letter ezh with tail
latin letter two with stroke
latin capital letter tone five
latin small letter tone five
latin letter inverted glottal stop with stroke
latin letter wynn
latin letter dental click
latin letter lateral click
latin letter alveolar click
latin letter retroflex click
latin capital letter dz with caron
latin capital letter d with small letter z with caron
latin small letter dz with caron
latin capital letter lj
latin capital letter l with small letter j
latin small letter lj
latin capital letter nj
latin capital letter n with small letter j
latin small letter nj
latin capital letter a with caron
latin small letter a with caron
latin capital letter i with caron
latin small letter i with caron
latin capital letter o with caron
latin small letter o with caron
latin capital letter u with caron
latin small letter u with caron
latin capital letter u with diaeresis and macron
latin small letter u with diaeresis and macron
latin capital letter u with diaeresis and acute
latin small letter u with diaeresis and acute
latin capital letter u with diaeresis and caron
latin small letter u with diaeresis and caron
latin capital letter u with diaeresis and grave
latin small letter u with diaeresis and grave
latin small letter turned e
latin capital letter a with diaeresis and macron
latin small letter a with diaeresis and macron
latin capital letter a with dot above and macron
latin small letter a with dot above and macron
latin capital letter ae with macron
latin small letter ae with macron
latin capital letter g with stroke
latin small letter g with stroke
latin capital letter g with caron
latin small letter g with caron
latin capital letter k with caron
latin small letter k with caron
latin capital letter o with ogonek
latin small letter o with ogonek
latin capital letter o with ogonek and macron
latin small letter o with ogonek and macron
latin capital letter ezh with caron
latin small letter ezh with caron
latin small letter j with caron
latin capital letter dz
latin capital letter d with small letter z
latin small letter dz
latin capital letter g with acute
latin small letter g with acute
latin capital letter hwair
latin capital letter wynn
latin capital letter n with grave
latin small letter n with grave
latin capital letter a with ring above and acute
latin small letter a with ring above and acute
latin capital letter ae with acute
latin small letter ae with acute
latin capital letter o with stroke and acute
latin small letter o with stroke and acute
latin capital letter a with double grave
latin small letter a with double grave
latin capital letter a with inverted breve
latin small letter a with inverted breve
latin capital letter e with double grave
latin small letter e with double grave
latin capital letter e with inverted breve
latin small letter e with inverted breve
latin capital letter i with double grave
latin small letter i with double grave
latin capital letter i with inverted breve
latin small letter i with inverted breve
latin capital letter o with double grave
latin small letter o with double grave
latin capital letter o with inverted breve
latin small letter o with inverted breve
latin capital letter r with double grave
latin small letter r with double grave
latin capital letter r with inverted breve
latin small letter r with inverted breve
latin capital letter u with double grave
latin small letter u with double grave
latin capital letter u with inverted breve
latin small letter u with inverted breve
latin capital letter s with comma below
latin small letter s with comma below
latin capital letter t with comma below
latin small letter t with comma below
latin capital letter yogh
latin small letter yogh
latin capital letter h with caron
latin small letter h with caron
latin capital letter n with long right leg
latin small letter d with curl
latin capital letter ou
latin small letter ou
latin capital letter z with hook
latin small letter z with hook
latin capital letter a with dot above
latin small letter a with dot above
latin capital letter e with cedilla
latin small letter e with cedilla
latin capital letter o with diaeresis and macron
latin small letter o with diaeresis and macron
latin capital letter o with tilde and macron
latin small letter o with tilde and macron
latin capital letter o with dot above
latin small letter o with dot above
latin capital letter o with dot above and macron
latin small letter o with dot above and macron
latin capital letter y with macron
latin small letter y with macron
latin small letter l with curl
latin small letter n with curl
latin small letter t with curl
latin small letter dotless j
latin small letter db digraph
latin small letter qp digraph
latin capital letter a with stroke
latin capital letter c with stroke
latin small letter c with stroke
latin capital letter l with bar
latin capital letter t with diagonal stroke
latin small letter s with swash tail
latin small letter z with swash tail
latin capital letter glottal stop
latin small letter glottal stop
latin capital letter b with stroke
latin capital letter u bar
latin capital letter turned v
latin capital letter e with stroke
latin small letter e with stroke
latin capital letter j with stroke
latin small letter j with stroke
latin capital letter small q with hook tail
latin small letter q with hook tail
latin capital letter r with stroke
latin small letter r with stroke
latin capital letter y with stroke
latin small letter y with stroke
latin small letter alpha
latin small letter b with hook
latin small letter open o
latin small letter d with tail
latin small letter d with hook
latin small letter schwa
latin small letter open e
latin small letter gamma
latin small letter i with stroke
latin small letter iota
latin letter small capital i
latin small letter l with belt
latin small letter n with left hook
latin small letter u bar
latin small letter upsilon
latin small letter v with hook
latin small letter ezh
latin letter glottal stop
latin letter pharyngeal voiced fricative
latin small letter dz digraph
latin small letter ts digraph
modifier letter small h
modifier letter small j
modifier letter small r
modifier letter small w
modifier letter turned comma
modifier letter apostrophe
modifier letter right half ring
modifier letter left half ring
modifier letter glottal stop
modifier letter triangular colon
modifier letter small s
modifier letter small reversed glottal stop
combining grave accent
combining acute accent
combining circumflex accent
combining tilde
combining macron
combining breve
combining dot above
combining diaeresis
combining double acute accent
combining caron
combining candrabindu
combining comma above
combining ring below
combining cedilla
combining tilde below
combining macron below
combining dot above right
greek capital letter eta with tonos
greek small letter iota with dialytika and tonos
greek capital letter alpha
greek capital letter beta
greek capital letter gamma
greek capital letter delta
greek capital letter epsilon
greek capital letter zeta
greek capital letter eta
greek capital letter theta
greek capital letter iota
greek capital letter kappa
greek capital letter lamda
greek capital letter mu
greek capital letter nu
greek capital letter xi
greek capital letter omicron
greek capital letter pi
greek capital letter rho
greek capital letter sigma
greek capital letter tau
greek capital letter upsilon
greek capital letter phi
greek capital letter chi
greek capital letter psi
greek capital letter omega
greek capital letter iota with dialytika
greek capital letter upsilon with dialytika
greek small letter alpha with tonos
greek small letter epsilon with tonos
greek small letter eta with tonos
greek small letter iota with tonos
greek small letter upsilon with dialytika and tonos
greek small letter alpha
greek small letter beta
greek small letter gamma
greek small letter delta
greek small letter epsilon
greek small letter zeta
greek small letter eta
greek small letter theta
greek small letter iota
greek small letter kappa
greek small letter lamda
greek small letter mu
greek small letter nu
greek small letter xi
greek small letter omicron
greek small letter pi
greek small letter rho
greek small letter final sigma
greek small letter sigma
greek small letter tau
greek small letter upsilon
greek small letter phi
greek small letter chi
greek small letter psi
greek small letter omega
greek small letter iota with dialytika
greek small letter upsilon with dialytika
greek small letter omicron with tonos
greek small letter upsilon with tonos
greek small letter omega with tonos
coptic capital letter shei
coptic small letter shei
coptic capital letter fei
coptic small letter fei
coptic capital letter khei
coptic small letter khei
coptic capital letter hori
coptic small letter hori
coptic capital letter gangia
coptic small letter gangia
coptic capital letter shima
coptic small letter shima
coptic capital letter dei
coptic small letter dei
cyrillic capital letter io
cyrillic capital letter dje
cyrillic capital letter gje
cyrillic capital letter ukrainian ie
cyrillic capital letter dze
cyrillic capital letter byelorussian-ukrainian i
cyrillic capital letter yi
cyrillic capital letter je
cyrillic capital letter lje
cyrillic capital letter nje
cyrillic capital letter tshe
cyrillic capital letter kje
cyrillic capital letter short u
cyrillic capital letter dzhe
cyrillic capital letter a
cyrillic capital letter be
cyrillic capital letter ve
cyrillic capital letter ghe
cyrillic capital letter de
cyrillic capital letter ie
cyrillic capital letter zhe
cyrillic capital letter ze
cyrillic capital letter i
cyrillic capital letter short i
cyrillic capital letter ka
cyrillic capital letter el
cyrillic capital letter em
cyrillic capital letter en
cyrillic capital letter o
cyrillic capital letter pe
cyrillic capital letter er
cyrillic capital letter es
cyrillic capital letter te
cyrillic capital letter u
cyrillic capital letter ef
cyrillic capital letter ha
cyrillic capital letter tse
cyrillic capital letter che
cyrillic capital letter sha
cyrillic capital letter shcha
cyrillic capital letter hard sign
cyrillic capital letter yeru
cyrillic capital letter soft sign
cyrillic capital letter e
cyrillic capital letter yu
cyrillic capital letter ya
cyrillic small letter a
cyrillic small letter be
cyrillic small letter ve
cyrillic small letter ghe
cyrillic small letter de
cyrillic small letter ie
cyrillic small letter zhe
cyrillic small letter ze
cyrillic small letter i
cyrillic small letter short i
cyrillic small letter ka
cyrillic small letter el
cyrillic small letter em
cyrillic small letter en
cyrillic small letter o
cyrillic small letter pe
cyrillic small letter er
cyrillic small letter es
cyrillic small letter te
cyrillic small letter u
cyrillic small letter ef
cyrillic small letter ha
cyrillic small letter tse
cyrillic small letter che
cyrillic small letter sha
cyrillic small letter shcha
cyrillic small letter hard sign
cyrillic small letter yeru
cyrillic small letter soft sign
cyrillic small letter e
cyrillic small letter yu
cyrillic small letter ya
cyrillic small letter ie with grave
cyrillic small letter io
cyrillic small letter dje
cyrillic small letter gje
cyrillic small letter ukrainian ie
cyrillic small letter dze
cyrillic small letter byelorussian-ukrainian i
cyrillic small letter yi
cyrillic small letter je
cyrillic small letter lje
cyrillic small letter nje
cyrillic small letter tshe
cyrillic small letter kje
cyrillic small letter i with grave
cyrillic small letter short u
cyrillic small letter dzhe
cyrillic capital letter omega
cyrillic small letter omega
cyrillic capital letter yat
cyrillic small letter yat
cyrillic small letter iotified e
cyrillic capital letter little yus
cyrillic small letter little yus
cyrillic small letter iotified little yus
cyrillic capital letter big yus
cyrillic small letter big yus
cyrillic small letter iotified big yus
cyrillic capital letter ksi
cyrillic small letter ksi
cyrillic capital letter psi
cyrillic small letter psi
cyrillic capital letter fita
cyrillic small letter fita
cyrillic capital letter izhitsa
cyrillic small letter izhitsa
cyrillic capital letter izhitsa with double grave accent
cyrillic small letter izhitsa with double grave accent
cyrillic capital letter round omega
cyrillic small letter round omega
cyrillic capital letter omega with titlo
cyrillic small letter omega with titlo
cyrillic capital letter ot
cyrillic small letter ot
cyrillic small letter koppa
cyrillic thousands sign
combining cyrillic titlo
combining cyrillic palatalization
combining cyrillic pokrytie
combining cyrillic hundred thousands sign
combining cyrillic millions sign
cyrillic capital letter ghe with upturn
cyrillic small letter ghe with upturn
cyrillic capital letter ghe with stroke
cyrillic small letter ghe with stroke
cyrillic capital letter ghe with middle hook
cyrillic small letter ghe with middle hook
cyrillic capital letter zhe with descender
cyrillic small letter zhe with descender
cyrillic capital letter ze with descender
cyrillic small letter ze with descender
cyrillic capital letter ka with descender
cyrillic small letter ka with descender
cyrillic capital letter ka with vertical stroke
cyrillic small letter ka with vertical stroke
cyrillic capital letter ka with stroke
cyrillic small letter ka with stroke
cyrillic capital letter bashkir ka
cyrillic small letter bashkir ka
cyrillic capital letter en with descender
cyrillic small letter en with descender
cyrillic capital ligature en ghe
cyrillic small ligature en ghe
cyrillic small letter pe with middle hook
cyrillic capital letter abkhasian ha
cyrillic small letter abkhasian ha
cyrillic capital letter es with descender
cyrillic small letter es with descender
cyrillic capital letter te with descender
cyrillic small letter te with descender
cyrillic capital letter straight u
cyrillic small letter straight u
cyrillic capital letter straight u with stroke
cyrillic small letter straight u with stroke
cyrillic capital letter ha with descender
cyrillic small letter ha with descender
cyrillic capital ligature te tse
cyrillic small ligature te tse
cyrillic capital letter che with descender
cyrillic small letter che with descender
cyrillic capital letter che with vertical stroke
cyrillic small letter che with vertical stroke
cyrillic capital letter shha
cyrillic small letter shha
cyrillic capital letter abkhasian che
cyrillic small letter abkhasian che
cyrillic capital letter abkhasian che with descender
cyrillic small letter abkhasian che with descender
cyrillic letter palochka
cyrillic small letter en with tail
cyrillic small letter palochka
cyrillic capital letter a with breve
cyrillic small letter a with breve
cyrillic small letter a with diaeresis
cyrillic capital ligature a ie
cyrillic small ligature a ie
cyrillic capital letter ie with breve
cyrillic small letter ie with breve
cyrillic capital letter schwa
cyrillic small letter schwa
cyrillic capital letter abkhasian dze
cyrillic small letter abkhasian dze
cyrillic capital letter i with macron
cyrillic small letter i with macron
cyrillic capital letter barred o
cyrillic small letter barred o
cyrillic capital letter u with macron
cyrillic small letter u with macron
cyrillic capital letter u with double acute
cyrillic small letter u with double acute
cyrillic capital letter ghe with descender
cyrillic small letter ghe with descender
cyrillic small letter lha
cyrillic small letter rha
cyrillic small letter yae
cyrillic capital letter pe with descender
cyrillic small letter pe with descender
armenian capital letter ayb
armenian capital letter ben
armenian capital letter gim
armenian capital letter da
armenian capital letter ech
armenian capital letter za
armenian capital letter eh
armenian capital letter et
armenian capital letter to
armenian capital letter zhe
armenian capital letter ini
armenian capital letter liwn
armenian capital letter xeh
armenian capital letter ca
armenian capital letter ken
armenian capital letter ho
armenian capital letter ja
armenian capital letter ghad
armenian capital letter cheh
armenian capital letter men
armenian capital letter yi
armenian capital letter now
armenian capital letter sha
armenian capital letter vo
armenian capital letter cha
armenian capital letter peh
armenian capital letter jheh
armenian capital letter ra
armenian capital letter seh
armenian capital letter vew
armenian capital letter tiwn
armenian capital letter reh
armenian capital letter co
armenian capital letter yiwn
armenian capital letter piwr
armenian capital letter keh
armenian capital letter oh
armenian capital letter feh
armenian apostrophe
armenian emphasis mark
armenian exclamation mark
armenian comma
armenian question mark
armenian abbreviation mark
armenian small letter ayb
armenian small letter ben
armenian small letter gim
armenian small letter da
armenian small letter ech
armenian small letter za
armenian small letter eh
armenian small letter et
armenian small letter to
armenian small letter zhe
armenian small letter ini
armenian small letter liwn
armenian small letter xeh
armenian small letter ca
armenian small letter ken
armenian small letter ho
armenian small letter ja
armenian small letter ghad
armenian small letter cheh
armenian small letter men
armenian small letter yi
armenian small letter now
armenian small letter sha
armenian small letter vo
armenian small letter cha
armenian small letter peh
armenian small letter jheh
armenian small letter ra
armenian small letter seh
armenian small letter vew
armenian small letter tiwn
armenian small letter reh
armenian small letter co
armenian small letter yiwn
armenian small letter piwr
armenian small letter keh
armenian small letter oh
armenian small letter feh
armenian small ligature ech yiwn
armenian hyphen
hebrew point sheva
hebrew point hataf segol
hebrew point hataf patah
hebrew point hataf qamats
hebrew point hiriq
hebrew point tsere
hebrew point segol
hebrew point patah
hebrew point qamats
hebrew point holam
hebrew point qubuts
hebrew point dagesh or mapiq
hebrew point meteg
hebrew punctuation maqaf
hebrew point rafe
hebrew point shin dot
hebrew point sin dot
hebrew mark upper dot
hebrew letter alef
hebrew letter bet
hebrew letter gimel
hebrew letter dalet
hebrew letter he
hebrew letter vav
hebrew letter zayin
hebrew letter het
hebrew letter tet
hebrew letter yod
hebrew letter final kaf
hebrew letter kaf
hebrew letter lamed
hebrew letter final mem
hebrew letter mem
hebrew letter final nun
hebrew letter nun
hebrew letter samekh
hebrew letter ayin
hebrew letter final pe
hebrew letter pe
hebrew letter final tsadi
hebrew letter tsadi
hebrew letter qof
hebrew letter resh
hebrew letter shin
hebrew letter tav
hebrew ligature yiddish double yod
hebrew punctuation geresh
hebrew punctuation gershayim
arabic number sign
arabic sign sanah
arabic footnote marker
arabic sign safha
arabic-indic per mille sign
arabic comma
arabic date separator
arabic poetic verse sign
arabic sign misra
arabic semicolon
arabic letter mark
arabic question mark
arabic letter kashmiri yeh
arabic letter hamza
arabic letter alef with madda above
arabic letter alef with hamza above
arabic letter waw with hamza above
arabic letter alef with hamza below
arabic letter yeh with hamza above
arabic letter alef
arabic letter beh
arabic letter teh marbuta
arabic letter teh
arabic letter theh
arabic letter jeem
arabic letter hah
arabic letter khah
arabic letter dal
arabic letter thal
arabic letter reh
arabic letter zain
arabic letter seen
arabic letter sheen
arabic letter sad
arabic letter dad
arabic letter tah
arabic letter zah
arabic letter ain
arabic letter ghain
arabic letter farsi yeh with inverted v
arabic tatweel
arabic letter feh
arabic letter qaf
arabic letter kaf
arabic letter lam
arabic letter meem
arabic letter noon
arabic letter heh
arabic letter waw
arabic letter alef maksura
arabic letter yeh
arabic fathatan
arabic dammatan
arabic kasratan
arabic fatha
arabic damma
arabic kasra
arabic shadda
arabic sukun
arabic hamza above
arabic hamza below
arabic subscript alef
arabic inverted damma
arabic mark noon ghunna
arabic zwarakay
arabic vowel sign inverted small v above
arabic wavy hamza below
arabic-indic digit zero
arabic-indic digit one
arabic-indic digit two
arabic-indic digit three
arabic-indic digit four
arabic-indic digit five
arabic-indic digit six
arabic-indic digit seven
arabic-indic digit eight
arabic-indic digit nine
arabic percent sign
arabic decimal separator
arabic thousands separator
arabic five pointed star
arabic letter dotless qaf
arabic letter superscript alef
arabic letter alef with wavy hamza above
arabic letter tteh
arabic letter tteheh
arabic letter beeh
arabic letter teh with ring
arabic letter teh with three dots above downwards
arabic letter peh
arabic letter teheh
arabic letter beheh
arabic letter hah with hamza above
arabic letter nyeh
arabic letter dyeh
arabic letter hah with three dots above
arabic letter tcheh
arabic letter tcheheh
arabic letter ddal
arabic letter dal with ring
arabic letter dal with dot below
arabic letter dahal
arabic letter ddahal
arabic letter dal with three dots above downwards
arabic letter rreh
arabic letter reh with ring
arabic letter reh with small v below
arabic letter reh with dot below and dot above
arabic letter jeh
arabic letter reh with four dots above
arabic letter seen with dot below and dot above
arabic letter seen with three dots below and three dots above
arabic letter ain with three dots above
arabic letter feh with dot moved below
arabic letter veh
arabic letter feh with three dots below
arabic letter peheh
arabic letter qaf with dot above
arabic letter qaf with three dots above
arabic letter keheh
arabic letter swash kaf
arabic letter kaf with ring
arabic letter kaf with dot above
arabic letter ng
arabic letter gaf
arabic letter ngoeh
arabic letter gueh
arabic letter lam with small v
arabic letter noon ghunna
arabic letter rnoon
arabic letter noon with ring
arabic letter noon with three dots above
arabic letter heh doachashmee
arabic letter heh goal
arabic letter heh goal with hamza above
arabic letter teh marbuta goal
arabic letter waw with ring
arabic letter oe
arabic letter u
arabic letter yu
arabic letter kirghiz yu
arabic letter waw with two dots above
arabic letter ve
arabic letter farsi yeh
arabic letter yeh with tail
arabic letter yeh with small v
arabic letter waw with dot above
arabic letter e
arabic letter yeh with three dots below
arabic letter yeh barree
arabic full stop
arabic letter ae
extended arabic-indic digit zero
extended arabic-indic digit one
extended arabic-indic digit two
extended arabic-indic digit three
extended arabic-indic digit four
extended arabic-indic digit five
extended arabic-indic digit six
extended arabic-indic digit seven
extended arabic-indic digit eight
extended arabic-indic digit nine
syriac end of paragraph
syriac supralinear full stop
syriac sublinear full stop
syriac supralinear colon
syriac sublinear colon
syriac horizontal colon
syriac colon skewed left
syriac colon skewed right
syriac supralinear colon skewed left
syriac sublinear colon skewed right
syriac contraction
syriac harklean obelus
syriac harklean metobelus
syriac harklean asteriscus
syriac abbreviation mark
syriac letter alaph
syriac letter superscript alaph
syriac letter beth
syriac letter gamal
syriac letter gamal garshuni
syriac letter dalath
syriac letter dotless dalath rish
syriac letter he
syriac letter waw
syriac letter zain
syriac letter heth
syriac letter teth
syriac letter teth garshuni
syriac letter yudh
syriac letter yudh he
syriac letter kaph
syriac letter lamadh
syriac letter mim
syriac letter nun
syriac letter semkath
syriac letter final semkath
syriac letter e
syriac letter pe
syriac letter reversed pe
syriac letter sadhe
syriac letter qaph
syriac letter rish
syriac letter shin
syriac letter taw
syriac letter persian bheth
syriac letter persian ghamal
syriac letter persian dhalath
syriac pthaha above
syriac pthaha below
syriac pthaha dotted
syriac zqapha above
syriac zqapha below
syriac zqapha dotted
syriac rbasa above
syriac rbasa below
syriac dotted zlama horizontal
syriac dotted zlama angular
syriac hbasa above
syriac hbasa below
syriac hbasa-esasa dotted
syriac esasa above
syriac esasa below
syriac rwaha
syriac feminine dot
syriac qushshaya
syriac rukkakha
syriac two vertical dots above
syriac two vertical dots below
syriac three dots above
syriac three dots below
syriac oblique line above
syriac oblique line below
syriac music
syriac barrekh
syriac letter sogdian zhain
syriac letter sogdian khaph
syriac letter sogdian fe
arabic letter dal with two dots vertically below and small tah
arabic letter keheh with dot above
arabic letter keheh with three dots above
arabic letter noon with small tah
thaana letter haa
thaana letter shaviyani
thaana letter noonu
thaana letter raa
thaana letter baa
thaana letter lhaviyani
thaana letter kaafu
thaana letter alifu
thaana letter vaavu
thaana letter meemu
thaana letter faafu
thaana letter dhaalu
thaana letter thaa
thaana letter laamu
thaana letter gaafu
thaana letter gnaviyani
thaana letter seenu
thaana letter daviyani
thaana letter zaviyani
thaana letter taviyani
thaana letter yaa
thaana letter paviyani
thaana letter javiyani
thaana letter chaviyani
thaana letter ttaa
thaana letter hhaa
thaana letter khaa
thaana letter thaalu
thaana letter zaa
thaana letter sheenu
thaana letter saadhu
thaana letter daadhu
thaana letter to
thaana letter zo
thaana letter ainu
thaana letter ghainu
thaana letter qaafu
thaana letter waavu
thaana abafili
thaana aabaafili
thaana ibifili
thaana eebeefili
thaana ubufili
thaana ooboofili
thaana ebefili
thaana eybeyfili
thaana obofili
thaana oaboafili
thaana sukun
thaana letter naa
nko digit zero
nko digit one
nko digit two
nko digit three
nko digit four
nko digit five
nko digit six
nko digit seven
nko digit eight
nko digit nine
nko letter a
nko letter ee
nko letter i
nko letter e
nko letter u
nko letter oo
nko letter o
nko letter dagbasinna
nko letter n
nko letter ba
nko letter pa
nko letter ta
nko letter ja
nko letter cha
nko letter da
nko letter ra
nko letter rra
nko letter sa
nko letter gba
nko letter fa
nko letter ka
nko letter la
nko letter na woloso
nko letter ma
nko letter nya
nko letter na
nko letter ha
nko letter wa
nko letter ya
nko letter nya woloso
nko letter jona ja
nko letter jona cha
nko letter jona ra
nko combining short high tone
nko combining short low tone
nko combining short rising tone
nko combining long descending tone
nko combining long high tone
nko combining long low tone
nko combining long rising tone
nko combining nasalization mark
nko combining double dot above
nko high tone apostrophe
nko low tone apostrophe
nko symbol gbakurunen
nko comma
nko exclamation mark
devanagari sign candrabindu
devanagari sign anusvara
devanagari sign visarga
devanagari letter a
devanagari letter aa
devanagari letter i
devanagari letter ii
devanagari letter u
devanagari letter uu
devanagari letter vocalic r
devanagari letter vocalic l
devanagari letter candra e
devanagari letter e
devanagari letter ai
devanagari letter candra o
devanagari letter o
devanagari letter au
devanagari letter ka
devanagari letter kha
devanagari letter ga
devanagari letter gha
devanagari letter nga
devanagari letter ca
devanagari letter cha
devanagari letter ja
devanagari letter jha
devanagari letter nya
devanagari letter tta
devanagari letter ttha
devanagari letter dda
devanagari letter ddha
devanagari letter nna
devanagari letter ta
devanagari letter tha
devanagari letter da
devanagari letter dha
devanagari letter na
devanagari letter pa
devanagari letter pha
devanagari letter ba
devanagari letter bha
devanagari letter ma
devanagari letter ya
devanagari letter ra
devanagari letter rra
devanagari letter la
devanagari letter lla
devanagari letter va
devanagari letter sha
devanagari letter ssa
devanagari letter sa
devanagari letter ha
devanagari sign nukta
devanagari sign avagraha
devanagari vowel sign aa
devanagari vowel sign i
devanagari vowel sign ii
devanagari vowel sign u
devanagari vowel sign uu
devanagari vowel sign vocalic r
devanagari vowel sign vocalic rr
devanagari vowel sign candra e
devanagari vowel sign e
devanagari vowel sign ai
devanagari vowel sign candra o
devanagari vowel sign o
devanagari vowel sign au
devanagari sign virama
devanagari om
devanagari stress sign udatta
devanagari stress sign anudatta
devanagari letter vocalic rr
devanagari letter vocalic ll
devanagari vowel sign vocalic l
devanagari vowel sign vocalic ll
devanagari danda
devanagari double danda
devanagari digit zero
devanagari digit one
devanagari digit two
devanagari digit three
devanagari digit four
devanagari digit five
devanagari digit six
devanagari digit seven
devanagari digit eight
devanagari digit nine
devanagari abbreviation sign
devanagari letter gga
devanagari letter jja
devanagari letter ddda
devanagari letter bba
bengali sign candrabindu
bengali sign anusvara
bengali sign visarga
bengali letter a
bengali letter aa
bengali letter i
bengali letter ii
bengali letter u
bengali letter uu
bengali letter vocalic r
bengali letter vocalic l
bengali letter e
bengali letter ai
bengali letter o
bengali letter au
bengali letter ka
bengali letter kha
bengali letter ga
bengali letter gha
bengali letter nga
bengali letter ca
bengali letter cha
bengali letter ja
bengali letter jha
bengali letter nya
bengali letter tta
bengali letter ttha
bengali letter dda
bengali letter ddha
bengali letter nna
bengali letter ta
bengali letter tha
bengali letter da
bengali letter dha
bengali letter na
bengali letter pa
bengali letter pha
bengali letter ba
bengali letter bha
bengali letter ma
bengali letter ya
bengali letter ra
bengali letter la
bengali letter sha
bengali letter ssa
bengali letter sa
bengali letter ha
bengali sign nukta
bengali sign avagraha
bengali vowel sign aa
bengali vowel sign i
bengali vowel sign ii
bengali vowel sign u
bengali vowel sign uu
bengali vowel sign vocalic r
bengali vowel sign vocalic rr
bengali vowel sign e
bengali vowel sign ai
bengali vowel sign o
bengali vowel sign au
bengali sign virama
bengali letter khanda ta
bengali au length mark
bengali letter vocalic rr
bengali letter vocalic ll
bengali vowel sign vocalic l
bengali vowel sign vocalic ll
bengali digit zero
bengali digit one
bengali digit two
bengali digit three
bengali digit four
bengali digit five
bengali digit six
bengali digit seven
bengali digit eight
bengali digit nine
bengali letter ra with middle diagonal
bengali letter ra with lower diagonal
bengali rupee mark
bengali rupee sign
bengali currency numerator one
bengali currency numerator two
bengali currency numerator three
bengali currency numerator four
bengali currency numerator one less than the denominator
bengali currency denominator sixteen
bengali isshar
gurmukhi sign bindi
gurmukhi sign visarga
gurmukhi letter a
gurmukhi letter aa
gurmukhi letter i
gurmukhi letter ii
gurmukhi letter u
gurmukhi letter uu
gurmukhi letter ee
gurmukhi letter ai
gurmukhi letter oo
gurmukhi letter au
gurmukhi letter ka
gurmukhi letter kha
gurmukhi letter ga
gurmukhi letter gha
gurmukhi letter nga
gurmukhi letter ca
gurmukhi letter cha
gurmukhi letter ja
gurmukhi letter jha
gurmukhi letter nya
gurmukhi letter tta
gurmukhi letter ttha
gurmukhi letter dda
gurmukhi letter ddha
gurmukhi letter nna
gurmukhi letter ta
gurmukhi letter tha
gurmukhi letter da
gurmukhi letter dha
gurmukhi letter na
gurmukhi letter pa
gurmukhi letter pha
gurmukhi letter ba
gurmukhi letter bha
gurmukhi letter ma
gurmukhi letter ya
gurmukhi letter ra
gurmukhi letter la
gurmukhi letter va
gurmukhi letter sa
gurmukhi letter ha
gurmukhi sign nukta
gurmukhi vowel sign aa
gurmukhi vowel sign i
gurmukhi vowel sign ii
gurmukhi vowel sign u
gurmukhi vowel sign uu
gurmukhi vowel sign ee
gurmukhi vowel sign ai
gurmukhi vowel sign oo
gurmukhi vowel sign au
gurmukhi sign virama
gurmukhi letter rra
gurmukhi digit zero
gurmukhi digit one
gurmukhi digit two
gurmukhi digit three
gurmukhi digit four
gurmukhi digit five
gurmukhi digit six
gurmukhi digit seven
gurmukhi digit eight
gurmukhi digit nine
gurmukhi tippi
gurmukhi addak
gurmukhi iri
gurmukhi ura
gurmukhi ek onkar
gujarati sign candrabindu
gujarati sign anusvara
gujarati sign visarga
gujarati letter a
gujarati letter aa
gujarati letter i
gujarati letter ii
gujarati letter u
gujarati letter uu
gujarati letter vocalic r
gujarati vowel candra e
gujarati letter e
gujarati letter ai
gujarati vowel candra o
gujarati letter o
gujarati letter au
gujarati letter ka
gujarati letter kha
gujarati letter ga
gujarati letter gha
gujarati letter nga
gujarati letter ca
gujarati letter cha
gujarati letter ja
gujarati letter jha
gujarati letter nya
gujarati letter tta
gujarati letter ttha
gujarati letter dda
gujarati letter ddha
gujarati letter nna
gujarati letter ta
gujarati letter tha
gujarati letter da
gujarati letter dha
gujarati letter na
gujarati letter pa
gujarati letter pha
gujarati letter ba
gujarati letter bha
gujarati letter ma
gujarati letter ya
gujarati letter ra
gujarati letter la
gujarati letter lla
gujarati letter va
gujarati letter sha
gujarati letter ssa
gujarati letter sa
gujarati letter ha
gujarati sign nukta
gujarati sign avagraha
gujarati vowel sign aa
gujarati vowel sign i
gujarati vowel sign ii
gujarati vowel sign u
gujarati vowel sign uu
gujarati vowel sign vocalic r
gujarati vowel sign vocalic rr
gujarati vowel sign candra e
gujarati vowel sign e
gujarati vowel sign ai
gujarati vowel sign candra o
gujarati vowel sign o
gujarati vowel sign au
gujarati sign virama
gujarati om
gujarati letter vocalic rr
gujarati abbreviation sign
oriya sign candrabindu
oriya sign anusvara
oriya sign visarga
oriya letter a
oriya letter aa
oriya letter i
oriya letter ii
oriya letter u
oriya letter uu
oriya letter vocalic r
oriya letter e
oriya letter ai
oriya letter o
oriya letter au
oriya letter ka
oriya letter kha
oriya letter ga
oriya letter gha
oriya letter nga
oriya letter ca
oriya letter cha
oriya letter ja
oriya letter jha
oriya letter nya
oriya letter tta
oriya letter ttha
oriya letter dda
oriya letter ddha
oriya letter nna
oriya letter ta
oriya letter tha
oriya letter da
oriya letter dha
oriya letter na
oriya letter pa
oriya letter pha
oriya letter ba
oriya letter bha
oriya letter ma
oriya letter ya
oriya letter ra
oriya letter la
oriya letter lla
oriya letter va
oriya letter sha
oriya letter ssa
oriya letter sa
oriya letter ha
oriya sign nukta
oriya vowel sign aa
oriya vowel sign i
oriya vowel sign ii
oriya vowel sign u
oriya vowel sign uu
oriya vowel sign vocalic r
oriya vowel sign e
oriya vowel sign ai
oriya vowel sign o
oriya vowel sign au
oriya sign virama
oriya letter yya
oriya digit zero
oriya digit one
oriya digit two
oriya digit three
oriya digit four
oriya digit five
oriya digit six
oriya digit seven
oriya digit eight
oriya digit nine
oriya letter wa
tamil sign visarga
tamil letter a
tamil letter aa
tamil letter i
tamil letter ii
tamil letter u
tamil letter uu
tamil letter e
tamil letter ee
tamil letter ai
tamil letter o
tamil letter oo
tamil letter au
tamil letter ka
tamil letter nga
tamil letter ca
tamil letter ja
tamil letter nya
tamil letter tta
tamil letter nna
tamil letter ta
tamil letter na
tamil letter nnna
tamil letter pa
tamil letter ma
tamil letter ya
tamil letter ra
tamil letter rra
tamil letter la
tamil letter lla
tamil letter llla
tamil letter va
tamil letter ssa
tamil letter sa
tamil letter ha
tamil vowel sign aa
tamil vowel sign i
tamil vowel sign ii
tamil vowel sign u
tamil vowel sign uu
tamil vowel sign e
tamil vowel sign ee
tamil vowel sign ai
tamil vowel sign o
tamil vowel sign oo
tamil vowel sign au
tamil sign virama
tamil digit zero
tamil digit one
tamil digit two
tamil digit three
tamil digit four
tamil digit five
tamil digit six
tamil digit seven
tamil digit eight
tamil digit nine
telugu sign candrabindu
telugu sign anusvara
telugu sign visarga
telugu letter a
telugu letter aa
telugu letter i
telugu letter ii
telugu letter u
telugu letter uu
telugu letter vocalic r
telugu letter vocalic l
telugu letter e
telugu letter ee
telugu letter ai
telugu letter o
telugu letter oo
telugu letter au
telugu letter ka
telugu letter kha
telugu letter ga
telugu letter gha
telugu letter nga
telugu letter ca
telugu letter cha
telugu letter ja
telugu letter jha
telugu letter nya
telugu letter tta
telugu letter ttha
telugu letter dda
telugu letter ddha
telugu letter nna
telugu letter ta
telugu letter tha
telugu letter da
telugu letter dha
telugu letter na
telugu letter pa
telugu letter pha
telugu letter ba
telugu letter bha
telugu letter ma
telugu letter ya
telugu letter ra
telugu letter rra
telugu letter la
telugu letter lla
telugu letter va
telugu letter sha
telugu letter ssa
telugu letter sa
telugu letter ha
telugu sign nukta
telugu vowel sign aa
telugu vowel sign i
telugu vowel sign ii
telugu vowel sign u
telugu vowel sign uu
telugu vowel sign vocalic r
telugu vowel sign vocalic rr
telugu vowel sign e
telugu vowel sign ee
telugu vowel sign ai
telugu vowel sign o
telugu vowel sign oo
telugu vowel sign au
telugu sign virama
telugu length mark
telugu ai length mark
telugu letter vocalic rr
telugu letter vocalic ll
telugu digit zero
telugu digit one
telugu digit two
telugu digit three
telugu digit four
telugu digit five
telugu digit six
telugu digit seven
telugu digit eight
telugu digit nine
kannada sign anusvara
kannada sign visarga
kannada letter a
kannada letter aa
kannada letter i
kannada letter ii
kannada letter u
kannada letter uu
kannada letter vocalic r
kannada letter vocalic l
kannada letter e
kannada letter ee
kannada letter ai
kannada letter o
kannada letter oo
kannada letter au
kannada letter ka
kannada letter kha
kannada letter ga
kannada letter gha
kannada letter nga
kannada letter ca
kannada letter cha
kannada letter ja
kannada letter jha
kannada letter nya
kannada letter tta
kannada letter ttha
kannada letter dda
kannada letter ddha
kannada letter nna
kannada letter ta
kannada letter tha
kannada letter da
kannada letter dha
kannada letter na
kannada letter pa
kannada letter pha
kannada letter ba
kannada letter bha
kannada letter ma
kannada letter ya
kannada letter ra
kannada letter rra
kannada letter la
kannada letter lla
kannada letter va
kannada letter sha
kannada letter ssa
kannada letter sa
kannada letter ha
kannada sign nukta
kannada sign avagraha
kannada vowel sign aa
kannada vowel sign i
kannada vowel sign ii
kannada vowel sign u
kannada vowel sign uu
kannada vowel sign vocalic r
kannada vowel sign vocalic rr
kannada vowel sign e
kannada vowel sign ee
kannada vowel sign ai
kannada vowel sign o
kannada vowel sign oo
kannada vowel sign au
kannada sign virama
kannada length mark
kannada ai length mark
kannada letter fa
kannada letter vocalic rr
kannada letter vocalic ll
kannada digit zero
kannada digit one
kannada digit two
kannada digit three
kannada digit four
kannada digit five
kannada digit six
kannada digit seven
kannada digit eight
kannada digit nine
malayalam sign anusvara
malayalam sign visarga
malayalam letter a
malayalam letter aa
malayalam letter i
malayalam letter ii
malayalam letter u
malayalam letter uu
malayalam letter vocalic r
malayalam letter vocalic l
malayalam letter e
malayalam letter ee
malayalam letter ai
malayalam letter o
malayalam letter oo
malayalam letter au
malayalam letter ka
malayalam letter kha
malayalam letter ga
malayalam letter gha
malayalam letter nga
malayalam letter ca
malayalam letter cha
malayalam letter ja
malayalam letter jha
malayalam letter nya
malayalam letter tta
malayalam letter ttha
malayalam letter dda
malayalam letter ddha
malayalam letter nna
malayalam letter ta
malayalam letter tha
malayalam letter da
malayalam letter dha
malayalam letter na
malayalam letter pa
malayalam letter pha
malayalam letter ba
malayalam letter bha
malayalam letter ma
malayalam letter ya
malayalam letter ra
malayalam letter rra
malayalam letter la
malayalam letter lla
malayalam letter llla
malayalam letter va
malayalam letter sha
malayalam letter ssa
malayalam letter sa
malayalam letter ha
malayalam vowel sign aa
malayalam vowel sign i
malayalam vowel sign ii
malayalam vowel sign u
malayalam vowel sign uu
malayalam vowel sign vocalic r
malayalam vowel sign e
malayalam vowel sign ee
malayalam vowel sign ai
malayalam vowel sign o
malayalam vowel sign oo
malayalam sign virama
malayalam au length mark
malayalam letter vocalic rr
malayalam letter vocalic ll
malayalam letter chillu nn
malayalam letter chillu n
malayalam letter chillu rr
malayalam letter chillu l
malayalam letter chillu ll
malayalam letter chillu k
sinhala sign anusvaraya
sinhala sign visargaya
sinhala letter ayanna
sinhala letter aayanna
sinhala letter aeyanna
sinhala letter aeeyanna
sinhala letter iyanna
sinhala letter iiyanna
sinhala letter uyanna
sinhala letter uuyanna
sinhala letter iruyanna
sinhala letter iruuyanna
sinhala letter iluyanna
sinhala letter iluuyanna
sinhala letter eyanna
sinhala letter eeyanna
sinhala letter aiyanna
sinhala letter oyanna
sinhala letter ooyanna
sinhala letter auyanna
sinhala letter alpapraana kayanna
sinhala letter mahaapraana kayanna
sinhala letter alpapraana gayanna
sinhala letter mahaapraana gayanna
sinhala letter kantaja naasikyaya
sinhala letter sanyaka gayanna
sinhala letter alpapraana cayanna
sinhala letter mahaapraana cayanna
sinhala letter alpapraana jayanna
sinhala letter mahaapraana jayanna
sinhala letter taaluja naasikyaya
sinhala letter taaluja sanyooga naaksikyaya
sinhala letter sanyaka jayanna
sinhala letter alpapraana ttayanna
sinhala letter mahaapraana ttayanna
sinhala letter alpapraana ddayanna
sinhala letter mahaapraana ddayanna
sinhala letter muurdhaja nayanna
sinhala letter sanyaka ddayanna
sinhala letter alpapraana tayanna
sinhala letter mahaapraana tayanna
sinhala letter alpapraana dayanna
sinhala letter mahaapraana dayanna
sinhala letter dantaja nayanna
sinhala letter sanyaka dayanna
sinhala letter alpapraana payanna
sinhala letter mahaapraana payanna
sinhala letter alpapraana bayanna
sinhala letter mahaapraana bayanna
sinhala letter mayanna
sinhala letter amba bayanna
sinhala letter yayanna
sinhala letter rayanna
sinhala letter dantaja layanna
sinhala letter vayanna
sinhala letter taaluja sayanna
sinhala letter muurdhaja sayanna
sinhala letter dantaja sayanna
sinhala letter hayanna
sinhala letter muurdhaja layanna
sinhala letter fayanna
sinhala sign al-lakuna
sinhala vowel sign aela-pilla
sinhala vowel sign ketti aeda-pilla
sinhala vowel sign diga aeda-pilla
sinhala vowel sign ketti is-pilla
sinhala vowel sign diga is-pilla
sinhala vowel sign ketti paa-pilla
sinhala vowel sign diga paa-pilla
sinhala vowel sign gaetta-pilla
sinhala vowel sign kombuva
sinhala vowel sign diga kombuva
sinhala vowel sign kombu deka
sinhala vowel sign kombuva haa aela-pilla
sinhala vowel sign kombuva haa diga aela-pilla
sinhala vowel sign kombuva haa gayanukitta
sinhala vowel sign gayanukitta
sinhala vowel sign diga gaetta-pilla
sinhala vowel sign diga gayanukitta
thai character ko kai
thai character kho khai
thai character kho khuat
thai character kho khwai
thai character kho khon
thai character kho rakhang
thai character ngo ngu
thai character cho chan
thai character cho ching
thai character cho chang
thai character so so
thai character cho choe
thai character yo ying
thai character do chada
thai character to patak
thai character tho than
thai character tho nangmontho
thai character tho phuthao
thai character no nen
thai character do dek
thai character to tao
thai character tho thung
thai character tho thahan
thai character tho thong
thai character no nu
thai character bo baimai
thai character po pla
thai character pho phung
thai character fo fa
thai character pho phan
thai character fo fan
thai character pho samphao
thai character mo ma
thai character yo yak
thai character ro rua
thai character ru
thai character lo ling
thai character lu
thai character wo waen
thai character so sala
thai character so rusi
thai character so sua
thai character ho hip
thai character lo chula
thai character o ang
thai character ho nokhuk
thai character paiyannoi
thai character sara a
thai character mai han-akat
thai character sara aa
thai character sara am
thai character sara i
thai character sara ii
thai character sara ue
thai character sara uee
thai character sara u
thai character sara uu
thai character phinthu
thai character sara e
thai character sara ae
thai character sara o
thai character sara ai maimuan
thai character sara ai maimalai
thai character lakkhangyao
thai character maiyamok
thai character maitaikhu
thai character mai ek
thai character mai tho
thai character mai tri
thai character mai chattawa
thai character thanthakhat
thai character nikhahit
thai character yamakkan
lao letter ko
lao letter kho sung
lao letter kho tam
lao letter ngo
lao letter co
lao letter so tam
lao letter nyo
lao letter do
lao letter to
lao letter tho sung
lao letter tho tam
lao letter no
lao letter bo
lao letter po
lao letter pho sung
lao letter fo tam
lao letter pho tam
lao letter fo sung
lao letter mo
lao letter yo
lao letter lo ling
lao letter lo loot
lao letter wo
lao letter so sung
lao letter ho sung
lao letter o
lao letter ho tam
lao ellipsis
lao vowel sign a
lao vowel sign mai kan
lao vowel sign aa
lao vowel sign am
lao vowel sign i
lao vowel sign ii
lao vowel sign y
lao vowel sign yy
lao vowel sign u
lao vowel sign uu
lao vowel sign mai kon
lao semivowel sign lo
lao semivowel sign nyo
lao vowel sign e
lao vowel sign ei
lao vowel sign o
lao vowel sign ay
lao vowel sign ai
lao ko la
lao tone mai ek
lao tone mai tho
lao tone mai ti
lao tone mai catawa
lao cancellation mark
lao niggahita
lao digit zero
lao digit one
lao digit two
lao digit three
lao digit four
lao digit five
lao digit six
lao digit seven
lao digit eight
lao digit nine
lao ho no
lao ho mo
tibetan syllable om
tibetan mark initial yig mgo mdun ma
tibetan mark closing yig mgo sgab ma
tibetan mark caret yig mgo phur shad ma
tibetan mark sbrul shad
tibetan mark bskur yig mgo
tibetan mark bka- shog yig mgo
tibetan mark delimiter tsheg bstar
tibetan mark shad
tibetan mark nyis shad
tibetan mark tsheg shad
tibetan mark nyis tsheg shad
tibetan mark rin chen spungs shad
tibetan mark rgya gram shad
tibetan mark gter tsheg
tibetan digit zero
tibetan digit one
tibetan digit two
tibetan digit three
tibetan digit four
tibetan digit five
tibetan digit six
tibetan digit seven
tibetan digit eight
tibetan digit nine
tibetan mark bsdus rtags
tibetan mark caret -dzud rtags bzhi mig can
tibetan mark ang khang gyon
tibetan mark ang khang gyas
tibetan letter ka
tibetan letter kha
tibetan letter ga
tibetan letter nga
tibetan letter ca
tibetan letter cha
tibetan letter ja
tibetan letter nya
tibetan letter tta
tibetan letter ttha
tibetan letter dda
tibetan letter nna
tibetan letter ta
tibetan letter tha
tibetan letter da
tibetan letter na
tibetan letter pa
tibetan letter pha
tibetan letter ba
tibetan letter ma
tibetan letter tsa
tibetan letter tsha
tibetan letter dza
tibetan letter wa
tibetan letter zha
tibetan letter za
tibetan letter -a
tibetan letter ya
tibetan letter ra
tibetan letter la
tibetan letter sha
tibetan letter ssa
tibetan letter sa
tibetan letter ha
tibetan letter a
tibetan letter fixed-form ra
tibetan vowel sign aa
tibetan vowel sign i
tibetan vowel sign u
tibetan vowel sign vocalic rr
tibetan vowel sign vocalic ll
tibetan vowel sign e
tibetan vowel sign ee
tibetan vowel sign o
tibetan vowel sign oo
tibetan sign rjes su nga ro
tibetan sign rnam bcad
tibetan vowel sign reversed i
tibetan mark halanta
tibetan subjoined letter ka
tibetan subjoined letter kha
tibetan subjoined letter ga
tibetan subjoined letter nga
tibetan subjoined letter ca
tibetan subjoined letter cha
tibetan subjoined letter ja
tibetan subjoined letter nya
tibetan subjoined letter tta
tibetan subjoined letter ttha
tibetan subjoined letter dda
tibetan subjoined letter nna
tibetan subjoined letter ta
tibetan subjoined letter tha
tibetan subjoined letter da
tibetan subjoined letter na
tibetan subjoined letter pa
tibetan subjoined letter pha
tibetan subjoined letter ba
tibetan subjoined letter ma
tibetan subjoined letter tsa
tibetan subjoined letter tsha
tibetan subjoined letter dza
tibetan subjoined letter wa
tibetan subjoined letter zha
tibetan subjoined letter za
tibetan subjoined letter -a
tibetan subjoined letter ya
tibetan subjoined letter ra
tibetan subjoined letter la
tibetan subjoined letter sha
tibetan subjoined letter ssa
tibetan subjoined letter sa
tibetan subjoined letter ha
tibetan subjoined letter a
tibetan subjoined letter fixed-form wa
tibetan subjoined letter fixed-form ya
tibetan subjoined letter fixed-form ra
tibetan ku ru kha
tibetan ku ru kha bzhi mig can
tibetan mark bska- shog gi mgo rgyan
tibetan mark mnyam yig gi mgo rgyan
tibetan mark nyis tsheg
tibetan mark initial brda rnying yig mgo mdun ma
tibetan mark closing brda rnying yig mgo sgab ma
myanmar letter ka
myanmar letter kha
myanmar letter ga
myanmar letter gha
myanmar letter nga
myanmar letter ca
myanmar letter cha
myanmar letter ja
myanmar letter jha
myanmar letter nya
myanmar letter nnya
myanmar letter tta
myanmar letter ttha
myanmar letter dda
myanmar letter ddha
myanmar letter nna
myanmar letter ta
myanmar letter tha
myanmar letter da
myanmar letter dha
myanmar letter na
myanmar letter pa
myanmar letter pha
myanmar letter ba
myanmar letter bha
myanmar letter ma
myanmar letter ya
myanmar letter ra
myanmar letter la
myanmar letter wa
myanmar letter sa
myanmar letter ha
myanmar letter lla
myanmar letter a
myanmar letter shan a
myanmar letter i
myanmar letter ii
myanmar letter u
myanmar letter uu
myanmar letter e
myanmar letter mon e
myanmar letter o
myanmar letter au
myanmar vowel sign tall aa
myanmar vowel sign aa
myanmar vowel sign i
myanmar vowel sign ii
myanmar vowel sign u
myanmar vowel sign uu
myanmar vowel sign e
myanmar vowel sign ai
myanmar vowel sign mon ii
myanmar vowel sign mon o
myanmar vowel sign e above
myanmar sign anusvara
myanmar sign dot below
myanmar sign visarga
myanmar sign virama
myanmar sign asat
myanmar consonant sign medial ya
myanmar consonant sign medial ra
myanmar consonant sign medial wa
myanmar consonant sign medial ha
myanmar letter great sa
myanmar digit zero
myanmar digit one
myanmar digit two
myanmar digit three
myanmar digit four
myanmar digit five
myanmar digit six
myanmar digit seven
myanmar digit eight
myanmar digit nine
myanmar sign little section
myanmar sign section
myanmar symbol genitive
myanmar letter sha
myanmar letter ssa
myanmar letter vocalic r
myanmar letter vocalic rr
myanmar letter vocalic l
myanmar letter vocalic ll
myanmar vowel sign vocalic r
myanmar vowel sign vocalic rr
myanmar vowel sign vocalic l
myanmar vowel sign vocalic ll
myanmar letter mon nga
myanmar vowel sign sgaw karen eu
myanmar tone mark sgaw karen ke pho
myanmar letter western pwo karen tha
myanmar letter shan ka
myanmar letter shan kha
myanmar letter shan ga
myanmar letter shan ca
myanmar letter shan nya
myanmar letter shan da
myanmar letter shan na
myanmar letter shan pha
myanmar letter shan fa
myanmar letter shan ba
myanmar letter shan tha
myanmar letter shan ha
myanmar consonant sign shan medial wa
myanmar vowel sign shan aa
myanmar vowel sign shan e
myanmar vowel sign shan e above
myanmar vowel sign shan final y
myanmar sign shan tone-2
myanmar sign shan tone-3
myanmar sign shan tone-5
myanmar sign shan tone-6
myanmar sign rumai palaung tone-5
myanmar shan digit zero
myanmar shan digit one
myanmar shan digit two
myanmar shan digit three
myanmar shan digit four
myanmar shan digit five
myanmar shan digit six
myanmar shan digit seven
myanmar shan digit eight
myanmar shan digit nine
myanmar symbol shan one
myanmar symbol shan exclamation
georgian letter an
georgian letter ban
georgian letter gan
georgian letter don
georgian letter en
georgian letter vin
georgian letter zen
georgian letter tan
georgian letter in
georgian letter kan
georgian letter las
georgian letter man
georgian letter nar
georgian letter on
georgian letter par
georgian letter zhar
georgian letter rae
georgian letter san
georgian letter tar
georgian letter un
georgian letter phar
georgian letter khar
georgian letter ghan
georgian letter qar
georgian letter shin
georgian letter chin
georgian letter can
georgian letter jil
georgian letter cil
georgian letter char
georgian letter xan
georgian letter jhan
georgian letter hae
georgian letter he
georgian letter hie
georgian letter we
georgian letter har
georgian letter hoe
georgian letter fi
georgian letter yn
georgian letter elifi
georgian letter turned gan
georgian letter ain
georgian paragraph separator
hangul choseong kiyeok
hangul choseong ssangkiyeok
hangul choseong nieun
hangul choseong tikeut
hangul choseong ssangtikeut
hangul choseong rieul
hangul choseong mieum
hangul choseong pieup
hangul choseong ssangpieup
hangul choseong sios
hangul choseong ssangsios
hangul choseong ieung
hangul choseong cieuc
hangul choseong ssangcieuc
hangul choseong chieuch
hangul choseong khieukh
hangul choseong thieuth
hangul choseong phieuph
hangul choseong hieuh
hangul jungseong a
hangul jungseong ae
hangul jungseong ya
hangul jungseong yae
hangul jungseong eo
hangul jungseong e
hangul jungseong yeo
hangul jungseong ye
hangul jungseong o
hangul jungseong wa
hangul jungseong wae
hangul jungseong oe
hangul jungseong yo
hangul jungseong u
hangul jungseong weo
hangul jungseong we
hangul jungseong wi
hangul jungseong yu
hangul jungseong eu
hangul jungseong yi
hangul jungseong i
hangul jongseong kiyeok
hangul jongseong ssangkiyeok
hangul jongseong kiyeok-sios
hangul jongseong nieun
hangul jongseong nieun-cieuc
hangul jongseong nieun-hieuh
hangul jongseong tikeut
hangul jongseong rieul
hangul jongseong rieul-kiyeok
hangul jongseong rieul-mieum
hangul jongseong rieul-pieup
hangul jongseong rieul-sios
hangul jongseong rieul-thieuth
hangul jongseong rieul-phieuph
hangul jongseong rieul-hieuh
hangul jongseong mieum
hangul jongseong pieup
hangul jongseong pieup-sios
hangul jongseong sios
hangul jongseong ssangsios
hangul jongseong ieung
hangul jongseong cieuc
hangul jongseong chieuch
hangul jongseong khieukh
hangul jongseong thieuth
hangul jongseong phieuph
hangul jongseong hieuh
ethiopic syllable ha
ethiopic syllable hu
ethiopic syllable hi
ethiopic syllable haa
ethiopic syllable hee
ethiopic syllable he
ethiopic syllable ho
ethiopic syllable hoa
ethiopic syllable la
ethiopic syllable lu
ethiopic syllable li
ethiopic syllable laa
ethiopic syllable lee
ethiopic syllable le
ethiopic syllable lo
ethiopic syllable lwa
ethiopic syllable hha
ethiopic syllable hhu
ethiopic syllable hhi
ethiopic syllable hhaa
ethiopic syllable hhee
ethiopic syllable hhe
ethiopic syllable hho
ethiopic syllable hhwa
ethiopic syllable ma
ethiopic syllable mu
ethiopic syllable mi
ethiopic syllable maa
ethiopic syllable mee
ethiopic syllable me
ethiopic syllable mo
ethiopic syllable mwa
ethiopic syllable sza
ethiopic syllable szu
ethiopic syllable szi
ethiopic syllable szaa
ethiopic syllable szee
ethiopic syllable sze
ethiopic syllable szo
ethiopic syllable szwa
ethiopic syllable ra
ethiopic syllable ru
ethiopic syllable ri
ethiopic syllable raa
ethiopic syllable ree
ethiopic syllable re
ethiopic syllable ro
ethiopic syllable rwa
ethiopic syllable sa
ethiopic syllable su
ethiopic syllable si
ethiopic syllable saa
ethiopic syllable see
ethiopic syllable se
ethiopic syllable so
ethiopic syllable swa
ethiopic syllable sha
ethiopic syllable shu
ethiopic syllable shi
ethiopic syllable shaa
ethiopic syllable shee
ethiopic syllable she
ethiopic syllable sho
ethiopic syllable shwa
ethiopic syllable qa
ethiopic syllable qu
ethiopic syllable qi
ethiopic syllable qaa
ethiopic syllable qee
ethiopic syllable qe
ethiopic syllable qo
ethiopic syllable qoa
ethiopic syllable qwa
ethiopic syllable qwi
ethiopic syllable qwaa
ethiopic syllable qwee
ethiopic syllable qwe
ethiopic syllable qha
ethiopic syllable qhu
ethiopic syllable qhi
ethiopic syllable qhaa
ethiopic syllable qhee
ethiopic syllable qhe
ethiopic syllable qho
ethiopic syllable qhwa
ethiopic syllable qhwi
ethiopic syllable qhwaa
ethiopic syllable qhwee
ethiopic syllable qhwe
ethiopic syllable ba
ethiopic syllable bu
ethiopic syllable bi
ethiopic syllable baa
ethiopic syllable bee
ethiopic syllable be
ethiopic syllable bo
ethiopic syllable bwa
ethiopic syllable va
ethiopic syllable vu
ethiopic syllable vi
ethiopic syllable vaa
ethiopic syllable vee
ethiopic syllable ve
ethiopic syllable vo
ethiopic syllable vwa
ethiopic syllable ta
ethiopic syllable tu
ethiopic syllable ti
ethiopic syllable taa
ethiopic syllable tee
ethiopic syllable te
ethiopic syllable to
ethiopic syllable twa
ethiopic syllable ca
ethiopic syllable cu
ethiopic syllable ci
ethiopic syllable caa
ethiopic syllable cee
ethiopic syllable ce
ethiopic syllable co
ethiopic syllable cwa
ethiopic syllable xa
ethiopic syllable xu
ethiopic syllable xi
ethiopic syllable xaa
ethiopic syllable xee
ethiopic syllable xe
ethiopic syllable xo
ethiopic syllable xoa
ethiopic syllable xwa
ethiopic syllable xwi
ethiopic syllable xwaa
ethiopic syllable xwee
ethiopic syllable xwe
ethiopic syllable na
ethiopic syllable nu
ethiopic syllable ni
ethiopic syllable naa
ethiopic syllable nee
ethiopic syllable ne
ethiopic syllable no
ethiopic syllable nwa
ethiopic syllable nya
ethiopic syllable nyu
ethiopic syllable nyi
ethiopic syllable nyaa
ethiopic syllable nyee
ethiopic syllable nye
ethiopic syllable nyo
ethiopic syllable nywa
ethiopic syllable glottal a
ethiopic syllable glottal u
ethiopic syllable glottal i
ethiopic syllable glottal aa
ethiopic syllable glottal ee
ethiopic syllable glottal e
ethiopic syllable glottal o
ethiopic syllable glottal wa
ethiopic syllable ka
ethiopic syllable ku
ethiopic syllable ki
ethiopic syllable kaa
ethiopic syllable kee
ethiopic syllable ke
ethiopic syllable ko
ethiopic syllable koa
ethiopic syllable kwa
ethiopic syllable kwi
ethiopic syllable kwaa
ethiopic syllable kwee
ethiopic syllable kwe
ethiopic syllable kxa
ethiopic syllable kxu
ethiopic syllable kxi
ethiopic syllable kxaa
ethiopic syllable kxee
ethiopic syllable kxe
ethiopic syllable kxo
ethiopic syllable kxwa
ethiopic syllable kxwi
ethiopic syllable kxwaa
ethiopic syllable kxwee
ethiopic syllable kxwe
ethiopic syllable wa
ethiopic syllable wu
ethiopic syllable wi
ethiopic syllable waa
ethiopic syllable wee
ethiopic syllable we
ethiopic syllable wo
ethiopic syllable woa
ethiopic syllable pharyngeal a
ethiopic syllable pharyngeal u
ethiopic syllable pharyngeal i
ethiopic syllable pharyngeal aa
ethiopic syllable pharyngeal ee
ethiopic syllable pharyngeal e
ethiopic syllable pharyngeal o
ethiopic syllable za
ethiopic syllable zu
ethiopic syllable zi
ethiopic syllable zaa
ethiopic syllable zee
ethiopic syllable ze
ethiopic syllable zo
ethiopic syllable zwa
ethiopic syllable zha
ethiopic syllable zhu
ethiopic syllable zhi
ethiopic syllable zhaa
ethiopic syllable zhee
ethiopic syllable zhe
ethiopic syllable zho
ethiopic syllable zhwa
ethiopic syllable ya
ethiopic syllable yu
ethiopic syllable yi
ethiopic syllable yaa
ethiopic syllable yee
ethiopic syllable ye
ethiopic syllable yo
ethiopic syllable yoa
ethiopic syllable da
ethiopic syllable du
ethiopic syllable di
ethiopic syllable daa
ethiopic syllable dee
ethiopic syllable de
ethiopic syllable do
ethiopic syllable dwa
ethiopic syllable dda
ethiopic syllable ddu
ethiopic syllable ddi
ethiopic syllable ddaa
ethiopic syllable ddee
ethiopic syllable dde
ethiopic syllable ddo
ethiopic syllable ddwa
ethiopic syllable ja
ethiopic syllable ju
ethiopic syllable ji
ethiopic syllable jaa
ethiopic syllable jee
ethiopic syllable je
ethiopic syllable jo
ethiopic syllable jwa
ethiopic syllable ga
ethiopic syllable gu
ethiopic syllable gi
ethiopic syllable gaa
ethiopic syllable gee
ethiopic syllable ge
ethiopic syllable go
ethiopic syllable goa
ethiopic syllable gwa
ethiopic syllable gwi
ethiopic syllable gwaa
ethiopic syllable gwee
ethiopic syllable gwe
ethiopic syllable gga
ethiopic syllable ggu
ethiopic syllable ggi
ethiopic syllable ggaa
ethiopic syllable ggee
ethiopic syllable gge
ethiopic syllable ggo
ethiopic syllable ggwaa
ethiopic syllable tha
ethiopic syllable thu
ethiopic syllable thi
ethiopic syllable thaa
ethiopic syllable thee
ethiopic syllable the
ethiopic syllable tho
ethiopic syllable thwa
ethiopic syllable cha
ethiopic syllable chu
ethiopic syllable chi
ethiopic syllable chaa
ethiopic syllable chee
ethiopic syllable che
ethiopic syllable cho
ethiopic syllable chwa
ethiopic syllable pha
ethiopic syllable phu
ethiopic syllable phi
ethiopic syllable phaa
ethiopic syllable phee
ethiopic syllable phe
ethiopic syllable pho
ethiopic syllable phwa
ethiopic syllable tsa
ethiopic syllable tsu
ethiopic syllable tsi
ethiopic syllable tsaa
ethiopic syllable tsee
ethiopic syllable tse
ethiopic syllable tso
ethiopic syllable tswa
ethiopic syllable tza
ethiopic syllable tzu
ethiopic syllable tzi
ethiopic syllable tzaa
ethiopic syllable tzee
ethiopic syllable tze
ethiopic syllable tzo
ethiopic syllable tzoa
ethiopic syllable fa
ethiopic syllable fu
ethiopic syllable fi
ethiopic syllable faa
ethiopic syllable fee
ethiopic syllable fe
ethiopic syllable fo
ethiopic syllable fwa
ethiopic syllable pa
ethiopic syllable pu
ethiopic syllable pi
ethiopic syllable paa
ethiopic syllable pee
ethiopic syllable pe
ethiopic syllable po
ethiopic syllable pwa
ethiopic syllable rya
ethiopic syllable mya
ethiopic syllable fya
ethiopic combining gemination mark
ethiopic section mark
ethiopic wordspace
ethiopic full stop
ethiopic comma
ethiopic semicolon
ethiopic colon
ethiopic preface colon
ethiopic question mark
ethiopic paragraph separator
ethiopic number ten
ethiopic number twenty
ethiopic number thirty
ethiopic number forty
ethiopic number fifty
ethiopic number sixty
ethiopic number seventy
ethiopic number eighty
ethiopic number ninety
ethiopic number hundred
ethiopic number ten thousand
ethiopic syllable sebatbeit mwa
ethiopic syllable mwi
ethiopic syllable mwee
ethiopic syllable mwe
ethiopic syllable sebatbeit bwa
ethiopic syllable bwi
ethiopic syllable bwee
ethiopic syllable bwe
ethiopic syllable sebatbeit fwa
ethiopic syllable fwi
ethiopic syllable fwee
ethiopic syllable fwe
ethiopic syllable sebatbeit pwa
ethiopic syllable pwi
ethiopic syllable pwee
ethiopic syllable pwe
ethiopic tonal mark yizet
ethiopic tonal mark deret
ethiopic tonal mark rikrik
ethiopic tonal mark short rikrik
ethiopic tonal mark difat
ethiopic tonal mark kenat
ethiopic tonal mark chiret
ethiopic tonal mark hidet
ethiopic tonal mark deret-hidet
ethiopic tonal mark kurt
cherokee letter a
cherokee letter e
cherokee letter i
cherokee letter o
cherokee letter u
cherokee letter v
cherokee letter ga
cherokee letter ka
cherokee letter ge
cherokee letter gi
cherokee letter go
cherokee letter gu
cherokee letter gv
cherokee letter ha
cherokee letter he
cherokee letter hi
cherokee letter ho
cherokee letter hu
cherokee letter hv
cherokee letter la
cherokee letter le
cherokee letter li
cherokee letter lo
cherokee letter lu
cherokee letter lv
cherokee letter ma
cherokee letter me
cherokee letter mi
cherokee letter mo
cherokee letter mu
cherokee letter na
cherokee letter hna
cherokee letter nah
cherokee letter ne
cherokee letter ni
cherokee letter no
cherokee letter nu
cherokee letter nv
cherokee letter qua
cherokee letter que
cherokee letter qui
cherokee letter quo
cherokee letter quu
cherokee letter quv
cherokee letter sa
cherokee letter s
cherokee letter se
cherokee letter si
cherokee letter so
cherokee letter su
cherokee letter sv
cherokee letter da
cherokee letter ta
cherokee letter de
cherokee letter te
cherokee letter di
cherokee letter ti
cherokee letter do
cherokee letter du
cherokee letter dv
cherokee letter dla
cherokee letter tla
cherokee letter tle
cherokee letter tli
cherokee letter tlo
cherokee letter tlu
cherokee letter tlv
cherokee letter tsa
cherokee letter tse
cherokee letter tsi
cherokee letter tso
cherokee letter tsu
cherokee letter tsv
cherokee letter wa
cherokee letter we
cherokee letter wi
cherokee letter wo
cherokee letter wu
cherokee letter wv
cherokee letter ya
cherokee letter ye
cherokee letter yi
cherokee letter yo
cherokee letter yu
cherokee letter yv
cherokee small letter ye
cherokee small letter yi
cherokee small letter yo
cherokee small letter yu
cherokee small letter yv
canadian syllabics e
canadian syllabics i
canadian syllabics ii
canadian syllabics o
canadian syllabics oo
canadian syllabics a
canadian syllabics aa
canadian syllabics west-cree we
canadian syllabics west-cree wi
canadian syllabics west-cree wii
canadian syllabics west-cree wo
canadian syllabics west-cree woo
canadian syllabics west-cree wa
canadian syllabics west-cree waa
canadian syllabics final acute
canadian syllabics final grave
canadian syllabics final top half ring
canadian syllabics final right half ring
canadian syllabics final ring
canadian syllabics final double short vertical strokes
canadian syllabics final short horizontal stroke
canadian syllabics pe
canadian syllabics pi
canadian syllabics pii
canadian syllabics po
canadian syllabics poo
canadian syllabics pa
canadian syllabics paa
canadian syllabics p
canadian syllabics west-cree p
canadian syllabics te
canadian syllabics ti
canadian syllabics tii
canadian syllabics to
canadian syllabics too
canadian syllabics ta
canadian syllabics taa
canadian syllabics t
canadian syllabics ke
canadian syllabics ki
canadian syllabics kii
canadian syllabics ko
canadian syllabics koo
canadian syllabics ka
canadian syllabics kaa
canadian syllabics k
canadian syllabics ce
canadian syllabics ci
canadian syllabics cii
canadian syllabics co
canadian syllabics coo
canadian syllabics ca
canadian syllabics caa
canadian syllabics c
canadian syllabics me
canadian syllabics mi
canadian syllabics mii
canadian syllabics mo
canadian syllabics moo
canadian syllabics ma
canadian syllabics maa
canadian syllabics m
canadian syllabics west-cree m
canadian syllabics ne
canadian syllabics ni
canadian syllabics nii
canadian syllabics no
canadian syllabics noo
canadian syllabics na
canadian syllabics naa
canadian syllabics n
canadian syllabics le
canadian syllabics li
canadian syllabics lii
canadian syllabics lo
canadian syllabics loo
canadian syllabics la
canadian syllabics laa
canadian syllabics l
canadian syllabics west-cree l
canadian syllabics se
canadian syllabics si
canadian syllabics sii
canadian syllabics so
canadian syllabics soo
canadian syllabics sa
canadian syllabics saa
canadian syllabics s
canadian syllabics she
canadian syllabics shi
canadian syllabics shii
canadian syllabics sho
canadian syllabics shoo
canadian syllabics sha
canadian syllabics shaa
canadian syllabics ye
canadian syllabics yi
canadian syllabics yii
canadian syllabics yo
canadian syllabics yoo
canadian syllabics ya
canadian syllabics yaa
canadian syllabics y
canadian syllabics west-cree y
canadian syllabics r-cree re
canadian syllabics ri
canadian syllabics rii
canadian syllabics ro
canadian syllabics roo
canadian syllabics ra
canadian syllabics raa
canadian syllabics r
canadian syllabics west-cree r
canadian syllabics fi
canadian syllabics fii
canadian syllabics fo
canadian syllabics foo
canadian syllabics fa
canadian syllabics faa
canadian syllabics f
canadian syllabics hk
canadian syllabics qi
canadian syllabics qii
canadian syllabics qo
canadian syllabics qoo
canadian syllabics qa
canadian syllabics q
canadian syllabics ngi
canadian syllabics ngo
canadian syllabics ngoo
canadian syllabics nga
canadian syllabics ngaa
canadian syllabics ng
canadian syllabics nng
canadian syllabics lhi
canadian syllabics lhii
canadian syllabics lho
canadian syllabics lhoo
canadian syllabics lha
canadian syllabics lhaa
canadian syllabics lh
canadian syllabics full stop
canadian syllabics nngi
canadian syllabics nngii
canadian syllabics nngo
canadian syllabics nngoo
canadian syllabics nnga
canadian syllabics nngaa
khmer letter ka
khmer letter kha
khmer letter ko
khmer letter kho
khmer letter ngo
khmer letter ca
khmer letter cha
khmer letter co
khmer letter cho
khmer letter nyo
khmer letter da
khmer letter ttha
khmer letter do
khmer letter ttho
khmer letter nno
khmer letter ta
khmer letter tha
khmer letter to
khmer letter tho
khmer letter no
khmer letter ba
khmer letter pha
khmer letter po
khmer letter pho
khmer letter mo
khmer letter yo
khmer letter ro
khmer letter lo
khmer letter vo
khmer letter sha
khmer letter sso
khmer letter sa
khmer letter ha
khmer letter la
khmer letter qa
khmer independent vowel qi
khmer independent vowel qii
khmer independent vowel qu
khmer independent vowel quu
khmer independent vowel quuv
khmer independent vowel ry
khmer independent vowel ryy
khmer independent vowel ly
khmer independent vowel lyy
khmer independent vowel qe
khmer independent vowel qai
khmer independent vowel qoo type one
khmer independent vowel qoo type two
khmer independent vowel qau
khmer vowel inherent aq
khmer vowel inherent aa
khmer vowel sign aa
khmer vowel sign i
khmer vowel sign ii
khmer vowel sign y
khmer vowel sign yy
khmer vowel sign u
khmer vowel sign uu
khmer vowel sign ua
khmer vowel sign oe
khmer vowel sign ya
khmer vowel sign ie
khmer vowel sign e
khmer vowel sign ae
khmer vowel sign ai
khmer vowel sign oo
khmer vowel sign au
khmer sign nikahit
khmer sign reahmuk
khmer sign yuukaleapintu
khmer sign muusikatoan
khmer sign triisap
khmer sign bantoc
khmer sign robat
khmer sign toandakhiat
khmer sign kakabat
khmer sign ahsda
khmer sign samyok sannya
khmer sign viriam
khmer sign coeng
khmer sign khan
khmer sign bariyoosan
khmer sign camnuc pii kuuh
khmer sign phnaek muan
khmer sign koomuut
mongolian digit zero
mongolian digit one
mongolian digit two
mongolian digit three
mongolian digit four
mongolian digit five
mongolian digit six
mongolian digit seven
mongolian digit eight
mongolian digit nine
mongolian letter a
mongolian letter e
mongolian letter i
mongolian letter o
mongolian letter u
mongolian letter oe
mongolian letter ue
mongolian letter ee
mongolian letter na
mongolian letter ang
mongolian letter ba
mongolian letter pa
mongolian letter qa
mongolian letter ga
mongolian letter ma
mongolian letter la
mongolian letter sa
mongolian letter sha
mongolian letter ta
mongolian letter da
mongolian letter cha
mongolian letter ja
mongolian letter ya
mongolian letter ra
mongolian letter wa
mongolian letter fa
mongolian letter ka
mongolian letter kha
mongolian letter tsa
mongolian letter za
mongolian letter haa
mongolian letter zra
mongolian letter lha
mongolian letter zhi
mongolian letter chi
ol chiki digit zero
ol chiki digit one
ol chiki digit two
ol chiki digit three
ol chiki digit four
ol chiki digit five
ol chiki digit six
ol chiki digit seven
ol chiki digit eight
ol chiki digit nine
ol chiki letter la
ol chiki letter at
ol chiki letter ag
ol chiki letter ang
ol chiki letter al
ol chiki letter laa
ol chiki letter aak
ol chiki letter aaj
ol chiki letter aam
ol chiki letter aaw
ol chiki letter li
ol chiki letter is
ol chiki letter ih
ol chiki letter iny
ol chiki letter ir
ol chiki letter lu
ol chiki letter uc
ol chiki letter ud
ol chiki letter unn
ol chiki letter uy
ol chiki letter le
ol chiki letter ep
ol chiki letter edd
ol chiki letter en
ol chiki letter err
ol chiki letter lo
ol chiki letter ott
ol chiki letter ob
ol chiki letter ov
ol chiki letter oh
ol chiki mu ttuddag
ol chiki gaahlaa ttuddaag
ol chiki mu-gaahlaa ttuddaag
ol chiki relaa
ol chiki phaarkaa
ol chiki ahad
modifier letter small a
modifier letter small d
modifier letter small e
modifier letter small g
modifier letter small k
modifier letter small u
combining macron-grave
combining acute-macron
latin small letter b with dot above
latin small letter d with dot above
latin capital letter d with dot below
latin small letter d with dot below
latin capital letter d with cedilla
latin small letter d with cedilla
latin capital letter d with circumflex below
latin small letter d with circumflex below
latin small letter e with tilde below
latin small letter f with dot above
latin capital letter h with dot below
latin small letter h with dot below
latin small letter h with breve below
latin small letter i with tilde below
latin capital letter l with dot below
latin small letter l with dot below
latin small letter l with dot below and macron
latin capital letter l with line below
latin small letter l with line below
latin capital letter l with circumflex below
latin small letter l with circumflex below
latin capital letter m with acute
latin small letter m with acute
latin capital letter m with dot above
latin small letter m with dot above
latin capital letter m with dot below
latin small letter m with dot below
latin capital letter n with dot above
latin small letter n with dot above
latin capital letter n with dot below
latin small letter n with dot below
latin capital letter n with line below
latin small letter n with line below
latin capital letter n with circumflex below
latin small letter n with circumflex below
latin small letter p with dot above
latin capital letter r with dot below
latin small letter r with dot below
latin small letter r with dot below and macron
latin small letter s with dot above
latin capital letter s with dot below
latin small letter s with dot below
latin small letter t with dot above
latin capital letter t with dot below
latin small letter t with dot below
latin capital letter t with line below
latin small letter t with line below
latin capital letter t with circumflex below
latin small letter t with circumflex below
latin small letter u with tilde below
latin capital letter v with tilde
latin small letter v with tilde
latin capital letter w with grave
latin small letter w with grave
latin capital letter w with acute
latin small letter w with acute
latin capital letter w with diaeresis
latin small letter w with diaeresis
latin capital letter z with circumflex
latin small letter z with circumflex
latin capital letter z with dot below
latin small letter z with dot below
latin capital letter a with dot below
latin small letter a with dot below
latin capital letter a with hook above
latin small letter a with hook above
latin capital letter a with circumflex and acute
latin small letter a with circumflex and acute
latin capital letter a with circumflex and grave
latin small letter a with circumflex and grave
latin capital letter a with circumflex and hook above
latin small letter a with circumflex and hook above
latin capital letter a with circumflex and tilde
latin small letter a with circumflex and tilde
latin capital letter a with circumflex and dot below
latin small letter a with circumflex and dot below
latin capital letter a with breve and acute
latin small letter a with breve and acute
latin capital letter a with breve and grave
latin small letter a with breve and grave
latin capital letter a with breve and hook above
latin small letter a with breve and hook above
latin capital letter a with breve and tilde
latin small letter a with breve and tilde
latin capital letter a with breve and dot below
latin small letter a with breve and dot below
latin capital letter e with dot below
latin small letter e with dot below
latin capital letter e with hook above
latin small letter e with hook above
latin capital letter e with tilde
latin small letter e with tilde
latin capital letter e with circumflex and acute
latin small letter e with circumflex and acute
latin capital letter e with circumflex and grave
latin small letter e with circumflex and grave
latin capital letter e with circumflex and hook above
latin small letter e with circumflex and hook above
latin capital letter e with circumflex and tilde
latin small letter e with circumflex and tilde
latin capital letter e with circumflex and dot below
latin small letter e with circumflex and dot below
latin capital letter i with hook above
latin small letter i with hook above
latin capital letter i with dot below
latin small letter i with dot below
latin capital letter o with dot below
latin small letter o with dot below
latin capital letter o with hook above
latin small letter o with hook above
latin capital letter o with circumflex and acute
latin small letter o with circumflex and acute
latin capital letter o with circumflex and grave
latin small letter o with circumflex and grave
latin capital letter o with circumflex and hook above
latin small letter o with circumflex and hook above
latin capital letter o with circumflex and tilde
latin small letter o with circumflex and tilde
latin capital letter o with circumflex and dot below
latin small letter o with circumflex and dot below
latin capital letter o with horn and acute
latin small letter o with horn and acute
latin capital letter o with horn and grave
latin small letter o with horn and grave
latin capital letter o with horn and hook above
latin small letter o with horn and hook above
latin capital letter o with horn and tilde
latin small letter o with horn and tilde
latin capital letter o with horn and dot below
latin small letter o with horn and dot below
latin capital letter u with dot below
latin small letter u with dot below
latin capital letter u with hook above
latin small letter u with hook above
latin capital letter u with horn and acute
latin small letter u with horn and acute
latin capital letter u with horn and grave
latin small letter u with horn and grave
latin capital letter u with horn and hook above
latin small letter u with horn and hook above
latin capital letter u with horn and tilde
latin small letter u with horn and tilde
latin capital letter u with horn and dot below
latin small letter u with horn and dot below
latin capital letter y with grave
latin small letter y with grave
latin capital letter y with dot below
latin small letter y with dot below
latin capital letter y with hook above
latin small letter y with hook above
latin capital letter y with tilde
latin small letter y with tilde
greek small letter alpha with psili
greek small letter alpha with dasia
greek small letter alpha with psili and varia
greek small letter alpha with dasia and varia
greek small letter alpha with psili and oxia
greek small letter alpha with dasia and oxia
greek small letter alpha with psili and perispomeni
greek small letter alpha with dasia and perispomeni
greek small letter epsilon with psili
greek small letter epsilon with dasia
greek small letter epsilon with psili and varia
greek small letter epsilon with dasia and varia
greek small letter epsilon with psili and oxia
greek small letter epsilon with dasia and oxia
greek small letter eta with psili
greek small letter eta with dasia
greek small letter eta with psili and varia
greek small letter eta with dasia and varia
greek small letter eta with psili and oxia
greek small letter eta with dasia and oxia
greek small letter eta with psili and perispomeni
greek small letter eta with dasia and perispomeni
greek small letter iota with psili
greek small letter iota with dasia
greek small letter iota with psili and varia
greek small letter iota with dasia and varia
greek small letter iota with psili and oxia
greek small letter iota with dasia and oxia
greek small letter iota with psili and perispomeni
greek small letter iota with dasia and perispomeni
greek small letter omicron with psili and varia
greek small letter omicron with dasia and varia
greek small letter omicron with psili and oxia
greek small letter upsilon with psili
greek small letter upsilon with dasia
greek small letter upsilon with psili and varia
greek small letter upsilon with dasia and varia
greek small letter upsilon with psili and oxia
greek small letter upsilon with dasia and oxia
greek small letter upsilon with psili and perispomeni
greek small letter upsilon with dasia and perispomeni
greek small letter omega with psili and varia
greek small letter omega with dasia and varia
greek small letter omega with psili and oxia
greek small letter omega with dasia and oxia
greek small letter omega with psili and perispomeni
greek small letter omega with dasia and perispomeni
greek small letter alpha with varia
greek small letter epsilon with varia
greek small letter eta with varia
greek small letter iota with varia
greek small letter omicron with varia
greek small letter upsilon with varia
greek small letter omega with varia
greek small letter alpha with perispomeni
greek small letter eta with perispomeni
greek small letter iota with dialytika and varia
greek small letter iota with perispomeni
greek small letter iota with dialytika and perispomeni
greek small letter upsilon with dialytika and varia
greek small letter upsilon with perispomeni
greek small letter upsilon with dialytika and perispomeni
greek small letter omega with perispomeni
en quad
em quad
en space
em space
three-per-em space
four-per-em space
six-per-em space
figure space
punctuation space
thin space
hair space
zero width space
zero width non-joiner
zero width joiner
left-to-right mark
right-to-left mark
hyphen
non-breaking hyphen
figure dash
en dash
em dash
horizontal bar
double vertical line
double low line
left single quotation mark
right single quotation mark
single low-9 quotation mark
single high-reversed-9 quotation mark
left double quotation mark
right double quotation mark
double low-9 quotation mark
double high-reversed-9 quotation mark
dagger
double dagger
bullet
triangular bullet
one dot leader
two dot leader
horizontal ellipsis
hyphenation point
line separator
paragraph separator
left-to-right embedding
right-to-left embedding
pop directional formatting
left-to-right override
right-to-left override
narrow no-break space
per mille sign
per ten thousand sign
prime
double prime
triple prime
reversed prime
reversed double prime
reversed triple prime
caret
single left-pointing angle quotation mark
single right-pointing angle quotation mark
reference mark
double exclamation mark
interrobang
overline
undertie
character tie
caret insertion point
asterism
hyphen bullet
fraction slash
left square bracket with quill
right square bracket with quill
double question mark
question exclamation mark
exclamation question mark
tironian sign et
reversed pilcrow sign
black leftwards bullet
black rightwards bullet
low asterisk
reversed semicolon
close up
two asterisks aligned vertically
commercial minus sign
swung dash
inverted undertie
flower punctuation mark
three dot punctuation
quadruple prime
four dot punctuation
five dot punctuation
two dot punctuation
four dot mark
dotted cross
tricolon
vertical four dots
medium mathematical space
word joiner
function application
invisible times
invisible separator
invisible plus
left-to-right isolate
right-to-left isolate
first strong isolate
pop directional isolate
inhibit symmetric swapping
activate symmetric swapping
inhibit arabic form shaping
activate arabic form shaping
national digit shapes
nominal digit shapes
superscript zero
superscript latin small letter i
superscript four
superscript five
superscript six
superscript seven
superscript eight
superscript nine
superscript plus sign
superscript minus
superscript equals sign
superscript left parenthesis
superscript right parenthesis
superscript latin small letter n
subscript zero
subscript one
subscript two
subscript three
subscript four
subscript five
subscript six
subscript seven
subscript eight
subscript nine
subscript plus sign
subscript minus
subscript equals sign
subscript left parenthesis
subscript right parenthesis
latin subscript small letter a
latin subscript small letter e
latin subscript small letter o
latin subscript small letter x
latin subscript small letter schwa
latin subscript small letter h
latin subscript small letter k
latin subscript small letter l
latin subscript small letter m
latin subscript small letter n
latin subscript small letter p
latin subscript small letter s
latin subscript small letter t
euro-currency sign
colon sign
cruzeiro sign
french franc sign
lira sign
mill sign
naira sign
peseta sign
rupee sign
won sign
new sheqel sign
dong sign
euro sign
kip sign
tugrik sign
drachma sign
german penny sign
peso sign
guarani sign
austral sign
hryvnia sign
cedi sign
livre tournois sign
spesmilo sign
tenge sign
indian rupee sign
turkish lira sign
nordic mark sign
manat sign
ruble sign
lari sign
bitcoin sign
som sign
combining left harpoon above
combining right harpoon above
combining long vertical line overlay
combining short vertical line overlay
combining anticlockwise arrow above
combining clockwise arrow above
combining left arrow above
combining right arrow above
combining ring overlay
combining clockwise ring overlay
combining anticlockwise ring overlay
combining three dots above
combining four dots above
combining enclosing circle
combining enclosing square
combining enclosing diamond
combining enclosing circle backslash
combining left right arrow above
combining enclosing screen
combining enclosing keycap
combining enclosing upward pointing triangle
combining reverse solidus overlay
combining double vertical stroke overlay
combining annuity symbol
combining triple underdot
combining wide bridge above
combining leftwards arrow overlay
combining long double solidus overlay
combining rightwards harpoon with barb downwards
combining leftwards harpoon with barb downwards
combining left arrow below
combining right arrow below
combining asterisk above
account of
addressed to the subject
double-struck capital c
degree celsius
centre line symbol
care of
cada una
euler constant
scruple
degree fahrenheit
script small g
script capital h
black-letter capital h
double-struck capital h
planck constant
planck constant over two pi
script capital i
black-letter capital i
script capital l
script small l
l b bar symbol
double-struck capital n
numero sign
sound recording copyright
script capital p
double-struck capital p
double-struck capital q
script capital r
black-letter capital r
double-struck capital r
prescription take
response
service mark
telephone sign
trade mark sign
versicle
double-struck capital z
ounce sign
ohm sign
inverted ohm sign
black-letter capital z
turned greek small letter iota
kelvin sign
angstrom sign
script capital b
black-letter capital c
estimated symbol
script small e
script capital e
script capital f
turned capital f
script capital m
script small o
alef symbol
bet symbol
gimel symbol
dalet symbol
information source
rotated capital q
facsimile sign
double-struck small pi
double-struck small gamma
double-struck capital gamma
double-struck capital pi
double-struck n-ary summation
turned sans-serif capital g
turned sans-serif capital l
reversed sans-serif capital l
turned sans-serif capital y
double-struck italic capital d
double-struck italic small d
double-struck italic small e
double-struck italic small i
double-struck italic small j
property line
turned ampersand
per sign
aktieselskab
turned small f
symbol for samaritan source
vulgar fraction one seventh
vulgar fraction one ninth
vulgar fraction one tenth
vulgar fraction one third
vulgar fraction two thirds
vulgar fraction one fifth
vulgar fraction two fifths
vulgar fraction three fifths
vulgar fraction four fifths
vulgar fraction one sixth
vulgar fraction five sixths
vulgar fraction one eighth
vulgar fraction three eighths
vulgar fraction five eighths
vulgar fraction seven eighths
fraction numerator one
roman numeral one
roman numeral two
roman numeral three
roman numeral four
roman numeral five
roman numeral six
roman numeral seven
roman numeral eight
roman numeral nine
roman numeral ten
roman numeral eleven
roman numeral twelve
roman numeral fifty
roman numeral one hundred
roman numeral five hundred
roman numeral one thousand
small roman numeral one
small roman numeral two
small roman numeral three
small roman numeral four
small roman numeral five
small roman numeral six
small roman numeral seven
small roman numeral eight
small roman numeral nine
small roman numeral ten
small roman numeral eleven
small roman numeral twelve
small roman numeral fifty
small roman numeral one hundred
small roman numeral five hundred
small roman numeral one thousand
roman numeral one thousand c d
roman numeral five thousand
roman numeral ten thousand
roman numeral reversed one hundred
latin small letter reversed c
roman numeral six late form
roman numeral fifty early form
roman numeral fifty thousand
roman numeral one hundred thousand
vulgar fraction zero thirds
turned digit two
turned digit three
leftwards arrow
upwards arrow
rightwards arrow
downwards arrow
left right arrow
up down arrow
north west arrow
north east arrow
south east arrow
south west arrow
leftwards arrow with stroke
rightwards arrow with stroke
leftwards wave arrow
rightwards wave arrow
leftwards two headed arrow
upwards two headed arrow
rightwards two headed arrow
downwards two headed arrow
leftwards arrow with tail
rightwards arrow with tail
leftwards arrow from bar
upwards arrow from bar
rightwards arrow from bar
downwards arrow from bar
up down arrow with base
leftwards arrow with hook
rightwards arrow with hook
leftwards arrow with loop
rightwards arrow with loop
left right wave arrow
left right arrow with stroke
downwards zigzag arrow
upwards arrow with tip leftwards
upwards arrow with tip rightwards
downwards arrow with tip leftwards
downwards arrow with tip rightwards
rightwards arrow with corner downwards
downwards arrow with corner leftwards
anticlockwise top semicircle arrow
clockwise top semicircle arrow
north west arrow to long bar
leftwards arrow to bar over rightwards arrow to bar
anticlockwise open circle arrow
clockwise open circle arrow
leftwards harpoon with barb upwards
leftwards harpoon with barb downwards
upwards harpoon with barb rightwards
upwards harpoon with barb leftwards
rightwards harpoon with barb upwards
rightwards harpoon with barb downwards
downwards harpoon with barb rightwards
downwards harpoon with barb leftwards
rightwards arrow over leftwards arrow
upwards arrow leftwards of downwards arrow
leftwards arrow over rightwards arrow
leftwards paired arrows
upwards paired arrows
rightwards paired arrows
downwards paired arrows
leftwards harpoon over rightwards harpoon
rightwards harpoon over leftwards harpoon
leftwards double arrow with stroke
left right double arrow with stroke
rightwards double arrow with stroke
leftwards double arrow
upwards double arrow
rightwards double arrow
downwards double arrow
left right double arrow
up down double arrow
north west double arrow
north east double arrow
south east double arrow
south west double arrow
leftwards triple arrow
rightwards triple arrow
leftwards squiggle arrow
rightwards squiggle arrow
upwards arrow with double stroke
downwards arrow with double stroke
leftwards dashed arrow
upwards dashed arrow
rightwards dashed arrow
downwards dashed arrow
leftwards arrow to bar
rightwards arrow to bar
leftwards white arrow
upwards white arrow
rightwards white arrow
downwards white arrow
upwards white arrow from bar
upwards white arrow on pedestal
upwards white arrow on pedestal with horizontal bar
upwards white arrow on pedestal with vertical bar
upwards white double arrow
upwards white double arrow on pedestal
rightwards white arrow from wall
north west arrow to corner
south east arrow to corner
up down white arrow
right arrow with small circle
downwards arrow leftwards of upwards arrow
three rightwards arrows
leftwards arrow with vertical stroke
rightwards arrow with vertical stroke
left right arrow with vertical stroke
leftwards arrow with double vertical stroke
rightwards arrow with double vertical stroke
left right arrow with double vertical stroke
leftwards open-headed arrow
rightwards open-headed arrow
left right open-headed arrow
for all
complement
partial differential
there exists
there does not exist
empty set
increment
nabla
element of
not an element of
small element of
contains as member
does not contain as member
small contains as member
end of proof
n-ary product
n-ary coproduct
n-ary summation
minus sign
minus-or-plus sign
dot plus
division slash
set minus
asterisk operator
ring operator
bullet operator
square root
cube root
fourth root
proportional to
infinity
right angle
angle
measured angle
spherical angle
divides
does not divide
parallel to
not parallel to
logical and
logical or
intersection
union
integral
double integral
triple integral
contour integral
surface integral
volume integral
clockwise integral
clockwise contour integral
anticlockwise contour integral
therefore
because
ratio
proportion
dot minus
excess
geometric proportion
homothetic
tilde operator
reversed tilde
inverted lazy s
sine wave
wreath product
not tilde
minus tilde
asymptotically equal to
not asymptotically equal to
approximately equal to
approximately but not actually equal to
neither approximately nor actually equal to
almost equal to
not almost equal to
almost equal or equal to
triple tilde
all equal to
equivalent to
geometrically equivalent to
difference between
approaches the limit
geometrically equal to
approximately equal to or the image of
image of or approximately equal to
colon equals
equals colon
ring in equal to
ring equal to
corresponds to
estimates
equiangular to
star equals
delta equal to
equal to by definition
measured by
questioned equal to
not equal to
identical to
not identical to
strictly equivalent to
less-than or equal to
greater-than or equal to
less-than over equal to
greater-than over equal to
less-than but not equal to
greater-than but not equal to
much less-than
much greater-than
between
not equivalent to
not less-than
not greater-than
neither less-than nor equal to
neither greater-than nor equal to
less-than or equivalent to
greater-than or equivalent to
neither less-than nor equivalent to
neither greater-than nor equivalent to
less-than or greater-than
greater-than or less-than
neither less-than nor greater-than
neither greater-than nor less-than
precedes
succeeds
precedes or equal to
succeeds or equal to
precedes or equivalent to
succeeds or equivalent to
does not precede
does not succeed
subset of
superset of
not a subset of
not a superset of
subset of or equal to
superset of or equal to
neither a subset of nor equal to
neither a superset of nor equal to
subset of with not equal to
superset of with not equal to
multiset
multiset multiplication
multiset union
square image of
square original of
square image of or equal to
square original of or equal to
square cap
square cup
circled plus
circled minus
circled times
circled division slash
circled dot operator
circled ring operator
circled asterisk operator
circled equals
circled dash
squared plus
squared minus
squared times
squared dot operator
right tack
left tack
down tack
up tack
assertion
models
true
forces
triple vertical bar right turnstile
double vertical bar double right turnstile
does not prove
not true
does not force
negated double vertical bar double right turnstile
precedes under relation
succeeds under relation
normal subgroup of
contains as normal subgroup
normal subgroup of or equal to
contains as normal subgroup or equal to
original of
image of
multimap
hermitian conjugate matrix
intercalate
xor
nand
nor
right angle with arc
right triangle
n-ary logical and
n-ary logical or
n-ary intersection
n-ary union
diamond operator
dot operator
star operator
division times
bowtie
left normal factor semidirect product
right normal factor semidirect product
left semidirect product
right semidirect product
reversed tilde equals
curly logical or
curly logical and
double subset
double superset
double intersection
double union
pitchfork
equal and parallel to
less-than with dot
greater-than with dot
very much less-than
very much greater-than
less-than equal to or greater-than
greater-than equal to or less-than
equal to or less-than
equal to or greater-than
equal to or precedes
equal to or succeeds
does not precede or equal
does not succeed or equal
not square image of or equal to
not square original of or equal to
square image of or not equal to
square original of or not equal to
less-than but not equivalent to
greater-than but not equivalent to
precedes but not equivalent to
succeeds but not equivalent to
not normal subgroup of
does not contain as normal subgroup
not normal subgroup of or equal to
does not contain as normal subgroup or equal
vertical ellipsis
midline horizontal ellipsis
up right diagonal ellipsis
down right diagonal ellipsis
element of with long horizontal stroke
element of with vertical bar at end of horizontal stroke
small element of with vertical bar at end of horizontal stroke
element of with dot above
element of with overbar
small element of with overbar
element of with underbar
element of with two horizontal strokes
contains with long horizontal stroke
contains with vertical bar at end of horizontal stroke
small contains with vertical bar at end of horizontal stroke
contains with overbar
small contains with overbar
z notation bag membership
diameter sign
electric arrow
house
up arrowhead
down arrowhead
projective
perspective
wavy line
left ceiling
right ceiling
left floor
right floor
bottom right crop
bottom left crop
top right crop
top left crop
reversed not sign
square lozenge
arc
segment
sector
telephone recorder
position indicator
viewdata square
place of interest sign
turned not sign
watch
hourglass
top left corner
top right corner
bottom left corner
bottom right corner
top half integral
bottom half integral
frown
smile
up arrowhead between two horizontal bars
option key
erase to the right
x in a rectangle box
keyboard
left-pointing angle bracket
right-pointing angle bracket
erase to the left
benzene ring
cylindricity
all around-profile
symmetry
total runout
dimension origin
conical taper
slope
counterbore
countersink
apl functional symbol i-beam
apl functional symbol squish quad
apl functional symbol quad equal
apl functional symbol quad divide
apl functional symbol quad diamond
apl functional symbol quad jot
apl functional symbol quad circle
apl functional symbol circle stile
apl functional symbol circle jot
apl functional symbol slash bar
apl functional symbol backslash bar
apl functional symbol quad slash
apl functional symbol quad backslash
apl functional symbol quad less-than
apl functional symbol quad greater-than
apl functional symbol leftwards vane
apl functional symbol rightwards vane
apl functional symbol quad leftwards arrow
apl functional symbol quad rightwards arrow
apl functional symbol circle backslash
apl functional symbol down tack underbar
apl functional symbol delta stile
apl functional symbol quad down caret
apl functional symbol quad delta
apl functional symbol down tack jot
apl functional symbol upwards vane
apl functional symbol quad upwards arrow
apl functional symbol up tack overbar
apl functional symbol del stile
apl functional symbol quad up caret
apl functional symbol quad del
apl functional symbol up tack jot
apl functional symbol downwards vane
apl functional symbol quad downwards arrow
apl functional symbol quote underbar
apl functional symbol delta underbar
apl functional symbol diamond underbar
apl functional symbol jot underbar
apl functional symbol circle underbar
apl functional symbol up shoe jot
apl functional symbol quote quad
apl functional symbol circle star
apl functional symbol quad colon
apl functional symbol up tack diaeresis
apl functional symbol del diaeresis
apl functional symbol star diaeresis
apl functional symbol jot diaeresis
apl functional symbol circle diaeresis
apl functional symbol down shoe stile
apl functional symbol left shoe stile
apl functional symbol tilde diaeresis
apl functional symbol greater-than diaeresis
apl functional symbol comma bar
apl functional symbol del tilde
apl functional symbol zilde
apl functional symbol stile tilde
apl functional symbol semicolon underbar
apl functional symbol quad not equal
apl functional symbol quad question
apl functional symbol down caret tilde
apl functional symbol up caret tilde
apl functional symbol iota
apl functional symbol rho
apl functional symbol omega
apl functional symbol alpha underbar
apl functional symbol epsilon underbar
apl functional symbol iota underbar
apl functional symbol omega underbar
apl functional symbol alpha
not check mark
right angle with downwards zigzag arrow
shouldered open box
bell symbol
vertical line with middle dot
insertion symbol
continuous underline symbol
discontinuous underline symbol
emphasis symbol
composition symbol
white square with centre vertical line
enter symbol
alternative key symbol
helm symbol
circled horizontal bar with notch
circled triangle down
broken circle with northwest arrow
undo symbol
monostable symbol
hysteresis symbol
open-circuit-output h-type symbol
open-circuit-output l-type symbol
passive-pull-down-output symbol
passive-pull-up-output symbol
direct current symbol form two
software-function symbol
apl functional symbol quad
decimal separator key symbol
previous page
next page
print screen symbol
clear screen symbol
left parenthesis upper hook
left parenthesis extension
left parenthesis lower hook
right parenthesis upper hook
right parenthesis extension
right parenthesis lower hook
left square bracket upper corner
left square bracket extension
left square bracket lower corner
right square bracket upper corner
right square bracket extension
right square bracket lower corner
left curly bracket upper hook
left curly bracket middle piece
left curly bracket lower hook
curly bracket extension
right curly bracket upper hook
right curly bracket middle piece
right curly bracket lower hook
integral extension
horizontal line extension
upper left or lower right curly bracket section
upper right or lower left curly bracket section
summation top
summation bottom
top square bracket
bottom square bracket
bottom square bracket over top square bracket
radical symbol bottom
left vertical box line
right vertical box line
horizontal scan line-1
horizontal scan line-3
horizontal scan line-7
horizontal scan line-9
dentistry symbol light vertical and top right
dentistry symbol light vertical and bottom right
dentistry symbol light vertical with circle
dentistry symbol light down and horizontal with circle
dentistry symbol light up and horizontal with circle
dentistry symbol light vertical with triangle
dentistry symbol light down and horizontal with triangle
dentistry symbol light up and horizontal with triangle
dentistry symbol light vertical and wave
dentistry symbol light down and horizontal with wave
dentistry symbol light up and horizontal with wave
dentistry symbol light down and horizontal
dentistry symbol light up and horizontal
dentistry symbol light vertical and top left
dentistry symbol light vertical and bottom left
square foot
return symbol
eject symbol
vertical line extension
metrical breve
metrical long over short
metrical short over long
metrical long over two shorts
metrical two shorts over long
metrical two shorts joined
metrical triseme
metrical tetraseme
metrical pentaseme
earth ground
fuse
top parenthesis
bottom parenthesis
top curly bracket
bottom curly bracket
top tortoise shell bracket
bottom tortoise shell bracket
white trapezium
benzene ring with circle
straightness
flatness
ac current
electrical intersection
decimal exponent symbol
black right-pointing double triangle
black left-pointing double triangle
black up-pointing double triangle
black down-pointing double triangle
black right-pointing double triangle with vertical bar
black left-pointing double triangle with vertical bar
black right-pointing triangle with double vertical bar
alarm clock
stopwatch
timer clock
hourglass with flowing sand
black medium left-pointing triangle
black medium right-pointing triangle
black medium up-pointing triangle
black medium down-pointing triangle
double vertical bar
black square for stop
black circle for record
power symbol
power on-off symbol
power on symbol
power sleep symbol
observer eye symbol
symbol for null
symbol for start of heading
symbol for start of text
symbol for end of text
symbol for end of transmission
symbol for enquiry
symbol for acknowledge
symbol for bell
symbol for backspace
symbol for horizontal tabulation
symbol for line feed
symbol for vertical tabulation
symbol for form feed
symbol for carriage return
symbol for shift out
symbol for shift in
symbol for data link escape
symbol for device control one
symbol for device control two
symbol for device control three
symbol for device control four
symbol for negative acknowledge
symbol for synchronous idle
symbol for end of transmission block
symbol for cancel
symbol for end of medium
symbol for substitute
symbol for escape
symbol for file separator
symbol for group separator
symbol for record separator
symbol for unit separator
symbol for space
symbol for delete
blank symbol
open box
symbol for newline
symbol for delete form two
symbol for substitute form two
symbol for delete square checker board form
symbol for delete rectangular checker board form
symbol for delete medium shade form
ocr hook
ocr chair
ocr fork
ocr inverted fork
ocr belt buckle
ocr bow tie
ocr branch bank identification
ocr amount of check
ocr dash
ocr customer account number
ocr double backslash
circled digit one
circled digit two
circled digit three
circled digit four
circled digit five
circled digit six
circled digit seven
circled digit eight
circled digit nine
circled number ten
circled number eleven
circled number twelve
circled number thirteen
circled number fourteen
circled number fifteen
circled number sixteen
circled number seventeen
circled number eighteen
circled number nineteen
circled number twenty
parenthesized digit one
parenthesized digit two
parenthesized digit three
parenthesized digit four
parenthesized digit five
parenthesized digit six
parenthesized digit seven
parenthesized digit eight
parenthesized digit nine
parenthesized number ten
parenthesized number eleven
parenthesized number twelve
parenthesized number thirteen
parenthesized number fourteen
parenthesized number fifteen
parenthesized number sixteen
parenthesized number seventeen
parenthesized number eighteen
parenthesized number nineteen
parenthesized number twenty
digit one full stop
digit two full stop
digit three full stop
digit four full stop
digit five full stop
digit six full stop
digit seven full stop
digit eight full stop
digit nine full stop
number ten full stop
number eleven full stop
number twelve full stop
number thirteen full stop
number fourteen full stop
number fifteen full stop
number sixteen full stop
number seventeen full stop
number eighteen full stop
number nineteen full stop
number twenty full stop
parenthesized latin small letter a
parenthesized latin small letter b
parenthesized latin small letter c
parenthesized latin small letter d
parenthesized latin small letter e
parenthesized latin small letter f
parenthesized latin small letter g
parenthesized latin small letter h
parenthesized latin small letter i
parenthesized latin small letter j
parenthesized latin small letter k
parenthesized latin small letter l
parenthesized latin small letter m
parenthesized latin small letter n
parenthesized latin small letter o
parenthesized latin small letter p
parenthesized latin small letter q
parenthesized latin small letter r
parenthesized latin small letter s
parenthesized latin small letter t
parenthesized latin small letter u
parenthesized latin small letter v
parenthesized latin small letter w
parenthesized latin small letter x
parenthesized latin small letter y
parenthesized latin small letter z
circled latin capital letter a
circled latin capital letter b
circled latin capital letter c
circled latin capital letter d
circled latin capital letter e
circled latin capital letter f
circled latin capital letter g
circled latin capital letter h
circled latin capital letter i
circled latin capital letter j
circled latin capital letter k
circled latin capital letter l
circled latin capital letter m
circled latin capital letter n
circled latin capital letter o
circled latin capital letter p
circled latin capital letter q
circled latin capital letter r
circled latin capital letter s
circled latin capital letter t
circled latin capital letter u
circled latin capital letter v
circled latin capital letter w
circled latin capital letter x
circled latin capital letter y
circled latin capital letter z
circled latin small letter a
circled latin small letter b
circled latin small letter c
circled latin small letter d
circled latin small letter e
circled latin small letter f
circled latin small letter g
circled latin small letter h
circled latin small letter i
circled latin small letter j
circled latin small letter k
circled latin small letter l
circled latin small letter m
circled latin small letter n
circled latin small letter o
circled latin small letter p
circled latin small letter q
circled latin small letter r
circled latin small letter s
circled latin small letter t
circled latin small letter u
circled latin small letter v
circled latin small letter w
circled latin small letter x
circled latin small letter y
circled latin small letter z
circled digit zero
negative circled number eleven
negative circled number twelve
negative circled number thirteen
negative circled number fourteen
negative circled number fifteen
negative circled number sixteen
negative circled number seventeen
negative circled number eighteen
negative circled number nineteen
negative circled number twenty
double circled digit one
double circled digit two
double circled digit three
double circled digit four
double circled digit five
double circled digit six
double circled digit seven
double circled digit eight
double circled digit nine
double circled number ten
negative circled digit zero
box drawings light horizontal
box drawings heavy horizontal
box drawings light vertical
box drawings heavy vertical
box drawings light triple dash horizontal
box drawings heavy triple dash horizontal
box drawings light triple dash vertical
box drawings heavy triple dash vertical
box drawings light quadruple dash horizontal
box drawings heavy quadruple dash horizontal
box drawings light quadruple dash vertical
box drawings heavy quadruple dash vertical
box drawings light down and right
box drawings down light and right heavy
box drawings down heavy and right light
box drawings heavy down and right
box drawings light down and left
box drawings down light and left heavy
box drawings down heavy and left light
box drawings heavy down and left
box drawings light up and right
box drawings up light and right heavy
box drawings up heavy and right light
box drawings heavy up and right
box drawings light up and left
box drawings up light and left heavy
box drawings up heavy and left light
box drawings heavy up and left
box drawings light vertical and right
box drawings vertical light and right heavy
box drawings up heavy and right down light
box drawings down heavy and right up light
box drawings vertical heavy and right light
box drawings down light and right up heavy
box drawings up light and right down heavy
box drawings heavy vertical and right
box drawings light vertical and left
box drawings vertical light and left heavy
box drawings up heavy and left down light
box drawings down heavy and left up light
box drawings vertical heavy and left light
box drawings down light and left up heavy
box drawings up light and left down heavy
box drawings heavy vertical and left
box drawings light down and horizontal
box drawings left heavy and right down light
box drawings right heavy and left down light
box drawings down light and horizontal heavy
box drawings down heavy and horizontal light
box drawings right light and left down heavy
box drawings left light and right down heavy
box drawings heavy down and horizontal
box drawings light up and horizontal
box drawings left heavy and right up light
box drawings right heavy and left up light
box drawings up light and horizontal heavy
box drawings up heavy and horizontal light
box drawings right light and left up heavy
box drawings left light and right up heavy
box drawings heavy up and horizontal
box drawings light vertical and horizontal
box drawings left heavy and right vertical light
box drawings right heavy and left vertical light
box drawings vertical light and horizontal heavy
box drawings up heavy and down horizontal light
box drawings down heavy and up horizontal light
box drawings vertical heavy and horizontal light
box drawings left up heavy and right down light
box drawings right up heavy and left down light
box drawings left down heavy and right up light
box drawings right down heavy and left up light
box drawings down light and up horizontal heavy
box drawings up light and down horizontal heavy
box drawings right light and left vertical heavy
box drawings left light and right vertical heavy
box drawings heavy vertical and horizontal
box drawings light double dash horizontal
box drawings heavy double dash horizontal
box drawings light double dash vertical
box drawings heavy double dash vertical
box drawings double horizontal
box drawings double vertical
box drawings down single and right double
box drawings down double and right single
box drawings double down and right
box drawings down single and left double
box drawings down double and left single
box drawings double down and left
box drawings up single and right double
box drawings up double and right single
box drawings double up and right
box drawings up single and left double
box drawings up double and left single
box drawings double up and left
box drawings vertical single and right double
box drawings vertical double and right single
box drawings double vertical and right
box drawings vertical single and left double
box drawings vertical double and left single
box drawings double vertical and left
box drawings down single and horizontal double
box drawings down double and horizontal single
box drawings double down and horizontal
box drawings up single and horizontal double
box drawings up double and horizontal single
box drawings double up and horizontal
box drawings vertical single and horizontal double
box drawings vertical double and horizontal single
box drawings double vertical and horizontal
box drawings light arc down and right
box drawings light arc down and left
box drawings light arc up and left
box drawings light arc up and right
box drawings light diagonal upper right to lower left
box drawings light diagonal upper left to lower right
box drawings light diagonal cross
box drawings light left
box drawings light up
box drawings light right
box drawings light down
box drawings heavy left
box drawings heavy up
box drawings heavy right
box drawings heavy down
box drawings light left and heavy right
box drawings light up and heavy down
box drawings heavy left and light right
box drawings heavy up and light down
upper half block
lower one eighth block
lower one quarter block
lower three eighths block
lower half block
lower five eighths block
lower three quarters block
lower seven eighths block
full block
left seven eighths block
left three quarters block
left five eighths block
left half block
left three eighths block
left one quarter block
left one eighth block
right half block
light shade
medium shade
dark shade
upper one eighth block
right one eighth block
quadrant lower left
quadrant lower right
quadrant upper left
quadrant upper left and lower left and lower right
quadrant upper left and lower right
quadrant upper left and upper right and lower left
quadrant upper left and upper right and lower right
quadrant upper right
quadrant upper right and lower left
quadrant upper right and lower left and lower right
black square
white square
white square with rounded corners
white square containing black small square
square with horizontal fill
square with vertical fill
square with orthogonal crosshatch fill
square with upper left to lower right fill
square with upper right to lower left fill
square with diagonal crosshatch fill
black small square
white small square
black rectangle
white rectangle
black vertical rectangle
white vertical rectangle
black parallelogram
white parallelogram
black up-pointing triangle
white up-pointing triangle
black up-pointing small triangle
white up-pointing small triangle
black right-pointing triangle
white right-pointing triangle
black right-pointing small triangle
white right-pointing small triangle
black right-pointing pointer
white right-pointing pointer
black down-pointing triangle
white down-pointing triangle
black down-pointing small triangle
white down-pointing small triangle
black left-pointing triangle
white left-pointing triangle
black left-pointing small triangle
white left-pointing small triangle
black left-pointing pointer
white left-pointing pointer
black diamond
white diamond
white diamond containing black small diamond
fisheye
lozenge
white circle
dotted circle
circle with vertical fill
bullseye
black circle
circle with left half black
circle with right half black
circle with lower half black
circle with upper half black
circle with upper right quadrant black
circle with all but upper left quadrant black
left half black circle
right half black circle
inverse bullet
inverse white circle
upper half inverse white circle
lower half inverse white circle
upper left quadrant circular arc
upper right quadrant circular arc
lower right quadrant circular arc
lower left quadrant circular arc
upper half circle
lower half circle
black lower right triangle
black lower left triangle
black upper left triangle
black upper right triangle
white bullet
square with left half black
square with right half black
square with upper left diagonal half black
square with lower right diagonal half black
white square with vertical bisecting line
white up-pointing triangle with dot
up-pointing triangle with left half black
up-pointing triangle with right half black
large circle
white square with upper left quadrant
white square with lower left quadrant
white square with lower right quadrant
white square with upper right quadrant
white circle with upper left quadrant
white circle with lower left quadrant
white circle with lower right quadrant
white circle with upper right quadrant
upper left triangle
upper right triangle
lower left triangle
white medium square
black medium square
white medium small square
black medium small square
lower right triangle
black sun with rays
cloud
umbrella
snowman
comet
black star
white star
lightning
thunderstorm
sun
ascending node
descending node
conjunction
opposition
black telephone
white telephone
ballot box
ballot box with check
ballot box with x
saltire
umbrella with rain drops
hot beverage
white shogi piece
black shogi piece
shamrock
reversed rotated floral heart bullet
black left pointing index
black right pointing index
white left pointing index
white up pointing index
white right pointing index
white down pointing index
skull and crossbones
caution sign
radioactive sign
biohazard sign
caduceus
ankh
orthodox cross
chi rho
cross of lorraine
cross of jerusalem
star and crescent
farsi symbol
adi shakti
hammer and sickle
peace symbol
yin yang
trigram for heaven
trigram for lake
trigram for fire
trigram for thunder
trigram for wind
trigram for water
trigram for mountain
trigram for earth
wheel of dharma
white frowning face
white smiling face
black smiling face
white sun with rays
first quarter moon
last quarter moon
mercury
female sign
earth
male sign
jupiter
saturn
uranus
neptune
pluto
aries
taurus
gemini
cancer
leo
virgo
libra
scorpius
sagittarius
capricorn
aquarius
pisces
white chess king
white chess queen
white chess rook
white chess bishop
white chess knight
white chess pawn
black chess king
black chess queen
black chess rook
black chess bishop
black chess knight
black chess pawn
black spade suit
white heart suit
white diamond suit
black club suit
white spade suit
black heart suit
black diamond suit
white club suit
hot springs
quarter note
eighth note
beamed eighth notes
beamed sixteenth notes
music flat sign
music natural sign
music sharp sign
west syriac cross
east syriac cross
universal recycling symbol
recycling symbol for type-1 plastics
recycling symbol for type-2 plastics
recycling symbol for type-3 plastics
recycling symbol for type-4 plastics
recycling symbol for type-5 plastics
recycling symbol for type-6 plastics
recycling symbol for type-7 plastics
recycling symbol for generic materials
black universal recycling symbol
recycled paper symbol
partially-recycled paper symbol
permanent paper sign
wheelchair symbol
die face-1
die face-2
die face-3
die face-4
die face-5
die face-6
white circle with dot right
white circle with two dots
black circle with white dot right
black circle with two white dots
monogram for yang
monogram for yin
digram for greater yang
digram for lesser yin
digram for lesser yang
digram for greater yin
white flag
black flag
hammer and pick
anchor
crossed swords
staff of aesculapius
scales
alembic
flower
gear
staff of hermes
atom symbol
fleur-de-lis
outlined white star
three lines converging right
three lines converging left
warning sign
high voltage sign
doubled female sign
doubled male sign
interlocked female and male sign
male and female sign
male with stroke sign
male with stroke and male and female sign
vertical male with stroke sign
horizontal male with stroke sign
medium white circle
medium black circle
medium small white circle
marriage symbol
divorce symbol
unmarried partnership symbol
coffin
funeral urn
neuter
ceres
pallas
juno
vesta
chiron
black moon lilith
sextile
semisextile
quincunx
sesquiquadrate
soccer ball
baseball
squared key
white draughts man
white draughts king
black draughts man
black draughts king
snowman without snow
sun behind cloud
rain
black snowman
thunder cloud and rain
turned white shogi piece
turned black shogi piece
white diamond in square
crossing lanes
disabled car
ophiuchus
pick
car sliding
helmet with white cross
circled crossing lanes
chains
no entry
alternate one-way left way traffic
black two-way left way traffic
white two-way left way traffic
black left lane merge
white left lane merge
drive slow sign
heavy white down-pointing triangle
left closed entry
squared saltire
falling diagonal in white circle in black square
black truck
restricted left entry-1
restricted left entry-2
astronomical symbol for uranus
heavy circle with stroke and two dots above
pentagram
right-handed interlaced pentagram
left-handed interlaced pentagram
inverted pentagram
black cross on shield
shinto shrine
church
castle
historic site
gear without hub
gear with handles
map symbol for lighthouse
mountain
umbrella on ground
fountain
flag in hole
ferry
sailboat
square four corners
skier
ice skate
person with ball
tent
japanese bank symbol
headstone graveyard symbol
fuel pump
cup on black square
white flag with horizontal middle black stripe
black safety scissors
upper blade scissors
black scissors
lower blade scissors
white scissors
white heavy check mark
telephone location sign
tape drive
airplane
envelope
raised fist
raised hand
victory hand
writing hand
lower right pencil
pencil
upper right pencil
white nib
black nib
check mark
heavy check mark
multiplication x
heavy multiplication x
ballot x
heavy ballot x
outlined greek cross
heavy greek cross
open centre cross
heavy open centre cross
latin cross
shadowed white latin cross
outlined latin cross
maltese cross
star of david
four teardrop-spoked asterisk
four balloon-spoked asterisk
heavy four balloon-spoked asterisk
four club-spoked asterisk
black four pointed star
white four pointed star
sparkles
stress outlined white star
circled white star
open centre black star
black centre white star
outlined black star
heavy outlined black star
pinwheel star
shadowed white star
heavy asterisk
open centre asterisk
eight spoked asterisk
eight pointed black star
eight pointed pinwheel star
six pointed black star
eight pointed rectilinear black star
heavy eight pointed rectilinear black star
twelve pointed black star
sixteen pointed asterisk
teardrop-spoked asterisk
open centre teardrop-spoked asterisk
heavy teardrop-spoked asterisk
six petalled black and white florette
black florette
white florette
eight petalled outlined black florette
circled open centre eight pointed star
heavy teardrop-spoked pinwheel asterisk
snowflake
tight trifoliate snowflake
heavy chevron snowflake
sparkle
heavy sparkle
balloon-spoked asterisk
eight teardrop-spoked propeller asterisk
heavy eight teardrop-spoked propeller asterisk
cross mark
shadowed white circle
negative squared cross mark
lower right drop-shadowed white square
upper right drop-shadowed white square
lower right shadowed white square
upper right shadowed white square
black question mark ornament
white question mark ornament
white exclamation mark ornament
black diamond minus white x
heavy exclamation mark symbol
light vertical bar
medium vertical bar
heavy vertical bar
heavy single turned comma quotation mark ornament
heavy single comma quotation mark ornament
heavy double turned comma quotation mark ornament
heavy double comma quotation mark ornament
heavy low single comma quotation mark ornament
heavy low double comma quotation mark ornament
curved stem paragraph sign ornament
heavy exclamation mark ornament
heavy heart exclamation mark ornament
heavy black heart
rotated heavy black heart bullet
floral heart
rotated floral heart bullet
medium left parenthesis ornament
medium right parenthesis ornament
medium flattened left parenthesis ornament
medium flattened right parenthesis ornament
medium left-pointing angle bracket ornament
medium right-pointing angle bracket ornament
heavy left-pointing angle quotation mark ornament
heavy right-pointing angle quotation mark ornament
heavy left-pointing angle bracket ornament
heavy right-pointing angle bracket ornament
light left tortoise shell bracket ornament
light right tortoise shell bracket ornament
medium left curly bracket ornament
medium right curly bracket ornament
dingbat negative circled digit one
dingbat negative circled digit two
dingbat negative circled digit three
dingbat negative circled digit four
dingbat negative circled digit five
dingbat negative circled digit six
dingbat negative circled digit seven
dingbat negative circled digit eight
dingbat negative circled digit nine
dingbat negative circled number ten
dingbat circled sans-serif digit one
dingbat circled sans-serif digit two
dingbat circled sans-serif digit three
dingbat circled sans-serif digit four
dingbat circled sans-serif digit five
dingbat circled sans-serif digit six
dingbat circled sans-serif digit seven
dingbat circled sans-serif digit eight
dingbat circled sans-serif digit nine
dingbat circled sans-serif number ten
dingbat negative circled sans-serif digit one
dingbat negative circled sans-serif digit two
dingbat negative circled sans-serif digit three
dingbat negative circled sans-serif digit four
dingbat negative circled sans-serif digit five
dingbat negative circled sans-serif digit six
dingbat negative circled sans-serif digit seven
dingbat negative circled sans-serif digit eight
dingbat negative circled sans-serif digit nine
dingbat negative circled sans-serif number ten
heavy wide-headed rightwards arrow
heavy plus sign
heavy minus sign
heavy division sign
heavy south east arrow
heavy rightwards arrow
heavy north east arrow
drafting point rightwards arrow
heavy round-tipped rightwards arrow
triangle-headed rightwards arrow
heavy triangle-headed rightwards arrow
dashed triangle-headed rightwards arrow
heavy dashed triangle-headed rightwards arrow
black rightwards arrow
three-d top-lighted rightwards arrowhead
three-d bottom-lighted rightwards arrowhead
black rightwards arrowhead
heavy black curved downwards and rightwards arrow
heavy black curved upwards and rightwards arrow
squat black rightwards arrow
heavy concave-pointed black rightwards arrow
right-shaded white rightwards arrow
left-shaded white rightwards arrow
back-tilted shadowed white rightwards arrow
front-tilted shadowed white rightwards arrow
heavy lower right-shadowed white rightwards arrow
heavy upper right-shadowed white rightwards arrow
notched lower right-shadowed white rightwards arrow
curly loop
notched upper right-shadowed white rightwards arrow
circled heavy white rightwards arrow
white-feathered rightwards arrow
black-feathered south east arrow
black-feathered rightwards arrow
black-feathered north east arrow
heavy black-feathered south east arrow
heavy black-feathered rightwards arrow
heavy black-feathered north east arrow
teardrop-barbed rightwards arrow
heavy teardrop-shanked rightwards arrow
wedge-tailed rightwards arrow
heavy wedge-tailed rightwards arrow
open-outlined rightwards arrow
double curly loop
mathematical left angle bracket
mathematical right angle bracket
coptic capital letter alfa
coptic small letter alfa
coptic capital letter vida
coptic small letter vida
coptic capital letter gamma
coptic small letter gamma
coptic capital letter dalda
coptic small letter dalda
coptic capital letter eie
coptic small letter eie
coptic capital letter sou
coptic small letter sou
coptic capital letter zata
coptic small letter zata
coptic capital letter hate
coptic small letter hate
coptic capital letter thethe
coptic small letter thethe
coptic capital letter iauda
coptic small letter iauda
coptic capital letter kapa
coptic small letter kapa
coptic capital letter laula
coptic small letter laula
coptic capital letter mi
coptic small letter mi
coptic capital letter ni
coptic small letter ni
coptic capital letter ksi
coptic small letter ksi
coptic capital letter o
coptic small letter o
coptic capital letter pi
coptic small letter pi
coptic capital letter ro
coptic small letter ro
coptic capital letter sima
coptic small letter sima
coptic capital letter tau
coptic small letter tau
coptic capital letter ua
coptic small letter ua
coptic capital letter fi
coptic small letter fi
coptic capital letter khi
coptic small letter khi
coptic capital letter psi
coptic small letter psi
coptic capital letter oou
coptic small letter oou
coptic symbol kai
coptic symbol mi ro
coptic symbol pi ro
coptic symbol stauros
coptic symbol tau ro
coptic symbol khi ro
coptic symbol shima sima
coptic old nubian full stop
coptic old nubian verse divider
coptic full stop
coptic morphological divider
georgian small letter an
georgian small letter ban
georgian small letter gan
georgian small letter don
georgian small letter en
georgian small letter vin
georgian small letter zen
georgian small letter tan
georgian small letter in
georgian small letter kan
georgian small letter las
georgian small letter man
georgian small letter nar
georgian small letter on
georgian small letter par
georgian small letter zhar
georgian small letter rae
georgian small letter san
georgian small letter tar
georgian small letter un
georgian small letter phar
georgian small letter khar
georgian small letter ghan
georgian small letter qar
georgian small letter shin
georgian small letter chin
georgian small letter can
georgian small letter jil
georgian small letter cil
georgian small letter char
georgian small letter xan
georgian small letter jhan
georgian small letter hae
georgian small letter he
georgian small letter hie
georgian small letter we
georgian small letter har
georgian small letter hoe
tifinagh letter ya
tifinagh letter yab
tifinagh letter yag
tifinagh letter yad
tifinagh letter yadd
tifinagh letter yey
tifinagh letter yaf
tifinagh letter yak
tifinagh letter yah
tifinagh letter yahh
tifinagh letter yaa
tifinagh letter yakh
tifinagh letter yaq
tifinagh letter yi
tifinagh letter yazh
tifinagh letter yal
tifinagh letter yam
tifinagh letter yan
tifinagh letter yu
tifinagh letter yar
tifinagh letter yarr
tifinagh letter yagh
tifinagh letter yas
tifinagh letter yass
tifinagh letter yash
tifinagh letter yat
tifinagh letter yatt
tifinagh letter yaw
tifinagh letter yay
tifinagh letter yaz
tifinagh letter yazz
tifinagh modifier letter labialization mark
ethiopic syllable loa
ethiopic syllable moa
ethiopic syllable roa
ethiopic syllable soa
ethiopic syllable shoa
ethiopic syllable boa
ethiopic syllable toa
ethiopic syllable coa
ethiopic syllable noa
ethiopic syllable nyoa
ethiopic syllable glottal oa
ethiopic syllable zoa
ethiopic syllable doa
ethiopic syllable ddoa
ethiopic syllable joa
ethiopic syllable thoa
ethiopic syllable choa
ethiopic syllable phoa
ethiopic syllable poa
ethiopic syllable ggwa
ethiopic syllable ggwi
ethiopic syllable ggwee
ethiopic syllable ggwe
ethiopic syllable ssa
ethiopic syllable ssu
ethiopic syllable ssi
ethiopic syllable ssaa
ethiopic syllable ssee
ethiopic syllable sse
ethiopic syllable sso
ethiopic syllable cca
ethiopic syllable ccu
ethiopic syllable cci
ethiopic syllable ccaa
ethiopic syllable ccee
ethiopic syllable cce
ethiopic syllable cco
ethiopic syllable zza
ethiopic syllable zzu
ethiopic syllable zzi
ethiopic syllable zzaa
ethiopic syllable zzee
ethiopic syllable zze
ethiopic syllable zzo
ethiopic syllable ccha
ethiopic syllable cchu
ethiopic syllable cchi
ethiopic syllable cchaa
ethiopic syllable cchee
ethiopic syllable cche
ethiopic syllable ccho
ethiopic syllable qya
ethiopic syllable qyu
ethiopic syllable qyi
ethiopic syllable qyaa
ethiopic syllable qyee
ethiopic syllable qye
ethiopic syllable qyo
ethiopic syllable kya
ethiopic syllable kyu
ethiopic syllable kyi
ethiopic syllable kyaa
ethiopic syllable kyee
ethiopic syllable kye
ethiopic syllable kyo
ethiopic syllable xya
ethiopic syllable xyu
ethiopic syllable xyi
ethiopic syllable xyaa
ethiopic syllable xyee
ethiopic syllable xye
ethiopic syllable xyo
ethiopic syllable gya
ethiopic syllable gyu
ethiopic syllable gyi
ethiopic syllable gyaa
ethiopic syllable gyee
ethiopic syllable gye
ethiopic syllable gyo
combining cyrillic letter be
combining cyrillic letter ve
combining cyrillic letter ghe
combining cyrillic letter de
combining cyrillic letter zhe
combining cyrillic letter ze
combining cyrillic letter ka
combining cyrillic letter el
combining cyrillic letter em
combining cyrillic letter en
combining cyrillic letter o
combining cyrillic letter pe
combining cyrillic letter er
combining cyrillic letter es
combining cyrillic letter te
combining cyrillic letter ha
combining cyrillic letter tse
combining cyrillic letter che
combining cyrillic letter sha
combining cyrillic letter shcha
combining cyrillic letter fita
combining cyrillic letter es-te
combining cyrillic letter a
combining cyrillic letter ie
combining cyrillic letter djerv
combining cyrillic letter monograph uk
combining cyrillic letter yat
combining cyrillic letter yu
combining cyrillic letter iotified a
combining cyrillic letter little yus
combining cyrillic letter big yus
combining cyrillic letter iotified big yus
double oblique hyphen
vertical tilde
dash with left upturn
ideographic comma
ideographic full stop
ditto mark
ideographic iteration mark
ideographic number zero
left angle bracket
right angle bracket
left double angle bracket
right double angle bracket
left corner bracket
right corner bracket
left white corner bracket
right white corner bracket
left black lenticular bracket
right black lenticular bracket
left tortoise shell bracket
right tortoise shell bracket
left white lenticular bracket
right white lenticular bracket
wave dash
reversed double prime quotation mark
double prime quotation mark
hiragana letter small a
hiragana letter a
hiragana letter small i
hiragana letter i
hiragana letter small u
hiragana letter u
hiragana letter small e
hiragana letter e
hiragana letter small o
hiragana letter o
hiragana letter ka
hiragana letter ga
hiragana letter ki
hiragana letter gi
hiragana letter ku
hiragana letter gu
hiragana letter ke
hiragana letter ge
hiragana letter ko
hiragana letter go
hiragana letter sa
hiragana letter za
hiragana letter si
hiragana letter zi
hiragana letter su
hiragana letter zu
hiragana letter se
hiragana letter ze
hiragana letter so
hiragana letter zo
hiragana letter ta
hiragana letter da
hiragana letter ti
hiragana letter di
hiragana letter small tu
hiragana letter tu
hiragana letter du
hiragana letter te
hiragana letter de
hiragana letter to
hiragana letter do
hiragana letter na
hiragana letter ni
hiragana letter nu
hiragana letter ne
hiragana letter no
hiragana letter ha
hiragana letter ba
hiragana letter pa
hiragana letter hi
hiragana letter bi
hiragana letter pi
hiragana letter hu
hiragana letter bu
hiragana letter pu
hiragana letter he
hiragana letter be
hiragana letter pe
hiragana letter ho
hiragana letter bo
hiragana letter po
hiragana letter ma
hiragana letter mi
hiragana letter mu
hiragana letter me
hiragana letter mo
hiragana letter small ya
hiragana letter ya
hiragana letter small yu
hiragana letter yu
hiragana letter small yo
hiragana letter yo
hiragana letter ra
hiragana letter ri
hiragana letter ru
hiragana letter re
hiragana letter ro
hiragana letter small wa
hiragana letter wa
hiragana letter wi
hiragana letter we
hiragana letter wo
hiragana letter n
hiragana iteration mark
hiragana voiced iteration mark
katakana letter small a
katakana letter a
katakana letter small i
katakana letter i
katakana letter small u
katakana letter u
katakana letter small e
katakana letter e
katakana letter small o
katakana letter o
katakana letter ka
katakana letter ga
katakana letter ki
katakana letter gi
katakana letter ku
katakana letter gu
katakana letter ke
katakana letter ge
katakana letter ko
katakana letter go
katakana letter sa
katakana letter za
katakana letter si
katakana letter zi
katakana letter su
katakana letter zu
katakana letter se
katakana letter ze
katakana letter so
katakana letter zo
katakana letter ta
katakana letter da
katakana letter ti
katakana letter di
katakana letter small tu
katakana letter tu
katakana letter du
katakana letter te
katakana letter de
katakana letter to
katakana letter do
katakana letter na
katakana letter ni
katakana letter nu
katakana letter ne
katakana letter no
katakana letter ha
katakana letter ba
katakana letter pa
katakana letter hi
katakana letter bi
katakana letter pi
katakana letter hu
katakana letter bu
katakana letter pu
katakana letter he
katakana letter be
katakana letter pe
katakana letter ho
katakana letter bo
katakana letter po
katakana letter ma
katakana letter mi
katakana letter mu
katakana letter me
katakana letter mo
katakana letter small ya
katakana letter ya
katakana letter small yu
katakana letter yu
katakana letter small yo
katakana letter yo
katakana letter ra
katakana letter ri
katakana letter ru
katakana letter re
katakana letter ro
katakana letter small wa
katakana letter wa
katakana letter wi
katakana letter we
katakana letter wo
katakana letter n
katakana letter vu
katakana letter small ka
katakana letter small ke
katakana middle dot
katakana-hiragana prolonged sound mark
katakana iteration mark
katakana voiced iteration mark
yi syllable it
yi syllable ix
yi syllable i
yi syllable ip
yi syllable iet
yi syllable iex
yi syllable ie
yi syllable iep
yi syllable at
yi syllable ax
yi syllable a
yi syllable ap
yi syllable uox
yi syllable uo
yi syllable uop
yi syllable ot
yi syllable ox
yi syllable o
yi syllable op
yi syllable ex
yi syllable e
yi syllable wu
yi syllable bit
yi syllable bix
yi syllable bi
yi syllable bip
yi syllable biet
yi syllable biex
yi syllable bie
yi syllable biep
yi syllable bat
yi syllable bax
yi syllable ba
yi syllable bap
yi syllable buox
yi syllable buo
yi syllable buop
yi syllable bot
yi syllable box
yi syllable bo
yi syllable bop
yi syllable bex
yi syllable be
yi syllable bep
yi syllable but
yi syllable bux
yi syllable bu
yi syllable bup
yi syllable burx
yi syllable bur
yi syllable byt
yi syllable byx
yi syllable by
yi syllable byp
yi syllable byrx
yi syllable byr
yi syllable pit
yi syllable pix
yi syllable pi
yi syllable pip
yi syllable piex
yi syllable pie
yi syllable piep
yi syllable pat
yi syllable pax
yi syllable pa
yi syllable pap
yi syllable puox
yi syllable puo
yi syllable puop
yi syllable pot
yi syllable pox
yi syllable po
yi syllable pop
yi syllable put
yi syllable pux
yi syllable pu
yi syllable pup
yi syllable purx
yi syllable pur
yi syllable pyt
yi syllable pyx
yi syllable py
yi syllable pyp
yi syllable pyrx
yi syllable pyr
yi syllable bbit
yi syllable bbix
yi syllable bbi
yi syllable bbip
yi syllable bbiet
yi syllable bbiex
yi syllable bbie
yi syllable bbiep
yi syllable bbat
yi syllable bbax
yi syllable bba
yi syllable bbap
yi syllable bbuox
yi syllable bbuo
yi syllable bbuop
yi syllable bbot
yi syllable bbox
yi syllable bbo
yi syllable bbop
yi syllable bbex
yi syllable bbe
yi syllable bbep
yi syllable bbut
yi syllable bbux
yi syllable bbu
yi syllable bbup
yi syllable bburx
yi syllable bbur
yi syllable bbyt
yi syllable bbyx
yi syllable bby
yi syllable bbyp
yi syllable nbit
yi syllable nbix
yi syllable nbi
yi syllable nbip
yi syllable nbiex
yi syllable nbie
yi syllable nbiep
yi syllable nbat
yi syllable nbax
yi syllable nba
yi syllable nbap
yi syllable nbot
yi syllable nbox
yi syllable nbo
yi syllable nbop
yi syllable nbut
yi syllable nbux
yi syllable nbu
yi syllable nbup
yi syllable nburx
yi syllable nbur
yi syllable nbyt
yi syllable nbyx
yi syllable nby
yi syllable nbyp
yi syllable nbyrx
yi syllable nbyr
yi syllable hmit
yi syllable hmix
yi syllable hmi
yi syllable hmip
yi syllable hmiex
yi syllable hmie
yi syllable hmiep
yi syllable hmat
yi syllable hmax
yi syllable hma
yi syllable hmap
yi syllable hmuox
yi syllable hmuo
yi syllable hmuop
yi syllable hmot
yi syllable hmox
yi syllable hmo
yi syllable hmop
yi syllable hmut
yi syllable hmux
yi syllable hmu
yi syllable hmup
yi syllable hmurx
yi syllable hmur
yi syllable hmyx
yi syllable hmy
yi syllable hmyp
yi syllable hmyrx
yi syllable hmyr
yi syllable mit
yi syllable mix
yi syllable mi
yi syllable mip
yi syllable miex
yi syllable mie
yi syllable miep
yi syllable mat
yi syllable max
yi syllable ma
yi syllable map
yi syllable muot
yi syllable muox
yi syllable muo
yi syllable muop
yi syllable mot
yi syllable mox
yi syllable mo
yi syllable mop
yi syllable mex
yi syllable me
yi syllable mut
yi syllable mux
yi syllable mu
yi syllable mup
yi syllable murx
yi syllable mur
yi syllable myt
yi syllable myx
yi syllable my
yi syllable myp
yi syllable fit
yi syllable fix
yi syllable fi
yi syllable fip
yi syllable fat
yi syllable fax
yi syllable fa
yi syllable fap
yi syllable fox
yi syllable fo
yi syllable fop
yi syllable fut
yi syllable fux
yi syllable fu
yi syllable fup
yi syllable furx
yi syllable fur
yi syllable fyt
yi syllable fyx
yi syllable fy
yi syllable fyp
yi syllable vit
yi syllable vix
yi syllable vi
yi syllable vip
yi syllable viet
yi syllable viex
yi syllable vie
yi syllable viep
yi syllable vat
yi syllable vax
yi syllable va
yi syllable vap
yi syllable vot
yi syllable vox
yi syllable vo
yi syllable vop
yi syllable vex
yi syllable vep
yi syllable vut
yi syllable vux
yi syllable vu
yi syllable vup
yi syllable vurx
yi syllable vur
yi syllable vyt
yi syllable vyx
yi syllable vy
yi syllable vyp
yi syllable vyrx
yi syllable vyr
yi syllable dit
yi syllable dix
yi syllable di
yi syllable dip
yi syllable diex
yi syllable die
yi syllable diep
yi syllable dat
yi syllable dax
yi syllable da
yi syllable dap
yi syllable duox
yi syllable duo
yi syllable dot
yi syllable dox
yi syllable do
yi syllable dop
yi syllable dex
yi syllable de
yi syllable dep
yi syllable dut
yi syllable dux
yi syllable du
yi syllable dup
yi syllable durx
yi syllable dur
yi syllable tit
yi syllable tix
yi syllable ti
yi syllable tip
yi syllable tiex
yi syllable tie
yi syllable tiep
yi syllable tat
yi syllable tax
yi syllable ta
yi syllable tap
yi syllable tuot
yi syllable tuox
yi syllable tuo
yi syllable tuop
yi syllable tot
yi syllable tox
yi syllable to
yi syllable top
yi syllable tex
yi syllable te
yi syllable tep
yi syllable tut
yi syllable tux
yi syllable tu
yi syllable tup
yi syllable turx
yi syllable tur
yi syllable ddit
yi syllable ddix
yi syllable ddi
yi syllable ddip
yi syllable ddiex
yi syllable ddie
yi syllable ddiep
yi syllable ddat
yi syllable ddax
yi syllable dda
yi syllable ddap
yi syllable dduox
yi syllable dduo
yi syllable dduop
yi syllable ddot
yi syllable ddox
yi syllable ddo
yi syllable ddop
yi syllable ddex
yi syllable dde
yi syllable ddep
yi syllable ddut
yi syllable ddux
yi syllable ddu
yi syllable ddup
yi syllable ddurx
yi syllable ddur
yi syllable ndit
yi syllable ndix
yi syllable ndi
yi syllable ndip
yi syllable ndiex
yi syllable ndie
yi syllable ndat
yi syllable ndax
yi syllable nda
yi syllable ndap
yi syllable ndot
yi syllable ndox
yi syllable ndo
yi syllable ndop
yi syllable ndex
yi syllable nde
yi syllable ndep
yi syllable ndut
yi syllable ndux
yi syllable ndu
yi syllable ndup
yi syllable ndurx
yi syllable ndur
yi syllable hnit
yi syllable hnix
yi syllable hni
yi syllable hnip
yi syllable hniet
yi syllable hniex
yi syllable hnie
yi syllable hniep
yi syllable hnat
yi syllable hnax
yi syllable hna
yi syllable hnap
yi syllable hnuox
yi syllable hnuo
yi syllable hnot
yi syllable hnox
yi syllable hnop
yi syllable hnex
yi syllable hne
yi syllable hnep
yi syllable hnut
yi syllable nit
yi syllable nix
yi syllable ni
yi syllable nip
yi syllable niex
yi syllable nie
yi syllable niep
yi syllable nax
yi syllable na
yi syllable nap
yi syllable nuox
yi syllable nuo
yi syllable nuop
yi syllable not
yi syllable nox
yi syllable no
yi syllable nop
yi syllable nex
yi syllable ne
yi syllable nep
yi syllable nut
yi syllable nux
yi syllable nu
yi syllable nup
yi syllable nurx
yi syllable nur
yi syllable hlit
yi syllable hlix
yi syllable hli
yi syllable hlip
yi syllable hliex
yi syllable hlie
yi syllable hliep
yi syllable hlat
yi syllable hlax
yi syllable hla
yi syllable hlap
yi syllable hluox
yi syllable hluo
yi syllable hluop
yi syllable hlox
yi syllable hlo
yi syllable hlop
yi syllable hlex
yi syllable hle
yi syllable hlep
yi syllable hlut
yi syllable hlux
yi syllable hlu
yi syllable hlup
yi syllable hlurx
yi syllable hlur
yi syllable hlyt
yi syllable hlyx
yi syllable hly
yi syllable hlyp
yi syllable hlyrx
yi syllable hlyr
yi syllable lit
yi syllable lix
yi syllable li
yi syllable lip
yi syllable liet
yi syllable liex
yi syllable lie
yi syllable liep
yi syllable lat
yi syllable lax
yi syllable la
yi syllable lap
yi syllable luot
yi syllable luox
yi syllable luo
yi syllable luop
yi syllable lot
yi syllable lox
yi syllable lo
yi syllable lop
yi syllable lex
yi syllable le
yi syllable lep
yi syllable lut
yi syllable lux
yi syllable lu
yi syllable lup
yi syllable lurx
yi syllable lur
yi syllable lyt
yi syllable lyx
yi syllable ly
yi syllable lyp
yi syllable lyrx
yi syllable lyr
yi syllable git
yi syllable gix
yi syllable gi
yi syllable gip
yi syllable giet
yi syllable giex
yi syllable gie
yi syllable giep
yi syllable gat
yi syllable gax
yi syllable ga
yi syllable gap
yi syllable guot
yi syllable guox
yi syllable guo
yi syllable guop
yi syllable got
yi syllable gox
yi syllable go
yi syllable gop
yi syllable get
yi syllable gex
yi syllable ge
yi syllable gep
yi syllable gut
yi syllable gux
yi syllable gu
yi syllable gup
yi syllable gurx
yi syllable gur
yi syllable kit
yi syllable kix
yi syllable ki
yi syllable kip
yi syllable kiex
yi syllable kie
yi syllable kiep
yi syllable kat
yi syllable kax
yi syllable ka
yi syllable kap
yi syllable kuox
yi syllable kuo
yi syllable kuop
yi syllable kot
yi syllable kox
yi syllable ko
yi syllable kop
yi syllable ket
yi syllable kex
yi syllable ke
yi syllable kep
yi syllable kut
yi syllable kux
yi syllable ku
yi syllable kup
yi syllable kurx
yi syllable kur
yi syllable ggit
yi syllable ggix
yi syllable ggi
yi syllable ggiex
yi syllable ggie
yi syllable ggiep
yi syllable ggat
yi syllable ggax
yi syllable gga
yi syllable ggap
yi syllable gguot
yi syllable gguox
yi syllable gguo
yi syllable gguop
yi syllable ggot
yi syllable ggox
yi syllable ggo
yi syllable ggop
yi syllable gget
yi syllable ggex
yi syllable gge
yi syllable ggep
yi syllable ggut
yi syllable ggux
yi syllable ggu
yi syllable ggup
yi syllable ggurx
yi syllable ggur
yi syllable mgiex
yi syllable mgie
yi syllable mgat
yi syllable mgax
yi syllable mga
yi syllable mgap
yi syllable mguox
yi syllable mguo
yi syllable mguop
yi syllable mgot
yi syllable mgox
yi syllable mgo
yi syllable mgop
yi syllable mgex
yi syllable mge
yi syllable mgep
yi syllable mgut
yi syllable mgux
yi syllable mgu
yi syllable mgup
yi syllable mgurx
yi syllable mgur
yi syllable hxit
yi syllable hxix
yi syllable hxi
yi syllable hxip
yi syllable hxiet
yi syllable hxiex
yi syllable hxie
yi syllable hxiep
yi syllable hxat
yi syllable hxax
yi syllable hxa
yi syllable hxap
yi syllable hxuot
yi syllable hxuox
yi syllable hxuo
yi syllable hxuop
yi syllable hxot
yi syllable hxox
yi syllable hxo
yi syllable hxop
yi syllable hxex
yi syllable hxe
yi syllable hxep
yi syllable ngiex
yi syllable ngie
yi syllable ngiep
yi syllable ngat
yi syllable ngax
yi syllable nga
yi syllable ngap
yi syllable nguot
yi syllable nguox
yi syllable nguo
yi syllable ngot
yi syllable ngox
yi syllable ngo
yi syllable ngop
yi syllable ngex
yi syllable nge
yi syllable ngep
yi syllable hit
yi syllable hiex
yi syllable hie
yi syllable hat
yi syllable hax
yi syllable ha
yi syllable hap
yi syllable huot
yi syllable huox
yi syllable huo
yi syllable huop
yi syllable hot
yi syllable hox
yi syllable ho
yi syllable hop
yi syllable hex
yi syllable he
yi syllable hep
yi syllable wat
yi syllable wax
yi syllable wa
yi syllable wap
yi syllable wuox
yi syllable wuo
yi syllable wuop
yi syllable wox
yi syllable wo
yi syllable wop
yi syllable wex
yi syllable we
yi syllable wep
yi syllable zit
yi syllable zix
yi syllable zi
yi syllable zip
yi syllable ziex
yi syllable zie
yi syllable ziep
yi syllable zat
yi syllable zax
yi syllable za
yi syllable zap
yi syllable zuox
yi syllable zuo
yi syllable zuop
yi syllable zot
yi syllable zox
yi syllable zo
yi syllable zop
yi syllable zex
yi syllable ze
yi syllable zep
yi syllable zut
yi syllable zux
yi syllable zu
yi syllable zup
yi syllable zurx
yi syllable zur
yi syllable zyt
yi syllable zyx
yi syllable zy
yi syllable zyp
yi syllable zyrx
yi syllable zyr
yi syllable cit
yi syllable cix
yi syllable ci
yi syllable cip
yi syllable ciet
yi syllable ciex
yi syllable cie
yi syllable ciep
yi syllable cat
yi syllable cax
yi syllable ca
yi syllable cap
yi syllable cuox
yi syllable cuo
yi syllable cuop
yi syllable cot
yi syllable cox
yi syllable co
yi syllable cop
yi syllable cex
yi syllable ce
yi syllable cep
yi syllable cut
yi syllable cux
yi syllable cu
yi syllable cup
yi syllable curx
yi syllable cur
yi syllable cyt
yi syllable cyx
yi syllable cy
yi syllable cyp
yi syllable cyrx
yi syllable cyr
yi syllable zzit
yi syllable zzix
yi syllable zzi
yi syllable zzip
yi syllable zziet
yi syllable zziex
yi syllable zzie
yi syllable zziep
yi syllable zzat
yi syllable zzax
yi syllable zza
yi syllable zzap
yi syllable zzox
yi syllable zzo
yi syllable zzop
yi syllable zzex
yi syllable zze
yi syllable zzep
yi syllable zzux
yi syllable zzu
yi syllable zzup
yi syllable zzurx
yi syllable zzur
yi syllable zzyt
yi syllable zzyx
yi syllable zzy
yi syllable zzyp
yi syllable zzyrx
yi syllable zzyr
yi syllable nzit
yi syllable nzix
yi syllable nzi
yi syllable nzip
yi syllable nziex
yi syllable nzie
yi syllable nziep
yi syllable nzat
yi syllable nzax
yi syllable nza
yi syllable nzap
yi syllable nzuox
yi syllable nzuo
yi syllable nzox
yi syllable nzop
yi syllable nzex
yi syllable nze
yi syllable nzux
yi syllable nzu
yi syllable nzup
yi syllable nzurx
yi syllable nzur
yi syllable nzyt
yi syllable nzyx
yi syllable nzy
yi syllable nzyp
yi syllable nzyrx
yi syllable nzyr
yi syllable sit
yi syllable six
yi syllable si
yi syllable sip
yi syllable siex
yi syllable sie
yi syllable siep
yi syllable sat
yi syllable sax
yi syllable sa
yi syllable sap
yi syllable suox
yi syllable suo
yi syllable suop
yi syllable sot
yi syllable sox
yi syllable so
yi syllable sop
yi syllable sex
yi syllable se
yi syllable sep
yi syllable sut
yi syllable sux
yi syllable su
yi syllable sup
yi syllable surx
yi syllable sur
yi syllable syt
yi syllable syx
yi syllable sy
yi syllable syp
yi syllable syrx
yi syllable syr
yi syllable ssit
yi syllable ssix
yi syllable ssi
yi syllable ssip
yi syllable ssiex
yi syllable ssie
yi syllable ssiep
yi syllable ssat
yi syllable ssax
yi syllable ssa
yi syllable ssap
yi syllable ssot
yi syllable ssox
yi syllable sso
yi syllable ssop
yi syllable ssex
yi syllable sse
yi syllable ssep
yi syllable ssut
yi syllable ssux
yi syllable ssu
yi syllable ssup
yi syllable ssyt
yi syllable ssyx
yi syllable ssy
yi syllable ssyp
yi syllable ssyrx
yi syllable ssyr
yi syllable zhat
yi syllable zhax
yi syllable zha
yi syllable zhap
yi syllable zhuox
yi syllable zhuo
yi syllable zhuop
yi syllable zhot
yi syllable zhox
yi syllable zho
yi syllable zhop
yi syllable zhet
yi syllable zhex
yi syllable zhe
yi syllable zhep
yi syllable zhut
yi syllable zhux
yi syllable zhu
yi syllable zhup
yi syllable zhurx
yi syllable zhur
yi syllable zhyt
yi syllable zhyx
yi syllable zhy
yi syllable zhyp
yi syllable zhyrx
yi syllable zhyr
yi syllable chat
yi syllable chax
yi syllable cha
yi syllable chap
yi syllable chuot
yi syllable chuox
yi syllable chuo
yi syllable chuop
yi syllable chot
yi syllable chox
yi syllable cho
yi syllable chop
yi syllable chet
yi syllable chex
yi syllable che
yi syllable chep
yi syllable chux
yi syllable chu
yi syllable chup
yi syllable churx
yi syllable chur
yi syllable chyt
yi syllable chyx
yi syllable chy
yi syllable chyp
yi syllable chyrx
yi syllable chyr
yi syllable rrax
yi syllable rra
yi syllable rruox
yi syllable rruo
yi syllable rrot
yi syllable rrox
yi syllable rro
yi syllable rrop
yi syllable rret
yi syllable rrex
yi syllable rre
yi syllable rrep
yi syllable rrut
yi syllable rrux
yi syllable rru
yi syllable rrup
yi syllable rrurx
yi syllable rrur
yi syllable rryt
yi syllable rryx
yi syllable rry
yi syllable rryp
yi syllable rryrx
yi syllable rryr
yi syllable nrat
yi syllable nrax
yi syllable nra
yi syllable nrap
yi syllable nrox
yi syllable nro
yi syllable nrop
yi syllable nret
yi syllable nrex
yi syllable nre
yi syllable nrep
yi syllable nrut
yi syllable nrux
yi syllable nru
yi syllable nrup
yi syllable nrurx
yi syllable nrur
yi syllable nryt
yi syllable nryx
yi syllable nry
yi syllable nryp
yi syllable nryrx
yi syllable nryr
yi syllable shat
yi syllable shax
yi syllable sha
yi syllable shap
yi syllable shuox
yi syllable shuo
yi syllable shuop
yi syllable shot
yi syllable shox
yi syllable sho
yi syllable shop
yi syllable shet
yi syllable shex
yi syllable she
yi syllable shep
yi syllable shut
yi syllable shux
yi syllable shu
yi syllable shup
yi syllable shurx
yi syllable shur
yi syllable shyt
yi syllable shyx
yi syllable shy
yi syllable shyp
yi syllable shyrx
yi syllable shyr
yi syllable rat
yi syllable rax
yi syllable ra
yi syllable rap
yi syllable ruox
yi syllable ruo
yi syllable ruop
yi syllable rot
yi syllable rox
yi syllable ro
yi syllable rop
yi syllable rex
yi syllable re
yi syllable rep
yi syllable rut
yi syllable rux
yi syllable ru
yi syllable rup
yi syllable rurx
yi syllable rur
yi syllable ryt
yi syllable ryx
yi syllable ry
yi syllable ryp
yi syllable ryrx
yi syllable ryr
yi syllable jit
yi syllable jix
yi syllable ji
yi syllable jip
yi syllable jiet
yi syllable jiex
yi syllable jie
yi syllable jiep
yi syllable juot
yi syllable juox
yi syllable juo
yi syllable juop
yi syllable jot
yi syllable jox
yi syllable jo
yi syllable jop
yi syllable jut
yi syllable jux
yi syllable ju
yi syllable jup
yi syllable jurx
yi syllable jur
yi syllable jyt
yi syllable jyx
yi syllable jy
yi syllable jyp
yi syllable jyrx
yi syllable jyr
yi syllable qit
yi syllable qix
yi syllable qi
yi syllable qip
yi syllable qiet
yi syllable qiex
yi syllable qie
yi syllable qiep
yi syllable quot
yi syllable quox
yi syllable quo
yi syllable quop
yi syllable qot
yi syllable qox
yi syllable qo
yi syllable qop
yi syllable qut
yi syllable qux
yi syllable qu
yi syllable qup
yi syllable qurx
yi syllable qur
yi syllable qyt
yi syllable qyx
yi syllable qy
yi syllable qyp
yi syllable qyrx
yi syllable qyr
yi syllable jjit
yi syllable jjix
yi syllable jji
yi syllable jjip
yi syllable jjiet
yi syllable jjiex
yi syllable jjie
yi syllable jjiep
yi syllable jjuox
yi syllable jjuo
yi syllable jjuop
yi syllable jjot
yi syllable jjox
yi syllable jjo
yi syllable jjop
yi syllable jjut
yi syllable jjux
yi syllable jju
yi syllable jjup
yi syllable jjurx
yi syllable jjur
yi syllable jjyt
yi syllable jjyx
yi syllable jjy
yi syllable jjyp
yi syllable njit
yi syllable njix
yi syllable nji
yi syllable njip
yi syllable njiet
yi syllable njiex
yi syllable njie
yi syllable njiep
yi syllable njuox
yi syllable njuo
yi syllable njot
yi syllable njox
yi syllable njo
yi syllable njop
yi syllable njux
yi syllable nju
yi syllable njup
yi syllable njurx
yi syllable njur
yi syllable njyt
yi syllable njyx
yi syllable njy
yi syllable njyp
yi syllable njyrx
yi syllable njyr
yi syllable nyit
yi syllable nyix
yi syllable nyi
yi syllable nyip
yi syllable nyiet
yi syllable nyiex
yi syllable nyie
yi syllable nyiep
yi syllable nyuox
yi syllable nyuo
yi syllable nyuop
yi syllable nyot
yi syllable nyox
yi syllable nyo
yi syllable nyop
yi syllable nyut
yi syllable nyux
yi syllable nyu
yi syllable nyup
yi syllable xit
yi syllable xix
yi syllable xi
yi syllable xip
yi syllable xiet
yi syllable xiex
yi syllable xie
yi syllable xiep
yi syllable xuox
yi syllable xuo
yi syllable xot
yi syllable xox
yi syllable xo
yi syllable xop
yi syllable xyt
yi syllable xyx
yi syllable xy
yi syllable xyp
yi syllable xyrx
yi syllable xyr
yi syllable yit
yi syllable yix
yi syllable yi
yi syllable yip
yi syllable yiet
yi syllable yiex
yi syllable yie
yi syllable yiep
yi syllable yuot
yi syllable yuox
yi syllable yuo
yi syllable yuop
yi syllable yot
yi syllable yox
yi syllable yo
yi syllable yop
yi syllable yut
yi syllable yux
yi syllable yu
yi syllable yup
yi syllable yurx
yi syllable yur
yi syllable yyt
yi syllable yyx
yi syllable yy
yi syllable yyp
yi syllable yyrx
yi syllable yyr
yi radical qot
yi radical li
yi radical kit
yi radical nyip
yi radical cyp
yi radical ssi
yi radical ggop
yi radical gep
yi radical mi
yi radical hxit
yi radical lyr
yi radical bbut
yi radical mop
yi radical yo
yi radical put
yi radical hxuo
yi radical tat
yi radical ga
yi radical zup
yi radical cyt
yi radical ddur
yi radical bur
yi radical gguo
yi radical nyop
yi radical tu
yi radical op
yi radical jjut
yi radical zot
yi radical pyt
yi radical hmo
yi radical yit
yi radical vur
yi radical shy
yi radical vep
yi radical za
yi radical jo
yi radical nzup
yi radical jjy
yi radical got
yi radical jjie
yi radical wo
yi radical du
yi radical shur
yi radical lie
yi radical cy
yi radical cuop
yi radical cip
yi radical hxop
yi radical shat
yi radical zur
yi radical shop
yi radical che
yi radical zziet
yi radical nbie
yi radical ke
vai syllable ee
vai syllable een
vai syllable hee
vai syllable wee
vai syllable ween
vai syllable pee
vai syllable bhee
vai syllable bee
vai syllable mbee
vai syllable kpee
vai syllable mgbee
vai syllable gbee
vai syllable fee
vai syllable vee
vai syllable tee
vai syllable thee
vai syllable dhee
vai syllable dhhee
vai syllable lee
vai syllable ree
vai syllable dee
vai syllable ndee
vai syllable see
vai syllable shee
vai syllable zee
vai syllable zhee
vai syllable cee
vai syllable jee
vai syllable njee
vai syllable yee
vai syllable kee
vai syllable nggee
vai syllable gee
vai syllable mee
vai syllable nee
vai syllable nyee
vai syllable i
vai syllable in
vai syllable hi
vai syllable hin
vai syllable wi
vai syllable win
vai syllable pi
vai syllable bhi
vai syllable bi
vai syllable mbi
vai syllable kpi
vai syllable mgbi
vai syllable gbi
vai syllable fi
vai syllable vi
vai syllable ti
vai syllable thi
vai syllable dhi
vai syllable dhhi
vai syllable li
vai syllable ri
vai syllable di
vai syllable ndi
vai syllable si
vai syllable shi
vai syllable zi
vai syllable zhi
vai syllable ci
vai syllable ji
vai syllable nji
vai syllable yi
vai syllable ki
vai syllable nggi
vai syllable gi
vai syllable mi
vai syllable ni
vai syllable nyi
vai syllable a
vai syllable an
vai syllable ngan
vai syllable ha
vai syllable han
vai syllable wa
vai syllable wan
vai syllable pa
vai syllable bha
vai syllable ba
vai syllable mba
vai syllable kpa
vai syllable kpan
vai syllable mgba
vai syllable gba
vai syllable fa
vai syllable va
vai syllable ta
vai syllable tha
vai syllable dha
vai syllable dhha
vai syllable la
vai syllable ra
vai syllable da
vai syllable nda
vai syllable sa
vai syllable sha
vai syllable za
vai syllable zha
vai syllable ca
vai syllable ja
vai syllable nja
vai syllable ya
vai syllable ka
vai syllable kan
vai syllable ngga
vai syllable ga
vai syllable ma
vai syllable na
vai syllable nya
vai syllable oo
vai syllable oon
vai syllable hoo
vai syllable woo
vai syllable woon
vai syllable poo
vai syllable bhoo
vai syllable boo
vai syllable mboo
vai syllable kpoo
vai syllable mgboo
vai syllable gboo
vai syllable foo
vai syllable voo
vai syllable too
vai syllable thoo
vai syllable dhoo
vai syllable dhhoo
vai syllable loo
vai syllable roo
vai syllable doo
vai syllable ndoo
vai syllable soo
vai syllable shoo
vai syllable zoo
vai syllable zhoo
vai syllable coo
vai syllable joo
vai syllable njoo
vai syllable yoo
vai syllable koo
vai syllable nggoo
vai syllable goo
vai syllable moo
vai syllable noo
vai syllable nyoo
vai syllable u
vai syllable un
vai syllable hu
vai syllable hun
vai syllable wu
vai syllable wun
vai syllable pu
vai syllable bhu
vai syllable bu
vai syllable mbu
vai syllable kpu
vai syllable mgbu
vai syllable gbu
vai syllable fu
vai syllable vu
vai syllable tu
vai syllable thu
vai syllable dhu
vai syllable dhhu
vai syllable lu
vai syllable ru
vai syllable du
vai syllable ndu
vai syllable su
vai syllable shu
vai syllable zu
vai syllable zhu
vai syllable cu
vai syllable ju
vai syllable nju
vai syllable yu
vai syllable ku
vai syllable nggu
vai syllable gu
vai syllable mu
vai syllable nu
vai syllable nyu
vai syllable o
vai syllable on
vai syllable ngon
vai syllable ho
vai syllable hon
vai syllable wo
vai syllable won
vai syllable po
vai syllable bho
vai syllable bo
vai syllable mbo
vai syllable kpo
vai syllable mgbo
vai syllable gbo
vai syllable gbon
vai syllable fo
vai syllable vo
vai syllable to
vai syllable tho
vai syllable dho
vai syllable dhho
vai syllable lo
vai syllable ro
vai syllable do
vai syllable ndo
vai syllable so
vai syllable sho
vai syllable zo
vai syllable zho
vai syllable co
vai syllable jo
vai syllable njo
vai syllable yo
vai syllable ko
vai syllable nggo
vai syllable go
vai syllable mo
vai syllable no
vai syllable nyo
vai syllable e
vai syllable en
vai syllable ngen
vai syllable he
vai syllable hen
vai syllable we
vai syllable wen
vai syllable pe
vai syllable bhe
vai syllable be
vai syllable mbe
vai syllable kpe
vai syllable kpen
vai syllable mgbe
vai syllable gbe
vai syllable gben
vai syllable fe
vai syllable ve
vai syllable te
vai syllable the
vai syllable dhe
vai syllable dhhe
vai syllable le
vai syllable re
vai syllable de
vai syllable nde
vai syllable se
vai syllable she
vai syllable ze
vai syllable zhe
vai syllable ce
vai syllable je
vai syllable nje
vai syllable ye
vai syllable ke
vai syllable ngge
vai syllable nggen
vai syllable ge
vai syllable gen
vai syllable me
vai syllable ne
vai syllable nye
vai syllable ng
vai syllable lengthener
vai syllable ndole fa
vai syllable ndole ka
vai syllable ndole soo
vai symbol feeng
vai symbol keeng
vai symbol ting
vai symbol nii
vai symbol bang
vai symbol faa
vai symbol taa
vai symbol dang
vai symbol doong
vai symbol kung
vai symbol tong
vai symbol do-o
vai symbol jong
vai syllable ndole ma
vai syllable ndole do
cyrillic capital letter zemlya
cyrillic small letter zemlya
cyrillic small letter dzelo
cyrillic small letter reversed dze
cyrillic small letter iota
cyrillic small letter djerv
cyrillic capital letter monograph uk
cyrillic small letter monograph uk
cyrillic capital letter broad omega
cyrillic small letter broad omega
cyrillic small letter neutral yer
cyrillic small letter yeru with back yer
cyrillic small letter iotified yat
cyrillic small letter reversed yu
cyrillic capital letter iotified a
cyrillic small letter iotified a
cyrillic small letter closed little yus
cyrillic small letter blended yus
cyrillic small letter iotified closed little yus
cyrillic small letter yn
cyrillic small letter reversed tse
cyrillic small letter soft de
cyrillic small letter soft el
cyrillic small letter soft em
cyrillic small letter monocular o
cyrillic small letter binocular o
cyrillic small letter double monocular o
cyrillic letter multiocular o
combining cyrillic vzmet
combining cyrillic ten millions sign
combining cyrillic hundred millions sign
combining cyrillic thousand millions sign
slavonic asterisk
combining cyrillic letter ukrainian ie
combining cyrillic letter i
combining cyrillic letter yi
combining cyrillic letter u
combining cyrillic letter hard sign
combining cyrillic letter yeru
combining cyrillic letter soft sign
combining cyrillic letter omega
combining cyrillic payerok
cyrillic kavyka
cyrillic payerok
cyrillic small letter double o
cyrillic small letter crossed o
combining cyrillic letter ef
combining cyrillic letter iotified e
latin capital letter saltillo
latin small letter saltillo
latin capital letter l with belt
latin capital letter small capital i
latin capital letter lambda with stroke
myanmar letter shan gha
myanmar letter shan nna
myanmar letter shan bha
myanmar sign shan saw
myanmar letter khamti ca
myanmar letter khamti tta
myanmar letter khamti ttha
myanmar letter khamti dda
myanmar letter khamti ddha
myanmar letter khamti dha
myanmar letter khamti hha
cherokee small letter a
cherokee small letter e
cherokee small letter i
cherokee small letter o
cherokee small letter u
cherokee small letter v
cherokee small letter ga
cherokee small letter ka
cherokee small letter ge
cherokee small letter gi
cherokee small letter go
cherokee small letter gu
cherokee small letter gv
cherokee small letter ha
cherokee small letter he
cherokee small letter hi
cherokee small letter ho
cherokee small letter hu
cherokee small letter hv
cherokee small letter la
cherokee small letter le
cherokee small letter li
cherokee small letter lo
cherokee small letter lu
cherokee small letter lv
cherokee small letter ma
cherokee small letter me
cherokee small letter mi
cherokee small letter mo
cherokee small letter mu
cherokee small letter na
cherokee small letter hna
cherokee small letter nah
cherokee small letter ne
cherokee small letter ni
cherokee small letter no
cherokee small letter nu
cherokee small letter nv
cherokee small letter qua
cherokee small letter que
cherokee small letter qui
cherokee small letter quo
cherokee small letter quu
cherokee small letter quv
cherokee small letter sa
cherokee small letter s
cherokee small letter se
cherokee small letter si
cherokee small letter so
cherokee small letter su
cherokee small letter sv
cherokee small letter da
cherokee small letter ta
cherokee small letter de
cherokee small letter te
cherokee small letter di
cherokee small letter ti
cherokee small letter do
cherokee small letter du
cherokee small letter dv
cherokee small letter dla
cherokee small letter tla
cherokee small letter tle
cherokee small letter tli
cherokee small letter tlo
cherokee small letter tlu
cherokee small letter tlv
cherokee small letter tsa
cherokee small letter tse
cherokee small letter tsi
cherokee small letter tso
cherokee small letter tsu
cherokee small letter tsv
cherokee small letter wa
cherokee small letter we
cherokee small letter wi
cherokee small letter wo
cherokee small letter wu
cherokee small letter wv
cherokee small letter ya
meetei mayek letter kok
meetei mayek letter sam
meetei mayek letter lai
meetei mayek letter mit
meetei mayek letter pa
meetei mayek letter na
meetei mayek letter chil
meetei mayek letter til
meetei mayek letter khou
meetei mayek letter ngou
meetei mayek letter thou
meetei mayek letter wai
meetei mayek letter yang
meetei mayek letter huk
meetei mayek letter un
meetei mayek letter i
meetei mayek letter pham
meetei mayek letter atiya
meetei mayek letter gok
meetei mayek letter jham
meetei mayek letter rai
meetei mayek letter ba
meetei mayek letter jil
meetei mayek letter dil
meetei mayek letter ghou
meetei mayek letter dhou
meetei mayek letter bham
meetei mayek letter kok lonsum
meetei mayek letter lai lonsum
meetei mayek letter mit lonsum
meetei mayek letter pa lonsum
meetei mayek letter na lonsum
meetei mayek letter til lonsum
meetei mayek letter ngou lonsum
meetei mayek letter i lonsum
meetei mayek vowel sign onap
meetei mayek vowel sign inap
meetei mayek vowel sign anap
meetei mayek vowel sign yenap
meetei mayek vowel sign sounap
meetei mayek vowel sign unap
meetei mayek vowel sign cheinap
meetei mayek vowel sign nung
meetei mayek lum iyek
meetei mayek apun iyek
meetei mayek digit zero
meetei mayek digit one
meetei mayek digit two
meetei mayek digit three
meetei mayek digit four
meetei mayek digit five
meetei mayek digit six
meetei mayek digit seven
meetei mayek digit eight
meetei mayek digit nine
ornate right parenthesis
combining cyrillic titlo left half
combining cyrillic titlo right half
presentation form for vertical two dot leader
presentation form for vertical em dash
presentation form for vertical en dash
presentation form for vertical low line
presentation form for vertical wavy low line
presentation form for vertical left parenthesis
presentation form for vertical right parenthesis
presentation form for vertical left curly bracket
presentation form for vertical right curly bracket
presentation form for vertical left tortoise shell bracket
presentation form for vertical right tortoise shell bracket
presentation form for vertical left black lenticular bracket
presentation form for vertical right black lenticular bracket
presentation form for vertical left double angle bracket
presentation form for vertical right double angle bracket
presentation form for vertical left angle bracket
presentation form for vertical right angle bracket
presentation form for vertical left corner bracket
presentation form for vertical right corner bracket
presentation form for vertical left white corner bracket
presentation form for vertical right white corner bracket
dashed overline
centreline overline
wavy overline
double wavy overline
dashed low line
centreline low line
wavy low line
small comma
small ideographic comma
small full stop
small semicolon
small colon
small question mark
small exclamation mark
small em dash
small left parenthesis
small right parenthesis
small left curly bracket
small right curly bracket
small left tortoise shell bracket
small right tortoise shell bracket
small number sign
small ampersand
small asterisk
small hyphen-minus
small reverse solidus
small percent sign
small commercial at
fullwidth exclamation mark
fullwidth quotation mark
fullwidth number sign
fullwidth percent sign
fullwidth ampersand
fullwidth apostrophe
fullwidth left parenthesis
fullwidth right parenthesis
fullwidth asterisk
fullwidth comma
fullwidth hyphen-minus
fullwidth full stop
fullwidth solidus
fullwidth colon
fullwidth semicolon
fullwidth question mark
fullwidth commercial at
fullwidth left square bracket
fullwidth reverse solidus
fullwidth right square bracket
fullwidth low line
fullwidth left curly bracket
fullwidth vertical line
fullwidth right curly bracket
fullwidth tilde
halfwidth ideographic full stop
halfwidth left corner bracket
halfwidth right corner bracket
halfwidth ideographic comma
halfwidth katakana middle dot
deseret capital letter long i
deseret capital letter long e
deseret capital letter long a
deseret capital letter long ah
deseret capital letter long o
deseret capital letter long oo
deseret capital letter short i
deseret capital letter short e
deseret capital letter short a
deseret capital letter short ah
deseret capital letter short o
deseret capital letter short oo
deseret capital letter ay
deseret capital letter ow
deseret capital letter wu
deseret capital letter yee
deseret capital letter h
deseret capital letter pee
deseret capital letter bee
deseret capital letter tee
deseret capital letter dee
deseret capital letter chee
deseret capital letter jee
deseret capital letter kay
deseret capital letter gay
deseret capital letter ef
deseret capital letter vee
deseret capital letter eth
deseret capital letter thee
deseret capital letter es
deseret capital letter zee
deseret capital letter esh
deseret capital letter zhee
deseret capital letter er
deseret capital letter el
deseret capital letter em
deseret capital letter en
deseret capital letter eng
deseret capital letter oi
deseret capital letter ew
deseret small letter long i
deseret small letter long e
deseret small letter long a
deseret small letter long ah
deseret small letter long o
deseret small letter long oo
deseret small letter short i
deseret small letter short e
deseret small letter short a
deseret small letter short ah
deseret small letter short o
deseret small letter short oo
deseret small letter ay
deseret small letter ow
deseret small letter wu
deseret small letter yee
deseret small letter h
deseret small letter pee
deseret small letter bee
deseret small letter tee
deseret small letter dee
deseret small letter chee
deseret small letter jee
deseret small letter kay
deseret small letter gay
deseret small letter ef
deseret small letter vee
deseret small letter eth
deseret small letter thee
deseret small letter es
deseret small letter zee
deseret small letter esh
deseret small letter zhee
deseret small letter er
deseret small letter el
deseret small letter em
deseret small letter en
deseret small letter eng
deseret small letter oi
deseret small letter ew
shavian letter peep
shavian letter tot
shavian letter kick
shavian letter fee
shavian letter thigh
shavian letter so
shavian letter sure
shavian letter church
shavian letter yea
shavian letter hung
shavian letter bib
shavian letter dead
shavian letter gag
shavian letter vow
shavian letter they
shavian letter zoo
shavian letter measure
shavian letter judge
shavian letter woe
shavian letter ha-ha
shavian letter loll
shavian letter mime
shavian letter if
shavian letter egg
shavian letter ash
shavian letter ado
shavian letter on
shavian letter wool
shavian letter out
shavian letter ah
shavian letter roar
shavian letter nun
shavian letter eat
shavian letter age
shavian letter ice
shavian letter up
shavian letter oak
shavian letter ooze
shavian letter oil
shavian letter awe
shavian letter are
shavian letter or
shavian letter air
shavian letter err
shavian letter array
shavian letter ear
shavian letter ian
shavian letter yew
osage capital letter a
osage capital letter ai
osage capital letter ain
osage capital letter ah
osage capital letter bra
osage capital letter cha
osage capital letter ehcha
osage capital letter e
osage capital letter ein
osage capital letter ha
osage capital letter hya
osage capital letter i
osage capital letter ka
osage capital letter ehka
osage capital letter kya
osage capital letter la
osage capital letter ma
osage capital letter na
osage capital letter o
osage capital letter oin
osage capital letter pa
osage capital letter ehpa
osage capital letter sa
osage capital letter sha
osage capital letter ta
osage capital letter ehta
osage capital letter tsa
osage capital letter ehtsa
osage capital letter tsha
osage capital letter dha
osage capital letter u
osage capital letter wa
osage capital letter kha
osage capital letter gha
osage capital letter za
osage capital letter zha
osage small letter a
osage small letter ai
osage small letter ain
osage small letter ah
osage small letter bra
osage small letter cha
osage small letter ehcha
osage small letter e
osage small letter ein
osage small letter ha
osage small letter hya
osage small letter i
osage small letter ka
osage small letter ehka
osage small letter kya
osage small letter la
osage small letter ma
osage small letter na
osage small letter o
osage small letter oin
osage small letter pa
osage small letter ehpa
osage small letter sa
osage small letter sha
osage small letter ta
osage small letter ehta
osage small letter tsa
osage small letter ehtsa
osage small letter tsha
osage small letter dha
osage small letter u
osage small letter wa
osage small letter kha
osage small letter gha
osage small letter za
osage small letter zha
hanifi rohingya letter a
hanifi rohingya letter ba
hanifi rohingya letter pa
hanifi rohingya letter ta
hanifi rohingya letter tta
hanifi rohingya letter ja
hanifi rohingya letter ca
hanifi rohingya letter ha
hanifi rohingya letter kha
hanifi rohingya letter fa
hanifi rohingya letter da
hanifi rohingya letter dda
hanifi rohingya letter ra
hanifi rohingya letter rra
hanifi rohingya letter za
hanifi rohingya letter sa
hanifi rohingya letter sha
hanifi rohingya letter ka
hanifi rohingya letter ga
hanifi rohingya letter la
hanifi rohingya letter ma
hanifi rohingya letter na
hanifi rohingya letter wa
hanifi rohingya letter kinna wa
hanifi rohingya letter ya
hanifi rohingya letter kinna ya
hanifi rohingya letter nga
hanifi rohingya letter nya
hanifi rohingya vowel a
hanifi rohingya vowel i
hanifi rohingya vowel u
hanifi rohingya vowel e
hanifi rohingya vowel o
hanifi rohingya mark sakin
hanifi rohingya mark na khonna
hanifi rohingya sign harbahay
hanifi rohingya sign tahala
hanifi rohingya sign tana
hanifi rohingya sign tassi
hanifi rohingya digit zero
hanifi rohingya digit one
hanifi rohingya digit two
hanifi rohingya digit three
hanifi rohingya digit four
hanifi rohingya digit five
hanifi rohingya digit six
hanifi rohingya digit seven
hanifi rohingya digit eight
hanifi rohingya digit nine
chakma sign candrabindu
chakma sign anusvara
chakma sign visarga
chakma letter aa
chakma letter i
chakma letter u
chakma letter e
chakma letter kaa
chakma letter khaa
chakma letter gaa
chakma letter ghaa
chakma letter ngaa
chakma letter caa
chakma letter chaa
chakma letter jaa
chakma letter jhaa
chakma letter nyaa
chakma letter ttaa
chakma letter tthaa
chakma letter ddaa
chakma letter ddhaa
chakma letter nnaa
chakma letter taa
chakma letter thaa
chakma letter daa
chakma letter dhaa
chakma letter naa
chakma letter paa
chakma letter phaa
chakma letter baa
chakma letter bhaa
chakma letter maa
chakma letter yyaa
chakma letter yaa
chakma letter raa
chakma letter laa
chakma letter waa
chakma letter saa
chakma letter haa
chakma vowel sign a
chakma vowel sign i
chakma vowel sign ii
chakma vowel sign u
chakma vowel sign uu
chakma vowel sign e
chakma vowel sign ai
chakma vowel sign o
chakma vowel sign au
chakma vowel sign oi
chakma o mark
chakma au mark
chakma virama
chakma maayyaa
chakma section mark
chakma danda
chakma double danda
chakma question mark
sunuwar letter devi
sunuwar letter tasla
sunuwar letter eko
sunuwar letter imar
sunuwar letter reu
sunuwar letter utthi
sunuwar letter kik
sunuwar letter ma
sunuwar letter appho
sunuwar letter pip
sunuwar letter gil
sunuwar letter hamso
sunuwar letter carmi
sunuwar letter nah
sunuwar letter bur
sunuwar letter jyah
sunuwar letter loacha
sunuwar letter otthi
sunuwar letter shyele
sunuwar letter varca
sunuwar letter yat
sunuwar letter ava
sunuwar letter aal
sunuwar letter donga
sunuwar letter thari
sunuwar letter phar
sunuwar letter ngar
sunuwar letter kha
sunuwar letter shyer
sunuwar letter chelap
sunuwar letter tentu
sunuwar letter thele
sunuwar letter kloko
sunuwar sign pvo
sunuwar digit zero
sunuwar digit one
sunuwar digit two
sunuwar digit three
sunuwar digit four
sunuwar digit five
sunuwar digit six
sunuwar digit seven
sunuwar digit eight
sunuwar digit nine
nyiakeng puachue hmong letter ma
nyiakeng puachue hmong letter tsa
nyiakeng puachue hmong letter nta
nyiakeng puachue hmong letter ta
nyiakeng puachue hmong letter ha
nyiakeng puachue hmong letter na
nyiakeng puachue hmong letter xa
nyiakeng puachue hmong letter nka
nyiakeng puachue hmong letter ca
nyiakeng puachue hmong letter la
nyiakeng puachue hmong letter sa
nyiakeng puachue hmong letter za
nyiakeng puachue hmong letter nca
nyiakeng puachue hmong letter ntsa
nyiakeng puachue hmong letter ka
nyiakeng puachue hmong letter da
nyiakeng puachue hmong letter nya
nyiakeng puachue hmong letter nra
nyiakeng puachue hmong letter va
nyiakeng puachue hmong letter ntxa
nyiakeng puachue hmong letter txa
nyiakeng puachue hmong letter fa
nyiakeng puachue hmong letter ra
nyiakeng puachue hmong letter qa
nyiakeng puachue hmong letter ya
nyiakeng puachue hmong letter nqa
nyiakeng puachue hmong letter pa
nyiakeng puachue hmong letter xya
nyiakeng puachue hmong letter npa
nyiakeng puachue hmong letter dla
nyiakeng puachue hmong letter npla
nyiakeng puachue hmong letter hah
nyiakeng puachue hmong letter mla
nyiakeng puachue hmong letter pla
nyiakeng puachue hmong letter ga
nyiakeng puachue hmong letter rra
nyiakeng puachue hmong letter a
nyiakeng puachue hmong letter aa
nyiakeng puachue hmong letter i
nyiakeng puachue hmong letter u
nyiakeng puachue hmong letter o
nyiakeng puachue hmong letter oo
nyiakeng puachue hmong letter e
nyiakeng puachue hmong letter ee
nyiakeng puachue hmong letter w
nyiakeng puachue hmong tone-b
nyiakeng puachue hmong tone-m
nyiakeng puachue hmong tone-j
nyiakeng puachue hmong tone-v
nyiakeng puachue hmong tone-s
nyiakeng puachue hmong tone-g
nyiakeng puachue hmong tone-d
nyiakeng puachue hmong sign xw xw
nyiakeng puachue hmong syllable lengthener
nyiakeng puachue hmong digit zero
nyiakeng puachue hmong digit one
nyiakeng puachue hmong digit two
nyiakeng puachue hmong digit three
nyiakeng puachue hmong digit four
nyiakeng puachue hmong digit five
nyiakeng puachue hmong digit six
nyiakeng puachue hmong digit seven
nyiakeng puachue hmong digit eight
nyiakeng puachue hmong digit nine
nyiakeng puachue hmong logogram nyaj
nyiakeng puachue hmong circled ca
adlam capital letter alif
adlam capital letter daali
adlam capital letter laam
adlam capital letter miim
adlam capital letter ba
adlam capital letter sinnyiiyhe
adlam capital letter pe
adlam capital letter bhe
adlam capital letter ra
adlam capital letter e
adlam capital letter fa
adlam capital letter i
adlam capital letter o
adlam capital letter dha
adlam capital letter yhe
adlam capital letter waw
adlam capital letter nun
adlam capital letter kaf
adlam capital letter ya
adlam capital letter u
adlam capital letter jiim
adlam capital letter chi
adlam capital letter ha
adlam capital letter qaaf
adlam capital letter ga
adlam capital letter nya
adlam capital letter tu
adlam capital letter nha
adlam small letter alif
adlam small letter daali
adlam small letter laam
adlam small letter miim
adlam small letter ba
adlam small letter sinnyiiyhe
adlam small letter pe
adlam small letter bhe
adlam small letter ra
adlam small letter e
adlam small letter fa
adlam small letter i
adlam small letter o
adlam small letter dha
adlam small letter yhe
adlam small letter waw
adlam small letter nun
adlam small letter kaf
adlam small letter ya
adlam small letter u
adlam small letter jiim
adlam small letter chi
adlam small letter ha
adlam small letter qaaf
adlam small letter ga
adlam small letter nya
adlam small letter tu
adlam small letter nha
adlam small letter va
adlam small letter kha
adlam small letter gbe
adlam small letter zal
adlam small letter kpo
adlam small letter sha
adlam alif lengthener
adlam vowel lengthener
adlam gemination mark
adlam nasalization mark
adlam digit zero
adlam digit one
adlam digit two
adlam digit three
adlam digit four
adlam digit five
adlam digit six
adlam digit seven
adlam digit eight
adlam digit nine
adlam initial exclamation mark
adlam initial question mark`;
