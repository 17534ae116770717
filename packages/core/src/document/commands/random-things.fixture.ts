import fc from 'fast-check';
import { USUAL_GROWTH } from '../../family/growth.ts';
import { stopAt } from '../gradients/gradient.ts';
import type { Following } from '../links/following.ts';
import type { GrowthGround } from '../links/growth-ground.ts';
import type { Link, RoleLink } from '../links/link.ts';
import { SMALL } from './small-documents.fixture.ts';

/** Random things of a small document, for tests, and parts of them. */

// Few ids and names, some of them of nothing, so that commands hit, miss and collide.
export const familyId = fc.constantFrom('deepwater', 'buoy', 'f1', 'f2');
export const roleId = fc.constantFrom('page-ground', 'page-raised', 'page-sunken', 'text-main', 'r1', 'r2');
export const themeId = fc.constantFrom('day', 'night', 't1');
export const pairId = fc.constantFrom(...SMALL.pairs.map((pair) => pair.id), 'p1');
export const gradientId = fc.constantFrom('first-light', 'wake', 'g1');
export const stopId = fc.constantFrom('night-sea', 'dawn', 'sun', 'crest', 's1', 's2');
export const swatchId = fc.constantFrom('from-letterhead', 'from-funnel', 'w1');
export const shade = fc.constantFrom('50', '500', '950', 'deep');
export const name = fc.constantFrom('Deepwater', 'Buoy', 'Sand', 'Dune', 'Day sailing', 'Wake', 'Fog');
export const fullName = fc.constantFrom(
  { group: ['page'], name: 'ground' },
  { group: ['text'], name: 'main' },
  { group: ['text'], name: 'soft' },
  { group: [], name: 'text' },
  { group: ['a', 'b'], name: 'c' },
  { group: [], name: 'text-main' },
  { group: ['…'], name: 'x' },
);
export const color = fc.constantFrom('#0b5f6b', '#fff', 'rgb(1 2 3 / 0.4)', 'oklch(0.7 0.3 150)', 'tomato');
export const opaque = fc.constantFrom('#0b5f6b', '#fff', 'oklch(0.7 0.3 150)', 'tomato');
export const index = fc.option(fc.nat(6), { nil: undefined });
const opacity = fc.option(fc.constantFrom(0, 0.4, 1), { nil: undefined });
export const link: fc.Arbitrary<Link> = fc.oneof(
  fc.record({ to: fc.constant('shade' as const), family: familyId, shade }),
  fc.record({ to: fc.constant('base' as const), family: familyId }),
  fc.record({ to: fc.constant('role' as const), role: roleId }),
  fc.record({ to: fc.constant('color' as const), color }),
  fc
    .tuple(familyId, shade, opacity)
    .map(([family, s, o]): Link => ({ to: 'shade', family, shade: s, opacity: o ?? 0.5 })),
);
export const roleLink: fc.Arbitrary<RoleLink> = fc.oneof(
  { weight: 5, arbitrary: link },
  { weight: 1, arbitrary: fc.record({ to: fc.constant('gradient' as const), gradient: gradientId }) },
);
export const links = (keys: fc.Arbitrary<string>) =>
  fc.dictionary(keys, roleLink, { maxKeys: 3, noNullPrototype: true });
