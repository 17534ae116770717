import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { documentSchema } from '@mint-lamp/core/document/document-schema';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import { SCHEMA_VERSION_HEADER } from '@mint-lamp/core/wire/schema-version';
import type { FastifyInstance } from 'fastify';
import { DataSource } from 'typeorm';
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest';
import { buildApp } from '../src/app.ts';
import { openDatabase } from '../src/database/data-source.ts';
import { FORM } from './form.ts';
import { ownDatabase } from './own-database.ts';

const SKERRY = '5ce77000-0000-4000-8000-000000000001';
const fixture = (path: string) => readFileSync(new URL(path, import.meta.url), 'utf8');

let database: DataSource;
let app: FastifyInstance;

// A database as it was stored by version 1, in a database of its own.
beforeAll(async () => {
  const name = `stored_${process.pid}`;
  const admin = await openAt(ownDatabase());
  await admin.query(`CREATE DATABASE ${name}`);
  await admin.destroy();
  const url = ownDatabase().replace(/[^/]+$/, name);
  const old = await openAt(url);
  await old.query(fixture('fixtures/database-1.sql'));
  await old.destroy();
  database = await openDatabase(url);
  app = await buildApp({ database });
});
afterAll(async () => {
  await app.close();
  await database.destroy();
});

const openAt = (url: string) => new DataSource({ type: 'postgres', url }).initialize();
const get = (url: string, headers: Record<string, string> = FORM) =>
  app.inject({ method: 'GET', url, headers });
const send = (command: object, headers: Record<string, string> = FORM) =>
  app.inject({
    method: 'POST',
    url: `/api/projects/${SKERRY}/commands`,
    headers,
    payload: { revision: 0, commands: [{ id: randomUUID(), command }] },
  });

describe('a database of version 1', () => {
  it('opens with its projects in today’s schema, and lists them with their colours', async () => {
    const { revision, document } = (await get(`/api/projects/${SKERRY}`)).json();
    expect(revision).toBe(9);
    expect(documentSchema.validate(document).error).toBeUndefined();
    expect(document.roles).toContainEqual(
      expect.objectContaining({ id: 'notice-delay-ground', group: ['notice', 'late'], name: 'ground' }),
    );
    const { projects } = (await get('/api/projects')).json();
    expect(projects.map((one: { name: string }) => one.name).sort()).toEqual([
      'Mint Lamp interface',
      'Skerry Line',
    ]);
    for (const { preview } of projects) expect(preview.families.length).toBeGreaterThan(3);
  });

  it('takes new commands after the old ones, and tells both in today’s schema', async () => {
    const command = { type: 'renameRole', role: 'ticket-ground', group: ['ticket'], name: 'paper' };
    const answer = (await send(command)).json();
    expect(answer).toMatchObject({ revision: 10, outcomes: [{ status: 'applied' }] });
    expect(answer.news.entries[2].command.role).toMatchObject({ group: ['ticket'], name: 'ground' });
    expect(answer.news.entries[9].command).toEqual(command);
    const { document } = (await get(`/api/projects/${SKERRY}`)).json();
    expect(document.roles.find((role: { id: string }) => role.id === 'ticket-ground').name).toBe('paper');
    await app.projects.settled();
    const stored = await database.query(
      'SELECT revision, version FROM snapshot WHERE project_id = $1 ORDER BY 1',
      [SKERRY],
    );
    expect(stored).toEqual([
      { revision: 9, version: 1 },
      { revision: 10, version: DOCUMENT_VERSION },
    ]);
  });
});

describe('a page of another form', () => {
  const newer = { [SCHEMA_VERSION_HEADER]: String(DOCUMENT_VERSION + 1) };
  test.each([
    ['older', {}, 'PAGE_OUTDATED', /load this page anew/],
    ['newer', newer, 'SERVER_OUTDATED', /older than the page/],
  ])(
    'that is %s is told so as a server that is away, and nothing is taken from it',
    async (_, headers, code, words) => {
      const before = (await get(`/api/projects/${SKERRY}`)).json().revision;
      for (const answer of [
        await send({ type: 'renameProject', name: 'Other' }, headers),
        await get(`/api/projects/${SKERRY}`, headers),
        await get(`/api/projects/${SKERRY}/news?after=0`, headers),
        await get(`/api/projects/${SKERRY}/entries?after=0`, headers),
      ]) {
        expect(answer.statusCode).toBe(503);
        expect(answer.json().error).toMatchObject({ code, message: expect.stringMatching(words) });
        expect(answer.headers[SCHEMA_VERSION_HEADER]).toBe(String(DOCUMENT_VERSION));
      }
      expect((await get(`/api/projects/${SKERRY}`)).json().revision).toBe(before);
    },
  );
});

describe('a project of a later form', () => {
  it('is given as it is stored, and changes to it are refused with the reason', async () => {
    const later = { ...SKERRY_LINE, version: DOCUMENT_VERSION + 1, moods: ['calm'] };
    const { id } = await app.projects.create('00000000-0000-4000-8000-000000000001', later as never);
    expect((await get(`/api/projects/${id}`)).json().document).toEqual(later);
    const answer = await app.inject({
      method: 'POST',
      url: `/api/projects/${id}/commands`,
      headers: FORM,
      payload: {
        revision: 0,
        commands: [{ id: randomUUID(), command: { type: 'renameProject', name: 'x' } }],
      },
    });
    expect(answer.statusCode).toBe(409);
    expect(answer.json().error).toMatchObject({
      code: 'FORM_AHEAD',
      message: expect.stringMatching(/only be read/),
    });
    expect((await get('/api/projects')).json().projects).toHaveLength(3);
  });
});
