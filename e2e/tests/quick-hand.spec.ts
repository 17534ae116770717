import type { Locator } from '@playwright/test';
import { centreOf, type Place } from '../support/finger.ts';
import { expect, onServer, test } from '../support/test.ts';

type Hand = 'mouse' | 'finger';

/** Drags a thing and lets it go as a quick hand does: the last move and the release come in the same moment. */
async function throwTo(thing: Locator, [x, y]: Place, hand: Hand): Promise<void> {
  const [x0, y0] = await centreOf(thing);
  await thing.evaluate(
    async (element, { x0, y0, x, y, hand }) => {
      const usual = { bubbles: true, cancelable: true };
      const fire = (type: 'down' | 'move' | 'up', clientX: number, clientY: number) => {
        if (hand === 'mouse')
          return element.dispatchEvent(
            new PointerEvent(`pointer${type}`, { ...usual, isPrimary: true, clientX, clientY }),
          );
        const name = { down: 'touchstart', move: 'touchmove', up: 'touchend' }[type];
        const touch = new Touch({ identifier: 1, target: element, clientX, clientY });
        const touches = type === 'up' ? [] : [touch];
        return element.dispatchEvent(new TouchEvent(name, { ...usual, touches, changedTouches: [touch] }));
      };
      const wait = (ms: number) => new Promise((done) => setTimeout(done, ms));
      fire('down', x0, y0);
      // A finger rests before it takes something along.
      await wait(hand === 'finger' ? 400 : 50);
      fire('move', x0 + 8, y0);
      await new Promise(requestAnimationFrame);
      await wait(50);
      fire('move', x, y);
      fire('up', x, y);
    },
    { x0, y0, x, y, hand },
  );
}

for (const [list, hand] of [
  ['tray', 'mouse'],
  ['families', 'mouse'],
  ['tray', 'finger'],
] as const)
  test(`what is let go with its last move lands where it was let go: ${list}, ${hand}`, async ({
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
    await throwTo(button(third!), [x, y - 4], hand);
    await expect.poll(named).toEqual([third, first, second, ...others]);
    // It is told where it was put, too.
    await expect(page.getByText(`${third} is put down at ${first}.`)).toBeAttached();
  });
