// Repeats the attack on addresses, schemes and random pages, wires random sites, and says what got through.
//   npm run attack -- [number of pages] [seed] [number of sites]
import fc from 'fast-check';
import { attackAddresses, attackPages, attackSchemes } from '../test-support/attack.js';
import { innerAddresses, otherSchemes } from '../test-support/attacks.js';
import { randomSite, startRandomHost, wiredProblems } from '../test-support/random-sites.js';

const [pages = 500, seed = Date.now() % 1e6, sites = 2000] = process.argv.slice(2).map(Number);
const problems = [
  ...(await attackAddresses()),
  ...(await attackSchemes()),
  ...(await attackPages(pages, seed)),
];
const host = await startRandomHost();
for (const [i, site] of fc.sample(randomSite, { numRuns: sites, seed }).entries())
  problems.push(...(await wiredProblems(site, host)).map((one) => `site ${i}: ${one}`));
host.close();
for (const problem of problems) console.log(problem);
console.log(
  `${innerAddresses.length} addresses, ${otherSchemes.length} schemes, ${pages} pages, ${sites} sites: ${problems.length} problems (seed ${seed})`,
);
process.exitCode = problems.length === 0 ? 0 : 1;
