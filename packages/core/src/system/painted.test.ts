import { describe, expect, it, test } from 'vitest';
import { colorOf, fade, oklabOf, paint } from './painted.ts';

describe('painted colours', () => {
  test.each([
    ['#0b5f6b', '#0b5f6b', false],
    ['rgb(11 95 107 / 0.4)', 'rgb(11 95 107 / 0.4)', false],
    ['#0b5f6b80', 'rgb(11 95 107 / 0.502)', false],
    ['hsl(0 100% 50%)', '#ff0000', false],
    ['color(display-p3 1 0 0)', '#ff0c0e', true],
    ['transparent', 'rgb(0 0 0 / 0)', false],
  ])('%s is painted as %s', (text, css, outside) => {
    const painted = paint(text);
    expect(painted.outside).toBe(outside);
    if (!outside) expect(painted.css).toBe(css);
    else expect(painted.css).toMatch(/^#f/);
    expect(paint(text)).toBe(painted);
  });

  it('are faded by a further opacity, and stay themselves at full', () => {
    const half = paint('rgb(11 95 107 / 0.5)');
    expect(fade(half, 0.5)).toMatchObject({ alpha: 0.25, css: 'rgb(11 95 107 / 0.25)' });
    expect(fade(half, 1)).toBe(half);
    expect(colorOf(half).alpha).toBe(0.5);
    expect(oklabOf(paint('#ffffff'))[0]).toBeCloseTo(1, 6);
    expect(() => paint('nonsense')).toThrow(TypeError);
  });
});
