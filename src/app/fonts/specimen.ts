import { kilobytes } from '../../core/text/amounts.js';
import escapeHtml from 'escape-html';
import { outlinesOf } from '../../core/outlines/index.js';
import { rangeText } from '../../core/face/index.js';
import type { FamilyGrid } from '../../core/inspection/index.js';
import { cmap } from '../../core/tables/index.js';
import { mappedCharacters } from '../../core/text/mapped-characters.js';
import { charactersByScript } from '../../core/text/scripts.js';
import { sampleSentences } from '../../data/sample-sentences.js';
import type { InspectedFont, InspectedSource } from './inspected-font.js';
import { script as pageScript, style as pageStyle } from '../../browser/built/specimen.js';

/** Pixels, from small print to a headline. */
const sizes = [12, 14, 16, 18, 21, 24, 32, 40, 48, 60, 72];

/**
 * A page that shows fonts from all sides: facts, text at sizes, axes, features, glyphs. It holds the fonts itself, so
 * it works from a file, without a server.
 *
 * @param woff2 the bytes of each font as WOFF2
 * @param families the same fonts put together by family
 */
export function specimenPage(
  fonts: readonly InspectedSource[],
  woff2: readonly Uint8Array[],
  families: readonly FamilyGrid[],
): string {
  const rules = fonts.map((font, i) => faceRule(font.inspected, i, woff2[i])).join('\n');
  const title = fonts.length === 1 ? titleOf(fonts[0].inspected) : `${fonts.length} fonts`;
  const links = fonts.map(({ inspected }, i) => `<a href="#font-${i}">${escapeHtml(titleOf(inspected))}</a>`);
  return `<!doctype html>
<html lang="en">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escapeHtml(title)}: specimen</title>
<style>
${rules}
${pageStyle}</style>
<header><h1>${escapeHtml(title)}</h1>${fonts.length > 1 ? `<nav>${links.join('')}</nav>` : ''}</header>
<main>
${fonts.length > 1 ? families.map(familyTable).join('\n') : ''}
${fonts.map(fontSection).join('\n')}
</main>
<script>${pageScript}</script>
</html>
`;
}

/** Weights × styles, with a dot for each file that draws them. */
function familyTable({ family, weights, styles, files, findings }: FamilyGrid): string {
  const head = styles.map((style) => `<th scope="col">${escapeHtml(style)}</th>`).join('');
  const rows = weights.map((weight, row) => {
    const cells = files[row].map(
      (paths) => `<td title="${escapeHtml(paths.join(', '))}">${'●'.repeat(paths.length) || '·'}</td>`,
    );
    return `<tr><th scope="row">${weight}</th>${cells.join('')}</tr>`;
  });
  const notes = findings.map(
    ({ message, effect }) => `<p class="finding">${escapeHtml(`${message}; ${effect}`)}</p>`,
  );
  return `<table class="family"><caption>${escapeHtml(family)}</caption><tr><td></td>${head}</tr>${rows.join('')}</table>${notes.join('')}`;
}

const titleOf = ({ names, face, path }: InspectedFont) => names.fullName ?? (face.family || path);

function faceRule({ face }: InspectedFont, i: number, bytes: Uint8Array): string {
  const data = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.length).toString('base64');
  return (
    `@font-face { font-family: "specimen-${i}"; font-weight: ${rangeText(face.weight)}; ` +
    `font-stretch: ${rangeText(face.stretch, '%')}; font-style: ${face.style}; ` +
    `src: url(data:font/woff2;base64,${data}) format("woff2"); }`
  );
}

