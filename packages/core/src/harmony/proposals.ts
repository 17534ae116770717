import { findTwins } from '../color/difference.ts';
import { oklchToRgb8, rgb8ToOklch, toRgb8 } from '../color/gamut.ts';
import { rgbToOklab, type Triple } from '../color/kernel.ts';
import { fromRgb8 } from '../color/parse.ts';
import type { Color } from '../color/spaces.ts';
import { contrastRatio, luminance } from '../contrast/ratio.ts';

export interface ProposalOptions {
  /** Colours in each proposal, the kept ones included; 3 to 12. */
  readonly count: number;
  /** How many proposals; 1 to 60. */
  readonly proposals: number;
  /** The same seed gives the same proposals. Any integer. */
  readonly seed: number;
}

export interface Proposal {
  /** The kept colours first, unchanged, then the new ones, dark to light. */
  readonly colors: readonly Color[];
  /** Pairs of its colours that reach 4.5 to 1, of all pairs. */
  readonly readable: number;
  /** ΔE OK between its two most alike colours. */
  readonly apart: number;
}

/** A small generator with a seed: mulberry32, uniform in 0–1. */
function generator(seed: number): () => number {
  let state = seed | 0;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const APART = 0.06;
const TRIES = 40;

const oklab = (rgb: Triple): Triple => rgbToOklab(...rgb);
const rgba = ([r, g, b]: Triple) => ({ r, g, b, alpha: 1 });
const distance = (a: Triple, b: Triple) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

/** Whether a set has a dark and a light colour that carry text on each other, 7 to 1. */
function carriesText(colors: readonly Triple[]): boolean {
  const ys = colors.map((c) => luminance(rgba(c)));
  return (Math.max(...ys) + 0.05) / (Math.min(...ys) + 0.05) >= 7;
}

const HUE_PLANS: readonly (readonly number[])[] = [
  [0, 24, -24, 48],
  [0, 180, 20, 200],
  [0, 150, 210, 180],
  [0, 120, 240, 60],
  [0, 90, 180, 270],
  [0, 0, 0, 180],
];

function propose(kept: readonly Triple[], count: number, random: () => number): Triple[] | null {
  const anchors = kept.map((c) => rgb8ToOklch(...c)).filter(([, c]) => c > 0.02);
  const anchor = anchors[Math.floor(random() * anchors.length)];
  const hue = anchor ? anchor[2] : random() * 360;
  const chroma = anchor ? anchor[1] : 0.06 + random() * 0.14;
  const plan = HUE_PLANS[Math.floor(random() * HUE_PLANS.length)]!;
  const out = [...kept];
  const labs = out.map(oklab);
  const add = (candidate: () => Triple): boolean => {
    for (let i = 0; i < TRIES; i++) {
      const next = candidate();
      const lab = oklab(next);
      if (labs.every((other) => distance(other, lab) >= APART)) {
        out.push(next);
        labs.push(lab);
        return true;
      }
    }
    return false;
  };
  const turn = () => hue + plan[Math.floor(random() * plan.length)]! + (random() - 0.5) * 16;
  const ys = () => out.map((c) => luminance(rgba(c)));
  // A dark and a light first, each quiet enough to lie under or over text.
  if (out.length < count && (!out.length || Math.min(...ys()) > 0.03))
    if (!add(() => oklchToRgb8(0.16 + random() * 0.1, chroma * (0.2 + random() * 0.4), turn()))) return null;
  if (out.length < count && Math.max(...ys()) < 0.75)
    if (!add(() => oklchToRgb8(0.94 + random() * 0.05, chroma * random() * 0.25, turn()))) return null;
  while (out.length < count)
    if (!add(() => oklchToRgb8(0.35 + random() * 0.5, chroma * (0.5 + random() * 0.9), turn()))) return null;
  return carriesText(out) ? out : null;
}

/**
 * Whole variations around kept colours, best first: ranked by how many pairs of their colours reach 4.5 to 1,
 * then by how far the two most alike are apart. Every proposal holds the kept colours unchanged, at least one
 * dark and one light that carry text on each other (7 to 1), and no near-twins among its new colours. Fewer
 * proposals than asked for come back only when the kept colours leave no room: when `count` is used up by
 * kept colours that carry no text, there are none.
 */
export function proposals(keptColors: readonly Color[], options: ProposalOptions): Proposal[] {
  const count = Math.min(12, Math.max(3, Math.round(options.count)));
  const wanted = Math.min(60, Math.max(1, Math.round(options.proposals)));
  const kept = keptColors.slice(0, count).map((c) => toRgb8(c));
  const random = generator(options.seed);
  const out: Proposal[] = [];
  const seen = new Set<string>();
  for (let i = 0; i < wanted * 20 && out.length < wanted; i++) {
    const colors = propose(kept, count, random);
    if (!colors) continue;
    const fresh = colors.slice(kept.length).sort((a, b) => luminance(rgba(a)) - luminance(rgba(b)));
    const all = [...kept, ...fresh];
    const key = all.join(';');
    if (seen.has(key)) continue;
    seen.add(key);
    let readable = 0;
    for (let a = 0; a < all.length; a++)
      for (let b = a + 1; b < all.length; b++)
        if (contrastRatio(rgba(all[a]!), rgba(all[b]!)) >= 4.5) readable++;
    const apart = findTwins(all.map(oklab), 2)[0]?.difference ?? 0;
    out.push({ colors: all.map((c) => fromRgb8(...c)), readable, apart });
  }
  return out.sort((a, b) => b.readable - a.readable || b.apart - a.apart);
}
