/** Sliders, switches, the language of the text, and the glyph grid of each font. */
import { find, findAll } from '../elements.js';
import { showGlyphs } from './glyphs.js';

for (const section of findAll('section')) {
  const drawn = findAll('.drawn, .glyphs, h2', section);
  const text = find<HTMLInputElement>('[name=text]', section);
  const language = find<HTMLSelectElement>('[name=language]', section);

  const apply = () => {
    const axes = findAll<HTMLInputElement>('[data-axis]', section).map((input) => {
      find<HTMLOutputElement>('output', input.parentElement!).value = input.value;
      return `"${input.dataset.axis}" ${input.value}`;
    });
    const features = findAll<HTMLInputElement>('[data-feature]', section)
      .filter((box) => box.checked !== (box.dataset.default === 'true'))
      .map((box) => `"${box.dataset.feature}" ${box.checked ? 1 : 0}`);
    for (const { style } of drawn) {
      style.fontVariationSettings = axes.join(', ') || 'normal';
      style.fontFeatureSettings = features.join(', ') || 'normal';
    }
  };
  const write = () => {
    for (const sample of findAll('.sample', section)) sample.textContent = text.value;
  };

  language.addEventListener('change', () => {
    const [option] = language.selectedOptions;
    text.value = option.dataset.text ?? '';
    find('.drawn', section).lang = option.value;
    write();
  });
  text.addEventListener('input', write);
  section.addEventListener('input', ({ target }) => {
    if (target instanceof Element && target.matches('[data-axis], [data-feature]')) apply();
  });
  section.addEventListener('submit', (event) => event.preventDefault());
  showGlyphs(section, (character, title) => {
    text.value = `${character.repeat(3)} ${title}`;
    write();
  });
}
