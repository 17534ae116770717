import type { Locator } from '@playwright/test';
import { centreOf, type Place } from '../support/finger.ts';
import { expect, onServer, test } from '../support/test.ts';

/** Drags a thing and lets it go as a quick hand does: the last move and the release come in the same moment. */
async function throwTo(thing: Locator, [x, y]: Place): Promise<void> {
  const [x0, y0] = await centreOf(thing);
  await thing.evaluate(
    async (element, { x0, y0, x, y }) => {
      const fire = (target: EventTarget, type: string, clientX: number, clientY: number) =>
        target.dispatchEvent(
          new PointerEvent(type, { bubbles: true, cancelable: true, isPrimary: true, clientX, clientY }),
        );
      const drawn = () => new Promise((done) => requestAnimationFrame(() => setTimeout(done, 50)));
      fire(element, 'pointerdown', x0, y0);
      await drawn();
      fire(document, 'pointermove', x0 + 8, y0);
      await drawn();
      fire(document, 'pointermove', x, y);
      fire(document, 'pointerup', x, y);
    },
    { x0, y0, x, y },
  );
}

for (const list of ['tray', 'families'] as const)
  test(`what is let go with its last move lands where it was let go: ${list}`, async ({
    page,
    open,
    stack,
    project,
  }) => {
    const named = async (): Promise<string[]> =>
      (await onServer(stack, project)).document[list].map(({ name }: { name: string }) => name);
    await open('grow');
    const [first, second, third, ...others] = await named();
    const place = list === 'tray' ? page.getByRole('region', { name: 'Tray' }) : page;
    const button = (name: string) =>
      place.getByRole('button', { name: list === 'tray' ? name : `Move ${name}`, exact: true });
    const [x, y] = await centreOf(button(first!));
    await throwTo(button(third!), [x, y - 4]);
    await expect.poll(named).toEqual([third, first, second, ...others]);
    // It is told where it was put, too.
    await expect(page.getByText(`${third} is put down at ${first}.`)).toBeAttached();
  });
