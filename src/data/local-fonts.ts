/**
 * Fonts that systems bring, with the advances of their letters, measured with open fonts of the same widths; not with their
 * kerning. Made by tools/data/local-fonts.mjs.
 */
export interface LocalFontData {
  name: string;
  kind: 'sans-serif' | 'serif' | 'monospace';
  systems: readonly ('Windows' | 'Apple' | 'Android' | 'Linux')[];
  /** The open font that was measured. */
  measured: string;
  faces: readonly {
    weight: number;
    italic: boolean;
    /** What `local()` finds it by: full names and PostScript names. */
    names: readonly string[];
    unitsPerEm: number;
    /** In the order of `measuredRanges`, base 36, with counts of what repeats; a dash for a letter that isn't there. */
    widths: string;
  }[];
}

export const measuredRanges: readonly (readonly [first: number, last: number])[] = [[32,126],[160,383],[402,402],[416,432],[536,539],[710,733],[900,974],[1024,1119],[1168,1169],[7808,7813],[7838,7838],[7840,7929],[8208,8213],[8216,8230],[8240,8243],[8249,8250],[8364,8364],[8470,8470],[8482,8482],[8592,8595],[8722,8722]];

export const localFonts: readonly LocalFontData[] = [
  {
    name: 'Arial',
    kind: 'sans-serif',
    systems: ["Windows","Apple","Linux"],
    measured: 'Liberation Sans',
    faces: [
      {
        weight: 400,
        italic: false,
        names: ["Arial","ArialMT","Liberation Sans","LiberationSans"],
        unitsPerEm: 2048,
        widths:
          'ft*2 k7 vn*2 1el 11y av iy*2 m5 x8 ft iy ft*2 vn*10 ft*2 x8*3 vn 1lr 11y*2 153*2 11y yr 189 153 ft sg 11y vn 1be 153 189 11y 189 153 11y yr 153 11y 1hp 11y*2 yr ft*3 qp vn iy vn*2 sg vn*2 ft vn*2 cn*2 sg cn 1be vn*4 iy sg ft vn sg 153 sg*3 j0 es j0 x8 ft iy vn*4 es vn iy 15x l2 vn x8 iy 15x vf mr v8 iy*3 ws uk ft iy*2 ks vn 1bg*3 yr 11y*6 1kw 153 11y*4 ft*4 153*2 189*5 x8 189 153*4 11y*2 yr vn*6 1el sg vn*4 ft*4 vn*7 v8 yr vn*4 sg vn sg 11y vn 11y vn 11y vn 153 sg 153 sg 153 sg 153 sg 153 yz 153 vn 11y vn 11y vn 11y vn 11y vn 11y vn 189 vn 189 vn 189 vn 189 vn 153 vn 153 vn ft*7 cn ft*2 15t p9 sg cn 11y sg*2 vn cn vn cn vn gl vn j0 vn cn 153 vn 153 vn 153 vn yd 155 vn 189 vn 189 vn 189 vn 1kw 1hp 153 iy 153 iy 153 iy 11y sg 11y sg 11y sg 11y sg yr ft yr lc yr ft 153 vn 153 vn 153 vn 153 vn 153 vn 153 vn 1hp 153 11y sg 11y yr sg yr sg yr sg cn vn -*17 11y sg yr ft iy*2 - iy -*14 iy*8 11z ft 18m 1bo lu - 182 - 1co 16t cn 11y*2 vc 120 11y yr 153 189 ft 11y 120 1be 153 10z 189 153 11y - z6 yr 11y 19e 11y 1bj 16j ft 11y ww pd vn cn v4 ww wq sg vo pd p3 vn*2 cn sg*2 ws sg ph vn 139 wd rf z4 mh v4 10w tv 14k 18f cn v4 vn v4 18f 11y 11z 1d7 ut 14w 11y ft*2 sg 1o5 1lh 1cl x5 153 105 14w 11y 11c 11y ut 12j 11y 1gj yd 14w*2 x5 11c 1be 153 189 14w 11y 153 yr 105 179 11y 163 11x 1g5 1hc 191 1ed 11c 14w 1lh 153 vn wl u8 kr x7 vn 122 q3 vs*2 ow x7 134 vf vn ut vn sg q2 sg 1at sg wl tn 19n 1at zk 14w tn t1 16o ut vn*3 kr t1 sg cn ft cn 1fk 1a8 vn ow vs sg vf rt ne 1hp 153 1hp 153 1hp 153 -*83 11y sg -*6 iy*2 - vn 1kw*2 cn*4 iy*3 - vn*2 jx -*3 1kw*2 - ao k5 iy*2 vn 1p1 1kw*2 sg 1kw sg x8',
      },
      {
        weight: 700,
        italic: false,
        names: ["Arial Bold","Arial-BoldMT","Liberation Sans Bold","LiberationSans-Bold"],
        unitsPerEm: 2048,
        widths:
          'ft iy qz vn*2 1el 153 dj iy*2 m5 x8 ft iy ft*2 vn*10 iy*2 x8*3 yr 1jh 153*4 11y yr 189 153 ft vn 153 yr 1be 153 189 11y 189 153 11y yr 153 11y 1hp 11y*2 yr iy ft iy x8 vn iy vn yr vn yr vn iy yr*2 ft*2 vn ft 1el yr*4 m5 vn iy yr vn 189 vn*2 sg m5 fx m5 x8 ft iy vn*4 fx vn iy 15x l2 vn x8 iy 15x vf mr v8 iy*3 ws vn ft iy*2 ks vn 1bg*3 yr 153*6 1kw 153 11y*4 ft*4 153*2 189*5 x8 189 153*4 11y*2 yr vn*6 1el vn*5 ft*4 yr*7 v8 yr*5 vn yr vn 153 vn 153 vn 153 vn 153 vn 153 vn 153 vn 153 vn 153 14w 153 yr 11y vn 11y vn 11y vn 11y vn 11y vn 189 yr 189 yr 189 yr 189 yr 153 yr 153 yr ft*10 18n vn*2 ft 153 vn*2 yr ft yr ft yr lx yr r9 yr ft 153 yr 153 yr 153 yr 14b 155 yr 189 yr 189 yr 189 yr 1kw 1hp 153 m5 153 m5 153 m5 11y vn 11y vn 11y vn 11y vn yr iy yr r9 yr iy 153 yr 153 yr 153 yr 153 yr 153 yr 153 yr 1hp 189 11y vn 11y yr sg yr sg yr sg ft vn -*17 11y vn yr iy*3 - iy -*14 iy*7 qg 153 iy 1cj 1fj qy - 1ax - 1gr 1bo ft 153*2 y7 14w 11y yr 153 189 ft 153 11y 1be 153 10m 189 153 11y - y5 yr 11y 1ap 11y 1a1 19m ft 11y yz po yr ft x4 yz yq vn yi r0 q7 yr ur ft vq vn yt vn pc yr 17k z7 tl 12x pe x4 14p wr 16v 1c2 ft x4 yr x4 1c2 11y 122 1ed w9 14h 11y ft fp vn 1q8 1og 1ds yq 153 ze 14w 153 14w 153 w9 14j 11y 1ff zn 14w*2 yq 13x 1be 153 189 14w 11y 153 yr ze 1ck 11y 15k 13z 1l6 1lz 1dh 1jp 14w 14h 1mo 14w vn z5 yz np 104 vn 14c sa yz*2 sh 105 163 yd yr yd yr vn rv vn 1ds vn yz x1 1bf 1c0 15h 1cl yz vf 1cl x7 vn*2 yr np vf vn ft g0 ft 1j4 1fk yr sh yz vn yd rp pf 1hp 189 1hp 189 1hp 189 -*83 11y vn -*6 iy*2 - vn 1kw*2 ft*4 sg*3 - vn*2 jx -*3 1kw*2 - dn r9 iy*2 vn 1rf 1kw*2 sg 1kw sg x8',
      },
      {
        weight: 400,
        italic: true,
        names: ["Arial Italic","Arial-ItalicMT","Liberation Sans Italic","LiberationSans-Italic"],
        unitsPerEm: 2048,
        widths:
          'ft*2 k7 vn*2 1el 11y av iy*2 m5 x8 ft iy ft*2 vn*10 ft*2 x8*3 vn 1lr 11y*2 153*2 11y yr 189 153 ft sg 11y vn 1be 153 189 11y 189 153 11y yr 153 11y 1hp 11y*2 yr ft*3 qp vn iy vn*2 sg vn*2 ft vn*2 cn*2 sg cn 1be vn*4 iy sg ft vn sg 153 sg*3 j0 es j0 x8 ft iy vn*4 es vn iy 15x l2 vn x8 iy 15x vf mr v8 iy*3 ws uk ft iy*2 ks vn 1bg*3 yr 11y*6 1kw 153 11y*4 ft*4 153*2 189*5 x8 189 153*4 11y*2 yr vn*6 1el sg vn*4 ft*4 vn*7 v8 yr vn*4 sg vn sg 11y vn 11y vn 11y vn 153 sg 153 sg 153 sg 153 sg 153 zk 153 vn 11y vn 11y vn 11y vn 11y vn 11y vn 189 vn 189 vn 189 vn 189 vn 153 vn 153 vn ft*7 cn ft*2 15q p9 sg cn 11y sg*2 vn cn vn cn vn g0 vn mr vn cn 153 vn 153 vn 153 vn yz 155 vn 189 vn 189 vn 189 vn 1kw 1hp 153 iy 153 iy 153 iy 11y sg 11y sg 11y sg 11y sg yr ft yr k5 yr ft 153 vn 153 vn 153 vn 153 vn 153 vn 153 vn 1hp 153 11y sg 11y yr sg yr sg yr sg cn vn -*17 11y sg yr ft iy*2 - iy -*14 iy*8 11y ft 18v 1c5 m4 - 196 - 1d8 183 cn 11y*2 wg 126 11y yr 153 189 ft 11y*2 1be 153 10w 189 158 11y - y4 yr 11y 1bm 11y 1b9 17a ft 11y wg p0 vl cn va wg wi sg vm p0 qd vl uv cn sg s0 v6 sg pf vn 124 wl ro yb la va 114 v2 15e 18b cn va vn va 18b 11y*2 1by uy 149 11y ft*2 sg 1on 1jw 1c1 xj 14p 10d 156 11y 111 11y uy 142 11y 1g6 yx 14p*2 xj 130 1be 153 189 158 11y 153 yr 10d 198 11y 15d 12b 1gd 1gi 19t 1ef 111 13h 1m6 12s vn w0 tp s2 vg vn 135 qg vn*2 qv w3 130 vb vn*3 sg 1be sg 1bj sg wj tg 1b8 1cf zc 15v tx rz 16s ue vn*3 li s7 sg cn*3 1fs 1b3 vn qv w6 sg vn s0 jb 1hp 153 1hp 153 1hp 153 -*83 11y sg -*6 iy*2 - vn 1kw*2 cn*4 iy*3 - vn*2 jx -*3 1kw*2 - ao k5 iy*2 vn 1pm 1kw 1kv sg 1kr sg x8',
      },
      {
        weight: 700,
        italic: true,
        names: ["Arial Bold Italic","Arial-BoldItalicMT","Liberation Sans Bold Italic","LiberationSans-BoldItalic"],
        unitsPerEm: 2048,
        widths:
          'ft iy qz vn*2 1el 153 dj iy*2 m5 x8 ft iy ft*2 vn*10 iy*2 x8*3 yr 1jh 153*4 11y yr 189 153 ft vn 153 yr 1be 153 189 11y 189 153 11y yr 153 11y 1hp 11y*2 yr iy ft iy x8 vn iy vn yr vn yr vn iy yr*2 ft*2 vn ft 1el yr*4 m5 vn iy yr vn 189 vn*2 sg m5 fx m5 x8 ft iy vn*4 fx vn iy 15x l2 vn x8 iy 15x vf mr v8 iy*3 ws vn ft iy*2 ks vn 1bg*3 yr 153*6 1kw 153 11y*4 ft*4 153*2 189*5 x8 189 153*4 11y*2 yr vn*6 1el vn*5 ft*4 yr*7 v8 yr*5 vn yr vn 153 vn 153 vn 153 vn 153 vn 153 vn 153 vn 153 vn 153 163 153 yr 11y vn 11y vn 11y vn 11y vn 11y vn 189 yr 189 yr 189 yr 189 yr 153 yr 153 yr ft*10 18i vn*2 ft 153 vn*2 yr ft yr ft yr mj yr r9 yr ft 153 yr 153 yr 153 yr 14b 155 yr 189 yr 189 yr 189 yr 1kw 1hp 153 m5 153 m5 153 m5 11y vn 11y vn 11y vn 11y vn yr iy yr r9 yr iy 153 yr 153 yr 153 yr 153 yr 153 yr 153 yr 1hp 189 11y vn 11y yr sg yr sg yr sg ft vn -*17 11y vn yr iy*3 - iy -*14 iy*8 153 iy 1cl 1fj qx - 1c1 - 1gx 1c7 ft 153*2 yp 127 11y yr 153 189 ft 153 11y 1be 153 11e 189 14u 11y - xl yr 11y 1as 11y 1b5 18f ft 11y za r8 yr ft xn za zb vn yq r8 rz yr vq ft w7 vn yb vn pl yr 14i yg ua 11r n9 xn 141 wv 17z 1bh ft xn yr xn 1bh 11y*2 1ee yx 14w 11y ft*2 vn 1q9 1na 1ck ze 14x 12j 14x 153 14a 153 yx 153 11y 1gr 10k 14x*2 yz 133 1be 153 189 14x 11y 153 yr 12j 18f 11y 15h 14a 1jp 1k9 1cl 1kw 14a 14w 1na 15h vn z8 yd ud z6 vn 15w t1 yr*2 su ze 163 yd yr*3 vn 1el vn 1ec vn 10r x6 1el 1h7 148 1cl xs ve 1d7 xi vn*2 yr qp w1 vn ft*3 1j5 1fj yr su z8 vn yr wq qk 1hp 189 1hp 189 1hp 189 -*83 11y vn -*6 iy*2 - vn 1kw*2 ft*4 sg*3 - vn*2 jx -*3 1kw*2 - dn r9 iy*2 vn 1t7 1kw 1ku sg 1kw sg x8',
      },
    ],
  },
  {
    name: 'Times New Roman',
    kind: 'serif',
    systems: ["Windows","Apple","Linux"],
    measured: 'Liberation Serif',
    faces: [
      {
        weight: 400,
        italic: false,
        names: ["Times New Roman","TimesNewRomanPSMT","Liberation Serif","LiberationSerif"],
        unitsPerEm: 2048,
        widths:
          'e8 iy n8 sg*2 1be 189 a9 iy*2 sg w3 e8 iy e8 ft sg*10 ft*2 w3*3 p9 1ge 153 11y*2 153 yr vn 153*2 iy m5 153 yr 1el 153*2 vn 153 11y vn yr 153*2 1hp 153*2 yr iy ft iy qp sg iy p9 sg p9 sg p9 iy sg*2 ft*2 sg ft 189 sg*4 iy m5 ft sg*2 153 sg*2 p9 rb be rb us e8 iy sg*4 be sg iy 178 fp sg w3 iy 178 sg mr v8 h2*2 iy ws ps e8 iy h2 hn sg 16o*3 p9 153*6 1el 11y yr*4 iy*4 153*7 w3 153*6 vn sg p9*6 11y p9*5 ft*4 sg*7 v8 sg*8 153 p9 153 p9 153 p9 11y p9 11y p9 11y p9 11y p9 153 10s 153 sg yr p9 yr p9 yr p9 yr p9 yr p9 153 sg 153 sg 153 sg 153 sg 153 sg 153 sg iy ft iy ft iy ft iy ft iy ft 14b vf m5 ft 153 sg*2 yr ft yr ft yr n4 yr jk yr ft 153 sg 153 sg 153 sg yd 13x s5 153 sg 153 sg 153 sg 1el 153 11y iy 11y iy 11y iy vn m5 vn m5 vn m5 vn m5 yr ft yr ob yr ft 153 sg 153 sg 153 sg 153 sg 153 sg 153 sg 1hp 153*2 sg 153 yr p9 yr p9 yr p9 ft sg -*17 vn m5 yr ft iy*2 - iy -*14 iy*8 153 ft 13h 19z ne - 153 - 1af 16a fb 153 11y ww 10l yr*2 153*2 iy 153 159 1el 153 10l 153*2 vn - x4 yr 153 15l 153 15z 16a iy 153 tt nw tr fb s6 tt sy p5 qt nw nk tr r9 fb so rl ui pq pd sg sq se mj uo mv s6 wu p9 zm 11g fb s6 sg s6 11g yr*2 16s ww 11k vn iy*2 m5 1dm*2 166 11y 153 14a 153*2 wo 11y ww 12t yr 1ez si 153*2 11y 12l 1el 153*3 vn 11y yr 14a 18y 153*2 10z 1le*2 146 1dm wo 11k 1mh 11y p9 sy qv nc sy p9 13b mh ug*2 rn se 100 ug sg ug sg p9 ov sg 10v sg ug sm 17t*2 tf 128 py of 16i q6 p9*2 rh nc of m5 ft*3 15d 155 sg rn ug sg ug pm jz 1hp 153 1hp 153 1hp 153 -*83 153 sg -*6 iy*2 - sg 1kw*2 iy*4 p9*3 - sg*2 jx -*3 1kw*2 - cg np iy*2 sg 1ia 1jr 1kw sg 1kw sg w3',
      },
      {
        weight: 700,
        italic: false,
        names: ["Times New Roman Bold","TimesNewRomanPS-BoldMT","Liberation Serif Bold","LiberationSerif-Bold"],
        unitsPerEm: 2048,
        widths:
          'e8 iy vl sg*2 1kw 1be ft iy*2 sg wf e8 iy e8 ft sg*10 iy*2 wf*3 sg 1gx 153 11y 153*2 11y yr 189*2 m5 sg 189 11y 1hp 153 189 yr 189 153 vn 11y 153*2 1kw 153*2 11y iy ft iy x2 sg iy sg vn p9 vn p9 iy sg vn ft iy vn ft 1be vn sg vn*2 p9 m5 iy vn sg 153 sg*2 p9 mf cj mf tl e8 iy sg*4 cj sg iy 16i h2 sg wf iy 16i sg mr v8 h2*2 iy ws uq e8 iy h2 is sg 16o*3 sg 153*6 1kw 153 11y*4 m5*4 153*2 189*5 wf 189 153*5 yr vn sg*6 153 p9*5 ft*4 sg vn sg*5 v8 sg vn*4 sg vn sg 153 sg 153 sg 153 sg 153 p9 153 p9 153 p9 153 p9 153 15q 153 vn 11y p9 11y p9 11y p9 11y p9 11y p9 189 sg 189 sg 189 sg 189 sg 189 vn 189 vn m5 ft m5 ft m5 ft m5 ft m5 ft 1at vf sg iy 189 vn*2 11y ft 11y ft 11y qo 11y mi 11y ft 153 vn 153 vn 153 vn 15h 17r vn 189 sg 189 sg 189 sg 1kw 153*2 p9 153 p9 153 p9 vn m5 vn m5 vn m5 vn m5 11y iy 11y tn 11y iy 153 vn 153 vn 153 vn 153 vn 153 vn 153 vn 1kw 153*2 sg 153 11y p9 11y p9 11y p9 ft sg -*17 vn m5 11y iy*3 - iy -*14 iy*8 153 iy 19g 1fq tp - 189 - 1d7 19k hn 153 11y 107 zo 11y*2 189*2 m5 189 14s 1hp 153 12j 189*2 yr - 117 11y 153 1b6 153 18d 19k m5 153 vr ob wb hn tj vr tz qm tj ob ni wb tp hn vl ry w9 pf pd sg v6 ug o0 uy q8 tj zi qa 135 15l hn tj sg tj 15l 11y*2 19i 107 12l vn m5*2 sg 1l2 1l0 19i 159 189 15r 189 153 11m 11y 107 135 11y 1k9 u1 189*2 159 16e 1hp 189*3 yr 153 11y 15r 1cv 153 189 15r 1qh*2 17j 1jv 11m 12l 1s2 153 sg*2 uq pu ss p9 159 mv ws*3 vx 12r ws sg ws vn p9 ry sg 13d sg ws w3 1c1*2 x6 18f u3 ol 17h us p9*2 uk pu ol m5 ft*2 iy 18d 19c vn ws*2 sg ws tl m5 1kw 153 1kw 153 1kw 153 -*83 153 sg -*6 iy*2 - sg 1kw*2 iy*4 sg*3 - sg*2 jx -*3 1kw*2 - g0 vf iy*2 sg 1l6 1kw*2 sg 1kw sg wf',
      },
      {
        weight: 400,
        italic: true,
        names: ["Times New Roman Italic","TimesNewRomanPS-ItalicMT","Liberation Serif Italic","LiberationSerif-Italic"],
        unitsPerEm: 2048,
        widths:
          'e8 iy nw sg*2 1be 189 c6 iy*2 sg 12e e8 iy e8 ft sg*10 iy*2 12e*3 sg 1gc yr*2 11y 153 yr*2 153*2 iy p9 11y vn 1be 11y 153 yr 153 yr sg vn 153 yr 1be yr vn*2 m5 ft m5 o0 sg iy sg*2 p9 sg p9 ft sg*2 ft*2 p9 ft 153 sg*4 m5*2 ft sg p9 11y p9*2 m5 mr fn mr us e8 m5 sg*4 fn sg iy 178 fp sg 12e iy 178 sg mr v8 h2*2 iy ws tr e8 iy h2 hn sg 16o*3 sg yr*6 1el 11y yr*4 iy*4 153 11y 153*5 12e 153*5 vn yr sg*7 11y p9*5 ft*4 sg*7 v8 sg*5 p9 sg p9 yr sg yr sg yr sg 11y p9 11y p9 11y p9 11y p9 153 ym 153 sg yr p9 yr p9 yr p9 yr p9 yr p9 153 sg 153 sg 153 sg 153 sg 153 sg 153 sg iy ft iy ft iy ft iy fu iy ft 16o sh p9 ft 11y p9*2 vn ft vn ft vn kp vn id vn ft 11y sg 11y sg 11y sg wu 13m rf 153 sg 153 sg 153 sg 1hp 11y yr m5 yr m5 yr m5 sg m5 sg m5 sg m5 sg m5 vn ft vn kp vn fu 153 sg 153 sg 153 sg 153 sg 153 sg 153 sg 1be 11y vn p9 vn*2 m5 vn m5 vn m5 ft sg -*17 sg m5 vn ft iy*2 - iy -*14 iy*8 yr iy 12n 192 mv - 153 - 11k 15b ft yr*2 wd xe yr vn 153*2 iy 11y yd 1be 11y 10d 153*2 yr - xt vn*2 17b yr 140 155 iy vn tv mf s8 ft q4 tv sc mf qg mf n1 s8 ry ft rb on sk p9 od sg si rb n3 s2 kd q4 vh p1 zc 146 ft q4 sg q4 13p yr*2 19c wd 122 sg iy*2 p9 1gr 1ge 19g 11s 153 12a 153 yr xk yr wd 107 yr 1g4 s6 153*2 11s 12j 1be 153*3 yr 11y vn 12a 19r yr 153 137 1nc*2 12g 1dm xk 119 1mq 11e sg sm op m7 ss p9 1gx m7 sg*2 qm ot 10b s8 sg*3 p9 153 p9 14e p9 sg r5 16y*2 tj 12j pw p3 144 qg p9*2 r9 lg ot m5 ft*3 12n 14i sg qm wv p9 sg p1 hx 1be 11y 1be 11y 1be 11y -*83 vn p9 -*6 iy*2 - sg 1el 1kw iy*4 vn*3 - sg*2 jx -*3 1el 1kw - cg np iy*2 sg 1hn 1jr 1kw sg 1kv sg 12e',
      },
      {
        weight: 700,
        italic: true,
        names: ["Times New Roman Bold Italic","TimesNewRomanPS-BoldItalicMT","Liberation Serif Bold Italic","LiberationSerif-BoldItalic"],
        unitsPerEm: 2048,
        widths:
          'e8 m5 vl sg*2 1be 189 ft iy*2 sg wf e8 iy e8 ft sg*10 iy*2 wf*3 sg 1bc 11y*3 153 11y*2 153 189 m5 sg 11y yr 1el 153*2 yr 153 11y vn yr 153 11y 1el 11y yr*2 iy ft iy wf sg iy sg*2 p9 sg p9 iy sg vn ft*2 sg ft 189 vn sg*3 m5*2 ft vn p9 11y sg p9 m5 jt cj jt wf e8 m5 sg*4 cj sg iy 16i f5 sg yh iy 16i sg mr v8 h2*2 iy ws sg e8 iy h2*2 sg 16o*3 sg 11y*6 1hp 11y*5 m5*4 153*7 wf 153*5 yr*2 sg*7 153 p9*5 ft*4 sg vn sg*5 v8 sg vn*4 p9 sg p9 11y sg 11y sg 11y sg 11y p9 11y p9 11y p9 11y p9 153 16l 153 sg 11y p9 11y p9 11y p9 11y p9 11y p9 153 sg 153 sg 153 sg 153 sg 189 vn 189 vn m5 ft m5 ft m5 ft m5 ft m5 ft 1at vf sg ft 11y sg*2 yr ft yr ft yr tn yr lc yr ft 153 vn 153 vn 153 vn 14w 18l ur 153 sg 153 sg 153 sg 1hp 153 11y m5 11y m5 11y m5 vn m5 vn m5 vn m5 vn m5 yr ft yr u8 yr ft 153 vn 153 vn 153 vn 153 vn 153 vn 153 vn 1el 11y yr p9 yr*2 m5 yr m5 yr m5 iy sg -*17 vn m5 yr ft iy*2 - iy -*14 iy*8 11y iy 187 1ex ss - 15l - 16o 18o ft 11y*2 yd zo 11y yr 189 17f m5 11y*2 1el 153 11i 153 189 yr - z8 yr*2 18w 11y 19i 16g m5 yr vh nc v8 ft rv vh t5 no t5 nc p3 v8 tj ft u5 p9 vn p9 pk sg v2 tb pd uo p9 rv xa qg 120 155 ft rv sg rv 155 11y*2 1aj yd 11e vn m5*2 sg 1fo 1jj 1a5 12l 189 13l 189 11y 105 11y yd 12v 11y 1g8 sy 189*2 12l 131 1el 189 153 189 yr 11y yr 13l 1cd 11y 189 16k 1s2*2 179 1j5 102 111 1o3 137 sg se pf l0 s8 p9 1i6 m7 vn*2 su t7 12z vl sg vn sg p9 189 p9 14q sg vn tv 1be*2 tz 13h q0 nm 15j tb p9*2 tr md nm m5 ft*3 11i 14k vn su zf p9 vn qr l0 1el 11y 1el 11y 1el 11y -*83 yr p9 -*6 iy*2 - sg 1kw*2 iy*4 sg*3 - sg*2 jx -*3 1kw*2 - g0 vf iy*2 sg 1g2 1kw*2 sg 1kw sg yh',
      },
    ],
  },
  {
    name: 'Courier New',
    kind: 'monospace',
    systems: ["Windows","Apple","Linux"],
    measured: 'Liberation Mono',
    faces: [
      {
        weight: 400,
        italic: false,
        names: ["Courier New","CourierNewPSMT","Liberation Mono","LiberationMono"],
        unitsPerEm: 2048,
        widths:
          'y5*320 -*17 y5*6 - y5 -*14 y5*13 - y5 - y5*20 - y5*148 -*83 y5*2 -*6 y5*2 - y5*10 - y5*3 -*3 y5*2 - y5*12',
      },
      {
        weight: 700,
        italic: false,
        names: ["Courier New Bold","CourierNewPS-BoldMT","Liberation Mono Bold","LiberationMono-Bold"],
        unitsPerEm: 2048,
        widths:
          'y5*320 -*17 y5*6 - y5 -*14 y5*13 - y5 - y5*20 - y5*148 -*83 y5*2 -*6 y5*2 - y5*10 - y5*3 -*3 y5*2 - y5*12',
      },
      {
        weight: 400,
        italic: true,
        names: ["Courier New Italic","CourierNewPS-ItalicMT","Liberation Mono Italic","LiberationMono-Italic"],
        unitsPerEm: 2048,
        widths:
          'y5*320 -*17 y5*6 - y5 -*14 y5*13 - y5 - y5*20 - y5*148 -*83 y5*2 -*6 y5*2 - y5*10 - y5*3 -*3 y5*2 - y5*12',
      },
      {
        weight: 700,
        italic: true,
        names: ["Courier New Bold Italic","CourierNewPS-BoldItalicMT","Liberation Mono Bold Italic","LiberationMono-BoldItalic"],
        unitsPerEm: 2048,
        widths:
          'y5*320 -*17 y5*6 - y5 -*14 y5*13 - y5 - y5*20 - y5*148 -*83 y5*2 -*6 y5*2 - y5*10 - y5*3 -*3 y5*2 - y5*12',
      },
    ],
  },
  {
    name: 'Calibri',
    kind: 'sans-serif',
    systems: ["Windows"],
    measured: 'Carlito',
    faces: [
      {
        weight: 400,
        italic: false,
        names: ["Calibri","Carlito"],
        unitsPerEm: 2048,
        widths:
          'cv ij mt sc su 14o 12t ck h9*2 sc*2 e7 hf ed lz su*10 f8*2 sc*3 qd 1ev wx uy uc z0 rs q5 zw zg ec i5 tk nx 1cn 10q 11o te 12a uw q5 rq 10i wa 1em tj rq qn hg lz hg sc*2 gk r9 tw o2 tw sb hd qs tw d2 dm pv d2 19g tw u0 tw*2 ju m9 j2 tw pp 14o on pr mh hw q7 hw sc - ij sc su sc su sc*2 mc 1bh mw t5 sc - su mf ja sc j4 j1 gm va xc ed hh e0 o1 t5 107 127 12f qd wx*6 17f uc rs*4 ec*4 zj 10q 11o*5 sc 11r 10i*4 rq te u0 r9*6 17z o2 sb*4 d2*4 tw*2 u0*5 sc u4 tw*4 pr tw pr wx r9 wx r9 wx r9 uc o2 uc o2 uc o2 uc o2 z0 wc zj ve rs sb rs sb rs sb rs sb rs sb zw qs zw qs zw qs zw qs zg tw 11c ub ec d2 ec d2 ec d2 ec d2 ec d2 wi qo i5 dm tk pv*2 nx d2 nx d2 o2 f0 v2 l9 og e3 10q tw 10q tw 10q tw wy zr tw 11o u0 11o u0 11o u0 1db 1cc uw ju uw ju uw ju q5 m9 q5 m9 q5 m9 q5 m9 rq j2 rq jo rq jg 10i tw 10i tw 10i tw 10i tw 10i tw 10i tw 1em 14o rq pr rq qn mh qn mh qn mh dt sc 13o ww 17z 11a ys tw uw q5 m9 q3 oi kg u7 j2 rq 152 ya q5 m9 rq j2 mh*2 gh -*2 gk gh mf gk gm ft*2 cu*2 iy*4 lo cu i9 hr pm qp i1 s4 wx ed rs zg ec - 11o - rq 11s fm wx uy nn w4 rs qn zg 11o ec tk wl 1cn 10q rz 11o zg te - q3 rq*2 177 tj 16o 11s ec rq wa px uk fm ut wa u8 pe ts px js uk u9 fm pv qc va pj le u0 vg sy nd u9 m1 ut 112 o9 149 13m fm ut u0 ut 13m rs*2 zj og v5 q5 ec*2 i5 1dm 1dv z6 uw 10i u0 z9 wx ul uy og 10n rs 19k qy 10i*2 uw yr 1cn zg 11o zd te uc rq u0 13o tj 10c vm 1de 1em yz 17c u8 v6 1e0 vl r9 ub r9 jo vr sb 137 o2 ur*2 qe t1 12h uf u0 tm tw o2 m1 pr zi on ut qo 15g 16m ui 11w qq p7 152 qz sb*2 ur jo p9 m9 d2*2 dm 16q 17s ub qe ur pr tv om k5 1em 14o 1em 14o 1em 14o vx wx r9 wx r9 wx r9 wx r9 wx r9 wx r9 wx r9 wx r9 wx r9 wx r9 wx r9 wx r9 rs sb rs sb rs sb rs sb rs sb rs sb rs sb rs sb ec d2 ec d2 11o u0 11o u0 11o u0 11o u0 11o u0 11o u0 11o u0 13o ww 13o ww 13o ww 13o ww 13o ww 10i tw 10i tw 152 ya 152 ya 152 ya 152 ya 152 ya rq pr rq pr rq pr rq pr -*2 su sc 1fi*2 e7*4 nt*3 ns sc*3 -*3 13a 1n2 -*2 ms ja*2 su 1mb 144 1fi*4 sc',
      },
      {
        weight: 700,
        italic: false,
        names: ["Calibri Bold","Calibri-Bold","Carlito Bold","Carlito-Bold"],
        unitsPerEm: 2048,
        widths:
          'cv ij oy sc su 15h 143 da hq*2 sc*2 eo hf f7 og su*10 fp*2 sc*3 qd 1f4 yh vw u4 zv rr q4 109 zw f6 iu v4 o2 1dq 11h 12h ua 131 w1 qw s6 115 xn 1fk vc tk r7 ih og ih sc*2 h3 s3 uj nt uj sn i0 qz uj dz ej rb dz 1aa uj ul uj*2 k8 mp jq uj qx 16e q5 qy mm jk r1 jk sc - ij sc su sc su sc*2 nl 1bh no un sc - su m7 jh sc j8 j4 h4 w2 y0 f8 h9 ed or un 11f 13b 13x qd yh*6 184 u4 rr*4 f6*4 10d 11h 12h*5 sc 12q 115*4 tk ua vk s3*6 183 nt sn*4 dz*4 uj*2 ul*5 sc uy uj*4 qy uj qy yh s3 yh s3 yh s3 u4 nt u4 nt u4 nt u4 nt zv xy 10d wd rr sn rr sn rr sn rr sn rr sn 109 qz 109 qz 109 qz 109 qz zw uj 11f v5 f6 dz f6 dz f6 dz f6 dz f6 dz y1 sj iu ej v4 rb*2 o2 dz o2 dz oh hf vy o1 om f0 11h uj 11h uj 11h uj ze 10h uj 12h ul 12h ul 12h ul 1dq 1by w1 k8 w1 k8 w1 k8 qw mp qw mp qw mp qw mp s6 jq s6 ko s6 k6 115 uj 115 uj 115 uj 115 uj 115 uj 115 uj 1fk 16e tk qy tk r7 mm r7 mm r7 mm ep sc 17i 100 19m 13b 10e uj w1 r3 my qq pd kt v0 jq s6 17b 10u qw mp s6 jq mu*2 gh -*2 h3 gh mf h3 h4 ft*2 cu*2 iy*4 lw de in hy pa rn i1 s4 yh f8 rr zw f6 - 12h - tk 12q ga yh vw nb wv rr r7 zw 12h f6 v4 xs 1dq 11h s0 12h zw ua - qq s6 tk 19l vc 19y 12q f6 tk xm q1 uy ga v7 xm v1 ql ub q1 kq uy v0 ga rb ro w2 qt lx ul wy u6 n5 uz mc v7 13s pn 15z 14u ga v7 ul v7 14u rr*2 106 ol un qw f6*2 iu 1ey 1f0 zz w1 113 v5 zr yh vm vw ol 12a rr 1bd rf 113*2 w1 zs 1dq zw 12h zu ua u4 s6 v5 156 vc 11f we 1f1 1gq 10d 19f vh un 1fz wo s3 ua s5 k6 x4 sn 15x oa vo*2 s5 tx 14l v1 ul ue uj nt m6 qy 12f q5 vz rs 17f 18w vr 14i s5 ov 16u sc sn*2 vh k6 ow mp dz*2 ej 186 196 v5 s5 vo qy uk op kw 1fk 16e 1fk 16e 1fk 16e wl yh s3 yh s3 yh s3 yh s3 yh s3 yh s3 yh s3 yh s3 yh s3 yh s3 yh s3 yh s3 rr sn rr sn rr sn rr sn rr sn rr sn rr sn rr sn f6 dz f6 dz 12h ul 12h ul 12h ul 12h ul 12h ul 12h ul 12h ul 13o 100 13o 100 13o 100 13o 100 13o 100 115 uj 115 uj 17b 10u 17b 10u 17b 10u 17b 10u 17b 10u tk qy tk qy tk qy tk qy -*2 su sc 1fi*2 eo*4 or*4 sc*3 -*3 14h 1oe -*2 n7 jl*2 su 1ni 14z 1fi*4 sc',
      },
      {
        weight: 400,
        italic: true,
        names: ["Calibri Italic","Calibri-Italic","Carlito Italic","Carlito-Italic"],
        unitsPerEm: 2048,
        widths:
          'cv ij mt sc su 14o 12t ck h9*2 sc*2 e7 hf ed m2 su*10 f8*2 sc*3 qd 1ev wx uy tq z0 rs q5 zw zg ec i5 tk nx 1cn 10o 118 te 11s uw pq rq 10i wa 1en tj rq qn hg lv hg sc*2 gk t9*2 no t9 r6 hd t9*2 d2 dm pv d2 190 t9 t7 t9*2 ji m5 j2 t9 pd 14o on pg mh hw q7 hw sc - ij sc su sc su sc*2 mc 1bh oi t5 sc - su mf ja sc j4 j1 gm um xc ed hh e0 o1 t5 107 127 12f qd wx*6 17f tq rs*4 ec*4 zj 10o 118*5 sc 11f 10i*4 rq te u0 t9*6 16x no r6*4 d2*4 tw t9 t7*5 sc u4 t9*4 pg t9 pg wx t9 wx t9 wx t9 tq no tq no tq no tq no z0 vk zj vc rs r6 rs r6 rs r6 rs r6 rs r6 zw t9 zw t9 zw t9 zw t9 zg t9 11c tm ec d2 ec d2 ec d2 ec d2 ec d2 wi qo i5 dm tk pv*2 nx d2 nx d2 o2 f0 v2 l9 og e3 10o t9 10o t9 10o t9 wd zo t9 118 t7 118 t7 118 t7 1db 1ac uw ji uw ji uw ji pq m5 pq m5 pq m5 pq m5 rq j2 rq jo rq jg 10i t9 10i t9 10i t9 10i t9 10i t9 10i t9 1en 14o rq pg rq qn mh qn mh qn mh dt sc 138 w3 17z z2 we t9 uw pq m5 q3 oi j2 sk j2 rq 152 xn pq m5 rq j2 mh*2 gh -*2 gk gh mf gk gm ft*2 cu*2 iy*4 lo cp i9 hr pm qp i1 s4 wx ed rs zg ec - 118 - rq 11s fm wx uy nn w4 rs qn zg 11c ec tk wl 1cn 10o rz 118 zg te - q3 rq*2 178 tj 16o 11s ec rq w5 px tw fm ut w5 u1 pd ts px js tw vs fm pv qc um pj le t7 vg sy nd u9 m1 ut 117 o9 149 13m fm ut t7 ut 13m rs*2 zj og v5 pq ec*2 i5 1dm 1dv z6 uw 10i u0 z9 wx ul uy og 10n rs 19k qy 10i*2 uw yr 1cn zg 118 zd te tq rq u0 13o tj 10c vm 1de 1em yz 17c u8 v6 1e1 vl t9 ub r9 nd tx r6 18q o2 t9*2 qe t1 12h tz t7 tm t9 no 190 pg 143 on uf qo 186 19d ui 11w qj p7 150 qz r6*2 uj nd p9 m5 d2*2 dm 16p 17s tm qe t9 pg t9 om k5 1en 14o 1en 14o 1en 14o vx wx t9 wx t9 wx t9 wx t9 wx t9 wx t9 wx t9 wx t9 wx t9 wx t9 wx t9 wx t9 rs r6 rs r6 rs r6 rs r6 rs r6 rs r6 rs r6 rs r6 ec d2 ec d2 118 t7 118 t7 118 t7 118 t7 118 t7 118 t7 118 t7 138 w3 138 w3 138 w3 138 w3 138 w3 10i t9 10i t9 152 xn 152 xn 152 xn 152 xn 152 xn rq pg rq pg rq pg rq pg -*2 su sc 1fi*2 e7*4 nt*3 ns sc*3 -*3 139 1n2 -*2 ms ja*2 su 1m5 144 1fi*4 sc',
      },
      {
        weight: 700,
        italic: true,
        names: ["Calibri Bold Italic","Calibri-BoldItalic","Carlito Bold Italic","Carlito-BoldItalic"],
        unitsPerEm: 2048,
        widths:
          'cv ij oy sc su 15h 143 da hq*2 sc*2 eo hf f7 op su*10 fp*2 sc*3 qd 1f4 yh vw ti zv rr q4 109 zw f6 iu v4 o2 1dq 11c 121 ua 12j w1 qh s6 115 xn 1fl vc tk r7 ih o6 ih sc*2 h3 u1*2 nf u1 ry i0 u1 u0 dz ej rb dz 19q u0*2 u1*2 k1 mf jq u0 qp 16e q5 qr mm jk r1 jk sc - ij sc su sc su sc*2 nl 1bh p3 un sc - su m7 jh sc j8 j4 h4 vi y0 f8 h9 ed or un 11f 13b 13x qd yh*6 184 ti rr*4 f6*4 10d 11c 121*5 sc 12j 115*4 tk ua vk u1*6 17g nf ry*4 dz*4 uj u0*6 sc uy u0*4 qr u1 qr yh u1 yh u1 yh u1 ti nf ti nf ti nf ti nf zv xh 10d w8 rr ry rr ry rr ry rr ry rr ry 109 u1 109 u1 109 u1 109 u1 zw u0 11f ui f6 dz f6 dz f6 dz f6 dz f6 dz y1 sj iu ej v4 rb*2 o2 dz o2 dz oh hf vy o1 om f0 11c u0 11c u0 11c u0 z1 109 u0 121 u0 121 u0 121 u0 1dq 1ah w1 k1 w1 k1 w1 k1 qh mf qh mf qh mf qh mf s6 jq s6 ko s6 k6 115 u0 115 u0 115 u0 115 u0 115 u0 115 u0 1fl 16e tk qr tk r7 mm r7 mm r7 mm ep sc 172 zf 19m 13u 10e u1 vs si mu qq pd ku v0 jq s6 17b zf qh mf s6 jq mu*2 gh -*2 h3 gh m7 h3 h4 ft*2 cu*2 iy*4 lw da in hy pa rn i1 s4 yh f8 rr zw f6 - 121 - tk 12q ga yh vw nb wv rr r7 zw 129 f6 v4 xs 1dq 11c s0 121 zw ua - qq s6 tk 19l vc 19y 12q f6 tk x9 q1 uf ga v7 x9 uv ql ub q1 kq uf wf ga rb ro vi qt lx u0 wy u6 n5 uz mc v7 13s pn 15z 14u ga v7 u0 v7 14u rr*2 106 ol un qh f6*2 iu 1ey 1f0 zz w1 113 v5 zr yh vm vw ol 12a rr 1bd rf 113*2 w1 zs 1dq zw 121 zu ua ti s6 v5 156 vc 11f we 1f1 1gq 10d 19f vh un 1g0 wo u1 ua s5 nz ug ry 1b3 oa u0*2 s5 tx 14l ur u0 ue u1 nf 19q qr 15r q5 vk rs 199 1ar vr 14i s1 ov 16s sc ry*2 vd nz ow mf dz*2 ej 185 196 ui s5 u0 qr u0 op kw 1fl 16e 1fl 16e 1fl 16e wl yh u1 yh u1 yh u1 yh u1 yh u1 yh u1 yh u1 yh u1 yh u1 yh u1 yh u1 yh u1 rr ry rr ry rr ry rr ry rr ry rr ry rr ry rr ry f6 dz f6 dz 121 u0 121 u0 121 u0 121 u0 121 u0 121 u0 121 u0 172 zf 172 zf 172 zf 172 zf 172 zf 115 u0 115 u0 17b zf 17b zf 17b zf 17b zf 17b zf tk qr tk qr tk qr tk qr -*2 su sc 1fi*2 eo*3 e7 or*3 ns sc*3 -*3 14g 1oe -*2 mh jl*2 su 1na 14z 1fi*4 sc',
      },
    ],
  },
  {
    name: 'Cambria',
    kind: 'serif',
    systems: ["Windows"],
    measured: 'Caladea',
    faces: [
      {
        weight: 400,
        italic: false,
        names: ["Cambria","Caladea"],
        unitsPerEm: 1000,
        widths:
          '64 7y ax h7 e2 oq j3 6l am*2 bv fe 5p 95 5q dm ed a2 d4 ct do d7 d2*2 dh da 7c*2 fe*3 bq ol gn g3 ef hd f0 e5 ez jc 9j 8g hi dx oo j9 gn et gn h1 cl fh j3 gm op fv fh e3 9q dm 9q fe ab 47 d2 eg bp eg c9 8p cr fe 7p 73 el 7j ml fi dc eg dx b0 aw 91 f6 d2 k0 df de bw ar 8s ar js 64 7y c9 eo f4 gx 8s dw 79 nn bl dn fe 98 nn 7q af fe bb*2 47 f4 gc 2y 7x bb bw dn n1 o3 o2 bq gn*6 o2 ef f0*4 9j*4 ie j9 gn*5 fe i5 j3*4 fh fy gt d2*6 jo bp c9*4 7p*4 eq fi dc*5 fe dm f6*4 de f7 de gn d2 gn d2 hb d2 ef bp ef bp ef bp ef bp hd fs ie ff f0 c9 f0 c9 f0 c9 f0 c9 f0 c9 ez cr ez cr ez cr ez cr jc fe j7 fc 9j 7p 9j 7p 9j 7p 9j 7z 9j 7p hz f4 8g 73 hi el eo dx 7j dx 7j dx 86 dx 7w f0 8l j9 fi j9 fi j9 fi*2 ix fb gn dc gn dc gn dc pt lf h1 b0 h1 b0 h1 b0 cl aw cl aw cl aw cl aw -*2 fh 91 fh 9e j3 f6 j3 f6 j3 f6 j3 f6 j3 f6 j3 f6 op k0 fh de fh e3 bw e3 bw e3 bw 7r fl -*17 cl aw fh 91 6v*2 - 7x -*14 6i 2x 4r 4w 8p 6u -*173 op k0 op k0 op k0 -*29 f0 c9 -*52 fh de -*4 fh de -*3 dw rs s4 65*2 5p 65 af*2 a0 - ed*2 cb -*3 kw z3 - 6l ax 8g*2 hg sv iv lr 86 lr 86 fe',
      },
      {
        weight: 700,
        italic: false,
        names: ["Cambria Bold","Cambria-Bold","Caladea Bold","Caladea-Bold"],
        unitsPerEm: 1000,
        widths:
          '64 9b bq h6 f3 r4 kk 6z bc*2 cl gg 6g 8n 6e e1 et cq e3 e4 fd eg ey dq fg eu 7s*2 gg*3 ck pl i5 hm fb ig fj eu ga jz 9y 9g iw f1 nh j2 hz gh hz hs d5 gb jb hk qn h4 gb fe a8 e1 a8 gg ab 54 el fs ci fu e9 9b e4 go 8k 89 gd 8n or gs eq fx fj cm cc a5 gx ef ln el eh cw ax 8w ax gg 64 9b d1 fg gb gs 8w et 86 nn bo er gg 9d nn 8n ai gg c5*2 53 gt gc 3w 7x c5 c4 er ox p4 qy ck i5*6 og fb fj*4 9y*4 jp j2 hz*5 gg jb*5 gb h5 it el*6 m2 ci e9*4 8k*3 8n fw gs eq*5 gg ft gx*4 eh gf eh i5 el i5 el i4 el fb ci fb ci fb ci fb ci ig hs jp gl fj e9 fj e9 fj e9 fj e9 fj e9 ga e4 ga e4 ga e4 ga e4 jz go k7 gl 9y 8k 9y 8k 9y 8k 9y 8q 9y 8k je h5 9g 89 iw gd gm f1 8n f1 8n f1 c3 f1 al fg 9i j2 gs j2 gs j2 gs*2 iv gn hz eq hz eq hz eq qg nk hs cm hs cm hs cm d5 cc d5 cc d5 cc d5 cc -*2 gb a5 gb a5 jb gx jb gx jb gx jb gx jb gx jb gx qn ln gb eh gb fe cw fe cw fe cw 8x gl -*17 d5 cc gb a5 8a*2 - av -*14 7x 4f 69 5j 9j 9d -*173 qn ln qn ln qn ln -*29 fj e9 -*52 gb eh -*4 gb eh -*3 dw rs ku 6j*2 6g 65 b2*2 az - ed*2 cb -*3 lg 12c - 6z bq 8i*2 hs t4 j0 lr 86 lr 86 gg',
      },
      {
        weight: 400,
        italic: true,
        names: ["Cambria Italic","Cambria-Italic","Caladea Italic","Caladea-Italic"],
        unitsPerEm: 1000,
        widths:
          '64 7s at h7 dy nu ib 6i ac*2 b0 e6 5q 8n 51 cy dk ay cr c7 dm cn cr ca db cx 51 5q dv er dv bb ol g2 ew dr gm e2 dt e5 ip 96 8e ga d6 n7 i6 g5 dz ha fy bi e1 hb fd nj f5 ej df 9f cy 9f eo cv 53 eb ds c2 e9 c4 7w dp eo 7b 6r dl 74 m8 es df dy e8 ag a3 9g er bz ja ce bz c1 af 8r af eo 64 7s c5 dw ew hc 8r d7 79 nn bu cm ez 9g nn 6l 95 e5 83 7t 48 f5 ft 4 56 7g aw cm o1 ok oa bb g2*6 n6 dr e2*4 96*4 hy i6 g5*5 de ha hb*4 ej fk fq eb*6 jp c2 c4*4 7b*4 e5 es df*5 eq df er*4 bz eh bz g2 eb g2 eb g2 eb dr c2 dr c2 dr c2 dr c2 gm fp hy ek e2 c4 e2 c4 e2 c4 e2 c4 e2 c4 e5 dp e5 dp e5 dp e5 dp ip eo ip eq 96 7b 96 7b 96 7b 8w 7b 96 7b hk ex 8e 6r ga dl dy d6 74 d6 - d6 8h d6 7y em 6z i6 es i6 es i6 es - in es g5 df g5 df g5 df ow kf fy ag fy ag fy ag bi a3 bi a3 bi a3 bi a3 -*2 e1 9g e1 9g hb er hb er hb er hb er hb er hb er nj ja ej bz ej df c1 df c1 df c1 7m co -*19 e1 - 6v*2 - 7p -*14 6e 2w 4v 4m 8e 7a -*173 nj ja nj ja nj ja -*29 e2 c4 -*52 ej bz -*4 ej bz -*3 dx rt ld 5t*2 5k 6e ad*2 aa - dq*2 cb -*3 jz xy - 69 ap 7l 7m gp ru j6 ko 86 kp 86 dx',
      },
      {
        weight: 700,
        italic: true,
        names: ["Cambria Bold Italic","Cambria-BoldItalic","Caladea Bold Italic","Caladea-BoldItalic"],
        unitsPerEm: 1000,
        widths:
          '64 7y bp gq ed r0 js 6s b0*2 b3 e5 5z 8d 5l dc f1 c6 e2 e6 fi ei ep e9 fa ep 5m 66 fq fu fq c6 pl h2 gw f2 i8 fs ey gc jb 9l 96 ib ec mz im hz g2 ib hj dm fr ie gi pm ga fk f3 9v dc 9v fx c1 5x fo fn cz fz dk 99 f5 g3 87 7t f2 83 o6 g6 fe fy fg ck bv 9r gd dn l4 de dn d0 ab 8l ab fx 64 94 dl h7 g6 i9 8l e2 82 nn bj e9 g1 8n nn 8n 9q fb 8u 99 50 gi ft 43 5v 8s bs e5 qd py r0 c6 h2*6 ng f2 fs*4 9l*4 iz im hz*5 eq ir ie*4 fk gp hy fo*6 kv cz dk*4 87*4 f5 g6 fe*5 ft fi gd*4 dn fr dn h2 fo h2 fo h2 fo f2 cz f2 cz f2 cz f2 cz i8 if iz fu fs dk fs dk fs dk fs dk fs dk gc f5 gc f5 gc f5 gc f5 jb g3 j7 g4 9l 87 9l 87 9l 87 9l 87 9l 87 ir gn 96 7t ib f2 f4 ec 83 ec - ec ab ec a0 er 8o im g6 im g6 im g6 - ie g3 hz fe hz fe hz fe ph mc hj ck hj ck hj ck dm bv dm bv dm bv dm bv -*2 fr 9r gr a4 ie gd ie gd ie gd ie gd ie gd ie gd pm l4 fk dn fk f3 d0 f3 d0 f3 d0 8k eb -*19 fr - 8a*2 - 8n -*14 7y 43 69 5j 9i 95 -*173 pm l4 pm l4 pm l4 -*29 fs dk -*52 fk dn -*4 fk dn -*3 e4 ro rk 6c*3 6l b9*2 b7 - du*2 cb -*3 km 125 - 64 av 7z 7y iq su je kp 86 ko 86 ft',
      },
    ],
  },
  {
    name: 'Palatino',
    kind: 'serif',
    systems: ["Apple"],
    measured: 'P052',
    faces: [
      {
        weight: 400,
        italic: false,
        names: ["Palatino","Palatino-Roman"],
        unitsPerEm: 1000,
        widths:
          '6y 7q ab dw*2 nc lm 5s 99*2 at gu 6y 99 6y gu dw*10 6y*2 gu*3 cc kr lm gz jp li gz fg l7 n4 9d 99 k6 gz qa n3 lu gs lu ik el h1 lm k2 rs ij*3 99 gu 99 gu dw 99 dw fd cc gz db 99 fg g6 83 6i fg 83 oj g6 f6 gp fk az bs 92 gr fp n6 ec fg dw 99 gu 99 gu 6y 7q dw*4 gu dw 99 kr 99 dw gu 99 kr 99 b4 gu 8c*2 99 gr hg 6y 99 8c 99 dw ku*3 cc lm*6 q8 jp gz*4 9d*4 li n3 lu*5 gu n5 lm*4 ij gs fg dw*6 l2 cc db*4 7z*4 f6 g6 f6*5 gu fg gr*4 fg gp fg lm dw lm dw lm dw jp cc jp cc jp cc jp cc li kv li gz*2 db gz db gz db gz db gz db l7 fg l7 fg l7 fg l7 fg n4 g6 n4 g6 9d 7z 9d 7z 9d 7z 9d 83 9d 7z ja el 99 6i k6 fg*2 gz 83 gz 83 gz c4 gz bh gz 83 n3 g6 n3 g6 n3 g6 k1 n3 fl lu f6 lu f6 lu f6 rq mz ik az ik az ik az el bs el bs el bs el bs h1 92 h1 bx h1 92 lm gr lm gr lm gr lm gr lm gr lm gr rs n6 ij fg ij*2 dw ij dw ij dw 99 dw -*17 el bs h1 92 99*2 - 99 -*14 99 6y 99 8p 99 ak 6h 9w kq 6y jh pj c2 - ng - l5 o5 7o kg gd f0 ho gd hw mf mb 8z jc jj pb m4 kl mb mf gd - hm g8 hu n6 hv o4 mz 8z hu hp bv ge 7o eq hp et dv eu bv bd ge eu 7o fn ef gh dx bn eu i0 fo cg fo d3 eu hw ds ip ht 7o eu*2 eq ht gd*2 k1 f0 jb fu 8z*2 97 rp sd mj jc mf gu mg kg gd*2 f0 l2 gd s6 hv mf*2 jc lr pb mf mb mf gd jb g8 gu n6 hv mk k3 tv u0 kf n3 fy k8 v8 ih de ew cs bp fs df li cn h0*2 fu g8 jc h0 eu h0 g0 cg dn dv k8 e5 h0 fd nc*2 f1 if ce cz lk ee df*2 el bp cg bi 7o*2 7h jo kh fw fu hf dv h0 ey bp rs n6 rs n6 rs n6 -*83 ij fg -*9 dw rs*2 7q*3 99 dw*3 - dw*2 gu -*3 rs vs - 5s ab 97*2 dw tx r7 k2*4 gu',
      },
      {
        weight: 700,
        italic: false,
        names: ["Palatino Bold","Palatino-Bold"],
        unitsPerEm: 1000,
        widths:
          '6y 7q b6 dw*2 op n5 6b 99*2 cc gu 6y 99 6y 88 dw*10 6y*2 gu*3 cc kr lm ij k2 n5 gz fg n5*2 at*2 lm gz rs n5*2 gz n5 k2 gz ij lm*2 rs ij*3 99 gu 99 gu dw 99 dw gz cc gz dw at fg gz 99*2 gz 99 op gz fg gz*2 at cc 99 gz fg n5 dw fg dw 8m gu 8m gu 6y 7q dw*4 gu dw 99 kr c6 dw gu 99 kr 99 b4 gu 8c*2 99 gz ht 6y 99 8c dk dw ku*3 cc lm*6 rs k2 gz*4 at*4 n5*7 gu n5 lm*4 ij gz*2 dw*6 lm cc dw*4 99*4 fg gz fg*5 gu fg gz*4 fg gz fg lm dw lm dw lm dw k2 cc k2 cc k2 cc k2 cc n5 jo n5 gz*2 dw gz dw gz dw gz dw gz dw n5 fg n5 fg n5 fg n5 fg n5 gz n5 gz at 99 at 99 at 99 at 99 at 99 lm hy at 99 lm gz*3 99 gz 99 gz bx gz bo gz 99 n5 gz n5 gz n5 gz ku n5 gz n5 fg n5 fg n5 fg rs n5 k2 at k2 at k2 at gz cc gz cc gz cc gz cc ij 99 ij bx ij 99 lm gz lm gz lm gz lm gz lm gz lm gz rs n5 ij fg ij*2 dw ij dw ij dw at dw -*17 gz cc ij 99*3 - 99 -*14 99*6 6w bn kd 6y jg p9 dh - ny - lr pc 7t jq gw f2 hs ff h5 l8 lz 9f jk jw ph l9 ie lz l8 fl - hx h9 ht o0 ht pa nb 9f ht i0 bu ft 7t f3 i0 fg ea e8 bu bi ft e8 7t fv ed g1 dl bi e8 h4 fc bw f9 e3 f3 ih dv jl il 7t f3 e8 f3 il ff*2 lg f2 jg fg 9f*2 9l ri qz n6 jk l8 ho l8 jq gq gw f2 l1 ff tq hv l8*2 jk lr ph l8 lz l8 fl iv h9 ho o0 ht lb kb uf uj k8 nz gf jq v3 ik d2 e8 cp c1 g9 cv m2 b4 g1*2 fv g9 jo g1 e8 g1 fi bw cn do le dv g1 g4 ma*2 fn j5 cc bj ku ex cp cv en c1 bw bu 7t*2 7r jp jg fp fv gs do g1 et be rs n5 rs n5 rs n5 -*83 ij fg -*9 dw rs*2 7q*2 99*2 dw*3 - dw*2 gu -*3 rs*2 - 6b b6 at*2 dw t9 rq k2*4 gu',
      },
      {
        weight: 400,
        italic: true,
        names: ["Palatino Italic","Palatino-Italic"],
        unitsPerEm: 1000,
        widths:
          '6y 99 dw*3 op lm 99*3 at gu 6y 99 6y 88 dw*10 6y*2 gu*3 dw kr k2 gz ij lm gz fg k2 lm 99*2 ij fg q8 lm*2 gz lm ij fg gz lm k2 q8 k2 ij*2 99 gu 99 gu dw 99 cc cv bb dw at 7q dw*2 7q*2 cc 7q lm fg cc dw cv at*2 99 fg dw k2 dw*2 cc 99 gu 99 gu 6y 99 dw*4 gu dw 99 kr 99 dw gu 99 kr 99 b4 gu 8c*2 99 fg dw 6y 99 8c 99 dw ku*3 dw k2*6 q5 ij gz*4 99*4 lm*7 gu lm*5 ij gz dw cc*6 hq bb at*4 7q*4 cc fg cc*5 gu cc fg*4 dw*3 k2 cc k2 cc k2 cc ij bb ij bb ij bb ij bb lm gt lm dw gz at gz at gz at gz at gz at k2 dw k2 dw k2 dw k2 dw lm dw lm dw 99 7q 99 7q 99 7q 99 7q 99 7q ii fa 99 7q ij cc*2 fg 7q fg 7q fg au fg af fg 7q lm fg lm fg lm fg hx lm ex lm cc lm cc lm cc sk il ij at ij at ij at fg at fg at fg at fg at gz 99 gz ch gz 99 lm fg lm fg lm fg lm fg lm fg lm fg q8 k2 ij dw ij*2 cc ij cc ij cc 7q dw -*17 fg at gz 99*3 - 99 -*14 99*6 5a dw io 6y gv m2 af - kj - io lk 7l ig fi dn f5 ez g9 k6 ki 8k gj hl p4 jz iq ki k6 f8 - gh fc ge kt hf mn l0 8k ge fb a0 du 77 el fb ci d6 cq a0 a1 dk cj 77 cw cd e6 cv an cq h0 cq ar dq d7 dn g6 bm h1 ho 77 dn cq dn ho ez*2 jo dn hv eg 8k*2 8t ow pf kd gj k6 gs k6 k2 f9 fi dn jx ez r8 go k6*2 gj jo p4 k6 ki k6 f8 hn fc gs kt hf ke hv sr sz h7 mt eh il sk hm cd cq bx 8g dr b1 pa ac dx dq cw e9 ko dz cq ed dq bb kg e0 j3 ch dz cy km ko 9p fr a1 as iq du bl b1 dl 8g aj aq 77*2 6f gn*2 e5 co dz e0 e5 cy 9x q8 k2 q8 k2 q8 k2 -*83 ij dw -*9 dw rs*2 7q*3 99 dw*3 - dw*3 -*3 rs*2 - 99 dw 99*2 dw q0 rs k2*4 gu',
      },
      {
        weight: 700,
        italic: true,
        names: ["Palatino Bold Italic","Palatino-BoldItalic"],
        unitsPerEm: 1000,
        widths:
          '6y 99 dw*3 op n5 6y 99*2 cc gu 6y at 6y 8r dw*10 6y*2 gu*3 cc n5 k2 ij j1 lm gz fg lm*2 at*2 k2 gz q8 lm n5 ij n5 k2 fg gz lm ij rs k2 gz ij 99 gu 99 gu dw 99 fg ex cc fg cc 99 dw fg 99*2 fg 99 n5 fg*3 ex at cc at fg*2 n5 dw fg dw 99 gu 99 gu 6y 99 dw*4 gu fg 99 kr 99 dw gu at kr 99 b4 gu 8c*2 99 fg*2 6y 99 8c 99 dw ku*3 cc k2*6 q8 j1 gz*4 at*4 lm*2 n5*5 gu n5 lm*4 gz ij fg*7 ki cc*5 99*4 fg*7 gu fg*8 k2 fg k2 fg k2 fg j1 cc j1 cc j1 cc j1 cc lm js lm fg gz cc gz cc gz cc gz cc gz cc lm dw lm dw lm dw lm dw lm fg lm fg at 99 at 99 at 99 at 99 at 99 lm ii at 99 k2 fg*2 gz 99 gz 99 gz dk gz cq gz 99 lm fg lm fg lm fg h8 lm f1 n5 fg n5 fg n5 fg q8 lm k2 at k2 at k2 at fg cc fg cc fg cc fg cc gz at gz e5 gz at lm fg lm fg lm fg lm fg lm fg lm fg rs n5 gz fg gz ij dw ij dw ij dw 99 dw -*17 fg cc gz at 99*2 - 99 -*14 99*2 fg 99*3 5x by j8 6y jh oa cy - n6 - kg no 8b iq hz f8 ga gc hl l5 lh 9t j3 ij pz l3 ib lh l5 hc - ht gr fr mh iu ns mx 9t fr gs bs ez 8b ed gs e1 cw eg bs ac ez e0 8b f3 cj fn e1 b3 eg i1 dw bx fq dw ed i3 e0 il j9 89 ed eg ed j9 gc*2 l4 f8 i4 em 9t*2 9h s0 rb m7 j3 l5 hj l5 iq hc hz fq l2 gc u6 ht l5*2 j3 lv pz l5 lh l5 hc hn gr hj mh iu lm jo t1 ti j7 ox gv jg uy j4 ee ed e1 9d eq bu s4 bx ex ey f3 g2 lt fn eg fl f8 bi mv en li d4 ex el m8*2 b7 hh bi by l8 fm bu*2 ej 9d c3 bh 8b 89 7b ja ie f4 f3 fj en ex en b3 rs n5 rs n5 rs n5 -*83 gz fg -*9 dw rs*2 7q*2 6y 99 dw*3 - fg*2 gu -*3 rs*2 - 6y dw 99*2 dw sb rs k2*4 gu',
      },
    ],
  },
  {
    name: 'Roboto',
    kind: 'sans-serif',
    systems: ["Android"],
    measured: 'Roboto',
    faces: [
      {
        weight: 400,
        italic: false,
        names: ["Roboto","Roboto-Regular"],
        unitsPerEm: 2048,
        widths:
          'e4 eo i8 z1 vz 15o ze 9y jh jt oi wa b7 fq f0 nh vz*10 ds c1 sx v8 tr qw 1f3 114 zg 111 11c wc vg 12r 14l fh ve zp un 1do 14l 135 zw 135 z2 xs xy 10w 108 1eh zo y6 y3 f3 nd f3 ns po hl uy vy ts w3 u6 js vy vc du dm su du 1dw vf wg vy wc ja td im vd rk 16r s8 qx s8 j9 dw j9 12p e4 dw v5 x3 14l tw do yw nt 18p pg qp vi fq 18q q3 l9 uf kv*2 hu w9 ru ev e4 kv pw qo 15o 185 189 qy 114*6 1h6 111 wc*4 fh*4 126 14l 135*5 ud 135 10w*4 y6 xm xu uy*6 1c2 ts u6*4 e3*4 xd vf wg*5 wi w9 vd*4 qx ws qx 114 uy 114 uy 114 uy 111 ts 111 ts 111 ts 111 ts 11c 109 126 y0 wc u6 wc u6 wc u6 wc u6 wc u6 12r vy 12r vy 12r vy 12r vy 14l vc 13v w6 fh e3 fh e3 fh e3 fh du fh e3 1av rg ve ec zp su vo un du un du un i0 un jy un fe 14l vf 14l vf 14l vf*2 13f w9 135 wg 135 wg 135 wg 1i9 1fo z2 ja z2 ja z2 ja xs td xs td xs td xs td xy im xy jq xy im 10w vd 10w vd 10w vd 10w vd 10w vd 10w vd 1eh 16r y6 qx y6 y3 s8 y3 s8 y3 s8 e4 je 133 wj 1ca 120 15k vy 130 xs td wi qj im zm iw xy 13k z7 xs td xy im qs pa 6u q3 fy fq 6u mr fq fy c4*2 7z*2 fs*3 fe ob du j2 ff qu l8 em ss 114 ev z4 17d i9 - 13p - 10y 12e ig 114 zg vn 144 wc y3 14l 12q fh zp 11b 1do 14l wi 135 14l zw - wi xy y6 14r zo 13d 11u fh y6 w6 up w9 ig v2 w6 xp sj w9 up th w9 wf ig vo vj w9 rk rw wg xx w9 um w8 to v2 143 vk 13u 1av ig v2 wg v2 1av wc*2 16o vn 12d xs fh*2 ve 1oy 1ph 1ab zp 14l zs 14k 114 zv zg vn 16s wc 1fn xs 14l*2 10k 14a 1do 14l 135 14l zw 111 xy zs 17x zo 15m 12y 1hj 1j4 176 1d7 zp 12d 1ev 108 uy vh wj nw yc u6 17l sw wu*2 ur ww 167 wt wg wu vy ts rd qx 15a s8 xq uy 1a1 1b3 zb 186 uw um 1ag v8 u6*2 vc nw um td du e3 dm 1c9 1d0 w9 ur wu qx wu v8 pd 1eh 16r 1eh 16r 1eh 16r 10r 114 uy 114 uy 114 uy 114 uy 114 uy 114 uy 114 uy 114 uy 114 uy 114 uy 114 uy 114 uy wc u6 wc u6 wc u6 wc u6 wc u6 wc u6 wc u6 wc u6 fh e3 fh du 135 wg 135 wg 135 wg 135 wg 135 wg 135 wg 135 wg 133 wj 133 wj 133 wj 133 wj 133 wj 10w vd 10w vd 13k z7 13k z7 13k z7 13k z7 13k z7 y6 qx y6 qx y6 qx y6 qx fo*2 wj 11c 18f*2 be*2 bc be k4 kc jm l9 ve wg j7 uk e7 qs 122 1ii 1tl 9y i8 h3*2 vz 1mi zl -*4 wj',
      },
      {
        weight: 700,
        italic: false,
        names: ["Roboto Bold","Roboto-Bold"],
        unitsPerEm: 2048,
        widths:
          'e6 fh i9 xx wn 160 11c 98 jz k2 pt v2 dx m3 gk la wn*10 g2 ex sz wk te sc 1ex 12b 10b 119 110 w0 v7 12r 148 gm vs 105 ut 1du 147 13a 10q 13a 10b yz z7 11g 117 1ds 106 z7 yi fu o1 fu ow pf iu ui w1 tp w3 ur ke wi vv f3 et ue f3 1d9 vv w6 w1 w5 ks ta j8 vv ss 15t sz sl sz it ef it 10x e6 g3 wr xu 13e ui ed zr qk 18n p9 sf vd m3 18n si m4 ul l7*2 iw z1 rw h5 f9 l7 q1 sf 14u 17b 19z sc 12b*6 1hi 119 w0*4 gm*4 11u 147 13a*5 u8 137 11g*4 z7 ym zw ui*6 1c2 tp ur*4 fl*4 wr vv w6*5 wg w4 vv*4 sl wa sl 12b ui 12b ui 12b ui 119 tp 119 tp 119 tp 119 tp 110 109 11u zv w0 ur w0 ur w0 ur w0 ur w0 ur 12r wi 12r wi 12r wi 12r wi 148 vv 14y wp gm fl gm fl gm fl gm f3 gm fl 1ce tw vs g1 105 ue xl ut f3 ut f3 ut j9 ut l7 vq he 147 vv 147 vv 147 vv*2 140 w4 13a w6 13a w6 13a w6 1j3 1fc 10b ks 10b ks 10b ks yz ta yz ta yz ta yz ta z7 j8 z7 kc z7 j8 11g vv 11g vv 11g vv 11g vv 11g vv 11g vv 1ds 15t z7 sl z7 yi sz yi sz yi sz es kj 13w x3 1f1 15b 196 w1 13b yz ta wa tu j8 13x kq z7 14j yp yz ta z7 j8 s8 qt 96 si iq in 96 oa in iq fn*2 9o*2 hm*3 ia pa f3 iy h5 re nd j7 v7 12b h5 ys 170 je - 13u - 11z 12s j6 12b 10b vq 15m w0 yi 148 135 gm 105 10u 1du 147 wa 13a 149 10q - wa z7*2 17s 106 15c 128 gm z7 w3 vo w4 j6 v3 w3 y9 t2 w4 vo si w4 xk j6 xl v8 z1 ss u6 w6 10n w4 ta wk tm v3 16f ui 16c 1aq j6 v3 w6 v3 1aq w0*2 16j vq 11j yz gm*2 vs 1o7 1o8 17w 105 13u zx 13v 12b zn 10b vq 16k w0 1ks z3 13u*2 10r 147 1du 148 13a 149 10q 119 z7 zx 1ah 106 176 13k 1ij 1m4 17u 1dl zm 110 1ho xz ui we w7 nu zy ur 1cl t9 wb*2 w2 wd 177 wa w6 wb w1 tp sz sl 15l sz yo vi 1b3 1f8 11c 1b3 vr tl 1a7 vu ur*2 vv nu tl ta f3 fl et 1cv 1d0 w4 w2 wb sl wb vl q9 1ds 15t 1ds 15t 1ds 15t 12l 12b ui 12b ui 12b ui 12b ui 12b ui 12b ui 12b ui 12b ui 12b ui 12b ui 12b ui 12b ui w0 ur w0 ur w0 ur w0 ur w0 ur w0 ur w0 ur w0 ur gm fl gm f3 13a w6 13a w6 13a w6 13a w6 13a w6 13a w6 13a w6 13w x3 13w x3 13w x3 13w x3 13w x3 11g vv 11g vv 14j yp 14j yp 14j yp 14j yp 14j yp z7 sl z7 sl z7 sl z7 sl m3*2 vm zy 17f*2 db d2 e4 bx n3 n9 mx nk un wy kg up gc to 163 1im 1vz 98 i9 hr h7 wn 1lq zy -*4 vm',
      },
      {
        weight: 400,
        italic: true,
        names: ["Roboto Italic","Roboto-Italic"],
        unitsPerEm: 2048,
        widths:
          'dz e8 ho xz v0 14f yc 9n iw j8 ns vb av f9 ek ms v0*10 dn by s2 ua sv q3 1dk 100 ye zx 108 vd ui 11l 13d f0 ug ym tq 1c6 13d 11z yt 11z y0 ws wx zs z5 1cy yl x5 x2 en mo en n2 ow h2 u1 v0 sw v4 t9 j7 v0 ue df d7 rz df 1ce uh vh v0 vd ip sh i2 uf qq 15h re q4 re io dh io 11j dz dh u7 w3 13d t0 d9 xu n3 17d op q6 uk f9 17e pb km ti ki*2 hb va r0 ef dp ki p4 q5 14p 173 177 q5 100*6 1fl zx vd*4 f0*4 112 13d 11z*5 tg 11z zs*4 x5 wm wt u1*6 1am sw t9*4 do*4 wd uh vh*5 vj va uf*4 q4 vt q4 100 u1 100 u1 100 u1 zx sw zx sw zx sw zx sw 108 za 112 wz vd t9 vd t9 vd t9 vd t9 vd t9 11l v0 11l v0 11l v0 11l v0 13d ue 12o v8 f0 do f0 do f0 do f0 df f0 do 19g qm ug dx ym rz uq tq df tq df tq hl tq jj tq ex 13d uh 13d uh 13d uh*2 128 va 11z vh 11z vh 11z vh 1gm 1e4 y0 ip y0 ip y0 ip ws sh ws sh ws sh ws sh wx i2 wx j6 wx i2 zs uf zs uf zs uf zs uf zs uf zs uf 1cy 15h x5 q4 x5 x2 re x2 re x2 re dp it 11x vk 1au 10v 14b v0 11u ws sh vt pq i2 yk ic wx 12d y5 ws sh wx i2 pz oj 6n pl fr fj 6n mc fj fr br*2 80 7q fb*3 ex nl df ih ey q1 kl e6 rx 100 ep y5 165 hs - 12j - zx 119 hw 100 ye up 12x vd x2 13d 11k f0 ym 107 1c6 13d vj 11z 13d yt - vj wx x5 13j yl 126 10p f0 x5 v7 ts va hw u4 v7 wp ro va ts sl va vg hw uq ul va qq r2 vh ww va tp v9 ss u4 12w um 12n 19g hw u4 vh u4 19g vd*2 15e up 118 ws f0*2 ug 1n4 1nn 18x ym 13d yp 13c 100 z2 ye up 15i vd 1e3 ws 13d*2 zh 133 1c6 13d 11z 13d yt zx wx yp 16m yl 14d 11s 1fx 1hg 15v 1c0 ym 118 1dm z5 u1 uj vk n6 xb t9 16a s1 vv*2 tu vw 14x vu vh vv v0 sw qj q4 141 re wq u1 18n 19o y9 174 tz tp 192 ua t9*2 ue n6 tp sh df do d7 1at 1bj vk tu vv q4 vv ua om 1cy 15h 1cy 15h 1cy 15h zn 100 u1 100 u1 100 u1 100 u1 100 u1 100 u1 100 u1 100 u1 100 u1 100 u1 100 u1 100 u1 vd t9 vd t9 vd t9 vd t9 vd t9 vd t9 vd t9 vd t9 f0 do f0 df 11z vh 11z vh 11z vh 11z vh 11z vh 11z vh 11z vh 11x vk 11x vk 11x vk 11x vk 11x vk zs uf zs uf 12d y5 12d y5 12d y5 12d y5 12d y5 x5 q4 x5 q4 x5 q4 x5 q4 fh*2 vu 10i 17d*2 b2*2 b0 b2 js k0 j1 km ug vh im tn e2 q9 117 1gv 1rm 9n ho gl*2 v0 1kr yj -*4 vk',
      },
      {
        weight: 700,
        italic: true,
        names: ["Roboto Bold Italic","Roboto-BoldItalic"],
        unitsPerEm: 2048,
        widths:
          'e1 f0 hp ww vo 14r 108 8y jd jg p1 u4 di lf g2 kn vo*10 fv er s4 vl si rh 1de 116 z8 105 zw v1 u9 11l 131 g4 uu z2 tw 1cc 130 124 zm 124 z8 xx y5 10c 103 1ca z3 y5 xh fd nb fd o5 oo ia tl v2 st v4 tu js vj ux en ed th en 1bs ux v7 v2 v6 k6 se in ux rx 14k s4 rq s4 i9 dz i9 zt e1 fm vs wt 127 tl dx yo pr 17b oi ru uf lf 17b rn lg to ku*2 ic xz r2 gm et ku p9 ru 13w 16a 18v rh 116*6 1fw 105 v1*4 g4*4 10q 130 124*5 tb 121 10c*4 y5 xl yt tl*6 1am st tu*4 f4*4 vs ux v7*5 vh v5 ux*4 rq vb rq 116 tl 116 tl 116 tl 105 st 105 st 105 st 105 st zw za 10q ys v1 tu v1 tu v1 tu v1 tu v1 tu 11l vj 11l vj 11l vj 11l vj 131 ux 13q vr g4 f4 g4 f4 g4 f4 g4 en g4 f4 1ay t0 uu fk z2 th wl tw en tw en tw it tw kr us gv 130 ux 130 ux 130 ux*2 12t v5 124 v7 124 v7 124 v7 1hg 1dt z8 k6 z8 k6 z8 k6 xx se xx se xx se xx se y5 in y5 jr y5 in 10c ux 10c ux 10c ux 10c ux 10c ux 10c ux 1ca 14k y5 rq y5 xh s4 xh s4 xh s4 ec jx 12p w3 1di 142 17t v2 125 xx se vl sy in 12q k4 y5 13b xo xx se y5 in re q0 8w rx ig id 8w nu id ig f6*2 9o 9e h3*3 hq oj en ie gm qk mo im u9 116 gw xt 15t iw - 12o - 10x 11n il 116 z8 us 14d v1 xh 131 11z g4 z2 zq 1cc 130 vb 124 132 zm - vb y5*2 16h z3 143 113 g4 y5 v4 uq v5 il u5 v4 x8 s7 v5 uq rn v5 wk il wl ua xz rx t9 v7 zj v5 se vl sq u5 155 tl 152 19c il u5 v7 u5 19c v1*2 159 us 10e xx g4*2 uu 1me 1mf 16l z2 12n yu 12o 116 yv z8 us 15a v1 1j3 y1 12n*2 zn 130 1cc 131 124 132 zm 105 y5 yu 193 z3 15v 12d 1gw 1kd 16j 1cd yk zw 1gc wy tl vf v8 n4 yv tu 1b5 sd vc*2 v3 ve 15w vb v7 vc v2 st s4 rq 14c s4 xn uk 19o 1dp 108 19y ut sp 18t uw tu*2 ux n4 sp se en f4 ed 1be 1bj vf v3 vc rq vc un ph 1ca 14k 1ca 14k 1ca 14k 11f 116 tl 116 tl 116 tl 116 tl 116 tl 116 tl 116 tl 116 tl 116 tl 116 tl 116 tl 116 tl v1 tu v1 tu v1 tu v1 tu v1 tu v1 tu v1 tu v1 tu g4 f4 g4 en 124 v7 124 v7 124 v7 124 v7 124 v7 124 v7 124 v7 12p w3 12p w3 12p w3 12p w3 12p w3 10c ux 10c ux 13b xo 13b xo 13b xo 13b xo 13b xo y5 rq y5 rq y5 rq y5 rq lp*2 uy z5 16e*2 cx co dp bk mo mu m8 mv tq vy ju ts g4 t2 154 1gz 1ty 8y hp h8 go vo 1k0 yv -*4 uo',
      },
    ],
  },
  {
    name: 'Noto Serif',
    kind: 'serif',
    systems: ["Android","Linux"],
    measured: 'Noto Serif',
    faces: [
      {
        weight: 400,
        italic: false,
        names: ["Noto Serif","Noto Serif Regular","NotoSerif-Regular","NotoSerif"],
        unitsPerEm: 1000,
        widths:
          '78 98 bc fj*2 ow km 64 9m*2 dw fj 6y 8m 6y 80 fj*10 7y*2 fj*3 d6 pl jl i6 h2 k7 hb ge ju m1 a7 9x jg hb q2 l7 km gs km i8 f4 h1 jx ir t3 ic hd gg a0 80 a0 fj cr 7m fn h2 do h2 ev a9 ey hn 8w 8c g9 8m q9 hx g1 h2*2 d3 cj 9s hn g3 ny g2 fp e7 bw fj bw fj 78 98 fj*5 f4 g1 nh am ea fj 8m nh cr b4 fj b4*2 7m h3 h5 6y 99 b4 b1 ea nc*3 d6 jl*6 qf h2 hb*4 a7*4 k7 l7 km*5 fj km jx*4 hd gs hz fn*6 nd do ev*4 8w*4 g1 hx g1*5 fj g1 hn*4 fp h2 fp jl fn jl fn jl fn h2 do h2 do h2 do h2 do k7 h2 k7 h2 hb ev hb ev hb ev hb ev hb ev ju ey ju ey ju ey ju ey m1 hn m1 hn a7 8w a7 8w a7 8w a7 8w a7 8w jc h8 9x 8c jg g9*2 hb 8m hb 8m hb 8m hb aa hb 90 l7 hx l7 hx l7 hx lo l7 hn km g1 km g1 km g1 qn p5 i8 d3 i8 d3 i8 d3 f4 cj f4 cj f4 cj f4 cj h1 9s h1 9s h1 9s jx hn jx hn jx hn jx hn jx hn k5 hn t3 ny hd fp hd gg e7 gg e7 gg e7 9v cj lm gv um nl ix h2 i8 f4 cj gt 8c 9s hg 9s h1 lm is f4 cj h1 9s af*2 3v aa 7m*2 3v aa 7m*2 9c*2 50*2 8c*4 a0 5e 99 dw c4 ck g1*2 jl 7g jk o8 ce - km - kr kx 9a jl i6 fl gw hb gg m1 km a7 jg ir q2 l7 h9 km l7 gs - gt h1 hd lb ic n0 kx a7 hd gz ds gt 9a gh gz gv fy g1 ds cu gt g3 9a gu ev h3 g3 d2 g1 hi gy d5 gs dq gh jd eo ja lc 9a gh g1 gh lc hb*2 l8 fl h2 f4 a7*2 9x op qy mw jg mb im l7 jl gs i6 fl iy hb r7 gr mb*2 jg ji q2 m1 km l7 gs h2 h1 im lb ic l7 l0 tz*2 jm p7 gs h1 sw i8 fn g0 gj cq g5 ev og d7 j4*2 h3 hg lv j4 g1 ik h2 do f7 fp jx g2 iu hs qa*2 jk my gj dn nv fg ev*2 h0 cq do cj 8w*2 8c nr p9 hn h3 j4 fp iu f4 cd t3 ny t3 ny t3 ny iy jl fn jl fn jl fn jl fn jl fn jl fn jl fn jl fn jl fn jl fn jl fn jl fn hb ev hb ev hb ev hb ev hb ev hb ev hb ev hb ev a7 8w a7 8w km g1 km g1 km g1 km g1 km g1 km g1 km g1 lm gv lm gv lm gv lm gv lm gv jx hn jx hn lm is lm is lm is lm is lm is hd fp hd fp hd fp hd fp 8m*2 fj dw rs*2 6y*4 ci*4 cg*2 a2 dw 6y ew nu zv 1au 58 ag 99*2 fj si n7 -*5',
      },
      {
        weight: 700,
        italic: false,
        names: ["Noto Serif Bold","NotoSerif-Bold"],
        unitsPerEm: 1000,
        widths:
          '78 am e4 fj*2 p6 m9 82 b4*2 dy fj 86 8m 86 80 fj*10 8g*2 fj*3 fa pl kx io ik lb i5 h9 ld mr b5 b1 ke i6 qg lw lv hq lv jn ga i5 kr je tn kc j9 ii bi 80 bi fj cr 9a gn i1 en i1 fv bb fk ij 9s 9l ho 9s re ij h1 hx i0 ej dk b9 ij gu ns hy g3 ep ca fj ca fj 78 am fj*5 f4 g1 nh bo fe fj 8m nh cr b4 fj b4*2 9a ih hf 86 99 b4 c5 fe nc*3 fa kx*6 rl ik i5*4 b5*4 lb lw lv*5 fj lv kr*4 j9 hq jm gn*6 ob en fv*4 9s*4 h1 ij h1*5 fj h1 ij*4 g3 hx g3 kx gn kx gn kx gn ik en ik en ik en ik en lb i1 lb i1 i5 fv i5 fv i5 fv i5 fv i5 fv ld fk ld fk ld fk ld fk mr ij mr ij b5 9s b5 9s b5 9s b5 9s b5 9s m6 jd b1 9l ke ho*2 i6 9s i6 9s i6 9s i6 d0 i6 9s lw ij lw ij lw ij nr lw ij lv h1 lv h1 lv h1 sb pz jn ej jn ej jn ej ga dk ga dk ga dk ga dk i5 b9 i5 b9 i5 b9 kr ij kr ij kr ij kr ij kr ij l1 ij tn ns j9 g3 j9 ii ep ii ep ii ep aw dt nf im x1 q7 lg hx jn ga dk hn 9s b9 i5 b9 i5 np lm ga dk i5 b9 c3*2 4c aa 9a*2 4c aa 9a*2 8s*2 50*2 8c*4 b4 6z 99 dw d8 de g1*2 kx 86 lj q5 ej - m2 - nc nb ax kx io gf jg i5 ii mr lv b5 ke je qg lw hj lv mh hq - hn i5 j9 nm kc r4 mg b5 j9 i1 ev i9 ax hl i1 if fy h1 ev du i9 h1 ax ht fu ih g3 e1 h1 ik i0 e3 hx en hl kz gr jy m8 ax hl h1 hl m8 i5*2 mw gf ik ga b5*2 b1 qj s8 ol k0 mr ja mh kx i3 io gf jo i5 sw h5 mr*2 k0 k7 qg mr lv mh hq ik i5 ja nm kc mn lo vm vs ko rg hq iy uw jm gn h1 h9 e4 hd fv pm ep j7*2 hu id nz j7 h1 in hx en fr g3 mt hy j2 ix rn s2 jr p5 gr ef pn h1 fv*2 i3 e4 en dk 9s*2 9l os pm ij hu j7 g3 in f8 cq tn ns tn ns tn ns kl kx gn kx gn kx gn kx gn kx gn kx gn kx gn kx gn kx gn kx gn kx gn kx gn i5 fv i5 fv i5 fv i5 fv i5 fv i5 fv i5 fv i5 fv b5 9s b5 9s lv h1 lv h1 lv h1 lv h1 lv h1 lv h1 lv h1 nf im nf im nf im nf im nf im kr ij kr ij np lm np lm np lm np lm np lm j9 g3 j9 g3 j9 g3 j9 g3 8m*2 fj dw rs*2 7s*2 86 7s dl*4 da*2 b4 dw 86 g0 pc 10e 1c2 6y dm 9t*2 fj si n7 -*5',
      },
      {
        weight: 400,
        italic: true,
        names: ["Noto Serif Italic","NotoSerif-Italic"],
        unitsPerEm: 1000,
        widths:
          '78 99 bc fj*2 ow km 64 9m*2 dw fj 6y 8m 6y 80 fj*10 7y*2 fj*3 dw pl jl i6 hf k5 hb ge ju m1 a7 9x jg hb q2 l7 km h8 km ig f4 h1 ka ir t1 ic hd gt a0 80 a0 fj cr 7r g3 fm dj g3 dp 8u fg gn 8g 83 ft 8g ow gn fy g1 fk d0 cw a8 gn ey mr f6 eo e7 bw fj bw fj 78 99 fj*5 f4 g1 nh ax ea fj 8m nh cr b4 fj b4*2 7b gs h5 7y 99 b4 b1 ea o8*3 dw jl*6 qf hf hb*4 a7*4 k5 l7 km*5 fj km ka*4 hd gs hf g3*6 ml dj dp*4 8g*4 fy gn fy*5 fj fy gn*4 eo fm eo jl g3 jl g3 jl g3 hf dj hf dj hf dj hf dj k5 g3 k5 g2 hb dp hb dp hb dp hb dp hb dp ju fg ju fg ju fg ju fg m1 gn m1 gn a7 8g a7 8g a7 8g a7 8g a7 8g k4 gj 9x 83 jg ft*2 hb 8g hb 8g hb 8g hb ay hb 90 l7 gn l7 gn l7 gn lf l7 fm km fy km fy km fy qq nz ig d0 ig d0 ig d0 f4 cw f4 cw f4 cw f4 cw h1 a8 h1 a8 h1 a8 ka gn ka gn ka gn ka gn ka gn ka gn t1 mr hd eo hd gt e7 gt e7 gt e7 8c b8 lm gv tv ob jd g1 hz fa co gt 86 a8 h1 a8 h1 lm i5 f4 cw h1 a8 af*2 3s ab 7b 7r 3s ab 7b 7r 97*2 5e*2 6y*2 7l*2 a7 5h 92 8a c4 cb g1*2 jl 7y le q3 e8 - mo - m9 nl 9a jl i6 fl gw hb gt m1 km a7 jg ir q2 l7 h9 km l7 h8 - gt h1 hd l9 ic n0 kx a7 hd go ds gg 9a gh go gl f1 g1 ds cu gg fj 9a g3 ev gs fd d2 fy he gy d5 gs dq gh iq eo jo l8 9a gh fy gh l8 hb*2 l8 fl h2 f4 a7*2 9x op qy n3 jg mb im l7 jl gs i6 fl iy hb r7 gr mb*2 jg ji q2 m1 km l7 h8 hf h1 im l9 ic l7 kj tz*2 jm p7 h1 hj t3 i8 g3 g4 ec du gd dp s2 d8 gn*2 gt hu p0 hh fy gn g1 dj ow eo lv f6 gu gx ou p1 gv la eo da n9 ge dp*2 fi du do cw 8g*2 83 nc m1 gn gt gn eo gn f4 cd t1 mr t1 mr t1 mr jo jl g3 jl g3 jl g3 jl g3 jl g3 jl g3 jl g3 jl g3 jl g3 jl g3 jl g3 jl g3 hb dp hb dp hb dp hb dp hb dp hb dp hb dp hb dp a7 8g a7 8g km fy km fy km fy km fy km fy km fy km fy lm gv lm gv lm gv lm gv lm gv ka gn ka gn lm i5 lm i5 lm i5 lm i5 lm i5 hd eo hd eo hd eo hd eo 8m*2 fj dw rs*2 6y*4 ci*4 cg*2 a2 dw 7y ew nu zo 1ag 64 bc 99*2 fj si n7 -*5',
      },
      {
        weight: 700,
        italic: true,
        names: ["Noto Serif Bold Italic","NotoSerif-BoldItalic"],
        unitsPerEm: 1000,
        widths:
          '78 az e4 fj*2 ow m9 82 b4*2 h6 fj 8g 8m 8g 80 fj*10 9y*2 fj*3 ev pl kx io ik lc hl h9 m4 mr b5*2 kl i6 qg lw m0 if lv jn ga i5 kr je tn kc j9 ii bi 80 bi fj cr 9a ih hb eo ih ev b8 g4 i8 9u 9e gl 9u qx io h6 hb hj fb ea bl ip ga ob gs ga fi ca fj ca fj 78 az fj*5 f4 g1 nh bz fe fj 8m nh cr b4 fj b4*2 91 it hf 8g 99 b4 bb fe oi*3 ev kx*6 rl ik hl*4 b5*4 lc lw m0*5 fj m0 kr*4 j9 hq jb ih*6 og eo ev*4 9u*4 h3 io h6*5 fj h6 ip*4 ga hb ga kx ih kx ih kx ih ik eo ik eo ik eo ik eo lc ih lc ig hl ev hl ev hl ev hl ev hl ev m4 g4 m4 g4 m4 g4 m4 g4 mr i8 mr i8 b5 9u b5 9u b5 9u b5 9u b5 9u ma j8 b5 9e kl gl*2 i6 9u i6 9u i6 9u i6 cv i6 9u lw io lw io lw io of l7 i4 m0 h6 m0 h6 m0 h6 rj p1 jn fb jn fb jn fb ga ea ga ea ga ea ga ea i5 bl i5 bl i5 bl kr ip kr ip kr ip kr ip kr ip kr ip tn ob j9 ga j9 ii fi ii fi ii fi b8 dv nf im wy q7 m9 hb jn ga dk hn a1 bl i5 bl i5 np lm ga ea i5 bl c3*2 4b aa 91 9a 4b aa 91 9a 9z 9y 5n*2 70*2 7l*2 b1 72 92 8s ci d5 g1*2 kx 8g mv s7 gh - oe - p3 pe ah kx io gf jg hl ii mr m0 b5 kl jt qg lw ie m0 mg if - hn i5 j9 nm kc r4 mg b5 j9 ib f4 hk ah hr ib hv gp h3 f4 e7 hk hd ah gt fy it gq et h6 id h6 eg i4 dy hr kn g5 k1 md ah hr h6 hr md hl*2 o1 gf ik ga b5*3 qs sq ol kn mr ja mh kx ig io gf j7 hl t0 h1 mr*2 kn k1 qg mr m0 mg if ik i5 ja nm kc mh kz vd*2 lf rf ig ip v4 jm ih gv fi ec he ev wp f4 ip*2 gt j0 qb iz h6 io hb eo qx ga nx gs iz i5 r0 ra i7 oi gj ew p9 hw ev*2 hi ec eo ea 9u*2 9e p4 ol i8 gt ip ga ip f2 de tn ob tn ob tn ob kl kx ih kx ih kx ih kx ih kx ih kx ih kx ih kx ih kx ih kx ih kx ih kx ih hl ev hl ev hl ev hl ev hl ev hl ev hl ev hl ev b5 9u b5 9u m0 h6 m0 h6 m0 h6 m0 h6 m0 h6 m0 h6 m0 h6 nf im nf im nf im nf im nf im kr ip kr ip np lm np lm np lm np lm np lm j9 ga j9 ga j9 ga j9 ga 8m*2 fj dw rs*2 7s*4 dl*4 da*2 b4 dw 8g gd pf 106 1bd 82 ee 9t*2 fj u1 n7 -*5',
      },
    ],
  },
  {
    name: 'DejaVu Sans',
    kind: 'sans-serif',
    systems: ["Linux"],
    measured: 'DejaVu Sans',
    faces: [
      {
        weight: 400,
        italic: false,
        names: ["DejaVu Sans","DejaVuSans"],
        unitsPerEm: 2048,
        widths:
          'i3 mt q6 1bo 107 1i2 18d fn m7*2 sg 1bo i3 kj i3 j6 107*10 j6*2 1bo*3 u7 1kw 12x 131 13q 17t zy wq 183 16s gs*2 11b vp 1d3 16k 18s yb 18s 13j 104 yr 15n 12x 1k9 12z yr 12z m7 j6 m7 1bo sg*2 yv 104 va 104 z0 k1 104 102 ft*2 wy ft 1jf 102 yt 104*2 ne tn mb 102 xo 1aj xo*2 tv 107 j6 107 1bo i3 mt 107*4 j6 sg*2 1kw qt yt 1bo kj 1kw sg*2 1bo mt*2 sg 107*2 i3 sg mt qt yt 1j5*3 u7 12x*6 1jf 13q zy*4 gs*4 183 16k 18s*5 1bo 18s 15n*4 yr yf zu yv*6 1jv va z0*4 ft*4 yt 102 yt*5 1bo yt 102*4 xo 104 xo 12x yv 12x yv 12x yv 13q va 13q va 13q va 13q va 17t 104 183 104 zy z0 zy z0 zy z0 zy z0 zy z0 183 104 183 104 183 104 183 104 16s 102 1g4 13j gs ft gs ft gs ft gs ft gs ft xk vm gs ft 11b wy*2 vp ft vp ft vp lc vp jg vz g6 16k 102 16k 102 16k 102 1aa 16k 102 18s yt 18s yt 18s yt 1ov 1m7 13j ne 13j ne 13j ne 104 tn 104 tn 104 tn 104 tn yr mb yr mb yr mb 15n 102 15n 102 15n 102 15n 102 15n 102 15n 102 1k9 1aj yr xo yr 12z tv 12z tv 12z tv k1*2 1fy yt 1hz 177 113 104 13j 104 tn zy j4 mb yr mb yr 1ct 102 104 tn yr mb sg*2 fn sg*3 fn sg*3 j6*2 hh*2 sg*2 m6 i2 sg*8 13e i3 16g 1dk n8 - 1a8 - 1ax 1az j9 12x 131 vp 12x zy 12z 16s 18s gs 11b 12x 1d3 16k zy 18s 16s yb - zy yr*2 18s 12z 18s 17h gs yr 11i ur 102 j9 wx 11i 10b xo yt ur uy 102 yt j9 xj xo 107 vs vq yt y9 104 xe 102 y9 wx 11j wv 11j 1bn j9 wx yt wx 1bn zy*2 18q yp 13q 104 gs*3 1q8 1ng 18q 14e 16k yo 16s 12x 131*2 yp 18g zy 1pa 10h 16k*2 14e 16s 1d3 16s 18s 16s yb 13q yr yo 1cz 12z 186 130 1ou 1q8 1bd 1e7 131 13q 1pf 13j yv z3 xj tw 13c z0 1f9 u9 10z*2 yd 10d 16x 117 yt 117 104 va x5 xo 1cn xo 12q xm 1g2 1hl 147 18x xj v8 1bw y8 z0*2 zk tw v8 tn ft*3 1fc 1f4 113 yd 10z xo 117 yp tw 1k9 1aj 1k9 1aj 1k9 1aj 17q 12x yv 12x yv 12x yv 12x yv 12x yv 12x yv 12x yv 12x yv 12x yv 12x yv 12x yv 12x yv zy z0 zy z0 zy z0 zy z0 zy z0 zy z0 zy z0 zy z0 gs ft gs ft 18s yt 18s yt 18s yt 18s yt 18s yt 18s yt 18s yt 1fy yt 1fy yt 1fy yt 1fy yt 1fy yt 15n 102 15n 102 1ct 102 1ct 102 1ct 102 1ct 102 1ct 102 yr xo yr xo yr xo yr xo kj*2 107 sg 1kw*2 i3*4 th*4 sg*2 xk*2 j1 11z 1kw 24c 2qq cx l9 mr*2 107 1n6 1kw 1bo*5',
      },
      {
        weight: 700,
        italic: false,
        names: ["DejaVu Sans Bold","DejaVuSans-Bold"],
        unitsPerEm: 2048,
        widths:
          'jt py tn 1bo 13l 1l0 1dm hf q0*2 tr 1bo lm nm lm ks 13l*10 mr*2 1bo*3 x0 1kw 181 17d 15r 1b8 12v*2 1ap 1bm l6*2 183 109 1km 1bm 1cd 15p 1cd 17t 14z 12t 1a7 181 1qr 17v 157 159 q0 ks q0 1bo sg*2 12e 14q xq 14q 12l or 14q 14i ji*2 11u ji 1na 14i 133 14q*2 s2 xv r7 14i 113 1gk 10p 113 x4 14i ks 14i 1bo jt py 13l*2 107 13l ks sg*2 1kw w3 10r 1bo nm 1kw sg*2 1bo ox*2 sg 15v 107 lm sg ox w3 10r 1mw*3 x0 181*6 1pq 15r 12v*4 l6*4 1bo 1bm 1cd*5 1bo 1cd 1a7*4 157 15z 14x 12e*6 1nm xq 12l*4 ji*4 133 14i 133*5 1bo 133 14i*4 113 14q 113 181 12e 181 12e 181 12e 15r xq 15r xq 15r xq 15r xq 1b8 14q 1bo 14q 12v 12l 12v 12l 12v 12l 12v 12l 12v 12l 1ap 14q 1ap 14q 1ap 14q 1ap 14q 1bm 14i 1je 18y l6 ji l6 ji l6 ji l6 ji l6 ji 16c 130 l6 ji 183 11u*2 109 ji 109 ji 109 ra 109 vo 10j l4 1bm 14i 1bm 14i 1bm 14i 1jx 1bm 14i 1cd 133 1cd 133 1cd 133 1ue 1q9 17t s2 17t s2 17t s2 14z xv 14z xv 14z xv 14z xv 12t r7 12t r7 12t r7 1a7 14i 1a7 14i 1a7 14i 1a7 14i 1a7 14i 1a7 14i 1qr 1gk 157 113 157 159 x4 159 x4 159 x4 or*2 1dp 133 1pl 1fw 18h 14q 17t 14z xv 12v ve r7 147 r7 12t 1bj 14i 14z xv 12t r7 sg*2 hf sg*3 hf sg*3 j6*2 ku*2 sg*2 no io sg*6 p4 sg 19d lm 1c4 1le w2 - 1eo - 1jr 1ev m6 181 17d 109 181 12v 159 1bm 1cd l6 183 181 1km 1bm zy 1cd 1bm 15p - 12v 12t 157 1cd 17v 1cc 1cd l6 157 133 vo 14i m6 12f 133 14q 12r 133 vo xm 14i 133 m6 14f 100 15v 12r xm 133 190 14q xq 18b 10b 12f 18i 10p 196 1dg m6 12f 133 12f 1dg 12v*2 1dz 109 15r 14z l6*3 1to 1sa 1dz 1ai 1bm 17v 1bm 181 17d*2 109 1eo 12v 1xn 14f 1bm*2 1ai 1b9 1km 1bm 1cd 1bm 15p 15r 12t 17v 1kf 17v 1gs 19z 1ya 23f 1hg 1my 17d 15r 1us 17t 12e 13q 100 tq 19y 12l 1km x2 13v*2 12m 15o 1ai 13b 133 13b 14q xq wz 113 1kg 10p 166 132 1of 1qw 16r 1fg zz xq 1jb 10j 12l*2 14m tq xq xv ji*3 1ke 1ie 15s 12m 13v 113 13b 109 tq 1qr 1gk 1qr 1gk 1qr 1gk 1ez 181 12e 181 12e 181 12e 181 12e 181 12e 181 12e 181 12e 181 12e 181 12e 181 12e 181 12e 181 12e 12v 12l 12v 12l 12v 12l 12v 12l 12v 12l 12v 12l 12v 12l 12v 12l l6 ji l6 ji 1cd 133 1cd 133 1cd 133 1cd 133 1cd 133 1cd 133 1cd 133 1dp 133 1dp 133 1dp 133 1dp 133 1dp 133 1a7 14i 1a7 14i 1bj 14i 1bj 14i 1bj 14i 1bj 14i 1bj 14i 157 113 157 113 157 113 157 113 nm*2 13l sg 1kw*2 lm*4 11e*4 sg*2 10d*2 iy 11y 1kw 29x 2zc f0 pf ng*2 13l 1wg 1kw 1bo*5',
      },
    ],
  },
  {
    name: 'DejaVu Sans Mono',
    kind: 'monospace',
    systems: ["Linux"],
    measured: 'DejaVu Sans Mono',
    faces: [
      {
        weight: 400,
        italic: false,
        names: ["DejaVu Sans Mono","DejaVuSansMono"],
        unitsPerEm: 2048,
        widths:
          'y9*345 -*2 y9*8 -*2 y9*15 - y9 - y9*20 - y9*148 - y9*2 -*10 y9*2 -*2 y9*2 -*4 y9*4 -*2 y9*2 -*8 y9*2 -*2 y9*4 -*10 y9*6 -*2 y9*6 -*2 y9*4 -*2 y9*8 -*2 y9*20 -*2 y9*15',
      },
      {
        weight: 700,
        italic: false,
        names: ["DejaVu Sans Mono Bold","DejaVuSansMono-Bold"],
        unitsPerEm: 2048,
        widths:
          'y9*345 -*2 y9*8 -*2 y9*15 - y9 - y9*20 - y9*148 - y9*2 -*10 y9*2 -*2 y9*2 -*4 y9*4 -*2 y9*2 -*8 y9*2 -*2 y9*4 -*10 y9*6 -*2 y9*6 -*2 y9*4 -*2 y9*8 -*2 y9*20 -*2 y9*15',
      },
    ],
  },
];
