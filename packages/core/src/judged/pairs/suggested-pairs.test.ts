import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import { suggestions, type TextPlace } from './suggested-pairs.ts';

let n = 0;
const newId = () => `new-${++n}`;
const use = (text: string, ground: string, more: Partial<TextPlace> = {}): TextPlace => ({
  text,
  ground,
  backdrop: null,
  veil: null,
  size: 15,
  weight: 400,
  ...more,
});
const HERO = use('hero-text', 'page-ground', {
  backdrop: {
    kind: 'gradient',
    gradient: 'first-light',
    width: 900,
    height: 144,
    text: { x: 28, y: 60, width: 400, height: 60 },
  },
  veil: 'hero-veil',
  size: 24,
});
const told = (uses: readonly TextPlace[], doc = SKERRY_LINE) =>
  suggestions(doc, uses, newId).map(
    ({ pair, from }) => `${from}: ${pair.foreground} on ${pair.background}, ${pair.target.content}`,
  );

describe('suggested pairs', () => {
  it('are those that names say, then those that scenes show and nobody has, once each', () => {
    const names = told([]);
    expect(names).toEqual(expect.arrayContaining(['names: text-main on page-sunken, body']));
    const uses = [
      use('text-main', 'page-ground'),
      use('board-text', 'page-raised'),
      use('board-text', 'page-raised', { size: 30 }),
      use('text-link', 'text-link'),
      HERO,
    ];
    expect(told(uses)).toEqual([
      ...names,
      'scene: board-text on page-raised, body',
      'scene: hero-text on page-ground, large',
    ]);
  });

  it('are made as the scene has them, and suggested no more then', () => {
    const [hero] = suggestions(SKERRY_LINE, [HERO], newId).slice(-1);
    expect(hero!.pair).toMatchObject({ veil: 'hero-veil', backdrop: HERO.backdrop, size: 24 });
    const made = after(SKERRY_LINE, { type: 'addPair', pair: hero!.pair });
    expect(told([HERO], made)).toEqual(told([]));
  });

  it('are suggested no more when they were declined, until they are reconsidered', () => {
    const declined = {
      id: 'd1',
      foreground: 'text-main',
      background: 'page-sunken',
      reason: 'Nothing is written there.',
    };
    const doc = after(SKERRY_LINE, { type: 'declinePair', declined });
    expect(told([use('text-main', 'page-sunken')], doc)).not.toContain(
      'names: text-main on page-sunken, body',
    );
    expect(told([], doc)).toHaveLength(told([]).length - 1);
    expect(told([], after(doc, { type: 'reconsiderPair', declined: 'd1' }))).toEqual(told([]));
  });
});
