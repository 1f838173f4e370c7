// What must be there before anything runs: packages, the built app, Chromium for the browser tests. Plain Node.

import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { enginesHash } from './enginesHash.mjs';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
process.chdir(root);

/** Runs a command to its end; a failure ends the script with a plain sentence. */
export function must(what, command, args, env = process.env) {
  const done = spawnSync(command, args, { stdio: 'inherit', env: { ...env, NEXT_TELEMETRY_DISABLED: '1' } });
  if (done.status === 0) return;
  console.error(`${what} did not finish.`);
  process.exit(done.status ?? 1);
}

const installedStamp = join('node_modules', '.strickle-lock');
const lockHash = () => createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
const isInstalled = () => existsSync(installedStamp) && readFileSync(installedStamp, 'utf8') === lockHash();
/** Compilers work on every core. */
const COMPILING = { ...process.env, JOBS: 'max' };

/** Installs from the lock file where it differs from what is there. */
export function installMissing() {
  if (isInstalled()) return;
  console.log('Installing packages; the database driver compiles, this takes some minutes …');
  must('Installing', 'npm', ['ci', '--no-audit', '--no-fund'], COMPILING);
  writeFileSync(installedStamp, lockHash());
}

/**
 * As above, but what must be compiled compiles beside what is called next: all else is there at once, that is when the
 * promise is kept.
 */
export async function installBeside() {
  if (isInstalled()) return;
  console.log('Installing packages …');
  must('Installing', 'npm', ['ci', '--no-audit', '--no-fund', '--ignore-scripts']);
  const driver = spawn('npm', ['rebuild'], { stdio: ['ignore', 'ignore', 'inherit'], env: COMPILING });
  const code = await new Promise((resolve) => driver.on('exit', resolve).on('error', () => resolve(1)));
  if (code !== 0) {
    console.error('The database driver did not compile.');
    process.exit(1);
  }
  writeFileSync(installedStamp, lockHash());
}

function filesBelow(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((e) =>
    e.isDirectory() ? filesBelow(join(folder, e.name)) : [join(folder, e.name)],
  );
}

/** The style sheet of the parts in our theme, made anew where theme or packages have changed. */
export function stylesIfChanged() {
  const from = [
    join('src', 'ui', 'theme.ts'),
    join('src', 'ui', 'colours.ts'),
    join('scripts', 'styles.ts'),
    join('scripts', 'parts.ts'),
    join('scripts', 'eveningRules.ts'),
    'package-lock.json',
  ];
  const hash = createHash('sha256');
  for (const file of from) hash.update(readFileSync(file));
  const wanted = hash.digest('hex');
  const stamp = join('generated', 'made-from');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  const env = { ...process.env, NODE_ENV: 'production' };
  must('Making the styles', process.execPath, ['--import', 'tsx', join('scripts', 'styles.ts')], env);
  writeFileSync(stamp, wanted);
}

/**
 * Builds where the content of a source differs from that of the last build.
 * @param {boolean} once nothing is kept that would make a later build quicker
 * @returns {string} hash of the engines that are built in (`enginesHash`)
 */
export function buildIfChanged({ once = false } = {}) {
  stylesIfChanged();
  const hash = createHash('sha256');
  const sources = [
    ...filesBelow('src').filter((f) => !f.endsWith('.test.ts')),
    'next.config.ts',
    join('generated', 'antd.css'),
    join('generated', 'colours.css'),
    'package-lock.json',
    'tsconfig.json',
  ].sort();
  for (const file of sources) hash.update(file).update(readFileSync(file));
  const wanted = hash.digest('hex');
  const [stamp, engines] = [join('.next', 'strickle-build'), join('.next', 'strickle-engines')];
  const isBuilt = existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted && existsSync(join('.next', 'BUILD_ID'));
  // the sources are those of the build: so are its engines
  if (isBuilt && existsSync(engines)) return readFileSync(engines, 'utf8');
  if (!isBuilt) {
    console.log('Building …');
    const env = once ? { ...process.env, STRICKLE_BUILDS: 'once' } : process.env;
    must('Building', process.execPath, [join('node_modules', 'next', 'dist', 'bin', 'next'), 'build'], env);
    buildThreads();
  }
  mkdirSync('.next', { recursive: true });
  writeFileSync(engines, enginesHash(join('src', 'core')));
  writeFileSync(stamp, wanted);
  return readFileSync(engines, 'utf8');
}

/** Threads as one file each: a thread of the server loads no sources. */
function buildThreads() {
  const options = ['--bundle', '--platform=node', '--format=esm', '--target=node20', '--log-level=warning'];
  for (const name of ['plan', 'forecast']) {
    const source = join('src', 'server', 'planning', `${name}.thread.ts`);
    const outfile = `--outfile=${join('.next', 'strickle', `${name}.thread.mjs`)}`;
    must(`Building the thread of ${name}s`, join('node_modules', '.bin', 'esbuild'), [source, outfile, ...options]);
  }
}

/** Debian's Chromium for the browser tests; installed by apt where it is missing. */
export function chromiumMissing() {
  if (existsSync('/usr/bin/chromium')) return;
  console.log('Installing Chromium from the Debian packages …');
  must('Reading the package lists', 'apt-get', ['update', '-qq']);
  must('Installing Chromium', 'apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium']);
}
