import { isOklabInside, maxChroma, rgb8ToOklch, toRgb8 } from '../color/gamut.ts';
import { linearToRgb8, oklabToLinear, polar, type Triple } from '../color/kernel.ts';
import { fromRgb8 } from '../color/parse.ts';
import type { Color } from '../color/spaces.ts';
import { clamp, clamp01 } from '../numbers/clamp.ts';
import { contrastRatio, paintedOver, type Rgba, reaches } from './ratio.ts';

/** A ground and the ratio that must be reached on it. */
export interface Demand {
  readonly ground: Rgba;
  readonly required: number;
}

export type NearestColor =
  | {
      readonly ok: true;
      readonly color: Color;
      readonly difference: number;
      readonly ratios: readonly number[];
    }
  | {
      readonly ok: false;
      readonly reason: string;
      /** The colour that comes closest to all demands, and its ratios. */
      readonly best: Color;
      readonly ratios: readonly number[];
    };

/** Steps of lightness, 0 to 1, that are looked at, and the parts of one where what passes may be narrower. */
const STEPS = 96;
const FINE = 8;
/** Chromas that are looked at first, evenly from that of the colour down to grey; then halfway between, and again. */
const CHROMAS = 8;
const LEAST_GAP = 1 / 200;
/** Times that the border between what passes and what does not is looked for between two steps. */
const HALVINGS = 6;
/** How far a channel may be off after that, for the last look around. */
const AROUND = 3;

/** What 8 bits may shift a colour by, in lightness and chroma. */
const WITHIN_8_BITS = [0, -0.001, 0.001, -0.002, 0.002].flatMap((up) =>
  [0, -0.001, 0.001, -0.002, 0.002, -0.003, 0.003].map((out) => [up, out] as const),
);

interface Candidate {
  readonly rgb: Triple;
  readonly ratios: readonly number[];
}

/** The colours of one hue, in 8 bits, up to a chroma; those outside sRGB as their neighbours of less chroma. */
class HuePlane {
  private readonly hue: number;
  private readonly most: number;
  /** Largest chromas by lightness; the same lightnesses are asked for again and again. */
  private readonly tops = new Map<number, number>();

  constructor(hue: number, most: number) {
    this.hue = hue;
    this.most = most;
  }

  at(l: number, chroma: number): Triple {
    let [a, b] = polar(chroma, this.hue);
    if (!isOklabInside(l, a, b)) {
      let top = this.tops.get(l);
      if (top === undefined) {
        top = maxChroma(l, this.hue);
        this.tops.set(l, top);
      }
      [a, b] = polar(Math.min(chroma, top), this.hue);
    }
    return linearToRgb8(oklabToLinear(l, a, b, [0, 0, 0]));
  }

  /** Whether this is how 8 bits hold some colour of the hue. */
  has(rgb: Triple): boolean {
    const [l, chroma] = rgb8ToOklch(...rgb);
    return WITHIN_8_BITS.some(([up, out]) => {
      const held = this.at(l + up, clamp(chroma + out, 0, this.most));
      return held[0] === rgb[0] && held[1] === rgb[1] && held[2] === rgb[2];
    });
  }
}

/** A way through the plane: from the colour's lightness up or down, at a share of its chroma, after some steps. */
interface Way {
  readonly share: number;
  readonly side: 1 | -1;
  readonly after: number;
}

/** Where something passes along a way for the first time. */
interface Border extends Way {
  readonly steps: number;
  readonly difference: number;
}

/** One search: what is looked for, and what has been found. */
class Search {
  readonly start: Triple;
  nearest: (Candidate & { readonly difference: number }) | null = null;
  best: Candidate;
  private readonly demands: readonly Demand[];
  private readonly alpha: number;
  private readonly lch: Triple;
  private readonly plane: HuePlane;

  constructor(start: Triple, alpha: number, demands: readonly Demand[]) {
    this.start = start;
    this.alpha = alpha;
    this.demands = demands;
    this.lch = rgb8ToOklch(...start);
    this.plane = new HuePlane(this.lch[2], this.lch[1]);
    this.best = { rgb: start, ratios: this.ratiosOf(start) };
  }

  run(): void {
    if (this.consider(this.start) >= 1) return;
    this.findStretches();
    if (!this.nearest) return;
    const ways = Array.from({ length: CHROMAS + 1 }, (_, i) => i / CHROMAS).flatMap((share) =>
      ([1, -1] as const).map((side): Way => ({ share, side, after: 0 })),
    );
    let best = this.nearestAlong(ways);
    for (let gap = 1 / CHROMAS / 2; best && this.lch[1] > 0 && gap > LEAST_GAP; gap /= 2) {
      // The border shifts little with the chroma: it is looked for from a little before the one that is known.
      const { share, side, steps } = best;
      const around = [share - gap, share, share + gap].filter((one) => one >= 0 && one <= 1);
      const after = Math.max(0, steps - 3);
      best = this.nearestAlong(around.map((one) => ({ share: one, side, after }))) ?? best;
    }
    this.lookAround();
  }

  private ratiosOf([r, g, b]: Triple): number[] {
    const over = { r, g, b, alpha: this.alpha };
    return this.demands.map(({ ground }) => contrastRatio(paintedOver(over, ground), ground));
  }

  private passes(ratios: readonly number[]): boolean {
    return ratios.every((ratio, i) => reaches(ratio, this.demands[i]!.required));
  }

