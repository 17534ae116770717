import { randomUUID } from 'node:crypto';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import type { FastifyInstance, InjectOptions } from 'fastify';
import type { DataSource } from 'typeorm';
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest';
import { ensureLocalPerson, LOCAL_PERSON } from '../src/access/local-person.ts';
import { buildApp } from '../src/app.ts';
import { openDatabase } from '../src/database/data-source.ts';
import { projectStore } from '../src/database/project-store.ts';
import { FORM } from './form.ts';
import { ownDatabase } from './own-database.ts';

let database: DataSource;
let app: FastifyInstance;
let id: string;

beforeAll(async () => {
  database = await openDatabase(ownDatabase());
  await ensureLocalPerson(database);
  app = await buildApp({ database });
  id = (await projectStore(database).create(LOCAL_PERSON.id, SKERRY_LINE)).id;
});
afterAll(async () => {
  await app.close();
  await database.destroy();
});

const setBase = (color: string, family = 'buoy') => ({
  id: randomUUID(),
  command: { type: 'setBase', family, color },
});
const commit = (commands: unknown, revision: unknown = 0, project = id) =>
  app.inject({
    method: 'POST',
    url: `/api/projects/${project}/commands`,
    headers: FORM,
    payload: { revision, commands } as object,
  });
const get = (url: string) => app.inject({ method: 'GET', url, headers: FORM });
const load = async (project = id) => (await get(`/api/projects/${project}`)).json();
const newProject = async () =>
  (await projectStore(database).create(LOCAL_PERSON.id, { ...SKERRY_LINE, name: 'Another line' })).id;

describe('projects', () => {
  it('are made, listed with their colours, and removed', async () => {
    const made = await app.inject({
      method: 'POST',
      url: '/api/projects',
      payload: { name: 'Harbour café' },
    });
    expect(made.statusCode).toBe(201);
    expect(made.json()).toMatchObject({
      revision: 0,
      document: { name: 'Harbour café', themes: [{ name: 'Light' }, { name: 'Dark' }] },
    });
    const list = (await app.inject('/api/projects')).json().projects;
    expect(list[0]).toMatchObject({ id: made.json().id, preview: { families: [] } });
    const demo = list.find((project: { id: string }) => project.id === id);
    expect(demo.preview.families[0].shades).toContain('#0b5f6b');
    expect(Object.keys(demo.preview.themes[1].paints).length).toBeGreaterThan(10);
    const gone = await app.inject({ method: 'DELETE', url: `/api/projects/${made.json().id}` });
    expect(gone.statusCode).toBe(204);
    expect((await get(`/api/projects/${made.json().id}`)).statusCode).toBe(404);
  });
});

describe('removed projects', () => {
  const ask = (method: 'GET' | 'POST' | 'DELETE', path: string) =>
    app.inject({ method, url: `/api/projects/${path}`, headers: FORM });
  const removed = async () =>
    (await ask('GET', 'removed')).json().projects.map((project: { id: string }) => project.id);

  it('are kept with all that they had, listed, had back, and let go for good', async () => {
    const project = await newProject();
    await commit([setBase('#123456')], 0, project);
    const before = (await ask('GET', project)).json();
    expect((await ask('DELETE', project)).statusCode).toBe(204);
    for (const path of [project, `${project}/news?after=0`, `${project}/report`, `${project}/events`])
      expect([path, (await ask('GET', path)).statusCode]).toEqual([path, 404]);
    expect((await commit([setBase('#222222')], 0, project)).statusCode).toBe(404);
    expect((await ask('GET', '')).json().projects.map(({ id }: { id: string }) => id)).not.toContain(project);
    expect(await removed()).toContain(project);
    expect((await ask('DELETE', project)).statusCode).toBe(404);
    expect((await ask('POST', `removed/${project}/back`)).statusCode).toBe(204);
    expect((await ask('GET', project)).json()).toEqual(before);
    expect(await removed()).not.toContain(project);
    expect((await ask('POST', `removed/${project}/back`)).statusCode).toBe(404);
    expect((await ask('DELETE', `removed/${project}`)).statusCode).toBe(404);
    await ask('DELETE', project);
    expect((await ask('DELETE', `removed/${project}`)).statusCode).toBe(204);
    expect(await removed()).not.toContain(project);
  });

  it('go by themselves after thirty days', async () => {
    const project = await newProject();
    await ask('DELETE', project);
    const aged = (days: number) =>
      database.query(`UPDATE project SET removed_at = now() - make_interval(days => $2) WHERE id = $1`, [
        project,
        days,
      ]);
    await aged(29);
    expect(await removed()).toContain(project);
    await aged(31);
    expect(await removed()).not.toContain(project);
    expect((await ask('POST', `removed/${project}/back`)).statusCode).toBe(404);
  });
});

