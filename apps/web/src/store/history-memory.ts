import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import { ofTab } from '../storing/storage.ts';
import type { HistoryStep, ProjectState } from './project-slice.ts';
import type { AppStore } from './store.ts';

/**
 * Undo and redo outlive a reload of the tab, also one that it did not see coming: each step is written to the tab's
 * storage as it is made, and a list says which there are, and of which state of the project.
 */
const key = (projectId: string) => `mint-lamp/history/${projectId}`;
/** Steps of each kind that are kept. */
const MOST = 200;

export interface History {
  readonly undo: readonly HistoryStep[];
  readonly redo: readonly HistoryStep[];
}

const NOTHING: History = { undo: [], redo: [] };

/** What the list says: steps by the number under which each is kept, the newest last. */
interface Listed {
  readonly form: number;
  readonly revision: number;
  /** Ids of the commands that were on their way to the server. */
  readonly unsent: readonly string[];
  readonly undo: readonly number[];
  readonly redo: readonly number[];
}

/** The project that is opened, as far as it tells whether a list is about it. */
export type NowOpened = Pick<ProjectState, 'revision' | 'unsent'>;

/** Whether nothing has happened to the project since but that what was on its way arrived. */
function fits({ revision, unsent }: Listed, now: NowOpened): boolean {
  const waiting = new Set(now.unsent.map(({ id }) => id));
  const left = unsent.filter((id) => waiting.has(id)).length;
  return left === waiting.size && now.revision === revision + unsent.length - left;
}

/**
 * The history that this tab kept, in today's schema; none when it is of another state of the project than the one that
 * is opened, since what takes back is exact only there. A list is cut where a step of it cannot be read.
 */
export async function recallHistory(projectId: string, now: NowOpened): Promise<History> {
  const text = ofTab.read(key(projectId));
  if (!text) return NOTHING;
  const { migrateKept } = await import('../storing/kept-commands.ts');
  try {
    const listed: Listed = JSON.parse(text);
    if (!fits(listed, now)) return NOTHING;
    // The newest step is the last: what lies before one that is gone can no longer be reached in order.
    const readable = (numbers: readonly number[]): HistoryStep[] => {
      const out: HistoryStep[] = [];
      for (const number of [...numbers].reverse()) {
        const { command, label } = JSON.parse(ofTab.read(`${key(projectId)}/${number}`) ?? 'null') ?? {};
        const kept = migrateKept(command, listed.form);
        if (!kept.ok || typeof label !== 'string') break;
        out.unshift({ command: kept.command, label });
      }
      return out;
    };
    return { undo: readable(listed.undo), redo: readable(listed.redo) };
  } catch {
    return NOTHING;
  }
}

/** Removes the steps of a project that are kept under a number that is not listed any more. */
function sweep(projectId: string, listed: ReadonlySet<number>): void {
  const prefix = `${key(projectId)}/`;
  for (const one of ofTab.keys())
    if (one.startsWith(prefix) && !listed.has(Number(one.slice(prefix.length)))) ofTab.remove(one);
}

/** Writes the history down with every edit. Returns the way to stop. */
export function keepHistory(store: AppStore): () => void {
  const numbers = new WeakMap<HistoryStep, number>();
  let next = 0;
  let seen: ProjectState | null = null;

  const numberOf = (projectId: string, step: HistoryStep): number => {
    const known = numbers.get(step);
    if (known !== undefined) return known;
    next += 1;
    numbers.set(step, next);
    const { command, label } = step;
    ofTab.write(`${key(projectId)}/${next}`, JSON.stringify({ command, label }));
    return next;
  };

  const write = () => {
    const { project } = store.getState();
    const before = seen;
    seen = project;
    if (!project) return;
    const { id, undo, redo, unsent, revision } = project;
    const sameSteps = before?.undo === undo && before.redo === redo;
    if (sameSteps && before.unsent === unsent && before.revision === revision) return;
    if (!before) sweep(id, new Set());
    if (!undo.length && !redo.length) {
      // Nothing to read again, and nothing to read it with.
      ofTab.remove(key(id));
      sweep(id, new Set());
      return;
    }
    const list = {
      form: DOCUMENT_VERSION,
      revision,
      unsent: unsent.map((one) => one.id),
      undo: undo.slice(-MOST).map((step) => numberOf(id, step)),
      redo: redo.slice(-MOST).map((step) => numberOf(id, step)),
    } satisfies Listed;
    // A list that could not be written would be of another state than the steps that it names.
    if (!ofTab.write(key(id), JSON.stringify(list))) ofTab.remove(key(id));
    if (!sameSteps) sweep(id, new Set([...list.undo, ...list.redo]));
  };
  write();
  return store.subscribe(write);
}
