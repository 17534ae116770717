import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { RELATIONS } from '../../harmony/relations.ts';
import { relativesOf, sourceOklch } from '../../system/relatives.ts';
import { applyCommand } from '../commands/apply.ts';
import { emptyDocument } from '../document.ts';
import { hasOwn, rowOf, usualRow, withShift } from './relatives.ts';

const hues = (members: readonly { oklch: readonly number[] }[]) =>
  members.map(({ oklch }) => Math.round(oklch[2]!));

describe('relatives', () => {
  it('of every relation begin with the source itself', () => {
    for (const relation of RELATIONS) {
      const [first, ...others] = relativesOf('#0b5f6b', usualRow(relation));
      expect(first).toMatchObject({ r: 0x0b, g: 0x5f, b: 0x6b });
      expect(others.length, relation).toBeGreaterThan(0);
    }
  });

  it('of two groups that face each other stand around the source and its opposite', () => {
    const [, , hue] = sourceOklch('#0b5f6b');
    const members = relativesOf('#0b5f6b', { ...usualRow('facing'), count: 3, angle: 20 });
    const turned = [0, 20, -20, 180, 200, 160].map((step) => Math.round((hue + step + 360) % 360));
    expect(hues(members)).toEqual(turned);
  });

  it('are moved by themselves in the designer’s own version, and the exact one is kept beside it', () => {
    const exact = usualRow('triadic');
    const own = withShift(exact, 2, { turn: -15, lightness: 0.1, chroma: -0.02 });
    expect([hasOwn(exact), hasOwn(own)]).toEqual([false, true]);
    const [before, after] = [relativesOf('#e2552b', exact), relativesOf('#e2552b', own)];
    expect(after.slice(0, 2)).toEqual(before.slice(0, 2));
    after[2]!.oklch.forEach((v, i) => {
      expect(v - before[2]!.oklch[i]!).toBeCloseTo([0.1, -0.02, -15][i]!, 9);
    });
    expect(relativesOf('#e2552b', { ...own, showsOwn: false })).toEqual(before);
    // It goes along with the source.
    expect(relativesOf('#2b55e2', own)[2]).not.toEqual(relativesOf('#2b55e2', exact)[2]);
  });

  it('can be shifted any way and stay colours', () => {
    const byte = fc.integer({ min: 0, max: 255 });
    const hex = fc
      .tuple(byte, byte, byte)
      .map(([r, g, b]) => `#${[r, g, b].map((v) => v.toString(16).padStart(2, '0')).join('')}`);
    const shift = fc.record({
      turn: fc.double({ min: -360, max: 360, noNaN: true }),
      lightness: fc.double({ min: -1, max: 1, noNaN: true }),
      chroma: fc.double({ min: -0.5, max: 0.5, noNaN: true }),
    });
    fc.assert(
      fc.property(hex, fc.constantFrom(...RELATIONS), shift, (source, relation, by) => {
        for (const { r, g, b, oklch } of relativesOf(source, withShift(usualRow(relation), 1, by))) {
          for (const v of [r, g, b]) expect(Number.isInteger(v) && v >= 0 && v <= 255).toBe(true);
          expect(oklch[2] >= 0 && oklch[2] < 360 && oklch[1] >= 0).toBe(true);
        }
      }),
    );
  });

  it('are kept in the document, with undo', () => {
    const document = emptyDocument('x', [{ id: 't', name: 'T' }]);
    const row = withShift(usualRow('square'), 1, { turn: 5, lightness: 0, chroma: 0 });
    const made = applyCommand(document, { type: 'setRelation', relation: 'square', row });
    if (!made.ok) throw new Error(made.reason);
    expect(rowOf(made.document.relatives, 'square')).toEqual(row);
    expect(applyCommand(made.document, made.inverse)).toMatchObject({ ok: true, document });
  });
});
