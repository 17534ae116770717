import type { RoleMeets } from '../../document/coherence/role-use.ts';
import type { Measurement } from '../pairs/measurement.ts';
import type { Readout } from './readout.ts';

/** The pair in which a role does worst in a theme, by how far it is from what it needs; null where it is in none. */
export function worstOfRole(
  readout: Pick<Readout, 'measured'>,
  theme: string,
  { pairs }: RoleMeets,
): Measurement | null {
  const list = readout.measured.get(theme)?.measurements;
  let worst: Measurement | null = null;
  for (const at of pairs) {
    const one = list?.[at];
    if (one && (!worst || one.ratio / one.required < worst.ratio / worst.required)) worst = one;
  }
  return worst;
}
