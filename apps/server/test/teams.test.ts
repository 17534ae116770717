import { randomUUID } from 'node:crypto';
import type { AddressInfo } from 'node:net';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { unzipSync } from 'fflate';
import { afterAll, beforeAll, beforeEach, describe, expect, it, test } from 'vitest';
import { hashOf, newToken } from '../src/access/token.ts';
import { COOKIE, cookieOf, type House, openHouse, PASSPHRASE, type Somebody } from './house.ts';
import { ownDatabase } from './own-database.ts';

let house: House;
let owner: Somebody;
beforeAll(async () => {
  house = await openHouse(ownDatabase());
  owner = await house.somebody('Ula');
});
afterAll(() => house.close());
beforeEach(() => house.database.query('DELETE FROM attempt'));

const fresh = (name: string) => house.somebody(`${name}-${randomUUID().slice(0, 8)}`);
const newTeam = async (by = owner) => (await by.ask('POST', '/api/teams', { name: 'Ferry crew' })).json().id;
const invite = (team: string, email: string, access: string, by = owner) =>
  by.ask('POST', `/api/teams/${team}/invitations`, { email, access });
const take = (payload: object, headers: Readonly<Record<string, string>> = {}) =>
  house.app.inject({ method: 'POST', url: '/api/invitation/take', payload, headers });
const join = async (team: string, somebody: Somebody, access: string) => {
  await invite(team, somebody.email, access);
  const taken = await take({ token: await house.tokenTo(somebody.email) }, somebody.headers);
  if (taken.statusCode !== 204) throw new Error(taken.body);
};
const projectIn = async (team: string) => (await house.app.projects.create(team, SKERRY_LINE)).id;

describe('the first person of a server', () => {
  it('is made by an address that works once, and there is none when somebody is there', async () => {
    const own = await openHouse(ownDatabase());
    const token = newToken();
    expect(await own.app.invitations.first(hashOf(token), 7)).toBe(true);
    const newest = newToken();
    expect(await own.app.invitations.first(hashOf(newest), 7)).toBe(true);
    const begin = (with_: string, email: string) =>
      own.app.inject({
        method: 'POST',
        url: '/api/invitation/take',
        payload: { token: with_, name: 'Ula', email, passphrase: PASSPHRASE },
      });
    // Each process prints one; the first that is taken is the last of all.
    const all = await Promise.all(
      [token, newest, token, newest].map((with_, i) => begin(with_, `${i}@skerry-line.example`)),
    );
    expect(all.map(({ statusCode }) => statusCode).sort()).toEqual([204, 404, 404, 404]);
    expect((await own.app.people.listAll()).map(({ administrator }) => administrator)).toEqual([true]);
    expect(await own.app.invitations.first(hashOf(newToken()), 7)).toBe(false);
    await own.close();
  });
});

