import { createHash, randomUUID } from 'node:crypto';
import type { AddressInfo } from 'node:net';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { PERSON_HEADER } from '@mint-lamp/core/wire/access';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { newToken } from '../src/access/token.ts';
import { FORM } from './form.ts';
import { cookieOf, type House, openHouse, type Somebody } from './house.ts';

// Every route of the server, asked by everybody that there can be: what is answered stands here, and nothing else may be.

/** Who asks, in the order of the columns. */
const WHO = ['nobody', 'stranger', 'looker', 'noter', 'editor', 'owner', 'removed', 'ended'] as const;
type Who = (typeof WHO)[number];

/** What a cell is about: a team with its people, and things of theirs made for this cell alone. */
interface Things {
  readonly team: string;
  readonly project: string;
  readonly removedProject: string;
  readonly checkpoint: string;
  readonly handOver: string;
  readonly picture: string;
  readonly member: string;
  readonly invitation: string;
  readonly set: string;
}

interface Line {
  /** Statuses in the order of `WHO`; `·` repeats the one before. */
  readonly cells: string;
  readonly at?: (things: Things) => string;
  readonly body?: (things: Things) => object;
}

const IN_PROJECT = '401 404 200 · · · 404 401';
const EDITS_PROJECT = (ok: number) => `401 404 403 · ${ok} · 404 401`;
const OWNS_PROJECT = (ok: number) => `401 404 403 · · ${ok} 404 401`;
const OWNS_TEAM = (ok: number) => `401 404 403 · · ${ok} 404 401`;
const SIGNED_IN = (ok: number) => `401 ${ok} · · · · · 401`;
const ANYBODY = (ok: number) => `${ok} · · · · · · ·`;
/** Nobody of these looks after the server. */
const ADMINISTRATOR = '401 404 · · · · · 401';

const DELIVERY = { ...SKERRY_LINE.delivery };
const PROOF = { passphrase: 'not the right one at all' };

