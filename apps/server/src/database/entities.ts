import type { Command } from '@mint-lamp/core/system/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/system/document';
import { EntitySchema } from 'typeorm';

export interface OwnerRow {
  id: string;
  name: string;
}

export interface ProjectRow {
  id: string;
  ownerId: string;
  revision: number;
  document: ProjectDocument;
  createdAt: Date;
  updatedAt: Date;
}

/** One applied command of a project's log. */
export interface LogRow {
  projectId: string;
  revision: number;
  /** Made by the browser, so that a command sent twice is applied once. */
  commandId: string;
  command: Command;
  inverse: Command;
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
    document: { type: 'jsonb' },
    createdAt: { type: 'timestamptz', name: 'created_at', createDate: true },
    updatedAt: { type: 'timestamptz', name: 'updated_at', updateDate: true },
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
    inverse: { type: 'jsonb' },
    at: { type: 'timestamptz', createDate: true },
  },
});
