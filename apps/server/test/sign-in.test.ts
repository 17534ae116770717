import { createHmac, randomUUID } from 'node:crypto';
import { PERSON_HEADER } from '@mint-lamp/core/wire/access';
import { Secret, TOTP } from 'otpauth';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it, test, vi } from 'vitest';
import { newRecoveryCodes, recoveryHash, stepOfCode, vaultOf } from '../src/people/second-factor.ts';
import { refuseWeak } from '../src/people/weak-passphrase.ts';
import { FORM } from './form.ts';
import { COOKIE, cookieOf, type House, openHouse, PASSPHRASE, type Somebody } from './house.ts';
import { ownDatabase } from './own-database.ts';

let house: House;
beforeAll(async () => {
  house = await openHouse(ownDatabase());
});
afterAll(() => house.close());
/** What was tried before is no matter of the next test. */
beforeEach(() => house.database.query('DELETE FROM attempt'));

const ana = () => house.somebody(`Ana-${randomUUID().slice(0, 8)}`);
const signIn = (email: string, passphrase: string, more: object = {}, headers: Record<string, string> = {}) =>
  house.app.inject({
    method: 'POST',
    url: '/api/sign-in',
    payload: { email, passphrase, ...more },
    headers,
  });
const me = async (token: string) =>
  (await house.app.inject({ url: '/api/me', headers: cookieOf(token) })).json().person;
const tokenIn = (answer: { cookies: { name: string; value: string }[] }) =>
  answer.cookies.find(({ name }) => name === COOKIE)!.value;

describe('signing in', () => {
  it('gives a cookie that no script and no other site gets, and that is new each time', async () => {
    const { email, id, name } = await ana();
    const answer = await signIn(email.toUpperCase(), PASSPHRASE);
    expect(answer.statusCode).toBe(204);
    expect(answer.headers['set-cookie']).toMatch(
      /^__Host-mint-lamp=[\w-]{43}; Max-Age=86400; Path=\/; HttpOnly; Secure; SameSite=Strict$/,
    );
    const token = tokenIn(answer);
    expect(await me(token)).toEqual({ id, email, name, administrator: false });
    expect(tokenIn(await signIn(email, PASSPHRASE))).not.toBe(token);
    // In the database there is nothing that could be used.
    const rows = await house.database.query("SELECT encode(token, 'escape') AS token FROM session");
    expect(JSON.stringify(rows)).not.toContain(token);
  });

  it('answers the same for a wrong passphrase and for nobody, and takes as long', async () => {
    const { email } = await ana();
    const nobody = 'nobody@skerry-line.example';
    const [wrong, none] = [await signIn(email, 'five gulls over it'), await signIn(nobody, PASSPHRASE)];
    expect([wrong.statusCode, none.statusCode]).toEqual([401, 401]);
    expect(wrong.body).toBe(none.body);
    const times: Record<string, number[]> = { [email]: [], [nobody]: [] };
    for (let i = 0; i < 9; i++)
      for (const one of [email, nobody]) {
        await house.database.query('DELETE FROM attempt');
        const begun = process.hrtime.bigint();
        await signIn(one, 'five gulls over it');
        times[one]!.push(Number(process.hrtime.bigint() - begun) / 1e6);
      }
    const median = (all: number[]) => [...all].sort((a, b) => a - b)[4]!;
    // Hashing is the most of either: one that left it out would take a tenth.
    const ratio = median(times[email]!) / median(times[nobody]!);
    expect(ratio).toBeGreaterThan(0.4);
    expect(ratio).toBeLessThan(2.5);
  });

  it('lets nobody guess on: by one address for one person, and by many addresses too', async () => {
    const { email } = await ana();
    const statuses = [];
    for (let i = 0; i < 12; i++) statuses.push((await signIn(email, `guess number ${i}`)).statusCode);
    expect(statuses).toEqual([...Array(10).fill(401), 429, 429]);
    const late = await signIn(email, PASSPHRASE);
    expect([late.statusCode, late.json().error.code]).toEqual([429, 'TOO_OFTEN']);
    expect(Number(late.headers['retry-after'])).toBeGreaterThan(600);
    // Somebody else at that address is not kept out, nor the person at another one.
    const other = await ana();
    expect((await signIn(other.email, PASSPHRASE)).statusCode).toBe(204);
    // It survives a restart: another process on the same database knows.
    const another = await house.another();
    const again = await another.inject({
      method: 'POST',
      url: '/api/sign-in',
      payload: { email, passphrase: PASSPHRASE },
    });
    expect(again.statusCode).toBe(429);
  });

  it('counts guesses that come at once one by one', async () => {
    const { email } = await ana();
    const answers = await Promise.all(Array.from({ length: 30 }, (_, i) => signIn(email, `guess ${i}`)));
    expect(answers.filter(({ statusCode }) => statusCode === 401)).toHaveLength(10);
  });

  it('counts an address as the proxy says it, and none that a browser makes up', async () => {
    const { email } = await ana();
    const from = (ip: string) => signIn(email, 'a wrong one', {}, { 'x-forwarded-for': ip });
    for (let i = 0; i < 10; i++) await from(`203.0.113.${i}`);
    expect((await from('203.0.113.200')).statusCode).toBe(429);
    const behind = await openHouse(ownDatabase(), { trustProxy: ['127.0.0.1'] });
    const guess = (ip: string) =>
      behind.app.inject({
        method: 'POST',
        url: '/api/sign-in',
        payload: { email, passphrase: 'a wrong one' },
        headers: { 'x-forwarded-for': ip },
      });
    for (let i = 0; i < 10; i++) await guess('203.0.113.1');
    expect((await guess('203.0.113.1')).statusCode).toBe(429);
    expect((await guess('203.0.113.2')).statusCode).toBe(401);
    // Of the long addresses everybody has a network full.
    for (let i = 0; i < 10; i++) await guess(`2001:db8:1:2::${i}`);
    expect((await guess('2001:db8:1:2:ffff::9')).statusCode).toBe(429);
    expect((await guess('2001:db8:1:3::9')).statusCode).toBe(401);
    await behind.close();
  });
});

