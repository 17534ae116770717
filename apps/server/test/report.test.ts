import { randomUUID } from 'node:crypto';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { emptyDocument } from '@mint-lamp/core/document/document';
import { readoutOf } from '@mint-lamp/core/judged/readout/readout';
import { reportOf } from '@mint-lamp/core/judged/readout/report';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import type { FastifyInstance } from 'fastify';
import sharp from 'sharp';
import type { DataSource } from 'typeorm';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { paintedDocument } from '../../../packages/core/bench/painted-document.ts';
import { ensureLocalPerson, LOCAL_PERSON } from '../src/access/local-person.ts';
import { buildApp } from '../src/app.ts';
import { openDatabase } from '../src/database/data-source.ts';
import { documentInParts } from '../src/reports/document-in-parts.ts';
import { FORM } from './form.ts';
import { ownDatabase } from './own-database.ts';

let database: DataSource;
let app: FastifyInstance;

beforeAll(async () => {
  database = await openDatabase(ownDatabase());
  await ensureLocalPerson(database);
  app = await buildApp({ database });
});
afterAll(async () => {
  await app.close();
  await database.destroy();
});

it('tells every pair in every theme as JSON, at the newest revision, to whoever reads it without a form', async () => {
  const { id } = await app.projects.create(LOCAL_PERSON.id, SKERRY_LINE);
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

it('measures texts over pictures too, by the pixels that it keeps', async () => {
  const { id } = await app.projects.create(LOCAL_PERSON.id, SKERRY_LINE);
  const grey = (v: number, width: number) => Buffer.alloc(width * 20 * 3, v);
  const half = async (v: number) =>
    sharp(grey(v, 30), { raw: { width: 30, height: 20, channels: 3 } })
      .png()
      .toBuffer();
  const png = await sharp({ create: { width: 60, height: 20, channels: 3, background: '#202020' } })
    .composite([{ input: await half(240), left: 30, top: 0 }])
    .png()
    .toBuffer();
  const { content, width, height } = (
    await app.inject({
      method: 'POST',
      url: `/api/projects/${id}/pictures`,
      headers: { 'content-type': 'application/octet-stream' },
      payload: png,
    })
  ).json();
  const picture = {
    id: 'quay',
    name: 'Quay',
    content,
    width,
    height,
    markers: [],
    moved: [],
    textOver: null,
  };
  const pair = {
    ...SKERRY_LINE.pairs[0],
    id: 'quay-text',
    foreground: 'hero-text',
    backdrop: { kind: 'picture', picture: 'quay', text: { x: 15, y: 0, width: 20, height: 20 } },
  };
  const commands = [
    { type: 'addPicture', picture },
    { type: 'addPair', pair },
  ].map((command) => ({ id: randomUUID(), command }));
  await app.inject({
    method: 'POST',
    url: `/api/projects/${id}/commands`,
    headers: FORM,
    payload: { revision: 0, commands },
  });
  const report = (await app.inject({ url: `/api/projects/${id}/report` })).json();
  expect(report.themes[0].pairs.find((one: { pair: string }) => one.pair === 'quay-text')).toMatchObject({
    ground: 'Quay',
    groundColor: '#f0f0f0',
    ratio: '1.13',
    verdict: 'fails',
    failingShare: 0.25,
  });
});

it('is written from the document in parts, which come to the same JSON', async () => {
  for (const document of [SKERRY_LINE, emptyDocument('"', []), paintedDocument(0.2)]) {
    const parts: string[] = [];
    for await (const part of documentInParts(document)) parts.push(part);
    expect(parts.join('')).toBe(JSON.stringify(document));
    expect(Math.max(...parts.map(({ length }) => length))).toBeLessThan(700_000);
  }
});
