// Ends builds at random times and says whether the kit was whole each time.
//   npm run kills -- [number] [seed]
import { killBuilds } from '../test-support/kills.js';
import { seeded } from '../test-support/mutations.js';

const [kills = 1000, seed = Date.now() % 1e6] = process.argv.slice(2).map(Number);
const { whileWriting, problems } = await killBuilds(kills, 5, seeded(seed));
for (const problem of problems) console.log(problem);
console.log(`${kills} kills, ${whileWriting} while it wrote; ${problems.length} problems (seed ${seed})`);
process.exitCode = problems.length === 0 ? 0 : 1;
