import { gradientOver } from '../contrast/over-colors.ts';
import { contrastRatio, paintedOver, type Rgba, reaches } from '../contrast/ratio.ts';
import { clamp255 } from '../numbers/clamp.ts';
import { hintsAsStops } from './hints-as-stops.ts';
import { colorAtPlace, type PlacedGradient } from './model.ts';

/** A part of a gradient's line, in percent. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** Where a text reaches a ratio along a gradient, and where it is worst. */
export interface AlongGradient {
  readonly passing: readonly Stretch[];
  readonly worst: { readonly at: number; readonly ratio: number };
}

/** Places that are looked at for each stretch between two stops, and times that a border is halved. */
const LOOKS = 40;
const HALVINGS = 12;
const round = (v: number) => Math.round(v * 100) / 100;

/**
 * The stretches of a gradient's line, from 0 to 100 %, as Chromium paints it, on which a text (translucent or not) reaches a ratio, with the
 * gradient lying on an opaque ground; and the place where it is worst. To a hundredth of a percent; a stretch that is
 * narrower than a fortieth of the way between two stops may be missed.
 */
export function alongGradient(
  text: Rgba,
  placed: PlacedGradient,
  beneath: Rgba,
  required: number,
): AlongGradient {
  const along = hintsAsStops({ ...placed, repeating: false });
  const ratioAt = (at: number) => {
    const { r, g, b, alpha } = colorAtPlace(along, at);
    const ground = gradientOver({ r: clamp255(r), g: clamp255(g), b: clamp255(b), alpha }, beneath);
    return contrastRatio(paintedOver(text, ground), ground);
  };
  const passes = (at: number) => reaches(ratioAt(at), required);
  // Just before and just after each stop, so that both sides of a hard edge are seen.
  const inside = along.stretches.map(({ to }) => to).filter((place) => place > 0 && place < 100);
  if (placed.first > 0 && placed.first < 100) inside.unshift(placed.first);
  const ends = [0, ...inside, 100];
  const places: number[] = [];
  for (let i = 1; i < ends.length; i++) {
    const [from, to] = [ends[i - 1]!, ends[i]! - 1e-6];
    if (to <= from) continue;
    for (let k = 0; k <= LOOKS; k++) places.push(from + ((to - from) * k) / LOOKS);
  }
  // What stands at the very end, behind a hard edge, is nowhere seen.
  let worst = { at: 0, ratio: Number.POSITIVE_INFINITY };
  const passing: Stretch[] = [];
  let begun: number | null = null;
  const border = (fails: number, holds: number) => {
    let [a, b] = [fails, holds];
    for (let i = 0; i < HALVINGS; i++) {
      const middle = (a + b) / 2;
      if (passes(middle)) b = middle;
      else a = middle;
    }
    return b;
  };
  places.forEach((at, i) => {
    const ratio = ratioAt(at);
    if (ratio < worst.ratio) worst = { at: round(at), ratio };
    const holds = reaches(ratio, required);
    const before = places[i - 1];
    if (holds && begun === null) begun = before === undefined ? at : border(before, at);
    if (!holds && begun !== null) {
      passing.push({ from: round(begun), to: round(border(at, before!)) });
      begun = null;
    }
  });
  if (begun !== null) passing.push({ from: round(begun), to: 100 });
  return { passing, worst };
}
