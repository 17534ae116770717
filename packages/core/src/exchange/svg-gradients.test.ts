import { describe, expect, it, test } from 'vitest';
import { writeGradient } from '../gradient/write-css.ts';
import type { SvgElement } from './svg-element.ts';
import { svgGradients } from './svg-gradients.ts';

const element = (
  name: string,
  attributes: Record<string, string> = {},
  ...children: SvgElement[]
): SvgElement => ({ name, attributes, children });
const stop = (offset: string, color: string, more: Record<string, string> = {}) =>
  element('stop', { offset, 'stop-color': color, ...more });
const STOPS = [stop('0', '#0b5f6b'), stop('100%', '#e2552b')];
const svg = (...children: SvgElement[]) => element('svg', { viewBox: '0 0 200 100' }, ...children);
const read = (...gradients: SvgElement[]) =>
  svgGradients(svg(element('defs', {}, ...gradients))).map(({ id, gradient, notes }) => ({
    id,
    css: writeGradient(gradient),
    notes,
  }));
const linear = (attributes: Record<string, string>, stops = STOPS) =>
  element('linearGradient', { id: 'a', ...attributes }, ...stops);
const radial = (attributes: Record<string, string>, stops = STOPS) =>
  element('radialGradient', { id: 'a', ...attributes }, ...stops);
const BOTH = '#0b5f6b 0%, #e2552b 100%';

