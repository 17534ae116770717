import { rgbToOklab, type Triple } from '../color/kernel.ts';
import { lightnessOfLuminance } from '../contrast/light-axis.ts';
import { luminance, paintedOver, type Rgba } from '../contrast/ratio.ts';
import type { Area } from '../gradient/area.ts';
import { clamp } from '../numbers/clamp.ts';
import type { Pixels } from './sample.ts';

/*
 * Where the eye goes first: to what differs most from what is around it, by lightness and colour, as models of visual
 * attention have it (centre against surround; Itti, Koch and Niebur 1998), here at one scale, on cells of the picture, in
 * OKLab. It is a reckoning to compare by and no measurement of people.
 */

/** How a part of a picture looks, on the whole. */
interface Look {
  /** CIE L*, 0–100. */
  readonly lightness: number;
  /** OKLCH chroma, 0 to about 0.3. */
  readonly chroma: number;
  /** How much it varies within itself: the mean distance in OKLab from its own mean, 0–1. */
  readonly contrast: number;
}

export interface Eye {
  readonly text: Look;
  /** Where the text stands. */
  readonly beneath: Look;
  /** The rest of the picture. */
  readonly rest: Look;
  /** The place of the rest that stands out most. */
  readonly spot: Look & { readonly area: Area };
  /** How much each stands out, as a distance in OKLab: 0 for not at all, about 1 for black on white. */
  readonly pull: { readonly text: number; readonly picture: number };
  readonly first: 'text' | 'picture' | 'neither';
}

/** Cells along the longer side of a picture. */
const CELLS = 24;
/** Cells around one that are its surround. */
const AROUND = 4;
/** What lies around counts as much as the eye sees of it at once; its own liveliness for a part. */
const OWN = 0.5;
/** By how much one has to stand out more to be seen first. */
const CLEARLY = 1.15;
/** Of the distance of a text from its ground: letters cover a part of their lines only. */
const INK = 0.75;

interface Cell {
  readonly mean: Triple;
  /** Mean distance from the mean. */
  readonly spread: number;
}

const apart = (a: Readonly<Triple>, b: Readonly<Triple>) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

/** Every so many pixels are looked at, so that an area costs the same whatever its size. */
const MOST_PIXELS = 900;

/** The mean and spread of a part of a picture over white, in OKLab, through a veil. */
function cellOf({ width, height, pixels }: Pixels, area: Area, veil: Rgba | null): Cell | null {
  const [left, top] = [clamp(Math.floor(area.x), 0, width), clamp(Math.floor(area.y), 0, height)];
  const right = clamp(Math.ceil(area.x + area.width), 0, width);
  const bottom = clamp(Math.ceil(area.y + area.height), 0, height);
  const step = Math.max(1, Math.floor(Math.sqrt(((right - left) * (bottom - top)) / MOST_PIXELS)));
  const labs: Triple[] = [];
  const sum: Triple = [0, 0, 0];
  for (let y = top; y < bottom; y += step)
    for (let x = left; x < right; x += step) {
      const at = (y * width + x) * 4;
      const alpha = pixels[at + 3]! / 255;
      const over = (v: number) => v * alpha + 255 * (1 - alpha);
      let [r, g, b] = [over(pixels[at]!), over(pixels[at + 1]!), over(pixels[at + 2]!)];
      if (veil) ({ r, g, b } = paintedOver(veil, { r, g, b, alpha: 1 }));
      const lab = rgbToOklab(r, g, b);
      labs.push([lab[0], lab[1], lab[2]]);
      for (let k = 0; k < 3; k++) sum[k]! += lab[k]!;
    }
  if (!labs.length) return null;
  const mean = sum.map((v) => v / labs.length) as unknown as Triple;
  return { mean, spread: labs.reduce((all, lab) => all + apart(lab, mean), 0) / labs.length };
}

/** The lightness on the light axis of an OKLab lightness of a grey. */
const lightnessOf = ([l]: Readonly<Triple>) => lightnessOfLuminance(clamp(l, 0, 1) ** 3);

const lookOf = ({ mean, spread }: Cell): Look => ({
  lightness: lightnessOf(mean),
  chroma: Math.hypot(mean[1], mean[2]),
  contrast: spread,
});

const meet = (a: Area, b: Area) =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

interface Grid {
  readonly columns: number;
  readonly rows: number;
  readonly cells: readonly (Cell & { readonly area: Area })[];
}

function gridOf(picture: Pixels, veil: Rgba | null): Grid {
  const { width, height } = picture;
  const side = Math.max(width, height) / CELLS;
  const [columns, rows] = [Math.max(1, Math.round(width / side)), Math.max(1, Math.round(height / side))];
  const [w, h] = [width / columns, height / rows];
  const cells = Array.from({ length: columns * rows }, (_, i) => {
    const area = { x: (i % columns) * w, y: Math.floor(i / columns) * h, width: w, height: h };
    return { ...cellOf(picture, area, veil)!, area };
  });
  return { columns, rows, cells };
}

/** How much each cell stands out: its distance from the mean of what is around it, and some of its own liveliness. */
function pullsOf({ columns, rows, cells }: Grid): number[] {
  return cells.map(({ mean, spread }, i) => {
    const [column, row] = [i % columns, Math.floor(i / columns)];
    const around: Triple = [0, 0, 0];
    let n = 0;
    for (let y = Math.max(0, row - AROUND); y <= Math.min(rows - 1, row + AROUND); y++)
      for (let x = Math.max(0, column - AROUND); x <= Math.min(columns - 1, column + AROUND); x++) {
        if (x === column && y === row) continue;
        const other = cells[y * columns + x]!.mean;
        for (let k = 0; k < 3; k++) around[k]! += other[k]!;
        n++;
      }
    if (!n) return OWN * spread;
    return apart(mean, around.map((v) => v / n) as unknown as Triple) + OWN * spread;
  });
}

