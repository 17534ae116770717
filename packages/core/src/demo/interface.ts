import type { Content, Level } from '../contrast/targets.ts';
import { emptyDocument, type ProjectDocument } from '../document/document.ts';
import { family, pair, role } from './build.ts';

const THEMES = ['light', 'dark'] as const;

const ROLES: readonly (readonly [name: string, light: string, dark: string])[] = [
  ['surface.ground', 'Stone 50', 'Stone 950'],
  ['surface.raised', '#ffffff', 'Stone 900'],
  ['surface.sunken', 'Stone 100', '#0e0f0f'],
  ['surface.pressed', 'Stone 200', 'Stone 800'],
  ['line.hair', 'Stone 200', 'Stone 800'],
  ['line.control', 'Stone 500', 'Stone 500'],
  ['text.main', 'Stone 950', 'Stone 100'],
  ['text.quiet', 'Stone 700', 'Stone 300'],
  ['text.inverse', 'Stone 50', 'Stone 950'],
  ['mint.fill', 'Mint 300', 'Mint 300'],
  ['mint.hover', 'Mint 200', 'Mint 200'],
  ['mint.text', 'Mint 950', 'Mint 950'],
  ['mint.ring', 'Mint 600', 'Mint 300'],
  ['state.pass', 'Stone 700', 'Stone 200'],
  ['state.fail', 'Ember 700', 'Ember 300'],
  ['state.look', 'Wick 700', 'Wick 300'],
  ['veil.modal', 'Stone 950 @ 35', '#000000 @ 60'],
];

const PAIRS: readonly (readonly [text: string, ground: string, content: Content, level: Level])[] = [
  ['text.main', 'surface.ground', 'body', 'AAA'],
  ['text.main', 'surface.raised', 'body', 'AAA'],
  ['text.main', 'surface.sunken', 'body', 'AAA'],
  ['text.main', 'surface.pressed', 'body', 'AAA'],
  ['text.quiet', 'surface.ground', 'body', 'AA'],
  ['text.quiet', 'surface.raised', 'body', 'AA'],
  ['text.quiet', 'surface.sunken', 'body', 'AA'],
  ['text.inverse', 'text.main', 'body', 'AAA'],
  ['mint.text', 'mint.fill', 'body', 'AAA'],
  ['mint.text', 'mint.hover', 'body', 'AAA'],
  ['mint.ring', 'surface.ground', 'graphics', 'AA'],
  ['mint.ring', 'surface.raised', 'graphics', 'AA'],
  ['line.control', 'surface.ground', 'graphics', 'AA'],
  ['line.control', 'surface.raised', 'graphics', 'AA'],
  ['state.pass', 'surface.raised', 'body', 'AA'],
  ['state.fail', 'surface.ground', 'body', 'AA'],
  ['state.fail', 'surface.raised', 'body', 'AA'],
  ['state.look', 'surface.ground', 'body', 'AA'],
  ['state.look', 'surface.raised', 'body', 'AA'],
];

/**
 * Mint Lamp's own interface as a project. The application is styled with the CSS that this document exports:
 * `npm run look` writes it to apps/web/src/look/tokens.css, and a test keeps the two the same.
 */
export const MINT_LAMP_INTERFACE: ProjectDocument = {
  ...emptyDocument('', []),
  name: 'Mint Lamp interface',
  ground: 'surface-ground',
  themes: [
    { id: 'light', name: 'Light dress' },
    { id: 'dark', name: 'Dark dress' },
  ],
  families: [
    family('Stone', '#777879', { endChroma: 1, lightest: 0.978, darkest: 0.18, curve: -0.6 }),
    family('Mint', '#8fe0bd', { endChroma: 0.6 }),
    family('Ember', '#b3382c'),
    family('Wick', '#8a6100'),
  ],
  roles: ROLES.map(([name, ...links]) => role(THEMES, name, ...links)),
  pairs: PAIRS.map(([text, ground, content, level]) => pair(text, ground, { content, level })),
  words: { text: 'The lamp lights what depends on it', action: 'Keep it' },
};