describe('an invitation', () => {
  it('makes an account and lets in, once, for that address alone', async () => {
    const team = await newTeam();
    const email = `${randomUUID()}@skerry-line.example`;
    expect((await invite(team, email, 'noter')).statusCode).toBe(201);
    const token = await house.tokenTo(email);
    const look = await house.app.inject({ method: 'POST', url: '/api/invitation/look', payload: { token } });
    expect(look.json()).toMatchObject({
      email,
      team: 'Ferry crew',
      access: 'noter',
      from: 'Ula',
      known: false,
    });
    const wrong = await take({ token, name: 'Nis', passphrase: 'password1234' });
    expect(wrong.json().error.code).toBe('WEAK_PASSPHRASE');
    const body = { token, name: 'Nis', passphrase: PASSPHRASE, email: 'somebody.else@skerry-line.example' };
    const both = await Promise.all([take(body), take(body)]);
    expect(both.map(({ statusCode }) => statusCode).sort()).toEqual([204, 404]);
    const cookie = both
      .find(({ statusCode }) => statusCode === 204)!
      .cookies.find(({ name }) => name === COOKIE)!.value;
    const { person } = (await house.app.inject({ url: '/api/me', headers: cookieOf(cookie) })).json();
    expect(person).toMatchObject({ name: 'Nis', email });
    const members = (await owner.ask('GET', `/api/teams/${team}`)).json().members;
    expect(members.map((one: { name: string; access: string }) => [one.name, one.access])).toEqual([
      ['Ula', 'owner'],
      ['Nis', 'noter'],
    ]);
    expect((await take(body)).statusCode).toBe(404);
  });

  it('of somebody who is here already is taken as who they are, and as nobody else', async () => {
    const team = await newTeam();
    const [nis, other] = [await fresh('Nis'), await fresh('Other')];
    await invite(team, nis.email, 'editor');
    const token = await house.tokenTo(nis.email);
    const asNew = await take({ token, name: 'Nis two', passphrase: 'a heron on the pier at dusk' });
    expect([asNew.statusCode, asNew.json().error.code]).toEqual([401, 'NOT_SIGNED_IN']);
    expect((await take({ token }, other.headers)).statusCode).toBe(401);
    expect((await take({ token })).statusCode).toBe(401);
    expect((await take({ token }, nis.headers)).statusCode).toBe(204);
    expect((await nis.ask('GET', '/api/teams')).json().teams).toMatchObject([{ id: team, access: 'editor' }]);
    expect((await take({ token }, nis.headers)).statusCode).toBe(404);
  });

  it('that was withdrawn, sent again, or is over works no more', async () => {
    const team = await newTeam();
    const email = `${randomUUID()}@skerry-line.example`;
    const sent = (await invite(team, email, 'editor')).json();
    const first = await house.tokenTo(email);
    expect((await owner.ask('POST', `/api/teams/${team}/invitations/${sent.id}/again`)).statusCode).toBe(200);
    const second = await house.tokenTo(email);
    const person = { name: 'Nis', passphrase: PASSPHRASE };
    expect((await take({ token: first, ...person })).statusCode).toBe(404);
    await house.database.query(`UPDATE invitation SET ends_at = now() WHERE email = $1`, [email]);
    expect((await take({ token: second, ...person })).statusCode).toBe(404);
    const third = (await invite(team, email, 'editor')).json();
    expect((await owner.ask('DELETE', `/api/teams/${team}/invitations/${third.id}`)).statusCode).toBe(204);
    expect((await take({ token: await house.tokenTo(email), ...person })).statusCode).toBe(404);
  });

  it('does not make less of who is in the team already', async () => {
    const team = await newTeam();
    const nis = await fresh('Nis');
    await invite(team, nis.email, 'looker');
    const token = await house.tokenTo(nis.email);
    await house.database.query(
      `INSERT INTO membership (team_id, person_id, access) VALUES ($1, $2, 'editor')`,
      [team, nis.id],
    );
    expect((await take({ token }, nis.headers)).statusCode).toBe(204);
    expect((await nis.ask('GET', '/api/teams')).json().teams).toMatchObject([{ access: 'editor' }]);
  });

  test.each([['no address'], ['a@b\nbcc: c@d'], ['a b@c.example'], [''], [`${'x'.repeat(300)}@c.example`]])(
    'to %j is refused before anything is sent',
    async (email) => {
      const before = await house.app.letters.store.waiting();
      expect((await invite(await newTeam(), email, 'looker')).statusCode).toBe(400);
      expect(await house.app.letters.store.waiting()).toBe(before);
    },
  );
});

