import { randomUUID } from 'node:crypto';
import { cellsNear, cellsOf } from '@mint-lamp/core/shelf/cells';
import type { NewSet } from '@mint-lamp/core/shelf/shelf-set';
import type { SignedIn } from '@mint-lamp/core/wire/people';
import type { ShelfOrder, ShelfPage, ShelfSet } from '@mint-lamp/core/wire/shelf';
import type { DataSource } from 'typeorm';
import { changedBy, rowsOf } from './people/queries.ts';
import { ShelfFavour, ShelfSetEntry, type ShelfSetRow } from './shelf-entities.ts';

export interface ShelfQuery {
  readonly words: string;
  /** A colour; sets with something near it. Null for any. */
  readonly near: string | null;
  readonly order: ShelfOrder;
  /** Only those of whoever asks, or that they favour. */
  readonly only: 'all' | 'own' | 'favourites';
  /** Only those that were published to this team; null for all that whoever asks may see. */
  readonly team: string | null;
  /** As the page before said; null for the first page. */
  readonly after: string | null;
}

export interface ShelfStore {
  list(person: SignedIn, query: ShelfQuery): Promise<ShelfPage>;
  /** One, whoever asks. */
  find(id: string): Promise<NewSet | null>;
  /** Whether a person sees one. */
  sees(personId: string, id: string): Promise<boolean>;
  /** To a team, or to all of the server where that is null. */
  publish(ownerId: string, set: NewSet, team: string | null): Promise<ShelfSet>;
  /** Whoever published it may, an owner of its team, and who looks after the server; false for anybody else. */
  takeBack(person: SignedIn, id: string): Promise<boolean>;
  favour(ownerId: string, id: string, on: boolean): Promise<boolean>;
  /** Counts that a set was adopted; false where whoever did may not see it. */
  adopted(ownerId: string, id: string): Promise<boolean>;
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
  readonly by: string | null;
  readonly teamName: string | null;
  readonly ownsTeam: boolean;
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

/** What the list shows of where a set is from. */
interface From {
  readonly by: string | null;
  readonly team: string | null;
  readonly ownsTeam: boolean;
}

const toSet = (ownerId: string, row: ShelfSetRow, favourite: boolean, from: From): ShelfSet => ({
  id: row.id,
  name: row.name,
  words: row.words,
  content: row.content,
  colors: row.colors,
  ours: row.ships,
  own: row.ownerId === ownerId,
  by: row.ships ? null : from.by,
  team: from.team,
  withdrawable: !row.ships && (row.ownerId === ownerId || from.ownsTeam),
  adopted: row.adopted,
  favoured: row.favoured,
  favourite,
  at: row.at.toISOString(),
});

/** Whether whoever asks may see a set: of the server, or of one of their teams. */
const SEEN =
  '(s.team_id IS NULL OR s.team_id IN (SELECT m.team_id FROM membership m WHERE m.person_id = :ownerId))';
/** Whether whoever asks owns the team of a set. */
const OWNS_TEAM = `EXISTS (SELECT 1 FROM membership m
  WHERE m.team_id = s.team_id AND m.person_id = :ownerId AND m.access = 'owner')`;
const NAME_OF = (column: string) => `(SELECT o.name FROM owner o WHERE o.id = s.${column})`;

/** Whether whoever asks favours a set. */
const FAVOURED = 'EXISTS (SELECT 1 FROM shelf_favour f WHERE f.owner_id = :ownerId AND f.set_id = s.id)';

/** The shelf in PostgreSQL. */
export function shelfStore(source: DataSource): ShelfStore {
  const sets = source.getRepository(ShelfSetEntry);
  const rowOf = (
    { ownerId, teamId, ships }: Pick<ShelfSetRow, 'ownerId' | 'teamId' | 'ships'>,
    id: string,
    { name, words, content, colors }: NewSet,
  ) =>
    sets.create({
      id,
      ownerId,
      teamId,
      ships,
      name,
      words,
      content,
      colors: [...colors],
      cells: cellsOf(colors),
    });
  const seen = (ownerId: string, id: string) =>
    sets
      .createQueryBuilder('s')
      .where('s.id = :id', { id })
      .andWhere(SEEN)
      .setParameters({ ownerId })
      .getExists();

  return {
    async list({ id: ownerId, administrator }, { words, near, order, only, team, after }) {
      const column = COLUMNS[order];
      const query = sets
        .createQueryBuilder('s')
        .addSelect(`CAST(${PLACES[order].of} AS text)`, 'place')
        .addSelect(FAVOURED, 'favourite')
        .addSelect(NAME_OF('owner_id'), 'by')
        .addSelect(NAME_OF('team_id'), 'teamName')
        .addSelect(OWNS_TEAM, 'ownsTeam')
        .where(SEEN)
        .orderBy(`s.${column}`, 'DESC')
        .addOrderBy('s.id', 'DESC')
        .limit(PAGE + 1)
        .setParameters({ ownerId });
      const search = tsQuery(words);
      if (search) query.andWhere('s.search @@ CAST(:search AS tsquery)', { search });
      if (near) query.andWhere('s.cells && CAST(:cells AS integer[])', { cells: cellsNear(near) });
      if (only === 'own') query.andWhere('s.owner_id = :ownerId');
      if (team) query.andWhere('s.team_id = :team', { team });
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
        sets: shown.map((row, i) => {
          const { favourite, by, teamName, ownsTeam } = raw[i]!;
          const looksAfter = administrator && row.teamId === null;
          return toSet(ownerId, row, favourite, { by, team: teamName, ownsTeam: ownsTeam || looksAfter });
        }),
        next: entities.length > PAGE ? `${raw[last]!.place}_${shown[last]!.id}` : null,
      };
    },

    async find(id) {
      const row = await sets.findOneBy({ id });
      if (!row) return null;
      const { name, words, content, colors } = row;
      return { name, words, content, colors };
    },

    sees: seen,

    async publish(ownerId, set, teamId) {
      const row = rowOf({ ownerId, teamId, ships: false }, randomUUID(), set);
      // What the database fills in comes back into the row.
      await sets.insert(row);
      const [from] = await rowsOf<From>(
        source,
        `SELECT (SELECT name FROM owner WHERE id = $1) AS by, (SELECT name FROM owner WHERE id = $2) AS team,
           EXISTS (SELECT 1 FROM membership WHERE team_id = $2 AND person_id = $1 AND access = 'owner') AS "ownsTeam"`,
        [ownerId, teamId],
      );
      return toSet(ownerId, row, false, from!);
    },

    async takeBack({ id: personId, administrator }, id) {
      const count = await changedBy(
        source,
        `DELETE FROM shelf_set s WHERE s.id = $1 AND NOT s.ships AND (
           s.owner_id = $2 OR (s.team_id IS NULL AND $3) OR EXISTS (
             SELECT 1 FROM membership m
             WHERE m.team_id = s.team_id AND m.person_id = $2 AND m.access = 'owner'))`,
        [id, personId, administrator],
      );
      return count > 0;
    },

    async favour(ownerId, id, on) {
      if (!(await seen(ownerId, id))) return false;
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

    async adopted(ownerId, id) {
      if (!(await seen(ownerId, id))) return false;
      const { affected } = await sets.increment({ id }, 'adopted', 1);
      return (affected ?? 0) > 0;
    },

    async ship(shipped) {
      // One after the other, since the newest come first in lists.
      for (const { id, ...set } of shipped)
        await sets
          .createQueryBuilder()
          .insert()
          .values(rowOf({ ownerId: null, teamId: null, ships: true }, id, set))
          .orIgnore()
          .execute();
    },
  };
}