describe('a session', () => {
  it('that was there before a sign-in is none after it: nobody can lay one under', async () => {
    const { email, id } = await ana();
    const laid = 'x'.repeat(43);
    const answer = await signIn(email, PASSPHRASE, {}, cookieOf(laid));
    expect(tokenIn(answer)).not.toBe(laid);
    expect(await me(laid)).toBeNull();
    const first = tokenIn(answer);
    const second = tokenIn(await signIn(email, PASSPHRASE, {}, cookieOf(first)));
    expect(await me(first)).toBeNull();
    expect((await me(second)).id).toBe(id);
  });

  it('ends at sign-out for whoever has stolen its cookie, too', async () => {
    const { token, headers } = await ana();
    const stolen = cookieOf(token);
    await house.app.inject({ method: 'POST', url: '/api/sign-out', headers });
    const answer = await house.app.inject({ url: '/api/projects', headers: stolen });
    expect([answer.statusCode, answer.json().error.code]).toEqual([401, 'NOT_SIGNED_IN']);
  });

  it('changes nothing for a page that does not say who it is: none of elsewhere can', async () => {
    const { token, id } = await ana();
    const foreign = await house.app.inject({
      method: 'POST',
      url: '/api/projects',
      headers: cookieOf(token),
      payload: { name: 'Forged' },
    });
    expect([foreign.statusCode, foreign.json().error.code]).toEqual([403, 'FOREIGN_PAGE']);
    // A form of elsewhere can write the query, whoever it is that it attacks.
    const inQuery = await house.app.inject({
      method: 'DELETE',
      url: `/api/account/sessions?person=${id}`,
      headers: cookieOf(token),
    });
    expect([inQuery.statusCode, inQuery.json().error.code]).toEqual([403, 'FOREIGN_PAGE']);
    // What a form of elsewhere could send: no header of ours, no JSON.
    const form = await house.app.inject({
      method: 'POST',
      url: '/api/account/sessions',
      headers: { ...cookieOf(token), 'content-type': 'text/plain' },
      payload: '{"name":"Forged"}',
    });
    expect(form.statusCode).toBeGreaterThanOrEqual(400);
    const origin = await house.app.inject({
      method: 'POST',
      url: '/api/projects',
      headers: { ...cookieOf(token), [PERSON_HEADER]: id, origin: 'https://harbour.example' },
      payload: { name: 'Forged' },
    });
    expect(origin.json().error.code).toBe('FOREIGN_HOST');
    expect(await house.app.projects.list(id)).toEqual([]);
  });

  it('of two tabs that are two people does nothing under the wrong name', async () => {
    const [one, other] = [await ana(), await ana()];
    // The browser has the cookie of the second by now; the tab of the first still says it is the first.
    const left = { ...FORM, ...cookieOf(other.token), [PERSON_HEADER]: one.id };
    for (const [method, url, payload] of [
      ['GET', '/api/projects'],
      ['POST', '/api/projects', { name: 'Whose?' }],
      ['DELETE', '/api/account/sessions'],
    ] as const) {
      const answer = await house.app.inject({ method, url, headers: left, ...(payload ? { payload } : {}) });
      expect([answer.statusCode, answer.json().error.code]).toEqual([409, 'OTHER_PERSON']);
    }
    const stream = await house.app.inject({
      url: `/api/projects/${randomUUID()}/events?person=${one.id}`,
      headers: cookieOf(other.token),
    });
    expect(stream.statusCode).toBe(409);
    expect(await house.app.projects.list(other.id)).toEqual([]);
  });

  it('is seen, and ends by itself, one by one, or all but this', async () => {
    const person = await ana();
    const tokens = [];
    for (const agent of ['Phone', 'Desk', 'Ferry'])
      tokens.push(tokenIn(await signIn(person.email, PASSPHRASE, {}, { 'user-agent': agent })));
    const { sessions } = (await person.ask('GET', '/api/account/sessions')).json();
    expect(sessions.map(({ agent, own }: { agent: string; own: boolean }) => [agent, own])).toEqual(
      expect.arrayContaining([
        ['a browser of the tests', true],
        ['Phone', false],
        ['Desk', false],
        ['Ferry', false],
      ]),
    );
    const phone = sessions.find(({ agent }: { agent: string }) => agent === 'Phone');
    expect((await person.ask('DELETE', `/api/account/sessions/${phone.id}`)).statusCode).toBe(204);
    expect(await me(tokens[0]!)).toBeNull();
    expect(await me(tokens[1]!)).not.toBeNull();
    const stranger = await ana();
    const desk = sessions.find(({ agent }: { agent: string }) => agent === 'Desk');
    expect((await stranger.ask('DELETE', `/api/account/sessions/${desk.id}`)).statusCode).toBe(404);
    await person.ask('DELETE', '/api/account/sessions');
    expect(await me(tokens[1]!)).toBeNull();
    expect(await me(person.token)).not.toBeNull();
    // Both ways of time.
    await house.database.query(
      `UPDATE session SET seen_at = now() - interval '13 hours' WHERE person_id = $1`,
      [person.id],
    );
    expect(await me(person.token)).toBeNull();
    await house.database.query(
      `UPDATE session SET seen_at = now(), begun_at = now() - interval '25 hours' WHERE person_id = $1`,
      [person.id],
    );
    expect(await me(person.token)).toBeNull();
  });
});

