// Keeps what a tablet needs to load its page anew while the server is away: the page of the open visit or form, and the
// parts of pages, which never change under their names. It answers for nothing else, and keeps no answer of the API.

const PAGES = 'strickle-pages-1';
const PARTS = 'strickle-parts-1';
/** A page is a copy of health notes: it goes after a working day. */
const KEPT_MS = 12 * 3_600_000;
/** A line that hangs is away. */
const PATIENCE_MS = 6_000;
const MOST_PARTS = 400;

const isKeptPage = (path) => /^\/(?:visits\/[\w-]+\/[a-z]+|form\/[\w-]+)$/.test(path);
const isPart = (path) => path.startsWith('/_next/static/') || path === '/icon.svg';
const isWhole = (answer) =>
  answer.ok && !answer.redirected && (answer.headers.get('content-type') ?? '').includes('text/html');

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(Promise.all([self.clients.claim(), dropOld()])));

const ageMs = (answer) => Date.now() - Date.parse(answer.headers.get('date') ?? '');

async function dropOld() {
  const pages = await caches.open(PAGES);
  for (const request of await pages.keys()) {
    const answer = await pages.match(request);
    if (answer && !(ageMs(answer) < KEPT_MS)) await pages.delete(request);
  }
  const parts = await caches.open(PARTS);
  const all = await parts.keys();
  // the oldest are those of earlier versions
  for (const request of all.slice(0, Math.max(0, all.length - MOST_PARTS))) await parts.delete(request);
}

async function keepPage(path, answer) {
  const pages = await caches.open(PAGES);
  await pages.put(path, answer);
  await dropOld();
}

/** The page as it was kept, marked so that it says so; null where none is. */
async function keptPage(path) {
  const answer = await (await caches.open(PAGES)).match(path);
  if (!answer || !(ageMs(answer) < KEPT_MS)) return null;
  const text = (await answer.text()).replace('<html ', '<html data-kept="yes" ');
  return new Response(text, { status: 200, headers: answer.headers });
}

const orTooLong = (asked) =>
  Promise.race([asked, new Promise((_, reject) => setTimeout(() => reject(new Error('away')), PATIENCE_MS))]);

async function pageFor(event, path) {
  try {
    const answer = await orTooLong(fetch(event.request));
    if (isWhole(answer)) event.waitUntil(keepPage(path, answer.clone()));
    return answer;
  } catch (error) {
    const kept = await keptPage(path);
    if (kept) return kept;
    throw error;
  }
}

async function partFor(request) {
  const parts = await caches.open(PARTS);
  const kept = await parts.match(request, { ignoreVary: true });
  if (kept) return kept;
  const answer = await fetch(request);
  if (answer.status === 200) await parts.put(request, answer.clone());
  return answer;
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (isPart(url.pathname)) event.respondWith(partFor(request));
  else if (request.mode === 'navigate' && isKeptPage(url.pathname)) event.respondWith(pageFor(event, url.pathname));
});

/** Pages were gone to without being loaded whole, and parts were there before this was: both are asked for once. */
async function keepAll(path, parts) {
  if (isKeptPage(path)) {
    const answer = await fetch(path, { headers: { accept: 'text/html' } });
    if (isWhole(answer)) await keepPage(path, answer);
  }
  for (const part of parts) {
    if (isPart(new URL(part).pathname)) await partFor(new Request(part));
  }
}

/** Whoever signs out, or comes to the door, leaves no health notes behind. */
const forget = () => caches.delete(PAGES);

self.addEventListener('message', (event) => {
  const { kind, path, parts } = event.data;
  // a server that is away has nothing to keep
  if (kind === 'keep') event.waitUntil(keepAll(path, parts).catch(() => undefined));
  if (kind === 'forget') event.waitUntil(forget());
});
