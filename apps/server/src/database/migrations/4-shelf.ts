import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * The shelf: sets that ship with Mint Lamp (without an owner) and sets that people have published. Words are found by
 * PostgreSQL's full text search, colours by the cells of OKLab that they lie in; each order of the list has an index
 * that it is read along.
 */
export class Shelf1790000000004 implements MigrationInterface {
  name = 'Shelf1790000000004';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE shelf_set (
        id uuid PRIMARY KEY,
        owner_id uuid REFERENCES owner (id),
        name text NOT NULL,
        words text NOT NULL,
        content jsonb NOT NULL,
        colors text[] NOT NULL,
        cells integer[] NOT NULL,
        adopted integer NOT NULL DEFAULT 0,
        favoured integer NOT NULL DEFAULT 0,
        at timestamptz NOT NULL DEFAULT now(),
        search tsvector GENERATED ALWAYS AS (to_tsvector('simple', name || ' ' || words)) STORED
      )`);
    await runner.query(`CREATE INDEX shelf_set_search ON shelf_set USING gin (search)`);
    await runner.query(`CREATE INDEX shelf_set_cells ON shelf_set USING gin (cells)`);
    for (const order of ['at', 'adopted', 'favoured'])
      await runner.query(`CREATE INDEX shelf_set_${order} ON shelf_set (${order} DESC, id DESC)`);
    await runner.query(`
      CREATE TABLE shelf_favour (
        owner_id uuid NOT NULL REFERENCES owner (id),
        set_id uuid NOT NULL REFERENCES shelf_set (id) ON DELETE CASCADE,
        PRIMARY KEY (owner_id, set_id)
      )`);
    await runner.query(`CREATE INDEX shelf_favour_set ON shelf_favour (set_id)`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE shelf_favour, shelf_set`);
  }
}
