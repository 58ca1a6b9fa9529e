// CSS Lists 3, section 3.4

import { componentsOf, textOf } from '../tokens.js';
import { listStyleImage } from './list-style-image.js';
import { listStyleType } from './list-style-type.js';
import type { Shorthand } from './property.js';

const isImage = (part: string): boolean =>
  /^(url|image|image-set|linear-gradient|radial-gradient)\(/i.test(part);

export const listStyle: Shorthand = {
  name: 'list-style',
  longhands: [listStyleType, listStyleImage],
  read: (tokens) => {
    const parts = componentsOf(tokens).map(textOf);
    const types = parts.filter((part) => !/^(inside|outside)$/i.test(part) && !isImage(part));
    return {
      isListImage: parts.some(isImage),
      listStyle: types.find((part) => part.toLowerCase() !== 'none') ?? types[0] ?? listStyleType.initial,
    };
  },
};
