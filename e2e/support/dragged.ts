import type { Page } from '@playwright/test';

/** What is dragged and moved by keys, each on another part of the product, and the way in which it is. */
export const DRAGGED = [
  { what: 'a base on its rail', at: 'grow', name: /^Base of Buoy,/, dx: 60, dy: 0, keys: ['ArrowLeft'] },
  { what: 'a stop', at: 'fade', name: 'Stop 2', dx: 40, dy: 0, keys: ['ArrowRight'] },
  {
    what: 'an end of the light axis',
    at: 'check/text-quiet-on-page-ground',
    name: /^Lightness of the text,/,
    dx: -60,
    dy: 0,
    keys: ['ArrowLeft'],
  },
  {
    what: 'the plane of the lamp',
    at: 'grow/buoy',
    name: 'Lightness and chroma',
    dx: 30,
    dy: 20,
    keys: ['ArrowUp', 'ArrowRight'],
    prepare: async (page: Page) => {
      await page.getByRole('button', { name: 'Lightness and chroma as a plane' }).click();
    },
  },
  { what: 'a track of the lamp', at: 'grow/buoy', name: /^Hue$/, dx: 20, dy: 0, keys: ['ArrowRight'] },
  {
    what: 'a setting of a growth',
    at: 'grow/buoy',
    name: 'Lightest end',
    dx: -30,
    dy: 0,
    keys: ['ArrowLeft'],
  },
] as const;
