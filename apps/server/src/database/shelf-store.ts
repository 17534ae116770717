import { randomUUID } from 'node:crypto';
import { cellsNear, cellsOf } from '@mint-lamp/core/shelf/cells';
import type { NewSet } from '@mint-lamp/core/shelf/shelf-set';
import type { ShelfOrder, ShelfPage, ShelfSet } from '@mint-lamp/core/wire/shelf';
import type { DataSource } from 'typeorm';

export interface ShelfQuery {
  readonly words: string;
  /** A colour; sets with something near it. Null for any. */
  readonly near: string | null;
  readonly order: ShelfOrder;
  /** Only those of whoever asks, or that they favour. */
  readonly only: 'all' | 'own' | 'favourites';
  /** As the page before said; null for the first page. */
  readonly after: string | null;
}

export interface ShelfStore {
  list(ownerId: string, query: ShelfQuery): Promise<ShelfPage>;
  publish(ownerId: string, set: NewSet): Promise<ShelfSet>;
  /** False when there is no such set of that owner. */
  takeBack(ownerId: string, id: string): Promise<boolean>;
  favour(ownerId: string, id: string, on: boolean): Promise<boolean>;
  /** Counts that a set was adopted. */
  adopted(id: string): Promise<boolean>;
  /** Puts sets on the shelf that ship with Mint Lamp, under ids of their own; what is there already stays. */
  ship(sets: readonly (NewSet & { readonly id: string })[]): Promise<void>;
}

const PAGE = 24;
const COLUMNS: Readonly<Record<ShelfOrder, string>> = { new: 'at', adopted: 'adopted', favoured: 'favoured' };

interface Row {
  id: string;
  owner_id: string | null;
  name: string;
  words: string;
  content: NewSet['content'];
  colors: string[];
  adopted: number;
  favoured: number;
  favourite: boolean;
  at: Date;
  /** Of the column that the list is in order of, exactly. */
  place: string;
}

/** Every word as a beginning, joined: "rust fo" finds "rust fog". Empty when there is no word in it. */
const tsQuery = (words: string): string =>
  (words.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [])
    .slice(0, 12)
    .map((word) => `'${word}':*`)
    .join(' & ');

/** Where a page begins: the place of the last set of the one before, and its id; null for what is none. */
function readCursor(after: string | null): readonly [place: string, id: string] | null {
  const match = /^(\d{1,16})_([\da-f]{8}(?:-[\da-f]{4}){3}-[\da-f]{12})$/.exec(after ?? '');
  return match ? [match[1]!, match[2]!] : null;
}

/** The place of a set in an order as a whole number: a count, or microseconds since 1970; and the way back. */
const PLACES: Readonly<Record<ShelfOrder, { readonly of: string; readonly at: (value: string) => string }>> =
  {
    new: {
      of: '(extract(epoch FROM s.at) * 1000000)::bigint',
      at: (value) => `'epoch'::timestamptz + ${value}::bigint * interval '1 microsecond'`,
    },
    adopted: { of: 's.adopted', at: (value) => `least(${value}::bigint, 2147483647)::integer` },
    favoured: { of: 's.favoured', at: (value) => `least(${value}::bigint, 2147483647)::integer` },
  };

const toSet = (ownerId: string, row: Row): ShelfSet => ({
  id: row.id,
  name: row.name,
  words: row.words,
  content: row.content,
  colors: row.colors,
  ours: row.owner_id === null,
  own: row.owner_id === ownerId,
  adopted: row.adopted,
  favoured: row.favoured,
  favourite: row.favourite,
  at: row.at.toISOString(),
});

/** The shelf in PostgreSQL. */
export function shelfStore(source: DataSource): ShelfStore {
  const insert = (ownerId: string | null, id: string, set: NewSet) =>
    source.query(
      `INSERT INTO shelf_set (id, owner_id, name, words, content, colors, cells)
       VALUES ($1, $2, $3, $4, $5, $6, $7) ON CONFLICT (id) DO NOTHING`,
      [id, ownerId, set.name, set.words, JSON.stringify(set.content), set.colors, cellsOf(set.colors)],
    );

  return {
    async list(ownerId, { words, near, order, only, after }) {
      const column = COLUMNS[order];
      const values: unknown[] = [ownerId];
      const conditions: string[] = [];
      const value = (one: unknown) => `$${values.push(one)}`;
      const query = tsQuery(words);
      if (query) conditions.push(`s.search @@ ${value(query)}::tsquery`);
      if (near) conditions.push(`s.cells && ${value(cellsNear(near))}::integer[]`);
      if (only === 'own') conditions.push('s.owner_id = $1');
      if (only === 'favourites')
        conditions.push('EXISTS (SELECT 1 FROM shelf_favour f WHERE f.owner_id = $1 AND f.set_id = s.id)');
      const cursor = readCursor(after);
      if (cursor)
        conditions.push(
          `(s.${column}, s.id) < (${PLACES[order].at(value(cursor[0]))}, ${value(cursor[1])}::uuid)`,
        );
      const rows: Row[] = await source.query(
        `SELECT s.id, s.owner_id, s.name, s.words, s.content, s.colors, s.adopted, s.favoured, s.at,
           ${PLACES[order].of}::text AS place,
           EXISTS (SELECT 1 FROM shelf_favour f WHERE f.owner_id = $1 AND f.set_id = s.id) AS favourite
         FROM shelf_set s
         ${conditions.length ? `WHERE ${conditions.join(' AND ')}` : ''}
         ORDER BY s.${column} DESC, s.id DESC LIMIT ${PAGE + 1}`,
        values,
      );
      const shown = rows.slice(0, PAGE);
      const last = shown.at(-1);
      return {
        sets: shown.map((row) => toSet(ownerId, row)),
        next: rows.length > PAGE && last ? `${last.place}_${last.id}` : null,
      };
    },

    async publish(ownerId, set) {
      const id = randomUUID();
      await insert(ownerId, id, set);
      const at = new Date().toISOString();
      return { ...set, id, ours: false, own: true, adopted: 0, favoured: 0, favourite: false, at };
    },

    async takeBack(ownerId, id) {
      const [, count] = await source.query('DELETE FROM shelf_set WHERE id = $1 AND owner_id = $2', [
        id,
        ownerId,
      ]);
      return count > 0;
    },

    async favour(ownerId, id, on) {
      return source.transaction(async (manager) => {
        const [row] = await manager.query('SELECT 1 FROM shelf_set WHERE id = $1 FOR UPDATE', [id]);
        if (!row) return false;
        if (on)
          await manager.query(
            'INSERT INTO shelf_favour (owner_id, set_id) VALUES ($1, $2) ON CONFLICT DO NOTHING',
            [ownerId, id],
          );
        else
          await manager.query('DELETE FROM shelf_favour WHERE owner_id = $1 AND set_id = $2', [ownerId, id]);
        await manager.query(
          'UPDATE shelf_set SET favoured = (SELECT count(*) FROM shelf_favour WHERE set_id = $1) WHERE id = $1',
          [id],
        );
        return true;
      });
    },

    async adopted(id) {
      const [, count] = await source.query('UPDATE shelf_set SET adopted = adopted + 1 WHERE id = $1', [id]);
      return count > 0;
    },

    async ship(sets) {
      for (const { id, ...set } of sets) await insert(null, id, set);
    },
  };
}
