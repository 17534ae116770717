import { randomUUID } from 'node:crypto';
import { deflateSync } from 'node:zlib';
import { test as base, expect } from '@playwright/test';
import { askAs, firstPerson, invited, join, PASSPHRASE, type Somebody } from '../support/people.ts';
import { runSql } from '../support/stack.ts';
import { startTeamServer, type TeamProcess } from '../support/team-server.ts';
import { FORM } from '../support/test.ts';

/** All of them in the long tests; they take four minutes. */
const KILLS = process.env.LONG_TESTS ? 30 : 8;
const PEOPLE = 20;
const PROJECTS = 4;

const sleep = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

const CRC = Uint32Array.from({ length: 256 }, (_, n) => {
  let c = n;
  for (let k = 0; k < 8; k++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
  return c >>> 0;
});
function chunk(name: string, data: Buffer): Buffer {
  const body = Buffer.concat([Buffer.from(name), data]);
  let crc = 0xffffffff;
  for (const byte of body) crc = CRC[(crc ^ byte) & 0xff]! ^ (crc >>> 8);
  const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
  length.writeUInt32BE(data.length);
  sum.writeUInt32BE((crc ^ 0xffffffff) >>> 0);
  return Buffer.concat([length, body, sum]);
}
/** A picture of one pixel, another for each number. */
function pixel(n: number): Buffer {
  const head = Buffer.from([0, 0, 0, 1, 0, 0, 0, 1, 8, 2, 0, 0, 0]);
  const data = deflateSync(Buffer.from([0, n & 255, (n >> 8) & 255, (n >> 16) & 255]));
  const sign = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
  return Buffer.concat([sign, chunk('IHDR', head), chunk('IDAT', data), chunk('IEND', Buffer.alloc(0))]);
}

base(
  'kills of any of three processes and of the database, under 20 people: nothing lost, nothing doubled, nobody signed out',
  async () => {
    base.setTimeout(400_000);
    const server = await startTeamServer({ LOG_LEVEL: 'silent' });
    try {
      const all: TeamProcess[] = [server, await server.another(), await server.another()];
      const keeper = await firstPerson(server);
      const made = await askAs(server.address, keeper, 'POST', '/teams', { name: 'Ferry crew' });
      const { id: team } = (await made.json()) as { id: string };
      const people: Somebody[] = [];
      for (let i = 0; i < PEOPLE; i++) {
        const one = await invited(server.address, keeper, `Hand ${i}`);
        await join(server.address, keeper, keeper, team, one, 'editor');
        people.push(one);
      }
      const projects: string[] = [];
      for (let i = 0; i < PROJECTS; i++) {
        const begun = await askAs(server.address, keeper, 'POST', `/teams/${team}/projects`, {
          name: `Line ${i}`,
        });
        projects.push(((await begun.json()) as { id: string }).id);
      }

      let over = false;
      const acknowledged = new Map<string, Set<string>>(projects.map((id) => [id, new Set()]));
      const pictures: { project: string; content: string; who: Somebody }[] = [];
      const wrong: string[] = [];
      let signIns = 0;

      /** Asks one process after the other until one of them answers; what is no answer is tried again, as a page does. */
      const insist = async (ask: (address: string) => Promise<Response>): Promise<Response> => {
        for (let i = Math.floor(Math.random() * 3); ; i++) {
          const answer = await ask(all[i % 3]!.address).catch(() => null);
          if (answer && answer.status < 500) return answer;
          await answer?.arrayBuffer().catch(() => {});
          await sleep(60);
        }
      };
      const headersOf = ({ id, cookie }: Somebody) => ({ ...FORM, cookie, 'mint-lamp-person': id });

      const edit = async (who: Somebody, project: string, n: number) => {
        const id = randomUUID();
        const answer = await insist((address) =>
          fetch(`${address}/api/projects/${project}/commands`, {
            method: 'POST',
            headers: { ...headersOf(who), 'content-type': 'application/json' },
            body: JSON.stringify({
              revision: 0,
              commands: [{ id, command: { type: 'renameProject', name: `Line of ${who.name}, ${n}` } }],
            }),
          }),
        );
        const body = (await answer.json()) as { outcomes?: { status: string }[] };
        if (answer.status === 200 && /applied|known/.test(body.outcomes?.[0]?.status ?? ''))
          acknowledged.get(project)!.add(id);
        else wrong.push(`${answer.status} ${JSON.stringify(body)}`);
      };
      const give = async (who: Somebody, project: string, n: number) => {
        const answer = await insist((address) =>
          fetch(`${address}/api/projects/${project}/pictures`, {
            method: 'POST',
            headers: { ...headersOf(who), 'content-type': 'application/octet-stream' },
            body: new Uint8Array(pixel(n)),
          }),
        );
        if (answer.status !== 201) wrong.push(`${answer.status} ${await answer.text()}`);
        else pictures.push({ project, who, content: ((await answer.json()) as { content: string }).content });
      };
      /** From another browser: a session more, that has to be one from then on. */
      const signIn = async (who: Somebody) => {
        const answer = await insist((address) =>
          fetch(`${address}/api/sign-in`, {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify({ email: who.email, passphrase: PASSPHRASE }),
          }),
        );
        if (answer.status !== 204) wrong.push(`sign-in ${answer.status} ${await answer.text()}`);
        else signIns += 1;
      };

      const work = people.map(async (who, i) => {
        const project = projects[i % PROJECTS]!;
        for (let n = 0; !over; n++) {
          await edit(who, project, n);
          // No more than 32 of them: a project is not given pictures without end that nothing in it names.
          if (n % 20 === 5 && n < 140) await give(who, project, i * 1000 + n);
          if (n % 60 === 30 && n < 300) await signIn(who);
          await sleep(20 + Math.random() * 60);
        }
      });

      for (let kill = 0; kill < KILLS; kill++) {
        await sleep(250 + Math.random() * 300);
        const which = kill % 4;
        if (which === 3) {
          process.kill(server.cluster.pid()!, 'SIGKILL');
          // Its children notice and leave; only then can it be started again.
          for (let i = 0; i < 50 && server.cluster.pid() !== null; i++) await sleep(20);
          await sleep(300);
          server.cluster.restart();
        } else {
          await all[which]!.end('SIGKILL');
          await all[which]!.start();
        }
      }
      over = true;
      await Promise.all(work);

      expect(wrong).toEqual([]);
      const sent = [...acknowledged.values()].reduce((sum, ids) => sum + ids.size, 0);
      expect(sent).toBeGreaterThan(300);
      expect(pictures.length).toBeGreaterThan(10);
      expect(signIns).toBeGreaterThan(0);
      for (const [project, ids] of acknowledged) {
        const logged = runSql(
          server.cluster,
          `SELECT command_id FROM log_entry WHERE project_id = '${project}'`,
        )
          .trim()
          .split('\n');
        expect(new Set(logged).size, 'none is there twice').toBe(logged.length);
        expect(
          [...ids].filter((id) => !logged.includes(id)),
          'none is lost',
        ).toEqual([]);
        expect(logged.length, 'none is there that nobody was told of').toBe(ids.size);
        // The same for every process, whatever it remembers.
        const seen = await Promise.all(
          all.map(async ({ address }) =>
            (await askAs(address, keeper, 'GET', `/projects/${project}`)).text(),
          ),
        );
        expect(new Set(seen).size).toBe(1);
        expect(JSON.parse(seen[0]!).revision).toBe(logged.length);
      }
      for (const { project, content, who } of pictures) {
        const kept = await askAs(all[1]!.address, who, 'GET', `/projects/${project}/pictures/${content}`);
        expect((await kept.arrayBuffer()).byteLength).toBeGreaterThan(50);
      }
      for (const who of people)
        expect(
          (await fetch(`${all[2]!.address}/api/account`, { headers: { cookie: who.cookie } })).status,
        ).toBe(200);
      console.log(`${KILLS} kills, ${sent} edits, ${pictures.length} pictures, ${signIns} sign-ins`);
    } finally {
      await server.close();
    }
  },
);
