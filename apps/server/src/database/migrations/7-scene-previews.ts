import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Previews show a page in each theme from now on; they are worked out when they are next asked for. */
export class ScenePreviews1790000000007 implements MigrationInterface {
  name = 'ScenePreviews1790000000007';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`UPDATE project SET preview = NULL`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`UPDATE project SET preview = NULL`);
  }
}
