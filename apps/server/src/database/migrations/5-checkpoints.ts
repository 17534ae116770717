import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Checkpoints: names for revisions of a project's log, from which the document of then is read. */
export class Checkpoints1790000000005 implements MigrationInterface {
  name = 'Checkpoints1790000000005';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE checkpoint (
        id uuid PRIMARY KEY,
        project_id uuid NOT NULL REFERENCES project (id) ON DELETE CASCADE,
        revision integer NOT NULL,
        name text NOT NULL,
        at timestamptz NOT NULL DEFAULT now()
      )`);
    await runner.query(`CREATE UNIQUE INDEX checkpoint_name ON checkpoint (project_id, lower(name))`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE checkpoint`);
  }
}
