import type { Content, Level } from '../contrast/targets.ts';
import { emptyDocument, type ProjectDocument } from '../document/document.ts';
import { stopAt } from '../document/gradients/gradient.ts';
import { family, linear, link, pair, role } from './build.ts';

const THEMES = ['day', 'night'] as const;

const ROLES: readonly (readonly [name: string, day: string, night: string])[] = [
  ['page.ground', 'Shingle 50', 'Deepwater 950'],
  ['page.raised', '#ffffff', 'Deepwater 900'],
  ['page.sunken', 'Shingle 100', 'Deepwater 950'],
  ['text.main', 'Deepwater 950', 'Shingle 50'],
  ['text.quiet', 'Shingle 600', 'Shingle 300'],
  ['text.link', 'Deepwater 700', 'Deepwater 300'],
  ['line.soft', 'Shingle 200', 'Deepwater 800'],
  ['line.strong', 'Shingle 500', 'Shingle 400'],
  ['action.fill', 'Deepwater 700', 'Deepwater 300'],
  ['action.hover', 'Deepwater 800', 'Deepwater 200'],
  ['action.text', '#ffffff', 'Deepwater 950'],
  ['accent.fill', 'Buoy 500', 'Buoy 400'],
  ['accent.text', '#ffffff', 'Deepwater 950'],
  ['focus.ring', 'Buoy 600', 'Buoy 300'],
  ['hero.text', '#ffffff', 'Shingle 50'],
  ['hero.veil', 'Deepwater 950 @ 65', 'Deepwater 950 @ 55'],
  ['notice.ontime.ground', 'Kelp 50', 'Kelp 900'],
  ['notice.ontime.text', 'Kelp 700', 'Kelp 200'],
  ['notice.delay.ground', 'Lantern 100', 'Lantern 900'],
  ['notice.delay.text', 'Lantern 600', 'Lantern 200'],
  ['notice.cancelled.ground', 'Flare 50', 'Flare 900'],
  ['notice.cancelled.text', 'Flare 700', 'Flare 200'],
  ['board.ground', 'Deepwater 950', 'Deepwater 950'],
  ['board.text', 'Lantern 200', 'board.quiet'],
  ['board.quiet', 'Shingle 400', 'Shingle 600'],
];

const PAIRS: readonly (readonly [text: string, ground: string, content: Content, level: Level])[] = [
  ['text.main', 'page.ground', 'body', 'AAA'],
  ['text.main', 'page.raised', 'body', 'AAA'],
  ['text.quiet', 'page.ground', 'body', 'AA'],
  ['text.quiet', 'page.raised', 'body', 'AA'],
  ['text.link', 'page.ground', 'body', 'AA'],
  ['text.link', 'page.raised', 'body', 'AA'],
  ['action.text', 'action.fill', 'body', 'AA'],
  ['action.text', 'action.hover', 'body', 'AA'],
  ['action.fill', 'page.ground', 'graphics', 'AA'],
  ['accent.text', 'accent.fill', 'large', 'AA'],
  ['hero.text', 'hero.veil', 'large', 'AA'],
  ['focus.ring', 'page.ground', 'graphics', 'AA'],
  ['line.strong', 'page.raised', 'graphics', 'AA'],
  ['notice.ontime.text', 'notice.ontime.ground', 'body', 'AA'],
  ['notice.delay.text', 'notice.delay.ground', 'body', 'AA'],
  ['notice.cancelled.text', 'notice.cancelled.ground', 'body', 'AA'],
  ['board.text', 'board.ground', 'large', 'AAA'],
  ['board.quiet', 'board.ground', 'body', 'AA'],
];

const stop = (id: string, percent: number, to: string) => stopAt(id, percent, link(to));

/** The demo project: a made-up ferry company between three small islands. Some of its pairs fail on purpose. */
export const SKERRY_LINE: ProjectDocument = {
  ...emptyDocument('', []),
  name: 'Skerry Line',
  ground: 'page-ground',
  words: { text: '08:15 to Oster Skerry', action: 'Reserve' },
  themes: [
    { id: 'day', name: 'Day sailing' },
    { id: 'night', name: 'Night sailing' },
  ],
  families: [
    family('Deepwater', '#0b5f6b', { hueDrift: 8 }),
    family('Buoy', '#e2552b', { hueDrift: -10 }),
    family('Kelp', '#3f7d3a'),
    family('Lantern', '#e0a21a', { hueDrift: -18 }),
    family('Flare', '#b8234a'),
    family('Shingle', '#7a8483', { endChroma: 0.8 }),
  ],
  roles: ROLES.map(([name, ...links]) => role(THEMES, name, ...links)),
  pairs: PAIRS.map(([text, ground, content, level]) => pair(text, ground, { content, level })),
  gradients: [
    linear('First light', 105, [
      stop('night-sea', 0, 'Deepwater 900'),
      stop('open-sea', 46, 'Deepwater 600'),
      stop('dawn', 82, 'Buoy 400'),
      stop('sun', 100, 'Lantern 300'),
    ]),
    linear('Wake', 180, [
      stop('crest', 0, 'action.fill'),
      stop('trough', 60, 'action.hover'),
      stop('deep', 100, 'Deepwater 900'),
    ]),
  ],
  tray: [
    { id: 'from-letterhead', name: 'Letterhead', color: '#0b5f6b', group: '', added: 0 },
    { id: 'from-funnel', name: 'Funnel paint', color: '#e2552b', group: '', added: 0 },
    { id: 'from-rope', name: 'Mooring rope', color: '#d9c7a0', group: '', added: 0 },
    { id: 'from-slate', name: 'Pier slate', color: '#3d4a4d', group: '', added: 0 },
  ],
  // Those of the demo come with its database, where their bytes are kept.
};
