import type { DataSource } from 'typeorm';
import { ACCESS_CHANNEL, type AccessChanged } from '../database/people/access-notices.ts';
import { CHANNEL, type ChangedProject } from './channel.ts';
import { openNoticeFeed } from './notice-feed.ts';

type OnRevision = (revision: number | null) => void;
type OnAccess = (changed: AccessChanged | null) => void;

export interface ChangeFeed {
  /** Calls back for every change of a project, and with null after a lost connection is back; returns the way out. */
  subscribe(projectId: string, listener: OnRevision): () => void;
  /** Calls back when somebody may do otherwise than before, and with null after a lost connection is back. */
  onAccess(listener: OnAccess): () => void;
  /** How many listen. */
  listening(): number;
  close(): Promise<void>;
}

const isObject = (payload: unknown): payload is Record<string, unknown> =>
  typeof payload === 'object' && payload !== null;

/** A notice as this program sends it; null for anything else that is said on the channel. */
function readChanged(payload: unknown): ChangedProject | null {
  if (!isObject(payload)) return null;
  const { id, revision } = payload;
  return typeof id === 'string' && Number.isInteger(revision) ? { id, revision: revision as number } : null;
}

/** What every server process on this database says of changed projects and of who may do what. */
export function openChangeFeed(source: DataSource): ChangeFeed {
  const listeners = new Map<string, Set<OnRevision>>();
  const accessListeners = new Set<OnAccess>();
  const tellAccess = (changed: AccessChanged | null) => {
    for (const listener of [...accessListeners]) listener(changed);
  };
  const feed = openNoticeFeed(source, {
    channels: {
      [CHANNEL](payload) {
        const changed = readChanged(payload);
        for (const listener of (changed && listeners.get(changed.id)) ?? []) listener(changed!.revision);
      },
      [ACCESS_CHANNEL](payload) {
        if (isObject(payload)) tellAccess(payload as AccessChanged);
      },
    },
    missed() {
      for (const set of listeners.values()) for (const listener of set) listener(null);
      tellAccess(null);
    },
  });

  return {
    subscribe(projectId, listener) {
      const set = listeners.get(projectId) ?? new Set();
      listeners.set(projectId, set.add(listener));
      return () => {
        set.delete(listener);
        if (!set.size) listeners.delete(projectId);
      };
    },
    onAccess(listener) {
      accessListeners.add(listener);
      return () => void accessListeners.delete(listener);
    },
    listening: () => [...listeners.values()].reduce((sum, set) => sum + set.size, 0),
    close: () => feed.close(),
  };
}
