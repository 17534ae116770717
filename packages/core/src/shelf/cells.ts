import { rgbToOklab } from '../color/kernel.ts';
import { paint } from '../system/painted.ts';

/** Edge of a cell in OKLab: sets with a colour within about one and a half of it are near. */
const EDGE = 0.05;
/** Cells to each side along an axis, so that every colour has a number of its own. */
const SPAN = 32;

const numberOf = (l: number, a: number, b: number) => (l * SPAN + a) * SPAN + b;
const place = (text: string): [number, number, number] => {
  const { r, g, b } = paint(text);
  const [l, x, y] = rgbToOklab(r, g, b);
  return [Math.floor(l / EDGE), Math.floor(x / EDGE) + SPAN / 2, Math.floor(y / EDGE) + SPAN / 2];
};

/** The cells of OKLab that some colours lie in, each once. */
export const cellsOf = (colors: readonly string[]): number[] => [
  ...new Set(colors.map((color) => numberOf(...place(color)))),
];

/** The cells that a colour near another may lie in: its own and those around it. */
export function cellsNear(color: string): number[] {
  const [l, a, b] = place(color);
  const around = [-1, 0, 1];
  return around
    .flatMap((dl) => around.flatMap((da) => around.map((db) => numberOf(l + dl, a + da, b + db))))
    .filter((cell) => cell >= 0);
}
