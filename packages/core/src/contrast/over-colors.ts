import {
  contrastRatio,
  luminance,
  luminanceOfRgb8,
  paintedOver,
  type Rgba,
  ratioOfLuminances,
  reaches,
} from './ratio.ts';

/** The colours of an area that is not one colour, each once. */
export interface SeenColors {
  /** RGBA, each 0–255, four numbers a colour, not premultiplied; with fractions as a gradient has them. */
  readonly colors: Uint8Array | Float32Array;
  /** Pixels of each. */
  readonly counts: Uint32Array;
  /** A pixel of each: its index in the area, row by row. */
  readonly at: Uint32Array;
}

/** Grounds as they are painted, opaque, with what is asked of them again and again. */
export interface Grounds {
  /** Three numbers a colour, 0–255. */
  readonly rgb: Uint8Array;
  readonly luminances: Float64Array;
  readonly counts: Uint32Array;
  readonly at: Uint32Array;
  readonly pixels: number;
}

/** One of some grounds. */
export const groundAt = ({ rgb }: Grounds, i: number): Rgba => ({
  r: rgb[i * 3]!,
  g: rgb[i * 3 + 1]!,
  b: rgb[i * 3 + 2]!,
  alpha: 1,
});

/** Grounds by their luminance, the darkest first, of those as dark the first. */
interface ByLight {
  readonly luminances: Float64Array;
  /** The place of each among the grounds. */
  readonly order: Uint32Array;
  /** Pixels of all that are darker. */
  readonly before: Float64Array;
}

const sorted = new WeakMap<Grounds, ByLight>();

function byLight(grounds: Grounds): ByLight {
  let known = sorted.get(grounds);
  if (known) return known;
  const { counts, luminances: unsorted } = grounds;
  const order = Uint32Array.from(unsorted.keys()).sort((a, b) => unsorted[a]! - unsorted[b]! || a - b);
  const luminances = new Float64Array(order.length);
  const before = new Float64Array(order.length + 1);
  for (let k = 0; k < order.length; k++) {
    luminances[k] = unsorted[order[k]!]!;
    before[k + 1] = before[k]! + counts[order[k]!]!;
  }
  known = { luminances, order, before };
  sorted.set(grounds, known);
  return known;
}

