// The one test command: installs what is missing, then format, types, lint, import boundaries, dead code, build, script
// budget, unit tests and browser tests. Every step runs even when one before has failed; the last line counts
// everything: `N passed, N failed`. A skipped test counts as failed.

import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildIfChanged, chromiumMissing, installBeside, root } from './ready.mjs';

// the checks and the build need sources only: they run while the database driver compiles
const driver = installBeside();
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

/** Runs checks side by side; each one's words come together, in their order. */
async function checks(list) {
  const done = await Promise.all(
    list.map(
      ([name, command, args]) =>
        new Promise((resolve) => {
          const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1', FORCE_COLOR: '0' };
          const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'], env });
          let said = '';
          for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (said += text));
          child.on('close', (code) => resolve({ name, said, ok: code === 0 }));
          child.on('error', (error) => resolve({ name, said: String(error), ok: false }));
        }),
    ),
  );
  for (const { name, said, ok } of done) {
    console.log(`\n== ${name}\n${said}${ok ? 'ok' : 'FAILED'}: ${name}`);
    if (ok) passed++;
    else failed++;
  }
}

/** Adds what a run has counted to the sum; a run that gave no result, or no test, has failed. */
function add(name, file, read, ok) {
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

function count(name, file, read, command, args) {
  console.log(`\n== ${name}`);
  rmSync(file, { force: true });
  add(name, file, read, run(command, args));
}

/** The invented studio, loaded once for all servers of the browser tests. @returns its file */
function demoStudio(engines) {
  const file = join(root, 'test-results', 'demo-studio.sqlite');
  for (const end of ['', '-wal', '-shm']) rmSync(file + end, { force: true });
  const env = { ...process.env, NODE_ENV: 'production', STRICKLE_DB: file, STRICKLE_DEMO_SENSOR: 'off' };
  env.STRICKLE_ENGINES = engines;
  const load = ['--import', 'tsx', '--conditions=react-server', join('scripts', 'loadDemo.ts'), '--demo'];
  if (spawnSync(process.execPath, load, { stdio: 'inherit', env }).status === 0) return file;
  failed++;
  console.log('FAILED: the invented studio could not be loaded');
  return undefined;
}

/** The browser tests in two parts side by side, each on a server and data of its own: they wait more than they work. */
async function browserTests(engines) {
  const read = (r) => ({ passed: r.stats.expected, failed: r.stats.unexpected + r.stats.flaky + r.stats.skipped });
  console.log('\n== browser tests');
  const demo = demoStudio(engines);
  await Promise.all(
    ['one', 'two'].map(async (part) => {
      const file = `test-results/browser-${part}.json`;
      rmSync(file, { force: true });
      const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1', FORCE_COLOR: '0', STRICKLE_PART: part };
      if (demo) env.STRICKLE_DEMO_COPY = demo;
      const child = spawn(bin('playwright'), ['test'], { stdio: 'inherit', env });
      const code = await new Promise((resolve) => {
        child.on('exit', resolve).on('error', () => resolve(1));
      });
      add(`browser tests, part ${part}`, file, read, code === 0);
    }),
  );
}

await checks([
  ['format', bin('prettier'), ['--check', '--log-level', 'warn', '.']],
  ['types', bin('tsc'), ['--noEmit']],
  ['lint', bin('eslint'), ['.', '--max-warnings', '0']],
  ['import boundaries', process.execPath, [join('scripts', 'boundaries.mjs')]],
  ['dead code', bin('knip'), []],
]);
console.log('\n== build');
const engines = buildIfChanged({ once: !existsSync('.next') });
passed++;
await checks([['script budget', process.execPath, [join('scripts', 'budget.mjs')]]]);
await driver;
count(
  'unit tests',
  'test-results/unit.json',
  (r) => ({ passed: r.numPassedTests, failed: r.numTotalTests - r.numPassedTests }),
  bin('vitest'),
  ['run', '--reporter=default', '--reporter=json', '--outputFile.json=test-results/unit.json'],
);
await browserTests(engines);

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