function fontSection({ inspected, opened }: InspectedSource, i: number): string {
  const { face, axes, metrics } = inspected;
  const weight = axes.find(({ tag }) => tag === 'wght')?.start ?? face.weight[0];
  const style = `font-family: 'specimen-${i}'; font-weight: ${weight}; font-style: ${face.style}; font-stretch: ${face.stretch[0]}%`;
  const languages = languageOptions(inspected);
  const [first] = languages;
  return `<section id="font-${i}" data-font="${i}">
  <h2 class="set" style="${style}">${escapeHtml(titleOf(inspected))}</h2>
  <dl>${facts(inspected)
    .map(([term, text]) => `<dt>${term}</dt><dd>${text}</dd>`)
    .join('')}</dl>
  ${missingTable(inspected)}
  ${inspected.findings.map(({ message, effect }) => `<p class="finding">${escapeHtml(`${message}; ${effect}`)}</p>`).join('')}
  <form class="controls">
    <label>Language <select name="language">${languages
      .map(
        ({ tag, name, text }) =>
          `<option value="${tag}" data-text="${escapeHtml(text)}">${escapeHtml(name)}</option>`,
      )
      .join('')}</select></label>
    <label class="wide">Text <input name="text" value="${escapeHtml(first.text)}"></label>
    ${axes.map((axis) => axisControl(axis)).join('')}
  </form>
  ${featureControls(inspected)}
  <div class="drawn" style="${style}" lang="${first.tag}" data-line="${metrics.hhea.lineHeight}">
    ${sizes.map((size) => `<p style="font-size: ${size}px"><span class="size">${size}</span><span class="sample">${escapeHtml(first.text)}</span></p>`).join('')}
  </div>
  <h3>Glyphs</h3>
  <p class="controls"><label>Find <input type="search" class="find" placeholder="a character, U+00E9, or a glyph name"></label> <output class="found"></output></p>
  <div class="glyphs" style="${style}"></div>
  <script type="application/json" class="characters">${charactersJson({ inspected, opened })}</script>
</section>`;
}

/** Variants of a language in one country, as `de-AT`. */
const isRegional = (tag: string) => /-[A-Z]{2}$/.test(tag);

function facts(font: InspectedFont): [term: string, html: string][] {
  const { face, names, format, weight, woff2Bytes, glyphs, characters, outlines, hinting, licence } = font;
  const own = font.languages.filter(({ tag }) => !isRegional(tag));
  const complete = own.filter((language) => language.complete).map(({ name }) => name);
  const texts = font.licenceTexts.length > 0 ? `beside it: ${font.licenceTexts.join(', ')}` : '';
  const rows: [string, string | undefined][] = [
    [
      'CSS',
      `font-family: "${face.family}"; font-weight: ${rangeText(face.weight)}; font-style: ${face.style}`,
    ],
    [
      'File',
      `${font.path}, ${format}, ${kilobytes(weight.file)}${woff2Bytes === undefined ? '' : `; ${kilobytes(woff2Bytes)} as WOFF2`}`,
    ],
    [
      'Names',
      names.all.map(({ id, language, value }) => `${id} (${language}) ${value.slice(0, 200)}`).join('; '),
    ],
    ['Maker', joined([names.version, names.manufacturer, names.designer, names.vendorId, names.vendorUrl])],
    ['Glyphs', `${glyphs} for ${characters} characters; ${outlines} outlines, hinting: ${hinting.kind}`],
    ['Colours', font.colour.join(', ')],
    [
      'Instances',
      font.instances
        .map(({ name, coordinates }) => `${name} ${Object.values(coordinates).join('/')}`)
        .join(', '),
    ],
    [
      'Scripts',
      font.scripts.map(({ code, name, characters: count }) => `${name} (${code}) ${count}`).join(', '),
    ],
    ['Languages', `${complete.length} with all main letters: ${complete.join(', ')}`],
    [
      'Lines',
      font.metrics.platforms
        .map(({ platform, from, lineHeight }) => `${platform} ${lineHeight.toFixed(2)} em (${from})`)
        .join(', '),
    ],
    ['Metrics', metricSets(font)],
    [
      'Licence',
      joined([licence.recognised?.spdx, licence.embedding, licence.licence, licence.licenceUrl, texts]),
    ],
    ['Rights', joined([licence.copyright, licence.trademark, font.rights])],
    ['Tables', weight.tables.map(({ tag, bytes }) => `${tag} ${kilobytes(bytes)}`).join(', ')],
  ];
  return rows.filter(([, text]) => text).map(([term, text]) => [term, escapeHtml(text)]);
}

const joined = (texts: readonly (string | undefined)[]) => texts.filter(Boolean).join('; ');

