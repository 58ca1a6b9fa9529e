// What a config says of its site

import { array, boolean, mixed, object } from 'yup';
import { describedBy, listOfTexts, text } from './schema-parts.js';

const isTexts = (value: unknown): value is Record<string, string> =>
  typeof value === 'object' &&
  value !== null &&
  !Array.isArray(value) &&
  Object.values(value).every((one) => typeof one === 'string');

const stateAdvice =
  'write what happens on which page, as in { page: /, click: "#menu" } or { page: /, language: de }';

/** What happens on a page before its text is read; in this order. */
const stateSchema = object({
  page: text()
    .required('name the page, as in /settings')
    .meta(describedBy({ description: 'The page, as site.pages names it.' })),
  language: text().meta(describedBy({ description: 'The language that the browser asks for (BCP 47).' })),
  fill: mixed(isTexts)
    .typeError('write fields with what is typed into them, as in { "#search": Pier }')
    .meta(
      describedBy({
        description: 'Fields, as selectors, and what is typed into each.',
        jsonSchema: { type: 'object', additionalProperties: { type: 'string' } },
      }),
    ),
  click: listOfTexts('Selectors of elements that are clicked, one after the other.'),
  hover: text().meta(describedBy({ description: 'Selector of an element that the pointer then rests on.' })),
})
  .typeError(stateAdvice)
  .test('any', stateAdvice, (value) => Object.keys(value).length > 1)
  .meta(describedBy({ description: 'What happens on a page before its text is read.' }));

export const siteSchema = object({
  root: text().meta(describedBy({ description: 'The folder that is served as the site.' })),
  url: text()
    .matches(/^https?:\/\//i, 'write where it is served, as in http://localhost:5173')
    .meta(describedBy({ description: 'Where a running server has its pages, in the place of the folder.' })),
  pages: listOfTexts(
    'Its pages, as globs below the root, or as paths of URLs: /settings?lang=de; all, if left out.',
  ),
  scripts: boolean()
    .typeError('write true or false')
    .meta(
      describedBy({
        description:
          'Whether pages are read after an installed Chromium ran their scripts; of a URL they are, if left out.',
      }),
    ),
  states: array(stateSchema.required(stateAdvice))
    .typeError(stateAdvice)
    .meta(describedBy({ description: 'What has to happen on a page before it shows some of its text.' })),
  policy: text().meta(
    describedBy({
      description: 'The Content-Security-Policy that the server sends with its pages, as the header has it.',
    }),
  ),
  demand: text().meta(
    describedBy({
      description:
        'What scan --save found earlier, a file; read in the place of the pages where it is there.',
    }),
  ),
}).test(
  'somewhere',
  'name the folder that is served as the site (root), or where it runs (url)',
  // Where there is no site it is called all the same.
  (value: { root?: unknown; url?: unknown; demand?: unknown } | undefined) =>
    value === undefined || [value.root, value.url, value.demand].some((one) => one !== undefined),
);
