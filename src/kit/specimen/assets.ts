/** The specimen's own style; what is shown takes nothing of it but size. */
export const specimenStyle = `
:root { color-scheme: light dark; --ink: #14202b; --paper: #fbfbf8; --quiet: #5b6873; --line: #d9dcd8; --warn: #8a5a00; }
@media (prefers-color-scheme: dark) { :root { --ink: #e8ecef; --paper: #12181d; --quiet: #9aa7b1; --line: #2c363e; --warn: #e7b45a; } }
* { box-sizing: border-box; }
body { margin: 0; background: var(--paper); color: var(--ink); font: 14px/1.45 system-ui, sans-serif; }
header { display: flex; flex-wrap: wrap; align-items: baseline; gap: 0 1.5rem; padding: .7rem 2rem; border-bottom: 1px solid var(--line); }
h1 { font-size: 1.05rem; margin: 0; }
nav { display: flex; flex-wrap: wrap; gap: 0 1.2rem; }
nav a { color: inherit; }
main { padding: 0 2rem 4rem; }
section { border-bottom: 1px solid var(--line); padding: 1rem 0 2rem; }
h2 { font-size: 56px; line-height: 1.15; margin: 0 0 .6rem; overflow-wrap: anywhere; }
h3 { font-size: 1rem; margin: 1.4rem 0 .4rem; }
dl { display: grid; grid-template-columns: max-content 1fr; gap: .1rem .9rem; margin: 0 0 .8rem; color: var(--quiet); }
dd { margin: 0; max-height: 4.4em; overflow: auto; }
table.family { margin: 1rem 0 .4rem; border-collapse: collapse; }
.family caption { font-weight: 600; text-align: left; }
.family th, .family td { font-weight: 400; text-align: left; padding: .1rem 1.2rem .1rem 0; }
.missing { max-height: 24rem; overflow: auto; margin: .3rem 0; }
.missing table { border-collapse: collapse; margin-top: .3rem; }
.missing th, .missing td { font-weight: 400; text-align: left; vertical-align: top; padding: .1rem 1rem .1rem 0; border-top: 1px solid var(--line); overflow-wrap: anywhere; min-width: 5rem; }
.finding { color: var(--warn); margin: .2rem 0; }
.controls, .features { display: flex; flex-wrap: wrap; align-items: center; gap: .3rem 1.4rem; margin: .6rem 0; }
.controls .wide { flex: 1; display: flex; gap: .5rem; align-items: center; min-width: 24rem; }
.controls .wide input { flex: 1; }
.find { width: 22rem; }
.features { color: var(--quiet); font-size: 13px; gap: .1rem 1.2rem; }
input, select { font: inherit; color: inherit; background: transparent; border: 1px solid var(--line); border-radius: 3px; padding: .15rem .4rem; }
input[type=range] { padding: 0; vertical-align: middle; }
code { font: 12px ui-monospace, monospace; }
.drawn p { display: flex; align-items: baseline; margin: 0; line-height: 1.3; white-space: nowrap; overflow: hidden; }
.size { flex: none; width: 3rem; font: 11px system-ui, sans-serif; color: var(--quiet); font-feature-settings: normal; font-variation-settings: normal; }
.glyphs h4 { font: 600 13px system-ui, sans-serif; font-feature-settings: normal; margin: .8rem 0 .3rem; }
.grid { display: grid; grid-template-columns: repeat(auto-fill, minmax(54px, 1fr)); gap: 1px; }
.grid button { font: inherit; font-size: 26px; line-height: 1.4; padding: 0 0 1.1rem; border: 0; outline-offset: -1px; background: color-mix(in srgb, var(--ink) 4%, transparent); color: inherit; position: relative; overflow: hidden; }
.grid button::after { content: attr(data-code); position: absolute; inset: auto 0 .15rem; font: 10px system-ui, sans-serif; color: var(--quiet); }
.grid button:hover, .grid button:focus { background: color-mix(in srgb, var(--ink) 12%, transparent); }
.more { margin: .5rem 0; font: 13px system-ui, sans-serif; }
`;

/** Sliders, switches, the language of the text, and the glyph grid, which shows so many at a time. */
export const specimenScript = `
const step = 800;
const hex = (code) => 'U+' + code.toString(16).toUpperCase().padStart(4, '0');
for (const section of document.querySelectorAll('section')) {
  const find = (selector) => section.querySelector(selector);
  const all = (selector) => [...section.querySelectorAll(selector)];
  const drawn = all('.drawn, .glyphs, h2');
  const apply = () => {
    const axes = all('[data-axis]').map((input) => {
      input.parentElement.querySelector('output').value = input.value;
      return '"' + input.dataset.axis + '" ' + input.value;
    });
    const features = all('[data-feature]')
      .filter((box) => box.checked !== (box.dataset.default === 'true'))
      .map((box) => '"' + box.dataset.feature + '" ' + (box.checked ? 1 : 0));
    for (const element of drawn) {
      element.style.fontVariationSettings = axes.join(', ') || 'normal';
      element.style.fontFeatureSettings = features.join(', ') || 'normal';
    }
  };
  const text = find('[name=text]');
  const language = find('[name=language]');
  const write = () => { for (const sample of all('.sample')) sample.textContent = text.value; };
  language.addEventListener('change', () => {
    const option = language.selectedOptions[0];
    text.value = option.dataset.text;
    find('.drawn').lang = option.value;
    write();
  });
  text.addEventListener('input', write);
  section.addEventListener('input', (event) => { if (event.target.matches('[data-axis], [data-feature]')) apply(); });
  section.addEventListener('submit', (event) => event.preventDefault());
  const groups = JSON.parse(find('.characters').textContent);
  const glyphs = find('.glyphs');
  const search = find('.find');
  let limit = step;
  const matches = (query, script) => ([code, name]) => {
    if (!query) return true;
    const number = /^u\\+[0-9a-f]{1,6}$/i.test(query) ? parseInt(query.slice(2), 16) : undefined;
    if (number !== undefined) return code === number;
    if ([...query].length === 1) return query.codePointAt(0) === code;
    return name.toLowerCase().includes(query.toLowerCase()) || script.toLowerCase() === query.toLowerCase();
  };
  const list = () => {
    const query = search.value.trim();
    let shown = 0;
    let found = 0;
    glyphs.replaceChildren();
    for (const [script, characters] of groups) {
      const hits = characters.filter(matches(query, script));
      found += hits.length;
      const room = hits.slice(0, Math.max(0, limit - shown));
      shown += room.length;
      if (room.length === 0) continue;
      const heading = document.createElement('h4');
      heading.textContent = script + ' ' + hits.length;
      const grid = document.createElement('div');
      grid.className = 'grid';
      for (const [code, name] of room) {
        const cell = document.createElement('button');
        cell.type = 'button';
        cell.textContent = String.fromCodePoint(code);
        cell.dataset.code = hex(code);
        cell.title = hex(code) + (name ? ' ' + name : '');
        grid.append(cell);
      }
      glyphs.append(heading, grid);
    }
    find('.found').value = found + ' of ' + groups.reduce((sum, group) => sum + group[1].length, 0);
    if (found > shown) {
      const more = document.createElement('button');
      more.className = 'more';
      more.textContent = 'Show ' + Math.min(step, found - shown) + ' more';
      more.addEventListener('click', () => { limit += step; list(); });
      glyphs.append(more);
    }
  };
  search.addEventListener('input', () => { limit = step; list(); });
  glyphs.addEventListener('click', (event) => {
    if (event.target.dataset.code) { text.value = event.target.textContent.repeat(3) + ' ' + event.target.title; write(); }
  });
  list();
}
`;
