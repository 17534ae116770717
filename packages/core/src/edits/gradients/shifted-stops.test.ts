import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs.ts';
import { rgb8ToOklch } from '../../color/gamut.ts';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import { type Gradient, stopsOf } from '../../document/gradients/gradient.ts';
import { shiftedColor } from '../../gradient/analyse.ts';
import { paint } from '../../system/painted.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { NO_SHIFT, shiftedStops } from './shifted-stops.ts';

const system = resolveSystem(SKERRY_LINE);
const day = system.themes.get('day')!;
const walking = { families: system.families, roles: day.roles };
const firstLight = day.gradients.get('first-light')!;
const linksOf = (stops: Gradient['stops']) => stopsOf({ stops } as Gradient).map(({ color }) => color);

describe('a whole gradient that is shifted', () => {
  it('walks along its families where a shade comes near', () => {
    const { stops, linked, loosened } = shiftedStops(walking, firstLight, { ...NO_SHIFT, lightness: 0.09 });
    expect([linked, loosened]).toEqual([4, 0]);
    const now = after(SKERRY_LINE, { type: 'setStops', gradient: 'first-light', stops });
    const colors = resolveSystem(now).themes.get('day')!.gradients.get('first-light')!.colors;
    colors.forEach((color, i) => {
      const [was, is] = [firstLight.colors[i]!, color!].map(({ r, g, b }) => rgb8ToOklch(r, g, b)[0]);
      expect(is! - was!).toBeGreaterThan(0.04);
    });
    expect(linksOf(stops).every(({ to }) => to === 'shade')).toBe(true);
  });

  it('says how many become plain colours where no shade of their family does', () => {
    const { stops, linked, loosened } = shiftedStops(walking, firstLight, { ...NO_SHIFT, hue: 90 });
    expect(linked + loosened).toBe(4);
    expect(loosened).toBeGreaterThan(2);
    const first = linksOf(stops).find(({ to }) => to === 'color') as { color: string };
    expect(paint(first.color).alpha).toBe(1);
  });

  it('is never less colourful where more is asked, in no stop, and lightness stays', () => {
    const channel = fc.integer({ min: 0, max: 255 });
    const blues = fc.tuple(fc.integer({ min: 0, max: 9 }), fc.integer({ min: 0, max: 9 }), channel);
    fc.assert(
      fc.property(
        fc.oneof(fc.tuple(channel, channel, channel), blues),
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        ([r, g, b], saturation) => {
          const [l, c] = rgb8ToOklch(r, g, b);
          const more = shiftedColor({ r, g, b, alpha: 1 }, { saturation });
          const [nextL, nextC] = rgb8ToOklch(more.r, more.g, more.b);
          expect(nextC).toBeGreaterThanOrEqual(c - 1e-9);
          expect(Math.abs(nextL - l)).toBeLessThan(0.012);
        },
      ),
      { numRuns: runs(2000) },
    );
    for (const saturation of [0.1, 0.2, 0.4]) {
      const { stops } = shiftedStops(walking, firstLight, { ...NO_SHIFT, saturation });
      const now = after(SKERRY_LINE, { type: 'setStops', gradient: 'first-light', stops });
      const { colors } = resolveSystem(now).themes.get('day')!.gradients.get('first-light')!;
      colors.forEach((color, i) => {
        const [was, is] = [firstLight.colors[i]!, color!].map(({ r, g, b }) => rgb8ToOklch(r, g, b)[1]);
        expect(is!).toBeGreaterThanOrEqual(was! - 1e-9);
      });
    }
  });

  it('is the same where nothing is asked, and keeps opacities, places and what has no colour', () => {
    const none = shiftedStops(walking, firstLight, NO_SHIFT);
    expect(none.stops).toEqual(firstLight.gradient.stops);
    const doc = after(
      SKERRY_LINE,
      {
        type: 'linkStop',
        gradient: 'first-light',
        stop: 'dawn',
        link: { to: 'color', color: '#804020', opacity: 0.4 },
      },
      { type: 'linkStop', gradient: 'first-light', stop: 'sun', link: { to: 'role', role: 'gone' } },
    );
    const theme = resolveSystem(doc).themes.get('day')!;
    const { stops } = shiftedStops(walking, theme.gradients.get('first-light')!, {
      ...NO_SHIFT,
      saturation: -1,
    });
    const [, , dawn, sun] = linksOf(stops);
    expect(sun).toEqual({ to: 'role', role: 'gone' });
    expect(dawn).toMatchObject({ to: 'color', opacity: 0.4 });
    const { r, g, b } = paint((dawn as { color: string }).color);
    expect(Math.max(r, g, b) - Math.min(r, g, b)).toBeLessThanOrEqual(1);
    expect(stops).not.toEqual(doc.gradients[0]!.stops);
  });
});
