import { hexOfRgb8 } from '../color/write.ts';
import { readGradient } from '../gradient/read-css.ts';
import type { NewSet } from './shelf-set.ts';

/**
 * The sets that ship with Mint Lamp, made for it: name, words, and colours as hex digits, lightest ground to deepest
 * ink as they would be used.
 */
const PALETTES: readonly (readonly [name: string, words: string, colors: string])[] = [
  // Weather
  ['Sea fog at six', 'weather fog morning grey quiet cold', 'eef1f0 cfd8d8 9db0b2 5f787c 2c3f44'],
  ['After the squall', 'weather storm rain clearing fresh', 'f3f6f4 b9d4cf 5a9aa0 2b5f73 e0a43a'],
  ['First frost', 'weather winter frost ice blue pale', 'f6fafb d6e6ee a4c3d6 5d87a6 243c55'],
  ['Thunderhead', 'weather storm dark dramatic violet', 'e9e7ee b1aec4 6f6b8f 3b3957 f0c23c'],
  ['Noon in August', 'weather summer heat bright dry', 'fff8e6 ffd977 f59a2e c9501f 5b2a16'],
  ['Warm rain', 'weather rain green summer soft', 'f0f5ee c4d9c0 86ae8e 4a7a66 21423a'],
  ['North wind', 'weather wind winter clear cold', 'f1f6fa bcd6ea 6ba3cf 2a6aa0 132f4d'],
  ['Dry season', 'weather drought dust ochre heat', 'f7efe0 e0c795 bd9355 85602f 473018'],
  ['Harvest moon', 'weather night autumn moon orange', 'fbf0dc f0bf6a d27d32 6e3a2d 241a26'],
  ['Sleet', 'weather winter wet grey steel', 'f0f2f4 c5ccd4 8d98a5 566372 262e39'],
  // Materials
  ['Oxidised copper', 'material metal copper verdigris rust patina', 'edf4ef 9ccdb9 4a9583 a8562f 4b2418'],
  ['Unbleached linen', 'material cloth linen natural warm neutral', 'faf6ee e9dfcb cbbb9b 94836a 4f4436'],
  ['Wet slate', 'material stone slate grey blue roof', 'eceff1 b4bec5 74838e 43515c 1d262e'],
  ['Brick and lime', 'material brick mortar house red', 'f8f2ec e6cdb9 c6714f 8f3f2b 3f1f1a'],
  ['Beeswax', 'material wax honey yellow candle', 'fff9e4 fbe29a eab83f b07a1c 5a3a10'],
  ['Tarred rope', 'material rope tar ship brown black', 'f4efe6 d3bf98 9a7d53 57422c 1e1712'],
  ['Sea glass', 'material glass green pale beach', 'f2faf6 c5e8dc 86c9b6 479584 1d4f49'],
  ['Blotting paper', 'material paper pink ink office', 'fdf3f1 f4cfc8 dd9690 a4585c 49283a'],
  ['Galvanised', 'material zinc metal bucket neutral cool', 'f4f6f6 d5dadb a6afb2 6c777b 333b3f'],
  ['Walnut and brass', 'material wood metal furniture brown gold', 'f8f1e3 dfc58b b08c3c 6b432a 2d1b14'],
  ['Terracotta pot', 'material clay garden orange earth', 'fbf1ea efc4a8 d98a5f a9573a 55291e'],
  ['Indigo vat', 'material dye indigo blue cloth', 'f1f2f8 b6bfe0 6a78b8 37438a 171d45'],
  // Moods
  ['Sunday, late', 'mood calm slow rest soft', 'f9f4ef e6d5c8 c4a596 86716f 453c45'],
  ['Before the exam', 'mood nervous focus sharp cool', 'f5f7fa c9d4e3 7e97b8 e3543a 1f2a3c'],
  ['Good news', 'mood happy bright open fresh', 'fffdf2 ffe27a 5ec08a 2b87c4 1f2f4a'],
  ['Quiet pride', 'mood dignified deep calm green', 'f4f3ec cfcfae 8f9a63 4c5f3d 222d23'],
  ['Homesick', 'mood longing evening blue warm', 'f6efe8 d9b59c a06f6a 50506f 232640'],
  ['Mischief', 'mood playful loud pink green', 'fff4f8 ff9fc1 e4407b 2fae7a 2a1f3d'],
  ['Patience', 'mood slow neutral long even', 'f5f5f1 d9d8cd b1afa0 7d7b6e 45443d'],
  ['Wide awake', 'mood morning clear energy blue', 'f4fbff a8e0f7 2fa8df f7b733 15344c'],
  ['Small hours', 'mood night quiet dark blue', 'e7e9f2 a1a8c8 5b6496 2f3563 12142c'],
  ['Grandmother’s kitchen', 'mood warm home memory cosy', 'fdf5e6 f2d6a2 d98d5b 7fa08a 5a3b32'],
  // Trades
  ['Night bakery', 'trade bread baker warm crust flour', 'fdf7ec f1d9ab d19c57 8a5527 3b2415'],
  ['Ship’s chandler', 'trade ship harbour rope paint navy', 'f3efe4 c9b98f c2452d 1e4f66 12222e'],
  ['Letterpress', 'trade print ink paper red black', 'faf7f0 ddd6c6 c33b2e 4a4742 171615'],
  ['Fishmonger', 'trade fish ice market silver pink', 'f3f8fa c7dbe3 8fb0be e58b7b 2b4653'],
  ['Beekeeper', 'trade honey bee garden yellow', 'fffbea f9dd77 dba520 6f7f3a 38321c'],
  ['Watchmaker', 'trade clock brass precise cool', 'f6f6f2 d8d3bd b39a55 5c6b73 1f2a30'],
  ['Signal box', 'trade railway signal red green amber', 'f2f3f1 c63a2f e7a52b 2f8b57 20302c'],
  ['Glassblower', 'trade glass fire orange teal', 'fff5ea ffc37a f0772b 2f8f93 1a3d45'],
  ['Dyer’s yard', 'trade dye cloth colour strong', 'f9f3ec e3b23c c1403d 5c4b99 24506b'],
  ['Surveyor', 'trade map land field chart', 'f7f5ea d3dbb0 92ab6b c8733c 37492f'],
  ['Cooper', 'trade barrel wood oak iron', 'f5ede0 d6b98a a6783f 66543f 2b2a2a'],
  ['Tea merchant', 'trade tea leaf tin green brown', 'f8f6ea d8d3a0 94a05a 9b5b33 38301f'],
  // Places and seasons
  ['Salt marsh', 'place coast marsh grass sea lavender', 'f3f3ea cdd0a9 94a27a 8c82a8 41495a'],
  ['Lighthouse stairs', 'place coast white red height', 'fbfaf7 dfe3e4 d8432f 6b7f8a 25323a'],
  ['Orchard in May', 'place season spring blossom green', 'fff7f7 f7c9d0 e58aa0 8cb46a 3f5a3c'],
  ['Bus shelter', 'place city rain night neon', 'eef0f4 a7b0c2 e94f64 3a4a6b 161c2e'],
  ['Old observatory', 'place night star dome brass', 'f3efe3 cbb67c 8a7a4e 34405f 131829'],
  ['Public baths', 'place water tile pool turquoise', 'f2fbfb b3e4e2 55b8ba 1f7f8f 0f4152'],
  ['Mountain hut', 'place mountain wood snow red', 'fafaf7 d6d2c4 a98b62 b23a30 2f3a3a'],
  ['Reading room', 'place library lamp green leather', 'f6f1e2 d9c79a 5f8a63 7a4a32 262b24'],
  ['Allotment', 'place garden vegetable earth green', 'f6f5e8 c9d39a 7ea04e c05a33 44382a'],
  ['Night ferry', 'place ship night sea lamp', 'e8eff0 9fc0c4 f2c14b 1d5560 0c2229'],
  ['Snowed in', 'season winter white quiet blue grey', 'fbfcfd e3eaef b9c9d4 7d93a3 3b4c59'],
  ['Leaf fall', 'season autumn leaf orange brown', 'fbf3e4 f0c677 db8433 a6482a 4a2a22'],
  ['Midsummer', 'season summer flower meadow bright', 'fdfbe8 f5dd5d 7fbf5a 3f8fcf d6478a'],
  ['Thaw', 'season spring mud water green', 'f4f6f3 cfdcd6 93b3a5 7a7a55 3d4236'],
  // Plain helpers
  ['True neutrals', 'neutral grey plain even interface', 'fafafa dedede a6a6a6 6b6b6b 2b2b2b'],
  ['Warm greys', 'neutral grey warm interface paper', 'fbf9f6 e2ddd6 aca49a 70695f 2f2b27'],
  ['Cool greys', 'neutral grey cool interface steel', 'f7f9fb d9dfe6 a0abb7 667281 28313b'],
  ['Four states', 'helper status success warning error information', '2f7d4f b7791f c0352b 2b6cb0'],
  ['Chart of six', 'helper chart data categories', '1f6f8b e07a3f 4f8a4c b0496b 8a7a3b 5a5ea8'],
  ['For red-green blindness', 'helper accessible colour blind data', '0b5f9c e6a532 6fb7d6 7a4b94 2d2d2d'],
];