/** How much a text stands out where it is: its distance from what is beneath, less what that does itself. */
const textPull = (text: Readonly<Triple>, beneath: Cell) =>
  Math.max(0, INK * apart(text, beneath.mean) - beneath.spread);

/**
 * Where the eye goes first on a picture with a text over an area of it, in px of the picture; both through a veil that lies
 * over the picture, if one does. Throws a RangeError for an area beside the picture.
 */
export function whereTheEyeGoes(picture: Pixels, text: Rgba, area: Area, veil: Rgba | null = null): Eye {
  const beneath = cellOf(picture, area, veil);
  if (!beneath) throw new RangeError('The text stands beside the picture.');
  const grid = gridOf(picture, veil);
  const pulls = pullsOf(grid);
  let best = -1;
  const rest: Triple = [0, 0, 0];
  let [n, spread] = [0, 0];
  for (const [i, cell] of grid.cells.entries()) {
    if (meet(cell.area, area)) continue;
    if (best === -1 || pulls[i]! > pulls[best]!) best = i;
    for (let k = 0; k < 3; k++) rest[k]! += cell.mean[k]!;
    n++;
  }
  const mean = (n ? rest.map((v) => v / n) : beneath.mean) as unknown as Triple;
  for (const cell of grid.cells)
    if (!meet(cell.area, area)) spread += (apart(cell.mean, mean) + cell.spread) / n;
  const own = rgbToOklab(text.r, text.g, text.b);
  const lab: Triple = [own[0], own[1], own[2]];
  const pull = { text: textPull(lab, beneath), picture: best === -1 ? 0 : pulls[best]! };
  const spot = best === -1 ? { ...beneath, area } : grid.cells[best]!;
  const first =
    pull.text >= pull.picture * CLEARLY
      ? 'text'
      : pull.picture >= pull.text * CLEARLY
        ? 'picture'
        : 'neither';
  return {
    text: {
      lightness: lightnessOfLuminance(luminance(text)),
      chroma: Math.hypot(lab[1], lab[2]),
      contrast: 0,
    },
    beneath: lookOf(beneath),
    rest: { ...lookOf({ mean, spread }) },
    spot: { ...lookOf(spot), area: spot.area },
    pull,
    first,
  };
}

/** Places that are tried along each side. */
const PLACES = 9;

/** The place for a text of that size where it stands out most; px of the picture. */
export function calmestPlace(picture: Pixels, text: Rgba, { width, height }: Area): Area {
  const own = rgbToOklab(text.r, text.g, text.b);
  const lab: Triple = [own[0], own[1], own[2]];
  let best: { area: Area; pull: number } | null = null;
  for (let row = 0; row < PLACES; row++)
    for (let column = 0; column < PLACES; column++) {
      const area = {
        x: Math.round((Math.max(0, picture.width - width) * column) / (PLACES - 1)),
        y: Math.round((Math.max(0, picture.height - height) * row) / (PLACES - 1)),
        width,
        height,
      };
      const cell = cellOf(picture, area, null);
      const pull = cell ? textPull(lab, cell) : -1;
      if (!best || pull > best.pull + 1e-9) best = { area, pull };
    }
  return best!.area;
}

/** How much more of something there is, as one says it. */
function times(more: number, less: number): string {
  const ratio = less > 0.004 ? more / less : 9;
  if (ratio >= 4.5) return 'many times as';
  if (ratio >= 2.5) return 'three times as';
  return ratio >= 1.7 ? 'twice as' : 'more';
}

/** What is seen first, and why, in a sentence. */
export function eyeSentence({ text, beneath, spot, first, pull }: Eye): string {
  if (first === 'neither') return 'Text and picture compete: they stand out about as much.';
  const reasons: string[] = [];
  if (first === 'text') {
    const apartBy = text.lightness - beneath.lightness;
    if (Math.abs(apartBy) >= 20) reasons.push(`${apartBy > 0 ? 'lighter' : 'darker'} than its background`);
    if (text.chroma > beneath.chroma + 0.04) reasons.push(`${times(text.chroma, beneath.chroma)} colourful`);
    return `The text is seen first${reasons.length ? `: it is ${reasons.join(' and ')}` : ''}.`;
  }
  const apartBy = spot.lightness - beneath.lightness;
  if (Math.abs(apartBy) >= 10) reasons.push(apartBy > 0 ? 'lighter' : 'darker');
  if (spot.chroma > Math.max(beneath.chroma, text.chroma) + 0.02)
    reasons.push(`${times(spot.chroma, Math.max(beneath.chroma, text.chroma))} colourful`);
  const why = [
    ...(reasons.length ? [`at its strongest place it is ${reasons.join(' and ')}`] : []),
    ...(beneath.contrast > 0.06 ? ['the background of the text is busy'] : []),
    ...(!reasons.length && beneath.contrast <= 0.06
      ? [
          `the text stands out too little from its background, ${pull.text.toFixed(2)} against ${pull.picture.toFixed(2)}`,
        ]
      : []),
  ];
  return `The picture is seen first: ${why.join(', and ')}.`;
}
