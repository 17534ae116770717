import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import http from 'node:http';
import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import type { Command } from '@mint-lamp/core/document/commands/command';
import { hex } from '../../packages/core/bench/largest-document.ts';
import { sized } from '../../packages/core/bench/report.ts';
import { systemCommands } from '../support/demo-commands.ts';
import { askAs, firstPerson, type Somebody } from '../support/people.ts';
import { runSql } from '../support/stack.ts';
import { startTeamServer } from '../support/team-server.ts';

// What teams cost: disk, memory and cores, measured on one process and one database of this machine and reckoned up to
// docs/reckoning.md's thousand teams. Prints figures; what they come to depends on the machine.

const TEAMS = sized(20, 2);
const PROJECTS = 10;
const EDITS = sized(100, 4);
const STREAMS = sized(1000, 20);

const server = await startTeamServer({ LOG_LEVEL: 'warn' });

/** Processor time of a process and what it has started, s, as the system counts it. */
function processorTime(pid: number): number {
  const read = (file: string) => {
    try {
      return readFileSync(file, 'latin1');
    } catch {
      return '';
    }
  };
  const own = (of: number | string) => {
    const fields = read(`/proc/${of}/stat`)
      .replace(/^.*\) /, '')
      .split(' ');
    // Of its children that have ended, too.
    return fields.length > 15 ? [11, 12, 13, 14].reduce((sum, i) => sum + Number(fields[i]), 0) / 100 : 0;
  };
  const children = readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .filter(
      (name) =>
        read(`/proc/${name}/stat`)
          .replace(/^.*\) /, '')
          .split(' ')[1] === String(pid),
    );
  return own(pid) + children.reduce((sum, child) => sum + own(child), 0);
}
const memoryOf = (pid: number) =>
  Number(/^VmRSS:\s+(\d+)/m.exec(readFileSync(`/proc/${pid}/status`, 'latin1'))![1]) / 1024;

const bytes = (): number =>
  Number(runSql(server.cluster, 'CHECKPOINT; SELECT pg_database_size(current_database())').trim());
const MB = (n: number) => `${(n / 1e6).toFixed(1)} MB`;
const kB = (n: number) => `${(n / 1e3).toFixed(2)} kB`;

/** An edit as designers make them: mostly a colour, now and then a name, a link or a pair. */
function editOf(i: number): Command {
  const role = SKERRY_LINE.roles[i % SKERRY_LINE.roles.length]!;
  switch (i % 5) {
    case 0:
      return { type: 'renameProject', name: `Skerry Line ${i}` };
    case 1:
      return { type: 'setLink', role: role.id, theme: 'day', link: role.links.day ?? null };
    default:
      return { type: 'setBase', family: SKERRY_LINE.families[i % 5]!.id, color: hex() };
  }
}

async function send(
  who: Somebody,
  project: string,
  revision: number,
  commands: readonly object[],
): Promise<number> {
  const answer = await askAs(server.address, who, 'POST', `/projects/${project}/commands`, {
    revision,
    commands: commands.map((command) => ({ id: randomUUID(), command })),
  });
  return ((await answer.json()) as { revision: number }).revision;
}

