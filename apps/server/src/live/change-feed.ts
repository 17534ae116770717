import type { DataSource } from 'typeorm';
import { type ListeningClient, listen, unlisten } from '../database/notices.ts';
import { CHANNEL, type ChangedProject } from './channel.ts';

export interface ChangeFeed {
  /** Calls back for every change of a project, and once after a lost connection is back; returns the way out. */
  subscribe(projectId: string, listener: (revision: number | null) => void): () => void;
  close(): Promise<void>;
}

const RETRY_MS = 500;

/** A notice as this program sends it; null for anything else that is said on the channel. */
function readNotice(payload: string | undefined): ChangedProject | null {
  try {
    const { id, revision } = JSON.parse(payload ?? '') as ChangedProject;
    return typeof id === 'string' && Number.isInteger(revision) ? { id, revision } : null;
  } catch {
    return null;
  }
}

/** Listens to the database's notifications on one connection of its own, and connects again when it is cut. */
export function openChangeFeed(source: DataSource): ChangeFeed {
  const listeners = new Map<string, Set<(revision: number | null) => void>>();
  let closed = false;
  let timer: NodeJS.Timeout | undefined;
  let release = async () => {};

  const connect = async () => {
    const runner = source.createQueryRunner();
    let lost = false;
    const retry = () => {
      if (lost || closed) return;
      lost = true;
      void runner.release().catch(() => {});
      timer = setTimeout(connect, RETRY_MS);
    };
    try {
      const client: ListeningClient = await runner.connect();
      client.on('error', retry);
      client.on('end', retry);
      client.on('notification', ({ payload }) => {
        const changed = readNotice(payload);
        for (const listener of (changed && listeners.get(changed.id)) ?? []) listener(changed!.revision);
      });
      await listen(runner, CHANNEL);
      release = async () => {
        await unlisten(runner, CHANNEL).catch(() => {});
        await runner.release();
      };
      if (closed) return await release();
      // Something may have been missed while the connection was gone.
      for (const set of listeners.values()) for (const listener of set) listener(null);
    } catch {
      retry();
    }
  };
  void connect();

  return {
    subscribe(projectId, listener) {
      const set = listeners.get(projectId) ?? new Set();
      listeners.set(projectId, set.add(listener));
      return () => {
        set.delete(listener);
        if (!set.size) listeners.delete(projectId);
      };
    },
    async close() {
      closed = true;
      clearTimeout(timer);
      await release();
    },
  };
}
