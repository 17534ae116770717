import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import type { LoggedCommand } from '@mint-lamp/core/wire/projects';
import type { DataSource } from 'typeorm';
import { DRAG_CHANNEL, type Dragged } from '../database/drag-notices.ts';
import { HERE_CHANNEL, type HereInProject } from '../database/here-notices.ts';
import { ACCESS_CHANNEL, type AccessChanged } from '../database/people/access-notices.ts';
import { CHANNEL, type ChangedProject } from './channel.ts';
import { openNoticeFeed } from './notice-feed.ts';

type OnRevision = (revision: number | null, entries?: ChangedProject['entries']) => void;
type OnDrag = (dragged: Dragged) => void;
type OnHere = (here: HereInProject['here']) => void;
type OnAccess = (changed: AccessChanged | null) => void;

export interface ChangeFeed {
  /** Calls back for every change of a project, and with null after a lost connection is back; returns the way out. */
  subscribe(projectId: string, listener: OnRevision): () => void;
  /** Calls back when somebody may do otherwise than before, and with null after a lost connection is back. */
  onAccess(listener: OnAccess): () => void;
  /** Calls back with what somebody drags in a project; returns the way out. */
  onDrag(projectId: string, listener: OnDrag): () => void;
  /** Calls back with who is where in a project; returns the way out. */
  onHere(projectId: string, listener: OnHere): () => void;
  /** How many listen. */
  listening(): number;
  close(): Promise<void>;
}

const isObject = (payload: unknown): payload is Record<string, unknown> =>
  typeof payload === 'object' && payload !== null;

/** A notice as this program sends it; null for anything else that is said on the channel. */
function readChanged(payload: unknown): ChangedProject | null {
  if (!isObject(payload)) return null;
  const { id, revision, entries, version } = payload;
  if (typeof id !== 'string' || !Number.isInteger(revision)) return null;
  const known = version === DOCUMENT_VERSION && Array.isArray(entries);
  return { id, revision: revision as number, ...(known ? { entries: entries as LoggedCommand[] } : {}) };
}

/** Those who listen to each project. */
class Listeners<L> {
  private readonly byProject = new Map<string, Set<L>>();

  of(projectId: string): readonly L[] {
    return [...(this.byProject.get(projectId) ?? [])];
  }

  all(): readonly L[] {
    return [...this.byProject.values()].flatMap((set) => [...set]);
  }

  add(projectId: string, listener: L): () => void {
    const set = this.byProject.get(projectId) ?? new Set();
    this.byProject.set(projectId, set.add(listener));
    return () => {
      set.delete(listener);
      if (!set.size && this.byProject.get(projectId) === set) this.byProject.delete(projectId);
    };
  }
}

/** What every server process on this database says of changed projects and of who may do what. */
export function openChangeFeed(source: DataSource): ChangeFeed {
  const listeners = new Listeners<OnRevision>();
  const dragListeners = new Listeners<OnDrag>();
  const hereListeners = new Listeners<OnHere>();
  const accessListeners = new Set<OnAccess>();
  const tellAccess = (changed: AccessChanged | null) => {
    for (const listener of [...accessListeners]) listener(changed);
  };
  const feed = openNoticeFeed(source, {
    channels: {
      [CHANNEL](payload) {
        const changed = readChanged(payload);
        if (changed)
          for (const listener of listeners.of(changed.id)) listener(changed.revision, changed.entries);
      },
      [ACCESS_CHANNEL](payload) {
        if (isObject(payload)) tellAccess(payload as AccessChanged);
      },
      [DRAG_CHANNEL](payload) {
        if (!isObject(payload) || typeof payload.project !== 'string') return;
        const dragged = payload as unknown as Dragged;
        for (const listener of dragListeners.of(dragged.project)) listener(dragged);
      },
      [HERE_CHANNEL](payload) {
        if (!isObject(payload) || typeof payload.project !== 'string') return;
        const { project, here } = payload as unknown as HereInProject;
        for (const listener of hereListeners.of(project)) listener(here);
      },
    },
    missed() {
      for (const listener of listeners.all()) listener(null);
      tellAccess(null);
    },
  });

  return {
    subscribe: (projectId, listener) => listeners.add(projectId, listener),
    onHere: (projectId, listener) => hereListeners.add(projectId, listener),
    onDrag: (projectId, listener) => dragListeners.add(projectId, listener),
    onAccess(listener) {
      accessListeners.add(listener);
      return () => void accessListeners.delete(listener);
    },
    listening: () => listeners.all().length,
    close: () => feed.close(),
  };
}
