// `npm run check`: what is quick to know before a commit. Types, format and lint of everything, the unit tests in the
// rooms of what differs from the last commit. About a minute; `npm test` is what counts.

import { execFileSync, spawn } from 'node:child_process';
import { dirname, join } from 'node:path';
import { installMissing } from './ready.mjs';

installMissing();
const bin = (name) => join('node_modules', '.bin', name);
const git = (...args) => execFileSync('git', args, { encoding: 'utf8' }).split('\n');
/** Folders whose code differs from the last commit; one without tests where nothing does. */
function rooms() {
  const changed = [...git('diff', '--name-only', 'HEAD'), ...git('ls-files', '--others', '--exclude-standard')];
  const folders = new Set(changed.filter((file) => /^src\/.+\.tsx?$/.test(file)).map((file) => `${dirname(file)}/`));
  return folders.size === 0 ? ['nothing-has-changed'] : [...folders];
}
const CHECKS = [
  ['types', bin('tsc'), ['--noEmit']],
  [
    'format',
    bin('prettier'),
    ['--check', '--log-level', 'warn', '--cache', '--cache-location', '.cache/prettier', '.'],
  ],
  ['lint', bin('eslint'), ['.', '--max-warnings', '0', '--cache', '--cache-location', '.cache/eslint']],
  ['tests near the change', bin('vitest'), ['run', ...rooms(), '--passWithNoTests', '--reporter=dot']],
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
