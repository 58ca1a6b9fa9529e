// Selectors 4, section 6: attributes

import { ident, type CssNode } from 'css-tree';
import { UnknownSelector, type Matcher, type Traits } from './matcher.js';

/** Values of these attributes are compared without regard to case (HTML, section 4.16.2). */
const caseless =
  /^(accept|align|checked|charset|dir|disabled|hidden|lang|language|media|method|multiple|rel|rev|selected|shape|type|valign)$/;

export function attribute(
  node: Extract<CssNode, { type: 'AttributeSelector' }>,
  { attributes, values }: Traits,
): Matcher {
  const name = ident.decode(node.name.name.replace(/^.*\|/, '')).toLowerCase();
  attributes.add(name);
  const { matcher, flags } = node;
  if (!matcher || !node.value) return (element) => element.attributes.has(name);
  values.add(name);
  const written = node.value.type === 'String' ? node.value.value : ident.decode(node.value.name);
  const isCaseless = flags?.toLowerCase() === 'i' || (flags?.toLowerCase() !== 's' && caseless.test(name));
  const wanted = isCaseless ? written.toLowerCase() : written;
  const test = tests[matcher];
  if (!test) throw new UnknownSelector();
  return (element) => {
    const value = element.attributes.get(name);
    return value !== undefined && test(isCaseless ? value.toLowerCase() : value, wanted);
  };
}

const tests: Readonly<Record<string, (value: string, wanted: string) => boolean>> = {
  '=': (value, wanted) => value === wanted,
  '~=': (value, wanted) => wanted !== '' && value.split(/\s+/).includes(wanted),
  '|=': (value, wanted) => value === wanted || value.startsWith(`${wanted}-`),
  '^=': (value, wanted) => wanted !== '' && value.startsWith(wanted),
  '$=': (value, wanted) => wanted !== '' && value.endsWith(wanted),
  '*=': (value, wanted) => wanted !== '' && value.includes(wanted),
};
