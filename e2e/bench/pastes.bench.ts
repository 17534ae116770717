import type { Locator } from '@playwright/test';
import { hostileDrawing } from '../../apps/server/test/hostile-drawings.ts';
import { reportShare, sized } from '../../packages/core/bench/report.ts';
import { SKERRY } from '../support/test.ts';
import { openBench } from './in-browser.ts';

// What is pasted, however large or ill-meant it is: how long it holds the page in one piece.
const MOST_HELD_MS = 200;
const MB = 1_000_000;

const { page, stack, close } = await openBench();

const hex = (i: number) => `#${((i * 7919) % 0x1000000).toString(16).padStart(6, '0')}`;
const many = (count: number, make: (i: number) => string) =>
  Array.from({ length: count }, (_, i) => make(i)).join('\n');
const svg = (inside: string) => `<svg xmlns="http://www.w3.org/2000/svg"><defs>${inside}</defs></svg>`;
const linear = (i: number, more = '') =>
  `<linearGradient id="g${i}" ${more}><stop stop-color="${hex(i)}"/><stop offset="1" stop-color="${hex(i + 9)}"/></linearGradient>`;
const upTo = (bytes: number, line: (i: number) => string) => {
  const lines: string[] = [];
  for (let i = 0, size = 0; size < bytes; i++) {
    lines.push(line(i));
    size += lines[i]!.length + 1;
  }
  return lines.join('\n');
};

const AT_FADE: readonly (readonly [string, string])[] = [
  [
    '3,000 gradients',
    many(
      3000,
      (i) =>
        `.a${i} { background: linear-gradient(${i % 360}deg, ${hex(i)}, ${hex(i * 3)} 40%, ${hex(i * 5)}) }`,
    ),
  ],
  ['an SVG of 1,000 gradients', svg(many(1000, linear))],
  [
    'an SVG of 20,000 references in a chain',
    svg(many(20_000, (i) => `<linearGradient id="g${i}" href="#g${i + 1}"/>`)),
  ],
  ['an SVG of 5 MB of gradients', svg(upTo(4.9 * MB, linear))],
  [
    'an SVG of 20,000 gradients within 200 groups',
    svg(`${'<g>'.repeat(200)}${many(20_000, linear)}${'</g>'.repeat(200)}`),
  ],
  ['5 MB of one attribute', svg(`<path d="${'M0 0'.repeat(1.2 * MB)}"/>${linear(1)}`)],
];
const AT_GATHER: readonly (readonly [string, string])[] = [
  ['5 MB of codes', upTo(5 * MB, (i) => `${hex(i)}, rgb(${i % 256} 20 30), oklch(70% 0.1 ${i % 360})`)],
  [
    '5 MB of what looks like codes',
    upTo(5 * MB, (i) => `rgb(${i}, 300, -1), #12345g, hsl(120, 50, 50), cmyk(1,2,3,4)`),
  ],
  ['5 MB of brackets', `rgb${'('.repeat(5 * MB)}`],
  [
    '5,000 chained var()',
    `:root { --a0: #123456; ${many(5000, (i) => `--a${i + 1}: var(--a${i});`)} --end: var(--a5000) }`,
  ],
  ['3,000 gradients', AT_FADE[0]![1]],
];

/** Pastes a text into a field; the longest time, ms, that the page was held until nothing more came of it. */
async function held(field: Locator, text: string, settled: () => Promise<unknown>): Promise<number> {
  await page.evaluate(() => {
    const own = window as unknown as { held: number; heldBy?: PerformanceObserver };
    own.held = 0;
    own.heldBy?.disconnect();
    own.heldBy = new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) own.held = Math.max(own.held, duration);
    });
    own.heldBy.observe({ type: 'longtask' });
  });
  await field.evaluate((area, pasted) => {
    // As a task of its own, as a paste by hand is.
    setTimeout(() => {
      const clipboardData = new DataTransfer();
      clipboardData.setData('text/plain', pasted);
      const event = new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true });
      if (!area.dispatchEvent(event)) return;
      const set = Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value')!.set!;
      set.call(area, pasted);
      area.dispatchEvent(new InputEvent('input', { bubbles: true }));
    });
  }, text);
  await settled();
  return page.evaluate(() => (window as unknown as { held: number }).held);
}

async function measureFade() {
  await page.goto(`${stack.address}/p/${SKERRY}/fade`);
  await page.getByRole('button', { name: 'Paste CSS or SVG …' }).press('Enter');
  const panel = page.getByRole('dialog', { name: 'Paste a gradient' });
  const field = panel.getByLabel('CSS with gradients in it');
  const answered = panel.locator('[aria-label="Gradients in it"], #pasted-fault:not(:empty)');
  const one = async (text: string) => {
    const most = await held(field, text, async () => {
      await answered.first().waitFor({ timeout: 60_000 });
      await page.waitForTimeout(sized(60, 20));
    });
    const other = panel.getByRole('button', { name: 'Paste something else' });
    if (await other.isVisible()) await other.click();
    else await field.fill('');
    await answered.first().waitFor({ state: 'detached' });
    return most;
  };
  await one('linear-gradient(red, blue)');
  for (const [name, text] of AT_FADE.slice(0, sized(AT_FADE.length, 2)))
    reportShare(`Fade, pasted ${name}: the page is held at most`, await one(text), MOST_HELD_MS, 'ms');
  const drawings: { ms: number; name: string }[] = [];
  for (let seed = 0; seed < sized(Number(process.env.DRAWINGS ?? 2000), 4); seed++) {
    const { parts, text } = hostileDrawing(seed);
    if (text.trim())
      drawings.push({ ms: await one(text), name: `${seed}: ${parts.join(', ')}, ${text.length} bytes` });
  }
  drawings.sort((a, b) => b.ms - a.ms);
  for (const { ms, name } of drawings.slice(0, 3)) console.log(`  ${ms.toFixed(0)} ms: ${name}`);
  reportShare(
    `Fade, ${drawings.length} drawings made to cost much: the page is held at most`,
    drawings[0]!.ms,
    MOST_HELD_MS,
    'ms',
  );
}

async function measureGather() {
  for (const [name, text] of AT_GATHER.slice(0, sized(AT_GATHER.length, 1))) {
    await page.goto(`${stack.address}/p/${SKERRY}/gather`);
    const field = page.getByLabel('Text with colours');
    const other = page.getByRole('button', { name: 'Paste something else' });
    await field.or(other).first().waitFor();
    if (await other.isVisible()) await other.click();
    await field.fill('');
    const most = await held(field, text, async () => {
      await page.waitForTimeout(300);
      await page.getByText('Looking …').waitFor({ state: 'detached', timeout: 60_000 });
      await page.waitForTimeout(sized(1500, 100));
    });
    reportShare(`Gather, pasted ${name}: the page is held at most`, most, MOST_HELD_MS, 'ms');
  }
}

await measureGather().then(measureFade).finally(close);