describe('commands', () => {
  it('are applied in order, logged with revisions, and answered with what others did meanwhile', async () => {
    const project = await newProject();
    const [a, b, c] = [setBase('#111111'), setBase('#222222'), setBase('#333333', 'kelp')];
    expect((await commit([a, b], 0, project)).json()).toMatchObject({
      revision: 2,
      outcomes: [
        { id: a.id, status: 'applied', revision: 1 },
        { id: b.id, status: 'applied', revision: 2 },
      ],
    });
    const second = (await commit([c], 0, project)).json();
    expect(second.news.entries.map((entry: { id: string }) => entry.id)).toEqual([a.id, b.id, c.id]);
    const { revision, document } = await load(project);
    expect(revision).toBe(3);
    expect(document.families.map((f: { base: string }) => f.base).slice(1, 3)).toEqual([
      '#222222',
      '#333333',
    ]);
    const later = await get(`/api/projects/${project}/news?after=2`);
    expect(later.json()).toEqual({
      access: 'owner',
      revision: 3,
      news: { kind: 'entries', entries: [{ id: c.id, revision: 3, command: c.command }] },
    });
  });

  it('are kept in the list of projects: the name and the colours that it shows', async () => {
    const project = await newProject();
    await commit(
      [
        setBase('#123456', 'deepwater'),
        { id: randomUUID(), command: { type: 'renameProject', name: 'Renamed' } },
      ],
      0,
      project,
    );
    const listed = (await app.inject('/api/projects'))
      .json()
      .projects.find((one: { id: string }) => one.id === project);
    expect(listed).toMatchObject({ name: 'Renamed', revision: 2 });
    expect(listed.preview.families[0].shades).toContain('#123456');
  });

  it('sent twice are applied once', async () => {
    const project = await newProject();
    const command = setBase('#123456');
    await commit([command], 0, project);
    expect((await commit([command, command], 1, project)).json()).toMatchObject({
      revision: 1,
      outcomes: [
        { status: 'known', revision: 1 },
        { status: 'known', revision: 1 },
      ],
    });
  });

  it('that no longer fit are refused with the reason, and the others go through', async () => {
    const project = await newProject();
    const answer = (await commit([setBase('#111111', 'gone'), setBase('#222222')], 0, project)).json();
    expect(answer.outcomes).toMatchObject([
      { status: 'refused', reason: expect.stringContaining('no longer exists') },
      { status: 'applied' },
    ]);
    expect(answer.revision).toBe(1);
  });

  it('of many senders at once all arrive, each once, with gapless revisions', async () => {
    const project = await newProject();
    const sent = Array.from({ length: 40 }, (_, i) => setBase(`#0000${(i + 16).toString(16)}`));
    await Promise.all(sent.map((command) => commit([command, sent[0]!], 0, project)));
    const { entries } = (await get(`/api/projects/${project}/news?after=0`)).json().news;
    expect(entries.map((entry: { revision: number }) => entry.revision)).toEqual(sent.map((_, i) => i + 1));
    expect(new Set(entries.map((entry: { id: string }) => entry.id)).size).toBe(40);
  });

  it('of a sender that is ahead of the project are not applied', async () => {
    const project = await newProject();
    const answer = await commit([setBase('#111111')], 5, project);
    expect(answer.statusCode).toBe(409);
    expect(answer.json().error.code).toBe('REVISION_AHEAD');
    expect((await load(project)).revision).toBe(0);
  });
});

describe('changes', () => {
  it('are told to another server process on the same database', async () => {
    const project = await newProject();
    const other = await buildApp({ database });
    const address = await other.listen({ host: '127.0.0.1', port: 0 });
    const leave = new AbortController();
    const stream = await fetch(`${address}/api/projects/${project}/events`, { signal: leave.signal });
    const reader = stream.body!.pipeThrough(new TextDecoderStream()).getReader();
    expect((await reader.read()).value).toContain('{"revision":0}');
    // The second process listens on a connection of its own, which may take a moment to open; once it is open it tells
    // everybody to ask anew (a revision of null), for what may have happened before.
    let told = '';
    const reading = (async () => {
      while (!/"revision":\d/.test(told)) {
        const { value, done } = await reader.read();
        if (done) throw new Error(`The stream ended, having told: ${told}`);
        told += value;
      }
    })();
    const isTold = reading.then(() => true);
    do await commit([setBase('#445566')], 0, project);
    while (!(await Promise.race([isTold, new Promise((resolve) => setTimeout(resolve, 200))])));
    expect(told).toMatch(/"revision":\d+/);
    leave.abort();
    await other.close();
  });
});