const plainGrowth = fc.constantFrom(
  USUAL_GROWTH,
  {
    ...USUAL_GROWTH,
    labels: ['light', 'mid', 'deep'],
    hueDrift: 20,
  },
  { kind: 'mix', towards: 'black', labels: ['50', '500', '950'], reach: 0.8 } as const,
  {
    kind: 'opacity',
    ground: { to: 'color', color: '#ffffff' },
    labels: ['a', 'b', 'c', 'd'],
    least: 0.1,
  } as const,
  {
    kind: 'drawn',
    labels: ['50', '500', 'deep'],
    steps: [
      { lightness: 0.9, chroma: 0.3, turn: -8 },
      { lightness: 0.5, chroma: 1, turn: 0 },
      { lightness: 0.2, chroma: 0.6, turn: 179 },
    ],
  } as const,
);
const ground: fc.Arbitrary<GrowthGround> = fc.oneof(
  fc.record({ to: fc.constant('role' as const), role: roleId, theme: themeId }),
  fc.record({ to: fc.constant('shade' as const), family: familyId, shade }),
  fc.record({ to: fc.constant('base' as const), family: familyId }),
);
/** Growths, also on grounds that follow something of the project. */
export const growth = fc.oneof(
  plainGrowth,
  ground.map((on) => ({ kind: 'opacity' as const, ground: on, labels: ['50', 'b', '950'], least: 0.2 })),
  ground.map((on) => ({
    kind: 'contrast' as const,
    ground: on,
    labels: ['500', 'b', 'c'],
    ratios: [1.2, 3, 7],
  })),
);
export const follows: fc.Arbitrary<Following | null> = fc.option(
  fc.oneof(
    fc.record({
      by: fc.constant('turn' as const),
      family: familyId,
      turn: fc.constantFrom(180, -30),
      lightness: fc.constantFrom(0, 0.1),
      chroma: fc.constant(0),
    }),
    fc.record({
      by: fc.constant('between' as const),
      family: familyId,
      other: familyId,
      share: fc.constantFrom(0, 0.5),
    }),
    fc.record({ by: fc.constant('tint' as const), family: familyId, chroma: fc.constant(0.02) }),
  ),
);
export const target = fc.constantFrom(
  { level: 'AA', content: 'body' } as const,
  { level: 'AAA', content: 'large' } as const,
);

/** Drops keys that are undefined, as JSON does. */
export const record = <T>(shape: { [K in keyof T]: fc.Arbitrary<T[K]> }) =>
  fc.record(shape).map((value) => JSON.parse(JSON.stringify(value)) as T);

export const declinedId = fc.constantFrom('d1', 'd2');
export const anyDeclined = record({
  id: declinedId,
  foreground: roleId,
  background: roleId,
  reason: fc.constantFrom('Never met.', 'Only in print.'),
});
export const sampleWords = fc.constantFrom(
  { text: null, action: null },
  { text: 'Hallin', action: null },
  { text: '08:15', action: 'Book' },
);
const area = { x: 3, y: 0, width: 40, height: 12 };
/** What pairs may have or not. */
export const pairExtras = fc.constantFrom<object>(
  {},
  {},
  { words: 'Hallin' },
  { exempt: { as: 'decoration', reason: 'Only drawn.' } },
  { backdrop: { kind: 'picture', picture: 'harbour', text: area }, veil: 'r1' },
  { backdrop: { kind: 'gradient', gradient: 'wake', width: 90, height: 30, text: area } },
);

const percent = fc.constantFrom(0, 12.5, 46, 82, 100).map((value) => ({ value, unit: '%' as const }));
export const places = fc.oneof(
  { weight: 6, arbitrary: percent.map((one) => [one]) },
  { weight: 1, arbitrary: percent.map((one) => [one, { value: 100, unit: '%' as const }]) },
  { weight: 1, arbitrary: fc.constant([{ value: 30, unit: 'px' as const }]) },
);
export const stop = fc.record({ id: stopId, kind: fc.constant('stop' as const), color: link, places });
export const center = { value: 50, unit: '%' } as const;
export const anyKind = fc.constantFrom<object>(
  { kind: 'linear', direction: { by: 'angle', degrees: 90 } },
  { kind: 'radial', shape: 'ellipse', size: 'farthest-corner', center: [center, center] },
  { kind: 'conic', from: 0, center: [center, center] },
);
export const stops = fc
  .tuple(link, link, fc.boolean())
  .map(([a, b, hinted]) => [
    stopAt('s1', 0, a),
    ...(hinted ? [{ kind: 'hint', place: { value: 20, unit: '%' } }] : []),
    stopAt('s2', 100, b),
  ]);
