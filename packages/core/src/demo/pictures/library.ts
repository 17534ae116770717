import type { PictureKind } from '../../picture/kind.ts';
import { deck } from './deck.ts';
import { harbourAtDusk } from './harbour-at-dusk.ts';
import { map } from './map.ts';
import { paint, type Shader } from './shading.ts';
import { stillLife } from './still-life.ts';

/** A picture of the library, before it is drawn. */
export interface LibraryPicture {
  /** Its name in addresses, with the kind of its file. */
  readonly file: string;
  readonly title: string;
  readonly kind: PictureKind & ('jpeg' | 'webp' | 'png' | 'avif');
  readonly width: number;
  readonly height: number;
  readonly shader: Shader;
  /** Fine noise, in steps of 8 bits. */
  readonly grain: number;
}

const SIZE = { width: 1200, height: 800 } as const;

/** The small picture library that stands for the outside world, all of it made up. */
export const LIBRARY: readonly LibraryPicture[] = [
  {
    file: 'harbour-at-dusk.jpg',
    title: 'Harbour at dusk',
    kind: 'jpeg',
    ...SIZE,
    shader: harbourAtDusk,
    grain: 16,
  },
  { file: 'deck.webp', title: 'Deck', kind: 'webp', ...SIZE, shader: deck, grain: 12 },
  {
    file: 'map.png',
    title: 'Map of the islands',
    kind: 'png',
    width: 960,
    height: 640,
    shader: map,
    grain: 5,
  },
  { file: 'still-life.avif', title: 'Still life', kind: 'avif', ...SIZE, shader: stillLife, grain: 14 },
];

/** Draws one of them: RGBA pixels, 4 bytes each. About a second. */
export const drawPicture = ({ width, height, shader, grain }: LibraryPicture): Uint8ClampedArray =>
  paint(width, height, shader, grain);
