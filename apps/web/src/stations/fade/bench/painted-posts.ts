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
  readonly top: number;
  readonly width: number;
  readonly height: number;
  readonly rem: number;
  readonly main: string;
}

export const lookOf = (axis: HTMLElement): PostLook => ({
  left: axis.getBoundingClientRect().left,
  top: axis.getBoundingClientRect().top,
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
  if (isAsMany)
    for (const x of changed) {
      // On whole pixels: what is cut through one is seen at its edge.
      const left = snapped(look.left, x - reach);
      context.rect(left, top, snapped(look.left, x + reach) - left, height);
    }
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
    const x = snapped(look.left, at(post) - radius) + radius;
    const y = snapped(look.top, knobTop(color) - radius) + radius;
    disc(context, x, y, radius + whole(1), '#000000');
    disc(context, x, y, radius, '#ffffff');
    disc(context, x, y, radius - whole(SWATCH.line), `rgb(${r} ${g} ${b})`);
  }
  context.restore();
}

/** Px from where an axis begins at the whole pixel of the screen at which the edge of a box is painted. */
const snapped = (begins: number, at: number): number =>
  (Math.round((begins + at) * devicePixelRatio) - Math.round(begins * devicePixelRatio)) / devicePixelRatio;
/** Px of a line that is as many whole pixels of the screen wide as fit. */
const whole = (line: number): number => Math.floor(line * devicePixelRatio) / devicePixelRatio;

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
  const edge = snapped(look.left, x - line / 2);
  context.fillRect(edge, 0, snapped(look.left, x + line / 2) - edge, look.height);
  const half = ((on ? 1.125 : 0.75) * look.rem) / 2;
  const left = snapped(look.left, x - half);
  const width = snapped(look.left, x + half) - left;
  const top = snapped(look.top, SWATCH.top);
  const height = snapped(look.top, SWATCH.top + SWATCH.height) - top;
  const fillSwatch = (by: number, radius: number, fill: string) => {
    context.beginPath();
    context.roundRect(left - by, top - by, width + 2 * by, height + 2 * by, radius);
    context.fillStyle = fill;
    context.fill();
  };
  const outline = whole(on ? 2 : 1);
  fillSwatch(outline, SWATCH.radius + outline, '#000000');
  fillSwatch(0, SWATCH.radius, '#ffffff');
  if (color) fillSwatch(-whole(SWATCH.line), SWATCH.radius - SWATCH.line, color.css);
}
