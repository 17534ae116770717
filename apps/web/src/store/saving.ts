import { toast } from 'sonner';
import { type LoggedCommand, loadEntries, loadProject, ServerError, sendCommands } from './api.ts';
import { advanced, opened, savingChanged } from './project-slice.ts';
import type { AppStore } from './store.ts';
import { forgetUnsent, readUnsent } from './unsent.ts';

/** Commands that are sent at once, at most. */
export const BATCH = 200;
const FIRST_WAIT_MS = 400;
const LONGEST_WAIT_MS = 4000;

/** A refused or malformed command is dropped with a message; nothing else waits for it. */
export function tellDropped(reason: string): void {
  toast.error(`An edit could not be saved: ${reason}`, { duration: 10_000 });
}

/**
 * Keeps the open project and the server in step until the returned function is called: sends unsent commands
 * in order, tries again while the server or its database is away, and takes in what others have changed.
 */
export function keepSaved(store: AppStore, projectId: string): () => void {
  let stopped = false;
  let busy = false;
  let wait = FIRST_WAIT_MS;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let events: EventSource | undefined;
  let behind = false;

  const project = () => {
    const { project: open } = store.getState();
    return open?.id === projectId ? open : null;
  };

  const advance = (entries: readonly LoggedCommand[], refused: readonly string[] = []) => {
    for (const id of [...entries.map((entry) => entry.id), ...refused]) forgetUnsent(projectId, id);
    store.dispatch(advanced({ entries, refused }));
  };

  const send = async () => {
    const open = project();
    if (!open) return;
    const batch = open.unsent.slice(0, BATCH);
    if (!batch.length) {
      if (behind) {
        behind = false;
        const { entries } = await loadEntries(projectId, open.revision);
        if (!stopped) advance(entries);
      }
      return;
    }
    const result = await sendCommands(projectId, open.revision, batch);
    behind = false;
    if (stopped) return;
    const refused = result.outcomes.filter((outcome) => outcome.status === 'refused');
    for (const { reason } of refused) tellDropped(reason ?? 'it no longer fits.');
    // A command that the server knew before this browser's revision is in no entry, yet is done.
    const known = result.outcomes.filter((outcome) => outcome.status === 'known').map(({ id }) => id);
    advance(result.entries, [...refused.map(({ id }) => id), ...known]);
  };

  /** An answer that no waiting mends. */
  const handleRefusal = async (error: ServerError) => {
    const open = project();
    if (!open) return;
    if (error.status === 404) store.dispatch(savingChanged('gone'));
    else if (error.code === 'REVISION_AHEAD') {
      // The server's database was set back; its document counts, and what is unsent goes on top.
      const loaded = await loadProject(projectId);
      store.dispatch(opened({ ...loaded, unsent: readUnsent(projectId), undo: [], redo: [] }));
    } else {
      const index = Number(/^body\.commands\.(\d+)/.exec(error.path)?.[1] ?? 0);
      const bad = open.unsent[index];
      tellDropped(error.message);
      if (bad) advance([], [bad.id]);
    }
  };

  const run = async () => {
    if (busy || stopped) return;
    busy = true;
    clearTimeout(timer);
    try {
      while (!stopped && (project()?.unsent.length || behind)) await send();
      wait = FIRST_WAIT_MS;
      if (!stopped && project() && project()?.saving !== 'saved') store.dispatch(savingChanged('saved'));
    } catch (error) {
      if (stopped || !project()) return;
      if (error instanceof ServerError && !error.away) {
        await handleRefusal(error).catch(() => {});
        if (project()?.saving !== 'gone') timer = setTimeout(run, FIRST_WAIT_MS);
      } else {
        behind = true;
        store.dispatch(savingChanged('away'));
        timer = setTimeout(run, wait);
        wait = Math.min(wait * 2, LONGEST_WAIT_MS);
      }
    } finally {
      busy = false;
    }
  };

  const listen = () => {
    events = new EventSource(`/api/projects/${projectId}/events`);
    events.onmessage = ({ data }) => {
      const { revision } = JSON.parse(data) as { revision: number | null };
      const open = project();
      if (open && (revision === null || revision > open.revision)) {
        behind = true;
        void run();
      } else if (open?.saving === 'away') void run();
    };
    events.onerror = () => {
      // A browser gives up on an answer that is no stream; a new one is opened instead.
      if (events?.readyState === EventSource.CLOSED && !stopped) setTimeout(() => !stopped && listen(), 2000);
    };
  };

  const unsubscribe = store.subscribe(() => {
    const open = project();
    if (open?.unsent.length && open.saving !== 'away') void run();
  });
  const wake = () => {
    behind = true;
    void run();
  };
  addEventListener('online', wake);
  listen();
  void run();

  return () => {
    stopped = true;
    clearTimeout(timer);
    events?.close();
    unsubscribe();
    removeEventListener('online', wake);
  };
}
