import { randomUUID } from 'node:crypto';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { NewShare, Proposal, Share, SharedView, ShareSubject } from '@mint-lamp/core/wire/shares';
import type { InjectOptions } from 'fastify';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { hashOf, newToken } from '../src/access/token.ts';
import { FORM } from './form.ts';
import { type House, openHouse, type Somebody } from './house.ts';
import { keepPicture } from './keep-picture.ts';
import { newShare } from './new-share.ts';
import { ownDatabase } from './own-database.ts';
import { TABLE } from './route-table.ts';

const SECRET_NOTE = 'The harbour master must not read this';
const family = SKERRY_LINE.families[0]!;
const role = SKERRY_LINE.roles[0]!;
const gradient = SKERRY_LINE.gradients[0]!;
const REDDER = { type: 'setBase', family: family.id, color: '#a03040' } as const;

let house: House;
let owner: Somebody;
let project: string;
/** A picture that the hero shows, and one that nothing shows. */
let hero: string;
let unseen: string;

const pictureOf = (id: string, content: string) => ({
  id,
  name: id,
  content,
  width: 1,
  height: 1,
  markers: [],
  moved: [],
  textOver: null,
});

beforeAll(async () => {
  house = await openHouse(ownDatabase());
  owner = await house.somebody('owner');
  ({ id: project } = await house.app.projects.create(owner.id, SKERRY_LINE));
  hero = await keepPicture(house.database, project, { r: 1, g: 0, b: 0 });
  unseen = await keepPicture(house.database, project, { r: 2, g: 0, b: 0 });
  const note = {
    id: 'n1',
    on: { kind: 'role', role: role.id },
    text: SECRET_NOTE,
    by: '',
    at: 0,
    settled: false,
    answers: [],
  };
  const commands = [
    { type: 'addPicture', picture: pictureOf('hero', hero) },
    { type: 'addPicture', picture: pictureOf('unseen', unseen) },
    { type: 'castUse', use: 'hero', link: { to: 'picture', picture: 'hero' } },
    { type: 'addNote', note: { ...note, author: owner.id } },
    { type: 'addNote', note: { ...note, id: 'n2', text: 'For you', author: owner.id, forClient: true } },
  ];
  await send(...commands);
});
afterAll(() => house.close());

async function send(...commands: object[]) {
  const answer = await owner.ask('POST', `/api/projects/${project}/commands`, {
    revision: 0,
    commands: commands.map((command) => ({ id: randomUUID(), command })),
  });
  expect(answer.json().outcomes.map(({ status }: { status: string }) => status)).toEqual(
    commands.map(() => 'applied'),
  );
}

async function shared(
  subject: ShareSubject,
  more: Partial<NewShare> = {},
): Promise<{ share: Share; token: string }> {
  const answer = await owner.ask('POST', `/api/projects/${project}/shares`, newShare(subject, more));
  expect(answer.statusCode).toBe(201);
  return answer.json();
}

const ask = (method: 'GET' | 'POST', url: string, payload?: object, headers: Record<string, string> = {}) =>
  house.app.inject({
    method,
    url,
    headers: { ...FORM, ...headers },
    ...(payload ? { payload } : {}),
  } as InjectOptions);
const look = (token: string, headers = {}) => ask('GET', `/api/shared/${token}`, undefined, headers);
const viewOf = async (token: string): Promise<SharedView> => (await look(token)).json();

/** Every route of shares, with a body that is right. */
const ROUTES = Object.keys(TABLE)
  .filter((route) => route.includes('/api/shared/'))
  .map((route) => {
    const [method, url] = route.split(' ') as ['GET' | 'POST', string];
    return { route, method, url, body: TABLE[route]!.body?.({} as never) };
  });
const OF_CSS = /colours\.css|follow\.js|changes/;

