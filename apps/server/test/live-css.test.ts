import { randomUUID } from 'node:crypto';
import type { AddressInfo } from 'node:net';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { declaredIn } from '@mint-lamp/core/exchange/css-changes';
import type { FastifyInstance } from 'fastify';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { hashOf, newToken } from '../src/access/token.ts';
import { FORM } from './form.ts';
import { type House, openHouse, type Somebody } from './house.ts';
import { newShare } from './new-share.ts';
import { ownDatabase } from './own-database.ts';

interface Told {
  readonly sheet?: string;
  readonly css?: string;
  readonly drag?: string;
}

const family = SKERRY_LINE.families[0]!.id;
const base = (color: string) => ({ type: 'setBase', family, color });
const NAMES = ['127.0.0.1', 'localhost'];
const FOREIGN = 'https://prototype.example';

let house: House;
let owner: Somebody;
let other: FastifyInstance;
let project: string;
let token: string;
let share: string;
const stops: AbortController[] = [];

beforeAll(async () => {
  house = await openHouse(ownDatabase(), { names: NAMES });
  owner = await house.somebody('owner');
  other = await house.another();
  for (const app of [house.app, other]) await app.listen({ host: '127.0.0.1', port: 0 });
});
beforeEach(async () => {
  ({ id: project } = await house.app.projects.create(owner.id, SKERRY_LINE));
  token = newToken();
  share = (await house.app.shares.make(owner.id, project, hashOf(token), newShare({ kind: 'css' })))!.id;
});
afterEach(() => {
  for (const stop of stops.splice(0)) stop.abort();
});
afterAll(() => house.close());

