import { fromRgb8 } from '../../color/parse.ts';
import { canonical } from '../../color/write.ts';
import { MOST_STOPS, stopAt } from '../../document/gradients/gradient.ts';
import type { GradientCommand } from '../../document/gradients/gradient-commands.ts';
import type { Link } from '../../document/links/link.ts';
import {
  type Band,
  type BrightMiddle,
  type GreyDip,
  gradientFaultsInParts,
  middlesInParts,
  type TwinStops,
} from '../../gradient/analyse.ts';
import type { MixingSpace } from '../../gradient/interpolate.ts';
import { percentOf } from '../../gradient/model.ts';
import { paintedGradient, ResolvedGradient } from '../../system/gradients/resolved-gradient.ts';
import { stopStepped, type Walking } from '../../system/gradients/walked-stop.ts';
import { differenceOf } from '../../system/painted.ts';
import { type StopFault, stopFaults } from './stop-faults.ts';

/** What may trouble the eye in a gradient, with the command that mends it where one does. Stops are numbered from 0. */
export type GradientFault = {
  readonly mend: GradientCommand | null /** The worst first. */;
  readonly weight: number;
} & (
  | ({ readonly kind: 'grey' } & GreyDip)
  | ({ readonly kind: 'bright'; readonly space: MixingSpace | null } & BrightMiddle)
  | StopFault
  | ({ readonly kind: 'twins' } & TwinStops)
  | ({ readonly kind: 'bands'; readonly stop: number | null } & Band)
);

/** How much a stop that is never seen, and a band for each of its px, weigh beside differences in ΔE OK. */
const HIDDEN_WEIGHS = 0.03;
const BAND_WEIGHS = 0.001;
/** ΔE OK below which neighbouring stops can hardly be told apart. */
const TWINS = 0.02;
/** Shades, or steps of a plain colour, that a stop is walked at most to part bands. */
const MOST_STEPS = 12;

/** Spaces that keep a middle between its ends, the one that is nearest to mixing round the hues first. */
const CALMER: readonly MixingSpace[] = ['oklch', 'oklab'];

interface Looked {
  readonly resolved: ResolvedGradient;
  readonly walking: Walking;
  /** Px of the line. */
  readonly length: number;
}

function* faultsOf(resolved: ResolvedGradient, length: number) {
  const painted = paintedGradient(resolved);
  return painted && (yield* gradientFaultsInParts(painted, { length, twin: TWINS }));
}

function* middlesIn(resolved: ResolvedGradient, length: number) {
  const painted = paintedGradient(resolved);
  return painted && (yield* middlesInParts(painted, length));
}

/** The same gradient with some of it otherwise. */
function changed(
  { resolved, walking }: Looked,
  part: Partial<ResolvedGradient['gradient']>,
): ResolvedGradient {
  const gradient = { ...resolved.gradient, ...part } as ResolvedGradient['gradient'];
  return new ResolvedGradient(gradient, walking.families, walking.roles);
}

/** The mixing space in which no middle outshines its ends; null where it is none of the calmer ones. */
function* calmerSpace(looked: Looked): Generator<void, MixingSpace | null> {
  for (const space of CALMER) {
    if (space === looked.resolved.gradient.space) continue;
    const middles = yield* middlesIn(changed(looked, { space, hueWay: 'shorter' }), looked.length);
    if (middles?.bright.length === 0) return space;
  }
  return null;
}

/** Mixing it round the hues, where that leaves no grey dip: for a gradient that holds no more stops. */
function* mixedRoundHues(looked: Looked): Generator<void, GradientCommand | null> {
  const change = { space: 'oklch', hueWay: 'shorter' } as const;
  const middles = yield* middlesIn(changed(looked, change), looked.length);
  return middles?.greyDips.length === 0
    ? { type: 'setGradient', gradient: looked.resolved.gradient.id, change }
    : null;
}

const widestOf = (bands: readonly Band[]) => bands.reduce((most, band) => (band.px > most.px ? band : most));

/** Only the stops near a place in their list, so that trying others costs the same however many there are. */
function partAround(
  { gradient, stops }: ResolvedGradient,
  at: number,
): ResolvedGradient['gradient']['stops'] {
  const near = stops.slice(Math.max(0, at - 2), at + 2);
  const of = (stop: (typeof stops)[number] | undefined) => (stop ? gradient.stops.indexOf(stop) : 0);
  return gradient.stops.slice(of(near[0]), of(near[near.length - 1]) + 1);
}

interface BandMend {
  readonly stop: number;
  readonly link: Link;
}

