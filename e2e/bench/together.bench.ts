import { randomUUID } from 'node:crypto';
import type { RevisionEvent } from '@mint-lamp/core/wire/projects';
import { percentileOf, reportShare, SMALL, sized } from '../../packages/core/bench/report.ts';
import { startStack } from '../support/stack.ts';
import { FORM, onServer, post, SKERRY } from '../support/test.ts';

// Many on one project in two processes: how long it takes until the others see an edit, and until those who follow its
// live style sheet are told of an edit and of a drag; against one who does.
const PEOPLE = sized(50, 4);
const EDITS_EACH = sized(8, 2);
const PAUSE_MS = sized(3000, 200);
const VIEWERS = sized(500, 6);
const TIMES = sized(20, 2);

const stack = await startStack();
const other = await stack.anotherServer();
const addresses = [stack.address, other.address];
const addressOf = (i: number) => addresses[i % addresses.length]!;
const stops: AbortController[] = [];
const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Reads a stream of events; what each says goes to `hear`. */
async function listen(url: string, hear: (data: string) => void): Promise<void> {
  const stop = new AbortController();
  stops.push(stop);
  const answer = await fetch(url, { signal: stop.signal });
  if (!answer.ok) throw new Error(`${url}: ${answer.status}`);
  const read = async () => {
    let text = '';
    for await (const bytes of answer.body!) {
      text += Buffer.from(bytes).toString();
      for (let end = text.indexOf('\n\n'); end !== -1; end = text.indexOf('\n\n')) {
        const data = /^data: (.+)$/m.exec(text.slice(0, end))?.[1];
        if (data && !text.startsWith('event: ')) hear(data);
        text = text.slice(end + 2);
      }
    }
  };
  read().catch(() => {});
}
const leaveAll = () => {
  for (const stop of stops.splice(0)) stop.abort();
};

/** When each revision was sent, and by whom. */
const sentAt = new Map<number, { at: number; by: number }>();
const seen: { revision: number; at: number; by: number }[] = [];

/** A page: told of a revision it fetches the news, one question at a time, as the interface does. */
class Person {
  known: number;
  private behind = false;
  private asking = false;
  readonly i: number;

  constructor(i: number, known: number) {
    this.i = i;
    this.known = known;
  }

  hear(data: string): void {
    const { revision, entries } = JSON.parse(data) as RevisionEvent;
    if (revision !== null && revision <= this.known) return;
    if (revision !== null && entries?.[0]?.revision === this.known + 1 && !this.asking) this.sees(revision);
    else {
      this.behind = true;
      if (!this.asking) void this.ask();
    }
  }

  private async ask(): Promise<void> {
    this.asking = true;
    while (this.behind) {
      this.behind = false;
      const url = `${addressOf(this.i)}/api/projects/${SKERRY}/news?after=${this.known}`;
      const { revision } = (await (await fetch(url, { headers: FORM })).json()) as { revision: number };
      this.sees(revision);
    }
    this.asking = false;
  }

  private sees(revision: number): void {
    const at = performance.now();
    for (let one = this.known + 1; one <= revision; one++) seen.push({ revision: one, at, by: this.i });
    this.known = Math.max(this.known, revision);
  }

  async edit(color: string): Promise<void> {
    const at = performance.now();
    const answer = await fetch(`${addressOf(this.i)}/api/projects/${SKERRY}/commands`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', ...FORM },
      body: JSON.stringify({
        revision: this.known,
        commands: [{ id: randomUUID(), command: { type: 'setBase', family, color } }],
      }),
    });
    const { outcomes } = (await answer.json()) as { outcomes: { revision: number }[] };
    sentAt.set(outcomes[0]!.revision, { at, by: this.i });
  }
}

const begun = await onServer(stack, SKERRY);
const family = begun.document.families[0].id as string;
const colorOf = (n: number) => `#${(0x10_20_30 + n * 977).toString(16).padStart(6, '0').slice(0, 6)}`;

