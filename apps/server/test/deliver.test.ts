import { randomUUID } from 'node:crypto';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { USUAL_DELIVERY } from '@mint-lamp/core/document/delivery/delivery';
import { choicesOf } from '@mint-lamp/core/document/delivery/forms';
import { writeCss } from '@mint-lamp/core/exchange/css';
import { FILE_FORMATS } from '@mint-lamp/core/exchange/file-formats';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import { type HandOver, MOST_HAND_OVERS } from '@mint-lamp/core/wire/hand-overs';
import type { FastifyInstance } from 'fastify';
import type { DataSource } from 'typeorm';
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest';
import { ensureLocalPerson, LOCAL_PERSON } from '../src/access/local-person.ts';
import { buildApp } from '../src/app.ts';
import { openDatabase } from '../src/database/data-source.ts';
import { FORM } from './form.ts';
import { ownDatabase } from './own-database.ts';

let database: DataSource;
let app: FastifyInstance;
let id: string;

beforeAll(async () => {
  database = await openDatabase(ownDatabase());
  await ensureLocalPerson(database);
  app = await buildApp({ database });
  ({ id } = await app.projects.create(LOCAL_PERSON.id, SKERRY_LINE));
});
afterAll(async () => {
  await app.close();
  await database.destroy();
});

const get = (path: string, headers: Record<string, string> = {}) =>
  app.inject({ method: 'GET', url: `/api/projects/${path}`, headers: { ...FORM, ...headers } });
const post = async (path: string, payload: object) => {
  const answer = await app.inject({ method: 'POST', url: `/api/projects/${path}`, headers: FORM, payload });
  return { status: answer.statusCode, body: answer.json() };
};
const edit = async (command: object) => {
  const { body } = await post(`${id}/commands`, { revision: 0, commands: [{ id: randomUUID(), command }] });
  expect(body.outcomes[0].status).toBe('applied');
  return body.revision as number;
};
const what = { forms: ['css'], choices: {}, leftOut: USUAL_DELIVERY.leftOut, file: 'skerry-line.css' };

describe('every form at an address', () => {
  test.each(FILE_FORMATS.map(({ id: form, mediaType }) => [form, mediaType]))(
    '%s',
    async (form, mediaType) => {
      const answer = await get(`${id}/deliver/${form}`);
      expect(answer.statusCode).toBe(200);
      expect(answer.headers['content-type']).toContain(mediaType);
      expect(answer.headers.etag).toMatch(/^"[\w-]+"$/);
      expect(answer.headers['content-security-policy']).toContain("default-src 'none'");
      expect(answer.rawPayload.length).toBeGreaterThan(1000);
    },
  );

  it('is what is chosen at Deliver, unless the query says otherwise', async () => {
    const css = async (query = '') => (await get(`${id}/deliver/css${query}`)).body;
    const system = resolveSystem(SKERRY_LINE);
    const usual = choicesOf({}, 'css');
    expect(await css()).toBe(writeCss(system));
    await edit({ type: 'chooseOfForm', form: 'css', choice: 'code', value: 'hsl' });
    expect(await css()).toBe(writeCss(system, { ...usual, code: 'hsl' }));
    expect(await css('?code=oklch&themes=both&other=Night%20sailing&classes=yes&prefix=sk')).toBe(
      writeCss(system, {
        ...usual,
        code: 'oklch',
        themes: 'both',
        other: 'night',
        classes: true,
        prefix: 'sk',
      }),
    );
    await edit({ type: 'leaveOut', kind: 'theme', ids: ['night'], out: true });
    expect(await css()).not.toContain('night-sailing');
    expect(await css('?everything=true')).toContain('night-sailing');
    await edit({ type: 'leaveOut', kind: 'theme', ids: ['night'], out: false });
  });

  it('is not sent again to whoever has it, until something of it changes', async () => {
    const ask = (tag: string, query = '') => get(`${id}/deliver/scss${query}`, { 'if-none-match': tag });
    const first = await get(`${id}/deliver/scss`);
    const tag = String(first.headers.etag);
    expect((await ask(tag)).statusCode).toBe(304);
    expect((await ask(`"other", ${tag}`)).statusCode).toBe(304);
    expect((await ask(tag, '?code=rgb')).statusCode).toBe(200);
    // The same bytes from the same state.
    expect((await get(`${id}/deliver/scss`)).body).toBe(first.body);
    await edit({ type: 'setBase', family: 'buoy', color: '#aa3311' });
    const changed = await ask(tag);
    expect([changed.statusCode, changed.headers.etag === tag]).toEqual([200, false]);
  });

  it('is that of a checkpoint, or of a hand-over with what was chosen then', async () => {
    const revision = await edit({ type: 'setBase', family: 'kelp', color: '#225522' });
    const { body: checkpoint } = await post(`${id}/checkpoints`, { name: 'Green', revision });
    const { body: handOver } = await post(`${id}/hand-overs`, {
      revision,
      ...what,
      choices: { css: { prefix: 'then' } },
    });
    await edit({ type: 'setBase', family: 'kelp', color: '#774400' });
    const at = async (query: string) => (await get(`${id}/deliver/css?${query}`)).body;
    expect(await at('code=hex')).toContain('#774400');
    expect(await at(`code=hex&checkpoint=${checkpoint.id}`)).toContain('#225522');
    const handed = await at(`handover=${handOver.id}`);
    expect(handed).toContain('--then-kelp-');
    expect(handed).toContain('#225522');
  });

  test.each([
    ['deliver/nothing', 400, /form/],
    ['deliver/css?code=cmyk', 400, /"cmyk" cannot be code: write one of hex, rgb, hsl, oklch/],
    ['deliver/css?colour=red', 400, /"colour" is no choice of css. Known are: roles, themes/],
    ['deliver/css?other=Noon', 400, /write the name of a theme: Day sailing, Night sailing/],
    ['deliver/css?prefix=A%20b', 400, /small letters/],
    [`deliver/css?checkpoint=${randomUUID()}`, 404, /no such checkpoint/],
    [`deliver/css?handover=${randomUUID()}`, 404, /no such hand-over/],
  ])('%s is refused with what would be right', async (path, status, message) => {
    const answer = await get(`${id}/${path}`);
    expect(answer.statusCode).toBe(status);
    expect(answer.json().error.message).toMatch(message);
  });

  it('is not there for a project that is not', async () => {
    expect((await get(`${randomUUID()}/deliver/css`)).statusCode).toBe(404);
  });
});

