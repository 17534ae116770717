import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * Pictures: the bytes of each content once, in parts so that no answer needs all of them at a time; and which projects
 * may see it. A project keeps what it was given until it is removed, so that undo and later checkpoints find it.
 */
export class Pictures1790000000003 implements MigrationInterface {
  name = 'Pictures1790000000003';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE picture_content (
        content text PRIMARY KEY,
        media_type text NOT NULL,
        size integer NOT NULL,
        width integer NOT NULL,
        height integer NOT NULL,
        small bytea NOT NULL,
        at timestamptz NOT NULL DEFAULT now()
      )`);
    await runner.query(`
      CREATE TABLE picture_part (
        content text NOT NULL REFERENCES picture_content (content) ON DELETE CASCADE,
        part integer NOT NULL,
        bytes bytea NOT NULL,
        PRIMARY KEY (content, part)
      )`);
    // It is not squeezed: pictures are already.
    await runner.query(`ALTER TABLE picture_part ALTER COLUMN bytes SET STORAGE EXTERNAL`);
    await runner.query(`
      CREATE TABLE project_picture (
        project_id uuid NOT NULL REFERENCES project (id) ON DELETE CASCADE,
        content text NOT NULL REFERENCES picture_content (content),
        at timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY (project_id, content)
      )`);
    await runner.query(`CREATE INDEX project_picture_content ON project_picture (content)`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE project_picture, picture_part, picture_content`);
  }
}
