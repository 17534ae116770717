import { randomUUID } from 'node:crypto';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { areaColors } from '@mint-lamp/core/picture/area-colors';
import { LIBRARY_HOST } from '@mint-lamp/core/wire/pictures';
import { readRegion } from '@mint-lamp/core/wire/regions';
import type { FastifyInstance } from 'fastify';
import sharp from 'sharp';
import type { DataSource } from 'typeorm';
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest';
import { ensureLocalPerson } from '../src/access/local-person.ts';
import { buildApp } from '../src/app.ts';
import { openDatabase } from '../src/database/data-source.ts';
import { MOST_UNNAMED } from '../src/database/picture-store.ts';
import { openLibrary } from '../src/demo/library.ts';
import { FORM } from './form.ts';
import { ownDatabase } from './own-database.ts';

let database: DataSource;
let app: FastifyInstance;
let outside: Awaited<ReturnType<typeof openLibrary>>;

const noise = (seed: number, width = 700, height = 400) =>
  sharp(
    Buffer.from(Array.from({ length: width * height * 3 }, (_, i) => Math.imul(i + seed, 2654435761) >>> 24)),
    { raw: { width, height, channels: 3 } },
  )
    .png()
    .toBuffer();

beforeAll(async () => {
  database = await openDatabase(ownDatabase());
  await ensureLocalPerson(database);
  const libraryRoot = mkdtempSync(join(tmpdir(), 'mint-lamp-library-'));
  writeFileSync(join(libraryRoot, 'map.png'), await noise(5));
  outside = await openLibrary(libraryRoot);
  app = await buildApp({ database, outside });
});
afterAll(async () => {
  await app.close();
  await outside.close();
  await database.destroy();
});

async function newProject(): Promise<string> {
  const made = await app.inject({ method: 'POST', url: '/api/projects', payload: { name: 'Pictures' } });
  return made.json().id;
}
const send = (id: string, payload: Buffer, type = 'application/octet-stream') =>
  app.inject({
    method: 'POST',
    url: `/api/projects/${id}/pictures`,
    payload,
    headers: { 'content-type': type },
  });
const get = (id: string, path: string) => app.inject({ url: `/api/projects/${id}/pictures/${path}` });
const keptParts = async (content: string) =>
  (await database.query('SELECT count(*)::int AS n FROM picture_part WHERE content = $1', [content]))[0].n;

describe('the colours of a region', () => {
  it('are those of its pixels, once each, upright', async () => {
    const id = await newProject();
    const raw = Buffer.from(
      Array.from({ length: 40 * 30 * 3 }, (_, i) => (Math.imul(i + 3, 2654435761) >>> 24) & 0xf0),
    );
    const png = await sharp(raw, { raw: { width: 40, height: 30, channels: 3 } })
      .png()
      .toBuffer();
    const { content } = (await send(id, png)).json();
    const answer = await get(id, `${content}/region?x=5&y=10&width=20&height=8`);
    expect([answer.statusCode, answer.headers['cache-control']]).toEqual([
      200,
      expect.stringContaining('immutable'),
    ]);
    const bytes = answer.rawPayload;
    const wanted = await sharp(png)
      .extract({ left: 5, top: 10, width: 20, height: 8 })
      .ensureAlpha()
      .raw()
      .toBuffer();
    const read = readRegion(
      bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.length) as ArrayBuffer,
    );
    expect(read).toEqual(areaColors(wanted));
    // One that was held sideways: what is asked for lies where it is shown.
    const sideways = await sharp(raw, { raw: { width: 40, height: 30, channels: 3 } })
      .jpeg({ quality: 100, chromaSubsampling: '4:4:4' })
      .withMetadata({ orientation: 6 })
      .toBuffer();
    const turned = (await send(id, sideways)).json();
    expect([turned.width, turned.height]).toEqual([30, 40]);
    const part = await get(id, `${turned.content}/region?x=0&y=32&width=6&height=8`);
    const upright = await sharp(await sharp(sideways).autoOrient().png().toBuffer())
      .extract({ left: 0, top: 32, width: 6, height: 8 })
      .ensureAlpha()
      .raw()
      .toBuffer();
    const own = part.rawPayload;
    expect(readRegion(own.buffer.slice(own.byteOffset, own.byteOffset + own.length) as ArrayBuffer)).toEqual(
      areaColors(upright),
    );
  });

  it('are told only to whom the picture belongs, and only of an area', async () => {
    const [id, other] = [await newProject(), await newProject()];
    const { content } = (await send(id, await noise(9))).json();
    expect((await get(other, `${content}/region?x=0&y=0&width=5&height=5`)).statusCode).toBe(404);
    expect((await get(id, `${content}/region?x=0&y=0&width=0&height=5`)).statusCode).toBe(400);
    // What lies beyond the picture is left out.
    const beyond = await get(id, `${content}/region?x=690&y=390&width=900&height=900`);
    expect(beyond.statusCode).toBe(200);
  });
});

