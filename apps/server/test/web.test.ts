import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { FastifyInstance } from 'fastify';
import type { DataSource } from 'typeorm';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { buildApp } from '../src/app.ts';
import { openDatabase } from '../src/database/data-source.ts';
import { ownDatabase } from './own-database.ts';

let database: DataSource;
let app: FastifyInstance;
let root: string;

beforeAll(async () => {
  root = mkdtempSync(join(tmpdir(), 'mint-lamp-web-'));
  mkdirSync(join(root, 'assets'));
  writeFileSync(join(root, 'index.html'), '<title>page</title>');
  writeFileSync(join(root, 'assets', 'part-1.js'), 'export {};');
  database = await openDatabase(ownDatabase());
  app = await buildApp({ database, webRoot: root });
});
afterAll(async () => {
  await app.close();
  await database.destroy();
  rmSync(root, { recursive: true });
});

describe('the built interface', () => {
  test.each([
    ['/', 200, 'text/html'],
    ['/p/some-project/grow/deepwater', 200, 'text/html'],
    ['/assets/part-1.js', 200, 'application/javascript'],
    ['/assets/gone-2.js', 404, 'application/json'],
    ['/api/gone', 404, 'application/json'],
    // Nothing outside the folder can be reached: this is the page, not the file.
    ['/assets/../../etc/passwd', 200, 'text/html'],
  ])('%s is answered with %d, %s', async (url, status, type) => {
    const answer = await app.inject(url);
    expect(answer.statusCode).toBe(status);
    expect(answer.headers['content-type']).toContain(type);
  });

  test('named parts are kept by browsers for good, the page is asked for each time', async () => {
    expect((await app.inject('/assets/part-1.js')).headers['cache-control']).toContain('immutable');
    expect((await app.inject('/')).headers['cache-control']).toBe('no-cache');
  });
});