describe('the owners of a team', () => {
  it('are never none, however many leave at once', async () => {
    for (let round = 0; round < 5; round++) {
      const team = await newTeam();
      const others = await Promise.all(['a', 'b'].map(fresh));
      for (const one of others) await join(team, one, 'owner');
      const all = [owner, ...others];
      const left = await Promise.all(all.map((one) => one.ask('POST', `/api/teams/${team}/leave`)));
      expect(left.map(({ statusCode }) => statusCode).sort()).toEqual([204, 204, 409]);
    }
  });

  it('do not make each other less at the same moment', async () => {
    const team = await newTeam();
    const nis = await fresh('Nis');
    await join(team, nis, 'owner');
    const lower = (by: Somebody, whom: Somebody) =>
      by.ask('PUT', `/api/teams/${team}/members/${whom.id}`, { access: 'looker' });
    const answers = await Promise.all([lower(owner, nis), lower(nis, owner)]);
    const owners = await house.database.query(
      `SELECT count(*)::int AS count FROM membership WHERE team_id = $1 AND access = 'owner'`,
      [team],
    );
    expect(owners[0].count).toBe(1);
    expect(answers.filter(({ statusCode }) => statusCode === 204)).toHaveLength(1);
  });

  it('leave what they made; a team that has projects stays', async () => {
    const team = await newTeam();
    const nis = await fresh('Nis');
    await join(team, nis, 'editor');
    const { id } = (await nis.ask('POST', `/api/teams/${team}/projects`, { name: 'Winter' })).json();
    await nis.ask('POST', `/api/projects/${id}/checkpoints`, { name: 'Begun', revision: 0 });
    expect((await nis.ask('POST', `/api/teams/${team}/leave`)).statusCode).toBe(204);
    expect((await nis.ask('GET', `/api/projects/${id}`)).statusCode).toBe(404);
    const { checkpoints } = (await owner.ask('GET', `/api/projects/${id}/checkpoints`)).json();
    expect(checkpoints).toMatchObject([{ name: 'Begun', author: nis.id }]);
    const { people } = (await owner.ask('GET', `/api/projects/${id}/people`)).json();
    expect(people).toMatchObject([
      { name: 'Ula', access: 'owner' },
      { id: nis.id, access: null },
    ]);
    expect((await owner.ask('DELETE', `/api/teams/${team}`)).json().error.code).toBe('NOT_EMPTY');
    await owner.ask('DELETE', `/api/projects/${id}`);
    expect((await owner.ask('DELETE', `/api/teams/${team}`)).statusCode).toBe(409);
    await owner.ask('DELETE', `/api/projects/removed/${id}`);
    expect((await owner.ask('DELETE', `/api/teams/${team}`)).statusCode).toBe(204);
  });
});

describe('on one project', () => {
  it('somebody may otherwise than in its team, or nothing', async () => {
    const team = await newTeam();
    const [nis, pia] = [await fresh('Nis'), await fresh('Pia')];
    await join(team, nis, 'looker');
    await join(team, pia, 'editor');
    const [one, other] = [await projectIn(team), await projectIn(team)];
    const except = (who: Somebody, access: string | null) =>
      owner.ask('PUT', `/api/projects/${one}/people/${who.id}`, { access });
    expect((await except(nis, 'editor')).statusCode).toBe(204);
    expect((await except(pia, 'none')).statusCode).toBe(204);
    expect((await nis.ask('GET', `/api/projects/${one}`)).json().access).toBe('editor');
    expect((await nis.ask('GET', `/api/projects/${other}`)).json().access).toBe('looker');
    expect((await pia.ask('GET', `/api/projects/${one}`)).statusCode).toBe(404);
    const listed = async (who: Somebody) =>
      (await who.ask('GET', '/api/projects')).json().projects.map(({ id }: { id: string }) => id);
    expect(await listed(pia)).toEqual([other]);
    expect(await listed(nis)).toEqual(expect.arrayContaining([one, other]));
    expect((await except(pia, null)).statusCode).toBe(204);
    expect(await listed(pia)).toEqual(expect.arrayContaining([one, other]));
    // An owner stays one, and nobody of elsewhere comes in by this.
    expect((await except(owner, 'looker')).statusCode).toBe(404);
    expect((await except(await fresh('Stranger'), 'editor')).statusCode).toBe(404);
    // Who comes back is what they are invited as.
    await except(nis, 'editor');
    await owner.ask('DELETE', `/api/teams/${team}/members/${nis.id}`);
    await join(team, nis, 'looker');
    expect((await nis.ask('GET', `/api/projects/${one}`)).json().access).toBe('looker');
  });

  it('is given to another team of one’s own, or taken to oneself; nobody gives to strangers', async () => {
    const [team, second] = [await newTeam(), await newTeam()];
    const nis = await fresh('Nis');
    await join(team, nis, 'editor');
    const strangers = await newTeam(await fresh('Stranger'));
    const id = await projectIn(team);
    const give = (to: string | null) => owner.ask('PUT', `/api/projects/${id}/owner`, { team: to });
    expect((await give(strangers)).statusCode).toBe(404);
    expect((await give(second)).statusCode).toBe(204);
    expect((await nis.ask('GET', `/api/projects/${id}`)).statusCode).toBe(404);
    expect((await give(null)).statusCode).toBe(204);
    const { projects } = (await owner.ask('GET', '/api/projects')).json();
    expect(projects.find((one: { id: string }) => one.id === id)).toMatchObject({
      team: null,
      access: 'owner',
    });
  });
});

