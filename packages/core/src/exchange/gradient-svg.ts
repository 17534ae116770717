import { hexOfRgb8 } from '../color/write.ts';
import type { Rgba } from '../contrast/ratio.ts';
import { angleOf, centerIn, paintIn, radiiIn } from '../gradient/geometry.ts';
import { type Box, gradientLine } from '../gradient/line.ts';
import { type CssGradient, colorAtPlace, type PlacedGradient } from '../gradient/model.ts';
import { escapeMarkup } from '../svg/escape-markup.ts';

/** Stops that the way from the first to the last is written in: SVG mixes in sRGB only, and not by opacity. */
const STEPS = 256;
/** Wedges that a cone is drawn in, since SVG has no cone. */
const WEDGES = 720;
/** px below which a shape has no extent. */
const NO_EXTENT = 0.01;

const number = (v: number) => String(Math.round(v * 1e4) / 1e4);
const hex = ({ r, g, b }: Rgba) => hexOfRgb8(Math.round(r), Math.round(g), Math.round(b));
const filled = (color: Rgba) =>
  `fill="${hex(color)}"${color.alpha < 1 ? ` fill-opacity="${number(color.alpha)}"` : ''}`;

/** The part of the line that is written, in percent, and its colours there. */
interface Span {
  readonly from: number;
  readonly to: number;
  readonly stops: string;
}

function spanOf(placed: PlacedGradient, least: number): Span {
  const along = { ...placed, repeating: false };
  const span = placed.last - placed.first;
  const isRepeated = placed.repeating && span > 0;
  // What is not repeated goes on a little beyond its stops: of several at one end SVG would paint any one.
  let [from, to] = isRepeated ? [placed.first, placed.last] : [placed.first - 1, placed.last + 1];
  // Of a circle nothing lies before its centre; a repeated one has the same a whole number of repeats further on.
  if (isRepeated && from < least) {
    const by = Math.ceil((least - from) / span) * span;
    [from, to] = [from + by, to + by];
  } else if (least === 0 && !isRepeated) [from, to] = [0, Math.max(to, 1)];
  const shift = isRepeated ? from - placed.first : 0;
  const list: { place: number; color: Rgba }[] = [{ place: from, color: colorAtPlace(along, from - shift) }];
  for (const { from: start, to: end, a, b } of placed.stretches) {
    if (end + shift < from) continue;
    if (start + shift >= from) list.push({ place: start + shift, color: a });
    const steps = end > start ? Math.max(1, Math.ceil(((end - start) / (to - from)) * STEPS)) : 0;
    for (let i = 1; i < steps; i++) {
      const place = start + ((end - start) * i) / steps;
      if (place + shift > from) list.push({ place: place + shift, color: colorAtPlace(along, place) });
    }
    list.push({ place: end + shift, color: b });
  }
  list.push({ place: to, color: placed.colors[placed.colors.length - 1]!.color });
  const stops = list.map(({ place, color }) => {
    const offset = number((place - from) / (to - from));
    const opacity = color.alpha < 1 ? ` stop-opacity="${number(color.alpha)}"` : '';
    return `      <stop offset="${offset}" stop-color="${hex(color)}"${opacity}/>`;
  });
  return { from, to, stops: stops.join('\n') };
}

function cone(gradient: Extract<CssGradient, { kind: 'conic' }>, box: Box): string {
  const { colorAt } = paintIn(gradient, box);
  const { x, y } = centerIn(gradient.center, box);
  const far = Math.hypot(Math.max(x, box.width - x), Math.max(y, box.height - y)) + 1;
  const at = (degrees: number) => {
    const radians = (degrees * Math.PI) / 180;
    return [x + far * Math.sin(radians), y - far * Math.cos(radians)] as const;
  };
  const step = 360 / WEDGES;
  const wedges = Array.from({ length: WEDGES }, (_, i) => {
    const degrees = gradient.from + i * step;
    const [a, b, middle] = [at(degrees), at(degrees + step), at(degrees + step / 2)];
    const color = colorAt({ x: (x + middle[0]) / 2, y: (y + middle[1]) / 2 });
    return `    <path d="M${number(x)} ${number(y)}L${a.map(number).join(' ')} ${b.map(number).join(' ')}Z" ${filled(color)}/>`;
  });
  return `  <desc>A conic gradient in ${WEDGES} wedges: SVG has none of its own.</desc>
  <clipPath id="box"><rect width="${number(box.width)}" height="${number(box.height)}"/></clipPath>
  <g clip-path="url(#box)" shape-rendering="crispEdges">
${wedges.join('\n')}
  </g>`;
}

/**
 * A gradient as an SVG drawing of a box (px). SVG mixes in sRGB only: the way is written in up to 256 stops, which paint
 * what the gradient's own space does. A cone, which SVG has not, is drawn in wedges, and the file says so.
 */
export function writeGradientSvg(gradient: CssGradient, box: Box, title: string): string {
  const { width, height } = box;
  const { placed, colorAt } = paintIn(gradient, box);
  const rect = (fill: string) => `  <rect width="${number(width)}" height="${number(height)}" ${fill}/>`;
  const spread = placed.repeating && placed.last > placed.first ? ' spreadMethod="repeat"' : '';
  const painted = (element: string, attributes: string, { stops }: Span) =>
    `  <defs>
    <${element} id="gradient" gradientUnits="userSpaceOnUse" ${attributes}${spread}>
${stops}
    </${element}>
  </defs>
${rect('fill="url(#gradient)"')}`;
  const body = (): string => {
    if (gradient.kind === 'conic') return cone(gradient, box);
    if (gradient.kind === 'linear') {
      const span = spanOf(placed, Number.NEGATIVE_INFINITY);
      const { start, end } = gradientLine(angleOf(gradient.direction, box), width, height);
      const at = (percent: number) =>
        [start.x + ((end.x - start.x) * percent) / 100, start.y + ((end.y - start.y) * percent) / 100].map(
          number,
        );
      const [[x1, y1], [x2, y2]] = [at(span.from), at(span.to)];
      return painted('linearGradient', `x1="${x1}" y1="${y1}" x2="${x2}" y2="${y2}"`, span);
    }
    const [rx, ry] = radiiIn(gradient, box);
    if (rx < NO_EXTENT || ry < NO_EXTENT) return rect(filled(colorAt({ x: -1e6, y: -1e6 })));
    const span = spanOf(placed, 0);
    const { x, y } = centerIn(gradient.center, box);
    const inner = span.from > 0 ? ` fr="${number((rx * span.from) / 100)}"` : '';
    return painted(
      'radialGradient',
      `cx="0" cy="0" r="${number((rx * span.to) / 100)}"${inner} gradientTransform="translate(${number(x)} ${number(y)}) scale(1 ${number(ry / rx)})"`,
      span,
    );
  };
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${number(width)}" height="${number(height)}" viewBox="0 0 ${number(width)} ${number(height)}">
  <title>${escapeMarkup(title)}</title>
${body()}
</svg>
`;
}
