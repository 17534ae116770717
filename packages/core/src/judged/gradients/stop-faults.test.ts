import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import type { ProjectDocument } from '../../document/document.ts';
import { stopAt } from '../../document/gradients/gradient.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { stopFaults } from './stop-faults.ts';

const faultsOf = (doc: ProjectDocument) =>
  stopFaults(resolveSystem(doc).themes.get('day')!.gradients.get('first-light')!);
const conic = (repeating = false) =>
  after(
    SKERRY_LINE,
    {
      type: 'shapeGradient',
      gradient: 'first-light',
      shape: {
        kind: 'conic',
        from: 0,
        center: [
          { value: 50, unit: '%' },
          { value: 50, unit: '%' },
        ],
      },
    },
    { type: 'setGradient', gradient: 'first-light', change: { repeating } },
  );

describe('faults of stops', () => {
  it('are none in a line that goes its way', () => {
    expect(faultsOf(SKERRY_LINE)).toEqual([]);
  });

  it('are the seam of a cone, closed by its mend', () => {
    const [fault, ...others] = faultsOf(conic());
    expect([fault!.kind, others]).toEqual(['seam', []]);
    expect(fault).toMatchObject({ mend: { type: 'linkStop', stop: 'sun' } });
    expect(faultsOf(after(conic(), fault!.mend))).toEqual([]);
    // One whose last stop is not at the end gets one more.
    const short = after(conic(), {
      type: 'moveStop',
      gradient: 'first-light',
      stop: 'sun',
      places: [{ value: 90, unit: '%' }],
    });
    const [open] = faultsOf(short);
    expect(open).toMatchObject({ mend: { type: 'addStop' } });
    const closed = after(short, open!.mend);
    expect(closed.gradients[0]!.stops).toHaveLength(5);
    expect(faultsOf(closed)).toEqual([]);
  });

  it('are stops that are never seen, which can go without anything looking otherwise', () => {
    const doc = after(
      SKERRY_LINE,
      { type: 'addStop', gradient: 'first-light', stop: stopAt('a', 46, { to: 'color', color: '#ff0000' }) },
      { type: 'addStop', gradient: 'first-light', stop: stopAt('b', 46, { to: 'color', color: '#00ff00' }) },
    );
    const [fault] = faultsOf(doc);
    expect(fault).toMatchObject({ kind: 'hidden', stop: 2, mend: { type: 'removeStop', stop: 'a' } });
    expect(faultsOf(after(doc, fault!.mend))).toEqual([]);
  });
});