describe('the door of shares', () => {
  /** Tokens by why they open nothing; each of a share that the route would be for. */
  const closed: Record<string, (subject: ShareSubject) => Promise<string>> = {
    wrong: async () => newToken(),
    'no token at all': async () => 'first-light',
    shut: async (subject) => {
      const { share, token } = await shared(subject);
      await owner.ask('POST', `/api/projects/${project}/shares/${share.id}/shut`);
      return token;
    },
    ended: async (subject) => {
      const { share, token } = await shared(subject);
      await house.database.query(`UPDATE share SET ends_at = now() - interval '1 second' WHERE id = $1`, [
        share.id,
      ]);
      return token;
    },
    removed: async (subject) => {
      const { share, token } = await shared(subject);
      await owner.ask('DELETE', `/api/projects/${project}/shares/${share.id}`);
      return token;
    },
    'with another address since': async (subject) => {
      const { share, token } = await shared(subject);
      await owner.ask('POST', `/api/projects/${project}/shares/${share.id}/address`);
      return token;
    },
    'of a removed project': async (subject) => {
      const { id } = await house.app.projects.create(owner.id, SKERRY_LINE);
      const token = newToken();
      await house.app.shares.make(owner.id, id, hashOf(token), newShare(subject));
      await house.app.projects.remove(id);
      return token;
    },
  };
  const cells = Object.keys(closed).flatMap((why) => ROUTES.map((one) => ({ ...one, why })));

  it.each(cells)('is shut, $why: $route', async ({ why, method, url, body }) => {
    const token = await closed[why]!(OF_CSS.test(url) ? { kind: 'css' } : { kind: 'project' });
    const answer = await ask(
      method,
      url.replace(':token', token).replace(':content', hero).replace(':note', 'note-of-nobody'),
      body,
    );
    expect(answer.statusCode).toBe(404);
    // The same words whatever the reason.
    expect(answer.json().error.message).toBe('There is nothing at this address, or not any more.');
  });

  // What a share of each kind is for; all other routes answer as if it were not there.
  const FOR: readonly (readonly [ShareSubject, Partial<NewShare>, RegExp])[] = [
    [{ kind: 'project' }, {}, /token$|unlock|events|preview|pictures|notes|proposals/],
    [{ kind: 'project' }, { tries: false, notes: false }, /token$|unlock|events|preview|pictures/],
    [{ kind: 'report' }, {}, /token$|unlock|events|preview|notes/],
    [{ kind: 'gradient', gradient: gradient.id }, {}, /token$|unlock|events|preview|notes/],
    [{ kind: 'tray', group: null }, {}, /token$|unlock|events|preview/],
    [{ kind: 'css' }, {}, /unlock|colours|follow|changes/],
  ];
  const kinds = FOR.flatMap(([subject, more, open]) =>
    ROUTES.filter(({ url }) => !open.test(url)).map((one) => ({ ...one, subject, more })),
  );
  it.each(kinds)('of a share of $subject.kind does not lead to $route', async ({ subject, more, ...one }) => {
    const { token } = await shared(subject, more);
    const url = one.url.replace(':token', token).replace(':content', hero).replace(':note', 'note-of-nobody');
    expect((await ask(one.method, url, one.body)).statusCode).toBe(404);
  });

  it('opens with its passphrase alone, for the browser that gave it, and counts what is tried', async () => {
    const { token } = await shared({ kind: 'project' }, { passphrase: 'grey holm' });
    const other = await shared({ kind: 'project' }, { passphrase: 'grey holm' });
    for (const { method, url, body } of ROUTES.filter(
      ({ url }) => !OF_CSS.test(url) && !/unlock/.test(url),
    )) {
      const answer = await ask(
        method,
        url.replace(':token', token).replace(':content', hero).replace(':note', 'note-of-nobody'),
        body,
      );
      expect([url, answer.statusCode, answer.json().error.code]).toEqual([url, 401, 'SHARE_LOCKED']);
    }
    const unlock = (words: string) => ask('POST', `/api/shared/${token}/unlock`, { passphrase: words });
    expect((await unlock('Grey Holm')).statusCode).toBe(401);
    const right = await unlock('grey holm');
    const [cookie] = right.cookies;
    expect(cookie).toMatchObject({
      path: `/api/shared/${token}`,
      httpOnly: true,
      secure: true,
      sameSite: 'Strict',
    });
    const key = { cookie: `${cookie!.name}=${cookie!.value}` };
    expect((await look(token, key)).statusCode).toBe(200);
    // The same words open another one; its key does not.
    expect((await look(other.token, key)).statusCode).toBe(401);
    const tried = [];
    for (let i = 0; i < 12; i++) tried.push((await unlock('no')).statusCode);
    expect(tried.at(-1)).toBe(429);
  });
});

