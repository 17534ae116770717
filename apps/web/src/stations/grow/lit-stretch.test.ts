import { contrastMark, lightnessOfLuminance } from '@mint-lamp/core/contrast/light-axis';
import { contrastRatio, luminance, reaches } from '@mint-lamp/core/contrast/ratio';
import { expect, test } from 'vitest';
import { isLit, litStretch } from './lit-stretch.ts';

const grey = (v: number) => ({ r: v, g: v, b: v, alpha: 1 });

test.each([
  [[255], 4.5],
  [[0], 4.5],
  [[255, 0], 4.5],
  [[255, 0], 7],
  [[240, 200], 3],
  [[255, 119], 3],
  [[60, 30], 4.5],
])('on grounds %j what is lit reaches %d on all of them, and nothing else', (grounds, ratio) => {
  const stretch = litStretch(grounds.map((v) => contrastMark(luminance(grey(v)), ratio)));
  let lit = 0;
  for (let v = 0; v <= 255; v++) {
    const passes = grounds.every((ground) => reaches(contrastRatio(grey(v), grey(ground)), ratio));
    expect(isLit(lightnessOfLuminance(luminance(grey(v))), stretch), `grey ${v}`).toBe(passes);
    if (passes) lit++;
  }
  // A grey between white and black reaches 4.5 on both; none reaches 7.
  if (grounds.join() === '255,0') expect(lit > 0).toBe(ratio === 4.5);
});