try {
  const keeper = await firstPerson(server);
  const empty = bytes();
  const begin = systemCommands(SKERRY_LINE);
  const projects: { id: string; revision: number }[] = [];
  for (let t = 0; t < TEAMS; t++) {
    const made = await askAs(server.address, keeper, 'POST', '/teams', { name: `Team ${t}` });
    const { id: team } = (await made.json()) as { id: string };
    for (let p = 0; p < PROJECTS; p++) {
      const begun = await askAs(server.address, keeper, 'POST', `/teams/${team}/projects`, {
        name: 'Skerry Line',
      });
      const { id } = (await begun.json()) as { id: string };
      projects.push({ id, revision: await send(keeper, id, 0, begin) });
    }
  }
  const filled = bytes();
  const perProject = (filled - empty) / projects.length;
  console.log(
    `${projects.length} projects as large as the demo: ${MB(filled - empty)}, ${kB(perProject)} each`,
  );

  const pid = Number(
    readdirSync('/proc').find((name) => {
      try {
        const line = readFileSync(`/proc/${name}/cmdline`, 'latin1');
        return (
          line.includes('apps/server/dist/main.js') &&
          readFileSync(`/proc/${name}/environ`, 'latin1').includes(`PUBLIC_ADDRESS=${server.address}`)
        );
      } catch {
        return false;
      }
    }),
  );
  const before = {
    server: processorTime(pid),
    database: processorTime(server.cluster.pid()!),
    bytes: filled,
  };
  const began = performance.now();
  let edits = 0;
  for (let i = 0; i < EDITS; i++)
    for (let at = 0; at < projects.length; at += 20)
      await Promise.all(
        projects.slice(at, at + 20).map(async (project) => {
          project.revision = await send(keeper, project.id, project.revision, [editOf(i)]);
          edits += 1;
        }),
      );
  const took = (performance.now() - began) / 1000;
  const spent = {
    server: (processorTime(pid) - before.server) / edits,
    database: (processorTime(server.cluster.pid()!) - before.database) / edits,
  };
  const perEdit = (bytes() - before.bytes) / edits;
  console.log(
    `${edits} edits in ${took.toFixed(1)} s, ${(edits / took).toFixed(0)} a second of 20 at a time (with whoever sends them on the same machine)`,
  );
  console.log(
    `an edit: ${(spent.server * 1000).toFixed(2)} ms of processor in the server, ${(spent.database * 1000).toFixed(2)} ms in the database, ${kB(perEdit)} on disk`,
  );

  for (const form of ['css', 'page', 'pdf']) {
    const times = sized(5, 1);
    const at = performance.now();
    for (let i = 0; i < times; i++)
      await (
        await askAs(server.address, keeper, 'GET', `/projects/${projects[i]!.id}/deliver/${form}`)
      ).arrayBuffer();
    console.log(
      `a file as ${form}: ${((performance.now() - at) / times).toFixed(0)} ms, one at a time in each process`,
    );
  }

  const idle = memoryOf(pid);
  const streams: http.ClientRequest[] = [];
  for (let i = 0; i < STREAMS; i++)
    await new Promise<void>((resolve, reject) => {
      const project = projects[i % projects.length]!;
      const request = http.get(
        `${server.address}/api/projects/${project.id}/events`,
        { headers: { cookie: keeper.cookie }, agent: false },
        (answer) => {
          answer.resume();
          resolve();
        },
      );
      request.on('error', (error) => (streams.includes(request) ? undefined : reject(error)));
      streams.push(request);
    });
  console.log(
    `memory: ${idle.toFixed(0)} MB with ${projects.length} projects known, ${memoryOf(pid).toFixed(0)} MB with ${STREAMS} pages that listen as well`,
  );
  for (const request of streams) request.destroy();

  const DAY = 86_400;
  for (const [says, perDay] of [
    ['100 edits a day of each team', 1000 * 100],
    ['100 edits a day of each project', 1000 * 10 * 100],
  ] as const) {
    // An hour of a day in which an eighth of it is done.
    const busiest = perDay / 8 / 3600;
    console.log(
      `1,000 teams with 10 projects, ${says}: ${MB(perProject * 10_000)} to begin with and ${MB(perEdit * perDay)} a day on disk; in the busiest hour ${busiest.toFixed(1)} edits a second, ${(busiest * spent.server * 100).toFixed(1)} % of a core for the server and ${(busiest * spent.database * 100).toFixed(1)} % for the database; on average ${((perDay / DAY) * (spent.server + spent.database) * 100).toFixed(2)} %`,
    );
  }
} finally {
  await server.close();
}