describe('pictures of a project', () => {
  it('are kept, and shown again as they are', async () => {
    const id = await newProject();
    const file = await noise(1);
    const answer = await send(id, file);
    expect(answer.statusCode).toBe(201);
    const { content, width, height } = answer.json();
    expect([width, height]).toEqual([700, 400]);
    const shown = await get(id, content);
    expect(shown.headers).toMatchObject({
      'content-type': 'image/png',
      'content-length': String(shown.rawPayload.length),
      'cache-control': 'private, max-age=31536000, immutable',
      'x-content-type-options': 'nosniff',
    });
    expect(shown.headers['content-security-policy']).toContain('sandbox');
    const pixels = await sharp(file).raw().toBuffer();
    expect(pixels.equals(await sharp(shown.rawPayload).raw().toBuffer())).toBe(true);
    const small = await sharp((await get(id, `${content}/small`)).rawPayload).metadata();
    expect([small.format, small.width]).toEqual(['webp', 360]);
  });

  it('are kept once for the same content, shown to those who were given it, and go with the last of them', async () => {
    const [a, b, c] = [await newProject(), await newProject(), await newProject()];
    const file = await noise(2);
    const contents = await Promise.all([send(a, file), send(b, file), send(a, file)]);
    const { content } = contents[0]!.json();
    expect(contents.map((answer) => answer.json().content)).toEqual([content, content, content]);
    expect(await keptParts(content)).toBe(Math.ceil(file.length / (512 * 1024)));
    expect((await get(b, content)).statusCode).toBe(200);
    expect((await get(c, content)).statusCode).toBe(404);
    await app.inject({ method: 'DELETE', url: `/api/projects/${a}` });
    expect((await get(b, content)).statusCode).toBe(200);
    await app.inject({ method: 'DELETE', url: `/api/projects/${b}` });
    expect((await get(b, content)).statusCode).toBe(404);
    for (const id of [a, b]) {
      expect(await keptParts(content)).toBeGreaterThan(0);
      await app.inject({ method: 'DELETE', url: `/api/projects/removed/${id}` });
    }
    expect(await keptParts(content)).toBe(0);
  });

  it('that are given while another project lets go of the same are kept all the same', async () => {
    const file = await noise(11, 40, 30);
    const keeper = await newProject();
    for (let i = 0; i < 40; i++) {
      const passing = await newProject();
      expect((await send(passing, file)).statusCode).toBe(201);
      await app.inject({ method: 'DELETE', url: `/api/projects/${passing}` });
      const [kept, gone] = await Promise.all([
        send(i % 2 ? keeper : await newProject(), file),
        app.inject({ method: 'DELETE', url: `/api/projects/removed/${passing}` }),
      ]);
      expect([kept.statusCode, gone.statusCode]).toEqual([201, 204]);
    }
  });

  it('that nothing names are not kept without end, and the old ones of them make room', async () => {
    const id = await newProject();
    await database.query(
      `INSERT INTO picture_content (content, media_type, size, width, height, small)
       SELECT lpad(n::text, 64, '0'), 'image/png', 1, 1, 1, '' FROM generate_series(1, $1) AS n
       ON CONFLICT DO NOTHING`,
      [MOST_UNNAMED],
    );
    await database.query(
      `INSERT INTO project_picture (project_id, content)
       SELECT $1, lpad(n::text, 64, '0') FROM generate_series(1, $2) AS n`,
      [id, MOST_UNNAMED],
    );
    const refused = await send(id, await noise(12, 20, 20));
    expect([refused.statusCode, refused.json().error.code]).toEqual([409, 'TOO_MANY']);
    const old = (many: number) =>
      database.query(
        `UPDATE project_picture SET at = now() - interval '25 hours' WHERE project_id = $1 AND content <= $2`,
        [id, String(many).padStart(64, '0')],
      );
    await old(50);
    // One that the log names stays, however old it is.
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
              type: 'addPicture',
              picture: {
                id: 'one',
                name: 'One',
                content: '7'.padStart(64, '0'),
                width: 1,
                height: 1,
                markers: [],
                moved: [],
                textOver: null,
              },
            },
          },
        ],
      },
    });
    for (const seed of [13, 14]) expect((await send(id, await noise(seed, 20, 20))).statusCode).toBe(201);
    expect((await get(id, '7'.padStart(64, '0'))).statusCode).toBe(200);
    expect((await get(id, '8'.padStart(64, '0'))).statusCode).toBe(404);
    expect((await get(id, '60'.padStart(64, '0'))).statusCode).toBe(200);
  });

  it('come from no stand-in where there is no demo', async () => {
    const plain = await buildApp({ database });
    expect((await plain.inject({ url: '/api/library' })).json()).toEqual({
      pictures: [],
      artworks: [],
      prototype: null,
    });
    const answer = await plain.inject({
      method: 'POST',
      url: `/api/projects/${await newProject()}/pictures/fetched`,
      payload: { address: `http://${LIBRARY_HOST}/map.png` },
    });
    expect(answer.json().error.code).toMatch(/ADDRESS_(FAILED|REFUSED)/);
    await plain.close();
  });

  it('come by address too, from the library that stands for the web', async () => {
    const id = await newProject();
    const { pictures } = (await app.inject({ url: '/api/library' })).json();
    expect(pictures).toEqual([{ title: 'Map of the islands', address: `http://${LIBRARY_HOST}/map.png` }]);
    const from = (address: string) =>
      app.inject({ method: 'POST', url: `/api/projects/${id}/pictures/fetched`, payload: { address } });
    const answer = await from(pictures[0].address);
    expect([answer.statusCode, answer.json().width]).toEqual([201, 700]);
    expect((await get(id, answer.json().content)).statusCode).toBe(200);
    expect((await from('http://127.0.0.1/x.png')).json().error).toMatchObject({
      code: 'ADDRESS_REFUSED',
      path: 'body.address',
    });
    expect((await from(`http://${LIBRARY_HOST}/none.png`)).json().error.message).toMatch(/answers with 404/);
  });

  test.each([
    ['no picture', () => Buffer.from('a text'), 'application/octet-stream', 422, 'NOT_A_PICTURE'],
    ['nothing', () => Buffer.alloc(0), 'application/octet-stream', 422, 'NOT_A_PICTURE'],
    ['JSON', () => Buffer.from('{}'), 'application/json', 415, 'WRONG_MEDIA_TYPE'],
    ['too much', () => Buffer.alloc(40_000_002), 'application/octet-stream', 413, 'TOO_LARGE'],
  ])('are not made of %s', async (_name, payload, type, status, code) => {
    const answer = await send(await newProject(), payload(), type);
    expect([answer.statusCode, answer.json().error.code]).toEqual([status, code]);
  });

  it('need a project', async () => {
    expect((await send(randomUUID(), await noise(3, 8, 8))).statusCode).toBe(404);
    expect((await send('x', await noise(3, 8, 8))).statusCode).toBe(400);
    expect((await get(randomUUID(), 'ab'.repeat(32))).statusCode).toBe(404);
    expect((await get(await newProject(), 'nothing')).statusCode).toBe(400);
  });

  it('do not stand in each other’s way, many at once', async () => {
    const id = await newProject();
    const files = await Promise.all([1, 2, 3, 4, 5, 6, 7].map((seed) => noise(seed + 10, 40, 30)));
    const answers = await Promise.all(files.map((file) => send(id, file)));
    expect(answers.map(({ statusCode }) => statusCode)).toEqual(files.map(() => 201));
    expect(new Set(answers.map((answer) => answer.json().content)).size).toBe(files.length);
  });
});
