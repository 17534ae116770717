import { readFileSync } from 'node:fs';
import { MINT_LAMP_INTERFACE } from '@mint-lamp/core/demo/interface';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import { declarationsOf } from '../../packages/core/src/exchange/declarations.fixture.ts';
import { runSql, type Stack, startStack } from '../support/stack.ts';
import { expect, expectSaved, onServer, SKERRY, test as usual } from '../support/test.ts';

const read = (path: string) => readFileSync(new URL(`../../${path}`, import.meta.url), 'utf8');
const FIXTURES = 'packages/core/src/document/versions/fixtures';
const INTERFACE = '5ce77000-0000-4000-8000-000000000002';

/** A server of today on a database as version 1 left it. */
const test = usual.extend<{ stored: Stack }>({
  // biome-ignore lint/correctness/noEmptyPattern: the form that fixtures take
  stored: async ({}, use) => {
    const stack = await startStack(read('apps/server/test/fixtures/database-1.sql'));
    await use(stack);
    await stack.close();
  },
});

test('a project stored by version 1 opens with all edits that were waiting then, and exports the same CSS', async ({
  page,
  stored,
}) => {
  const unsent: Record<string, object> = JSON.parse(read(`${FIXTURES}/unsent-1.json`));
  const waiting = Object.entries(unsent).map(([key, command]) => [key, JSON.stringify(command)]);
  const lost = [`mint-lamp/unsent/${SKERRY}/00000009-99999/lost`, '{"type":"paintMoon","name":"Full"}'];
  // On the app's own address, but not in the app: as a closed tab has left it.
  await page.goto(`${stored.address}/mark.svg`);
  await page.evaluate(
    (entries) => {
      for (const [key, text] of entries) localStorage.setItem(key!, text!);
    },
    [...waiting, lost],
  );
  await page.goto(`${stored.address}/p/${SKERRY}/deliver`);
  // What cannot be brought along is told by its name, and nothing else waits for it.
  await expect(
    page.getByText('cannot be read and was set aside, to be found under All projects: paintMoon Full'),
  ).toBeVisible();
  await expectSaved(page);
  await expect(page.locator('pre')).toHaveAttribute('aria-busy', 'false');
  const css = read(`${FIXTURES}/edited-and-sent-1.css`);
  expect(declarationsOf((await page.locator('pre').textContent()) ?? '')).toEqual(declarationsOf(css));
  const { document, revision } = await onServer(stored, SKERRY);
  expect(revision).toBe(9 + waiting.length);
  expect(document.version).toBe(DOCUMENT_VERSION);
  await page.goto(`${stored.address}/p/${SKERRY}/assign`);
  await expect(page.getByLabel('Name of the group quay.board', { exact: true })).toBeVisible();
  const left = await page.evaluate(() => Object.keys(localStorage).filter((key) => /unsent|aside/.test(key)));
  expect(left).toEqual([lost[0]!.replace('unsent', 'set-aside')]);
});

test('a project of a later version can be looked at, says why it cannot be changed, and is not changed', async ({
  page,
  stored,
}) => {
  const version = DOCUMENT_VERSION + 1;
  const later = JSON.stringify({ ...MINT_LAMP_INTERFACE, version, moods: ['calm'] });
  runSql(
    stored.cluster,
    `UPDATE snapshot SET version = ${version}, document = $doc$${later}$doc$ WHERE project_id = '${INTERFACE}';
     UPDATE project SET version = ${version} WHERE id = '${INTERFACE}';`,
  );
  await page.goto(`${stored.address}/p/${INTERFACE}/grow/stone`);
  await expect(
    page.getByRole('status').filter({ hasText: 'last changed by a newer Mint Lamp' }),
  ).toBeVisible();
  const base = page.getByRole('slider', { name: /^Base of Stone/ });
  const was = await base.getAttribute('aria-valuetext');
  await base.press('ArrowRight');
  await expect(page.locator('[data-sonner-toast]')).toContainText('view only here');
  await expect(base).toHaveAttribute('aria-valuetext', was!);
  await page.getByRole('link', { name: 'Deliver' }).click();
  await expect(page.locator('pre')).toContainText('--stone-50:');
  runSql(
    stored.cluster,
    `UPDATE snapshot SET document = '{"version": ${version}}' WHERE project_id = '${INTERFACE}'`,
  );
  await page.reload();
  await expect(page.getByRole('heading', { name: 'This project can’t be opened here' })).toBeVisible();
});
