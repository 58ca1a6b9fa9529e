// CSS Cascade 5, section 6.4: the order of layers

/**
 * The strength of each layer, from the weakest: those that are named first come first, and what stands in a layer itself comes
 * after the layers inside of it.
 *
 * @param names joined by dots, in the order in which stylesheets name them
 */
export function layerOrder(names: readonly string[]): Map<string, number> {
  const inside = new Map<string, string[]>();
  const seen = new Set<string>();
  for (const name of names) {
    const steps = name.split('.').filter(Boolean);
    for (let depth = 1; depth <= steps.length; depth++) {
      const path = steps.slice(0, depth).join('.');
      if (seen.has(path)) continue;
      seen.add(path);
      const parent = steps.slice(0, depth - 1).join('.');
      inside.set(parent, [...(inside.get(parent) ?? []), path]);
    }
  }
  const order = new Map<string, number>();
  const visit = (path: string) => {
    for (const child of inside.get(path) ?? []) visit(child);
    if (path !== '') order.set(path, order.size);
  };
  visit('');
  return order;
}
