/** The document as it stands, with the rules that scripts made, as HTML. Run by a browser for `scan --run-scripts`. */

const cssOf = (sheet: CSSStyleSheet): string => {
  try {
    return Array.from(sheet.cssRules, ({ cssText }) => cssText).join('\n');
  } catch {
    return ''; // of another host
  }
};

/** How many rules the text of a style element comes to, as scripts add some that its text doesn't have. */
function rulesIn(text: string): number {
  const sheet = new CSSStyleSheet();
  try {
    sheet.replaceSync(text);
  } catch {
    return -1;
  }
  return sheet.cssRules.length;
}

function writeRules(tree: Document | ShadowRoot): void {
  for (const sheet of tree.styleSheets) {
    const owner = sheet.ownerNode;
    if (!(owner instanceof HTMLElement) || !(sheet instanceof CSSStyleSheet)) continue;
    if (sheet.disabled) owner.setAttribute('media', 'not all');
    if (owner instanceof HTMLStyleElement && sheet.cssRules.length !== rulesIn(owner.textContent ?? ''))
      owner.textContent = cssOf(sheet);
  }
  for (const sheet of tree.adoptedStyleSheets) {
    const style = document.createElement('style');
    style.textContent = cssOf(sheet);
    const place = tree instanceof Document ? tree.head : tree;
    place.append(style);
  }
}

/** What visitors see in fields is a property and no attribute. */
function writeFields(tree: Document | ShadowRoot): void {
  for (const field of tree.querySelectorAll('input')) {
    if (field.type !== 'file' && field.value !== '') field.setAttribute('value', field.value);
    field.toggleAttribute('checked', field.checked);
  }
  for (const { selectedOptions } of tree.querySelectorAll('select'))
    for (const option of selectedOptions) option.setAttribute('selected', '');
}

// Before anything is written into it.
const { denseGlyphEarlier } = globalThis as { denseGlyphEarlier?: () => string[] };
const earlier = denseGlyphEarlier?.() ?? [];
const trees: (Document | ShadowRoot)[] = [document];
const roots: ShadowRoot[] = [];
for (const tree of trees) {
  for (const { shadowRoot } of tree.querySelectorAll('*')) {
    if (!shadowRoot) continue;
    trees.push(shadowRoot);
    roots.push(shadowRoot);
  }
}
for (const tree of trees) {
  writeRules(tree);
  writeFields(tree);
}
const doctype = document.doctype ? `<!doctype ${document.doctype.name}>` : '';
const { documentElement: root } = document;
const attributes = Array.from(
  root.attributes,
  ({ name, value }) => ` ${name}="${value.replace(/"/g, '&quot;')}"`,
);
const content = root.getHTML({ serializableShadowRoots: true, shadowRoots: roots });
const html = `${doctype}<html${attributes.join('')}>${content}</html>`;
Object.assign(globalThis, { denseGlyphSnapshot: JSON.stringify({ html, earlier }) });