const people = Array.from({ length: PEOPLE }, (_, i) => new Person(i, begun.revision));
await Promise.all(
  people.map((one) => listen(`${addressOf(one.i)}/api/projects/${SKERRY}/events`, (data) => one.hear(data))),
);
await Promise.all(
  people.map(async (one) => {
    await wait(Math.random() * PAUSE_MS);
    for (let n = 0; n < EDITS_EACH; n++) {
      await one.edit(colorOf(one.i * 100 + n));
      await wait(PAUSE_MS * (0.5 + Math.random()));
    }
  }),
);
const last = begun.revision + PEOPLE * EDITS_EACH;
for (let i = 0; i < 200 && people.some(({ known }) => known < last); i++) await wait(50);
const behind = people.filter(({ known }) => known !== last).length;
const documents = await Promise.all(
  addresses.map(async (address) => JSON.stringify((await onServer({ ...stack, address }, SKERRY)).document)),
);
if (behind || documents[0] !== documents[1]) throw new Error(`${behind} people did not come to the same.`);
// An edit may be seen before its sender has the answer that says which revision it is.
const seenAfter = seen.flatMap(({ revision, at, by }) => {
  const sent = sentAt.get(revision);
  return sent && sent.by !== by ? [at - sent.at] : [];
});
console.log(
  `${PEOPLE} people, ${PEOPLE * EDITS_EACH} edits, seen ${seenAfter.length} times by the others; all came to the same.`,
);
leaveAll();

/** How long it takes until all who follow were told, ms: each of them, each time. */
async function toldAfter(
  viewers: number,
  make: (n: number) => Promise<unknown>,
  token: string,
): Promise<number[]> {
  let from = Number.POSITIVE_INFINITY;
  const took: number[] = [];
  let heard = 0;
  const each = new Set<number>();
  await Promise.all(
    Array.from({ length: viewers }, (_, i) =>
      listen(`${addressOf(i)}/api/shared/${token}/changes`, (data) => {
        if (/^\{"sheet"/.test(data)) return;
        if (each.has(i)) return;
        each.add(i);
        heard += 1;
        took.push(performance.now() - from);
      }),
    ),
  );
  await wait(SMALL ? 200 : 2000);
  for (let n = 0; n < TIMES; n++) {
    each.clear();
    heard = 0;
    from = performance.now();
    await make(n);
    for (let i = 0; i < 400 && heard < viewers; i++) await wait(10);
    if (heard < viewers) throw new Error(`${viewers - heard} of ${viewers} were not told.`);
    await wait(150);
  }
  leaveAll();
  return took;
}

const { token } = await post(stack, `/projects/${SKERRY}/shares`, {
  name: 'Bench',
  subject: { kind: 'css' },
  revision: null,
  tries: false,
  notes: false,
  endsAt: new Date(Date.now() + 3_600_000).toISOString(),
  passphrase: null,
});
const drag = (n: number) =>
  post(stack, `/projects/${SKERRY}/drag`, {
    revision: last,
    command: { type: 'setBase', family, color: colorOf(n + 5000) },
  });
const dragOne = await toldAfter(1, drag, token);
const dragMany = await toldAfter(VIEWERS, drag, token);
let made = 0;
const edit = () => people[0]!.edit(colorOf(9000 + made++));
const one = await toldAfter(1, edit, token);
const many = await toldAfter(VIEWERS, edit, token);

const p95 = (values: readonly number[]) => percentileOf(values, 0.95);
reportShare(`An edit is seen by ${PEOPLE - 1} others, 95 % of the times within`, p95(seenAfter), 300, 'ms');
reportShare(`An edit is told to ${VIEWERS} who follow the style sheet, 95 % within`, p95(many), 500, 'ms');
reportShare('  as to one, 95 % within', p95(one), 500, 'ms');
reportShare(`A drag is told to ${VIEWERS} who follow, 95 % within`, p95(dragMany), 200, 'ms');
reportShare('  as to one, 95 % within', p95(dragOne), 200, 'ms');
console.log(
  `  ${VIEWERS} take ${(p95(many) / p95(one)).toFixed(2)} times as long as one for an edit, ${(p95(dragMany) / p95(dragOne)).toFixed(2)} for a drag.`,
);
await stack.close();
