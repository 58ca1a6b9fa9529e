/**
 * Fonts that systems bring for scripts which their usual ones lack, with the advances of their letters; not with their kerning. Made
 * by tools/data/script-fonts.mjs.
 */
export interface ScriptFontData {
  name: string;
  script: 'Arabic' | 'Hebrew' | 'Thai';
  kind: 'sans-serif' | 'serif' | 'any';
  systems: readonly ('Windows' | 'Apple' | 'Android' | 'Linux')[];
  faces: readonly {
    isBold: boolean;
    /** What `local()` finds it by: full names and PostScript names. */
    names: readonly string[];
    unitsPerEm: number;
    /**
     * In the order of `scriptFontRanges`, base 36, with counts of what repeats; a dash for a letter that isn't there. Of Arabic ones each
     * alone, at the end, in the middle and at the start of a word; then lam with each of `alefsOfLam`, alone and at the end.
     */
    widths: string;
  }[];
}

export const scriptFontRanges: Readonly<Record<ScriptFontData['script'], readonly (readonly [first: number, last: number])[]>> = {"Arabic":[[1548,1548],[1563,1563],[1567,1567],[1569,1594],[1600,1621],[1632,1645],[1648,1749],[1776,1785]],"Hebrew":[[1425,1479],[1488,1514],[1520,1524]],"Thai":[[3585,3642],[3647,3675]]};

/** Alefs that lam makes one letter with. */
export const alefsOfLam: readonly number[] = [1570,1571,1573,1575];

