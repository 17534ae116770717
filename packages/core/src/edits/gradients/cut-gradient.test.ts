import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import { stopsOf } from '../../document/gradients/gradient.ts';
import type { Link } from '../../document/links/link.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { cutColors, cutStops, stopsThrough } from './cut-gradient.ts';

const resolved = resolveSystem(SKERRY_LINE).themes.get('day')!.gradients.get('first-light')!;
let next = 0;
const newId = () => `n${next++}`;

describe('a gradient that is cut into colours', () => {
  it('has its ends and what is evenly between them', () => {
    const colors = cutColors(resolved, 5);
    expect(colors).toHaveLength(5);
    expect([colors[0], colors[4]]).toEqual([resolved.colors[0]!.css, resolved.colors[3]!.css]);
  });

  it('becomes even stops, which keep the links of those that stood there', () => {
    const stops = cutStops(resolved, 5, false, newId);
    expect(stops.map((stop) => stop.kind === 'stop' && stop.places[0].value)).toEqual([0, 25, 50, 75, 100]);
    expect(stops[0]).toMatchObject({ color: { to: 'shade', family: 'deepwater', shade: '900' } });
    expect(stops[1]).toMatchObject({ color: { to: 'color' } });
    expect(() => after(SKERRY_LINE, { type: 'setStops', gradient: 'first-light', stops })).not.toThrow();
  });

  it('becomes stretches with hard edges', () => {
    const stops = cutStops(resolved, 4, true, newId);
    const doc = after(SKERRY_LINE, { type: 'setStops', gradient: 'first-light', stops });
    expect(stopsOf(doc.gradients[0]!).map(({ places }) => places.map(({ value }) => value))).toEqual([
      [0, 25],
      [25, 50],
      [50, 75],
      [75, 100],
    ]);
  });
});

describe('stops through some links', () => {
  it('stand evenly, and no more than a gradient holds', () => {
    const links = Array.from({ length: 90 }, (_, i): Link => ({ to: 'color', color: `#${String(100 + i)}` }));
    const stops = stopsThrough(links, newId);
    expect([stops.length, stops[0], stops[63]]).toMatchObject([
      64,
      { color: links[0], places: [{ value: 0 }] },
      { color: links[89], places: [{ value: 100 }] },
    ]);
    expect(stopsThrough(links.slice(0, 1), newId)).toHaveLength(1);
  });
});
