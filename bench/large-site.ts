import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const words =
  'ferry pier tide harbour winch ropes lantern buoy crossing deck gangway signal fog mooring'.split(' ');

/** Numbers that look random and are the same each time. */
function numbers(start: number): (below: number) => number {
  let seed = start + 1;
  return (below) => (seed = (seed * 48271) % 0x7fffffff) % below;
}

/** A stylesheet of a component library: components with parts, states and widths, and classes that do one thing each. */
function stylesheet(size: number): string {
  const blocks: string[] = [
    ':root { --type-body: "Body Face", sans-serif; --type-head: "Head Face", serif; --strong: 700 }',
    'body { font-family: var(--type-body); line-height: 1.5 } h1, h2, h3 { font-family: var(--type-head); font-weight: var(--strong) }',
    ...[400, 700].map(
      (weight) =>
        `@font-face { font-family: "Body Face"; font-weight: ${weight}; src: url(body-${weight}.woff2) format("woff2") }`,
    ),
    '@font-face { font-family: "Head Face"; font-weight: 700; src: url(head.woff2) format("woff2") }',
  ];
  const random = numbers(7);
  let length = 0;
  for (let i = 0; length < size; i++) {
    const name = `c${i}`;
    const weight = i % 5 === 0 ? `; font-weight: ${100 * (3 + random(6))}` : '';
    const block = [
      `.${name} { display: flex; padding: ${i % 9}px; color: #${(1000 + i).toString(16)}${weight} }`,
      `.${name} > .part:not(:last-child)::after { content: "${words[random(words.length)]}"; margin: 0 1em }`,
      `.${name}:hover .part, .${name}.is-open a { text-decoration: underline${i % 10 === 0 ? '; font-style: italic' : ''} }`,
      `@media (min-width: ${[480, 768, 1024][i % 3]}px) { .${name} { font-size: 1.1rem${i % 4 === 0 ? '; text-transform: uppercase' : ''} } }`,
    ].join('\n');
    blocks.push(block);
    length += block.length + 1;
  }
  return blocks.join('\n');
}

function page(number: number, size: number, components: number): string {
  const random = numbers(number);
  const text = (count: number) => Array.from({ length: count }, () => words[random(words.length)]).join(' ');
  const blocks: string[] = [];
  let length = 0;
  // Pages of a template have the same components; what stands in them differs.
  const template = numbers(number % 10);
  while (length < size) {
    const name = `c${template(components)}`;
    const block = `<section class="${name} row">
  <h2 class=title>${text(4)}</h2>
  <ul class="list ${name}">${Array.from({ length: 5 }, () => `<li class=part><a href="/p${random(1000)}.html">${text(3)}</a></li>`).join('')}</ul>
  <p>${text(30)} <strong>${text(2)}</strong> ${text(10)} <em>${text(2)}</em></p>
</section>`;
    blocks.push(block);
    length += block.length + 1;
  }
  return `<!doctype html>
<html lang=en><head><meta charset=utf-8><title>${text(3)}</title><link rel=stylesheet href=/site.css></head>
<body><header class="c1"><nav class=c2><a href=/>${text(2)}</a></nav></header><main>
${blocks.join('\n')}
</main></body></html>
`;
}

/** A site of generated pages with one stylesheet; sizes in bytes. */
export function largeSite(folder: string, pages: number, pageSize = 40_000, styleSize = 200_000): void {
  mkdirSync(folder, { recursive: true });
  const css = stylesheet(styleSize);
  writeFileSync(join(folder, 'site.css'), css);
  for (const name of ['body-400', 'body-700', 'head']) writeFileSync(join(folder, `${name}.woff2`), '');
  const components = css.match(/^\.c\d+ \{/gm)?.length ?? 1;
  for (let i = 0; i < pages; i++)
    writeFileSync(join(folder, `p${i}.html`), page(i, pageSize, Math.min(components, 400)));
}
