import { randomUUID } from 'node:crypto';
import { connect } from 'node:net';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import type { FastifyInstance } from 'fastify';
import type { DataSource } from 'typeorm';
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest';
import { ensureLocalPerson, LOCAL_PERSON } from '../src/access/local-person.ts';
import { buildApp } from '../src/app.ts';
import { isTooDeep } from '../src/bodies.ts';
import { openDatabase } from '../src/database/data-source.ts';
import { loadDemo } from '../src/demo/load.ts';
import { FORM } from './form.ts';
import { ownDatabase } from './own-database.ts';

let database: DataSource;
let app: FastifyInstance;
let port: number;

beforeAll(async () => {
  database = await openDatabase(ownDatabase());
  await ensureLocalPerson(database);
  app = await buildApp({ database });
  port = Number(new URL(await app.listen({ host: '127.0.0.1', port: 0 })).port);
});
afterAll(async () => {
  await app.close();
  await database.destroy();
});

/** Sends bytes as they are; the head and body of what comes back. */
const raw = (bytes: string, to = port) =>
  new Promise<{ head: string; body: string }>((resolve, reject) => {
    let text = '';
    const socket = connect(to, '127.0.0.1', () => socket.write(bytes));
    socket.setEncoding('utf8');
    socket.on('data', (part) => {
      text += part;
    });
    socket.on('error', reject);
    socket.on('close', () => {
      const [head = '', body = ''] = text.split('\r\n\r\n');
      resolve({ head, body });
    });
  });

const request = (first: string, ...headers: string[]) =>
  raw([first, 'Host: 127.0.0.1', 'Connection: close', ...headers, '', ''].join('\r\n'));

describe('who may speak to the server', () => {
  const ask = (headers: Record<string, string>) =>
    app.inject({ url: '/api/projects', headers: { ...FORM, ...headers } });
  test.each(['localhost', 'LOCALHOST:5170', '127.0.0.1:5170', '[::1]:5170'])(
    '%s is its own name',
    async (host) => {
      expect((await ask({ host })).statusCode).toBe(200);
      expect((await ask({ host, origin: `http://${host}` })).statusCode).toBe(200);
    },
  );

  test.each([
    [{ host: 'harbour.example' }],
    [{ host: 'localhost.harbour.example:5170' }],
    [{ host: 'localhost@harbour.example' }],
    [{ host: '127.0.0.1:5170', origin: 'http://harbour.example' }],
    [{ host: 'localhost', origin: 'null' }],
  ])('%j is not, and nothing is done for it', async (headers) => {
    const before = (await ask({ host: 'localhost' })).json().projects.length;
    for (const answer of [
      await ask(headers),
      await app.inject({ method: 'POST', url: '/api/projects', headers, payload: { name: 'Foreign' } }),
      await app.inject({ url: '/', headers }),
      await app.inject({ url: '/api/%E0%A4%A', headers }),
    ]) {
      expect([400, 403]).toContain(answer.statusCode);
      expect(answer.json().error.code).toMatch(/FOREIGN_HOST|BAD_REQUEST/);
    }
    expect((await ask({ host: 'localhost' })).json().projects).toHaveLength(before);
  });

  it('can be told other names', async () => {
    const other = await buildApp({ database, names: ['colours.example'] });
    expect((await other.inject({ url: '/api/me', headers: { host: 'colours.example' } })).statusCode).toBe(
      200,
    );
    expect((await other.inject({ url: '/api/me', headers: { host: 'localhost' } })).statusCode).toBe(403);
    // Whoever looks after machines asks by their numbers.
    expect((await other.inject({ url: '/api/ready', headers: { host: '10.0.0.7' } })).statusCode).toBe(200);
    await other.close();
  });
});

describe('bytes that never become a request, or meet an error early', () => {
  test.each([
    ['nonsense', () => raw('GET nonsense\r\n\r\n'), 400, 'BAD_REQUEST'],
    ['an unknown method', () => request('SHOUT /api/projects HTTP/1.1'), 400, 'METHOD_NOT_ALLOWED'],
    [
      'too long a head',
      () => request('GET / HTTP/1.1', `X-Long: ${'x'.repeat(40_000)}`),
      431,
      'HEAD_TOO_LARGE',
    ],
    ['an address that cannot be decoded', () => request('GET /api/%E0%A4%A HTTP/1.1'), 400, 'BAD_REQUEST'],
  ])('%s is answered like every other error', async (_, send, status, code) => {
    const { head, body } = await send();
    expect(JSON.parse(body).error).toEqual({ code, message: expect.stringMatching(/\w{3}/), path: '' });
    if (code !== 'METHOD_NOT_ALLOWED') expect(head).toMatch(new RegExp(`^HTTP/1.1 ${status} `));
    expect(head).toMatch(/content-security-policy: /i);
    expect(head).toMatch(/cache-control: no-store/i);
    expect(head).toMatch(/x-content-type-options: nosniff/i);
  });

  it('answers of the API are not kept by anyone', async () => {
    for (const url of ['/api/projects', '/api/health', '/api/nothing'])
      expect((await app.inject({ url, headers: FORM })).headers['cache-control']).toBe('no-store');
  });

  it('HEAD does not hang on a stream of events', async () => {
    const { id } = await app.projects.create(LOCAL_PERSON.id, SKERRY_LINE);
    const { head } = await request(`HEAD /api/projects/${id}/events HTTP/1.1`);
    expect(head).toMatch(/^HTTP\/1.1 404 /);
  });
});