describe('gradients of an SVG file', () => {
  test.each([
    ['from left to right where nothing is said', linear({}), `linear-gradient(90deg in srgb, ${BOTH})`],
    ['down', linear({ x2: '0', y2: '1' }), `linear-gradient(180deg in srgb, ${BOTH})`],
    [
      'to a corner, as the box leans it',
      linear({ x2: '100%', y2: '100%' }),
      `linear-gradient(to bottom right in srgb, ${BOTH})`,
    ],
    [
      'in a part of the box',
      linear({ x1: '0.25', x2: '0.75' }),
      'linear-gradient(90deg in srgb, #0b5f6b 25%, #e2552b 75%)',
    ],
    [
      'beyond the box, cut where it ends',
      linear({ x1: '-1', x2: '1' }, [stop('0', '#000'), stop('1', '#fff')]),
      'linear-gradient(90deg in srgb, rgb(127.5 127.5 127.5) 0%, #ffffff 100%)',
    ],
    [
      'turned by a transform',
      linear({ gradientTransform: 'rotate(90 0.5 0.5)' }),
      `linear-gradient(180deg in srgb, ${BOTH})`,
    ],
    [
      'in the units of the drawing',
      linear({ gradientUnits: 'userSpaceOnUse', x1: '50', x2: '150', y1: '0', y2: '0' }),
      'linear-gradient(90deg in srgb, #0b5f6b 25%, #e2552b 75%)',
    ],
    [
      'in linear light',
      linear({ 'color-interpolation': 'linearRGB' }),
      `linear-gradient(90deg in srgb-linear, ${BOTH})`,
    ],
    [
      'repeated',
      linear({ x2: '0.25', spreadMethod: 'repeat' }),
      'repeating-linear-gradient(90deg in srgb, #0b5f6b 0%, #e2552b 25%)',
    ],
    [
      'there and back',
      linear({ x2: '0.25', spreadMethod: 'reflect' }),
      'repeating-linear-gradient(90deg in srgb, #0b5f6b 0%, #e2552b 25%, #e2552b 25%, #0b5f6b 50%)',
    ],
    ['round', radial({}), `radial-gradient(ellipse 50% 50% in srgb, ${BOTH})`],
    [
      'round, in the units of the drawing',
      radial({ gradientUnits: 'userSpaceOnUse', cx: '50', cy: '50', r: '40' }),
      `radial-gradient(ellipse 20% 40% at 25% 50% in srgb, ${BOTH})`,
    ],
    [
      'round and squeezed',
      radial({ gradientTransform: 'translate(0.1 0) scale(0.5 1)' }),
      `radial-gradient(ellipse 25% 50% at 35% 50% in srgb, ${BOTH})`,
    ],
  ])('go %s', (_, gradient, css) => {
    expect(read(gradient)).toEqual([{ id: 'a', css, notes: [] }]);
  });

  it('take stops and geometry from each other, with opacities, by attribute or style', () => {
    const [first, second] = read(
      element(
        'linearGradient',
        { id: 'stops' },
        stop('20%', 'rgb(11 95 107 / 50%)', { 'stop-opacity': '0.5' }),
        stop('10%', 'x', { style: 'stop-color: tomato; stop-opacity: 40%' }),
      ),
      element('radialGradient', { id: 'b', 'xlink:href': '#stops', r: '1' }),
    );
    // A place before an earlier one is brought to it.
    expect(first!.css).toBe(
      'linear-gradient(90deg in srgb, rgb(11 95 107 / 0.25) 20%, rgb(255 99 71 / 0.4) 20%)',
    );
    expect(second!.css).toContain('radial-gradient(ellipse 100% 100% in srgb, rgb(11 95 107 / 0.25) 20%');
  });

  test.each<[string, SvgElement, string]>([
    [
      'has its first and last colour to its ends',
      linear({ x2: '0.5', spreadMethod: 'repeat' }, [stop('0.2', '#000'), stop('0.6', '#fff')]),
      'repeating-linear-gradient(90deg in srgb, #000000 0%, #000000 10%, #ffffff 30%, #ffffff 50%)',
    ],
    [
      'has them there and back',
      linear({ x2: '0.25', spreadMethod: 'reflect' }, [stop('0', '#000'), stop('0.6', '#fff')]),
      'repeating-linear-gradient(90deg in srgb, #000000 0%, #ffffff 15%, #ffffff 25%, #ffffff 25%, #ffffff 35%, #000000 50%)',
    ],
    [
      'is begun in its midst where the line begins',
      linear({ x1: '0.1', x2: '0.5', spreadMethod: 'repeat' }, [stop('0', '#000'), stop('1', '#fff')]),
      'repeating-linear-gradient(90deg in srgb, rgb(191.25 191.25 191.25) 0%, #ffffff 10%, #000000 10%, rgb(191.25 191.25 191.25) 40%)',
    ],
    [
      'is cut where it is longer than the line',
      linear({ x1: '-0.5', x2: '1', spreadMethod: 'repeat' }, [stop('0', '#000'), stop('1', '#fff')]),
      'linear-gradient(90deg in srgb, #555555 0%, #ffffff 100%)',
    ],
    [
      'is round',
      radial({ r: '0.25', spreadMethod: 'repeat' }, [stop('0.5', '#000'), stop('0.75', '#fff')]),
      'repeating-radial-gradient(ellipse 25% 25% in srgb, #000000 0%, #000000 50%, #ffffff 75%, #ffffff 100%)',
    ],
  ])('a repeat %s', (_, gradient, css) => {
    expect(read(gradient)).toEqual([{ id: 'a', css, notes: [] }]);
  });

  it('have the colours that styles, classes and currentColor say, and say what is none', () => {
    const style = {
      ...element('style'),
      text: '/* x */ .a, .b{stop-color:#102030;stop-opacity:.5} stop { stop-color: red } #last{stop-color:lime!important} @media print{.a{stop-color:blue}}',
    };
    const colored = (list: SvgElement[], more = {}) =>
      svgGradients(svg(style, linear({ color: '#00ff80', ...more }, list))).map(({ gradient, notes }) => ({
        css: writeGradient(gradient),
        notes,
      }))[0]!;
    expect(
      colored([
        element('stop', { offset: '0', class: 'x b', 'stop-color': '#ffffff' }),
        element('stop', { offset: '.3', 'stop-color': '#ffffff' }),
        element('stop', { offset: '.5', id: 'last' }),
        element('stop', { offset: '.6', style: 'stop-color: currentColor' }),
        element('stop', { offset: '1', style: 'stop-color: CurrentColor; color: #0080ff' }),
      ]),
    ).toEqual({
      css: 'linear-gradient(90deg in srgb, rgb(16 32 48 / 0.5) 0%, #ff0000 30%, #00ff00 50%, #00ff80 60%, #0080ff 100%)',
      notes: [],
    });
    const unread = colored([
      stop('0', 'red'),
      element('stop', { offset: '1', style: 'stop-color: var(--brand)' }),
    ]);
    expect(unread.css).toContain('#000000 100%');
    expect(unread.notes).toEqual([expect.stringMatching(/"var\(--brand\)" of stop 2 is no colour .* black/)]);
  });

  it('are found in time however they refer to each other', () => {
    const n = 20_000;
    const chained = Array.from({ length: n }, (_, i) =>
      element('linearGradient', { id: `g${i}`, href: `#g${i + 1}` }, ...(i % 100 ? [] : STOPS)),
    );
    expect(svgGradients(svg(...chained)).length).toBeGreaterThan(n / 4);
  });

  it('say what CSS cannot', () => {
    expect(read(radial({ fx: '0.2' }))[0]!.notes).toEqual([expect.stringContaining('focus')]);
    expect(read(radial({ gradientTransform: 'rotate(30) scale(1 0.5)' }))[0]!.notes).toEqual([
      expect.stringContaining('stands upright'),
    ]);
    expect(read(linear({ x2: '1', y2: '0.4' }))[0]!.notes).toEqual([expect.stringContaining('square')]);
  });

  it('have as many stops as a project holds, painting the same', () => {
    const many = Array.from({ length: 200 }, (_, i) => {
      const v = Math.round(120 + 100 * Math.sin(i / 30));
      return stop(String(i / 199), `rgb(${v} 80 ${255 - v})`);
    });
    const [one] = svgGradients(svg(linear({}, many)));
    expect(one!.gradient.stops.length).toBeLessThanOrEqual(64);
    expect(one!.gradient.stops.length).toBeGreaterThan(5);
  });

  it('are left out with fewer than two stops, and end where they refer in a circle', () => {
    expect(
      read(
        linear({}, [stop('0', 'red')]),
        linear({ id: 'b', href: '#c' }, []),
        linear({ id: 'c', href: '#b' }, []),
      ),
    ).toEqual([]);
  });
});
