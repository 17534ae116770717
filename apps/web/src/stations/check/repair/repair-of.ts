import type { Repair } from '@mint-lamp/core/edits/repairs/repair';
import { repairPair } from '@mint-lamp/core/edits/repairs/repair-pair';
import { firstWay, type Way } from '@mint-lamp/core/edits/repairs/ways';
import type { Measurement } from '@mint-lamp/core/judged/pairs/measurement';
import type { Readout } from '@mint-lamp/core/judged/readout/readout';

/** What stands below a failing pair: the way that is offered first, or why there is none. */
export type Offered =
  | { readonly kind: 'way'; readonly way: Way }
  | { readonly kind: 'none'; readonly reason: string };

const known = new WeakMap<Readout, Map<Measurement, Offered>>();

/** What is offered for a failing pair, if that was worked out. */
export const knownOffer = (readout: Readout, measurement: Measurement): Offered | null =>
  known.get(readout)?.get(measurement) ?? null;

/** What is offered for a failing pair, worked out once for as long as nothing changes. */
export function offeredFor(readout: Readout, measurement: Measurement): Offered {
  let ofReadout = known.get(readout);
  if (!ofReadout) {
    ofReadout = new Map();
    known.set(readout, ofReadout);
  }
  let offered = ofReadout.get(measurement);
  if (!offered) {
    const way = firstWay(readout, measurement);
    const theme = readout.system.themes.get(measurement.theme)!;
    const repair: Repair | null = way ? null : repairPair(readout.system, theme, measurement);
    offered = way
      ? { kind: 'way', way }
      : { kind: 'none', reason: repair?.kind === 'none' ? repair.reason : 'No single change repairs it.' };
    ofReadout.set(measurement, offered);
  }
  return offered;
}

/** What a way does besides, in words: what fails by it, what else passes; null for nothing. */
export function effectWords({ mended, broken }: Way): {
  readonly breaks: string | null;
  readonly mends: string | null;
} {
  return {
    breaks: broken ? `Breaks ${broken === 1 ? 'one pair that passes' : `${broken} that pass`}.` : null,
    mends: mended > 1 ? `Repairs ${mended} in all.` : null,
  };
}

/** What the button that takes a way says, without the ratio. */
export const wayWords = ({ key, name }: Way): string => (key === 'veil' ? `Add ${name}` : `Use ${name}`);
