import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type BucketStandIn, openBucketStandIn } from '../src/demo/bucket.ts';
import { type BucketStore, openBucket } from '../src/pictures/storing/bucket.ts';
import { bucketAt } from '../src/settings/settings.ts';
import { type House, openHouse, type Somebody } from './house.ts';
import { ownDatabase } from './own-database.ts';

let standIn: BucketStandIn;
let bucket: BucketStore;
let house: House;
let ula: Somebody;

beforeAll(async () => {
  standIn = await openBucketStandIn();
  bucket = openBucket(bucketAt(standIn.url));
  house = await openHouse(ownDatabase(), { bucket });
  ula = await house.somebody('Ula');
});
afterAll(async () => {
  await house.close();
  bucket.close();
  await standIn.close();
});

const newProject = async () =>
  (await ula.ask('POST', '/api/projects', { name: 'Skerry' })).json().id as string;
const noise = (seed: number) =>
  sharp(Buffer.from(Array.from({ length: 40 * 30 * 3 }, (_, i) => (i * seed * 7919) % 256)), {
    raw: { width: 40, height: 30, channels: 3 },
  })
    .png()
    .toBuffer();
const give = async (project: string, bytes: Buffer) =>
  (
    await house.app.inject({
      method: 'POST',
      url: `/api/projects/${project}/pictures`,
      headers: { ...ula.headers, 'content-type': 'application/octet-stream' },
      payload: bytes,
    })
  ).json().content as string;
const fetched = async (project: string, content: string) =>
  (await ula.ask('GET', `/api/projects/${project}/pictures/${content}`)).rawPayload;

describe('pictures in a bucket', () => {
  it('are kept there and not in the database, once for the same content, and come back to the byte', async () => {
    const [one, other] = [await newProject(), await newProject()];
    const bytes = await noise(3);
    const content = await give(one, bytes);
    expect(await give(other, bytes)).toBe(content);
    expect([...standIn.objects.keys()]).toContain(`pictures/${content}`);
    const [{ count }] = await house.database.query(
      'SELECT count(*)::int AS count FROM picture_part WHERE content = $1',
      [content],
    );
    expect(count).toBe(0);
    expect(await fetched(one, content)).toEqual(await fetched(other, content));
    const { data } = await sharp(await fetched(one, content))
      .raw()
      .toBuffer({ resolveWithObject: true });
    expect(data.equals(await sharp(bytes).raw().toBuffer())).toBe(true);
    const region = await ula.ask(
      'GET',
      `/api/projects/${one}/pictures/${content}/region?x=0&y=0&width=5&height=5`,
    );
    expect(region.statusCode).toBe(200);
  });

  it('go with the last project that has them, whichever process clears', async () => {
    const project = await newProject();
    const content = await give(project, await noise(5));
    await ula.ask('DELETE', `/api/projects/${project}`);
    await ula.ask('DELETE', `/api/projects/removed/${project}`);
    expect(standIn.objects.has(`pictures/${content}`)).toBe(false);
    expect(await house.database.query('SELECT * FROM picture_leftover')).toEqual([]);
  });

  it('that are given again while they are being cleared stay', async () => {
    const [project, other] = [await newProject(), await newProject()];
    const bytes = await noise(11);
    const content = await give(project, bytes);
    // As a process leaves it that ended between letting go of the row and of the bytes.
    await house.database.query('DELETE FROM project_picture WHERE content = $1', [content]);
    await house.database.query('DELETE FROM picture_content WHERE content = $1', [content]);
    await house.database.query('INSERT INTO picture_leftover VALUES ($1)', [content]);
    await give(other, bytes);
    await house.app.pictures.forgetUnused();
    expect(standIn.objects.has(`pictures/${content}`)).toBe(true);
    expect((await fetched(other, content)).length).toBeGreaterThan(0);
  });

  it('are not kept at all where the bucket does not take them, and whoever sent them is told', async () => {
    const away: BucketStore = {
      ...bucket,
      put: async () => {
        throw new Error('The store is away.');
      },
    };
    const broken = await openHouse(ownDatabase(), { bucket: away });
    const nis = await broken.somebody('Nis');
    const { id } = (await nis.ask('POST', '/api/projects', { name: 'Skerry' })).json();
    const answer = await broken.app.inject({
      method: 'POST',
      url: `/api/projects/${id}/pictures`,
      headers: { ...nis.headers, 'content-type': 'application/octet-stream' },
      payload: await noise(13),
    });
    expect(answer.statusCode).toBe(500);
    expect(await broken.database.query('SELECT content FROM picture_content')).toEqual([]);
    await broken.close();
  });

  it('that were kept in the database before there was a bucket are read where they are', async () => {
    const plain = await openHouse(ownDatabase());
    const nis = await plain.somebody('Nis');
    const { id } = (await nis.ask('POST', '/api/projects', { name: 'Skerry' })).json();
    const send = (app: typeof plain.app, bytes: Buffer) =>
      app.inject({
        method: 'POST',
        url: `/api/projects/${id}/pictures`,
        headers: { ...nis.headers, 'content-type': 'application/octet-stream' },
        payload: bytes,
      });
    const old = (await send(plain.app, await noise(17))).json().content;
    const withBucket = await plain.another({ bucket });
    const fresh = (await send(withBucket, await noise(19))).json().content;
    for (const content of [old, fresh]) {
      const answer = await withBucket.inject({
        url: `/api/projects/${id}/pictures/${content}`,
        headers: nis.headers,
      });
      expect(answer.rawPayload.length).toBeGreaterThan(100);
    }
    // A process that was told of no bucket says what is missing, and serves the rest.
    const without = await plain.app.inject({
      url: `/api/projects/${id}/pictures/${fresh}`,
      headers: nis.headers,
    });
    expect(without.statusCode).toBe(500);
    await plain.close();
  });

  it('are listed page by page, and somebody with another key gets nothing', async () => {
    const project = await newProject();
    for (const seed of [23, 29, 31, 37]) await give(project, await noise(seed));
    const listed = [];
    for await (const content of bucket.list()) listed.push(content);
    // More than a page of the stand-in.
    expect(listed.length).toBeGreaterThan(3);
    expect(listed).toEqual([...standIn.objects.keys()].map((name) => name.slice('pictures/'.length)).sort());
    const other = openBucket({ ...bucketAt(standIn.url), key: 'another' });
    await expect(other.check()).rejects.toThrow();
    other.close();
    await expect(bucket.check()).resolves.toBeUndefined();
  });
});
