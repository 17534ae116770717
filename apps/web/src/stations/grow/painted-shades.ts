import { lightnessOfLuminance } from '@mint-lamp/core/contrast/light-axis';
import { luminance } from '@mint-lamp/core/contrast/ratio';
import type { ResolvedShade } from '@mint-lamp/core/system/families/resolved-family';
import type { Selection } from '../../store/interface-slice.ts';
import { isLit, type LitStretch } from './lit-stretch.ts';

/** What shades on a rail look like: as the elements do that they stand in for, px. */
interface Look {
  readonly width: number;
  readonly font: string;
  readonly boldFont: string;
  /** From the top of a rail to the letters' base line: of a shade and of the base. */
  readonly baseline: number;
  readonly baseBaseline: number;
  /** Of the base's label, which stands on a piece of ground. */
  readonly labelTop: number;
  readonly labelHeight: number;
  readonly main: string;
  readonly quiet: string;
  readonly control: string;
  readonly ground: string;
  readonly inverse: string;
  /** The mark of a base that follows: from the base's middle and the top of the rail, its size, its strokes of 24 × 24. */
  readonly mark: Mark | null;
}

interface Mark {
  readonly dx: number;
  readonly y: number;
  readonly size: number;
  readonly strokes: Path2D;
}

/** Of a shade's circle and the base's upright, px. */
const CENTER = 18;
const LIT = 28;
const DIM = 16;
const BASE = { top: 1, width: 26, height: 34, radius: 6, line: 2 };
/** Where labels begin below the top, of a shade and of the base. */
const LABEL_TOP = 3 + 30;
const BASE_LABEL_TOP = BASE.top + BASE.height;

/** What shades look like here and now, as elements on a rail do: its size, the dress and the letters. */
export function lookOf(rail: HTMLElement, standing: Element): Look {
  const label = standing.querySelector('[data-label]')!;
  const style = getComputedStyle(rail);
  const { fontFamily, fontSize } = getComputedStyle(label);
  const of = (name: string) => style.getPropertyValue(name).trim();
  const gap = Number.parseFloat(getComputedStyle(label.parentElement!).rowGap) || 0;
  return {
    width: rail.clientWidth,
    font: `${fontSize} ${fontFamily}`,
    boldFont: `600 ${fontSize} ${fontFamily}`,
    baseline: LABEL_TOP + gap + baselineIn(fontSize, fontFamily),
    baseBaseline: BASE_LABEL_TOP + gap + baselineIn(fontSize, fontFamily),
    labelTop: BASE_LABEL_TOP + gap,
    labelHeight: Number.parseFloat(fontSize),
    main: of('--text-main'),
    quiet: of('--text-quiet'),
    control: of('--line-control'),
    ground: of('--surface-ground'),
    inverse: of('--text-inverse'),
    mark: markOf(rail, standing),
  };
}

function markOf(rail: HTMLElement, standing: Element): Mark | null {
  const icon = standing.querySelector('button svg');
  if (!icon) return null;
  const base = icon.parentElement!.getBoundingClientRect();
  const box = icon.getBoundingClientRect();
  const of = (element: Element, name: string) => element.getAttribute(name) ?? '0';
  const strokes = new Path2D();
  for (const element of icon.children)
    strokes.addPath(
      new Path2D(
        element.getAttribute('d') ??
          `M${of(element, 'x1')} ${of(element, 'y1')}L${of(element, 'x2')} ${of(element, 'y2')}`,
      ),
    );
  return {
    dx: box.left - (base.left + base.right) / 2,
    y: box.top - rail.getBoundingClientRect().top,
    size: box.width,
    strokes,
  };
}

/** From the top of a line as high as its letters' size to their base line, px. */
function baselineIn(fontSize: string, fontFamily: string): number {
  const context = document.createElement('canvas').getContext('2d')!;
  context.font = `${fontSize} ${fontFamily}`;
  const { fontBoundingBoxAscent: up, fontBoundingBoxDescent: down } = context.measureText('0');
  const [ascent, descent] = [Math.round(up), Math.round(down)];
  return (Number.parseFloat(fontSize) - (ascent + descent)) / 2 + ascent;
}