/** The least walk of a stop beside the widest band with which none is seen there any more; null where none does it. */
function* bandMend(looked: Looked, band: Band): Generator<void, BandMend | null> {
  const { resolved, walking, length } = looked;
  const { stops } = resolved;
  const after = stops.findIndex(({ places: [first] }) => percentOf(first, length) >= band.to - 1e-6);
  const [a, b] = [stops[after - 1], stops[after]];
  if (!a || !b) return null;
  const part = partAround(resolved, after);
  const apartIn = ({ stops: list, colors }: ResolvedGradient) => {
    const [one, other] = [a, b].map(({ id }) => colors[list.findIndex((stop) => stop.id === id)]);
    return one && other ? differenceOf(one, other) : 0;
  };
  const apart = apartIn(resolved);
  const walks = [b, a].flatMap(({ id, color }) =>
    (['lighter', 'darker'] as const).map((way) => ({
      id,
      way,
      link: color as Link | null,
      color: resolved.colors[stops.findIndex((stop) => stop.id === id)] ?? null,
    })),
  );
  for (let step = 0; step < MOST_STEPS; step++)
    for (const walk of walks) {
      const link = walk.link && walk.color && stopStepped(walking, walk.link, walk.color, walk.way);
      walk.link = link;
      if (!link) continue;
      const tried = part.map((item) =>
        item.kind === 'stop' && item.id === walk.id ? { ...item, color: link } : item,
      );
      const next = changed(looked, { stops: tried } as Partial<ResolvedGradient['gradient']>);
      walk.color = next.colors[next.stops.findIndex(({ id }) => id === walk.id)] ?? null;
      // A flat line has no bands either, and is no gradient.
      if (apartIn(next) < apart) continue;
      const left = yield* faultsOf(next, length);
      if (left?.bands.length === 0) return { stop: stops.findIndex(({ id }) => id === walk.id), link };
    }
  return null;
}

function weighed(fault: StopFault): GradientFault {
  return { ...fault, weight: fault.kind === 'seam' ? fault.difference : HIDDEN_WEIGHS };
}

/**
 * Everything that may trouble the eye in a gradient at a line of so many px, the worst first, each with its mend worked
 * out, a little at a time: greyness and middles that outshine their ends, seams, stops that are never seen or hardly
 * told apart, bands. Of bands the widest is told. `newId` makes ids.
 */
export function* faultsInParts(
  resolved: ResolvedGradient,
  walking: Walking,
  length: number,
  newId: () => string,
): Generator<void, GradientFault[]> {
  const found = yield* faultsOf(resolved, length);
  if (!found) return [];
  const looked = { resolved, walking, length };
  const gradient = resolved.gradient.id;
  const ofPlaces = resolved.stops.flatMap((stop, i) => (resolved.colors[i] ? stop.places.map(() => i) : []));
  const space = found.bright.length ? yield* calmerSpace(looked) : null;
  const isRoom = resolved.stops.length < MOST_STOPS;
  const roundHues = found.greyDips.length && !isRoom ? yield* mixedRoundHues(looked) : null;
  const faults: GradientFault[] = [
    ...found.greyDips.map((dip): GradientFault => {
      const { r, g, b, alpha } = dip.remedy;
      const color = canonical(fromRgb8(Math.round(r), Math.round(g), Math.round(b), alpha));
      const stop = stopAt(newId(), Math.round(dip.place), { to: 'color', color });
      return {
        kind: 'grey',
        ...dip,
        weight: dip.expected - dip.chroma,
        mend: isRoom ? { type: 'addStop', gradient, stop } : roundHues,
      };
    }),
    ...found.bright.map((middle): GradientFault => {
      const change = space && ({ space, hueWay: 'shorter' } as const);
      return {
        kind: 'bright',
        ...middle,
        space,
        weight: middle.lightness - middle.expected,
        mend: change && { type: 'setGradient', gradient, change },
      };
    }),
    ...stopFaults(resolved).map(weighed),
    ...found.twins.flatMap(({ a, b, difference }): GradientFault[] => {
      const [one, other] = [ofPlaces[a]!, ofPlaces[b]!];
      // A flat stretch is one stop in two places.
      if (one === other) return [];
      const { id } = resolved.stops[other === resolved.stops.length - 1 ? one : other]!;
      const canGo = resolved.stops.length > 2;
      return [
        {
          kind: 'twins',
          a: one,
          b: other,
          difference,
          weight: TWINS - difference,
          mend: canGo ? { type: 'removeStop', gradient, stop: id } : null,
        },
      ];
    }),
  ];
  if (found.bands.length) {
    const widest = widestOf(found.bands);
    const mend = yield* bandMend(looked, widest);
    faults.push({
      kind: 'bands',
      ...widest,
      stop: mend?.stop ?? null,
      weight: widest.px * BAND_WEIGHS,
      mend: mend && { type: 'linkStop', gradient, stop: resolved.stops[mend.stop]!.id, link: mend.link },
    });
  }
  return faults.sort((a, b) => b.weight - a.weight);
}
