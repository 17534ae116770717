import type { HereEvent, RevisionEvent } from '@mint-lamp/core/wire/projects';
import { keptFor, personOfPage } from '../person/person.ts';

const REOPEN_MS = 2000;

/** A stream says something at least every 20 seconds; one that does not is dead, whatever the browser thinks. */
const SILENT_MS = 60_000;

/** What the stream says: a revision, or who is where. */
type Told = RevisionEvent | HereEvent;

/** Keeps a stream of a project's revisions open; returns the way to close it. */
function openStream(projectId: string, tell: (event: Told) => void): () => void {
  let closed = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let silence: ReturnType<typeof setTimeout> | undefined;
  let events: EventSource;
  const person = personOfPage();
  const again = () => {
    clearTimeout(silence);
    events.close();
    if (!closed) timer = setTimeout(open, REOPEN_MS);
  };
  const heard = () => {
    clearTimeout(silence);
    silence = setTimeout(again, SILENT_MS);
  };
  const open = () => {
    events = new EventSource(
      `/api/projects/${projectId}/events${person === null ? '' : `?person=${person}`}`,
    );
    heard();
    events.onmessage = ({ data }) => {
      heard();
      tell(JSON.parse(data) as Told);
    };
    events.addEventListener?.('alive', heard);
    events.addEventListener?.('here', events.onmessage as EventListener);
    events.onerror = () => {
      // A browser gives up on an answer that is no stream, and does not say what it was: asking for news will. A new one is
      // opened instead.
      if (events.readyState !== EventSource.CLOSED) return;
      tell({ revision: null });
      again();
    };
  };
  open();
  return () => {
    closed = true;
    clearTimeout(timer);
    clearTimeout(silence);
    events.close();
  };
}

/** What tabs say to each other: news of the one that holds the stream, or the question of one that has come. */
type Said = { readonly kind: 'news'; readonly event: Told } | { readonly kind: 'new here' };

/**
 * Follows a project's revisions. A browser has few connections to one server, and each stream holds one: so of all
 * tabs on a project one holds the stream, and tells the others; when it is closed, another takes its place. A tab that
 * has come asks what was told last, since that may be newer than what it has loaded. Returns the way to stop.
 */
export function followRevisions(projectId: string, tell: (event: Told) => void): () => void {
  const locks = globalThis.navigator?.locks;
  const channel = locks && channelOf(keptFor('revisions') + projectId);
  if (!channel) return openStream(projectId, tell);
  const say = (said: Said) => channel.postMessage(said);
  let last: Told | null = null;
  channel.onmessage = ({ data }: MessageEvent<Said>) => {
    if (data.kind === 'news') tell(data.event);
    else if (last) say({ kind: 'news', event: last });
  };
  const leave = new AbortController();
  let letGo = () => {};
  const hold = () => {
    const close = openStream(projectId, (event) => {
      if ('revision' in event) last = event;
      tell(event);
      say({ kind: 'news', event });
    });
    return new Promise<void>((resolve) => {
      letGo = () => {
        close();
        resolve();
      };
      if (leave.signal.aborted) letGo();
    });
  };
  say({ kind: 'new here' });
  locks.request(channel.name, { signal: leave.signal }, hold).catch(() => {
    // Where the browser forbids locks, each tab has a stream of its own; else it was no longer waited for.
    if (!leave.signal.aborted) void hold();
  });
  return () => {
    leave.abort();
    letGo();
    channel.close();
  };
}

/** Null where the browser has or allows none. */
function channelOf(name: string): BroadcastChannel | null {
  try {
    return new BroadcastChannel(name);
  } catch {
    return null;
  }
}
