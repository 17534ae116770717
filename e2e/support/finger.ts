import type { Locator, Page } from '@playwright/test';

export type Place = readonly [x: number, y: number];

export async function centreOf(thing: Locator): Promise<Place> {
  await thing.scrollIntoViewIfNeeded();
  const { x, y, width, height } = (await thing.boundingBox())!;
  return [x + width / 2, y + height / 2];
}

/** A finger on the screen, as the browser itself takes one: with pointer events, touch events, scrolling and all. */
export async function fingerOn(page: Page) {
  const session = await page.context().newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', at?: Place) =>
    session.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: at ? [{ x: at[0], y: at[1], radiusX: 8, radiusY: 8, force: 1 }] : [],
    });
  return {
    down: (at: Place) => touch('touchStart', at),
    async move([x0, y0]: Place, [x1, y1]: Place, steps = 8) {
      for (let i = 1; i <= steps; i++)
        await touch('touchMove', [x0 + ((x1 - x0) * i) / steps, y0 + ((y1 - y0) * i) / steps]);
    },
    up: () => touch('touchEnd'),
  };
}
