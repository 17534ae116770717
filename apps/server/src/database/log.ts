import type { Command } from '@mint-lamp/core/document/commands/command';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import { migrateCommand } from '@mint-lamp/core/document/versions/versions';
import type { SaidBefore } from '@mint-lamp/core/wire/may-send';
import type { LoggedCommand, SentCommand } from '@mint-lamp/core/wire/projects';
import { Between, type EntityManager, In } from 'typeorm';
import { LogEntry, type LogRow } from './entities.ts';

/** A command that was just applied. */
export interface FreshEntry extends LoggedCommand {
  /** Characters of the log up to this one. */
  readonly sizeTo: number;
  /** Who made it; null for somebody who is not signed in, as who has a share. */
  readonly author: string | null;
}

/** An entry of the log, with the characters of the log up to it. */
export interface SizedEntry {
  readonly entry: LoggedCommand;
  readonly sizeTo: number;
}

function sized({ revision, commandId, command, version, sizeTo }: LogRow): SizedEntry {
  const migrated = migrateCommand(command, version);
  if (!migrated.ok) throw new Error(`Entry ${revision} of a log is ${migrated.why}.`);
  return { entry: { revision, id: commandId, command: migrated.value as Command }, sizeTo: Number(sizeTo) };
}

/** The entries of a project's log from one revision to another, both included, in today's schema. */
export async function entriesBetween(
  manager: EntityManager,
  projectId: string,
  from: number,
  to: number,
): Promise<SizedEntry[]> {
  if (from > to) return [];
  const rows = await manager
    .getRepository(LogEntry)
    .find({ where: { projectId, revision: Between(from, to) }, order: { revision: 'ASC' } });
  return rows.map(sized);
}

/** Characters of a project's log up to a revision. */
export async function logSizeTo(
  manager: EntityManager,
  projectId: string,
  revision: number,
): Promise<number> {
  const row = await manager.getRepository(LogEntry).findOne({
    where: { projectId, revision },
    select: { projectId: true, revision: true, sizeTo: true },
  });
  return Number(row?.sizeTo ?? 0);
}

/** Of some commands, those that are in the log already, with their revisions. */
export async function revisionsOf(
  manager: EntityManager,
  projectId: string,
  sent: readonly SentCommand[],
): Promise<Map<string, number>> {
  const rows = await manager.getRepository(LogEntry).find({
    where: { projectId, commandId: In(sent.map(({ id }) => id)) },
    select: { projectId: true, commandId: true, revision: true },
  });
  return new Map(rows.map(({ commandId, revision }) => [commandId, revision]));
}

/**
 * Whether somebody has said this in the project: under their name, or nobody's, and with these very words, written at
 * once or put so by themselves later. Reads all of the log: for what comes seldom.
 */
export async function wasSaid(
  manager: EntityManager,
  projectId: string,
  { kind, id, author, text }: SaidBefore,
): Promise<boolean> {
  const whose = author === undefined ? '!exists(@.author) && exists(@.by)' : '@.author == $author';
  const said = `$.** ? (@.id == $id && ${whose} && @.text == $text)`;
  const signed = `$.** ? (@.id == $id && ${whose})`;
  const later =
    kind === 'note'
      ? '$.** ? (@.type == "setNote" && @.note == $id && @.change.text == $text)'
      : '$.** ? (@.type == "setAnswer" && @.answer == $id && @.text == $text)';
  const rows = await manager.query(
    `SELECT 1 FROM log_entry WHERE project_id = $1 AND jsonb_path_exists(command, '${signed}', $2)
     AND EXISTS (
       SELECT 1 FROM log_entry WHERE project_id = $1 AND (
         jsonb_path_exists(command, '${said}', $2)
         OR ($3::uuid IS NULL OR author_id = $3) AND jsonb_path_exists(command, '${later}', $2)
       ))
     LIMIT 1`,
    [projectId, JSON.stringify({ id, author, text }), author ?? null],
  );
  return rows.length > 0;
}

/** Bytes that a notice of PostgreSQL holds. */
const MOST_BYTES = 7900;

/** What every server process is told of fresh entries: themselves where they fit in, so that nobody has to read them. */
function noticeOf(id: string, fresh: readonly FreshEntry[]): string {
  const { revision } = fresh[fresh.length - 1]!;
  const entries = fresh.map((one) => ({ id: one.id, revision: one.revision, command: one.command }));
  const whole = JSON.stringify({ id, revision, entries, version: DOCUMENT_VERSION });
  return Buffer.byteLength(whole) <= MOST_BYTES ? whole : JSON.stringify({ id, revision });
}

/** Appends entries, raises the project's revision and tells every server process, in one statement. */
export async function append(
  manager: EntityManager,
  channel: string,
  projectId: string,
  entries: readonly FreshEntry[],
  row: { readonly name: string; readonly preview: string | null },
): Promise<void> {
  const last = entries[entries.length - 1]!;
  await manager.query(
    `WITH fresh AS (
      INSERT INTO log_entry (project_id, revision, command_id, command, version, size_to, author_id)
      SELECT $1::uuid, e.revision, e.id, e.command, $2::smallint, e."sizeTo", e.author
      FROM jsonb_to_recordset($3::jsonb)
        AS e (revision integer, id uuid, command jsonb, "sizeTo" bigint, author uuid)
    ), raised AS (
      UPDATE project SET revision = $4, head = $5, log_size = $6, version = $2::smallint, name = $7,
        preview = coalesce($8::jsonb, preview), updated_at = now()
      WHERE id = $1::uuid
    )
    SELECT pg_notify($9, $10)`,
    [
      projectId,
      DOCUMENT_VERSION,
      JSON.stringify(entries),
      last.revision,
      last.id,
      last.sizeTo,
      row.name,
      row.preview,
      channel,
      noticeOf(projectId, entries),
    ],
  );
}