/** The first place in a sorted row whose value is at least this; its length where none is. */
function firstFrom(row: Float64Array, value: number): number {
  let [low, high] = [0, row.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (row[middle]! < value) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Values that fall into one part at most, for putting them in order by parts to be the fastest. */
const MOST_IN_PART = 24;

/** Values with the least first. Those of a gradient are spread evenly: put by parts, little is left to order. */
function inOrder(values: Float64Array): Float64Array {
  const n = values.length;
  let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (let i = 0; i < n; i++) {
    const v = values[i]!;
    if (v < low) low = v;
    if (v > high) high = v;
  }
  const scale = high > low ? (n - 1) / (high - low) : 0;
  const ends = new Uint32Array(n + 1);
  for (let i = 0; i < n; i++) ends[((values[i]! - low) * scale) | 0]! += 1;
  let end = 0;
  for (let part = 0; part < n; part++) {
    if (scale > 0 && ends[part]! > MOST_IN_PART) return values.slice().sort();
    end += ends[part]!;
    ends[part] = end;
  }
  const row = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const part = ((values[i]! - low) * scale) | 0;
    ends[part]! -= 1;
    row[ends[part]!] = values[i]!;
  }
  for (let i = 1; i < n; i++) {
    const v = row[i]!;
    let at = i;
    for (; at > 0 && row[at - 1]! > v; at--) row[at] = row[at - 1]!;
    row[at] = v;
  }
  return row;
}

const lights = new WeakMap<Grounds, Float64Array>();

/** The luminances of some grounds alone, the darkest first, which costs a tenth of {@link byLight}. */
function lightsOf(grounds: Grounds): Float64Array {
  let row = lights.get(grounds);
  if (!row) {
    row = inOrder(grounds.luminances);
    lights.set(grounds, row);
  }
  return row;
}

/** The darkest and the lightest of some grounds. */
export function endsOfGrounds(grounds: Grounds): readonly [darkest: Rgba, lightest: Rgba] {
  const row = lightsOf(grounds);
  const at = (y: number) => groundAt(grounds, grounds.luminances.indexOf(y));
  return [at(row[0]!), at(row[row.length - 1]!)];
}

/** Grounds of several kinds as one. */
export function togetherAs(parts: readonly Grounds[]): Grounds {
  if (parts.length === 1) return parts[0]!;
  const size = parts.reduce((n, { counts }) => n + counts.length, 0);
  const all = {
    rgb: new Uint8Array(size * 3),
    luminances: new Float64Array(size),
    counts: new Uint32Array(size),
    at: new Uint32Array(size),
    pixels: parts.reduce((n, { pixels }) => n + pixels, 0),
  };
  let from = 0;
  for (const part of parts) {
    all.rgb.set(part.rgb, from * 3);
    all.luminances.set(part.luminances, from);
    all.counts.set(part.counts, from);
    all.at.set(part.at, from);
    from += part.counts.length;
  }
  return all;
}

/** The worst place of a text over grounds. */
export interface WorstOfGrounds {
  readonly ratio: number;
  readonly ground: Rgba;
  /** Index of the pixel in the area. */
  readonly at: number;
}

/** A colour of a gradient over what is beneath as it is painted: multiplied by its alpha, and only then put into 8 bits. */
export function gradientOver({ r, g, b, alpha }: Rgba, beneath: Rgba): Rgba {
  const through = 256 - Math.round(alpha * 255);
  const paint = (o: number, u: number) =>
    Math.min(255, Math.round(o * alpha) + ((Math.round(u) * through) >> 8));
  return { r: paint(r, beneath.r), g: paint(g, beneath.g), b: paint(b, beneath.b), alpha: 1 };
}

/** A colour of an area over what is beneath, as it is painted. */
function seenOver(color: Rgba, beneath: Rgba, ofGradient: boolean): Rgba {
  if (ofGradient) return gradientOver(color, beneath);
  return color.alpha === 1 ? color : paintedOver(color, beneath);
}

/** What was worked out of the colours of an area, by what lies beneath and over them. */
const under = new WeakMap<SeenColors, Map<string, Grounds>>();
/** Grounds that are remembered of one area; a project has few themes, and fewer veils. */
const MOST_UNDER = 64;

const isOpaque = new WeakMap<SeenColors, boolean>();

/** Whether nothing beneath shows through any colour of an area. */
export function hidesAll(seen: SeenColors): boolean {
  let hides = isOpaque.get(seen);
  if (hides === undefined) {
    const { colors } = seen;
    hides = true;
    for (let i = 3; hides && i < colors.length; i += 4) hides = colors[i]! >= 255;
    isOpaque.set(seen, hides);
  }
  return hides;
}

const keyOf = (color: Rgba | null) => (color ? `${color.r} ${color.g} ${color.b} ${color.alpha}` : '');

/**
 * The colours of an area over an opaque ground, with a veil (or none) laid over them. At least one colour. What was
 * worked out is remembered with the area, whose colours never change.
 */
export function groundsUnder(seen: SeenColors, beneath: Rgba, veil: Rgba | null): Grounds {
  if (!seen.counts.length) throw new RangeError('The area has no pixels.');
  const key = `${hidesAll(seen) ? '' : keyOf(beneath)}|${keyOf(veil)}`;
  let known = under.get(seen);
  if (!known) {
    known = new Map();
    under.set(seen, known);
  }
  let grounds = known.get(key);
  if (grounds) return grounds;
  grounds = laidUnder(seen, beneath, veil);
  if (known.size >= MOST_UNDER) known.clear();
  known.set(key, grounds);
  return grounds;
}

/**
 * Colours that hide what lies beneath, as grounds. Given those of earlier colours of which just some stretches (from, to)
 * are others, the rest is taken over.
 */
export function opaqueGrounds(
  { colors, counts, at }: SeenColors,
  before: Grounds | null,
  changed: readonly (readonly [from: number, to: number])[],
): Grounds {
  const n = counts.length;
  const rgb = before ? before.rgb.slice() : new Uint8Array(n * 3);
  const luminances = before ? before.luminances.slice() : new Float64Array(n);
  for (const [from, to] of before ? changed : [[0, n] as const])
    for (let i = from; i < to; i++) {
      const r = Math.round(colors[i * 4]!);
      const g = Math.round(colors[i * 4 + 1]!);
      const b = Math.round(colors[i * 4 + 2]!);
      rgb[i * 3] = r;
      rgb[i * 3 + 1] = g;
      rgb[i * 3 + 2] = b;
      luminances[i] = luminanceOfRgb8(r, g, b);
    }
  return { rgb, luminances, counts, at, pixels: before?.pixels ?? counts.reduce((sum, one) => sum + one, 0) };
}

function laidUnder(seen: SeenColors, beneath: Rgba, veil: Rgba | null): Grounds {
  const { colors, counts, at } = seen;
  const rgb = new Uint8Array(counts.length * 3);
  const luminances = new Float64Array(counts.length);
  const bare = !veil && hidesAll(seen);
  let pixels = 0;
  for (let i = 0; i < counts.length; i++) {
    const [r, g, b] = [colors[i * 4]!, colors[i * 4 + 1]!, colors[i * 4 + 2]!];
    if (bare) {
      rgb[i * 3] = Math.round(r);
      rgb[i * 3 + 1] = Math.round(g);
      rgb[i * 3 + 2] = Math.round(b);
    } else {
      const color = { r, g, b, alpha: colors[i * 4 + 3]! / 255 };
      const under = seenOver(color, beneath, colors instanceof Float32Array);
      const ground = veil ? paintedOver(veil, under) : under;
      rgb[i * 3] = ground.r;
      rgb[i * 3 + 1] = ground.g;
      rgb[i * 3 + 2] = ground.b;
    }
    luminances[i] = luminanceOfRgb8(rgb[i * 3]!, rgb[i * 3 + 1]!, rgb[i * 3 + 2]!);
    pixels += counts[i]!;
  }
  return { rgb, luminances, counts, at, pixels };
}

/** One colour as an area. */
export const oneColor = ({ r, g, b }: Rgba): SeenColors => ({
  colors: Uint8Array.of(r, g, b, 255),
  counts: Uint32Array.of(1),
  at: Uint32Array.of(0),
});

const single = new Map<number, Grounds>();
/** Single colours that are remembered as grounds. */
const MOST_SINGLE = 4096;

/** One colour as grounds; a painted one, whole numbers 0–255. */
export function oneGround({ r, g, b }: Rgba): Grounds {
  const key = (r << 16) | (g << 8) | b;
  let grounds = single.get(key);
  if (!grounds) {
    if (single.size >= MOST_SINGLE) single.clear();
    grounds = {
      rgb: Uint8Array.of(r, g, b),
      luminances: Float64Array.of(luminanceOfRgb8(r, g, b)),
      counts: Uint32Array.of(1),
      at: Uint32Array.of(0),
      pixels: 1,
    };
    single.set(key, grounds);
  }
  return grounds;
}

/** The worst WCAG ratio of a text, translucent or not, over grounds, and where it is; of several the first. */
export function worstOnGrounds(text: Rgba, grounds: Grounds): WorstOfGrounds {
  if (text.alpha < 1) return worstOfTranslucent(text, grounds);
  const { luminances } = grounds;
  const own = luminance(text);
  const [darker, lighter] = neighbours(own, lightsOf(grounds));
  const down = darker === null ? Number.POSITIVE_INFINITY : ratioOfLuminances(own, darker);
  const up = lighter === null ? Number.POSITIVE_INFINITY : ratioOfLuminances(own, lighter);
  const of = (y: number | null) => (y === null ? Number.POSITIVE_INFINITY : luminances.indexOf(y));
  const worst = up === down ? Math.min(of(darker), of(lighter)) : of(up < down ? lighter : darker);
  return { ratio: Math.min(up, down), ground: groundAt(grounds, worst), at: grounds.at[worst]! };
}

/** The ratio of {@link worstOnGrounds} alone: done for every pair over a gradient, in every theme, with every step of a drag. */
export function worstRatioOnGrounds(text: Rgba, grounds: Grounds): number {
  if (text.alpha < 1) return worstOfTranslucent(text, grounds).ratio;
  const row = lightsOf(grounds);
  const own = luminance(text);
  const at = firstFrom(row, own);
  const up = at < row.length ? ratioOfLuminances(own, row[at]!) : Number.POSITIVE_INFINITY;
  const down = at > 0 ? ratioOfLuminances(own, row[at - 1]!) : Number.POSITIVE_INFINITY;
  return Math.min(up, down);
}

/** The worst place of opaque texts over grounds. */
export interface WorstOfBoth {
  readonly ratio: number;
  /** Index among the texts. */
  readonly text: number;
  /** Index among the grounds. */
  readonly ground: number;
}

/** The worst ratio of opaque texts, given as grounds, over grounds: of two that are next to each other in light. */
export function worstOfBoth(texts: Grounds, grounds: Grounds): WorstOfBoth {
  const [a, b] = [lightsOf(texts), lightsOf(grounds)];
  let ratio = Number.POSITIVE_INFINITY;
  let [text, ground] = [a[0]!, b[0]!];
  for (let i = 0, k = 0; i < a.length && k < b.length; ) {
    const here = ratioOfLuminances(a[i]!, b[k]!);
    if (here < ratio) [ratio, text, ground] = [here, a[i]!, b[k]!];
    if (a[i]! < b[k]!) i += 1;
    else k += 1;
  }
  return { ratio, text: texts.luminances.indexOf(text), ground: grounds.luminances.indexOf(ground) };
}

/** The share on which opaque texts, given as grounds, do not reach a ratio, 0–1: by the pixels of both. */
export function shareFailingOfBoth(texts: Grounds, grounds: Grounds, required: number): number {
  const row = byLight(grounds);
  let failing = 0;
  for (let i = 0; i < texts.luminances.length; i++)
    failing += texts.counts[i]! * fallingShort(texts.luminances[i]!, row, required);
  return failing / texts.pixels / grounds.pixels;
}

/**
 * The next darker and the next lighter of some luminances, or as light. A ratio grows with the distance in light on
 * either side, so the worst is one of them.
 */
function neighbours(
  own: number,
  row: Float64Array,
): readonly [darker: number | null, lighter: number | null] {
  const at = firstFrom(row, own);
  return [at > 0 ? row[at - 1]! : null, at < row.length ? row[at]! : null];
}

/** The share of grounds, 0–1 of their pixels, on which a text does not reach a ratio. */
export function shareFailing(text: Rgba, grounds: Grounds, required: number): number {
  if (text.alpha >= 1) return fallingShort(luminance(text), byLight(grounds), required) / grounds.pixels;
  let failing = 0;
  for (let i = 0; i < grounds.luminances.length; i++)
    if (!reaches(translucentRatio(text, grounds, i), required)) failing += grounds.counts[i]!;
  return failing / grounds.pixels;
}

/** Pixels on which a text of a luminance does not reach a ratio: a stretch by light around it. */
function fallingShort(own: number, { luminances, before }: ByLight, required: number): number {
  const short = (k: number) =>
    k >= 0 && k < luminances.length && !reaches(ratioOfLuminances(own, luminances[k]!), required);
  let from = firstFrom(luminances, (own + 0.05) / required - 0.05);
  let to = firstFrom(luminances, required * (own + 0.05) - 0.05);
  // The last bits of a float may decide otherwise than the ratio itself.
  while (from < to && !short(from)) from += 1;
  while (short(from - 1)) from -= 1;
  while (to > from && !short(to - 1)) to -= 1;
  while (short(to)) to += 1;
  return before[to]! - before[from]!;
}

function translucentRatio(text: Rgba, grounds: Grounds, i: number): number {
  return ratioOfLuminances(luminance(paintedOver(text, groundAt(grounds, i))), grounds.luminances[i]!);
}

function worstOfTranslucent(text: Rgba, grounds: Grounds): WorstOfGrounds {
  let worst = 0;
  let least = Number.POSITIVE_INFINITY;
  for (let i = 0; i < grounds.luminances.length; i++) {
    const ratio = translucentRatio(text, grounds, i);
    if (ratio >= least) continue;
    least = ratio;
    worst = i;
  }
  return { ratio: least, ground: groundAt(grounds, worst), at: grounds.at[worst]! };
}

/** Parts of a veil's opacity that are tried. */
const VEIL_STEPS = 100;

/**
 * The least opacity, in hundredths, 0–1, of a veil of a colour (its alpha is not looked at) over an area with which a
 * text reaches a ratio wherever it stands; null when not even the whole veil does it.
 */
export function leastVeil(
  text: Rgba,
  seen: SeenColors,
  beneath: Rgba,
  veil: Rgba,
  required: number,
): number | null {
  const grounds = groundsUnder(seen, beneath, null);
  const bare = Array.from(grounds.counts, (_, i) => groundAt(grounds, i));
  // What failed last fails first with the next opacity.
  let first = 0;
  for (let step = 0; step <= VEIL_STEPS; step++) {
    const alpha = step / VEIL_STEPS;
    const passes = (i: number) => {
      const ground = step ? paintedOver({ ...veil, alpha }, bare[i]!) : bare[i]!;
      return reaches(contrastRatio(paintedOver(text, ground), ground), required);
    };
    if (!passes(first)) continue;
    const failing = bare.findIndex((_, i) => !passes(i));
    if (failing === -1) return alpha;
    first = failing;
  }
  return null;
}
