import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import { isInOrder } from '../../document/gradients/gradient.ts';
import { middleAfter, withEnd, withMiddle } from './stop-places.ts';

const [light] = SKERRY_LINE.gradients;
const gradient = light!;
const percent = (value: number) => ({ value, unit: '%' });

describe('the middle between two stops', () => {
  it('is set, moved and taken away, and stays between them', () => {
    const set = { stops: withMiddle(gradient, 'open-sea', 70) };
    expect(middleAfter(set, 'open-sea')).toEqual(percent(70));
    expect(set.stops).toHaveLength(5);
    const moved = { stops: withMiddle(set, 'open-sea', 99) };
    expect([middleAfter(moved, 'open-sea'), moved.stops.length]).toEqual([percent(82), 5]);
    expect(withMiddle(moved, 'open-sea', null)).toEqual(gradient.stops);
    expect(withMiddle(gradient, 'sun', 99)).toEqual(gradient.stops);
    const doc = after(SKERRY_LINE, { type: 'setStops', gradient: 'first-light', stops: set.stops });
    expect(middleAfter(doc.gradients[0]!, 'open-sea')).toEqual(percent(70));
  });
});

describe('a stop that is flat for a while', () => {
  it('goes on to a place before the next, and is one place again', () => {
    const places = withEnd(gradient, 'open-sea', 90)!;
    expect(places).toEqual([percent(46), percent(82)]);
    const doc = after(SKERRY_LINE, { type: 'moveStop', gradient: 'first-light', stop: 'open-sea', places });
    expect(isInOrder(doc.gradients[0]!.stops)).toBe(true);
    expect(withEnd(doc.gradients[0]!, 'open-sea', null)).toEqual([percent(46)]);
    expect(withEnd(gradient, 'open-sea', 20)).toEqual([percent(46), percent(46)]);
    expect(withEnd(gradient, 'gone', 20)).toBeNull();
  });
});
