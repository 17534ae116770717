import { readFileSync } from 'node:fs';
import { rgb8ToOklch } from '@mint-lamp/core/color/gamut';
import { MINT_LAMP_INTERFACE } from '@mint-lamp/core/demo/interface';
import { documentSchema } from '@mint-lamp/core/document/document-schema';
import { writeCss } from '@mint-lamp/core/exchange/css';
import { readoutOf } from '@mint-lamp/core/judged/readout/readout';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import { describe, expect, it } from 'vitest';

const system = resolveSystem(MINT_LAMP_INTERFACE);

describe("the application's own colours", () => {
  it('are what the product exports of them: run "npm run look" after a change', () => {
    const tokens = readFileSync(new URL('./tokens.css', import.meta.url), 'utf8');
    expect(tokens).toBe(writeCss(system));
  });

  it('are a valid project in which every pair passes', () => {
    expect(documentSchema.validate(MINT_LAMP_INTERFACE).error).toBeUndefined();
    const readout = readoutOf(system);
    expect(readout.passingOverall).toBe(readout.pairs * readout.themes);
    expect(readout.broken).toEqual([]);
  });

  it('do not tint the eye: surfaces and lines have a chroma of at most 0.006', () => {
    for (const theme of system.themes.values())
      for (const { role, color } of theme.roles.values())
        if (['surface', 'line', 'text'].includes(role.group[0]!))
          expect(rgb8ToOklch(color!.r, color!.g, color!.b)[1], role.name).toBeLessThanOrEqual(0.006);
  });
});
