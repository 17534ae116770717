import type { AddressInfo } from 'node:net';
import { SMTPServer } from 'smtp-server';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { type House, openHouse } from './house.ts';
import { ownDatabase } from './own-database.ts';

/** A mail server that keeps what it is given; `refuse` has it say no to so many letters first. */
async function mailServer(refuse = 0) {
  const letters: string[] = [];
  let left = refuse;
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS'],
    onData(stream, _session, done) {
      let text = '';
      stream.on('data', (piece: Buffer) => {
        text += piece.toString();
      });
      stream.on('end', () => {
        if (left-- > 0) return done(Object.assign(new Error('Come again later'), { responseCode: 451 }));
        letters.push(text);
        done();
      });
    },
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.server.address() as AddressInfo;
  return {
    url: `smtp://127.0.0.1:${port}`,
    letters,
    close: () => new Promise<void>((resolve) => server.close(() => resolve())),
  };
}

let house: House | undefined;
let mail: Awaited<ReturnType<typeof mailServer>> | undefined;
afterEach(async () => {
  await house?.close();
  await mail?.close();
  house = undefined;
  mail = undefined;
});

const from = 'Mint Lamp <lamp@skerry-line.example>';

describe('letters', () => {
  it('go out through a mail server, and are not kept', async () => {
    mail = await mailServer();
    house = await openHouse(ownDatabase(), { mail: { way: 'smtp', url: mail.url, from } });
    const ula = await house.somebody('Ula Å');
    const { id } = (await ula.ask('POST', '/api/teams', { name: 'Fähre' })).json();
    await ula.ask('POST', `/api/teams/${id}/invitations`, {
      email: 'nis@skerry-line.example',
      access: 'editor',
    });
    await vi.waitFor(() => expect(mail!.letters).toHaveLength(1));
    const [letter] = mail.letters;
    expect(letter).toMatch(/^From: Mint Lamp <lamp@skerry-line\.example>\r$/m);
    expect(letter).toMatch(/^To: nis@skerry-line\.example\r$/m);
    const text = letter!.replaceAll('=\r\n', '');
    expect(text).toMatch(/https:\/\/lamp\.skerry-line\.example\/invitation#[\w-]{43}/);
    await vi.waitFor(async () => expect(await house!.app.letters.store.waiting()).toBe(0));
    // It is not opened here, not even by who looks after the server.
    const keeper = await house.somebody('Keeper', { administrator: true });
    expect((await keeper.ask('GET', '/api/mailbox')).statusCode).toBe(404);
    expect((await keeper.ask('GET', '/api/me')).json().mailbox).toBe(false);
  });

  it('that are refused for now stay, and go out once, by whichever process comes to them', async () => {
    mail = await mailServer(1);
    house = await openHouse(ownDatabase(), { mail: { way: 'smtp', url: mail.url, from } });
    await house.app.letters.send({ to: 'nis@skerry-line.example', subject: 'Hello', text: 'Hello.' });
    await vi.waitFor(async () => {
      const [row] = await house!.database.query('SELECT tries, next_at > now() AS later FROM letter');
      expect(row).toEqual({ tries: 1, later: true });
    });
    expect(mail.letters).toEqual([]);
    await house.database.query('UPDATE letter SET next_at = now()');
    const others = await Promise.all([0, 1, 2].map(() => house!.another()));
    await vi.waitFor(() => expect(mail!.letters).toHaveLength(1));
    await vi.waitFor(async () => expect(await house!.app.letters.store.waiting()).toBe(0));
    expect(others).toHaveLength(3);
    expect(mail.letters).toHaveLength(1);
  });

  it('wait while the mail server is away, and hold up nothing', async () => {
    house = await openHouse(ownDatabase(), {
      mail: { way: 'smtp', url: 'smtp://127.0.0.1:1', from },
    });
    const ula = await house.somebody('Ula');
    const { id } = (await ula.ask('POST', '/api/teams', { name: 'Crew' })).json();
    const answer = await ula.ask('POST', `/api/teams/${id}/invitations`, {
      email: 'nis@skerry-line.example',
      access: 'looker',
    });
    expect(answer.statusCode).toBe(201);
    expect(await house.app.letters.store.waiting()).toBe(1);
  });
});
