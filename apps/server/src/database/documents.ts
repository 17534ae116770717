import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import { migrateDocument } from '@mint-lamp/core/document/versions/versions';
import { type EntityManager, LessThanOrEqual } from 'typeorm';
import { Turns } from '../turns.ts';
import { applyInTurns } from './apply-in-turns.ts';
import { type ProjectRow, Snapshot, type SnapshotRow } from './entities.ts';
import { type KnownDocument, type KnownDocuments, knownAfter, knownFrom } from './known-documents.ts';
import { entriesBetween, type SizedEntry } from './log.ts';

/** A snapshot is written when the log has grown by so many commands since the last one, those in batches counted. */
const SNAPSHOT_EVERY = 500;

async function applyEntries(
  document: ProjectDocument,
  entries: readonly SizedEntry[],
): Promise<ProjectDocument> {
  const turns = new Turns();
  let next = document;
  for (const { entry } of entries) {
    await turns.yieldTurn();
    const result = await applyInTurns(next, entry.command, turns);
    if (!result.ok) throw new Error(`Entry ${entry.revision} of a log does not apply: ${result.reason}`);
    next = result.document;
  }
  return next;
}

type At = Pick<ProjectRow, 'id' | 'revision' | 'head'>;

/** The newest snapshot of a project up to a revision. */
export async function newestSnapshot(manager: EntityManager, { id, revision }: At): Promise<SnapshotRow> {
  const snapshot = await manager.getRepository(Snapshot).findOne({
    where: { projectId: id, revision: LessThanOrEqual(revision) },
    order: { revision: 'DESC' },
  });
  if (!snapshot) throw new Error(`Project ${id} has no snapshot.`);
  return snapshot;
}

async function fromSnapshot(manager: EntityManager, row: At): Promise<KnownDocument> {
  const snapshot = await newestSnapshot(manager, row);
  const migrated = migrateDocument(snapshot.document);
  if (!migrated.ok) throw new Error(`The snapshot ${snapshot.revision} of ${row.id} is ${migrated.why}.`);
  const entries = await entriesBetween(manager, row.id, snapshot.revision + 1, row.revision);
  const document = await applyEntries(migrated.value as ProjectDocument, entries);
  const { revision, head } = row;
  return knownFrom({ revision, head, document, snapshot, entries });
}

/** A project as it was at an earlier revision. Nothing of it is remembered: it is asked for rarely. */
export const documentOfThen = async (
  manager: EntityManager,
  id: string,
  revision: number,
): Promise<ProjectDocument> => (await fromSnapshot(manager, { id, revision, head: null })).document;

/**
 * The document that a project's row stands for: the one that this process remembers, brought up to the row by the
 * log; else a snapshot and the log after it.
 */
export async function documentAt(
  manager: EntityManager,
  row: At,
  memory: KnownDocuments,
): Promise<KnownDocument> {
  const known = memory.get(row.id);
  if (known?.revision === row.revision && known.head === row.head) return known;
  let now: KnownDocument | undefined;
  if (known && known.revision < row.revision) {
    // The last entry that is known comes along, to see that it is still the same log.
    const [last, ...entries] = await entriesBetween(manager, row.id, known.revision, row.revision);
    const same = known.revision === 0 ? last?.entry.revision === 1 : last?.entry.id === known.head;
    const after = known.revision === 0 && last ? [last, ...entries] : entries;
    if (same && after.length) now = knownAfter(known, await applyEntries(known.document, after), after);
  }
  now ??= await fromSnapshot(manager, row);
  memory.takeOn(row.id, known, now);
  return now;
}

/** Whether a snapshot is due, so that nobody has to read a long log. */
export const isSnapshotDue = ({ unwritten, written }: KnownDocument): boolean =>
  unwritten >= SNAPSHOT_EVERY || written < DOCUMENT_VERSION;

/** Writes a snapshot; `document` is its JSON. */
export async function writeSnapshot(
  manager: EntityManager,
  id: string,
  revision: number,
  document: string,
): Promise<void> {
  await manager
    .createQueryBuilder()
    .insert()
    .into(Snapshot)
    .values({ projectId: id, revision, version: DOCUMENT_VERSION, document: () => ':document' })
    .setParameter('document', document)
    .orIgnore()
    .execute();
}