describe('what a share shows', () => {
  const KINDS: readonly ShareSubject[] = [
    { kind: 'project' },
    { kind: 'scene', scene: 'board' },
    { kind: 'report' },
    { kind: 'gradient', gradient: gradient.id },
    { kind: 'family', family: family.id },
    { kind: 'tray', group: null },
    { kind: 'set', set: '' },
  ];
  it.each(KINDS)('of $kind is nothing but what it is for', async (kind) => {
    const sets = (await owner.ask('GET', '/api/shelf')).json().sets;
    const subject = kind.kind === 'set' ? { ...kind, set: sets[0].id } : kind;
    const { token } = await shared(subject);
    const answer = await look(token);
    expect(answer.statusCode).toBe(200);
    expect(answer.headers['x-robots-tag']).toContain('noindex');
    const { body } = answer;
    expect(body).not.toContain(SECRET_NOTE);
    expect(body).not.toContain(owner.id);
    expect(body).not.toContain(project);
    expect(body).not.toContain(unseen);
    if (kind.kind !== 'project' && kind.kind !== 'scene') expect(body).not.toContain(hero);
    if (kind.kind !== 'tray')
      for (const { name } of SKERRY_LINE.tray) expect(body).not.toContain(`"${name}"`);
    const other = SKERRY_LINE.families.at(-1)!.name;
    if (kind.kind === 'gradient' || kind.kind === 'family' || kind.kind === 'tray' || kind.kind === 'set')
      expect(body).not.toContain(other);
  });

  it('shows the pictures that are seen in it, and no others of its project', async () => {
    const { token } = await shared({ kind: 'project' });
    const picture = await ask('GET', `/api/shared/${token}/pictures/${hero}`);
    expect([picture.statusCode, picture.headers['content-type']]).toEqual([200, 'image/png']);
    expect((await ask('GET', `/api/shared/${token}/pictures/${unseen}`)).statusCode).toBe(404);
    const preview = await ask('GET', `/api/shared/${token}/preview.png`);
    expect(await sharp(preview.rawPayload).metadata()).toMatchObject({
      width: 1200,
      height: 630,
      format: 'png',
    });
  });

  it('goes on with the project, or stays what it was, and counts who opened it', async () => {
    const live = await shared({ kind: 'family', family: family.id });
    const frozen = await shared({ kind: 'family', family: family.id }, { revision: 0 });
    await send(REDDER);
    const baseOf = async (token: string) => {
      const { shown } = await viewOf(token);
      return (shown as { document: ProjectDocument }).document.families[0]!.base;
    };
    expect(await baseOf(live.token)).toBe('#a03040');
    expect(await baseOf(frozen.token)).toBe(family.base);
    await ask('GET', `/api/shared/${live.token}?again=true`);
    const list: Share[] = (await owner.ask('GET', `/api/projects/${project}/shares`)).json().shares;
    const seen = list.find(({ id }) => id === live.share.id)!;
    expect(seen.opened).toBe(1);
    expect(Date.parse(seen.openedAt!)).toBeGreaterThan(Date.parse(seen.madeAt) - 1);
    expect(JSON.stringify(list)).not.toContain(live.token);
  });

  it('says its name and colours to a messenger, and of a locked or wrong one the same nothing', async () => {
    const page = async (token: string) => {
      const answer = await ask('GET', `/s/${token}`);
      expect([answer.statusCode, answer.headers['x-robots-tag']]).toEqual([
        200,
        'noindex, nofollow, noarchive',
      ]);
      return answer.body;
    };
    const name = '<script>"Day & night"';
    const { token } = await shared({ kind: 'project' }, { name });
    const open = await page(token);
    expect(open).toContain('<title>&lt;script&gt;');
    expect(open).not.toContain('<script>"');
    expect(open).toContain(`content="https://lamp.skerry-line.example/api/shared/${token}/preview.png"`);
    const locked = await shared({ kind: 'project' }, { passphrase: 'grey holm', name });
    const plain = await page(newToken());
    expect(await page(locked.token)).toBe(plain);
    expect(await page('no-token')).toBe(plain);
  });
});

