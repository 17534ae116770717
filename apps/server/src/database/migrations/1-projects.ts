import type { MigrationInterface, QueryRunner } from 'typeorm';

export class Projects1790000000001 implements MigrationInterface {
  name = 'Projects1790000000001';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE owner (id uuid PRIMARY KEY, name text NOT NULL)`);
    await runner.query(`
      CREATE TABLE project (
        id uuid PRIMARY KEY,
        owner_id uuid NOT NULL REFERENCES owner (id),
        revision integer NOT NULL DEFAULT 0 CHECK (revision >= 0),
        document jsonb NOT NULL,
        created_at timestamptz NOT NULL DEFAULT now(),
        updated_at timestamptz NOT NULL DEFAULT now()
      )`);
    await runner.query(`CREATE INDEX project_owner ON project (owner_id, updated_at DESC)`);
    await runner.query(`
      CREATE TABLE log_entry (
        project_id uuid NOT NULL REFERENCES project (id) ON DELETE CASCADE,
        revision integer NOT NULL,
        command_id uuid NOT NULL,
        command jsonb NOT NULL,
        inverse jsonb NOT NULL,
        at timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY (project_id, revision),
        UNIQUE (project_id, command_id)
      )`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE log_entry`);
    await runner.query(`DROP TABLE project`);
    await runner.query(`DROP TABLE owner`);
  }
}
