import { randomUUID } from 'node:crypto';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { readoutOf } from '@mint-lamp/core/system/readout/readout';
import { reportOf } from '@mint-lamp/core/system/readout/report';
import { resolveSystem } from '@mint-lamp/core/system/resolve/resolve';
import type { FastifyInstance } from 'fastify';
import type { DataSource } from 'typeorm';
import { afterAll, beforeAll, expect, inject, it } from 'vitest';
import { buildApp } from '../src/app.ts';
import { openDatabase } from '../src/database/data-source.ts';
import { ensureLocalOwner, LOCAL_OWNER } from '../src/owner/owner.ts';
import { FORM } from './form.ts';

let database: DataSource;
let app: FastifyInstance;

beforeAll(async () => {
  database = await openDatabase(inject('databaseUrl'));
  await ensureLocalOwner(database);
  app = await buildApp({ database });
});
afterAll(async () => {
  await app.close();
  await database.destroy();
});

it('tells every pair in every theme as JSON, at the newest revision, to whoever reads it without a form', async () => {
  const { id } = await app.projects.create(LOCAL_OWNER, SKERRY_LINE);
  const read = async () => (await app.inject({ url: `/api/projects/${id}/report` })).json();
  const first = await read();
  expect(first).toEqual(reportOf(readoutOf(resolveSystem(SKERRY_LINE)), 0, first.at));
  expect(Math.abs(Date.now() - Date.parse(first.at))).toBeLessThan(60_000);
  await app.inject({
    method: 'POST',
    url: `/api/projects/${id}/commands`,
    headers: FORM,
    payload: {
      revision: 0,
      commands: [
        {
          id: randomUUID(),
          command: {
            type: 'setLink',
            role: 'notice-delay-text',
            theme: 'day',
            link: { to: 'shade', family: 'lantern', shade: '700' },
          },
        },
      ],
    },
  });
  expect(await read()).toMatchObject({ revision: 1, passing: 34, of: 36 });
  const nobody = await app.inject({ url: `/api/projects/${randomUUID()}/report` });
  expect([nobody.statusCode, nobody.json().error.code]).toEqual([404, 'NOT_FOUND']);
});