const TABLE: Readonly<Record<string, Line>> = {
  'GET /api/health': { cells: ANYBODY(200) },
  'GET /api/ready': { cells: ANYBODY(200) },
  'GET /api/licences': { cells: ANYBODY(200) },
  'GET /api/me': { cells: ANYBODY(200) },
  'POST /api/sign-in': {
    cells: ANYBODY(401),
    body: () => ({ email: 'nobody@skerry-line.example', ...PROOF }),
  },
  'POST /api/sign-out': { cells: ANYBODY(204) },
  'POST /api/passphrase/forgotten': {
    cells: ANYBODY(204),
    body: () => ({ email: `${randomUUID()}@skerry-line.example` }),
  },
  'POST /api/passphrase/new': {
    cells: ANYBODY(404),
    body: () => ({ token: newToken(), passphrase: 'five gulls over Oster Skerry' }),
  },
  'POST /api/invitation/look': { cells: ANYBODY(404), body: () => ({ token: newToken() }) },
  'POST /api/invitation/take': { cells: ANYBODY(404), body: () => ({ token: newToken() }) },

  'GET /api/account': { cells: SIGNED_IN(200) },
  'PUT /api/account': { cells: SIGNED_IN(204), body: () => ({ name: 'Another name' }) },
  'GET /api/account/data': { cells: SIGNED_IN(200) },
  'PUT /api/account/passphrase': {
    cells: '401 · · · · · · ·',
    body: () => ({ present: 'not the right one at all', next: 'five gulls over Oster Skerry' }),
  },
  'GET /api/account/sessions': { cells: SIGNED_IN(200) },
  'DELETE /api/account/sessions': { cells: SIGNED_IN(204) },
  'DELETE /api/account/sessions/:id': { cells: SIGNED_IN(404), at: () => randomUUID() },
  'POST /api/account/second-factor': { cells: '401 · · · · · · ·', body: () => PROOF },
  'PUT /api/account/second-factor': { cells: SIGNED_IN(404), body: () => ({ code: '123456' }) },
  'DELETE /api/account/second-factor': { cells: '401 · · · · · · ·', body: () => PROOF },
  'POST /api/account/recovery-codes': { cells: '401 · · · · · · ·', body: () => PROOF },
  'DELETE /api/account': { cells: '401 · · · · · · ·', body: () => PROOF },

  'GET /api/server/people': { cells: ADMINISTRATOR },
  'PUT /api/server/people/:id': {
    cells: ADMINISTRATOR,
    at: ({ member }) => member,
    body: () => ({ administrator: true }),
  },
  'POST /api/server/invitations': {
    cells: ADMINISTRATOR,
    body: () => ({ email: `${randomUUID()}@skerry-line.example` }),
  },
  'DELETE /api/server/invitations/:id': { cells: ADMINISTRATOR, at: () => randomUUID() },
  'GET /api/mailbox': { cells: ADMINISTRATOR },

  'GET /api/teams': { cells: SIGNED_IN(200) },
  'POST /api/teams': { cells: SIGNED_IN(201), body: () => ({ name: 'Another team' }) },
  'GET /api/teams/:id': { cells: IN_PROJECT, at: ({ team }) => team },
  'PUT /api/teams/:id': {
    cells: OWNS_TEAM(204),
    at: ({ team }) => team,
    body: () => ({ name: 'Crew' }),
  },
  'DELETE /api/teams/:id': { cells: OWNS_TEAM(409), at: ({ team }) => team },
  'POST /api/teams/:id/projects': {
    cells: EDITS_PROJECT(201),
    at: ({ team }) => `${team}/projects`,
    body: () => ({ name: 'Winter timetable' }),
  },
  'PUT /api/teams/:id/members/:person': {
    cells: OWNS_TEAM(204),
    at: ({ team, member }) => `${team}/members/${member}`,
    body: () => ({ access: 'noter' }),
  },
  'DELETE /api/teams/:id/members/:person': {
    cells: OWNS_TEAM(204),
    at: ({ team, member }) => `${team}/members/${member}`,
  },
  'POST /api/teams/:id/leave': { cells: '401 404 204 · · 409 404 401', at: ({ team }) => `${team}/leave` },
  'POST /api/teams/:id/invitations': {
    cells: OWNS_TEAM(201),
    at: ({ team }) => `${team}/invitations`,
    body: () => ({ email: `${randomUUID()}@skerry-line.example`, access: 'looker' }),
  },
  'POST /api/teams/:id/invitations/:invitation/again': {
    cells: OWNS_TEAM(200),
    at: ({ team, invitation }) => `${team}/invitations/${invitation}/again`,
  },
  'DELETE /api/teams/:id/invitations/:invitation': {
    cells: OWNS_TEAM(204),
    at: ({ team, invitation }) => `${team}/invitations/${invitation}`,
  },

  'GET /api/projects': { cells: SIGNED_IN(200) },
  'POST /api/projects': { cells: SIGNED_IN(201), body: () => ({ name: 'My own' }) },
  'GET /api/projects/:id': { cells: IN_PROJECT, at: ({ project }) => project },
  'DELETE /api/projects/:id': { cells: EDITS_PROJECT(204), at: ({ project }) => project },
  'GET /api/projects/removed': { cells: SIGNED_IN(200) },
  'POST /api/projects/removed/:id/back': {
    cells: EDITS_PROJECT(204),
    at: ({ removedProject }) => `${removedProject}/back`,
  },
  'DELETE /api/projects/removed/:id': {
    cells: OWNS_PROJECT(204),
    at: ({ removedProject }) => removedProject,
  },
  'GET /api/projects/:id/news': { cells: IN_PROJECT, at: ({ project }) => `${project}/news?after=0` },
  'GET /api/projects/:id/entries': {
    cells: '401 404 · · · · · 401',
    at: ({ project }) => `${project}/entries`,
  },
  // Which commands a noter may make is told one by one; the request is theirs to make.
  'POST /api/projects/:id/commands': {
    cells: '401 404 403 200 · · 404 401',
    at: ({ project }) => `${project}/commands`,
    body: () => ({ revision: 0, commands: [] }),
  },
  'GET /api/projects/:id/events': { cells: IN_PROJECT, at: ({ project }) => `${project}/events` },
  'GET /api/projects/:id/people': { cells: IN_PROJECT, at: ({ project }) => `${project}/people` },
  'PUT /api/projects/:id/people/:person': {
    cells: OWNS_PROJECT(204),
    at: ({ project, member }) => `${project}/people/${member}`,
    body: () => ({ access: 'none' }),
  },
  'PUT /api/projects/:id/owner': {
    cells: OWNS_PROJECT(204),
    at: ({ project }) => `${project}/owner`,
    body: () => ({ team: null }),
  },
  'GET /api/projects/:id/history': { cells: IN_PROJECT, at: ({ project }) => `${project}/history` },

  'GET /api/projects/:id/checkpoints': { cells: IN_PROJECT, at: ({ project }) => `${project}/checkpoints` },
  'POST /api/projects/:id/checkpoints': {
    cells: EDITS_PROJECT(201),
    at: ({ project }) => `${project}/checkpoints`,
    body: () => ({ name: 'Before the storm', revision: 0 }),
  },
  'GET /api/projects/:id/checkpoints/:checkpoint': {
    cells: IN_PROJECT,
    at: ({ project, checkpoint }) => `${project}/checkpoints/${checkpoint}`,
  },
  'PUT /api/projects/:id/checkpoints/:checkpoint': {
    cells: EDITS_PROJECT(200),
    at: ({ project, checkpoint }) => `${project}/checkpoints/${checkpoint}`,
    body: () => ({ name: 'After the storm' }),
  },
  'DELETE /api/projects/:id/checkpoints/:checkpoint': {
    cells: EDITS_PROJECT(204),
    at: ({ project, checkpoint }) => `${project}/checkpoints/${checkpoint}`,
  },
  'GET /api/projects/:id/hand-overs': { cells: IN_PROJECT, at: ({ project }) => `${project}/hand-overs` },
  'POST /api/projects/:id/hand-overs': {
    cells: EDITS_PROJECT(201),
    at: ({ project }) => `${project}/hand-overs`,
    body: () => ({
      revision: 0,
      forms: ['css'],
      choices: DELIVERY.choices,
      leftOut: DELIVERY.leftOut,
      file: 'colours.css',
    }),
  },
  'GET /api/projects/:id/hand-overs/:handOver': {
    cells: IN_PROJECT,
    at: ({ project, handOver }) => `${project}/hand-overs/${handOver}`,
  },
  'DELETE /api/projects/:id/hand-overs/:handOver': {
    cells: EDITS_PROJECT(204),
    at: ({ project, handOver }) => `${project}/hand-overs/${handOver}`,
  },
  'GET /api/projects/:id/deliver/:form': { cells: IN_PROJECT, at: ({ project }) => `${project}/deliver/css` },
  'GET /api/projects/:id/report': { cells: IN_PROJECT, at: ({ project }) => `${project}/report` },

  'POST /api/projects/:id/pictures': {
    cells: EDITS_PROJECT(422),
    at: ({ project }) => `${project}/pictures`,
  },
  'POST /api/projects/:id/pictures/fetched': {
    cells: EDITS_PROJECT(422),
    at: ({ project }) => `${project}/pictures/fetched`,
    body: () => ({ address: 'http://127.0.0.1/a.png' }),
  },
  'GET /api/projects/:id/pictures/:content': {
    cells: IN_PROJECT,
    at: ({ project, picture }) => `${project}/pictures/${picture}`,
  },
  'GET /api/projects/:id/pictures/:content/small': {
    cells: IN_PROJECT,
    at: ({ project, picture }) => `${project}/pictures/${picture}/small`,
  },
  'GET /api/projects/:id/pictures/:content/region': {
    cells: IN_PROJECT,
    at: ({ project, picture }) => `${project}/pictures/${picture}/region?x=0&y=0&width=1&height=1`,
  },
  'POST /api/projects/:id/artworks/fetched': {
    cells: EDITS_PROJECT(422),
    at: ({ project }) => `${project}/artworks/fetched`,
    body: () => ({ address: 'http://127.0.0.1/a.html' }),
  },

  'GET /api/library': { cells: SIGNED_IN(200) },
  'GET /api/shelf': { cells: SIGNED_IN(200) },
  'POST /api/shelf': {
    cells: SIGNED_IN(201),
    body: () => ({
      name: 'Rust fog',
      words: 'autumn',
      content: { kind: 'palette', colors: [{ name: 'Rust', color: '#884422' }] },
      colors: ['#884422'],
    }),
  },
  'DELETE /api/shelf/:id': { cells: '401 404 · · · 204 404 401', at: ({ set }) => set },
  'PUT /api/shelf/:id/favour': {
    cells: '401 404 204 · · · 404 401',
    at: ({ set }) => `${set}/favour`,
    body: () => ({ on: true }),
  },
  'POST /api/shelf/:id/adopted': {
    cells: '401 404 204 · · · 404 401',
    at: ({ set }) => `${set}/adopted`,
  },
};

