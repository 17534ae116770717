import { toRgb8 } from '../color/gamut.ts';
import { parseColor } from '../color/parse.ts';
import type { Rgba } from '../contrast/ratio.ts';
import { fewerStops } from '../gradient/fewer-stops.ts';
import { alongLine, gradientLine, type Point } from '../gradient/line.ts';
import {
  type ColorStop,
  type CssGradient,
  colorAtPlace,
  placeStops,
  type StopPlace,
} from '../gradient/model.ts';
import { clamp01 } from '../numbers/clamp.ts';
import type { SvgElement } from './svg-element.ts';
import { svgStyles } from './svg-styles.ts';

/** A gradient of an SVG file as CSS has it, with what CSS could not say of it in words. */
export interface SvgGradient {
  /** Its id in the file; a number where it has none. */
  readonly id: string;
  readonly gradient: CssGradient;
  readonly notes: readonly string[];
}

/** Stops that a gradient is read with at most; of more, the fewest that paint the same. */
const MOST_STOPS = 64;

/** x' = a x + c y + e, y' = b x + d y + f. */
type Matrix = readonly [a: number, b: number, c: number, d: number, e: number, f: number];
const SAME: Matrix = [1, 0, 0, 1, 0, 0];

const times = (m: Matrix, n: Matrix): Matrix => [
  m[0] * n[0] + m[2] * n[1],
  m[1] * n[0] + m[3] * n[1],
  m[0] * n[2] + m[2] * n[3],
  m[1] * n[2] + m[3] * n[3],
  m[0] * n[4] + m[2] * n[5] + m[4],
  m[1] * n[4] + m[3] * n[5] + m[5],
];
const moved = (m: Matrix, { x, y }: Point): Point => ({
  x: m[0] * x + m[2] * y + m[4],
  y: m[1] * x + m[3] * y + m[5],
});

function oneTransform(name: string, v: readonly number[]): Matrix {
  const radians = ((v[0] ?? 0) * Math.PI) / 180;
  const [sin, cos] = [Math.sin(radians), Math.cos(radians)];
  switch (name) {
    case 'matrix':
      return v.length === 6 ? (v as unknown as Matrix) : SAME;
    case 'translate':
      return [1, 0, 0, 1, v[0] ?? 0, v[1] ?? 0];
    case 'scale':
      return [v[0] ?? 1, 0, 0, v[1] ?? v[0] ?? 1, 0, 0];
    case 'rotate': {
      const [x, y] = [v[1] ?? 0, v[2] ?? 0];
      return [cos, sin, -sin, cos, x - cos * x + sin * y, y - sin * x - cos * y];
    }
    case 'skewX':
      return [1, 0, Math.tan(radians), 1, 0, 0];
    case 'skewY':
      return [1, Math.tan(radians), 0, 1, 0, 0];
    default:
      return SAME;
  }
}

/** What a `transform` attribute says; what it does not spell right is left out. */
function transformOf(text: string | undefined): Matrix {
  let all = SAME;
  for (const [, name, values] of (text ?? '').matchAll(/(\w+)\s*\(([^)]*)\)/g)) {
    const numbers = values!
      .split(/[\s,]+/)
      .filter(Boolean)
      .map(Number);
    if (numbers.every(Number.isFinite)) all = times(all, oneTransform(name!, numbers));
  }
  return all;
}

/** What is said of a property of an element; see {@link svgStyles}. */
type Said = ReturnType<typeof svgStyles>;

const share = (text: string | undefined, other: number): number => {
  if (text === undefined) return other;
  const value = Number.parseFloat(text);
  if (!Number.isFinite(value)) return other;
  return text.trim().endsWith('%') ? value / 100 : value;
};

/** The colour of a stop, with what was written where that is none, which SVG paints black. */
function colorOf(
  stop: SvgElement,
  around: string | undefined,
  said: Said,
): { readonly color: Rgba; readonly unread: string | null } {
  const given = said(stop, 'stop-color') ?? 'black';
  const written = /^currentcolor$/i.test(given) ? (said(stop, 'color') ?? around ?? 'black') : given;
  const read = parseColor(written);
  const own = read.ok ? read.color : null;
  const [r, g, b] = own ? toRgb8(own) : [0, 0, 0];
  return {
    color: { r, g, b, alpha: clamp01((own?.alpha ?? 1) * clamp01(share(said(stop, 'stop-opacity'), 1))) },
    unread: own ? null : written,
  };
}

