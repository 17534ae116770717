import { rgbToOklab, type Triple } from '../../color/kernel.ts';
import { oklabOf, paint } from '../../system/painted.ts';
import type { System } from '../../system/resolve.ts';
import { TOO_ALIKE } from './alike.ts';

interface Known {
  readonly name: string;
  readonly lab: Readonly<Triple>;
}

/** A colour of a project that can hardly be told from a given one. */
export interface NearTwin {
  /** "Deepwater 600", or the name in the tray. */
  readonly name: string;
  /** ΔE OK, below {@link TOO_ALIKE}; 0 for the same colour. */
  readonly difference: number;
}

// A system never changes, only its successor does.
const known = new WeakMap<System, readonly Known[]>();

/** What a project has in opaque colours, families first. */
function colorsOf(system: System): readonly Known[] {
  let colors = known.get(system);
  if (!colors) {
    const shades = [...system.families.values()].flatMap(({ family, base, shades: own }) => [
      { name: family.name, painted: base.color },
      ...own.map((shade) => ({ name: `${family.name} ${shade.label}`, painted: shade })),
    ]);
    const tray = system.document.tray.map(({ name, color }) => ({ name, painted: paint(color) }));
    colors = [...shades, ...tray]
      .filter(({ painted }) => painted.alpha === 1)
      .map(({ name, painted }) => ({ name, lab: oklabOf(painted) }));
    known.set(system, colors);
  }
  return colors;
}

/** The nearest of the project's shades and tray colours to an sRGB colour (0–255), where it is a near-twin; or null. */
export function nearTwin(system: System, r: number, g: number, b: number): NearTwin | null {
  const [l, a, bb] = rgbToOklab(r, g, b);
  let best = TOO_ALIKE ** 2;
  let found: Known | null = null;
  for (const color of colorsOf(system)) {
    const d = (color.lab[0] - l) ** 2 + (color.lab[1] - a) ** 2 + (color.lab[2] - bb) ** 2;
    if (d < best) {
      best = d;
      found = color;
    }
  }
  return found && { name: found.name, difference: Math.sqrt(best) };
}
