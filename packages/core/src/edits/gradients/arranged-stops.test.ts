import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import { anyDocument } from '../../document/commands/random-document.fixture.ts';
import { type Gradient, isInOrder, shapeOf, stopsOf } from '../../document/gradients/gradient.ts';
import { colorAtPlace, placeStops } from '../../gradient/model.ts';
import { paintedGradient } from '../../system/gradients/resolved-gradient.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { evenlySpaced, mirrored, rotatedColors, turnedRound } from './arranged-stops.ts';

const gradients = anyDocument
  .filter(({ gradients: all }) => all.length > 0)
  .map(({ gradients: all }) => all[0]!);
let n = 0;
const newId = () => `n${++n}`;
const firstLight = SKERRY_LINE.gradients[0]!;

/** How a gradient of the demo is painted with other stops. */
function colorsOf(stops: Gradient['stops']) {
  const doc = after(SKERRY_LINE, { type: 'setStops', gradient: 'first-light', stops });
  const resolved = resolveSystem(doc).themes.get('day')!.gradients.get('first-light')!;
  const placed = placeStops(paintedGradient(resolved)!);
  return (at: number) => {
    const { r, g, b } = colorAtPlace(placed, at);
    return [r, g, b].map((v) => Math.round(v));
  };
}

describe('arranging stops', () => {
  it('keeps every stop that was there, in order, whatever the gradient', () => {
    fc.assert(
      fc.property(gradients, (gradient) => {
        const links = stopsOf(gradient).map(({ color }) => JSON.stringify(color));
        for (const items of [evenlySpaced(gradient), turnedRound(gradient), rotatedColors(gradient)]) {
          if (!items) continue;
          expect(isInOrder(items)).toBe(true);
          const now = stopsOf({ stops: items } as Gradient).map(({ color }) => JSON.stringify(color));
          expect(now.sort()).toEqual([...links].sort());
        }
        const doubled = mirrored(gradient, newId);
        if (!doubled) return;
        expect(isInOrder(doubled)).toBe(true);
        const ids = stopsOf({ stops: doubled } as Gradient).map(({ id }) => id);
        expect(new Set(ids).size).toBe(ids.length);
      }),
      { numRuns: 100 },
    );
  });

  it('turns round, mirrors and rotates what is painted', () => {
    const was = colorsOf(firstLight.stops);
    const turned = colorsOf(turnedRound(firstLight)!);
    const doubled = colorsOf(mirrored(firstLight, newId)!);
    for (let at = 1; at < 100; at += 7) {
      expect(turned(100 - at)).toEqual(was(at));
      expect(doubled(at / 2)).toEqual(was(at));
      expect(doubled(100 - at / 2)).toEqual(was(at));
    }
    expect(stopsOf({ stops: mirrored(firstLight, newId)! } as Gradient)).toHaveLength(7);
    const rotated = colorsOf(rotatedColors(firstLight));
    expect([rotated(0), rotated(46)]).toEqual([was(100), was(0)]);
    expect(
      stopsOf({ stops: evenlySpaced(firstLight) } as Gradient).map(({ places }) => places[0].value),
    ).toEqual([0, 33.333333, 66.666667, 100]);
  });

  it('comes back by turning twice, and says where places in px cannot be turned', () => {
    expect(turnedRound({ ...firstLight, stops: turnedRound(firstLight)! })).toEqual(firstLight.stops);
    const inPx = {
      ...firstLight,
      stops: [firstLight.stops[0]!, { ...firstLight.stops[1]!, places: [{ value: 30, unit: 'px' }] }],
    } as Gradient;
    expect([turnedRound(inPx), mirrored(inPx, newId)]).toEqual([null, null]);
  });
});

describe('another shape', () => {
  it('keeps stops, space and name, and is taken back exactly', () => {
    const radial = {
      kind: 'radial',
      shape: 'circle',
      size: 'closest-side',
      center: [
        { value: 120, unit: '%' },
        { value: -20, unit: 'px' },
      ],
    } as const;
    const doc = after(SKERRY_LINE, { type: 'shapeGradient', gradient: 'first-light', shape: radial });
    const { stops, space, name } = firstLight;
    expect(doc.gradients[0]).toEqual({
      id: 'first-light',
      name,
      stops,
      space,
      repeating: false,
      hueWay: 'shorter',
      ...radial,
    });
    expect(shapeOf(doc.gradients[0]!)).toEqual(radial);
    const back = after(doc, { type: 'shapeGradient', gradient: 'first-light', shape: shapeOf(firstLight) });
    expect(back).toEqual(SKERRY_LINE);
  });
});
