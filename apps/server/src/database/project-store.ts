import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import type { Sender } from '@mint-lamp/core/wire/may-send';
import type {
  CommitAnswer,
  ListedProject,
  LoadedProject,
  ProjectNews,
  SentCommand,
} from '@mint-lamp/core/wire/projects';
import type { DataSource } from 'typeorm';
import { commitGroup, type GroupResult } from './commit.ts';
import { CommitQueue, type Waiting } from './commit-queue.ts';
import { documentAt, documentOfThen, isSnapshotDue, newestSnapshot, writeSnapshot } from './documents.ts';
import { LogEntry, Project } from './entities.ts';
import { type KnownDocument, KnownDocuments, knownWritten } from './known-documents.ts';
import { createProject, listProjects } from './listed-projects.ts';
import { newsOf } from './news.ts';
import { removeForNow, there } from './removed-projects.ts';
import { SchemaVersionAhead } from './schema-version-ahead.ts';

/** A project as it is kept, whoever asks. */
type StoredProject = Omit<LoadedProject, 'access'>;

export interface ProjectStore {
  /** Those that a person may look at. */
  list(personId: string): Promise<ListedProject[]>;
  /** Null when the project is not there; its newest snapshot as it stands when it is of a newer version. */
  find(id: string): Promise<StoredProject | null>;
  /** As it was at a revision; null where it is not there, or has not come to it. */
  at(id: string, revision: number): Promise<ProjectDocument | null>;
  revisionOf(id: string): Promise<number | null>;
  /** When a project came to a revision. */
  madeAt(id: string, revision: number): Promise<Date>;
  /** For a person or a team. */
  create(ownerId: string, document: ProjectDocument, id?: string): Promise<StoredProject>;
  /** It can be had back for a while; see `removed-projects.ts`. */
  remove(id: string): Promise<boolean>;
  newsSince(id: string, revision: number): Promise<Omit<ProjectNews, 'access'> | null>;
  /** Null when the project is not there. */
  commit(
    sender: Sender,
    id: string,
    known: number,
    sent: readonly SentCommand[],
  ): Promise<CommitAnswer | null>;
  /** Resolves when the snapshots that are due have been written. */
  settled(): Promise<void>;
}

/**
 * Projects in PostgreSQL. The log of commands is the truth; a snapshot of the document now and then keeps reading
 * short, and what this process remembers of documents keeps an edit at the cost of its commands.
 */
export function projectStore(source: DataSource): ProjectStore {
  const memory = new KnownDocuments();
  const snapshots = new Set<Promise<void>>();
  const rowOf = async (id: string) => {
    const read = () => source.getRepository(Project).findOneBy(there(id));
    const row = await read();
    // What this process knows may be newer than a row that was read while it was being committed.
    return row && (memory.get(id)?.revision ?? 0) > row.revision ? read() : row;
  };

  const keepSnapshot = (id: string, known: KnownDocument) => {
    // Noted before it is written, so that the next edit does not write it again; without it reading takes longer, no more.
    const text = JSON.stringify(known.document);
    memory.set(id, knownWritten(known, text.length));
    const writing: Promise<void> = writeSnapshot(source.manager, id, known.revision, text)
      .catch(() => memory.delete(id))
      .finally(() => snapshots.delete(writing));
    snapshots.add(writing);
  };

  const commitTogether = async (id: string, group: readonly Waiting[]) => {
    const result = await source.transaction(async (manager): Promise<GroupResult | null> => {
      const row = await manager
        .getRepository(Project)
        .findOne({ where: there(id), lock: { mode: 'pessimistic_write' } });
      if (!row) return null;
      if (row.version > DOCUMENT_VERSION) throw new SchemaVersionAhead();
      return commitGroup(manager, row, group, memory);
    });
    if (!result) {
      for (const { answer } of group) answer(null);
      return;
    }
    const { now, row, committed } = result;
    memory.set(id, now);
    if (isSnapshotDue(now)) keepSnapshot(id, now);
    for (const { one, outcomes } of committed) {
      const { revision } = now;
      // One who is ahead is told so by the revision, and gets no news of a life that it has not seen.
      const since = Math.min(one.known, revision);
      newsOf(source.manager, id, Number(row.logSize), now, since).then(
        (news) => one.answer({ revision, outcomes, news, access: one.sender.access }),
        one.fail,
      );
    }
  };
  const queue = new CommitQueue(commitTogether);

  return {
    list: (personId) => listProjects(source, memory, personId),

    async find(id) {
      const row = await rowOf(id);
      if (!row) return null;
      const { revision } = row;
      if (row.version > DOCUMENT_VERSION) {
        const { document } = await newestSnapshot(source.manager, row);
        return { id, revision, document: document as ProjectDocument };
      }
      return { id, revision, document: (await documentAt(source.manager, row, memory)).document };
    },

    async at(id, revision) {
      const row = await rowOf(id);
      if (!row || revision > row.revision) return null;
      if (row.version > DOCUMENT_VERSION) throw new SchemaVersionAhead();
      if (revision === row.revision) return (await documentAt(source.manager, row, memory)).document;
      return documentOfThen(source.manager, id, revision);
    },

    async madeAt(id, revision) {
      const entry = await source.getRepository(LogEntry).findOne({
        where: { projectId: id, revision },
        select: { projectId: true, revision: true, at: true },
      });
      if (entry) return entry.at;
      const row = await source.getRepository(Project).findOneBy({ id });
      return row?.createdAt ?? new Date(0);
    },

    async revisionOf(id) {
      const row = await rowOf(id);
      return row ? row.revision : null;
    },

    create: (ownerId, document, id) => createProject(source, ownerId, document, id),

    async remove(id) {
      memory.delete(id);
      return removeForNow(source, id);
    },

    async newsSince(id, since) {
      const row = await rowOf(id);
      if (!row) return null;
      if (row.version > DOCUMENT_VERSION) throw new SchemaVersionAhead();
      const now = await documentAt(source.manager, row, memory);
      const news = await newsOf(source.manager, id, Number(row.logSize), now, since);
      return { revision: row.revision, news };
    },

    commit: (sender, id, known, sent) => queue.add(id, { sender, known, sent }),

    async settled() {
      await Promise.all(snapshots);
    },
  };
}
