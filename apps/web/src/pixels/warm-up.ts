import { countInParts } from '@mint-lamp/core/picture/histogram';
import type { Pixels } from '@mint-lamp/core/picture/sample';
import { halved } from '@mint-lamp/core/picture/shrink';
import { palettesOf } from './palette-rows.ts';
import { yieldTurn } from './turns.ts';

/** Colours of a palette, as the desk asks for them at first. */
const SIZE = 6;
/** Rounds after which a browser has compiled what is done with every pixel. */
const ROUNDS = 3;

/** A picture with smooth ground and noise in it, as photographs have. */
function anyPicture(): Pixels {
  const [width, height] = [720, 480];
  const pixels = new Uint8ClampedArray(width * height * 4);
  let noise = 1;
  for (let i = 0, at = 0; i < width * height; i++, at += 4) {
    noise = (noise * 48271) % 2147483647;
    const [x, y] = [i % width, Math.floor(i / width)];
    pixels[at] = (x / 3 + (noise & 31)) & 255;
    pixels[at + 1] = 255 - y / 2 + ((noise >> 5) & 31);
    pixels[at + 2] = (x ^ y) & 128 ? 40 : 200;
    pixels[at + 3] = 255;
  }
  return { width, height, pixels };
}

/** Does what is done with a picture with one of no meaning, until there is something better to do. */
export async function warmUp(isOver: () => boolean): Promise<void> {
  const whole = anyPicture();
  for (let round = 0; round < ROUNDS; round++) {
    let histogram = null;
    for (const parts = countInParts(whole.pixels, 100_000); !histogram; ) {
      const step = parts.next();
      if (step.done) histogram = step.value;
      await yieldTurn();
      if (isOver()) return;
    }
    let small = null;
    for (const parts = halved(whole); !small; ) {
      const step = parts.next();
      if (step.done) small = step.value;
      await yieldTurn();
      if (isOver()) return;
    }
    const parts = palettesOf({ levels: [whole, small], factor: 1, histogram }, SIZE, []);
    while (!parts.next().done) {
      await yieldTurn();
      if (isOver()) return;
    }
  }
}
