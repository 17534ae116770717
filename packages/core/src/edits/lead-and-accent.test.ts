import { expect, it } from 'vitest';
import { leadAndAccent } from './lead-and-accent.ts';

it('lets the first colour with a hue lead, and the colourful one farthest from it in hue be the accent', () => {
  expect(leadAndAccent(['#3f484a', '#0b5f6b', '#3f7d3a', '#e2552b'])).toEqual({ leads: 1, accent: 3 });
});

it('has no accent where all hues are near each other or pale, and greys lead where there is nothing else', () => {
  expect(leadAndAccent(['#0b5f6b', '#0b6b66', '#d9c7a1'])).toEqual({ leads: 0, accent: null });
  expect(leadAndAccent(['#777777', '#222222'])).toEqual({ leads: 0, accent: null });
});