const addressOf = ({ server }: FastifyInstance) =>
  `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
const at = (app: FastifyInstance, path: string) => `${addressOf(app)}/api/shared/${token}/${path}`;
const get = (path: string, headers = {}, app = other) =>
  fetch(at(app, path), { headers: { origin: FOREIGN, ...headers } });

/** What a page that follows is told; `end` once the stream has ended. */
async function follow(app: FastifyInstance): Promise<{ told: Told[]; end: Promise<void> }> {
  const stop = new AbortController();
  stops.push(stop);
  const answer = await fetch(at(app, 'changes'), { headers: { origin: FOREIGN }, signal: stop.signal });
  expect([answer.status, answer.headers.get('access-control-allow-origin')]).toEqual([200, '*']);
  const told: Told[] = [];
  const read = async () => {
    let text = '';
    for await (const bytes of answer.body!) {
      text += Buffer.from(bytes).toString();
      for (let end = text.indexOf('\n\n'); end !== -1; end = text.indexOf('\n\n')) {
        const [, data] = /^data: (\{.*\})$/m.exec(text.slice(0, end)) ?? [];
        if (data) told.push(JSON.parse(data));
        text = text.slice(end + 2);
      }
    }
  };
  return { told, end: read().catch(() => {}) };
}

const edit = (command: object) =>
  owner.ask('POST', `/api/projects/${project}/commands`, {
    revision: 0,
    commands: [{ id: randomUUID(), command }],
  });
const drag = async (command: object | null, revision = 0) =>
  (await owner.ask('POST', `/api/projects/${project}/drag`, { revision, command })).json();
const delivered = async () => (await owner.ask('GET', `/api/projects/${project}/deliver/css`)).body;

/** However busy the machine is. */
const until = <T>(what: () => T | Promise<T>) => vi.waitFor(what, { timeout: 20_000, interval: 20 });

/** What a page shows that was told all that. */
const shown = (told: readonly Told[]) =>
  told.reduce(
    (page, { sheet, css = '', drag: held = '' }) => ({ sheet: (sheet ?? page.sheet) + css, held }),
    { sheet: '', held: '' },
  );

describe('a live style sheet', () => {
  it('is the CSS of Deliver, read by pages of any origin, and known by what it is', async () => {
    const sheet = await get('colours.css');
    expect([sheet.status, sheet.headers.get('access-control-allow-origin')]).toEqual([200, '*']);
    expect(await sheet.text()).toBe(await delivered());
    const etag = sheet.headers.get('etag')!;
    expect((await get('colours.css', { 'if-none-match': etag })).status).toBe(304);
    await edit(base('#a03060'));
    const later = await get('colours.css', { 'if-none-match': etag });
    expect(await later.text()).toBe(await delivered());
    await edit({ type: 'chooseOfForm', form: 'css', choice: 'code', value: 'oklch' });
    expect(await (await get('colours.css')).text()).toContain('oklch(');
    const script = await get('follow.js');
    expect(script.headers.get('content-type')).toMatch(/javascript/);
    // Nothing else of the server is read by a page of elsewhere.
    for (const path of ['', 'events', 'preview.png']) expect((await get(path)).status).toBe(403);
    const sent = await fetch(at(other, 'notes'), { method: 'POST', headers: { ...FORM, origin: FOREIGN } });
    expect(sent.status).toBe(403);
  });

  it('tells those who follow, at whichever process, of each edit and of a drag while it lasts', async () => {
    const [here, there] = [await follow(house.app), await follow(other)];
    await until(async () => expect(await drag(base('#3060a0'))).toEqual({ followed: true }));
    for (const { told } of [here, there]) await until(() => expect(shown(told).held).toContain('#3060a0'));
    await drag(null);
    await until(() => expect(shown(there.told).held).toBe(''));
    await drag(base('#30a060'));
    await edit(base('#30a060'));
    const wanted = declaredIn(await delivered());
    for (const { told } of [here, there])
      await until(() => {
        const { sheet, held } = shown(told);
        expect(declaredIn(sheet)).toEqual(wanted);
        expect(held).toBe('');
      });
    // What is heard late was let go of with the edit.
    await drag(base('#a0a0a0'));
    await drag(base('#506070'), 1);
    await until(() => expect(shown(there.told).held).toContain('#506070'));
    expect(there.told.some(({ drag: held }) => held?.includes('#a0a0a0'))).toBe(false);
    // What changed was told, and not all of it again.
    expect(there.told.filter(({ sheet }) => sheet !== undefined)).toHaveLength(1);
  });

  it('tells all of it where something is gone, and what a form comes to that is chosen anew', async () => {
    const { told } = await follow(other);
    await edit({ type: 'removeTheme', theme: SKERRY_LINE.themes[1]!.id });
    await edit({ type: 'chooseOfForm', form: 'css', choice: 'text', value: 'small' });
    const wanted = declaredIn(await delivered());
    await until(() => expect(declaredIn(shown(told).sheet)).toEqual(wanted));
  });

  it('is frozen where it is of a revision, and over once it is shut', async () => {
    const before = await delivered();
    const frozen = newToken();
    const now = token;
    await house.app.shares.make(
      owner.id,
      project,
      hashOf(frozen),
      newShare({ kind: 'css' }, { revision: 0 }),
    );
    await edit(base('#a03060'));
    token = frozen;
    expect(await (await get('colours.css')).text()).toBe(before);
    const still = await follow(other);
    await until(() => expect(still.told).toEqual([{ sheet: before }]));
    token = now;
    const live = await follow(other);
    await owner.ask('POST', `/api/projects/${project}/shares/${share}/shut`);
    await live.end;
    expect((await get('changes')).status).toBe(404);
    // Nobody follows a live one any more.
    expect(await drag(base('#3060a0'))).toEqual({ followed: false });
  });

  it('and whoever looks at a share is told that there is something new, and not what', async () => {
    const looked = newToken();
    await house.app.shares.make(owner.id, project, hashOf(looked), newShare({ kind: 'project' }));
    const stop = new AbortController();
    stops.push(stop);
    const events = async (url: string, headers: Record<string, string> = {}) => {
      const answer = await fetch(`${addressOf(other)}/api/${url}/events`, { headers, signal: stop.signal });
      const said = { text: '' };
      const read = async () => {
        for await (const bytes of answer.body!) said.text += Buffer.from(bytes).toString();
      };
      read().catch(() => {});
      return said;
    };
    const outside = await events(`shared/${looked}`);
    const inside = await events(`projects/${project}`, owner.headers);
    await edit(base('#a03060'));
    await owner.ask('POST', `/api/projects/${project}/here`, {
      tab: randomUUID(),
      at: 'grow/deepwater',
      holds: null,
      did: null,
      asks: true,
      leaves: false,
    });
    await until(() =>
      expect(inside.text).toMatch(/"command":\{"type":"setBase"[\s\S]*"at":"grow\/deepwater"/),
    );
    await until(() => expect(outside.text).toContain('{"revision":1}'));
    expect(outside.text).not.toMatch(/setBase|deepwater|owner/);
  });

  it('is not told of by who may not edit, nor with what is no command', async () => {
    const stranger = await house.somebody(randomUUID());
    const answer = await stranger.ask('POST', `/api/projects/${project}/drag`, {
      revision: 0,
      command: null,
    });
    expect(answer.statusCode).toBe(404);
    const wrong = await owner.ask('POST', `/api/projects/${project}/drag`, {
      revision: 0,
      command: { type: 'paint' },
    });
    expect(wrong.statusCode).toBe(400);
  });
});
