import { once } from 'node:events';
import { type AddressInfo, connect, createServer, type Socket } from 'node:net';
import type { ErrorAnswer } from '@mint-lamp/core/wire/errors';
import type { FastifyInstance } from 'fastify';
import sharp from 'sharp';
import type { DataSource } from 'typeorm';
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest';
import { ensureLocalPerson } from '../src/access/local-person.ts';
import { buildApp } from '../src/app.ts';
import { openDatabase } from '../src/database/data-source.ts';
import { openLanes } from '../src/jobs/jobs.ts';
import { noiseOf } from '../src/pictures/drawing/drawing-cost.ts';
import { FORM } from './form.ts';
import { ownDatabase } from './own-database.ts';

let database: DataSource;
let app: FastifyInstance;
let address: string;
let logged: string[];

/** The error in an answer. */
const errorOf = async (answer: Response) => ((await answer.json()) as ErrorAnswer).error;

/** Small enough that a test sees its end. */
const PATIENCE = 1500;

beforeAll(async () => {
  database = await openDatabase(ownDatabase());
  await ensureLocalPerson(database);
  logged = [];
  app = await buildApp({
    database,
    logger: { level: 'error', stream: { write: (line) => void logged.push(line) } },
    jobLimits: { drawings: { patience: PATIENCE, memory: 600 * 1024 * 1024 } },
  });
  address = await app.listen({ host: '127.0.0.1', port: 0 });
});
afterAll(async () => {
  await app.close();
  await database.destroy();
});

async function newProject(): Promise<string> {
  const made = await app.inject({ method: 'POST', url: '/api/projects', payload: { name: 'Held' } });
  return made.json().id;
}
const svg = (inside: string, size = 1000) =>
  Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}">${inside}</svg>`);
const noise = (octaves = 1) =>
  `<filter id="n"><feTurbulence baseFrequency=".8" numOctaves="${octaves}"/></filter><rect width="100%" height="100%" filter="url(#n)"/>`;
const post = (id: string, body: Buffer, signal: AbortSignal | null = null) =>
  fetch(`${address}/api/projects/${id}/pictures`, {
    method: 'POST',
    body: new Uint8Array(body),
    signal,
    headers: { 'content-type': 'application/octet-stream' },
  });
const small = () =>
  sharp({ create: { width: 30, height: 20, channels: 3, background: '#3366aa' } })
    .png()
    .toBuffer();

/** Painting each of these takes far longer than there is. */
const SLOW: readonly [string, Buffer][] = [
  [
    'groups with an opacity within each other',
    svg(`${'<g opacity=".9">'.repeat(250)}<rect width="9" height="9"/>${'</g>'.repeat(250)}`, 4000),
  ],
  ['very many shapes', svg('<rect width="900" height="900" opacity=".5"/>'.repeat(200_000))],
  [
    'blurs one after the other',
    svg(
      `<filter id="b">${'<feGaussianBlur stdDeviation="90"/>'.repeat(60)}</filter><rect width="100%" height="100%" filter="url(#b)"/>`,
      4000,
    ),
  ],
];

