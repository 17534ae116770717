import { rgb8ToOklch } from '@mint-lamp/core/color/gamut';
import { LANE } from './lanes.tsx';

/** Px of the strip's height. */
export const STRIP = 40;

/** Of a post's swatch in the strip: from its top, its height, its radius and the line around it, px. */
export const SWATCH = { top: 5, height: STRIP - 10, radius: 4, line: 2 };

/** A post as it is painted. */
export interface PaintedPost {
  /** Percent of the line. */
  readonly position: number;
  /** 8-bit channels with CSS; null while there is no colour. */
  readonly color: { readonly r: number; readonly g: number; readonly b: number; readonly css: string } | null;
  /** Whether it is the open one. */
  readonly on: boolean;
}

/** From the top of an axis to the middle of a knob, px: by OKLab lightness. */
export const knobTop = ({ r, g, b }: { r: number; g: number; b: number }): number =>
  STRIP + LANE.gap + (1 - rgb8ToOklch(r, g, b)[0]) * LANE.lightness;

/** What posts look like here and now: px of the axis and of 1 rem, and the colour of their lines. */
export interface PostLook {
  /** Where the axis begins in the window, px: boxes stand on whole pixels of the screen. */
  readonly left: number;
  readonly width: number;
  readonly height: number;
  readonly rem: number;
  readonly main: string;
}

export const lookOf = (axis: HTMLElement): PostLook => ({
  left: axis.getBoundingClientRect().left,
  width: axis.clientWidth,
  height: axis.clientHeight,
  rem: Number.parseFloat(getComputedStyle(document.documentElement).fontSize),
  main: getComputedStyle(axis).getPropertyValue('--text-main').trim(),
});

/** Posts reach beyond their axis by so much, px. */
export const POST_BEYOND = { x: 12, y: 2 };

const isSame = (a: PaintedPost, b: PaintedPost | undefined) =>
  b !== undefined && a.position === b.position && a.color?.css === b.color?.css && a.on === b.on;

/**
 * Paints posts as their elements stand: the open one above the others, and all knobs above all posts; of what is painted
 * already no more than where one has changed.
 */
export function paintPosts(
  context: CanvasRenderingContext2D,
  look: PostLook,
  posts: readonly PaintedPost[],
  before: readonly PaintedPost[] | null,
): void {
  const at = ({ position }: PaintedPost) => (position / 100) * look.width;
  const isAsMany = before?.length === posts.length;
  const changed = posts.flatMap((post, i) => {
    const was = before?.[i];
    return isSame(post, was) ? [] : was ? [at(post), at(was)] : [at(post)];
  });
  const reach = POST_BEYOND.x;
  const near = isAsMany
    ? posts.filter((post) => changed.some((x) => Math.abs(at(post) - x) <= 2 * reach))
    : posts;
  context.save();
  context.beginPath();
  const [top, height] = [-POST_BEYOND.y, look.height + 2 * POST_BEYOND.y];
  if (isAsMany) for (const x of changed) context.rect(Math.floor(x - reach), top, 2 * reach + 1, height);
  else context.rect(-reach, top, look.width + 2 * reach, height);
  context.clip();
  context.clearRect(-reach, top, look.width + 2 * reach, height);
  for (const post of near) if (!post.on) paintPost(context, look, post, at(post));
  for (const post of near) if (post.on) paintPost(context, look, post, at(post));
  for (const post of near) {
    const { color } = post;
    if (!color) continue;
    const { r, g, b } = color;
    const radius = look.rem / 2;
    const x = snapped(look, at(post) - radius) + radius;
    const y = Math.round(knobTop(color) - radius) + radius;
    disc(context, x, y, radius + 1, '#000000');
    disc(context, x, y, radius, '#ffffff');
    disc(context, x, y, radius - SWATCH.line, `rgb(${r} ${g} ${b})`);
  }
  context.restore();
}

/** Px of the axis at the whole pixel of the screen at which the edge of a box is painted. */
const snapped = ({ left }: PostLook, x: number): number =>
  (Math.round((left + x) * devicePixelRatio) - Math.round(left * devicePixelRatio)) / devicePixelRatio;

function disc(context: CanvasRenderingContext2D, x: number, y: number, radius: number, color: string): void {
  context.beginPath();
  context.arc(x, y, radius, 0, 2 * Math.PI);
  context.fillStyle = color;
  context.fill();
}

function paintPost(
  context: CanvasRenderingContext2D,
  look: PostLook,
  { color, on }: PaintedPost,
  x: number,
): void {
  const line = on ? 3 : 1;
  context.fillStyle = look.main;
  context.fillRect(snapped(look, x - line / 2), 0, line, look.height);
  const half = ((on ? 1.125 : 0.75) * look.rem) / 2;
  const left = snapped(look, x - half);
  const width = snapped(look, x + half) - left;
  const box = (by: number, radius: number, fill: string) => {
    context.beginPath();
    context.roundRect(left - by, SWATCH.top - by, width + 2 * by, SWATCH.height + 2 * by, radius);
    context.fillStyle = fill;
    context.fill();
  };
  const outline = on ? 2 : 1;
  box(outline, SWATCH.radius + outline, '#000000');
  box(0, SWATCH.radius, '#ffffff');
  if (color) box(-SWATCH.line, SWATCH.radius - SWATCH.line, color.css);
}
