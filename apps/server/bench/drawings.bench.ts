import { reportShare, SMALL, sized } from '../../../packages/core/bench/report.ts';
import { hostileDrawing } from '../test/hostile-drawings.ts';
import { heldLine, measuredServer } from './measured-server.ts';

// Drawings that are made to cost much, one after the other: how long any of them holds the server, and how long and with
// how much memory any is painted. The limits of painting are lower than usual, so that it comes to an end.
const MOST_HELD_MS = 50;
const PATIENCE = 500;
/** What the start of a process takes where the one before was ended, ms; from sources, as here, more than as built. */
const START = 1500;
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

const server = await measuredServer({ drawings: { patience: PATIENCE, memory: MEMORY } });

interface Outcome {
  readonly name: string;
  readonly status: number;
  readonly code: string;
  readonly took: number;
  readonly held: number;
}

async function send(name: string, drawing: string): Promise<Outcome> {
  const id = await server.newProject();
  const body = Buffer.from(drawing);
  const { result, took, held } = await server.watched(async () => {
    const answer = await fetch(`${server.address}/api/projects/${id}/pictures`, {
      method: 'POST',
      body,
      headers: { 'content-type': 'application/octet-stream' },
    });
    const told = (await answer.json()) as { error?: { code: string } };
    return { status: answer.status, code: told.error?.code ?? '' };
  });
  return { name, ...result, took, held };
}

const line = ({ name, status, code, took, held }: Outcome) =>
  heldLine(held, took, `answered ${status} ${code}: ${name}`);

async function measure(): Promise<Outcome[]> {
  const outcomes: Outcome[] = [];
  // The first starts the process that paints.
  await send('a plain one', svg(40, '<rect width="9" height="9"/>'));
  for (const [name, drawing] of NAMED.slice(0, sized(NAMED.length, 1))) {
    outcomes.push(await send(name, drawing));
    console.log(line(outcomes.at(-1)!));
  }
  // `SEEDS=342,310` looks at some of them again.
  const some = process.env.SEEDS?.split(',').map(Number);
  for (const seed of some ?? Array.from({ length: sized(2000, 4) }).keys()) {
    const { parts, text } = hostileDrawing(seed);
    outcomes.push(await send(`${seed}: ${parts.join(', ')}, ${text.length} bytes`, text));
    if (seed % 200 === 199) console.log(`  ${seed + 1} sent`);
  }
  return outcomes;
}

const outcomes = await measure().finally(server.close);
const most3 = (by: (outcome: Outcome) => number) => [...outcomes].sort((a, b) => by(b) - by(a)).slice(0, 3);
const counts = new Map<string, number>();
for (const { status, code } of outcomes)
  counts.set(`${status} ${code}`, (counts.get(`${status} ${code}`) ?? 0) + 1);
console.log([...counts].map(([answer, n]) => `  ${n} answered ${answer.trim()}`).join('\n'));
for (const outcome of [...most3(({ held }) => held), ...most3(({ took }) => took)])
  console.log(line(outcome));
const { logged, memory } = server;
if (logged.length) console.log(`  logged: ${logged.slice(0, 3).join('  ')}`);
if (outcomes.some(({ status }) => status >= 500))
  throw new Error('A drawing was answered with a fault of the server.');
reportShare(
  'longest hold of the server by a drawing',
  most3(({ held }) => held)[0]!.held,
  MOST_HELD_MS,
  'ms',
);
reportShare(
  'longest until an answer, with the start of a process',
  most3(({ took }) => took)[0]!.took,
  PATIENCE + START,
  'ms',
);
if (!SMALL) reportShare('most memory of what paints', memory.child / 1048576, MEMORY / 1048576, 'MB');
process.exit(0);
