/** The panel of a rehearsal: what happened on the line, and switches for the next time. */
import { readable } from '../addresses.js';
import { kilobytes, seconds } from '../amounts.js';
import { change, follow, marks, toldConditions, type Mark, type Told } from './conditions.js';
import { facesNow, type FaceNow } from './faces.js';
import { make } from './make.js';
import { isOverlaid, overlay, standInsOnly } from './overlay.js';
import { record, type Recording } from './recording.js';
import { timeline } from './timeline.js';

declare const panelStyle: string;

const secondsOr = (ms: number | undefined) => (ms === undefined ? '–' : seconds(ms));
const openKey = 'rehearsal-open';

const labels: Record<string, string> = {
  line: 'Line',
  paced: 'Held up',
  fonts: 'Font files',
  display: 'font-display',
  standIns: 'Stand-ins',
  marked: 'Mark faces',
};

class Panel {
  private readonly host = make('div', { 'data-rehearsal': true });
  private readonly root: ShadowRoot;
  private readonly body = make('div', { class: 'body' });
  private readonly summary = make('span', { class: 'summary', role: 'status' });
  private readonly button = make('button', {
    type: 'button',
    'aria-expanded': 'false',
    click: () => this.toggle(),
  });
  private readonly facts = make('div');
  private shown: { show: (share: number) => void; end: () => void } | undefined;
  private outlined = false;
  private legend: Mark[] = [];
  private drawn = '';
  private isDetailed = false;

  constructor(
    private readonly recording: Recording,
    private readonly told: Told,
  ) {
    this.root = this.host.attachShadow({ mode: 'open' });
    const sheet = new CSSStyleSheet();
    sheet.replaceSync(panelStyle);
    this.root.adoptedStyleSheets = [sheet];
    this.button.append(make('strong', {}, 'Rehearsal'), this.summary);
    const panel = make('section', { class: 'panel', 'aria-label': 'Rehearsal' }, this.button, this.body);
    this.body.append(this.facts, this.switches());
    this.root.append(panel);
    document.documentElement.append(this.host);
    addEventListener('keydown', (event) => {
      if (event.altKey && event.shiftKey && event.code === 'KeyR') this.toggle();
      else if (event.key === 'Escape' && this.isOpen && event.composedPath().includes(this.host))
        this.toggle();
    });
    // In a frame beside another there is little room.
    if ((sessionStorage.getItem(openKey) ?? (window.top === window ? 'yes' : 'no')) === 'yes') this.toggle();
    this.update();
    setInterval(() => this.update(), 250);
    if (told.conditions.marked === true) void this.showMarks();
  }

  private get isOpen(): boolean {
    return this.button.getAttribute('aria-expanded') === 'true';
  }

  private toggle(): void {
    const open = !this.isOpen;
    this.button.setAttribute('aria-expanded', String(open));
    this.body.hidden = !open;
    sessionStorage.setItem(openKey, open ? 'yes' : 'no');
  }

  private update(): void {
    const faces = facesNow(this.recording);
    const { firstPaint, shift, moves } = this.recording;
    const last = Math.max(0, ...faces.map(({ drawn = 0 }) => drawn));
    const { conditions } = this.told;
    const moved = shift === undefined ? `${moves.length} texts moved` : `shift ${shift.toFixed(3)}`;
    this.summary.textContent = [
      conditions.line === 'none' ? 'no line' : (conditions.line as string),
      `text ${secondsOr(firstPaint)}`,
      faces.some(({ state }) => state === 'on its way')
        ? 'faces on their way'
        : `faces ${last > 0 ? secondsOr(last) : '–'}`,
      moved,
    ].join(' · ');
    const key = JSON.stringify([faces, firstPaint, moves.length, this.legend.length, this.outlined]);
    if (key === this.drawn || !this.isOpen) return;
    this.drawn = key;
    this.facts.replaceChildren(
      timeline(faces, this.recording),
      make('p', { class: 'key' }, 'Line: first drawing. Point: a face is drawn.'),
      this.table(faces),
      this.movedLine(),
    );
    this.outline();
  }

  private table(faces: readonly FaceNow[]): HTMLElement {
    const asked = faces.filter(({ state }) => state !== 'not asked for');
    const others = faces.filter(({ state }) => state === 'not asked for');
    return make(
      'div',
      {},
      this.rows(asked),
      others.length === 0
        ? undefined
        : make(
            'details',
            {
              open: this.isDetailed,
              toggle: (event) => (this.isDetailed = (event.target as HTMLDetailsElement).open),
            },
            make(
              'summary',
              {},
              `${others.length} more ${others.length === 1 ? 'file' : 'files'}, not asked for by this page`,
            ),
            this.rows(others),
          ),
    );
  }

