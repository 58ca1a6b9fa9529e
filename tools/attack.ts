// Repeats the attack on addresses, schemes and random pages, and says what got through.
//   npm run attack -- [number of pages] [seed]
import { attackAddresses, attackPages, attackSchemes } from '../test-support/attack.js';
import { innerAddresses, otherSchemes } from '../test-support/attacks.js';

const [pages = 500, seed = Date.now() % 1e6] = process.argv.slice(2).map(Number);
const problems = [
  ...(await attackAddresses()),
  ...(await attackSchemes()),
  ...(await attackPages(pages, seed)),
];
for (const problem of problems) console.log(problem);
console.log(
  `${innerAddresses.length} addresses, ${otherSchemes.length} schemes, ${pages} pages: ${problems.length} problems (seed ${seed})`,
);
process.exitCode = problems.length === 0 ? 0 : 1;
