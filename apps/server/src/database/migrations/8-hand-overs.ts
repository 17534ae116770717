import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Hand-overs: what was delivered, in which form, when, of which revision of the log. */
export class HandOvers1790000000008 implements MigrationInterface {
  name = 'HandOvers1790000000008';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE hand_over (
        id uuid PRIMARY KEY,
        project_id uuid NOT NULL REFERENCES project (id) ON DELETE CASCADE,
        revision integer NOT NULL,
        what jsonb NOT NULL,
        at timestamptz NOT NULL DEFAULT now()
      )`);
    await runner.query(`CREATE INDEX hand_over_at ON hand_over (project_id, at DESC)`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE hand_over`);
  }
}
