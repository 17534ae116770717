import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * The log becomes the truth: documents move out of the project's row into snapshots, which stand at some
 * revisions of the log; the row keeps what the list of projects shows. Every entry says in which version of the
 * schema version it is written, and how long the log is up to it.
 */
export class LogIsTheTruth1790000000002 implements MigrationInterface {
  name = 'LogIsTheTruth1790000000002';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE snapshot (
        project_id uuid NOT NULL REFERENCES project (id) ON DELETE CASCADE,
        revision integer NOT NULL,
        version smallint NOT NULL,
        document json NOT NULL,
        at timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY (project_id, revision)
      )`);
    await runner.query(`
      INSERT INTO snapshot (project_id, revision, version, document)
      SELECT id, revision, (document->>'version')::smallint, document::json FROM project`);
    await runner.query(`
      ALTER TABLE log_entry
        ADD COLUMN version smallint NOT NULL DEFAULT 1,
        ADD COLUMN size_to bigint`);
    await runner.query(`
      UPDATE log_entry SET size_to = sized.size_to
      FROM (
        SELECT project_id, revision,
          sum(octet_length(command::text)) OVER (PARTITION BY project_id ORDER BY revision) AS size_to
        FROM log_entry
      ) AS sized
      WHERE log_entry.project_id = sized.project_id AND log_entry.revision = sized.revision`);
    await runner.query(`
      ALTER TABLE log_entry ALTER COLUMN version DROP DEFAULT, ALTER COLUMN size_to SET NOT NULL`);
    await runner.query(`
      ALTER TABLE project
        ADD COLUMN name text,
        ADD COLUMN preview jsonb,
        ADD COLUMN version smallint,
        ADD COLUMN head uuid,
        ADD COLUMN log_size bigint NOT NULL DEFAULT 0`);
    // The preview is worked out when the list is next asked for.
    await runner.query(`
      UPDATE project SET
        name = document->>'name',
        version = (document->>'version')::smallint,
        head = (SELECT command_id FROM log_entry e WHERE e.project_id = id AND e.revision = project.revision),
        log_size = coalesce(
          (SELECT size_to FROM log_entry e WHERE e.project_id = id AND e.revision = project.revision), 0)`);
    await runner.query(`
      ALTER TABLE project ALTER COLUMN name SET NOT NULL, ALTER COLUMN version SET NOT NULL,
        DROP COLUMN document`);
  }

  async down(): Promise<void> {
    throw new Error('A database whose log is the truth is not taken back to one with documents in its rows.');
  }
}