  private shortfall(ratios: readonly number[]): number {
    return Math.min(...ratios.map((ratio, i) => ratio / this.demands[i]!.required));
  }

  private differenceTo(rgb: Triple): number {
    const [l0, chroma, hue] = this.lch;
    const [l, ch, h] = rgb8ToOklch(...rgb);
    const turn = ((h - hue) * Math.PI) / 180;
    return Math.hypot(l - l0, ch - chroma, 2 * Math.sqrt(Math.max(0, ch * chroma)) * Math.sin(turn / 2));
  }

  /** Notes a colour and says by how much it reaches the demands: 1 and up passes. */
  private consider(rgb: Triple): number {
    const ratios = this.ratiosOf(rgb);
    const reached = this.shortfall(ratios);
    if (reached > this.shortfall(this.best.ratios)) this.best = { rgb, ratios };
    if (!this.passes(ratios)) return Math.min(reached, 1 - 1e-9);
    const difference = this.differenceTo(rgb);
    if (!this.nearest || difference < this.nearest.difference) this.nearest = { rgb, ratios, difference };
    return Math.max(reached, 1);
  }

  /** Looks at every lightness, so that no stretch of what passes is missed, however narrow. */
  private findStretches(): void {
    const chroma = this.lch[1];
    const reached = Array.from({ length: STEPS + 1 }, (_, i) =>
      this.consider(this.plane.at(i / STEPS, chroma)),
    );
    // A stretch that is narrower than a step lies beside the step that comes closest.
    const closest = reached.indexOf(Math.max(...reached));
    if (reached[closest]! >= 1) return;
    for (const i of [closest - 1, closest])
      for (let k = 1; k < FINE; k++) this.consider(this.plane.at((i + k / FINE) / STEPS, chroma));
  }

  private nearestAlong(ways: readonly Way[]): Border | null {
    let best: Border | null = null;
    for (const way of ways) {
      const found = this.borderAlong(way);
      if (found && (!best || found.difference < best.difference)) best = found;
    }
    return best;
  }

  /** Looks along a way for the border of what passes, as far as something nearer may lie. */
  private borderAlong(way: Way): Border | null {
    const [l0, own] = this.lch;
    const chroma = own * way.share;
    const near = this.nearest?.difference ?? 0;
    const far = Math.sqrt(Math.max(0, near ** 2 - (chroma - own) ** 2)) * STEPS + 1;
    const at = (step: number) => clamp01(l0 + (way.side * step) / STEPS);
    for (let step = way.after + 1; step - 1 <= far && at(step - 1) > 0 && at(step - 1) < 1; step++) {
      if (this.consider(this.plane.at(at(step), chroma)) < 1) continue;
      let [fails, passes] = [at(step - 1), at(step)];
      for (let i = 0; i < HALVINGS; i++) {
        const middle = (fails + passes) / 2;
        if (this.consider(this.plane.at(middle, chroma)) < 1) fails = middle;
        else passes = middle;
      }
      return { ...way, steps: step, difference: this.differenceTo(this.plane.at(passes, chroma)) };
    }
    return null;
  }

  /** Goes on to the neighbours in 8 bits for as long as one of them is nearer. */
  private lookAround(): void {
    for (let from = this.nearest; from; ) {
      const [r, g, b] = from.rgb;
      for (let i = -AROUND; i <= AROUND; i++)
        for (let j = -AROUND; j <= AROUND; j++)
          for (let k = -AROUND; k <= AROUND; k++) {
            const rgb: Triple = [r + i, g + j, b + k];
            if (rgb.some((v) => v < 0 || v > 255)) continue;
            if (this.differenceTo(rgb) >= this.nearest!.difference || !this.passes(this.ratiosOf(rgb)))
              continue;
            // What is asked last costs most.
            if (this.plane.has(rgb)) this.consider(rgb);
          }
      from = this.nearest === from ? null : this.nearest;
    }
  }
}

/**
 * The colour nearest to one (least ΔE OK) with the same hue that reaches the demanded ratio on every ground at
 * once, as a text that stands in several themes must. Lightness moves to either side; chroma is kept, or as much
 * less as brings it nearer. When none can, says so, with the colour that falls short the least. `opacity` (0–1) is
 * laid over the colour before it is measured. Grounds must be opaque; at least one.
 *
 * @example nearestPassingColor(parse('#8e5b00'), [{ ground: cream, required: 4.5 }])
 */
export function nearestPassingColor(c: Color, demands: readonly Demand[], opacity = 1): NearestColor {
  if (!demands.length) throw new RangeError('At least one ground is needed.');
  const search = new Search(toRgb8(c), (c.alpha ?? 0) * opacity, demands);
  search.run();
  const { nearest, best } = search;
  const written = ({ rgb }: Candidate) => fromRgb8(...rgb, c.alpha ?? 0);
  if (nearest)
    return { ok: true, color: written(nearest), difference: nearest.difference, ratios: nearest.ratios };
  const failing = demands.filter((demand, i) => !reaches(best.ratios[i]!, demand.required)).length;
  return {
    ok: false,
    reason:
      demands.length === 1
        ? 'No lightness of this hue reaches the ratio on this ground, not even nearly black or white at this opacity.'
        : `No one colour of this hue reaches the ratio on all ${demands.length} grounds; the best falls short on ${failing}.`,
    best: written(best),
    ratios: best.ratios,
  };
}
