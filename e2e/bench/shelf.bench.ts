import { cellsOf } from '@mint-lamp/core/shelf/cells';
import { reportShare, sized } from '../../packages/core/bench/report.ts';
import { runSql, startStack } from '../support/stack.ts';
import { percentile } from './page-costs.ts';

const SETS = sized(100_000, 2000);
const LIMIT_MS = 50;

let state = 5;
const random = () => {
  state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
  return state / 4294967296;
};
const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
const hex = () =>
  `#${Math.floor(random() * 0xffffff)
    .toString(16)
    .padStart(6, '0')}`;
// Some words are in many sets and most in few, as people write.
const syllables = ['ba', 'ro', 'mi', 'ten', 'sa', 'lo', 'ker', 'du', 'fen', 'gri', 'pol', 'wa'];
const common = ['sea', 'fog', 'warm', 'night', 'green', 'paper', 'soft', 'city'];
const rare = () => pick(syllables) + pick(syllables) + pick(syllables);
const words = () => [pick(common), rare(), rare(), random() < 0.4 ? pick(common) : rare()];

const stack = await startStack();

function fill(): void {
  const rows: string[] = [];
  for (let i = 0; i < SETS; i++) {
    const colors = Array.from({ length: 3 + Math.floor(random() * 5) }, hex);
    const content = { kind: 'palette', colors: colors.map((color, k) => ({ name: `Colour ${k}`, color })) };
    const id = `00000000-0000-4000-8000-${i.toString(16).padStart(12, '0')}`;
    rows.push(
      [
        id,
        words().join(' '),
        words().join(' '),
        JSON.stringify(content),
        `{${colors.join(',')}}`,
        `{${cellsOf(colors).join(',')}}`,
        Math.floor(random() ** 4 * 900),
        Math.floor(random() ** 4 * 300),
        new Date(1.7e12 + random() * 6e10).toISOString(),
      ].join('\t'),
    );
  }
  runSql(
    stack.cluster,
    `COPY shelf_set (id, name, words, content, colors, cells, adopted, favoured, at) FROM STDIN;\n${rows.join('\n')}\n\\.\nANALYZE shelf_set;\n`,
  );
}

interface Page {
  readonly sets: readonly unknown[];
  readonly next: string | null;
}

async function timed(query: Record<string, string>): Promise<{ ms: number; page: Page }> {
  const start = performance.now();
  const response = await fetch(`${stack.address}/api/shelf?${new URLSearchParams(query)}`);
  const page = (await response.json()) as Page;
  return { ms: performance.now() - start, page };
}

async function measure() {
  fill();
  const asked: Record<string, () => Record<string, string>> = {
    'a word that many have': () => ({ words: pick(common) }),
    'a word that few have': () => ({ words: rare() }),
    'the beginning of a word': () => ({ words: pick(syllables) }),
    'two words': () => ({ words: `${pick(common)} ${pick(syllables)}` }),
    'something near a colour': () => ({ near: hex() }),
    'a word and a colour': () => ({ words: pick(common), near: hex() }),
    'nothing, newest first': () => ({}),
  };
  const orders = ['new', 'adopted', 'favoured'];
  const all: number[] = [];
  for (const [name, question] of Object.entries(asked)) {
    const times: number[] = [];
    let found = 0;
    for (let i = 0; i < sized(60, 8); i++) {
      const { ms, page } = await timed({ ...question(), order: pick(orders) });
      found += page.sets.length;
      if (i >= 5) times.push(ms);
    }
    if (!found) throw new Error(`Nothing was ever found for ${name}.`);
    all.push(...times);
    reportShare(`${SETS} sets, ${name}, 95th percentile`, percentile(times, 0.95), LIMIT_MS, 'ms');
  }
  // Far down the list it is as near as at its top.
  let after: string | null = null;
  const deep: number[] = [];
  for (let i = 0; i < sized(100, 5); i++) {
    const { ms, page } = await timed({ order: 'adopted', ...(after ? { after } : {}) });
    deep.push(ms);
    after = page.next;
  }
  all.push(...deep);
  reportShare(
    'a hundred pages, one after the other, 95th percentile',
    percentile(deep, 0.95),
    LIMIT_MS,
    'ms',
  );
  reportShare('all questions, 95th percentile', percentile(all, 0.95), LIMIT_MS, 'ms');
}

// The server and database must go, whatever happens: they would outlive this process.
await measure().finally(() => stack.close());
process.exit(0);