describe('a request that does not come to its end', () => {
  test.each([
    ['in its head', 'GET /api/projects HTTP/1.1\r\nHost: 127.0.0.1\r\nX-More: '],
    [
      'in its body',
      'POST /api/projects HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nContent-Length: 99\r\n\r\n{"name":',
    ],
  ])('%s is answered and let go', async (_, bytes) => {
    const patience = { head: 200, whole: 400, look: 50 };
    const impatient = await buildApp({ database, patience });
    const address = await impatient.listen({ host: '127.0.0.1', port: 0 });
    const { head, body } = await raw(bytes, Number(new URL(address).port));
    expect(head).toMatch(/^HTTP\/1.1 408 /);
    expect(JSON.parse(body).error.code).toBe('TOO_SLOW');
    await impatient.close();
  });
});

describe('a body', () => {
  it('is too deep by its lists and objects, and not by what stands in texts', () => {
    const nested = (n: number) => `${'[{"a":'.repeat(n)}1${'}]'.repeat(n)}`;
    expect(isTooDeep(nested(25))).toBe(false);
    expect(isTooDeep(nested(26))).toBe(true);
    expect(isTooDeep(JSON.stringify('['.repeat(99)))).toBe(false);
    expect(isTooDeep(JSON.stringify(`\\"${'['.repeat(99)}`))).toBe(false);
    expect(isTooDeep(`"\\\\"${'['.repeat(99)}`)).toBe(true);
    expect(isTooDeep(`[[]],${'[],'.repeat(99)}`)).toBe(false);
  });
});

describe('ids', () => {
  test.each(['(%)', '[%]', '{%}', '%%'])('in the odd spelling %s are refused', async (spelling) => {
    const url = `/api/projects/${encodeURIComponent(spelling.replaceAll('%', randomUUID()))}`;
    expect((await app.inject({ url, headers: FORM })).statusCode).toBe(400);
  });

  it('are the same in letters of either case', async () => {
    const { id } = await app.projects.create(LOCAL_PERSON.id, SKERRY_LINE);
    const command = randomUUID();
    const send = (commandId: string) =>
      app.inject({
        method: 'POST',
        url: `/api/projects/${id.toUpperCase()}/commands`,
        headers: FORM,
        payload: {
          revision: 0,
          commands: [{ id: commandId, command: { type: 'setBase', family: 'buoy', color: '#123456' } }],
        },
      });
    expect((await send(command)).json().outcomes[0].status).toBe('applied');
    const again = (await send(command.toUpperCase())).json();
    expect(again).toMatchObject({ revision: 1, outcomes: [{ id: command, status: 'known' }] });
  });
});

describe('much at once', () => {
  const rename = (i: number) => ({ type: 'renameProject', name: `Name ${i}` });
  const commit = (id: string, commands: object[], revision = 0) =>
    app.inject({
      method: 'POST',
      url: `/api/projects/${id}/commands`,
      headers: FORM,
      payload: { revision, commands: commands.map((command) => ({ id: randomUUID(), command })) },
    });

  it('of work in one request is refused before it is looked at', async () => {
    const { id } = await app.projects.create(LOCAL_PERSON.id, SKERRY_LINE);
    const batch = { type: 'batch', label: 'x', commands: Array.from({ length: 1300 }, (_, i) => rename(i)) };
    expect((await commit(id, [batch])).statusCode).toBe(200);
    const answer = await commit(id, [batch, batch], 1);
    expect(answer.statusCode).toBe(413);
    expect(answer.json().error).toMatchObject({ code: 'TOO_LARGE', path: 'body.commands' });
  });

  it('from a hundred senders to one project goes through, and others are answered meanwhile', async () => {
    const [one, other] = await Promise.all(
      [1, 2].map(() => app.projects.create(LOCAL_PERSON.id, SKERRY_LINE)),
    );
    const answers = await Promise.all([
      ...Array.from({ length: 100 }, (_, i) => commit(one!.id, [rename(i)])),
      ...Array.from({ length: 20 }, (_, i) => commit(other!.id, [rename(i)])),
    ]);
    expect(answers.map(({ statusCode }) => statusCode)).toEqual(Array(120).fill(200));
    expect(await app.projects.revisionOf(one!.id)).toBe(100);
  });

  it('of servers starting on one fresh database, all start, with one demo', async () => {
    const name = `fresh_${process.pid}`;
    await database.query(`CREATE DATABASE ${name}`);
    const url = ownDatabase().replace(/[^/]+$/, name);
    const started = await Promise.all(
      [1, 2, 3].map(async () => {
        const source = await openDatabase(url);
        await ensureLocalPerson(source);
        await loadDemo(source);
        return source;
      }),
    );
    expect(await started[0]!.query('SELECT count(*)::int AS n FROM project')).toEqual([{ n: 2 }]);
    for (const source of started) await source.destroy();
  });
});
