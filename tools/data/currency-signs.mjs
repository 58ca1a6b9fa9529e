// Writes src/data/currency-signs.ts: the signs of the currencies that regions pay with today (CLDR).
//   node tools/data/currency-signs.mjs     needs the package cldr-core; signs come from Intl
import { writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';

const require = createRequire(import.meta.url);
const { version } = require('cldr-core/package.json');
const { region } = require('cldr-core/supplemental/currencyData.json').supplemental.currencyData;

const regionsBySign = new Map();
for (const [code, history] of Object.entries(region)) {
  for (const [currency, use] of history.flatMap((entry) => Object.entries(entry))) {
    if (use._to || use._tender === 'false') continue;
    const format = new Intl.NumberFormat('en', {
      style: 'currency',
      currency,
      currencyDisplay: 'narrowSymbol',
    });
    const symbol = format.formatToParts(1).find(({ type }) => type === 'currency').value;
    for (const sign of symbol) {
      if (!/\p{Sc}/u.test(sign)) continue;
      if (!regionsBySign.has(sign)) regionsBySign.set(sign, new Set());
      regionsBySign.get(sign).add(code);
    }
  }
}
const rows = [...regionsBySign].sort(([a], [b]) => (a < b ? -1 : 1));
const text = `/**
 * CLDR ${version}: currency signs, each with the regions (ISO 3166) that pay with it today. Currencies that are written with letters
 * alone are left out. Made by tools/data/currency-signs.mjs.
 */
export const currencySigns: readonly (readonly [sign: string, regions: string])[] = [
${rows.map(([sign, regions]) => `  ['${sign}', '${[...regions].sort().join(' ')}'],`).join('\n')}
];
`;
writeFileSync(new URL('../../src/data/currency-signs.ts', import.meta.url), text);
console.log(`${rows.length} signs`);