describe('what a noter sends', () => {
  const on = { kind: 'role', role: 'text-main' };
  const noteBy = (author: string | undefined, text = 'Darker?', id = randomUUID()) => ({
    type: 'addNote',
    note: { id, on, text, by: '', at: 0, settled: false, answers: [], ...(author ? { author } : {}) },
  });

  it('is notes under their own name, and nothing else', async () => {
    const team = await newTeam();
    const [nis, pia] = [await fresh('Nis'), await fresh('Pia')];
    await join(team, nis, 'noter');
    await join(team, pia, 'editor');
    const id = await projectIn(team);
    const sent = async (who: Somebody, command: object) => {
      const revision = (await who.ask('GET', `/api/projects/${id}`)).json().revision;
      const answer = await who.ask('POST', `/api/projects/${id}/commands`, {
        revision,
        commands: [{ id: randomUUID(), command }],
      });
      return answer.json().outcomes[0];
    };
    const own = noteBy(nis.id);
    expect(await sent(nis, own)).toMatchObject({ status: 'applied' });
    for (const command of [
      { type: 'setBase', family: 'buoy', color: '#123456' },
      noteBy(pia.id),
      noteBy(undefined),
      { type: 'batch', label: 'note', commands: [noteBy(nis.id), { type: 'removeTheme', theme: 'night' }] },
    ])
      expect(await sent(nis, command), JSON.stringify(command)).toMatchObject({ status: 'refused' });
    const pias = noteBy(pia.id);
    expect(await sent(pia, pias)).toMatchObject({ status: 'applied' });
    const set = (note: string, change: object) => ({ type: 'setNote', note, change });
    expect(await sent(nis, set(pias.note.id, { text: 'Never said' }))).toMatchObject({ status: 'refused' });
    expect(await sent(pia, set(own.note.id, { text: 'Never said' }))).toMatchObject({ status: 'refused' });
    expect(await sent(nis, set(pias.note.id, { settled: true }))).toMatchObject({ status: 'applied' });
    expect(await sent(nis, { type: 'removeNote', note: pias.note.id })).toMatchObject({ status: 'refused' });
    expect(await sent(nis, set(own.note.id, { text: 'A shade darker?' }))).toMatchObject({
      status: 'applied',
    });
    // An editor removes it, and takes that back: it comes with the words that stood there, and no others.
    expect(await sent(pia, { type: 'removeNote', note: own.note.id })).toMatchObject({ status: 'applied' });
    const back = (text: string) => noteBy(nis.id, text, own.note.id);
    expect(await sent(pia, back('Lighter!'))).toMatchObject({ status: 'refused' });
    expect(await sent(pia, noteBy(nis.id))).toMatchObject({ status: 'refused' });
    expect(await sent(pia, back('A shade darker?'))).toMatchObject({ status: 'applied' });
    // Who says it first under their own name has not said it under another's.
    const stays = back('A shade darker?').note;
    for (const command of [
      { type: 'removeNote', note: own.note.id },
      noteBy(pia.id, 'Lighter!', own.note.id),
      { type: 'setNote', note: own.note.id, change: { text: 'Paler!' } },
      { type: 'removeNote', note: own.note.id },
    ])
      expect(await sent(pia, command)).toMatchObject({ status: 'applied' });
    for (const text of ['Lighter!', 'Paler!'])
      expect(await sent(pia, back(text)), text).toMatchObject({ status: 'refused' });
    expect(await sent(pia, { type: 'addNote', note: stays })).toMatchObject({ status: 'applied' });

    const answer = (
      note: string,
      author: string | undefined,
      text = 'Like this?',
      id: string = randomUUID(),
    ) => ({
      type: 'answerNote',
      note,
      answer: { id, text, by: '', at: 0, ...(author ? { author } : {}) },
    });
    const note = own.note.id;
    const niss = answer(note, nis.id);
    const piass = answer(note, pia.id, 'No, that');
    const nobodys = answer(note, undefined, 'Said by the client');
    for (const [who, command, status] of [
      [nis, niss, 'applied'],
      [nis, answer(note, pia.id), 'refused'],
      [nis, answer(note, undefined), 'refused'],
      [pia, answer(note, nis.id), 'refused'],
      [pia, piass, 'applied'],
      [pia, nobodys, 'applied'],
      [nis, { type: 'setAnswer', note, answer: piass.answer.id, text: 'Never said' }, 'refused'],
      [pia, { type: 'setAnswer', note, answer: niss.answer.id, text: 'Never said' }, 'refused'],
      [nis, { type: 'setAnswer', note, answer: niss.answer.id, text: 'Or so?' }, 'applied'],
      [nis, { type: 'removeAnswer', note, answer: piass.answer.id }, 'refused'],
      [nis, { type: 'removeAnswer', note, answer: niss.answer.id }, 'applied'],
      [nis, { ...niss, answer: { ...niss.answer, text: 'Or so?' } }, 'applied'],
      [pia, { type: 'removeAnswer', note, answer: niss.answer.id }, 'applied'],
      [pia, { ...niss, answer: { ...niss.answer, text: 'Never said' } }, 'refused'],
      [pia, { ...niss, answer: { ...niss.answer, text: 'Or so?' } }, 'applied'],
    ] as const)
      expect(await sent(who, command), JSON.stringify(command)).toMatchObject({ status });
    // A note goes with its answers and comes back with them, whoever takes it away, and with no others.
    const whole = {
      ...stays,
      answers: [piass.answer, nobodys.answer, { ...niss.answer, text: 'Or so?' }],
    };
    expect(await sent(nis, { type: 'removeNote', note })).toMatchObject({ status: 'applied' });
    for (const answers of [
      [...whole.answers, answer(note, pia.id).answer],
      [...whole.answers, answer(note, undefined, 'Said by nobody').answer],
      whole.answers.map((one) => ({ ...one, text: 'Never said' })),
    ])
      expect(await sent(nis, { type: 'addNote', note: { ...whole, answers } })).toMatchObject({
        status: 'refused',
      });
    expect(await sent(nis, { type: 'addNote', note: whole })).toMatchObject({ status: 'applied' });
  });

  it('and what everybody did is told by who and when', async () => {
    const team = await newTeam();
    const nis = await fresh('Nis');
    await join(team, nis, 'editor');
    const id = await projectIn(team);
    for (const [i, who] of [owner, nis, owner].entries())
      await who.ask('POST', `/api/projects/${id}/commands`, {
        revision: i,
        commands: [{ id: randomUUID(), command: { type: 'setBase', family: 'buoy', color: `#12345${i}` } }],
      });
    const { entries, before } = (await nis.ask('GET', `/api/projects/${id}/history`)).json();
    expect(
      entries.map(({ revision, author }: { revision: number; author: string }) => [revision, author]),
    ).toEqual([
      [3, owner.id],
      [2, nis.id],
      [1, owner.id],
    ]);
    expect(entries[0].words).toMatch(/base of Buoy/);
    expect(Date.now() - Date.parse(entries[0].at)).toBeLessThan(60_000);
    expect(before).toBeNull();
    const earlier = (await nis.ask('GET', `/api/projects/${id}/history?before=3`)).json();
    expect(earlier.entries.map(({ revision }: { revision: number }) => revision)).toEqual([2, 1]);
  });
});

