// `npm run check`: what is quick to know before a commit. Types, format and lint of everything, the unit tests near the
// change (what differs from the last commit). Under a minute; `npm test` is what counts.

import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { installMissing } from './ready.mjs';

installMissing();
const bin = (name) => join('node_modules', '.bin', name);
const CHECKS = [
  ['types', bin('tsc'), ['--noEmit']],
  ['format', bin('prettier'), ['--check', '--log-level', 'warn', '.']],
  ['lint', bin('eslint'), ['.', '--max-warnings', '0', '--cache', '--cache-location', '.cache/eslint']],
  ['tests near the change', bin('vitest'), ['run', '--changed', '--passWithNoTests', '--reporter=dot']],
];

function run([name, command, args]) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { env: { ...process.env, FORCE_COLOR: '0' } });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += chunk));
    child.on('exit', (code) => {
      console.log(`${code === 0 ? 'ok' : 'FAILED'}: ${name}`);
      if (code !== 0) console.log(said);
      resolve(code === 0);
    });
  });
}

// two at a time: types and lint need a core each
const results = [];
for (const pair of [CHECKS.slice(0, 2), CHECKS.slice(2)]) results.push(...(await Promise.all(pair.map(run))));
process.exit(results.every(Boolean) ? 0 : 1);
