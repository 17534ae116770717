import { randomUUID } from 'node:crypto';
import { cellsNear, cellsOf } from '@mint-lamp/core/shelf/cells';
import type { NewSet } from '@mint-lamp/core/shelf/shelf-set';
import type { ShelfOrder, ShelfPage, ShelfSet } from '@mint-lamp/core/wire/shelf';
import type { DataSource } from 'typeorm';
import { ShelfFavour, ShelfSetEntry, type ShelfSetRow } from './shelf-entities.ts';

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

/** What a list shows beside a set itself. */
interface Beside {
  /** Of the column that the list is in order of, exactly. */
  readonly place: string;
  readonly favourite: boolean;
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
      of: 'CAST(extract(epoch FROM s.at) * 1000000 AS bigint)',
      at: (value) => `CAST('epoch' AS timestamptz) + CAST(${value} AS bigint) * interval '1 microsecond'`,
    },
    adopted: {
      of: 's.adopted',
      at: (value) => `CAST(least(CAST(${value} AS bigint), 2147483647) AS integer)`,
    },
    favoured: {
      of: 's.favoured',
      at: (value) => `CAST(least(CAST(${value} AS bigint), 2147483647) AS integer)`,
    },
  };

const toSet = (ownerId: string, row: ShelfSetRow, favourite: boolean): ShelfSet => ({
  id: row.id,
  name: row.name,
  words: row.words,
  content: row.content,
  colors: row.colors,
  ours: row.ownerId === null,
  own: row.ownerId === ownerId,
  adopted: row.adopted,
  favoured: row.favoured,
  favourite,
  at: row.at.toISOString(),
});

/** Whether whoever asks favours a set. */
const FAVOURED = 'EXISTS (SELECT 1 FROM shelf_favour f WHERE f.owner_id = :ownerId AND f.set_id = s.id)';

/** The shelf in PostgreSQL. */
export function shelfStore(source: DataSource): ShelfStore {
  const sets = source.getRepository(ShelfSetEntry);
  const rowOf = (ownerId: string | null, id: string, { name, words, content, colors }: NewSet) =>
    sets.create({ id, ownerId, name, words, content, colors: [...colors], cells: cellsOf(colors) });

  return {
    async list(ownerId, { words, near, order, only, after }) {
      const column = COLUMNS[order];
      const query = sets
        .createQueryBuilder('s')
        .addSelect(`CAST(${PLACES[order].of} AS text)`, 'place')
        .addSelect(FAVOURED, 'favourite')
        .orderBy(`s.${column}`, 'DESC')
        .addOrderBy('s.id', 'DESC')
        .limit(PAGE + 1)
        .setParameters({ ownerId });
      const search = tsQuery(words);
      if (search) query.andWhere('s.search @@ CAST(:search AS tsquery)', { search });
      if (near) query.andWhere('s.cells && CAST(:cells AS integer[])', { cells: cellsNear(near) });
      if (only === 'own') query.andWhere('s.owner_id = :ownerId');
      if (only === 'favourites') query.andWhere(FAVOURED);
      const cursor = readCursor(after);
      if (cursor)
        query.andWhere(`(s.${column}, s.id) < (${PLACES[order].at(':place')}, CAST(:last AS uuid))`, {
          place: cursor[0],
          last: cursor[1],
        });
      const { entities, raw } = await query.getRawAndEntities<Beside>();
      const shown = entities.slice(0, PAGE);
      const last = shown.length - 1;
      return {
        sets: shown.map((row, i) => toSet(ownerId, row, raw[i]!.favourite)),
        next: entities.length > PAGE ? `${raw[last]!.place}_${shown[last]!.id}` : null,
      };
    },

    async publish(ownerId, set) {
      const row = rowOf(ownerId, randomUUID(), set);
      // What the database fills in comes back into the row.
      await sets.insert(row);
      return toSet(ownerId, row, false);
    },

    async takeBack(ownerId, id) {
      const { affected } = await sets.delete({ id, ownerId });
      return (affected ?? 0) > 0;
    },

    async favour(ownerId, id, on) {
      return source.transaction(async (manager) => {
        const all = manager.getRepository(ShelfSetEntry);
        const favours = manager.getRepository(ShelfFavour);
        const row = await all.findOne({ where: { id }, lock: { mode: 'pessimistic_write' } });
        if (!row) return false;
        const one = { ownerId, setId: id };
        if (on) await favours.createQueryBuilder().insert().values(one).orIgnore().execute();
        else await favours.delete(one);
        await all.update({ id }, { favoured: await favours.countBy({ setId: id }) });
        return true;
      });
    },

    async adopted(id) {
      const { affected } = await sets.increment({ id }, 'adopted', 1);
      return (affected ?? 0) > 0;
    },

    async ship(shipped) {
      // One after the other, since the newest come first in lists.
      for (const { id, ...set } of shipped)
        await sets
          .createQueryBuilder()
          .insert()
          .values(rowOf(null, id, set))
          .orIgnore()
          .execute();
    },
  };
}
