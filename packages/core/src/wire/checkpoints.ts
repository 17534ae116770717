import type { ProjectDocument } from '../document/document.ts';

/** What goes over the wire about checkpoints; written once for both ends. */

/** A saved, named state of a project: a revision of its log. */
export interface Checkpoint {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  /** Who saved it; null where that is not known. */
  readonly author: string | null;
  /** When it was saved, ISO 8601. */
  readonly at: string;
}

export interface CheckpointList {
  /** The newest first. */
  readonly checkpoints: readonly Checkpoint[];
}

export interface LoadedCheckpoint extends Checkpoint {
  /** The project as it was then, in today's schema. */
  readonly document: ProjectDocument;
}

/** Checkpoints of one project, at most. */
export const MOST_CHECKPOINTS = 500;
