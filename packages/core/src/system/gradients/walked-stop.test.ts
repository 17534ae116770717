import { describe, expect, it } from 'vitest';
import { rgb8ToOklch } from '../../color/gamut.ts';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import type { Link } from '../../document/links/link.ts';
import { paint } from '../painted.ts';
import { resolveSystem } from '../resolve.ts';
import { stopAtLightness, stopStepped } from './walked-stop.ts';

const system = resolveSystem(SKERRY_LINE);
const { roles } = system.themes.get('day')!;
const walking = { families: system.families, roles };
const deepwater = system.families.get('deepwater')!;
const shade = (label: string, more: object = {}): Link => ({
  to: 'shade',
  family: 'deepwater',
  shade: label,
  ...more,
});
const colorOf = (label: string) => deepwater.byLabel.get(label)!;

describe('a stop that walks along lightness', () => {
  it('goes shade by shade, and stays what it is where it stands', () => {
    const link = shade('700', { opacity: 0.4 });
    for (const { label, r, g, b } of deepwater.shades) {
      const next = stopAtLightness(walking, link, colorOf('700'), rgb8ToOklch(r, g, b)[0]);
      expect(next).toEqual(label === '700' ? link : shade(label, { opacity: 0.4 }));
    }
    expect(stopStepped(walking, shade('700'), colorOf('700'), 'lighter')).toEqual(shade('600'));
    expect(stopStepped(walking, shade('950'), colorOf('950'), 'darker')).toBeNull();
  });

  it('leaves a role for the shade that it comes to, once it goes', () => {
    const link: Link = { to: 'role', role: 'action-fill' };
    const color = roles.get('action-fill')!.color!;
    expect(stopStepped(walking, link, color, 'darker')).toEqual(shade('800'));
    expect(stopAtLightness(walking, link, color, rgb8ToOklch(color.r, color.g, color.b)[0])).toEqual(link);
  });

  it('is a plain colour as light as that, of its own hue, inside sRGB', () => {
    const color = paint('#8e5b00');
    const next = stopAtLightness(walking, { to: 'color', color: '#8e5b00' }, color, 0.7);
    const now = paint((next as { color: string }).color);
    const [l, , h] = rgb8ToOklch(now.r, now.g, now.b);
    expect(l).toBeCloseTo(0.7, 2);
    expect(h).toBeCloseTo(rgb8ToOklch(color.r, color.g, color.b)[2], 0);
    const up = stopStepped(walking, { to: 'color', color: '#8e5b00' }, color, 'lighter');
    expect(up).not.toEqual({ to: 'color', color: '#8e5b00' });
  });
});
