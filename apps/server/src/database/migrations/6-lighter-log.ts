import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * The log has commands only: inverses are made where they are needed. Pictures that a project was given say whether its
 * log ever named them, so that others can be cleared; those that are there count as named. A removed project stays for
 * a while.
 */
export class LighterLog1790000000006 implements MigrationInterface {
  name = 'LighterLog1790000000006';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE log_entry DROP COLUMN inverse`);
    await runner.query(`ALTER TABLE project_picture ADD COLUMN named boolean NOT NULL DEFAULT true`);
    await runner.query(`ALTER TABLE project_picture ALTER COLUMN named SET DEFAULT false`);
    await runner.query(`ALTER TABLE project ADD COLUMN removed_at timestamptz`);
    // Previews show the tray from now on; they are worked out when they are next asked for.
    await runner.query(`UPDATE project SET preview = NULL`);
    await runner.query(`CREATE INDEX project_removed ON project (removed_at) WHERE removed_at IS NOT NULL`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP INDEX project_removed`);
    await runner.query(`ALTER TABLE project DROP COLUMN removed_at`);
    await runner.query(`ALTER TABLE project_picture DROP COLUMN named`);
    // What took a command back is not known any more; nothing ever read it.
    await runner.query(`ALTER TABLE log_entry ADD COLUMN inverse jsonb NOT NULL DEFAULT 'null'`);
  }
}