describe('a drawing that costs much', () => {
  // The processes that paint are there: on a busy machine their beginning takes as long as a drawing has.
  beforeAll(async () => {
    const id = await newProject();
    const body = await small();
    await Promise.all([post(id, body), post(id, body), post(id, body)]);
  });

  it('is refused before it is painted where its noise says so, with the figures', async () => {
    const answer = await post(await newProject(), svg(noise(), 7000));
    expect([answer.status, await errorOf(answer)]).toEqual([
      422,
      expect.objectContaining({
        code: 'TOO_COSTLY',
        message: expect.stringMatching(/noise .* 49 megapixels at its 7000 × 7000 px.* 12 are the most/),
      }),
    ]);
    // Grain as designers use it passes.
    expect(noiseOf(svg(noise(4)).toString(), 1920, 1080)).toBeLessThan(12e6);
    expect(noiseOf(svg(noise(900)).toString(), 1000, 1000)).toBeGreaterThan(12e6);
  });

  test.each(SLOW)('(%s) is given up, says so, and holds nothing else meanwhile', async (_name, drawing) => {
    const id = await newProject();
    let painted = false;
    const slow = post(id, drawing).then(async (answer) => {
      painted = true;
      return { status: answer.status, error: await errorOf(answer) };
    });
    // Other pictures, the database and the pages do not wait for it.
    expect((await post(id, await small())).status).toBe(201);
    expect((await fetch(`${address}/api/health`)).status).toBe(200);
    expect(painted).toBe(false);
    expect(await slow).toEqual({
      status: 422,
      error: expect.objectContaining({
        code: 'TOO_COSTLY',
        message: expect.stringMatching(
          /Painting this drawing (took more than 1.5 seconds|takes more memory)/,
        ),
      }),
    });
  });

  it('ends with whoever sent it, so that the next is painted', async () => {
    const id = await newProject();
    const left = new AbortController();
    const slow = post(id, SLOW[0]![1], left.signal).catch(() => 'gone');
    const waiting = post(id, svg('<rect width="9" height="9"/>', 40));
    await new Promise((resolve) => setTimeout(resolve, 300));
    left.abort();
    expect(await slow).toBe('gone');
    expect((await waiting).status).toBe(201);
  });

  it('does not keep the server from closing', async () => {
    const own = await buildApp({ database });
    const at = await own.listen({ host: '127.0.0.1', port: 0 });
    const cut = fetch(`${at}/api/projects/${await newProject()}/pictures`, {
      method: 'POST',
      body: new Uint8Array(SLOW[1]![1]),
      headers: { 'content-type': 'application/octet-stream' },
    }).then(
      ({ status }) => status,
      () => 'cut',
    );
    await new Promise((resolve) => setTimeout(resolve, 500));
    await own.close();
    expect(['cut', 500]).toContain(await cut);
  });
});

describe('what waits', () => {
  it('is bounded, and one more is told to come again', async () => {
    const lanes = openLanes({ drawings: { waiting: 1, patience: 1500 } });
    const stopped = new AbortController();
    const missing = { file: '/nowhere', folder: '/nowhere' };
    const outcomes = Promise.allSettled(
      [0, 1, 2].map(() => lanes.drawings.run('takeIn', missing, stopped.signal)),
    );
    const [first, second, third] = await outcomes;
    // A fault of our own is none of the file.
    for (const one of [first, second])
      expect(one).toMatchObject({ status: 'rejected', reason: { message: /takeIn failed: .*ENOENT/ } });
    expect(third).toMatchObject({ status: 'rejected', reason: { code: 'BUSY' } });
    for (const lane of Object.values(lanes)) lane.close();
  });

  it('does not wait for files that are still being sent', async () => {
    const id = await newProject();
    const port = Number(new URL(address).port);
    const file = await small();
    const slow: Socket[] = [];
    for (let i = 0; i < 4; i++) {
      const socket = connect(port, '127.0.0.1');
      await once(socket, 'connect');
      socket.write(
        `POST /api/projects/${id}/pictures HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\nContent-Type: application/octet-stream\r\nContent-Length: ${file.length}\r\n\r\n`,
      );
      socket.write(file.subarray(0, 20));
      slow.push(socket);
    }
    expect((await post(id, file)).status).toBe(201);
    for (const socket of slow) {
      socket.write(file.subarray(20));
      const [answer] = await once(socket, 'data');
      expect(String(answer)).toMatch(/^HTTP\/1\.1 201/);
      socket.destroy();
    }
  });
});

