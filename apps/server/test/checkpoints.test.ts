import { randomUUID } from 'node:crypto';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { commandsBetween } from '@mint-lamp/core/edits/compare/commands-between';
import { type Checkpoint, MOST_CHECKPOINTS } from '@mint-lamp/core/wire/checkpoints';
import type { FastifyInstance } from 'fastify';
import type { DataSource } from 'typeorm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ensureLocalPerson, LOCAL_PERSON } from '../src/access/local-person.ts';
import { buildApp } from '../src/app.ts';
import { openDatabase } from '../src/database/data-source.ts';
import { FORM } from './form.ts';
import { ownDatabase } from './own-database.ts';

let database: DataSource;
let app: FastifyInstance;
let id: string;

beforeAll(async () => {
  database = await openDatabase(ownDatabase());
  await ensureLocalPerson(database);
  app = await buildApp({ database });
  ({ id } = await app.projects.create(LOCAL_PERSON.id, SKERRY_LINE));
});
afterAll(async () => {
  await app.close();
  await database.destroy();
});

const ask = async (method: 'GET' | 'POST' | 'PUT' | 'DELETE', path: string, payload?: object) => {
  const answer = await app.inject({
    method,
    url: `/api/projects/${path}`,
    headers: FORM,
    ...(payload ? { payload } : {}),
  });
  return { status: answer.statusCode, body: answer.body ? answer.json() : null };
};
const edit = async (command: object) => {
  const { body } = await ask('POST', `${id}/commands`, {
    revision: 0,
    commands: [{ id: randomUUID(), command }],
  });
  expect(body.outcomes[0].status).toBe('applied');
  return body.revision as number;
};
const save = (name: string, revision: number) => ask('POST', `${id}/checkpoints`, { name, revision });
const list = async (): Promise<Checkpoint[]> => (await ask('GET', `${id}/checkpoints`)).body.checkpoints;

describe('checkpoints', () => {
  it('are the project as it was at a revision, also after a server has forgotten all and snapshots were written', async () => {
    const first = await save('As handed over', 0);
    expect([first.status, first.body.revision]).toEqual([201, 0]);
    const moved = await edit({ type: 'setBase', family: 'deepwater', color: '#6b2147' });
    const second = await save('Plum', moved);
    // Many small edits, so that snapshots come to lie between the checkpoints.
    const many = Array.from({ length: 260 }, (_, i) => ({
      type: 'setBase',
      family: 'buoy',
      color: `#${(0x400000 + i).toString(16)}`,
    }));
    for (let i = 0; i < 4; i++) await edit({ type: 'batch', label: 'many', commands: many });
    await app.projects.settled();
    const [{ count }] = await database.query(
      'SELECT count(*)::int AS count FROM snapshot WHERE project_id = $1',
      [id],
    );
    expect(count).toBeGreaterThan(1);
    const fresh = await buildApp({ database });
    const read = async (one: string) =>
      (await fresh.inject({ url: `/api/projects/${id}/checkpoints/${one}`, headers: FORM })).json();
    const then = await read(first.body.id);
    expect(then.document).toEqual(SKERRY_LINE);
    const plum = await read(second.body.id);
    expect(plum.document.families.find((one: { id: string }) => one.id === 'deepwater').base).toBe('#6b2147');
    expect(plum.document.families.find((one: { id: string }) => one.id === 'buoy')).toEqual(
      SKERRY_LINE.families.find((one) => one.id === 'buoy'),
    );
    // Going back is an edit like any other.
    const now = await app.projects.find(id);
    const commands = commandsBetween(now!.document, then.document);
    await edit({ type: 'batch', label: 'restore As handed over', commands });
    expect((await app.projects.find(id))!.document).toEqual(SKERRY_LINE);
    await fresh.close();
  });

  it('are listed, renamed and removed; a name is there once, letter case aside', async () => {
    const { body: made } = await save('Before the client', 1);
    expect((await list())[0]).toEqual(made);
    const taken = await save('before the CLIENT', 1);
    expect([taken.status, taken.body.error.code, taken.body.error.path]).toEqual([
      409,
      'NAME_TAKEN',
      'body.name',
    ]);
    const renamed = await ask('PUT', `${id}/checkpoints/${made.id}`, { name: 'After the client' });
    expect(renamed.body).toEqual({ ...made, name: 'After the client' });
    const clash = await ask('PUT', `${id}/checkpoints/${made.id}`, { name: 'Plum' });
    expect(clash.body.error.code).toBe('NAME_TAKEN');
    expect((await ask('DELETE', `${id}/checkpoints/${made.id}`)).status).toBe(204);
    expect((await ask('DELETE', `${id}/checkpoints/${made.id}`)).status).toBe(404);
    expect((await list()).map(({ name }) => name)).toEqual(['Plum', 'As handed over']);
  });

  it('are refused with what is wrong and where', async () => {
    for (const [answer, status, code, path] of [
      [await save('Too early', 9999), 409, 'REVISION_AHEAD', 'body.revision'],
      [await save('  ', 0), 400, 'BAD_REQUEST', 'body.name'],
      [await save('x'.repeat(81), 0), 400, 'BAD_REQUEST', 'body.name'],
      [await save('a\u0000b', 0), 400, 'BAD_REQUEST', 'body.name'],
      [await ask('GET', `${randomUUID()}/checkpoints`), 404, 'NOT_FOUND', 'params.id'],
      [await ask('GET', `${id}/checkpoints/${randomUUID()}`), 404, 'NOT_FOUND', 'params.checkpoint'],
      [
        await ask('PUT', `${id}/checkpoints/${randomUUID()}`, { name: 'x' }),
        404,
        'NOT_FOUND',
        'params.checkpoint',
      ],
    ] as const) {
      const { error } = answer.body;
      expect([answer.status, error.code, error.path]).toEqual([status, code, path]);
    }
  });

  it('belong to their project, go with it, and are not without end', async () => {
    const other = await app.projects.create(LOCAL_PERSON.id, SKERRY_LINE);
    const [mine] = await list();
    expect((await ask('GET', `${other.id}/checkpoints/${mine!.id}`)).status).toBe(404);
    expect((await ask('DELETE', `${other.id}/checkpoints/${mine!.id}`)).status).toBe(404);
    await database.query(
      `INSERT INTO checkpoint (id, project_id, revision, name)
       SELECT gen_random_uuid(), $1, 0, 'Point ' || n FROM generate_series(1, $2) AS n`,
      [other.id, MOST_CHECKPOINTS],
    );
    const full = await ask('POST', `${other.id}/checkpoints`, { name: 'One more', revision: 0 });
    expect(full.body.error.message).toMatch(/at most 500 checkpoints/);
    expect((await ask('DELETE', other.id)).status).toBe(204);
    expect(await app.checkpoints.list(other.id)).toBeNull();
    expect((await ask('DELETE', `removed/${other.id}`)).status).toBe(204);
    const [{ count }] = await database.query(
      'SELECT count(*)::int AS count FROM checkpoint WHERE project_id = $1',
      [other.id],
    );
    expect(count).toBe(0);
  });
});
