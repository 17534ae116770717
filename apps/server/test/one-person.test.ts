import { afterAll, beforeAll, expect, it } from 'vitest';
import { LOCAL_PERSON } from '../src/access/local-person.ts';
import { cookieOf, type House, openHouse } from './house.ts';
import { ownDatabase } from './own-database.ts';

// The demo's own computer: whoever asks is its one person, unless they have signed in as somebody.

let house: House;
beforeAll(async () => {
  house = await openHouse(ownDatabase(), {
    people: {
      local: true,
      secret: 'the one person of this computer',
      publicAddress: 'http://127.0.0.1:5170',
      sessions: { hours: 1, idleHours: 1 },
    },
  });
  await house.database.query('INSERT INTO owner (id, name) VALUES ($1, $2)', [
    LOCAL_PERSON.id,
    LOCAL_PERSON.name,
  ]);
});
afterAll(() => house.close());

it('asks nobody who they are, and has no account to change', async () => {
  const me = (await house.app.inject('/api/me')).json();
  expect(me).toEqual({ person: LOCAL_PERSON, local: true, mailbox: true });
  expect((await house.app.inject('/api/projects')).statusCode).toBe(200);
  for (const url of ['/api/account', '/api/account/data', '/api/account/sessions'])
    expect((await house.app.inject(url)).statusCode, url).toBe(401);
});

it('invites into teams, opens the letters itself, and is somebody else once signed in, and itself again after', async () => {
  const post = (url: string, payload: object, headers: Record<string, string> = {}) =>
    house.app.inject({ method: 'POST', url, payload, headers });
  const { id: team } = (await post('/api/teams', { name: 'Ferry crew' })).json();
  const email = 'nis@skerry-line.example';
  expect((await post(`/api/teams/${team}/invitations`, { email, access: 'editor' })).statusCode).toBe(201);
  const { letters } = (await house.app.inject('/api/mailbox')).json();
  expect(letters[0].text).toContain('This computer invites you');
  const token = await house.tokenTo(email);
  const taken = await post('/api/invitation/take', {
    token,
    name: 'Nis',
    passphrase: 'four gulls over Grey Holm',
  });
  const cookie = taken.cookies.find(({ name }) => name === 'mint-lamp')!.value;
  const headers = { cookie: `mint-lamp=${cookie}` };
  expect((await house.app.inject({ url: '/api/me', headers })).json().person).toMatchObject({
    name: 'Nis',
    email,
  });
  // What is the computer's alone is not theirs.
  await post('/api/projects', { name: 'Of this computer' });
  expect((await house.app.inject({ url: '/api/projects', headers })).json().projects).toEqual([]);
  expect((await house.app.inject({ url: '/api/mailbox', headers })).statusCode).toBe(404);
  await post('/api/sign-out', {}, headers);
  expect((await house.app.inject({ url: '/api/me', headers })).json().person).toEqual(LOCAL_PERSON);
});

it('takes no cookie of a server that is reached over TLS for its own', async () => {
  const me = await house.app.inject({ url: '/api/me', headers: cookieOf('x'.repeat(43)) });
  expect(me.json().person).toEqual(LOCAL_PERSON);
});