describe('a stream of events', () => {
  it.each([
    [
      'who is removed from the team',
      async (team: string, who: Somebody) => {
        await owner.ask('DELETE', `/api/teams/${team}/members/${who.id}`);
      },
    ],
    [
      'whose session ends elsewhere',
      async (_: string, who: Somebody) => {
        await house.app.sessions.endOthers(who.id, randomUUID());
      },
    ],
    [
      'who is kept from the project',
      async (_: string, who: Somebody, id: string) => {
        await owner.ask('PUT', `/api/projects/${id}/people/${who.id}`, { access: 'none' });
      },
    ],
  ])('ends for %s, in every process', async (_, lock) => {
    const team = await newTeam();
    const nis = await fresh('Nis');
    await join(team, nis, 'looker');
    const id = await projectIn(team);
    const another = await house.another();
    await another.listen({ host: '127.0.0.1', port: 0 });
    const { port } = another.server.address() as AddressInfo;
    const stream = await fetch(`http://127.0.0.1:${port}/api/projects/${id}/events`, {
      headers: nis.headers,
    });
    expect(stream.status).toBe(200);
    const reader = stream.body!.getReader();
    await reader.read();
    await lock(team, nis, id);
    const ended = (async () => {
      while (!(await reader.read()).done);
      return true;
    })();
    expect(await ended).toBe(true);
  });
});