describe('a passphrase', () => {
  test.each([
    ['elevenlette', 'at least 12'],
    ['password1234', 'easily guessed'],
    ['passwordpassword', 'easily guessed'],
    ['qwertyuiop123', 'easily guessed'],
    ['123456789012', 'easily guessed'],
    ['abcabcabcabc', 'easily guessed'],
    ['aaaaaaaaaaaaaaaaaaaaaaaa', 'easily guessed'],
    ['ana.harbourer', 'easily guessed'],
    ['skerry-line.example', 'easily guessed'],
  ])('%s is refused', (passphrase, why) => {
    expect(() => refuseWeak(passphrase, ['ana.harbourer@skerry-line.example', 'Ana Harbourer'])).toThrow(why);
  });

  test.each([
    [PASSPHRASE],
    ['ferry to hallin at nine'],
    ['Ångström över Öster Skär'],
    ['🐦🐦⛴️ grå holme 7'],
    ['x9$kQ2!vB7mZ'],
  ])('%s is taken', (passphrase) => {
    expect(() => refuseWeak(passphrase, ['ana@skerry-line.example', 'Ana'])).not.toThrow();
  });

  it('is changed with the present one alone, ends all other sessions, and tells its owner', async () => {
    const person = await ana();
    const other = tokenIn(await signIn(person.email, PASSPHRASE));
    const change = (present: string, next: string) =>
      person.ask('PUT', '/api/account/passphrase', { present, next });
    const next = 'a heron on the pier at dusk';
    expect((await change('not the present one', next)).json().error).toMatchObject({
      code: 'WRONG_SIGN_IN',
      path: 'body.present',
    });
    expect((await change(PASSPHRASE, 'password1234')).json().error).toMatchObject({
      code: 'WEAK_PASSPHRASE',
      path: 'body.next',
    });
    const done = await change(PASSPHRASE, next);
    expect(done.statusCode).toBe(204);
    expect(await me(other)).toBeNull();
    expect(await me(person.token)).toBeNull();
    expect((await me(tokenIn(done))).id).toBe(person.id);
    expect((await signIn(person.email, PASSPHRASE)).statusCode).toBe(401);
    expect((await signIn(person.email, next)).statusCode).toBe(204);
    const [letter] = await house.app.letters.store.list(1);
    expect([letter!.to, letter!.subject]).toEqual([person.email, 'Mint Lamp: your passphrase was changed']);
  });

  it('that was forgotten is set anew once, by a letter; nobody learns who has an account', async () => {
    const person = await ana();
    const forgotten = (email: string) =>
      house.app.inject({ method: 'POST', url: '/api/passphrase/forgotten', payload: { email } });
    const [there, none] = [await forgotten(person.email), await forgotten('nobody@skerry-line.example')];
    expect([there.statusCode, there.body]).toEqual([none.statusCode, none.body]);
    await vi.waitFor(async () => expect(await house.tokenTo(person.email)).toHaveLength(43));
    const first = await house.tokenTo(person.email);
    await forgotten(person.email);
    await vi.waitFor(async () => expect(await house.tokenTo(person.email)).not.toBe(first));
    const second = await house.tokenTo(person.email);
    const set = (token: string, passphrase: string) =>
      house.app.inject({ method: 'POST', url: '/api/passphrase/new', payload: { token, passphrase } });
    const next = 'a heron on the pier at dusk';
    expect((await set(first, next)).statusCode).toBe(404);
    expect((await set(second, 'password1234')).statusCode).toBe(422);
    const both = await Promise.all([set(second, next), set(second, next)]);
    expect(both.map(({ statusCode }) => statusCode).sort()).toEqual([204, 404]);
    expect(await me(person.token)).toBeNull();
    expect((await signIn(person.email, next)).statusCode).toBe(204);
    // Its time is over after half an hour.
    await forgotten(person.email);
    await vi.waitFor(async () => expect(await house.tokenTo(person.email)).not.toBe(second));
    await house.database.query(`UPDATE reset_link SET ends_at = now() - interval '1 second'`);
    expect((await set(await house.tokenTo(person.email), next)).statusCode).toBe(404);
    // And nobody is flooded with letters.
    const statuses = [];
    for (let i = 0; i < 4; i++) statuses.push((await forgotten(person.email)).statusCode);
    expect(statuses).toEqual([204, 204, 429, 429]);
  });
});

