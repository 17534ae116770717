import { chromiumOf } from '../engines/chromium.ts';
import { type Engine, waitFor } from '../engines/engine.ts';
import { openFirefox } from '../engines/firefox.ts';
import { openWebKit } from '../engines/webkit.ts';
import { test as base, expect } from '../support/test.ts';
import { VIEWS } from '../support/views.ts';

const [WIDTH, HEIGHT] = [1280, 800];

/** Debian's Chromium, Firefox and WebKit; installed by the long tests alone. */
const test = base.extend<{ engines: readonly Engine[] }>({
  engines: async ({ page }, use) => {
    const engines = [chromiumOf(page), await openFirefox(WIDTH, HEIGHT), await openWebKit(WIDTH, HEIGHT)];
    await use(engines);
    for (const engine of engines) await engine.close();
  },
});
test.skip(!process.env.LONG_TESTS, 'in the long tests');

const text = (engine: Engine) => engine.evaluate<string>('document.body.innerText');
const says = (engine: Engine, what: RegExp) =>
  waitFor(`${engine.name}: ${what}`, async () => (what.test(await text(engine)) ? true : null));
/** Presses what is called so, as soon as it can be pressed. */
const press = (engine: Engine, name: string) =>
  waitFor(`${engine.name}: ${name}`, async () =>
    (await engine.evaluate<boolean>(
      `(() => { const one = [...document.querySelectorAll('a, button, label')].find((e) => (e.getAttribute('aria-label') ?? e.innerText).trim().startsWith(${JSON.stringify(name)}) && !e.disabled); one?.click(); return one !== undefined; })()`,
    ))
      ? true
      : null,
  );
/** Types into a field as the page's own code sees it. */
const fill = (engine: Engine, id: string, value: string) =>
  waitFor(`${engine.name}: ${id}`, async () =>
    (await engine.evaluate<boolean>(
      `(() => { const field = document.getElementById(${JSON.stringify(id)}); if (!field) return false; const kind = field instanceof HTMLTextAreaElement ? HTMLTextAreaElement : HTMLInputElement; Object.getOwnPropertyDescriptor(kind.prototype, 'value').set.call(field, ${JSON.stringify(value)}); field.dispatchEvent(new Event('input', { bubbles: true })); return true; })()`,
    ))
      ? true
      : null,
  );

test('every view opens in three engines without an error', async ({ engines, stack, project }) => {
  test.setTimeout(600_000);
  for (const engine of engines)
    for (const view of VIEWS) {
      await engine.goto(`${stack.address}/p/${project}/${view}`);
      await waitFor(`${engine.name}, ${view}`, async () =>
        (await engine.evaluate<boolean>(`document.querySelector('main h1') !== null`)) ? true : null,
      );
      expect(await text(engine), `${engine.name}, ${view}`).not.toMatch(
        /This view failed|There is nothing here/,
      );
    }
});

test('first hours in three engines: from a mail, from one colour, from nothing', async ({
  engines,
  stack,
}) => {
  test.setTimeout(600_000);
  for (const engine of engines) {
    await engine.goto(`${stack.address}/`);
    await press(engine, 'A text');
    await fill(engine, 'begin-text', 'The funnels are #E2552B, the water is rgb(11 95 107).');
    await says(engine, /2 colours found/);
    await says(engine, /All \d+ pairs pass/);
    await press(engine, 'Begin the project');
    await says(engine, /Each family is a rail/);
    await engine.goto(`${stack.address}/new/colour`);
    await fill(engine, 'begin-color', '#0b5f6b');
    await says(engine, /Its complement/);
    await says(engine, /All \d+ pairs pass/);
    await engine.goto(`${stack.address}/new/nothing`);
    await press(engine, 'Idea 2');
    await says(engine, /All \d+ pairs pass/);
    await press(engine, 'Begin the project');
    await says(engine, /Each family is a rail/);
  }
});
