import { kilobytes } from '../../core/text/amounts.js';
import escapeHtml from 'escape-html';
import { parseUnicodeRanges } from '../../core/text/parse-ranges.js';
import { faceLabel, rangeText } from '../../core/face/index.js';
import type { CodePointRanges } from '../../core/text/unicode-ranges.js';
import { placeText } from '../../errors.js';
import { facesOf, type KitFace, type KitFamily, type MadeKit } from '../kit.js';
import { fetchedPart, restOf, whyWhole, type Part, type Slice } from '../planning/made.js';
import { script as pageScript, style as pageStyle } from '../../browser/built/proof.js';
import { overlay, overlayRules } from './proof-overlay.js';
import { planSection } from './proof-plan.js';
import { sampleTexts } from './sample-text.js';
import { faceRules, stylesheetFile } from './stylesheet.js';

/** Pixels: from a headline down to the smallest text that is still read. */
const waterfall = [64, 48, 36, 28, 22, 18, 16, 15, 14, 13, 12];

/** proof.html: each face as drawn, with its file, its bytes and its load state. */
export function proofFile(kit: MadeKit): string {
  const faces = facesOf(kit);
  const bytesOf = (list: readonly KitFace[]) => {
    const files = new Map(list.map((face) => [fetchedPart(face).file, fetchedPart(face).bytes.length]));
    return [...files.values()].reduce((sum, bytes) => sum + bytes, 0);
  };
  const bytes = bytesOf(faces);
  const preloaded = faces.filter(({ preload }) => preload);
  const preloadBytes = bytesOf(preloaded);
  return `<!doctype html>
<html lang="en">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Proof of the kit</title>
<style id="kit">${stylesheetFile({ ...alone(kit), address: { ...kit.address, url: encodeURI(kit.address.fromFacts ?? '') } }).replace(/<(?=\/style)/gi, '\\3c ')}</style>
<style>${pageStyle}
${faces.map((face, i) => overlayRules(face, idOf(i))).join('\n')}</style>
<header>
  <h1>Proof of the kit</h1>
  <p>${count(faces.length, 'face')}, ${kilobytes(bytes)} in all; ${
    preloaded.length === 0 ? 'none preloaded' : `${preloaded.length} preloaded, ${kilobytes(preloadBytes)}`
  }. <span id="summary" role="status"></span>${movesText(kit)}</p>
  <label class="switch"><input type="checkbox" id="switch" checked> Web fonts</label>
</header>
<nav>${kit.families.map(({ family, role }) => `<a href="#${role}">${escapeHtml(family)}</a>`).join('')}${kit.plan ? '<a href="#plan">When text is there</a>' : ''}</nav>
<main>
${kit.families.map((family) => familySection(family, faces)).join('\n')}
${planSection(kit.plan)}
</main>
<script>${pageScript}</script>
</html>
`;
}

/** Without stand-ins, as the page shows its faces, and what follows in the stack where they are switched off. */
const alone = (kit: MadeKit): MadeKit => ({
  ...kit,
  families: kit.families.map((family) => ({
    ...family,
    group: undefined,
    faces: family.faces.map((face) => ({ ...face, standIns: [] })),
  })),
});

/** Of a face on the page. */
const idOf = (index: number) => `face ${index + 1}`;

/** What moves on the pages of the site when the faces arrive. */
function movesText({ moves: { paragraphs, untuned, tuned } }: MadeKit): string {
  if (untuned === 0 && tuned === 0) return '';
  return ` Until they arrive ${tuned === 0 ? 'none' : tuned} of ${count(paragraphs, 'paragraph')} of the site ${tuned < 2 ? 'has' : 'have'} other lines, ${untuned} with local fonts as they are.`;
}

/** Pixels that a line of the waterfall may take, roughly. */
const widestLine = 1100;

/** As many whole words as fit into so many characters. */
function firstWords(text: string, characters: number): string {
  if (text.length <= characters) return text;
  const lastSpace = text.lastIndexOf(' ', characters);
  return text.slice(0, lastSpace > 0 ? lastSpace : characters);
}

const count = (number: number, noun: string) => `${number} ${noun}${number === 1 ? '' : 's'}`;

/** @param all faces of the kit */
function familySection({ family, role, stack, faces }: KitFamily, all: readonly KitFace[]): string {
  return `<section id="${role}">
  <h2>${escapeHtml(family)} <small>role ${role}, then ${escapeHtml(stack.slice(1).join(', '))}</small></h2>
${faces.map((face) => faceArticle(face, role, idOf(all.indexOf(face)))).join('\n')}
</section>`;
}

/** The weights at which a face is shown: its own, or some along its axis. */
function shownWeights({ weight: [low, high] }: KitFace): number[] {
  if (low === high) return [low];
  return [low, 400, 500, 600, 700, high].filter(
    (value, i, list) => value >= low && value <= high && list.indexOf(value) === i,
  );
}

/** Parts of a face take turns in the order of their characters. */
const allCharacters = (part: Part, rest: Part | undefined): CodePointRanges =>
  [...part.characters, ...(rest?.characters ?? [])].sort(([a], [b]) => a - b);

const rulesShown = 4;

/** Which pages and rules the face is there for, or why all of it is. */
function demandRows(face: KitFace): string {
  const [wanted, whole] = [face.demand, whyWhole(face)];
  if (whole) return `<dt>Whole</dt><dd>${escapeHtml(whole.message)}</dd>`;
  if (!wanted) return '';
  const rules = wanted.rules
    .slice(0, rulesShown)
    .map(
      ({ file, line, selector }) =>
        `<code>${escapeHtml(selector)}</code> ${escapeHtml(placeText({ file, line }))}`,
    );
  const pages = wanted.pages.length;
  return `<dt>Drawn on</dt><dd>${count(pages, 'page')}${pages > 0 ? `: ${escapeHtml(wanted.pages.slice(0, 6).join(', '))}${pages > 6 ? ' …' : ''}` : ' on load'}</dd>
    ${rules.length > 0 ? `<dt>Asked for by</dt><dd>${rules.join('; ')}</dd>` : ''}`;
}

