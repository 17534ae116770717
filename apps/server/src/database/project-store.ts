import { randomUUID } from 'node:crypto';
import { applyCommand } from '@mint-lamp/core/system/commands/apply';
import type { Command } from '@mint-lamp/core/system/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/system/document';
import { type DataSource, In, MoreThan } from 'typeorm';
import { CHANNEL } from './change-feed.ts';
import { LogEntry, type LogRow, Project, type ProjectRow } from './entities.ts';

export interface SentCommand {
  readonly id: string;
  readonly command: Command;
}

export interface LoggedCommand extends SentCommand {
  readonly revision: number;
}

export type CommandOutcome =
  | { readonly id: string; readonly status: 'applied' | 'known'; readonly revision: number }
  | { readonly id: string; readonly status: 'refused'; readonly reason: string };

export interface CommitResult {
  readonly revision: number;
  readonly outcomes: readonly CommandOutcome[];
  /** Everything in the log after the revision that the sender knew, its own commands included. */
  readonly entries: readonly LoggedCommand[];
}

export interface ProjectStore {
  list(ownerId: string): Promise<ProjectRow[]>;
  find(ownerId: string, id: string): Promise<ProjectRow | null>;
  create(ownerId: string, document: ProjectDocument, id?: string): Promise<ProjectRow>;
  remove(ownerId: string, id: string): Promise<boolean>;
  entriesAfter(id: string, revision: number): Promise<LoggedCommand[]>;
  /** Null when the project is not there. */
  commit(
    ownerId: string,
    id: string,
    known: number,
    sent: readonly SentCommand[],
  ): Promise<CommitResult | null>;
}

const logged = ({ revision, commandId, command }: LogRow): LoggedCommand => ({
  revision,
  id: commandId,
  command,
});

/** Projects in PostgreSQL: the document, its revision, and the log of commands that made it. */
export function projectStore(source: DataSource): ProjectStore {
  return {
    list: (ownerId) =>
      source.getRepository(Project).find({ where: { ownerId }, order: { updatedAt: 'DESC', id: 'ASC' } }),

    find: (ownerId, id) => source.getRepository(Project).findOneBy({ id, ownerId }),

    create: (ownerId, document, id = randomUUID()) =>
      source.getRepository(Project).save({ id, ownerId, revision: 0, document }),

    async remove(ownerId, id) {
      const { affected } = await source.getRepository(Project).delete({ id, ownerId });
      return (affected ?? 0) > 0;
    },

    async entriesAfter(id, revision) {
      const rows = await source
        .getRepository(LogEntry)
        .find({ where: { projectId: id, revision: MoreThan(revision) }, order: { revision: 'ASC' } });
      return rows.map(logged);
    },

    // The row lock puts concurrent senders in a row; the unique command id makes sending twice harmless.
    commit: (ownerId, id, known, sent) =>
      source.transaction(async (manager) => {
        const row = await manager
          .getRepository(Project)
          .findOne({ where: { id, ownerId }, lock: { mode: 'pessimistic_write' } });
        if (!row) return null;
        // A sender that is ahead saw another life of this project; nothing of it is applied.
        if (known > row.revision) return { revision: row.revision, outcomes: [], entries: [] };
        const log = manager.getRepository(LogEntry);
        const before = sent.length
          ? await log.findBy({ projectId: id, commandId: In(sent.map((command) => command.id)) })
          : [];
        const revisions = new Map(before.map((entry) => [entry.commandId, entry.revision]));
        const outcomes: CommandOutcome[] = [];
        const fresh: Omit<LogRow, 'at'>[] = [];
        let { document, revision } = row;
        for (const { id: commandId, command } of sent) {
          const logRevision = revisions.get(commandId);
          if (logRevision !== undefined) {
            outcomes.push({ id: commandId, status: 'known', revision: logRevision });
            continue;
          }
          const result = applyCommand(document, command);
          if (!result.ok) {
            outcomes.push({ id: commandId, status: 'refused', reason: result.reason });
            continue;
          }
          document = result.document;
          revision += 1;
          revisions.set(commandId, revision);
          fresh.push({ projectId: id, revision, commandId, command, inverse: result.inverse });
          outcomes.push({ id: commandId, status: 'applied', revision });
        }
        if (fresh.length) {
          await log.insert(fresh as never);
          await manager.getRepository(Project).update({ id }, { document: document as never, revision });
          await manager.query(`SELECT pg_notify($1, $2)`, [CHANNEL, JSON.stringify({ id, revision })]);
        }
        const entries = await log.find({
          where: { projectId: id, revision: MoreThan(known) },
          order: { revision: 'ASC' },
        });
        return { revision, outcomes, entries: entries.map(logged) };
      }),
  };
}