describe('sets on the shelf', () => {
  const set = {
    name: 'Harbour fog',
    words: '',
    content: { kind: 'palette', colors: [{ name: 'Fog', color: '#88aabb' }] },
    colors: ['#88aabb'],
  };

  it('are for the team or for all of the server, and withdrawn by who may', async () => {
    const team = await newTeam();
    const [nis, pia, stranger] = [await fresh('Nis'), await fresh('Pia'), await fresh('Stranger')];
    await join(team, nis, 'editor');
    await join(team, pia, 'looker');
    expect((await pia.ask('POST', '/api/shelf', { ...set, team })).statusCode).toBe(404);
    expect((await stranger.ask('POST', '/api/shelf', { ...set, team })).statusCode).toBe(404);
    const ofTeam = (await nis.ask('POST', '/api/shelf', { ...set, team })).json();
    const ofAll = (await nis.ask('POST', '/api/shelf', set)).json();
    expect([ofTeam.team, ofTeam.by, ofAll.team]).toEqual(['Ferry crew', nis.name, null]);
    const seen = async (who: Somebody) =>
      (await who.ask('GET', '/api/shelf?words=harbour+fog')).json().sets.map(({ id }: { id: string }) => id);
    expect(await seen(pia)).toEqual(expect.arrayContaining([ofTeam.id, ofAll.id]));
    expect(await seen(stranger)).toEqual([ofAll.id]);
    expect((await stranger.ask('PUT', `/api/shelf/${ofTeam.id}/favour`, { on: true })).statusCode).toBe(404);
    for (const who of [pia, stranger])
      for (const { id } of [ofTeam, ofAll])
        expect((await who.ask('DELETE', `/api/shelf/${id}`)).statusCode).toBe(404);
    expect((await owner.ask('DELETE', `/api/shelf/${ofTeam.id}`)).statusCode).toBe(204);
    const administrator = await house.somebody(`Keeper-${randomUUID().slice(0, 8)}`, { administrator: true });
    expect((await administrator.ask('DELETE', `/api/shelf/${ofAll.id}`)).statusCode).toBe(204);
  });
});

