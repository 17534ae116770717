import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import { SCHEMA_VERSION_HEADER } from '@mint-lamp/core/wire/schema-version';
import { personOfPage } from '../person/person.ts';
import type { AppStore } from '../store/store.ts';
import { KEPT } from './caches.ts';

/** Edits come one after the other; what is kept follows after so many ms. */
const PACE_MS = 3000;
/** Projects that are kept, the newest of them. */
const MOST_PROJECTS = 20;

async function trim(cache: Cache, most: number): Promise<void> {
  const keys = await cache.keys();
  await Promise.all(keys.slice(0, -most).map((key) => cache.delete(key)));
}

/** How long its script may take to keep the page, ms; one of an earlier version does not answer. */
const PATIENCE_MS = 20_000;

/**
 * Has the page itself and all parts of it that were fetched so far kept, by the script beside it: done by the page, it
 * would hold up what moves.
 */
async function keepShell(): Promise<void> {
  const { active } = await navigator.serviceWorker.ready;
  const parts = performance
    .getEntriesByType('resource')
    .map(({ name }) => name)
    .filter((name) => new URL(name).pathname.startsWith('/assets/'));
  const { port1, port2 } = new MessageChannel();
  await new Promise<void>((done) => {
    const timer = setTimeout(done, PATIENCE_MS);
    port1.onmessage = () => {
      clearTimeout(timer);
      done();
    };
    active?.postMessage({ pages: ['/', '/appearance.js'], parts: [...new Set(parts)] }, [port2]);
  });
  port1.close();
}

/**
 * Keeps what is open for when the server does not answer: this page, and the project as the server last had it. Resolves to
 * the way to stop. Where the browser keeps nothing, nothing is kept.
 */
export async function keepOffline(store: AppStore): Promise<() => void> {
  if (!('serviceWorker' in navigator) || !('caches' in globalThis)) return () => {};
  await navigator.serviceWorker.register('/sw.js');
  await keepShell();
  const kept = await caches.open(KEPT);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let known: unknown = null;
  const keep = async () => {
    timer = undefined;
    const { project } = store.getState();
    if (!project || project.readOnly || project.confirmed === known) return;
    known = project.confirmed;
    const { id, revision, confirmed: document, access } = project;
    const address = `/api/projects/${id}?of=${personOfPage() ?? ''}`;
    const headers = {
      'content-type': 'application/json',
      [SCHEMA_VERSION_HEADER]: String(DOCUMENT_VERSION),
    };
    // The newest last.
    await kept.delete(address);
    await kept.put(address, new Response(JSON.stringify({ id, revision, document, access }), { headers }));
    await trim(kept, MOST_PROJECTS);
  };
  const soon = () => {
    timer ??= setTimeout(() => void keep().catch(() => {}), PACE_MS);
  };
  await keep();
  const leave = store.subscribe(soon);
  const hidden = () => document.visibilityState === 'hidden' && void keep().catch(() => {});
  document.addEventListener('visibilitychange', hidden);
  return () => {
    leave();
    clearTimeout(timer);
    document.removeEventListener('visibilitychange', hidden);
  };
}

/** Lets go of all projects that were kept, as whoever signs out of a browser expects. */
export const forgetOffline = async (): Promise<void> => {
  if ('caches' in globalThis) await caches.delete(KEPT).catch(() => false);
};
