import { randomUUID } from 'node:crypto';
import { hex, LARGEST } from '../../packages/core/bench/largest-document.ts';
import { reportShare, sized } from '../../packages/core/bench/report.ts';
import { startStack } from '../support/stack.ts';
import { onServer, post, SKERRY } from '../support/test.ts';
import { makeLargestProject } from './largest-project.ts';

const middle = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
const stack = await startStack();

async function measure() {
  const edit = (family: string) => ({ id: randomUUID(), command: { type: 'setBase', family, color: hex() } });
  /** Milliseconds from request to answer of one change of a base. */
  async function editTimes(id: string, family: string, times: number): Promise<number[]> {
    let { revision } = await onServer(stack, id);
    const out: number[] = [];
    for (let i = 0; i < times; i++) {
      const start = performance.now();
      ({ revision } = await post(stack, `/projects/${id}/commands`, { revision, commands: [edit(family)] }));
      out.push(performance.now() - start);
    }
    return out.slice(5);
  }
  const { growth } = (await onServer(stack, SKERRY)).document.families[0];
  /** A project with one family and nothing else, at revision 1. */
  const withOneFamily = async (name: string): Promise<string> => {
    const { id } = await post(stack, '/projects', { name });
    const family = { id: 'f0', name: 'Only', base: '#123456', growth, follows: null, handSet: {} };
    const commands = [{ id: randomUUID(), command: { type: 'addFamily', family } }];
    await post(stack, `/projects/${id}/commands`, { revision: 0, commands });
    return id;
  };
  const empty = await withOneFamily('Empty');
  const largest = await makeLargestProject(stack, sized(LARGEST.roles.length, 50));
  const small = middle(await editTimes(empty, 'f0', sized(65, 8)));
  const large = middle(await editTimes(largest, 'f0', sized(65, 8)));
  reportShare(
    'one edit of the largest project, against the same in a project with one family',
    large / small,
    2,
    'times',
  );
  console.log(`(${large.toFixed(1)} ms and ${small.toFixed(1)} ms)`);

  const { revision: before } = await onServer(stack, SKERRY);
  const start = performance.now();
  let known = before;
  const EDITS = sized(20, 2);
  const SENDERS = sized(50, 5);
  await Promise.all(
    Array.from({ length: SENDERS }, async () => {
      let own = known;
      for (let i = 0; i < EDITS; i++) {
        ({ revision: own } = await post(stack, `/projects/${SKERRY}/commands`, {
          revision: own,
          commands: [edit('buoy')],
        }));
        known = Math.max(known, own);
      }
    }),
  );
  const perSecond = (SENDERS * EDITS) / ((performance.now() - start) / 1000);
  const { revision: after } = await onServer(stack, SKERRY);
  if (after - before !== SENDERS * EDITS) throw new Error('Not every edit arrived.');
  reportShare('time for one of the edits of 50 senders on one project', 1000 / perSecond, 2, 'ms');
  console.log(`(${perSecond.toFixed(0)} edits a second)`);

  // A project with 10,000 edits behind it, and a sender that has seen none of them.
  const long = await withOneFamily('Long');
  for (let i = 0; i < sized(20, 2); i++)
    await post(stack, `/projects/${long}/commands`, {
      revision: i * 500 + 1,
      commands: Array.from({ length: 500 }, () => edit('f0')),
    });
  const behind = JSON.stringify(
    await post(stack, `/projects/${long}/commands`, { revision: 0, commands: [edit('f0')] }),
  ).length;
  const whole = JSON.stringify(await onServer(stack, long)).length;
  reportShare(
    'answer to one who is 10,000 revisions behind, against the whole project',
    behind / whole,
    1.2,
    'times',
  );
  console.log(`(${behind} and ${whole} characters)`);

  for (let i = 0; i < sized(20, 3); i++) await post(stack, '/projects', { name: `Another ${i}` });
  const times: number[] = [];
  for (let i = 0; i < 9; i++) {
    const at = performance.now();
    await fetch(`${stack.address}/api/projects`).then((r) => r.text());
    times.push(performance.now() - at);
  }
  const health: number[] = [];
  for (let i = 0; i < 9; i++) {
    const at = performance.now();
    await fetch(`${stack.address}/api/health`).then((r) => r.text());
    health.push(performance.now() - at);
  }
  reportShare(
    'the list of 25 projects, one of them of the largest size, against an empty answer',
    middle(times) / middle(health),
    10,
    'times',
  );
  console.log(`(${middle(times).toFixed(1)} ms and ${middle(health).toFixed(1)} ms)`);
}
await measure().finally(() => stack.close());
process.exit(0);