/** The part of a route's address before its own things. */
const PREFIX =
  /^\/api\/(teams|projects\/removed|projects|shelf|account\/sessions|server\/(?:people|invitations))(?=\/:)/;

let house: House;
let address: string;
const people = {} as Record<Exclude<Who, 'nobody'>, Somebody>;
let spare: Somebody;
const routes: { method: string; url: string }[] = [];

beforeAll(async () => {
  house = await openHouse(inject('databaseUrl'));
  for (const who of WHO) if (who !== 'nobody') people[who] = await house.somebody(who);
  spare = await house.somebody('spare');
  await house.app.sessions.endOthers(people.ended.id, randomUUID());
  routes.push(...house.app.guardedRoutes);
  await house.app.listen({ host: '127.0.0.1', port: 0 });
  address = `http://127.0.0.1:${(house.app.server.address() as AddressInfo).port}`;
});
afterAll(() => house.close());

/** A picture of one pixel, another each time. */
async function png(): Promise<Buffer> {
  const background = { r: pixels % 256, g: (pixels >> 8) % 256, b: 0 };
  pixels += 1;
  return sharp({ create: { width: 1, height: 1, channels: 3, background } })
    .png()
    .toBuffer();
}
let pixels = 0;

/** A team with everybody in it, and things of theirs. */
async function make(): Promise<Things> {
  const { app, database } = house;
  const team = await app.teams.make(people.owner.id, 'Ferry crew');
  for (const who of ['looker', 'noter', 'editor'] as const)
    await database.query('INSERT INTO membership (team_id, person_id, access) VALUES ($1, $2, $3)', [
      team,
      people[who].id,
      who,
    ]);
  for (const who of [people.removed, people.ended, spare])
    await database.query(`INSERT INTO membership (team_id, person_id, access) VALUES ($1, $2, 'editor')`, [
      team,
      who.id,
    ]);
  await app.teams.removeMember(team, people.removed.id);
  const { id: project } = await app.projects.create(team, SKERRY_LINE);
  const { id: removedProject } = await app.projects.create(team, SKERRY_LINE);
  await app.projects.remove(removedProject);
  const checkpoint = await app.checkpoints.save(people.owner.id, project, 0, 'First');
  const handOver = await app.handOvers.keep(people.owner.id, project, 0, {
    forms: ['css'],
    choices: DELIVERY.choices,
    leftOut: DELIVERY.leftOut,
    file: 'colours.css',
  });
  const bytes = await png();
  const picture = createHash('sha256').update(bytes).digest('hex');
  await database.query(
    `INSERT INTO picture_content (content, media_type, size, width, height, small)
     VALUES ($1, 'image/png', $2, 1, 1, $3)`,
    [picture, bytes.length, bytes],
  );
  await database.query('INSERT INTO picture_part (content, part, bytes) VALUES ($1, 0, $2)', [
    picture,
    bytes,
  ]);
  await database.query('INSERT INTO project_picture (project_id, content, named) VALUES ($1, $2, true)', [
    project,
    picture,
  ]);
  const invited = {
    email: `${randomUUID()}@skerry-line.example`,
    team,
    access: 'looker',
    administrator: false,
    from: people.owner.id,
  } as const;
  const invitation = await app.invitations.send(Buffer.from(randomUUID()), invited, 1);
  const set = await app.shelf.publish(
    spare.id,
    {
      name: 'Fog',
      words: '',
      content: { kind: 'palette', colors: [{ name: 'Fog', color: '#88aabb' }] },
      colors: ['#88aabb'],
    },
    team,
  );
  if (typeof checkpoint === 'string' || typeof handOver === 'string') throw new Error('not made');
  return {
    team,
    project,
    removedProject,
    checkpoint: checkpoint.id,
    handOver: handOver.id,
    picture,
    member: spare.id,
    invitation: invitation.id,
    set: set.id,
  };
}

