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
