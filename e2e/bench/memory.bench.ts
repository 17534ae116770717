import { randomUUID } from 'node:crypto';
import type { CDPSession } from '@playwright/test';
import { reportShare, SMALL, sized } from '../../packages/core/bench/report.ts';
import { expectSaved, onServer, post } from '../support/test.ts';
import { openBench } from './in-browser.ts';
import { makeLargestProject } from './largest-project.ts';

// What a page that is open for an hour of edits, others' and its own, has come to hold: the log, the undo list and whatever
// is remembered of each thing are bounded, so that it grows no more once they are full.
const OTHERS = sized(18_000, 40);
const OWN = sized(2_000, 6);
const AT_A_TIME = 200;
/** Colours that they give, over and over: what each is painted with is remembered, of 20,000 at most. */
const COLORS = 2000;
const { page, stack, close } = await openBench();

/** Megabytes that script holds once all that can go is gone: the least of some looks, since work comes in between. */
async function held(session: CDPSession): Promise<number> {
  let least = Number.POSITIVE_INFINITY;
  for (let i = 0; i < sized(6, 2); i++) {
    await page.waitForTimeout(sized(1000, 50));
    await session.send('HeapProfiler.collectGarbage');
    const { usedSize } = await session.send('Runtime.getHeapUsage');
    least = Math.min(least, usedSize / 1e6);
  }
  return least;
}

/** Somebody else gives roles other colours, one edit each. */
async function othersEdit(id: string, roles: readonly string[], theme: string, count: number): Promise<void> {
  for (let at = 0; at < count; at += AT_A_TIME) {
    const { revision } = await onServer(stack, id);
    const commands = Array.from({ length: Math.min(AT_A_TIME, count - at) }, (_, i) => ({
      id: randomUUID(),
      command: {
        type: 'setLink',
        role: roles[(at + i) % roles.length],
        theme,
        link: { to: 'color', color: `#${((at + i) % COLORS).toString(16).padStart(6, '0')}` },
      },
    }));
    await post(stack, `/projects/${id}/commands`, { revision, commands });
  }
}

/** One takes back what one has done and does it again, each an edit of one's own. */
async function ownEdits(count: number): Promise<void> {
  for (let i = 0; i < count; i++) await page.keyboard.press(i % 2 ? 'Control+Shift+z' : 'Control+z');
}

async function measure() {
  const id = await makeLargestProject(stack, SMALL ? 60 : undefined);
  const { document } = await onServer(stack, id);
  const roles: string[] = document.roles.map((role: { id: string }) => role.id);
  const [theme, second] = document.themes.map((one: { id: string }) => one.id);
  await page.goto(`${stack.address}/p/${id}/assign`);
  await page.locator('main tbody').first().waitFor();
  const session = await page.context().newCDPSession(page);
  await session.send('HeapProfiler.enable');
  // Something to take back, in a theme that the others leave alone.
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('dialog').getByLabel('Any CSS colour').fill('#123456');
  await page.keyboard.press('Enter');
  await page.getByRole('main').focus();
  const some = async (share: number) => {
    await othersEdit(id, roles, second ?? theme, Math.ceil(OTHERS * share));
    await ownEdits(Math.ceil(OWN * share));
    await expectSaved(page);
  };
  // First the lists fill that remember the last 500 edits of each kind, which is all that they ever hold.
  await some(0.3);
  const before = await held(session);
  await some(1);
  const after = await held(session);
  console.log(`(${before.toFixed(1)} MB once its lists were full, ${after.toFixed(1)} MB at the end)`);
  reportShare(
    `the largest project open for ${OTHERS + OWN} edits, of what it held before them`,
    after / before,
    1.1,
    'times',
  );
}

await measure().finally(close);
