import type { Page } from '@playwright/test';
import type { Place } from './finger.ts';

/** A pen on the screen, as the browser itself takes one: held at a slant, pressed with half its force. */
export async function penOn(page: Page) {
  const session = await page.context().newCDPSession(page);
  const pen = (type: 'mousePressed' | 'mouseMoved' | 'mouseReleased', [x, y]: Place) =>
    session.send('Input.dispatchMouseEvent', {
      type,
      x,
      y,
      pointerType: 'pen',
      button: 'left',
      buttons: type === 'mouseReleased' ? 0 : 1,
      clickCount: 1,
      force: type === 'mouseReleased' ? 0 : 0.5,
      tiltX: 30,
      tiltY: 20,
    });
  let at: Place = [0, 0];
  return {
    async down(place: Place) {
      at = place;
      await pen('mousePressed', at);
    },
    async move([x0, y0]: Place, [x1, y1]: Place, steps = 8) {
      for (let i = 1; i <= steps; i++) {
        at = [x0 + ((x1 - x0) * i) / steps, y0 + ((y1 - y0) * i) / steps];
        await pen('mouseMoved', at);
      }
    },
    up: () => pen('mouseReleased', at),
  };
}
