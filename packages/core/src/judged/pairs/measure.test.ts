import { describe, expect, test } from 'vitest';
import { formatRatio } from '../../contrast/ratio.ts';
import type { Target } from '../../contrast/targets.ts';
import { emptyDocument, type ProjectDocument } from '../../document/document.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { readoutOf } from '../readout/readout.ts';

/** A project of one pair, asked for what 3, 4.5 and 7 stand for. */
function projectOf(text: string, ground: string): ProjectDocument {
  const asked: readonly Target[] = [
    { level: 'AA', content: 'graphics' },
    { level: 'AA', content: 'body' },
    { level: 'AAA', content: 'body' },
  ];
  const role = (id: string, color: string) => ({
    id,
    group: [],
    name: id,
    links: { only: { to: 'color' as const, color } },
  });
  return {
    ...emptyDocument('Forty pairs', [{ id: 'only', name: 'Only' }]),
    roles: [role('text', text), role('ground', ground)],
    pairs: asked.map((target, i) => ({
      id: `p${i}`,
      foreground: 'text',
      background: 'ground',
      target,
      size: 16,
      weight: 400,
    })),
  };
}

// Worked out apart from this code: WCAG's formula in decimals of 40 digits, translucent colours laid over each other and
// over white in 8 bits as Chromium paints them, the ratio cut after two digits.
describe('forty pairs by hand, thresholds met and missed by a hair', () => {
  test.each([
    ['#767676', '#ffffff', '4.54', true, true, false],
    ['#777777', '#ffffff', '4.47', true, false, false],
    ['#949494', '#ffffff', '3.03', true, false, false],
    ['#959595', '#ffffff', '2.99', false, false, false],
    ['#595959', '#ffffff', '7.00', true, true, true],
    ['#5a5a5a', '#ffffff', '6.89', true, true, false],
    ['#000000', '#ffffff', '21.00', true, true, true],
    ['#ffffff', '#ffffff', '1.00', false, false, false],
    ['#757575', '#000000', '4.55', true, true, false],
    ['#747474', '#000000', '4.49', true, false, false],
    ['#5a5a5a', '#000000', '3.04', true, false, false],
    ['#595959', '#000000', '2.99', false, false, false],
    ['#959595', '#000000', '7.01', true, true, true],
    ['#949494', '#000000', '6.92', true, true, false],
    ['#ff0000', '#ffffff', '3.99', true, false, false],
    ['#008000', '#ffffff', '5.13', true, true, false],
    ['#0000ff', '#ffffff', '8.59', true, true, true],
    ['#ee0000', '#ffffff', '4.53', true, true, false],
    ['#ef0000', '#ffffff', '4.49', true, false, false],
    ['#ff0000', '#000000', '5.25', true, true, false],
    ['#0000ff', '#000000', '2.44', false, false, false],
    ['#ffff00', '#0000ff', '8.00', true, true, true],
    ['#0b5f6b', '#f0f9f9', '6.85', true, true, false],
    ['#636c6b', '#f0f9f9', '5.04', true, true, false],
    ['#e2552b', '#07191e', '4.77', true, true, false],
    ['#c83d19', '#ffffff', '5.07', true, true, false],
    ['#d9c7a1', '#2d3b3d', '7.00', true, true, true],
    ['#010101', '#000000', '1.00', false, false, false],
    ['#fefefe', '#ffffff', '1.00', false, false, false],
    ['#0a0a0a', '#0b0b0b', '1.00', false, false, false],
    ['#00000080', '#ffffff', '4.00', true, false, false],
    ['#ffffff80', '#000000', '5.31', true, true, false],
    ['#00000099', '#ffffff', '5.74', true, true, false],
    ['#0000008a', '#ffffff', '4.60', true, true, false],
    ['#00000089', '#ffffff', '4.54', true, true, false],
    ['#ffffffb3', '#0b5f6b', '4.48', true, false, false],
    ['#0b5f6bcc', '#ffffff', '4.57', true, true, false],
    ['#000000cc', '#ffffff80', '12.63', true, true, true],
    ['#ffffffe6', '#00000080', '3.57', true, false, false],
    ['#e2552b99', '#07191ea6', '1.19', false, false, false],
  ])('%s on %s is %s', (text, ground, shown, three, body, more) => {
    const { measurements } = readoutOf(resolveSystem(projectOf(text, ground))).measured.get('only')!;
    for (const { ratio } of measurements) expect(formatRatio(ratio)).toBe(shown);
    expect(measurements.map(({ passes }) => passes)).toEqual([three, body, more]);
  });
});