describe('hand-overs', () => {
  const list = async (of = id): Promise<HandOver[]> => (await get(`${of}/hand-overs`)).json().handOvers;

  it('are what went out, when, of which revision; with the project as it was', async () => {
    const revision = await edit({ type: 'setBase', family: 'lantern', color: '#cc9911' });
    const { status, body } = await post(`${id}/hand-overs`, { revision, ...what });
    expect([status, body.revision, body.file]).toEqual([201, revision, 'skerry-line.css']);
    await edit({ type: 'setBase', family: 'lantern', color: '#000000' });
    expect((await list())[0]).toEqual(body);
    const { document } = (await get(`${id}/hand-overs/${body.id}`)).json();
    expect(document.families.find((family: { id: string }) => family.id === 'lantern').base).toBe('#cc9911');
    const removed = await app.inject({
      method: 'DELETE',
      url: `/api/projects/${id}/hand-overs/${body.id}`,
      headers: FORM,
    });
    expect(removed.statusCode).toBe(204);
    expect((await list()).some((one) => one.id === body.id)).toBe(false);
  });

  it('are bounded: the oldest go', async () => {
    const { id: own } = await app.projects.create(LOCAL_PERSON.id, SKERRY_LINE);
    await database.query(
      `INSERT INTO hand_over (id, project_id, revision, what, at)
       SELECT gen_random_uuid(), $1, 0, $2, now() - n * interval '1 hour' FROM generate_series(1, $3::int) n`,
      [own, JSON.stringify(what), MOST_HAND_OVERS],
    );
    const before = await list(own);
    await post(`${own}/hand-overs`, { revision: 0, ...what });
    const after = await list(own);
    expect(after).toHaveLength(MOST_HAND_OVERS);
    expect(after.slice(1)).toEqual(before.slice(0, -1));
  });

  test.each([
    [{ revision: 99_999, ...what }, 409],
    [{ revision: 0, ...what, forms: [] }, 400],
    [{ revision: 0, ...what, forms: ['paint'] }, 400],
    [{ revision: 0, ...what, choices: { css: { code: 'x' } } }, 400],
    [{ revision: 0, ...what, leftOut: {} }, 400],
  ])('%o is refused', async (body, status) => {
    expect((await post(`${id}/hand-overs`, body)).status).toBe(status);
  });
});