function headersOf(who: Who): Record<string, string> {
  if (who === 'nobody') return { ...FORM };
  const { id, token } = people[who];
  return { ...FORM, ...cookieOf(token), [PERSON_HEADER]: id };
}

let readOnly: Promise<Things> | undefined;

/** The status of one cell; of an answer that goes on, its head is enough. */
async function ask(method: string, url: string, line: Line, who: Who): Promise<number> {
  // Whoever is signed in stays so for the next cell, whatever this one does.
  if (who !== 'nobody' && who !== 'ended' && /sign-out|leave/.test(url)) {
    const fresh = await house.somebody(`${who}-${randomUUID()}`);
    const things = await make();
    if (who !== 'stranger' && who !== 'removed')
      await house.database.query(`INSERT INTO membership (team_id, person_id, access) VALUES ($1, $2, $3)`, [
        things.team,
        fresh.id,
        who,
      ]);
    if (who === 'owner')
      await house.database.query('DELETE FROM membership WHERE team_id = $1 AND person_id = $2', [
        things.team,
        people.owner.id,
      ]);
    return (await fresh.ask(method as 'POST', addressOf(url, line, things))).statusCode;
  }
  // What is only read is the same for all who ask.
  readOnly ??= make();
  const things = method === 'GET' ? await readOnly : await make();
  const stop = new AbortController();
  const body = line.body?.(things);
  const answer = await fetch(`${address}${addressOf(url, line, things)}`, {
    method,
    headers: { ...headersOf(who), ...(body ? { 'content-type': 'application/json' } : {}) },
    ...(body ? { body: JSON.stringify(body) } : {}),
    signal: stop.signal,
  });
  if (/event-stream/.test(answer.headers.get('content-type') ?? '')) stop.abort();
  else await answer.arrayBuffer();
  return answer.status;
}