describe('a body over the limit', () => {
  test.each([
    ['a picture', 'pictures', 'application/octet-stream', 40_000_001],
    ['a picture, far over', 'pictures', 'application/octet-stream', 55_000_000],
    ['commands', 'commands', 'application/json', 2 * 1024 * 1024 + 1],
  ])('(%s) is answered and not cut off', async (_name, where, type, size) => {
    const id = await newProject();
    for (const said of [true, false]) {
      const body = new Uint8Array(size).fill(32);
      const answer = await fetch(`${address}/api/projects/${id}/${where}`, {
        method: 'POST',
        headers: { 'content-type': type, ...FORM },
        // As a stream its length is not said beforehand.
        ...(said ? { body } : { body: new Blob([body]).stream(), duplex: 'half' }),
      } as RequestInit);
      expect([answer.status, (await errorOf(answer)).code]).toEqual([413, 'TOO_LARGE']);
    }
  });
});

it('a fault of the server is told as one, and logged', async () => {
  const id = await newProject();
  const { run } = app.jobs.files;
  app.jobs.files.run = async () => {
    throw new Error('The disk is full.');
  };
  const answer = await post(id, await small());
  app.jobs.files.run = run;
  expect([answer.status, (await errorOf(answer)).code]).toEqual([500, 'INTERNAL']);
  expect(logged.join('')).toContain('The disk is full.');
});

it.each([
  ['the database', Object.assign(new Error('could not extend file'), { code: '53100' })],
  ['the server', new Error('not written', { cause: Object.assign(new Error('no'), { code: 'ENOSPC' }) })],
])('a full disk of %s is told as one, and logged', async (_, fault) => {
  const { list } = app.projects;
  app.projects.list = async () => {
    throw fault;
  };
  const answer = await app.inject({ url: '/api/projects', headers: FORM });
  app.projects.list = list;
  expect([answer.statusCode, answer.json().error.code]).toEqual([507, 'DISK_FULL']);
  expect(logged.join('')).toContain(fault.message);
});

/** Stands between a server and its database, and can fall silent without hanging up. */
async function silentProxy(url: URL) {
  let silent = false;
  const sockets = new Set<Socket>();
  const proxy = createServer((inside) => {
    const outside = connect(Number(url.port), url.hostname);
    for (const [from, to] of [
      [inside, outside],
      [outside, inside],
    ] as const) {
      sockets.add(from);
      from.on('data', (data) => {
        if (!silent) to.write(data);
      });
      from.on('close', () => {
        if (!silent) to.destroy();
      });
      from.on('error', () => {});
    }
  });
  proxy.listen(0, '127.0.0.1');
  await once(proxy, 'listening');
  const through = new URL(url);
  through.port = String((proxy.address() as AddressInfo).port);
  return {
    url: through.href,
    fallSilent: () => {
      silent = true;
    },
    /** What hung stays so; new connections go through. */
    recover: () => {
      silent = false;
    },
    close: () => {
      for (const socket of sockets) socket.destroy();
      proxy.close();
    },
  };
}

test('a database that falls silent without hanging up is away, and is back when it answers', async () => {
  const proxy = await silentProxy(new URL(ownDatabase()));
  const source = await openDatabase(proxy.url, { patience: 600 });
  const own = await buildApp({ database: source });
  const made = await own.inject({ method: 'POST', url: '/api/projects', payload: { name: 'Silent' } });
  const { id } = made.json();
  const commit = (name: string) =>
    own.inject({
      method: 'POST',
      url: `/api/projects/${id}/commands`,
      headers: FORM,
      payload: {
        revision: 0,
        commands: [{ id: crypto.randomUUID(), command: { type: 'renameProject', name } }],
      },
    });
  expect((await commit('One')).statusCode).toBe(200);
  proxy.fallSilent();
  // The row of senders does not stand still behind the first.
  const away = await Promise.all([commit('Two'), commit('Three'), own.inject({ url: '/api/projects' })]);
  expect(away.map(({ statusCode }) => statusCode)).toEqual([503, 503, 503]);
  expect(away[0]!.json().error.code).toBe('DATABASE_AWAY');
  proxy.recover();
  let last = 0;
  for (let i = 0; i < 20 && last !== 200; i++) last = (await commit('Four')).statusCode;
  expect(last).toBe(200);
  await own.close();
  await source.destroy();
  proxy.close();
}, 60_000);
