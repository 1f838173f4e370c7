// Script that a first load of Today takes, compressed: fails over the budget. Reads the built manifests; `npm run
// bench` prints all pages.

import { scriptOfPages } from './scriptSizes.mjs';

const BUDGET_KB = 350;
const today = scriptOfPages().find((p) => p.page === '/');
if (!today) {
  console.log('The build has no Today page to measure.');
  process.exit(1);
}
console.log(`Today loads ${today.kB.toFixed(0)} kB of compressed script, budget ${BUDGET_KB} kB`);
process.exit(today.kB <= BUDGET_KB ? 0 : 1);
