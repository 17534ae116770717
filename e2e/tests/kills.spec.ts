import { randomUUID } from 'node:crypto';
import { runSql, startStack } from '../support/stack.ts';
import { expect, FORM, onServer, post, test } from '../support/test.ts';

const isLong = Boolean(process.env.LONG_TESTS);
/** How often the server or the database is killed, in turn. */
const KILLS = isLong ? 60 : 4;
const SENDERS = 8;

test('no acknowledged edit is lost, and none is made twice, while server and database are killed under load', async () => {
  test.setTimeout(30_000 + KILLS * 20_000);
  const stack = await startStack();
  const { id } = await post(stack, '/projects', { name: 'Killed' });
  const acknowledged = new Set<string>();
  const faults: string[] = [];
  let stopped = false;

  /** Sends one edit after another, each again until it is answered, as a page does. */
  const sender = async () => {
    let revision = 0;
    while (!stopped) {
      const command = { type: 'renameProject', name: `Name ${acknowledged.size}` };
      const commands = [{ id: randomUUID(), command }];
      for (let done = false; !done && !stopped; ) {
        try {
          const answer = await fetch(`${stack.address}/api/projects/${id}/commands`, {
            method: 'POST',
            headers: { 'content-type': 'application/json', ...FORM },
            body: JSON.stringify({ revision, commands }),
            signal: AbortSignal.timeout(10_000),
          });
          const told = await answer.json();
          if (answer.ok) {
            acknowledged.add(commands[0]!.id);
            revision = told.revision;
            done = true;
          } else if (answer.status !== 503) {
            faults.push(`${answer.status} ${JSON.stringify(told)}`);
            done = true;
          }
        } catch {
          // No answer: the edit may have been made or not.
        }
        if (!done) await new Promise((resolve) => setTimeout(resolve, 50));
      }
    }
  };
  const senders = Array.from({ length: SENDERS }, sender);
  try {
    for (let i = 0; i < KILLS; i++) {
      const before = acknowledged.size;
      await expect.poll(() => acknowledged.size, { timeout: 20_000 }).toBeGreaterThan(before + 20);
      await new Promise((resolve) => setTimeout(resolve, (i * 37) % 200));
      if (i % 2) {
        await stack.killDatabase();
        stack.cluster.restart();
      } else {
        await stack.killServer();
        await stack.startServer();
      }
    }
    const before = acknowledged.size;
    await expect.poll(() => acknowledged.size, { timeout: 20_000 }).toBeGreaterThan(before + 20);
    stopped = true;
    await Promise.all(senders);
    expect(faults).toEqual([]);
    const { revision, news } = await fetch(`${stack.address}/api/projects/${id}/news?after=0`, {
      headers: FORM,
    }).then((answer) => answer.json());
    const { document } = await onServer(stack, id);
    // The log holds every acknowledged edit once, without a gap, and comes to the document that is told.
    const logged: { revision: number; id: string; command: { name: string } }[] =
      news.kind === 'entries' ? news.entries : logOf(stack.cluster, id);
    expect(logged.map((entry) => entry.revision)).toEqual(Array.from({ length: revision }, (_, i) => i + 1));
    const ids = new Set(logged.map((entry) => entry.id));
    expect(ids.size).toBe(logged.length);
    expect([...acknowledged].filter((one) => !ids.has(one))).toEqual([]);
    expect(document.name).toBe(logged.at(-1)!.command.name);
    console.log(`${KILLS} kills, ${acknowledged.size} acknowledged edits, none lost`);
  } finally {
    stopped = true;
    await stack.close();
  }
});

/** The log as the database has it. */
function logOf(cluster: Parameters<typeof runSql>[0], id: string) {
  const sql = `SELECT coalesce(json_agg(json_build_object('revision', revision, 'id', command_id, 'command', command)
    ORDER BY revision), '[]') FROM log_entry WHERE project_id = '${id}'`;
  return JSON.parse(runSql(cluster, sql));
}
