import { describe, expect, it, test } from 'vitest';
import type { Rgba } from '../contrast/ratio.ts';
import { calmestPlace, eyeSentence, whereTheEyeGoes } from './eye.ts';
import type { Pixels } from './sample.ts';

const rgb = (hex: string): Rgba => {
  const n = Number.parseInt(hex.slice(1), 16);
  return { r: n >> 16, g: (n >> 8) & 255, b: n & 255, alpha: 1 };
};

/** A picture of 240 × 160 px, drawn pixel by pixel. */
function drawn(at: (x: number, y: number) => string): Pixels {
  const [width, height] = [240, 160];
  const pixels = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const { r, g, b } = rgb(at(x, y));
      pixels.set([r, g, b, 255], (y * width + x) * 4);
    }
  return { width, height, pixels };
}

const disc = (x: number, y: number, color: string, other: string) =>
  Math.hypot(x - 190, y - 110) < 22 ? color : other;
const TEXT = { x: 10, y: 10, width: 120, height: 30 };

describe('where the eye goes', () => {
  test.each<[what: string, picture: Pixels, text: string, first: 'text' | 'picture', because: RegExp]>([
    [
      'a white text on a plain dark picture',
      drawn(() => '#223038'),
      '#ffffff',
      'text',
      /lighter than its background/,
    ],
    [
      'a dark text on a plain light picture',
      drawn(() => '#e8eef0'),
      '#101820',
      'text',
      /darker than its background/,
    ],
    [
      'a pale text where an orange disc is elsewhere on grey',
      drawn((x, y) => disc(x, y, '#ff7a00', '#7a7f83')),
      '#a0a4a8',
      'picture',
      /colourful/,
    ],
    [
      'a grey text where a white disc is elsewhere on black',
      drawn((x, y) => disc(x, y, '#ffffff', '#0c0f12')),
      '#4a4f55',
      'picture',
      /lighter/,
    ],
    [
      'a black text on white where a pale disc is elsewhere',
      drawn((x, y) => disc(x, y, '#dfe8ea', '#ffffff')),
      '#000000',
      'text',
      /darker/,
    ],
    [
      'a mid-grey text on a board of black and white',
      drawn((x, y) => (((x >> 3) + (y >> 3)) % 2 ? '#000000' : '#ffffff')),
      '#808080',
      'picture',
      /busy/,
    ],
  ])('%s', (_, picture, text, first, because) => {
    const eye = whereTheEyeGoes(picture, rgb(text), TEXT);
    expect(eye.first).toBe(first);
    expect(eyeSentence(eye)).toMatch(because);
  });

  it('finds the place that stands out where it was drawn, in the figures that it was drawn with', () => {
    const eye = whereTheEyeGoes(
      drawn((x, y) => disc(x, y, '#ff7a00', '#7a7f83')),
      rgb('#a0a4a8'),
      TEXT,
    );
    expect(
      Math.hypot(
        eye.spot.area.x + eye.spot.area.width / 2 - 190,
        eye.spot.area.y + eye.spot.area.height / 2 - 110,
      ),
    ).toBeLessThan(26);
    // L* of #7a7f83 is 53, and of the orange 67; its OKLCH chroma 0.19.
    expect(eye.beneath.lightness).toBeCloseTo(53, 0);
    expect(eye.beneath.contrast).toBeCloseTo(0, 3);
    expect(eye.spot.chroma).toBeGreaterThan(0.15);
  });

  it('is turned round by a veil, which takes from the picture and not from the text', () => {
    const picture = drawn((x, y) => disc(x, y, '#ffb000', '#6f7f88'));
    const bare = whereTheEyeGoes(picture, rgb('#b8c0c4'), TEXT);
    const veiled = whereTheEyeGoes(picture, rgb('#b8c0c4'), TEXT, { ...rgb('#06141a'), alpha: 0.8 });
    expect([bare.first, veiled.first]).toEqual(['picture', 'text']);
    expect(veiled.pull.picture).toBeLessThan(bare.pull.picture / 2);
  });

  it('has a calmer place for a text than a restless one', () => {
    const picture = drawn((x, y) =>
      x < 120 ? (((x >> 2) + (y >> 2)) % 2 ? '#222222' : '#dddddd') : '#123040',
    );
    const place = calmestPlace(picture, rgb('#ffffff'), { x: 0, y: 0, width: 80, height: 30 });
    expect(place.x).toBeGreaterThanOrEqual(120);
    expect(whereTheEyeGoes(picture, rgb('#ffffff'), place).first).toBe('text');
  });

  it('refuses a text beside the picture, and looks at one that covers all of it', () => {
    const picture = drawn(() => '#445566');
    expect(() => whereTheEyeGoes(picture, rgb('#ffffff'), { x: 900, y: 0, width: 9, height: 9 })).toThrow(
      RangeError,
    );
    expect(whereTheEyeGoes(picture, rgb('#ffffff'), { x: 0, y: 0, width: 240, height: 160 }).first).toBe(
      'text',
    );
  });
});
