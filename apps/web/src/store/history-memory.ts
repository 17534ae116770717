import { DOCUMENT_VERSION } from '@mint-lamp/core/system/document';
import type { HistoryStep } from './project-slice.ts';
import { ofTab } from './storage.ts';
import type { AppStore } from './store.ts';

/** Undo and redo outlive a reload of the tab: they are kept in its session storage. */
const key = (projectId: string) => `mint-lamp/history/${projectId}`;
const MOST = 200;

export interface History {
  readonly undo: readonly HistoryStep[];
  readonly redo: readonly HistoryStep[];
}

const NOTHING: History = { undo: [], redo: [] };

/** The history that this tab kept, in today's form. A list is cut where a step of it cannot be read. */
export async function recallHistory(projectId: string): Promise<History> {
  const text = ofTab.read(key(projectId));
  if (!text) return NOTHING;
  const { bringKept } = await import('./kept-commands.ts');
  try {
    const { form = 1, undo, redo } = JSON.parse(text);
    // The newest step is the last: what lies before one that is gone can no longer be reached in order.
    const readable = (steps: readonly HistoryStep[]): HistoryStep[] => {
      const out: HistoryStep[] = [];
      for (const { command, label } of [...steps].reverse()) {
        const kept = bringKept(command, form);
        if (!kept.ok || typeof label !== 'string') break;
        out.unshift({ command: kept.command, label });
      }
      return out;
    };
    return { undo: readable(undo), redo: readable(redo) };
  } catch {
    return NOTHING;
  }
}

/** Writes the history down whenever the page is hidden or left. */
export function keepHistory(store: AppStore): () => void {
  const write = () => {
    const { project } = store.getState();
    if (!project) return;
    if (!project.undo.length && !project.redo.length) {
      // Nothing to read again, and nothing to read it with.
      ofTab.remove(key(project.id));
      return;
    }
    const history: History = { undo: project.undo.slice(-MOST), redo: project.redo.slice(-MOST) };
    ofTab.write(key(project.id), JSON.stringify({ form: DOCUMENT_VERSION, ...history }));
  };
  addEventListener('pagehide', write);
  return () => {
    write();
    removeEventListener('pagehide', write);
  };
}
