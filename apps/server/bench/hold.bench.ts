import { randomUUID } from 'node:crypto';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import type { Command, SimpleCommand } from '@mint-lamp/core/document/commands/command';
import { MOST_IN_BATCH } from '@mint-lamp/core/document/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { Role } from '@mint-lamp/core/document/roles/role';
import { MOST_IN_REQUEST } from '@mint-lamp/core/wire/projects';
import { hex, LARGEST } from '../../../packages/core/bench/largest-document.ts';
import { reportShare, SMALL, sized } from '../../../packages/core/bench/report.ts';
import { startCluster, temporaryFolder } from '../../../scripts/setup/postgres.mjs';
import { ensureLocalPerson, LOCAL_PERSON } from '../src/access/local-person.ts';
import { buildApp } from '../src/app.ts';
import { openDatabase } from '../src/database/data-source.ts';
import { FORM } from '../test/form.ts';

// How long single requests of the costliest kinds hold the event loop, that is, keep everyone else waiting.
const MOST_MS = 200;
/** What fits into one request. */
const MOST_BYTES = 2_000_000;

const cluster = await startCluster(temporaryFolder());
const database = await openDatabase(cluster.url);
await ensureLocalPerson(database);
const newApp = () => buildApp({ database });

const accented = (i: number) => `${'é'.repeat(60)}-${i}`;
/** The largest document; where it is only to be seen that it runs, one with the same families and little else. */
const LARGE: ProjectDocument = SMALL
  ? { ...LARGEST, pairs: LARGEST.pairs.slice(0, 100), gradients: LARGEST.gradients.slice(0, 2) }
  : LARGEST;
const roles: Role[] = Array.from({ length: sized(1000, 100) }, (_, i) => ({
  id: `r${i}`,
  group: ['gruppe'],
  name: accented(i),
  links: {},
}));
const WIDE: ProjectDocument = { ...LARGE, ground: null, roles, pairs: [] };

/** As many of a kind of command as one request may hold. */
function fill(make: (i: number) => SimpleCommand): Command[] {
  const commands: SimpleCommand[] = [];
  let bytes = 0;
  for (let i = 0; i < sized(MOST_IN_REQUEST, 100); i++) {
    const one = make(i);
    bytes += JSON.stringify(one).length + 1;
    if (bytes > MOST_BYTES) break;
    commands.push(one);
  }
  const batches: Command[] = [];
  for (let at = 0; at < commands.length; at += MOST_IN_BATCH)
    batches.push({ type: 'batch', label: 'much', commands: commands.slice(at, at + MOST_IN_BATCH) });
  return batches;
}

const gradient = LARGEST.gradients[0]!;
const family = LARGEST.families[0]!;
const KINDS: readonly (readonly [string, (i: number) => SimpleCommand])[] = [
  [
    'renames of a group of 1,000 roles',
    (i) => ({ type: 'renameRoleGroup', from: [i % 2 ? 'a' : 'gruppe'], to: [i % 2 ? 'gruppe' : 'a'] }),
  ],
  [
    'renames of roles among 1,000, with accents',
    (i) => ({
      type: 'renameRole',
      role: `r${i % sized(1000, 100)}`,
      group: ['gruppe'],
      name: accented(i + 1000),
    }),
  ],
  [
    'colours that are unlike each other',
    (i) => ({
      type: 'addSwatch',
      swatch: {
        id: `w${i}`,
        name: 'x',
        color: `oklch(${(i % 97) / 97} 0.1${i} ${i % 360})`,
        group: '',
        added: 0,
      },
    }),
  ],
  ['bases', (i) => ({ type: 'setBase', family: `f${i % 64}`, color: hex() })],
  [
    'gradients of 64 stops',
    (i) => ({ type: 'addGradient', gradient: { ...gradient, id: `x${i}`, name: `X ${i}` } }),
  ],
  [
    'families of 24 shades, all set by hand',
    (i) => ({
      type: 'addFamily',
      family: {
        ...family,
        id: `x${i}`,
        name: `X ${i}`,
        handSet: Object.fromEntries(family.growth.labels.map((label) => [label, hex()])),
      },
    }),
  ],
  [
    'themes, added and removed',
    (i) =>
      i % 2
        ? { type: 'removeTheme', theme: `x${i - 1}` }
        : { type: 'addTheme', theme: { id: `x${i}`, name: `X ${i}` }, links: {} },
  ],
  ['removals of pairs among 2,000', (i) => ({ type: 'removePair', pair: `p${i}` })],
];

