import { cpSync, mkdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { sampleFonts } from './paths.js';

/** An app that scripts draw: a word while it loads, two routes, data that comes late, two languages, and a notice that somebody has to ask for. */
const script = `
const texts = navigator.language.startsWith('de') ? { lead: 'Fähren', notice: 'Übrigens' } : { lead: 'Boats', notice: 'Ahoy' };
const root = document.getElementById('root');
const draw = async () => {
  root.innerHTML = '<h1>Querying</h1>';
  await new Promise((done) => setTimeout(done, 200));
  const isFares = location.pathname === '/fares';
  root.innerHTML = '<h1>' + (isFares ? 'Fares' : texts.lead) + '</h1><a href="/fares">go</a> <a href="/dead.html">x</a><button id="notice">?</button>';
  document.getElementById('notice').onclick = () => root.insertAdjacentHTML('beforeend', '<p class="notice">' + texts.notice + '</p>');
  const data = await (await fetch('/boats.json')).json();
  root.insertAdjacentHTML('beforeend', isFares ? '<p class="fare">4.20</p>' : '<p>' + data.name + '</p>');
};
draw();
`;
const styles = `
body { font: 18px 'Ferrywake Sans', Arial, sans-serif }
h1 { font-family: 'Lampbuoy Slab', serif; font-weight: 700 }
.fare { font-family: 'Tidelog Mono', monospace }
.notice { font-weight: 700 }
`;

/** Writes it into a project, with the sample fonts. */
export function writeApp(folder: string): void {
  const put = (file: string, text: string) => {
    mkdirSync(dirname(join(folder, file)), { recursive: true });
    writeFileSync(join(folder, file), text);
  };
  cpSync(sampleFonts, join(folder, 'fonts'), { recursive: true });
  put(
    'dist/index.html',
    '<!doctype html><html lang=en><meta charset=utf-8><title>Pier</title><link rel=stylesheet href=/app.css><div id=root></div><script src=/app.js></script>',
  );
  put('dist/app.js', script);
  put('dist/app.css', styles);
  put('dist/boats.json', '{ "name": "Käpt’n Quill" }');
  put('src/locales/en.json', '{ "aKey": "Żółw" }');
  put('src/locales/de.yaml', 'b_key: Größe\n');
}

const family = (name: string, role: string, files: string, stack: string) => ({
  family: name,
  role,
  files: `fonts/${files}`,
  stack: [stack],
});

/** Families of its stylesheet. */
export const appFamilies = [
  family('Ferrywake Sans', 'body', 'FerrywakeSans-{Regular,Bold}.ttf', 'sans-serif'),
  family('Lampbuoy Slab', 'heading', 'LampbuoySlab-Bold.otf', 'serif'),
  family('Tidelog Mono', 'fares', 'TidelogMono-Regular.ttf', 'monospace'),
];