describe('a second factor', () => {
  const codeOf = (secret: string, timestamp = Date.now()) =>
    new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp });

  /** Sets one up; the clock is moved on afterwards, since its code counts once. */
  const setUp = async (person: Somebody) => {
    const begun = await person.ask('POST', '/api/account/second-factor', { passphrase: PASSPHRASE });
    const { secret, address } = begun.json();
    const wrong = await person.ask('PUT', '/api/account/second-factor', { code: '000000' });
    const done = await person.ask('PUT', '/api/account/second-factor', { code: codeOf(secret) });
    return { secret, address, wrong, codes: done.json().codes as string[] };
  };

  afterEach(() => vi.useRealTimers());

  it('is of the standard: the codes of RFC 6238, and none of another step', () => {
    const secret = new Secret({
      buffer: new TextEncoder().encode('12345678901234567890').buffer as ArrayBuffer,
    });
    for (const [seconds, code] of [
      [59, '287082'],
      [1111111109, '081804'],
      [20000000000, '353130'],
    ] as const) {
      expect(stepOfCode(secret.base32, code, seconds * 1000)).toBe(Math.floor(seconds / 30));
      expect(stepOfCode(secret.base32, code, (seconds + 30) * 1000)).toBe(Math.floor(seconds / 30));
      expect(stepOfCode(secret.base32, code, (seconds + 90) * 1000)).toBeNull();
    }
    // Counted here by the definition, too.
    const counter = Buffer.alloc(8);
    counter.writeBigUInt64BE(1n);
    const mac = createHmac('sha1', '12345678901234567890').update(counter).digest();
    const at = mac[19]! & 15;
    expect(String((mac.readUInt32BE(at) & 0x7fffffff) % 1e6).padStart(6, '0')).toBe('287082');
  });

  it('is asked for once it is set up, each code counts once, and recovery codes stand in', async () => {
    const person = await ana();
    const { secret, address, wrong, codes } = await setUp(person);
    expect(wrong.statusCode).toBe(401);
    expect(address).toMatch(/^otpauth:\/\/totp\/Mint%20Lamp/);
    expect(new Set(codes).size).toBe(10);
    const without = await signIn(person.email, PASSPHRASE);
    expect([without.statusCode, without.json().error.code]).toEqual([401, 'FACTOR_NEEDED']);
    // The code that set it up does not count again.
    expect((await signIn(person.email, PASSPHRASE, { code: codeOf(secret) })).statusCode).toBe(401);
    vi.useFakeTimers({ now: Date.now() + 60_000, toFake: ['Date'] });
    const code = codeOf(secret);
    // Replayed, also at once: one of them.
    const both = await Promise.all([1, 2, 3].map(() => signIn(person.email, PASSPHRASE, { code })));
    expect(both.map(({ statusCode }) => statusCode).sort()).toEqual([204, 401, 401]);
    // Whose it is is told.
    const [letter] = await house.app.letters.store.list(1);
    expect([letter!.to, letter!.subject]).toEqual([
      person.email,
      expect.stringMatching(/used a second time/),
    ]);
    // A code of before the one that was used is not taken either.
    expect(
      (await signIn(person.email, PASSPHRASE, { code: codeOf(secret, Date.now() - 30_000) })).statusCode,
    ).toBe(401);
    const recovery = codes[3]!.toUpperCase().replace('-', ' ');
    const twice = await Promise.all([1, 2].map(() => signIn(person.email, PASSPHRASE, { code: recovery })));
    expect(twice.map(({ statusCode }) => statusCode).sort()).toEqual([204, 401]);
    expect((await person.ask('GET', '/api/account')).json().recoveryCodes).toBe(9);
    // The passphrase alone is not told to be right by a wrong code.
    const wrongBoth = await signIn(person.email, 'not the passphrase', { code });
    expect(wrongBoth.json().error.code).toBe('WRONG_SIGN_IN');
  });

  it('goes with passphrase and code, and a lost one by a recovery code', async () => {
    const person = await ana();
    const { codes } = await setUp(person);
    const remove = (proof: object) => person.ask('DELETE', '/api/account/second-factor', proof);
    expect((await remove({ passphrase: PASSPHRASE })).json().error.code).toBe('FACTOR_NEEDED');
    expect((await remove({ passphrase: PASSPHRASE, code: '123456' })).statusCode).toBe(401);
    const fresh = await person.ask('POST', '/api/account/recovery-codes', {
      passphrase: PASSPHRASE,
      code: codes[0],
    });
    expect(fresh.json().codes).toHaveLength(10);
    expect((await remove({ passphrase: PASSPHRASE, code: codes[1] })).statusCode).toBe(401);
    expect((await remove({ passphrase: PASSPHRASE, code: fresh.json().codes[0] })).statusCode).toBe(204);
    expect((await signIn(person.email, PASSPHRASE)).statusCode).toBe(204);
  });

  it('lies in the database unreadable, and unread with another secret', async () => {
    const person = await ana();
    const { secret } = await setUp(person);
    const [{ factor }] = await house.database.query('SELECT factor FROM person WHERE id = $1', [person.id]);
    expect(factor.toString('latin1')).not.toContain(secret);
    expect(vaultOf('a secret of thirty-two letters or more').open(factor)).toBe(secret);
    expect(() => vaultOf('another secret of thirty-two letters').open(factor)).toThrow();
    const bent = Buffer.from(factor);
    bent[20] = bent[20]! ^ 1;
    expect(() => vaultOf('a secret of thirty-two letters or more').open(bent)).toThrow();
  });

  it('has recovery codes of signs that are told apart', () => {
    for (const code of newRecoveryCodes()) expect(code).toMatch(/^[2-9a-hjkmnp-z]{5}-[2-9a-hjkmnp-z]{5}$/);
    expect(recoveryHash('ab')).toBeNull();
  });
});
