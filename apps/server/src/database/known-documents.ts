import type { ProjectDocument } from '@mint-lamp/core/system/document';
import type { SizedEntry } from './log.ts';

/** A project's document as this process knows it: as it is at one revision of the log, which never changes. */
export interface KnownDocument {
  readonly revision: number;
  readonly head: string | null;
  readonly document: ProjectDocument;
  /** The newest entries of the log up to this revision, without a gap. */
  readonly recent: readonly SizedEntry[];
  /** Commands since the last snapshot, those in batches counted. */
  readonly unwritten: number;
  /** The version of the form that the last snapshot is written in. */
  readonly written: number;
  /** The preview as it was last written to the project's row. */
  readonly preview: string | null;
}

const MOST_RECENT = 500;
const MOST_PROJECTS = 64;

/** The newest entries of two stretches of a log that follow each other. */
export const newest = (before: readonly SizedEntry[], after: readonly SizedEntry[]): SizedEntry[] =>
  [...before, ...after].slice(-MOST_RECENT);

/**
 * The documents that this process remembers, the least lately used forgotten first. What is remembered saves
 * reading only: whoever uses it holds it against the project's row, so that other processes are never missed.
 */
export class KnownDocuments {
  private readonly byProject = new Map<string, KnownDocument>();

  get(projectId: string): KnownDocument | undefined {
    const known = this.byProject.get(projectId);
    if (known) {
      this.byProject.delete(projectId);
      this.byProject.set(projectId, known);
    }
    return known;
  }

  set(projectId: string, known: KnownDocument): void {
    this.byProject.delete(projectId);
    this.byProject.set(projectId, known);
    for (const oldest of this.byProject.keys()) {
      if (this.byProject.size <= MOST_PROJECTS) break;
      this.byProject.delete(oldest);
    }
  }

  delete(projectId: string): void {
    this.byProject.delete(projectId);
  }
}