/** So many characters make a sample. */
const shortestSample = 12;

/** For each language the longest text of the site that the face draws; sentences of ours where it has none. */
function shownTexts(face: KitFace): { language: string; heading: string; text: string }[] {
  const longest = new Map<string, string>();
  for (const { text, language = 'und' } of face.demand?.places ?? [])
    if (text.length >= shortestSample && text.length > (longest.get(language)?.length ?? 0))
      longest.set(language, text);
  if (longest.size === 0) return sampleTexts(allCharacters(fetchedPart(face), restOf(face)));
  return Array.from(longest, ([language, text]) => ({ language, heading: text, text }));
}

const placesShown = 60;

/** Which elements, pages and rules bring the characters of a face, as they are drawn there. */
function placesTable({ demand: wanted }: KitFace, css: string): string {
  const places = wanted?.places ?? [];
  if (places.length === 0) return '';
  const rows = places
    .slice(0, placesShown)
    .map(
      ({ page, line, element, text, characters, rule }) =>
        `<tr><td class="signs">${escapeHtml(signsOf(parseUnicodeRanges(characters).codePoints()).join(' '))}</td><td style="${escapeHtml(css)}">${escapeHtml(text)}</td><td><code>${escapeHtml(element)}</code> ${escapeHtml(line > 0 ? `${page}:${line}` : page)}</td><td>${rule ? `<code>${escapeHtml(rule.selector)}</code> ${escapeHtml(placeText(rule))}` : ''}</td></tr>`,
    )
    .join('\n');
  const more = places.length > placesShown ? ` (the first ${placesShown} of ${places.length})` : '';
  return `<details><summary>Who brings which characters${more}</summary><table class="places">
    <thead><tr><th scope="col">Characters</th><th scope="col">Text</th><th scope="col">Element</th><th scope="col">Rule</th></tr></thead>
    <tbody>${rows}</tbody></table></details>`;
}

const signsOf = (codePoints: readonly number[]): string[] =>
  codePoints
    .map((codePoint) => String.fromCodePoint(codePoint))
    .filter((sign) => /^[\p{L}\p{N}\p{P}\p{S}]$/u.test(sign));

const partWords: Readonly<Record<Slice, string>> = {
  whole: 'All characters',
  drawn: 'What the pages draw',
  rest: 'The rest',
};
const signsShown = 600;

/** The characters of a part. */
function partDetails({ slice, characters, bytes }: Part): string {
  const all = characters.flatMap(([first, last]) =>
    Array.from({ length: last - first + 1 }, (_, i) => first + i),
  );
  const signs = signsOf(all).slice(0, signsShown);
  return `<details><summary>${partWords[slice]}: ${count(all.length, 'character')}, ${kilobytes(bytes.length)}</summary><p class="signs">${escapeHtml(signs.join(' '))}</p></details>`;
}

function faceArticle(face: KitFace, role: string, id: string): string {
  const { family, weight, style, source, preloadReason, preload, findings } = face;
  const part = fetchedPart(face);
  const rest = restOf(face);
  const weights = shownWeights(face);
  const shown = weights.includes(400) ? 400 : weights[0];
  const [sample, ...others] = shownTexts(face);
  const css = (value: number) =>
    `font-family: var(--type-${role}); font-weight: ${value}; font-style: ${style}`;
  const rows = waterfall
    .map((size) => {
      const line = firstWords(sample.heading, Math.floor(widestLine / (size * 0.5)));
      return `<tr><th scope="row">${size}</th><td style="font-size: ${size}px">${escapeHtml(line)}</td></tr>`;
    })
    .join('');
  const axis =
    weights.length > 1
      ? `<p class="axis">${weights.map((value) => `<span style="font-weight: ${value}">${value}</span>`).join(' ')}</p>`
      : '';
  const reading = [sample, ...others]
    .map(({ language, text }) => `<p lang="${language}">${escapeHtml(text)}</p>`)
    .join('');
  return `<article data-family="${escapeHtml(family)}" data-weight="${rangeText(weight)}" data-style="${style}" data-file="${part.file}">
  <h3>${escapeHtml(faceLabel(face))} <output class="state">…</output></h3>
  <dl>
    <dt>File</dt><dd><code>${escapeHtml(part.file)}</code></dd>
    <dt>Bytes</dt><dd>${kilobytes(part.bytes.length)}, from ${kilobytes(source.size)} (${escapeHtml(source.path)})${
      rest ? `; ${kilobytes(rest.bytes.length)} more for what the pages don’t draw` : ''
    }</dd>
    <dt>Preload</dt><dd>${preload ? 'yes' : 'no'}: ${escapeHtml(preloadReason)}</dd>
    ${demandRows(face)}
    ${findings.map(({ message }) => `<dt>Note</dt><dd>${escapeHtml(message)}</dd>`).join('')}
  </dl>
  <div class="drawn" style="${escapeHtml(css(shown))}">
    ${axis}<table class="waterfall">${rows}</table>
    <div class="reading">${reading}</div>
  </div>
  ${overlay(face, role, id)}
  ${[part, ...(rest ? [rest] : [])].map(partDetails).join('\n  ')}
  ${placesTable(face, css(shown))}
  <details><summary>The rule${rest ? 's' : ''}</summary><pre>${escapeHtml(faceRules(face, ''))}</pre></details>
</article>`;
}
