import type { Gradient, Stop } from '../../document/gradients/gradient.ts';
import type { GradientCommand } from '../../document/gradients/gradient-commands.ts';
import type { ResolvedGradient } from '../../system/gradients/resolved-gradient.ts';
import { differenceOf } from '../../system/painted.ts';

/** What is wrong with a gradient for where its stops stand, with the command that mends it. */
export type StopFault =
  /** A stop that is never seen: it stands where the one before and the one after it stand. */
  | { readonly kind: 'hidden'; readonly stop: number; readonly mend: GradientCommand }
  /** A cone whose ends meet in different colours; `difference` is ΔE OK. */
  | { readonly kind: 'seam'; readonly difference: number; readonly mend: GradientCommand };

/** ΔE OK from which two colours that meet are seen as a seam. */
const SEEN = 0.02;

const inPercent = ({ places }: Stop): readonly [number, number] | null => {
  const [first, last] = [places[0], places[places.length - 1]!];
  return first.unit === '%' && last.unit === '%' ? [first.value, last.value] : null;
};

function hiddenStops(gradient: Gradient, stops: readonly Stop[]): StopFault[] {
  if (stops.length < 3) return [];
  return stops.flatMap((stop, i): StopFault[] => {
    const [before, own, after] = [stops[i - 1], stop, stops[i + 1]].map((one) => one && inPercent(one));
    if (!before || !own || !after) return [];
    if (before[1] < own[0] || own[0] < own[1] || own[1] < after[0]) return [];
    return [{ kind: 'hidden', stop: i, mend: { type: 'removeStop', gradient: gradient.id, stop: stop.id } }];
  });
}

function seam({ gradient, stops, colors }: ResolvedGradient): StopFault[] {
  if (gradient.kind !== 'conic') return [];
  const [first, last] = [stops[0]!, stops[stops.length - 1]!];
  const [a, b] = [colors[0], colors[colors.length - 1]];
  const ends = inPercent(last);
  if (!a || !b || !ends || (gradient.repeating && ends[1] < 100)) return [];
  const difference = differenceOf(a, b);
  if (difference < SEEN) return [];
  const relink = { type: 'linkStop', gradient: gradient.id, stop: last.id, link: first.color } as const;
  const id = `${last.id}-end`.slice(0, 40);
  const isFree = ends[1] < 100 && !stops.some((stop) => stop.id === id);
  // Where the way round is not over with the last stop, one more closes it; else the last is as the first.
  const close = {
    type: 'addStop',
    gradient: gradient.id,
    stop: { id, kind: 'stop', color: first.color, places: [{ value: 100, unit: '%' }] },
  } as const;
  return [{ kind: 'seam', difference, mend: isFree ? close : relink }];
}

/** Stops that are never seen, and the seam of a cone, each with its mend. */
export const stopFaults = (resolved: ResolvedGradient): StopFault[] => [
  ...seam(resolved),
  ...hiddenStops(resolved.gradient, resolved.stops),
];
