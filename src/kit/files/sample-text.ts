import type { CodePointRanges } from '../../core/text/unicode-ranges.js';

/** Sentences for the proof page, by language; each is shown where a face has all its characters. */
const samples: readonly { language: string; heading: string; text: string }[] = [
  {
    language: 'en',
    heading: 'The quay is quiet before the jolly boats vex our wizened foghorn',
    text:
      'The first boat leaves Skerrow at 06:40 and calls at Quernsay if somebody waves. In fog the crossing takes ' +
      'fifty minutes instead of thirty-five; the fare stays £4.20, and nobody has ever been asked to row.',
  },
  {
    language: 'el',
    heading: 'Το πρώτο πλοίο φεύγει στις έξι και σαράντα',
    text:
      'Όταν έχει ομίχλη, το ταξίδι κρατά πενήντα λεπτά αντί για τριάντα πέντε. Το εισιτήριο μένει το ίδιο, και ' +
      'κανείς δεν χρειάστηκε ποτέ να τραβήξει κουπί.',
  },
  {
    language: 'pl',
    heading: 'Pierwsza łódź odpływa o szóstej czterdzieści',
    text:
      'We mgle rejs trwa pięćdziesiąt minut zamiast trzydziestu pięciu. Cena biletu się nie zmienia, a nikogo ' +
      'jeszcze nie poproszono, żeby chwycił za wiosło.',
  },
  {
    language: 'ru',
    heading: 'Первый катер уходит в шесть сорок',
    text: 'В тумане переправа длится пятьдесят минут вместо тридцати пяти. Билет стоит столько же.',
  },
];

const includes = (ranges: CodePointRanges, codePoint: number) =>
  ranges.some(([first, last]) => first <= codePoint && codePoint <= last);

/** The samples that a face can draw; the start of its own characters where it can draw none. */
export function sampleTexts(ranges: CodePointRanges): { language: string; heading: string; text: string }[] {
  const drawable = samples.filter(({ heading, text }) =>
    [...(heading + text)].every((character) => includes(ranges, character.codePointAt(0)!)),
  );
  if (drawable.length > 0) return drawable;
  const own: string[] = [];
  for (const [first, last] of ranges) {
    for (let codePoint = Math.max(first, 0x21); codePoint <= last && own.length < 60; codePoint++) {
      const character = String.fromCodePoint(codePoint);
      if (/[\p{L}\p{N}\p{P}\p{S}]/u.test(character)) own.push(character);
    }
  }
  return [{ language: 'und', heading: own.slice(0, 24).join(''), text: own.join(' ') }];
}
