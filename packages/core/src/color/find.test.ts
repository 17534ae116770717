import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { findGradients } from '../gradient/find-css.ts';
import { corrections } from './corrections.ts';
import { deltaEOk } from './difference.ts';
import { findColors, mergeTwins } from './find.ts';
import { parseColor, readColor } from './parse.ts';

const colorsIn = (text: string) => findColors(text).found.map((item) => item.color);
const doubtsIn = (text: string) => findColors(text).near.map((item) => item.text);

describe('colours in a text', () => {
  test.each([
    ['Our main is #0B5F6B, thanks.', ['#0b5f6b']],
    ['(#abc)', ['#aabbcc']],
    ['codes: 0b5f6b and E2552B.', ['#0b5f6b', '#e2552b']],
    ['hex: 333', ['#333333']],
    ['rgb(11, 95, 107) or hsl(0 100% 50%)', ['#0b5f6b', '#ff0000']],
    [
      'color(display-p3 1 0 0) oklch(70% 0.1 200 / 50%)',
      ['color(display-p3 1 0 0)', 'oklch(0.7 0.1 200 / 0.5)'],
    ],
    ['The tomato one, on linen', ['#ff6347', '#faf0e6']],
    ['a dark blue sea, light sea-green foam; Blue dark', ['#00008b', '#20b2aa', '#0000ff']],
    [
      'a { color: red; background: linear-gradient(#fff, rgba(0,0,0,.5)); border: 0 }',
      ['#ff0000', '#ffffff', 'rgb(0 0 0 / 0.5)'],
    ],
  ])('%j', (text, expected) => {
    expect(colorsIn(text)).toEqual(expected);
  });

  test.each([
    ['a decade behind the facade, not bad'],
    ['Room 404, 2026-11-25, 100 %, order 4711'],
    ['see https://example.invalid/#fade and url(#add)'],
    ['&#123; &#xfff;'],
    ['#face { margin: 0; padding: 1px; top: 3px }\n.bad-red { left: 1px }'],
    ['a { width: 1e3px; color: rgba(var(--x), 1); margin: 0; z-index: 300 }'],
    ['550e8400-e29b-41d4-a716-446655440000'],
  ])('nothing in %j', (text) => {
    expect(findColors(text)).toMatchObject({ found: [], near: [] });
  });

  it('counts, keeps the spellings and says where the first one is', () => {
    const [item] = findColors('one\n#0B5F6B two\n0b5f6b rgb(11 95 107) #0b5f6b').found;
    expect(item).toEqual({
      color: '#0b5f6b',
      spellings: ['#0B5F6B', '0b5f6b', 'rgb(11 95 107)', '#0b5f6b'],
      count: 4,
      index: 4,
      line: 2,
      inProse: false,
    });
  });

  it('tells what is only named in prose from what is written as a code or in a style sheet', () => {
    const prose = (text: string) => findColors(text).found.map(({ color, inProse }) => [color, inProse]);
    expect(prose('Orange buoys in dark blue water')).toEqual([
      ['#ffa500', true],
      ['#00008b', true],
    ]);
    expect(prose('orange, that is #ffa500')).toEqual([['#ffa500', false]]);
    expect(prose('a { color: orange; margin: 0; top: 1px }')).toEqual([['#ffa500', false]]);
    expect(mergeTwins(findColors('orange and #ffa501').found)[0]?.inProse).toBe(false);
  });

  it('doubts a code of five or seven digits also without its sign, when letters and figures are in it', () => {
    expect(findColors('funnel CFF00, hull 0b5f6b7, order 47112, facade, 1e300').near).toMatchObject([
      { text: 'CFF00', corrections: expect.arrayContaining(['#ccff00']) },
      { text: '0b5f6b7', reason: expect.stringMatching(/this has 7/) },
    ]);
  });

  it('lists what looks like a code and is none, with line and reason', () => {
    const text = 'ok #fff\nwrong #CFF00 and rgb(300 0 0 0 0),\n#0B5G6B hsl(20 40% 10% color: greeen; #O0FF00';
    expect(doubtsIn(text)).toEqual([
      '#CFF00',
      'rgb(300 0 0 0 0)',
      '#0B5G6B',
      'hsl(20 40% 10%',
      'greeen',
      '#O0FF00',
    ]);
    expect(findColors(text).near[0]).toMatchObject({ line: 2, reason: expect.stringMatching(/this has 5/) });
  });

  it('merges near-twins into the more frequent, with its twins named', () => {
    const { found } = findColors('#0b5f6b #0b5f6b #0c606c #e2552b');
    expect(mergeTwins(found).map(({ color, count, twins }) => ({ color, count, twins }))).toEqual([
      { color: '#0b5f6b', count: 3, twins: ['#0c606c'] },
      { color: '#e2552b', count: 1, twins: [] },
    ]);
    expect(mergeTwins(findColors('#0b5f6b #0b5f6b80').found)).toHaveLength(2);
  });

  it('reads a text of a million characters in one pass', () => {
    const { found } = findColors(`${'lorem #0b5f6b ipsum rgb('.repeat(40_000)}`);
    expect(found[0]?.count).toBe(40_000);
  });
});

