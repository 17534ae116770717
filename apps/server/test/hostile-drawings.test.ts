import type { ErrorAnswer } from '@mint-lamp/core/wire/errors';
import type { FastifyInstance } from 'fastify';
import type { DataSource } from 'typeorm';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { isLong } from '../../../packages/core/test/runs.ts';
import { ensureLocalPerson } from '../src/access/local-person.ts';
import { buildApp } from '../src/app.ts';
import { openDatabase } from '../src/database/data-source.ts';
import { hostileDrawing } from './hostile-drawings.ts';
import { ownDatabase } from './own-database.ts';

const COUNT = isLong ? 2000 : 16;

let database: DataSource;
let app: FastifyInstance;
let address: string;
const logged: string[] = [];

beforeAll(async () => {
  database = await openDatabase(ownDatabase());
  await ensureLocalPerson(database);
  app = await buildApp({
    database,
    logger: { level: 'error', stream: { write: (line) => void logged.push(line) } },
    // Little, so that those which are given up come to an end.
    jobLimits: { drawings: { patience: 700, memory: 600 * 1024 * 1024 } },
  });
  address = await app.listen({ host: '127.0.0.1', port: 0 });
});
afterAll(async () => {
  await app.close();
  await database.destroy();
});

test(`each of ${COUNT} drawings made to cost much is painted, or refused with a reason; others are answered meanwhile`, async () => {
  const seen = new Map<string, number>();
  for (let seed = 0; seed < COUNT; seed++) {
    const made = await app.inject({ method: 'POST', url: '/api/projects', payload: { name: 'Drawings' } });
    const { parts, text } = hostileDrawing(seed);
    const [answer, health] = await Promise.all([
      fetch(`${address}/api/projects/${made.json().id}/pictures`, {
        method: 'POST',
        body: text,
        headers: { 'content-type': 'application/octet-stream' },
      }),
      fetch(`${address}/api/health`),
    ]);
    expect(health.status).toBe(200);
    const { error } = (await answer.json()) as Partial<ErrorAnswer>;
    const said = `${answer.status} ${error?.code ?? ''}`;
    seen.set(said, (seen.get(said) ?? 0) + 1);
    expect(said, `${seed}: ${parts.join(', ')}`).toMatch(
      /^(201 |422 (TOO_COSTLY|NOT_A_PICTURE)|413 TOO_LARGE)$/,
    );
    if (error) expect(error.message).toMatch(/\w{3}.*\.$/);
  }
  expect(logged).toEqual([]);
  // They really went both ways.
  for (const said of ['201 ', '422 TOO_COSTLY', '422 NOT_A_PICTURE'])
    expect(seen.get(said)).toBeGreaterThan(1);
}, 3_600_000);