/** Elements of a name anywhere below. */
function* below(element: SvgElement, names: ReadonlySet<string>): Generator<SvgElement> {
  const open = [element];
  for (let one = open.pop(); one; one = open.pop()) {
    if (names.has(one.name)) yield one;
    for (let i = one.children.length - 1; i >= 0; i--) open.push(one.children[i]!);
  }
}

const KINDS = new Set(['linearGradient', 'radialGradient']);
const STYLES = new Set(['style']);

/** References that are followed from one gradient; files that are drawn have one or two. */
const MOST_REFERENCES = 32;

/** An element with what it takes from those that it refers to, the nearest first; a circle ends, and so does a long chain. */
function inherited(element: SvgElement, byId: ReadonlyMap<string, SvgElement>): readonly SvgElement[] {
  const chain: SvgElement[] = [];
  for (let one: SvgElement | undefined = element; one && !chain.includes(one); ) {
    if (chain.length === MOST_REFERENCES) break;
    chain.push(one);
    const href: string | undefined = one.attributes.href ?? one.attributes['xlink:href'];
    one = href?.startsWith('#') ? byId.get(href.slice(1)) : undefined;
  }
  return chain;
}

interface SvgStop {
  readonly at: number;
  readonly color: Rgba;
}

/** Stops at places from 0 to 1, each not before the one before it, as SVG has it. */
function stopsOf(chain: readonly SvgElement[], said: Said, notes: string[]): SvgStop[] {
  const own = chain.find(({ children }) => children.some(({ name }) => name === 'stop'));
  const around = own && said(own, 'color');
  const stops: SvgStop[] = [];
  let last = 0;
  for (const child of own?.children ?? []) {
    if (child.name !== 'stop') continue;
    last = Math.max(last, clamp01(share(child.attributes.offset, 0)));
    const { color, unread } = colorOf(child, around, said);
    stops.push({ at: last, color });
    if (unread !== null)
      notes.push(
        `"${unread.slice(0, 60)}" of stop ${stops.length} is no colour that can be read here: it is black.`,
      );
  }
  return stops;
}

/** The stops of a whole period: what lies before the first and after the last is painted as they are. */
function wholePeriod(stops: readonly SvgStop[]): readonly SvgStop[] {
  const [first, last] = [stops[0]!, stops[stops.length - 1]!];
  return [
    ...(first.at > 0 ? [{ ...first, at: 0 }] : []),
    ...stops,
    ...(last.at < 1 ? [{ ...last, at: 1 }] : []),
  ];
}

/** A period there and back again, in one of twice its length. */
const reflected = (period: readonly SvgStop[]): readonly SvgStop[] => [
  ...period.map(({ at, color }) => ({ at: at / 2, color })),
  ...[...period].reverse().map(({ at, color }) => ({ at: 1 - at / 2, color })),
];

/** A period that begins at another place of it, 0–1, with the colour that is there. */
function begunAt(
  period: readonly SvgStop[],
  phase: number,
  common: Pick<CssGradient, 'space' | 'hueWay'>,
): readonly SvgStop[] {
  if (phase < 1e-6 || phase > 1 - 1e-6) return period;
  const placed = placeStops({
    ...common,
    kind: 'linear',
    direction: { by: 'angle', degrees: 90 },
    repeating: false,
    stops: period.map(({ at, color }) => stopAt(at * 100, color)),
  });
  const color = colorAtPlace(placed, phase * 100);
  const shifted = (from: number, to: number, by: number) =>
    period.filter(({ at }) => at > from && at < to).map((stop) => ({ ...stop, at: stop.at + by }));
  const turn = 1 - phase;
  return [
    { at: 0, color },
    ...shifted(phase, 1, -phase),
    { ...period[period.length - 1]!, at: turn },
    { ...period[0]!, at: turn },
    ...shifted(0, phase, turn),
    { at: 1, color },
  ];
}

const percent = (value: number): StopPlace => ({ value: Math.round(value * 1e4) / 1e4, unit: '%' });
const stopAt = (value: number, color: Rgba): ColorStop => ({ kind: 'stop', color, places: [percent(value)] });

type Spread = 'pad' | 'repeat' | 'reflect';

