import { mkdtempSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { cleanDrawing, FERRY_DRAWING } from '@mint-lamp/core/demo/drawings';
import { OLD_COLOURS_SHEET, OLD_SHEET, OLD_SITE_SHEET } from '@mint-lamp/core/demo/page';
import { LIBRARY_HOST } from '@mint-lamp/core/wire/pictures';
import type { FastifyInstance } from 'fastify';
import type { DataSource } from 'typeorm';
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest';
import { ensureLocalPerson } from '../src/access/local-person.ts';
import { buildApp } from '../src/app.ts';
import { openDatabase } from '../src/database/data-source.ts';
import { openLibrary } from '../src/demo/library.ts';
import { FORM } from './form.ts';
import { ownDatabase } from './own-database.ts';

let database: DataSource;
let app: FastifyInstance;
let library: Awaited<ReturnType<typeof openLibrary>>;
let other: Server;
let project: string;

beforeAll(async () => {
  database = await openDatabase(ownDatabase());
  await ensureLocalPerson(database);
  library = await openLibrary(mkdtempSync(join(tmpdir(), 'mint-lamp-library-')));
  other = createServer(({ url }, response) => {
    if (url === '/page')
      response.end(
        '<link rel=stylesheet href="/a.css"><link rel="stylesheet" href="http://127.0.0.1/b.css"><p>x',
      );
    else if (url === '/a.css') response.end('p{color:#123456}');
    else if (url === '/in.css')
      response.end(
        '@import url("a.css"); @import "http://10.0.0.1/b.css"; @import \'in.css\' print;b{color:red}',
      );
    else if (url === '/large') response.writeHead(200, { 'content-length': '99999999' }).end();
    else response.writeHead(404).end();
  });
  await new Promise<void>((ready) => other.listen(0, '127.0.0.1', ready));
  const standIns = new Map([...library.standIns, ['outside.example', (other.address() as AddressInfo).port]]);
  app = await buildApp({ database, outside: { ...library, standIns } });
  project = (await app.inject({ method: 'POST', url: '/api/projects', payload: { name: 'Art' } })).json().id;
});
afterAll(async () => {
  await app.close();
  await library.close();
  other.close();
  await database.destroy();
});

const fetched = (address: string, id = project) =>
  app.inject({ method: 'POST', url: `/api/projects/${id}/artworks/fetched`, payload: { address } });

describe('artwork by address', () => {
  it('comes as text, a page with its style sheets; what is not there of these is empty', async () => {
    const { artworks } = (await app.inject({ url: '/api/library' })).json();
    expect(artworks).toHaveLength(4);
    const page = (await fetched(`http://${LIBRARY_HOST}/deck-notices.html`)).json();
    expect(page).toMatchObject({ sheets: [OLD_SHEET], name: 'deck-notices' });
    expect((await fetched(`http://${LIBRARY_HOST}/ferry.svg`)).json()).toMatchObject({
      text: FERRY_DRAWING,
      sheets: [],
    });
    expect((await fetched('http://outside.example/page')).json()).toMatchObject({
      sheets: ['p{color:#123456}', ''],
    });
  });

  it('comes before there is a project too', async () => {
    const answer = await app.inject({
      method: 'POST',
      url: '/api/artworks/fetched',
      payload: { address: `http://${LIBRARY_HOST}/deck-notices.html` },
    });
    expect(answer.json()).toMatchObject({ sheets: [OLD_SHEET], name: 'deck-notices' });
  });

  it('comes with what its sheets take in, before them, each once; a sheet stands for itself', async () => {
    const page = (await fetched(`http://${LIBRARY_HOST}/timetable.html`)).json();
    expect(page.addresses).toEqual([
      `http://${LIBRARY_HOST}/old-colours.css`,
      `http://${LIBRARY_HOST}/old-site.css`,
    ]);
    expect(page.sheets).toEqual([OLD_COLOURS_SHEET, OLD_SITE_SHEET]);
    // One that takes itself in, and one from where nothing is fetched.
    expect((await fetched('http://outside.example/in.css')).json()).toMatchObject({
      addresses: ['http://outside.example/a.css', 'http://10.0.0.1/b.css'],
      sheets: ['p{color:#123456}', ''],
      text: expect.stringContaining('b{color:red}'),
    });
  });

  test.each([
    ['http://127.0.0.1/', 'ADDRESS_REFUSED', /pages are fetched from the public web only/],
    ['http://localhost/', 'ADDRESS_REFUSED', /public web only/],
    ['ftp://outside.example/', 'ADDRESS_REFUSED', /^Pages are fetched by https or http/],
    ['http://outside.example/nothing', 'ADDRESS_FAILED', /404 instead of a page/],
    ['http://outside.example/large', 'TOO_LARGE', /larger than 4 MB/],
  ])('%s is refused: %s', async (address, code, message) => {
    const { error } = (await fetched(address)).json();
    expect(error.code).toBe(code);
    expect(error.message).toMatch(message);
  });

  it('is fetched for a project that there is alone', async () => {
    const answer = await fetched(`http://${LIBRARY_HOST}/ferry.svg`, '5ce77000-0000-4000-8000-00000000ffff');
    expect(answer.statusCode).toBe(404);
  });
});

describe('a drawing that was not cleaned', () => {
  test.each([
    ['cleaned', () => cleanDrawing(FERRY_DRAWING), 'applied'],
    [
      'with a script',
      () => `${cleanDrawing(FERRY_DRAWING).replace('</svg>', '<script>x()</script></svg>')}`,
      null,
    ],
  ])('is no command: %s', async (_, content, status) => {
    const artwork = {
      id: `a${Math.random()}`.replace('.', ''),
      name: `Ferry ${Math.random()}`,
      kind: 'drawing',
      content: content(),
      links: {},
    };
    const { revision } = (await app.inject({ url: `/api/projects/${project}`, headers: FORM })).json();
    const answer = await app.inject({
      method: 'POST',
      url: `/api/projects/${project}/commands`,
      headers: FORM,
      payload: {
        revision,
        commands: [{ id: crypto.randomUUID(), command: { type: 'addArtwork', artwork } }],
      },
    });
    if (status) expect(answer.json().outcomes).toMatchObject([{ status }]);
    else {
      expect(answer.statusCode).toBe(400);
      expect(answer.json().error.message).toContain('no drawing that was cleaned');
    }
  });
});
