import { randomUUID } from 'node:crypto';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import { previewOf } from '@mint-lamp/core/system/preview';
import type {
  CommitAnswer,
  ListedProject,
  LoadedProject,
  News,
  ProjectNews,
  SentCommand,
} from '@mint-lamp/core/wire/projects';
import { type DataSource, type EntityManager, IsNull } from 'typeorm';
import { commitGroup, type GroupResult } from './commit.ts';
import { CommitQueue, type Waiting } from './commit-queue.ts';
import { documentAt, isSnapshotDue, newestSnapshot, writeSnapshot } from './documents.ts';
import { Project, type ProjectRow, Snapshot } from './entities.ts';
import { type KnownDocument, KnownDocuments, knownWritten } from './known-documents.ts';
import { entriesBetween, logSizeTo } from './log.ts';
import { removeForNow, there } from './removed-projects.ts';
import { SchemaVersionAhead } from './schema-version-ahead.ts';

export interface ProjectStore {
  list(ownerId: string): Promise<ListedProject[]>;
  /** Null when the project is not there; its newest snapshot as it stands when it is of a newer version. */
  find(ownerId: string, id: string): Promise<LoadedProject | null>;
  revisionOf(ownerId: string, id: string): Promise<number | null>;
  create(ownerId: string, document: ProjectDocument, id?: string): Promise<LoadedProject>;
  /** It can be had back for a while; see `removed-projects.ts`. */
  remove(ownerId: string, id: string): Promise<boolean>;
  newsSince(ownerId: string, id: string, revision: number): Promise<ProjectNews | null>;
  /** Null when the project is not there. */
  commit(
    ownerId: string,
    id: string,
    known: number,
    sent: readonly SentCommand[],
  ): Promise<CommitAnswer | null>;
  /** Resolves when the snapshots that are due have been written. */
  settled(): Promise<void>;
}

/** News up to so many characters are not held against the size of the document. */
const SHORT_NEWS = 20_000;
/** What an entry takes on the wire besides its command. */
const ENTRY_FRAME = 80;

/**
 * Projects in PostgreSQL. The log of commands is the truth; a snapshot of the document now and then keeps reading
 * short, and what this process remembers of documents keeps an edit at the cost of its commands.
 */
export function projectStore(source: DataSource): ProjectStore {
  const memory = new KnownDocuments();
  const snapshots = new Set<Promise<void>>();
  const rowOf = async (ownerId: string, id: string) => {
    const read = () => source.getRepository(Project).findOneBy(there(id, ownerId));
    const row = await read();
    // What this process knows may be newer than a row that was read while it was being committed.
    return row && (memory.get(id)?.revision ?? 0) > row.revision ? read() : row;
  };

  /** The entries since a revision, or the document where that is shorter. */
  const newsOf = async (
    manager: EntityManager,
    id: string,
    logSize: number,
    now: KnownDocument,
    since: number,
  ): Promise<News> => {
    const { revision, recent, document } = now;
    if (since >= revision) return { kind: 'entries', entries: [] };
    const first = recent[0]?.entry.revision ?? Number.POSITIVE_INFINITY;
    const before = since === 0 ? 0 : recent[since - first]?.sizeTo;
    const size =
      logSize - (before ?? (await logSizeTo(manager, id, since))) + (revision - since) * ENTRY_FRAME;
    if (size > SHORT_NEWS && size > JSON.stringify(document).length) return { kind: 'document', document };
    const sized =
      first <= since + 1
        ? recent.slice(since + 1 - first)
        : await entriesBetween(manager, id, since + 1, revision);
    return { kind: 'entries', entries: sized.map(({ entry }) => entry) };
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

  const commitTogether = async (ownerId: string, id: string, group: readonly Waiting[]) => {
    const result = await source.transaction(async (manager): Promise<GroupResult | null> => {
      const row = await manager
        .getRepository(Project)
        .findOne({ where: there(id, ownerId), lock: { mode: 'pessimistic_write' } });
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
        (news) => one.answer({ revision, outcomes, news }),
        one.fail,
      );
    }
  };
  const queue = new CommitQueue(commitTogether);

  /** Works out the previews that an update has left to be made. */
  const withPreview = async (row: ProjectRow): Promise<ProjectRow> => {
    if (row.preview || row.version > DOCUMENT_VERSION) return row;
    const { document } = await documentAt(source.manager, row, memory);
    const preview = previewOf(document);
    // When it was last changed is no news of this.
    await source
      .createQueryBuilder()
      .update(Project)
      .set({ preview, updatedAt: () => 'updated_at' })
      .where({ id: row.id, revision: row.revision })
      .execute();
    return { ...row, preview };
  };

  return {
    async list(ownerId) {
      const rows = await source
        .getRepository(Project)
        .find({ where: { ownerId, removedAt: IsNull() }, order: { updatedAt: 'DESC', id: 'ASC' } });
      const listed: ListedProject[] = [];
      for (const row of rows) {
        const { id, name, revision, updatedAt, preview } = await withPreview(row);
        const shown = preview ?? { families: [], themes: [] };
        listed.push({ id, name, revision, updatedAt: updatedAt.toISOString(), preview: shown });
      }
      return listed;
    },

    async find(ownerId, id) {
      const row = await rowOf(ownerId, id);
      if (!row) return null;
      const { revision } = row;
      if (row.version > DOCUMENT_VERSION) {
        const { document } = await newestSnapshot(source.manager, row);
        return { id, revision, document: document as ProjectDocument };
      }
      return { id, revision, document: (await documentAt(source.manager, row, memory)).document };
    },

    async revisionOf(ownerId, id) {
      const row = await rowOf(ownerId, id);
      return row ? row.revision : null;
    },

    create: (ownerId, document, id = randomUUID()) =>
      source.transaction(async (manager) => {
        const { version, name } = document;
        await manager.getRepository(Project).insert({
          id,
          ownerId,
          revision: 0,
          head: null,
          logSize: '0',
          version,
          name,
          preview: previewOf(document) as never,
        });
        await manager
          .getRepository(Snapshot)
          .insert({ projectId: id, revision: 0, version, document: document as never });
        return { id, revision: 0, document };
      }),

    async remove(ownerId, id) {
      memory.delete(id);
      return removeForNow(source, ownerId, id);
    },

    async newsSince(ownerId, id, since) {
      const row = await rowOf(ownerId, id);
      if (!row) return null;
      if (row.version > DOCUMENT_VERSION) throw new SchemaVersionAhead();
      const now = await documentAt(source.manager, row, memory);
      const news = await newsOf(source.manager, id, Number(row.logSize), now, since);
      return { revision: row.revision, news };
    },

    commit: (ownerId, id, known, sent) => queue.add(ownerId, id, { known, sent }),

    async settled() {
      await Promise.all(snapshots);
    },
  };
}