export const gradientOf = ([id, named, kind, list]: [string, string, object, object[]]) => ({
  id,
  name: named,
  ...(list.length > 2 ? { group: 'Sea' } : { favourite: true }),
  ...kind,
  repeating: false,
  space: 'oklab',
  hueWay: 'shorter',
  stops: list,
});

export const trayGroup = fc.constantFrom('', 'Client', 'Harbour');
export const anySwatch = record({
  id: swatchId,
  name,
  color,
  group: trayGroup,
  added: fc.constantFrom(0, 1),
});

export const pictureId = fc.constantFrom('harbour', 'deck', 'i1');
export const markerId = fc.constantFrom('m1', 'm2', 'm3');
const side = fc.constantFrom(1, 11, 101);
// Some of them beside the small one.
export const placeKeys = { x: fc.constantFrom(0, 7, 90), y: fc.constantFrom(0, 9), side };
export const colorKeys = {
  leaning: fc.constantFrom('area', 'vivid'),
  size: fc.constantFrom(2, 6),
  index: fc.constantFrom(0, 1, 3),
};
export const textOver = record({
  color,
  x: fc.constantFrom(0, 5),
  y: fc.constant(1),
  width: fc.constantFrom(3, 40),
  height: fc.constantFrom(2, 9),
  target,
});
export const anyPicture = record({
  id: pictureId,
  name,
  content: fc.constantFrom('0a'.repeat(32), 'ff'.repeat(32)),
  width: fc.constantFrom(8, 120),
  height: fc.constant(10),
  markers: fc.uniqueArray(record({ id: markerId, ...placeKeys }), {
    maxLength: 3,
    selector: ({ id }) => id,
  }),
  moved: fc.array(record({ ...colorKeys, ...placeKeys }), { maxLength: 2 }),
  textOver: fc.option(textOver),
});

export const relation = fc.constantFrom('analogous', 'triadic', 'facing');
const shift = fc.constantFrom(
  { turn: 0, lightness: 0, chroma: 0 },
  { turn: 12, lightness: -0.1, chroma: 0.02 },
);
export const rowFields = {
  relation,
  count: fc.constantFrom(2, 5),
  angle: fc.constantFrom(1, 30),
  own: fc.array(shift, { maxLength: 3 }),
  showsOwn: fc.boolean(),
};
export const anyRelatives = record({
  source: fc.option(opaque),
  rows: fc
    .uniqueArray(record(rowFields), { maxLength: 3, selector: (row) => row.relation })
    .map((rows) => rows.sort((a, b) => (a.relation < b.relation ? -1 : 1))),
});
export const roundId = fc.constantFrom('round-1', 'round-2');
export const anyRound = record({
  id: roundId,
  seed: fc.nat(99),
  count: fc.constantFrom(3, 7),
  stray: fc.constantFrom(0, 0.5),
  kept: fc.array(opaque, { maxLength: 2 }),
  free: fc.uniqueArray(record({ family: familyId, base: opaque }), {
    maxLength: 2,
    selector: (one) => one.family,
  }),
  way: fc.constantFrom('fresh', 'mix'),
  of: fc.array(fc.array(opaque, { maxLength: 3 }), { maxLength: 2 }),
});

