// Starts Strickle: `demo`, `start`, `dev` and, for the browser tests, `test-server`. Plain Node, so that it runs before
// anything is installed: installs what is missing, builds where the sources have changed, migrates, loads, starts on
// 127.0.0.1.

import { spawn } from 'node:child_process';
import { copyFileSync, existsSync, mkdirSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { enginesHash } from './enginesHash.mjs';
import { buildIfChanged, installMissing, must, root, stylesIfChanged } from './ready.mjs';

const [mode = 'start', ...rest] = process.argv.slice(2);
const portAt = rest.indexOf('--port');
const port = portAt >= 0 ? Number(rest[portAt + 1]) : 4100;
const data = {
  demo: 'data/demo.sqlite',
  start: 'data/studio.sqlite',
  dev: 'data/demo.sqlite',
  'test-server': 'data/browser-test.sqlite',
}[mode];
if (!data || !Number.isInteger(port) || port < 1 || port > 65535) {
  console.error('Use: npm run demo, npm start or npm run dev, with -- --port N for another port.');
  process.exit(2);
}
const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1', STRICKLE_DB: process.env.STRICKLE_DB ?? join(root, data) };
if (mode !== 'dev') env.NODE_ENV = 'production';
const isLan = rest.includes('--lan');
if (isLan) env.STRICKLE_LAN = 'on';

installMissing();
if (mode === 'dev') stylesIfChanged();
env.STRICKLE_ENGINES = mode === 'dev' ? enginesHash(join(root, 'src', 'core')) : buildIfChanged();
if (mode === 'test-server') for (const end of ['', '-wal', '-shm']) rmSync(env.STRICKLE_DB + end, { force: true });
const isDemo = mode !== 'start';
// the loader is needed on the first start only: a studio that is there is opened by the server, which refuses what must
// not be used
const load = [
  '--import',
  'tsx',
  '--conditions=react-server',
  join('scripts', 'loadDemo.ts'),
  ...(isDemo ? ['--demo'] : []),
];
// the tests load the invented studio once and give each of their servers a copy
const ready = isDemo ? process.env.STRICKLE_DEMO_COPY : undefined;
if (!existsSync(env.STRICKLE_DB)) {
  if (ready) {
    mkdirSync(dirname(env.STRICKLE_DB), { recursive: true, mode: 0o700 });
    copyFileSync(ready, env.STRICKLE_DB);
  } else must('Opening the data', process.execPath, load, env);
}
const server = spawn(process.execPath, [join('scripts', 'serve.mjs'), String(port), mode], {
  stdio: ['ignore', 'pipe', 'inherit'],
  env,
});
let said = false;
server.stdout.on('data', (chunk) => {
  if (mode === 'dev') process.stdout.write(chunk);
  if (!said && String(chunk).includes('Ready')) {
    said = true;
    console.log(`Strickle is at http://127.0.0.1:${port}  (stop with Ctrl+C)`);
    if (isLan) console.log(`Tablets in the network: Studio, Tablets. They come by https, port ${port + 1}.`);
  }
});
server.on('exit', (code) => process.exit(code ?? 0));
// the server ends by itself, in order; Ctrl+C reaches it without us
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => server.kill('SIGTERM'));
