import type { Command } from '@mint-lamp/core/document/commands/command';
import type { ProjectPreview } from '@mint-lamp/core/system/preview';
import type { HandedWhat } from '@mint-lamp/core/wire/hand-overs';
import { EntitySchema } from 'typeorm';

export interface OwnerRow {
  id: string;
  name: string;
}

export interface ProjectRow {
  id: string;
  ownerId: string;
  revision: number;
  /** Id of the last command in the log, which tells this life of the project from another with as many revisions. */
  head: string | null;
  /** Characters of all commands in the log. */
  logSize: string;
  /** The schema version that it was last changed in. */
  version: number;
  name: string;
  /** Null after an update, until the list is asked for. */
  preview: ProjectPreview | null;
  createdAt: Date;
  updatedAt: Date;
  /** When it was removed; it can be had back for a while. */
  removedAt: Date | null;
}

/** A document as it is at a revision of the log. */
export interface SnapshotRow {
  projectId: string;
  revision: number;
  version: number;
  document: unknown;
  at: Date;
}

/** One applied command of a project's log. */
export interface LogRow {
  projectId: string;
  revision: number;
  /** Made by the browser, so that a command sent twice is applied once. */
  commandId: string;
  command: Command;
  /** The schema version that the command is written in. */
  version: number;
  /** Characters of all commands up to this one. */
  sizeTo: string;
  /** Who made it; null for those of before there were people. */
  authorId: string | null;
  at: Date;
}

export const Owner = new EntitySchema<OwnerRow>({
  name: 'owner',
  tableName: 'owner',
  columns: { id: { type: 'uuid', primary: true }, name: { type: 'text' } },
});

export const Project = new EntitySchema<ProjectRow>({
  name: 'project',
  tableName: 'project',
  columns: {
    id: { type: 'uuid', primary: true },
    ownerId: { type: 'uuid', name: 'owner_id' },
    revision: { type: 'integer' },
    head: { type: 'uuid', nullable: true },
    logSize: { type: 'bigint', name: 'log_size' },
    version: { type: 'smallint' },
    name: { type: 'text' },
    preview: { type: 'jsonb', nullable: true },
    createdAt: { type: 'timestamptz', name: 'created_at', createDate: true },
    updatedAt: { type: 'timestamptz', name: 'updated_at', updateDate: true },
    removedAt: { type: 'timestamptz', name: 'removed_at', nullable: true },
  },
});

export const Snapshot = new EntitySchema<SnapshotRow>({
  name: 'snapshot',
  tableName: 'snapshot',
  columns: {
    projectId: { type: 'uuid', name: 'project_id', primary: true },
    revision: { type: 'integer', primary: true },
    version: { type: 'smallint' },
    document: { type: 'json' },
    at: { type: 'timestamptz', createDate: true },
  },
});

export const LogEntry = new EntitySchema<LogRow>({
  name: 'log_entry',
  tableName: 'log_entry',
  columns: {
    projectId: { type: 'uuid', name: 'project_id', primary: true },
    revision: { type: 'integer', primary: true },
    commandId: { type: 'uuid', name: 'command_id' },
    command: { type: 'jsonb' },
    version: { type: 'smallint' },
    sizeTo: { type: 'bigint', name: 'size_to' },
    authorId: { type: 'uuid', name: 'author_id', nullable: true },
    at: { type: 'timestamptz', createDate: true },
  },
});

/** A name for a revision of a project's log. */
export interface CheckpointRow {
  id: string;
  projectId: string;
  revision: number;
  name: string;
  authorId: string | null;
  at: Date;
}

/** What was delivered, of a revision of a project's log. */
export interface HandOverRow {
  id: string;
  projectId: string;
  revision: number;
  what: HandedWhat;
  authorId: string | null;
  at: Date;
}

export const HandOverEntry = new EntitySchema<HandOverRow>({
  name: 'hand_over',
  tableName: 'hand_over',
  columns: {
    id: { type: 'uuid', primary: true },
    projectId: { type: 'uuid', name: 'project_id' },
    revision: { type: 'integer' },
    what: { type: 'jsonb' },
    authorId: { type: 'uuid', name: 'author_id', nullable: true },
    at: { type: 'timestamptz', createDate: true },
  },
});

export const CheckpointEntry = new EntitySchema<CheckpointRow>({
  name: 'checkpoint',
  tableName: 'checkpoint',
  columns: {
    id: { type: 'uuid', primary: true },
    projectId: { type: 'uuid', name: 'project_id' },
    revision: { type: 'integer' },
    name: { type: 'text' },
    authorId: { type: 'uuid', name: 'author_id', nullable: true },
    at: { type: 'timestamptz', createDate: true },
  },
});
