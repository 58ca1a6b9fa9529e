import { kilobytes } from '../core/text/amounts.js';
import { finding, type Finding } from '../findings.js';
import type { Manifest } from './files/manifest.js';

/** What a kit may weigh, in bytes, and how many files it may preload. */
export interface Budget {
  page?: number | undefined;
  face?: number | undefined;
  preloads?: number | undefined;
}

/** Where a kit is over its budget, each with what would bring it down. */
export function overBudget(manifest: Manifest, { page, face, preloads }: Budget): Finding[] {
  const found: Finding[] = [];
  const faces = manifest.families.flatMap(({ family, faces: list }) =>
    list.map(({ weight, style, parts }) => {
      const [{ file, bytes }] = parts;
      const name = `${family} ${weight.replace(' ', '–')}${style === 'normal' ? '' : ` ${style}`}`;
      return { name, file, bytes };
    }),
  );
  for (const { name, bytes } of faces) {
    if (face === undefined || bytes <= face) continue;
    const message = `${name} weighs ${kilobytes(bytes)}, ${kilobytes(bytes - face)} over ${kilobytes(face)} for a face`;
    found.push(finding('budget-exceeded', message));
  }
  const { pages } = manifest;
  // Before pages are read, a visit may fetch all of it.
  const visits =
    pages.length > 0 ? pages : [{ page: 'a page', bytes: 0, files: faces.map(({ file }) => file) }];
  const weighed = visits.map(({ page: name, files }) => {
    const own = faces.filter(({ file }) => files.includes(file)).sort((a, b) => b.bytes - a.bytes);
    return { name, own, bytes: own.reduce((sum, one) => sum + one.bytes, 0) };
  });
  const over = weighed.filter(({ bytes }) => page !== undefined && bytes > page);
  const [heaviest] = over.sort((a, b) => b.bytes - a.bytes);
  if (heaviest && page !== undefined) {
    const { name, own, bytes } = heaviest;
    const others = over.length > 1 ? `, and ${over.length - 1} more are over it` : '';
    const message = `${name} fetches ${kilobytes(bytes)}, ${kilobytes(bytes - page)} over ${kilobytes(page)} for a page${others}`;
    const listed = own.map((one) => `${one.name} ${kilobytes(one.bytes)}`).join(', ');
    found.push(finding('budget-exceeded', message, { advice: `do without one of ${listed}` }));
  }
  if (preloads !== undefined && manifest.preloads.length > preloads) {
    const message = `${manifest.preloads.length} files are preloaded, and ${preloads} may be`;
    const advice = 'preload fewer: write preload: none for a family, or list its faces';
    found.push(finding('budget-exceeded', message, { advice }));
  }
  return found;
}