describe('an account', () => {
  it('is had as one file, with all that is its own', async () => {
    const nis = await fresh('Nis');
    const { id } = await house.app.projects.create(nis.id, SKERRY_LINE);
    await nis.ask('POST', `/api/projects/${id}/commands`, {
      revision: 0,
      commands: [{ id: randomUUID(), command: { type: 'setBase', family: 'buoy', color: '#123456' } }],
    });
    await nis.ask('POST', `/api/projects/${id}/checkpoints`, { name: 'Begun', revision: 0 });
    const answer = await nis.ask('GET', '/api/account/data');
    expect(answer.headers['content-type']).toBe('application/zip');
    const files = unzipSync(new Uint8Array(answer.rawPayload));
    const read = (pattern: RegExp) => {
      const name = Object.keys(files).find((one) => pattern.test(one))!;
      return JSON.parse(new TextDecoder().decode(files[name]));
    };
    expect(read(/^account\.json/).account).toMatchObject({ email: nis.email });
    expect(read(/project\.json/).families.find(({ id: one }: { id: string }) => one === 'buoy').base).toBe(
      '#123456',
    );
    expect(read(/checkpoint-0-/)).toEqual(SKERRY_LINE);
    expect(read(/history\.json/)).toMatchObject([{ revision: 1, author: nis.id }]);
    expect(JSON.stringify(Object.keys(files))).not.toMatch(/passphrase|token/);
  });

  it('goes for good: what was its own is gone, what a team has stays without the name', async () => {
    const team = await newTeam();
    const nis = await fresh('Nis');
    await join(team, nis, 'editor');
    const shared = await projectIn(team);
    const { id: own } = (await nis.ask('POST', '/api/projects', { name: 'My own' })).json();
    await nis.ask('POST', `/api/projects/${shared}/checkpoints`, { name: 'Begun', revision: 0 });
    const set = {
      name: 'Fog',
      words: '',
      content: { kind: 'palette', colors: [{ name: 'Fog', color: '#88aabb' }] },
      colors: ['#88aabb'],
    };
    const [ofTeam, ofAll] = [
      (await nis.ask('POST', '/api/shelf', { ...set, team })).json(),
      (await nis.ask('POST', '/api/shelf', set)).json(),
    ];
    const leave = (passphrase: string) => nis.ask('DELETE', '/api/account', { passphrase });
    expect((await leave('not the right one')).statusCode).toBe(401);
    expect((await leave(PASSPHRASE)).statusCode).toBe(204);
    expect((await nis.ask('GET', '/api/projects')).statusCode).toBe(401);
    const signIn = { email: nis.email, passphrase: PASSPHRASE };
    expect(
      (await house.app.inject({ method: 'POST', url: '/api/sign-in', payload: signIn })).statusCode,
    ).toBe(401);
    expect(await house.app.projects.find(own)).toBeNull();
    const { checkpoints } = (await owner.ask('GET', `/api/projects/${shared}/checkpoints`)).json();
    expect(checkpoints).toHaveLength(1);
    const { people } = (await owner.ask('GET', `/api/projects/${shared}/people`)).json();
    expect(people.map(({ name }: { name: string }) => name)).toEqual(['Ula']);
    const { sets } = (await owner.ask('GET', '/api/shelf?words=fog')).json();
    const find = (id: string) => sets.find((one: { id: string }) => one.id === id);
    expect([find(ofTeam.id)?.by, find(ofAll.id)]).toEqual([null, undefined]);
    // Nowhere in the database is what they were called, or their address.
    for (const table of ['owner', 'person', 'letter', 'invitation', 'session', 'shelf_set'])
      expect(
        (
          await house.database.query(`SELECT count(*)::int AS count FROM ${table} t WHERE t::text LIKE $1`, [
            `%${nis.name}%`,
          ])
        )[0].count,
        table,
      ).toBe(0);
  });

  it('stays while a team or the server would be nobody’s', async () => {
    const own = await openHouse(ownDatabase());
    const keeper = await own.somebody('Keeper', { administrator: true });
    const nis = await own.somebody('Nis');
    const leave = (who: Somebody) => who.ask('DELETE', '/api/account', { passphrase: PASSPHRASE });
    expect((await leave(keeper)).json().error.message).toMatch(/last who looks after/);
    await keeper.ask('PUT', `/api/server/people/${nis.id}`, { administrator: true });
    const { id: team } = (await keeper.ask('POST', '/api/teams', { name: 'Crew' })).json();
    await own.database.query(
      `INSERT INTO membership (team_id, person_id, access) VALUES ($1, $2, 'editor')`,
      [team, nis.id],
    );
    expect((await leave(keeper)).json().error.message).toMatch(/last owner of Crew/);
    expect((await keeper.ask('GET', '/api/teams')).json().teams).toHaveLength(1);
    await keeper.ask('PUT', `/api/teams/${team}/members/${nis.id}`, { access: 'owner' });
    // Two administrators go at once: one stays.
    const both = await Promise.all([
      leave(keeper),
      keeper.ask('PUT', `/api/server/people/${nis.id}`, { administrator: false }),
    ]);
    expect(both.filter(({ statusCode }) => statusCode === 204)).toHaveLength(1);
    await own.close();
  });
});