const GRADIENTS: readonly (readonly [name: string, words: string, css: string])[] = [
  [
    'Harbour dawn',
    'weather morning harbour warm',
    'linear-gradient(180deg in oklab, #1c3452, #a88080 55%, #fac480)',
  ],
  [
    'Under the ice',
    'weather winter ice blue deep',
    'linear-gradient(160deg in oklab, #f2fafc, #6ba3cf 50%, #132f4d)',
  ],
  [
    'Copper to verdigris',
    'material metal copper patina',
    'linear-gradient(90deg in oklab, #a8562f, #d9a56b 45%, #4a9583)',
  ],
  [
    'Honey pour',
    'material honey gold warm',
    'linear-gradient(180deg in oklab, #fff3c4, #eab83f 60%, #7a4a12)',
  ],
  [
    'Ink in water',
    'material ink blue soft',
    'linear-gradient(135deg in oklab, #f4f6fb, #8e9ccf 55%, #1d2459)',
  ],
  ['Last tram', 'place city night neon', 'linear-gradient(120deg in oklab, #161c2e, #6b3a78 55%, #e94f64)'],
  [
    'Meadow light',
    'season summer green yellow',
    'linear-gradient(100deg in oklab, #fdf6b8, #9cc96b 55%, #3f7a4e)',
  ],
  ['Blotter', 'material paper pink soft', 'linear-gradient(90deg in oklab, #fdf3f1, #dd9690)'],
  [
    'Lamp on a wall',
    'mood evening lamp warm dark',
    'radial-gradient(circle at 30% 20% in oklab, #ffe9b0, #b5763a 45%, #2a1c1e)',
  ],
  [
    'Tide going out',
    'place coast sea sand',
    'linear-gradient(180deg in oklab, #2b6f80, #9ec8c4 55%, #ecdcb8)',
  ],
  ['Ember', 'material fire red dark', 'linear-gradient(90deg in oklab, #2b1214, #c1402b 60%, #ffb347)'],
  [
    'Round the compass',
    'helper hue wheel all colours',
    'conic-gradient(from 0deg in oklch longer hue, oklch(0.7 0.12 20), oklch(0.7 0.12 20))',
  ],
];

/** Colours that a gradient is shown and found by. */
export function gradientColors(css: string): string[] {
  const read = readGradient(css);
  if (!read.ok) return [];
  const stops = read.gradient.stops.flatMap((item) => (item.kind === 'stop' ? [item.color] : []));
  return [...new Set(stops.map(({ r, g, b }) => hexOfRgb8(Math.round(r), Math.round(g), Math.round(b))))];
}

/** Words that the colours of a ready-made palette are called by, lightest use first. */
const PLACES = ['ground', 'pale', 'middle', 'strong', 'ink', 'accent'] as const;

function palette([name, words, digits]: (typeof PALETTES)[number]): NewSet {
  const colors = digits.split(' ').map((hex) => `#${hex}`);
  const entries = colors.map((color, i) => ({ name: `${name} ${PLACES[i] ?? i + 1}`, color }));
  return { name, words, content: { kind: 'palette', colors: entries }, colors };
}

/** The sets that ship with Mint Lamp. */
export const READY_MADE: readonly NewSet[] = [
  ...PALETTES.map(palette),
  ...GRADIENTS.map(
    ([name, words, css]): NewSet => ({
      name,
      words,
      content: { kind: 'gradient', css },
      colors: gradientColors(css),
    }),
  ),
];
