// Changes a room's code in small ways, one at a time, and looks whether its tests notice: `npm run mutate -- ROOM`.
// Not part of `npm test`: it runs for minutes, `matching` for hours: `npm run mutate -- ROOM FILE` takes one file of it,
// `npm run mutate -- ROOM .1` every tenth mutant, always the same ones, `.1-.2` the next tenth.
// What survived and why it may is in docs/mutants.md.

import { spawnSync } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { root } from './ready.mjs';

/** What is changed, and the tests that must notice. */
const ROOMS = {
  screening: { mutate: ['src/core/screening/*.ts'], tests: ['src/core/screening/*.test.ts'] },
  matching: { mutate: ['src/core/matching/*.ts'], tests: ['src/core/matching/*.test.ts'] },
  live: {
    mutate: ['src/core/hands/live.ts', 'src/core/hands/admit.ts'],
    tests: ['src/core/hands/live*.test.ts', 'src/core/hands/admit.test.ts'],
  },
  care: { mutate: ['src/core/care/*.ts'], tests: ['src/core/care/*.test.ts'] },
  reading: { mutate: ['src/core/reading/*.ts'], tests: ['src/core/reading/*.test.ts'] },
  services: { mutate: ['src/server/services/*.ts'], tests: ['src/server/**/*.test.ts'] },
};

const name = process.argv[2] ?? '';
const room = ROOMS[name];
if (!room) {
  console.error(`Which room? ${Object.keys(ROOMS).join(', ')}`);
  process.exit(2);
}
const asked = process.argv[3];
const share = /^0?\.\d+(-0?\.\d+)?$/.test(asked ?? '') ? asked : null;
const only = share === null ? asked : undefined;
if (only && (only.includes('/') || !/^[A-Za-z]+\.ts$/.test(only))) {
  console.error('Which file of the room? Its name alone, as removal.ts, or a share of the mutants, as .1');
  process.exit(2);
}
const folder = join(root, '.cache', 'mutants');
const config = {
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner', ...(share === null ? [] : [join(root, 'scripts', 'mutantSample.mjs')])],
  checkers: share === null ? [] : ['sample'],
  mutate: [...(only ? [`${dirname(room.mutate[0])}/${only}`] : room.mutate), '!**/*.test.ts', '!**/index.ts'],
  vitest: { configFile: 'vitest.config.ts', related: false },
  // tables of data (rules, figures) are read when the room is loaded: each of their mutants would run every test
  ignoreStatic: true,
  // words are read by people, not asserted letter by letter
  mutator: { excludedMutations: ['StringLiteral'] },
  reporters: ['clear-text', 'json', 'progress-append-only'],
  jsonReporter: { fileName: join(folder, `${only ? `${name}-${only}` : name}.json`) },
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
  tempDirName: join(folder, 'sandbox'),
  ignorePatterns: ['data', '.next', 'docs', 'generated', 'test-results'],
  // the checker of a share takes one, and hardly works
  concurrency: share === null ? 2 : 3,
  timeoutMS: 20_000,
  thresholds: { high: 90, low: 80, break: 80 },
};
const file = join(root, '.cache', 'mutants.config.json');
mkdirSync(folder, { recursive: true });
writeFileSync(file, JSON.stringify(config));
const env = { ...process.env, STRICKLE_TESTS: JSON.stringify(room.tests), STRICKLE_MUTANTS: share ?? '1' };
const done = spawnSync(process.execPath, [join('node_modules', '.bin', 'stryker'), 'run', file], {
  stdio: 'inherit',
  env,
});
process.exit(done.status ?? 1);
