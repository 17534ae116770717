import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { USUAL_GROWTH } from '../../family/growth.ts';
import type { ProjectDocument } from '../document.ts';

/** A small document, so that random commands meet each other often. */
export const SMALL: ProjectDocument = {
  ...SKERRY_LINE,
  families: SKERRY_LINE.families.slice(0, 2),
  roles: SKERRY_LINE.roles.slice(0, 4),
  pairs: SKERRY_LINE.pairs.slice(0, 2),
  declined: [{ id: 'd1', foreground: 'r1', background: 'page-ground', reason: 'Never met.' }],
  pictures: [
    {
      id: 'harbour',
      name: 'Harbour',
      content: '0a'.repeat(32),
      width: 120,
      height: 10,
      markers: [{ id: 'm1', x: 7, y: 9, side: 11 }],
      moved: [{ leaning: 'area', size: 6, index: 1, x: 90, y: 0, side: 1 }],
      textOver: null,
    },
  ],
  rounds: [
    { id: 'round-1', seed: 7, count: 3, stray: 0.5, kept: ['#0b5f6b'], free: [], way: 'fresh', of: [] },
  ],
  recipes: [{ id: 'recipe-1', name: 'Even', growth: USUAL_GROWTH }],
  artworks: [
    {
      id: 'art-1',
      name: 'Gull',
      kind: 'drawing',
      content:
        '<svg xmlns="http://www.w3.org/2000/svg" fill="#0b5f6b" color="#000000"><path d="M0 0h9"></path></svg>',
      links: { '#0b5f6b': { to: 'shade', family: 'deepwater', shade: '700' } },
    },
  ],
  notes: [
    {
      id: 'note-1',
      on: { kind: 'role', role: 'page-ground' },
      text: 'Too pale?',
      by: 'Ida',
      at: 1_790_000_000_000,
      settled: false,
      answers: [{ id: 'answer-1', text: 'A little.', by: 'Ula', at: 1_790_000_100_000 }],
    },
  ],
};

/**
 * The same with families that follow others, one on the way of a role that is the ground of another's growth, and a
 * link to a base.
 */
export const ENTWINED: ProjectDocument = {
  ...SMALL,
  families: [
    SMALL.families[0]!,
    {
      ...SMALL.families[1]!,
      follows: { by: 'turn', family: 'deepwater', turn: 180, lightness: 0.1, chroma: 0 },
    },
    {
      id: 'f1',
      name: 'Mist',
      base: '#808080',
      follows: { by: 'tint', family: 'deepwater', chroma: 0.02 },
      growth: {
        kind: 'contrast',
        ground: { to: 'role', role: 'page-ground', theme: 'day' },
        labels: ['50', '500', '950'],
        ratios: [1.2, 3, 7],
      },
      handSet: { '500': '#707070' },
    },
    {
      id: 'f2',
      name: 'Foam',
      base: '#ffffff',
      follows: { by: 'between', family: 'buoy', other: 'f1', share: 0.3 },
      growth: {
        kind: 'opacity',
        ground: { to: 'shade', family: 'f1', shade: '950' },
        labels: ['50', '500', '950'],
        least: 0.2,
      },
      handSet: {},
    },
  ],
  roles: SMALL.roles.map((role) =>
    role.id === 'page-ground'
      ? { ...role, links: { ...role.links, day: { to: 'base', family: 'buoy', opacity: 0.4 } } }
      : role.id === 'page-raised'
        ? { ...role, links: { ...role.links, night: { to: 'shade', family: 'f2', shade: '500' } } }
        : role,
  ),
};
