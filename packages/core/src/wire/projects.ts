import type { Command } from '../document/commands/command.ts';
import type { ProjectDocument } from '../document/document.ts';
import type { ProjectPreview } from '../system/preview.ts';
import type { Access } from './access.ts';
import type { Person } from './people.ts';
import type { Here } from './presence.ts';

/** What goes over the wire about projects; written once for both ends. */

export interface ListedProject {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  /** ISO 8601. */
  readonly updatedAt: string;
  readonly preview: ProjectPreview;
  /** What whoever asks may do with it. */
  readonly access: Access;
  /** The team that it belongs to; null for one's own. */
  readonly team: Person | null;
}

/** `GET /api/projects`. */
export interface ProjectsAnswer {
  readonly projects: readonly ListedProject[];
}

export interface LoadedProject {
  readonly id: string;
  readonly revision: number;
  /** In today's schema; of a later one when the project was last changed by a newer server. */
  readonly document: ProjectDocument;
  /** What whoever asks may do with it. */
  readonly access: Access;
}

export interface SentCommand {
  /** Made by the browser, so that a command sent twice is applied once. */
  readonly id: string;
  readonly command: Command;
}

/** Commands in one request, at most, those in batches counted: that is what the work of a request comes to. */
export const MOST_IN_REQUEST = 2500;

export interface LoggedCommand extends SentCommand {
  readonly revision: number;
}

/** What has become of a project since a revision: as commands, or, where that is less to send, as the document. */
export type News =
  | { readonly kind: 'entries'; readonly entries: readonly LoggedCommand[] }
  | { readonly kind: 'document'; readonly document: ProjectDocument };

export interface ProjectNews {
  readonly revision: number;
  /** What whoever asks may do with it by now. */
  readonly access: Access;
  readonly news: News;
}

export type CommandOutcome =
  | { readonly id: string; readonly status: 'applied' | 'known'; readonly revision: number }
  | { readonly id: string; readonly status: 'refused'; readonly reason: string };

export interface CommitAnswer extends ProjectNews {
  readonly outcomes: readonly CommandOutcome[];
}

/** Told by server-sent events; null after a lost connection, when something may have been missed. */
export interface RevisionEvent {
  readonly revision: number | null;
  /** What happened since the revision before the first of them, where that is little; else it is asked for. */
  readonly entries?: readonly LoggedCommand[];
  /** The schema version that they are written in. */
  readonly version?: number;
}

/** Told on the same stream, under the name `here`: who is where. */
export interface HereEvent {
  readonly here: Here;
}

/** Days for which a removed project can be had back. */
export const REMOVED_FOR_DAYS = 30;

export interface RemovedProject {
  readonly id: string;
  readonly name: string;
  /** ISO 8601. */
  readonly removedAt: string;
  /** Whether whoever asks may let go of it for good. */
  readonly own: boolean;
}

/** `GET /api/projects/removed`. */
export interface RemovedAnswer {
  readonly projects: readonly RemovedProject[];
}
