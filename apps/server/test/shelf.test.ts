import type { NewSet } from '@mint-lamp/core/shelf/shelf-set';
import type { FastifyInstance } from 'fastify';
import type { DataSource } from 'typeorm';
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest';
import { ensureLocalPerson } from '../src/access/local-person.ts';
import { buildApp } from '../src/app.ts';
import { openDatabase } from '../src/database/data-source.ts';
import { shipReadyMade } from '../src/shelf/ship.ts';
import { ownDatabase } from './own-database.ts';

let database: DataSource;
let app: FastifyInstance;

beforeAll(async () => {
  database = await openDatabase(ownDatabase());
  await ensureLocalPerson(database);
  await shipReadyMade(database);
  // A second start puts nothing there twice.
  await shipReadyMade(database);
  app = await buildApp({ database });
});
afterAll(async () => {
  await app.close();
  await database.destroy();
});

const set = (name: string, words: string, ...colors: string[]): NewSet => ({
  name,
  words,
  content: { kind: 'palette', colors: colors.map((color, i) => ({ name: `${name} ${i + 1}`, color })) },
  colors,
});
const publish = async (one: NewSet) => {
  const answer = await app.inject({ method: 'POST', url: '/api/shelf', payload: one });
  expect(answer.statusCode).toBe(201);
  return answer.json();
};
const list = async (query: Record<string, string> = {}) =>
  (await app.inject({ url: `/api/shelf?${new URLSearchParams(query)}` })).json();
const names = async (query: Record<string, string>) =>
  (await list(query)).sets.map(({ name }: { name: string }) => name);

describe('the shelf', () => {
  it('has the sets that ship once, found by words, also by their beginnings', async () => {
    expect(await names({ words: 'verdigris' })).toHaveLength(2);
    expect(await names({ words: 'rust patin' })).toContain('Oxidised copper');
    expect(await names({ words: 'rust nothing-of-the-kind' })).toEqual([]);
    const [{ ours, own }] = (await list({ words: 'oxidised' })).sets;
    expect([ours, own]).toEqual([true, false]);
  });

  it('has what is published: found by words and colours, favoured, adopted, taken back', async () => {
    const made = await publish(set('Gannet colony', 'bird cliff', '#fefefe', '#f2c9a0', '#8811cc'));
    expect(await names({ words: 'gannet' })).toEqual(['Gannet colony']);
    expect(await names({ near: '#8a14cd' })).toContain('Gannet colony');
    expect(await names({ near: '#11cc22', words: 'gannet' })).toEqual([]);
    expect(await names({ only: 'own' })).toContain('Gannet colony');
    const favour = (on: boolean) =>
      app.inject({ method: 'PUT', url: `/api/shelf/${made.id}/favour`, payload: { on } });
    expect((await favour(true)).statusCode).toBe(204);
    await favour(true);
    expect((await app.inject({ method: 'POST', url: `/api/shelf/${made.id}/adopted` })).statusCode).toBe(204);
    const [now] = (await list({ only: 'favourites' })).sets;
    expect(now).toMatchObject({ id: made.id, favoured: 1, favourite: true, adopted: 1, own: true });
    expect((await names({ order: 'adopted' }))[0]).toBe('Gannet colony');
    expect((await names({ order: 'favoured' }))[0]).toBe('Gannet colony');
    await favour(false);
    expect(await names({ only: 'favourites' })).toEqual([]);
    const remove = () => app.inject({ method: 'DELETE', url: `/api/shelf/${made.id}` });
    expect((await remove()).statusCode).toBe(204);
    expect((await remove()).statusCode).toBe(404);
    expect(await names({ words: 'gannet' })).toEqual([]);
  });

  it('does not let go of what ships with Mint Lamp', async () => {
    const [{ id }] = (await list({ words: 'oxidised' })).sets;
    expect((await app.inject({ method: 'DELETE', url: `/api/shelf/${id}` })).statusCode).toBe(404);
  });

  test.each(['new', 'adopted', 'favoured'])(
    'is read page by page in order of %s, each set once',
    async (order) => {
      const seen: string[] = [];
      let after: string | null = null;
      for (let pages = 0; pages < 20; pages++) {
        const page: { sets: { id: string }[]; next: string | null } = await list({
          order,
          ...(after ? { after } : {}),
        });
        seen.push(...page.sets.map(({ id }) => id));
        after = page.next;
        if (!after) break;
      }
      expect(new Set(seen).size).toBe(seen.length);
      const [{ n }] = await database.query('SELECT count(*)::int AS n FROM shelf_set');
      expect(seen.length).toBe(n);
    },
  );

  test.each([
    'name; DROP TABLE shelf_set; --',
    "' OR 1=1",
    '<img src=x onerror=alert(1)>',
    '\\',
    "a'b:*&|!()",
    '%',
    '日本 ñandú',
  ])('takes any name and finds it, as %s', async (name) => {
    const made = await publish(set(name, 'odd', '#123456'));
    expect(await names({ words: 'odd' })).toContain(name);
    await names({ words: name });
    await app.inject({ method: 'DELETE', url: `/api/shelf/${made.id}` });
  });

  test.each([
    [{ near: 'colourless' }, /near/],
    [{ order: 'name' }, /order/],
    [{ only: 'theirs' }, /only/],
  ])('says what is wrong with a question, %#', async (query, message) => {
    const answer = await app.inject({
      url: `/api/shelf?${new URLSearchParams(query as Record<string, string>)}`,
    });
    expect(answer.statusCode).toBe(400);
    expect(answer.json().error.message).toMatch(message);
  });

  it('begins anew where a page is asked for that cannot be', async () => {
    const id = 'ab'.repeat(16).replace(/^(.{8})(.{4})(.{4})(.{4})/, '$1-$2-$3-$4-');
    for (const after of [
      'x',
      `zzz_${id}`,
      '1_------------------------------------',
      `9999999999999999_${id}`,
    ])
      for (const order of ['new', 'adopted', 'favoured'])
        expect((await list({ after, order })).sets?.length, `${after} ${order}`).toBeGreaterThan(0);
  });
});
