import { randomUUID } from 'node:crypto';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import type { FastifyInstance } from 'fastify';
import type { DataSource } from 'typeorm';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { ensureLocalPerson, LOCAL_PERSON } from '../src/access/local-person.ts';
import { buildApp } from '../src/app.ts';
import { openDatabase } from '../src/database/data-source.ts';
import { FORM } from './form.ts';
import { ownDatabase } from './own-database.ts';

const NAME = `cut_${process.pid}`;
let outside: DataSource;
let database: DataSource;
let app: FastifyInstance;

beforeAll(async () => {
  outside = await openDatabase(ownDatabase());
  await outside.query(`CREATE DATABASE ${NAME}`);
  database = await openDatabase(ownDatabase().replace(/[^/]+$/, NAME));
  await ensureLocalPerson(database);
  app = await buildApp({ database });
});
afterAll(async () => {
  await app.close();
  await database.destroy();
  await outside.destroy();
});

test('connections that are cut at any moment are answered as a database that is away, and lose nothing', async () => {
  const { id } = await app.projects.create(LOCAL_PERSON.id, SKERRY_LINE);
  const acknowledged: string[] = [];
  const statuses = new Map<number, number>();
  let stopped = false;
  const edits = async () => {
    for (let i = 0; !stopped; i++) {
      const command = randomUUID();
      const answer = await app.inject({
        method: 'POST',
        url: `/api/projects/${id}/commands`,
        headers: FORM,
        payload: {
          revision: 0,
          commands: [{ id: command, command: { type: 'renameProject', name: `Name ${i}` } }],
        },
      });
      statuses.set(answer.statusCode, (statuses.get(answer.statusCode) ?? 0) + 1);
      if (answer.statusCode === 200) acknowledged.push(command);
      else expect(answer.json().error.code).toBe('DATABASE_AWAY');
    }
  };
  const readers = async () => {
    while (!stopped) {
      const { statusCode } = await app.inject({ url: '/api/projects', headers: FORM });
      expect([200, 503]).toContain(statusCode);
    }
  };
  const work = [edits(), edits(), edits(), edits(), readers()];
  for (let i = 0; i < 40; i++) {
    await new Promise((resolve) => setTimeout(resolve, 5 + (i % 7) * 6));
    await outside.query('SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = $1', [NAME]);
  }
  stopped = true;
  await Promise.all(work);
  expect([...statuses.keys()].sort()).toEqual([200, 503]);
  // By connections of its own: of those that were cut last, the pool may not have heard yet.
  const after = await openDatabase(ownDatabase().replace(/[^/]+$/, NAME));
  const rows = await after.query('SELECT command_id FROM log_entry WHERE project_id = $1', [id]);
  await after.destroy();
  const logged = new Set(rows.map((row: { command_id: string }) => row.command_id));
  expect(acknowledged.filter((command) => !logged.has(command))).toEqual([]);
});
