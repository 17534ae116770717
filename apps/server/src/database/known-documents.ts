import { workOf } from '@mint-lamp/core/document/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import type { SnapshotRow } from './entities.ts';
import type { SizedEntry } from './log.ts';

/** A project's document as this process knows it: as it is at one revision of the log, which never changes. */
export interface KnownDocument {
  readonly revision: number;
  readonly head: string | null;
  readonly document: ProjectDocument;
  /** Characters of the document as JSON, or a little more. */
  readonly size: number;
  /** The newest entries of the log up to this revision, without a gap. */
  readonly recent: readonly SizedEntry[];
  /** Commands since the last snapshot, those in batches counted. */
  readonly unwritten: number;
  /** The schema version that the last snapshot is written in. */
  readonly written: number;
  /** The preview as it was last written to the project's row. */
  readonly preview: string | null;
}

const MOST_RECENT = 500;
/** Characters of JSON of the entries that are remembered of one project; in memory they take about five bytes each. */
const MOST_RECENT_SIZE = 1_000_000;
/** Characters of JSON of everything that is remembered, over all projects. */
const MOST_SIZE = 40_000_000;

/** Characters of a stretch of the log, but for its first entry. */
const sizeOfAll = (entries: readonly SizedEntry[]) =>
  entries.length ? entries[entries.length - 1]!.sizeTo - entries[0]!.sizeTo : 0;

/** The newest entries of two stretches of a log that follow each other, as many as may be remembered. */
export function newest(before: readonly SizedEntry[], after: readonly SizedEntry[]): SizedEntry[] {
  const all = [...before, ...after].slice(-MOST_RECENT);
  const to = all[all.length - 1]?.sizeTo ?? 0;
  const first = all.findIndex((_, i) => to - (all[i - 1]?.sizeTo ?? all[i]!.sizeTo) <= MOST_RECENT_SIZE);
  return first === -1 ? [] : all.slice(first);
}

const sizeOf = ({ size, recent }: KnownDocument) => size + sizeOfAll(recent);

const workOfAll = (entries: readonly SizedEntry[]) =>
  entries.reduce((sum, { entry }) => sum + workOf(entry.command), 0);

/** A state that was read: its document, and the entries since the snapshot that it was read from. */
interface ReadState extends Pick<KnownDocument, 'revision' | 'head' | 'document'> {
  readonly snapshot: Pick<SnapshotRow, 'version'>;
  readonly entries: readonly SizedEntry[];
}

export const knownFrom = ({ revision, head, document, snapshot, entries }: ReadState): KnownDocument => ({
  revision,
  head,
  document,
  size: JSON.stringify(document).length,
  unwritten: workOfAll(entries),
  recent: newest([], entries),
  written: snapshot.version,
  preview: null,
});

/** What is known after the next entries of the log, of which there is at least one, have made `document`. */
export function knownAfter(
  known: KnownDocument,
  document: ProjectDocument,
  entries: readonly SizedEntry[],
  preview = known.preview,
): KnownDocument {
  const { revision, id: head } = entries[entries.length - 1]!.entry;
  return {
    ...known,
    revision,
    head,
    document,
    size: known.size + entries.reduce((sum, { entry }) => sum + JSON.stringify(entry.command).length, 0),
    unwritten: known.unwritten + workOfAll(entries),
    recent: newest(known.recent, entries),
    preview,
  };
}

/** What is known once a snapshot of `size` characters is written. */
export const knownWritten = (known: KnownDocument, size: number): KnownDocument => ({
  ...known,
  size,
  unwritten: 0,
  written: DOCUMENT_VERSION,
});

/**
 * The documents that this process remembers, the least lately used forgotten first. What is remembered saves
 * reading only: whoever uses it holds it against the project's row, so that other processes are never missed.
 */
export class KnownDocuments {
  private readonly byProject = new Map<string, KnownDocument>();
  private size = 0;

  /** Characters of JSON that are remembered. */
  get remembered(): number {
    return this.size;
  }

  get(projectId: string): KnownDocument | undefined {
    const known = this.byProject.get(projectId);
    if (known) {
      this.byProject.delete(projectId);
      this.byProject.set(projectId, known);
    }
    return known;
  }

  set(projectId: string, known: KnownDocument): void {
    this.delete(projectId);
    this.byProject.set(projectId, known);
    this.size += sizeOf(known);
    for (const oldest of this.byProject.keys()) {
      // The one in use stays, however large it is.
      if (this.size <= MOST_SIZE || oldest === projectId) break;
      this.delete(oldest);
    }
  }

  /** Takes on what was read, unless somebody has come to know more since `before` was known. */
  takeOn(projectId: string, before: KnownDocument | undefined, now: KnownDocument): void {
    if (this.byProject.get(projectId) === before) this.set(projectId, now);
  }

  delete(projectId: string): void {
    const known = this.byProject.get(projectId);
    if (!known) return;
    this.size -= sizeOf(known);
    this.byProject.delete(projectId);
  }
}
