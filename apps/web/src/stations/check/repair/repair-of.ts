import type { Measurement } from '@mint-lamp/core/system/pairs/measurement';
import type { Repair } from '@mint-lamp/core/system/repairs/repair';
import { repairPair } from '@mint-lamp/core/system/repairs/repair-pair';
import type { ResolvedTheme, System } from '@mint-lamp/core/system/resolve/resolve';

const known = new WeakMap<Measurement, { readonly theme: ResolvedTheme; readonly repair: Repair }>();

/** The repair of a failing pair, worked out once for as long as the theme stays as it is. */
export function repairOf(system: System, theme: ResolvedTheme, measurement: Measurement): Repair {
  const before = known.get(measurement);
  if (before?.theme === theme) return before.repair;
  const repair = repairPair(system, theme, measurement);
  known.set(measurement, { theme, repair });
  return repair;
}
