import { paintSvg, svgColors, svgPieces } from '@mint-lamp/core/svg/svg-colors';

/** px of a side of the canvas on which a drawing is counted. */
const SIDE = 160;
/** The share that a colour of gradients alone has to cover to be told. */
const LITTLE = 0.01;

/** Colours that are far from each other, as many as are wanted. */
function apart(count: number): (readonly [number, number, number])[] {
  const steps = Math.max(2, Math.ceil(Math.cbrt(count + 1)));
  const level = (i: number) => Math.round((i * 255) / (steps - 1));
  return Array.from({ length: count }, (_, i) => [
    level(i % steps),
    level(Math.floor(i / steps) % steps),
    level(Math.floor(i / steps / steps) % steps),
  ]);
}

/** The share, 0–1, of what a drawing paints that each of its colours covers, counted in pixels. */
export async function drawingShares(svg: string): Promise<ReadonlyMap<string, number>> {
  const colors = svgColors(svg);
  const ids = apart(colors.length);
  const place = new Map(colors.map((color, i) => [color, i]));
  const marked = paintSvg(svgPieces(svg), (color) => `rgb(${ids[place.get(color)!]!.join(' ')})`);
  const image = new Image();
  image.src = `data:image/svg+xml,${encodeURIComponent(marked)}`;
  try {
    await image.decode();
  } catch {
    return new Map();
  }
  const context = new OffscreenCanvas(SIDE, SIDE).getContext('2d', { willReadFrequently: true })!;
  const scale = Math.min(SIDE / (image.naturalWidth || SIDE), SIDE / (image.naturalHeight || SIDE));
  context.drawImage(image, 0, 0, (image.naturalWidth || SIDE) * scale, (image.naturalHeight || SIDE) * scale);
  const { data } = context.getImageData(0, 0, SIDE, SIDE);
  const counts = new Float64Array(colors.length);
  // Where two colours meet a mix may look like a third: a colour that is never itself and covers little is not there.
  const itself = new Uint8Array(colors.length);
  let all = 0;
  for (let i = 0; i < data.length; i += 4) {
    if (data[i + 3]! < 128) continue;
    let [least, own] = [Number.POSITIVE_INFINITY, 0];
    for (const [at, [r, g, b]] of ids.entries()) {
      const far = (r - data[i]!) ** 2 + (g - data[i + 1]!) ** 2 + (b - data[i + 2]!) ** 2;
      if (far < least) [least, own] = [far, at];
    }
    counts[own]!++;
    if (least === 0) itself[own] = 1;
    all++;
  }
  return new Map(
    colors.flatMap((color, i) => {
      const share = counts[i]! / all;
      return itself[i] || share > LITTLE ? [[color, share] as const] : [];
    }),
  );
}
