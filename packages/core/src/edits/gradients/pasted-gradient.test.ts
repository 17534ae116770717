import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs.ts';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import { findGradients } from '../../gradient/find-css.ts';
import { colorAtPlace, placeStops } from '../../gradient/model.ts';
import { anyGradient } from '../../gradient/random-gradient.fixture.ts';
import { readGradient } from '../../gradient/read-css.ts';
import { writeGradient } from '../../gradient/write-css.ts';
import { paintedGradient } from '../../system/gradients/resolved-gradient.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { pastedColors, pastedGradient } from './pasted-gradient.ts';

const system = resolveSystem(SKERRY_LINE);
const named = { id: 'pasted', name: 'Pasted' };

/** What a project paints of a gradient that was pasted into it. */
function paintedFrom(text: string) {
  const [found] = findGradients(text);
  const gradient = found && pastedGradient(system, found.gradient, named, 0);
  if (!gradient) return null;
  const doc = after(SKERRY_LINE, { type: 'addGradient', gradient });
  return paintedGradient(resolveSystem(doc).themes.get('day')!.gradients.get('pasted')!);
}

/** The same CSS in other notations of colours and angles, letters and white space, as `which` chooses. */
function respelled(css: string, which: readonly number[]): string {
  let n = 0;
  const pick = <T>(...of: readonly T[]): T => of[(which[n++ % which.length] ?? 0) % of.length]!;
  return css
    .replace(/#([\da-f]{2})([\da-f]{2})([\da-f]{2})\b/g, (hex, ...parts: string[]) => {
      const [r, g, b] = parts.slice(0, 3).map((two) => Number.parseInt(two, 16)) as [number, number, number];
      const share = (v: number) => v / 255;
      return pick(
        hex,
        hex.toUpperCase(),
        `rgb(${r}, ${g}, ${b})`,
        `rgba(${r} ${g} ${b} / 100%)`,
        `color(srgb ${share(r)} ${share(g)} ${share(b)})`,
        `${hex}ff`,
      );
    })
    .replace(/(-?\d+(?:\.\d+)?)deg/g, (deg, number: string) => {
      const v = Number(number);
      return pick(deg, `${v / 360}turn`, `${v / 0.9}grad`, `${(v * Math.PI) / 180}rad`);
    })
    .replace(/^[a-z-]+\(/, (name) => pick(name, name.toUpperCase()))
    .replace(/, /g, () => pick(', ', ',', ' ,\n  ', ', /* and */ '));
}

describe('a pasted gradient', () => {
  it('is, exported and pasted again, the same gradient, whatever its kind and notation', () => {
    let whole = 0;
    fc.assert(
      fc.property(anyGradient, (gradient) => {
        const once = paintedFrom(`background: ${writeGradient(gradient)};`);
        // A place before an earlier one is brought to it, which is what it means; then it stays.
        if (!once) return;
        whole += 1;
        const css = writeGradient(once);
        const again = paintedFrom(css);
        expect(again).toEqual(once);
        expect(readGradient(css)).toMatchObject({ ok: true });
        const [a, b] = [placeStops(gradient), placeStops(once)];
        for (let at = 0; at <= 100; at += 9) {
          const [p, q] = [colorAtPlace(a, at + 0.37), colorAtPlace(b, at + 0.37)];
          expect(Math.abs(p.r - q.r) + Math.abs(p.g - q.g) + Math.abs(p.b - q.b)).toBeLessThan(1.5);
        }
      }),
      { numRuns: runs(2000) },
    );
    expect(whole).toBeGreaterThan(runs(2000) * 0.9);
  });

  it('is the same in whatever notation it is spelled, and stays it', () => {
    fc.assert(
      fc.property(anyGradient, fc.array(fc.nat(99), { minLength: 5, maxLength: 20 }), (gradient, which) => {
        const css = writeGradient(gradient);
        const [plain, other] = [paintedFrom(css), paintedFrom(respelled(css, which))];
        expect(other === null).toBe(plain === null);
        if (!plain || !other) return;
        expect(paintedFrom(writeGradient(other))).toEqual(other);
        expect([other.kind, other.space, other.hueWay, other.repeating]).toEqual([
          plain.kind,
          plain.space,
          plain.hueWay,
          plain.repeating,
        ]);
        const [a, b] = [placeStops(plain), placeStops(other)];
        for (let at = 0; at <= 100; at += 13) {
          const [p, q] = [colorAtPlace(a, at + 0.37), colorAtPlace(b, at + 0.37)];
          expect(Math.abs(p.r - q.r) + Math.abs(p.g - q.g) + Math.abs(p.b - q.b)).toBeLessThan(1.5);
        }
      }),
      { numRuns: runs(1000) },
    );
  });

  it('is linked where a shade is near enough, with how far that is told', () => {
    const css = 'linear-gradient(90deg, #0b5f6b, #0c606c 40%, #ff00ff)';
    const [found] = findGradients(css);
    const colors = pastedColors(system, found!.gradient);
    expect(colors.map(({ near }) => near?.name ?? null)).toEqual(['Deepwater base', 'Deepwater base', null]);
    expect(colors[0]!.near!.difference).toBe(0);
    expect(colors[1]!.near!.difference).toBeLessThan(0.01);
    const linked = (within: number) =>
      pastedGradient(system, found!.gradient, named, within)!.stops.map((item) =>
        item.kind === 'stop' ? item.color.to : '',
      );
    expect(linked(0)).toEqual(['base', 'color', 'color']);
    expect(linked(0.02)).toEqual(['base', 'base', 'color']);
  });
});
