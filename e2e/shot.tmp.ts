import { readFileSync } from 'node:fs';
import { openBench } from './bench/in-browser.ts';
import { SKERRY } from './support/test.ts';

const { page, stack, close } = await openBench();
page.on('pageerror', (e) => console.log('ERR', e.message));
page.on('console', (m) => m.type() === 'error' && console.log('CON', m.text()));
await page.setViewportSize({ width: 1280, height: 800 });
await page.goto(`${stack.address}/p/${SKERRY}/gather/sheets`);
await page.getByRole('heading', { name: 'Gather' }).waitFor();
await page.screenshot({ path: '/tmp/s1.png' });
await page
  .getByLabel('Sheets as files')
  .setInputFiles(['/work/main/node_modules/bootstrap/dist/css/bootstrap.css']);
const t = Date.now();
await page.getByRole('heading', { name: 'Families' }).waitFor();
await page.getByRole('heading', { name: 'Roles' }).waitFor();
console.log('ms', Date.now() - t);
await page.waitForTimeout(500);
await page.screenshot({ path: '/tmp/s2.png' });
await page.getByRole('radio', { name: 'not visibly' }).click();
await page.getByText(/give way to another/).waitFor();
await page.waitForTimeout(800);
await page.screenshot({ path: '/tmp/s3.png' });
await page.getByRole('region', { name: 'Proposed pairs' }).scrollIntoViewIfNeeded();
await page.getByRole('heading', { name: 'Pairs' }).evaluate((h) => h.scrollIntoView());
await page.waitForTimeout(300);
await page.screenshot({ path: '/tmp/s4.png' });
await page.getByRole('heading', { name: 'Written out in rules' }).evaluate((h) => h.scrollIntoView());
await page.waitForTimeout(300);
await page.screenshot({ path: '/tmp/s5.png' });
await page.getByRole('button', { name: 'The bill' }).click();
await page.waitForTimeout(1500);
await page.screenshot({ path: '/tmp/s6.png' });
await close();
