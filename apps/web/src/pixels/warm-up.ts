import { drainInTurns } from '@mint-lamp/core/in-parts/drain';
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

const OVER = new Error();

/** Does what is done with a picture with one of no meaning, until there is something better to do. */
export async function warmUp(isOver: () => boolean): Promise<void> {
  const whole = anyPicture();
  const turn = async () => {
    await yieldTurn();
    if (isOver()) throw OVER;
  };
  try {
    for (let round = 0; round < ROUNDS; round++) {
      const histogram = await drainInTurns(countInParts(whole.pixels, 100_000), turn);
      const small = await drainInTurns(halved(whole), turn);
      await drainInTurns(palettesOf({ levels: [whole, small], factor: 1, histogram }, SIZE, []), turn);
    }
  } catch (error) {
    if (error !== OVER) throw error;
  }
}
