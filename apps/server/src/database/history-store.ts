import { describeCommand } from '@mint-lamp/core/document/commands/describe';
import { kindOfCommand } from '@mint-lamp/core/document/kinds';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import type { History, HistoryEntry } from '@mint-lamp/core/wire/people';
import { Between, type DataSource } from 'typeorm';
import { Turns } from '../turns.ts';
import { applyInTurns } from './apply-in-turns.ts';
import { documentOfThen } from './documents.ts';
import { LogEntry, Project } from './entities.ts';
import { entriesBetween } from './log.ts';
import { SchemaVersionAhead } from './schema-version-ahead.ts';

export interface HistoryStore {
  /** The edits before a revision, or the newest where that is null. */
  page(projectId: string, before: number | null): Promise<History>;
}

/** Edits of a page. */
const PAGE = 100;

/** What became of a project, edit by edit, in words; read from its log. */
export function historyStore(source: DataSource): HistoryStore {
  return {
    async page(projectId, before) {
      const project = await source.getRepository(Project).findOneByOrFail({ id: projectId });
      if (project.version > DOCUMENT_VERSION) throw new SchemaVersionAhead();
      const to = before === null ? project.revision : Math.min(before - 1, project.revision);
      const from = Math.max(1, to - PAGE + 1);
      if (to < from) return { entries: [], before: null };
      const rows = await source.getRepository(LogEntry).find({
        where: { projectId, revision: Between(from, to) },
        select: { projectId: true, revision: true, authorId: true, at: true },
      });
      const told = new Map(rows.map((row) => [row.revision, row]));
      // What a command did is said by what was there before it.
      const turns = new Turns();
      let document = await documentOfThen(source.manager, projectId, from - 1);
      const entries: HistoryEntry[] = [];
      for (const { entry } of await entriesBetween(source.manager, projectId, from, to)) {
        await turns.yieldTurn();
        const { authorId, at } = told.get(entry.revision)!;
        entries.push({
          revision: entry.revision,
          author: authorId,
          at: at.toISOString(),
          words: describeCommand(document, entry.command),
          kind: kindOfCommand(entry.command),
        });
        const result = await applyInTurns(document, entry.command, turns);
        if (!result.ok) throw new Error(`Entry ${entry.revision} of a log does not apply: ${result.reason}`);
        document = result.document;
      }
      return { entries: entries.reverse(), before: from > 1 ? from : null };
    },
  };
}
