import type { Backdrop } from '@mint-lamp/core/document/pairs/backdrop';
import type { Pair } from '@mint-lamp/core/document/pairs/pair';
import type { Picture } from '@mint-lamp/core/document/pictures/picture';
import { type Area, areaWithin } from '@mint-lamp/core/gradient/area';

/** px of a box that a gradient is tried in first: about a banner. */
const BOX = { width: 720, height: 160 };
const INSET = 24;

/** px that words take in one line, about. */
function extent({ size, weight }: Pick<Pair, 'size' | 'weight'>, words: string) {
  const context = document.createElement('canvas').getContext('2d')!;
  context.font = `${weight} ${size}px ${getComputedStyle(document.body).fontFamily}`;
  return { width: Math.ceil(context.measureText(words).width), height: Math.ceil(size * 1.2) };
}

/** A gradient under a pair's text, which stands at its lower left. */
export function onGradient(gradient: string, pair: Pair, words: string): Backdrop {
  const { width, height } = extent(pair, words);
  const text: Area = { x: INSET, y: BOX.height - INSET - height, width, height };
  return { kind: 'gradient', gradient, ...BOX, text: areaWithin(text, BOX.width, BOX.height) };
}

/** A picture under a pair's text: where a text was tried on it, else across its middle. */
export function onPicture(picture: Picture, pair: Pair, words: string): Backdrop {
  const { width, height } = extent(pair, words);
  const { textOver } = picture;
  const middle = { x: (picture.width - width) / 2, y: (picture.height - height) / 2, width, height };
  const { x, y, width: w, height: h } = textOver ?? middle;
  const text = areaWithin({ x, y, width: w, height: h }, picture.width, picture.height);
  return { kind: 'picture', picture: picture.id, text };
}
