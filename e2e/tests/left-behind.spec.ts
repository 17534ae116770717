import { randomUUID } from 'node:crypto';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import type { Page } from '@playwright/test';
import { addColor, expect, expectSaved, onServer, test } from '../support/test.ts';

const unsentKeys = (page: Page) =>
  page.evaluate(() => Object.keys(localStorage).filter((key) => key.includes('unsent')));

test('an open tab takes on what a closed one could not send', async ({
  page,
  other,
  open,
  stack,
  project,
}) => {
  await open('grow');
  await open('grow', other);
  await page.route('**/commands', (route) => route.abort());
  await addColor(page, '#111111');
  await expect(page.locator('[data-saving]')).toHaveText('1 edit kept here');
  await page.close();
  await expect.poll(async () => (await onServer(stack, project)).document.tray).toHaveLength(5);
  await expectSaved(other);
  await expect(other.getByRole('region', { name: 'Tray' }).getByRole('listitem')).toHaveCount(5);
  await expect.poll(() => unsentKeys(other)).toEqual([]);
});

test('edits of a project that was removed elsewhere are told, and can be let go', async ({
  page,
  open,
  stack,
  project,
}) => {
  await open('grow');
  await fetch(`${stack.address}/api/projects/${project}`, { method: 'DELETE' });
  await addColor(page, '#111111');
  await expect(page.locator('[data-saving]')).toHaveText('Removed, 1 edit kept here');
  await addColor(page, '#222222');
  await expect(page.locator('[data-saving]')).toHaveText('Removed, 2 edits kept here');
  await page.reload();
  const told = page.getByRole('list', { name: 'Edits of removed projects' });
  await expect(told).toContainText('2 edits, made less than a minute ago, are kept in this browser');
  await page.goto('/');
  await expect(told).toContainText('2 edits');
  await told.getByRole('button', { name: 'Discard' }).click();
  await expect(told).toBeHidden();
  expect(await unsentKeys(page)).toEqual([]);
});

test('many refused edits that lay here make one message, and the page goes on', async ({
  page,
  open,
  stack,
  project,
}) => {
  await page.goto('/api/health');
  const entries = Array.from({ length: 300 }, (_, i) => [
    `mint-lamp/unsent/${project}/00000000${i % 10}-${String(i).padStart(5, '0')}/${randomUUID()}`,
    JSON.stringify({
      form: DOCUMENT_VERSION,
      command: { type: 'renameFamily', family: `gone-${i}`, name: 'New' },
    }),
  ]);
  await page.evaluate((all) => {
    for (const [key, value] of all) localStorage.setItem(key!, value!);
  }, entries);
  await open('grow');
  await expect(page.getByText('300 edits could not be saved')).toHaveCount(1);
  await expect(page.locator('[data-sonner-toast]')).toHaveCount(1);
  expect(await unsentKeys(page)).toEqual([]);
  await addColor(page, '#111111');
  await expectSaved(page);
  expect((await onServer(stack, project)).document.tray).toHaveLength(5);
});