/** Stops between 0 and 100 % only, with the colours that are there at the ends; those of SVG may go on beyond. */
function within(
  stops: readonly ColorStop[],
  common: Pick<CssGradient, 'space' | 'hueWay'>,
): readonly ColorStop[] {
  const at = ({ places }: ColorStop) => places[0]!.value;
  if (stops.every((stop) => at(stop) >= 0 && at(stop) <= 100)) return stops;
  const placed = placeStops({
    ...common,
    kind: 'linear',
    direction: { by: 'angle', degrees: 90 },
    repeating: false,
    stops,
  });
  const inside = stops.filter((stop) => at(stop) > 0 && at(stop) < 100);
  // At a hard edge the side before it is what is seen of it.
  const end = stops.find((stop) => at(stop) === 100)?.color ?? colorAtPlace(placed, 100);
  return [stopAt(0, colorAtPlace(placed, 0)), ...inside, stopAt(100, end)];
}

interface Read {
  readonly attribute: (name: string) => string | undefined;
  /** From its own units to parts of the box, 0–1. */
  readonly matrix: Matrix;
  readonly stops: readonly SvgStop[];
  readonly spread: Spread;
  readonly common: Pick<CssGradient, 'space' | 'hueWay'>;
  /** Whether its lengths are in the units of the drawing, and what of them is the whole, for percentages. */
  readonly whole: { readonly width: number; readonly height: number } | null;
  readonly notes: string[];
}

const lengthOf = (text: string | undefined, other: number, whole: number): number => {
  const value = text === undefined ? other : Number.parseFloat(text);
  if (!Number.isFinite(value)) return other;
  return text?.trim().endsWith('%') ? (value / 100) * whole : value;
};

function linear({ attribute, matrix, stops, spread, common, whole, notes }: Read): CssGradient {
  const [w, h] = [whole?.width ?? 1, whole?.height ?? 1];
  const own = (x: string, y: string, dx: number, dy: number): Point => ({
    x: lengthOf(attribute(x), dx, w),
    y: lengthOf(attribute(y), dy, h),
  });
  const [a, b] = [moved(matrix, own('x1', 'y1', 0, 0)), moved(matrix, own('x2', 'y2', w, 0))];
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const base = { ...common, kind: 'linear', repeating: spread !== 'pad' } as const;
  if (Math.hypot(dx, dy) < 1e-9) {
    // All of it is painted as the last stop.
    const last = stops[stops.length - 1]!.color;
    return {
      ...base,
      repeating: false,
      direction: { by: 'angle', degrees: 90 },
      stops: [stopAt(0, last), stopAt(100, last)],
    };
  }
  const degrees = ((((Math.atan2(dx, -dy) * 180) / Math.PI) % 360) + 360) % 360;
  const isAcross = Math.abs(dx) > 1e-6 && Math.abs(dy) > 1e-6;
  const isCorner = isAcross && Math.abs(Math.abs(dx) - Math.abs(dy)) < 1e-6;
  if (isAcross && !isCorner) notes.push('Its angle holds for a square: SVG leans it with the box.');
  const line = gradientLine(degrees, 1, 1);
  const [from, to] = [alongLine(line, a), alongLine(line, b)];
  const placed = stops.map(({ at, color }) => stopAt(from + (to - from) * at, color));
  const direction = isCorner
    ? ({ by: 'corner', x: dx > 0 ? 'right' : 'left', y: dy > 0 ? 'bottom' : 'top' } as const)
    : ({ by: 'angle', degrees: Math.round(degrees * 1e4) / 1e4 } as const);
  if (spread === 'pad') return { ...base, direction, stops: within(placed, common) };
  const period = spread === 'reflect' ? (to - from) * 2 : to - from;
  const once = wholePeriod(stops);
  // Begun where the line begins, since a project's stops lie on it: the phase that SVG has there.
  const phase = (((-from / period) % 1) + 1) % 1;
  const list = begunAt(spread === 'reflect' ? reflected(once) : once, phase, common).map(({ at, color }) =>
    stopAt(at * period, color),
  );
  // A period longer than the line does not come to its end on it.
  return period > 100
    ? { ...base, repeating: false, direction, stops: within(list, common) }
    : { ...base, direction, stops: list };
}

