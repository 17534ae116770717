import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import type { Shown } from '@mint-lamp/core/wire/shares';
import sharp from 'sharp';

/** px; what messengers ask for. */
const WIDTH = 1200;
const HEIGHT = 630;
const MOST_ROWS = 8;
const MOST_IN_ROW = 24;

type Rows = readonly (readonly string[])[];

/** Rows of colours of a document: families with their shades, the stops of a gradient, or roles. */
function rowsOf(document: ProjectDocument): Rows {
  const system = resolveSystem(document);
  const families = [...system.families.values()].map(({ shades }) => shades.map(({ css }) => css));
  if (families.length) return families;
  const themes = [...system.themes.values()];
  const gradients = themes.flatMap(({ gradients: of }) =>
    [...of.values()].map(({ colors }) => colors.flatMap((color) => (color ? [color.css] : []))),
  );
  if (gradients.length) return gradients;
  return themes.map(({ roles }) => [...roles.values()].flatMap(({ color }) => (color ? [color.css] : [])));
}

const rowsShown = (shown: Shown): Rows => {
  if (shown.kind === 'palette') return [shown.colors.map(({ color }) => color)];
  return shown.kind === 'set' ? [shown.set.colors] : rowsOf(shown.document);
};

/** The colours of a share as a PNG of 1200 × 630 px, without a word. */
export function previewPicture(shown: Shown): Promise<Buffer> {
  const rows = rowsShown(shown)
    .filter((row) => row.length)
    .slice(0, MOST_ROWS);
  const rects = rows.flatMap((row, y) => {
    const colors = row.slice(0, MOST_IN_ROW);
    const [top, bottom] = [y, y + 1].map((at) => Math.round((at * HEIGHT) / rows.length));
    return colors.map((color, x) => {
      const [left, right] = [x, x + 1].map((at) => Math.round((at * WIDTH) / colors.length));
      return `<rect x="${left}" y="${top}" width="${right! - left!}" height="${bottom! - top!}" fill="${color}"/>`;
    });
  });
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}"><rect width="100%" height="100%" fill="#ffffff"/>${rects.join('')}</svg>`;
  return sharp(Buffer.from(svg)).png({ compressionLevel: 9, palette: true }).toBuffer();
}
