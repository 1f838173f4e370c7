// Import boundaries (.dependency-cruiser.cjs): fails on a breach, and on "0 modules read", which would pass for
// nothing.

import { spawnSync } from 'node:child_process';
import { join } from 'node:path';

const done = spawnSync(
  process.execPath,
  [
    join('node_modules', 'dependency-cruiser', 'bin', 'dependency-cruise.mjs'),
    'src',
    '--config',
    '.dependency-cruiser.cjs',
    '--output-type',
    'json',
  ],
  { encoding: 'utf8', maxBuffer: 256 * 1024 * 1024 },
);
let result;
try {
  result = JSON.parse(done.stdout);
} catch {
  console.error(done.stderr || done.stdout);
  process.exit(1);
}
const { totalCruised, totalDependenciesCruised, violations } = result.summary;
for (const v of violations) console.log(`${v.rule.severity} ${v.rule.name}: ${v.from} → ${v.to}`);
console.log(`${totalCruised} modules and ${totalDependenciesCruised} imports read, ${violations.length} breaches`);
const own = result.modules.filter((m) => m.source.startsWith('src/') && m.dependencies.length > 0).length;
if (own < 100) console.log('Too few modules of our own were read: the check does not see the sources.');
process.exit(violations.length === 0 && own >= 100 ? 0 : 1);
