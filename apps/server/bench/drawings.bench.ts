import { readFileSync } from 'node:fs';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { reportShare, SMALL, sized } from '../../../packages/core/bench/report.ts';
import { startCluster, temporaryFolder } from '../../../scripts/setup/postgres.mjs';
import { buildApp } from '../src/app.ts';
import { openDatabase } from '../src/database/data-source.ts';
import { ensureLocalOwner } from '../src/owner/owner.ts';
import { hostileDrawing } from '../test/hostile-drawings.ts';

// Drawings that are made to cost much, one after the other: how long any of them holds the server, and how long and with
// how much memory any is painted. The limits of painting are lower than usual, so that it comes to an end.
const MOST_HELD_MS = 50;
const PATIENCE = 500;
const MEMORY = 1000 * 1024 * 1024;

const svg = (size: number, inside: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}">${inside}</svg>`;
const noise = (octaves: number) =>
  svg(
    7000,
    `<filter id="n"><feTurbulence baseFrequency=".8" numOctaves="${octaves}"/></filter><rect width="100%" height="100%" filter="url(#n)"/>`,
  );
const NAMED: readonly (readonly [string, string])[] = [
  ['noise of 7,000 × 7,000 px', noise(1)],
  ['the same with ten octaves', noise(10)],
  [
    '200 groups with an opacity within each other',
    svg(4000, `${'<g opacity=".9">'.repeat(200)}<rect width="9" height="9"/>${'</g>'.repeat(200)}`),
  ],
  ['200,000 rectangles', svg(1000, '<rect width="900" height="900" opacity=".5"/>'.repeat(200_000))],
];

const cluster = await startCluster(temporaryFolder());
const database = await openDatabase(cluster.url);
await ensureLocalOwner(database);
const logged: string[] = [];
const app = await buildApp({
  database,
  logger: { level: 'error', stream: { write: (line) => void logged.push(line) } },
  jobLimits: { drawings: { patience: PATIENCE, memory: MEMORY } },
});
const address = await app.listen({ host: '127.0.0.1', port: 0 });

/** Bytes that the processes which this one has started hold, each at most. */
function childrenHold(): number {
  const ids = readFileSync(`/proc/${process.pid}/task/${process.pid}/children`, 'latin1').trim().split(' ');
  const held = ids.map((id) => {
    try {
      const status = readFileSync(`/proc/${id}/status`, 'latin1');
      return status.includes('Name:\tnode') ? Number(/^VmRSS:\s+(\d+)/m.exec(status)?.[1] ?? 0) * 1024 : 0;
    } catch {
      return 0;
    }
  });
  return Math.max(0, ...held);
}

interface Outcome {
  readonly name: string;
  readonly status: number;
  readonly code: string;
  readonly took: number;
  readonly held: number;
}

const delay = monitorEventLoopDelay({ resolution: 1 });
delay.enable();
let most = 0;
const looking = setInterval(() => {
  most = Math.max(most, childrenHold());
}, 50);

async function send(name: string, drawing: string): Promise<Outcome> {
  const made = await app.inject({ method: 'POST', url: '/api/projects', payload: { name: 'Drawings' } });
  const { id } = made.json() as { id: string };
  const body = Buffer.from(drawing);
  delay.reset();
  const start = performance.now();
  const answer = await fetch(`${address}/api/projects/${id}/pictures`, {
    method: 'POST',
    body,
    headers: { 'content-type': 'application/octet-stream' },
  });
  const told = (await answer.json()) as { error?: { code: string } };
  const took = performance.now() - start;
  return { name, status: answer.status, code: told.error?.code ?? '', took, held: delay.max / 1e6 };
}

const line = ({ name, status, code, took, held }: Outcome) =>
  `  ${held.toFixed(0).padStart(5)} ms held of ${took.toFixed(0).padStart(6)} ms, answered ${status} ${code}: ${name}`;

async function measure(): Promise<Outcome[]> {
  const outcomes: Outcome[] = [];
  // The first starts the process that paints.
  await send('a plain one', svg(40, '<rect width="9" height="9"/>'));
  for (const [name, drawing] of NAMED.slice(0, sized(NAMED.length, 2))) {
    outcomes.push(await send(name, drawing));
    console.log(line(outcomes.at(-1)!));
  }
  for (let seed = 0; seed < sized(2000, 12); seed++) {
    const { parts, text } = hostileDrawing(seed);
    outcomes.push(await send(`${seed}: ${parts.join(', ')}, ${text.length} bytes`, text));
    if (seed % 200 === 199) console.log(`  ${seed + 1} sent`);
  }
  return outcomes;
}

const outcomes = await measure().finally(async () => {
  clearInterval(looking);
  await app.close();
  await database.destroy();
  cluster.stop();
  cluster.remove();
});
const most3 = (by: (outcome: Outcome) => number) => [...outcomes].sort((a, b) => by(b) - by(a)).slice(0, 3);
const counts = new Map<string, number>();
for (const { status, code } of outcomes)
  counts.set(`${status} ${code}`, (counts.get(`${status} ${code}`) ?? 0) + 1);
console.log([...counts].map(([answer, n]) => `  ${n} answered ${answer.trim()}`).join('\n'));
for (const outcome of [...most3(({ held }) => held), ...most3(({ took }) => took)])
  console.log(line(outcome));
if (logged.length) console.log(`  logged: ${logged.slice(0, 3).join('  ')}`);
if (outcomes.some(({ status }) => status >= 500))
  throw new Error('A drawing was answered with a fault of the server.');
reportShare(
  'longest hold of the server by a drawing',
  most3(({ held }) => held)[0]!.held,
  MOST_HELD_MS,
  'ms',
);
reportShare('longest that a drawing was painted', most3(({ took }) => took)[0]!.took, PATIENCE + 250, 'ms');
if (!SMALL) reportShare('most memory of what paints', most / 1048576, MEMORY / 1048576, 'MB');
process.exit(0);
