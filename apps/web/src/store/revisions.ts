import type { RevisionEvent } from '@mint-lamp/core/wire/projects';

const REOPEN_MS = 2000;

/** Keeps a stream of a project's revisions open; returns the way to close it. */
function openStream(projectId: string, tell: (event: RevisionEvent) => void): () => void {
  let closed = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let events: EventSource;
  const open = () => {
    events = new EventSource(`/api/projects/${projectId}/events`);
    events.onmessage = ({ data }) => tell(JSON.parse(data) as RevisionEvent);
    events.onerror = () => {
      // A browser gives up on an answer that is no stream; a new one is opened instead.
      if (events.readyState === EventSource.CLOSED && !closed) timer = setTimeout(open, REOPEN_MS);
    };
  };
  open();
  return () => {
    closed = true;
    clearTimeout(timer);
    events.close();
  };
}

/**
 * Follows a project's revisions. A browser has few connections to one server, and each stream holds one: so of all
 * tabs on a project one holds the stream, and tells the others; when it is closed, another takes its place. Returns
 * the way to stop.
 */
export function followRevisions(projectId: string, tell: (event: RevisionEvent) => void): () => void {
  const locks = globalThis.navigator?.locks;
  if (!locks || typeof BroadcastChannel === 'undefined') return openStream(projectId, tell);
  const name = `mint-lamp/revisions/${projectId}`;
  const channel = new BroadcastChannel(name);
  channel.onmessage = ({ data }: MessageEvent<RevisionEvent>) => tell(data);
  const leave = new AbortController();
  let letGo = () => {};
  locks
    .request(name, { signal: leave.signal }, () => {
      const close = openStream(projectId, (event) => {
        tell(event);
        channel.postMessage(event);
      });
      return new Promise<void>((resolve) => {
        letGo = () => {
          close();
          resolve();
        };
        if (leave.signal.aborted) letGo();
      });
    })
    // It was no longer waited for.
    .catch(() => {});
  return () => {
    leave.abort();
    letGo();
    channel.close();
  };
}