  private rows(faces: readonly FaceNow[]): HTMLElement {
    const rows = faces.map((face) => {
      const path = new URL(face.url).pathname;
      const mark = this.legend.find((one) => one.path === path);
      const own = (this.told.conditions.files as Record<string, string>)[path] ?? 'as they are';
      const choice = make('select', {
        'aria-label': `How ${face.family} ${face.weight} is delivered`,
        change: (event) => void change({ files: { [path]: (event.target as HTMLSelectElement).value } }),
      });
      for (const one of this.told.choices.fonts)
        choice.append(make('option', { selected: one === own }, String(one)));
      return make(
        'tr',
        {},
        make(
          'th',
          { scope: 'row', title: readable(path) },
          mark?.color ? make('i', { class: 'mark', style: `background: ${mark.color}` }) : undefined,
          `${face.family} ${face.weight}${face.style === 'normal' ? '' : ` ${face.style}`}`,
        ),
        make('td', { class: face.state.replaceAll(' ', '-') }, face.state),
        make('td', {}, face.drawn === undefined ? '' : secondsOr(face.drawn)),
        make('td', {}, face.bytes ? kilobytes(face.bytes) : ''),
        make('td', {}, face.display),
        make('td', {}, choice),
      );
    });
    const head = ['Face', 'State', 'Drawn', 'Bytes', 'Display', 'Delivery'];
    return make(
      'table',
      {},
      make('thead', {}, make('tr', {}, ...head.map((text) => make('th', { scope: 'col' }, text)))),
      make('tbody', {}, ...rows),
      this.told.conditions.marked === true
        ? make(
            'caption',
            {},
            'Text without a mark is drawn by a local font, or by a font that stands in the page.',
          )
        : undefined,
    );
  }

  private movedLine(): HTMLElement {
    const { moves, shift } = this.recording;
    const words =
      moves.length === 0
        ? 'Nothing moved.'
        : `${moves.length} boxes moved${shift === undefined ? '' : `, a layout shift of ${shift.toFixed(4)}`}.`;
    return make(
      'p',
      {},
      `${words} `,
      moves.length === 0
        ? undefined
        : make(
            'button',
            {
              type: 'button',
              'aria-pressed': String(this.outlined),
              click: () => {
                this.outlined = !this.outlined;
                this.update();
              },
            },
            'Outline them',
          ),
    );
  }

  private outline(): void {
    for (const old of this.root.querySelectorAll('.moved')) old.remove();
    if (!this.outlined) return;
    for (const { box, at } of this.recording.moves)
      this.root.append(
        make('div', {
          class: 'moved',
          title: `moved at ${secondsOr(at)}`,
          style: `left: ${box.x}px; top: ${box.y}px; width: ${box.width}px; height: ${box.height}px`,
        }),
      );
  }

  private switches(): HTMLElement {
    const { conditions, choices } = this.told;
    const rows = Object.entries(choices).map(([name, values]) => {
      const select = make('select', {
        change: (event) => {
          const chosen = values[(event.target as HTMLSelectElement).selectedIndex];
          void change({ [name]: chosen });
        },
      });
      for (const value of values) {
        const text = value === true ? 'yes' : value === false ? 'no' : value;
        select.append(make('option', { selected: value === conditions[name] }, text));
      }
      return make('label', {}, make('span', {}, labels[name] ?? name), select);
    });
    const slider = make('input', {
      type: 'range',
      min: '0',
      max: '100',
      value: '50',
      'aria-label': 'How much of the page is shown in its stand-ins',
      hidden: true,
      input: () => this.shown?.show(Number(slider.value) / 100),
    });
    const both = make(
      'button',
      {
        type: 'button',
        'aria-pressed': 'false',
        click: () => {
          if (this.shown) this.shown.end();
          this.shown = this.shown ? undefined : overlay(this.root);
          this.shown?.show(Number(slider.value) / 100);
          slider.hidden = !this.shown;
          both.setAttribute('aria-pressed', String(this.shown !== undefined));
        },
      },
      'Both states on top of each other',
    );
    const again = make('button', { type: 'button', click: () => location.reload() }, 'This line again');
    return make(
      'form',
      { submit: (event) => event.preventDefault() },
      ...rows,
      make('p', {}, again, both, slider),
    );
  }

  private async showMarks(): Promise<void> {
    for (let look = 0; look < 40; look++) {
      this.legend = await marks();
      await new Promise((done) => setTimeout(done, 500));
    }
  }
}

if (isOverlaid()) standInsOnly();
else {
  const recording = record();
  const start = async () => {
    const told = await toldConditions();
    new Panel(recording, told);
    // It takes a connection, of which the page needs all until it is there.
    const listen = () => follow(told.conditions);
    if (document.readyState === 'complete') listen();
    else addEventListener('load', listen);
  };
  if (document.readyState === 'loading') addEventListener('DOMContentLoaded', () => void start());
  else void start();
}
