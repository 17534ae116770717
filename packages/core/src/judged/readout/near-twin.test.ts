import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { nearTwin } from './near-twin.ts';

describe('a near-twin of a colour', () => {
  const system = resolveSystem(SKERRY_LINE);

  it('is the nearest of the project’s shades and tray colours, by name, as long as it is near', () => {
    expect(nearTwin(system, 0x0b, 0x5f, 0x6b)).toEqual({ name: 'Deepwater', difference: 0 });
    const buoy = system.families.get('buoy')!.shades[3]!;
    const twin = nearTwin(system, buoy.r, Math.min(255, buoy.g + 1), buoy.b)!;
    expect(twin.name).toBe(`Buoy ${buoy.label}`);
    expect(twin.difference).toBeGreaterThan(0);
    expect(twin.difference).toBeLessThan(0.02);
    // The mooring rope of the tray is no shade of any family.
    expect(nearTwin(system, 0xd9, 0xc7, 0xa1)?.name).toBe('Mooring rope');
    expect(nearTwin(system, 0x80, 0x00, 0xff)).toBeNull();
  });
});
