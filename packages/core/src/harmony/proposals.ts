import { oklchToRgb8, rgb8ToOklch } from '../color/gamut.ts';
import { rgbToOklab, type Triple } from '../color/kernel.ts';
import { luminance } from '../contrast/ratio.ts';
import { drain } from '../in-parts/drain.ts';
import { clamp } from '../numbers/clamp.ts';

/** What proposals are made of. Colours are sRGB, 0–255. */
export interface ProposalRecipe {
  /** The same seed gives the same proposals. Any integer. */
  readonly seed: number;
  /** Colours in each proposal; more where kept and free ones are more, or carry no text without one more. */
  readonly count: number;
  /** How far free colours may stray from what they are, 0–1. */
  readonly stray: number;
  /** Colours that stay as they are. */
  readonly kept: readonly Readonly<Triple>[];
  /** Colours that are to be others, each in its place. */
  readonly free: readonly Readonly<Triple>[];
  /** How new colours go by those of earlier proposals: not at all, near one, away from one, or between two. */
  readonly way: 'fresh' | 'like' | 'away' | 'mix';
  /** The new colours of those proposals, in their order. */
  readonly of: readonly (readonly Readonly<Triple>[])[];
}

export interface Proposal {
  /** The kept colours, unchanged, then the new ones: one for each free, then what was added, dark to light. */
  readonly colors: readonly Readonly<Triple>[];
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

/** ΔE OK that colours of a proposal are apart, as long as there is room; and that they are apart in any case. */
const APART = [0.06, 0.04, 0.021] as const;
const TRIES = 24;
/** Mean ΔE OK from each new colour of a proposal to the same one of another: less is a repetition. */
const OTHER = 0.03;
/** The ratio of a dark and a light colour that carry text on each other. */
const CARRIES = 7;
const GREYISH = 0.03;
const MOST_PROPOSALS = 60;
const MOST_COUNT = 200;

const lab = (rgb: Readonly<Triple>): Triple => rgbToOklab(...rgb);
const light = ([r, g, b]: Readonly<Triple>) => luminance({ r, g, b, alpha: 1 });
const squared = (a: Readonly<Triple>, b: Readonly<Triple>) =>
  (a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2 + (a[2] - b[2]) ** 2;

/** Hues from an anchor, in degrees: what goes together, each plan in its way. */
const HUE_PLANS: readonly (readonly number[])[] = [
  [0, 24, -24, 48],
  [0, 180, 20, 200],
  [0, 150, 210, 180],
  [0, 120, 240, 60],
  [0, 90, 180, 270],
  [0, 0, 0, 180],
];

interface Hand {
  readonly random: () => number;
  /** −1 to 1. */
  readonly either: () => number;
  /** A hue of this proposal's plan. */
  readonly hue: () => number;
  readonly chroma: number;
}

/** What one proposal is drawn with: an anchor among what is there, and a plan of hues around it. */
function handOf(recipe: ProposalRecipe, random: () => number): Hand {
  const chromatic = [...recipe.kept, ...recipe.free]
    .map((c) => rgb8ToOklch(...(c as Triple)))
    .filter(([, c]) => c > GREYISH);
  const anchor =
    recipe.kept.length || random() < 0.5 ? chromatic[Math.floor(random() * chromatic.length)] : undefined;
  const hue = anchor ? anchor[2] : random() * 360;
  const plan = HUE_PLANS[Math.floor(random() * HUE_PLANS.length)]!;
  const either = () => random() * 2 - 1;
  return {
    random,
    either,
    hue: () => hue + plan[Math.floor(random() * plan.length)]! + either() * 8,
    chroma: anchor ? clamp(anchor[1], 0.05, 0.2) : 0.06 + random() * 0.12,
  };
}

/** A colour near another, as far as it may stray: quiet ones stay quiet, and lightness strays less than hue. */
function near(from: Readonly<Triple>, stray: number, hand: Hand): Triple {
  const [l, c, h] = rgb8ToOklch(...(from as Triple));
  const { random, either } = hand;
  const lightness = clamp(l + either() * 0.2 * stray, 0.08, 0.98);
  if (c < GREYISH) return oklchToRgb8(lightness, clamp(c + random() * 0.03 * stray, 0, 0.045), hand.hue());
  // The further it may stray, the more often its hue is another altogether.
  const hue = random() < stray ? hand.hue() : h + either() * 50 * stray;
  return oklchToRgb8(lightness, Math.max(0.02, c * (1 + either() * 0.6 * stray)), hue);
}

/** A colour well away from another: on the other side of the hues, and often of the lightness too. */
function away(from: Readonly<Triple>, { random, either }: Hand): Triple {
  const [l, c, h] = rgb8ToOklch(...(from as Triple));
  const lightness = clamp(random() < 0.4 ? 1 - l : l + either() * 0.2, 0.12, 0.96);
  return oklchToRgb8(lightness, Math.max(0.03, c * (0.6 + random())), h + 180 + either() * 100);
}

function mixed(a: Readonly<Triple>, b: Readonly<Triple>, { random }: Hand): Triple {
  const t = [0, 0.3, 0.5, 0.7, 1][Math.floor(random() * 5)]!;
  const [x, y] = [lab(a), lab(b)];
  const [l, m, n] = x.map((v, i) => v + (y[i]! - v) * t) as Triple;
  return oklchToRgb8(l, Math.hypot(m, n), (Math.atan2(n, m) * 180) / Math.PI);
}

const anyColor = ({ random, hue, chroma }: Hand): Triple =>
  oklchToRgb8(0.35 + random() * 0.5, chroma * (0.5 + random() * 0.9), hue());

/** How a new colour is drawn at a place: by earlier proposals, by what it is to replace, or freely. */
function drawAt(recipe: ProposalRecipe, place: number, wanted: number, hand: Hand): Triple {
  const stray = Math.min(1, wanted);
  // Over 1 where all that lies within reach was proposed already.
  const further = Math.max(0, wanted - 1);
  const [first, second] = recipe.of.map((colors) => colors[place]);
  if (recipe.way === 'mix' && first && second)
    return near(mixed(first, second, hand), 0.12 + stray * 0.1 + further, hand);
  if (recipe.way === 'like' && first) return near(first, 0.15 + stray * 0.2 + further, hand);
  if (recipe.way === 'away' && first) return away(first, hand);
  const replaced = recipe.free[place];
  return replaced ? near(replaced, stray, hand) : anyColor(hand);
}

/** The colours of a proposal while they are gathered. */
class Gathered {
  readonly colors: Triple[];
  private readonly labs: Triple[];

  constructor(kept: readonly Readonly<Triple>[]) {
    this.colors = kept.map((c) => [...c] as Triple);
    this.labs = kept.map(lab);
  }

  /** Adds what is drawn, apart from all that is there; drawn anew until it is, ever more freely. */
  add(draw: (freedom: number) => Triple): boolean {
    for (const apart of APART)
      for (let i = 0; i < TRIES; i++) {
        const next = draw(i / TRIES);
        const own = lab(next);
        if (this.labs.every((other) => squared(other, own) >= apart * apart)) {
          this.colors.push(next);
          this.labs.push(own);
          return true;
        }
      }
    return false;
  }

  carriesText(): boolean {
    const all = this.colors.map(light);
    return (Math.max(...all) + 0.05) / (Math.min(...all) + 0.05) >= CARRIES;
  }
}

/** One proposal; null where no room was left for it. */
function propose(recipe: ProposalRecipe, stray: number, random: () => number): Triple[] | null {
  const hand = handOf(recipe, random);
  const set = new Gathered(recipe.kept);
  const { kept, free } = recipe;
  for (let place = 0; place < free.length; place++)
    if (!set.add((freedom) => drawAt(recipe, place, stray + freedom * 0.5, hand))) return null;
  const missing = Math.max(0, recipe.count - kept.length - free.length);
  const added = new Gathered([]);
  const addNew = (draw: (freedom: number) => Triple) => {
    if (!set.add(draw)) return false;
    added.colors.push(set.colors[set.colors.length - 1]!);
    return true;
  };
  // A dark and a light first, each quiet enough to lie under or over text; as few as are needed.
  const dark = () => oklchToRgb8(0.14 + random() * 0.1, hand.chroma * (0.15 + random() * 0.4), hand.hue());
  const pale = () => oklchToRgb8(0.95 + random() * 0.04, hand.chroma * random() * 0.2, hand.hue());
  const all = set.colors.map(light);
  const byEarlier = recipe.way !== 'fresh' && recipe.of.some((colors) => colors.length > free.length);
  if (!byEarlier && !(all.length && set.carriesText())) {
    const darkest = all.length ? Math.min(...all) : 1;
    if (darkest > 0.03 && !addNew(dark)) return null;
    if (!set.carriesText() && !addNew(pale)) return null;
  }
  for (let place = free.length; added.colors.length < missing; place++)
    if (!addNew((freedom) => drawAt(recipe, place, stray + freedom, hand))) return null;
  // What goes by earlier ones may have strayed from carrying text.
  if (!set.carriesText() && !addNew(dark)) return null;
  if (!set.carriesText() && !addNew(pale)) return null;
  if (!set.carriesText()) return null;
  const settled = set.colors.slice(0, kept.length + free.length);
  return [...settled, ...added.colors.sort((a, b) => light(a) - light(b))];
}

function isRepetition(a: readonly Triple[], b: readonly Triple[], from: number): boolean {
  const places = Math.min(a.length, b.length);
  if (a.length !== b.length || places <= from) return false;
  let sum = 0;
  for (let i = from; i < places; i++) sum += Math.sqrt(squared(lab(a[i]!), lab(b[i]!)));
  return sum / (places - from) < OTHER;
}

/** Proposals that are tried for each that is wanted. */
const PATIENCE = 30;

/**
 * Whole variations around kept colours, `wanted` of them (1 to 60), none a repetition of another. Each holds the kept
 * colours unchanged, one for each free colour, and as many more as make up the count; at least one dark and one light
 * that carry text on each other (7 to 1), for which it may hold one or two more than asked for; and no near-twins (ΔE
 * OK 0.021 and up) but among the kept. Deterministic. Stops after each with the share that is done, so that whoever
 * has others to serve can turn to them. Fewer come only where there is no room for more, or nothing is free.
 */
export function* proposeInParts(recipe: ProposalRecipe, wanted: number): Generator<number, Proposal[]> {
  const most = clamp(Math.round(wanted) || 1, 1, MOST_PROPOSALS);
  const count = clamp(Math.round(recipe.count) || 3, 3, MOST_COUNT);
  const stray = clamp(recipe.stray || 0, 0, 1);
  const random = generator(Number.isFinite(recipe.seed) ? recipe.seed : 0);
  const held = { ...recipe, count };
  const out: Triple[][] = [];
  for (let i = 0; i < most * PATIENCE && out.length < most; i++) {
    // What may not stray far is soon exhausted; then it may a little further.
    const colors = propose(held, 0.08 + stray * 0.92 + i * 0.006, random);
    if (!colors || out.some((other) => isRepetition(other, colors, recipe.kept.length))) continue;
    if (colors.length === recipe.kept.length) break;
    out.push(colors);
    yield out.length / most;
  }
  return out.map((colors) => ({ colors }));
}

/** {@link proposeInParts} at once. */
export function proposals(recipe: ProposalRecipe, wanted: number): Proposal[] {
  return drain(proposeInParts(recipe, wanted));
}