describe('bad requests', () => {
  const deep = (n: number) => `${'['.repeat(n)}${']'.repeat(n)}`;
  const json = { 'content-type': 'application/json' };
  const path = () => `/api/projects/${id}/commands`;
  const body = (commands: unknown) => JSON.stringify({ revision: 0, commands });
  const cases: [
    string,
    () => { method: string; url: string; payload?: string; headers?: Record<string, string> },
    number,
  ][] = [
    ['broken JSON', () => ({ method: 'POST', url: path(), payload: '{"revision":', headers: json }), 400],
    ['an empty body', () => ({ method: 'POST', url: path(), payload: '', headers: json }), 400],
    ['no body', () => ({ method: 'POST', url: path() }), 400],
    ['a body that is a list', () => ({ method: 'POST', url: path(), payload: '[]', headers: json }), 400],
    [
      'a body of another kind',
      () => ({ method: 'POST', url: path(), payload: 'x=1', headers: { 'content-type': 'text/csv' } }),
      415,
    ],
    [
      'a huge body',
      () => ({ method: 'POST', url: path(), payload: body('x'.repeat(3_000_000)), headers: json }),
      413,
    ],
    ['deep nesting', () => ({ method: 'POST', url: path(), payload: deep(200_000), headers: json }), 400],
    [
      'deep nesting inside',
      () => ({
        method: 'POST',
        url: path(),
        payload: `{"revision":0,"commands":${deep(100_000)}}`,
        headers: json,
      }),
      400,
    ],
    [
      'a poisoned prototype',
      () => ({ method: 'POST', url: path(), payload: '{"__proto__":{"x":1}}', headers: json }),
      400,
    ],
    [
      'a revision in words',
      () => ({ method: 'POST', url: path(), payload: '{"revision":"1","commands":[]}', headers: json }),
      400,
    ],
    [
      'a huge revision',
      () => ({ method: 'POST', url: path(), payload: '{"revision":1e300,"commands":[]}', headers: json }),
      400,
    ],
    [
      'an unknown command',
      () => ({
        method: 'POST',
        url: path(),
        payload: body([{ id: randomUUID(), command: { type: 'explode' } }]),
        headers: json,
      }),
      400,
    ],
    [
      'a command id that is none',
      () => ({
        method: 'POST',
        url: path(),
        payload: body([{ id: '1; DROP', command: { type: 'renameProject', name: 'x' } }]),
        headers: json,
      }),
      400,
    ],
    [
      'a NUL in a name',
      () => ({
        method: 'POST',
        url: path(),
        payload: body([{ id: randomUUID(), command: { type: 'renameProject', name: 'a\u0000' } }]),
        headers: json,
      }),
      400,
    ],
    [
      'half a surrogate',
      () => ({
        method: 'POST',
        url: path(),
        payload: body([{ id: randomUUID(), command: { type: 'renameProject', name: '\ud83d' } }]),
        headers: json,
      }),
      400,
    ],
    [
      'too many commands',
      () => ({ method: 'POST', url: path(), payload: body(Array(501).fill(setBase('#fff'))), headers: json }),
      400,
    ],
    ['an id that is no id', () => ({ method: 'GET', url: '/api/projects/%27%20OR%201=1' }), 400],
    ['an unknown project', () => ({ method: 'GET', url: `/api/projects/${randomUUID()}` }), 404],
    [
      'commands for an unknown project',
      () => ({
        method: 'POST',
        url: `/api/projects/${randomUUID()}/commands`,
        payload: body([]),
        headers: json,
      }),
      404,
    ],
    [
      'events of an unknown project',
      () => ({ method: 'GET', url: `/api/projects/${randomUUID()}/events` }),
      404,
    ],
    ['removing an unknown project', () => ({ method: 'DELETE', url: `/api/projects/${randomUUID()}` }), 404],
    ['a query out of range', () => ({ method: 'GET', url: `/api/projects/${id}/news?after=-1` }), 400],
    ['a query left out', () => ({ method: 'GET', url: `/api/projects/${id}/news` }), 400],
    ['an unknown address', () => ({ method: 'GET', url: '/api/nothing' }), 404],
    ['a malformed address', () => ({ method: 'GET', url: '/api/projects/%E0%A4%A' }), 400],
    [
      'a project without a name',
      () => ({ method: 'POST', url: '/api/projects', payload: '{"name":"   "}', headers: json }),
      400,
    ],
    [
      'a project with a list for a name',
      () => ({ method: 'POST', url: '/api/projects', payload: '{"name":[]}', headers: json }),
      400,
    ],
  ];
  test.each(cases)('%s', async (_, request, status) => {
    const before = JSON.stringify([await load(), (await app.inject('/api/projects')).json().projects.length]);
    const { headers, ...rest } = request();
    const answer = await app.inject({ ...rest, headers: { ...FORM, ...headers } } as InjectOptions);
    expect(answer.statusCode).toBe(status);
    expect(answer.json()).toEqual({
      error: {
        code: expect.stringMatching(/^[A-Z_]+$/),
        message: expect.stringMatching(/\w{3}/),
        path: expect.any(String),
      },
    });
    expect(JSON.stringify([await load(), (await app.inject('/api/projects')).json().projects.length])).toBe(
      before,
    );
  });

  it('say where the fault is', async () => {
    const { error } = (await commit([setBase('#fff'), setBase('#CFF00')])).json();
    expect(error).toMatchObject({
      code: 'BAD_REQUEST',
      path: 'body.commands.1.command.color',
      message: expect.stringContaining('not a CSS colour'),
    });
  });
});

describe('the answer', () => {
  it('carries a strict content policy', async () => {
    const { headers } = await app.inject('/api/health');
    expect(headers['content-security-policy']).toContain("script-src 'self'");
    expect(headers['x-content-type-options']).toBe('nosniff');
  });
});