/** Whether a shade is what is selected of its family. */
export const isOn = (shade: Pick<ResolvedShade, 'isBase' | 'label'>, selection: Selection | null): boolean =>
  selection?.kind === 'base' ? shade.isBase : selection?.kind === 'shade' && selection.shade === shade.label;

interface PaintedRail {
  readonly shades: readonly ResolvedShade[];
  readonly stretch: LitStretch;
  /** What is selected of the family. */
  readonly selection: Selection | null;
}

/** Paints shades at their places, the base last and so above the others. */
export function paintShades(
  context: CanvasRenderingContext2D,
  look: Look,
  { shades, stretch, selection }: PaintedRail,
): void {
  context.textAlign = 'center';
  let base: ResolvedShade | null = null;
  for (const shade of shades) {
    if (shade.isBase) base = shade;
    else paintShade(context, look, shade, placed(shade, look, stretch), isOn(shade, selection));
  }
  if (base) paintBase(context, look, base, placed(base, look, stretch), isOn(base, selection));
}

const placed = (shade: ResolvedShade, { width }: Look, stretch: LitStretch) => {
  const place = lightnessOfLuminance(luminance(shade));
  return { x: (place / 100) * width, lit: isLit(place, stretch) };
};

type Placed = ReturnType<typeof placed>;

function paintShade(
  context: CanvasRenderingContext2D,
  look: Look,
  { css, label, handSet }: ResolvedShade,
  { x, lit }: Placed,
  on: boolean,
): void {
  const radius = (lit ? LIT : DIM) / 2;
  context.beginPath();
  context.arc(x, CENTER, radius, 0, 2 * Math.PI);
  context.fillStyle = css;
  context.fill();
  context.beginPath();
  context.arc(x, CENTER, radius - 0.5, 0, 2 * Math.PI);
  context.strokeStyle = look.control;
  context.lineWidth = 1;
  context.stroke();
  if (on) {
    context.beginPath();
    context.arc(x, CENTER, radius + 2, 0, 2 * Math.PI);
    context.strokeStyle = look.main;
    context.lineWidth = 2;
    context.stroke();
  }
  context.font = look.font;
  context.fillStyle = lit ? look.main : look.quiet;
  context.fillText(label, x, look.baseline);
  if (!handSet) return;
  const { width } = context.measureText(label);
  context.fillRect(x - width / 2, look.baseline + 1, width, 1);
}

function paintBase(
  context: CanvasRenderingContext2D,
  look: Look,
  { css, label }: ResolvedShade,
  { x, lit }: Placed,
  on: boolean,
): void {
  const { top, width, height, radius, line } = BASE;
  const left = x - width / 2;
  context.beginPath();
  context.roundRect(left, top, width, height, radius);
  context.fillStyle = css;
  context.fill();
  context.beginPath();
  context.roundRect(left + line / 2, top + line / 2, width - line, height - line, radius - line / 2);
  context.strokeStyle = look.main;
  context.lineWidth = line;
  context.setLineDash(lit ? [] : [4, 4]);
  context.stroke();
  context.setLineDash([]);
  if (on) {
    context.beginPath();
    context.roundRect(left - 2, top - 2, width + 4, height + 4, radius + 2);
    context.stroke();
  }
  context.font = look.boldFont;
  const half = context.measureText(label).width / 2 + 1.75;
  context.fillStyle = look.ground;
  context.fillRect(x - half, look.labelTop, half * 2, look.labelHeight);
  context.fillStyle = look.main;
  context.fillText(label, x, look.baseBaseline);
  if (look.mark) paintMark(context, look, look.mark, x);
}

function paintMark(
  context: CanvasRenderingContext2D,
  look: Look,
  { dx, y, size, strokes }: Mark,
  x: number,
): void {
  context.beginPath();
  context.roundRect(x + dx, y, size, size, 4);
  context.fillStyle = look.main;
  context.fill();
  context.save();
  context.translate(x + dx + 1, y + 1);
  context.scale((size - 2) / 24, (size - 2) / 24);
  context.lineWidth = 2;
  context.lineCap = 'round';
  context.strokeStyle = look.inverse;
  context.stroke(strokes);
  context.restore();
}
