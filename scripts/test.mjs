// The one test command: installs what is missing, then format, types, lint, import boundaries, dead code, unit tests,
// build, script budget and browser tests. Every step runs even when one before has failed; the last line counts
// everything: `N passed, N failed`. A skipped test counts as failed.

import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildIfChanged, chromiumMissing, installMissing } from './ready.mjs';

installMissing();
chromiumMissing();
mkdirSync('test-results', { recursive: true });

const bin = (name) => join('node_modules', '.bin', name);
let passed = 0;
let failed = 0;

function run(command, args) {
  return (
    spawnSync(command, args, {
      stdio: 'inherit',
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', FORCE_COLOR: '0' },
    }).status === 0
  );
}

function check(name, command, args) {
  console.log(`\n== ${name}`);
  const ok = run(command, args);
  if (ok) passed++;
  else failed++;
  console.log(`${ok ? 'ok' : 'FAILED'}: ${name}`);
}

function count(name, file, read, command, args) {
  console.log(`\n== ${name}`);
  rmSync(file, { force: true });
  const ok = run(command, args);
  try {
    const result = read(JSON.parse(readFileSync(file, 'utf8')));
    passed += result.passed;
    failed += result.failed + (!ok && result.failed === 0 ? 1 : 0);
    if (result.passed === 0) failed++;
  } catch {
    failed++;
    console.log(`FAILED: ${name} gave no result`);
  }
}

check('format', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
check('types', bin('tsc'), ['--noEmit']);
check('lint', bin('eslint'), ['.', '--max-warnings', '0']);
check('import boundaries', process.execPath, [join('scripts', 'boundaries.mjs')]);
check('dead code', bin('knip'), []);
count(
  'unit tests',
  'test-results/unit.json',
  (r) => ({ passed: r.numPassedTests, failed: r.numTotalTests - r.numPassedTests }),
  bin('vitest'),
  ['run', '--reporter=default', '--reporter=json', '--outputFile.json=test-results/unit.json'],
);
console.log('\n== build');
buildIfChanged();
passed++;
check('script budget', process.execPath, [join('scripts', 'budget.mjs')]);
count(
  'browser tests',
  'test-results/browser.json',
  (r) => ({ passed: r.stats.expected, failed: r.stats.unexpected + r.stats.flaky + r.stats.skipped }),
  bin('playwright'),
  ['test'],
);

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
