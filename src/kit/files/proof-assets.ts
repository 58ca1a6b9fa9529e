/** The proof page's own style; what is proofed takes none of it but size and measure. */
export const proofStyle = `
:root { color-scheme: light dark; --ink: #14202b; --paper: #fbfbf8; --quiet: #5b6873; --line: #d9dcd8; --good: #1c6b45; --bad: #a3261b; --wait: #8a5a00; }
@media (prefers-color-scheme: dark) { :root { --ink: #e8ecef; --paper: #12181d; --quiet: #9aa7b1; --line: #2c363e; --good: #6fcf9b; --bad: #ff8a7d; --wait: #e7b45a; } }
* { box-sizing: border-box; }
body { margin: 0; background: var(--paper); color: var(--ink); font: 14px/1.45 system-ui, sans-serif; }
header { position: sticky; top: 0; z-index: 1; display: flex; flex-wrap: wrap; align-items: baseline; gap: 0 1.5rem; padding: .7rem 2rem; background: var(--paper); border-bottom: 1px solid var(--line); }
h1 { font-size: 1.05rem; margin: 0; }
header p { margin: 0; color: var(--quiet); flex: 1; }
.switch { font-weight: 600; cursor: pointer; }
nav { display: flex; gap: 1.2rem; padding: .6rem 2rem; }
nav a { color: inherit; }
main { padding: 0 2rem 4rem; }
section { margin-top: 1.2rem; scroll-margin-top: 4rem; }
h2 { font-size: 1.3rem; margin: 0 0 .4rem; }
h2 small { font-size: .85rem; font-weight: 400; color: var(--quiet); }
article { border-top: 1px solid var(--line); padding: .8rem 0 1.6rem; }
h3 { font-size: 1rem; margin: 0 0 .3rem; }
.state { font-weight: 400; margin-left: .6rem; color: var(--wait); }
.state[data-state=loaded] { color: var(--good); }
.state[data-state=error] { color: var(--bad); }
.state[data-state=off], .state[data-state=unloaded] { color: var(--quiet); }
dl { display: grid; grid-template-columns: max-content 1fr; gap: .1rem .9rem; margin: 0 0 1rem; color: var(--quiet); }
dd { margin: 0; }
code, pre { font: 12.5px/1.5 ui-monospace, monospace; }
.axis { font-size: 28px; line-height: 1.2; margin: 0 0 .6rem; }
.axis span { margin-right: .7em; }
.waterfall { border-collapse: collapse; width: 100%; table-layout: fixed; }
.waterfall th { width: 3.2rem; font: 11px/1 system-ui, sans-serif; font-weight: 400; font-style: normal; color: var(--quiet); text-align: left; vertical-align: baseline; }
.waterfall td { line-height: 1.28; white-space: nowrap; overflow: hidden; padding: 0; vertical-align: baseline; }
.reading { display: flex; flex-wrap: wrap; gap: 0 2.4rem; font-size: 16px; line-height: 1.5; margin-top: .8rem; padding-left: 3.2rem; }
.reading p { width: 34ch; margin: .6rem 0; }
.reading p:nth-child(2n) { font-size: 15px; }
details { margin-top: .6rem; color: var(--quiet); }
`;

/** Shows each face's load state and switches the kit's stylesheet off and on. */
export const proofScript = `
const kit = document.getElementById('kit');
const toggle = document.getElementById('switch');
const plain = (text) => text.replace(/^["']|["']$/g, '');
const number = (text) => text.replace('normal', '400').replace('bold', '700');
function faceOf({ family, weight, style }) {
  return [...document.fonts].find((face) =>
    plain(face.family) === family && number(face.weight) === weight && face.style.split(' ')[0] === style);
}
function timeOf(file) {
  const entry = performance.getEntriesByType('resource').find(({ name }) => decodeURI(name).endsWith(file));
  return entry ? ' in ' + Math.round(entry.duration) + ' ms' : '';
}
function show() {
  let loaded = 0;
  const articles = document.querySelectorAll('article');
  for (const article of articles) {
    const output = article.querySelector('.state');
    const state = toggle.checked ? (faceOf(article.dataset) || { status: 'loading' }).status : 'off';
    if (state === 'loaded') loaded++;
    output.dataset.state = state;
    output.textContent = { loaded: 'loaded' + timeOf(article.dataset.file), loading: 'loading', unloaded: 'not asked for',
      error: 'failed: the browser draws the fallback', off: 'off: the browser draws the fallback' }[state];
  }
  document.getElementById('summary').textContent = toggle.checked
    ? loaded + ' of ' + articles.length + ' loaded.' : 'Web fonts are off.';
}
toggle.addEventListener('change', () => {
  kit.disabled = !toggle.checked;
  document.documentElement.classList.toggle('without', !toggle.checked);
  settle(60);
});
// Some engines send no event for a face that comes back from their cache, or call it failed until it is there again.
function settle(looks) {
  show();
  if (looks > 0 && document.querySelector('.state:not([data-state=loaded]):not([data-state=off])')) {
    setTimeout(settle, 150, looks - 1);
  }
}
for (const event of ['loading', 'loadingdone', 'loadingerror']) document.fonts.addEventListener(event, show);
document.fonts.ready.then(show);
addEventListener('load', show);
show();
`;