export const recipeId = fc.constantFrom('recipe-1', 'recipe-2');
export const anyRecipe = record({ id: recipeId, name, growth });
export const noteId = fc.constantFrom('note-1', 'note-2');
export const answerId = fc.constantFrom('answer-1', 'answer-2');
export const noteText = fc.constantFrom('Lighter?', 'Two\nlines', '@Ida, darker?');
export const mentions = fc.constantFrom(undefined, ['ida'], ['ida', 'ula']);
const saidFields = {
  text: noteText,
  by: fc.constantFrom('', 'Ida'),
  at: fc.constantFrom(0, 1_790_000_000_000),
  mentions,
};
export const anyAnswer = record({ id: answerId, ...saidFields });
export const anyNote = record({
  id: noteId,
  ...saidFields,
  on: fc.oneof(
    fc.record({ kind: fc.constant('shade'), family: familyId, shade }),
    fc.record({ kind: fc.constant('role'), role: roleId }),
    fc.record({ kind: fc.constant('swatch'), swatch: swatchId }),
    fc.record({ kind: fc.constant('scene'), scene: fc.constantFrom('landing', 'attic') }),
    fc.record({ kind: fc.constant('project') }),
  ),
  settled: fc.boolean(),
  forClient: fc.constantFrom(undefined, true),
  answers: fc.uniqueArray(anyAnswer, { maxLength: 2, selector: (answer) => answer.id }),
});

export const use = fc.constantFrom('text', 'ring');
export const about = fc.constantFrom('For links on the page', 'Headings');

/** What a role may have besides its name and links. */
export const roleExtras = {
  use: fc.option(use, { nil: undefined }),
  about: fc.option(about, { nil: undefined }),
  retired: fc.constantFrom(undefined, undefined, '', 'text.main'),
};

const leftOutOf = (id: fc.Arbitrary<string>) =>
  fc.uniqueArray(id, { maxLength: 3 }).map((ids) => [...ids].sort());
export const formChoice = fc.constantFrom(
  { form: 'css', choice: 'themes', value: 'class' },
  { form: 'css', choice: 'themes', value: 'attribute' },
  { form: 'css', choice: 'prefix', value: 'sk' },
  { form: 'css', choice: 'typed', value: true },
  { form: 'pdf', choice: 'paper', value: 'letter' },
  { form: 'pdf', choice: 'paper', value: null },
);
export const pack = fc.uniqueArray(fc.constantFrom('css', 'tokens', 'pdf'), { maxLength: 3 });
export const copiedAs = fc.constantFrom('hex', 'oklch');
export const anyDelivery = record({
  leftOut: record({
    family: leftOutOf(familyId),
    role: leftOutOf(roleId),
    theme: leftOutOf(themeId),
    gradient: leftOutOf(gradientId),
  }),
  choices: fc.constantFrom({}, { css: { themes: 'class' } }, { pdf: { paper: 'letter' } }),
  pack,
  copied: copiedAs,
});

export const sceneUse = fc.constantFrom('page', 'hero', 'good-text');
export const castLink = fc.oneof(
  fc.record({ to: fc.constant('role'), role: roleId }),
  fc.record({ to: fc.constant('gradient'), gradient: gradientId }),
  fc.record({ to: fc.constant('picture'), picture: pictureId }),
  fc.constant({ to: 'nothing' }),
);
export const sceneWord = fc.constantFrom('headline', 'what1');
export const said = fc.constantFrom('Hallin', 'Off to sea');
export const anyScenes = record({
  cast: fc
    .dictionary(sceneUse, castLink, { maxKeys: 2, noNullPrototype: true })
    .map((cast) =>
      Object.fromEntries(
        Object.entries(cast).filter(([use, { to }]) => use === 'hero' || to === 'role' || to === 'nothing'),
      ),
    ),
  words: fc.dictionary(sceneWord, said, { maxKeys: 2, noNullPrototype: true }),
});

export const artworkId = fc.constantFrom('art-1', 'art-2');
const svg = fc.constantFrom(
  '<svg xmlns="http://www.w3.org/2000/svg" fill="#0b5f6b" color="#000000"><path d="M0 0h9"></path></svg>',
  '<svg xmlns="http://www.w3.org/2000/svg" fill="#000000" color="#000000"></svg>',
);
export const artLinks = fc.dictionary(fc.constantFrom('#0b5f6b', '#000000'), link, {
  maxKeys: 2,
  noNullPrototype: true,
});
export const anyArtwork = record({
  id: artworkId,
  name,
  kind: fc.constant('drawing'),
  content: svg,
  links: artLinks,
});