export const scriptFonts: readonly ScriptFontData[] = [
  {
    name: 'Noto Sans Arabic',
    script: 'Arabic',
    kind: 'sans-serif',
    systems: ["Linux"],
    faces: [
      {
        isBold: false,
        names: ["Noto Sans Arabic Regular","NotoSansArabic-Regular","Noto Sans Arabic"],
        unitsPerEm: 1000,
        widths:
          '94*4 9k*4 c2*4 bf*4 6j 81*2 6j*2 81*2 6j cf d4*2 cf 6m 83*2 6m l4 kg 9j 7h 6m 83*2 6m rl ud 9j 7h b9 di*2 b9 rl ud ad 8b rl ud ad 8b hr i1 hp gd hr i1 hp gd hr i1 hp gd d9 es*2 d9*2 es*2 d9 a7 b0*2 a7*2 b0*2 a7 xl z9 nm ls xl z9 nm ls 10a 11k qd p3 10a 11k qd p3 lw n3 jq it lw n3 jq it e3 er eh dz e3 er eh dz 7i*4 rb ui dr cf li mg dr cf oi pm e4 bg jb ka 8c 78 dg fm g2 el j1 ka 9j 7h b9 di e3 fy cf d4*2 cf l4 kg 9j 7h l4 kg ad 8b 0*44 87*4 7s*4 dj*4 g7*4 da*4 es*4 e0*4 g2*4 g0*4 dn*4 d5*4 6t*8 du*4 0*4 6j 81*2 6j*2 81*2 6j 6m 83*2 6m 5f*4 b5 bf*2 b5 cf d4*2 cf gl er*2 gl nn kg 9j 9q rl ud 9j 8b rl ud 9j 7h rl ud 9j 7h rl ud 9j 8b rl ud ad 8b rl ud ad 8b rl ud ad 8b rl ud ad 8b hr i1 hp gd hr i1 hp gd ib jz hp gd hr i1 hp gd hr i1 hp gd ib jz hp gd ib jz hp gd d9 es*2 d9*2 es*2 d9*2 es*2 d9*2 es*2 d9*2 es*2 d9*2 es*2 d9*2 es*2 d9*2 es*2 d9*2 es*2 d9 a7 b0*2 a7*2 b0*2 a7*2 b0*2 a7*2 b0*2 a7*2 b0*2 a7*2 b0*2 a7*2 b0*2 a7*2 b0*2 a7*2 b0*2 a7 xl z9 nm ls xl z9 nm ls xl*4 10a 11k qd p3 10a 11k qd p3 lw n3 jq it e3 er eh dz rb ui dr cf rb ui dr cf rb ui dr cf rb ui dr cf rb ui dr cf rb ui dr cf li mg li*3 mg dr cf od r3 e4 bg sa ub na l7 od r3 e4 bg oi pm e4 bg oi pm e4 bg oi pm e4 bg od r3 e4 bg od r3 e4 bg od r3 e4 bg od r3 e4 bg od r3 e4 bg od r3 e4 bg jb ka 8c 78 jb ka 8c 78 jb ka 8c 78 jb ka 8c 78 j1 ka 9j 7h j1 ka j1*3 ka 9j 8b j1 ka ad 8b j1 ka 9j 7h io h2 e3 fy ib jz hp gd b9 di*2 b9*2 db c6 7h b9 db c6 7h b9 db*2 b9 cf d4*2 cf*2 d4*2 cf*2 d4*2 cf*2 d4*2 cf*2 d4*2 cf*2 d4*2 cf*2 d4*2 cf*2 d4*2 cf l4 kg ad 8b ot nm*2 ot l4 kg ad 8b cf d4*2 cf l4 kg 9j 7h l4 kg 9j 7h q6 f9*2 q6*2 f9*2 q6 8b*4 b9 di*2 b9 87*4 7s*4 dj*4 g7*4 do*4 f5*4 bt*4 g2*4 g0*4 dn*4 iu iv g6 gn g6 gn g6 gn',
      },
      {
        isBold: true,
        names: ["Noto Sans Arabic Bold","NotoSansArabic-Bold"],
        unitsPerEm: 1000,
        widths:
          '8z*4 9g*4 e8*4 d2*4 7j 8s*2 7j*2 8s*2 7j du ek*2 du 7l 8u*2 7l mt m8 ao 8t 7l 8u*2 7l sg vq ao 8t d3 fg*2 d3 sg vq bd 9z sg vq bd 9z j3 kj i6 hh j3 kj i6 hh j3 kj i6 hh ed fv*2 ed*2 fv*2 ed bd ci*2 bd*2 ci*2 bd 122 13z sb qe 122 13z sb qe 13i 142 rw r2 13i 142 rw r2 ng nx l6 kh ng nx l6 kh fu*2 fc fh fu*2 fc fh 81*4 sg uz ep e1 n4 nr ep e1 pv r2 e4 cm kl lz 9k 89 f8 id hc g6 kl md ao 8t d3 fg fv ht du ek*2 du mt m8 ao 8t mt m8 bd 9z 0*44 9l*4 99*4 f4*4 h4*4 do*4 ft*4 fk*4 hr*8 f4*4 f1*4 79*8 du*4 0*4 7j 8s*2 7j*2 8s*2 7j 7l 8u*2 7l 5x*4 cq f8*2 cq du ek*2 du gv ek*2 gv p0 m8 ao 9q sg vq ao 9z sg vq ao 8t sg vq ao 8t sg vq ao 9z sg vq bd 9z sg vq bd 9z sg vq bd 9z sg vq bd 9z j3 kj i6 hh j3 kj i6 hh j3 l3 i6 hh j3 kj i6 hh j3 kj i6 hh j3 l3 i6 hh j3 l3 i6 hh ed fv*2 ed*2 fv*2 ed*2 fv*2 ed*2 fv*2 ed*2 fv*2 ed*2 fv*2 ed*2 fv*2 ed*2 fv*2 ed*2 fv*2 ed bd ci*2 bd*2 ci*2 bd*2 ci*2 bd*2 ci*2 bd*2 ci*2 bd*2 ci*2 bd*2 ci*2 bd*2 ci*2 bd*2 ci*2 bd 122 13z sb qe 122 13z sb qe 122*4 13i 142 rw r2 13i 142 rw r2 ng nx l6 kh fu*2 fc fh sg uz ep e1 sg uz ep e1 sg uz ep e1 sg uz ep e1 sg uz ep e1 sg uz ep e1 n4 nr n4*3 nr ep e1 p9 qg e4 cm sq v6 p0 ml p9 qg e4 cm pv r2 e4 cm pv r2 e4 cm pv r2 e4 cm p9 qg e4 cm p9 qg e4 cm p9 qg du cm p9 qg e4 cm p9 qg e4 cm p9 qg e4 cm kl lz 9k 89 kl lz 9k 89 kl lz 9k 89 kl lz 9k 89 kl md ao 8t kl md kl*3 md ao 9z kl md bd 9z kl md ao 8t lf j1 fv ht j3 l3 i6 hh d3 fg*2 d3*2 ga eb 8t d3 ga eb 8t d3 ga*2 d3 du ek*2 du*2 ek*2 du*2 ek*2 du*2 ek*2 du*2 ek*2 du*2 ek*2 du*2 ek*2 du*2 ek*2 du mt m8 bd 9z r4 po*2 r4 mt m8 bd 9z du ek*2 du mt m8 ao 8t mt m8 ao 8t q6 fl*2 q6*2 fl*2 q6 91*4 d3 fg*2 d3 9l*4 99*4 f4*4 h4*4 fk*4 hi*4 d0*4 hr*8 f4*4 kc ix ie ix hk ix hk ix',
      },
    ],
  },
  {
    name: 'Noto Naskh Arabic',
    script: 'Arabic',
    kind: 'serif',
    systems: ["Linux"],
    faces: [
      {
        isBold: false,
        names: ["Noto Naskh Arabic Regular","NotoNaskhArabic-Regular","Noto Naskh Arabic"],
        unitsPerEm: 1000,
        widths:
          '5w*8 bt*4 c5*4 6m 71*2 6m*2 71*2 6m d0*4 74 71*2 74 h6 j3 84 7n 6m 71*2 6m lg mp 84 7n bc cz*2 bc lg mp a0 7n lg mp a0 7n ho ii*2 ho*2 ii*2 ho*2 ii*2 ho bi d6*2 bi*2 d6*2 bi aq b8*2 aq*2 b8*2 aq s5 s9 if ia s5 s9 if ia ug uj lm lu ug uj lm lu ld lj hh ic ld lj hh ic gs d9 bi e1 gs d9 bi e1 5u*4 nk mp ar bo hz hu ar bo fi kg cr bj gj gf 6t 5w dl eo bh co ga g9 84 7n bc ck al e4 d0*4 h6 j3 84 7n h6 j3 a0 9j 0*44 8q*4 8s*4 bh*4 da*4 bo*4 am*4 cd*4 c4*8 c1*4 b5*4 66*4 4h*4 b4*4 0*4 6m 71*2 6m*2 71*2 6m 74 71*2 74 3j*4 9d 85*2 9d d0*8 kr j3 98 9s lg mp a0 7n lg mp a0 9j lg mp 84 7n lg mp a0 7n lg mp a0 9j lg mp a0 9j lg mp a0 9j lg mp a0 9j ho ii*2 ho*2 ii*2 ho*2 ii*2 ho*2 ii*2 ho*2 ii*2 ho*2 ii*2 ho*2 ii*2 ho bl d6*2 bl bi d6*2 bi*2 d6*2 bi*2 d6*2 bi*2 d6*2 bi*2 d6*2 bi*2 d6*2 bi*2 d6*2 bi*2 d6*2 bi ac au*2 ac*2 au*2 ac*2 au*2 ac aq b8*2 aq ac au*2 ac aq b8*2 aq*2 b8*2 aq*2 b8*2 aq*2 b8*2 aq s5 s9 if ia s5 s9 if ia s5 s9 if ia ug uj lm lu ug uj lm lu ld lj hh ic gs d9 bi e1 nk mp ar bo nk mp ar bo nk mp ar bo nk mp ar bh nk mp ar bo nk mp ar bh hz hu ar bo hz hu ar bh k2 lk cr bj s7 tl q2 on j3 lk cr bj fi kg cr bj fi kg cr bj fi kg cr bj k2 lk cr bj k2 lk cr bj k2 lk cr bj k2 lk cr bj k2 lk cr bj k2 lk cr bj gj gf 6t 5w gj gf 6t 5w gj gf 6t 5w gj gf 6t 9s ga g9 84 7n ga g9 84 7n ga g9 a0 7n ga g9 84 7n ga g9 a0 9j hj hm e9 e4 ho ii*2 ho bc ck*2 bc*2 bt az 7n bc bt az 7n br bt*2 br d0*32 h6 j3 a0 9j kx mu*2 kx h6 j3 a0 9j d0*4 h6 j3 a0 9j h6 j3 a0 9j lh fk*2 lh*2 f5*2 lh 6r*4 bc ck*2 bc 8q*4 8s*4 bh*4 da*4 cx*4 cm*4 cd*4 bo*4 c4*4 bx*4 ee gy ee gy ee gy ee gy',
      },
      {
        isBold: true,
        names: ["Noto Naskh Arabic Bold","NotoNaskhArabic-Bold"],
        unitsPerEm: 1000,
        widths:
          '79*8 bt*4 ck*4 7w 80*2 7w*2 80*2 7w dt dk*2 dt 7w 80*2 7w ho j6 84 80 7w 80*2 7w me mp 84 7n bt e3*2 bt me mp a0 7n me mp a0 7n i7 k4 i9 i1 i7 k4 i9 i1 i7 k4 i9 i1 c3 dh*2 c3*2 dh*2 c3 ah az*2 ah*2 az*2 ah th sv jd jg th sv jd jg vf wz ni m3 vf wz ni m3 m0 nd jm j9 m0 nd jm j9 gs d9 cg ed gs d9 cg ed 5u*4 nk n4 bg bv i4 hk bg bv h6 kp cz cb h0 h5 6t 61 dy ff bh d5 gs gn 84 7n bt cy b1 ec dt dk*2 dt ho j6 84 7n ho j6 a0 9j 0*44 9y*4 9j*4 cl*4 e3*4 ci*4 b6*4 d8*4 dh*8 co*4 d3*4 6y*4 6m*4 b4*4 0*4 7w 80*2 7w*2 80*2 7w*2 80*2 7w 3w*4 b3 8u*2 b3 el dk*2 el dt dk*2 dt lf j6 ah av me mp a0 7n me mp a0 9j me mp 84 7n me mp a0 7n me mp a0 9j me mp a0 9j me mp a0 9j me mp a0 9j i7 k4 i9 i1 i7 k4 i9 i7*2 k4 i9 i1 i7 k4 i9 i1 i7 k4 i9 i1 i7 k4 i9 i1 i7 k4 i9 i1 c3 dh*2 c3*2 dh*2 c3*2 dh*2 c3*2 dh*2 c3*2 dh*2 c3*2 dh*2 c3*2 dh*2 c3*2 dh*2 c3 cq dh*2 cq ah az*2 ah*2 az*2 ah*2 az*2 ah*2 az*2 ah*2 az*2 ah*2 az*2 ah*2 az*2 ah*2 az*2 ah*2 az*2 ah th sv jd jg th sv jd jg th sv jd jg vf wz ni m3 vf wz ni m3 m0 nd jm j9 gs d9 cg ed nk n4 bg bv nk n4 bg bv nk n4 bg bv nk n4 bg bv nk n4 bg bv nk n4 bg bv i4 hk bg bv i4 hk bg bv kl lc cz cb s7 tl q2 on kl lc cz cb h6 kp cz cb h6 kp cz cb h6 kp cz cb kl lc cz cb kl lc cz cb kl lc cz cb kl lc cz cb kl lc cz cb kl lc cz cb h0 h5 6t 61 h0 h5 6t 61 h0 h5 6t 61 h0 h5 6t 93 gs gn 84 7n gs gn 84 7n gs gn a0 7n gs gn 84 80 gs gn a0 9j im jq fh e4 i7 k4 i9 i1 bt cy*2 bt*2 bz bg 7n bt bz bg 7n dk cj*2 dk dt dk*2 dt e2 dt*2 e2 dt dk*2 dt*2 dk*2 dt*2 dk*2 dt*2 dk*2 dt e5 dw*2 e5 dt dk*2 dt ho j6 a0 9j ll n5*2 ll ho j6 a0 9r dt dk*2 dt ho j6 a0 9j ho j6 a0 9j mg fq*2 mg*2 em*2 mg 82*4 bt cy*2 bt 9y*4 9j*4 cl*4 e3*4 br*4 db*4 d8*4 al*4 dh*4 a1*4 f6 hj f6 hj f6 hj f6 hj',
      },
    ],
  },
  {
    name: 'Noto Naskh Arabic',
    script: 'Arabic',
    kind: 'any',
    systems: ["Android"],
    faces: [
      {
        isBold: false,
        names: ["Noto Naskh Arabic","NotoNaskhArabic","Noto Naskh Arabic Regular","NotoNaskhArabic-Regular"],
        unitsPerEm: 1000,
        widths:
          '5w*8 bt*4 c5*4 6m 71*2 6m*2 71*2 6m d0*4 74 71*2 74 h6 j3 84 7n 6m 71*2 6m lg mp 84 7n bc cz*2 bc lg mp a0 7n lg mp a0 7n ho ii*2 ho*2 ii*2 ho*2 ii*2 ho bi d6*2 bi*2 d6*2 bi aq b8*2 aq*2 b8*2 aq s5 s9 if ia s5 s9 if ia ug uj lm lu ug uj lm lu ld lj hh ic ld lj hh ic gs d9 bi e1 gs d9 bi e1 5u*4 nk mp ar bo hz hu ar bo fi kg cr bj gj gf 6t 5w dl eo bh co ga g9 84 7n bc ck al e4 d0*4 h6 j3 84 7n h6 j3 a0 9j 0*44 8q*4 8s*4 bh*4 da*4 bo*4 am*4 cd*4 c4*8 c1*4 b5*4 66*4 4h*4 b4*4 0*4 6m 71*2 6m*2 71*2 6m 74 71*2 74 3j*4 9d 85*2 9d d0*8 kr j3 98 9s lg mp a0 7n lg mp a0 9j lg mp 84 7n lg mp a0 7n lg mp a0 9j lg mp a0 9j lg mp a0 9j lg mp a0 9j ho ii*2 ho*2 ii*2 ho*2 ii*2 ho*2 ii*2 ho*2 ii*2 ho*2 ii*2 ho*2 ii*2 ho bl d6*2 bl bi d6*2 bi*2 d6*2 bi*2 d6*2 bi*2 d6*2 bi*2 d6*2 bi*2 d6*2 bi*2 d6*2 bi*2 d6*2 bi ac au*2 ac*2 au*2 ac*2 au*2 ac aq b8*2 aq ac au*2 ac aq b8*2 aq*2 b8*2 aq*2 b8*2 aq*2 b8*2 aq s5 s9 if ia s5 s9 if ia s5 s9 if ia ug uj lm lu ug uj lm lu ld lj hh ic gs d9 bi e1 nk mp ar bo nk mp ar bo nk mp ar bo nk mp ar bh nk mp ar bo nk mp ar bh hz hu ar bo hz hu ar bh k2 lk cr bj s7 tl q2 on j3 lk cr bj fi kg cr bj fi kg cr bj fi kg cr bj k2 lk cr bj k2 lk cr bj k2 lk cr bj k2 lk cr bj k2 lk cr bj k2 lk cr bj gj gf 6t 5w gj gf 6t 5w gj gf 6t 5w gj gf 6t 9s ga g9 84 7n ga g9 84 7n ga g9 a0 7n ga g9 84 7n ga g9 a0 9j hj hm e9 e4 ho ii*2 ho bc ck*2 bc*2 bt az 7n bc bt az 7n br bt*2 br d0*32 h6 j3 a0 9j kx mu*2 kx h6 j3 a0 9j d0*4 h6 j3 a0 9j h6 j3 a0 9j lh fk*2 lh*2 f5*2 lh 6r*4 bc ck*2 bc 8q*4 8s*4 bh*4 da*4 cx*4 cm*4 cd*4 bo*4 c4*4 bx*4 ee gy ee gy ee gy ee gy',
      },
      {
        isBold: true,
        names: ["Noto Naskh Arabic Bold","NotoNaskhArabic-Bold"],
        unitsPerEm: 1000,
        widths:
          '79*8 bt*4 ck*4 7w 80*2 7w*2 80*2 7w dt dk*2 dt 7w 80*2 7w ho j6 84 80 7w 80*2 7w me mp 84 7n bt e3*2 bt me mp a0 7n me mp a0 7n i7 k4 i9 i1 i7 k4 i9 i1 i7 k4 i9 i1 c3 dh*2 c3*2 dh*2 c3 ah az*2 ah*2 az*2 ah th sv jd jg th sv jd jg vf wz ni m3 vf wz ni m3 m0 nd jm j9 m0 nd jm j9 gs d9 cg ed gs d9 cg ed 5u*4 nk n4 bg bv i4 hk bg bv h6 kp cz cb h0 h5 6t 61 dy ff bh d5 gs gn 84 7n bt cy b1 ec dt dk*2 dt ho j6 84 7n ho j6 a0 9j 0*44 9y*4 9j*4 cl*4 e3*4 ci*4 b6*4 d8*4 dh*8 co*4 d3*4 6y*4 6m*4 b4*4 0*4 7w 80*2 7w*2 80*2 7w*2 80*2 7w 3w*4 b3 8u*2 b3 el dk*2 el dt dk*2 dt lf j6 ah av me mp a0 7n me mp a0 9j me mp 84 7n me mp a0 7n me mp a0 9j me mp a0 9j me mp a0 9j me mp a0 9j i7 k4 i9 i1 i7 k4 i9 i7*2 k4 i9 i1 i7 k4 i9 i1 i7 k4 i9 i1 i7 k4 i9 i1 i7 k4 i9 i1 c3 dh*2 c3*2 dh*2 c3*2 dh*2 c3*2 dh*2 c3*2 dh*2 c3*2 dh*2 c3*2 dh*2 c3*2 dh*2 c3 cq dh*2 cq ah az*2 ah*2 az*2 ah*2 az*2 ah*2 az*2 ah*2 az*2 ah*2 az*2 ah*2 az*2 ah*2 az*2 ah*2 az*2 ah th sv jd jg th sv jd jg th sv jd jg vf wz ni m3 vf wz ni m3 m0 nd jm j9 gs d9 cg ed nk n4 bg bv nk n4 bg bv nk n4 bg bv nk n4 bg bv nk n4 bg bv nk n4 bg bv i4 hk bg bv i4 hk bg bv kl lc cz cb s7 tl q2 on kl lc cz cb h6 kp cz cb h6 kp cz cb h6 kp cz cb kl lc cz cb kl lc cz cb kl lc cz cb kl lc cz cb kl lc cz cb kl lc cz cb h0 h5 6t 61 h0 h5 6t 61 h0 h5 6t 61 h0 h5 6t 93 gs gn 84 7n gs gn 84 7n gs gn a0 7n gs gn 84 80 gs gn a0 9j im jq fh e4 i7 k4 i9 i1 bt cy*2 bt*2 bz bg 7n bt bz bg 7n dk cj*2 dk dt dk*2 dt e2 dt*2 e2 dt dk*2 dt*2 dk*2 dt*2 dk*2 dt*2 dk*2 dt e5 dw*2 e5 dt dk*2 dt ho j6 a0 9j ll n5*2 ll ho j6 a0 9r dt dk*2 dt ho j6 a0 9j ho j6 a0 9j mg fq*2 mg*2 em*2 mg 82*4 bt cy*2 bt 9y*4 9j*4 cl*4 e3*4 br*4 db*4 d8*4 al*4 dh*4 a1*4 f6 hj f6 hj f6 hj f6 hj',
      },
    ],
  },
  {
    name: 'Noto Sans Hebrew',
    script: 'Hebrew',
    kind: 'sans-serif',
    systems: ["Android","Linux"],
    faces: [
      {
        isBold: false,
        names: ["Noto Sans Hebrew Regular","NotoSansHebrew-Regular","Noto Sans Hebrew"],
        unitsPerEm: 1000,
        widths:
          '0*45 90 0 el 0*2 6u 0*2 b1 0 hk fw ae f2 hf 8d 96 ie hm 87 f5 eb ei j0 ic 95 aj hv gh h8 gp ep fg hf ej ka j1 gd gq gn 56 a5',
      },
      {
        isBold: true,
        names: ["Noto Sans Hebrew Bold","NotoSansHebrew-Bold"],
        unitsPerEm: 1000,
        widths:
          '0*45 91 0 ec 0*2 7k 0*2 cb 0 is gi bg fv ia 9e ab j3 ic 98 fu eo fg ji*2 9v b8 iw hi i6 hg gb gg i6 f2 lv k2 im ji jk 67 cc',
      },
    ],
  },
  {
    name: 'Noto Serif Hebrew',
    script: 'Hebrew',
    kind: 'serif',
    systems: ["Android","Linux"],
    faces: [
      {
        isBold: false,
        names: ["Noto Serif Hebrew Regular","NotoSerifHebrew-Regular","Noto Serif Hebrew"],
        unitsPerEm: 1000,
        widths:
          '0*45 8o 0 8c 0*2 7y 0*2 a7 0 gd ez ah do gt 92 8e hi hp 90 dx fa dz g6 hh 7s a7 g7 eu fc fu dn er ft dg k7 gu i4 i2 i0 6c bw',
      },
      {
        isBold: true,
        names: ["Noto Serif Hebrew Bold","NotoSerifHebrew-Bold"],
        unitsPerEm: 1000,
        widths:
          '0*45 8n 0 ci 0*2 8g 0*2 aj 0 gs ff b2 e0 h1 8r 89 hw ho 9b e8 fj e8 gg hk 84 aj ge f3 ff g6 e5 f1 fy dv ks h2 hi i2 im 7e d2',
      },
    ],
  },
  {
    name: 'Noto Sans Thai',
    script: 'Thai',
    kind: 'sans-serif',
    systems: ["Android","Linux"],
    faces: [
      {
        isBold: false,
        names: ["Noto Sans Thai Regular","NotoSansThai-Regular","Noto Sans Thai"],
        unitsPerEm: 1000,
        widths:
          'go f7 f9 h2 h9 gm ex es gs fa fg p6 p9 gr*2 f7 he p3 p9 h4 ho gq gx f4 h1 gs gt i0 i4 jb iy gr h2 gi dk gq fv gr do hg hs fw gb ik fy fk ef 9e 0 ba*2 0*7 g8 87 fs 8k 81 8g ba gj 0*8 gj fu f5 h1 fj ez f0 eg k0 fp e0 lb o8',
      },
      {
        isBold: true,
        names: ["Noto Sans Thai Bold","NotoSansThai-Bold"],
        unitsPerEm: 1000,
        widths:
          'hc gg gp hy ia hr fv fj hb gn gr pr q1 hp*2 fw i2 q6 q1 hm i6 hd hw fj hy hm hn iy iz k7 jy hp hy ha ee hd gn hp ea ib ir gq ha jp gh gk f3 9y 0 c3*2 0*7 g5 9h hu 9p 9e 9n c3 hp 0*8 hw fr et hw fq ex fe em ku fr f9 mz p6',
      },
    ],
  },
  {
    name: 'Noto Serif Thai',
    script: 'Thai',
    kind: 'serif',
    systems: ["Android","Linux"],
    faces: [
      {
        isBold: false,
        names: ["Noto Serif Thai Regular","NotoSerifThai-Regular","Noto Serif Thai"],
        unitsPerEm: 1000,
        widths:
          'gy fp gr hl hv i6 dw fw ic g4 gw oh ob hw*2 g2 ix pd pk hr*2 gz i3 fw ic hd hn i9*2 k1*2 hw i6 gk dt gz go i0 ed i3 j6 h1 hf k2 g6*2 eg dc 0 do*2 0*7 fj 9h i4 ai 9x 9k do eh 0*8 hb gr gx il jf gi*2 fu l6 h8 hu ka nh',
      },
      {
        isBold: true,
        names: ["Noto Serif Thai Bold","NotoSerifThai-Bold"],
        unitsPerEm: 1000,
        widths:
          'hi go he id ih ib em gi ir gv hh pb oz ih*2 gu jc qa pv ih*2 hh iq gb in i5 ia ir*2 ko ki ig il h9 dx hm h6 ik f3 ig k0 hc i3 kk gu h1 g1 ea 0 ej*2 0*7 fj a4 j2 az ak ag em f1 0*8 h6 gx h0 jc kn gq hg g7 n3 hj jn mw ob',
      },
    ],
  },
];