describe('what comes back by a share', () => {
  const note = { by: 'Nis', on: { kind: 'role', role: role.id }, text: 'Lighter, please' };

  it('is a note by name, for the client, on what is there', async () => {
    const { token } = await shared({ kind: 'project' });
    const post = (body: object) => ask('POST', `/api/shared/${token}/notes`, body);
    expect((await post(note)).statusCode).toBe(201);
    const { document } = (await owner.ask('GET', `/api/projects/${project}`)).json();
    expect(document.notes.at(-1)).toMatchObject({ ...note, forClient: true, settled: false });
    expect(document.notes.at(-1).author).toBeUndefined();
    const { shown } = await viewOf(token);
    expect((shown as { document: ProjectDocument }).document.notes.map(({ text }) => text)).toEqual([
      'For you',
      note.text,
    ]);
    expect((await post({ ...note, on: { kind: 'role', role: 'gone' } })).statusCode).toBe(400);
    expect((await post({ ...note, by: ' ' })).statusCode).toBe(400);
    expect((await post({ ...note, text: 'x'.repeat(2001) })).statusCode).toBe(400);
    expect((await post({ ...note, author: owner.id })).statusCode).toBe(400);
    expect((await post({ ...note, on: { kind: 'project' } })).statusCode).toBe(201);
  });

  it('is a note on all of it, or on a scene, only where that is what is shared', async () => {
    const { token } = await shared({ kind: 'scene', scene: 'board' });
    const post = async (on: object) =>
      (await ask('POST', `/api/shared/${token}/notes`, { ...note, on })).statusCode;
    expect(await post({ kind: 'scene', scene: 'board' })).toBe(201);
    expect(await post({ kind: 'scene', scene: 'phone' })).toBe(400);
    expect(await post({ kind: 'project' })).toBe(400);
  });

  it('is an answer by name to a note that is for the client, and to no other', async () => {
    const { token } = await shared({ kind: 'project' });
    const frozen = await shared({ kind: 'project' }, { revision: 0 });
    const said = (id: string, more: object = {}) => ({
      id,
      on: note.on,
      text: id,
      author: owner.id,
      by: '',
      at: 1,
      settled: false,
      answers: [],
      ...more,
    });
    await send(
      { type: 'addNote', note: said('for-them', { forClient: true }) },
      { type: 'addNote', note: said('among-us') },
    );
    const answer = (id: string, body: object = { by: 'Nis', text: 'As light as that' }, of = token) =>
      ask('POST', `/api/shared/${of}/notes/${id}/answers`, body);
    expect((await answer('for-them')).statusCode).toBe(201);
    expect((await answer('among-us')).statusCode).toBe(404);
    expect((await answer('for-them', { by: 'Nis', text: ' ' })).statusCode).toBe(400);
    expect((await answer('for-them', { by: '', text: 'Yes' })).statusCode).toBe(400);
    // What is shown as it was is talked about as it is.
    expect((await answer('for-them', { by: 'Nis', text: 'Still' }, frozen.token)).statusCode).toBe(201);
    for (const of of [token, frozen.token]) {
      const { shown } = await viewOf(of);
      const { notes } = (shown as { document: ProjectDocument }).document;
      const [one] = notes.filter(({ id }) => id === 'for-them');
      expect(one!.answers.map(({ by, text, author }) => [by, text, author])).toEqual([
        ['Nis', 'As light as that', undefined],
        ['Nis', 'Still', undefined],
      ]);
      expect(notes.map(({ id }) => id)).not.toContain('among-us');
    }
    const { document } = (await owner.ask('GET', `/api/projects/${project}`)).json();
    expect(document.notes.find(({ id }: { id: string }) => id === 'for-them').answers).toHaveLength(2);
  });

  it('is a proposal, with what was there then, and nothing that does not fit what was shown', async () => {
    const { token } = await shared({ kind: 'project' });
    const { revision, shown } = await viewOf(token);
    const { document } = shown as { document: ProjectDocument };
    const link = { type: 'setLink', role: role.id, theme: document.themes[0]!.id } as const;
    const commands = [
      { ...REDDER, color: '#102030' },
      { ...REDDER, color: '#204060' },
      { ...link, link: { to: 'shade', family: family.id, shade: '300' } },
    ];
    const post = (more: object) =>
      ask('POST', `/api/shared/${token}/proposals`, {
        by: 'Nis',
        words: 'Bluer?',
        revision,
        commands,
        ...more,
      });
    expect((await post({})).statusCode).toBe(204);
    const list: Proposal[] = (await owner.ask('GET', `/api/projects/${project}/proposals`)).json().proposals;
    expect(list).toHaveLength(1);
    expect(list[0]).toMatchObject({ by: 'Nis', words: 'Bluer?', share: 'For Nis', state: 'open', revision });
    // The last of what was tried on each thing.
    expect(list[0]!.parts.map(({ command }) => command)).toEqual(commands.slice(1));
    expect(list[0]!.parts.map(({ then }) => then)).toEqual([
      { ...REDDER, color: document.families[0]!.base },
      { ...link, link: role.links[link.theme] },
    ]);
    for (const wrong of [
      { commands: [{ ...REDDER, family: 'gone' }] },
      { commands: [{ type: 'removeFamily', family: family.id }] },
      { commands: [] },
      { revision: revision + 1 },
      { words: 'x'.repeat(2001) },
    ])
      expect([400, 404]).toContain((await post(wrong)).statusCode);
    const state = `/api/projects/${project}/proposals/${list[0]!.id}`;
    expect((await owner.ask('PUT', state, { state: 'taken' })).statusCode).toBe(204);
    expect((await owner.ask('DELETE', state)).statusCode).toBe(204);
    expect((await owner.ask('DELETE', state)).statusCode).toBe(404);
  });
});