let worst = { ms: 0, name: '' };

async function held(name: string, request: () => Promise<{ statusCode: number }>): Promise<void> {
  globalThis.gc?.();
  const delay = monitorEventLoopDelay({ resolution: 1 });
  delay.enable();
  await new Promise((resolve) => setTimeout(resolve, 20));
  const start = performance.now();
  const { statusCode } = await request();
  const took = performance.now() - start;
  await new Promise((resolve) => setTimeout(resolve, 20));
  delay.disable();
  const ms = delay.max / 1e6;
  if (ms > worst.ms) worst = { ms, name };
  console.log(
    `  ${ms.toFixed(0).padStart(5)} ms held of ${took.toFixed(0).padStart(6)} ms, answered ${statusCode}: ${name}`,
  );
}

async function measure() {
  let app = await newApp();
  const create = async (document: ProjectDocument) =>
    (await app.projects.create(LOCAL_PERSON.id, document)).id;
  const post = (id: string, revision: number, commands: readonly Command[]) => {
    const payload = JSON.stringify({
      revision,
      commands: commands.map((command) => ({ id: randomUUID(), command })),
    });
    return () =>
      app.inject({
        method: 'POST',
        url: `/api/projects/${id}/commands`,
        headers: { ...FORM, 'content-type': 'application/json' },
        payload,
      });
  };
  const small = await create({ ...WIDE, roles: [], families: LARGEST.families.slice(0, 1), gradients: [] });
  const one: Command = { type: 'setBase', family: 'f0', color: '#123456' };
  await post(small, 0, [one])();
  await held('one edit of a small project', post(small, 1, [one]));
  for (const [name, make] of KINDS) {
    const id = await create(name.includes('pairs') ? LARGE : WIDE);
    await held(`a request full of ${name}`, post(id, 0, fill(make)));
  }
  const single = fill(KINDS[3]![1])
    .flatMap((batch) => (batch.type === 'batch' ? batch.commands : []))
    .slice(0, 500);
  await held('500 commands on the largest document', post(await create(LARGE), 0, single));
  await held('a body of 2 MB that is nonsense', () =>
    app.inject({
      method: 'POST',
      url: `/api/projects/${small}/commands`,
      headers: { ...FORM, 'content-type': 'application/json' },
      payload: `{"revision":0,"commands":${'['.repeat(900_000)}${']'.repeat(900_000)}}`,
    }),
  );
  const get = (url: string) => () => app.inject({ url, headers: FORM });
  const largest = await create(LARGE);
  await held('the largest document', get(`/api/projects/${largest}`));

  // A log of costly entries since the last snapshot, read by a process that knows nothing of it.
  const long = await create(WIDE);
  const group = fill(KINDS[0]![1]);
  for (let i = 0; i < sized(4, 1); i++) await post(long, i * group.length, group)();
  await app.close();
  app = await newApp();
  await held('a log of 10,000 renames of a group, read anew', get(`/api/projects/${long}`));
  await held('the list of projects', get('/api/projects'));
  await app.close();
}

await measure().finally(async () => {
  await database.destroy();
  cluster.stop();
  cluster.remove();
});
reportShare(`longest hold of the event loop by one request (${worst.name})`, worst.ms, MOST_MS, 'ms');
process.exit(0);
