// What one has had open opens without the server: the pages and their parts as they were fetched, and projects as this
// browser last had them. The server is always asked first; what is kept is only shown where it does not answer.
const SHELL = 'mint-lamp-shell';
const KEPT = 'mint-lamp-kept';
const PERSON = 'mint-lamp-person';
/** Parts of earlier versions go, the oldest first. */
const MOST_PARTS = 600;
/** A server that does not answer a page within so many ms is taken for away. */
const PATIENCE_MS = 4000;

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

/** Named by what they hold, parts of the interface never change. */
async function fromShell(request) {
  const known = await caches.match(request, { cacheName: SHELL });
  if (known) return known;
  const answer = await fetch(request);
  if (answer.ok) await (await caches.open(SHELL)).put(request, answer.clone());
  return answer;
}

/** Keeps pages as they are now, and parts that were fetched before there was this script; one by one, since nobody waits. */
async function keep({ pages, parts }) {
  const shell = await caches.open(SHELL);
  const add = (address) => shell.add(address).catch(() => {});
  for (const address of pages) await add(address);
  for (const address of parts) if (!(await shell.match(address))) await add(address);
  const keys = await shell.keys();
  for (const key of keys.slice(0, -MOST_PARTS)) await shell.delete(key);
}

self.addEventListener('message', (event) => {
  event.waitUntil(keep(event.data).finally(() => event.ports[0].postMessage('kept')));
});

/** The one page of all addresses. */
async function page(request) {
  try {
    return await fetch(request, { signal: AbortSignal.timeout(PATIENCE_MS) });
  } catch (error) {
    const known = await caches.match('/', { cacheName: SHELL });
    if (known) return known;
    throw error;
  }
}

/** A project, as it is or as it was last had here; which of them is said in it. */
async function project(request) {
  try {
    return await fetch(request);
  } catch (error) {
    const person = request.headers.get(PERSON) ?? '';
    const known = await caches.match(`${request.url}?of=${person}`, { cacheName: KEPT });
    if (!known) throw error;
    const body = JSON.stringify({ ...(await known.json()), offline: true });
    return new Response(body, { headers: known.headers });
  }
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== 'GET' || origin !== location.origin) return;
  if (pathname.startsWith('/assets/')) event.respondWith(fromShell(request));
  // A share is the server's alone to open.
  else if (request.mode === 'navigate' && !/^\/(s|api)\//.test(pathname)) event.respondWith(page(request));
  else if (/^\/api\/projects\/[\da-f-]{36}$/.test(pathname)) event.respondWith(project(request));
});