/** What each language lacks, by kind; those that lack nothing stand among the facts. */
function missingTable({ languages }: InspectedFont): string {
  const rows = languages
    .filter(({ tag }) => !isRegional(tag))
    .map(({ name, missing: { main, auxiliary, punctuation, numbers } }) => ({
      name,
      lists: [main, auxiliary, punctuation, numbers],
    }))
    .filter(({ lists }) => lists.some((list) => list.length > 0))
    .map(
      ({ name, lists }) =>
        `<tr><th scope="row">${escapeHtml(name)}</th>${lists.map((list) => `<td>${escapeHtml(signs(list))}</td>`).join('')}</tr>`,
    );
  if (rows.length === 0) return '';
  const heads = ['Language', 'Letters', 'Letters of loan words', 'Punctuation', 'Digits'];
  return `<details class="missing"><summary>What ${rows.length === 1 ? 'one language lacks' : `${rows.length} languages lack`}</summary><table><tr>${heads
    .map((head) => `<th scope="col">${head}</th>`)
    .join('')}</tr>${rows.join('')}</table></details>`;
}

const signsShown = 60;

function signs(missing: readonly number[]): string {
  const shown = missing.slice(0, signsShown).map((codePoint) => String.fromCodePoint(codePoint));
  const rest = missing.length - shown.length;
  return shown.join(' ') + (rest > 0 ? ` and ${rest} more` : '');
}

/** hhea, typo and win, as ascent, descent and gap in em. */
function metricSets({ metrics: { hhea, typo, win, useTypoMetrics } }: InspectedFont): string {
  const sets = Object.entries({ hhea, typo, win }).flatMap(([name, set]) =>
    set
      ? [
          `${name} ${set.ascent.toFixed(2)} up, ${set.descent.toFixed(2)} down, ${set.lineGap.toFixed(2)} between`,
        ]
      : [],
  );
  return joined([...sets, useTypoMetrics ? 'typo is meant (fsSelection bit 7)' : '']);
}

/** The covered languages that there is a sentence for; the font's own characters where there is none. */
function languageOptions(font: InspectedFont): { tag: string; name: string; text: string }[] {
  const covered = new Map(font.languages.map((language) => [language.tag, language]));
  const options = Object.entries(sampleSentences)
    .filter(([tag]) => covered.get(tag)?.complete)
    .map(([tag, text]) => ({ tag, name: covered.get(tag)!.name, text }));
  return options.length > 0
    ? options
    : [{ tag: 'und', name: 'its own characters', text: ownCharacters(font) }];
}

/** The first characters that show, from the ranges as `unicode-range` writes them. */
function ownCharacters({ characterRanges }: InspectedFont): string {
  const shown: string[] = [];
  for (const range of characterRanges.split(', ').filter(Boolean)) {
    const [first, last = first] = range
      .slice(2)
      .split('-')
      .map((hex) => parseInt(hex, 16));
    for (let codePoint = first; codePoint <= last && shown.length < 60; codePoint++) {
      const character = String.fromCodePoint(codePoint);
      if (/[\p{L}\p{N}\p{P}\p{S}]/u.test(character)) shown.push(character);
    }
  }
  return shown.join(' ');
}

function axisControl({ tag, name, minimum, start, maximum }: InspectedFont['axes'][number]): string {
  const step = maximum - minimum > 20 ? 1 : 0.01;
  return (
    `<label>${escapeHtml(name || tag)} <input type="range" data-axis="${escapeHtml(tag)}" min="${minimum}" max="${maximum}" ` +
    `value="${start}" step="${step}"> <output>${start}</output></label>`
  );
}

function featureControls({ features }: InspectedFont): string {
  if (features.length === 0) return '';
  const boxes = features.map(
    ({ tag, words, byDefault }) =>
      `<label><input type="checkbox" data-feature="${escapeHtml(tag)}" data-default="${byDefault}"${byDefault ? ' checked' : ''}> ` +
      `${escapeHtml(words)} <code>${escapeHtml(tag)}</code></label>`,
  );
  return `<form class="features">${boxes.join('')}</form>`;
}

/** For each script its characters: the code point, and the glyph's name where the font gives one. */
function charactersJson({ opened }: InspectedSource): string {
  const { font } = opened;
  const table = font.optional(cmap);
  const outlines = outlinesOf(font);
  const groups = charactersByScript(mappedCharacters(font)).map(({ name, codePoints }) => [
    name,
    codePoints.map((codePoint) => [
      codePoint,
      (table && outlines.nameOf(cmap.glyphIdOf(table, codePoint))) ?? '',
    ]),
  ]);
  return JSON.stringify(groups).replaceAll('<', '\\u003c');
}