it('is made with an end, of what can be, and no more than there may be', async () => {
  const make = (share: object) => owner.ask('POST', `/api/projects/${project}/shares`, share);
  const right = newShare({ kind: 'project' });
  const in6Years = new Date(Date.now() + 6 * 366 * 24 * 60 * 60 * 1000).toISOString();
  for (const wrong of [
    { endsAt: new Date(0).toISOString() },
    { endsAt: in6Years },
    { endsAt: 'soon' },
    { passphrase: 'short' },
    { name: '' },
    { subject: { kind: 'everything' } },
    { subject: { kind: 'report' }, tries: true },
    { subject: { kind: 'css' }, tries: false, notes: false, passphrase: 'grey holm' },
  ])
    expect((await make({ ...right, ...wrong })).statusCode).toBe(400);
  expect((await make({ ...right, revision: 10_000 })).statusCode).toBe(409);
  const hidden = { ...newShare({ kind: 'set', set: randomUUID() }) };
  expect((await make(hidden)).statusCode).toBe(404);
  await house.database.query(
    `INSERT INTO share (id, project_id, token, name, subject, tries, notes, ends_at)
     SELECT gen_random_uuid(), $1, decode(md5(n::text), 'hex'), 'Old', '{"kind":"project"}', false, false, now()
     FROM generate_series(1, 200) n`,
    [project],
  );
  const full = await make(right);
  expect([full.statusCode, full.json().error.code]).toEqual([409, 'TOO_MANY']);
});
