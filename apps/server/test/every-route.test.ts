import { randomUUID } from 'node:crypto';
import type { AddressInfo } from 'node:net';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { PERSON_HEADER } from '@mint-lamp/core/wire/access';
import type { ShareSubject } from '@mint-lamp/core/wire/shares';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { hashOf, newToken } from '../src/access/token.ts';
import { FORM } from './form.ts';
import { cookieOf, type House, openHouse, type Somebody } from './house.ts';
import { keepPicture } from './keep-picture.ts';
import { newShare } from './new-share.ts';
import { ownDatabase } from './own-database.ts';
import { DELIVERY, type Line, REDDER, TABLE, type Things, WHO, type Who } from './route-table.ts';

// Every route of the server, asked by everybody that there can be: what is answered stands here, and nothing else may be.

/** The part of a route's address before its own things. */
const PREFIX =
  /^\/api\/(teams|projects\/removed|projects|shared|shelf|account\/sessions|server\/(?:people|invitations))(?=\/:)/;

let house: House;
let address: string;
const people = {} as Record<Exclude<Who, 'nobody'>, Somebody>;
let spare: Somebody;
const routes: { method: string; url: string }[] = [];

beforeAll(async () => {
  house = await openHouse(ownDatabase());
  for (const who of WHO) if (who !== 'nobody') people[who] = await house.somebody(who);
  spare = await house.somebody('spare');
  await house.app.sessions.endOthers(people.ended.id, randomUUID());
  routes.push(...house.app.guardedRoutes);
  await house.app.listen({ host: '127.0.0.1', port: 0 });
  address = `http://127.0.0.1:${(house.app.server.address() as AddressInfo).port}`;
});
afterAll(() => house.close());

/** Each picture is another one. */
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
  pixels += 1;
  const picture = await keepPicture(database, project, { r: pixels % 256, g: (pixels >> 8) % 256, b: 0 });
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
  const shared = async (subject: ShareSubject) => {
    const token = newToken();
    const made = await app.shares.make(people.owner.id, project, hashOf(token), newShare(subject));
    return { id: made!.id, token };
  };
  const share = await shared({ kind: 'project' });
  const sheet = await shared({ kind: 'css' });
  const parts = [{ command: REDDER, then: REDDER }];
  await app.proposals.keep(project, { share: 'For Nis', by: 'Nis', words: '', revision: 0, parts });
  const [proposal] = await app.proposals.list(project);
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
    share: share.id,
    token: share.token,
    sheetToken: sheet.token,
    proposal: proposal!.id,
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
    const { app, ...rest } = await openHouse(ownDatabase());
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