const addressOf = (url: string, { at }: Line, things: Things) =>
  at ? `${PREFIX.exec(url)![0]}/${at(things)}` : url;

/** The statuses of a line, one for each of `WHO`. */
const cellsOf = ({ cells }: Line): number[] => {
  const said: number[] = [];
  for (const cell of cells.split(' ')) said.push(cell === '·' ? said.at(-1)! : Number(cell));
  return said;
};

describe('every route', () => {
  it('has its line, and every line its route', () => {
    const served = routes
      .filter(({ method }) => method !== 'HEAD')
      .map(({ method, url }) => `${method} ${url}`);
    const slashless = served.map((route) => route.replace(/\/$/, ''));
    expect([...new Set(slashless)].sort()).toEqual(Object.keys(TABLE).sort());
    for (const line of Object.values(TABLE)) expect(cellsOf(line)).toHaveLength(WHO.length);
  });

  const keyOf = ({ method, url }: { method: string; url: string }) => `${method} ${url.replace(/\/$/, '')}`;

  it('that is asked for its head alone needs what it needs in full', () => {
    const needsOf = new Map(house.app.guardedRoutes.map((route) => [keyOf(route), route.needs]));
    const heads = routes.filter(({ method }) => method === 'HEAD');
    expect(heads.length).toBeGreaterThan(15);
    for (const { url } of heads)
      expect(needsOf.get(keyOf({ method: 'HEAD', url }))).toEqual(needsOf.get(keyOf({ method: 'GET', url })));
  });

  it('that does not say what it needs is none', async () => {
    const { app, ...rest } = await openHouse(inject('databaseUrl'));
    expect(() => app.get('/api/forgotten', async () => 'all of it')).toThrow();
    await rest.close();
  });

  const cells = Object.entries(TABLE).flatMap(([route, line]) =>
    WHO.map((who, i) => ({ route, line, who, status: cellsOf(line)[i]! })),
  );
  it.each(cells)('$route, asked by $who: $status', async ({ route, line, who, status }) => {
    const [method, url] = route.split(' ') as [string, string];
    expect(await ask(method, url, line, who)).toBe(status);
  });
});
