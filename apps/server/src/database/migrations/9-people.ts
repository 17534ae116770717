import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * People and teams: both can own projects. What was there belongs to the one person of this computer as before. Whose an
 * edit is stands in the log as an id alone, which says nothing once the person is gone.
 */
export class People1790000000009 implements MigrationInterface {
  name = 'People1790000000009';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE owner ADD COLUMN kind text NOT NULL DEFAULT 'person' CHECK (kind IN ('person', 'team'))`);
    await runner.query(`
      CREATE TABLE person (
        id uuid PRIMARY KEY REFERENCES owner (id) ON DELETE CASCADE,
        email text NOT NULL UNIQUE,
        passphrase text NOT NULL,
        administrator boolean NOT NULL DEFAULT false,
        factor bytea,
        factor_since timestamptz,
        factor_step bigint NOT NULL DEFAULT 0,
        created_at timestamptz NOT NULL DEFAULT now()
      )`);
    await runner.query(`
      CREATE TABLE recovery_code (
        person_id uuid NOT NULL REFERENCES person (id) ON DELETE CASCADE,
        code bytea NOT NULL,
        PRIMARY KEY (person_id, code)
      )`);
    await runner.query(`
      CREATE TABLE session (
        id uuid PRIMARY KEY,
        token bytea NOT NULL UNIQUE,
        person_id uuid NOT NULL REFERENCES person (id) ON DELETE CASCADE,
        agent text NOT NULL,
        begun_at timestamptz NOT NULL DEFAULT now(),
        seen_at timestamptz NOT NULL DEFAULT now()
      )`);
    await runner.query(`CREATE INDEX session_person ON session (person_id)`);
    await runner.query(`
      CREATE TABLE membership (
        team_id uuid NOT NULL REFERENCES owner (id) ON DELETE CASCADE,
        person_id uuid NOT NULL REFERENCES owner (id) ON DELETE CASCADE,
        access text NOT NULL CHECK (access IN ('owner', 'editor', 'noter', 'looker')),
        at timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY (team_id, person_id)
      )`);
    await runner.query(`CREATE INDEX membership_person ON membership (person_id)`);
    await runner.query(`
      CREATE TABLE project_exception (
        project_id uuid NOT NULL REFERENCES project (id) ON DELETE CASCADE,
        person_id uuid NOT NULL REFERENCES owner (id) ON DELETE CASCADE,
        access text NOT NULL CHECK (access IN ('editor', 'noter', 'looker', 'none')),
        PRIMARY KEY (project_id, person_id)
      )`);
    await runner.query(`CREATE INDEX project_exception_person ON project_exception (person_id)`);
    await runner.query(`
      CREATE TABLE invitation (
        id uuid PRIMARY KEY,
        token bytea NOT NULL UNIQUE,
        email text,
        team_id uuid REFERENCES owner (id) ON DELETE CASCADE,
        access text CHECK (access IN ('owner', 'editor', 'noter', 'looker')),
        administrator boolean NOT NULL DEFAULT false,
        invited_by uuid REFERENCES owner (id) ON DELETE SET NULL,
        at timestamptz NOT NULL DEFAULT now(),
        ends_at timestamptz NOT NULL,
        CHECK ((team_id IS NULL) = (access IS NULL))
      )`);
    await runner.query(`CREATE INDEX invitation_team ON invitation (team_id)`);
    await runner.query(`
      CREATE TABLE reset_link (
        token bytea PRIMARY KEY,
        person_id uuid NOT NULL REFERENCES person (id) ON DELETE CASCADE,
        ends_at timestamptz NOT NULL
      )`);
    await runner.query(`
      CREATE TABLE attempt (
        key bytea PRIMARY KEY,
        count integer NOT NULL,
        ends_at timestamptz NOT NULL
      )`);
    await runner.query(`CREATE INDEX attempt_ends ON attempt (ends_at)`);
    await runner.query(`
      CREATE TABLE letter (
        id uuid PRIMARY KEY,
        recipient text NOT NULL,
        subject text NOT NULL,
        body text NOT NULL,
        at timestamptz NOT NULL DEFAULT now(),
        tries integer NOT NULL DEFAULT 0,
        next_at timestamptz NOT NULL DEFAULT now()
      )`);
    await runner.query(`CREATE INDEX letter_next ON letter (next_at)`);
    await runner.query(`ALTER TABLE picture_content ADD COLUMN place text NOT NULL DEFAULT 'database'`);
    await runner.query(`CREATE TABLE picture_leftover (content text PRIMARY KEY)`);
    // Constant defaults: no row of a long log is written anew.
    await runner.query(`ALTER TABLE log_entry ADD COLUMN author_id uuid`);
    await runner.query(`ALTER TABLE checkpoint ADD COLUMN author_id uuid`);
    await runner.query(`ALTER TABLE hand_over ADD COLUMN author_id uuid`);
    await runner.query(`
      ALTER TABLE shelf_set
        ADD COLUMN team_id uuid REFERENCES owner (id) ON DELETE CASCADE,
        ADD COLUMN ships boolean NOT NULL DEFAULT false`);
    await runner.query(`UPDATE shelf_set SET ships = true WHERE owner_id IS NULL`);
    await runner.query(`CREATE INDEX shelf_set_team ON shelf_set (team_id)`);
    await runner.query(`CREATE INDEX shelf_set_owner ON shelf_set (owner_id)`);
    await runner.query(`ALTER TABLE shelf_set DROP CONSTRAINT shelf_set_owner_id_fkey`);
    await runner.query(`
      ALTER TABLE shelf_set
        ADD FOREIGN KEY (owner_id) REFERENCES owner (id) ON DELETE SET NULL`);
    await runner.query(`ALTER TABLE shelf_favour DROP CONSTRAINT shelf_favour_owner_id_fkey`);
    await runner.query(`
      ALTER TABLE shelf_favour
        ADD FOREIGN KEY (owner_id) REFERENCES owner (id) ON DELETE CASCADE`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DELETE FROM shelf_set WHERE NOT ships AND owner_id IS NULL`);
    await runner.query(`ALTER TABLE shelf_set DROP COLUMN team_id, DROP COLUMN ships`);
    await runner.query(`DROP INDEX shelf_set_owner`);
    for (const table of ['log_entry', 'checkpoint', 'hand_over'])
      await runner.query(`ALTER TABLE ${table} DROP COLUMN author_id`);
    await runner.query(`
      DROP TABLE letter, attempt, reset_link, invitation, project_exception, membership, session, recovery_code, person`);
    await runner.query(`DROP TABLE picture_leftover`);
    await runner.query(`ALTER TABLE picture_content DROP COLUMN place`);
    await runner.query(`ALTER TABLE owner DROP COLUMN kind`);
  }
}
