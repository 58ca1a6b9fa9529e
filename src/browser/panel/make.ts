type Child = Node | string | undefined;
type Attributes = Record<string, string | boolean | undefined | ((event: Event) => void)>;

/**
 * An element. Nothing is read as markup, and styles are set by properties, so that a page's policy has nothing against it.
 *
 * @param attributes functions listen to the event of their name; `style` is CSS
 */
export function make<Name extends keyof HTMLElementTagNameMap>(
  name: Name,
  attributes: Attributes = {},
  ...children: Child[]
): HTMLElementTagNameMap[Name] {
  const element = document.createElement(name);
  for (const [key, value] of Object.entries(attributes)) {
    if (typeof value === 'function') element.addEventListener(key, value);
    else if (key === 'style') element.style.cssText = String(value);
    else if (value === true) element.setAttribute(key, '');
    else if (typeof value === 'string') element.setAttribute(key, value);
  }
  element.append(...children.flatMap((child) => (child === undefined ? [] : [child])));
  return element;
}
