// Runs the application behind its outermost door and ends it in order: what is under way is answered, then the data
// file is closed with everything folded in, so that a copy of it is whole. Started by scripts/run.mjs.

import { existsSync, readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import next from 'next';
import { MOST_BYTES, turnedAway } from './doors.mjs';
import { certificate, lanNames } from './lan.mjs';
import { limitByMachine } from './limits.mjs';

const [port, mode] = [Number(process.argv[2]), process.argv[3]];
const HOST = '127.0.0.1';
/**
 * Connections are kept open longer than a tablet waits between two saves: one that closes just then would look lost.
 */
const KEPT_OPEN_MS = 70_000;
/** Pages that nobody has opened yet are loaded one by one once nobody has asked for anything so long. */
const QUIET_MS = 3_000;
const NEXT_PAGE_MS = 250;
const DAY_MS = 86_400_000;
/** How long an answer under way may take when the server is stopped. */
const LAST_ANSWERS_MS = 4_000;

const app = next({ dev: mode === 'dev', hostname: HOST, port });
await app.prepare();
const handle = app.getRequestHandler();

function refuse(response, { status, code, message, location }) {
  const headers = { 'content-type': 'application/json', 'cache-control': 'no-store', connection: 'close' };
  response.writeHead(status, location ? { ...headers, location } : headers);
  response.end(JSON.stringify({ error: { code, message, details: [] } }));
}

async function answerFast(request, response, fast) {
  const chunks = [];
  let size = 0;
  for await (const chunk of request) {
    size += chunk.length;
    if (size > MOST_BYTES)
      return refuse(response, { status: 413, code: 'too-large', message: 'The request is too large.' });
    chunks.push(chunk);
  }
  const { method, headers } = request;
  const asked = new Request(`http://${HOST}:${port}${request.url}`, { method, headers, body: Buffer.concat(chunks) });
  const answer = await fast(asked);
  response.writeHead(answer.status, Object.fromEntries(answer.headers));
  response.end(Buffer.from(await answer.arrayBuffer()));
}

let askedAt = 0;
/**
 * The application is told by us alone whether a request came by HTTPS.
 * @param lan hosts in the network; absent = on this machine alone
 */
function answer(request, response, lan) {
  askedAt = Date.now();
  delete request.headers['x-strickle-tls'];
  if (lan) request.headers['x-strickle-tls'] = 'yes';
  const asked = { method: request.method ?? '', url: request.url ?? '', headers: request.headers };
  const away = turnedAway(asked, port, lan) ?? (lan ? (closedToLan() ?? tooMuch(request)) : null);
  if (away) return refuse(response, away);
  // set by src/server/startUp.ts: what a table sends many times a second goes without the framework between
  const fast = globalThis.strickleFast?.(request.method, (request.url ?? '').split('?')[0]);
  // a tablet that breaks off in the middle of a request must not end the server
  const answering = fast ? answerFast(request, response, fast) : handle(request, response);
  Promise.resolve(answering).catch(() => response.destroy());
}

const limited = limitByMachine();
/** Machines of the network are limited; the parts of a page that never change are not counted. */
const tooMuch = (request) =>
  (request.url ?? '').startsWith('/_next/') ? null : limited(request.socket.remoteAddress ?? '', Date.now());

/** Without people who sign in nothing is served beyond this machine. Set by src/server/startUp.ts. */
const closedToLan = () =>
  globalThis.strickleSignsIn?.() === true
    ? null
    : {
        status: 503,
        code: 'nobody-signs-in',
        message:
          'Nobody signs in at this studio yet: an owner turns it on under Studio, People, on the machine itself.',
      };

function kept(server) {
  server.keepAliveTimeout = KEPT_OPEN_MS;
  server.headersTimeout = KEPT_OPEN_MS + 5_000;
  // what is not even a request gets a plain word
  server.on('clientError', (_, socket) => {
    if (socket.writable) socket.end('HTTP/1.1 400 Bad Request\r\nconnection: close\r\n\r\n');
  });
  return server;
}
const server = kept(createServer((request, response) => answer(request, response)));
if (mode === 'dev') server.on('upgrade', app.getUpgradeHandler());
server.on('error', (error) => {
  console.error(error.code === 'EADDRINUSE' ? `Port ${port} is taken: use -- --port N.` : error.message);
  process.exit(2);
});
/** Tablets in the network: HTTPS with the studio's own certificate, on the next port. */
async function listenToLan() {
  const own = lanNames();
  const lanPort = port + 1;
  const folder = join(dirname(process.env.STRICKLE_DB), 'tls');
  const made = await certificate(folder, own);
  const hosts = [...own.names, ...own.ips].map((name) => `${name}:${lanPort}`);
  const secure = kept(
    createSecureServer({ key: made.key, cert: made.cert, minVersion: 'TLSv1.2' }, (request, response) =>
      answer(request, response, hosts),
    ),
  );
  secure.on('error', (error) => console.error(`The network is not answered: ${error.message}`));
  secure.listen(lanPort, '0.0.0.0');
  // for the page that pairs a tablet (src/server/lan.ts)
  globalThis.strickleLan = {
    addresses: [...own.ips, ...own.names].map((name) => `https://${name}:${lanPort}`),
    authority: made.authority,
  };
  setInterval(async () => {
    const next = await certificate(folder, own);
    if (next.isNew) secure.setSecureContext({ key: next.key, cert: next.cert });
  }, DAY_MS).unref();
  return secure;
}
const lanServer = process.env.STRICKLE_LAN === 'on' ? await listenToLan() : null;
server.listen(port, HOST, () => console.log('Ready'));

/** So that the first visit of a page is no slower than the next, and the first page of all waits for no other. */
function loadPages() {
  const built = join(process.cwd(), '.next', 'server');
  const require = createRequire(join(built, 'pages.cjs'));
  const listed = join(built, 'app-paths-manifest.json');
  const waiting = existsSync(listed) ? Object.values(JSON.parse(readFileSync(listed, 'utf8'))) : [];
  const timer = setInterval(() => {
    if (Date.now() - askedAt < QUIET_MS) return;
    const file = waiting.shift();
    if (file === undefined) return clearInterval(timer);
    try {
      require(join(built, file));
    } catch {
      // it says so itself when it is asked for
    }
  }, NEXT_PAGE_MS);
  timer.unref();
}
if (mode !== 'dev') setTimeout(loadPages, QUIET_MS).unref();

let ending = false;
function end() {
  if (ending) return;
  ending = true;
  const close = () => {
    // set by src/server/db/client.ts, which Next has bundled for itself
    globalThis.strickleClose?.();
    process.exit(0);
  };
  server.close(close);
  server.closeIdleConnections();
  lanServer?.close();
  lanServer?.closeIdleConnections();
  // listeners of events never end by themselves
  setTimeout(() => {
    server.closeAllConnections();
    lanServer?.closeAllConnections();
    close();
  }, LAST_ANSWERS_MS).unref();
  globalThis.strickleSilence?.();
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, end);
