import { randomUUID } from 'node:crypto';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import type { Command, SimpleCommand } from '@mint-lamp/core/document/commands/command';
import type { CommitAnswer } from '@mint-lamp/core/wire/projects';
import type { DataSource } from 'typeorm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ensureLocalPerson, LOCAL_PERSON } from '../src/access/local-person.ts';
import { openDatabase } from '../src/database/data-source.ts';
import { type ProjectStore, projectStore } from '../src/database/project-store.ts';
import { ownDatabase } from './own-database.ts';

let database: DataSource;
/** Two server processes on one database, each with what it remembers. */
let one: ProjectStore;
let other: ProjectStore;

beforeAll(async () => {
  database = await openDatabase(ownDatabase());
  await ensureLocalPerson(database);
  one = projectStore(database);
  other = projectStore(database);
});
afterAll(async () => {
  await Promise.all([one.settled(), other.settled()]);
  await database.destroy();
});

const setBase = (color: string, family = 'buoy'): Command => ({ type: 'setBase', family, color });
const sent = (...commands: Command[]) => commands.map((command) => ({ id: randomUUID(), command }));
const LOCAL_SENDER = { id: LOCAL_PERSON.id, access: 'owner' } as const;
const make = async () => (await one.create(LOCAL_PERSON.id, SKERRY_LINE)).id;
const commit = async (store: ProjectStore, id: string, known: number, ...commands: Command[]) =>
  (await store.commit(LOCAL_SENDER, id, known, sent(...commands))) as CommitAnswer;
const baseIn = async (store: ProjectStore, id: string) =>
  (await store.find(id))!.document.families.find((family) => family.id === 'buoy')!.base;
const hex = (n: number) => `#${(0x100000 + n).toString(16)}`;

describe('two processes on one database', () => {
  it('each know what the other has committed, and apply on top of it', async () => {
    const id = await make();
    await commit(one, id, 0, setBase('#111111'));
    expect(await baseIn(other, id)).toBe('#111111');
    const answer = await commit(other, id, 0, { type: 'renameFamily', family: 'buoy', name: 'Float' });
    expect(answer.revision).toBe(2);
    expect(answer.news).toMatchObject({ kind: 'entries', entries: [{ revision: 1 }, { revision: 2 }] });
    const refused = await commit(one, id, 2, { type: 'renameFamily', family: 'kelp', name: 'Float' });
    expect(refused.outcomes[0]).toMatchObject({ status: 'refused', reason: /named "Float" already/ });
  });

  it('put many senders in one row, without a gap and without a loss', async () => {
    const id = await make();
    await Promise.all(
      Array.from({ length: 60 }, (_, i) =>
        commit(i % 2 ? one : other, id, 0, setBase(hex(i)), setBase(hex(i))),
      ),
    );
    const news = (await one.newsSince(id, 0))!;
    if (news.news.kind !== 'entries') throw new Error('Entries were expected.');
    expect(news.news.entries.map(({ revision }) => revision)).toEqual(
      Array.from({ length: 120 }, (_, i) => i + 1),
    );
    const { command } = news.news.entries[119]!;
    expect(await baseIn(other, id)).toBe((command as { color: string }).color);
    expect(await baseIn(one, id)).toBe(await baseIn(other, id));
  });
});

describe('the log', () => {
  it('is told as commands to who is a little behind, and as the document to who is far', async () => {
    const id = await make();
    for (let i = 0; i < 6; i++)
      await commit(one, id, i * 100, ...Array.from({ length: 100 }, (_, k) => setBase(hex(i * 100 + k))));
    const near = (await one.newsSince(id, 590))!;
    expect(near.news).toMatchObject({ kind: 'entries', entries: { length: 10 } });
    for (const store of [one, projectStore(database)]) {
      const far = (await store.newsSince(id, 0))!;
      expect(far).toMatchObject({ revision: 600, news: { kind: 'document' } });
      expect(JSON.stringify(far).length).toBeLessThan(JSON.stringify(await one.find(id)).length + 100);
    }
    const behind = await commit(one, id, 0, setBase('#abcdef'));
    expect(behind.news).toMatchObject({
      kind: 'document',
      document: { families: { 1: { base: '#abcdef' } } },
    });
  });

  it('is read from a snapshot now and then, and gives the same document', async () => {
    const id = await make();
    for (let i = 0; i < 3; i++)
      await commit(one, id, i * 200, ...Array.from({ length: 200 }, (_, k) => setBase(hex(i * 200 + k))));
    await one.settled();
    const snapshots = await database.query(
      'SELECT revision FROM snapshot WHERE project_id = $1 ORDER BY revision',
      [id],
    );
    expect(snapshots).toEqual([{ revision: 0 }, { revision: 600 }]);
    await commit(one, id, 600, setBase('#fedcba'));
    expect(await projectStore(database).find(id)).toEqual(await one.find(id));
    // The whole log, from the beginning, comes to the same too.
    await database.query('DELETE FROM snapshot WHERE project_id = $1 AND revision > 0', [id]);
    expect(await projectStore(database).find(id)).toEqual(await one.find(id));
  });

  it('is read from a snapshot as well when few entries hold many commands', async () => {
    const id = await make();
    const commands = Array.from({ length: 300 }, (_, k) => setBase(hex(k))) as SimpleCommand[];
    for (let i = 0; i < 3; i++) await commit(one, id, i, { type: 'batch', label: 'many', commands });
    await one.settled();
    const snapshots = await database.query(
      'SELECT revision FROM snapshot WHERE project_id = $1 ORDER BY revision',
      [id],
    );
    expect(snapshots).toEqual([{ revision: 0 }, { revision: 2 }]);
    expect(await projectStore(database).find(id)).toEqual(await one.find(id));
  });

  it('counts, and not what a process remembers, when the database was set back', async () => {
    const id = await make();
    await commit(one, id, 0, setBase('#111111'), setBase('#222222'));
    await database.query('DELETE FROM log_entry WHERE project_id = $1 AND revision = 2', [id]);
    await database.query(
      `UPDATE project SET revision = 1,
         head = (SELECT command_id FROM log_entry WHERE project_id = $1 AND revision = 1) WHERE id = $1`,
      [id],
    );
    expect(await baseIn(one, id)).toBe('#111111');
    const ahead = (await one.commit(LOCAL_SENDER, id, 2, sent(setBase('#333333'))))!;
    expect(ahead).toMatchObject({ revision: 1, outcomes: [] });
    await commit(other, id, 1, setBase('#444444'));
    expect(await baseIn(one, id)).toBe('#444444');
  });
});