describe('gradients in a text', () => {
  it('are found whole, once each, with their line; what cannot be read is passed over', () => {
    const found = findGradients(`Hero:
      linear-gradient(105deg, #002f39, rgb(11 95 107) 40%, #e2552b)
      .b { background: linear-gradient(105deg, #002f39, rgb(11 95 107) 40%, #e2552b), radial-gradient(red, var(--x)) }
      conic-gradient(from 20deg, red, blue) linear-gradient(never ends`);
    expect(
      found.map(({ text, count, line, gradient }) => [text.slice(0, 22), count, line, gradient.kind]),
    ).toEqual([
      ['linear-gradient(105deg', 2, 2, 'linear'],
      ['conic-gradient(from 20', 1, 4, 'conic'],
    ]);
  });

  it('are looked for in time linear in the text', () => {
    expect(findGradients('linear-gradient('.repeat(40_000))).toEqual([]);
  }, 20_000);
});

describe('corrections', () => {
  test.each([
    ['#CFF00', '#ccff00'],
    ['#0B5G6B', '#0b566b'],
    ['#O0FF00', '#00ff00'],
    ['#12', '#121212'],
    ['rgb(300 0 0 0 0)', 'rgb(255 0 0)'],
    ['hsl(20 40 10%', 'hsl(20 40% 10%)'],
    ['greeen', 'green'],
  ])('%s may have meant %s, first', (text, first) => {
    expect(corrections(text)[0]).toBe(first);
  });

  it('are always colours, and at most five', () => {
    for (const text of ['#1234567', '#123456789', 'rgb(1e5, -2, 3, 4)', 'blakc', 'nonsense', '#', 'rgb()']) {
      const all = corrections(text);
      expect(all.length).toBeLessThanOrEqual(5);
      for (const item of all) expect(parseColor(item).ok).toBe(true);
    }
  });
});

describe('long texts without an end to anything', () => {
  // Each of these took minutes when it was looked at anew from every character. The limit is there to end a test that
  // hangs, and leaves a hundred times what is needed.
  test.each([
    ['digits', '1'],
    ['letters and digits', 'a1'],
    ['base64', 'aB3+/x'],
    ['declarations that never end', 'a:'],
    ['hashes', '#a'],
    ['functions that never close', 'rgb('],
    ['arguments that never close', 'rgb(1,'],
    ['mixes that never close', 'color-mix(a(b)'],
    ['hyphens', '-a-'],
    ['words', 'fact '],
  ])(
    'are passed over once: %s',
    (_, piece) => {
      const text = piece.repeat(Math.ceil(400_000 / piece.length));
      expect(findColors(text).found.length).toBeLessThan(3);
      expect(corrections(text)).toEqual([]);
    },
    20_000,
  );
});

describe('merging near-twins', () => {
  it('comes to what comparing each with each comes to, over random colours', () => {
    const byte = fc.integer({ min: 90, max: 120 });
    const anyColors = fc.array(fc.tuple(byte, byte, byte, fc.constantFrom(1, 0.5)), { maxLength: 40 });
    fc.assert(
      fc.property(anyColors, (list) => {
        const { found } = findColors(list.map(([r, g, b, a]) => `rgb(${r} ${g} ${b} / ${a})`).join(';\n'));
        const hosts: { color: string; twins: string[] }[] = [];
        for (const { color } of [...found].sort((a, b) => b.count - a.count || a.index - b.index)) {
          const c = readColor(color);
          const host = hosts.find(
            (one) => readColor(one.color).alpha === c.alpha && deltaEOk(readColor(one.color), c) < 0.02,
          );
          if (host) host.twins.push(color);
          else hosts.push({ color, twins: [] });
        }
        const merged = mergeTwins(found).map(({ color, twins }) => ({ color, twins }));
        const byColor = (a: { color: string }, b: { color: string }) => a.color.localeCompare(b.color);
        expect(merged.sort(byColor)).toEqual(hosts.sort(byColor));
      }),
      { numRuns: 100 },
    );
  });
});
