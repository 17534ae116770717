import type { HistoryStep } from './project-slice.ts';
import type { AppStore } from './store.ts';

/** Undo and redo outlive a reload of the tab: they are kept in its session storage. */
const key = (projectId: string) => `mint-lamp/history/${projectId}`;
const MOST = 200;

export interface History {
  readonly undo: readonly HistoryStep[];
  readonly redo: readonly HistoryStep[];
}

export function recallHistory(projectId: string): History {
  try {
    const text = sessionStorage.getItem(key(projectId));
    return text ? (JSON.parse(text) as History) : { undo: [], redo: [] };
  } catch {
    return { undo: [], redo: [] };
  }
}

/** Writes the history down whenever the page is hidden or left. */
export function keepHistory(store: AppStore): () => void {
  const write = () => {
    const { project } = store.getState();
    if (!project) return;
    try {
      const history: History = { undo: project.undo.slice(-MOST), redo: project.redo.slice(-MOST) };
      sessionStorage.setItem(key(project.id), JSON.stringify(history));
    } catch {
      // Without storage the history lasts as long as the page.
    }
  };
  addEventListener('pagehide', write);
  return () => {
    write();
    removeEventListener('pagehide', write);
  };
}
