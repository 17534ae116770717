import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Shares, of whose addresses only the hash is kept, and what comes back by them. */
export class Shares1790000000010 implements MigrationInterface {
  name = 'Shares1790000000010';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE share (
        id uuid PRIMARY KEY,
        project_id uuid NOT NULL REFERENCES project (id) ON DELETE CASCADE,
        token bytea NOT NULL UNIQUE,
        name text NOT NULL,
        subject jsonb NOT NULL,
        revision integer,
        tries boolean NOT NULL,
        notes boolean NOT NULL,
        ends_at timestamptz NOT NULL,
        passphrase text,
        shut_at timestamptz,
        author_id uuid,
        made_at timestamptz NOT NULL DEFAULT now(),
        opened integer NOT NULL DEFAULT 0,
        opened_at timestamptz,
        followed_until timestamptz
      )`);
    await runner.query(`CREATE INDEX share_project ON share (project_id, made_at DESC)`);
    await runner.query(`
      CREATE TABLE proposal (
        id uuid PRIMARY KEY,
        project_id uuid NOT NULL REFERENCES project (id) ON DELETE CASCADE,
        share text NOT NULL,
        by text NOT NULL,
        words text NOT NULL,
        revision integer NOT NULL,
        parts jsonb NOT NULL,
        state text NOT NULL DEFAULT 'open' CHECK (state IN ('open', 'taken', 'declined')),
        at timestamptz NOT NULL DEFAULT now()
      )`);
    await runner.query(`CREATE INDEX proposal_project ON proposal (project_id, at DESC)`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE proposal');
    await runner.query('DROP TABLE share');
  }
}
