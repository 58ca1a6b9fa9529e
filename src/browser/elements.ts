/** The first element of a page that fits a selector; the page's own markup always has it. */
export function find<Found extends HTMLElement = HTMLElement>(
  selector: string,
  within: ParentNode = document,
): Found {
  const found = within.querySelector<Found>(selector);
  if (!found) throw new Error(`the page has no ${selector}`);
  return found;
}

export const findAll = <Found extends HTMLElement = HTMLElement>(
  selector: string,
  within: ParentNode = document,
): Found[] => [...within.querySelectorAll<Found>(selector)];

/** An element with what is in it; texts are never read as markup. */
export function element<Name extends keyof HTMLElementTagNameMap>(
  name: Name,
  properties: Partial<HTMLElementTagNameMap[Name]> & { data?: Record<string, string> } = {},
  ...content: (Node | string)[]
): HTMLElementTagNameMap[Name] {
  const { data, ...others } = properties;
  const made = Object.assign(document.createElement(name), others);
  Object.assign(made.dataset, data);
  made.append(...content);
  return made;
}
