import { escapeMarkup } from '../../svg/escape-markup.ts';
import type { SheetLine, SwatchSheet } from './swatches.ts';

const [DARK, LIGHT] = ['#111111', '#ffffff'];

const text = ({ text: said, x, y, size, isBold, isDark }: SheetLine) =>
  `<text x="${x}" y="${Math.round(y)}" font-size="${size}"${isBold ? ' font-weight="700"' : ''} fill="${isDark ? DARK : LIGHT}">${escapeMarkup(said)}</text>`;

/**
 * A sheet of swatches as an SVG drawing: a rectangle for each colour, which bears its name, and texts that stay texts. What
 * is translucent is so in the drawing too.
 */
export function writeSwatchSvg({ title, width, height, headings, swatches }: SwatchSheet): string {
  const shapes = swatches.map(
    ({ id, title: named, x, y, width: w, height: h, code, lines }) => `  <g>
    <rect id="${escapeMarkup(id)}" x="${x}" y="${y}" width="${w}" height="${h}" rx="6" fill="${code}" stroke="#808080" stroke-opacity="0.35"><title>${escapeMarkup(named)}</title></rect>
    ${lines.map(text).join('')}
  </g>`,
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}" font-family="'DejaVu Sans', 'Atkinson Hyperlegible Next', sans-serif">
  <title>${escapeMarkup(title)}: swatches</title>
  <rect width="${width}" height="${height}" fill="#ffffff"/>
  ${headings.map(text).join('\n  ')}
${shapes.join('\n')}
</svg>
`;
}