function radial({ attribute, matrix, stops, spread, common, whole, notes }: Read): CssGradient {
  const [w, h] = [whole?.width ?? 1, whole?.height ?? 1];
  const center = { x: lengthOf(attribute('cx'), w / 2, w), y: lengthOf(attribute('cy'), h / 2, h) };
  const radius = lengthOf(attribute('r'), Math.hypot(w, h) / Math.SQRT2 / 2, Math.hypot(w, h) / Math.SQRT2);
  const focus = { x: lengthOf(attribute('fx'), center.x, w), y: lengthOf(attribute('fy'), center.y, h) };
  if (Math.hypot(focus.x - center.x, focus.y - center.y) > 1e-6)
    notes.push('Its focus is brought to its centre: CSS has none beside it.');
  const [a, b, c, d] = matrix;
  if (Math.abs(a * b + c * d) > 1e-9)
    notes.push('It is leaned or turned as an ellipse, which CSS cannot: it stands upright.');
  const middle = moved(matrix, center);
  const radii = [Math.hypot(a, c) * radius, Math.hypot(b, d) * radius] as const;
  const once = spread === 'pad' ? stops : wholePeriod(stops);
  const factor = spread === 'reflect' ? 2 : 1;
  return {
    ...common,
    kind: 'radial',
    shape: 'ellipse',
    size: [percent(radii[0] * 100 * factor), percent(radii[1] * 100 * factor)],
    center: [percent(middle.x * 100), percent(middle.y * 100)],
    repeating: spread !== 'pad',
    stops: (spread === 'reflect' ? reflected(once) : once).map(({ at, color }) => stopAt(at * 100, color)),
  };
}

/** The sides of the drawing in its own units, by its `viewBox`, else its size; a hundred where neither is said. */
function sidesOf(root: SvgElement): {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
} {
  const box = (root.attributes.viewBox ?? '').split(/[\s,]+/).map(Number);
  if (box.length === 4 && box.every(Number.isFinite) && box[2]! > 0 && box[3]! > 0)
    return { x: box[0]!, y: box[1]!, width: box[2]!, height: box[3]! };
  const side = (text: string | undefined) => {
    const value = Number.parseFloat(text ?? '');
    return value > 0 && !text?.trim().endsWith('%') ? value : 100;
  };
  return { x: 0, y: 0, width: side(root.attributes.width), height: side(root.attributes.height) };
}

/**
 * The linear and radial gradients of an SVG file (SVG 1.1 and 2), as CSS has them: with what they take from each other by
 * `href`, transforms, `spreadMethod`, styles and opacities. Those in the units of the drawing are taken for a box as large as
 * it. Those with fewer than two stops are left out.
 */
export function svgGradients(root: SvgElement): SvgGradient[] {
  const all = [...below(root, KINDS)];
  const byId = new Map(all.flatMap((one) => (one.attributes.id ? [[one.attributes.id, one] as const] : [])));
  const sides = sidesOf(root);
  const said = svgStyles([...below(root, STYLES)].map(({ text }) => text ?? ''));
  return all.flatMap((element, i): SvgGradient[] => {
    const chain = inherited(element, byId);
    const notes: string[] = [];
    const stops = stopsOf(chain, said, notes);
    if (stops.length < 2) return [];
    const attribute = (name: string) =>
      chain.find(({ attributes }) => attributes[name] !== undefined)?.attributes[name];
    const isOfDrawing = attribute('gradientUnits') === 'userSpaceOnUse';
    const inBox: Matrix = isOfDrawing
      ? [1 / sides.width, 0, 0, 1 / sides.height, -sides.x / sides.width, -sides.y / sides.height]
      : SAME;
    const spread = attribute('spreadMethod') as Spread | undefined;
    const linearLight = said(chain[0]!, 'color-interpolation') === 'linearRGB';
    const read: Read = {
      attribute,
      matrix: times(inBox, transformOf(attribute('gradientTransform'))),
      stops,
      spread: spread === 'repeat' || spread === 'reflect' ? spread : 'pad',
      common: { space: linearLight ? 'srgb-linear' : 'srgb', hueWay: 'shorter' },
      whole: isOfDrawing ? sides : null,
      notes,
    };
    const made = element.name === 'linearGradient' ? linear(read) : radial(read);
    const gradient = fewerStops(made, MOST_STOPS);
    return [{ id: element.attributes.id ?? String(i + 1), gradient, notes: read.notes }];
  });
}
