import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import https from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test } from '@playwright/test';
import { freePort, startCluster, temporaryFolder } from '../../scripts/setup/postgres.mjs';
import { ensureProxy } from '../../scripts/setup/proxy.mjs';
import { firstPerson, newCrew } from '../support/people.ts';
import { type TeamServer, teamProcess } from '../support/team-server.ts';
import { FORM } from '../support/test.ts';

const OPERATING = fileURLToPath(new URL('../../docs/operating/', import.meta.url));

interface Answer {
  readonly status: number;
  readonly headers: Readonly<Record<string, string | string[] | undefined>>;
  readonly body: string;
}

/** Asks over TLS, whoever has signed the certificate. */
function ask(
  address: string,
  path: string,
  { method = 'GET', headers = {}, body = null as Buffer | null } = {},
): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const request = https.request(
      `${address}${path}`,
      { method, headers, rejectUnauthorized: false },
      async (answer) => {
        const pieces: Buffer[] = [];
        for await (const piece of answer) pieces.push(piece as Buffer);
        resolve({
          status: answer.statusCode!,
          headers: answer.headers,
          body: Buffer.concat(pieces).toString(),
        });
      },
    );
    request.on('error', reject);
    if (body) request.write(body);
    request.end();
  });
}

test('the example of a reverse proxy carries all of it over TLS, and one of two processes goes unseen', async () => {
  test.setTimeout(240_000);
  const folder = mkdtempSync(join(tmpdir(), 'mint-lamp-proxy-'));
  const cluster = await startCluster(temporaryFolder());
  const port = await freePort();
  const address = `https://127.0.0.1:${port}`;
  const env = { PUBLIC_ADDRESS: address, TRUSTED_PROXY: '127.0.0.1' };
  const [one, two] = [await teamProcess(cluster.url, env), await teamProcess(cluster.url, env)];
  const keys = spawnSync(
    'openssl',
    ['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '1', '-subj', '/CN=127.0.0.1'].concat([
      '-keyout',
      join(folder, 'key.pem'),
      '-out',
      join(folder, 'chain.pem'),
    ]),
    { encoding: 'utf8' },
  );
  expect(keys.status, keys.stderr).toBe(0);
  // The example itself, with this machine's ports and names in place of a server's.
  const site = readFileSync(join(OPERATING, 'nginx.conf'), 'utf8')
    .replace('127.0.0.1:5170', new URL(one.address).host)
    .replace('127.0.0.1:5171', new URL(two.address).host)
    .replace('listen 443 ssl', `listen 127.0.0.1:${port} ssl`)
    .replace('listen 80;', `listen 127.0.0.1:${await freePort()};`)
    .replaceAll('lamp.example.org;', '127.0.0.1;')
    .replace(/\/etc\/ssl\S+fullchain\.pem/, join(folder, 'chain.pem'))
    .replace(/\/etc\/ssl\S+privkey\.pem/, join(folder, 'key.pem'));
  const temporary = ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi']
    .map((name) => `${name}_temp_path ${join(folder, name)};`)
    .join('\n');
  const config = `pid ${folder}/pid; error_log stderr; daemon off; worker_processes 1;
    events { worker_connections 256; }
    http { access_log off; ${temporary}\n${site} }`;
  writeFileSync(join(folder, 'all.conf'), config);
  await one.start();
  await two.start();
  const proxy = spawn(ensureProxy(), ['-p', folder, '-c', join(folder, 'all.conf')], {
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  try {
    await expect
      .poll(() =>
        ask(address, '/api/ready').then(
          (r) => r.status,
          () => 0,
        ),
      )
      .toBe(200);
    const page = await ask(address, '/');
    expect(page.body).toContain('<div id="root">');
    expect(page.headers['strict-transport-security']).toBe('max-age=31536000; includeSubDomains');

    await expect.poll(() => one.said() + two.said()).toContain('/invitation#');
    const said = [one, two].filter((each) => each.said().includes('/invitation#')).at(-1)!;
    const first = /https:\/\/\S+\/invitation#[\w-]+/.exec(said.said())![0];
    // What people do is asked of a process here; what is tried is what goes through the proxy.
    const server = { address: one.address, first: () => first } as TeamServer;
    const keeper = await firstPerson(server);
    const crew = await newCrew(one.address, keeper);
    const signIn = await ask(address, '/api/sign-in', {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: address },
      body: Buffer.from(JSON.stringify({ email: crew.ula.email, passphrase: crew.ula.passphrase })),
    });
    expect(signIn.status).toBe(204);
    const cookie = String(signIn.headers['set-cookie']).split(';')[0]!;
    expect(String(signIn.headers['set-cookie'])).toMatch(/^__Host-.*Secure; SameSite=Strict$/);
    const own = {
      cookie,
      'mint-lamp-person': crew.ula.id,
      'content-type': 'application/json',
      origin: address,
      ...FORM,
    };

    // A stream comes through as it is said.
    const told = new Promise<number>((resolve, reject) => {
      const request = https.get(
        `${address}/api/projects/${crew.project}/events`,
        { headers: { cookie }, rejectUnauthorized: false },
        (answer) =>
          answer.on('data', (piece: Buffer) => {
            if (piece.toString().includes('"revision":2')) {
              resolve(Date.now());
              request.destroy();
            }
          }),
      );
      request.on('error', reject);
    });
    told.catch(() => {});
    const rename = (name: string) =>
      ask(address, `/api/projects/${crew.project}/commands`, {
        method: 'POST',
        headers: own,
        body: Buffer.from(
          JSON.stringify({
            revision: 1,
            commands: [{ id: crypto.randomUUID(), command: { type: 'renameProject', name } }],
          }),
        ),
      });
    await new Promise((resolve) => setTimeout(resolve, 500));
    expect((await rename('Through the proxy')).status).toBe(200);
    expect(await told).toBeGreaterThan(0);

    // Large files come through, and too large ones are told so by us.
    const large = await ask(address, `/api/projects/${crew.project}/pictures`, {
      method: 'POST',
      headers: { ...own, 'content-type': 'application/octet-stream' },
      body: Buffer.alloc(30_000_000),
    });
    expect(JSON.parse(large.body).error.code).toBe('NOT_A_PICTURE');

    // What somebody says of their own address is not believed: each guess counts for the one that the proxy sees.
    const guess = (from: string) =>
      ask(address, '/api/sign-in', {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'x-forwarded-for': from },
        body: Buffer.from(JSON.stringify({ email: crew.nis.email, passphrase: 'a wrong one' })),
      });
    const guesses = [];
    for (let i = 0; i < 11; i++) guesses.push((await guess(`203.0.113.${i}`)).status);
    expect(guesses.at(-1)).toBe(429);

    // One process ends as when it is replaced, the other is killed and comes back: reads go on all the while.
    const statuses: number[] = [];
    let over = false;
    const reading = (async () => {
      while (!over) {
        statuses.push(
          (await ask(address, '/api/projects', { headers: { cookie } }).catch(() => ({ status: 0 }))).status,
        );
        await new Promise((resolve) => setTimeout(resolve, 30));
      }
    })();
    await one.end('SIGTERM');
    await one.start();
    await two.end('SIGKILL');
    await two.start();
    over = true;
    await reading;
    expect(statuses.length).toBeGreaterThan(20);
    expect(statuses.filter((status) => status !== 200)).toEqual([]);
  } finally {
    const gone = once(proxy, 'exit');
    proxy.kill('SIGTERM');
    await gone;
    await one.end('SIGKILL');
    await two.end('SIGKILL');
    cluster.stop();
    cluster.remove();
    rmSync(folder, { recursive: true, force: true });
  }
});

test('the example of a unit is one that systemd takes', () => {
  const folder = mkdtempSync(join(tmpdir(), 'mint-lamp-unit-'));
  const file = join(folder, 'mint-lamp@.service');
  // Where it will run there is a user and a folder; here there are these.
  const unit = readFileSync(join(OPERATING, 'mint-lamp.service'), 'utf8')
    .replaceAll('/usr/bin/node', process.execPath)
    .replace('/opt/mint-lamp', fileURLToPath(new URL('../..', import.meta.url)));
  writeFileSync(file, unit);
  const { status, stderr } = spawnSync('systemd-analyze', ['verify', '--man=no', file], {
    encoding: 'utf8',
  });
  rmSync(folder, { recursive: true, force: true });
  expect([status, stderr]).toEqual([0, '']);
});
