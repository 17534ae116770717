import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Who was named in which note or answer, and when they were told. */
export class Mentions1790000000011 implements MigrationInterface {
  name = 'Mentions1790000000011';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE mention (
        project_id uuid NOT NULL REFERENCES project (id) ON DELETE CASCADE,
        said_id text NOT NULL,
        note_id text NOT NULL,
        person_id uuid NOT NULL REFERENCES person (id) ON DELETE CASCADE,
        from_id uuid REFERENCES owner (id) ON DELETE CASCADE,
        at timestamptz NOT NULL DEFAULT now(),
        told_at timestamptz,
        PRIMARY KEY (project_id, said_id, person_id)
      )`);
    await runner.query(`CREATE INDEX mention_untold ON mention (at) WHERE told_at IS NULL`);
    await runner.query(`CREATE INDEX mention_person ON mention (person_id, project_id, told_at)`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE mention');
  }
}
